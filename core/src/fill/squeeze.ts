/** Yield stress at a temperature, Pa: a straight line in its logarithm through 4 and 21 C. */
export function stressAt(stress21Pa: number, stress4Pa: number, tempC: number): number {
  if (stress21Pa <= 0 || stress4Pa <= 0) return Math.max(0, stress21Pa);
  const slope = (Math.log(stress21Pa) - Math.log(stress4Pa)) / 17;
  return Math.exp(Math.log(stress21Pa) + slope * (tempC - 21));
}

/**
 * Load that a filling holds without creeping out, N: 2·pi·tau·r³/(3·t), squeezed between two layers
 * (model section 5). Lengths in mm, stress in Pa.
 */
export function holdsN(stressPa: number, radiusMm: number, thickMm: number): number {
  const [r, t] = [radiusMm / 1000, thickMm / 1000];
  return t > 0 ? (2 * Math.PI * stressPa * r ** 3) / (3 * t) : Infinity;
}

/**
 * Load that a filling inside a piped dam holds, N:
 * 2·pi·tau_f·ri³/(3t) + (2·tau_d·w/t)·pi·(ri² + ri·w + w²/3).
 *
 * @param innerMm radius inside the dam; @param damMm its width
 */
export function holdsInDamN(
  fillingPa: number,
  damPa: number,
  innerMm: number,
  damMm: number,
  thickMm: number,
): number {
  const [ri, w, t] = [innerMm / 1000, damMm / 1000, thickMm / 1000];
  if (t <= 0) return Infinity;
  return (
    holdsN(fillingPa, innerMm, thickMm) +
    ((2 * damPa * w) / t) * Math.PI * (ri * ri + ri * w + (w * w) / 3)
  );
}
