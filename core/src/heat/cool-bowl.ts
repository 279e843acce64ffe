/** Where a bowl stands to cool or warm, and how fast its surface takes heat, W/m2K (estimates). */
export interface BowlSurroundings {
  tempC: number;
  surfaceW: number;
}

/**
 * Time constant of a stirred bowl, min: m·c over h·A (docs/model.md#heat-and-cold). The bowl is taken as half a
 * ball filled to its rim, its surface as that of the ball's half and the open top.
 *
 * @param capacityKJ heat capacity, kJ/kgK; @param densityGPerMl of what is in it
 */
export function bowlMinutes(
  massG: number,
  densityGPerMl: number,
  capacityKJ: number,
  surfaceW: number,
): number {
  const volume = massG / densityGPerMl / 1e6;
  const radius = Math.cbrt((3 * volume) / (2 * Math.PI));
  const area = 3 * Math.PI * radius ** 2;
  return ((massG / 1000) * capacityKJ * 1000) / (surfaceW * area) / 60;
}

/**
 * Minutes until a stirred bowl comes from one temperature to another:
 * T(t) = Ta + (T0 - Ta)·exp(-t/tau). Null when it never gets there.
 */
export function minutesTo(
  fromC: number,
  toC: number,
  around: BowlSurroundings,
  tauMin: number,
): number | null {
  const rest = (toC - around.tempC) / (fromC - around.tempC);
  if (fromC === toC) return 0;
  if (!(rest > 0 && rest < 1)) return null;
  return -tauMin * Math.log(rest);
}
