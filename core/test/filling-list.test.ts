import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  areaMm2,
  fillKey,
  findRow,
  gapWays,
  newBuild,
  newPieces,
  planBuild,
  planGaps,
  laidShare,
  readBuildFile,
  say,
  metric,
  setGapHeight,
  spreadIdsOf,
  writeBuildFile,
  type Build,
  type Gap,
  type Pieces,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';
import { stepsOf } from './work-kit.ts';

const built = (change: (gap: Gap, build: Build) => void): Build => {
  const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
  change(build.tiers[0]!.gaps[0]!, build);
  return build;
};
const kind = (id: string, foodId: string, more: Partial<Pieces>): Pieces => ({
  ...newPieces(id),
  foodId,
  name: foodId,
  ...more,
});
const gapOf = (build: Build) =>
  planGaps(build.tiers[0]!, (id) => findRow(pantry, 'spreads', id), [0, 0, 0])[0]!;

describe('a filling of several things', () => {
  it('adds up to its room, however it is laid: pieces, sauce, filling, dam, and the air between', () => {
    const share = fc.double({ min: 0.05, max: 0.9, noNaN: true });
    fc.assert(
      fc.property(
        fc.constantFrom(...gapWays),
        fc.array(share, { maxLength: 4 }),
        (laid, shares) => {
          const build = built((gap) => {
            gap.laid = laid;
            gap.damMm = 10;
            gap.pieces = shares.map((one, i) => kind(`p${i}`, 'walnuts', { share: one }));
            gap.drizzle = { spreadId: 'caramel', gPerCm2: 0.1, tint: '' };
          });
          const [tier] = build.tiers;
          const gap = gapOf(build);
          const all = gap.fillingMl + gap.piecesMl + gap.drizzleMl + gap.voidMl + gap.damMl;
          expect(all).toBeCloseTo((areaMm2(tier!.outline) * tier!.gaps[0]!.heightMm) / 1000, 6);
          expect(gap.pieces.reduce((sum, { ml }) => sum + ml, 0)).toBeCloseTo(gap.piecesMl, 9);
          const room = (gap.areaMm2 * gap.heightMm) / 1000;
          expect(gap.piecesMl).toBeLessThanOrEqual(0.9 * room + 1e-9);
          if (laid === 'loose') expect(gap.fillingMl).toBe(0);
        },
      ),
      { numRuns: 80, seed: 4 },
    );
  });
  it('left out, takes nothing: one layer lies on the other, and nothing of it is bought or spread', () => {
    const build = built((gap) => {
      Object.assign(gap, { heightMm: 0, spreadId: 'curd', damMm: 10 });
      gap.pieces = [kind('p', 'walnuts', { allergens: ['tree nuts'] })];
      gap.drizzle = { spreadId: 'caramel', gPerCm2: 0.1, tint: '' };
    });
    const [tier] = build.tiers;
    expect(readBuildFile(writeBuildFile(build, pantry)).ok).toBe(true);
    const gap = gapOf(build);
    expect(gap).toMatchObject({ fillingG: 0, damG: 0, piecesG: 0, drizzleG: 0, domeMl: 0 });
    const plan = planBuild(build, pantry);
    const { stack, loads } = plan.tiers[0]!;
    expect(stack.layers[1]!.fromMm).toBe(stack.layers[0]!.toMm);
    expect(loads![0]).toMatchObject({ holds: true, settledMm: 0, bulgeMl: 0 });
    expect(plan.section.parts.some(({ id }) => id === `${tier!.id}/gap/0`)).toBe(false);
    expect(spreadIdsOf(tier!)).not.toContain('caramel');
    expect(plan.bowls.ok && plan.bowls.value.some(({ spreadId }) => spreadId === 'curd')).toBe(
      false,
    );
    const step = stepsOf(plan).find(({ key }) => key === fillKey(tier!, 0))!;
    expect(step).toMatchObject({ kind: 'set layer on', amounts: [], takes: [], record: null });
  });
  it('left out of one gap, stays out when all of them are made thicker', () => {
    const build = built((gap) => (gap.heightMm = 0));
    setGapHeight(build.tiers[0]!, null, 12);
    expect(build.tiers[0]!.gaps.map(({ heightMm }) => heightMm)).toEqual([0, 12, 12]);
    setGapHeight(build.tiers[0]!, 0, 9);
    expect(build.tiers[0]!.gaps[0]!.heightMm).toBe(9);
    setGapHeight(build.tiers[0]!, null, 0);
    setGapHeight(build.tiers[0]!, null, 6);
    expect(build.tiers[0]!.gaps.map(({ heightMm }) => heightMm)).toEqual([6, 6, 6]);
  });
  it('piped, takes what its beads are: round ones beside each other, half balls as close as they lie', () => {
    const ofSpread = gapOf(built(() => undefined)).fillingG;
    const grams = (laid: Gap['laid']): number => gapOf(built((gap) => (gap.laid = laid))).fillingG;
    expect(grams('rings') / ofSpread).toBeCloseTo(Math.PI / 4, 9);
    expect(grams('spiral')).toBeCloseTo(grams('rings'), 9);
    expect(grams('dots') / ofSpread).toBeCloseTo(0.6046, 4);
    expect(laidShare({ laid: 'loose' })).toBe(0);
  });
  it('piped under a load that it does not bear, fills the air between its beads before it comes out', () => {
    const settled = (laid: Gap['laid']) => {
      const build = built((gap, { tiers: [tier] }) => {
        for (const one of tier!.gaps) Object.assign(one, { spreadId: 'cream', laid, heightMm: 10 });
        tier!.restG = 4000;
      });
      return planBuild(build, pantry).tiers[0]!.loads![0]!;
    };
    const [spread, rings] = [settled('spread'), settled('rings')];
    expect(rings.holds).toBe(false);
    expect(rings.bulgeMl).toBeLessThan(spread.bulgeMl);
    expect(rings.settledMm).toBeLessThan(10);
  });
  it('is told in the order of the hands, with grams of each', () => {
    const two = (order: Gap['order']) => {
      const build = built((gap) => {
        gap.order = order;
        gap.laid = 'rings';
        gap.pieces = [kind('a', 'raspberries', { share: 0.2 }), kind('b', 'walnuts', { how: 'scattered', gPerCm2: 0.1 })]; // prettier-ignore
      });
      const { steps } = planBuild(build, pantry);
      if (!steps.ok) throw new Error(steps.problem);
      return steps.value.find(({ key }) => key.startsWith('tier-1/fill/'))!;
    };
    const after = two('filling first');
    expect(after.amounts.map(({ label }) => label)).toEqual([
      'sugar-and-butter buttercream',
      'raspberries',
      'walnuts',
    ]);
    expect(say(after.lead!, metric)).toMatch(/^Pipe rings that touch to the edge.*7 mm high/);
    const before = two('pieces first');
    expect(before.amounts.map(({ label }) => label)[0]).toBe('raspberries');
    expect(say(before.lead!, metric)).toMatch(/^The pieces first\. Pipe rings/);
    expect(before.takes.map(({ foodId }) => foodId)).toEqual(['raspberries', 'walnuts']);
  });
  it('of loose pieces alone asks no bowl, holds what rests on it, and is not of the frosting it would have been', () => {
    const build = built((_gap, { tiers: [tier] }) => {
      tier!.coat = { ...tier!.coat, spreadId: 'meringue' };
      for (const gap of tier!.gaps) {
        gap.laid = 'loose';
        gap.pieces = [kind('a', 'sprinkles', { share: 0.6, densityGPerMl: 1.3 })];
      }
    });
    for (const gap of build.tiers[0]!.gaps) gap.spreadId = 'compote';
    const plan = planBuild(build, pantry);
    if (!plan.bowls.ok || !plan.steps.ok) throw new Error('no plan');
    expect(plan.bowls.value.map(({ spreadId }) => spreadId)).not.toContain('compote');
    expect(plan.tiers[0]!.loads!.every(({ holds }) => holds)).toBe(true);
    const step = plan.steps.value.find(({ key }) => key.startsWith('tier-1/fill/'))!;
    expect(step.record).toBeNull();
    expect(step.amounts.map(({ label }) => label)).toEqual(['sprinkles']);
    expect(say(step.lead!, metric)).toContain('Nothing but the pieces');
    const gap = gapOf(build);
    expect(gap.piecesG).toBeCloseTo((0.6 * 1.3 * gap.areaMm2 * gap.heightMm) / 1000, 6);
  });
  it('says when not all have room, and when nothing is there', () => {
    const ids = (change: (gap: Gap) => void): string[] =>
      planBuild(built(change), pantry).cautions.map(({ id }) => id);
    expect(ids((gap) => (gap.laid = 'loose'))).toContain('tier-1/empty gap/0');
    const full = ids((gap) => {
      gap.pieces = ['a', 'b'].map((id) => kind(id, 'walnuts', { share: 0.6 }));
    });
    expect(full).toContain('tier-1/full gap/0');
    const fits = ids((gap) => (gap.pieces = [kind('a', 'walnuts', { share: 0.6 })]));
    expect(fits).not.toContain('tier-1/full gap/0');
  });
});
