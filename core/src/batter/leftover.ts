import { bakeWindow, type BakeRule, type BakeWindow } from '../heat/bake-time.ts';
import { areaMm2 } from '../outline/outline.ts';
import type { Sponge, Tin } from '../pantry/types.ts';
import {
  capVolumeMl,
  crownMm,
  crownShare,
  fillHeightMm,
  tinOutlineAt,
  tinVolumeMl,
} from '../tins/volume.ts';

/** One place for batter that is over. */
export interface LeftoverUse {
  tin: Tin | null;
  /** Cupcakes, where there is no tin. */
  count: number;
  fillMm: number;
  bakesToMm: number;
  window: BakeWindow | null;
  /** Batter that still finds no place, g. */
  restG: number;
}

/** A crown may stand so far above the rim, as for the cake itself, mm. */
const aboveRimMm = 10;

/** mL of batter that a tin takes without running over: its edge within the rim, its crown not far above it. */
export function mostBatterMl(tin: Tin, sponge: Sponge, recipeDepthMm?: number): number {
  const crownAt = (mm: number): number =>
    crownMm(tinOutlineAt(tin, mm), sponge.crownOverRadius * crownShare(mm, recipeDepthMm));
  let [low, high] = [0, tin.depthMm];
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (middle + crownAt(middle) <= tin.depthMm + aboveRimMm) low = middle;
    else high = middle;
  }
  const edge = high === tin.depthMm && low > tin.depthMm - 1e-6 ? tin.depthMm : low;
  return (
    (tinVolumeMl(tin, edge) + capVolumeMl(tinOutlineAt(tin, edge), crownAt(edge))) / sponge.rise
  );
}
const cupcake = { kind: 'round', diameterMm: 55 } as const;

/**
 * Where batter that is left over can go: spare tins that it fills sensibly (a quarter at least, and no fuller
 * than rise and crown allow),
 * best filled first, and cupcakes. The time of cupcakes is short of customary ones.
 *
 * @param spare tins not in use, each counted once
 */
export function leftoverUses(
  leftG: number,
  sponge: Sponge,
  spare: readonly Tin[],
  rule: BakeRule | null,
  startC: number,
  cupcakeG: number,
): LeftoverUse[] {
  if (leftG < 0.5 * cupcakeG) return [];
  const ml = leftG / sponge.batterDensityGPerMl;
  const ovenC = rule?.ovenC ?? 175;
  const into = spare.flatMap((tin): LeftoverUse[] => {
    const room = mostBatterMl(tin, sponge, rule?.depthMm);
    const inside = Math.min(ml, room);
    const fillMm = fillHeightMm(tin, inside);
    if (fillMm < tin.depthMm / 4) return [];
    const bakesToMm = fillHeightMm(tin, inside * sponge.rise);
    const depthMm = (inside * sponge.rise * 1000) / areaMm2(tin.outline);
    return [
      {
        tin,
        count: 1,
        fillMm,
        bakesToMm,
        window: bakeWindow({ outline: tin.outline, depthMm, ovenC, startC }, rule),
        restG: (ml - inside) * sponge.batterDensityGPerMl,
      },
    ];
  });
  into.sort((a, b) => a.restG - b.restG || a.fillMm - b.fillMm);
  const count = Math.max(1, Math.floor(leftG / cupcakeG + 1e-9));
  const eachMl = (cupcakeG / sponge.batterDensityGPerMl) * sponge.rise;
  const depthMm = (eachMl * 1000) / areaMm2(cupcake);
  return [
    ...into.slice(0, 3),
    {
      tin: null,
      count,
      fillMm: depthMm / sponge.rise,
      bakesToMm: depthMm,
      window: bakeWindow({ outline: cupcake, depthMm, ovenC, startC }, rule),
      restG: Math.max(0, leftG - count * cupcakeG),
    },
  ];
}
