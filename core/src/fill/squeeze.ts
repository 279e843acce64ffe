/** Yield stress at a temperature, Pa: a straight line in its logarithm through 4 and 21 C. */
export function stressAt(stress21Pa: number, stress4Pa: number, tempC: number): number {
  if (stress21Pa <= 0 || stress4Pa <= 0) return Math.max(0, stress21Pa);
  const slope = (Math.log(stress21Pa) - Math.log(stress4Pa)) / 17;
  return Math.exp(Math.log(stress21Pa) + slope * (tempC - 21));
}

/**
 * Load that a filling holds without creeping out, N: 2·pi·tau·r³/(3·t), squeezed between two layers
 * (docs/model.md#fillings-under-load). Lengths in mm, stress in Pa.
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

export interface Settled {
  holds: boolean;
  /** Thickness at rest, mm. */
  thickMm: number;
  /** Radius at rest, mm; beyond the edge it bulges. */
  radiusMm: number;
  bulgeMl: number;
}

/**
 * How a filling spread to radius r0 at thickness t0 comes to rest under a load, its volume constant
 * (docs/model.md#fillings-under-load): t1 = (2·pi·tau·r0³·t0^1.5/(3F))^0.4 while it stays inside the layer, and
 * 2·pi·tau·R³/(3F) once it is past the edge, where only the part under the layer bears.
 *
 * @param stressPa yield stress; @param spreadMm r0; @param edgeMm R; @param thickMm t0; @param loadN F
 */
export function settle(
  stressPa: number,
  spreadMm: number,
  edgeMm: number,
  thickMm: number,
  loadN: number,
): Settled {
  const r0 = Math.min(spreadMm, edgeMm);
  if (loadN <= holdsN(stressPa, r0, thickMm))
    return { holds: true, thickMm, radiusMm: r0, bulgeMl: 0 };
  const [R, r, t0] = [edgeMm / 1000, r0 / 1000, thickMm / 1000];
  const inside = ((2 * Math.PI * stressPa * r ** 3 * t0 ** 1.5) / (3 * loadN)) ** 0.4;
  const reaches = r * Math.sqrt(t0 / inside);
  if (reaches <= R)
    return { holds: false, thickMm: inside * 1000, radiusMm: reaches * 1000, bulgeMl: 0 };
  const atEdge = t0 * (r / R) ** 2;
  const t1 = Math.min(atEdge, (2 * Math.PI * stressPa * R ** 3) / (3 * loadN));
  const bulge = Math.PI * (r * r * t0 - R * R * t1);
  return { holds: false, thickMm: t1 * 1000, radiusMm: edgeMm, bulgeMl: Math.max(0, bulge * 1e6) };
}

/**
 * How far short of the edge to keep a filling so that it arrives flush with it under the load, mm;
 * 0 where it holds as it is.
 */
export function flushSetbackMm(
  stressPa: number,
  edgeMm: number,
  thickMm: number,
  loadN: number,
): number {
  if (loadN <= holdsN(stressPa, edgeMm, thickMm)) return 0;
  let low = 0.05 * edgeMm;
  let high = edgeMm;
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2;
    const rest = settle(stressPa, middle, edgeMm, thickMm, loadN);
    if (rest.bulgeMl > 0 || rest.radiusMm >= edgeMm - 1e-9) high = middle;
    else low = middle;
  }
  return edgeMm - low;
}
