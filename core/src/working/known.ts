/**
 * What was made from documents, kept as long as they are there. Documents are never changed in place:
 * an edit gives a new one that shares what it left alone, so that the same object means the same
 * content, and what was made from it once need not be made again.
 */
export class Known<K extends object, V> {
  /** How often something was made because it was not known. */
  made = 0;
  private readonly kept = new WeakMap<K, { by: readonly unknown[]; value: V }[]>();

  /** @param most values kept for one key: another setting or another neighbour asks for its own */
  constructor(private readonly most = 4) {}

  /**
   * What `make` gives for `key` with everything else that it is made from.
   *
   * @param holds false where what is kept rests on something that has changed since
   */
  of(key: K, by: readonly unknown[], make: () => V, holds: (value: V) => boolean = () => true): V {
    const before = this.kept.get(key) ?? [];
    const found = before.find(
      (each) =>
        each.by.length === by.length &&
        each.by.every((one, i) => Object.is(one, by[i])) &&
        holds(each.value),
    );
    if (found) return found.value;
    this.made += 1;
    const value = make();
    this.kept.set(key, [{ by, value }, ...before].slice(0, this.most));
    return value;
  }
}

let freezes = false;
const frozen = new WeakSet<object>();

/** From now on documents are frozen when they are first planned, so that a change in place is an error. */
export function freezeDocuments(): void {
  freezes = true;
}

/** Freezes a document and everything in it, in development and in tests; gives it back. */
export function asDocument<T>(document: T): T {
  if (freezes) freezeAll(document);
  return document;
}

function freezeAll(value: unknown): void {
  if (typeof value !== 'object' || value === null || frozen.has(value)) return;
  frozen.add(value);
  if (ArrayBuffer.isView(value)) return;
  Object.freeze(value);
  for (const inside of Object.values(value)) freezeAll(inside);
}
