import {
  freshId,
  describedFigure,
  emptyFood,
  emptyRecipe,
  emptyStock,
  kitchenFields,
  rowFields,
  type Described,
  type Field,
  type Pantry,
  type PantryTable,
} from '@pyrgotect/core';

type AnyRow = Pantry[PantryTable][number];

/** A figure of a pantry row that can be seen and changed. */
export interface Column extends Described {
  /** Shown where there is no value. */
  none?: string;
  /** Changed in the table itself. */
  inTable?: boolean;
  /** Shown in the form alone. */
  onlyForm?: boolean;
  /** For who measures: behind “more”, in the table and in the form. */
  measured?: boolean;
}
type Shown = Omit<Column, keyof Described>;

/** Figures of a table in the order they are shown, as they are described; with them how the table shows them. */
const figuresOf = <T extends PantryTable>(
  table: T,
  shown: { [K in keyof Pantry[T][number] & string]?: Shown },
): Column[] =>
  (Object.keys(shown) as (keyof Pantry[T][number] & string)[]).map((key) => ({
    ...describedFigure(rowFields[table] as Field<Pantry[T][number]>, key),
    ...shown[key],
  }));

export const columns: Record<PantryTable, Column[]> = {
  sponges: figuresOf('sponges', {
    minSliceMm: {},
    waitMin: {},
    batterDensityGPerMl: { measured: true },
    rise: { measured: true },
    ovenLoss: { measured: true },
    crownOverRadius: { measured: true },
    allowableKPa: { measured: true },
    soakMlPerMl: { measured: true },
  }),
  spreads: figuresOf('spreads', {
    densityGPerMl: { measured: true },
    stress21Pa: { measured: true },
    stress4Pa: { measured: true },
    mixerShare: { none: 'by hand', measured: true },
    panShare: { measured: true },
  }),
  tins: figuresOf('tins', { depthMm: {}, flareMm: {}, owned: {}, waterG: {} }),
  others: figuresOf('others', {
    thicknessMm: {},
    packCount: {},
    thawH: {},
    densityGPerMl: { measured: true },
    allowableKPa: { measured: true },
    spreadMm: { measured: true },
    ovenLoss: { measured: true },
  }),
  boards: figuresOf('boards', { thicknessMm: {}, massG: {}, price: {} }),
  recipes: figuresOf('recipes', { yieldG: {} }),
  foods: figuresOf('foods', {
    stockG: { inTable: true },
    packG: { inTable: true },
    price: { inTable: true },
    keepsDays: { none: 'long' },
    cupG: {},
    cupSiftedG: { onlyForm: true },
    cupScoopedG: { onlyForm: true },
    pieceG: { onlyForm: true },
    waterShare: {},
    fatShare: {},
    sugarShare: {},
    saltShare: { onlyForm: true },
    alcoholShare: { onlyForm: true },
    bloom: { onlyForm: true },
  }),
  ganaches: figuresOf('ganaches', { ratio: {}, butterShare: {}, syrupShare: {}, sugarShare: {} }),
  dowels: figuresOf('dowels', {
    outerMm: {},
    wallMm: {},
    lengthMm: {},
    modulusGPa: { onlyForm: true, measured: true },
    strengthMPa: { onlyForm: true, measured: true },
    dampShare: { measured: true },
    packCount: {},
    price: {},
    owned: { inTable: true },
  }),
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

const kitchenFigures = [
  'mixerMl',
  'kerfMm',
  'dabG',
  'scrapingsShare',
  'toolsShare',
  'bagResidueG',
  'bagG',
  'roughnessMm',
  'shelfWideMm',
  'shelfDeepMm',
  'shelves',
  'tinGapMm',
  'turnaroundMin',
  'preheatMin',
  'trays',
  'washMin',
  'roomC',
  'fridgeC',
  'freezerC',
  'rackW',
  'roomW',
  'fridgeW',
  'freezerW',
  'cupcakeG',
  'processorG',
  'panMl',
  'scoopMl',
  'spoonMl',
  'nozzleMm',
  'hourlyRate',
  'pieceSeconds',
  'metreMin',
  'refillMin',
] as const;
export const kitchenColumns: Column[] = kitchenFigures.map((key) =>
  describedFigure(kitchenFields, key),
);

/** The day it is here, "2027-05-03". */
const today = (): string => new Date().toLocaleDateString('sv');

/** A new row of a table, to be filled in; of tins, boards and the like an existing one is the pattern. */
export function freshRow<T extends PantryTable>(
  table: T,
  pattern: Pantry[T][number] | undefined,
  { sponges }: Pick<Pantry, 'sponges'>,
): AnyRow | null {
  const id = freshId('own', 13);
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
