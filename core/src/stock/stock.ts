import { keepingDays } from '../bowls/leftover-use.ts';
import { spongeFreezerDays, spongeKeepsMin } from '../day/keeping.ts';
import type { Pantry, Spread, Stock } from '../pantry/types.ts';
import { addDays } from '../units/days.ts';

/** What is left of something put away, for one cake: what others took is gone. Layers or g. */
export const leftFor = ({ amount, taken }: Stock, buildId: string): number =>
  Math.max(
    0,
    taken.reduce((left, one) => (one.buildId === buildId ? left : left - one.amount), amount),
  );

/** What is left when every cake has taken its own. Layers or g. */
export const leftOf = (row: Stock): number => leftFor(row, '');

/** What cakes took of it so far. Layers or g. */
export const takenOf = ({ taken }: Stock): number =>
  taken.reduce((sum, one) => sum + one.amount, 0);

/** The row once a cake has taken so much; nothing for what it gives back. A second time counts once. */
export const withTaken = (row: Stock, buildId: string, amount: number): Stock => ({
  ...row,
  taken: [
    ...row.taken.filter((one) => one.buildId !== buildId),
    ...(amount > 0 ? [{ buildId, amount }] : []),
  ],
});

/** How long it keeps where it is, days; null where it is not kept there. Usual guidance. */
export function keepsDays(row: Stock, spread: Spread | null): number | null {
  if (row.layer) return row.keptIn === 'freezer' ? spongeFreezerDays : spongeKeepsMin / 1440;
  return spread ? keepingDays[spread.keeping][row.keptIn] : null;
}

/** The last day on which it is good, "2027-08-01"; null where nobody says. */
export function goodUntil(row: Stock, { spreads }: Pick<Pantry, 'spreads'>): string | null {
  const days = keepsDays(row, spreads.find(({ id }) => id === row.madeOfId) ?? null);
  return days === null ? null : addDays(row.madeOn, days);
}
