import {
  chancePartsOf,
  drawChance,
  gramsForLength,
  handKinds,
  handsOfAll,
  correctionsOf,
  newBuild,
  newDrip,
  planBuild,
  planCake,
  planHeat,
  planMaking,
  planShopping,
  runDrips,
  settingOf,
  solveHeight,
  solveLevel,
  startingPantry,
  addTier,
  type Build,
  dayTasks,
  findRow,
  replanFrom,
  scheduleDay,
  windowsBefore,
  type DayQuestion,
  type DayTask,
  planSupport,
  type DripSpec,
  type KeptRecord,
} from '../../core/src/index.ts';
import { beginWork, nothingCarved, shapeOf } from '../../core/src/plan/shape.ts';
import { demo, measure, timed, type Measure } from './measure.ts';

/* What the core computes, without a page. */

/** The three-tier demo cake, the second layer of one of its tiers a little other each time. */
const withLayer = (build: Build, tier: number, run: number): Build => ({
  ...build,
  tiers: build.tiers.map((each, i) =>
    i === tier
      ? {
          ...each,
          layers: each.layers.map((layer, k) =>
            k === 1 ? { ...layer, heightMm: 20 + (run % 211) / 40 } : layer,
          ),
        }
      : each,
  ),
});

/** A part of a plan of the three-tier demo cake, after warming up; nothing of the cake is known. */
function cold(
  name: string,
  budget: number,
  work: (build: Build) => void,
  before: (build: Build) => void = () => undefined,
): Measure {
  const build = demo('jubilee');
  // plans are kept as long as their cakes are: no more of those at hand than a few
  const fresh: Build[] = [];
  const samples = timed(
    1200,
    600,
    () => work(fresh.pop()!),
    (run) => {
      const next = structuredClone(withLayer(build, 0, run));
      before(next);
      fresh.push(next);
    },
  );
  return measure(name, 'ms', samples, budget, 'median');
}

/** What the cake is: tiers, bowls, support, section, cautions. */
export function plan(): Measure {
  const pantry = startingPantry();
  return cold('plan', 4, (build) => void planCake(build, pantry));
}

/** How it is made, beside that: every step, the waits, what is bought and what it costs. */
export function operations(): Measure {
  const pantry = startingPantry();
  return cold(
    'operations',
    3,
    (build) => void planMaking(build, pantry),
    (build) => void planCake(build, pantry),
  );
}

/** The first layer after an edit of one tier, as a drag shows it: what is known of the others stands. */
export function planEdit(): Measure {
  const build = demo('jubilee');
  const pantry = startingPantry();
  const samples = timed(1200, 600, (run) => void planCake(withLayer(build, 1, run), pantry));
  return measure('plan-edit', 'ms', samples, 1.2, 'median');
}

/** And when nothing of it changed but a tick at the bench. */
export function planSame(): Measure {
  const build = demo('jubilee');
  const pantry = startingPantry();
  const samples = timed(400, 100, (run) => {
    const done = [{ stepKey: `tick-${run}`, at: '2027-06-12T12:00:00Z' }];
    planBuild({ ...build, bench: { ...build.bench, done } }, pantry);
  });
  return measure('plan-same', 'ms', samples, 0.1, 'median');
}

/** Every way to a height from 12 tins, up to 8 layers. */
export function heightSolver(): Measure {
  const pantry = startingPantry();
  const sponge = pantry.sponges.find((row) => row.id === 'butter')!;
  const spread = pantry.spreads.find((row) => row.id === 'cream')!;
  const tin = pantry.tins.find((row) => row.id === 'round-20')!;
  // twelve that are all large enough, of different depths
  const tins = Array.from({ length: 12 }, (_, i) => ({
    ...tin,
    id: `tin-${i}`,
    depthMm: 45 + 5 * i,
  }));
  const tier = newBuild('b', 'Bench', '2027-05-03T09:30:00Z').tiers[0]!;
  const samples = timed(40, 8, (run) => {
    solveHeight({
      heightMm: 100 + run,
      tier,
      layerMm: [10, 50],
      gapMm: [3, 15],
      fillingShare: 0.25,
      stepMm: 1,
      maxLayers: 8,
      sponge,
      spread,
      coatSpread: spread,
      tins,
      kitchen: pantry.kitchen,
      onlyOwned: true,
    });
  });
  return measure('height-solver', 'ms', samples, 150, 'median');
}

/** The exact turns of 8 layers, other tilts each time. */
export function levelSolver(): Measure {
  const samples = timed(30, 6, (run) => {
    solveLevel(
      Array.from({ length: 8 }, (_, i) => {
        const [a, b] = [3 * Math.sin(7 * run + 3 * i), 3 * Math.cos(5 * run + 11 * i)];
        return {
          fit: { meanMm: 25, a, b, tiltMm: Math.hypot(a, b), highAt: 0, roughMm: 0.2 },
          radiusMm: 100,
          flipped: false,
        };
      }),
    );
  });
  return measure('level-solver', 'ms', samples, 50, 'median');
}

/** One cake from the oven to the table, with its curves. */
export function heatCurve(): Measure {
  const { kitchen } = startingPantry();
  const samples = timed(60, 12, (run) => {
    const outline = { kind: 'round', diameterMm: 200 + run } as const;
    planHeat({
      baking: { outline, depthMm: 50, ovenC: 175, startC: 20 },
      rule: { ovenC: 175, minutes: 30, tinMm: 200, depthMm: 50 },
      slower: 1,
      cake: { outline, heightMm: 50, densityGPerMl: 0.44 },
      layer: { outline, heightMm: 24, densityGPerMl: 0.44 },
      tier: { outline, heightMm: 110, densityGPerMl: 0.6 },
      kitchen,
      chilled: kitchen,
    });
  });
  return measure('heat-curve', 'ms', samples, 30, 'median');
}

/** 5,000 simulated cakes for all bowls of the three-tier demo. */
export function chance(): Measure {
  const plan = planBuild(demo('jubilee'), startingPantry());
  if (!plan.bowls.ok) throw new Error(plan.bowls.problem);
  const bowls = plan.bowls.value.map((bowl) => ({
    id: bowl.id,
    parts: chancePartsOf(bowl),
    madeG: bowl.makeG,
  }));
  const samples = timed(30, 5, (seed) => {
    drawChance({ bowls, draws: 5000, seed, short: 0.05 });
  });
  return measure('chance-5000', 'ms', samples, 500, 'median');
}

/** The shopping for 50 cakes, each planned from scratch. */
export function shopping(): Measure {
  const names = ['meridian', 'jubilee', 'harbour-light', 'fig-and-walnut', 'star-party'];
  const pantry = startingPantry();
  const builds = Array.from({ length: 50 }, (_, i) => ({
    ...demo(names[i % names.length]!),
    id: `cake-${i}`,
  }));
  const fresh = Array.from({ length: 20 }, () => structuredClone(builds));
  const samples = timed(fresh.length, 5, (run) => void planShopping(fresh[run]!, pantry, 2));
  return measure('shopping-50', 'ms', samples, 60, 'median');
}

/** Equal parts of dark chocolate at 32 C over a cold coat; a little other each time. */
const dripSpec = (run: number): DripSpec => {
  const { fluidC, coatC, widthMm, feedS } = newDrip('dark-equal');
  return {
    fluid: { kind: 'ganache', firmness: 1.64 + run / 1e4, stiffer: 1, coatEffusivity: 0.6 },
    fluidC,
    coatC,
    widthMm,
    feedS,
  };
};

/** 60 drips, each with its own amount, over five minutes. */
export function drips(): Measure {
  const samples = timed(30, 6, (run) => {
    runDrips({
      spec: dripSpec(run),
      sideMm: 150,
      grams: Array.from({ length: 60 }, (_, i) => 0.6 + 0.025 * i),
      seconds: 300,
      everyS: 0.5,
    });
  });
  return measure('drips-60', 'ms', samples, 150, 'median');
}

/** The amount for one length. */
export function dripInverse(): Measure {
  const samples = timed(60, 12, (run) => {
    gramsForLength(30 + run, settingOf(dripSpec(run), 150));
  });
  return measure('drip-inverse', 'ms', samples, 30, 'median');
}

/** A hundred and twenty tasks over three days, to a good plan; and how far that is from the bound. */
export function schedule(): Measure {
  const question = (rounds: number, seed: number): DayQuestion => ({
    tasks: Array.from({ length: 120 }, (_, i): DayTask => {
      const lane = i % 6;
      const isFirst = i < 6;
      return {
        id: `t${i}`,
        stepKeys: [],
        title: `Task ${i}`,
        chapter: 'Bake',
        tierId: null,
        handsMin: 5 + ((i * 7 + seed) % 4) * 5,
        waitMin: i % 5 === 0 ? 30 : 0,
        again: null,
        uses:
          i % 5 === 0
            ? [{ resource: lane % 2 === 0 ? 'oven' : 'fridge', amount: 1, when: 'wait' }]
            : [],
        after: isFirst ? [] : [{ id: `t${i - 6}`, leastMin: 0, mostMin: null }],
      };
    }),
    windows: Array.from({ length: 5 }, (_, back) => ({
      fromMin: -600 - 1440 * back,
      toMin: -1440 * back,
    })),
    capacity: { hands: 1, oven: 1, mixer: 1, fridge: 4, freezer: 0 },
    seed,
    rounds,
  });
  const samples = timed(8, 2, (run) => void scheduleDay(question(20, run)));
  const answer = scheduleDay(question(1500, 1));
  if (!answer.ok || answer.plan.spanMin > 1.05 * answer.plan.boundMin)
    throw new Error('schedule-120: more than 5 % over the bound');
  return measure('schedule-120', 'ms', samples, 200, 'median');
}

/** The days of a three-tier cake, searched until they are proved, or nearly: nothing late, nothing fresher by 2 %. */
export function scheduleExact(): Measure {
  const build = demo('jubilee');
  const plan = planBuild(build, startingPantry());
  const question: DayQuestion = {
    tasks: dayTasks(build, plan, (id) => findRow(startingPantry(), 'spreads', id)),
    windows: windowsBefore(new Date(2027, 5, 19, 15, 30), build.day.hours),
    capacity: { hands: 1, oven: 1, mixer: 1, fridge: 900, freezer: 0 },
    seed: 1,
    rounds: 1500,
  };
  const samples = timed(3, 1, (run) => {
    const answer = scheduleDay({ ...question, seed: run + 1 });
    if (!answer.ok) throw new Error(`schedule-exact: ${answer.why}`);
    const { late, fresh } = answer.plan.proof;
    if (!late.isProved || fresh.value > 1.02 * fresh.bound + 10)
      throw new Error('schedule-exact: neither proved nor within 2 % on the two first levels');
  });
  return measure('schedule-exact', 'ms', samples, 2000, 'median');
}

/** What is left of a three-tier cake, from now on, with what would help. */
export function replan(): Measure {
  const build = demo('jubilee');
  const pantry = startingPantry();
  const plan = planBuild(build, pantry);
  const tasks = dayTasks(build, plan, (id) => findRow(pantry, 'spreads', id));
  const deadline = new Date(2027, 5, 19, 15, 30);
  const question: DayQuestion = {
    tasks,
    windows: windowsBefore(deadline, build.day.hours),
    capacity: { hands: 1, oven: 1, mixer: 1, fridge: 900, freezer: 0 },
    seed: 1,
    rounds: 60,
  };
  const samples = timed(8, 2, (run) => void replanFrom(question, -2400 + 30 * run));
  return measure('replan', 'ms', samples, 150, 'median');
}

/** Bias, spread and correction of every kind of figure from 2,000 records of 250 cakes. */
export function handRecords(): Measure {
  const records = Array.from({ length: 2000 }, (_, i): KeptRecord => ({
    id: `r${i}`,
    buildId: `cake-${i % 250}`,
    buildName: 'A cake',
    at: `2027-0${1 + (i % 9)}-${10 + (i % 18)}T12:00:00Z`,
    kind: handKinds[i % handKinds.length]!,
    title: 'A step',
    label: 'a figure',
    planned: 100,
    actual: 90 + (i % 31),
    ratio: (90 + (i % 31)) / 100,
    excluded: i % 50 === 0 ? 'a slip' : null,
  }));
  const samples = timed(60, 10, (run) => {
    records[0] = { ...records[0]!, ratio: 1 + run / 100 };
    correctionsOf(handsOfAll(records));
  });
  return measure('hand-2000', 'ms', samples, 50, 'median');
}

/** Layout and shares of every dowel under four of five tiers, each time under other loads. */
export function supportLayout(): Measure {
  const build = newBuild('b', 'Bench', '2027-05-03T09:30:00Z');
  build.tiers[0]!.outline = { kind: 'round', diameterMm: 350 };
  while (build.tiers.length < 5) {
    addTier(build);
    const diameterMm = 420 - 70 * build.tiers.length;
    build.tiers.at(-1)!.outline = { kind: 'round', diameterMm };
  }
  const pantry = startingPantry();
  // off to another side each time, so that no ring is known from the run before
  const asked = Array.from({ length: 120 }, (_, run) => {
    const own = structuredClone(build);
    own.tiers[4]!.stand.offsetMm = [run / 6, (run % 37) / 3];
    const work = beginWork(own, pantry, false, nothingCarved);
    return { shape: shapeOf(work), work };
  });
  const samples = timed(asked.length, 20, (run) => {
    const { shape, work } = asked[run]!;
    planSupport(shape, work);
  });
  return measure('support-layout', 'ms', samples, 50, 'p95');
}
