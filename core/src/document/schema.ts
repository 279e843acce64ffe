import type { ObjectSchema } from 'yup';
import { diets } from '../pantry/diets.ts';
import { coatStyles } from '../pantry/styles.ts';
import { carvingSchema } from './carve-schema.ts';
import { handKinds } from '../hand/kinds.ts';
import { kinds } from '../units/kinds.ts';
import { daySchema } from './day-schema.ts';
import { journeySchema, rodSchema, standingSchema } from './support-schema.ts';
import { finishSchemas } from './finish-schema.ts';
import { limits } from './limits.ts';
import {
  allergenList,
  figure,
  flag,
  id,
  isoTime,
  list,
  name,
  oneOf,
  orNull,
  outlineSchema,
  record,
  tint,
  wholeFigure,
  words,
} from './schema-blocks.ts';
import {
  batchWays,
  cuttings,
  levellings,
  noteKinds,
  portions,
  soakStyles,
  type AsBaked,
  type Band,
  type Bench,
  type Brief,
  type Build,
  type Centre,
  type Coat,
  type Comb,
  type Fondant,
  type Finished,
  type Gap,
  type Inclusion,
  type Layer,
  type PartTemp,
  type LoosePieces,
  type Pieces,
  type Planned,
  type PipingJob,
  type Pressed,
  type Tier,
  type WeighedBowl,
} from './types.ts';

const briefSchema = record<Brief>({
  occasion: words(limits.nameLength.max),
  place: words(limits.nameLength.max),
  servings: wholeFigure(limits.servings),
  portion: oneOf(portions),
  cutting: oneOf(cuttings),
  halves: flag(),
  look: oneOf(coatStyles),
  serveAt: orNull(isoTime() as never),
  keepOut: allergenList(),
  diets: list(oneOf(diets), diets.length),
  kitchenC: orNull(figure(limits.roomC) as never),
  venueC: orNull(figure(limits.roomC) as never),
  notes: words(limits.noteLength.max),
});

/** The tests of a whole tier run beside those of its fields, which tell what is missing. */
const whole = (tier: Partial<Tier> | undefined): boolean =>
  [tier?.layers, tier?.gaps].every(
    (list) =>
      Array.isArray(list) &&
      list.every((part: unknown) => typeof part === 'object' && part !== null),
  );

const tierSchema = record<Tier>({
  id: id(),
  name: name(),
  outline: outlineSchema,
  spongeId: id(),
  tinId: id(),
  slicesPerCake: wholeFigure(limits.slicesPerCake),
  levelling: oneOf(levellings),
  layers: list(
    record<Layer>({
      heightMm: figure(limits.layerMm),
      otherId: orNull(id() as never),
      inset: orNull(
        record<NonNullable<Layer['inset']>>({
          heightMm: figure(limits.insetMm),
          marginMm: figure(limits.marginMm),
        }) as never,
      ),
      between: orNull(
        record<NonNullable<Layer['between']>>({
          spreadId: id(),
          heightMm: figure(limits.betweenMm),
        }) as never,
      ),
      soak: orNull(oneOf(soakStyles) as never),
      rimMm: list(orNull(figure(limits.rimMm) as never), 8).test(
        'four or eight',
        'needs 4 or 8 readings, or none',
        (rim) => !Array.isArray(rim) || [0, 4, 8].includes(rim.length),
      ),
      turnSteps: orNull(wholeFigure(limits.turnSteps) as never),
      flipped: flag(),
    }) as never,
    limits.layers.max,
  ),
  gaps: list(
    record<Gap>({
      heightMm: figure(limits.gapMm),
      spreadId: id(),
      damMm: figure(limits.damMm),
      setbackMm: figure(limits.setbackMm),
      pieces: orNull(
        record<Pieces>({
          name: name(),
          foodId: orNull(id() as never),
          how: oneOf(['packed', 'scattered']),
          densityGPerMl: figure(limits.inclusionDensity),
          share: figure(limits.packing),
          gPerCm2: figure(limits.gPerCm2),
          allergens: allergenList(),
        }) as never,
      ),
      drizzle: orNull(
        record<NonNullable<Gap['drizzle']>>({
          spreadId: id(),
          gPerCm2: figure(limits.gPerCm2),
        }) as never,
      ),
    }) as never,
    limits.layers.max - 1,
  ),
  inclusion: orNull(
    record<Inclusion>({
      name: name(),
      foodId: orNull(id() as never),
      gPerKg: figure(limits.inclusionGPerKg),
      densityGPerMl: figure(limits.inclusionDensity),
      allergens: allergenList(),
      waterShare: figure(limits.waterShare),
      tempC: figure(limits.partC),
    }) as never,
  ),
  coat: record<Coat>({
    style: oneOf(coatStyles),
    spreadId: id(),
    innerSpreadId: orNull(id() as never),
    topSpreadId: orNull(id() as never),
    tint: tint(),
    bands: list(
      record<Band>({ tint: tint(), share: figure(limits.bandShare) }) as never,
      limits.bands.max,
    ),
    blended: flag(),
    cover: orNull(figure(limits.cover) as never),
    comb: orNull(
      record<Comb>({
        peakMm: figure(limits.combPeakMm),
        depthMm: figure(limits.combDepthMm),
      }).test(
        'depth',
        'is combed deeper than it is thick',
        (comb) => !(Number(comb.depthMm) > Number(comb.peakMm)),
      ) as never,
    ),
    rimMm: figure(limits.rimRadiusMm),
    crumbMm: orNull(figure(limits.coatMm) as never),
    sideMm: orNull(figure(limits.coatMm) as never),
    topMm: orNull(figure(limits.coatMm) as never),
  }),
  fondant: orNull(
    record<Fondant>({
      mm: figure(limits.fondantMm),
      allowanceMm: figure(limits.allowanceMm),
      tint: tint(),
    }) as never,
  ),
  pressed: orNull(
    record<Pressed>({
      name: name(),
      foodId: orNull(id() as never),
      gPerCm2: figure(limits.pressedGPerCm2),
      cover: figure(limits.cover),
      bandMm: orNull(figure(limits.bandMm) as never),
      onTop: flag(),
      allergens: allergenList(),
    }) as never,
  ),
  bowl: orNull(
    record<WeighedBowl>({
      fullG: figure(limits.bowlG),
      emptyG: figure(limits.bowlG),
      pouredG: list(orNull(figure(limits.bowlG) as never), limits.layers.max),
    }) as never,
  ),
  soak: oneOf(soakStyles),
  trim: record<Tier['trim']>({
    bottomMm: figure(limits.trimMm),
    sideMm: figure(limits.trimMm),
    topMm: figure(limits.trimMm),
  }),
  centre: orNull(
    record<Centre>({
      outline: outlineSchema,
      fromLayer: wholeFigure({ min: 0, max: limits.layers.max - 1 }),
      toLayer: wholeFigure({ min: 0, max: limits.layers.max - 1 }),
      spreadId: id(),
      pieces: orNull(
        record<LoosePieces>({
          name: name(),
          foodId: orNull(id() as never),
          densityGPerMl: figure(limits.inclusionDensity),
          share: figure(limits.packing),
          allergens: allergenList(),
        }) as never,
      ),
    }) as never,
  ),
  ovenC: orNull(figure(limits.ovenC) as never),
  temps: list(record<PartTemp>({ name: name(), tempC: figure(limits.partC) }) as never, 60),
  stackedAt: oneOf(['room', 'cold']),
  restG: figure(limits.restG),
  asBaked: list(
    record<AsBaked>({
      edgeMm: figure(limits.layerMm),
      acrossMm: orNull(figure(limits.sideMm) as never),
    }) as never,
    limits.layers.max,
  ),
  drip: orNull(finishSchemas.drip as never),
  pour: orNull(finishSchemas.pour as never),
  toppings: list(finishSchemas.topping as never, limits.toppings.max),
  carving: orNull(carvingSchema as never),
  stand: standingSchema,
  torched: flag(),
})
  .test(
    'core inside',
    'has a hidden centre that is not inside its layers',
    ({ centre, layers }) =>
      !centre ||
      !Array.isArray(layers) ||
      (centre.fromLayer <= centre.toLayer && centre.toLayer < layers.length),
  )
  .test(
    'decks inside',
    'has a board between layers that are not there, or two in one place',
    ({ stand, layers }) => {
      if (!Array.isArray(stand?.decks) || !Array.isArray(layers)) return true;
      const after = stand.decks.map((deck) => Number(deck?.afterLayer));
      return after.every((at, i) => at < layers.length - 1 && (i === 0 || at > after[i - 1]!));
    },
  )
  .test('some layers', 'has no layers', (tier) => !whole(tier) || tier.layers.length > 0)
  .test(
    'gaps',
    'needs one gap fewer than layers',
    (tier) => !whole(tier) || tier.gaps.length === tier.layers.length - 1,
  )
  .test('gap below cake', 'has a filling thicker than the whole cake', (tier) => {
    if (!whole(tier)) return true;
    const cakeMm = tier.layers.reduce((sum, layer) => sum + layer.heightMm, 0);
    return tier.gaps.every((gap) => gap.heightMm <= cakeMm);
  });

const benchSchema = record<Bench>({
  stepKey: orNull(words(200) as never),
  done: list(record<Bench['done'][number]>({ stepKey: words(200), at: isoTime() }) as never, 2000),
  checks: list(words(200) as never, 5000),
  notes: list(
    record<Bench['notes'][number]>({
      id: id(),
      stepKey: words(200),
      at: isoTime(),
      kind: oneOf(noteKinds),
      value: orNull(figure({ min: -1e6, max: 1e6 }) as never),
      text: words(limits.noteLength.max),
      planned: orNull(
        record<Planned>({
          title: words(200),
          label: words(200),
          what: words(200),
          value: figure({ min: -1e6, max: 1e6 }),
          takenG: orNull(figure({ min: 0, max: 1e6 }) as never),
          movedBy: figure({ min: 0.01, max: 100 }),
          hand: orNull(oneOf(handKinds) as never),
          show: oneOf(kinds),
        }) as never,
      ),
    }) as never,
    2000,
  ),
  timers: list(
    record<Bench['timers'][number]>({
      id: id(),
      stepKey: words(200),
      label: words(120),
      startedAt: isoTime(),
      minutes: figure({ min: 0, max: 20000 }),
      stoppedAt: orNull(isoTime() as never),
    }) as never,
    500,
  ),
  finished: orNull(
    record<Finished>({
      at: isoTime(),
      moves: list(
        record<Finished['moves'][number]>({
          hand: oneOf(handKinds),
          factor: figure({ min: 0.01, max: 100 }),
          cv: figure({ min: 0, max: 10 }),
          count: wholeFigure({ min: 0, max: 1e6 }),
        }) as never,
        handKinds.length,
      ),
    }) as never,
  ),
});

/** A whole build, strict about what it knows and silent about fields it does not know. */
export const buildSchema: ObjectSchema<Build> = record<Build>({
  id: id(),
  name: name(),
  createdAt: isoTime(),
  brief: briefSchema,
  tiers: list(tierSchema as never, limits.tiers.max),
  boardId: id(),
  boardCoverMm: figure(limits.boardCoverMm),
  rod: orNull(rodSchema as never),
  journey: journeySchema,
  day: daySchema,
  piping: list(
    record<PipingJob>({
      id: id(),
      name: name(),
      spreadId: orNull(id() as never),
      tint: tint(),
      massG: figure(limits.pipingG),
      pieces: wholeFigure(limits.pipedPieces),
      lineMm: figure(limits.pipedMm),
      piped: orNull(finishSchemas.piped as never),
    }) as never,
    limits.pipingJobs.max,
  ),
  reserveShare: figure(limits.reserveShare),
  shortShare: figure(limits.shortShare),
  batchBy: oneOf(batchWays),
  apart: list(words(200) as never, 60),
  mixedApart: list(id() as never, 60),
  bench: benchSchema,
})
  .test(
    'some tiers',
    'has no tiers',
    (build) => !Array.isArray(build.tiers) || build.tiers.length > 0,
  )
  .test('tier ids', 'has two tiers with the same id', (build) => {
    if (!Array.isArray(build.tiers)) return true;
    const ids = build.tiers.map((tier) => tier?.id);
    return new Set(ids).size === ids.length;
  });
