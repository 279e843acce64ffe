import type { DayAnswer } from '@pyrgotect/core';

/** Why there is no plan of the days, and what to change; null where there is one. */
export function noPlanWords(
  answer: DayAnswer | null,
  titleOf: (taskId: string) => string,
  minutes: (min: number) => string,
): string | null {
  if (!answer || answer.ok) return null;
  switch (answer.why) {
    case 'loop':
      return `These wait for each other in a loop: ${answer.ids.map(titleOf).join(', ')}. Take one of the waits out under Tasks.`;
    case 'no hours':
      return 'No hours of work before it is served: give some below.';
    case 'too little time':
      return `“${titleOf(answer.id)}” finds no place: ${minutes(answer.neededMin)} of hands in all, within two weeks. Longer hours, another pair of hands, or a simpler cake.`;
    case 'no room':
      return `“${titleOf(answer.id)}” has no room in the ${answer.resource}.`;
  }
}
