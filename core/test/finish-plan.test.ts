import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  contains,
  drawElevation,
  grow,
  newBuild,
  newDrip,
  newPiped,
  newPiping,
  newTopping,
  perimeterMm,
  planBuild,
  setStress,
  type Build,
  type Outline,
  type Piped,
  type Plan,
  type Topping,
  type PipedRow,
} from '../src/index.ts';
import { anyBuild, drawnOutline, pantry } from './arbitrary.ts';

const fresh = (change: (build: Build) => void = () => undefined): Build => {
  const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
  change(build);
  return build;
};
const piped = (change: Partial<Piped>, outline?: Outline): Plan =>
  planBuild(
    fresh((b) => {
      if (outline) b.tiers[0]!.outline = outline;
      b.piping = [{ ...newPiping('job', 0), piped: { ...newPiped('tier-1'), ...change } }];
    }),
    pantry,
  );
const topped = (...toppings: Partial<Topping>[]): Build =>
  fresh((b) => {
    b.tiers[0]!.toppings = toppings.map((change, i) => ({ ...newTopping(`t-${i}`), ...change }));
  });
const toppingsOf = (build: Build) => planBuild(build, pantry).tiers[0]!.finish.toppings;

describe('piping fitted round a tier', () => {
  it('sits evenly on its line, whatever the outline', () => {
    fc.assert(
      fc.property(drawnOutline, (outline) => {
        const job = piped({ where: 'side', upMm: 10 }, outline).piping[0]!;
        fc.pre(!job.noRoom && job.pieces > 3);
        const [{ places }] = job.rows as [PipedRow];
        expect(places).toHaveLength(job.pieces);
        const pitch = perimeterMm(job.line!) / job.pieces;
        places.forEach((place, i) => {
          const next = places[(i + 1) % places.length]!;
          // never further apart along a chord than along the line
          expect(Math.hypot(next.x - place.x, next.y - place.y)).toBeLessThanOrEqual(pitch * 1.01);
        });
      }),
      { numRuns: 25 },
    );
  });
  it('goes by the cube of the nozzle, and by what one weighs when that is known', () => {
    const small = piped({ wideMm: 6 }).piping[0]!;
    const large = piped({ wideMm: 12 }).piping[0]!;
    expect(large.pieceG! / small.pieceG!).toBeCloseTo(8, 6);
    const own = piped({ weighedG: 5 }).piping[0]!;
    expect(own.massG).toBeCloseTo(5 * own.pieces, 9);
    expect(piped({ odd: true }).piping[0]!.pieces % 2).toBe(1);
    const few = piped({ count: 7 }).piping[0]!;
    expect(few.pieces).toBe(7);
    const many = piped({ count: 4000 });
    expect(many.piping[0]!.pieces).toBe(many.piping[0]!.most);
    expect(many.cautions.some((c) => c.id.endsWith('/too many'))).toBe(true);
  });
  it('by its length is as long as its line, or as its letters', () => {
    const rope = piped({ form: 'rope', where: 'foot' }).piping[0]!;
    expect(rope.lineMm).toBeCloseTo(perimeterMm(rope.line!), 6);
    const words = piped({ form: 'writing', text: 'fifty', letterMm: 30, where: 'on top' });
    expect(words.piping[0]!.lineMm).toBeCloseTo(5 * 30 * 3.2, 6);
    const apart = piped({ form: 'line', where: 'apart', lengthMm: 700 }).piping[0]!;
    expect(apart.lineMm).toBe(700);
  });
  it('without room is said, and takes nothing', () => {
    const plan = piped({ where: 'on top', insetMm: 200 });
    expect(plan.piping[0]!.massG).toBe(0);
    expect(plan.cautions.some((c) => c.id.endsWith('/no room'))).toBe(true);
    const lost = planBuild(
      fresh((b) => {
        b.piping = [{ ...newPiping('job', 40), piped: newPiped('no-such-tier') }];
      }),
      pantry,
    );
    expect(lost.piping[0]!.noRoom).toBe(true);
  });
});

describe('toppings', () => {
  it('all lie on the top and none on the tier above', () => {
    fc.assert(
      fc.property(anyBuild, (build) => {
        const plan = planBuild(build, pantry);
        plan.tiers.forEach((tier, i) => {
          const above = plan.tiers[i + 1]?.finished;
          for (const { places, topping, onSide } of tier.finish.toppings)
            for (const place of onSide ? [] : places) {
              expect(contains(tier.finished, place, 1)).toBe(true);
              const kept = above && grow(above, topping.acrossMm / 2 - 1);
              if (kept && topping.arrangement !== 'free')
                expect(contains(kept, place, -0.5)).toBe(false);
            }
        });
      }),
      { numRuns: 40 },
    );
  });
  it('are counted by others: a berry for each star, or every second', () => {
    const build = topped(
      { count: 12, odd: false },
      { linkedTo: 't-0', every: 2, odd: false, acrossMm: 10 },
      { linkedTo: 'stars', every: 1, acrossMm: 5 },
    );
    build.piping = [
      {
        ...newPiping('stars', 0),
        piped: { ...newPiped('tier-1'), form: 'star', where: 'on top', count: 9 },
      },
    ];
    expect(toppingsOf(build).map((one) => one.asked)).toEqual([12, 6, 9]);
    // two that count each other do not go round in circles
    const circle = topped({ linkedTo: 't-1' }, { linkedTo: 't-0' });
    expect(toppingsOf(circle).map((one) => one.count > 0)).toEqual([true, true]);
  });
  it('on sticks stay up and are counted out; without them a soft top lets them sink', () => {
    const heavy = { pieceG: 400, acrossMm: 20, count: 1, odd: false, name: 'topper' };
    const soft = planBuild(topped(heavy), pantry);
    expect(soft.tiers[0]!.finish.toppings[0]!.sinks).toBe(true);
    expect(soft.nonFood).toEqual([]);
    const stick = planBuild(topped({ ...heavy, pick: 'stick' }), pantry);
    expect(stick.tiers[0]!.finish.toppings[0]!.sinks).toBe(false);
    expect(stick.nonFood).toMatchObject([{ name: 'stick of topper', count: 1 }]);
    if (!stick.steps.ok) throw new Error(stick.steps.problem);
    const keys = stick.steps.value.map((step) => step.key);
    const [{ inKey, outKey }] = stick.nonFood as [(typeof stick.nonFood)[0]];
    // counted in where it is put on, and out before the cake is cut
    expect(keys).toContain(inKey);
    expect(keys.indexOf(outKey)).toBeGreaterThan(keys.indexOf(inKey));
    expect(keys.at(-1)).toBe('serve');
  });
  it('from a slab weigh what their size says, and more is poured than is kept whole', () => {
    const [one] = toppingsOf(
      topped({ tray: { thickMm: 4, wholeShare: 0.5, spreads: 1.2 }, acrossMm: 30, highMm: 40 }),
    );
    expect(one!.pieceG).toBeCloseTo(30 * 40 * 4 * 1.3e-3, 6);
    expect(one!.tray!.massG).toBeCloseTo(2 * one!.massG, 6);
    expect(one!.tray!.wholeG).toBeCloseTo(one!.massG, 6);
  });
  it('that keep go on before those that do not, and the torch before both', () => {
    const build = topped({ last: true, name: 'berries' }, { last: false, name: 'shards' });
    build.tiers[0]!.torched = true;
    build.piping = [newPiping('stars', 50)];
    const { steps } = planBuild(build, pantry);
    if (!steps.ok) throw new Error(steps.problem);
    const at = (title: string): number => steps.value.findIndex((s) => s.title.includes(title));
    const order = ['Pipe: piping', 'torch', 'Put on: shards', 'Box it', 'last moment: berries'];
    const places = order.map(at);
    expect(places.every((place) => place >= 0)).toBe(true);
    expect([...places].sort((a, b) => a - b)).toEqual(places);
    // something to look at before each is left
    expect(steps.value.every((s) => s.checks.length > 0)).toBe(true);
    const torch = steps.value[at('torch')]!;
    expect(torch.cautions[0]!.text).toContain('Open flame');
  });
  it('of nuts are on the label', () => {
    const plan = planBuild(topped({ foodId: null, allergens: ['tree nuts'] }), pantry);
    expect(plan.allergens).toContain('tree nuts');
  });
});

describe('a set ganache', () => {
  it('is stiffer the firmer it is and the colder, as the starting table has it', () => {
    expect(setStress(1.64)).toEqual({ stress21Pa: 500, stress4Pa: 15000 });
    expect(setStress(3.29).stress21Pa).toBeCloseTo(25000, 0);
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 4, noNaN: true }), (firmness) => {
        const soft = setStress(firmness);
        const firm = setStress(firmness * 1.1);
        expect(firm.stress21Pa).toBeGreaterThan(soft.stress21Pa);
      }),
    );
  });
});

describe('the cake from the front', () => {
  it('stands on its board, as wide and as high as the section, whatever is on it', () => {
    fc.assert(
      fc.property(anyBuild, (build) => {
        const plan = planBuild(build, pantry);
        const front = drawElevation(build, plan, pantry);
        const sides = front.shapes.filter(({ id }) => id.endsWith('/coat'));
        expect(sides).toHaveLength(build.tiers.length);
        expect(Math.max(...sides.map((s) => s.y1))).toBeCloseTo(plan.section.heightMm, 6);
        // a tier that its mould does not fit is drawn as the mould makes it, and that is said
        if (build.tiers.every(({ mould, asTin }) => mould === null && asTin === null))
          expect(Math.max(...sides.map((s) => s.x1 - s.x0))).toBeCloseTo(plan.tally.widthMm, 6);
        for (const shape of front.shapes) {
          expect(shape.x1).toBeGreaterThanOrEqual(shape.x0 - 1e-9);
          expect(shape.y1).toBeGreaterThanOrEqual(shape.y0 - 1e-9);
        }
      }),
      { numRuns: 30 },
    );
  });
  it('shows about half of the drips, each as long as it is planned', () => {
    const build = fresh((b) => {
      b.tiers[0]!.drip = { ...newDrip('dark-equal'), pattern: 'random' };
    });
    const plan = planBuild(build, pantry);
    const { drip } = plan.tiers[0]!.finish;
    if (!drip.ok || !drip.value) throw new Error('no drip');
    const shown = drawElevation(build, plan, pantry).shapes.filter((s) => s.kind === 'drip');
    expect(shown.length / drip.value.count).toBeGreaterThan(0.4);
    expect(shown.length / drip.value.count).toBeLessThan(0.55);
    for (const shape of shown) {
      const i = Number(shape.id.split('/').at(-1));
      expect(shape.y1 - shape.y0).toBeCloseTo(drip.value.drips[i]!.lengthMm, 6);
    }
  });
});
