/** What `work` gives, kept by its key: a plan asks the same again at every edit. */
export function remember(known: Map<string, number>, key: string, work: () => number): number {
  const found = known.get(key);
  if (found !== undefined) return found;
  const value = work();
  if (known.size > 500) known.clear();
  known.set(key, value);
  return value;
}
