import type { Tier } from '../build/types.ts';
import { areaMm2, fitsInside } from '../outline/outline.ts';
import type { Kitchen, Sponge, Tin } from '../pantry/types.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';
import { FigureBook, from, given, read } from '../working/figures.ts';
import { cutHeights, edgeHeightMm, type KnifeCut } from './knife.ts';
import { capVolumeMl, crownMm, fillHeightMm, tinOutlineAt, tinVolumeMl } from './volume.ts';

/** One baked cake: what goes into its tin and what comes out of it. Masses in g, lengths in mm. */
export interface BakedCake {
  index: number;
  /** Layers cut from it, from the bottom up, as indices into the tier's layers. */
  layers: number[];
  edgeMm: number;
  crownMm: number;
  batterG: number;
  inclusionG: number;
  batterMl: number;
  ovenLossG: number;
  bakedG: number;
  layersG: number;
  domeG: number;
  crumbsG: number;
  trimG: number;
  /** How high the raw batter stands in the tin, and as a share of the tin's depth. */
  fillMm: number;
  fillShare: number;
  cuts: KnifeCut[];
}

export interface BakePlan {
  cakes: BakedCake[];
  /** Density of the baked crumb with what is folded into it, g/mL. */
  bakedDensity: number;
  batterG: number;
  inclusionG: number;
  bakedG: number;
  offcutsG: number;
  crumbsG: number;
  ovenLossG: number;
  bowl: BowlSplit | null;
}

/** Grams from a weighed bowl to each tin. */
export interface BowlSplit {
  inBowlG: number;
  wantedG: number;
  perCakeG: number[];
  leftG: number;
  shortG: number;
}

/** Which layers come from which cake: as they are stacked, `perCake` at a time. */
export function layersOfCakes(layerCount: number, perCake: number): number[][] {
  const cakes: number[][] = [];
  for (let i = 0; i < layerCount; i += perCake)
    cakes.push(Array.from({ length: Math.min(perCake, layerCount - i) }, (_, k) => i + k));
  return cakes;
}

/**
 * Grams to each tin from what is really in the bowl, in proportion to what each has to hold. A full
 * bowl gives each tin what it wants and leaves the rest; a short one is shared out.
 *
 * @param inBowlG batter and pieces in the bowl; @param wanted what each tin wants, g
 */
export function splitBowl(inBowlG: number, wanted: readonly number[]): BowlSplit {
  const wantedG = wanted.reduce((sum, g) => sum + g, 0);
  const share = wantedG > 0 ? Math.min(1, Math.max(0, inBowlG) / wantedG) : 0;
  const perCakeG = wanted.map((g) => g * share);
  return {
    inBowlG: Math.max(0, inBowlG),
    wantedG,
    perCakeG,
    leftG: Math.max(0, inBowlG - wantedG),
    shortG: Math.max(0, wantedG - inBowlG),
  };
}

/** mL of baked cake from one gram of batter, with `x` g of pieces to the gram that do not rise. */
const bakedMlPerG = (sponge: Sponge, x: number, pieceDensity: number): number =>
  sponge.rise / sponge.batterDensityGPerMl + x / pieceDensity;

/**
 * Batter for each tin of a tier, what is lost on the way, and where the knife goes (model section
 * 2). What goes in comes out again: batter and pieces less the oven's loss are layers, domes,
 * trimmings and crumbs.
 */
export function planBake(
  tier: Tier,
  sponge: Sponge,
  tin: Tin,
  kitchen: Kitchen,
  book: FigureBook,
  cautions: Caution[],
): BakePlan {
  const x = (tier.inclusion?.gPerKg ?? 0) / 1000;
  const mlPerG = bakedMlPerG(sponge, x, tier.inclusion?.densityGPerMl ?? 1);
  const bakedDensity = (1 - sponge.ovenLoss + x) / mlPerG;
  // from too small a tin the layers come out the tin's size, and a caution says so
  const layerMm2 = Math.min(areaMm2(tier.outline), areaMm2(tin.outline));

  const cakes = layersOfCakes(tier.layers.length, tier.slicesPerCake).map((layers, index) => {
    const heights = layers.map((i) => tier.layers[i]!.heightMm);
    const edgeMm = edgeHeightMm(heights, kitchen.kerfMm);
    const top = tinOutlineAt(tin, edgeMm);
    const crown = crownMm(top, sponge.crownOverRadius);
    const edgeMl = tinVolumeMl(tin, edgeMm);
    const capMl = capVolumeMl(top, crown);
    const batterG = (edgeMl + capMl) / mlPerG;
    const inclusionG = batterG * x;
    const layersMl = (heights.reduce((sum, h) => sum + h, 0) * layerMm2) / 1000;
    const crumbsMl = (heights.length * kitchen.kerfMm * layerMm2) / 1000;
    const batterMl =
      batterG / sponge.batterDensityGPerMl + inclusionG / (tier.inclusion?.densityGPerMl ?? 1);
    const fillMm = fillHeightMm(tin, batterMl);
    const cake: BakedCake = {
      index,
      layers,
      edgeMm,
      crownMm: crown,
      batterG,
      inclusionG,
      batterMl,
      ovenLossG: batterG * sponge.ovenLoss,
      bakedG: batterG * (1 - sponge.ovenLoss) + inclusionG,
      layersG: layersMl * bakedDensity,
      domeG: capMl * bakedDensity,
      crumbsG: crumbsMl * bakedDensity,
      trimG: Math.max(0, edgeMl - layersMl - crumbsMl) * bakedDensity,
      fillMm,
      fillShare: fillMm / tin.depthMm,
      cuts: cutHeights(heights, kitchen.kerfMm),
    };
    enterFigures(book, tier, sponge, tin, kitchen, cake, { edgeMl, capMl, x });
    return cake;
  });

  const sum = (pick: (cake: BakedCake) => number): number =>
    cakes.reduce((total, cake) => total + pick(cake), 0);
  const plan: BakePlan = {
    cakes,
    bakedDensity,
    batterG: sum((c) => c.batterG),
    inclusionG: sum((c) => c.inclusionG),
    bakedG: sum((c) => c.bakedG),
    offcutsG: sum((c) => c.domeG + c.trimG),
    crumbsG: sum((c) => c.crumbsG),
    ovenLossG: sum((c) => c.ovenLossG),
    bowl: tier.bowl
      ? splitBowl(
          tier.bowl.fullG - tier.bowl.emptyG,
          cakes.map((c) => c.batterG + c.inclusionG),
        )
      : null,
  };
  book.add(
    `${tier.id}/batter`,
    'Batter in all',
    plan.batterG,
    'bowl',
    'The batter of each tin, added up.',
    cakes.map((c) =>
      from(`${tier.id}/cake/${c.index}/batter`, `tin ${c.index + 1}`, c.batterG, 'bowl'),
    ),
  );
  warn(tier, sponge, tin, plan, cautions);
  return plan;
}

function enterFigures(
  book: FigureBook,
  tier: Tier,
  sponge: Sponge,
  tin: Tin,
  kitchen: Kitchen,
  cake: BakedCake,
  { edgeMl, capMl, x }: { edgeMl: number; capMl: number; x: number },
): void {
  const id = `${tier.id}/cake/${cake.index}`;
  const n = cake.index + 1;
  book.add(
    `${id}/edge`,
    `Height at the edge, cake ${n}`,
    cake.edgeMm,
    'thickness',
    'The layers cut from this cake, and what each cut takes: one to level it and one for each split.',
    [
      ...cake.layers.map((i) => given(`layer ${i + 1}`, tier.layers[i]!.heightMm, 'thickness')),
      given('cuts', cake.layers.length, 'count'),
      given('crumbs of each cut', kitchen.kerfMm, 'thickness'),
    ],
  );
  book.add(
    `${id}/batter`,
    `Batter in tin ${n}`,
    cake.batterG,
    'bowl',
    x > 0
      ? 'The baked cake, edge and dome, divided by what a gram of batter with its pieces bakes to: rise over batter density, and the pieces’ own volume, which does not rise.'
      : 'The baked cake, edge and dome, divided by the rise gives the batter in millilitres; times its density gives grams. The oven’s loss does not change this: it is taken from the batter’s own mass.',
    [
      from(`${id}/edge`, 'height at the edge', cake.edgeMm, 'thickness'),
      given(`in the ${tin.name} up to there`, edgeMl, 'volume'),
      given('dome on top', capMl, 'volume'),
      read('sponges', sponge, 'rise', 'rise', 'factor'),
      read('sponges', sponge, 'batterDensityGPerMl', 'batter density', 'density'),
      ...(tier.inclusion
        ? [
            given(`${tier.inclusion.name} for a gram of batter`, x, 'factor'),
            given('their density', tier.inclusion.densityGPerMl, 'density'),
          ]
        : []),
    ],
  );
  book.add(
    `${id}/fill`,
    `Batter stands in tin ${n}`,
    cake.fillMm,
    'thickness',
    'The batter’s volume over the tin’s area.',
    [
      from(`${id}/batter`, 'batter', cake.batterG, 'bowl'),
      given('volume', cake.batterMl, 'volume'),
      given('depth of the tin', tin.depthMm, 'thickness'),
    ],
  );
  book.add(
    `${id}/offcuts`,
    `Offcuts of cake ${n}`,
    cake.domeG + cake.trimG,
    'bowl',
    'The dome, and what is trimmed off the sides where the tin is larger than the cake.',
    [
      read('sponges', sponge, 'crownOverRadius', 'height of the dome over the radius', 'factor'),
      given('dome', cake.domeG, 'bowl'),
      given('trimmed from the sides', cake.trimG, 'bowl'),
    ],
  );
}

function warn(tier: Tier, sponge: Sponge, tin: Tin, plan: BakePlan, cautions: Caution[]): void {
  const part = `${tier.id}/cake`;
  const most = Math.max(...plan.cakes.map((c) => c.edgeMm));
  const crown = Math.max(...plan.cakes.map((c) => c.crownMm));
  const fewer = layersOfCakes(tier.layers.length, Math.max(1, tier.slicesPerCake - 1)).length;
  if (most > tin.depthMm)
    cautions.push({
      id: `${tier.id}/overflow`,
      severity: 'stop',
      stage: 'bake',
      part,
      title: phrase(
        `The ${tin.name} cannot hold the batter: the cake rises to {edge}, the rim is at {rim}.`,
        {
          edge: [most, 'thickness'],
          rim: [tin.depthMm, 'thickness'],
        },
      ),
      todo:
        tier.slicesPerCake > 1
          ? phrase(
              `Split each cake into ${tier.slicesPerCake - 1} instead of ${tier.slicesPerCake} (${fewer} cakes), or take a deeper tin.`,
            )
          : phrase('Make the layers {by} thinner, or take a deeper tin.', {
              by: [most - tin.depthMm, 'thickness'],
            }),
    });
  else if (most + crown > tin.depthMm + 10)
    cautions.push({
      id: `${tier.id}/crown`,
      severity: 'mind',
      stage: 'bake',
      part,
      title: phrase('The crown stands {over} above the rim and may run over.', {
        over: [most + crown - tin.depthMm, 'thickness'],
      }),
      todo: phrase(
        'Line the tin with a collar of paper that high, or split the batter over more tins.',
      ),
    });
  if (!fitsInside(tier.outline, tin.outline))
    cautions.push({
      id: `${tier.id}/tin too small`,
      severity: 'stop',
      stage: 'bake',
      part,
      title: phrase(`The ${tin.name} is too small for this cake.`),
      todo: phrase('Choose a tin at least as large, or make the cake the size of the tin.'),
    });
  else {
    const trim = plan.cakes.reduce((sum, c) => sum + c.trimG, 0);
    if (trim > 0.25 * plan.bakedG)
      cautions.push({
        id: `${tier.id}/trim`,
        severity: 'note',
        stage: 'bake',
        part,
        title: phrase(
          `{trim} are cut off the sides, because the ${tin.name} is larger than the cake.`,
          {
            trim: [trim, 'bowl'],
          },
        ),
        todo: phrase('Take a tin nearer to the cake’s size, or keep the offcuts for crumbs.'),
      });
  }
  if (tin.owned > 0 && plan.cakes.length > tin.owned)
    cautions.push({
      id: `${tier.id}/rounds`,
      severity: 'note',
      stage: 'bake',
      part,
      title: phrase(
        `${plan.cakes.length} cakes, and ${tin.owned} of the ${tin.name}: they bake in ${Math.ceil(plan.cakes.length / tin.owned)} rounds.`,
      ),
      todo: phrase('Mix the batter of each round when its tins are free; batter waits badly.'),
    });
  if (tin.owned === 0)
    cautions.push({
      id: `${tier.id}/not owned`,
      severity: 'mind',
      stage: 'bake',
      part,
      title: phrase(`The pantry has no ${tin.name}.`),
      todo: phrase('Borrow or buy one, or choose a tin that is there.'),
    });
  tier.layers.forEach((layer, i) => {
    if (layer.heightMm < sponge.minSliceMm && tier.slicesPerCake > 1)
      cautions.push({
        id: `${tier.id}/thin/${i}`,
        severity: 'mind',
        stage: 'stack',
        part: `${tier.id}/layer/${i}`,
        title: phrase(
          `Layer ${i + 1} is {thin} thick; ${sponge.name.toLowerCase()} tears below {least}.`,
          {
            thin: [layer.heightMm, 'thickness'],
            least: [sponge.minSliceMm, 'thickness'],
          },
        ),
        todo: phrase('Make it {by} thicker, or split each cake into fewer layers.', {
          by: [sponge.minSliceMm - layer.heightMm, 'thickness'],
        }),
      });
  });
  const { bowl } = plan;
  if (tier.bowl && tier.bowl.fullG < tier.bowl.emptyG)
    cautions.push({
      id: `${tier.id}/bowl order`,
      severity: 'stop',
      stage: 'bake',
      part,
      title: phrase('The full bowl weighs less than the empty one.'),
      todo: phrase('Check the two weights; they may have been swapped.'),
    });
  else if (bowl && bowl.shortG > 0.02 * bowl.wantedG)
    cautions.push({
      id: `${tier.id}/bowl short`,
      severity: 'mind',
      stage: 'bake',
      part,
      title: phrase('The bowl is {short} short of what the tins want.', {
        short: [bowl.shortG, 'bowl'],
      }),
      todo: phrase(
        'Shared out as shown, every layer comes out {share} thinner; or mix {short} more.',
        {
          share: [bowl.shortG / bowl.wantedG, 'share'],
          short: [bowl.shortG, 'bowl'],
        },
      ),
    });
}
