import type { Spread } from '../pantry/types.ts';
import { phrase, type Phrase } from '../units/phrase.ts';

export type Depth = 'pale' | 'medium' | 'strong';

const pale = /\b(pale|light|pastel|baby|blush|cream|ivory|mint|soft|quarter)\b/i;
const strong =
  /\b(strong|deep|dark|black|red|navy|royal|full|midnight|burgundy|emerald|crimson)\b/i;

/** How deep a colour is, by its words: "deep blue", "pale pink"; medium where they do not say. */
export const depthOf = (tint: string): Depth =>
  pale.test(tint) ? 'pale' : strong.test(tint) ? 'strong' : 'medium';

/** Gel colour to the frosting's mass (estimates, by trade custom). */
const gelShare: Record<Depth, number> = { pale: 0.0008, medium: 0.003, strong: 0.012 };

/** Fat-based frostings that take oil colour and seize or split with water. */
const isChocolate = (spread: Spread): boolean =>
  /ganache/.test(spread.id + spread.name.toLowerCase());

/** Colour for a bowl: grams of gel, and what to mind. Null for a bowl that is not coloured. */
export function tintNote(
  spread: Spread,
  tint: string,
  massG: number,
): { gelG: number; depth: Depth; words: Phrase } | null {
  if (tint.trim() === '') return null;
  const depth = depthOf(tint);
  const gelG = massG * gelShare[depth];
  const kind = isChocolate(spread) ? 'oil-based colour, never water' : 'gel, not liquid colour';
  const more =
    depth === 'strong'
      ? 'Colour it the day before and two shades lighter than you want: strong shades deepen overnight, and much colour tastes bitter.'
      : depth === 'pale'
        ? 'From the tip of a stick: the butter’s own yellow shows through pale shades, so beat it long first.'
        : 'It deepens a little by itself within the hour.';
  return {
    gelG,
    depth,
    words: phrase(`About {gel} of ${kind}. ${more}`, { gel: [gelG, 'fineMass'] }),
  };
}
