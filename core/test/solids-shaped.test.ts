import { describe, expect, it } from 'vitest';
import {
  mouldMlBetween,
  mouldOf,
  setAsTin,
  setMould,
  type AsTin,
  type Cut,
  type Tier,
} from '../src/index.ts';
import { answer, asked, base, near, pantry, useSolids } from './solids-kit.ts';

/* What a mould or its tin shaped is carved as it stands: its solid follows its wall. */

useSolids();

/** Level, so high above its foot. */
const level = (upMm: number): Cut => ({ ...base, id: 'p', kind: 'plane', bearingDeg: 180, slopeDeg: 0, outMm: 0, upMm, away: 'above' }); // prettier-ignore
const cutMm = 30;

const shapedBy = (tinId: string, how: AsTin) => (tier: Tier) => {
  tier.tinId = tinId;
  tier.slicesPerCake = 2;
  setAsTin(tier, how, pantry.tins);
};
const inMould = (tinId: string) => (tier: Tier) =>
  setMould(tier, { tinId, order: 'upside down', setIn: 'freezer' }, pantry);

describe('the solid of a shaped tier', () => {
  it.each([
    ['a rounded ring turned over', shapedBy('rounded-ring-18', 'turned over')],
    ['a ball of two rings', shapedBy('rounded-ring-18', 'mouth to mouth')],
    ['a fluted ring, as the round of equal area', shapedBy('fluted-ring-24', 'turned over')],
    ['a loaf with leaning sides', shapedBy('loaf-23', 'turned over')],
    ['a cream from a dome mould', inMould('mould-dome')],
  ])('%s holds what its mould does and weighs what its layers do', (_, change) => {
    const { build, question } = asked([level(cutMm)], change);
    expect(question.stock.wall).toHaveLength(25);
    const result = answer(question);
    const [step] = result.steps;
    expect(step!.problem).toBeNull();
    const shape = mouldOf(build.tiers[0]!, pantry.tins)!;
    const { heightMm, bands } = question.stock;
    near(result.leftMl, mouldMlBetween(shape, 0, cutMm), 0.02);
    near(step!.removedMl, mouldMlBetween(shape, cutMm, heightMm), 0.02);
    const bandsG = bands.reduce(
      (sum, { fromMm, toMm, gPerMl }) => sum + gPerMl * mouldMlBetween(shape, fromMm, toMm),
      0,
    );
    near(result.stackG, bandsG, 0.02);
  });
  it('that stands straight asks as it always did', () => {
    expect('wall' in asked([level(cutMm)]).question.stock).toBe(false);
  });
});
