import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  addTier,
  newBuild,
  newDrip,
  newPour,
  planBuild,
  planCake,
  planMaking,
  planShape,
  setLayerHeight,
  startingPantry,
  type Build,
  type Tier,
} from '../src/index.ts';
import { finishesKnown } from '../src/finish/finish.ts';
import { tiersKnown } from '../src/plan/tiers.ts';
import { cakesKnown } from '../src/plan/cake.ts';
import { makingsKnown } from '../src/plan/making.ts';
import { plansKnown } from '../src/plan/plan.ts';
import { Known } from '../src/working/known.ts';
import { Remembered } from '../src/working/remembered.ts';
import { anyBuild, pantry } from './arbitrary.ts';

/** Three tiers, the middle one with drips. */
function tower(): Build {
  const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
  addTier(build);
  addTier(build);
  build.tiers[1]!.drip = newDrip('dark-equal');
  return build;
}
const withTier = (build: Build, i: number, change: (tier: Tier) => Tier): Build => ({
  ...build,
  tiers: build.tiers.map((tier, k) => (k === i ? change(tier) : tier)),
});
/** How many plans, tiers and finishes are made anew by some work. */
function made(work: () => void): [plans: number, tiers: number, finishes: number] {
  const before = [plansKnown.made, tiersKnown.made, finishesKnown.made] as const;
  work();
  return [plansKnown.made - before[0], tiersKnown.made - before[1], finishesKnown.made - before[2]];
}

/** All of a plan as text; the last digits of a figure may depend on what was reckoned before it. */
const said = (plan: object): string =>
  JSON.stringify(plan, (_key, value: unknown) =>
    typeof value === 'number' ? Number(value.toPrecision(9)) : value,
  );

describe('what is known', () => {
  it('is asked for once with the same, and again with another', () => {
    const known = new Known<object, number>(2);
    const [a, b] = [{}, {}];
    let n = 0;
    const next = (): number => ++n;
    expect([known.of(a, [1], next), known.of(a, [1], next), known.of(b, [1], next)]).toEqual([
      1, 1, 2,
    ]);
    expect(known.of(a, [2], next)).toBe(3);
    expect(known.of(a, [1], next)).toBe(1);
    // two are kept for one key: the third drives out the first
    known.of(a, [3], next);
    expect(known.of(a, [3], next)).toBe(4);
    expect(known.of(a, [1], next)).toBe(5);
    expect(known.of(a, [1], next, () => false)).toBe(6);
  });
});

describe('what is remembered by a key', () => {
  it('is worked out once, and the oldest goes when there is too much', () => {
    const remembered = new Remembered<number>(2);
    let n = 0;
    const ask = (key: string): number => remembered.of(key, () => ++n);
    expect([ask('a'), ask('a'), ask('b'), ask('a')]).toEqual([1, 1, 2, 1]);
    expect(ask('c')).toBe(3);
    expect(ask('b')).toBe(2);
    expect(ask('a')).toBe(4);
  });
  it('says the same whatever was asked before: a veil on sides that differ by a hair', () => {
    const veiled = (highMm: number): number => {
      const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
      const tier = build.tiers[0]!;
      tier.pour = newPour('dark-equal');
      setLayerHeight(tier, 0, highMm);
      const { pour } = planBuild(build, pantry).tiers[0]!.finish;
      return pour.ok ? pour.value!.veilMm : NaN;
    };
    const first = [25.2, 25.4].map(veiled);
    expect([25.4, 25.2].map(veiled).reverse()).toEqual(first);
    expect(first[0]).toBeGreaterThan(0);
  });
});

describe('an edit', () => {
  const start = tower();
  planBuild(start, pantry);
  const thicker = (tier: Tier): Tier => ({
    ...tier,
    gaps: tier.gaps.map((gap, i) => (i === 0 ? { ...gap, heightMm: gap.heightMm + 1 } : gap)),
  });
  const edits: [string, () => Build, [number, number, number]][] = [
    ['of nothing', () => start, [0, 0, 0]],
    ['of the name', () => ({ ...start, name: 'Another' }), [0, 0, 0]],
    [
      'that is a tick at the bench',
      () => ({
        ...start,
        bench: { ...start.bench, done: [{ stepKey: 'tier-1/bake', at: '2027-06-12T12:00:00Z' }] },
      }),
      [0, 0, 0],
    ],
    ['of the notes to the occasion', () => ({ ...start, brief: { ...start.brief } }), [1, 0, 0]],
    ['of a filling of the lowest tier', () => withTier(start, 0, thicker), [1, 1, 1]],
    // how much of the top below stays open is asked again
    ['of a filling of the middle tier', () => withTier(start, 1, thicker), [1, 1, 2]],
    [
      'of the drip of the middle tier',
      () => withTier(start, 1, (tier) => ({ ...tier, drip: { ...tier.drip!, fluidC: 34 } })),
      [1, 1, 2],
    ],
    ['of the board', () => ({ ...start, boardCoverMm: 3 }), [1, 0, 0]],
    [
      'of the cut of a portion',
      () => ({ ...start, brief: { ...start.brief, halves: !start.brief.halves } }),
      [1, 3, 3],
    ],
    [
      'that is a new tier on top',
      () => {
        const taller = structuredClone(start);
        addTier(taller);
        return { ...start, tiers: [...start.tiers, taller.tiers.at(-1)!] };
      },
      // the tier below it is open over less of its top
      [1, 1, 2],
    ],
  ];
  it.each(edits)('%s plans anew only what follows from it', (_what, edited, counts) => {
    planBuild(start, pantry);
    const next = edited();
    expect(made(() => planBuild(next, pantry))).toEqual(counts);
    expect(made(() => planBuild(next, pantry))).toEqual([0, 0, 0]);
  });
  it('that is under the hand makes no steps, no list and no price until they are asked for', () => {
    const before = makingsKnown.made;
    const next = withTier(start, 0, (tier) => thicker(thicker(tier)));
    const cakes = cakesKnown.made;
    const cake = planCake(next, pantry);
    expect([cakesKnown.made - cakes, makingsKnown.made - before]).toEqual([1, 0]);
    const making = planMaking(next, pantry);
    planMaking({ ...next, name: 'Another' }, pantry);
    expect([cakesKnown.made - cakes, makingsKnown.made - before]).toEqual([1, 1]);
    // and both together are the whole plan
    const { tally, figures, cautions, ...rest } = planBuild(next, pantry);
    expect(makingsKnown.made - before).toBe(1);
    expect(tally).toEqual({ ...cake.tally, handsOnMin: making.handsOnMin });
    expect(figures.all()).toEqual([...cake.figures.all(), ...making.figures.all()]);
    expect(cautions.length).toBe(cake.cautions.length + making.cautions.length);
    expect(rest.steps).toBe(making.steps);
    expect(rest.section).toBe(cake.section);
  });
  it('of a note at the bench that measures no height plans nothing of the cake anew', () => {
    planCake(start, pantry);
    const note = {
      id: 'n1',
      stepKey: 'tier-1/settle',
      at: '2027-06-12T12:00:00Z',
      kind: 'height' as const,
      value: 131,
      text: '',
      planned: { title: 'Let it settle', label: 'height', value: 130, show: 'size' as const },
    };
    const measured = { ...start, bench: { ...start.bench, notes: [note] } } as unknown as Build;
    planCake(measured, pantry);
    const cakes = cakesKnown.made;
    planCake(measured, pantry);
    const told = { ...note, id: 'n2', kind: 'words' as const, value: null, text: 'Fine crumb' };
    const more = { ...measured, bench: { ...measured.bench, notes: [note, told] } };
    planCake(more as unknown as Build, pantry);
    expect(cakesKnown.made - cakes).toBe(0);
  });
  it('gives what a fresh plan gives, whatever is edited after whatever', () => {
    fc.assert(
      fc.property(anyBuild, anyBuild, fc.nat(), (build, other, pick) => {
        planBuild(build, pantry);
        const i = pick % build.tiers.length;
        const donor = other.tiers[pick % other.tiers.length]!;
        const steps: Build[] = [
          withTier(build, i, (tier) => ({ ...tier, gaps: tier.gaps.map((gap) => ({ ...gap })) })),
          withTier(build, i, (tier) => ({ ...donor, id: tier.id })),
          { ...build, brief: other.brief },
          { ...build, piping: [] },
        ];
        for (const edited of steps) {
          const afresh = structuredClone(edited);
          expect(said(planBuild(edited, pantry))).toBe(said(planBuild(afresh, pantry)));
          expect(said(planShape(edited, pantry))).toBe(said(planShape(afresh, pantry)));
        }
      }),
      { numRuns: 8, seed: 15 },
    );
  });
  it('of a name shows the same shape on the shelf', () => {
    const shape = planShape(start, pantry);
    expect(planShape({ ...start, name: 'Another' }, pantry)).toBe(shape);
    expect(planShape({ ...start, boardCoverMm: 4 }, pantry)).not.toBe(shape);
  });
  it('of the pantry plans everything anew', () => {
    const own = startingPantry();
    planBuild(start, own);
    const changed = { ...own, kitchen: { ...own.kitchen, roomC: 26 } };
    expect(made(() => planBuild(start, changed))).toEqual([1, 3, 3]);
  });
  it('in place is an error, so that nothing stale is ever shown', () => {
    expect(() => (start.tiers[0]!.layers[0]!.heightMm = 99)).toThrow(TypeError);
  });
});
