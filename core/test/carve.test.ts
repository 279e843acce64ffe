import { beforeAll, describe, expect, it } from 'vitest';
import {
  clockName,
  cutKinds,
  cutWords,
  firmMin,
  metric,
  newBuild,
  newCarving,
  newCut,
  planBuild,
  planLattice,
  planShape,
  proposeStacks,
  say,
  sideName,
  startingPantry,
  targetSize,
  turnedMl,
  type Build,
  type CarveResult,
  type Cut,
  type LinePoint,
  type Plan,
  type TargetCut,
} from '../src/index.ts';
import {
  Carver,
  carveAnswer,
  MeshProblem,
  type StlUnit,
  planCarved,
  startLibrary,
  stlOf,
  targetFrom,
  threeMfOf,
  type Library,
} from '../src/solids/index.ts';
import { unzipSync, strFromU8 } from 'fflate';

const pantry = startingPantry();
let lib: Library;
beforeAll(async () => {
  lib = await startLibrary();
});
const base = { on: true, name: 'Slope' };
const slope = (more: Partial<Extract<Cut, { kind: 'plane' }>> = {}): Cut => ({
  ...base,
  id: 'slope',
  kind: 'plane',
  bearingDeg: 180,
  slopeDeg: 45,
  outMm: 60,
  upMm: 90,
  away: 'above',
  ...more,
});
function carvedBuild(cuts: Cut[], change: (build: Build) => void = () => {}): Build {
  const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
  build.tiers[0]!.carving = { ...newCarving(), cuts };
  change(build);
  return build;
}
const titles = (plan: Plan): string[] => plan.cautions.map((c) => say(c.title, metric));

describe('the plan of a carved tier', () => {
  it('says that it is of the whole stack until the solids have answered', () => {
    const plan = planBuild(carvedBuild([slope()]), pantry);
    const whole = planBuild(carvedBuild([]), pantry);
    expect(plan.tally.massG).toBeCloseTo(whole.tally.massG!, 6);
    expect(titles(plan).join()).toContain('being worked out');
    expect(whole.tiers[0]!.carve).toBeNull();
  });
  it('weighs less by what the cuts take, is coated by its real surface, and serves its share', async () => {
    const build = carvedBuild([slope(), slope({ id: 'back', bearingDeg: 0 })]);
    const whole = planBuild(carvedBuild([]), pantry);
    const plan = await planCarved(build, pantry);
    const result = plan.tiers[0]!.carve!.result!;
    const was = whole.tiers[0]!;
    const now = plan.tiers[0]!;
    const coats = (tier: typeof now): number =>
      tier.coat.ok ? tier.coat.value.crumbG + tier.coat.value.coatG : NaN;
    expect(now.massG).toBeCloseTo(
      was.massG! - (result.stackG - result.leftG) - coats(was) + coats(now),
      3,
    );
    expect(coats(now)).toBeLessThan(coats(was));
    expect(now.servings).toBe(Math.floor((was.servings * result.leftMl) / result.stackMl));
    // batter and filling are for the stack before it is cut
    expect(plan.tiers[0]!.bake).toEqual(whole.tiers[0]!.bake);
    expect(plan.figures.of('tier-1/carved')!.value).toBeCloseTo(result.leftG, 6);
    expect(plan.section.parts.find((p) => p.id === 'tier-1/layer/3')!.lines).toBeDefined();
    expect(plan.section.heightMm).toBeLessThanOrEqual(whole.section.heightMm + 1e-6);
  });
  it('a whole stack under its coat needs what the shell formula says', async () => {
    // a cut that takes nothing leaves the cylinder, coated on its solid
    const build = carvedBuild([slope({ upMm: 400 })]);
    const solid = await planCarved(build, pantry);
    const shell = planBuild(carvedBuild([]), pantry);
    const coat = (plan: Plan) => {
      const { coat: staged } = plan.tiers[0]!;
      if (!staged.ok) throw new Error(staged.problem);
      return staged.value;
    };
    // the shell has a square rim, the solid's coat a round one
    const rimMl = 0.01 * coat(shell).coatMl + (Math.PI * 200 * 5 ** 2 * (1 - Math.PI / 4)) / 1000;
    expect(Math.abs(coat(solid).coatMl - coat(shell).coatMl)).toBeLessThan(rimMl + 20);
  });
  it('goes through the bench: chill, each cut in words, what is left over', async () => {
    const build = carvedBuild([
      slope(),
      newCut('groove', 'groove', { radiusMm: 100, widthMm: 200, heightMm: 100 }),
    ]);
    const plan = await planCarved(build, pantry);
    if (!plan.steps.ok) throw new Error(plan.steps.problem);
    const steps = plan.steps.value.filter((step) => step.chapter === 'Carve');
    expect(steps.map((step) => step.key)).toEqual([
      'tier-1/carve/chill',
      'tier-1/carve/slope',
      'tier-1/carve/groove',
      'tier-1/carve/rest',
    ]);
    expect(steps[0]!.timer!.minutes).toBeGreaterThan(20);
    expect(steps[1]!.amounts[0]!.value).toBeCloseTo(
      plan.tiers[0]!.carve!.result!.steps[0]!.removedG,
      6,
    );
    expect(steps[1]!.cautions.length).toBeGreaterThan(0);
    for (const step of steps) {
      expect(step.checks.length).toBeGreaterThan(0);
      if (step.lead) expect(say(step.lead, metric)).not.toMatch(/\{\w+\}|NaN|Infinity/);
    }
    // carved before it is coated
    const at = (key: string): number =>
      plan.steps.ok ? plan.steps.value.findIndex((step) => step.key === key) : -1;
    expect(at('tier-1/carve/rest')).toBeLessThan(at('tier-1/crumb'));
  });
  it('glue, inlays and loose pieces reach bowls and the list of what is no food', async () => {
    const set: Cut = {
      ...base,
      name: 'Dormer',
      id: 'set',
      kind: 'set',
      fromCutId: 'slope',
      piece: 0,
      bearingDeg: 180,
      outMm: 64,
      upMm: 40,
      turnDeg: 0,
      tiltDeg: 0,
      glueMm: 3,
    };
    const relief = {
      ...newCut('relief', 'relief', { radiusMm: 90, widthMm: 180, heightMm: 100 }),
      ...base,
      id: 'relief',
      name: 'Letters',
      kind: 'relief',
      motif: 'own',
      areaMm2: 2000,
      depthMm: 3,
      inlaySpreadId: 'ganache',
    } as Cut;
    const plan = await planCarved(carvedBuild([slope(), set, relief]), pantry);
    if (!plan.bowls.ok) throw new Error(plan.bowls.problem);
    const uses = plan.bowls.value.flatMap((bowl) => bowl.uses);
    const glue = uses.find((use) => use.kind === 'glue')!;
    expect(glue.ml).toBeCloseTo(plan.tiers[0]!.carve!.result!.glueMl, 6);
    expect(uses.find((use) => use.kind === 'inlay')!.ml).toBeCloseTo(6, 6);
    // so much weight on so steep a slope of a frosting that runs like water
    const runny = {
      ...pantry,
      spreads: pantry.spreads.map((s) => ({ ...s, stress4Pa: 0.5, stress21Pa: 0.5 })),
    };
    const loose = await planCarved(carvedBuild([slope(), set]), runny);
    expect(titles(loose).join()).toContain('would slide off');
    expect(loose.nonFood).toMatchObject([{ name: 'pick or dowel in a carved piece', count: 1 }]);
  });
  it('warns of a relief through the coat, a late large cut, a cover that will not drape', async () => {
    const deep = {
      ...newCut('relief', 'r', { radiusMm: 1, widthMm: 1, heightMm: 1 }),
      depthMm: 9,
    } as Cut;
    const groove = newCut('groove', 'g', { radiusMm: 100, widthMm: 200, heightMm: 100 });
    const plan = await planCarved(
      carvedBuild([groove, slope(), deep], (build) => {
        build.tiers[0]!.fondant = { way: 'draped', mm: 3, allowanceMm: 30, tint: '' };
        build.tiers[0]!.carving!.cuts.push({
          ...base,
          id: 'waist',
          name: 'Waist',
          kind: 'profile',
          points: [
            [100, 0],
            [60, 50],
            [100, 100],
          ],
          curved: false,
          drawn: 'knife',
        });
      }),
      pantry,
    );
    const all = titles(plan).join('\n');
    expect(all).toContain('cake will show');
    expect(all).toContain('late for a large cut');
    expect(all).toContain('will not drape');
    expect(plan.tiers[0]!.fondant!.onCakeG).toBeGreaterThan(100);
  });
  it('cuts that are switched off are not asked', () => {
    const off = planBuild(carvedBuild([{ ...slope(), on: false }]), pantry);
    expect(off.tiers[0]!.carve).toBeNull();
    expect(planShape(carvedBuild([slope()]), pantry).tiers[0]!.carve!.question.cuts).toHaveLength(
      1,
    );
  });
  it('a cake from a ball’s bowl is round before it is cut', () => {
    const tin = pantry.tins.find((row) => row.form === 'ball')!;
    const build = carvedBuild([slope({ upMm: 500 })], ({ tiers: [tier] }) => {
      tier!.tinId = tin.id;
      tier!.outline = { ...tin.outline };
      tier!.layers.length = 2;
      tier!.gaps.length = 1;
    });
    const { question } = planBuild(build, pantry).tiers[0]!.carve!;
    expect(question.stock.balls.length).toBeGreaterThan(0);
    const carver = new Carver(lib, 128);
    const result = carveAnswer(carver, question);
    carver.end();
    const prism = question.stock.heightMm * (Math.PI / 4) * 200 ** 2;
    expect(result.leftMl * 1000).toBeLessThan(prism);
    expect(result.plan[0]!.length).toBeGreaterThan(20);
  });
});

describe('words, times and patterns', () => {
  it('names sides and hours as on a clock seen from above', () => {
    expect([0, 90, 180, 270, 360, -90].map(sideName)).toEqual([
      'the back',
      'the right',
      'the front',
      'the left',
      'the back',
      'the left',
    ]);
    expect([0, 30, 90, 180, 330].map(clockName)).toEqual([
      '12 o’clock',
      '1 o’clock',
      '3 o’clock',
      '6 o’clock',
      '11 o’clock',
    ]);
  });
  it('says where a slope goes in and comes out', () => {
    // through (60, 90) at 45 degrees: in at the top 100 at 50, out at the rim 100 at 50
    const words = say(cutWords(slope(), 100, 100), metric);
    expect(words).toContain('the front (6 o’clock)');
    expect(words).toContain('in at the top, 5.0 cm from the axis');
    expect(words).toContain('out at the side, 5.0 cm above the board');
  });
  it('has words for every kind of cut', () => {
    const room = { radiusMm: 100, widthMm: 200, heightMm: 110 };
    for (const kind of cutKinds) {
      if (kind === 'set' || kind === 'target') continue;
      const words = say(cutWords(newCut(kind, 'c', room), 110, 100), metric);
      expect(words.length).toBeGreaterThan(20);
      expect(words).not.toMatch(/\{\w+\}|NaN|undefined|Infinity/);
    }
  });
  it('a cake stays firm longer in a cooler kitchen, and for ever in a cold one', () => {
    const mass = {
      outline: { kind: 'round' as const, diameterMm: 200 },
      heightMm: 120,
      densityGPerMl: 0.6,
    };
    const at = (roomC: number): number => firmMin(mass, { ...pantry.kitchen, roomC });
    expect(at(20)).toBeGreaterThan(at(27));
    expect(at(27)).toBeGreaterThan(5);
    expect(at(12)).toBe(Infinity);
  });
  it('diamonds cover the area they are scored on', () => {
    // at 45 degrees the diamonds are squares on their tips
    const { cells, studs, cellMm2 } = planLattice(
      { angleDeg: 45, spacingMm: 20, studs: true },
      80_000,
    );
    expect(cellMm2).toBeCloseTo(400, 9);
    expect(cells).toBe(200);
    expect(studs).toBe(200);
    expect(planLattice({ angleDeg: 30, spacingMm: 20, studs: false }, 80_000).cells).toBe(173);
  });
});

describe('what to stack', () => {
  const cone: LinePoint[] = [
    [75, 0],
    [25, 150],
  ];
  const profile: Cut = {
    ...base,
    id: 'p',
    kind: 'profile',
    points: cone,
    curved: false,
    drawn: 'finished',
  };
  it('knows the room a shape takes', () => {
    expect(turnedMl(cone)).toBeCloseTo((Math.PI * 150 * (75 ** 2 + 75 * 25 + 25 ** 2)) / 3000, 6);
    const size = targetSize([profile])!;
    expect(size.heightMm).toBe(150);
    expect(Math.max(...size.rim.map(([x]) => x))).toBeCloseTo(75, 6);
    expect(targetSize([slope()])).toBeNull();
    const front = newCut('silhouette', 's', { radiusMm: 80, widthMm: 160, heightMm: 100 });
    expect(targetSize([front])!.ml).toBeCloseTo((((160 + 96) / 2) * 100 * 160) / 1000, 0);
  });
  it('offers tins that hold it, owned and least waste first', () => {
    const found = proposeStacks(targetSize([profile])!, pantry.tins, 6, 5);
    expect(found.length).toBeGreaterThan(2);
    for (const one of found) {
      expect(one.offcutShare).toBeGreaterThanOrEqual(0);
      expect(one.layers * one.layerMm + (one.layers - 1) * one.gapMm).toBeGreaterThanOrEqual(
        one.heightMm - 0.01,
      );
      if (!one.lying && one.outline.kind === 'round')
        expect(one.outline.diameterMm).toBeGreaterThanOrEqual(139);
    }
    const owned = found.filter((one) => one.owned).map((one) => one.offcutShare);
    expect(owned).toEqual([...owned].sort((a, b) => a - b));
    expect(proposeStacks({ rim: [[900, 0]], heightMm: 50, ml: 1 }, pantry.tins, 6, 0)).toEqual([]);
  });
});

/** A box as triangles. */
const box = (
  w: number,
  d: number,
  h: number,
  inside = false,
): { points: number[]; triangles: number[] } => ({
  points: [0, 1, 2, 3, 4, 5, 6, 7].flatMap((i) => [i & 1 ? w : 0, i & 2 ? d : 0, i & 4 ? h : 0]),
  triangles: [
    [0, 2, 1],
    [1, 2, 3],
    [4, 5, 6],
    [5, 7, 6],
    [0, 1, 4],
    [1, 5, 4],
    [2, 6, 3],
    [3, 6, 7],
    [0, 4, 2],
    [2, 4, 6],
    [1, 3, 5],
    [3, 7, 5],
  ].flatMap(([a, b, c]) => (inside ? [a!, c!, b!] : [a!, b!, c!])),
});
function ascii({ points, triangles }: ReturnType<typeof box>, drop = 0): Uint8Array {
  let text = 'solid a box\n';
  for (let t = drop * 3; t < triangles.length; t += 3)
    text += `facet normal 0 0 0\nouter loop\n${[0, 1, 2]
      .map(
        (k) => `vertex ${points.slice(triangles[t + k]! * 3, triangles[t + k]! * 3 + 3).join(' ')}`,
      )
      .join('\n')}\nendloop\nendfacet\n`;
  return new TextEncoder().encode(`${text}endsolid\n`);
}
const problemOf = (bytes: Uint8Array): string => {
  try {
    targetFrom(lib, bytes, 'x.stl');
    return '';
  } catch (error) {
    expect(error).toBeInstanceOf(MeshProblem);
    return (error as Error).message;
  }
};

describe('shapes from and to files', () => {
  it('an ASCII and a binary STL are read, stood on their foot and carve the stack', () => {
    const read = targetFrom(lib, ascii(box(120, 80, 60)), 'a box.stl');
    expect(read.heightMm).toBe(60);
    expect(read.notes).toEqual([]);
    const carver = new Carver(lib, 64);
    const target: TargetCut = { ...base, id: 't', kind: 'target', upMm: 0, turnDeg: 0, ...read };
    const { question } = planBuild(carvedBuild([target]), pantry).tiers[0]!.carve!;
    const bare = { ...question, cover: { crumbMm: 0, sideMm: 0, topMm: 0, fondantMm: 0 } };
    const result: CarveResult = carveAnswer(carver, bare);
    expect(result.leftMl).toBeCloseTo((120 * 80 * 60) / 1000, 0);
    // out and in again
    const again = targetFrom(lib, stlOf(lib, carver.body()), 'again.stl');
    expect(again.heightMm).toBeCloseTo(60, 2);
    const files = unzipSync(threeMfOf(lib, carver.body(), 'A <box> & more'));
    const model = strFromU8(files['3D/3dmodel.model']!);
    expect(model).toContain('unit="millimeter"');
    expect(model).toContain('A &#60;box&#62; &#38; more');
    expect(model.match(/<triangle /g)!.length).toBeGreaterThan(11);
    carver.end();
  });
  it('is as large as the unit says that it was drawn in, and nothing is guessed then', () => {
    const high = (unit: StlUnit, mm: number): number =>
      targetFrom(lib, ascii(box(mm, mm, mm)), 'x', unit).heightMm;
    expect(high('cm', 1.9)).toBeCloseTo(19, 3);
    expect(high('in', 1.5)).toBeCloseTo(38.1, 3);
    expect(high('m', 0.4)).toBeCloseTo(400, 3);
    expect(high('guess', 0.4)).toBeCloseTo(400, 3);
    expect(high('mm', 12)).toBeCloseTo(12, 3);
    expect(() => targetFrom(lib, ascii(box(90, 90, 90)), 'x', 'in')).toThrow('which unit');
    expect(targetFrom(lib, ascii(box(1.9, 1.8, 1.5)), 'x', 'cm').notes).toEqual([]);
  });
  it('what is inside out or in metres is mended and said', () => {
    expect(targetFrom(lib, ascii(box(100, 100, 50, true)), 'x').notes[0]).toContain('inside out');
    const metres = targetFrom(lib, ascii(box(0.12, 0.1, 0.06)), 'x');
    expect(metres.heightMm).toBeCloseTo(60, 3);
    expect(metres.notes[0]).toContain('metres');
  });
  it('what is open, empty, too long, too much or not STL at all is refused in words', () => {
    expect(problemOf(ascii(box(10, 10, 10), 1))).toMatch(/open: 3 edges/);
    expect(
      problemOf(new TextEncoder().encode('solid nothing\nendsolid nothing, indeed\n')),
    ).toContain('no whole triangles');
    expect(problemOf(new Uint8Array([137, 80, 78, 71]))).toContain('too short');
    expect(
      problemOf(new TextEncoder().encode('{"format": "something else entirely"}'.repeat(9))),
    ).toContain('no STL file');
    expect(problemOf(ascii(box(9000, 10, 10)))).toContain('9.0 m across');
    const many = new Uint8Array(84 + 50);
    new DataView(many.buffer).setUint32(80, 2_000_000, true);
    expect(problemOf(many)).toContain('says 2000000 triangles and ends too early');
    const huge = new Uint8Array(84 + 50 * 2_000_000);
    new DataView(huge.buffer).setUint32(80, 2_000_000, true);
    expect(problemOf(huge)).toContain('coarser');
    expect(problemOf(ascii(box(NaN, 10, 10)))).toContain('no numbers');
  });
});
