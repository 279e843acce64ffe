import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  addTier,
  areaMm2,
  bendingMPa,
  counterMassG,
  countAt,
  cutListsOf,
  eulerN,
  fewestDowels,
  findRow,
  frictionAt,
  halfWayGap,
  inchesAndOunces,
  metric,
  momentMm4,
  newBuild,
  newDowels,
  nPerG,
  openCounts,
  planBuild,
  roomFor,
  nearestRoom,
  rodMomentNmm,
  say,
  showText,
  stackingAdvice,
  slidingOf,
  stakeDepthMm,
  strengthOf,
  tippingOf,
  unevenOf,
  usualCard,
  warmthShare,
  waysOf,
  writeBuildFile,
  readBuildFile,
  type Build,
  type Dowel,
  type Plan,
  type Point,
} from '../src/index.ts';
import { anyBuild, pantry } from './arbitrary.ts';

const row = (id: string): Dowel => findRow(pantry, 'dowels', id);
/** Two or more tiers, 20 cm below and 5 cm narrower each, on cards and rods. */
function stacked(tiers = 2, change: (build: Build) => void = () => undefined): Build {
  const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
  while (build.tiers.length < tiers) {
    addTier(build);
    const diameterMm = 250 - 50 * build.tiers.length;
    build.tiers.at(-1)!.outline = { kind: 'round', diameterMm };
  }
  change(build);
  return build;
}
const supportOf = (build: Build) => planBuild(structuredClone(build), pantry).support!;
const said = (plan: Plan, id: string): string => {
  const found = plan.cautions.find((caution) => caution.id === id);
  return found ? `${say(found.title, metric)} ${say(found.todo, metric)}` : '';
};
const circle = (r: number, n = 720): Point[] =>
  Array.from({ length: n }, (_, k) => ({
    x: r * Math.cos((2 * Math.PI * k) / n),
    y: r * Math.sin((2 * Math.PI * k) / n),
  }));

describe('what one dowel carries', () => {
  it('is Euler’s load for a slender rod: 6 mm of hardwood, 300 mm long', () => {
    expect(momentMm4(row('rod-6'))).toBeCloseTo((Math.PI / 64) * 6 ** 4, 9);
    // pi²·10 GPa·63.6 mm4/0.3² = 69.8 N, as the textbook has it
    expect(eulerN(10, momentMm4(row('rod-6')), 300)).toBeCloseTo(69.76, 1);
    expect(eulerN(10, 100, 100) / eulerN(10, 100, 200)).toBeCloseTo(4, 12);
  });
  it('is the least of its modes, each over its safety, and says which gives', () => {
    const short = strengthOf(row('rod-6'), 120, 30);
    expect(short.by).toBe('buckling');
    expect(short.allowedN).toBeCloseTo(
      Math.min(...short.modes.map(({ givesN, safety }) => givesN / safety)),
      12,
    );
    // a soft board gives before the rod
    expect(strengthOf(row('rod-6'), 120, 1)).toMatchObject({ by: 'board' });
    expect(strengthOf(row('rod-6'), 120, 1).allowedN).toBeCloseTo(((Math.PI / 4) * 36) / 3, 9);
    // a wide straw folds in its wall long before it is crushed
    const straw = strengthOf(row('straw-12'), 100, 3);
    expect(straw.by).toBe('wall folding');
    const area = (Math.PI / 4) * (12 ** 2 - 11.5 ** 2);
    expect(straw.allowedN).toBeCloseTo((0.6 * 1300 * (0.25 / 6) * 0.3 * area) / 3, 6);
  });
  it('is half of what it bore on the scale, and no more than it bends at when it is longer', () => {
    const straw: Dowel = { ...row('straw-12'), testsG: [9000, 8000], testedMm: 100 };
    const tried = strengthOf(straw, 100, 30);
    expect(tried).toMatchObject({ by: 'own test' });
    expect(tried.allowedN).toBeCloseTo((8000 * nPerG) / 2, 9);
    const long = strengthOf(straw, 400, 30);
    expect(long.by).toBe('buckling');
    expect(long.allowedN).toBeLessThan(tried.allowedN);
  });
  it('is less in a damp cake for paper, by its share', () => {
    const paper = row('paper-8');
    const dry = strengthOf({ ...paper, dampShare: 1 }, 60, 30);
    expect(strengthOf(paper, 60, 30).allowedN).toBeCloseTo(dry.allowedN / 2, 9);
  });
  it('custom counts 4, 5, 7 and 8 under 15, 20, 25 and 30 cm, and never fewer than 3', () => {
    expect([80, 150, 200, 250, 300].map(fewestDowels)).toEqual([3, 4, 5, 7, 8]);
  });
});

describe('tipping and sliding', () => {
  it('of a cylinder is atan(r/h) over its rim', () => {
    const { tiltDeg, brakeG, margin } = tippingOf(circle(100), { x: 0, y: 0 }, 80);
    expect(tiltDeg).toBeCloseTo((Math.atan(100 / 80) * 180) / Math.PI, 2);
    expect(brakeG).toBeCloseTo(1.25, 4);
    expect(margin).toBeCloseTo(2.5, 4);
  });
  it('of a weight beyond the edge is at once', () => {
    expect(tippingOf(circle(100), { x: 120, y: 0 }, 80).tiltDeg).toBeLessThan(0);
  });
  it('is held by friction and by the frosting between, less when it is warm', () => {
    expect(slidingOf(0.3, 0, 1e4, 20).brakeG).toBeCloseTo(0.3, 12);
    expect(slidingOf(0.3, 1000, 2e4, 20).brakeG).toBeCloseTo(1.3, 12);
    expect([frictionAt(4), frictionAt(8), frictionAt(22), frictionAt(30)]).toEqual([
      0.3, 0.3, 0.15, 0.15,
    ]);
    expect(frictionAt(15)).toBeCloseTo(0.225, 12);
  });
  it('a rod makes up what the weight does not hold, and nothing where it does', () => {
    const safe = tippingOf(circle(200), { x: 0, y: 0 }, 100);
    expect(rodMomentNmm(20, safe, null, 0)).toBe(0);
    const tall = tippingOf(circle(50), { x: 0, y: 0 }, 100);
    // twice a hard stop is 1 g: 100 mm of lever, of which 50 are held
    expect(rodMomentNmm(20, tall, null, 0)).toBeCloseTo(20 * 50, 1);
    expect(rodMomentNmm(20, safe, slidingOf(0.6, 0, 1, 20), 120)).toBeCloseTo(20 * 0.4 * 120, 6);
    expect(bendingMPa((Math.PI * 1000) / 32, 10)).toBeCloseTo(1, 12);
  });
  it('a counter-mass brings the weight back over the edge', () => {
    expect(counterMassG(900, 40, 180)).toBeCloseTo(200, 9);
    expect(counterMassG(900, -5, 180)).toBe(0);
  });
  it('a stake goes as deep as forces and moments ask', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 800, noNaN: true }),
        fc.double({ min: 5, max: 200, noNaN: true }),
        (massG, upMm) => {
          const [wide, crumb] = [4, 3];
          const deep = stakeDepthMm(massG, upMm, wide, crumb);
          const f = crumb * 1e-3 * wide;
          const push = massG * nPerG * 0.5;
          const turn = (deep + push / f) / 2;
          expect(f * turn - f * (deep - turn)).toBeCloseTo(push, 9);
          const moments = push * upMm + (f * turn ** 2) / 2 - (f * (deep ** 2 - turn ** 2)) / 2;
          expect(Math.abs(moments) / (push * upMm)).toBeLessThan(1e-9);
        },
      ),
    );
  });
});

describe('tiers on each other', () => {
  it('carry all that is above them, boards included', () => {
    const build = stacked(3);
    const plan = planBuild(build, pantry);
    const [low, mid, high] = plan.support!.tiers;
    const cardG = (i: number): number => areaMm2(build.tiers[i]!.outline) * 3 * 0.75e-3;
    expect(high!.carried.massG).toBeCloseTo(plan.tiers[2]!.massG! + cardG(2), 6);
    expect(mid!.carried.massG - high!.carried.massG).toBeCloseTo(
      plan.tiers[1]!.massG! + cardG(1),
      6,
    );
    expect(low!.carried.massG).toBeCloseTo(plan.tally.massG! - plan.board!.massG, 6);
    const [lift] = plan.support!.lifts;
    expect(lift!.aboveG).toBeCloseTo(mid!.carried.massG, 9);
    expect(lift!.lengthMm).toBeCloseTo(plan.tiers[0]!.stack.finishedMm, 9);
  });
  it('have their centre where levers put it, off the axis too', () => {
    fc.assert(
      fc.property(anyBuild, (build) => {
        const { tiers } = supportOf(build);
        tiers.forEach((stand, i) => {
          const next = tiers[i + 1];
          if (!next) return;
          const off = build.tiers[i + 1]!.stand.offsetMm;
          const whole = stand.carried;
          const moment =
            stand.body.massG * stand.body.x + next.carried.massG * (next.carried.x + off[0]);
          expect(whole.massG).toBeCloseTo(stand.body.massG + next.carried.massG, 6);
          expect(whole.x * whole.massG).toBeCloseTo(moment, 3);
        });
      }),
      { numRuns: 30 },
    );
  });
  it('under a heavy tier ask for dowels, and stop asking once they are there', () => {
    const bare = planBuild(
      stacked(2, (b) => (b.tiers[0]!.stand.dowels = null)),
      pantry,
    );
    expect(said(bare, 'tier-1/no dowels')).toContain('stands on cake alone');
    expect(said(bare, 'tier-1/no dowels')).toContain('4 dowels');
    const held = planBuild(stacked(2), pantry);
    expect(said(held, 'tier-1/no dowels')).toBe('');
    expect(held.support!.lifts[0]!.used).toBeLessThan(1);
    expect(held.support!.lifts[0]!.placed.length).toBeGreaterThanOrEqual(4);
  });
  it('every dowel that is placed stands where it may, and carries no more than it may', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 160, max: 380 }),
        fc.integer({ min: 0, max: 25 }),
        fc.constantFrom(...pantry.dowels.filter((one) => one.outerMm <= 12).map((one) => one.id)),
        (wide, off, dowelId) => {
          const build = stacked(2, (b) => {
            b.tiers[0]!.outline = { kind: 'round', diameterMm: wide };
            b.tiers[1]!.outline = { kind: 'round', diameterMm: wide - 60 };
            b.tiers[1]!.stand.offsetMm = [off, 0];
            b.tiers[0]!.stand.dowels = newDowels(dowelId);
          });
          const [lift] = supportOf(build).lifts;
          const hinders = roomFor(
            {
              lower: build.tiers[0]!.outline,
              upper: build.tiers[1]!.outline,
              upperAt: { x: off, y: 0 },
              core: null,
              rod: null,
              sections: [],
              picks: [],
            },
            lift!.row!.outerMm,
          );
          for (const { at, worstN, restN } of lift!.placed) {
            expect(hinders(at)).toBeNull();
            expect(worstN).toBeGreaterThanOrEqual(restN - 1e-9);
          }
          const all = lift!.placed.reduce((total, one) => total + one.restN, 0);
          expect(all).toBeCloseTo(lift!.aboveG * nPerG, 6);
          if (lift!.placed.length < 24) expect(lift!.used).toBeLessThanOrEqual(1 + 1e-9);
        },
      ),
      { numRuns: 25 },
    );
  });
  it('keep clear of a hidden centre, of the rod and of picks', () => {
    const around = {
      lower: { kind: 'round', diameterMm: 240 } as const,
      upper: { kind: 'round', diameterMm: 160 } as const,
      upperAt: { x: 0, y: 0 },
      core: { kind: 'round', diameterMm: 60 } as const,
      rod: { at: { x: 50, y: 0 }, acrossMm: 12 },
      sections: [],
      picks: [{ x: 0, y: 55 }],
    };
    const hinders = roomFor(around, 6);
    expect(hinders({ x: 0, y: 0 })).toBe('in the hidden centre');
    expect(hinders({ x: 52, y: 4 })).toBe('at the rod');
    expect(hinders({ x: 1, y: 56 })).toBe('at a pick');
    expect(hinders({ x: 75, y: 0 })).toBe('beyond the board it carries');
    expect(hinders({ x: -55, y: 0 })).toBeNull();
    const near = nearestRoom({ x: 0, y: 0 }, hinders)!;
    expect(hinders(near)).toBeNull();
    // 30 mm of centre, half a dowel and 3 mm between
    expect(Math.hypot(near.x, near.y)).toBeLessThan(30 + 3 + 3 + 2.1);
  });
  it('that are wider than what is below them are refused, with the widest that works', () => {
    const plan = planBuild(
      stacked(2, (b) => (b.tiers[1]!.outline = { kind: 'round', diameterMm: 260 })),
      pantry,
    );
    expect(said(plan, 'tier-2/overhang')).toMatch(/wider than Tier 1: it hangs over by 3(\.0)? cm/);
    expect(said(plan, 'tier-2/overhang')).toContain('At most 20 cm');
  });
  it('whose weight lies beyond the edge fall, and the farthest place that holds is named', () => {
    const off = (mm: number): Plan =>
      planBuild(
        stacked(2, (b) => (b.tiers[1]!.stand.offsetMm = [mm, 0])),
        pantry,
      );
    expect(said(off(110), 'tier-2/falls')).toMatch(/lies 1(\.0)? cm beyond the edge/);
    const most = /At most ([\d.]+) cm/.exec(said(off(110), 'tier-2/falls'))!;
    expect(said(off(Number(most[1]) * 10 - 1), 'tier-2/falls')).toBe('');
    expect(said(off(20), 'tier-2/falls')).toBe('');
  });
  it('a dowel set outside the cake is said, with how far the nearest free place is', () => {
    const plan = planBuild(
      stacked(2, (b) => {
        b.tiers[0]!.stand.dowels!.spots = [
          [140, 0],
          [-40, 0],
          [0, 40],
          [0, -40],
        ];
      }),
      pantry,
    );
    expect(said(plan, 'tier-1/dowels/0/place')).toContain('beyond the board it carries');
    // the board above is 15 cm: its inset of 15 mm and half a dowel leave 57 mm
    expect(said(plan, 'tier-1/dowels/0/place')).toMatch(/8\.[3-5] cm away/);
  });
  it('too weak dowels are said with how many or what would do', () => {
    const plan = planBuild(
      stacked(3, (b) => {
        b.tiers[0]!.stand.dowels = { ...newDowels('paper-8'), count: 3 };
      }),
      pantry,
    );
    expect(said(plan, 'tier-1/dowels/weak')).toMatch(/About \d+ of them, or as many of/);
  });
  it('one that is taken away leaves the others to carry its share', () => {
    const [lift] = supportOf(stacked(2)).lifts;
    const allowed = lift!.strength!.allowedN;
    for (const { used, stands } of lift!.without)
      if (stands) expect(used * allowed).toBeGreaterThan(Math.max(...lift!.carried!.restN) - 1e-9);
  });
  it('posts are longer by the room they make, and stand in the section', () => {
    const plan = planBuild(
      stacked(2, (b) => {
        b.tiers[1]!.stand.postMm = 80;
        b.tiers[0]!.stand.dowels = newDowels('post-20');
      }),
      pantry,
    );
    const [lift] = plan.support!.lifts;
    expect(lift!.lengthMm).toBeCloseTo(plan.tiers[0]!.stack.finishedMm + 80, 9);
    expect(plan.section.tiers[1]!.fromMm).toBeCloseTo(lift!.lengthMm + 3, 9);
    expect(plan.section.parts.filter((part) => part.kind === 'post')).toHaveLength(
      lift!.placed.length,
    );
  });
});

describe('tall tiers', () => {
  const tall = (decks: boolean): Plan =>
    planBuild(
      stacked(1, (b) => {
        const tier = b.tiers[0]!;
        tier.layers = [...tier.layers, ...tier.layers].map((one, i) => ({
          ...one,
          id: `layer-${i + 1}`,
        }));
        tier.gaps = [...tier.gaps, structuredClone(tier.gaps[0]!), ...structuredClone(tier.gaps)];
        if (decks)
          tier.stand.decks = [{ afterLayer: 3, card: usualCard(), dowels: newDowels('straw-12') }];
      }),
      pantry,
    );
  it('want a board half-way up, and once it is there the lower layers carry half', () => {
    const [bare, held] = [tall(false), tall(true)];
    expect(said(bare, 'tier-1/tall')).toContain('on one board');
    expect(said(held, 'tier-1/tall')).toBe('');
    expect(held.tally.heightMm).toBeCloseTo(bare.tally.heightMm + 3, 6);
    const [all] = bare.support!.tiers[0]!.stresses;
    const [half] = held.support!.tiers[0]!.stresses;
    expect(half!.restKPa).toBeLessThan(0.55 * all!.restKPa);
    expect(held.support!.lifts[0]).toMatchObject({ deck: 0, tierId: 'tier-1' });
    const steps = held.steps.ok ? held.steps.value.map((step) => step.key) : [];
    // dowels and board come while it is stacked, between the layers they lie between
    const at = steps.indexOf('in/tier-1/deck/layer-4');
    expect(at).toBeGreaterThan(steps.indexOf('tier-1/fill/layer-4+layer-5'));
    expect(at).toBeLessThan(steps.indexOf('tier-1/fill/layer-5+layer-6'));
    expect(steps.indexOf('in/tier-1/deck/layer-4/dowels')).toBe(at - 1);
  });
  it('crumb is firmer cold and softer warm', () => {
    expect([warmthShare(4), warmthShare(21)]).toEqual([1.3, 1]);
    expect(warmthShare(30)).toBeCloseTo(0.8, 12);
  });
});

describe('rod, road and counting', () => {
  it('a rod takes what leans: the dowels carry weight alone', () => {
    const bare = supportOf(stacked(3));
    const held = supportOf(stacked(3, (b) => (b.rod = { dowelId: 'rod-18', at: null })));
    expect(bare.rodWantedBy.length).toBeGreaterThan(0);
    expect(held.lifts[0]!.carried!.tips).toEqual([]);
    expect(held.rod!.lengthMm).toBeLessThan(planBuild(stacked(3), pantry).tally.heightMm + 12);
    const [asIs, , rod] = waysOf(stacked(3), bare);
    expect(rod!.margin).toBeGreaterThan(asIs!.margin);
  });
  it('a rod beside a tier is refused', () => {
    const plan = planBuild(
      stacked(2, (b) => {
        b.rod = { dowelId: 'rod-12', at: [95, 0] };
      }),
      pantry,
    );
    expect(said(plan, 'rod/outside')).toContain('does not go safely through');
  });
  it('it warms on the way, more in an hour than in a minute, never past the car', () => {
    const at = (minutes: number): number =>
      supportOf(stacked(2, (b) => Object.assign(b.journey, { minutes, carC: 25 }))).arrival!.skinC;
    // it leaves as cold as it was chilled for the road
    expect(at(0)).toBe(8);
    expect(at(10)).toBeGreaterThan(at(0));
    expect(at(120)).toBeGreaterThan(at(30));
    expect(at(2000)).toBeLessThanOrEqual(25);
  });
  it('measured layers make dowels of the lengths of their places', () => {
    const build = stacked(2, (b) => {
      const [tier] = b.tiers;
      // 4 mm higher at the back than at the front
      for (const layer of tier!.layers) Object.assign(layer, { rimMm: [], turnSteps: 0 });
      tier!.layers[0]!.rimMm = [27, 25, 23, 25];
      tier!.stand.dowels = { ...newDowels(), cut: 'each' };
    });
    expect(unevenOf(build.tiers[0]!)({ x: 0, y: 100 })).toBeCloseTo(2, 6);
    expect(unevenOf(build.tiers[0]!)({ x: 0, y: -50 })).toBeCloseTo(-1, 6);
    const [lift] = supportOf(build).lifts;
    for (const { at, lengthMm } of lift!.placed)
      expect(lengthMm).toBeCloseTo(lift!.lengthMm + at.y / 50, 6);
    build.tiers[0]!.stand.dowels!.cut = 'longest';
    const lengths = supportOf(build).lifts[0]!.placed.map((one) => one.lengthMm);
    expect(new Set(lengths).size).toBe(1);
    expect(lengths[0]).toBeGreaterThanOrEqual(lift!.lengthMm);
  });
  it('the cut list holds every dowel and the rod once', () => {
    const build = stacked(3, (b) => (b.rod = { dowelId: 'rod-12', at: null }));
    const plan = planBuild(build, pantry);
    const pieces = cutListsOf(build, plan.support!).flatMap((list) => list.pieces);
    const placed = plan.support!.lifts.reduce((sum, lift) => sum + lift.placed.length, 0);
    expect(pieces).toHaveLength(placed + 1);
    expect(new Set(pieces.map((piece) => piece.label)).size).toBe(pieces.length);
  });
  it('every part that is no food is counted in and out, and stays open until both agree', () => {
    const build = stacked(3, (b) => (b.rod = { dowelId: 'rod-12', at: null }));
    const plan = planBuild(structuredClone(build), pantry);
    const names = plan.nonFood.map((item) => item.key);
    expect(names).toEqual(['tier-1/dowels', 'tier-2/card', 'tier-2/dowels', 'tier-3/card', 'rod']);
    expect(openCounts(plan.nonFood)).toHaveLength(5);
    const keys = plan.steps.ok ? plan.steps.value.map((step) => step.key) : [];
    for (const item of plan.nonFood) {
      expect(keys).toContain(item.inKey);
      expect(keys.indexOf(item.outKey)).toBeGreaterThan(keys.indexOf(item.inKey));
    }
    const note = (stepKey: string, value: number): void =>
      void build.bench.notes.push({
        id: `${stepKey}-${value}`,
        stepKey,
        at: '2027-06-12T12:00:00Z',
        kind: 'count',
        value,
        text: '',
        planned: null,
      });
    const [first] = plan.nonFood;
    note(first!.inKey, 4);
    note(first!.outKey, 3);
    const later = (): Plan['nonFood'] => planBuild(structuredClone(build), pantry).nonFood;
    expect(later()[0]).toMatchObject({ countedIn: 4, countedOut: 3, isClosed: false });
    note(first!.outKey, 4);
    expect(later()[0]!.isClosed).toBe(true);
    expect(countAt(build, first!.outKey)).toBe(4);
  });
  it('a tier of foam weighs little, serves nobody, asks for no batter and comes out', () => {
    const build = stacked(2, (b) => {
      const tier = b.tiers[0]!;
      tier.layers = [{ ...tier.layers[0]!, heightMm: 100, otherId: 'foam' }];
      tier.gaps = [];
    });
    const plan = planBuild(build, pantry);
    expect(plan.tiers[0]!.servings).toBe(0);
    expect(plan.tiers[0]!.layersG![0]).toBeLessThan(100);
    expect(plan.tiers[0]!.bake).toMatchObject({ ok: true, value: { batterG: 0 } });
    expect(plan.nonFood.map((item) => item.name)).toContain('foam dummy');
    const names = plan.ingredients.ok ? plan.ingredients.value.map((line) => line.name) : [];
    expect(names.join()).not.toContain('oam');
  });
  it('boards between layers and everything else goes through a file and back', () => {
    fc.assert(
      fc.property(anyBuild, (build) => {
        const read = readBuildFile(writeBuildFile(build, pantry));
        if (!read.ok) throw new Error(JSON.stringify(read.problems[0]));
        const standing = ({ tiers, rod, journey }: Build): string =>
          JSON.stringify([tiers.map((tier) => tier.stand), rod, journey]);
        expect(JSON.parse(standing(read.build))).toEqual(JSON.parse(standing(build)));
      }),
      { numRuns: 20 },
    );
  });
  it('says where to stack it, with the reason', () => {
    const told = (build: Build): string => {
      const advice = stackingAdvice(build, supportOf(build));
      return advice ? say(advice, metric) : '';
    };
    expect(told(stacked(1))).toBe('');
    expect(told(stacked(3))).toMatch(
      /Stack it there: apart, the tiers stand [\d.]+ times a hard braking/,
    );
    expect(told(stacked(3, (b) => (b.rod = { dowelId: 'rod-18', at: null })))).toContain('the rod');
  });
  it('puts a board half-way up over the filling nearest to the middle, then the next', () => {
    const build = stacked(1);
    expect(halfWayGap(planBuild(structuredClone(build), pantry).tiers[0]!.stack)).toBe(1);
    const board = { card: usualCard(), dowels: newDowels() };
    build.tiers[0]!.stand.decks = [0, 1, 2].map((afterLayer) => ({ ...board, afterLayer }));
    expect(halfWayGap(planBuild(build, pantry).tiers[0]!.stack)).toBeNull();
  });
  it('shows what rests on a square of cake in grams, or ounces', () => {
    // a kilogram on a square decimetre is ten grams on a square centimetre
    expect(showText(980.665, 'bearing', metric)).toBe('10 g/cm²');
    expect(showText(980.665, 'bearing', inchesAndOunces)).toBe('2.3 oz/sq in');
  });
});
