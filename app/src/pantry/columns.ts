import { pantryLimits as at, type Kind, type PantryTable, type Range } from '@pyrgotect/core';

/** A number of a pantry row that can be seen and changed. */
export interface Column {
  key: string;
  label: string;
  kind: Kind;
  range: Range;
  nullable?: boolean;
  hint?: string;
}

/** The numbers of each table, in the order they are shown. */
export const columns: Record<PantryTable, Column[]> = {
  sponges: [
    {
      key: 'batterDensityGPerMl',
      label: 'batter density',
      kind: 'density',
      range: at.batterDensityGPerMl,
    },
    {
      key: 'rise',
      label: 'rise',
      kind: 'factor',
      range: at.rise,
      hint: 'baked volume over batter volume',
    },
    {
      key: 'ovenLoss',
      label: 'oven loss',
      kind: 'share',
      range: at.ovenLoss,
      hint: 'share of the batter’s weight',
    },
    {
      key: 'crownOverRadius',
      label: 'crown',
      kind: 'factor',
      range: at.crownOverRadius,
      hint: 'height of the dome over the radius of the tin',
    },
    { key: 'minSliceMm', label: 'thinnest slice', kind: 'thickness', range: at.minSliceMm },
    { key: 'allowableKPa', label: 'strength, kPa', kind: 'factor', range: at.allowableKPa },
  ],
  spreads: [
    { key: 'densityGPerMl', label: 'density', kind: 'density', range: at.densityGPerMl },
    {
      key: 'stress21Pa',
      label: 'stiffness in the room',
      kind: 'pressure',
      range: at.stressPa,
      hint: 'yield stress at 21 °C',
    },
    {
      key: 'stress4Pa',
      label: 'stiffness cold',
      kind: 'pressure',
      range: at.stressPa,
      hint: 'yield stress at 4 °C',
    },
    {
      key: 'mixerShare',
      label: 'fills the mixer to',
      kind: 'share',
      range: at.mixerShare,
      nullable: true,
      hint: 'finished volume over bowl; empty when it is made in a pan',
    },
  ],
  tins: [
    { key: 'depthMm', label: 'depth', kind: 'thickness', range: at.tinDepthMm },
    { key: 'flareMm', label: 'sides lean out by', kind: 'thickness', range: at.flareMm },
    { key: 'owned', label: 'how many', kind: 'count', range: at.owned },
  ],
  boards: [
    { key: 'thicknessMm', label: 'thickness', kind: 'thickness', range: at.boardMm },
    { key: 'massG', label: 'weight', kind: 'bowl', range: at.boardG },
  ],
  recipes: [{ key: 'yieldG', label: 'yields', kind: 'bowl', range: at.yieldG }],
};

export const tableTitles: Record<PantryTable, string> = {
  sponges: 'Sponges',
  spreads: 'Fillings and frostings',
  tins: 'Tins',
  boards: 'Boards',
  recipes: 'Recipes',
};

export const kitchenColumns: Column[] = [
  { key: 'mixerMl', label: 'mixer bowl', kind: 'volume', range: at.mixerMl },
  { key: 'kerfMm', label: 'crumb lost at each cut', kind: 'thickness', range: at.kerfMm },
  { key: 'dabG', label: 'dab under the first layer', kind: 'small', range: at.dabG },
  { key: 'scrapingsShare', label: 'scraped off a crumb coat', kind: 'share', range: at.lossShare },
  { key: 'toolsShare', label: 'stays in bowl and on tools', kind: 'share', range: at.lossShare },
  { key: 'bagResidueG', label: 'stays in a piping bag', kind: 'small', range: at.bagResidueG },
  { key: 'bagG', label: 'a piping bag holds', kind: 'bowl', range: at.bagG },
  {
    key: 'roughnessMm',
    label: 'unevenness of sponge sides',
    kind: 'thickness',
    range: at.roughnessMm,
  },
];

/** A new row of a table, to be filled in; an existing one is the pattern. */
export function freshRow<T extends { id: string; name: string; source: string }>(pattern: T): T {
  const copy = JSON.parse(JSON.stringify(pattern)) as T;
  return { ...copy, id: `own-${crypto.randomUUID().slice(0, 13)}`, name: '', source: 'own' };
}
