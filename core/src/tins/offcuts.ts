import type { Sponge } from '../pantry/types.ts';
import { phrase, type Phrase } from '../units/phrase.ts';

/** What offcuts of a tier can serve for, with grams. */
export interface OffcutUse {
  what: Phrase;
  massG: number;
}

/** Cake that one small portion served in a glass takes, g. */
const glassG = 60;
/** Frosting that binds crumbs to a paste, over the crumbs (trade custom). */
const pasteShare = 0.35;

/** Uses of domes and trimmings: as crumbs in glasses, bound to modelling paste, or kept frozen. */
export function offcutUses(domesG: number, trimG: number, sponge: Sponge): OffcutUse[] {
  const all = domesG + trimG;
  if (all < 20) return [];
  const uses: OffcutUse[] = [];
  if (domesG >= glassG)
    uses.push({
      what: phrase('{glasses} glasses with cream, from the domes', {
        glasses: [Math.floor(domesG / glassG), 'count'],
      }),
      massG: domesG,
    });
  uses.push({
    what: phrase('or crumbs, bound with frosting to {paste} of modelling paste', {
      paste: [all * (1 + pasteShare), 'bowl'],
    }),
    massG: all,
  });
  if (sponge.allowableKPa >= 3.5)
    uses.push({
      what: phrase('or pieces to build up a carved shape (this crumb is firm)'),
      massG: all,
    });
  return uses;
}
