import { pantryLimits } from '../pantry/limits.ts';
import type { CoolPlace, RecipeHold } from '../pantry/types.ts';
import { phrase, type Phrase } from '../units/phrase.ts';
import type { Range } from '../units/field.ts';
import type { ReadTime } from './method-words.ts';

/** Cool enough to be used: the room and a little, and out of the fridge. */
export const cooledC = { room: 24, fridge: 8 };

export const within = (n: number, { min, max }: Range): number => Math.min(max, Math.max(min, n));

const placeOf = (text: string): CoolPlace => {
  const thin = /\b(?:tray|shallow|sheet|plate)\b/i.test(text);
  if (/\b(?:fridge|refrigerat\w+|chill\w*)\b/i.test(text))
    return thin ? 'tray in the fridge' : 'fridge';
  if (/\b(?:ice bath|iced? water|cold water|bowl of ice)\b/i.test(text)) return 'cold water';
  return thin ? 'tray' : 'bowl';
};

/** The wait that a sentence asks for; null for none. */
export function holdOf(
  text: string,
  after: number,
  hotC: number | null,
  waits: readonly ReadTime[],
  toC: number | null,
): RecipeHold | null {
  const where = placeOf(text);
  const cools = /\bcool\w*\b|\bcold\b|\bchill\w*\b|\brefrigerat\w+|\broom temperature\b/i.test(
    text,
  );
  const isHot = hotC !== null && hotC > cooledC.room + 6;
  const inCold = where === 'fridge' || where === 'tray in the fridge';
  const to = toC ?? (cools && isHot ? (inCold ? cooledC.fridge : cooledC.room) : null);
  const least = waits.filter(({ isMost }) => !isMost).map(({ fromMin }) => fromMin);
  const most = waits.filter(({ isMost }) => isMost).map(({ toMin }) => toMin);
  if (to === null && least.length + most.length === 0) return null;
  const limit = pantryLimits.holdMin;
  // "4 hours, or overnight": the shorter is enough
  const isEither = /\bor\s+(?:over\s?night|for\s+\d|up\s+to)/i.test(text);
  const enough = isEither ? Math.min(...least) : Math.max(...least);
  const leastMin = within(least.length > 0 ? enough : 0, limit);
  const mostMin = most.length > 0 ? within(Math.max(...most), limit) : null;
  return {
    after,
    fromC: to === null ? null : Math.max(hotC ?? to, to),
    toC: to === null ? null : within(to, pantryLimits.holdToC),
    where,
    leastMin,
    mostMin: mostMin === null ? null : Math.max(leastMin, mostMin),
  };
}

/** "cools to 30 C in the fridge, 4 h at least" */
export const sayHold = ({ toC, leastMin, mostMin, where }: RecipeHold): Phrase =>
  phrase(
    [
      toC === null ? `waits (${where})` : `cools to {to} (${where})`,
      ...(leastMin > 0 ? ['{least} at least'] : []),
      ...(mostMin === null ? [] : ['{most} at most']),
    ].join(', '),
    {
      to: [toC ?? 0, 'temperature'],
      least: [leastMin, 'minutes'],
      most: [mostMin ?? 0, 'minutes'],
    },
  );
