import { boxOf } from '../outline/box.ts';
import { equivalentRadiusMm, type Outline } from '../outline/outline.ts';
import { coldAlpha, spongeCapacity, type Mass } from './cooling.ts';

/** What a cake stands in: air of so many degrees, and how fast its faces and its foot take heat, W/m2K. */
export interface Around {
  tempC: number;
  faceW: number;
  bottomW: number;
}

/** A direction cut into cells: their widths, and the surfaces between them, from the first to the last face. */
interface Axis {
  widthM: Float64Array;
  /** Area of each face, the one before the first cell included; any measure that the volumes share. */
  face: Float64Array;
  volume: Float64Array;
}

/** Cells from a face inward, mm: fine where the air is, coarse within. */
const fromFaceMm = [2, 2, 3, 4, 6, 9, 13];

/** Widths that fill a length from its face inward, m; what is left over is shared by the last two. */
function widthsFrom(lengthMm: number): number[] {
  const widths: number[] = [];
  let left = lengthMm;
  for (let i = 0; left > 1e-9; i++) {
    const next = fromFaceMm[Math.min(i, fromFaceMm.length - 1)]!;
    const wide = left < next * 1.5 ? left : next;
    widths.push(wide);
    left -= wide;
  }
  return widths.map((mm) => mm / 1000);
}

/** Half the narrowest way across, mm, and whether heat leaves it as from a plate and not as from a drum. */
function across(outline: Outline): { halfMm: number; isPlate: boolean } {
  if (outline.kind === 'ring')
    return { halfMm: (outline.diameterMm - outline.holeMm) / 4, isPlate: true };
  if (outline.kind === 'rectangle') {
    const { widthMm, depthMm } = boxOf(outline);
    const narrow = Math.min(widthMm, depthMm);
    // a loaf is a plate on its edge; what is nearly as wide as long is a drum of the same surface
    if (Math.max(widthMm, depthMm) > 2 * narrow) return { halfMm: narrow / 2, isPlate: true };
  }
  return { halfMm: equivalentRadiusMm(outline), isPlate: false };
}

/** From the middle, where nothing passes, to the side. */
function acrossAxis(outline: Outline): Axis {
  const { halfMm, isPlate } = across(outline);
  const widthM = Float64Array.from(widthsFrom(halfMm).reverse());
  const at = new Float64Array(widthM.length + 1);
  widthM.forEach((wide, i) => (at[i + 1] = at[i]! + wide));
  return {
    widthM,
    face: at.map((r) => (isPlate ? 1 : r)),
    volume: widthM.map((wide, i) => (isPlate ? wide : (at[i + 1]! ** 2 - at[i]! ** 2) / 2)),
  };
}

/** From the foot to the top. */
function upAxis(heightMm: number): Axis {
  const upper = widthsFrom(heightMm / 2);
  const widthM = Float64Array.from([...upper, ...[...upper].reverse()]);
  return { widthM, face: new Float64Array(widthM.length + 1).fill(1), volume: widthM };
}

/** A tridiagonal step, its elimination done once: new values from old ones and the air, all in one pass. */
interface Sweep {
  below: Float64Array;
  /** Reciprocals of the eliminated diagonal. */
  pivot: Float64Array;
  above: Float64Array;
  /** What the air gives to the first and the last cell. */
  air: [first: number, last: number];
}

/**
 * One implicit step along an axis.
 * @param h0, h1 surface coefficients at the first and at the last face, W/m2K; 0 lets nothing through
 */
function sweepOf(
  axis: Axis,
  k: number,
  capacity: number,
  h0: number,
  h1: number,
  dt: number,
): Sweep {
  const { widthM, face, volume } = axis;
  const n = widthM.length;
  const between = (i: number): number => (face[i]! * 2 * k) / (widthM[i - 1]! + widthM[i]!);
  const outside = (h: number, i: number): number =>
    h > 0 ? face[i === 0 ? 0 : n]! / (1 / h + widthM[i]! / (2 * k)) : 0;
  const air: Sweep['air'] = [outside(h0, 0), outside(h1, n - 1)];
  const below = new Float64Array(n);
  const above = new Float64Array(n);
  const pivot = new Float64Array(n);
  const scaled: Sweep['air'] = [0, 0];
  for (let i = 0; i < n; i++) {
    const stored = (capacity * volume[i]!) / dt;
    const down = i > 0 ? between(i) : 0;
    const up = i < n - 1 ? between(i + 1) : 0;
    const out = (i === 0 ? air[0] : 0) + (i === n - 1 ? air[1] : 0);
    below[i] = -down / stored;
    above[i] = -up / stored;
    const diagonal = 1 + (down + up + out) / stored;
    pivot[i] = 1 / (diagonal - (i > 0 ? below[i]! * above[i - 1]! * pivot[i - 1]! : 0));
    if (i === 0) scaled[0] = air[0] / stored;
    if (i === n - 1) scaled[1] = air[1] / stored;
  }
  return { below, above, pivot, air: scaled };
}

/** So long is one step of the reckoning, s. */
const stepS = 60;

/**
 * How warm a cake is, place by place, while what it stands in changes (docs/model.md#heat-and-cold): rings
 * and slices of a drum, or of a plate where it is long or has a hole, each step implicit and one
 * direction after the other, so that it bears steps of a minute. Against the series of the other models
 * it is right to half a degree.
 */
export class Warmth {
  private readonly side: Axis;
  private readonly up: Axis;
  private readonly k: number;
  private readonly capacity: number;
  private readonly sweeps = new Map<string, [Sweep, Sweep]>();
  private readonly shells = new Map<number, Float64Array>();
  private readonly cells: Float64Array;

  /** @param startC all through */
  constructor(
    private readonly mass: Mass,
    startC: number,
  ) {
    this.side = acrossAxis(mass.outline);
    this.up = upAxis(mass.heightMm);
    this.capacity = mass.densityGPerMl * 1000 * spongeCapacity * 1000;
    this.k = coldAlpha * this.capacity;
    this.cells = new Float64Array(this.side.widthM.length * this.up.widthM.length).fill(startC);
  }

  /** The same cake once more, to go another way from here. */
  copy(): Warmth {
    const other = new Warmth(this.mass, 0);
    other.cells.set(this.cells);
    return other;
  }

  /** Stands so many minutes in some air. */
  pass(minutes: number, around: Around): void {
    let left = minutes * 60;
    while (left > 1e-6) {
      // one odd step at the end, so that every length is met
      const dt = left < stepS * 1.5 ? left : stepS;
      this.step(around, dt);
      left -= dt;
    }
  }

  /** Something of another temperature is laid on top and side, or on the top alone, so many mm thick. */
  lay(thickMm: number, tempC: number, onSideToo = true): void {
    const laid = (i: number, share: number): void => {
      this.cells[i] = this.cells[i]! * (1 - share) + tempC * share;
    };
    this.overShell(thickMm, laid, onSideToo);
  }

  /** A thermometer says how warm the outer part is: the whole is as much warmer or colder. */
  read(depthMm: number, tempC: number): void {
    const by = tempC - this.shellC(depthMm);
    for (let i = 0; i < this.cells.length; i++) this.cells[i]! += by;
  }

  /** On average over the outer part of top and side, C. */
  shellC(depthMm: number): number {
    let weights = this.shells.get(depthMm);
    if (!weights) {
      const own = new Float64Array(this.cells.length);
      this.overShell(depthMm, (i, share) => (own[i] = this.volumeAt(i) * share));
      this.shells.set(depthMm, (weights = own));
    }
    return this.averageOver(weights);
  }

  /** In the middle, C. */
  get middleC(): number {
    const n = this.up.widthM.length;
    const wide = this.side.widthM.length;
    return (this.cells[(n / 2 - 1) * wide]! + this.cells[(n / 2) * wide]!) / 2;
  }

  /** On average over all of it, C. */
  get meanC(): number {
    return this.averageOver(this.cells.map((_, i) => this.volumeAt(i)));
  }

  private averageOver(weights: Float64Array): number {
    let [sum, volume] = [0, 0];
    for (let i = 0; i < weights.length; i++) {
      sum += weights[i]! * this.cells[i]!;
      volume += weights[i]!;
    }
    return sum / volume;
  }

  /** Minutes in some air until the outer part is as cold as wanted; null when it is not within a day. */
  minutesUntil(depthMm: number, wantedC: number, around: Around): number | null {
    const tried = this.copy();
    for (let minute = 0; minute <= 24 * 60; minute++) {
      if (tried.shellC(depthMm) <= wantedC) return minute;
      tried.step(around, 60);
    }
    return null;
  }

  private volumeAt(i: number): number {
    const wide = this.side.widthM.length;
    return this.side.volume[i % wide]! * this.up.volume[Math.floor(i / wide)]!;
  }

  /** Every cell within a depth of top and side, with how much of it is. */
  private overShell(
    depthMm: number,
    at: (index: number, share: number) => void,
    onSideToo = true,
  ): void {
    const wide = this.side.widthM.length;
    const high = this.up.widthM.length;
    const sides = sharesFrom(this.side.widthM, onSideToo ? depthMm / 1000 : 0);
    const tops = sharesFrom(this.up.widthM, depthMm / 1000);
    for (let j = 0; j < high; j++)
      for (let i = 0; i < wide; i++) {
        const share = 1 - (1 - sides[i]!) * (1 - tops[j]!);
        if (share > 0) at(j * wide + i, share);
      }
  }

  private step(around: Around, dt: number): void {
    const key = `${around.faceW} ${around.bottomW} ${dt}`;
    let sweeps = this.sweeps.get(key);
    if (!sweeps) {
      const { k, capacity } = this;
      sweeps = [
        sweepOf(this.side, k, capacity, 0, around.faceW, dt),
        sweepOf(this.up, k, capacity, around.bottomW, around.faceW, dt),
      ];
      this.sweeps.set(key, sweeps);
    }
    const wide = this.side.widthM.length;
    const high = this.up.widthM.length;
    for (let j = 0; j < high; j++) solve(this.cells, sweeps[0], j * wide, 1, wide, around.tempC);
    for (let i = 0; i < wide; i++) solve(this.cells, sweeps[1], i, wide, high, around.tempC);
  }
}

/** How much of each cell lies within a depth of the last face, 0 to 1. */
function sharesFrom(widthM: Float64Array, depthM: number): number[] {
  const shares = new Array<number>(widthM.length).fill(0);
  let left = depthM;
  for (let i = widthM.length - 1; i >= 0 && left > 0; i--) {
    shares[i] = Math.min(1, left / widthM[i]!);
    left -= widthM[i]!;
  }
  return shares;
}

/** One row or column of cells, changed in place. */
function solve(
  cells: Float64Array,
  { below, above, pivot, air }: Sweep,
  from: number,
  stride: number,
  n: number,
  airC: number,
): void {
  cells[from]! += air[0] * airC;
  cells[from + (n - 1) * stride]! += air[1] * airC;
  let before = 0;
  for (let i = 0, at = from; i < n; i++, at += stride) {
    before = (cells[at]! - below[i]! * before) * pivot[i]!;
    cells[at] = before;
  }
  // the last is solved by then; the others follow from it, downward
  for (let i = n - 2, at = from + i * stride; i >= 0; i--, at -= stride) {
    before = cells[at]! - above[i]! * pivot[i]! * before;
    cells[at] = before;
  }
}
