import {
  drawChance,
  weighDesigns,
  freshId,
  readCake,
  readFoods,
  readPutAway,
  planHeat,
  replanFrom,
  runDrips,
  readyChance,
  scheduleDay,
  planShopping,
  pricesOf,
  cakeDays,
  cakeLoad,
  solveHeight,
  solveLevel,
  tempsForLooks,
  type BowlChance,
  type CakePrice,
  type Build,
  type CarveResult,
  type ChanceQuestion,
  type DayAnswer,
  type DayQuestion,
  type DripLook,
  type DripRun,
  type DripsQuestion,
  type Corrections,
  type HeatPlan,
  type HeatQuestion,
  type HeightAnswer,
  type HeightQuestion,
  type LevelLayer,
  type LevelResult,
  type LooksQuestion,
  type Pantry,
  type PutAwayKitchen,
  type Stock,
  type CsvResult,
  type DesignAnswer,
  type Wish,
  type Food,
  type ReadyAnswer,
  type ReadyQuestion,
  type ReadCake,
  type Replan,
  type ShoppingPlan,
  type CakeDays,
  type CakeLoad,
} from '@pyrgotect/core';
import { expose } from 'comlink';

/* What is slow runs here, away from the page. */
const solver = {
  height: (question: HeightQuestion, progress: (share: number) => void): HeightAnswer =>
    solveHeight(question, progress),
  level: (layers: LevelLayer[]): LevelResult => solveLevel(layers),
  heat: (question: HeatQuestion): HeatPlan => planHeat(question),
  shopping: (
    builds: Build[],
    pantry: Pantry,
    leadDays: number,
    carved: CarveResult[],
    corrections: Corrections,
    days: Record<string, CakeDays | null>,
  ): ShoppingPlan =>
    planShopping(
      builds,
      pantry,
      leadDays,
      (key) => carved.find((each) => each.key === key),
      corrections,
      days,
    ),
  cakeDays: (
    builds: Build[],
    pantry: Pantry,
    carved: CarveResult[],
    corrections: Corrections,
  ): Record<string, CakeDays | null> =>
    Object.fromEntries(
      builds.map((build) => [
        build.id,
        cakeDays(build, pantry, (key) => carved.find((each) => each.key === key), corrections),
      ]),
    ),
  loads: (
    builds: Build[],
    pantry: Pantry,
    carved: CarveResult[],
    corrections: Corrections,
    progress: (share: number) => void,
  ): CakeLoad[] =>
    builds.map((build, i) => {
      const load = cakeLoad(build, pantry, (key) => carved.find((each) => each.key === key), corrections); // prettier-ignore
      progress((i + 1) / builds.length);
      return load;
    }),
  prices: (
    builds: Build[],
    pantry: Pantry,
    carved: CarveResult[],
    corrections: Corrections,
  ): CakePrice[] =>
    pricesOf(builds, pantry, (key) => carved.find((each) => each.key === key), corrections),
  day: (question: DayQuestion): DayAnswer => scheduleDay(question),
  ready: (question: ReadyQuestion): ReadyAnswer => readyChance(question),
  replan: (question: DayQuestion, nowMin: number): Replan => replanFrom(question, nowMin),
  chance: (question: ChanceQuestion): BowlChance[] => drawChance(question),
  designs: async (
    base: Build,
    pantry: Pantry,
    wish: Wish,
    corrections: Corrections,
    isWanted: (share: number, first?: DesignAnswer) => boolean | Promise<boolean>,
  ): Promise<DesignAnswer | null> => {
    const search = weighDesigns(base, pantry, wish, corrections);
    for (let step = search.next(); ; step = search.next()) {
      if (step.done) return step.value;
      // another question may have come in the meantime
      if (!(await isWanted(step.value.share, step.value.first))) return null;
    }
  },
  foods: (text: string, known: readonly Food[]): CsvResult<Food> =>
    readFoods(text, known, () => freshId('own')),
  putAway: (text: string, kitchen: PutAwayKitchen, today: string): CsvResult<Stock> =>
    readPutAway(text, kitchen, () => freshId('own'), today),
  cake: (bytes: Uint8Array): ReadCake => readCake(bytes),
  drips: (question: DripsQuestion): DripRun[] => runDrips(question),
  looks: (question: LooksQuestion): Record<DripLook, number | null> => tempsForLooks(question),
};
export type Solver = typeof solver;
expose(solver);
