import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bendOf, overhangBendMm, plateBendMm, stiffEnoughMm, stripBendMm } from '../src/support/bending.ts'; // prettier-ignore
import { boardMaterialRows, cardMassG, cardsG } from '../src/support/boards.ts';
import { carriedBy, casesFor, worstTimes, type Load, type LoadCase } from '../src/support/cases.ts';
import { cutSticks } from '../src/support/cut-list.ts';
import { leastApartMm, mostDowels, placeEnough, placeRing } from '../src/support/layout.ts';
import { pressG } from '../src/support/press.ts';
import { edgeInsetMm, nearestRoom, rimAt, roomFor, type DowelRoom } from '../src/support/room.ts';
import {
  eulerN,
  fewestDowels,
  momentMm4,
  sectionMm2,
  strengthOf,
} from '../src/support/strength.ts';
import { ageShare, warmthShare } from '../src/support/stress.ts';
import {
  addTier,
  areaMm2,
  newBuild,
  newDowels,
  newJourney,
  startingPantry,
  type Dowel,
  type Point,
} from '../src/index.ts';

/* The laws that boards and dowels follow, each by itself, against textbook forms. */

const rod = startingPantry().dowels.find(({ id }) => id === 'rod-6')!;
const tube: Dowel = { ...rod, form: 'tube', outerMm: 12, wallMm: 0.4, testsG: [] };

describe('a dowel by its section', () => {
  it('has area and moment of a ring', () => {
    expect(sectionMm2({ ...rod, outerMm: 10 })).toBeCloseTo(25 * Math.PI, 9);
    expect(sectionMm2({ ...tube, outerMm: 10, wallMm: 1 })).toBeCloseTo(9 * Math.PI, 9);
    expect(momentMm4({ ...rod, outerMm: 10 })).toBeCloseTo((Math.PI * 1e4) / 64, 9);
    expect(momentMm4({ ...tube, outerMm: 10, wallMm: 1 })).toBeCloseTo((Math.PI * (1e4 - 8 ** 4)) / 64, 9); // prettier-ignore
    // a wall as thick as the radius leaves no hole
    expect(sectionMm2({ ...tube, outerMm: 10, wallMm: 5 })).toBeCloseTo(25 * Math.PI, 9);
    expect(sectionMm2({ ...tube, wallMm: null })).toBeCloseTo(36 * Math.PI, 9);
  });
  it('buckles at a quarter when it is twice as long, and never by being crushed sooner', () => {
    expect(eulerN(1, 1000, 100)).toBeCloseTo(Math.PI ** 2 * 100, 9);
    expect(eulerN(1, 1000, 200)).toBeCloseTo(eulerN(1, 1000, 100) / 4, 9);
    expect(eulerN(9, 1000, 100)).toBeCloseTo(9 * eulerN(1, 1000, 100), 6);
    for (const length of [40, 120, 400, 1200]) {
      const { modes, allowedN, by } = strengthOf(rod, length, 30);
      const least = Math.min(...modes.map(({ givesN, safety }) => givesN / safety));
      expect(allowedN).toBeCloseTo(least, 9);
      expect(modes.find(({ mode }) => mode === by)).toBeDefined();
    }
    expect(strengthOf(rod, 1200, 30).by).toBe('buckling');
  });
  it('with a thin wall folds in it; with a thick one it cannot', () => {
    const names = (dowel: Dowel): string[] =>
      strengthOf(dowel, 80, 30).modes.map(({ mode }) => mode);
    expect(names(tube)).toContain('wall folding');
    expect(names({ ...tube, wallMm: 1.5 })).not.toContain('wall folding');
    expect(names(rod)).not.toContain('wall folding');
    // 0.6·E·(t/r)·0.3·A, E in MPa
    const folds = strengthOf({ ...tube, dampShare: 1 }, 80, 30).modes.find(({ mode }) => mode === 'wall folding')!; // prettier-ignore
    expect(folds.givesN).toBeCloseTo(
      0.18 * tube.modulusGPa * 1000 * (0.4 / 6) * sectionMm2(tube),
      6,
    );
    expect(strengthOf(rod, 80, 2).modes.find(({ mode }) => mode === 'board')!.givesN).toBeCloseTo((Math.PI / 4) * rod.outerMm ** 2 * 2, 6); // prettier-ignore
    // damp takes its share of what the material gives, and nothing of its stiffness
    const at = (dampShare: number) => strengthOf({ ...tube, dampShare }, 80, 30).modes;
    const [wet, dry] = [at(0.5), at(1)];
    wet.forEach(({ mode, givesN }, i) => {
      const share = mode === 'crushing' || mode === 'wall folding' ? 0.5 : 1;
      expect(givesN / dry[i]!.givesN).toBeCloseTo(share, 9);
    });
  });
  it('that was pressed on the scale is believed at half, the weakest of its presses', () => {
    const tried = strengthOf({ ...rod, testsG: [8000, 6000], testedMm: 100, dampShare: 1 }, 90, 30);
    expect(tried.by).toBe('own test');
    expect(pressG(tried.allowedN)).toBeCloseTo(3000, 6);
    expect(tried.modes.map(({ mode }) => mode)).toEqual(['own test', 'board']);
    // a longer piece may buckle where the one that was tried did not; damp takes its share of the press
    const damp: Dowel = { ...rod, testsG: [6000], testedMm: 100, dampShare: 0.5 };
    expect(strengthOf(damp, 101, 30).modes.map(({ mode }) => mode)).toContain('buckling');
    expect(strengthOf(damp, 100, 30).modes.map(({ mode }) => mode)).not.toContain('buckling');
    expect(pressG(strengthOf(damp, 90, 30).modes[0]!.givesN)).toBeCloseTo(3000, 6);
  });
  it('never fewer than three, and one for each four centimetres of what stands on them', () => {
    expect([50, 120, 121, 160, 200, 400].map(fewestDowels)).toEqual([3, 3, 4, 4, 5, 10]);
  });
});

describe('sponge under load', () => {
  it('is a third stronger chilled, weaker warm, and does not go on without end', () => {
    expect(warmthShare(4)).toBeCloseTo(1.3, 12);
    expect(warmthShare(-20)).toBeCloseTo(1.3, 12);
    expect(warmthShare(21)).toBeCloseTo(1, 12);
    expect(warmthShare(30)).toBeCloseTo(0.8, 12);
    expect(warmthShare(60)).toBe(0.6);
    for (let c = -10; c < 50; c++) expect(warmthShare(c + 1)).toBeLessThanOrEqual(warmthShare(c));
  });
  it('firms as it stales, soaked it does not', () => {
    expect([0, 1, 2, 6, 60].map((days) => ageShare(days, false))).toEqual([1, 1, 1.04, 1.2, 1.2]);
    expect(ageShare(6, true)).toBe(1);
  });
});

describe('a board that bends', () => {
  it('as strip, overhang and plate of the textbook', () => {
    // 1 kPa on a strip 200 mm long, 1 mm wide, of 1 GPa and 10 mm: 5·w·s⁴/(384·E·I) with I = 10³/12
    expect(stripBendMm(1000, 200, 1, 10)).toBeCloseTo((5 * 0.001 * 200 ** 4) / (384 * 1000 * (1000 / 12)), 9); // prettier-ignore
    expect(overhangBendMm(1000, 100, 1, 10)).toBeCloseTo((0.001 * 100 ** 4) / (8 * 1000 * (1000 / 12)), 9); // prettier-ignore
    const stiffness = (1000 * 1000) / (12 * (1 - 0.09));
    expect(plateBendMm(1000, 100, 1, 10)).toBeCloseTo((5.3 / (64 * 1.3)) * ((0.001 * 1e8) / stiffness), 9); // prettier-ignore
    for (const bend of [stripBendMm, overhangBendMm, plateBendMm]) {
      expect(bend(1000, 100, 3, 10)).toBeCloseTo(bend(1000, 100, 1, 10) / 3, 12);
      expect(bend(2000, 100, 1, 10)).toBeCloseTo(2 * bend(1000, 100, 1, 10), 12);
      expect(bend(1000, 100, 1, 20)).toBeCloseTo(bend(1000, 100, 1, 10) / 8, 12);
      expect(bend(1000, 200, 1, 10)).toBeCloseTo(16 * bend(1000, 100, 1, 10), 9);
    }
  });
  const ring = (count: number, radiusMm: number): Point[] =>
    Array.from({ length: count }, (_, k) => ({
      x: radiusMm * Math.cos((2 * Math.PI * k) / count),
      y: radiusMm * Math.sin((2 * Math.PI * k) / count),
    }));
  it('worst where it is held least: between few, inside a wide ring, at a far rim', () => {
    const rim = ring(48, 100);
    const at = (places: Point[], round = rim) => bendOf(places, round, 500, 0.3, 4);
    expect(at(ring(12, 90)).where).toBe('inside the ring');
    // one in the middle halves what is free inside
    const held = at([...ring(12, 90), { x: 0, y: 0 }]);
    expect(held.mm).toBeLessThan(at(ring(12, 90)).mm);
    expect(at(ring(6, 30)).where).toBe('at the rim');
    expect(at(ring(3, 95)).where).toBe('between two dowels');
    expect(at(ring(3, 95)).spanMm).toBeCloseTo(95 * Math.sqrt(3), 6);
  });
  it('the same wherever the board lies on the cake', () => {
    const moved = (points: Point[]): Point[] =>
      points.map(({ x, y }) => ({ x: x + 37, y: y - 21 }));
    for (const places of [
      ring(3, 95),
      ring(12, 90),
      [...ring(12, 90), { x: 0, y: 0 }],
      ring(6, 30),
    ]) {
      const here = bendOf(places, ring(48, 100), 500, 0.3, 4);
      const there = bendOf(moved(places), moved(ring(48, 100)), 500, 0.3, 4);
      expect(there.mm).toBeCloseTo(here.mm, 6);
      expect([there.where, there.spanMm.toFixed(3)]).toEqual([here.where, here.spanMm.toFixed(3)]);
    }
    expect(bendOf(ring(12, 90), ring(48, 100), 500, 0.3, 4).spanMm).toBeCloseTo(180, 6);
  });
  it('no more than a millimetre when it is as thick as it is said it must be', () => {
    const places = ring(4, 90);
    const bend = bendOf(places, ring(48, 100), 800, 0.3, 3);
    expect(bend.mm).toBeGreaterThan(1);
    const thick = stiffEnoughMm(bend, 3);
    expect(bendOf(places, ring(48, 100), 800, 0.3, thick).mm).toBeCloseTo(1, 9);
  });
  it('weighs what its outline, thickness and material give, with those between layers', () => {
    const outline = { kind: 'round', diameterMm: 200 } as const;
    for (const [material, { densityGPerMl }] of Object.entries(boardMaterialRows))
      expect(cardMassG(outline, { material: material as 'card', thicknessMm: 4 })).toBeCloseTo((areaMm2(outline) * 4 * densityGPerMl) / 1000, 9); // prettier-ignore
    const build = newBuild('b', 'b', '2027-05-03T09:30:00Z');
    const upper = addTier(build);
    const card = { material: 'card', thicknessMm: 3 } as const;
    upper.stand.decks = [{ afterLayer: 1, card, dowels: newDowels() }];
    const one = cardMassG(upper.outline, card);
    expect(cardsG(upper, false)).toBeCloseTo(2 * one, 6);
    expect(cardsG(upper, true)).toBeCloseTo(one, 6);
  });
});

describe('where a dowel may stand', () => {
  const around: DowelRoom = {
    lower: { kind: 'round', diameterMm: 240 },
    upper: { kind: 'round', diameterMm: 160 },
    upperAt: { x: 20, y: 0 },
    core: { kind: 'round', diameterMm: 40 },
    rod: { at: { x: 0, y: 50 }, acrossMm: 8 },
    sections: [],
    picks: [{ x: 60, y: 0 }],
  };
  const hinders = roomFor(around, 6);
  it('is inside board and cake, and clear of centre, rod and picks', () => {
    expect(hinders({ x: 45, y: 20 })).toBeNull();
    expect(hinders({ x: -50, y: 0 })).toBe('beyond the board it carries');
    expect(hinders({ x: 0, y: 0 })).toBe('in the hidden centre');
    expect(hinders({ x: 2, y: 42 })).toBe('at the rod');
    expect(hinders({ x: 60, y: 3 })).toBe('at a pick');
    const wide = roomFor({ ...around, upper: { kind: 'round', diameterMm: 300 }, rod: null }, 6);
    expect(wide({ x: 104, y: 0 })).toBe('too near the edge of the cake');
    expect(wide({ x: 120 - edgeInsetMm - 3 - 0.5, y: 0 })).toBeNull();
  });
  it('not where the cake is carved away on any level', () => {
    const square: [number, number][] = [[-40, -40], [40, -40], [40, 40], [-40, 40]]; // prettier-ignore
    const carved = roomFor(
      { ...around, core: null, rod: null, picks: [], sections: [[square]] },
      6,
    );
    expect(carved({ x: 10, y: 10 })).toBeNull();
    expect(carved({ x: 35, y: 0 })).toBe('where the cake is carved away');
  });
  it('the nearest free place is free, and none is nearer by the ring that was looked at', () => {
    for (const from of [
      { x: 0, y: 0 },
      { x: 0, y: 50 },
      { x: 90, y: 40 },
      { x: 60, y: 0 },
    ]) {
      const found = nearestRoom(from, hinders)!;
      expect(hinders(found)).toBeNull();
      expect(Number.isInteger(found.x) && Number.isInteger(found.y)).toBe(true);
    }
    const free = { x: 45, y: 20 };
    expect(nearestRoom(free, hinders)).toEqual(free);
    expect(nearestRoom({ x: 0, y: 0 }, () => 'at a pick')).toBeNull();
  });
  it('rims are drawn where their board lies', () => {
    const rim = rimAt({ kind: 'round', diameterMm: 100 }, { x: 30, y: -10 });
    for (const p of rim) expect(Math.hypot(p.x - 30, p.y + 10)).toBeCloseTo(50, 0);
  });
});

describe('dowels under a load', () => {
  const cases = casesFor({ ...newJourney(), byRoad: true, stackAt: 'home' }, false);
  const load: Load = { weightN: 30, at: { x: 0, y: 0 }, upMm: 60 };
  const free = (): null => null;
  it('meet the cases of their journey: only standing at the venue, no lean beside a rod', () => {
    expect(cases.map(({ name }) => name)).toEqual(['at rest', 'carried', 'over a bump', 'hard braking']); // prettier-ignore
    expect(casesFor({ ...newJourney(), stackAt: 'venue' }, false).map(({ name }) => name)).toEqual(['at rest']); // prettier-ignore
    expect(casesFor({ ...newJourney(), byRoad: false }, false).map(({ name }) => name)).toEqual(['at rest', 'carried']); // prettier-ignore
    expect(casesFor(newJourney(), true).every(({ lean }) => lean === 0)).toBe(true);
    expect(worstTimes(cases)).toBe(2);
  });
  it('a ring of them lies evenly round, apart, and carries what weighs on it', () => {
    const places = placeRing(6, [{ x: 0, y: 0 }], 70, load, cases, free)!;
    expect(places).toHaveLength(6);
    places.forEach((p, i) => {
      expect(Math.hypot(p.x, p.y)).toBeCloseTo(70, 0);
      const q = places[(i + 1) % 6]!;
      expect(Math.hypot(p.x - q.x, p.y - q.y)).toBeGreaterThan(leastApartMm);
    });
    const { restN, stands } = carriedBy(places, load, cases);
    expect(stands).toBe(true);
    expect(restN.reduce((sum, n) => sum + n, 0)).toBeCloseTo(30, 9);
    for (const n of restN) expect(n).toBeCloseTo(5, 9);
    // no room, or no room for so many
    expect(placeRing(6, [{ x: 0, y: 0 }], 70, load, cases, () => 'at a pick')).toBeNull();
    expect(placeRing(24, [{ x: 0, y: 0 }], 30, load, cases, free)).toBeNull();
  });
  it('are as few as carry it, whatever it weighs; more where each may carry less', () => {
    const upright: LoadCase[] = [{ name: 'at rest', times: 1, lean: 0 }];
    fc.assert(
      fc.property(fc.double({ min: 5, max: 120, noNaN: true }), (weightN) => {
        const own: Load = { ...load, weightN };
        const places = placeEnough(3, 6, [{ x: 0, y: 0 }], 90, own, upright, free)!;
        const { worstN } = carriedBy(places, own, upright);
        expect(Math.max(...worstN)).toBeLessThanOrEqual(6 + 1e-6);
        if (places.length > 3) expect(weightN / (places.length - 1)).toBeGreaterThan(6 - 1e-6);
      }),
      { numRuns: 30 },
    );
    const most = placeEnough(3, 0.01, [{ x: 0, y: 0 }], 400, load, upright, free)!;
    expect(most).toHaveLength(mostDowels);
  });
  it('tip where the load leans beyond them, and say in which case', () => {
    const narrow = placeRing(3, [{ x: 0, y: 0 }], 25, load, cases, free)!;
    const tall: Load = { ...load, upMm: 200 };
    const found = carriedBy(narrow, tall, cases);
    expect(found.stands).toBe(true);
    expect(found.tips).toContain('hard braking');
    expect(found.tips).not.toContain('at rest');
    const off = carriedBy(narrow, { ...load, at: { x: 60, y: 0 } }, cases);
    expect(off.stands).toBe(false);
    expect(off.tips).toContain('at rest');
  });
});

describe('pieces sawn from sticks', () => {
  const pieces = (...lengths: number[]) =>
    lengths.map((lengthMm, i) => ({ label: String.fromCharCode(97 + i), lengthMm }));
  it('lose a cut between two and none after the last', () => {
    expect(cutSticks(pieces(100, 99), 200, 1)).toMatchObject({
      fewest: 1,
      sticks: [{ leftMm: 0 }],
    });
    expect(cutSticks(pieces(100, 100), 200, 1).sticks).toHaveLength(2);
    expect(cutSticks(pieces(200), 200, 3).sticks).toHaveLength(1);
  });
  it('say what is left of each stick, the fullest first, and how few sticks could do', () => {
    const cut = cutSticks(pieces(120, 90, 80, 60), 200, 2);
    // 120 and 60 with a cut, 90 and 80 with a cut
    expect(cut.fewest).toBe(2);
    expect(cut.sticks.map(({ leftMm }) => leftMm)).toEqual([18, 28]);
    expect(cut.sticks.map((stick) => stick.pieces.map(({ label }) => label))).toEqual([['a', 'd'], ['b', 'c']]); // prettier-ignore
    // three that are longer than half a stick each want one of their own
    expect(cutSticks(pieces(110, 120, 130), 200, 2)).toMatchObject({ fewest: 3 });
    expect(cutSticks(pieces(100, 100, 100), 200, 0)).toMatchObject({ fewest: 2 });
  });
  it('name what is longer than a stick, and do without a stick for nothing', () => {
    const cut = cutSticks(pieces(150, 350), 300, 1);
    expect(cut.tooLong.map(({ label }) => label)).toEqual(['b']);
    expect(cut.sticks).toHaveLength(1);
    expect(cutSticks([], 300, 1)).toEqual({ sticks: [], tooLong: [], fewest: 0 });
  });
  it('need one stick fewer than by taking the longest first, where that can be', () => {
    // the tightest fit puts 60 and 50 together, and is left with a 30
    const cut = cutSticks(pieces(60, 50, 40, 30, 30, 30), 120, 0);
    expect(cut.sticks).toHaveLength(2);
    for (const stick of cut.sticks)
      expect(stick.pieces.reduce((sum, one) => sum + one.lengthMm, 0)).toBe(120);
  });
});
