import { afterAll, beforeAll, expect } from 'vitest';
import {
  newBuild,
  newCarving,
  planBuild,
  startingPantry,
  type CarveQuestion,
  type Cut,
  type Outline,
} from '../src/index.ts';
import { Carver, carveAnswer, startLibrary, type Library } from '../src/solids/index.ts';

/* What the tests of the solids share: plain stocks of one material, cuts, and how near is near. */

export let lib: Library;
export let carver: Carver;
/** Starts the solids for the tests of a file, and lets go of them at its end. */
export function useSolids(): void {
  beforeAll(async () => {
    lib = await startLibrary();
    carver = new Carver(lib, 128);
  });
  afterAll(() => carver.end());
}

export const pantry = startingPantry();
export const base = { on: true, name: 'cut' };
export const cover = { crumbMm: 0, sideMm: 0, topMm: 0, fondantMm: 0 };
/** A plain cylinder or box of one material, 1 g to the mL. */
export const plain = (outline: Outline, heightMm: number, cuts: Cut[]): CarveQuestion => ({
  tierId: 't',
  stock: {
    outline,
    bands: [{ part: 'layer/0', fromMm: 0, toMm: heightMm, gPerMl: 1 }],
    heightMm,
    crownMm: 0,
    centre: null,
    balls: [],
  },
  cuts,
  cover,
  guidesMm: [],
});
export const round = (diameterMm: number): Outline => ({ kind: 'round', diameterMm });
export const answer = (question: CarveQuestion) => carveAnswer(carver, question);
/** The question a tier of the program itself asks. */
export function asked(cuts: Cut[], change: (tier: ReturnType<typeof tierOf>) => void = () => {}) {
  const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
  const tier = tierOf(build);
  tier.carving = { ...newCarving(), cuts };
  change(tier);
  return { build, question: planBuild(build, pantry).tiers[0]!.carve!.question };
}
export const tierOf = (build: ReturnType<typeof newBuild>) => build.tiers[0]!;
export const near = (value: number, wanted: number, share = 0.005): void =>
  expect(Math.abs(value / wanted - 1)).toBeLessThan(share);
export const linesArea = (lines: readonly (readonly [number, number][])[]): number =>
  lines.reduce(
    (all, line) =>
      all +
      line.reduce((sum, [x, y], i) => {
        const [x2, y2] = line[(i + 1) % line.length]!;
        return sum + (x * y2 - x2 * y) / 2;
      }, 0),
    0,
  );
export const plane = (more: Partial<Extract<Cut, { kind: 'plane' }>>): Cut => ({
  ...base,
  id: 'p',
  kind: 'plane',
  bearingDeg: 180,
  slopeDeg: 0,
  outMm: 0,
  upMm: 50,
  away: 'above',
  ...more,
});
