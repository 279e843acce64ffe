import type { Range } from '../units/field.ts';

/** Least and greatest of every figure in a build, in base units. Fields and files obey the same. */
export const limits = {
  servings: { min: 1, max: 1000 },
  tiers: { min: 1, max: 8 },
  layers: { min: 1, max: 12 },
  slicesPerCake: { min: 1, max: 6 },
  layerMm: { min: 3, max: 150 },
  gapMm: { min: 0.5, max: 60 },
  damMm: { min: 0, max: 40 },
  sideMm: { min: 50, max: 900 },
  cornerMm: { min: 0, max: 200 },
  coatMm: { min: 0, max: 30 },
  inclusionGPerKg: { min: 0, max: 1500 },
  inclusionDensity: { min: 0.1, max: 3 },
  bowlG: { min: 0, max: 30000 },
  waterShare: { min: 0, max: 1 },
  partC: { min: -30, max: 60 },
  ovenC: { min: 60, max: 300 },
  setbackMm: { min: 0, max: 60 },
  packing: { min: 0.05, max: 0.9 },
  gPerCm2: { min: 0, max: 3 },
  rimMm: { min: 1, max: 2000 },
  turnSteps: { min: 0, max: 23 },
  trimMm: { min: 0, max: 20 },
  restG: { min: 0, max: 5000 },
  betweenMm: { min: 0.2, max: 20 },
  insetMm: { min: 3, max: 100 },
  marginMm: { min: 3, max: 60 },
  petals: { min: 4, max: 12 },
  coreMm: { min: 20, max: 400 },
  pathPoints: { min: 3, max: 600 },
  pipingG: { min: 0, max: 5000 },
  reserveShare: { min: 0, max: 0.5 },
  nameLength: { min: 1, max: 80 },
  noteLength: { min: 0, max: 2000 },
} as const satisfies Record<string, Range>;

/** Files above this are not read, in characters. */
export const maxFileLength = 5_000_000;
