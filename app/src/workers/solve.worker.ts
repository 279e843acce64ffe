import {
  drawChance,
  planHeat,
  planShopping,
  solveHeight,
  solveLevel,
  type BowlChance,
  type Build,
  type ChanceQuestion,
  type HeatPlan,
  type HeatQuestion,
  type HeightAnswer,
  type HeightQuestion,
  type LevelLayer,
  type LevelResult,
  type Pantry,
  type ShoppingPlan,
} from '@pyrgotect/core';
import { expose } from 'comlink';

/* What is slow runs here, away from the page. */
const solver = {
  height: (question: HeightQuestion, progress: (share: number) => void): HeightAnswer =>
    solveHeight(question, progress),
  level: (layers: LevelLayer[]): LevelResult => solveLevel(layers),
  heat: (question: HeatQuestion): HeatPlan => planHeat(question),
  shopping: (builds: Build[], pantry: Pantry, leadDays: number): ShoppingPlan =>
    planShopping(builds, pantry, leadDays),
  chance: (question: ChanceQuestion): BowlChance[] => drawChance(question),
};
export type Solver = typeof solver;
expose(solver);
