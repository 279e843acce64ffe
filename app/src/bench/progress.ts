import type { Section, Step } from '@pyrgotect/core';
import { chosenBy } from '../parts/part-edits.ts';

/** The step at which a part of the section is put there. */
function placedAt(partId: string, kind: string): string | null {
  const [tierId, , index] = partId.split('/');
  switch (kind) {
    case 'dab':
      return `${tierId}/first`;
    case 'layer':
    case 'crown':
    case 'inset':
      return Number(index) === 0 ? `${tierId}/first` : `${tierId}/fill/${Number(index) - 1}`;
    case 'gap':
    case 'dam':
      return `${tierId}/fill/${index}`;
    case 'centre':
      return `${tierId}/core`;
    case 'crumb':
      return `${tierId}/crumb`;
    case 'coat':
    case 'band':
      return `${tierId}/coat`;
    case 'fondant':
      return `${tierId}/fondant`;
    case 'veil':
      return `${tierId}/pour`;
    case 'drip':
    case 'flood':
      return `${tierId}/${kind}`;
    default:
      return null;
  }
}

/** Parts that are not on the board yet while the step at `now` is being done. */
export function notYetThere(section: Section, steps: readonly Step[], now: number): Set<string> {
  const order = new Map(steps.map((step, i) => [step.key, i]));
  const ghosts = new Set<string>();
  for (const part of section.parts) {
    const key = placedAt(part.id, part.kind);
    // what is piped or put on has the last step that is about it: a slab is made on its tray before
    const isPutOn = part.kind === 'piping' || part.kind === 'topping';
    const at = isPutOn
      ? steps.findLastIndex((step) => step.part === chosenBy(part.id))
      : key === null
        ? -1
        : (order.get(key) ?? -1);
    if (at >= now && at >= 0) ghosts.add(part.id);
  }
  return ghosts;
}
