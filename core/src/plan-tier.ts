import type { Build, Tier } from './build/types.ts';
import {
  carvedCoat,
  carvedFondant,
  carvedOutline,
  carvedStack,
  type TierCarve,
} from './carve/apply.ts';
import { warnOfCarving } from './carve/carve-cautions.ts';
import { glueSpreadId } from './carve/needs.ts';
import { carveKey, carveQuestion, type Stacked } from './carve/stock.ts';
import { planCoat } from './coat/coat.ts';
import { roundestRimMm } from './coat/shell.ts';
import { thicknessOf } from './coat/thickness.ts';
import { planFondant } from './covers/fondant.ts';
import { planPressed, warnOfPressed } from './covers/pressed.ts';
import { innerSpreadId } from './build/edit.ts';
import {
  centreDensity,
  planCentre,
  isInCentre,
  runsThroughGap,
  wallMm,
  type CentrePlan,
} from './fill/centre.ts';
import { factorOf } from './hand/moves.ts';
import type { BareTier } from './tier-plan.ts';
import { gapMassG, planGaps, type GapPlan } from './fill/gaps.ts';
import { loadGaps, warnOfSqueeze, type GapLoad } from './fill/load.ts';
import { warnOfRim } from './level/readings.ts';
import { planOther, warnOfOthers, type OtherPlan } from './others/other-layers.ts';
import { areaMm2 } from './outline/outline.ts';
import { topScale } from './labour/minutes.ts';
import { findRow } from './pantry/find.ts';
import type { Pantry, Sponge, Tin } from './pantry/types.ts';
import type { TierPlan } from './tier-plan.ts';
import { scaleRecipe } from './recipes/scale.ts';
import { countServings } from './servings/servings.ts';
import { planSoak } from './soak/soak.ts';
import { warnOfSoak } from './soak/soak-cautions.ts';
import { planStack, type Crown } from './stack/stack.ts';
import { planBake, turnsTop, type BakePlan } from './tins/bake.ts';
import { warnOfBake } from './tins/bake-cautions.ts';
import { phrase } from './units/phrase.ts';
import type { TierWork } from './work.ts';
import type { Caution } from './working/cautions.ts';
import { given, read } from './working/figures.ts';
import { attempt, ifThere, valueOf } from './working/staged.ts';

/** What a tier's plan takes from the build around it. */
export interface TierAround extends Pick<Build['brief'], 'portion' | 'cutting' | 'halves'> {
  /** A tier stands over the hole of this ring. */
  isHoleShut: boolean;
}

/** One tier in the order of work: bake, fill, load, stack, coat; then what it all weighs. */
export function planTier(tier: Tier, around: TierAround, work: TierWork): BareTier {
  const { pantry, book, cautions, spreadOf } = work;
  const part = `${tier.id}/cake`;
  const bake = attempt('bake', part, cautions, () => bakeTier(tier, work));
  const batterRecipe = attempt('bake', part, bake.ok ? cautions : [], () => {
    const sponge = findRow(pantry, 'sponges', tier.spongeId);
    return scaleRecipe(
      findRow(pantry, 'recipes', sponge.recipeId),
      bake.ok ? Math.ceil(bake.value.batterG / factorOf(work.moves, 'batter') / 5) * 5 : 0,
    );
  });
  const baked = valueOf(bake);
  const sponge = ifThere(() => findRow(pantry, 'sponges', tier.spongeId));
  const others = attempt('stack', `${tier.id}/layer/0`, cautions, () =>
    tier.layers.flatMap((layer, i) =>
      layer.otherId === null
        ? []
        : [
            planOther(
              tier,
              i,
              findRow(pantry, 'others', layer.otherId),
              baked?.bakedDensity ?? 0.45,
              layer.between ? spreadOf(layer.between.spreadId).densityGPerMl : 1,
            ),
          ],
    ),
  );
  const crowns = crownsOf(tier, baked);
  const gaps = attempt('stack', `${tier.id}/gap/0`, cautions, () =>
    planGaps(tier, spreadOf, domesIn(tier, baked, crowns)),
  );
  const soak = tier.layers.map((layer, i) =>
    planSoak(tier, layer, (layerArea(tier, baked) * tier.layers[i]!.heightMm) / 1000),
  );
  const layersG =
    baked && others.ok
      ? tier.layers.map((_, i) => layerMassG(tier, i, baked, others.value) + soak[i]!.massG)
      : null;
  const loads = gaps.ok && layersG ? loadsOf(tier, layersG, gaps.value.map(gapMassG), work) : null;
  if (gaps.ok) work.workings?.enterGaps(book, tier, gaps.value, loads, spreadOf);
  const settled = tier.gaps.map((gap, i) => loads?.[i]?.settledMm ?? gap.heightMm);
  const centre = ifThere(() =>
    planCentre(
      tier,
      settled,
      baked?.bakedDensity ?? 0.45,
      tier.centre ? centreDensity(tier.centre, spreadOf) : 1,
    ),
  );
  const inner = ifThere(() => spreadOf(innerSpreadId(tier)));
  const dabG = dabFor(tier, pantry.kitchen.dabG);
  const dabMl = inner ? dabG / inner.densityGPerMl : 0;
  const whole = planStack(tier, dabMl, settled, crowns, book);
  const carve = carveTier(tier, { stack: whole, layersG, gaps, centre, bake, dabG }, work);
  const result = carve?.result ?? null;
  const stack = result ? carvedStack(whole, result) : whole;
  const stackCoat = attempt('coat', `${tier.id}/coat`, cautions, () =>
    planCoat(
      tier,
      whole.stackMm,
      spreadOf,
      pantry.kitchen,
      whole.topCrownMm > 0 ? (baked?.cakes.at(-1)?.voidMl ?? 0) : 0,
      gaps.ok ? openAtEdge(tier, gaps.value, settled) : 0,
      book,
      around.isHoleShut,
    ),
  );
  const coat: typeof stackCoat =
    result && stackCoat.ok
      ? {
          ok: true,
          value: carvedCoat(
            stackCoat.value,
            result,
            stackCoat.value.cover,
            spreadOf(stackCoat.value.crumbSpreadId),
          ),
        }
      : stackCoat;
  const bare = valueOf(coat);
  const sheet = bare ? planFondant(tier, bare.finished, stack.finishedMm - stack.fondantMm) : null;
  const fondant = sheet && result ? carvedFondant(sheet, result) : sheet;
  const upright = fondant?.finished ?? bare?.finished ?? tier.outline;
  const finished = carve && result ? carvedOutline(carve.question, result, upright) : upright;
  if (carve && result) work.workings?.enterCarving(tier, carve, result, bare, book);
  const pressed = planPressed(tier, finished, stack.finishedMm);
  if (bare) warnOfPressed(tier, bare.sideMm, cautions);
  warnOfRoundRim(tier, cautions);
  if (others.ok) warnOfOthers(tier, others.value, cautions);
  if (sponge) warnOfSoak(tier, sponge, cautions);
  warnOfRim(tier, cautions);
  warnOfNoRoom(tier, gaps.ok ? gaps.value : [], cautions);
  warnOfCentre(tier, centre, cautions);
  enterSoakAndCentre(tier, soak, centre, work);
  const { portion, cutting, halves } = around;
  const servings = countServings(tier.outline, portion, cutting, halves) * eatenShare(tier, pantry);
  const glue = ifThere(() => spreadOf(glueSpreadId(tier)));
  if (carve) warnOfCarving(tier, carve, glue, cautions);
  return {
    tierId: tier.id,
    stack,
    bake,
    batterRecipe,
    others,
    gaps,
    loads,
    soak,
    centre,
    coat,
    fondant,
    pressed,
    finished,
    dabG,
    layersG,
    // a carved cake gives the share of portions that it is of its stack
    servings: result
      ? Math.floor(servings * Math.min(1, result.leftMl / result.stackMl))
      : Math.floor(servings + 1e-9),
    carve,
    massG:
      layersG && gaps.ok && coat.ok
        ? layersG.reduce((sum, g) => sum + g, 0) +
          gaps.value.reduce((sum, gap) => sum + gapMassG(gap), 0) +
          (centre?.fillG ?? 0) +
          (result ? result.leftG - result.stackG : 0) +
          (result && glue ? result.glueMl * glue.densityGPerMl : 0) +
          coat.value.crumbG +
          coat.value.coatG +
          (fondant?.onCakeG ?? 0) +
          (pressed?.massG ?? 0) +
          dabG
        : null,
  };
}

/** A dab holds by its area: the kitchen's is for a cake of 20 cm, and goes with the size of the cake. */
const dabFor = (tier: Tier, dabG: number): number =>
  dabG * Math.min(4, Math.max(0.4, topScale(tier.outline)));

/** Share of a tier's height that is not foam. */
function eatenShare(tier: Tier, pantry: Pantry): number {
  const isFoam = (id: string | null): boolean =>
    id !== null && pantry.others.find((row) => row.id === id)?.form === 'foam';
  if (!tier.layers.some((layer) => isFoam(layer.otherId))) return 1;
  const high = (of: Tier['layers']): number => of.reduce((sum, layer) => sum + layer.heightMm, 0);
  return high(tier.layers.filter((layer) => !isFoam(layer.otherId))) / high(tier.layers);
}

/** What the carving of a tier asks of the solids, and the answer if it is known. */
function carveTier(tier: Tier, plan: Stacked, { pantry, carved }: TierWork): TierCarve | null {
  const tin = ifThere(() => findRow(pantry, 'tins', tier.tinId));
  const question = carveQuestion(tier, plan, tin);
  if (!question) return null;
  const key = carveKey(question);
  return { question, key, result: carved(key) ?? null };
}

function bakeTier(tier: Tier, work: TierWork): BakePlan {
  const { pantry, book, cautions, withTimes, workings, moves } = work;
  const row: Sponge = findRow(pantry, 'sponges', tier.spongeId);
  const rise = factorOf(moves, 'rise');
  const sponge = rise === 1 ? row : { ...row, rise: row.rise * rise };
  const tin: Tin = findRow(pantry, 'tins', tier.tinId);
  const recipe = ifThere(() => findRow(pantry, 'recipes', sponge.recipeId));
  const plan = inOwnOven(
    planBake(tier, sponge, tin, recipe, pantry.kitchen, pantry.foods, withTimes),
    factorOf(moves, 'bake'),
  );
  workings?.enterBake(book, tier, sponge, tin, recipe, pantry.kitchen, plan);
  if (workings) tellHand(tier, plan, work);
  warnOfBake(tier, sponge, tin, plan, pantry.tins, cautions);
  return plan;
}

/** The times of a bake in an oven that is known to take longer, or less. */
const inOwnOven = (plan: BakePlan, by: number): BakePlan =>
  by === 1
    ? plan
    : {
        ...plan,
        cakes: plan.cakes.map((cake) => ({
          ...cake,
          window: cake.window && {
            ...cake.window,
            minutes: cake.window.minutes * by,
            fromMin: cake.window.fromMin * by,
            toMin: cake.window.toMin * by,
          },
        })),
      };

/** Says in the workings where the hand moved the batter and the minutes of the oven. */
function tellHand(tier: Tier, plan: BakePlan, { book, moves }: TierWork): void {
  for (const { index } of plan.cakes) {
    const at = `${tier.id}/cake/${index}`;
    book.move(`${at}/batter`, 'how high your cakes rise', moves.rise);
    book.move(`${at}/minutes`, 'your oven', moves.bake);
  }
}

const layerArea = (tier: Tier, bake: BakePlan | null): number =>
  bake?.layerMm2 ?? areaMm2(tier.outline);

/** Domes that stay on, by layer: on the uppermost layer of each cake, hanging down when turned over. */
function crownsOf(tier: Tier, bake: BakePlan | null): Crown[] {
  const last = tier.layers.length - 1;
  return tier.layers.map((layer, i) => {
    const cake = bake?.cakes.find((c) => c.keepsDome && c.layers.at(-1) === i);
    if (!cake) return { upMm: 0, downMm: 0 };
    const turned = (i === last && turnsTop(tier)) !== layer.flipped;
    // a dome that would stand on the board is cut off all the same
    if (turned) return { upMm: 0, downMm: i === 0 ? 0 : cake.crownMm };
    return { upMm: cake.crownMm, downMm: 0 };
  });
}

/** Volume to fill round domes in each gap, mL. */
function domesIn(tier: Tier, bake: BakePlan | null, crowns: readonly Crown[]): number[] {
  const voidOf = (layer: number): number =>
    bake?.cakes.find((c) => c.layers.includes(layer))?.voidMl ?? 0;
  return tier.gaps.map(
    (_, i) =>
      (crowns[i]!.upMm > 0 ? voidOf(i) : 0) + (crowns[i + 1]!.downMm > 0 ? voidOf(i + 1) : 0),
  );
}

/** Room that fillings kept short of the edge leave there once they have settled, mL. */
function openAtEdge(tier: Tier, gaps: readonly GapPlan[], settled: readonly number[]): number {
  const area = areaMm2(tier.outline);
  return gaps.reduce((sum, gap, i) => {
    const core = runsThroughGap(tier.centre, i) ? areaMm2(tier.centre!.outline) : 0;
    const roomMl = ((area - core) * (settled[i] ?? gap.heightMm)) / 1000;
    const filledMl = gap.fillingMl - gap.domeMl + gap.damMl + gap.piecesMl + gap.drizzleMl;
    return sum + Math.max(0, roomMl - filledMl);
  }, 0);
}

/** A setback and a dam that meet in the middle leave nothing to fill. */
function warnOfNoRoom(tier: Tier, gaps: readonly GapPlan[], cautions: Caution[]): void {
  gaps.forEach((gap) => {
    if (gap.areaMm2 >= leastFilledMm2) return;
    cautions.push({
      id: `${tier.id}/no room/${gap.index}`,
      severity: 'stop',
      stage: 'stack',
      part: `${tier.id}/gap/${gap.index}`,
      title: phrase(
        `Setback and dam on layer ${gap.index + 1}, {off} together, leave no room for the filling.`,
        { off: [gap.setbackMm + gap.damMm, 'thickness'] },
      ),
      todo: phrase('A narrower dam, or less of a setback.'),
    });
  });
}
/** Less than a thumb's breadth across is no filling, mm2. */
const leastFilledMm2 = 400;

/** A rim rounded so far that cake would show. */
function warnOfRoundRim(tier: Tier, cautions: Caution[]): void {
  const t = thicknessOf(tier);
  const most = roundestRimMm(t.crumbMm + t.sideMm, t.crumbMm + t.topMm);
  if (tier.coat.rimMm <= most + 0.01) return;
  cautions.push({
    id: `${tier.id}/round rim`,
    severity: 'mind',
    stage: 'coat',
    part: `${tier.id}/coat`,
    title: phrase('A rim rounded to {rim} cuts through the coat into the cake.', {
      rim: [tier.coat.rimMm, 'thickness'],
    }),
    todo: phrase('At most {most} under this coat, or cut the edge of the top layer round first.', {
      most: [most, 'thickness'],
    }),
  });
}

/** Mass of one layer, g: its share by volume of its cake, less a hidden centre; or its own row's. */
function layerMassG(
  tier: Tier,
  index: number,
  bake: BakePlan,
  others: readonly OtherPlan[],
): number {
  const area = areaMm2(tier.outline);
  const cored = isInCentre(tier.centre, index)
    ? Math.max(0, 1 - areaMm2(tier.centre!.outline) / area)
    : 1;
  const other = others.find((o) => o.index === index);
  if (other) return other.massG * cored;
  const cake = bake.cakes.find((c) => c.layers.includes(index));
  if (!cake) return 0;
  const volume = (i: number): number =>
    (tier.layers[i]!.heightMm * bake.layerMm2) / 1000 +
    (cake.keepsDome && i === cake.layers.at(-1) ? cake.capMl : 0);
  const all = cake.layers.reduce((sum, i) => sum + volume(i), 0);
  return ((cake.layersG * volume(index)) / all) * cored;
}

function loadsOf(
  tier: Tier,
  layersG: readonly number[],
  gapsG: readonly number[],
  { spreadOf, cautions }: TierWork,
): GapLoad[] | null {
  const above = tier.gaps.map(
    (_, i) =>
      layersG.slice(i + 1).reduce((sum, g) => sum + g, 0) +
      gapsG.slice(i + 1).reduce((sum, g) => sum + g, 0) +
      tier.restG,
  );
  const loads = attempt('stack', `${tier.id}/gap/0`, cautions, () => {
    const found = loadGaps(tier, above, spreadOf);
    warnOfSqueeze(tier, found, spreadOf, cautions);
    return found;
  });
  return valueOf(loads);
}

function warnOfCentre(tier: Tier, centre: CentrePlan | null, cautions: Caution[]): void {
  if (!centre) return;
  const part = `${tier.id}/centre`;
  if (!centre.inside)
    cautions.push({
      id: `${tier.id}/core wall`,
      severity: 'stop',
      stage: 'stack',
      part,
      title: phrase('The hidden centre leaves less than {wall} of cake round it.', {
        wall: [wallMm, 'thickness'],
      }),
      todo: phrase('Take a smaller ring cutter.'),
    });
  if (centre.lidLayers === 0)
    cautions.push({
      id: `${tier.id}/core lid`,
      severity: 'mind',
      stage: 'stack',
      part,
      title: phrase('The hidden centre has no lid: it shows on top.'),
      todo: phrase('Stop the core one layer below the top.'),
    });
}

function enterSoakAndCentre(
  tier: Tier,
  soak: TierPlan['soak'],
  centre: CentrePlan | null,
  { book, spreadOf }: TierWork,
): void {
  const ml = soak.reduce((sum, each) => sum + each.ml, 0);
  if (ml > 0)
    book.add(
      `${tier.id}/soak`,
      'Syrup to soak with',
      ml,
      'volume',
      'Millilitres to each cubic centimetre of sponge by the style of soak, layer by layer.',
      soak.map((each, i) => given(`layer ${i + 1}, ${each.style}`, each.ml, 'volume')),
    );
  if (centre && tier.centre) {
    const { pieces, spreadId } = tier.centre;
    book.add(
      `${tier.id}/centre`,
      pieces ? `${pieces.name} in the hidden centre` : 'Filling for the hidden centre',
      centre.fillG,
      'small',
      pieces
        ? 'The core’s area times its height, of which their share is pieces and the rest air, times the density of a piece.'
        : 'The core’s area times its height, through layers and the fillings between them, times density.',
      [
        given('area of the core', centre.areaMm2, 'area'),
        given('height', centre.heightMm, 'thickness'),
        given('sponge taken out', centre.spongeG, 'small'),
        ...(pieces
          ? [
              given('share that is pieces', pieces.share, 'share'),
              given('density of a piece', pieces.densityGPerMl, 'density'),
            ]
          : [read('spreads', spreadOf(spreadId), 'densityGPerMl', 'density', 'density')]),
      ],
    );
  }
}
