import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dripKinds } from '../src/bench/finish-steps.ts';
import {
  fillKey,
  newBuild,
  planBuild,
  type Build,
  type CoolPlace,
  type Step,
  spansOf,
} from '../src/index.ts';
import { anyBuild, pantry } from './arbitrary.ts';
import { demo, placeOf, stepsOf, tasksOf, placedOf } from './work-kit.ts';

describe('at the bench and in the days', () => {
  const build = demo('jubilee');
  const plan = planBuild(build, pantry);
  const steps = stepsOf(plan);
  it('nothing hot is used from the pan', () => {
    for (const [id, hold, use] of [
      ['curd', 2, 'tier-2/fill/layer-2+layer-3'],
      ['caramel', 3, 'tier-3/centre-fill'],
      ['ganache', 2, 'tier-1/coat'],
    ] as const) {
      const made = placeOf(steps, `bowl/${id}/make`);
      const cooled = placeOf(steps, `bowl/${id}/hold/${hold}`);
      const used = placeOf(steps, use);
      expect(made).toBeLessThan(cooled);
      expect(cooled).toBeLessThan(used);
    }
    const caramel = steps[placeOf(steps, 'bowl/caramel/hold/3')]!;
    expect(caramel.hazards).toContain('hot sugar');
    expect(caramel.hotC).toBeGreaterThan(100);
    expect(caramel.probe!.toC).toBe(28);
  });
  it('a whipped ganache is cold before it is whipped, and used within a quarter of an hour', () => {
    const whip = steps[placeOf(steps, 'bowl/whippedganache/then/1')]!;
    expect(whip.title).toBe('Finish the whipped ganache');
    const tasks = tasksOf(build, plan);
    const finish = tasks.find(({ id }) => id === whip.key)!;
    expect(finish.after).toContainEqual({ id: 'bowl/whippedganache/make', leastMin: 0, mostMin: 3 * 24 * 60 }); // prettier-ignore
    expect(tasks.find(({ id }) => id === 'bowl/whippedganache/make')!.waitMin).toBe(360);
    const user = tasks.find((task) => task.after.some(({ id }) => id === whip.key))!;
    expect(user.after.find(({ id }) => id === whip.key)!.mostMin).toBe(15);
    // nothing comes between the whisk and the first filling: the cakes are cut by then
    expect(user.stepKeys[0]).toBe('tier-1/fill/layer-1+layer-2');
  });
  it('the days leave the time: no follower begins before what it waits for has cooled', () => {
    const tasks = tasksOf(build, plan);
    const placed = placedOf(build, tasks);
    const at = new Map(placed.map((one) => [one.id, one]));
    for (const task of tasks)
      for (const { id, leastMin } of task.after)
        expect(at.get(task.id)!.startMin, `${task.id} after ${id}`).toBeGreaterThanOrEqual(
          at.get(id)!.endMin + leastMin - 1e-6,
        );
    const caramel = at.get('bowl/caramel/make')!;
    expect(caramel.endMin - caramel.handsEndMin).toBeGreaterThan(100);
  });
  it('the place that was chosen changes the wait, and the fridge is taken where it stands there', () => {
    const cool = (where: CoolPlace) => {
      const chosen: Build = {
        ...build,
        day: { ...build.day, cooling: [{ spreadId: 'caramel', where }] },
      };
      return tasksOf(chosen, planBuild(chosen, pantry)).find(
        ({ id }) => id === 'bowl/caramel/make',
      )!;
    };
    expect(cool('tray').waitMin).toBeLessThan(cool('bowl').waitMin);
    expect(cool('fridge').uses.map(({ resource }) => resource)).toContain('fridge');
    expect(cool('bowl').uses.map(({ resource }) => resource)).not.toContain('fridge');
  });
  it('what spoils and cools too slowly says what to do', () => {
    const slow: Build = {
      ...newBuild('slow', 'Slow', '2027-05-03T09:30:00Z'),
      day: { ...build.day, cooling: [{ spreadId: 'compote', where: 'bowl' }] },
    };
    const thick = (massMm: number): Step => {
      const tier = slow.tiers[0]!;
      const gaps = tier.gaps.map((gap) => ({ ...gap, spreadId: 'compote', heightMm: massMm }));
      const made = planBuild({ ...slow, tiers: [{ ...tier, gaps }] }, pantry);
      const all = stepsOf(made);
      return all[placeOf(all, 'bowl/compote/hold/2')]!;
    };
    const words = (step: Step): string => step.cautions.map(({ text }) => text).join(' ');
    expect(words(thick(14))).toContain('Too slow for what spoils');
    expect(words(thick(14))).toContain('on a tray');
  });
  it('syrup is boiled and cools before it is brushed on', () => {
    const dry = newBuild('dry', 'Dry', '2027-05-03T09:30:00Z');
    const soaked: Build = { ...dry, tiers: [{ ...dry.tiers[0]!, soak: 'medium' }] };
    expect(stepsOf(planBuild(dry, pantry)).some(({ key }) => key.startsWith('bowl/syrup'))).toBe(
      false,
    );
    const made = planBuild(soaked, pantry);
    const sheet = stepsOf(made);
    expect(placeOf(sheet, 'bowl/syrup/hold/1')).toBeLessThan(
      placeOf(sheet, `${dry.tiers[0]!.id}/soak`),
    );
    const used = made.tiers[0]!.soak.reduce((sum, { massG }) => sum + massG, 0);
    const boiled = sheet[placeOf(sheet, 'bowl/syrup/make')]!;
    const weighed = boiled.list.reduce((sum, { value }) => sum + value, 0);
    expect(weighed * 0.97).toBeGreaterThanOrEqual(used - 1);
    expect(weighed * 0.97).toBeLessThan(used + 6);
    const tasks = tasksOf(soaked, made);
    expect(tasks.some((task) => task.after.some(({ id }) => id === 'bowl/syrup/make'))).toBe(true);
  });
  it('of random builds: every wait comes after its making and before the stack, with its time', () => {
    fc.assert(
      fc.property(anyBuild, (any) => {
        const made = planBuild(any, pantry);
        if (!made.steps.ok) return;
        const sheet = made.steps.value;
        expect(new Set(sheet.map(({ key }) => key)).size).toBe(sheet.length);
        for (const [i, step] of sheet.entries()) {
          if (!step.hold) continue;
          expect(step.timer!.minutes).toBeGreaterThan(0);
          expect(Number.isFinite(step.timer!.minutes)).toBe(true);
          // made in the same line of work; only what is bought frozen thaws before it is unwrapped
          const own = ({ line }: Step): boolean => line.id === step.line.id;
          const before = sheet.slice(0, i).some(own);
          // and what was frozen thaws when it is finished
          const thaws = step.key.endsWith('/thaw');
          expect(before || thaws || step.key.includes('/other-thaw/'), step.key).toBe(true);
          if (!before) expect(sheet.slice(i + 1).some(own), step.key).toBe(true);
        }
      }),
      { numRuns: 40 },
    );
  });
});

describe('in an order that fits', () => {
  it('a hidden centre is filled when its topmost layer is on, before the lid', () => {
    const build = demo('jubilee');
    const { id, centre } = build.tiers[2]!;
    const fillAt = (gap: number): string => fillKey(build.tiers[2]!, gap);
    const sheet = stepsOf(planBuild(build, pantry));
    const filled = placeOf(sheet, `${id}/centre-fill`);
    expect(filled).toBe(placeOf(sheet, fillAt(centre!.toLayer - 1)) + 1);
    expect(filled).toBeLessThan(placeOf(sheet, fillAt(centre!.toLayer)));
    expect(sheet[filled]!.amounts[0]!.label).toBe('soft caramel');
    expect(sheet[placeOf(sheet, `${id}/core`)]!.amounts).toEqual([]);
    // one cut as deep as the first layer is filled before anything is set on it
    const low: Build = {
      ...build,
      tiers: build.tiers.map((tier) =>
        tier.id === id ? { ...tier, centre: { ...centre!, fromLayer: 0, toLayer: 0 } } : tier,
      ),
    };
    const lower = stepsOf(planBuild(low, pantry));
    expect(placeOf(lower, `${id}/centre-fill`)).toBe(placeOf(lower, `${id}/first`) + 1);
  });
  const base = newBuild('order', 'Order', '2027-05-03T09:30:00Z');
  const [tier] = base.tiers;
  const keysOf = (changed: Partial<Build['tiers'][number]>): string[] =>
    stepsOf(planBuild({ ...base, tiers: [{ ...tier!, ...changed }] }, pantry)).map(
      ({ key }) => key,
    );
  it('what is pressed on comes while the coat is soft, the paper out after it, then the cold', () => {
    const pressing = {
      name: 'chopped walnuts',
      foodId: 'walnuts',
      gPerCm2: 0.25,
      cover: 0.9,
      bandMm: null,
      onTop: false,
      allergens: [],
    };
    const { id } = tier!;
    const sheet = stepsOf(planBuild({ ...base, tiers: [{ ...tier!, pressed: pressing }] }, pantry));
    const pressed = placeOf(sheet, `${id}/pressed`);
    expect(pressed).toBe(placeOf(sheet, `${id}/coat`) + 1);
    expect(sheet[pressed + 1]!.kind).toBe('draw out paper');
    expect(pressed + 2).toBe(placeOf(sheet, `${id}/coat-chill`));
    // a coat that was chilled before there was such a step has its paper out
    expect(sheet[pressed + 1]!.wholeKey).toBe(`${id}/coat-chill`);
  });
  it('a heap is browned by the torch, other toppings are put on when it is off', () => {
    const topped = demo('jubilee').tiers.flatMap(({ toppings }) => toppings)[0]!;
    const heap = { ...topped, id: 'heap', kind: 'heap' as const, last: false, eaten: true, pick: 'none' as const }; // prettier-ignore
    const placed = { ...topped, id: 'placed', last: false };
    const order = keysOf({ torched: true, toppings: [placed, heap] }).filter((key) =>
      /torch|topping|heap|placed/.test(key),
    );
    expect(order.length).toBeGreaterThanOrEqual(3);
    const torch = order.findIndex((key) => key.endsWith('/torch'));
    expect(torch).toBeGreaterThan(0);
    expect(torch).toBeLessThan(order.length - 1);
    const cold = keysOf({ torched: false, toppings: [placed, heap] });
    expect(cold.some((key) => key.endsWith('/torch'))).toBe(false);
  });
  it('layers of another kind are mixed once, weighed out, rested, and then made', () => {
    const build = demo('comet-crepes');
    const { id } = build.tiers[0]!;
    const sheet = stepsOf(planBuild(build, pantry));
    const mixed = placeOf(sheet, `${id}/other-mix/crepe`);
    expect(placeOf(sheet, `${id}/other-mix/crepe/hold/1`)).toBe(mixed + 1);
    const made = sheet.filter(({ key }) => key.startsWith(`${id}/other/`));
    expect(made.length).toBe(2);
    const batterG = made.flatMap(({ amounts }) => amounts.filter(({ kind }) => kind === 'bowl'));
    const wanted = batterG.reduce((sum, { value }) => sum + value, 0);
    const weighed = sheet[mixed]!.list.reduce((sum, { value }) => sum + value, 0);
    expect(weighed).toBeGreaterThanOrEqual(wanted);
    expect(weighed).toBeLessThan(wanted * 1.03 + 5);
    for (const step of made) {
      expect(sheet.indexOf(step)).toBeGreaterThan(mixed + 1);
      expect(step.lead!.text).toContain('hot pan');
    }
    // a top is spread where the side stays bare, and no word of a coat is said
    const top = sheet[placeOf(sheet, `${id}/coat`)]!;
    expect(top.title).toContain('side stays bare');
    expect(top.checks.join()).not.toMatch(/Paper|show through|set square/);
  });
  it('drips are long, middle and short, and nothing of them is lost', () => {
    const { drip } = planBuild(demo('jubilee'), pantry).tiers[1]!.finish;
    if (!drip?.ok || !drip.value) throw new Error('no drips');
    const plan = drip.value;
    const kinds = dripKinds(plan);
    expect(kinds.map(({ name }) => name)).toEqual(['long', 'middle', 'short']);
    expect(kinds.reduce((sum, { count }) => sum + count, 0)).toBe(plan.count);
    const grams = kinds.reduce((sum, { count, massG }) => sum + count * massG, 0);
    expect(grams).toBeCloseTo(plan.amounts.dripsG, 6);
    for (const [i, kind] of kinds.entries())
      if (i > 0) {
        expect(kind.lengthMm).toBeLessThan(kinds[i - 1]!.lengthMm);
        expect(kind.massG).toBeLessThan(kinds[i - 1]!.massG);
      }
    // those that look alike are one kind, and no list is needed
    const alike = plan.drips.map((one) => ({ ...one, lengthMm: 30 }));
    expect(dripKinds({ ...plan, drips: alike })).toEqual([]);
    // long and short in turn are two
    const turns = plan.drips.map((one, i) => ({ ...one, lengthMm: i % 2 ? 20 : 40 }));
    expect(dripKinds({ ...plan, drips: turns }).map(({ name, count }) => [name, count])).toEqual([
      ['long', 15],
      ['short', 15],
    ]);
  });
  it('one layer is not measured for level, and neither are crepes', () => {
    expect(keysOf({}).some((key) => key.endsWith('/rims'))).toBe(true);
    expect(keysOf({ layers: [tier!.layers[0]!], gaps: [] }).some((key) => key.endsWith('/rims'))).toBe(false); // prettier-ignore
    const crepes = stepsOf(planBuild(demo('comet-crepes'), pantry));
    expect(crepes.some(({ key }) => key.endsWith('/rims'))).toBe(false);
  });
});

describe('layers of another kind', () => {
  const built = (layer: Partial<Build['tiers'][number]['layers'][number]>): Step[] => {
    const base = newBuild('kinds', 'Kinds', '2027-05-03T09:30:00Z');
    const tier = base.tiers[0]!;
    const layers = tier.layers.map((one, i) => (i === 1 ? { ...one, ...layer } : one));
    return stepsOf(planBuild({ ...base, tiers: [{ ...tier, layers }] }, pantry));
  };
  const minutesOf = (sheet: Step[], key: string): number =>
    sheet.find((one) => one.key === key)!.timer!.minutes;

  it('set before they are turned out and set on: thin ones four hours, thick ones a night', () => {
    const thin = built({ otherId: 'mousse', heightMm: 25 });
    expect(minutesOf(thin, 'tier-1/other-set/mousse')).toBe(240);
    expect(minutesOf(built({ otherId: 'mousse', heightMm: 45 }), 'tier-1/other-set/mousse')).toBe(480); // prettier-ignore
    const place = (kind: Step['kind']): number => thin.findIndex((one) => one.kind === kind);
    expect(place('fold in')).toBeLessThan(place('unmould'));
    expect(place('unmould')).toBeLessThan(place('set layer on'));
    // the warm base is folded within minutes of being cool: a night at 28 C spoils it
    const base = thin.find(({ key }) => key.startsWith('tier-1/other-mix/mousse/hold'))!;
    expect(base.keepsMin).toBe(20);
  });

  it('say how much gelatine blooms in how much, and only where there is some', () => {
    const sheet = built({ otherId: 'mousse', heightMm: 25 });
    const mix = sheet.find(({ key }) => key === 'tier-1/other-mix/mousse')!;
    const [line] = mix.list.filter(({ foodId }) => foodId === 'gelatine');
    const note = mix.cautions.find(({ values }) => values?.gelatine)!;
    expect(note.values!.gelatine!.value).toBeCloseTo(line!.value, 9);
    expect(note.values!.water!.value).toBeCloseTo(5 * line!.value, 9);
    expect(note.values!.most!.value).toBe(60);
    const others = sheet.filter(({ key }) => key !== mix.key);
    expect(others.some(({ cautions }) => cautions.some(({ values }) => values?.gelatine))).toBe(
      false,
    );
  });

  it('cool when they come from the oven, the thicker the longer', () => {
    const biscuit = minutesOf(built({ otherId: 'biscuit', heightMm: 8 }), 'tier-1/other-cool/biscuit'); // prettier-ignore
    const row = pantry.others.find(({ id }) => id === 'biscuit')!;
    // T falls from 170 to 26 C in a room of 21: as one lump with both faces open
    const tau = (row.thicknessMm * row.densityGPerMl * 2000) / (pantry.kitchen.roomW * 2) / 60;
    const { roomC } = pantry.kitchen;
    expect(biscuit).toBeCloseTo(tau * Math.log((row.bake!.ovenC - roomC) / (26 - roomC)), 0);
  });

  it('dry in the oven, switched off, where their row says so: nothing else bakes meanwhile', () => {
    const base = newBuild('dry', 'Dry', '2027-05-03T09:30:00Z');
    const tier = base.tiers[0]!;
    const layers = tier.layers.map((one, i) =>
      i === 1 ? { ...one, otherId: 'meringue-disc', heightMm: 12 } : one,
    );
    const build = { ...base, tiers: [{ ...tier, layers }] };
    const plan = planBuild(build, pantry);
    const sheet = stepsOf(plan);
    const dry = sheet.find(({ kind }) => kind === 'dry')!;
    expect(sheet.some(({ key }) => key === 'tier-1/other-cool/meringue-disc')).toBe(false);
    // from 110 C to 26 in a room of 21, an hour for all but a third of what is left
    expect(dry.timer!.minutes).toBe(Math.ceil((60 * Math.log((110 - 21) / (26 - 21))) / 5) * 5);
    const tasks = tasksOf(build, plan);
    const task = (key: string) => tasks.find(({ stepKeys }) => stepKeys.includes(key))!;
    const dried = task(dry.key);
    expect(dried.uses).toEqual([{ resource: 'oven', amount: 1, when: 'wait' }]);
    const baked = task('tier-1/other/layer-2');
    expect(dried.after).toContainEqual({ id: baked.id, leastMin: 0, mostMin: 5 });
    // and by the plan of the days no tin is in the oven while they dry
    const placed = placedOf(build, tasks);
    const inOven = tasks
      .flatMap((each) => spansOf(each, placed.find(({ id }) => id === each.id)!.startMin))
      .filter(({ resource }) => resource === 'oven')
      .sort((one, other) => one.from - other.from);
    expect(inOven.length).toBeGreaterThanOrEqual(3);
    inOven.slice(1).forEach((span, i) => expect(span.from).toBeGreaterThanOrEqual(inOven[i]!.to));
  });

  it('as a pile are built up where they stand, so many grams on each and the last bare', () => {
    const sheet = built({
      otherId: 'crepe',
      heightMm: 30,
      between: { spreadId: 'cream', heightMm: 2 },
    });
    const pile = sheet.find(({ key }) => key.startsWith('tier-1/pile/'))!;
    const [pieces, each, all] = pile.amounts.map(({ value }) => value);
    expect(each! * (pieces! - 1)).toBeCloseTo(all!, 6);
    // it stands on the layer below, and nothing warm is spread
    const at = (key: string): number => sheet.findIndex((one) => one.key.startsWith(key));
    expect(at('tier-1/other-cool/crepe')).toBeLessThan(sheet.indexOf(pile));
    expect(at('tier-1/fill/')).toBe(sheet.indexOf(pile) - 1);
    expect(at('bowl/cream/make')).toBeLessThan(sheet.indexOf(pile));
  });
});
