/* Student's t, for what a hand does with few records (textbook). */

/** Natural logarithm of the gamma function (Lanczos), for positive arguments; good to 1e-13. */
export function logGamma(x: number): number {
  const c = [
    676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
    12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
  ];
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x);
  const y = x - 1;
  let sum = 0.99999999999980993;
  c.forEach((value, i) => (sum += value / (y + i + 1)));
  const t = y + c.length - 0.5;
  return 0.5 * Math.log(2 * Math.PI) + (y + 0.5) * Math.log(t) - t + Math.log(sum);
}

/** Regularised incomplete beta function by its continued fraction (Lentz). */
function betaShare(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  if (x > (a + 1) / (a + b + 2)) return 1 - betaShare(1 - x, b, a);
  const front =
    Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log(1 - x)) /
    a;
  const tiny = 1e-300;
  let [f, c, d] = [1, 1, 0];
  for (let i = 0; i <= 300; i++) {
    const m = Math.floor(i / 2);
    const step =
      i === 0
        ? 1
        : i % 2 === 0
          ? (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m))
          : (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 + step * d;
    d = 1 / (Math.abs(d) < tiny ? tiny : d);
    c = 1 + step / c;
    if (Math.abs(c) < tiny) c = tiny;
    f *= c * d;
    if (Math.abs(1 - c * d) < 1e-15) break;
  }
  return front * (f - 1);
}

/** Share of Student's t with `dof` degrees of freedom below `t`. */
export function studentShare(t: number, dof: number): number {
  const half = betaShare(dof / (dof + t * t), dof / 2, 0.5) / 2;
  return t > 0 ? 1 - half : half;
}

/** The t below which a share of Student's distribution lies; by halving, good to 1e-10. */
export function studentQuantile(share: number, dof: number): number {
  if (share === 0.5) return 0;
  let [low, high] = [-1, 1];
  while (studentShare(low, dof) > share) low *= 2;
  while (studentShare(high, dof) < share) high *= 2;
  for (let i = 0; i < 80; i++) {
    const middle = (low + high) / 2;
    if (studentShare(middle, dof) < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
