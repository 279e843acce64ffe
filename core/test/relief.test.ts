import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  carveKey,
  drawPicture,
  limits,
  motifLine,
  motifs,
  newBuild,
  newCarving,
  newCut,
  reliefMm2,
  type Build,
  type Motif,
  type Point,
  type ReliefCut,
} from '../src/index.ts';
import { planCarved } from '../src/solids/index.ts';
import { between, pantry } from './arbitrary-base.ts';

const room = { radiusMm: 90, widthMm: 180, heightMm: 110 };
const relief = (to: Partial<ReliefCut>): ReliefCut => ({
  ...(newCut('relief', 'relief', room) as ReliefCut),
  ...to,
});
const within = (line: readonly Point[]): number =>
  Math.abs(
    line.reduce((sum, p, i) => {
      const q = line[(i + 1) % line.length]!;
      return sum + p.x * q.y - q.x * p.y;
    }, 0),
  ) / 2;
const drawn = motifs.filter((motif): motif is Exclude<Motif, 'letters'> => motif !== 'letters');

describe('what a relief takes of the coat', () => {
  it('is that of an ellipse, a rectangle, a drawing as it was measured', () => {
    const size = { wideMm: 40, highMm: 30 };
    expect(reliefMm2(relief({ motif: 'oval', ...size }))).toBeCloseTo(Math.PI * 20 * 15, 6);
    expect(reliefMm2(relief({ motif: 'oblong', ...size }))).toBeCloseTo(1200, 6);
    expect(reliefMm2(relief({ motif: 'own', ...size, areaMm2: 1100 }))).toBe(1100);
  });
  it('of a regular star is that of its ten triangles', () => {
    // a pentagram in a ring of 1 is 1.122570 large; its box is 1.902113 by 1.809017
    const cut = relief({ motif: 'star', wideMm: 190.2113, highMm: 180.9017 });
    expect(reliefMm2(cut)).toBeCloseTo(11225.7, 0);
  });
  it('of letters goes by the length of their strokes, and never beyond the room they take', () => {
    const word = (words: string, strokeMm: number): number =>
      reliefMm2(relief({ motif: 'letters', words, highMm: 30, strokeMm }));
    expect(word('ORION', 4) / word('ORION', 2)).toBeCloseTo(2, 9);
    expect(word('ORION', 2) / word('O', 2)).toBeCloseTo(5, 9);
    expect(word('', 4)).toBe(0);
    expect(word('O', 60)).toBeLessThan(30 * 30);
  });
  it('is what lies within its line, and grows with the square of its size', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...drawn),
        between(limits.motifMm),
        between(limits.motifMm),
        (motif, wideMm, highMm) => {
          // prettier-ignore
          const cut = relief({ motif, wideMm, highMm, areaMm2: wideMm * highMm });
          const area = reliefMm2(cut);
          // 48 corners of a round cut off a third of a per cent
          expect(within(motifLine(cut)) / area).toBeGreaterThan(0.996);
          expect(within(motifLine(cut)) / area).toBeLessThan(1 + 1e-9);
          const twice = {
            ...cut,
            wideMm: 2 * wideMm,
            highMm: 2 * highMm,
            areaMm2: 4 * cut.areaMm2,
          };
          expect(reliefMm2(twice) / area).toBeCloseTo(4, 9);
        },
      ),
    );
  });
  it('fits its box', () => {
    for (const motif of drawn.filter((one) => one !== 'own')) {
      const line = motifLine(relief({ motif, wideMm: 50, highMm: 80 }));
      expect(Math.max(...line.map(({ x }) => x)) - Math.min(...line.map(({ x }) => x))).toBeCloseTo(50, 1); // prettier-ignore
      expect(Math.max(...line.map(({ y }) => y)) - Math.min(...line.map(({ y }) => y))).toBeCloseTo(80, 1); // prettier-ignore
    }
  });
});

describe('where a relief is', () => {
  const carved = (...cuts: ReliefCut[]): Build => {
    const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
    build.colours = [{ name: 'gold', hex: '#c9993a', gPerKg: null, doses: [] }];
    build.tiers[0]!.carving = { ...newCarving(), cuts: [newCut('edge', 'e', room), ...cuts] };
    return build;
  };
  it('is nothing to the solid: moved, it is not cut anew', async () => {
    const at = async (bearingDeg: number, isOn = true): Promise<string> => {
      const plan = await planCarved(carved(relief({ bearingDeg, on: isOn })), pantry);
      return carveKey(plan.tiers[0]!.carve!.question);
    };
    expect(await at(90)).toBe(await at(270));
  });
  it('is told at the bench and shown in the picture, facing the way it is looked at', async () => {
    const cuts = [
      relief({ id: 'side', bearingDeg: 90, upMm: 40, motif: 'heart' }),
      relief({ id: 'top', where: 'top', bearingDeg: 180, outMm: 30, inlaySpreadId: 'meringue', inlayTint: 'gold', words: ' R ' }), // prettier-ignore
    ];
    const build = carved(...cuts);
    const plan = await planCarved(build, pantry);
    if (!plan.steps.ok) throw new Error('no steps');
    const leads = plan.steps.value
      .filter(({ key }) => key.includes('/relief/'))
      .map(({ lead }) => lead!.text);
    expect(leads[0]).toMatch(/^A heart .* on the right \(3 o’clock\)/);
    expect(leads[1]).toMatch(/^“R” in letters .* on the top.*then fill it/);
    const [side, top] = drawPicture(build, plan, pantry).carved[0]!.reliefs;
    expect(side).toMatchObject({ part: 'tier-1/cut/side', look: null, text: null });
    expect(side!.at).toEqual({ x: 0, y: 0, z: 40 });
    expect(side!.out.x).toBeCloseTo(1, 9);
    expect(top).toMatchObject({ look: '#c9993a', text: 'R', out: { x: 0, y: 0, z: 1 } });
    // the front is where y is less
    expect(top!.at.y).toBeCloseTo(-30, 9);
  });
  it('is cautioned where it reaches beyond the side', async () => {
    const titles = async (cut: ReliefCut): Promise<string> =>
      (await planCarved(carved(cut), pantry)).cautions.map(({ title }) => title.text).join();
    expect(await titles(relief({ motif: 'star', highMm: 20, upMm: 40 }))).not.toContain('beyond the side'); // prettier-ignore
    expect(await titles(relief({ motif: 'star', highMm: 20, upMm: 5 }))).toContain('beyond the side'); // prettier-ignore
    expect(await titles(relief({ motif: 'star', highMm: 300, upMm: 160 }))).toContain('beyond the side'); // prettier-ignore
  });
});
