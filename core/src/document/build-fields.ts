import { diets } from '../pantry/diets.ts';
import { coatStyles } from '../pantry/styles.ts';
import { carving } from './carve-fields.ts';
import { handKinds } from '../hand/kinds.ts';
import { kinds } from '../units/kinds.ts';
import { daySettings } from './day-fields.ts';
import { journey, rod, standing } from './support-fields.ts';
import { drip, piped, pour, topping } from './finish-fields.ts';
import { limits } from './limits.ts';
import { allergenList, name, outline, tint } from './common-fields.ts';
import {
  figure,
  flag,
  id,
  isoTime,
  list,
  oneOf,
  orNull,
  record,
  wholeFigure,
  words,
} from '../fields/field.ts';
import {
  batchWays,
  cuttings,
  levellings,
  noteKinds,
  portions,
  soakStyles,
  surfaceWays,
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
  type Surface,
  type Tier,
  type WeighedBowl,
} from './types.ts';

const brief = record<Brief>({
  occasion: words(limits.nameLength.max),
  place: words(limits.nameLength.max),
  servings: wholeFigure(limits.servings),
  portion: oneOf(portions),
  cutting: oneOf(cuttings),
  halves: flag(),
  look: oneOf(coatStyles),
  serveAt: orNull(isoTime()),
  keepOut: allergenList(),
  diets: list(oneOf(diets), diets.length),
  kitchenC: orNull(figure(limits.roomC)),
  venueC: orNull(figure(limits.roomC)),
  notes: words(limits.noteLength.max),
});

/** The tests of a whole tier run beside those of its fields, which tell what is missing. */
const whole = (tier: Partial<Tier> | undefined): boolean =>
  [tier?.layers, tier?.gaps].every(
    (list) =>
      Array.isArray(list) &&
      list.every((part: unknown) => typeof part === 'object' && part !== null),
  );

const tier = record<Tier>({
  id: id(),
  name: name(),
  outline: outline,
  spongeId: id(),
  tinId: id(),
  slicesPerCake: wholeFigure(limits.slicesPerCake),
  levelling: oneOf(levellings),
  layers: list(
    record<Layer>({
      id: id(),
      heightMm: figure(limits.layerMm),
      otherId: orNull(id()),
      inset: orNull(
        record<NonNullable<Layer['inset']>>({
          heightMm: figure(limits.insetMm),
          marginMm: figure(limits.marginMm),
        }),
      ),
      between: orNull(
        record<NonNullable<Layer['between']>>({
          spreadId: id(),
          heightMm: figure(limits.betweenMm),
        }),
      ),
      soak: orNull(oneOf(soakStyles)),
      rimMm: list(orNull(figure(limits.rimMm)), 8).rule(
        'four or eight',
        'needs 4 or 8 readings, or none',
        (rim) => [0, 4, 8].includes(rim.length),
      ),
      turnSteps: orNull(wholeFigure(limits.turnSteps)),
      flipped: flag(),
    }),
    limits.layers.max,
    1,
    'has no layers',
  ).rule(
    'layer ids',
    'has two layers of one id',
    (layers) => new Set(layers.map((layer) => layer?.id)).size === layers.length,
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
          foodId: orNull(id()),
          how: oneOf(['packed', 'scattered']),
          densityGPerMl: figure(limits.inclusionDensity),
          share: figure(limits.packing),
          gPerCm2: figure(limits.gPerCm2),
          allergens: allergenList(),
        }),
      ),
      drizzle: orNull(
        record<NonNullable<Gap['drizzle']>>({
          spreadId: id(),
          gPerCm2: figure(limits.gPerCm2),
        }),
      ),
    }),
    limits.layers.max - 1,
  ),
  inclusion: orNull(
    record<Inclusion>({
      name: name(),
      foodId: orNull(id()),
      gPerKg: figure(limits.inclusionGPerKg),
      densityGPerMl: figure(limits.inclusionDensity),
      allergens: allergenList(),
      waterShare: figure(limits.waterShare),
      tempC: figure(limits.partC),
    }),
  ),
  coat: record<Coat>({
    style: oneOf(coatStyles),
    spreadId: id(),
    innerSpreadId: orNull(id()),
    topSpreadId: orNull(id()),
    tint: tint(),
    bands: list(record<Band>({ tint: tint(), share: figure(limits.bandShare) }), limits.bands.max),
    blended: flag(),
    cover: orNull(figure(limits.cover)),
    comb: orNull(
      record<Comb>({
        peakMm: figure(limits.combPeakMm),
        depthMm: figure(limits.combDepthMm),
      }).rule(
        'depth',
        'is combed deeper than it is thick',
        (comb) => !(Number(comb.depthMm) > Number(comb.peakMm)),
      ),
    ),
    rimMm: figure(limits.rimRadiusMm),
    crumbMm: orNull(figure(limits.coatMm)),
    sideMm: orNull(figure(limits.coatMm)),
    topMm: orNull(figure(limits.coatMm)),
  }),
  fondant: orNull(
    record<Fondant>({
      mm: figure(limits.fondantMm),
      allowanceMm: figure(limits.allowanceMm),
      tint: tint(),
    }),
  ),
  pressed: orNull(
    record<Pressed>({
      name: name(),
      foodId: orNull(id()),
      gPerCm2: figure(limits.pressedGPerCm2),
      cover: figure(limits.cover),
      bandMm: orNull(figure(limits.bandMm)),
      onTop: flag(),
      allergens: allergenList(),
    }),
  ),
  surfaces: list(
    record<Surface>({
      id: id(),
      way: oneOf(surfaceWays),
      name: name(),
      foodId: orNull(id()),
      tint: tint(),
      gPerCm2: figure(limits.surfaceGPerCm2),
      coats: wholeFigure(limits.surfaceCoats),
      dryMin: figure(limits.surfaceDryMin),
      where: oneOf(['all over', 'side', 'top']),
      allergens: allergenList(),
    }),
    limits.surfaces.max,
  ),
  stockId: orNull(id()),
  bowl: orNull(
    record<WeighedBowl>({
      fullG: figure(limits.bowlG),
      emptyG: figure(limits.bowlG),
      pouredG: list(orNull(figure(limits.bowlG)), limits.layers.max),
    }),
  ),
  soak: oneOf(soakStyles),
  trim: record<Tier['trim']>({
    bottomMm: figure(limits.trimMm),
    sideMm: figure(limits.trimMm),
    topMm: figure(limits.trimMm),
  }),
  centre: orNull(
    record<Centre>({
      outline: outline,
      fromLayer: wholeFigure({ min: 0, max: limits.layers.max - 1 }),
      toLayer: wholeFigure({ min: 0, max: limits.layers.max - 1 }),
      spreadId: id(),
      pieces: orNull(
        record<LoosePieces>({
          name: name(),
          foodId: orNull(id()),
          densityGPerMl: figure(limits.inclusionDensity),
          share: figure(limits.packing),
          allergens: allergenList(),
        }),
      ),
    }),
  ),
  ovenC: orNull(figure(limits.ovenC)),
  temps: list(record<PartTemp>({ name: name(), tempC: figure(limits.partC) }), 60),
  stackedAt: oneOf(['room', 'cold']),
  restG: figure(limits.restG),
  asBaked: list(
    record<AsBaked>({
      edgeMm: figure(limits.layerMm),
      acrossMm: orNull(figure(limits.sideMm)),
    }),
    limits.layers.max,
  ),
  drip: orNull(drip),
  pour: orNull(pour),
  toppings: list(topping, limits.toppings.max),
  carving: orNull(carving),
  stand: standing,
  torched: flag(),
})
  .rule(
    'core inside',
    'has a hidden centre that is not inside its layers',
    ({ centre, layers }) =>
      !centre ||
      !Array.isArray(layers) ||
      (centre.fromLayer <= centre.toLayer && centre.toLayer < layers.length),
  )
  .rule(
    'decks inside',
    'has a board between layers that are not there, or two in one place',
    ({ stand, layers }) => {
      if (!Array.isArray(stand?.decks) || !Array.isArray(layers)) return true;
      const after = stand.decks.map((deck) => Number(deck?.afterLayer));
      return after.every((at, i) => at < layers.length - 1 && (i === 0 || at > after[i - 1]!));
    },
  )
  .rule(
    'gaps',
    'needs one gap fewer than layers',
    (tier) => !whole(tier) || tier.gaps.length === tier.layers.length - 1,
  )
  .rule('gap below cake', 'has a filling thicker than the whole cake', (tier) => {
    if (!whole(tier)) return true;
    const cakeMm = tier.layers.reduce((sum, layer) => sum + layer.heightMm, 0);
    return tier.gaps.every((gap) => gap.heightMm <= cakeMm);
  });

const bench = record<Bench>({
  stepKey: orNull(words(200)),
  done: list(record<Bench['done'][number]>({ stepKey: words(200), at: isoTime() }), 2000),
  checks: list(words(200), 5000),
  notes: list(
    record<Bench['notes'][number]>({
      id: id(),
      stepKey: words(200),
      at: isoTime(),
      kind: oneOf(noteKinds),
      value: orNull(figure({ min: -1e6, max: 1e6 })),
      text: words(limits.noteLength.max),
      planned: orNull(
        record<Planned>({
          title: words(200),
          label: words(200),
          what: words(200),
          value: figure({ min: -1e6, max: 1e6 }),
          takenG: orNull(figure({ min: 0, max: 1e6 })),
          movedBy: figure({ min: 0.01, max: 100 }),
          hand: orNull(oneOf(handKinds)),
          show: oneOf(kinds),
        }),
      ),
    }),
    2000,
  ),
  timers: list(
    record<Bench['timers'][number]>({
      id: id(),
      stepKey: words(200),
      label: words(120),
      startedAt: isoTime(),
      minutes: figure({ min: 0, max: 20000 }),
      stoppedAt: orNull(isoTime()),
    }),
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
        }),
        handKinds.length,
      ),
    }),
  ),
});

/** A whole build. */
export const build = record<Build>({
  id: id(),
  name: name(),
  createdAt: isoTime(),
  brief: brief,
  tiers: list(tier, limits.tiers.max, 1, 'has no tiers'),
  boardId: id(),
  boardCoverMm: figure(limits.boardCoverMm),
  rod: orNull(rod),
  journey: journey,
  day: daySettings,
  piping: list(
    record<PipingJob>({
      id: id(),
      name: name(),
      spreadId: orNull(id()),
      tint: tint(),
      massG: figure(limits.pipingG),
      pieces: wholeFigure(limits.pipedPieces),
      lineMm: figure(limits.pipedMm),
      piped: orNull(piped),
    }),
    limits.pipingJobs.max,
  ),
  reserveShare: figure(limits.reserveShare),
  shortShare: figure(limits.shortShare),
  batchBy: oneOf(batchWays),
  apart: list(words(200), 60),
  mixedApart: list(id(), 60),
  fromStock: list(record<Build['fromStock'][number]>({ spreadId: id(), stockId: id() }), 60),
  bench: bench,
}).rule('tier ids', 'has two tiers with the same id', (build) => {
  if (!Array.isArray(build.tiers)) return true;
  const ids = build.tiers.map((tier) => tier?.id);
  return new Set(ids).size === ids.length;
});
