import type { Tier } from '../document/types.ts';
import { thicknessOf } from '../coat/thickness.ts';
import type { CentrePlan } from '../fill/centre.ts';
import { gapMassG, type GapPlan } from '../fill/gaps.ts';
import { mouldMlBetween, mouldOutlineAt, type MouldShape } from '../mould/mould.ts';
import { areaMm2 } from '../outline/outline.ts';
import type { Tin } from '../pantry/types.ts';
import type { StackPlan } from '../stack/stack.ts';
import type { BakePlan } from '../tins/bake.ts';
import { valueOf, type Staged } from '../working/staged.ts';
import type { Stratum, CarveQuestion, CarveStock, Carving, Cover } from './types.ts';

/** What the stock is read from: a tier's plan before it is carved. */
export interface Stacked {
  stack: StackPlan;
  layersG: number[] | null;
  gaps: Staged<GapPlan[]>;
  centre: CentrePlan | null;
  bake: Staged<BakePlan>;
  dabG: number;
  /** What shaped it; null for what stands straight. */
  mould: MouldShape | null;
}

/** Density where a part's mass could not be computed, g/mL. */
const usualCake = 0.45;

/**
 * The stack of a tier as it stands before the first cut. Each layer and each filling is a band of
 * its own density, which is its planned mass over its volume. The dab goes with the lowest layer.
 */
export function stockOf(tier: Tier, plan: Stacked, tin: Tin | null): CarveStock {
  const area = areaMm2(tier.outline);
  // a core as wide as the cake is refused where it is set
  const centre = tier.centre && areaMm2(tier.centre.outline) < area * 0.95 ? tier.centre : null;
  const core = centre ? areaMm2(centre.outline) : 0;
  const gaps = valueOf(plan.gaps);
  const baked = valueOf(plan.bake)?.bakedDensity ?? usualCake;
  const { layers, gaps: rooms, stackMm, topCrownMm } = plan.stack;
  const isBall = tin?.form === 'ball';
  const shape = isBall ? null : plan.mould;
  const mlBetween = (fromMm: number, toMm: number, cored: boolean): number =>
    (shape ? mouldMlBetween(shape, fromMm, toMm) : (area * (toMm - fromMm)) / 1000) -
    (cored ? (core * (toMm - fromMm)) / 1000 : 0);
  const bands: Stratum[] = [];
  layers.forEach((layer, i) => {
    const isCored = centre !== null && i >= centre.fromLayer && i <= centre.toLayer;
    const from = i === 0 ? 0 : layer.fromMm;
    const to = i === layers.length - 1 ? stackMm : layer.toMm;
    const ml = mlBetween(from, to, isCored);
    const massG = (plan.layersG?.[i] ?? ml * usualCake) + (i === 0 ? plan.dabG : 0);
    // a ball's volume is not that of its outline times its height
    const gPerMl = isBall || ml <= 0 ? baked : massG / ml;
    bands.push({ part: `layer/${i}`, fromMm: from, toMm: to, gPerMl });
    const room = rooms[i];
    if (!room) return;
    const inCore = centre !== null && i >= centre.fromLayer && i < centre.toLayer;
    // a board that lies on it is taken for filling: the knife goes round both
    const toMm = layers[i + 1]!.fromMm;
    const fillMl = mlBetween(room.fromMm, toMm, inCore);
    const gap = gaps?.[i];
    bands.push({
      part: `gap/${i}`,
      fromMm: room.fromMm,
      toMm,
      gPerMl: gap && fillMl > 0 ? gapMassG(gap) / fillMl : 1,
    });
  });
  const coreMl = plan.centre ? (core * plan.centre.heightMm) / 1000 : 0;
  return {
    outline: tier.outline,
    bands: bands.filter((band) => band.toMm > band.fromMm + 1e-6),
    heightMm: stackMm - topCrownMm,
    crownMm: topCrownMm,
    centre:
      centre && plan.centre
        ? {
            outline: centre.outline,
            fromMm: layers[centre.fromLayer]!.fromMm,
            toMm: layers[centre.toLayer]!.toMm,
            gPerMl: plan.centre.fillG / coreMl,
          }
        : null,
    balls: isBall ? ballsOf(tier, plan, tin) : [],
    ...(shape ? { wall: wallOf(shape, stackMm - topCrownMm) } : {}),
  };
}

/** Heights that a wall is built up of: closer together at its ends, where a rounded one is flattest. */
const wallSteps = 24;
const wallOf = (shape: MouldShape, highMm: number): CarveStock['wall'] =>
  Array.from({ length: wallSteps + 1 }, (_, i) => {
    const upMm = (highMm * (1 - Math.cos((Math.PI * i) / wallSteps))) / 2;
    return { upMm, outline: mouldOutlineAt(shape, upMm) };
  });

/** Cakes from a ball's bowl stand dome up; of two, the lower one hangs with its dome down. */
function ballsOf(tier: Tier, plan: Stacked, tin: Tin): CarveStock['balls'] {
  const cakes = valueOf(plan.bake)?.cakes ?? [];
  const radiusMm = Math.sqrt(areaMm2(tin.outline) / Math.PI);
  return cakes.map((cake, k) => ({
    fromMm: k === 0 ? 0 : plan.stack.layers[cake.layers[0]!]!.fromMm,
    toMm: plan.stack.layers[cake.layers.at(-1)!]!.toMm,
    rim: cakes.length > 1 && k === 0 ? ('above' as const) : ('below' as const),
    radiusMm,
  }));
}

/** Thicknesses of what goes over a tier's carved cake. */
export function coverOf(tier: Tier): Cover {
  const { crumbMm, sideMm, topMm } = thicknessOf(tier);
  return { crumbMm, sideMm, topMm, fondantMm: tier.fondant?.mm ?? 0 };
}

/** How far inside the finished shape the knife cuts, mm. */
export const insetOf = (cover: Cover): number => cover.crumbMm + cover.sideMm + cover.fondantMm;

/** What is asked of the solids for a tier; null where nothing carves it. */
export function carveQuestion(tier: Tier, plan: Stacked, tin: Tin | null): CarveQuestion | null {
  if (!isCarved(tier.carving)) return null;
  return {
    tierId: tier.id,
    stock: stockOf(tier, plan, tin),
    cuts: tier.carving.cuts.filter((cut) => cut.on),
    cover: coverOf(tier),
    guidesMm: tier.carving.guidesMm,
  };
}

/** True where at least one cut is switched on. */
export const isCarved = (carving: Carving | null): carving is Carving =>
  carving !== null && carving.cuts.some((cut) => cut.on);

/** Raised whenever the solids answer the same question otherwise: answers kept before are asked again. */
const solidsVersion = 3;

/** Names a question by what is in it, so that its answer can be kept: 53 bits of a mixing hash. */
export function carveKey(question: CarveQuestion): string {
  // a relief is cut into the coat: where it is and what it shows is nothing to the solid
  const cuts = question.cuts.map((cut) =>
    cut.kind === 'relief' ? { kind: cut.kind, id: cut.id, on: cut.on } : cut,
  );
  const text = JSON.stringify({ ...question, cuts, tierId: '', solidsVersion });
  let a = 0xdeadbeef;
  let b = 0x41c6ce57;
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i);
    a = Math.imul(a ^ c, 2654435761);
    b = Math.imul(b ^ c, 1597334677);
  }
  a = Math.imul(a ^ (a >>> 16), 2246822507) ^ Math.imul(b ^ (b >>> 13), 3266489909);
  b = Math.imul(b ^ (b >>> 16), 2246822507) ^ Math.imul(a ^ (a >>> 13), 3266489909);
  return (4294967296 * (2097151 & b) + (a >>> 0)).toString(36);
}
