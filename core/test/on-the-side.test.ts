import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  drawElevation,
  drawPicture,
  modelledG,
  mostRound,
  newBuild,
  newPiped,
  newPiping,
  newTopping,
  perimeterMm,
  planBuild,
  planFondant,
  ribbonMm,
  rimPoint,
  seatG,
  sideHold,
  sidePlaces,
  sideSeen,
  type Build,
  type OnSide,
  type PlannedPiping,
  type Outline,
  toppingLook,
  type Topping,
} from '../src/index.ts';
import { anyOutline, pantry } from './arbitrary.ts';
import { stepsOf } from './work-kit.ts';

/* What is on the sides: where it is, whether it stays, what it takes; modelled pieces, ribbons and panels. */

const round = (diameterMm: number): Outline => ({ kind: 'round', diameterMm });
const onSide = (more: Partial<OnSide> = {}): OnSide => ({
  arrangement: 'round',
  upMm: 40,
  toMm: 10,
  startShare: 0.5,
  turnShare: 0.25,
  spots: [],
  dabSpreadId: null,
  ...more,
});
function sided(more: Partial<Topping> = {}, side: Partial<OnSide> = {}): Build {
  const build = newBuild('b', 'B', '2027-05-03T09:30:00Z');
  build.tiers[0]!.toppings = [
    { ...newTopping('flowers'), last: false, odd: false, count: 8, side: onSide(side), ...more },
  ];
  return build;
}
const spreadOf = (id: string) => pantry.spreads.find((row) => row.id === id)!;
const toppingOf = (build: Build) => planBuild(build, pantry).tiers[0]!.finish.toppings[0]!;

describe('places on a side', () => {
  it('begin in front and go evenly round at one height', () => {
    const places = sidePlaces({ finished: round(200), highMm: 100 }, onSide(), 4, 20);
    expect(places.map(({ upMm }) => upMm)).toEqual([40, 40, 40, 40]);
    const [front, right, back, left] = places;
    expect([front!.x, front!.y].map((mm) => Math.round(mm) + 0)).toEqual([0, -100]);
    expect([right!.x, right!.y].map((mm) => Math.round(mm) + 0)).toEqual([100, 0]);
    expect([back!.x, back!.y].map((mm) => Math.round(mm) + 0)).toEqual([0, 100]);
    expect([left!.x, left!.y].map((mm) => Math.round(mm) + 0)).toEqual([-100, 0]);
  });
  it('wind down from one height to another over a part of the rim', () => {
    const places = sidePlaces(
      { finished: round(200), highMm: 120 },
      onSide({ arrangement: 'cascade', upMm: 100, toMm: 20, startShare: 0.4, turnShare: 0.2 }),
      5,
      20,
    );
    expect(places.map(({ upMm }) => upMm)).toEqual([100, 80, 60, 40, 20]);
    expect(places[0]!.share).toBeCloseTo(0.4, 9);
    expect(places.at(-1)!.share).toBeCloseTo(0.6, 9);
  });
  it('stay on the outline, between foot and edge, and never more in a row than stand there', () => {
    fc.assert(
      fc.property(
        anyOutline,
        fc.record({
          upMm: fc.integer({ min: 0, max: 600 }),
          toMm: fc.integer({ min: 0, max: 600 }),
          startShare: fc.double({ min: 0, max: 1, noNaN: true }),
          arrangement: fc.constantFrom('round' as const, 'cascade' as const, 'free' as const),
        }),
        fc.integer({ min: 0, max: 40 }),
        fc.integer({ min: 2, max: 90 }),
        (finished, more, count, acrossMm) => {
          const side = onSide({ ...more, spots: [[0.2, 500], [0.9, 0]] }); // prettier-ignore
          const places = sidePlaces({ finished, highMm: 100 }, side, count, acrossMm);
          expect(places.length).toBeLessThanOrEqual(count);
          if (more.arrangement === 'round')
            expect(places.length).toBe(Math.min(count, mostRound(finished, acrossMm)));
          for (const { upMm, share, x, y } of places) {
            expect(upMm).toBeGreaterThanOrEqual(Math.min(50, acrossMm / 2) - 1e-9);
            expect(upMm).toBeLessThanOrEqual(100 - Math.min(50, acrossMm / 2) + 1e-9);
            const rim = rimPoint(finished, share);
            expect(Math.hypot(rim.x - x, rim.y - y)).toBeLessThan(1e-6);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
  it('are seen from the front where they face it, edge-on at the sides, and never from behind', () => {
    const seen = sideSeen(round(200), [0, 0.25, 0.375, 0.5, 0.75]);
    expect(seen.map(({ i }) => i).sort()).toEqual([1, 2, 3, 4]);
    expect(seen.find(({ i }) => i === 3)!.facing).toBeCloseTo(1, 3);
    expect(seen.find(({ i }) => i === 2)!.facing).toBeCloseTo(Math.SQRT1_2, 2);
    expect(seen.find(({ i }) => i === 1)!.facing).toBeLessThan(0.05);
    // a flat front faces it all along
    const flat = sideSeen({ kind: 'square', sideMm: 200, cornerMm: 0 }, [0.45, 0.55]);
    expect(flat.every(({ facing }) => facing > 0.999)).toBe(true);
  });
});

describe('what holds a piece on a side', () => {
  const piece = { massG: 10, contactCm2: 2 };
  const buttercream = spreadOf('buttercream');
  const held = (pick: Topping['pick'], dab: string | null, tempC: number) =>
    sideHold(piece, buttercream, { pick, side: onSide({ dabSpreadId: dab }) }, tempC);
  it('is its foot times the yield stress, against its weight', () => {
    const hold = held('none', null, 21);
    // tau x A = m g
    const leastCm2 = ((0.01 * 9.81) / buttercream.stress21Pa) * 1e4;
    expect(hold.leastCm2).toBeCloseTo(Math.max(leastCm2, piece.contactCm2), 1);
    expect(hold.slides).toBe(leastCm2 > piece.contactCm2);
    expect(held('none', null, 4).slides).toBe(false);
    expect(held('pick', null, 30)).toEqual({ by: 'pick', leastCm2: null, slides: false });
    expect(held('none', 'ganache', 21).by).toBe('seat');
  });
  it('as a seat is a film of 2 mm under each, out of its bowl', () => {
    expect(seatG(5, { densityGPerMl: 1.1 })).toBeCloseTo(1.1, 9);
    const build = sided({}, { dabSpreadId: 'ganache' });
    const { seatG: allG, footMm2 } = toppingOf(build);
    expect(allG).toBeCloseTo(8 * seatG(footMm2 / 100, spreadOf('ganache')), 9);
    const { bowls } = planBuild(build, pantry);
    if (!bowls.ok) throw new Error(bowls.problem);
    const use = bowls.value.flatMap(({ uses }) => uses).find(({ kind }) => kind === 'seat')!;
    expect(use.massG).toBeCloseTo(allG, 9);
    expect(use.step).toBe('flowers/put');
    const step = stepsOf(planBuild(build, pantry)).find(({ key }) => key === use.step)!;
    expect(step.amounts.some(({ value }) => Math.abs(value - allG) < 1e-9)).toBe(true);
  });
  it('is said where it does not, with the foot that would', () => {
    const heavy = planBuild(sided({ pieceG: 60, acrossMm: 20 }), pantry);
    const found = heavy.cautions.find(({ id }) => id.endsWith('slides'));
    expect(found?.severity).toBe('mind');
    const picked = planBuild(sided({ pieceG: 60, acrossMm: 20, pick: 'pick' }), pantry);
    expect(picked.cautions.some(({ id }) => id.endsWith('slides'))).toBe(false);
    expect(picked.nonFood.find(({ inKey }) => inKey === 'flowers/put')?.count).toBe(8);
  });
});

describe('the drawing from the front', () => {
  const shapesOf = (build: Build) =>
    drawElevation(build, planBuild(build, pantry), pantry).shapes.filter(({ id }) =>
      id.includes('topping/0'),
    );
  it('has the pieces on the front half at their heights, and none behind', () => {
    const shapes = shapesOf(sided({ acrossMm: 20 }));
    // eight round: five of them from edge to edge in front
    expect(shapes).toHaveLength(5);
    for (const { y0, y1 } of shapes) expect([(y0 + y1) / 2, y1 - y0]).toEqual([40, 20]);
  });
  it('has a ribbon across the side, as wide as it is', () => {
    const [band] = shapesOf(sided({ kind: 'ribbon', acrossMm: 25, eaten: false }, { upMm: 0 }));
    expect([band!.y0, band!.y1]).toEqual([0, 25]);
  });
});

describe('a ribbon', () => {
  it('goes round with its ends over each other, and is counted as no food', () => {
    const build = sided({ kind: 'ribbon', acrossMm: 25, eaten: false, foodId: null });
    const plan = planBuild(build, pantry);
    const { finished, finish } = plan.tiers[0]!;
    expect(finish.toppings[0]!.ribbonMm).toBeCloseTo(perimeterMm(finished) + 20, 6);
    expect(ribbonMm(round(200))).toBeCloseTo(Math.PI * 200 + 20, 9);
    expect(plan.nonFood.some(({ inKey }) => inKey === 'flowers/put')).toBe(true);
    expect(plan.allergens).toEqual(planBuild(newBuild('b', 'B', '2027-05-03T09:30:00Z'), pantry).allergens); // prettier-ignore
  });
});

describe('modelled pieces', () => {
  it('weigh what their measures hold', () => {
    const at = (form: Parameters<typeof modelledG>[0]) => modelledG(form, 20, 30) / 1.4;
    expect(at('ball')).toBeCloseTo((4 / 3) * Math.PI, 9);
    expect(at('egg')).toBeCloseTo((4 / 3) * Math.PI * 1.5, 9);
    expect(at('cone')).toBeCloseTo(Math.PI, 9);
    expect(at('rope')).toBeCloseTo(3 * Math.PI, 9);
    expect(at('block')).toBeCloseTo(12, 9);
  });
  it('take fondant and its colour, to the gram', () => {
    const build = sided({
      modelled: { form: 'ball' },
      tint: 'deep blue',
      foodId: 'fondant',
      acrossMm: 18,
    });
    build.colours = [{ name: 'deep blue', hex: '#1e2a52', gPerKg: 8, doses: [] }];
    const plan = planBuild(build, pantry);
    if (!plan.ingredients.ok) throw new Error(plan.ingredients.problem);
    const fondantG = plan.ingredients.value.find(({ foodId }) => foodId === 'fondant')!.massG;
    expect(fondantG).toBeCloseTo(8 * modelledG('ball', 18, 20), 6);
    const step = stepsOf(plan).find(({ key }) => key === 'flowers/put')!;
    expect(step.list[0]!.value).toBeCloseTo((fondantG * 8) / 1000, 6);
  });
  it('that come in their colour take no gel, and slabs take theirs on their tray', () => {
    const colours = [{ name: 'deep blue', hex: '#1e2a52', gPerKg: 8, doses: [] }];
    const planOf = (more: Partial<Topping>) => {
      const build = sided({ tint: 'deep blue', foodId: 'white-chocolate', ...more });
      build.colours = colours;
      return planBuild(build, pantry);
    };
    const gelOf = (plan: ReturnType<typeof planOf>): number =>
      stepsOf(plan).flatMap(({ list }) => list).filter(({ label }) => /gel|oil-based colour/.test(label)).reduce((sum, { value }) => sum + value, 0); // prettier-ignore
    const plain = planOf({});
    expect(gelOf(plain)).toBe(0);
    expect(toppingLook(plain.tiers[0]!.finish.toppings[0]!.topping, colours)).toBe('#1e2a52');
    const slab = planOf({ tray: { thickMm: 3, wholeShare: 0.8, spreads: 2 } });
    const trayG = slab.tiers[0]!.finish.toppings[0]!.tray!.massG;
    expect(gelOf(slab)).toBeCloseTo((trayG * 8) / 1000, 6);
    // chocolate seizes with what holds water
    expect(stepsOf(slab).find(({ key }) => key === 'flowers/tray')!.list).toMatchObject([{ label: 'oil-based colour' }]); // prettier-ignore
    expect(stepsOf(slab).find(({ key }) => key === 'flowers/put')!.list).toEqual([]);
  });
});

describe('fondant in panels', () => {
  const panels = (outline: Outline, mm = 4) => {
    const tier = newBuild('b', 'B', '2027-05-03T09:30:00Z').tiers[0]!;
    tier.fondant = { way: 'panels', mm, allowanceMm: 15, tint: '' };
    return planFondant(tier, outline, 100)!;
  };
  it('are as long together as the side is round, and cover the edge of the top', () => {
    const plan = panels(round(200));
    expect(plan.panels!.count).toBe(2);
    expect(plan.panels!.count * plan.panels!.longMm).toBeCloseTo(Math.PI * 208, 6);
    expect(plan.panels!.highMm).toBe(104);
    const mm3 = (Math.PI * 200 ** 2) / 4 + Math.PI * 208 * 104;
    expect(plan.onCakeG).toBeCloseTo((mm3 * 4 * 1.4) / 1000, 6);
  });
  it('are four round a box, and take less than a sheet draped over it', () => {
    const box: Outline = { kind: 'square', sideMm: 200, cornerMm: 0 };
    const plan = panels(box);
    expect(plan.panels).toMatchObject({ count: 4, seams: 4 });
    const tier = newBuild('b', 'B', '2027-05-03T09:30:00Z').tiers[0]!;
    tier.fondant = { way: 'draped', mm: 4, allowanceMm: 15, tint: '' };
    expect(plan.rolledG).toBeLessThan(planFondant(tier, box, 100)!.rolledG);
    expect(plan.onCakeG + plan.trimG).toBeCloseTo(plan.rolledG, 9);
  });
  it('have their step, with their sizes', () => {
    const build = newBuild('b', 'B', '2027-05-03T09:30:00Z');
    build.tiers[0]!.fondant = { way: 'panels', mm: 4, allowanceMm: 15, tint: '' };
    const step = stepsOf(planBuild(build, pantry)).find(({ key }) => key.endsWith('/fondant'))!;
    expect(step.kind).toBe('panel');
    expect(step.hazards).toContain('knife');
  });
});

describe('a side piped all over', () => {
  const piped = (radiusMm: number, heightMm = 0): Build => {
    const build = newBuild('b', 'B', '2027-05-03T09:30:00Z');
    const [tier] = build.tiers;
    if (heightMm > 0) for (const layer of tier!.layers) layer.heightMm = heightMm;
    build.piping = [
      { ...newPiping('roses', 0), piped: { ...newPiped(tier!.id), form: 'rosette', where: 'whole side', radiusMm, odd: false } }, // prettier-ignore
    ];
    return build;
  };
  it('is rows from foot to edge, each in the gaps of the one below', () => {
    const plan = planBuild(piped(20), pantry);
    const [job] = plan.piping;
    const { finished, stack } = plan.tiers[0]!;
    const rows = Math.round(stack.finishedMm / 40);
    const each = Math.floor(perimeterMm(finished) / 40 + 1e-9);
    expect(job!.pieces).toBe(rows * each);
    expect(job!.massG).toBeCloseTo(job!.pieces * job!.pieceG!, 9);
    const ups = job!.rows.map(({ upMm }) => upMm);
    expect(ups).toHaveLength(rows);
    expect(ups[0]).toBeCloseTo(stack.finishedMm / rows / 2, 9);
    for (const { places } of job!.rows) expect(places).toHaveLength(each);
    const [first, second] = job!.rows.map(({ places }) => places[0]);
    const turn = (Math.atan2(second!.y, second!.x) - Math.atan2(first!.y, first!.x)) * each;
    expect(Math.abs(turn)).toBeCloseTo(Math.PI, 6);
  });
  it('is drawn by the row where thousands would hold the page, and piece by piece where not', () => {
    const fine = piped(1);
    const coarse = piped(20);
    const drawn = (
      build: Build,
    ): { job: PlannedPiping; seen: number; groups: number; runs: number } => {
      const plan = planBuild(build, pantry);
      const picture = drawPicture(build, plan, pantry);
      const seen = drawElevation(build, plan, pantry).shapes.filter(
        ({ kind }) => kind === 'piping',
      );
      return { job: plan.piping[0]!, seen: seen.length, groups: picture.groups.length, runs: picture.runs.length }; // prettier-ignore
    };
    const { job, seen, groups, runs } = drawn(fine);
    expect(job.pieces).toBeGreaterThan(4000);
    expect(job.rows).toHaveLength(seen);
    expect([groups, runs]).toEqual([0, seen]);
    const few = drawn(coarse);
    expect(few.seen).toBeGreaterThan(few.job.rows.length);
    expect([few.groups, few.runs]).toEqual([1, 0]);
  });
  it('is one row on a side lower than a piece, and its bowl takes all of it', () => {
    const low = planBuild(piped(60), pantry);
    expect(low.piping[0]!.rows).toHaveLength(1);
    const plan = planBuild(piped(20), pantry);
    if (!plan.bowls.ok) throw new Error(plan.bowls.problem);
    const use = plan.bowls.value.flatMap(({ uses }) => uses).find(({ kind }) => kind === 'piping')!;
    expect(use.massG).toBeCloseTo(plan.piping[0]!.massG, 9);
  });
  it('is seen from the front in every row, within the cake', () => {
    const build = piped(20);
    const plan = planBuild(build, pantry);
    const shapes = drawElevation(build, plan, pantry).shapes.filter(
      ({ kind }) => kind === 'piping',
    );
    const heights = new Set(shapes.map(({ y0, y1 }) => Math.round(y0 + y1)));
    expect(heights.size).toBe(Math.round(plan.tiers[0]!.stack.finishedMm / 40));
    expect(shapes.length).toBeGreaterThan(plan.piping[0]!.pieces / 2 - 2 * heights.size);
    expect(shapes.length).toBeLessThan(plan.piping[0]!.pieces / 2 + 2 * heights.size);
  });
});
