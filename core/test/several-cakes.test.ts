import { describe, expect, it } from 'vitest';
import {
  bakedTogether,
  cakeDays,
  newBuild,
  planBuild,
  planShopping,
  usedOver,
  type Allergen,
  type Build,
  type MadeBatch,
  type OverBatch,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';
import { demo, placedOf, stepsOf, tasksOf } from './work-kit.ts';

/* Several cakes of one week: what is baked at once, what is over of one for another, and the washing up. */

const dated = (build: Build, id: string, serveAt: string): Build => ({
  ...build,
  id,
  name: id.toUpperCase(),
  brief: { ...build.brief, serveAt },
});
const plain = (id: string, serveAt: string): Build =>
  dated(newBuild('x', 'X', '2027-05-03T09:30:00Z'), id, serveAt);

describe('layers of one batter', () => {
  const daysOf = (builds: Build[]) =>
    builds.flatMap((build) => cakeDays(build, pantry)?.baked ?? []);
  it('of two cakes go into one oven: its mixing, its heat', () => {
    const two = [plain('a', '2027-06-19T16:00'), plain('b', '2027-06-19T18:00')];
    const batches = daysOf(two);
    expect(batches).toHaveLength(2);
    const [one, ...rest] = bakedTogether(batches, pantry.kitchen);
    expect(rest).toEqual([]);
    expect(one!.massG).toBeCloseTo(2 * batches[0]!.baking[0]!.bake.batterG, 6);
    expect(one!.parts.map(({ cakeId }) => cakeId).sort()).toEqual(['a', 'b']);
    // heated once in place of twice, and never more of anything than apart
    expect(one!.ovenMin).toBeGreaterThan(0);
    const { loads } = planBuild(two[0]!, pantry).oven!;
    expect(one!.loads).toBeLessThanOrEqual(2 * loads.length);
    expect(one!.mixes).toBeLessThanOrEqual(2);
    expect(one!.savesMin).toBe(30 * (2 - one!.mixes));
  });
  it('wait no longer than wrapped layers keep, and what holds pieces is another batter', () => {
    const apart = [plain('a', '2027-06-16T16:00'), plain('b', '2027-06-19T16:00')];
    expect(bakedTogether(daysOf(apart), pantry.kitchen)).toEqual([]);
    const crepes = [demo('comet-crepes'), demo('star-party')].map((build, i) =>
      dated(build, `c${i}`, '2027-06-19T16:00'),
    );
    const all = daysOf(crepes);
    // nothing of the crepes, one batter of the tray
    expect(all).toHaveLength(1);
    expect(all.every(({ baking }) => baking.every(({ bake }) => bake.cakes.length > 0))).toBe(true);
  });
  it('that fill the mixer twice are mixed twice', () => {
    const two = [plain('a', '2027-06-19T16:00'), plain('b', '2027-06-19T18:00')];
    const batches = daysOf(two);
    const ml = batches[0]!.baking[0]!.bake.cakes.reduce((sum, cake) => sum + cake.batterMl, 0);
    const small = { ...pantry.kitchen, mixerMl: ml / 0.6 };
    const [joint] = bakedTogether(batches, small);
    expect(joint?.savesMin ?? 0).toBe(0);
  });
});

describe('what is over of a bowl', () => {
  const hour = 3_600_000;
  const over = (more: Partial<OverBatch> = {}): OverBatch => ({
    cakeId: 'a',
    cake: 'A',
    recipeId: 'r',
    name: 'Glaze',
    kind: 'left',
    massG: 200,
    fromAt: 0,
    keepsMin: 24 * 60,
    ...more,
  });
  const bowl = (more: Partial<MadeBatch> = {}): MadeBatch => ({
    cakeId: 'b',
    cake: 'B',
    recipeId: 'r',
    name: 'Glaze',
    massG: 500,
    mixes: 1,
    largestMixG: null,
    minutesEach: 12,
    madeAt: 2 * hour,
    usedBy: 4 * hour,
    keepsMin: 600,
    ...more,
  });
  const nuts = new Map<string, Allergen[]>([
    ['a', ['tree nuts']],
    ['b', []],
    ['c', ['tree nuts', 'milk']],
  ]);
  const gramsOf = (overs: OverBatch[], bowls: MadeBatch[]) =>
    usedOver(overs, bowls, [], nuts).map(({ from, to, massG }) => [from, to, massG]);
  it('goes into the next bowl of its recipe while it keeps, never into its own', () => {
    expect(gramsOf([over()], [bowl()])).toEqual([['A', 'B', 200]]);
    expect(gramsOf([over()], [bowl({ usedBy: 25 * hour })])).toEqual([]);
    expect(gramsOf([over({ fromAt: 3 * hour })], [bowl()])).toEqual([]);
    expect(gramsOf([over()], [bowl({ cakeId: 'a' })])).toEqual([]);
    expect(gramsOf([over()], [bowl({ recipeId: 's' })])).toEqual([]);
    expect(gramsOf([over({ massG: 20 })], [bowl()])).toEqual([]);
  });
  it('is used once, what spoils first before what keeps', () => {
    const two = [over({ keepsMin: 48 * 60 }), over({ cakeId: 'z', cake: 'Z', massG: 400 })];
    expect(gramsOf(two, [bowl()])).toEqual([['Z', 'B', 400], ['A', 'B', 100]]); // prettier-ignore
    const bowls = [bowl(), bowl({ cakeId: 'c', cake: 'C', madeAt: 3 * hour, massG: 300 })];
    const given = gramsOf(two, bowls);
    expect(given.reduce((sum, [, , g]) => sum + (g as number), 0)).toBeCloseTo(600, 9);
  });
  it('as run-off goes where all is held that it ran over', () => {
    const ran = over({ kind: 'run-off' });
    expect(gramsOf([ran], [bowl()])).toEqual([]);
    expect(gramsOf([ran], [bowl({ cakeId: 'c', cake: 'C' })])).toEqual([['A', 'C', 200]]);
  });
  it('of two glazed cakes of one week is one rest where they are glazed from one bowl', () => {
    const cakes = [
      dated(demo('lunar-eclipse'), 'early', '2027-06-16T16:00'),
      dated(demo('lunar-eclipse'), 'late', '2027-06-19T16:00'),
    ];
    const days = Object.fromEntries(cakes.map((build) => [build.id, cakeDays(build, pantry)]));
    const list = planShopping(cakes, pantry, 2, undefined, undefined, days);
    expect(list.together.map(({ name }) => name)).toContain('Mirror glaze');
    expect(list.usedOver).toEqual([]);
    // and glazed from two, the first one's tray and rest go into the second
    const [early, late] = [days.early!, days.late!];
    const holds = new Map(list.builds.map(({ id, allergens }) => [id, allergens]));
    const glaze = usedOver([...early.over, ...late.over], late.made, [], holds).filter(
      ({ name }) => name === 'Mirror glaze',
    );
    const rests = early.over.filter(({ name }) => name === 'Mirror glaze');
    expect(rests.map(({ kind }) => kind).sort()).toEqual(['left', 'run-off']);
    expect(glaze.map(({ massG }) => massG).sort()).toEqual(rests.map(({ massG }) => massG).sort());
    expect(glaze.every(({ from, to }) => from === 'EARLY' && to === 'LATE')).toBe(true);
  });
});

describe('washing up', () => {
  it('is done while the boxed cake gets cold, and before it leaves', () => {
    const build = demo('jubilee');
    const plan = planBuild(build, pantry);
    const tasks = tasksOf(build, plan);
    const placed = new Map(placedOf(build, tasks).map((one) => [one.id, one]));
    const taskOf = (key: string) => placed.get(tasks.find((one) => one.stepKeys.includes(key))!.id)!; // prettier-ignore
    const [box, wash, road] = ['box', 'wash-up', 'road'].map(taskOf);
    expect(wash!.startMin).toBeGreaterThanOrEqual(box!.handsEndMin);
    expect(wash!.endMin).toBeLessThanOrEqual(box!.endMin);
    expect(wash!.endMin).toBeLessThanOrEqual(road!.startMin);
  });
  it('is in one go with the box where nothing waits, and takes its minutes once', () => {
    const fresh = newBuild('x', 'X', '2027-05-03T09:30:00Z');
    const build = { ...fresh, journey: { ...fresh.journey, byRoad: false } };
    const steps = stepsOf(planBuild(build, pantry));
    const keys = steps.map(({ key }) => key);
    expect(keys.indexOf('wash-up')).toBe(keys.indexOf('box') + 1);
    const tasks = tasksOf(build, planBuild(build, pantry));
    const task = tasks.find(({ stepKeys }) => stepKeys.includes('box'))!;
    expect(task.stepKeys).toContain('wash-up');
  });
});
