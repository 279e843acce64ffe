import { gravity } from '../units/gravity.ts';
import { filmTempC, standsAtMm, type DripFluid } from './fluid.ts';

/** How a drip is set going. Lengths in mm, temperatures in C. */
export interface DripSetting {
  fluid: DripFluid;
  fluidC: number;
  coatC: number;
  widthMm: number;
  /** How long the bottle feeds it, s. */
  feedS: number;
  /** Height of the side; what runs further pools on the board. */
  sideMm: number;
  /** Extra in the bead at the end, g. */
  beadG: number;
}

export const usualDrip = { widthMm: 10, feedS: 1.5, beadG: 0.2 } as const;

/** Heaviest drip that is asked about, g: what is heavier hangs as a lump. */
export const heaviestG = 15;

export interface DripRun {
  massG: number;
  /** Length from the rim at each time of `everyS` from 0 on, mm. */
  lengthsMm: number[];
  everyS: number;
  /** Where it stands in the end, and when it got within half a millimetre of it. */
  restMm: number;
  restS: number;
  /** Film left on the side, mean and at its thickest, mm. */
  meanMm: number;
  thickMm: number;
  /** On the board, g. */
  pooledG: number;
  /** Thickness along the side at the end, mm, a value to each cell. */
  profileMm: number[];
  cellMm: number;
}

/** A bare trace of film cools no faster than a real one, m. */
const thinnestM = 2e-4;

/** Steps of the tables over the root of s, up to a film as cold as its coat. */
const tableSize = 512;
const mostRootS = 12;

/** Grid along the side by grams to the millimetre of width: short drips want a finer one. */
const cells: [belowGPerMm: number, cellMm: number][] = [
  [0.05, 0.4],
  [0.12, 0.5],
  [0.25, 0.8],
  [0.45, 1],
];
export const longestCellMm = 1.5;
/** Grid for a drip, fine enough for its length to be right to a hundredth. */
export function cellFor(massG: number, { beadG, widthMm }: DripSetting): number {
  const perMm = Math.max(0, massG - beadG) / widthMm;
  return cells.find(([below]) => perMm < below)?.[1] ?? longestCellMm;
}

/**
 * Runs one drip down a side (docs/model.md#ganache-and-drips): conservation of volume along it in finite volumes,
 * each passing on the flux of its own thickness and warmth,
 * q = (rho·g·d³/(3·eta))·(1 - 1.5·(dy/d) + 0.5·(dy/d)³) above dy = tau/(rho·g), fed at the rim for
 * so long. Cooling travels with the film. Explicit steps of four fifths of what the fastest wave allows.
 *
 * @param massG with its bead; @param seconds to run; @param cellMm grid along the side: halved once more,
 * no length from 15 mm on moves by a hundredth of itself
 */
export function runDrip(
  massG: number,
  setting: DripSetting,
  seconds = 300,
  cellMm = cellFor(massG, setting),
  everyS = 1,
): DripRun {
  const { fluid, fluidC, coatC, widthMm, feedS, sideMm } = setting;
  const rho = fluid.densityGPerMl * 1000;
  const dx = cellMm / 1000;
  const cells = Math.max(4, Math.ceil(sideMm / cellMm));
  const flowG = Math.max(0, massG - setting.beadG);
  // volume to the width, m2
  const volume = flowG / 1000 / rho / (widthMm / 1000);
  const inflow = volume / feedS;
  // laws by the root of s, so that no exponential is taken in the loop
  const stands = new Float64Array(tableSize + 1);
  const mobility = new Float64Array(tableSize + 1);
  for (let i = 0; i <= tableSize; i++) {
    const s = ((i / tableSize) * mostRootS) ** 2;
    const t = filmTempC(fluid, s, fluidC, coatC);
    stands[i] = standsAtMm(fluid, t) / 1000;
    mobility[i] = (rho * gravity) / (3 * fluid.viscosityPaS(t));
  }
  const perRoot = tableSize / mostRootS;
  const d = new Float64Array(cells);
  const sd = new Float64Array(cells); // s times d: it is carried with the film
  const q = new Float64Array(cells);
  const cooling = 2.47 * fluid.alpha;
  const lengthsMm: number[] = [0];
  let pooled = 0;
  let front = 0;
  // cells behind it stand for good: a film that stands only gets stiffer
  let tail = 0;
  let time = 0;
  while (time < seconds - 1e-9) {
    let fastest = 1e-9;
    let most = 0;
    let thinnest = 1;
    const feeding = time < feedS;
    let moving = front + 1;
    for (let i = tail; i <= front; i++) {
      const thick = d[i]!;
      if (thick <= 0) {
        q[i] = 0;
        continue;
      }
      const at = Math.min(tableSize, Math.round(Math.sqrt(sd[i]! / thick) * perRoot));
      const dy = stands[at]!;
      if (thick <= dy) {
        q[i] = 0;
        continue;
      }
      const y = dy / thick;
      const k = mobility[at]!;
      // products, not powers: this line runs a million times
      q[i] = k * thick * thick * thick * (1 - 1.5 * y + 0.5 * y * y * y);
      const wave = 3 * k * thick * thick * (1 - y);
      if (wave > fastest) fastest = wave;
      if (q[i]! > most) most = q[i]!;
      if (dy < thinnest) thinnest = dy;
      if (i < moving) moving = i;
    }
    if (!feeding) {
      // what still creeps would not carry the end another twentieth of a millimetre
      if (most * (seconds - time) < 5e-5 * thinnest) break;
      tail = Math.max(tail, Math.min(moving, front));
    }
    // the film at the rim must have somewhere to go before more is fed
    let dt = Math.min((0.8 * dx) / fastest, 0.5);
    if (feeding) dt = Math.min(dt, feedS - time, feedS / 150);
    const nextTick = (Math.floor(time / everyS + 1e-9) + 1) * everyS;
    dt = Math.min(dt, nextTick - time, seconds - time);
    const last = Math.min(front + 1, cells - 1);
    let carried = feeding ? inflow * dt : 0;
    let carriedS = 0;
    for (let i = tail; i <= last; i++) {
      const out = i <= front ? Math.min(q[i]! * dt, d[i]! * dx) : 0;
      const outS = d[i]! > 0 ? (out * sd[i]!) / d[i]! : 0;
      d[i]! += (carried - out) / dx;
      sd[i]! += (carriedS - outS) / dx;
      // every element cools by its own thickness; the cells at the end fill as the front passes through
      // them, and what is in them is as thick as the film behind, over part of the cell
      const behind = i > last - 2 ? Math.max(i > 0 ? d[i - 1]! : 0, i > 1 ? d[i - 2]! : 0) : 0;
      const thick = Math.max(d[i]!, behind, thinnestM);
      if (d[i]! > 0) sd[i]! += (d[i]! * cooling * dt) / (thick * thick);
      carried = out;
      carriedS = outS;
    }
    if (last === front) pooled += carried;
    else if (d[last]! > 0) front = last;
    time += dt;
    if (time >= nextTick - 1e-9)
      lengthsMm.push(Math.min(sideMm, lengthOf(d, sd, stands, perRoot, cells, cellMm)));
  }
  const restMm = Math.min(sideMm, lengthOf(d, sd, stands, perRoot, cells, cellMm));
  while (lengthsMm.length * everyS <= seconds) lengthsMm.push(restMm);
  const restAt = lengthsMm.findIndex((mm) => mm >= restMm - 0.5);
  const profileMm = Array.from(d, (m) => m * 1000);
  const wet = profileMm.filter((mm) => mm > 0.05);
  return {
    massG,
    lengthsMm,
    everyS,
    restMm,
    restS: Math.max(0, restAt) * everyS,
    meanMm: wet.length > 0 ? wet.reduce((sum, mm) => sum + mm, 0) / wet.length : 0,
    thickMm: Math.max(0, ...profileMm),
    pooledG: pooled * (widthMm / 1000) * rho * 1000,
    profileMm,
    cellMm,
  };
}

/** Where the film ends, mm: its full cells and the share of the last one that is filled. */
function lengthOf(
  d: Float64Array,
  sd: Float64Array,
  stands: Float64Array,
  perRoot: number,
  cells: number,
  cellMm: number,
): number {
  let last = cells - 1;
  while (last >= 0 && d[last]! < 1e-7) last -= 1;
  if (last < 0) return 0;
  const s = sd[last]! / d[last]!;
  const dy = stands[Math.min(stands.length - 1, Math.round(Math.sqrt(s) * perRoot))]!;
  return (last + Math.min(1, d[last]! / dy)) * cellMm;
}

/** Volume on the side and the board over what was fed, 1 when nothing is lost. */
export function keptShare(run: DripRun, setting: DripSetting): number {
  const onSide = run.profileMm.reduce((sum, mm) => sum + mm * run.cellMm, 0);
  const onSideG = (onSide * setting.widthMm * setting.fluid.densityGPerMl) / 1000;
  return (onSideG + run.pooledG) / Math.max(1e-12, run.massG - setting.beadG);
}

/** Length at which a drip rests at a constant temperature, mm: V over w·dy (exact). */
export const restLengthMm = (massG: number, setting: DripSetting, tempC: number): number => {
  const ml = Math.max(0, massG - setting.beadG) / setting.fluid.densityGPerMl;
  return (ml * 1000) / (setting.widthMm * standsAtMm(setting.fluid, tempC));
};
