/** A number from a normal distribution, by Box and Muller. */
const normal = (): number =>
  Math.sqrt(-2 * Math.log(1 - Math.random())) * Math.cos(2 * Math.PI * Math.random());

/** How fast the pan comes to rest, s; how far it trembles and creeps, g. */
const restS = 0.35;
const trembleG = 0.25;
const creepGPerS = 0.004;

/**
 * A stand-in for a kitchen scale: it settles, trembles, creeps a little while something stands on it,
 * and shows whole grams. Its tare key takes away what stands on it.
 */
export class StandInScale {
  private loadG = 0;
  private panG = 0;
  private tareG = 0;
  private crept = 0;
  private lastMs: number;
  constructor(nowMs: number) {
    this.lastMs = nowMs;
  }
  put(g: number): void {
    this.loadG = Math.max(0, this.loadG + g);
    this.crept = 0;
  }
  clear(): void {
    this.loadG = 0;
    this.crept = 0;
  }
  tare(): void {
    this.tareG = this.panG;
  }
  /** What it shows, g. */
  read(nowMs: number): number {
    const s = Math.max(0, nowMs - this.lastMs) / 1000;
    this.lastMs = nowMs;
    this.panG += (this.loadG - this.panG) * (1 - Math.exp(-s / restS));
    if (this.loadG > 0) this.crept = Math.min(0.8, this.crept + creepGPerS * s);
    return Math.round(this.panG + this.crept - this.tareG + trembleG * normal());
  }
}
