import { describe, expect, it } from 'vitest';
import {
  chooseTin,
  isNearTin,
  nearestOwned,
  newBuild,
  planBuild,
  startingPantry,
  type Build,
} from '../src/index.ts';

const pantry = startingPantry();
const round = (diameterMm: number) => ({ kind: 'round' as const, diameterMm });
const cake = (diameterMm: number, tinId: string): Build => {
  const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
  Object.assign(build.tiers[0]!, { outline: round(diameterMm), tinId });
  return build;
};
const idsOf = (build: Build, rows = pantry): string[] =>
  planBuild(build, rows).cautions.map((c) => `${c.severity} ${c.id}`);

describe('the tin for a cake of another size', () => {
  it('is the one a few millimetres away: 6, 8, 9, 10 and 12 inches have theirs', () => {
    const chosen = [6, 8, 9, 10, 12].map((inches) =>
      chooseTin(round(inches * 25.4), pantry.tins, 'heart-23'),
    );
    expect(chosen).toEqual(['round-15', 'round-20', 'round-23', 'round-25', 'round-30']);
    expect(chooseTin(round(200), pantry.tins, 'round-20')).toBe('round-20');
    // no tin near: the one it had stays
    expect(chooseTin(round(270), pantry.tins, 'round-20')).toBe('round-20');
    expect(
      isNearTin(
        round(270),
        pantry.tins.find((t) => t.id === 'round-28')!,
      ),
    ).toBe(false);
  });
  it('is said, with by how much it comes out smaller, and no stop and no offcuts follow', () => {
    for (const inches of [6, 8, 9, 10, 12]) {
      const build = cake(inches * 25.4, chooseTin(round(inches * 25.4), pantry.tins, 'round-20'));
      const ids = idsOf(build);
      expect(ids.filter((id) => id.startsWith('stop') && id.includes('tin'))).toEqual([]);
      expect(ids).not.toContain('note tier-1/trim');
      const bake = planBuild(build, pantry).tiers[0]!.bake;
      // off the sides comes next to nothing
      if (bake.ok) expect(bake.value.cakes[0]!.trimG).toBeLessThan(0.06 * bake.value.bakedG);
    }
    expect(idsOf(cake(203.2, 'round-20'))).toContain('note tier-1/near tin');
  });
  it('is offered where there is none, never as a stop', () => {
    const build = cake(270, 'round-20');
    const caution = planBuild(build, pantry).cautions.find((c) => c.id === 'tier-1/tin too small')!;
    expect(caution.severity).toBe('mind');
    expect(caution.todo.text).toContain('Round 28 cm');
    expect(nearestOwned(round(270), pantry.tins)!.id).toBe('round-28');
    expect(nearestOwned({ kind: 'petal', diameterMm: 200, petals: 8 }, pantry.tins)).toBeNull();
  });
});
