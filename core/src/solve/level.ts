import type { RimFit } from '../level/readings.ts';

/** One layer as the level solver sees it. Lengths in mm. */
export interface LevelLayer {
  fit: RimFit;
  /** Half its width across, mm; tilts of layers of different size are compared as slopes. */
  radiusMm: number;
  /** Turned upside down: its tilt is mirrored. */
  flipped: boolean;
}

/** Directions a layer can be turned to: steps of 15 degrees. */
export const turnCount = 24;

export interface LevelResult {
  /** Steps of 15 degrees for each layer, the first stays where it is. */
  turns: number[];
  /** Tilt of the top face: its slope, and its height at the rim of the uppermost layer, mm. */
  slope: number;
  tiltMm: number;
  /** Where the high side of the stack is, radians from 12 o'clock. */
  highAt: number;
}

/** Slopes of a layer along 12 and 3 o'clock; a layer turned upside down has its second one reversed. */
const slopesOf = ({ fit, radiusMm, flipped }: LevelLayer): [re: number, im: number] => [
  fit.a / radiusMm,
  (flipped ? -fit.b : fit.b) / radiusMm,
];

const cosOf = Float64Array.from({ length: turnCount }, (_, s) =>
  Math.cos((2 * Math.PI * s) / turnCount),
);
const sinOf = Float64Array.from({ length: turnCount }, (_, s) =>
  Math.sin((2 * Math.PI * s) / turnCount),
);

/** The tilt that is left when each layer is turned by so many steps. */
export function tiltOf(layers: readonly LevelLayer[], turns: readonly number[]): LevelResult {
  let [re, im] = [0, 0];
  layers.forEach((layer, i) => {
    const [a, b] = slopesOf(layer);
    const s = (((turns[i] ?? 0) % turnCount) + turnCount) % turnCount;
    re += a * cosOf[s]! - b * sinOf[s]!;
    im += a * sinOf[s]! + b * cosOf[s]!;
  });
  const slope = Math.hypot(re, im);
  return {
    turns: [...turns],
    slope,
    tiltMm: slope * (layers.at(-1)?.radiusMm ?? 0),
    highAt: slope < 1e-12 ? 0 : (Math.atan2(im, re) + 2 * Math.PI) % (2 * Math.PI),
  };
}

/** Every sum of a group whose first layer stays; the code of a sum tells the turns, layer by layer. */
function sums(group: readonly LevelLayer[]): { re: Float64Array; im: Float64Array } {
  let re: Float64Array<ArrayBuffer> = Float64Array.of(0);
  let im: Float64Array<ArrayBuffer> = Float64Array.of(0);
  group.forEach((layer, k) => {
    const [a, b] = slopesOf(layer);
    const steps = k === 0 ? 1 : turnCount;
    const nextRe = new Float64Array(re.length * steps);
    const nextIm = new Float64Array(re.length * steps);
    for (let i = 0; i < re.length; i++)
      for (let s = 0; s < steps; s++) {
        nextRe[i * steps + s] = re[i]! + a * cosOf[s]! - b * sinOf[s]!;
        nextIm[i * steps + s] = im[i]! + a * sinOf[s]! + b * cosOf[s]!;
      }
    re = nextRe;
    im = nextIm;
  });
  return { re, im };
}

function turnsOf(code: number, count: number): number[] {
  const turns: number[] = [];
  for (let k = count - 1; k >= 0; k--) {
    const steps = k === 0 ? 1 : turnCount;
    turns.unshift(code % steps);
    code = Math.floor(code / steps);
  }
  return turns;
}

/** Points sorted into a grid, so that the nearest to a place is found by looking round it. */
class Grid {
  private readonly side: number;
  private readonly cell: number;
  private readonly low: number;
  private readonly start: Int32Array;
  private readonly order: Int32Array;
  constructor(
    private readonly re: Float64Array,
    private readonly im: Float64Array,
  ) {
    let most = 1e-12;
    for (let i = 0; i < re.length; i++) most = Math.max(most, Math.abs(re[i]!), Math.abs(im[i]!));
    // the points fill a sector of the square only
    this.side = Math.max(1, Math.min(512, Math.ceil(Math.sqrt(turnCount * re.length))));
    this.low = -most;
    this.cell = (2 * most * 1.000001) / this.side;
    const cells = new Int32Array(re.length);
    const count = new Int32Array(this.side * this.side + 1);
    for (let i = 0; i < re.length; i++) {
      const at = this.index(im[i]!) * this.side + this.index(re[i]!);
      cells[i] = at;
      count[at + 1]!++;
    }
    for (let i = 1; i < count.length; i++) count[i] = count[i]! + count[i - 1]!;
    this.start = count.slice();
    this.order = new Int32Array(re.length);
    for (let i = 0; i < re.length; i++) this.order[count[cells[i]!]!++] = i;
  }
  private index(x: number): number {
    return Math.min(this.side - 1, Math.max(0, Math.floor((x - this.low) / this.cell)));
  }
  /** Index of a point nearer than `within` to the place, the nearest; -1 when there is none. */
  nearest(x: number, y: number, within: number): { i: number; d: number } {
    let found = -1;
    let least = within * within;
    const x0 = this.index(x - within);
    const x1 = this.index(x + within);
    const y0 = this.index(y - within);
    const y1 = this.index(y + within);
    for (let gy = y0; gy <= y1; gy++)
      for (
        let k = this.start[gy * this.side + x0]!;
        k < this.start[gy * this.side + x1 + 1]!;
        k++
      ) {
        const i = this.order[k]!;
        const d = (this.re[i]! - x) ** 2 + (this.im[i]! - y) ** 2;
        if (d < least) {
          least = d;
          found = i;
        }
      }
    return { i: found, d: Math.sqrt(least) };
  }
}

/** A first answer, each layer turned against the sum of those before it: it narrows the search. */
function greedy(layers: readonly LevelLayer[]): number[] {
  const order = layers
    .map((layer, i) => ({ i, length: Math.hypot(...slopesOf(layer)) }))
    .sort((a, b) => b.length - a.length);
  const turns = layers.map(() => 0);
  let [re, im] = [0, 0];
  for (const { i } of order) {
    const [a, b] = slopesOf(layers[i]!);
    let best = { s: 0, d: Infinity, re: 0, im: 0 };
    for (let s = 0; s < turnCount; s++) {
      const x = re + a * cosOf[s]! - b * sinOf[s]!;
      const y = im + a * sinOf[s]! + b * cosOf[s]!;
      const d = Math.hypot(x, y);
      if (d < best.d) best = { s, d, re: x, im: y };
    }
    turns[i] = best.s;
    [re, im] = [best.re, best.im];
  }
  return turns;
}

/** Steps of 15 degrees by which a place is turned back to lie between 0 and 15 degrees. */
const stepsBack = (x: number, y: number): number =>
  Math.floor((Math.atan2(y, x) / (2 * Math.PI)) * turnCount);

const wrap = (steps: number): number => ((steps % turnCount) + turnCount) % turnCount;
const turnedX = (x: number, y: number, steps: number): number =>
  x * cosOf[wrap(steps)]! - y * sinOf[wrap(steps)]!;
const turnedY = (x: number, y: number, steps: number): number =>
  x * sinOf[wrap(steps)]! + y * cosOf[wrap(steps)]!;

/**
 * The sums that a group can make, all turned alike into one sector of 15 degrees: turning the whole
 * group gives all the others.
 */
class Sector {
  readonly back: Int8Array;
  private readonly grid: Grid;
  constructor({ re, im }: { re: Float64Array; im: Float64Array }) {
    this.back = new Int8Array(re.length);
    for (let i = 0; i < re.length; i++) {
      const [x, y] = [re[i]!, im[i]!];
      const steps = stepsBack(x, y);
      this.back[i] = steps;
      re[i] = turnedX(x, y, -steps);
      im[i] = turnedY(x, y, -steps);
    }
    this.grid = new Grid(re, im);
  }
  /** The sum nearest to a place and the steps that its group is turned by; i is -1 when none is near. */
  nearest(x: number, y: number, within: number): { i: number; d: number; steps: number } {
    const own = stepsBack(x, y);
    let best = { i: -1, d: within, steps: 0 };
    // its neighbours reach over the edges of the sector
    for (let steps = own - 1; steps <= own + 1; steps++) {
      const found = this.grid.nearest(turnedX(x, y, -steps), turnedY(x, y, -steps), best.d);
      if (found.i >= 0) best = { ...found, steps: steps - this.back[found.i]! };
    }
    return best;
  }
}

/**
 * The turns, in steps of 15 degrees, that leave the least tilt (docs/model.md#standing-level): the exact optimum
 * of up to 8 layers. The sums of two halves are listed and the pair nearest to cancelling is looked
 * up. The longest tilt is in the half that asks and stays where it is, since turning all alike
 * changes nothing; so a place too far out for the other half is told at once.
 *
 * @throws RangeError for more than 8 layers
 */
export function solveLevel(layers: readonly LevelLayer[]): LevelResult {
  if (layers.length > 8) throw new RangeError('At most 8 layers can be levelled together.');
  const still = layers.map(() => 0);
  if (layers.length < 2) return tiltOf(layers, still);
  const ranked = layers
    .map((layer, i) => ({ i, length: Math.hypot(...slopesOf(layer)) }))
    .sort((a, b) => b.length - a.length);
  const asking = ranked.filter((_, rank) => rank % 2 === 0);
  const asked = ranked.filter((_, rank) => rank % 2 === 1);
  const reach = asked.reduce((sum, { length }) => sum + length, 0);
  const groupOf = (half: typeof ranked): LevelLayer[] => half.map(({ i }) => layers[i]!);
  const above = sums(groupOf(asking));
  const below = new Sector(sums(groupOf(asked)));
  let turns = greedy(layers);
  let least = tiltOf(layers, turns).slope;
  for (let k = 0; k < above.re.length && least > 1e-9; k++) {
    const [x, y] = [-above.re[k]!, -above.im[k]!];
    if (Math.hypot(x, y) - reach >= least) continue;
    const found = below.nearest(x, y, least);
    if (found.i < 0) continue;
    least = found.d;
    turns = [...still];
    turnsOf(k, asking.length).forEach((s, n) => (turns[asking[n]!.i] = s));
    turnsOf(found.i, asked.length).forEach((s, n) => (turns[asked[n]!.i] = s + found.steps));
  }
  const first = turns[0]!;
  return tiltOf(
    layers,
    turns.map((s) => wrap(s - first)),
  );
}

/** The wedge of filling that makes the top level again. */
export interface Wedge {
  /** Half the difference of high and low side, mm. */
  amplitudeMm: number;
  /** Thickest there, as a clock position 0 to 12 seen from above. */
  thickAtHour: number;
  volumeMl: number;
  massG: number;
}

/** What is left of the tilt is filled: area times amplitude, thickest at the low side. */
export function wedgeOf(result: LevelResult, areaMm2: number, densityGPerMl: number): Wedge {
  const volumeMl = (areaMm2 * result.tiltMm) / 1000;
  return {
    amplitudeMm: result.tiltMm,
    thickAtHour: ((result.highAt / (2 * Math.PI)) * 12 + 6) % 12,
    volumeMl,
    massG: volumeMl * densityGPerMl,
  };
}

export interface OrderAdvice {
  /** Layers from the bottom up. */
  order: number[];
  /** The layer with the smoothest face, on top. */
  top: number;
}

/**
 * The order when it is free: the layer with the best surface on top, below it the others, sturdiest
 * and flattest lowest (thicker is sturdier; of equal ones the flatter).
 */
export function orderLayers(layers: readonly LevelLayer[]): OrderAdvice {
  const indices = layers.map((_, i) => i);
  const rough = (i: number): number => layers[i]!.fit.roughMm;
  const top = indices.reduce((a, b) => (rough(b) < rough(a) - 1e-9 ? b : a), 0);
  const rest = indices.filter((i) => i !== top);
  rest.sort((a, b) => {
    const [fa, fb] = [layers[a]!.fit, layers[b]!.fit];
    const thicker = Math.round(fb.meanMm - fa.meanMm);
    return thicker !== 0 ? thicker : fa.tiltMm + fa.roughMm - fb.tiltMm - fb.roughMm;
  });
  return { order: [...rest, top], top };
}

/** What to trim from each layer all round so that all are flush with the smallest, mm. */
export function flushTrim(acrossMm: readonly number[]): number[] {
  const least = Math.min(...acrossMm);
  return acrossMm.map((across) => (across - least) / 2);
}
