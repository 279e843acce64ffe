/*
 * A drawn wall: how wide a tin is at even heights from its bottom to its brim, as shares of its outline,
 * straight between them; over the brim it goes on as wide as there.
 */

/** A bowl, to begin with: half as wide at its bottom as at its brim (estimate). */
export const usualWall: readonly number[] = [0.5, 0.78, 0.9, 0.97, 1];

/** How wide it is at a share of its depth, as a share of its outline; 1 where nothing is drawn. */
export function wallShareAt(wall: readonly number[], up: number): number {
  if (wall.length < 2) return wall[0] ?? 1;
  const at = Math.min(1, Math.max(0, up)) * (wall.length - 1);
  const i = Math.min(wall.length - 2, Math.floor(at));
  return wall[i]! + (wall[i + 1]! - wall[i]!) * (at - i);
}

/**
 * Sum of the squares of its widths up to a share of its depth: times the area of its outline and its depth
 * it is the volume. Exact, as each piece is a frustum: h/3 (a² + ab + b²).
 */
export function wallSquared(wall: readonly number[], up: number): number {
  const pieces = Math.max(1, wall.length - 1);
  let sum = 0;
  for (let i = 0; i < pieces && i / pieces < up; i++) {
    const to = Math.min(up, (i + 1) / pieces);
    const [a, b] = [wallShareAt(wall, i / pieces), wallShareAt(wall, to)];
    sum += ((to - i / pieces) * (a * a + a * b + b * b)) / 3;
  }
  return sum + Math.max(0, up - 1) * wallShareAt(wall, 1) ** 2;
}
