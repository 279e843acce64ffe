import type { Food } from '../pantry/types.ts';
import { addDays } from '../units/days.ts';

/** What is left of whole pieces whose other part is used. */
export interface SparePart {
  foodId: string;
  name: string;
  pieces: number;
  massG: number;
}

/** So many parts that one cake leaves over are used by another. */
export interface PairedPart {
  foodId: string;
  name: string;
  pieces: number;
  from: string;
  to: string;
}

/** Whites and yolks that were parted keep so long in the cold, covered, days (usual guidance). */
const partKeepsDays = 2;

interface Kept {
  part: Food;
  pieces: number;
  /** The day they are there from; null for a cake without one. */
  day: string | null;
  cake: string;
}

/**
 * Whites and yolks that one cake leaves over, for the others while they keep. Cakes come in the order of
 * their days, and the oldest parts go first.
 */
export class SpareParts {
  private kept: Kept[] = [];
  readonly paired: PairedPart[] = [];

  /** Takes what is there of so many parts; how many there were. */
  take(part: Food, wanted: number, day: string | null, cake: string): number {
    let left = wanted;
    for (const one of this.kept) {
      if (left === 0) break;
      if (one.part.id !== part.id || one.cake === cake || !keepsTo(one.day, day)) continue;
      const pieces = Math.min(left, one.pieces);
      one.pieces -= pieces;
      left -= pieces;
      this.paired.push({ foodId: part.id, name: part.name, pieces, from: one.cake, to: cake });
    }
    this.kept = this.kept.filter(({ pieces }) => pieces > 0);
    return wanted - left;
  }

  put(part: Food, pieces: number, day: string | null, cake: string): void {
    if (pieces > 0) this.kept.push({ part, pieces, day, cake });
  }

  /** What nobody takes, of parts of one whole. */
  left(wholeId: string): SparePart[] {
    const sums = new Map<Food, number>();
    for (const { part, pieces } of this.kept)
      if (part.boughtAs === wholeId) sums.set(part, (sums.get(part) ?? 0) + pieces);
    return [...sums].map(([{ id, name, pieceG }, pieces]) => ({
      foodId: id,
      name,
      pieces,
      massG: pieces * (pieceG ?? 0),
    }));
  }
}

/** Only cakes whose days are known share: nobody keeps an egg white for some day. */
const keepsTo = (from: string | null, to: string | null): boolean =>
  from !== null && to !== null && from <= to && to <= addDays(from, partKeepsDays);
