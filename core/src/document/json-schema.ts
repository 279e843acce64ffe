import { diets } from '../pantry/diets.ts';
import { rows } from '../pantry/json-rows.ts';
import { handKinds } from '../hand/kinds.ts';
import { kinds } from '../units/kinds.ts';
import { coatStyles } from '../pantry/styles.ts';
import {
  allergenList,
  id,
  int,
  list,
  name,
  nullable,
  num,
  obj,
  oneOf,
  text,
  time,
  tint,
  type Schema,
} from './json-blocks.ts';
import { carving } from './carve-json.ts';
import { carvingsJson } from './carve-result-json.ts';
import { drip, piped, pour, topping } from './finish-json.ts';
import { limits } from './limits.ts';
import { day } from './day-json.ts';
import { journey, rod, stand } from './support-json.ts';
import { fileFormat } from './read-file.ts';
import {
  batchWays,
  buildVersion,
  cuttings,
  levellings,
  noteKinds,
  portions,
  soakStyles,
} from './types.ts';

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
    obj({ kind: { const: 'oval' }, widthMm: num(limits.sideMm), depthMm: num(limits.sideMm) }),
    obj({ kind: { const: 'hexagon' }, acrossMm: num(limits.sideMm) }),
    obj({ kind: { const: 'heart' }, widthMm: num(limits.sideMm) }),
    obj({
      kind: { const: 'petal' },
      diameterMm: num(limits.sideMm),
      petals: int(limits.petals),
    }),
    obj({
      kind: { const: 'ring' },
      diameterMm: num(limits.sideMm),
      holeMm: num({ min: 5, max: limits.sideMm.max }),
    }),
    obj({
      kind: { const: 'path' },
      name,
      points: list(list(num({ min: -1000, max: 1000 }), 2, 2), 600, 3),
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
  diets: list(oneOf(diets), diets.length),
  kitchenC: nullable(num(limits.roomC)),
  venueC: nullable(num(limits.roomC)),
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
  layers: list(
    obj({
      heightMm: num(limits.layerMm),
      otherId: nullable(id),
      inset: nullable(obj({ heightMm: num(limits.insetMm), marginMm: num(limits.marginMm) })),
      between: nullable(obj({ spreadId: id, heightMm: num(limits.betweenMm) })),
      soak: nullable(oneOf(soakStyles)),
      rimMm: list(nullable(num(limits.rimMm)), 8),
      turnSteps: nullable(int(limits.turnSteps)),
      flipped: { type: 'boolean' },
    }),
    limits.layers.max,
    1,
  ),
  gaps: list(
    obj({
      heightMm: num(limits.gapMm),
      spreadId: id,
      damMm: num(limits.damMm),
      setbackMm: num(limits.setbackMm),
      pieces: nullable(
        obj({
          name,
          foodId: nullable(id),
          how: oneOf(['packed', 'scattered']),
          densityGPerMl: num(limits.inclusionDensity),
          share: num(limits.packing),
          gPerCm2: num(limits.gPerCm2),
          allergens: allergenList,
        }),
      ),
      drizzle: nullable(obj({ spreadId: id, gPerCm2: num(limits.gPerCm2) })),
    }),
    limits.layers.max - 1,
  ),
  inclusion: nullable(
    obj({
      name,
      foodId: nullable(id),
      gPerKg: num(limits.inclusionGPerKg),
      densityGPerMl: num(limits.inclusionDensity),
      allergens: allergenList,
      waterShare: num(limits.waterShare),
      tempC: num(limits.partC),
    }),
  ),
  coat: obj({
    style: oneOf(coatStyles),
    spreadId: id,
    innerSpreadId: nullable(id),
    topSpreadId: nullable(id),
    tint,
    bands: list(obj({ tint, share: num(limits.bandShare) }), limits.bands.max),
    blended: { type: 'boolean' },
    cover: nullable(num(limits.cover)),
    comb: nullable(obj({ peakMm: num(limits.combPeakMm), depthMm: num(limits.combDepthMm) })),
    rimMm: num(limits.rimRadiusMm),
    crumbMm: nullable(num(limits.coatMm)),
    sideMm: nullable(num(limits.coatMm)),
    topMm: nullable(num(limits.coatMm)),
  }),
  fondant: nullable(obj({ mm: num(limits.fondantMm), allowanceMm: num(limits.allowanceMm), tint })),
  pressed: nullable(
    obj({
      name,
      foodId: nullable(id),
      gPerCm2: num(limits.pressedGPerCm2),
      cover: num(limits.cover),
      bandMm: nullable(num(limits.bandMm)),
      onTop: { type: 'boolean' },
      allergens: allergenList,
    }),
  ),
  bowl: nullable(
    obj({
      fullG: num(limits.bowlG),
      emptyG: num(limits.bowlG),
      pouredG: list(nullable(num(limits.bowlG)), limits.layers.max),
    }),
  ),
  soak: oneOf(soakStyles),
  trim: obj({
    bottomMm: num(limits.trimMm),
    sideMm: num(limits.trimMm),
    topMm: num(limits.trimMm),
  }),
  centre: nullable(
    obj({
      outline: { $ref: '#/$defs/outline' },
      fromLayer: int({ min: 0, max: limits.layers.max - 1 }),
      toLayer: int({ min: 0, max: limits.layers.max - 1 }),
      spreadId: id,
      pieces: nullable(
        obj({
          name,
          foodId: nullable(id),
          densityGPerMl: num(limits.inclusionDensity),
          share: num(limits.packing),
          allergens: allergenList,
        }),
      ),
    }),
  ),
  ovenC: nullable(num(limits.ovenC)),
  temps: list(obj({ name, tempC: num(limits.partC) }), 60),
  stackedAt: oneOf(['room', 'cold']),
  restG: num(limits.restG),
  asBaked: list(
    obj({ edgeMm: num(limits.layerMm), acrossMm: nullable(num(limits.sideMm)) }),
    limits.layers.max,
  ),
  drip: nullable(drip),
  stand,
  carving: nullable(carving),
  pour: nullable(pour),
  toppings: list(topping, limits.toppings.max),
  torched: { type: 'boolean' },
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
      planned: nullable(
        obj({
          title: text(200),
          label: text(200),
          what: text(200),
          value: num({ min: -1e6, max: 1e6 }),
          takenG: nullable(num({ min: 0, max: 1e6 })),
          movedBy: num({ min: 0.01, max: 100 }),
          hand: nullable(oneOf(handKinds)),
          show: oneOf(kinds),
        }),
      ),
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
  finished: nullable(
    obj({
      at: time,
      moves: list(
        obj({
          hand: oneOf(handKinds),
          factor: num({ min: 0.01, max: 100 }),
          cv: num({ min: 0, max: 10 }),
          count: int({ min: 0, max: 1e6 }),
        }),
        handKinds.length,
      ),
    }),
  ),
});

/**
 * JSON Schema (draft 2020-12) of the build file, from the same limits that the program checks. What
 * it cannot say (one gap fewer than layers, a filling below the height of the cake) the program
 * checks besides.
 */
export function buildFileSchema(): Schema {
  const ref = (row: string): Schema => ({ $ref: `#/$defs/${row}` });
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: `urn:pyrgotect:build:${buildVersion}`,
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
        boardCoverMm: num(limits.boardCoverMm),
        rod,
        journey,
        day,
        piping: list(
          obj({
            id,
            name,
            spreadId: nullable(id),
            tint,
            massG: num(limits.pipingG),
            pieces: int(limits.pipedPieces),
            lineMm: num(limits.pipedMm),
            piped: nullable(piped),
          }),
          limits.pipingJobs.max,
        ),
        reserveShare: num(limits.reserveShare),
        shortShare: num(limits.shortShare),
        batchBy: oneOf(batchWays),
        apart: list(text(200), 60),
        mixedApart: list(id, 60),
        bench,
      }),
      pantry: obj({
        sponges: list(ref('sponge'), 200),
        spreads: list(ref('spread'), 200),
        tins: list(ref('tin'), 200),
        boards: list(ref('board'), 200),
        others: list(ref('other'), 200),
        recipes: list(ref('recipe'), 200),
        foods: list(ref('food'), 500),
        ganaches: list(ref('ganache'), 200),
        dowels: list(ref('dowel'), 200),
      }),
      carvings: carvingsJson,
    }),
    $defs: { outline, ...rows },
  };
}
