import type { Section, Step } from '@pyrgotect/core';
import { chosenBy } from '../parts/part-edits.ts';

/** The step at which a part of the section is put there, by its place on the sheet; -1 for none. */
export function placedAt(steps: readonly Step[], partId: string, kind: string): number {
  const [tierId, , index] = partId.split('/');
  const byKey = (key: string): number => steps.findIndex((step) => step.key === key);
  const onGap = (gap: number): number =>
    steps.findIndex(({ part }) => part === `${tierId}/gap/${gap}`);
  switch (kind) {
    case 'dab':
      return byKey(`${tierId}/first`);
    case 'layer':
    case 'crown':
    case 'inset':
    case 'between':
      return Number(index) === 0 ? byKey(`${tierId}/first`) : onGap(Number(index) - 1);
    case 'gap':
    case 'dam':
      return onGap(Number(index));
    case 'centre':
      return byKey(`${tierId}/core`);
    case 'crumb':
      return byKey(`${tierId}/crumb`);
    case 'coat':
    case 'band':
      return byKey(`${tierId}/coat`);
    case 'fondant':
      return byKey(`${tierId}/fondant`);
    case 'veil':
      return byKey(`${tierId}/pour`);
    case 'drip':
    case 'flood':
      return byKey(`${tierId}/${kind}`);
    default:
      return -1;
  }
}

/** Parts that are not on the board yet while the step at `now` is being done. */
export function notYetThere(section: Section, steps: readonly Step[], now: number): Set<string> {
  const ghosts = new Set<string>();
  for (const part of section.parts) {
    // what is piped or put on has the last step that is about it: a slab is made on its tray before
    const isPutOn = part.kind === 'piping' || part.kind === 'topping';
    const at = isPutOn
      ? steps.findLastIndex((step) => step.part === chosenBy(part.id))
      : placedAt(steps, part.id, part.kind);
    if (at >= now && at >= 0) ghosts.add(part.id);
  }
  return ghosts;
}
