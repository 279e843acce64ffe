import { valueWord } from '@pyrgotect/core';
import type { Design, Gain, Outline, ProportionId } from '@pyrgotect/core';

/** What each is best in among those that are shown. */
export const gainWords: Record<Gain, string> = {
  'fewest over': 'fewest portions over',
  'least work': 'least work',
  'least on the day': 'least work on the day',
  cheapest: 'cheapest',
  lowest: 'lowest',
  tallest: 'tallest',
  lightest: 'lightest',
  'least left': 'least left over',
  steadiest: 'steadiest on the road',
  'most tiers': 'most tiers',
};
export const proportionWords: Record<ProportionId, string> = {
  'even steps': 'even steps',
  'short and wide': 'short and wide',
  tall: 'tall, each tier cut across half-way up',
  'one tall tier': 'one tall tier below',
};
const across = (outline: Outline): number | null => {
  switch (outline.kind) {
    case 'round':
      return outline.diameterMm;
    case 'square':
      return outline.sideMm;
    default:
      return null;
  }
};

/** "3 tiers, round, 25 cm, 20 cm and 15 cm". `size` writes a length in the units of the user. */
export function designTitle({ build, kitchen }: Design, size: (mm: number) => string): string {
  const { tiers } = build;
  const { kind } = tiers[0]!.outline;
  const sizes = tiers.map(({ outline }) => across(outline));
  const known = sizes.every((mm) => mm !== null);
  const many = tiers.length === 1 ? 'One tier' : `${tiers.length} tiers`;
  const wide = known
    ? `, ${valueWord(kind)}, ${listed(sizes.map((mm) => size(mm)))}`
    : kind === 'rectangle'
      ? ', a tray'
      : `, ${valueWord(kind)}`;
  const plain = kitchen
    ? ` and ${kitchen.count} kitchen ${kitchen.count === 1 ? 'cake' : 'cakes'}`
    : '';
  return `${many}${wide}${plain}`;
}
const listed = (words: readonly string[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
