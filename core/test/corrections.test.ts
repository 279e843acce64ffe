import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  addTier,
  buildsAgo,
  drills,
  furthestOff,
  handFactor,
  handKinds,
  handOf,
  handRows,
  handsOfAll,
  keptCorrections,
  logOf,
  correctionsFor,
  correctionsFromKept,
  correctionsOf,
  newBuild,
  noteOf,
  planBuild,
  ratioOf,
  recordablesOf,
  recordsOf,
  startingPantry,
  suggestedDrills,
  trendOf,
  weighTargets,
  type Build,
  type Corrections,
  type KeptRecord,
  type Plan,
  type Recordable,
  type Step,
  type Try,
} from '../src/index.ts';
import { scatterOf } from '../src/hand/hands.ts';

const pantry = startingPantry();
const planned = (build: Build, corrections: Corrections = {}): Plan =>
  planBuild(structuredClone(build), pantry, undefined, corrections);
const stepsOf = (plan: Plan): Step[] => {
  if (!plan.steps.ok) throw new Error(plan.steps.problem);
  return plan.steps.value;
};
const stepAt = (plan: Plan, key: string): Step => stepsOf(plan).find((step) => step.key === key)!;
const make = (): Build => newBuild('b', 'Test', '2027-05-03T09:30:00Z');
let made = 0;
const at = '2027-06-12T12:00:00Z';
/** Notes a figure at a step of the build as it is planned now. */
function note(
  build: Build,
  key: string,
  value: number,
  corrections: Corrections = {},
  label?: string,
): void {
  const step = stepAt(planned(build, corrections), key);
  const record = recordablesOf(step).find((one) => !label || one.label === label)!;
  build.bench.notes.push(noteOf(build, step, record, { id: `n${++made}`, at, value, text: '' }));
}
const record = (kind: KeptRecord['kind'], ratio: number, buildId = 'a', when = at): KeptRecord => ({
  id: `r${++made}`,
  buildId,
  buildName: 'A cake',
  at: when,
  kind,
  title: 'A step',
  label: 'a figure',
  planned: 100,
  actual: 100 * ratio,
  ratio,
  excluded: null,
});
const move = (factor: number, cv = 0.1) => ({ factor, cv, count: 5 });

describe('what a record says', () => {
  it('is actual over planned, or what was taken where what is left is weighed', () => {
    expect(ratioOf(110, { value: 100, takenG: null, movedBy: 1 })).toBeCloseTo(1.1, 12);
    // 400 g were to be taken and 50 to be left; 90 are left, so 360 were taken
    expect(ratioOf(90, { value: 50, takenG: 400, movedBy: 1 })).toBeCloseTo(0.9, 12);
    expect(ratioOf(0, { value: 0, takenG: null, movedBy: 1 })).toBeNull();
    expect(ratioOf(500, { value: 50, takenG: 400, movedBy: 1 })).toBeNull();
  });
  it('is taken as it would have been without the hand, so that the hand does not chase itself', () => {
    // the plan had been moved to 120, and 120 came: the hand still is 1.2
    expect(ratioOf(120, { value: 120, takenG: null, movedBy: 1.2 })).toBeCloseTo(1.2, 12);
  });
  it('comes from the last note of a step on one thing, and a slip is left out with its reason', () => {
    const build = make();
    note(build, 'tier-1/fill/layer-1+layer-2', 100);
    note(build, 'tier-1/fill/layer-1+layer-2', 5000);
    build.bench.notes.push({ ...build.bench.notes[0]!, id: 'words', value: null, planned: null });
    const [one, ...others] = recordsOf(build);
    expect(others).toEqual([]);
    expect(one!.actual).toBe(5000);
    expect(one!.kind).toBe('fill');
    expect(one!.excluded).toContain('slip');
  });
  it('is measured against what was planned the first time', () => {
    const build = make();
    const key = 'tier-1/cool';
    const neededMm = stepAt(planned(build), key).record!.planned;
    note(build, key, 0.8 * neededMm);
    // the plan has followed: it needs less now
    expect(stepAt(planned(build), key).record!.planned).toBeLessThan(neededMm);
    note(build, key, 0.9 * neededMm);
    expect(build.bench.notes.at(-1)!.planned!.value).toBeCloseTo(neededMm, 9);
    expect(logOf(build, stepsOf(planned(build)))[0]!.ratio).toBeCloseTo(0.9, 9);
  });
});

describe('the hand over many cakes', () => {
  it('counts builds from the newest, by their last record', () => {
    const ago = buildsAgo([
      record('fill', 1, 'old', '2027-01-01T10:00:00Z'),
      record('fill', 1, 'new', '2027-05-01T10:00:00Z'),
      record('fill', 1, 'mid', '2027-03-01T10:00:00Z'),
      record('fill', 1, 'old', '2027-01-02T10:00:00Z'),
    ]);
    expect([...ago]).toEqual([
      ['new', 0],
      ['mid', 1],
      ['old', 2],
    ]);
  });
  it('is that of each kind by itself, what is left out not counted', () => {
    const some = [record('fill', 1.1), record('coat smooth', 1.3), record('fill', 1.2)];
    const hands = handsOfAll([...some, { ...record('fill', 9), excluded: 'a slip' }]);
    const own = handOf(
      [1.1, 1.2].map((ratio) => ({ ratio, buildsAgo: 0 })),
      handRows.fill.cv,
    );
    expect(hands.get('fill')!.mean).toBeCloseTo(own.mean, 12);
    expect(hands.get('fill')!.count).toBe(2);
    expect(hands.get('coat smooth')!.count).toBe(1);
    expect([...hands.keys()]).toEqual([...handKinds]);
  });
  it('corrects nothing without records, nor what is switched off', () => {
    expect(correctionsOf(handsOfAll([]))).toEqual({});
    const hands = handsOfAll([record('fill', 1.2), record('drip', 1.2)]);
    expect(Object.keys(correctionsOf(hands))).toEqual(['fill', 'drip']);
    expect(Object.keys(correctionsOf(hands, ['fill']))).toEqual(['drip']);
    expect(correctionsOf(hands).fill!.factor).toBeCloseTo(handFactor(hands.get('fill')!), 12);
  });
  it('spreads like its quantiles, and narrows with many records that agree', () => {
    const many = Array.from({ length: 40 }, () => record('coat smooth', 1.1));
    const wide = scatterOf(handsOfAll([]).get('coat smooth')!);
    const narrow = scatterOf(handsOfAll(many).get('coat smooth')!);
    expect(narrow).toBeLessThan(0.5 * wide);
  });
  it('stands out most where it is surest', () => {
    const hands = handsOfAll([
      ...Array.from({ length: 20 }, () => record('fill', 1.15)),
      record('drip', 1.2),
    ]);
    expect(furthestOff(hands, handKinds)).toBe('fill');
    expect(furthestOff(hands, ['drip', 'bake'])).toBe('drip');
    expect(furthestOff(hands, ['bake'])).toBeNull();
  });
  it('is kept with a finished build, and given back whole', () => {
    const corrections = { fill: move(1.1), 'coat smooth': move(0.9, 0.2) };
    const build = make();
    expect(correctionsFor(build, corrections)).toBe(corrections);
    build.bench.finished = { at, moves: keptCorrections(corrections) };
    expect(correctionsFor(build, { fill: move(3) })).toEqual(corrections);
    expect(correctionsFromKept([])).toEqual({});
  });
});

describe('a plan that follows the hand', () => {
  const plain = planned(make());
  const usesOf = (plan: Plan, kind: string): number => {
    if (!plan.bowls.ok) throw new Error('no bowls');
    return plan.bowls.value
      .flatMap((bowl) => bowl.uses)
      .filter((use) => use.kind === kind)
      .reduce((sum, use) => sum + use.massG, 0);
  };
  it('makes more of what is spread thicker, and of nothing else', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.6, max: 1.7, noNaN: true }), (factor) => {
        const plan = planned(make(), { 'coat smooth': move(factor) });
        expect(usesOf(plan, 'coat') / usesOf(plain, 'coat')).toBeCloseTo(factor, 9);
        expect(usesOf(plan, 'gap')).toBeCloseTo(usesOf(plain, 'gap'), 9);
        // what is weighed onto the cake stays: it is the bowl that grows
        expect(stepAt(plan, 'tier-1/coat').amounts[0]!.value).toBeCloseTo(
          stepAt(plain, 'tier-1/coat').amounts[0]!.value,
          9,
        );
      }),
      { numRuns: 20 },
    );
  });
  it('follows the hand of the style that it has', () => {
    const plan = planned(make(), { 'coat rustic': move(2) });
    expect(usesOf(plan, 'coat')).toBeCloseTo(usesOf(plain, 'coat'), 9);
  });
  it('keeps less in hand where the hand is steady', () => {
    const make1 = (cv: number): number => {
      const plan = planned(make(), { 'coat smooth': move(1, cv), crumb: move(1, cv) });
      if (!plan.bowls.ok) throw new Error('no bowls');
      return plan.bowls.value[0]!.safeG;
    };
    expect(make1(0.03)).toBeLessThan(make1(0.3));
  });
  it('weighs more into tins of cakes that rise less, and less for batters that come out larger', () => {
    const batterOf = (plan: Plan): number => {
      const { bake } = plan.tiers[0]!;
      if (!bake.ok) throw new Error('no bake');
      return bake.value.batterG;
    };
    expect(batterOf(planned(make(), { rise: move(0.9) })) / batterOf(plain)).toBeCloseTo(
      1 / 0.9,
      6,
    );
    const made = planned(make(), { batter: move(1.1) });
    expect(batterOf(made)).toBeCloseTo(batterOf(plain), 9);
    const scaled = made.tiers[0]!.batterRecipe;
    const before = plain.tiers[0]!.batterRecipe;
    if (!scaled.ok || !before.ok) throw new Error('no recipe');
    expect(scaled.value.makesG / before.value.makesG).toBeCloseTo(1 / 1.1, 1);
  });
  it('times the oven, the fridge and the hands, and says by how much it moved them', () => {
    const corrections = { bake: move(1.2), chill: move(0.5), time: move(1.5) };
    const plan = planned(make(), corrections);
    const timer = (of: Plan, key: string): number => stepAt(of, key).timer!.minutes;
    expect(timer(plan, 'tier-1/bake') / timer(plain, 'tier-1/bake')).toBeCloseTo(1.2, 1);
    expect(timer(plan, 'tier-1/coat-chill')).toBe(timer(plain, 'tier-1/coat-chill') / 2);
    // words and timer say one figure
    const chilled = stepAt(plan, 'tier-1/crumb-chill');
    const said = Object.values(chilled.lead!.values!).find(({ kind }) => kind === 'minutes')!;
    expect(said.value).toBe(chilled.timer!.minutes);
    expect(plan.tally.handsOnMin! / plain.tally.handsOnMin!).toBeCloseTo(1.5, 6);
    const bake = stepAt(plan, 'tier-1/bake');
    expect(bake.record!.movedBy).toBe(1.2);
    const work = recordablesOf(bake).find(({ hand }) => hand === 'time');
    expect(work?.movedBy).toBe(1.5);
    expect(
      plan.figures
        .of('tier-1/cake/0/minutes')!
        .inputs.some(({ label }) => label.includes('5 of your')),
    ).toBe(true);
  });
  it('learns the same hand whether or not plans follow it', () => {
    const ratio = 1.25;
    const learnt = (corrections: Corrections): number => {
      const build = make();
      const step = stepAt(planned(build, corrections), 'tier-1/bake');
      const own = recordablesOf(step).find(({ hand }) => hand === 'bake')!;
      // the oven takes a quarter longer than the model, whatever the plan said
      const actual = (own.planned / (own.movedBy ?? 1)) * ratio;
      note(build, 'tier-1/bake', actual, corrections);
      return recordsOf(build)[0]!.ratio;
    };
    expect(learnt({})).toBeCloseTo(ratio, 9);
    expect(learnt({ bake: move(1.2) })).toBeCloseTo(ratio, 9);
  });
});

describe('what happened at the bench', () => {
  it('lower cakes give lower layers, and everything after follows', () => {
    const build = make();
    const before = planned(build);
    const needed = stepAt(before, 'tier-1/cool').record!.planned;
    note(build, 'tier-1/cool', 0.8 * needed);
    const after = planned(build);
    expect(after.tally.heightMm).toBeLessThan(before.tally.heightMm - 10);
    expect(stepAt(after, 'tier-1/coat').amounts[0]!.value).toBeLessThan(
      stepAt(before, 'tier-1/coat').amounts[0]!.value,
    );
    expect(after.cautions.some(({ id }) => id === 'happened:tier-1')).toBe(true);
    // what was decided has not changed
    expect(build.tiers[0]!.layers[0]!.heightMm).toBe(25);
  });
  it('higher cakes are cut to height, and a slip of the ruler is not believed', () => {
    for (const share of [1.1, 5, 0.1]) {
      const build = make();
      const before = planned(build);
      note(build, 'tier-1/cool', share * stepAt(before, 'tier-1/cool').record!.planned);
      expect(planned(build).tally.heightMm).toBeCloseTo(before.tally.heightMm, 6);
    }
  });
  it('a stack that was measured stands as high as it was measured', () => {
    fc.assert(
      fc.property(fc.integer({ min: -12, max: 12 }), (byMm) => {
        const build = make();
        const before = planned(build).tiers[0]!.stack.stackMm;
        note(build, 'tier-1/settle', before + byMm);
        expect(planned(build).tiers[0]!.stack.stackMm).toBeCloseTo(before + byMm, 0);
      }),
      { numRuns: 25 },
    );
  });
  it('dowels and the tier above follow a lower tier', () => {
    const build = make();
    addTier(build);
    const before = planned(build);
    note(build, 'tier-1/settle', stepAt(before, 'tier-1/settle').record!.planned - 10);
    const lengthOf = (plan: Plan): number => plan.support!.lifts[0]!.placed[0]!.lengthMm;
    expect(lengthOf(planned(build))).toBeLessThan(lengthOf(before) - 8);
  });
  it('a bowl that no longer reaches is shared out among what is still to do', () => {
    const build = make();
    const before = planned(build);
    const fill = (plan: Plan, i: number): number =>
      stepAt(plan, `tier-1/fill/layer-${i + 1}+layer-${i + 2}`).amounts[0]!.value;
    const key = `bowl/${before.bowls.ok ? before.bowls.value[0]!.batchId : ''}/make`;
    note(build, key, 0.5 * stepAt(before, key).record!.planned);
    const after = planned(build);
    const shares = [0, 1].map((i) => fill(after, i) / fill(before, i));
    expect(shares[0]).toBeLessThan(0.8);
    expect(shares[1]).toBeCloseTo(shares[0]!, 6);
    expect(stepAt(after, 'tier-1/fill/layer-1+layer-2').cautions[0]!.text).toContain('shared out');
    // more than was planned changes nothing
    const rich = make();
    note(rich, key, 2 * stepAt(before, key).record!.planned);
    expect(fill(planned(rich), 0)).toBeCloseTo(fill(before, 0), 9);
  });
  it('what else was weighed at a step is not taken for the filling', () => {
    const build = make();
    for (const gap of build.tiers[0]!.gaps) gap.damMm = 14;
    const before = planned(build);
    const step = stepAt(before, 'tier-1/fill/layer-1+layer-2');
    const [dam] = weighTargets(step);
    expect(dam!.label).toContain('dam');
    build.bench.notes.push(
      noteOf(build, step, dam!.record, { id: 'dam', at, value: 5000, text: '' }),
    );
    const fill = (plan: Plan): number =>
      stepAt(plan, 'tier-1/fill/layer-2+layer-3').amounts.at(-1)!.value;
    expect(fill(planned(build))).toBeCloseTo(fill(before), 9);
  });
  it('what is thrown away tells the loss', () => {
    const build = make();
    const box = stepAt(planned(build), 'box');
    const loss = recordablesOf(box).find(({ hand }) => hand === 'loss')!;
    expect(loss.planned).toBeGreaterThan(10);
    note(build, 'box', 2 * loss.planned, {}, loss.label);
    expect(recordsOf(build)[0]).toMatchObject({ kind: 'loss' });
    expect(recordsOf(build)[0]!.ratio).toBeCloseTo(2, 9);
    const lostG = (corrections: Corrections): number => {
      const { bowls } = planned(make(), corrections);
      if (!bowls.ok) throw new Error('no bowls');
      return bowls.value.reduce((sum, bowl) => sum + bowl.lostG, 0);
    };
    expect(lostG({ loss: move(1.5) })).toBeGreaterThan(1.4 * lostG({}));
  });
  it('what is left when the coat is done says what the coat took', () => {
    const build = make();
    const coat = stepAt(planned(build), 'tier-1/coat');
    const { record } = coat;
    expect(record!.hand).toBe('coat smooth');
    expect(record!.takenG).toBeCloseTo(coat.amounts[0]!.value, 6);
    note(build, 'tier-1/coat', record!.planned - 0.2 * record!.takenG!);
    expect(recordsOf(build)[0]!.ratio).toBeCloseTo(1.2, 9);
  });
});

describe('practice', () => {
  const tries = (values: number[]): Try[] =>
    values.map((actual, i) => ({ id: `${i}`, drill: 'd', at, target: 10, actual }));
  it('tells spread and bias of the last round, and whether the hand is steadier', () => {
    const round = { tries: 4 };
    expect(trendOf(round, [])).toMatchObject({ count: 0, bias: null, cv: null, better: null });
    expect(trendOf(round, tries([10]))).toMatchObject({ count: 1, cv: null });
    const one = trendOf(round, tries([8, 12, 8, 12]));
    expect(one.bias).toBeCloseTo(1, 12);
    // deviation of 2, 2, 2, 2 about 10, one degree of freedom less
    expect(one.cv).toBeCloseTo(Math.sqrt(16 / 3) / 10, 12);
    expect(one.better).toBeNull();
    const two = trendOf(round, tries([8, 12, 8, 12, 10.5, 11.5, 10.5, 11.5]));
    expect(two.bias).toBeCloseTo(1.1, 12);
    expect(two.better).toBeLessThan(0.3);
  });
  it('is suggested where a kind scatters more than usual, the widest first', () => {
    expect(suggestedDrills(handsOfAll([]))).toEqual([]);
    const wild = [0.5, 1.6, 0.7, 1.9].flatMap((ratio) => [record('piping', ratio)]);
    const calm = [1.1, 1.1, 1.1, 1.1].map((ratio) => record('drip', ratio));
    const found = suggestedDrills(handsOfAll([...wild, ...calm]));
    expect(found.map(({ drill }) => drill.id)).toEqual(['pressure']);
    expect(found[0]!.scatter).toBeGreaterThan(found[0]!.usual);
  });
  it('has a target within what can be weighed, for kinds that there are', () => {
    for (const drill of drills) {
      expect(drill.target).toBeGreaterThan(0);
      expect(drill.tries).toBeGreaterThan(2);
      for (const kind of drill.kinds) expect(handKinds).toContain(kind);
    }
  });
});

describe('what can be noted', () => {
  it('has a kind that the hand knows, and a figure that can be', () => {
    const all: Recordable[] = stepsOf(planned(make())).flatMap(recordablesOf);
    expect(all.length).toBeGreaterThan(15);
    for (const one of all) {
      if (one.hand) expect(handKinds).toContain(one.hand);
      expect(Number.isFinite(one.planned)).toBe(true);
    }
  });
});
