import { bowlMinutes } from '@pyrgotect/core';

/** Ganache in a bowl, stirred now and then (data appendix, estimates). */
const bowl = { densityGPerMl: 1.15, capacityKJ: 2.4, surfaceW: 12 } as const;

/** A stand-in for a thermometer in a bowl that cools or warms by the lumped model. */
export class StandInProbe {
  private held: { startC: number; aroundC: number; tauMin: number; sinceMs: number } | null = null;
  put(startC: number, aroundC: number, massG: number, nowMs: number): void {
    const tauMin = bowlMinutes(massG, bowl.densityGPerMl, bowl.capacityKJ, bowl.surfaceW);
    this.held = { startC, aroundC, tauMin, sinceMs: nowMs };
  }
  clear(): void {
    this.held = null;
  }
  /** What it shows, C, to a tenth; null where it hangs in no bowl. */
  read(nowMs: number): number | null {
    if (!this.held) return null;
    const { startC, aroundC, tauMin, sinceMs } = this.held;
    const minutes = (nowMs - sinceMs) / 60_000;
    const tempC = aroundC + (startC - aroundC) * Math.exp(-minutes / tauMin);
    return Math.round(10 * (tempC + 0.1 * (Math.random() - 0.5))) / 10;
  }
}
