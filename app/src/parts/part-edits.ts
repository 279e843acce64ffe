import {
  areaMm2,
  fitsInside,
  limits,
  setGapHeight,
  setLayerHeight,
  stretchLayers,
  tierOf,
  type Build,
  type CakePlan,
  type SectionPart,
  type Tier,
} from '@pyrgotect/core';
import { useBuild } from '../stores/build.ts';
import { usePantry } from '../stores/pantry.ts';

export interface PartName {
  tierId: string;
  kind:
    | 'layer'
    | 'gap'
    | 'fondant'
    | 'coat'
    | 'crumb'
    | 'dab'
    | 'centre'
    | 'cut'
    | 'hole'
    | 'cake'
    | 'pour'
    | 'drip'
    | 'flood'
    | 'piping'
    | 'topping'
    | 'card'
    | 'deck'
    | 'dowels'
    | 'tier';
  index: number;
}

/** "tier-1/gap/2" as what it names. Null for the board. */
export function partName(id: string): PartName | null {
  const [tierId, kind, index] = id.split('/');
  if (!tierId || tierId === 'board' || tierId === 'rod') return null;
  return { tierId, kind: (kind ?? 'tier') as PartName['kind'], index: Number(index ?? 0) };
}

/** The band of a coat that a part names, by its place from below; null for a part that names none. */
export const bandOf = (id: string | null): number | null => {
  const [, kind, index] = id?.split('/') ?? [];
  return kind === 'coat' && index !== undefined ? Number(index) : null;
};

/** The part that is chosen where a piece of it is touched: drips and borders are one each. */
export const chosenBy = (id: string): string =>
  id
    .replace(/\/(?:band|coat)\/.*$/, '/coat')
    .replace(/\/(dam-.*|crown|inset-.*|between-.*)$/, '')
    .replace(/\/drip\/.*$/, '/drip')
    .replace(/\/deck\/[^/]+\/dowels.*$/, '/dowels')
    .replace(/\/dowels\/.*$/, '/dowels')
    .replace(/(\/(?:piping|topping)\/\d+)\/.*$/, '$1');

const unchosen: SectionPart['kind'][] = [
  'band',
  'dam',
  'dab',
  'crown',
  'inset',
  'between',
  'hole',
  'card',
  'dowel',
  'post',
  'rod',
];
/** The parts a person can choose, from the board up. */
export const walkable = (plan: CakePlan): string[] =>
  [...plan.section.parts]
    .filter((part) => !unchosen.includes(part.kind))
    .sort((a, b) => a.y0 + a.y1 - (b.y0 + b.y1))
    .map((part) => chosenBy(part.id))
    .filter((id, i, all) => all.indexOf(id) === i);

/** Thickness of a layer or gap, mm; null for parts whose thickness is set elsewhere. */
export function thicknessOfPart(build: Build, id: string): number | null {
  const name = partName(id);
  if (!name) return null;
  const tier = tierOf(build, name.tierId);
  if (name.kind === 'layer') return tier.layers[name.index]?.heightMm ?? null;
  if (name.kind === 'gap') return tier.gaps[name.index]?.heightMm ?? null;
  return null;
}

/** Sets the thickness of a layer or gap, or of all of its kind; one undo step for each run. */
export function setThickness(id: string, heightMm: number, all: boolean): void {
  const name = partName(id);
  if (!name || !Number.isFinite(heightMm)) return;
  const store = useBuild();
  const index = all ? null : name.index;
  const what = all ? (name.kind === 'layer' ? 'All layers' : 'All fillings') : labelOf(id);
  store.edit(
    `${what} thickness`,
    (draft) => {
      const tier = tierOf(draft, name.tierId);
      if (name.kind === 'layer') setLayerHeight(tier, index, heightMm);
      if (name.kind === 'gap') setGapHeight(tier, index, heightMm);
    },
    `thickness/${id}/${all}`,
  );
}

/** The tin for a tier's outline: one of the same size, or the smallest owned one it can be cut from. */
export function fitTinToTier(tier: Tier): void {
  const { tins } = usePantry().pantry;
  const same = tins.find((t) => JSON.stringify(t.outline) === JSON.stringify(tier.outline));
  const larger = tins
    .filter((t) => t.owned > 0 && t.form === 'upright' && fitsInside(tier.outline, t.outline))
    .sort((a, b) => areaMm2(a.outline) - areaMm2(b.outline));
  const tin = same ?? larger[0];
  if (tin) tier.tinId = tin.id;
}

/** Stretches the layers of a tier so that it becomes `heightMm` high. */
export function setTierHeight(tierId: string, heightMm: number, nowMm: number): void {
  useBuild().edit(
    'Height of the cake',
    (draft) => stretchLayers(tierOf(draft, tierId), heightMm - nowMm),
    `height/${tierId}`,
  );
}

export function labelOf(id: string): string {
  if (id === 'rod') return 'Rod';
  const name = partName(id);
  if (!name) return 'Board';
  switch (name.kind) {
    case 'layer':
      return `Layer ${name.index + 1}`;
    case 'gap':
      return `Filling ${name.index + 1}`;
    case 'coat':
      return 'Coat';
    case 'fondant':
      return 'Fondant';
    case 'crumb':
      return 'Crumb coat';
    case 'dab':
      return 'Dab';
    case 'centre':
      return 'Hidden centre';
    case 'cut':
      return 'Cut';
    case 'cake':
      return 'Baked cakes';
    case 'pour':
      return 'Poured coat';
    case 'drip':
      return 'Drips';
    case 'flood':
      return 'Flood on top';
    case 'piping':
      return 'Piping';
    case 'topping':
      return 'Topping';
    case 'card':
      return 'Board under the tier';
    case 'deck':
      return 'Board half-way up';
    case 'dowels':
      return 'Dowels';
    default:
      return 'Tier';
  }
}

/** The sheet a part belongs to. */
const finishKinds: PartName['kind'][] = ['pour', 'drip', 'flood', 'piping', 'topping'];
const supportKinds: PartName['kind'][] = ['card', 'deck', 'dowels'];
export function stageOf(id: string): 'stack' | 'carve' | 'coat' | 'finish' | 'support' {
  const name = partName(id);
  if (id === 'rod' || (name && supportKinds.includes(name.kind))) return 'support';
  if (name?.kind === 'cut') return 'carve';
  if (name && finishKinds.includes(name.kind)) return 'finish';
  return name?.kind === 'coat' || name?.kind === 'crumb' ? 'coat' : 'stack';
}

export const rangeOfPart = (id: string): { min: number; max: number } =>
  partName(id)?.kind === 'layer' ? limits.layerMm : limits.gapMm;
