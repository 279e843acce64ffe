import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  carveKey,
  newBuild,
  newCarving,
  offcutServes,
  placeFor,
  planBuild,
  startingPantry,
  type CarveQuestion,
  type Cut,
  type Outline,
} from '../src/index.ts';
import {
  Carver,
  carveAnswer,
  carveView,
  measuredCoat,
  startLibrary,
  type Library,
} from '../src/solids/index.ts';

let lib: Library;
let carver: Carver;
beforeAll(async () => {
  lib = await startLibrary();
  carver = new Carver(lib, 128);
});
afterAll(() => carver.end());

const pantry = startingPantry();
const base = { on: true, name: 'cut' };
const cover = { crumbMm: 0, sideMm: 0, topMm: 0, fondantMm: 0 };
/** A plain cylinder or box of one material, 1 g to the mL. */
const plain = (outline: Outline, heightMm: number, cuts: Cut[]): CarveQuestion => ({
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
const round = (diameterMm: number): Outline => ({ kind: 'round', diameterMm });
const answer = (question: CarveQuestion) => carveAnswer(carver, question);
/** The question a tier of the program itself asks. */
function asked(cuts: Cut[], change: (tier: ReturnType<typeof tierOf>) => void = () => {}) {
  const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
  const tier = tierOf(build);
  tier.carving = { ...newCarving(), cuts };
  change(tier);
  return { build, question: planBuild(build, pantry).tiers[0]!.carve!.question };
}
const tierOf = (build: ReturnType<typeof newBuild>) => build.tiers[0]!;
const near = (value: number, wanted: number, share = 0.005): void =>
  expect(Math.abs(value / wanted - 1)).toBeLessThan(share);
const linesArea = (lines: readonly (readonly [number, number][])[]): number =>
  lines.reduce(
    (all, line) =>
      all +
      line.reduce((sum, [x, y], i) => {
        const [x2, y2] = line[(i + 1) % line.length]!;
        return sum + (x * y2 - x2 * y) / 2;
      }, 0),
    0,
  );
const plane = (more: Partial<Extract<Cut, { kind: 'plane' }>>): Cut => ({
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

describe('volumes, surfaces and centres against closed forms', () => {
  it('a cylinder cut level', () => {
    const r = answer(plain(round(160), 100, [plane({ upMm: 60 })]));
    near(r.leftMl, (Math.PI * 80 ** 2 * 60) / 1000);
    near(r.centre[2], 30);
    near(r.surfaceMm2, Math.PI * 80 ** 2 + 2 * Math.PI * 80 * 60);
    expect(r.topMm).toBeCloseTo(60, 6);
    near(r.footMm2, Math.PI * 80 ** 2);
  });
  it('a wedge of a cylinder: half of it on the mean, its centre moved aside', () => {
    // from the top on one side to the foot on the other: half the cylinder
    const slopeDeg = (Math.atan2(100, 160) * 180) / Math.PI;
    const r = answer(plain(round(160), 100, [plane({ slopeDeg, upMm: 50, bearingDeg: 90 })]));
    near(r.leftMl, (Math.PI * 80 ** 2 * 50) / 1000);
    // an ungula's centroid lies r/4 towards its high side, 5h/16 up
    near(r.centre[0], -80 / 4);
    near(r.centre[2], (5 / 16) * 100);
    expect(Math.abs(r.centre[1])).toBeLessThan(0.1);
  });
  it('a dome turned from it: a half ball', () => {
    const points = Array.from({ length: 33 }, (_, i): [number, number] => {
      const a = (Math.PI / 2) * (i / 32);
      return [80 * Math.cos(a), 80 * Math.sin(a)];
    });
    const dome: Cut = { ...base, id: 'd', kind: 'profile', points, curved: false, drawn: 'knife' };
    const r = answer(plain(round(160), 90, [dome]));
    near(r.leftMl, ((2 / 3) * Math.PI * 80 ** 3) / 1000);
    near(r.centre[2], (3 / 8) * 80);
    near(r.surfaceMm2, 2 * Math.PI * 80 ** 2);
  });
  it('a frustum, and the same by its finished line under a coat', () => {
    const cone = (drawn: 'finished' | 'knife'): Cut => ({
      ...base,
      id: 'c',
      kind: 'profile',
      points: [
        [80, 0],
        [40, 120],
      ],
      curved: false,
      drawn,
    });
    const frustum = (R: number, r: number, h: number): number =>
      ((Math.PI * h) / 3) * (R * R + R * r + r * r);
    const bare = answer(plain(round(160), 120, [cone('knife')]));
    near(bare.leftMl, frustum(80, 40, 120) / 1000);
    const coated = {
      ...plain(round(160), 120, [cone('finished')]),
      cover: { ...cover, sideMm: 5 },
    };
    const inner = answer(coated);
    // the slanted side moves in by 5 mm square to itself, the top comes down by 5 mm
    const aside = 5 / Math.cos(Math.atan2(40, 120));
    near(inner.leftMl, frustum(80 - aside, 40 - aside + 5 / 3, 115) / 1000);
    expect(inner.topMm).toBeCloseTo(115, 1);
  });
  it('a scoop: a cap of the ball where it meets the side', () => {
    const scoop: Cut = {
      ...base,
      id: 's',
      kind: 'scoop',
      bearingDeg: 0,
      outMm: 0,
      upMm: 100,
      radiusMm: 30,
    };
    const r = answer(plain({ kind: 'square', sideMm: 200, cornerMm: 0 }, 100, [scoop]));
    near(r.steps[0]!.removedMl, ((2 / 3) * Math.PI * 30 ** 3) / 1000);
  });
  it('a bevel and a rounding all round', () => {
    const edge = (form: 'bevelled' | 'rounded'): Cut => ({
      ...base,
      id: 'e',
      kind: 'edge',
      form,
      where: 'top',
      sizeMm: 20,
    });
    const box: Outline = { kind: 'square', sideMm: 160, cornerMm: 0 };
    const bevel = answer(plain(box, 100, [edge('bevelled')]));
    // a frustum of a pyramid on top
    const top = (20 / 3) * (160 ** 2 + 120 ** 2 + 160 * 120);
    near(bevel.leftMl, (160 ** 2 * 80 + top) / 1000);
    const rounded = answer(plain(round(160), 100, [edge('rounded')]));
    // Pappus: the corner's area outside the quarter round, turned round the axis
    const area = (1 - Math.PI / 4) * 400;
    const at = 80 - (20 * (10 - 3 * Math.PI)) / (12 - 3 * Math.PI);
    near(rounded.steps[0]!.removedMl, (2 * Math.PI * at * area) / 1000, 0.02);
    // true arcs: the quarter of a torus, to a hundredth; eight flat steps had a sixth too much
    const [R, e] = [80, 20];
    const arcs = plain(round(2 * R), 100, [{ ...edge('rounded'), sizeMm: e } as Cut]);
    const quarter = 2 * Math.PI * ((R - e) * (Math.PI / 2) * e + e * e);
    near(
      answer(arcs).surfaceMm2,
      // the surface is without the foot
      2 * Math.PI * R * (100 - e) + quarter + Math.PI * (R - e) ** 2,
      0.01,
    );
    const cone = plain(round(2 * R), 100, [{ ...edge('bevelled'), sizeMm: e } as Cut]);
    near(
      answer(cone).surfaceMm2,
      2 * Math.PI * R * (100 - e) + Math.PI * (R + R - e) * e * Math.SQRT2 + Math.PI * (R - e) ** 2,
      0.01,
    );
  });
  it.each(['top', 'foot'] as const)(
    'a rounded %s of a ring: its rim and the rim of its hole',
    (where) => {
      const [R, r, e, h] = [100, 40, 15, 60];
      const edge: Cut = { ...base, id: 'e', kind: 'edge', form: 'rounded', where, sizeMm: e };
      const ring = answer(plain({ kind: 'ring', diameterMm: 2 * R, holeMm: 2 * r }, h, [edge]));
      const outer = 2 * Math.PI * ((R - e) * (Math.PI / 2) * e + e * e);
      const inner = 2 * Math.PI * ((r + e) * (Math.PI / 2) * e - e * e);
      const level = where === 'top' ? (R - e) ** 2 - (r + e) ** 2 : R ** 2 - r ** 2;
      near(
        ring.surfaceMm2,
        2 * Math.PI * (R + r) * (h - e) + outer + inner + Math.PI * level,
        0.01,
      );
      // Pappus for the corners cut away on either side
      const corner = (1 - Math.PI / 4) * e * e;
      const middle = (e * (10 - 3 * Math.PI)) / (12 - 3 * Math.PI);
      near(
        ring.steps[0]!.removedMl,
        (2 * Math.PI * (R - middle + r + middle) * corner) / 1000,
        0.02,
      );
    },
  );
  it('a bevel round an L: its hollow corner leaves a quarter of a cone', () => {
    const [a, b, e, h] = [200, 100, 20, 80];
    const points: [number, number][] = [
      [-a / 2, -a / 2],
      [a / 2, -a / 2],
      [a / 2, b - a / 2],
      [b - a / 2, b - a / 2],
      [b - a / 2, a / 2],
      [-a / 2, a / 2],
    ];
    const edge: Cut = {
      ...base,
      id: 'e',
      kind: 'edge',
      form: 'bevelled',
      where: 'top',
      sizeMm: e,
    };
    const foot = 3 * b * b;
    const round4 = 4 * a;
    // five corners lose twice the inset, the hollow one gains an arc
    const within = round4 - 10 * e + (Math.PI / 2) * e;
    const top = foot - (e * (round4 + within)) / 2;
    const l = answer(plain({ kind: 'path', name: 'L', points }, h, [edge]));
    near(l.surfaceMm2, round4 * (h - e) + (Math.SQRT2 * e * (round4 + within)) / 2 + top, 0.005);
  });
  it('a groove and a core', () => {
    const groove: Cut = { ...base, id: 'g', kind: 'groove', upMm: 40, widthMm: 10, depthMm: 8 };
    const core: Cut = {
      ...base,
      id: 'k',
      kind: 'core',
      bearingDeg: 90,
      outMm: 20,
      upMm: 30,
      diameterMm: 40,
    };
    const r = answer(plain(round(160), 100, [groove, core]));
    near(r.steps[0]!.removedMl, (Math.PI * (80 ** 2 - 72 ** 2) * 10) / 1000);
    near(r.steps[1]!.removedMl, (Math.PI * 20 ** 2 * 70) / 1000);
  });
  it('a coat on a half ball, reckoned and measured', () => {
    const points = Array.from({ length: 33 }, (_, i): [number, number] => {
      const a = (Math.PI / 2) * (i / 32);
      return [75 * Math.cos(a), 75 * Math.sin(a)];
    });
    const dome: Cut = { ...base, id: 'd', kind: 'profile', points, curved: false, drawn: 'knife' };
    const question = {
      ...plain(round(150), 80, [dome]),
      cover: { crumbMm: 2, sideMm: 5, topMm: 5, fondantMm: 3 },
    };
    const r = answer(question);
    const shell = (a: number, b: number): number => ((2 / 3) * Math.PI * (b ** 3 - a ** 3)) / 1000;
    near(r.coat.crumbMl, shell(75, 77), 0.01);
    near(r.coat.coatMl, shell(77, 82), 0.01);
    const exact = measuredCoat(carver, question.cover);
    near(exact.crumbMl, shell(75, 77));
    near(exact.coatMl, shell(77, 82));
    near(exact.fondantMl, shell(82, 85));
    near(exact.finishedMm2, 2 * Math.PI * 85 ** 2, 0.01);
  });
});

describe('flutes', () => {
  const cut = (fromMm: number, toMm: number): Cut => ({
    ...base,
    id: 'f',
    kind: 'flutes',
    count: 12,
    depthMm: 8,
    widthMm: 20,
    fromMm,
    toMm,
  });
  it('run out at top and foot, and leave no skin that counts as surface', () => {
    const whole = answer(plain(round(160), 100, []));
    const fluted = answer(plain(round(160), 100, [cut(0, 100)]));
    // as high as the cake and no higher: the same section all the way, so foot and top lose alike
    const area = (fluted.leftMl / whole.leftMl) * Math.PI * 80 ** 2;
    const inner = answer(plain(round(160), 200, [cut(0, 200)]));
    const side = (inner.surfaceMm2 - fluted.surfaceMm2) / 100;
    near(fluted.surfaceMm2, area + side * 100, 0.01);
    near(fluted.footMm2, area, 0.01);
  });
  it('never add cake, whichever end is named first', () => {
    const up = answer(plain(round(160), 100, [cut(20, 80)]));
    const down = answer(plain(round(160), 100, [cut(80, 20)]));
    near(down.leftMl, up.leftMl, 1e-6);
    expect(down.leftMl).toBeLessThan(answer(plain(round(160), 100, [])).leftMl);
    near(answer(plain(round(160), 100, [cut(50, 50)])).leftMl, Math.PI * 64 * 10, 0.01);
  });
});

describe('what a carving keeps', () => {
  const anyCut: fc.Arbitrary<Cut> = fc
    .oneof(
      fc.record({
        kind: fc.constant('plane' as const),
        bearingDeg: fc.integer({ min: 0, max: 359 }),
        slopeDeg: fc.integer({ min: 0, max: 90 }),
        outMm: fc.integer({ min: -40, max: 120 }),
        upMm: fc.integer({ min: 10, max: 130 }),
        away: fc.constantFrom('above' as const, 'below' as const),
      }),
      fc.record({
        kind: fc.constant('step' as const),
        bearingDeg: fc.integer({ min: 0, max: 359 }),
        slopeDeg: fc.integer({ min: 20, max: 90 }),
        outMm: fc.integer({ min: -20, max: 110 }),
        upMm: fc.integer({ min: 5, max: 110 }),
      }),
      fc.record({
        kind: fc.constant('scoop' as const),
        bearingDeg: fc.integer({ min: 0, max: 359 }),
        outMm: fc.integer({ min: 0, max: 110 }),
        upMm: fc.integer({ min: 0, max: 120 }),
        radiusMm: fc.integer({ min: 3, max: 60 }),
      }),
      fc.record({
        kind: fc.constant('groove' as const),
        upMm: fc.integer({ min: 0, max: 120 }),
        widthMm: fc.integer({ min: 2, max: 30 }),
        depthMm: fc.integer({ min: 1, max: 20 }),
      }),
      fc.record({
        kind: fc.constant('edge' as const),
        form: fc.constantFrom('bevelled' as const, 'rounded' as const),
        where: fc.constantFrom('top' as const, 'foot' as const),
        sizeMm: fc.integer({ min: 2, max: 40 }),
      }),
      fc.record({
        kind: fc.constant('flutes' as const),
        count: fc.integer({ min: 3, max: 16 }),
        depthMm: fc.integer({ min: 1, max: 10 }),
        widthMm: fc.constantFrom(null, 8),
        fromMm: fc.integer({ min: 0, max: 40 }),
        toMm: fc.integer({ min: 60, max: 130 }),
      }),
      fc.record({
        kind: fc.constant('lay' as const),
        bearingDeg: fc.integer({ min: 0, max: 359 }),
        overDeg: fc.constantFrom(90, 180),
      }),
    )
    .map((cut) => ({ ...base, id: 'x', ...cut }));

  it('what is left and what came away are what was there, cut by cut and material by material', () => {
    const coarse = new Carver(lib, 64);
    fc.assert(
      fc.property(fc.array(anyCut, { minLength: 1, maxLength: 5 }), (list) => {
        const cuts = list.map((cut, i) => ({ ...cut, id: `c${i}` }));
        const { question } = asked(cuts);
        const r = carveAnswer(coarse, question);
        let left = r.stackMl;
        for (const step of r.steps) {
          expect(step.leftMl).toBeLessThanOrEqual(left + r.stackMl * 1e-4);
          expect(Math.abs(step.leftMl + step.removedMl - left)).toBeLessThan(r.stackMl * 1e-4);
          const pieces = step.pieces.reduce((sum, piece) => sum + piece.ml, 0);
          expect(pieces).toBeLessThanOrEqual(step.removedMl + r.stackMl * 1e-4);
          for (const part of Object.keys(step.byPart))
            expect(step.byPart[part]).toBeGreaterThan(-0.05);
          left = step.leftMl;
        }
        const parts = Object.values(r.byPart).reduce((sum, ml) => sum + ml, 0);
        expect(Math.abs(parts - r.leftMl)).toBeLessThan(r.stackMl * 1e-4);
        for (const { solid } of coarse.body()) expect(solid.status()).toBe('NoError');
        expect(r.topMm).toBeLessThan(400);
      }),
      { numRuns: 60 },
    );
    coarse.end();
  });
  it('layers keep their own masses: the whole stack weighs what the plan says', () => {
    const { build, question } = asked([plane({ upMm: 500 })]);
    const r = answer(question);
    const tier = planBuild(build, pantry).tiers[0]!;
    const layers = tier.layersG!.reduce((sum, g) => sum + g, 0);
    const fillings = tier.gaps.ok ? tier.gaps.value.reduce((sum, gap) => sum + gap.fillingG, 0) : 0;
    near(r.stackG, layers + fillings + tier.dabG, 0.003);
    expect(r.steps[0]!.note?.text).toContain('takes nothing');
  });
  it('a hidden centre is a material of its own, and a ring has its hole', () => {
    const { question } = asked([plane({ upMm: 40 })], (tier) => {
      tier.centre = {
        outline: round(60),
        fromLayer: 0,
        toLayer: 2,
        spreadId: 'curd',
        pieces: null,
      };
    });
    const r = answer(question);
    const coreMl = (Math.PI * 30 ** 2 * (40 - question.stock.centre!.fromMm)) / 1000;
    near(r.byPart.centre!, coreMl, 0.01);
    const ring = answer(
      plain({ kind: 'ring', diameterMm: 200, holeMm: 80 }, 60, [plane({ upMm: 30 })]),
    );
    near(ring.leftMl, (Math.PI * (100 ** 2 - 40 ** 2) * 30) / 1000);
  });
  it('an edit of the last cut gives what a fresh start gives', () => {
    const first = plane({ id: 'a', slopeDeg: 40, outMm: 60, upMm: 80 });
    const other = (upMm: number): Cut =>
      plane({ id: 'b', slopeDeg: 30, bearingDeg: 60, outMm: 50, upMm });
    answer(plain(round(180), 120, [first, other(90)]));
    const edited = answer(plain(round(180), 120, [first, other(75)]));
    const fresh = new Carver(lib, 128);
    const anew = carveAnswer(fresh, plain(round(180), 120, [first, other(75)]));
    fresh.end();
    expect(edited).toEqual(anew);
  });
});

describe('pieces', () => {
  const corner = plane({ id: 'corner', slopeDeg: 45, outMm: 50, upMm: 90 });
  const setOn = (more: Partial<Extract<Cut, { kind: 'set' }>> = {}): Cut => ({
    ...base,
    id: 'set',
    kind: 'set',
    fromCutId: 'corner',
    piece: 0,
    bearingDeg: 0,
    outMm: 30,
    upMm: 120,
    turnDeg: 0,
    tiltDeg: 180,
    glueMm: 2,
    ...more,
  });
  it('an offcut set back on adds its own mass, needs glue, and is no longer spare', () => {
    const without = answer(plain(round(180), 100, [corner]));
    const piece = without.steps[0]!.pieces[0]!;
    const r = answer(plain(round(180), 100, [corner, setOn({ upMm: 100.5 })]));
    expect(r.steps[1]!.problem).toBeNull();
    near(r.leftMl, without.leftMl + piece.ml, 0.01);
    expect(r.steps[0]!.pieces[0]!.usedBy).toBe('set');
    expect(offcutServes(r.steps[0]!.pieces[0]!, [])).toBe('set back');
    expect(offcutServes(piece, [])).toBe('builds');
    const lack = { ml: 9, at: [30, 0, 60] as [number, number, number], sizeMm: piece.sizeMm };
    expect(offcutServes(piece, [lack])).toBe('fills');
    const lacking = { topMm: 100, steps: [{ ...r.steps[0]!, lacks: [lack] }] };
    expect(placeFor(piece, lacking)).toMatchObject({ bearingDeg: 90, outMm: 30 });
    expect(placeFor(piece, { topMm: 100, steps: [] })).toMatchObject({ outMm: 0, upMm: 100 });
    expect(r.glueMl).toBeGreaterThan(1);
    expect(r.held[0]!.areaMm2).toBeGreaterThan(500);
  });
  it('cannot be set twice, in the air, or from a cut that is gone; the cake stays as it was', () => {
    const twice = answer(
      plain(round(180), 100, [corner, setOn({ upMm: 99 }), setOn({ id: 'again', upMm: 140 })]),
    );
    expect(twice.steps[2]!.problem?.text).toContain('already');
    const air = answer(plain(round(180), 100, [corner, setOn({ upMm: 400 })]));
    expect(air.steps[1]!.problem?.text).toContain('touches the cake nowhere');
    expect(air.leftMl).toBeCloseTo(air.steps[0]!.leftMl, 6);
    const gone = answer(plain(round(180), 100, [setOn()]));
    expect(gone.steps[0]!.problem?.text).toContain('no longer there');
  });
  it('two halves are joined on their trimmed faces', () => {
    const halves: Cut = { ...base, id: 'h', kind: 'halves', upMm: 50, trimMm: 4, glueMm: 2 };
    const r = answer(plain(round(180), 100, [halves]));
    near(r.leftMl, (Math.PI * 90 ** 2 * 92) / 1000);
    expect(r.topMm).toBeCloseTo(94, 3);
    near(r.glueMl, (Math.PI * 90 ** 2 * 2) / 1000);
    const uneven = answer(plain(round(180), 100, [{ ...halves, upMm: 30 }]));
    expect(uneven.steps[0]!.note?.text).toContain('not equal');
  });
  it('two halves leave no slit: the frosting between them is coated over and can be cut', () => {
    const halves: Cut = { ...base, id: 'h', kind: 'halves', upMm: 40, trimMm: 2, glueMm: 3 };
    const glued = answer(plain(round(160), 80, [halves]));
    // one cylinder of 80 - 2 x 2 + 3 mm: nothing of the faces inside is surface
    near(glued.surfaceMm2, Math.PI * 80 ** 2 + Math.PI * 160 * 79, 0.003);
    near(glued.leftMl, (Math.PI * 80 ** 2 * 76) / 1000, 0.003);
    near(glued.glueMl, (Math.PI * 80 ** 2 * 3) / 1000, 0.003);
    const halved = answer(
      plain(round(160), 80, [halves, plane({ slopeDeg: 90, outMm: 0, bearingDeg: 90 })]),
    );
    near(halved.surfaceMm2, (Math.PI * 80 ** 2) / 2 + (Math.PI * 80 + 160) * 79, 0.003);
    near(
      halved.section.reduce((sum, part) => sum + linesArea(part.lines), 0),
      80 * 79,
      0.005,
    );
  });
  it('a hole shut under a lid is not coated inside', () => {
    // a core through the lower part, whose upper end the upper half closes
    const upper: Cut = { ...base, id: 'h', kind: 'halves', upMm: 50, trimMm: 0, glueMm: 0 };
    const shut = answer(
      plain(round(160), 80, [
        { ...base, id: 's', kind: 'scoop', bearingDeg: 0, outMm: 0, upMm: 50, radiusMm: 20 },
        upper,
      ]),
    );
    near(shut.surfaceMm2, Math.PI * 80 ** 2 + Math.PI * 160 * 80, 0.003);
    near(shut.leftMl, (Math.PI * 80 ** 2 * 80 - (4 / 3) * Math.PI * 20 ** 3) / 1000, 0.003);
  });
  it('what would leave nothing, or two pieces, is refused with the cake left as it was', () => {
    const all = answer(plain(round(180), 100, [plane({ upMm: -5 })]));
    expect(all.steps[0]!.problem?.text).toContain('whole cake');
    expect(all.leftMl).toBeCloseTo(all.stackMl, 6);
    const pillars: Cut = {
      ...base,
      id: 'two',
      kind: 'silhouette',
      seen: 'front',
      drawn: 'knife',
      points: [
        [-90, 0],
        [-60, 0],
        [0, -10],
        [60, 0],
        [90, 0],
        [90, 100],
        [60, 100],
        [0, -9],
        [-60, 100],
        [-90, 100],
      ],
    };
    const two = answer(plain(round(180), 100, [pillars]));
    expect(two.steps[0]!.problem?.text).toContain('two pieces');
  });
  it('is laid on its side and measured there', () => {
    const flat = plane({ id: 'flat', slopeDeg: 90, bearingDeg: 180, outMm: 60 });
    const lay: Cut = { ...base, id: 'l', kind: 'lay', bearingDeg: 180, overDeg: 90 };
    const r = answer(plain(round(180), 120, [flat, lay]));
    expect(r.topMm).toBeCloseTo(150, 0);
    near(r.footMm2, 2 * Math.sqrt(90 ** 2 - 60 ** 2) * 120, 0.01);
    expect(r.laid).toBe(true);
    near(r.leftMl, r.steps[0]!.leftMl, 1e-6);
  });
});

describe('what is measured on it', () => {
  it('a line is drawn over the cake as it lies before it', () => {
    const line = (seen: 'front' | 'side'): Cut => ({
      ...base,
      id: 'line',
      kind: 'silhouette',
      seen,
      drawn: 'knife',
      points: [
        [-20, 0],
        [20, 0],
        [20, 300],
        [-20, 300],
      ],
    });
    const laid: Cut = { ...base, id: 'lay', kind: 'lay', bearingDeg: 90, overDeg: 90 };
    const box = (lines: [number, number][][]): [number, number] => [
      Math.max(...lines.flat().map((p) => p[0])) - Math.min(...lines.flat().map((p) => p[0])),
      Math.max(...lines.flat().map((p) => p[1])),
    ];
    const upright = answer(plain(round(160), 60, [line('front')])).steps[0]!;
    expect(box(upright.behind)[0]).toBeCloseTo(160, 0);
    expect(box(upright.behind)[1]).toBeCloseTo(60, 1);
    // laid over to the right: as wide as it was high, and as high as it was wide
    const lying = answer(plain(round(160), 60, [laid, line('front')])).steps;
    expect(lying[0]!.behind).toEqual([]);
    expect(box(lying[1]!.behind)[0]).toBeCloseTo(60, 1);
    expect(box(lying[1]!.behind)[1]).toBeCloseTo(160, 0);
    const side = answer(plain(round(160), 60, [laid, line('side')])).steps[1]!;
    expect(box(side.behind)[0]).toBeCloseTo(160, 0);
  });
  it('guides give the distance from the axis at 24 bearings', () => {
    const box = plain({ kind: 'square', sideMm: 200, cornerMm: 0 }, 100, [plane({ upMm: 80 })]);
    const [foot] = answer(box).guides;
    expect(foot!.outMm).toHaveLength(24);
    expect(foot!.outMm[0]).toBeCloseTo(100, 1);
    expect(foot!.outMm[3]).toBeCloseTo(100 * Math.SQRT2, 1);
    expect(foot!.outMm[1]).toBeCloseTo(100 / Math.cos(Math.PI / 12), 1);
  });
  it('a waist, an overhang and a cake that falls are told', () => {
    const hourglass: Cut = {
      ...base,
      id: 'w',
      kind: 'profile',
      points: [
        [70, 0],
        [25, 60],
        [80, 120],
      ],
      curved: false,
      drawn: 'knife',
    };
    const waist = answer(plain(round(180), 120, [hourglass]));
    near(waist.neck!.upMm, 60, 0.05);
    near(waist.neck!.acrossMm, 50, 0.1);
    near(waist.overhang.mm, 10, 0.05);
    expect(waist.stands).toBe(true);
    expect(waist.drapes).toBe(false);
    const undercut = plane({ bearingDeg: 90, slopeDeg: 40, outMm: 0, upMm: 60, away: 'below' });
    const turned = answer(plain(round(180), 120, [undercut]));
    expect(turned.steps[0]!.problem).toBeNull();
    expect(turned.stands).toBe(false);
  });
  it('seams of panels are as long as the edges that meet: box, cylinder and half ball', () => {
    const seams = (outline: Outline, heightMm: number, cuts: Cut[] = []) => {
      const { panels } = answer(plain(outline, heightMm, [...cuts, plane({ upMm: heightMm - 1 })]));
      return Object.fromEntries(panels.map((panel) => [panel.name, panel]));
    };
    const box = seams({ kind: 'rectangle', widthMm: 200, depthMm: 120, cornerMm: 0 }, 81);
    near(box.top!.seamMm, 2 * (200 + 120));
    near(box.front!.seamMm, 200 + 2 * 80);
    near(box.right!.seamMm, 120 + 2 * 80);
    near(box.front!.areaMm2, 200 * 80);
    const drum = seams(round(160), 81);
    near(drum.top!.seamMm, Math.PI * 160);
    near(drum.back!.seamMm, (Math.PI * 160) / 4 + 2 * 80, 0.01);
    near(drum.back!.areaMm2, (Math.PI * 160 * 80) / 4, 0.01);
    // on a ball the seam between two sides is an arc of a great circle from corner to corner
    const ball = answer(
      plain(round(200), 100, [
        {
          ...base,
          id: 'd',
          kind: 'profile',
          curved: false,
          drawn: 'knife',
          points: Array.from({ length: 61 }, (_, i): [number, number] => {
            const up = (i / 60) * (Math.PI / 2);
            return [99.9 * Math.cos(up), 99.9 * Math.sin(up)];
          }),
        },
      ]),
    ).panels;
    const top = ball.find((panel) => panel.name === 'top')!;
    near(top.seamMm, 4 * 2 * Math.atan(Math.SQRT1_2) * 99.9, 0.01);
    // a sixth of the whole ball
    near(top.areaMm2, (4 / 6) * Math.PI * 99.9 ** 2, 0.01);
  });
  it('the parts of the section add up to the whole of it', () => {
    const { question } = asked([plane({ slopeDeg: 45, bearingDeg: 90, outMm: 60, upMm: 80 })]);
    const r = answer(question);
    const parts = r.section.reduce((sum, { lines }) => sum + linesArea(lines), 0);
    near(parts, linesArea(r.sectionLines), 0.002);
    near(linesArea(r.plan), Math.PI * 100 ** 2, 0.01);
  });
  it('the view has every part, and offcuts beside the cake', () => {
    const { question } = asked([plane({ slopeDeg: 45, outMm: 60, upMm: 80 })]);
    carver.carve(question);
    const view = carveView(carver, null);
    expect(view.pieces[0]!.parts).toContain('gap/0');
    expect(view.offcuts).toHaveLength(1);
    const open = carveView(carver, 0);
    expect(open.pieces[0]!.corners.length).toBeGreaterThan(0);
    // no corner of the opened cake lies in front of where it was opened
    for (let i = 1; i < open.pieces[0]!.corners.length; i += 3)
      expect(open.pieces[0]!.corners[i]).toBeGreaterThan(-0.01);
  });
  it('the view shades a curved face without its facets, and a sharp edge as one', () => {
    carver.carve(plain(round(160), 80, [plane({ upMm: 60 })]));
    for (const { corners, normals } of carveView(carver, null).pieces)
      for (let k = 0; k < corners.length; k += 3) {
        const [x, y] = [corners[k]!, corners[k + 1]!];
        const up = normals[k + 2]!;
        // level on top, at the foot level below, and on the side straight out from the axis
        if (Math.abs(up) > 0.5) expect(Math.abs(up)).toBeCloseTo(1, 3);
        else {
          const out = Math.hypot(x, y);
          expect((normals[k]! * x + normals[k + 1]! * y) / out).toBeGreaterThan(0.9999);
        }
      }
  });
  it('the same question has the same key, another a different one', () => {
    const a = plain(round(180), 100, [plane({ upMm: 40 })]);
    expect(carveKey(a)).toBe(carveKey(JSON.parse(JSON.stringify(a)) as CarveQuestion));
    expect(carveKey(a)).toBe(carveKey({ ...a, tierId: 'another' }));
    expect(carveKey(a)).not.toBe(carveKey(plain(round(180), 100, [plane({ upMm: 41 })])));
  });
});
