import {
  planHeat,
  solveHeight,
  solveLevel,
  type HeatPlan,
  type HeatQuestion,
  type HeightAnswer,
  type HeightQuestion,
  type LevelLayer,
  type LevelResult,
} from '@pyrgotect/core';
import { expose } from 'comlink';

/* What is slow runs here, away from the page. */
const solver = {
  height: (question: HeightQuestion, progress: (share: number) => void): HeightAnswer =>
    solveHeight(question, progress),
  level: (layers: LevelLayer[]): LevelResult => solveLevel(layers),
  heat: (question: HeatQuestion): HeatPlan => planHeat(question),
};
export type Solver = typeof solver;
expose(solver);
