import {
  spansOf,
  type Build,
  type DayTask,
  type Pantry,
  type Placed,
  type Plan,
  type Resource,
  type Step,
  type Window,
} from '../../src/index.ts';

/*
 * An independent look at a whole job: reads steps, tasks and their times as a person with a clock
 * would, knows nothing of how they were made, and says what is wrong in words.
 */

export interface WholeJob {
  build: Build;
  pantry: Pantry;
  plan: Plan;
  steps: readonly Step[];
  tasks: readonly DayTask[];
  placed: readonly Placed[];
  windows: readonly Window[];
  capacity: Record<Resource, number>;
}

/** When each step is begun and over, minutes before serving; a step of no task is left out. */
function timesOf({ tasks, placed, steps }: WholeJob): Map<string, { from: number; to: number }> {
  const at = new Map(placed.map((one) => [one.id, one]));
  const stepAt = new Map(steps.map((step) => [step.key, step]));
  const times = new Map<string, { from: number; to: number }>();
  for (const task of tasks) {
    const place = at.get(task.id);
    if (!place) continue;
    const isAgain = (key: string): boolean =>
      place.againMin !== null && stepAt.get(key)?.kind === 'turn out';
    const first = task.stepKeys.filter((key) => !isAgain(key));
    first.forEach((key, i) =>
      times.set(key, {
        from: place.startMin,
        // what waits is over when its wait is; what comes before it in the task is over with the hands
        to: i < first.length - 1 ? place.handsEndMin : (place.againMin ?? place.endMin),
      }),
    );
    for (const key of task.stepKeys.filter(isAgain))
      times.set(key, { from: place.againMin!, to: place.endMin });
  }
  return times;
}

/** Faults of a job, in words; none where all holds. */
export function faultsOf(job: WholeJob): string[] {
  const { build, pantry, plan, steps, tasks } = job;
  const faults: string[] = [];
  const say = (isWrong: boolean, what: string): void => void (isWrong && faults.push(what));
  const order = new Map(steps.map((step, i) => [step.key, i]));
  const times = timesOf(job);
  /** One step is over, by the sheet and by the clock, before another begins. */
  const before = (one: string, two: string, why: string): void => {
    if (!order.has(one) || !order.has(two)) return;
    say(order.get(one)! > order.get(two)!, `${why}: ${one} comes after ${two} on the sheet`);
    const [a, b] = [times.get(one), times.get(two)];
    const sameTask = tasks.some(({ stepKeys }) => stepKeys.includes(one) && stepKeys.includes(two));
    say(!!a && !!b && !sameTask && a.to > b.from + 0.51, `${why}: ${one} is not over by ${two}`);
  };

  // every step once, in a task once, and the other way round
  say(new Set(steps.map(({ key }) => key)).size < steps.length, 'a step stands twice on the sheet');
  const inTasks = tasks.flatMap(({ stepKeys }) => stepKeys);
  say(new Set(inTasks).size < inTasks.length, 'a step is in two tasks');
  for (const { key, kind } of steps)
    say(kind !== 'count out' && !inTasks.includes(key), `${key} is in no task`);

  // bowls: made, then used; used, or it is made for nothing; grams in are grams out
  for (const bowl of plan.bowls.ok ? plan.bowls.value : []) {
    const made = steps.filter(({ line }) => line.batchId === bowl.batchId);
    say(made.length === 0, `nobody makes ${bowl.name}`);
    say(bowl.uses.length === 0, `${bowl.name} is for nothing`);
    say(
      Math.abs(bowl.makeG - bowl.usedG - bowl.lostG - bowl.leftG) > 0.01,
      `${bowl.name}: grams made are not grams used, lost and left`,
    );
    const ready = made.filter(({ kind }) => kind !== 'divide').at(-1);
    for (const use of bowl.uses) {
      if (use.step === null) continue;
      say(!order.has(use.step), `${bowl.name}: ${use.label} has no step`);
      if (ready) before(ready.key, use.step, `${bowl.name} before ${use.label}`);
    }
    // hot from the pan it is used by nobody
    const spread = pantry.spreads.find(({ id }) => id === bowl.spreadId);
    const recipe = pantry.recipes.find(({ id }) => id === spread?.recipeId);
    const cooked = made.some(({ kind, hotC }) => kind === 'cook' && (hotC ?? 0) > 60);
    say(
      cooked && !made.some(({ hold }) => hold !== null) && recipe?.holds?.length !== 0,
      `${bowl.name} is used hot from the pan`,
    );
  }

  // tiers: cakes mixed, filled, baked, cold; layers made and put on; the coat soft for what is pressed
  build.tiers.forEach((tier, i) => {
    const own = steps.filter(({ tierId }) => tierId === tier.id);
    const of = (kind: Step['kind']): Step[] => own.filter((step) => step.kind === kind);
    const bake = plan.tiers[i]!.bake;
    const cakes = bake.ok ? bake.value.cakes : [];
    for (const [one, two] of [
      ['weigh', 'mix'],
      ['mix', 'fill tin'],
      ['line tin', 'fill tin'],
      ['fill tin', 'bake'],
      ['bake', 'turn out'],
    ] as const)
      for (const first of of(one))
        for (const second of of(two))
          if (first.line.load !== null && first.line.id === second.line.id)
            before(first.key, second.key, 'in a load');
    const filled = of('fill tin').reduce((sum, { amounts }) => sum + amounts.length, 0);
    say(filled !== cakes.length, `${filled} tins are filled for ${cakes.length} cakes`);
    for (const cut of of('level'))
      for (const cooled of of('turn out')) before(cooled.key, cut.key, 'cold before it is cut');
    tier.layers.forEach((layer, k) => {
      const sets = own.filter(
        ({ kind, layers, chapter }) =>
          chapter === 'Fill and stack' &&
          ['set layer on', 'spread', 'fold in'].includes(kind) &&
          layers.includes(k),
      );
      say(sets.length !== 1, `layer ${k + 1} of ${tier.name} is set on ${sets.length} times`);
      if (layer.otherId !== null) {
        const made = steps.find(
          ({ key, layers }) => key.startsWith(`${tier.id}/other/`) && layers.includes(k),
        );
        say(!made, `nobody makes layer ${k + 1} of ${tier.name}`);
        if (made && sets[0]) before(made.key, sets[0].key, 'made before it is set on');
      } else
        for (const cut of of('level').filter(({ layers }) => layers.includes(k)))
          if (sets[0]) before(cut.key, sets[0].key, 'cut before it is set on');
    });
    // what is pressed and strewn on the side comes while the coat is soft
    const chill = steps.find(({ key }) => key === `${tier.id}/coat-chill`);
    for (const pressed of of('press on')) {
      if (chill) before(pressed.key, chill.key, 'pressed on before the coat is chilled hard');
      for (const coat of of('coat')) before(coat.key, pressed.key, 'a coat to press on');
    }
    for (const paper of of('draw out paper')) {
      if (chill) before(paper.key, chill.key, 'the paper is out before the foot sets');
      for (const soft of [...of('coat'), ...of('press on')])
        before(soft.key, paper.key, 'the paper stays until nothing more falls on the board');
    }
    for (const relief of [...of('cut relief'), ...of('inlay')])
      for (const coat of of('coat')) before(coat.key, relief.key, 'a coat to cut into');
    for (const heap of of('heap'))
      for (const torch of of('torch')) before(heap.key, torch.key, 'heaped before the torch');
    for (const torch of of('torch')) {
      for (const piped of steps.filter(({ kind, tierId }) => kind === 'pipe' && tierId === tier.id))
        before(piped.key, torch.key, 'piped before it is browned');
      for (const late of of('place topping'))
        before(torch.key, late.key, 'browned before anything is put on that burns');
    }
    for (const filled of of('fill centre')) {
      const lid = own.find(
        ({ kind, layers }) => kind === 'spread' && layers.includes((tier.centre?.toLayer ?? 0) + 1),
      );
      if (lid) before(filled.key, lid.key, 'the centre before its lid');
    }
    // only what applies
    const sponge = tier.layers.filter(({ otherId }) => otherId === null).length;
    say(
      sponge < 2 && of('measure').some(({ rimsOf }) => rimsOf),
      'one layer is levelled by turning it',
    );
    say(tier.coat.style === 'naked' && of('crumb').length > 0, 'a bare cake gets a crumb coat');
    say((tier.drip?.floodMm ?? 0) === 0 && of('flood').length > 0, 'a flood that nobody planned');
    say(!tier.drip && of('drip').some(({ dripOf }) => dripOf), 'a test drip without drips');
    say(!!tier.drip && of('drip').length < 2, 'drips without their steps');
    say(!!tier.pour && of('pour').length !== 1, 'a pour without its step');
    say(
      !!tier.fondant && of('cover').length + of('panel').length === 0,
      'fondant without its step',
    );
    for (const { topping, tray, massG } of plan.tiers[i]!.finish.toppings)
      say(
        !!tray && tray.massG < massG - 0.01,
        `${topping.name}: a slab of ${tray?.massG} g for ${massG} g`,
      );
    for (const { topping } of plan.tiers[i]!.finish.toppings)
      say(
        topping.count > 0 && topping.eaten && !order.has(`${topping.id}/put`),
        `${topping.name} is never put on`,
      );
  });

  // what spoils or hurts says so
  for (const { key, hazards, cautions, hotC } of steps)
    for (const hazard of ['hot sugar', 'torch', 'heavy lift', 'drill or saw'] as const)
      say(
        hazards.includes(hazard) && cautions.length === 0 && (hotC ?? 99) > 45,
        `${key}: ${hazard} and no caution`,
      );

  return [...faults, ...clockFaults(job)];
}

/** Hands, oven, mixer and cold minute by minute; every lag; every hour of work. */
function clockFaults({ tasks, placed, windows, capacity }: WholeJob): string[] {
  const faults: string[] = [];
  const at = new Map(placed.map((one) => [one.id, one]));
  for (const task of tasks) {
    const place = at.get(task.id);
    if (!place) {
      faults.push(`${task.id} has no time`);
      continue;
    }
    for (const { id, leastMin, mostMin } of task.after) {
      const made = at.get(id);
      if (!made) continue;
      const waited = place.startMin - made.endMin;
      if (waited < leastMin - 0.51)
        faults.push(`${task.id} begins ${leastMin - waited} min too early after ${id}`);
      if (mostMin !== null && waited > mostMin + 0.51)
        faults.push(`${task.id} keeps ${id} waiting ${waited - mostMin} min too long`);
    }
  }
  const used = new Map<string, number>();
  for (const task of tasks) {
    const place = at.get(task.id);
    if (!place) continue;
    for (const { resource, from, to, amount } of spansOf(task, place.startMin))
      for (let minute = Math.ceil(from - 0.01); minute < Math.floor(to + 0.01); minute++) {
        const key = `${resource}/${minute}`;
        used.set(key, (used.get(key) ?? 0) + amount);
        const isWorked = windows.some((one) => one.fromMin <= minute && minute < one.toMin);
        if (resource === 'hands' && !isWorked)
          faults.push(`${task.id}: hands at ${minute}, outside the hours`);
      }
  }
  for (const [key, amount] of used) {
    const resource = key.split('/')[0] as Resource;
    if (amount > capacity[resource] + 1e-6)
      faults.push(`${key}: ${amount} of ${capacity[resource]}`);
  }
  return [...new Set(faults)].slice(0, 8);
}
