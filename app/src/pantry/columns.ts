import {
  emptyFood,
  emptyRecipe,
  emptyStock,
  pantryLimits as at,
  type Kind,
  type Pantry,
  type PantryTable,
  type Range,
} from '@pyrgotect/core';

type AnyRow = Pantry[PantryTable][number];

/** A number of a pantry row that can be seen and changed. */
export interface Column {
  key: string;
  label: string;
  kind: Kind;
  range: Range;
  nullable?: boolean;
  /** Shown where there is no value. */
  none?: string;
  hint?: string;
  /** Changed in the table itself. */
  inTable?: boolean;
  /** Shown in the form alone. */
  onlyForm?: boolean;
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
    {
      key: 'waitMin',
      label: 'batter may stand',
      kind: 'minutes',
      range: at.waitMin,
      hint: 'before it goes into the oven',
    },
    {
      key: 'soakMlPerMl',
      label: 'holds syrup',
      kind: 'share',
      range: at.soakMlPerMl,
      hint: 'of its own volume',
    },
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
      none: 'by hand',
      hint: 'finished volume over bowl; empty when it is made in a pan',
    },
    {
      key: 'panShare',
      label: 'fills the pan to',
      kind: 'share',
      range: at.mixerShare,
      nullable: true,
      hint: 'of what is cooked; caramel foams and wants room',
    },
  ],
  tins: [
    { key: 'depthMm', label: 'depth', kind: 'thickness', range: at.tinDepthMm },
    { key: 'flareMm', label: 'sides lean out by', kind: 'thickness', range: at.flareMm },
    { key: 'owned', label: 'how many', kind: 'count', range: at.owned },
    {
      key: 'waterG',
      label: 'water it holds',
      kind: 'bowl',
      range: at.waterG,
      nullable: true,
      hint: 'weighed, to the brim; empty when its measures are enough',
    },
  ],
  others: [
    { key: 'thicknessMm', label: 'thickness', kind: 'fine', range: at.otherMm },
    { key: 'densityGPerMl', label: 'density', kind: 'density', range: at.densityGPerMl },
    { key: 'allowableKPa', label: 'strength, kPa', kind: 'factor', range: at.allowableKPa },
    {
      key: 'spreadMm',
      label: 'spreads in the oven by',
      kind: 'thickness',
      range: at.spreadMm,
      hint: 'beyond the traced circle, all round',
    },
    {
      key: 'ovenLoss',
      label: 'oven loss',
      kind: 'share',
      range: at.otherLoss,
      hint: 'share of its batter’s weight',
    },
    {
      key: 'packCount',
      label: 'pieces to a pack',
      kind: 'count',
      range: at.packCount,
      nullable: true,
      hint: 'of bought ones',
    },
    { key: 'thawH', label: 'hours to thaw', kind: 'count', range: at.thawH, nullable: true },
  ],
  boards: [
    { key: 'thicknessMm', label: 'thickness', kind: 'thickness', range: at.boardMm },
    { key: 'massG', label: 'weight', kind: 'bowl', range: at.boardG },
    { key: 'price', label: 'price', kind: 'money', range: at.price, nullable: true },
  ],
  recipes: [{ key: 'yieldG', label: 'yields', kind: 'bowl', range: at.yieldG }],
  foods: [
    { key: 'stockG', label: 'in stock', kind: 'small', range: at.stockG, inTable: true },
    {
      key: 'packG',
      label: 'a pack holds',
      kind: 'small',
      range: at.packG,
      nullable: true,
      inTable: true,
    },
    {
      key: 'price',
      label: 'a pack costs',
      kind: 'money',
      range: at.price,
      nullable: true,
      inTable: true,
    },
    {
      key: 'keepsDays',
      label: 'keeps, days',
      kind: 'count',
      range: at.keepsDays,
      nullable: true,
      none: 'long',
      hint: 'once bought; empty when it outlasts any cake',
    },
    {
      key: 'cupG',
      label: 'a cup weighs',
      kind: 'small',
      range: at.cupG,
      nullable: true,
      hint: 'of 237 mL, spooned and levelled',
    },
    {
      key: 'cupSiftedG',
      label: 'sifted',
      kind: 'small',
      range: at.cupG,
      nullable: true,
      onlyForm: true,
      hint: 'a cup of it sifted first',
    },
    {
      key: 'cupScoopedG',
      label: 'scooped',
      kind: 'small',
      range: at.cupG,
      nullable: true,
      onlyForm: true,
      hint: 'a cup dipped into it',
    },
    {
      key: 'pieceG',
      label: 'one weighs',
      kind: 'small',
      range: at.pieceG,
      nullable: true,
      onlyForm: true,
    },
    { key: 'waterShare', label: 'water', kind: 'share', range: at.partShare },
    { key: 'fatShare', label: 'fat', kind: 'share', range: at.partShare },
    { key: 'sugarShare', label: 'sugar', kind: 'share', range: at.partShare },
    { key: 'saltShare', label: 'salt', kind: 'share', range: at.partShare, onlyForm: true },
  ],
  ganaches: [
    {
      key: 'ratio',
      label: 'chocolate to one of cream',
      kind: 'factor',
      range: at.ganacheRatio,
      hint: 'by weight; nothing for what holds no cream',
    },
    {
      key: 'butterShare',
      label: 'butter',
      kind: 'share',
      range: at.partShare,
      hint: 'of the chocolate’s weight',
    },
    {
      key: 'syrupShare',
      label: 'syrup',
      kind: 'share',
      range: at.partShare,
      hint: 'of the chocolate’s weight',
    },
    {
      key: 'sugarShare',
      label: 'sugar',
      kind: 'share',
      range: at.partShare,
      hint: 'dry, of the chocolate’s weight',
    },
  ],
  dowels: [
    { key: 'outerMm', label: 'across', kind: 'fine', range: at.dowelMm },
    {
      key: 'wallMm',
      label: 'wall',
      kind: 'fine',
      range: at.wallMm,
      nullable: true,
      hint: 'of a tube; empty for a solid one',
    },
    { key: 'lengthMm', label: 'long', kind: 'span', range: at.stickMm, hint: 'as bought' },
    {
      key: 'modulusGPa',
      label: 'stiffness, GPa',
      kind: 'factor',
      range: at.modulusGPa,
      onlyForm: true,
    },
    {
      key: 'strengthMPa',
      label: 'crushes at, MPa',
      kind: 'factor',
      range: at.strengthMPa,
      onlyForm: true,
    },
    {
      key: 'dampShare',
      label: 'left when damp',
      kind: 'share',
      range: at.dampShare,
      hint: 'of its strength, after a day in the cake',
    },
    { key: 'packCount', label: 'in a pack', kind: 'count', range: at.packCount },
    { key: 'price', label: 'a pack costs', kind: 'money', range: at.price, nullable: true },
    { key: 'owned', label: 'owned', kind: 'count', range: at.sticks, inTable: true },
  ],
  // layers and grams in one: said in words, by StockFields
  stock: [],
};

export const tableTitles: Record<PantryTable, string> = {
  sponges: 'Sponges',
  spreads: 'Fillings and frostings',
  tins: 'Tins',
  boards: 'Boards',
  others: 'Other layers',
  recipes: 'Recipes',
  foods: 'Ingredients',
  ganaches: 'Ganaches and drips',
  dowels: 'Rods and straws',
  stock: 'Put away',
};

/** One row of each table. */
export const rowNouns: Record<PantryTable, string> = {
  sponges: 'sponge',
  spreads: 'filling or frosting',
  tins: 'tin',
  boards: 'board',
  others: 'layer of another kind',
  recipes: 'recipe',
  foods: 'ingredient',
  ganaches: 'ganache or drip',
  dowels: 'rod or straw',
  stock: 'thing put away',
};

export const kitchenColumns: Column[] = [
  { key: 'mixerMl', label: 'mixer bowl', kind: 'volume', range: at.mixerMl },
  { key: 'kerfMm', label: 'crumb lost at each cut', kind: 'fine', range: at.kerfMm },
  { key: 'dabG', label: 'dab under the first layer', kind: 'small', range: at.dabG },
  { key: 'scrapingsShare', label: 'scraped off a crumb coat', kind: 'share', range: at.lossShare },
  { key: 'toolsShare', label: 'stays in bowl and on tools', kind: 'share', range: at.lossShare },
  { key: 'bagResidueG', label: 'stays in a piping bag', kind: 'small', range: at.bagResidueG },
  { key: 'bagG', label: 'a piping bag holds', kind: 'bowl', range: at.bagG },
  {
    key: 'roughnessMm',
    label: 'unevenness of sponge sides',
    kind: 'fine',
    range: at.roughnessMm,
  },
  { key: 'shelfWideMm', label: 'oven shelf, wide', kind: 'span', range: at.shelfMm },
  { key: 'shelfDeepMm', label: 'oven shelf, deep', kind: 'span', range: at.shelfMm },
  {
    key: 'shelves',
    label: 'shelves at once',
    kind: 'count',
    range: at.shelves,
    hint: 'more than one only with a fan',
  },
  { key: 'tinGapMm', label: 'room between tins', kind: 'thickness', range: at.tinGapMm },
  { key: 'turnaroundMin', label: 'between loads', kind: 'minutes', range: at.turnaroundMin },
  { key: 'preheatMin', label: 'until the oven is hot', kind: 'minutes', range: at.preheatMin },
  { key: 'trays', label: 'baking trays', kind: 'count', range: at.trays },
  {
    key: 'washMin',
    label: 'washing bowl and whisk',
    kind: 'minutes',
    range: at.washMin,
    hint: 'before the mixer makes something else',
  },
  { key: 'roomC', label: 'the room', kind: 'temperature', range: at.roomC },
  { key: 'fridgeC', label: 'the fridge', kind: 'temperature', range: at.fridgeC },
  { key: 'freezerC', label: 'the freezer', kind: 'temperature', range: at.freezerC },
  { key: 'rackW', label: 'cooling on a rack, W/m²K', kind: 'factor', range: at.surfaceW },
  { key: 'roomW', label: 'a still room, W/m²K', kind: 'factor', range: at.surfaceW },
  {
    key: 'fridgeW',
    label: 'the fridge, W/m²K',
    kind: 'factor',
    range: at.surfaceW,
    hint: 'still 7, with a fan 12',
  },
  {
    key: 'freezerW',
    label: 'the freezer, W/m²K',
    kind: 'factor',
    range: at.surfaceW,
    hint: 'household 11, with a fan 25',
  },
  { key: 'cupcakeG', label: 'batter in a cupcake case', kind: 'small', range: at.cupcakeG },
  {
    key: 'processorG',
    label: 'nuts ground at once',
    kind: 'small',
    range: at.processorG,
    hint: 'more turn to paste',
  },
  { key: 'panMl', label: 'pan for cooked fillings', kind: 'volume', range: at.panMl },
  { key: 'scoopMl', label: 'your scoop', kind: 'volume', range: at.scoopMl },
  { key: 'spoonMl', label: 'your heaped spoon', kind: 'volume', range: at.scoopMl },
  { key: 'nozzleMm', label: 'round nozzle for filling', kind: 'thickness', range: at.nozzleMm },
  { key: 'hourlyRate', label: 'an hour of work', kind: 'money', range: at.hourlyRate },
  {
    key: 'pieceSeconds',
    label: 'seconds to a piped piece',
    kind: 'factor',
    range: at.pieceSeconds,
  },
  { key: 'metreMin', label: 'to a piped metre', kind: 'minutes', range: at.metreMin },
  { key: 'refillMin', label: 'to a fresh piping bag', kind: 'minutes', range: at.refillMin },
];

/** The day it is here, "2027-05-03". */
const today = (): string => new Date().toLocaleDateString('sv');

/** A new row of a table, to be filled in; of tins, boards and the like an existing one is the pattern. */
export function freshRow<T extends PantryTable>(
  table: T,
  pattern: Pantry[T][number] | undefined,
  { sponges }: Pick<Pantry, 'sponges'>,
): AnyRow | null {
  const id = `own-${crypto.randomUUID().slice(0, 13)}`;
  if (table === 'foods') return emptyFood(id);
  if (table === 'recipes') return emptyRecipe(id);
  if (table === 'stock') return emptyStock(id, today(), sponges[0]?.id ?? '');
  if (!pattern) return null;
  const copy = JSON.parse(JSON.stringify(pattern)) as AnyRow;
  const row = { ...copy, id, name: '', source: 'own' as const };
  // what it is made of is nobody else's recipe, and what it holds nobody has said
  if ('recipeId' in row) row.recipeId = table === 'others' ? null : '';
  return 'form' in row && 'allergens' in row ? { ...row, allergens: [] } : row;
}
