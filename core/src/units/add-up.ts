/**
 * Parts rounded to a step so that they add up to their rounded sum: each down first, then one step
 * more to those that lost most (largest remainder). Negative parts are rounded by themselves.
 */
export function addUp(parts: readonly number[], step = 1): number[] {
  const total = parts.reduce((sum, part) => sum + part, 0);
  const down = parts.map((part) => Math.floor(part / step + 1e-9));
  let missing = Math.round(total / step) - down.reduce((sum, n) => sum + n, 0);
  const order = parts
    .map((part, i) => ({ i, left: part / step - down[i]! }))
    .sort((a, b) => b.left - a.left || a.i - b.i);
  for (const { i } of order) {
    if (missing <= 0) break;
    down[i]! += 1;
    missing -= 1;
  }
  return down.map((n) => n * step);
}
