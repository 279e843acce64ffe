/**
 * What was worked out, by a key of all that it was made from: a plan asks the same again at every edit.
 * Where things are made from documents, `Known` keeps them by identity and no key has to be written.
 */
export class Remembered<V> {
  private readonly kept = new Map<string, V>();

  /** @param most values kept: the one made first goes first */
  constructor(private readonly most = 500) {}

  of(key: string, make: () => V): V {
    const found = this.kept.get(key);
    if (found !== undefined) return found;
    const value = make();
    this.kept.set(key, value);
    if (this.kept.size > this.most) this.kept.delete(this.kept.keys().next().value!);
    return value;
  }
}
