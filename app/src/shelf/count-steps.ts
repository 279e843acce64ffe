import { doneOf, planBuild, type Build, type CarveAnswers, type Pantry } from '@pyrgotect/core';

/** How many steps a cake takes and how many are done; it needs the whole plan, which a shelf of many does not. */
export function countSteps(
  build: Build,
  pantry: Pantry,
  carved: CarveAnswers,
): { done: number; all: number } {
  const { steps } = planBuild(build, pantry, carved);
  if (!steps.ok) return { done: 0, all: 0 };
  const done = doneOf(build, steps.value);
  return {
    done: steps.value.filter(({ key }) => done.has(key)).length,
    all: steps.value.length,
  };
}
