/* Bessel functions of the first kind: power series for small arguments and Hankel's asymptotic
   expansion beyond (textbook), each to about 1e-9. */

const turnsAt = 14;

function series(order: 0 | 1, x: number): number {
  const q = (x * x) / 4;
  let term = order === 0 ? 1 : x / 2;
  let sum = term;
  for (let k = 1; k < 80; k++) {
    term *= -q / (k * (k + order));
    sum += term;
    if (Math.abs(term) < 1e-18) break;
  }
  return sum;
}

function hankel(order: 0 | 1, x: number): number {
  const mu = 4 * order * order;
  let p = 0;
  let q = 0;
  let term = 1;
  // a0 - a2 + a4 ... and a1 - a3 + a5 ..., until the terms grow again
  for (let k = 0; k < 20; k++) {
    const sign = Math.floor(k / 2) % 2 === 0 ? 1 : -1;
    if (k % 2 === 0) p += sign * term;
    else q += sign * term;
    const next = (term * (mu - (2 * k + 1) ** 2)) / ((k + 1) * 8 * x);
    if (Math.abs(next) > Math.abs(term)) break;
    term = next;
  }
  const phase = x - (order * Math.PI) / 2 - Math.PI / 4;
  return Math.sqrt(2 / (Math.PI * x)) * (p * Math.cos(phase) - q * Math.sin(phase));
}

/** J0 of x, x >= 0. */
export const besselJ0 = (x: number): number => (x < turnsAt ? series(0, x) : hankel(0, x));

/** J1 of x, x >= 0. */
export const besselJ1 = (x: number): number => (x < turnsAt ? series(1, x) : hankel(1, x));
