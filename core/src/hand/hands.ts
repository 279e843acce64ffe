import { handKinds, type HandKind } from './kinds.ts';
import type { Corrections, KeptRecord } from './corrections.ts';
import { handFactor, handOf, handQuantile, type Hand } from './posterior.ts';
import { handRows } from './rows.ts';

/** How many builds ago each build was at the bench: the newest 0, by its last record. */
export function buildsAgo(records: readonly KeptRecord[]): Map<string, number> {
  const last = new Map<string, string>();
  for (const { buildId, at } of records) if (at > (last.get(buildId) ?? '')) last.set(buildId, at);
  const order = [...last].sort(([a, x], [b, y]) => y.localeCompare(x) || a.localeCompare(b));
  return new Map(order.map(([id], i) => [id, i]));
}

/** What is known of every kind of figure, from all records that count (docs/model.md#the-hand). */
export function handsOfAll(records: readonly KeptRecord[]): Map<HandKind, Hand> {
  const counted = records.filter(({ excluded }) => excluded === null);
  const ago = buildsAgo(counted);
  const byKind = new Map<HandKind, { ratio: number; buildsAgo: number }[]>();
  for (const { kind, ratio, buildId } of counted) {
    const list = byKind.get(kind) ?? [];
    list.push({ ratio, buildsAgo: ago.get(buildId)! });
    byKind.set(kind, list);
  }
  return new Map(
    handKinds.map((kind) => [kind, handOf(byKind.get(kind) ?? [], handRows[kind].cv)]),
  );
}

/** Coefficient of variation of the log-normal that has the hand's quantile at 95 of a hundred. */
export function scatterOf(hand: Hand): number {
  const sd = Math.log(handQuantile(hand, 0.95) / handFactor(hand)) / 1.6448536269514722;
  return Math.sqrt(Math.expm1(sd * sd));
}

/** What plans do with it: for each kind with records that is not switched off. */
export function correctionsOf(
  hands: ReadonlyMap<HandKind, Hand>,
  off: readonly HandKind[] = [],
): Corrections {
  const corrections: Corrections = {};
  for (const [kind, hand] of hands)
    if (hand.count > 0 && !off.includes(kind))
      corrections[kind] = { factor: handFactor(hand), cv: scatterOf(hand), count: hand.count };
  return corrections;
}

/**
 * The kind of figure whose bias stands out most from its own uncertainty; null where there are no
 * records. @param among kinds to look at
 */
export function furthestOff(
  hands: ReadonlyMap<HandKind, Hand>,
  among: readonly HandKind[],
): HandKind | null {
  let found: { kind: HandKind; off: number } | null = null;
  for (const kind of among) {
    const hand = hands.get(kind);
    const off = hand && hand.count > 0 ? Math.abs(hand.mean) * Math.sqrt(hand.kappa) : -1;
    if (off > (found?.off ?? -1)) found = { kind, off };
  }
  return found?.kind ?? null;
}
