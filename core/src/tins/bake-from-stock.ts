import type { Tier } from '../document/types.ts';
import { areaMm2 } from '../outline/outline.ts';
import type { Sponge, Stock } from '../pantry/types.ts';
import { takenLayers } from '../stock/layers.ts';
import type { BakePlan } from './bake.ts';

/** A tier that is stacked from layers put away: nothing of it is mixed or baked. */
export const bakeFromStock = (tier: Tier, sponge: Sponge, row: Stock): BakePlan => ({
  stock: takenLayers(tier, row),
  cakes: [],
  bakedDensity: ((1 - sponge.ovenLoss) * sponge.batterDensityGPerMl) / sponge.rise,
  layerMm2: areaMm2(tier.outline),
  batterG: 0,
  inclusionG: 0,
  piecesG: [],
  foldedG: 0,
  bakedG: 0,
  offcutsG: 0,
  crumbsG: 0,
  ovenLossG: 0,
  ovenC: 0,
  startC: 0,
  iceG: 0,
  slower: 1,
  bowl: null,
});
