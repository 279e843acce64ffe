/** So many of the last versions are all kept. */
export const keptRevisions = 50;
/** Beyond them one an hour for so long, then one a day for so long, h. */
const hourlyH = 48;
const dailyH = 60 * 24;

/** A version that is kept, by its key and when it was saved. */
export interface Kept {
  key: number;
  at: string;
}

/**
 * Keys of versions that are let go: the last fifty stay, then the last one of each hour for two days and of each
 * day for two months, counted back from the newest.
 */
export function thinned(versions: readonly Kept[]): number[] {
  const newestFirst = [...versions].sort((a, b) => b.key - a.key);
  const now = Date.parse(newestFirst[0]?.at ?? '');
  const met = new Set<string>();
  const isFirstOf = (span: string): boolean => !met.has(span) && met.add(span).has(span);
  return newestFirst
    .filter(({ at }, i) => {
      const hours = (now - Date.parse(at)) / 3_600_000;
      const [hour, day] = [`hour ${at.slice(0, 13)}`, `day ${at.slice(0, 10)}`];
      // an hour, or a day, that a later version stands for needs no other
      const [ofHour, ofDay] = [isFirstOf(hour), isFirstOf(day)];
      if (i < keptRevisions) return false;
      return !((hours <= hourlyH && ofHour) || (hours <= dailyH && ofDay));
    })
    .map(({ key }) => key);
}
