/** When something is made and last used, ms, and how long it keeps, min; null where nobody says. */
export interface Keeping {
  madeAt: number;
  usedBy: number;
  keepsMin: number | null;
}

/** Of things of one kind, each with the first before it that would still be good at its last use. */
export function keptGroups<T>(rows: readonly T[], of: (row: T) => Keeping): T[][] {
  const groups: T[][] = [];
  for (const row of [...rows].sort((a, b) => of(a).madeAt - of(b).madeAt)) {
    const { usedBy, keepsMin } = of(row);
    const first = groups.at(-1)?.[0];
    const isKept =
      first !== undefined && keepsMin !== null && (usedBy - of(first).madeAt) / 60_000 <= keepsMin;
    if (isKept) groups.at(-1)!.push(row);
    else groups.push([row]);
  }
  return groups;
}

/** More than one cake is in it. */
export const isShared = (group: readonly { cakeId: string }[]): boolean =>
  new Set(group.map(({ cakeId }) => cakeId)).size > 1;
