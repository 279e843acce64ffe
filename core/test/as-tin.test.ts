import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  areaMm2,
  builtUpMm,
  downAt,
  drawElevation,
  equalRadiusMm,
  flutedLine,
  flutedOver,
  flutesSeen,
  mouldFaces,
  mouldMlBetween,
  mouldOf,
  mouldOutlineAt,
  newBuild,
  newDrip,
  outlineSchema,
  planBuild,
  setAsTin,
  takeShape,
  tinVolumeMl,
  widthMm,
  type AsTin,
  type Build,
  type MouldShape,
  type Tin,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';
import { stepsOf } from './work-kit.ts';

/* Cakes that keep the shape of the tin they baked in: rounded, fluted, two of them to a ball. */

const tinOf = (more: Partial<Tin>): Tin => ({
  ...pantry.tins.find(({ id }) => id === 'rounded-ring-18')!,
  ...more,
});
const shaped = (tinId: string, how: AsTin, change: (build: Build) => void = () => {}): Build => {
  const build = newBuild('b', 'B', '2027-05-03T09:30:00Z');
  const [tier] = build.tiers;
  tier!.tinId = tinId;
  tier!.slicesPerCake = 2;
  setAsTin(tier!, how, pantry.tins);
  change(build);
  return build;
};

describe('the volume of a tin', () => {
  it('with a rounded ring is that of half a torus and the straight above it', () => {
    // room 70 wide: half an ellipse round, 35 high; its middle runs on a round of 110
    const tin = tinOf({ outline: { kind: 'ring', diameterMm: 180, holeMm: 40 }, depthMm: 80 });
    const torus = (Math.PI * 110 * ((Math.PI / 2) * 35 * 35)) / 1000;
    expect(tinVolumeMl(tin, 35)).toBeCloseTo(torus, 2);
    expect(tinVolumeMl(tin, 80)).toBeCloseTo(torus + (Math.PI * 110 * 70 * 45) / 1000, 2);
  });
  it('with a rounded bottom and no hole is half an ellipsoid and the straight above it', () => {
    const tin = tinOf({ outline: { kind: 'round', diameterMm: 160 }, depthMm: 80 });
    expect(tinVolumeMl(tin, 80)).toBeCloseTo(((2 / 3) * Math.PI * 80 ** 3) / 1000, 2);
  });
  it('with flutes is that of the round of equal area', () => {
    const flutes = { count: 16, depthMm: 8 };
    const tin = tinOf({ form: 'upright', outline: { kind: 'round', diameterMm: 200 }, depthMm: 70, flutes }); // prettier-ignore
    // the mean of (R - d/2 + d/2 cos)^2 is (R - d/2)^2 + d^2/8
    expect(tinVolumeMl(tin, 70)).toBeCloseTo((Math.PI * (96 ** 2 + 8) * 70) / 1000, 6);
    expect(equalRadiusMm(100, null)).toBe(100);
  });
  it('with flutes has more wall the deeper and the more of them, and none without', () => {
    expect(flutedOver(100, null)).toBe(1);
    expect(flutedOver(100, { count: 16, depthMm: 1e-9 })).toBeCloseTo(1, 6);
    // many shallow waves: a sine of slope s is longer by about s^2/4
    const slope = (40 * 2) / 2 / 99;
    expect(flutedOver(100, { count: 40, depthMm: 2 })).toBeCloseTo(1 + slope ** 2 / 4, 2);
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 40 }),
        fc.double({ min: 1, max: 20, noNaN: true }),
        (count, depthMm) => {
          const over = flutedOver(120, { count, depthMm });
          expect(over).toBeGreaterThanOrEqual(0.99);
          expect(flutedOver(120, { count: count + 4, depthMm })).toBeGreaterThan(over);
        },
      ),
      { numRuns: 40, seed: 3 },
    );
  });
});

describe('two rings put together', () => {
  const ring = tinOf({ outline: { kind: 'ring', diameterMm: 180, holeMm: 40 }, depthMm: 35 });
  const torus: MouldShape = { tin: ring, order: 'mouth to mouth', filledMm: 70 };
  it('are a whole torus: its volume, its skin, its widest round in the middle', () => {
    expect(mouldMlBetween(torus, 0, 70)).toBeCloseTo((Math.PI * 110 * Math.PI * 35 ** 2) / 1000, 1);
    const skin = Math.PI * 110 * (2 * Math.PI * 35);
    expect(mouldFaces(torus, 70).sideMm2 / skin).toBeCloseTo(1, 1);
    expect(widthMm(mouldOutlineAt(torus, 35))).toBeCloseTo(180, 6);
    expect(mouldMlBetween(torus, 0, 35)).toBeCloseTo(mouldMlBetween(torus, 35, 70), 6);
  });
  it('are parted at any height without loss', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('upright' as const, 'upside down' as const, 'mouth to mouth' as const),
        fc.double({ min: 0, max: 70, noNaN: true }),
        fc.double({ min: 20, max: 120, noNaN: true }),
        (order, mm, filledMm) => {
          const shape = { tin: ring, order, filledMm };
          const at = Math.min(mm, filledMm);
          const all = mouldMlBetween(shape, 0, filledMm);
          const parts = mouldMlBetween(shape, 0, at) + mouldMlBetween(shape, at, filledMm);
          expect(parts).toBeCloseTo(all, 6);
          expect(mouldMlBetween(shape, 0, at)).toBeGreaterThanOrEqual(-1e-9);
        },
      ),
      { numRuns: 60, seed: 4 },
    );
  });
});

describe('a tier that keeps the shape of its tin', () => {
  it('takes its size, its height and as many layers as its cakes are split into', () => {
    const one = shaped('fluted-ring-24', 'turned over').tiers[0]!;
    expect(one.layers).toHaveLength(2);
    const two = shaped('rounded-ring-18', 'mouth to mouth').tiers[0]!;
    expect(two.layers).toHaveLength(4);
    for (const tier of [one, two]) {
      const shape = mouldOf(tier, pantry.tins)!;
      const widest = shape.order === 'mouth to mouth' ? shape.filledMm / 2 : 0;
      expect(tier.outline).toEqual(mouldOutlineAt(shape, widest));
    }
  });
  it('weighs by its volume: its layers are all that its cakes give, the smaller the less', () => {
    const build = shaped('fluted-ring-24', 'turned over');
    const plan = planBuild(build, pantry).tiers[0]!;
    if (!plan.bake.ok) throw new Error(plan.bake.problem);
    const soaked = plan.soak.reduce((sum, { massG }) => sum + massG, 0);
    const all = plan.layersG!.reduce((sum, g) => sum + g, 0) - soaked;
    const given = plan.bake.value.cakes.reduce((sum, { layersG }) => sum + layersG, 0);
    expect(all).toBeCloseTo(given, 6);
    const perMm = plan.layersG!.map((g, i) => g / build.tiers[0]!.layers[i]!.heightMm);
    expect(perMm[1]!).toBeLessThan(perMm[0]!);
    // nothing is cut off to make it straight
    const [cake] = plan.bake.value.cakes;
    expect(cake!.trimG / cake!.bakedG).toBeLessThan(0.12);
  });
  it('has its filling, its coat and its glaze by its own walls', () => {
    const straight = newBuild('s', 'S', '2027-05-03T09:30:00Z');
    const own = shaped('rounded-ring-18', 'turned over');
    straight.tiers[0] = { ...own.tiers[0]!, asTin: null };
    const [a, b] = [own, straight].map((build) => planBuild(build, pantry).tiers[0]!);
    if (!a!.gaps.ok || !b!.gaps.ok) throw new Error('gaps');
    const shape = a!.mould!;
    const at = own.tiers[0]!.layers[0]!.heightMm;
    expect(a!.gaps.value[0]!.areaMm2 / b!.gaps.value[0]!.areaMm2).toBeCloseTo(
      areaMm2(mouldOutlineAt(shape, at)) / areaMm2(own.tiers[0]!.outline),
      6,
    );
    if (!a!.coat.ok || !b!.coat.ok) throw new Error('coat');
    expect(a!.coat.value.coatG).toBeLessThan(b!.coat.value.coatG);
    expect(a!.coat.value.coatG).toBeGreaterThan(0.5 * b!.coat.value.coatG);
  });
  it('is drawn with its own walls, its hole too', () => {
    const plan = planBuild(shaped('rounded-ring-18', 'turned over'), pantry);
    const hole = plan.section.parts.find(({ kind }) => kind === 'hole')!;
    const xs = hole.lines![0]!.map(([x]) => x);
    expect(Math.max(...xs)).toBeGreaterThan(20 + 5);
    const top = plan.section.parts.filter(({ kind }) => kind === 'layer').at(-1)!;
    expect(top.lines).toBeDefined();
  });
  it('says when its layers make it another size, and takes that', () => {
    const build = shaped('fluted-ring-24', 'turned over', ({ tiers }) => {
      for (const layer of tiers[0]!.layers) layer.heightMm = 14;
    });
    const ids = (one: Build) => planBuild(one, pantry).cautions.map(({ id }) => id);
    expect(ids(build)).toContain('tier-1/mould/size');
    const taken = structuredClone(build);
    takeShape(taken.tiers[0]!, pantry.tins);
    expect(ids(taken)).not.toContain('tier-1/mould/size');
  });
  it('take no size that no cake may have: a few millimetres in a ball leave it as it was', () => {
    for (const { id } of pantry.tins)
      for (const how of ['turned over', 'mouth to mouth'] as const)
        for (const heightMm of [3, 10, 60]) {
          const build = shaped(id, how);
          const [tier] = build.tiers;
          const before = tier!.outline;
          tier!.layers = [{ ...tier!.layers[0]!, heightMm }];
          tier!.gaps = [];
          takeShape(tier!, pantry.tins);
          expect(outlineSchema.isValidSync(tier!.outline, { strict: true }), id).toBe(true);
          if (id === 'ball-16' && how === 'turned over' && heightMm === 3)
            expect(tier!.outline).toEqual(before);
        }
  });
  it('has its tin greased without paper, and turned out at its time', () => {
    const steps = stepsOf(planBuild(shaped('fluted-ring-24', 'turned over'), pantry));
    const lined = steps.find(({ kind }) => kind === 'line tin')!;
    expect(lined.lead!.text).toContain('every flute');
    expect(lined.lead!.text).not.toContain('line the bottom');
    expect(steps.find(({ kind }) => kind === 'turn out')!.lead!.text).toContain('mouth down');
  });
  it('has no dab in its hole, and a collar under a belly', () => {
    const leadOf = (how: AsTin): string =>
      stepsOf(planBuild(shaped('rounded-ring-18', how), pantry)).find(({ key }) => key.endsWith('/first'))!.lead!.text; // prettier-ignore
    expect(leadOf('turned over')).toContain('nothing under its hole');
    expect(leadOf('turned over')).not.toContain('collar');
    expect(leadOf('mouth to mouth')).toContain('collar');
  });
});

describe('the top of a shaped cake', () => {
  const rimFor = (tinId: string, how: AsTin, change: (build: Build) => void = () => {}) =>
    planBuild(shaped(tinId, how, change), pantry);
  it('ends at its own edge where it stands straight', () => {
    const { rim, finished } = planBuild(newBuild('b', 'B', '2027-05-03T09:30:00Z'), pantry)
      .tiers[0]!;
    expect(rim).toEqual({ outline: finished, downMm: 0, wall: [] });
    expect(downAt(rim, 40)).toBe(0);
  });
  it('of a loaf with leaning sides is narrower than its foot, and level', () => {
    const [tier] = rimFor('loaf-23', 'turned over').tiers;
    const { rim, finished } = tier!;
    expect(rim.downMm).toBe(0);
    // it leans out by 8 mm all round over its depth of 70
    const off = (widthMm(finished) - widthMm(rim.outline)) / 2;
    expect(off).toBeCloseTo((8 * builtUpMm(shaped('loaf-23', 'turned over').tiers[0]!)) / 70, 0);
  });
  it('of a rounded one goes over into its side where that is at 45°', () => {
    // half an ellipse of 80 by 80: a circle, so at 45° it is 80 (1 - cos 45°) down and 80 sin 45° out
    const own = { ...pantry, tins: [...pantry.tins, tinOf({ id: 'dome', outline: { kind: 'round', diameterMm: 160 }, depthMm: 80 })] }; // prettier-ignore
    const build = newBuild('b', 'B', '2027-05-03T09:30:00Z');
    build.tiers[0]!.tinId = 'dome';
    build.tiers[0]!.slicesPerCake = 2;
    setAsTin(build.tiers[0]!, 'turned over', own.tins);
    build.tiers[0]!.coat = { ...build.tiers[0]!.coat, style: 'naked' };
    build.tiers[0]!.drip = newDrip('dark-equal');
    const [tier] = planBuild(build, own).tiers;
    const { rim } = tier!;
    const high = builtUpMm(build.tiers[0]!);
    // filled less than to its brim, the round begins as far up
    expect(rim.downMm).toBeCloseTo(80 * (1 - Math.SQRT1_2), -0.3);
    expect(widthMm(rim.outline) / 2).toBeCloseTo(80 * Math.SQRT1_2, -0.3);
    expect(high).toBeGreaterThan(60);
    expect(downAt(rim, 0)).toBe(0);
    // looked at every millimetre, and the stack settles by less than another
    expect(Math.abs(downAt(rim, 30) - (80 - Math.sqrt(80 ** 2 - 30 ** 2)))).toBeLessThan(2);
    // its drips run from there, no further than to its foot
    const drip = tier!.finish.drip.ok ? tier!.finish.drip.value! : null;
    expect(drip!.count).toBeLessThan(Math.PI * 160 / 20); // prettier-ignore
    for (const { lengthMm } of drip!.drips)
      expect(lengthMm).toBeLessThanOrEqual(high - rim.downMm + 1);
  });
  it('with flutes shows them from the front while its coat is thin, and not under a thick one', () => {
    const flutesIn = (mm: number) =>
      drawElevation(
        ...(() => {
          const build = shaped('fluted-ring-24', 'turned over', ({ tiers }) =>
            Object.assign(tiers[0]!.coat, { style: 'naked', sideMm: mm, crumbMm: 0, topMm: mm }),
          );
          return [build, planBuild(build, pantry), pantry] as const;
        })(),
      ).shapes.filter(({ kind }) => kind === 'flute');
    expect(flutesIn(0)).toHaveLength(8);
    for (const { lines, x0, x1 } of flutesIn(0)) {
      expect(lines![0]!.every(([x]) => x >= -120 && x <= 120)).toBe(true);
      expect(x0).toBe(x1);
    }
    expect(flutesIn(6)).toEqual([]);
    expect(flutesSeen(null, 0)).toBeNull();
  });
  it('with flutes is drawn from above with as many crests', () => {
    const line = flutedLine(120, { count: 16, depthMm: 8 });
    const r = line.map(({ x, y }) => Math.hypot(x, y));
    expect(Math.max(...r)).toBeCloseTo(120, 9);
    expect(Math.min(...r)).toBeCloseTo(112, 9);
    expect(r.filter((one, i) => one > r[(i + 1) % r.length]! && one > r.at(i - 1)!)).toHaveLength(
      16,
    );
  });
});
