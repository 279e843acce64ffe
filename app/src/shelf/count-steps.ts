import { planBuild, type Build, type CarveAnswers, type Pantry } from '@pyrgotect/core';

/** How many steps a cake takes; it needs the whole plan, which a shelf of many does not. */
export function countSteps(build: Build, pantry: Pantry, carved: CarveAnswers): number {
  const { steps } = planBuild(build, pantry, carved);
  return steps.ok ? steps.value.length : 0;
}
