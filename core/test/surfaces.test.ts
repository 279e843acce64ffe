import { describe, expect, it } from 'vitest';
import {
  areaMm2,
  isForGrownUps,
  newBuild,
  newSurface,
  perimeterMm,
  planBuild,
  planSurfaces,
  surfaceWays,
  type Build,
  type Surface,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';
import { placeOf, stepsOf, tasksOf } from './work-kit.ts';

/* Glaze, paint, dust and spray: so many grams on so much surface, coat by coat, each dry before the next. */

const withSurfaces = (...surfaces: Surface[]): Build => {
  const build = newBuild('surfaces', 'Surfaces', '2027-05-03T09:30:00Z');
  build.tiers[0]!.surfaces = surfaces;
  return build;
};
const paint: Surface = { ...newSurface('gold', 'paint'), coats: 3, dryMin: 40 };

describe('what is put on a surface', () => {
  const [tier] = withSurfaces(paint).tiers;
  const round = { kind: 'round' as const, diameterMm: 200 };
  it('goes by the area it covers and its coats', () => {
    const of = (where: Surface['where']): number =>
      planSurfaces({ ...tier!, surfaces: [{ ...paint, where }] }, round, 100)[0]!.massG;
    // 200 across and 100 high: 314 cm2 of top, 628 of side, 0.004 g to each of three coats
    expect(of('top')).toBeCloseTo((areaMm2(round) / 100) * 0.004 * 3, 9);
    expect(of('side')).toBeCloseTo(((perimeterMm(round) * 100) / 100) * 0.004 * 3, 9);
    expect(of('all over')).toBeCloseTo(of('top') + of('side'), 9);
    expect(of('side')).toBeCloseTo(7.54, 2);
  });
  it('is at hand with what stays on the brush', () => {
    for (const way of surfaceWays) {
      const [one] = planSurfaces({ ...tier!, surfaces: [newSurface('x', way)] }, round, 100);
      expect(one!.atHandG, way).toBeGreaterThan(one!.massG);
      expect(one!.atHandG, way).toBeLessThan(3 * one!.massG);
    }
  });
  it('is weighed with the cake, and bought', () => {
    const glazed = planBuild(withSurfaces(newSurface('jam', 'glaze')), pantry);
    const bare = planBuild(withSurfaces(), pantry);
    const [surface] = glazed.tiers[0]!.surfaces;
    expect(glazed.tally.massG! - bare.tally.massG!).toBeCloseTo(surface!.massG, 6);
    if (!glazed.ingredients.ok) throw new Error('no ingredients');
    const jam = glazed.ingredients.value.find(({ foodId }) => foodId === 'jam')!;
    expect(jam.massG).toBeCloseTo(surface!.atHandG, 6);
  });
  it('says what it holds with all the rest of the tier', () => {
    const said = { ...newSurface('nuts', 'dust'), foodId: null, allergens: ['tree nuts' as const] };
    const plan = planBuild(withSurfaces(said), pantry);
    expect(plan.allergens).toContain('tree nuts');
    expect(plan.unknownLines).toContain(said.name);
  });
});

describe('the steps of a surface', () => {
  it('are one for each coat, after the coat of frosting, dry before the next and in no fridge', () => {
    const build = withSurfaces(paint);
    const plan = planBuild(build, pantry);
    const steps = stepsOf(plan);
    const keys = ['gold', 'gold/2', 'gold/3'].map((one) => `tier-1/surface/${one}`);
    const places = keys.map((key) => placeOf(steps, key));
    expect(places).toEqual([places[0], places[0]! + 1, places[0]! + 2]);
    expect(places[0]).toBeGreaterThan(placeOf(steps, 'tier-1/coat'));
    const own = keys.map((key) => steps.find((step) => step.key === key)!);
    expect(own.map(({ timer }) => timer!.minutes)).toEqual([40, 40, 40]);
    const grams = own.flatMap(({ takes }) => takes.map(({ massG }) => massG));
    expect(grams.reduce((a, b) => a + b, 0)).toBeCloseTo(plan.tiers[0]!.surfaces[0]!.atHandG, 9);
    const tasks = tasksOf(build, plan).filter(({ stepKeys }) =>
      stepKeys.some((key) => keys.includes(key)),
    );
    expect(tasks.length).toBe(3);
    for (const task of tasks)
      expect(task.uses.map(({ resource }) => resource)).not.toContain('fridge');
  });
  it('a spray is for grown-ups, far from a flame; dust wants no time to dry', () => {
    const steps = stepsOf(
      planBuild(withSurfaces(newSurface('s', 'spray'), newSurface('d', 'dust')), pantry),
    );
    const spray = steps.find(({ kind }) => kind === 'spray')!;
    expect(spray.hazards).toContain('open flame near vapour');
    expect(isForGrownUps(spray)).toBe(true);
    expect(spray.cautions.some(({ text }) => text.includes('flame'))).toBe(true);
    expect(steps.find(({ kind }) => kind === 'dust')!.timer).toBeNull();
  });
  it('warns of a torch over what is wet, and of wet over dry dust', () => {
    const idsOf = (build: Build): string[] => planBuild(build, pantry).cautions.map(({ id }) => id);
    const torched = withSurfaces(paint);
    torched.tiers[0]!.torched = true;
    expect(idsOf(torched)).toContain('tier-1/wet under torch');
    expect(idsOf(withSurfaces(paint))).not.toContain('tier-1/wet under torch');
    const dust = newSurface('d', 'dust');
    expect(idsOf(withSurfaces(dust, paint))).toContain('tier-1/wet on dust');
    expect(idsOf(withSurfaces(paint, dust))).not.toContain('tier-1/wet on dust');
  });
});
