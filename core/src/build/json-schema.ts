import { allergens, boardMaterials, keepingClasses, tones } from '../pantry/types.ts';
import { coatStyles } from '../pantry/styles.ts';
import { pantryLimits as p } from '../pantry/schema.ts';
import type { Range } from '../units/field.ts';
import { limits } from './limits.ts';
import { fileFormat } from './read-file.ts';
import { buildVersion, cuttings, levellings, noteKinds, portions } from './types.ts';

type Schema = Record<string, unknown>;

const num = ({ min, max }: Range): Schema => ({ type: 'number', minimum: min, maximum: max });
const int = ({ min, max }: Range): Schema => ({ type: 'integer', minimum: min, maximum: max });
const oneOf = (values: readonly string[]): Schema => ({ enum: [...values] });
const list = (items: Schema, most: number, least = 0): Schema => ({
  type: 'array',
  items,
  minItems: least,
  maxItems: most,
});
const obj = (properties: Record<string, Schema>, optional: string[] = []): Schema => ({
  type: 'object',
  properties,
  required: Object.keys(properties).filter((key) => !optional.includes(key)),
});
const nullable = (schema: Schema): Schema => ({ anyOf: [schema, { type: 'null' }] });
const text = (max: number, min = 0): Schema => ({ type: 'string', minLength: min, maxLength: max });
const name = text(limits.nameLength.max, 1);
const id: Schema = { type: 'string', pattern: '^[A-Za-z0-9_-]{1,64}$' };
const time: Schema = {
  type: 'string',
  pattern: '^\\d{4}-\\d\\d-\\d\\dT\\d\\d:\\d\\d(:\\d\\d(\\.\\d+)?)?(Z|[+-]\\d\\d:\\d\\d)?$',
};
const allergenList = list(oneOf(allergens), allergens.length);

const outline: Schema = {
  oneOf: [
    obj({ kind: { const: 'round' }, diameterMm: num(limits.sideMm) }),
    obj({ kind: { const: 'square' }, sideMm: num(limits.sideMm), cornerMm: num(limits.cornerMm) }),
    obj({
      kind: { const: 'rectangle' },
      widthMm: num(limits.sideMm),
      depthMm: num(limits.sideMm),
      cornerMm: num(limits.cornerMm),
    }),
  ],
};

const brief = obj({
  occasion: text(limits.nameLength.max),
  place: text(limits.nameLength.max),
  servings: int(limits.servings),
  portion: oneOf(portions),
  cutting: oneOf(cuttings),
  halves: { type: 'boolean' },
  look: oneOf(coatStyles),
  serveAt: nullable(time),
  keepOut: allergenList,
  notes: text(limits.noteLength.max),
});

const tier = obj({
  id,
  name,
  outline: { $ref: '#/$defs/outline' },
  spongeId: id,
  tinId: id,
  slicesPerCake: int(limits.slicesPerCake),
  levelling: oneOf(levellings),
  layers: list(obj({ heightMm: num(limits.layerMm) }), limits.layers.max, 1),
  gaps: list(
    obj({ heightMm: num(limits.gapMm), spreadId: id, damMm: num(limits.damMm) }),
    limits.layers.max - 1,
  ),
  inclusion: nullable(
    obj({
      name,
      gPerKg: num(limits.inclusionGPerKg),
      densityGPerMl: num(limits.inclusionDensity),
      allergens: allergenList,
    }),
  ),
  coat: obj({
    style: oneOf(coatStyles),
    spreadId: id,
    crumbMm: nullable(num(limits.coatMm)),
    sideMm: nullable(num(limits.coatMm)),
    topMm: nullable(num(limits.coatMm)),
  }),
  bowl: nullable(obj({ fullG: num(limits.bowlG), emptyG: num(limits.bowlG) })),
});

const bench = obj({
  stepKey: nullable(text(200)),
  done: list(obj({ stepKey: text(200), at: time }), 2000),
  checks: list(text(200), 5000),
  notes: list(
    obj({
      id,
      stepKey: text(200),
      at: time,
      kind: oneOf(noteKinds),
      value: nullable(num({ min: -1e6, max: 1e6 })),
      text: text(limits.noteLength.max),
    }),
    2000,
  ),
  timers: list(
    obj({
      id,
      stepKey: text(200),
      label: text(120),
      startedAt: time,
      minutes: num({ min: 0, max: 20000 }),
      stoppedAt: nullable(time),
    }),
    500,
  ),
});

const common: Record<string, Schema> = {
  id,
  name,
  source: oneOf(['textbook', 'trade custom', 'estimate', 'own']),
  ranges: { type: 'object' },
};

const rows: Record<string, Schema> = {
  sponge: obj({
    ...common,
    batterDensityGPerMl: num(p.batterDensityGPerMl),
    rise: num(p.rise),
    ovenLoss: num(p.ovenLoss),
    crownOverRadius: num(p.crownOverRadius),
    minSliceMm: num(p.minSliceMm),
    allowableKPa: num(p.allowableKPa),
    tone: oneOf(tones),
    recipeId: id,
  }),
  spread: obj({
    ...common,
    densityGPerMl: num(p.densityGPerMl),
    stress21Pa: num(p.stressPa),
    stress4Pa: num(p.stressPa),
    canFill: { type: 'boolean' },
    canCoat: { type: 'boolean' },
    keeping: oneOf(keepingClasses),
    tone: oneOf(tones),
    recipeId: id,
    mixerShare: nullable(num(p.mixerShare)),
  }),
  tin: obj({
    ...common,
    outline: { $ref: '#/$defs/outline' },
    depthMm: num(p.tinDepthMm),
    flareMm: num(p.flareMm),
    owned: int(p.owned),
  }),
  board: obj({
    ...common,
    outline: { $ref: '#/$defs/outline' },
    thicknessMm: num(p.boardMm),
    massG: num(p.boardG),
    material: oneOf(boardMaterials),
  }),
  recipe: obj({
    ...common,
    yieldG: num(p.yieldG),
    ingredients: list(
      obj(
        {
          name,
          massG: num(p.ingredientG),
          pieceG: num({ min: 1, max: 2000 }),
          allergens: allergenList,
        },
        ['pieceG'],
      ),
      60,
      1,
    ),
    steps: list(text(400), 40),
    bake: nullable(
      obj({
        ovenC: num(p.ovenC),
        minutes: num(p.bakeMin),
        tinMm: num({ min: 30, max: 900 }),
        depthMm: num({ min: 10, max: 300 }),
      }),
    ),
    caution: nullable(text(600)),
  }),
};

/**
 * JSON Schema (draft 2020-12) of the build file, from the same limits that the program checks. What
 * it cannot say (one gap fewer than layers, a filling below the height of the cake) the program
 * checks besides.
 */
export function buildFileSchema(): Schema {
  const ref = (row: string): Schema => ({ $ref: `#/$defs/${row}` });
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: 'urn:pyrgotect:build:2',
    title: 'Pyrgotect build file',
    description:
      'One cake as its maker decided it, with the pantry rows it stands on. Lengths in mm, masses in g, densities in g/mL, temperatures in C, times in min.',
    ...obj({
      format: { const: fileFormat },
      version: { const: buildVersion },
      build: obj({
        id,
        name,
        createdAt: time,
        brief,
        tiers: list(tier, limits.tiers.max, 1),
        boardId: id,
        pipingG: num(limits.pipingG),
        reserveShare: num(limits.reserveShare),
        bench,
      }),
      pantry: obj({
        sponges: list(ref('sponge'), 200),
        spreads: list(ref('spread'), 200),
        tins: list(ref('tin'), 200),
        boards: list(ref('board'), 200),
        recipes: list(ref('recipe'), 200),
      }),
    }),
    $defs: { outline, ...rows },
  };
}
