import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  areaMm2,
  centreDensity,
  flushSetbackMm,
  holdsInDamN,
  holdsN,
  isWorthSaying,
  loadGaps,
  newBuild,
  newPieces,
  newGap,
  planBuild,
  planCentre,
  runsThroughGap,
  settle,
  stressAt,
  warnOfSqueeze,
  type Build,
  type Caution,
  type Centre,
  type Gap,
  type GapLoad,
  type Spread,
  type Tier,
} from '../src/index.ts';
import { thinnerFillingMm } from '../src/fill/thinner.ts';
import { openAtEdge } from '../src/fill/tier-gaps.ts';
import { pantry } from './arbitrary.ts';

/* Fillings under load, by hand: round layers of 10 cm radius, stresses that one can reckon with. */

const g = 9.81 / 1000;
/** A spread with so much stress at 21 C and at 4 C; the rest is buttercream's. */
const spread = (id: string, stress21Pa: number, stress4Pa: number): Spread => ({
  ...pantry.spreads[0]!,
  id,
  name: id === 'coat' ? 'Coat' : 'Filling',
  stress21Pa,
  stress4Pa,
});
const rows = [spread('filling', 60, 600), spread('coat', 900, 9000)];
const spreadOf = (id: string): Spread => rows.find((row) => row.id === id)!;
const tierWith = (gap: Partial<Gap>, more: Partial<Tier> = {}): Tier => {
  const tier = newBuild('b', 'Test', '2027-05-03T09:30:00Z').tiers[0]!;
  return {
    ...tier,
    coat: { ...tier.coat, spreadId: 'coat' },
    layers: tier.layers.slice(0, 2),
    gaps: [{ ...newGap(8, 'filling'), ...gap }],
    ...more,
  };
};
const loadOf = (tier: Tier, aboveG: number): GapLoad => loadGaps(tier, [aboveG], spreadOf)[0]!;

describe('what a filling holds', () => {
  it('is 2·pi·stress·r³/(3·thickness): 60 Pa at 8 mm on 10 cm hold 15.7 N, 1.6 kg', () => {
    const byHand = (2 * Math.PI * 60 * 0.1 ** 3) / (3 * 0.008);
    expect(byHand).toBeCloseTo(15.708, 3);
    const load = loadOf(tierWith({}), 1000);
    expect(load.holdsN).toBeCloseTo(byHand, 6);
    expect(load.loadN).toBeCloseTo(1000 * g, 9);
    expect(load).toMatchObject({ holds: true, settledMm: 8, bulgeMl: 0, flushMm: 0, aboveG: 1000 });
  });
  it('goes with the cube of how far it is spread: kept 2 cm short it holds half', () => {
    const whole = loadOf(tierWith({}), 0).holdsN;
    expect(loadOf(tierWith({ setbackMm: 20 }), 0).holdsN / whole).toBeCloseTo(0.8 ** 3, 9);
  });
  it('is that of the cold spread where the tier is stacked cold', () => {
    const warm = loadOf(tierWith({}), 0).holdsN;
    expect(loadOf(tierWith({}, { stackedAt: 'cold' }), 0).holdsN / warm).toBeCloseTo(10, 6);
  });
  it('has its dam’s part: the ring’s own stress on its faces', () => {
    const load = loadOf(tierWith({ damMm: 15 }), 0);
    const [ri, w, t] = [0.085, 0.015, 0.008];
    const own = (2 * Math.PI * 60 * ri ** 3) / (3 * t);
    const ring = ((2 * 900 * w) / t) * Math.PI * (ri ** 2 + ri * w + w ** 2 / 3);
    expect(load.holdsN).toBeCloseTo(own + ring, 6);
    expect(holdsInDamN(60, 900, 85, 15, 8)).toBeCloseTo(own + ring, 9);
    expect(holdsInDamN(60, 900, 85, 15, 0)).toBe(Infinity);
    // a ring of nothing is no ring
    expect(holdsInDamN(60, 900, 100, 0, 8)).toBeCloseTo(holdsN(60, 100, 8), 9);
  });
  it('with a dam set back as well, ends at the dam', () => {
    const load = loadOf(tierWith({ damMm: 10, setbackMm: 10 }), 0);
    expect(load.holdsN).toBeCloseTo(holdsInDamN(60, 900, 80, 10, 8), 6);
  });
  it('is never shown beyond a hundred tonnes', () => {
    expect(loadOf(tierWith({ heightMm: 1e-6 }), 0).holdsN).toBe(1e6);
  });
});

describe('a filling that does not hold', () => {
  it('spreads until it does: t = (2·pi·stress·r³·t0^1.5/(3F))^0.4 while it is inside', () => {
    // kept 3 cm short, under 1 kg: it comes to rest inside the layer
    const load = loadOf(tierWith({ setbackMm: 30 }), 1000);
    const F = 1000 * g;
    const byHand = ((2 * Math.PI * 60 * 0.07 ** 3 * 0.008 ** 1.5) / (3 * F)) ** 0.4;
    expect(load.holds).toBe(false);
    expect(load.settledMm).toBeCloseTo(byHand * 1000, 6);
    expect(load.bulgeMl).toBe(0);
    expect(load.settledMm).toBeLessThan(8);
  });
  it('past the edge only what lies under the layer bears, and the rest bulges', () => {
    const load = loadOf(tierWith({}), 3000);
    const t1 = (2 * Math.PI * 60 * 0.1 ** 3) / (3 * 3000 * g);
    expect(load.settledMm).toBeCloseTo(t1 * 1000, 6);
    expect(load.bulgeMl).toBeCloseTo(Math.PI * 0.01 * (0.008 - t1) * 1e6, 3);
  });
  it('set back as advised it arrives flush', () => {
    const load = loadOf(tierWith({}), 3000);
    expect(load.flushMm).toBeCloseTo(flushSetbackMm(60, 100, 8, 3000 * g), 9);
    const kept = loadOf(tierWith({ setbackMm: load.flushMm }), 3000);
    expect(kept.bulgeMl).toBeLessThan(1e-6);
    const rest = settle(60, 100 - load.flushMm, 100, 8, 3000 * g);
    expect(rest.radiusMm).toBeCloseTo(100, 3);
  });
  it('packed pieces keep it open from half of the gap on', () => {
    const pieces = (share: number, how: 'packed' | 'scattered' = 'packed'): Gap['pieces'] => [
      { ...newPieces('berries'), how, densityGPerMl: 1, share, gPerCm2: 0.2 },
    ];
    expect(loadOf(tierWith({ pieces: pieces(0.5) }), 9000)).toMatchObject({
      holds: true,
      settledMm: 8,
    });
    expect(loadOf(tierWith({ pieces: pieces(0.49) }), 9000).holds).toBe(false);
    expect(loadOf(tierWith({ pieces: pieces(0.9, 'scattered') }), 9000).holds).toBe(false);
  });
  it('is worth a word only where it comes out, by half a millimetre, a twentieth and half a millilitre', () => {
    const load: GapLoad = {
      aboveG: 0,
      loadN: 0,
      holdsN: 0,
      holds: false,
      settledMm: 6,
      bulgeMl: 5,
      flushMm: 3,
    };
    const says = (change: Partial<GapLoad>, heightMm = 8): boolean =>
      isWorthSaying(newGap(heightMm, 'filling'), { ...load, ...change });
    expect(says({})).toBe(true);
    expect(says({ holds: true })).toBe(false);
    expect([says({ bulgeMl: 0.5 }), says({ bulgeMl: 0.51 })]).toEqual([false, true]);
    expect([says({ settledMm: 7.5 }), says({ settledMm: 7.49 })]).toEqual([false, true]);
    // of 20 mm a twentieth is a millimetre
    expect([says({ settledMm: 19 }, 20), says({ settledMm: 18.9 }, 20)]).toEqual([false, true]);
  });
});

describe('what is said of it', () => {
  const said = (tier: Tier, aboveG: number[]): Caution[] => {
    const cautions: Caution[] = [];
    warnOfSqueeze(tier, loadGaps(tier, aboveG, spreadOf), spreadOf, cautions);
    return cautions;
  };
  const valuesOf = ({ todo }: Caution) => todo.values ?? {};
  it('is nothing where it holds', () => {
    expect(said(tierWith({}), [1000])).toEqual([]);
  });
  it('is the narrowest dam that holds, and how far short of the edge it arrives flush', () => {
    const tier = tierWith({});
    const [caution] = said(tier, [3000]);
    const { width, back } = valuesOf(caution!);
    expect(back!.value).toBeCloseTo(loadOf(tier, 3000).flushMm, 9);
    const holds = (damMm: number): boolean => loadOf(tierWith({ damMm }), 3000).holds;
    expect(holds(width!.value)).toBe(true);
    // narrower ones down to 8 mm do not hold, unless it is that one
    expect(width!.value === 8 || !holds(width!.value - 1)).toBe(true);
    expect(caution).toMatchObject({
      severity: 'mind',
      part: 'tier-1/gap/0',
      id: 'tier-1/squeeze/0',
    });
    expect(caution!.title.values).toMatchObject({ load: { value: 3000 }, from: { value: 8 } });
    expect(caution!.title.text).toContain('at room temperature');
  });
  it('finds the narrowest dam for any load, or that none holds', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1700, max: 60_000 }),
        fc.integer({ min: 0, max: 12 }),
        (aboveG, damMm) => {
          const [caution] = said(tierWith({ damMm }), [aboveG]);
          if (!caution) return;
          const { width } = valuesOf(caution);
          const holds = (mm: number): boolean =>
            loadGaps(tierWith({ damMm: mm }), [aboveG], spreadOf)[0]!.holds;
          if (!width) return void expect(holds(30)).toBe(false);
          expect(holds(width.value)).toBe(true);
          expect(width.value).toBeGreaterThan(damMm);
          for (let mm = Math.max(8, damMm + 1); mm < width.value; mm++)
            expect(holds(mm)).toBe(false);
        },
      ),
      { seed: 4, numRuns: 60 },
    );
  });
  it('is the cold where no dam is wide enough and the cold is', () => {
    const soft = [spread('filling', 60, 6000), spread('coat', 61, 6100)];
    const of = (id: string): Spread => soft.find((row) => row.id === id)!;
    const todoOf = (tier: Tier, aboveG: number): string => {
      const cautions: Caution[] = [];
      warnOfSqueeze(tier, loadGaps(tier, [aboveG], of), of, cautions);
      return cautions[0]!.todo.text;
    };
    expect(todoOf(tierWith({}), 9000)).toContain('Chill');
    // cold already, or too heavy even for the cold: a stiffer filling
    expect(todoOf(tierWith({}), 500_000)).toContain('stiffer');
    expect(todoOf(tierWith({}, { stackedAt: 'cold' }), 500_000)).toContain('stiffer');
  });
  it('is told once for layers that are alike, from the lowest on', () => {
    const tier = tierWith({});
    const three: Tier = {
      ...tier,
      layers: [...tier.layers, ...tier.layers],
      gaps: [tier.gaps[0]!, tier.gaps[0]!, { ...tier.gaps[0]!, heightMm: 4 }],
    };
    const cautions = said(three, [3000, 3000, 100]);
    expect(cautions).toHaveLength(1);
    expect(cautions[0]!.title.text).toContain('layers 1 and 2');
    expect(said(three, [3000, 100, 100])[0]!.title.text).toContain('layer 1 ');
  });
});

describe('a filling that came out softer', () => {
  it('is spread as thin as it then holds: stress × softer, to the half millimetre below', () => {
    const tier = tierWith({});
    // 60 · 0.4 = 24 Pa hold 1 kg up to 2·pi·24·0.001/(3·9.81) = 5.12 mm
    const mostMm = ((2 * Math.PI * 24 * 0.001) / (3 * 1000 * g)) * 1000;
    expect(mostMm).toBeCloseTo(5.12, 2);
    expect(thinnerFillingMm(tier, 0, [1000], spreadOf)).toBe(5);
    expect(thinnerFillingMm(tier, 0, [1000], spreadOf, 0.9)).toBe(8);
  });
  it('stays as it was planned where it holds, and is not spread where nothing holds', () => {
    expect(thinnerFillingMm(tierWith({}), 0, [100], spreadOf)).toBe(8);
    expect(thinnerFillingMm(tierWith({}), 0, [20_000], spreadOf)).toBeNull();
  });
  it('holds at what is advised and not much above', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 300, max: 3000 }),
        fc.double({ min: 0.2, max: 1, noNaN: true }),
        (aboveG, softer) => {
          const mm = thinnerFillingMm(tierWith({}), 0, [aboveG], spreadOf, softer);
          if (mm === null || mm === 8) return;
          const holds = (t: number): boolean => aboveG * g <= holdsN(60 * softer, 100, t);
          expect(holds(mm)).toBe(true);
          expect(holds(mm + 0.76)).toBe(false);
        },
      ),
      { seed: 9, numRuns: 60 },
    );
  });
});

describe('stress by temperature', () => {
  it('is a straight line in its logarithm, through both readings', () => {
    expect(stressAt(60, 600, 21)).toBeCloseTo(60, 9);
    expect(stressAt(60, 600, 4)).toBeCloseTo(600, 9);
    expect(stressAt(60, 600, 12.5)).toBeCloseTo(Math.sqrt(60 * 600), 9);
    expect(stressAt(60, 600, 38)).toBeCloseTo(6, 9);
  });
  it('of what has none is none', () => {
    expect(stressAt(0, 600, 10)).toBe(0);
    expect(stressAt(-1, 600, 10)).toBe(0);
    expect(stressAt(50, 0, 10)).toBe(50);
  });
});

describe('room at the edge', () => {
  it('is what a filling kept short leaves once it has settled', () => {
    const tier = tierWith({ setbackMm: 10 });
    const gap = {
      index: 0,
      heightMm: 8,
      fillingMl: 200,
      domeMl: 20,
      damMl: 10,
      piecesMl: 5,
      drizzleMl: 1,
      voidMl: 0,
    };
    const whole = (areaMm2(tier.outline) * 8) / 1000;
    expect(openAtEdge(tier, [gap as never], [8])).toBeCloseTo(whole - 196, 9);
    expect(openAtEdge(tier, [gap as never], [7.9])).toBeCloseTo((whole * 7.9) / 8 - 196, 9);
    // air between beads is not at the edge
    expect(openAtEdge(tier, [{ ...gap, voidMl: 30 } as never], [8])).toBeCloseTo(whole - 226, 9);
    // never less than none
    expect(openAtEdge(tier, [{ ...gap, fillingMl: 900 } as never], [8])).toBe(0);
    expect(openAtEdge(tier, [gap as never], [])).toBeCloseTo(whole - 196, 9);
  });
});

describe('a hidden centre', () => {
  const centre: Centre = {
    outline: { kind: 'round', diameterMm: 80 },
    fromLayer: 1,
    toLayer: 2,
    spreadId: 'filling',
    pieces: null,
  };
  const base = newBuild('b', 'Test', '2027-05-03T09:30:00Z').tiers[0]!;
  const tier: Tier = { ...base, centre };
  it('is its area times the layers and the settled fillings between them', () => {
    const plan = planCentre(tier, [7, 5, 6], 0.4, 1.1)!;
    const area = Math.PI * 40 ** 2;
    expect(plan.heightMm).toBe(25 + 5 + 25);
    expect(plan.fillG).toBeCloseTo((area * 55 * 1.1) / 1000, 3);
    expect(plan.spongeG).toBeCloseTo((area * 50 * 0.4) / 1000, 3);
    expect(plan.spongeMl).toBeCloseTo((area * 50) / 1000, 3);
    expect([plan.floorLayers, plan.lidLayers, plan.inside]).toEqual([1, 1, true]);
    expect(planCentre(base, [7, 5, 6], 0.4, 1.1)).toBeNull();
  });
  it('runs through the fillings between its layers and through no other', () => {
    expect([0, 1, 2].map((gap) => runsThroughGap(centre, gap))).toEqual([false, true, false]);
    expect(runsThroughGap(null, 1)).toBe(false);
  });
  it('wants 3 cm of cake round it', () => {
    const wide = (diameterMm: number): boolean =>
      planCentre(
        { ...tier, centre: { ...centre, outline: { kind: 'round', diameterMm } } },
        [7, 5, 6],
        1,
        1,
      )!.inside;
    expect([wide(140), wide(142)]).toEqual([true, false]);
  });
  it('of loose pieces weighs what they weigh, with the air between them', () => {
    const pieces = { name: 'sweets', foodId: null, densityGPerMl: 1.4, share: 0.6, allergens: [] };
    expect(centreDensity({ ...centre, pieces }, spreadOf)).toBeCloseTo(0.84, 9);
    expect(centreDensity(centre, spreadOf)).toBe(rows[0]!.densityGPerMl);
  });
});

describe('where the figures come from', () => {
  const build: Build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
  const [tier] = build.tiers;
  Object.assign(tier!.gaps[0]!, {
    damMm: 12,
    drizzle: { spreadId: 'caramel', gPerCm2: 0.1 },
    pieces: [{ ...newPieces('a'), name: 'raspberries', foodId: 'raspberries', densityGPerMl: 1, share: 0.3 }], // prettier-ignore
  });
  Object.assign(tier!.gaps[1]!, {
    pieces: [{ ...newPieces('b'), name: 'nuts', foodId: 'walnuts', how: 'scattered', densityGPerMl: 0.6, gPerCm2: 0.25 }], // prettier-ignore
  });
  tier!.soak = 'light';
  tier!.centre = { outline: { kind: 'round', diameterMm: 60 }, fromLayer: 1, toLayer: 2, spreadId: 'caramel', pieces: null }; // prettier-ignore
  /** Planned anew for each question, so that each is answered by what was just worked out. */
  const planned = () => {
    const plan = planBuild(structuredClone(build), pantry);
    const [planOfTier] = plan.tiers;
    if (!planOfTier!.gaps.ok) throw new Error('no gaps');
    const of = (id: string) => plan.figures.of(`tier-1/${id}`);
    const inputs = (id: string) =>
      Object.fromEntries(of(id)!.inputs.map(({ label, value }) => [label, value]));
    return { tier: planOfTier!, gaps: planOfTier!.gaps.value, of, inputs };
  };
  it('a filling: area, thickness, what displaces it, density; they give its grams', () => {
    const { gaps, of, inputs } = planned();
    const [gap, , last] = gaps;
    const given = inputs('gap/0/filling');
    expect(of('gap/0/filling')!.value).toBe(gap!.fillingG);
    expect(of('gap/0/filling')!.label).toBe('Filling on layer 1');
    // of a gap with nothing in it but cream: area, thickness, density
    expect(Object.keys(inputs('gap/2/filling'))).toEqual([
      'area',
      'thickness as spread',
      'density',
    ]);
    expect(last!.piecesMl + last!.drizzleMl + last!.domeMl).toBe(0);
    const ml =
      (given.area! * given['thickness as spread']!) / 1000 -
      given['displaced by pieces']! -
      given['displaced by sauce']!;
    expect(ml * given.density!).toBeCloseTo(gap!.fillingG, 6);
    expect(given['round the domes']).toBeUndefined();
  });
  it('a dam: its ring, its height, the coat’s density', () => {
    const { gaps, of, inputs } = planned();
    const given = inputs('gap/0/dam');
    expect(given['volume of the ring']! * given.density!).toBeCloseTo(gaps[0]!.damG, 6);
    expect([given.height, of('gap/0/dam')!.label]).toEqual([7, 'Dam on layer 1']);
    expect(of('gap/1/dam')).toBeFalsy();
  });
  it('pieces: packed by their share, scattered by grams to the square centimetre', () => {
    const { gaps, of, inputs } = planned();
    expect(inputs('gap/0/pieces/a')['share of the gap']).toBe(0.3);
    expect(of('gap/0/pieces/a')!.label).toBe('raspberries on layer 1');
    const scattered = inputs('gap/1/pieces/b');
    expect(scattered['grams to the cm²']).toBe(0.25);
    expect((scattered.area! / 100) * 0.25).toBeCloseTo(gaps[1]!.piecesG, 6);
    expect(scattered['their density']).toBe(0.6);
    expect(of('gap/2/pieces/a')).toBeFalsy();
  });
  it('how it settles: thickness, weight, load, what it holds, stiffness warm or cold', () => {
    const { inputs, tier: made } = planned();
    const given = inputs('gap/0/settled');
    const load = made.loads![0]!;
    expect(given).toMatchObject({
      'weight above': load.aboveG,
      'load, N': load.loadN,
      'holds up to, N': load.holdsN,
    });
    expect(given['stiffness at 21 °C']).toBeGreaterThan(0);
    const cold = structuredClone(build);
    cold.tiers[0]!.stackedAt = 'cold';
    const labels = planBuild(cold, pantry).figures.of('tier-1/gap/0/settled')!.inputs.map((one) => one.label); // prettier-ignore
    expect(labels).toContain('stiffness at 4 °C');
  });
  it('a core of filling, and one of loose sweets', () => {
    const { of, inputs } = planned();
    const given = inputs('centre');
    expect((given['area of the core']! * given.height! * given.density!) / 1000).toBeCloseTo(
      of('centre')!.value,
      3,
    );
    expect(of('centre')!.label).toBe('Filling for the hidden centre');
    const sweets = structuredClone(build);
    sweets.tiers[0]!.centre!.pieces = { name: 'sweets', foodId: null, densityGPerMl: 1.4, share: 0.6, allergens: [] }; // prettier-ignore
    const loose = planBuild(sweets, pantry).figures.of('tier-1/centre')!;
    expect(loose.label).toBe('sweets in the hidden centre');
    const values = Object.fromEntries(loose.inputs.map(({ label, value }) => [label, value]));
    expect(values['share that is pieces']! * values['density of a piece']!).toBeCloseTo(0.84, 9);
  });
  it('the syrup of each layer, and none where nothing is soaked', () => {
    const { of, tier: made } = planned();
    const soak = of('soak')!;
    expect(soak.value).toBeCloseTo(
      made.soak.reduce((sum, each) => sum + each.ml, 0),
      9,
    );
    expect(soak.inputs.map(({ value }) => value)).toEqual(made.soak.map(({ ml }) => ml));
    expect(soak.inputs.map(({ label }) => label)[1]).toBe('layer 2, light');
    const dry = structuredClone(build);
    dry.tiers[0]!.soak = 'none';
    dry.tiers[0]!.centre = null;
    const figures = planBuild(dry, pantry).figures;
    expect([figures.of('tier-1/soak'), figures.of('tier-1/centre')].map(Boolean)).toEqual([
      false,
      false,
    ]);
  });
  it('cautions of a core: too little cake round it, no lid, or neither', () => {
    const said = (diameterMm: number, toLayer: number): Caution[] => {
      const cored = structuredClone(build);
      Object.assign(cored.tiers[0]!.centre!, { outline: { kind: 'round', diameterMm }, toLayer });
      return planBuild(cored, pantry).cautions.filter(({ id }) => id.includes('/core '));
    };
    expect(said(60, 2)).toEqual([]);
    expect(said(60, 3).map(({ id, severity }) => [id, severity])).toEqual([
      ['tier-1/core lid', 'mind'],
    ]);
    const [wall] = said(160, 2);
    expect([wall!.id, wall!.severity]).toEqual(['tier-1/core wall', 'stop']);
    expect(wall!.title.values!.wall!.value).toBe(30);
  });
});
