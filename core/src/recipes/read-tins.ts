import { MM_PER_IN } from '../units/kinds.ts';
import { plainSigns } from './amounts.ts';

/** Tins that a recipe is meant for. */
export interface ReadTins {
  count: number;
  /** Across, mm. */
  acrossMm: number;
  form: 'round' | 'square' | 'loaf';
}

const counts: Record<string, number> = { a: 1, an: 1, one: 1, two: 2, three: 3, four: 4 };
/** Sizes that a cake tin has, mm. */
const likely = { min: 60, max: 500 };

/** "two 20 cm round tins", "a 9-inch springform pan", "2 x 20cm/8in sandwich tins"; null where none is named. */
export function readTins(sentences: readonly string[]): ReadTins | null {
  const pattern =
    /(?:\b(a|an|one|two|three|four|[1-9])\s*(?:x\s*)?(?:deep|loose-bottomed|greased|lined|round|square|\s)*)?\b(\d{1,2}(?:\.\d)?)\s*-?\s*(cm|inch(?:es)?|in\b|["”″])([^.;]{0,60}?)\b(?:tins?|pans?|moulds?|molds?)\b/i;
  for (const sentence of sentences) {
    const match = pattern.exec(plainSigns(sentence));
    if (!match) continue;
    const [, many, size, unit, between] = match;
    const acrossMm = Number(size) * (unit!.toLowerCase() === 'cm' ? 10 : MM_PER_IN);
    if (acrossMm < likely.min || acrossMm > likely.max) continue;
    const words = `${match[0]} ${between}`.toLowerCase();
    return {
      count: many === undefined ? 1 : (counts[many.toLowerCase()] ?? Number(many)),
      acrossMm: Math.round(acrossMm),
      form: words.includes('loaf') ? 'loaf' : words.includes('square') ? 'square' : 'round',
    };
  }
  return null;
}
