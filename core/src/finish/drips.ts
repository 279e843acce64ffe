import type { Rim } from '../mould/rim.ts';
import { Remembered } from '../working/remembered.ts';
import { addUp } from '../units/add-up.ts';
import type { Drip, Poured } from '../document/finish-types.ts';
import type { Tier } from '../document/types.ts';
import { dripAmounts, pourAmounts, type FinishAmounts, type PourAmounts } from '../drip/amounts.ts';
import { fluidFrom, standsAtMm } from '../drip/fluid.ts';
import { runDrip, usualDrip } from '../drip/flow.ts';
import {
  lengthTable,
  tableSideMm,
  restAt,
  settingOf,
  type DripRest,
  type DripSpec,
} from '../drip/length-table.ts';
import { countFor, mostDrips, wantedLengths } from '../drip/pattern.ts';
import type { TestFit } from '../drip/test-drip.ts';
import { perimeterMm, type Outline } from '../outline/outline.ts';
import { chocolateOf, type Chocolate } from '../ganache/chocolates.ts';
import { foodOf } from '../pantry/find.ts';
import type { Food, Ganache, Spread } from '../pantry/types.ts';
import { studdedFactor } from '../toppings/tray.ts';
import { pouredName, pouredSpreadId } from './ganache-recipe.ts';
import { composed, fitsOf, fluidOf, type ComposedGanache } from './ganache-row.ts';

/** What of a tier matters for what runs down it. Lengths in mm. */
export interface Side {
  finished: Outline;
  /** Where its top ends, from which it runs. */
  rim: Pick<Rim, 'outline' | 'downMm'>;
  heightMm: number;
  /** The coat under it: ganache takes its heat as ganache does, buttercream less. */
  coatSpread: Spread | null;
  /** What the drips run into: the board, the tier below, or a border that stands so high. */
  endsAt: { what: 'the board' | 'the tier below' | 'a border'; mm: number };
  /** Area of the top on which a tier stands. */
  takenMm2: number;
  /** Side and top of what came out of a mould whose wall leans or is round, mm2; left out for upright ones. */
  faces?: { sideMm2: number; topMm2: number };
}

/** Chocolate, cream and the rest in an amount of ganache, g. */
export type GanacheShares = ComposedGanache['parts'];

/** The drips of one tier: what each takes and where it comes to rest. */
export interface DripPlan {
  spec: DripSpec;
  spreadId: string;
  row: Ganache;
  /** Null for fluids that are not composed; its chocolate then stands alone. */
  ganache: ComposedGanache | null;
  chocolate: Chocolate | null;
  fits: { each: TestFit[]; all: TestFit | null };
  rimMm: number;
  sideMm: number;
  /** How far a drip may run before it meets something. */
  freeMm: number;
  stoppedBy: Side['endsAt']['what'];
  asked: number;
  count: number;
  most: number;
  /** Lengths as asked, and each drip as it comes to rest; in order along the rim. */
  wantedMm: number[];
  drips: DripRest[];
  /** Film at which it stands where it is poured, mm. */
  standsMm: number;
  amounts: FinishAmounts;
  shares: GanacheShares | null;
  /** Squeezes of the bottle to a drip, on average; null before one was weighed. */
  squeezes: number | null;
  /** Width to cut the end of a bag to, mm. */
  bagCutMm: number;
  onCakeG: number;
}

/** How fast ganache leaves a bag that is pressed gently, mm/s (estimate). */
const bagSpeed = 50;

const effusivityOf = (coat: Spread | null): number => (coat?.tone === 'ganache' ? 1 : 0.6);

/** How it flows, for a tier's coat. @throws PantryProblem where the ganache cannot be composed */
export const specOf = (
  row: Ganache,
  poured: Poured,
  { widthMm, feedS }: { widthMm: number; feedS: number },
  coat: Spread | null,
  foods: readonly Food[],
): DripSpec => ({
  fluid: fluidOf(row, poured.ratio, foods, effusivityOf(coat)),
  fluidC: poured.fluidC,
  coatC: poured.coatC,
  widthMm,
  feedS,
});

const sharesOf = (ganache: ComposedGanache | null, massG: number): GanacheShares | null => {
  if (!ganache) return null;
  const { chocolateG, creamG, butterG, syrupG, sugarG } = ganache.parts;
  const of = (gPerKg: number): number => (gPerKg * massG) / 1000;
  return {
    chocolateG: of(chocolateG),
    creamG: of(creamG),
    butterG: of(butterG),
    syrupG: of(syrupG),
    sugarG: of(sugarG),
  };
};

/**
 * Plans the drips round a rim (docs/model.md#ganache-and-drips): from lengths to grams, count and total.
 *
 * @param runs how much further than the model drips run in this hand; a test drip of the cake's own says more
 */
export function planDrips(
  drip: Drip,
  row: Ganache,
  side: Side,
  foods: readonly Food[],
  runs = 1,
): DripPlan {
  const spec = specOf(row, drip, drip, side.coatSpread, foods);
  const rimMm = perimeterMm(side.rim.outline);
  const asked = countFor(rimMm, drip.spacingMm, drip.pattern);
  const most = mostDrips(rimMm, drip.widthMm);
  const count = Math.min(asked, most);
  const freeMm = Math.max(2, side.heightMm - side.rim.downMm - side.endsAt.mm);
  const { beadG } = usualDrip;
  const fits = fitsOf(row, foods);
  // a test drip of this very ganache says more than what others did
  const further = fits.each.length > 0 ? 1 : runs;
  const wantedMm = wantedLengths({ ...drip, count });
  const lengthsMm = wantedMm.map((mm) => Math.min(mm, freeMm));
  const table = lengthTable(spec, Math.min(tableSideMm, Math.max(...lengthsMm) / further));
  const drips = lengthsMm.map((lengthMm) => ({
    ...restAt(lengthMm / further, table, beadG),
    lengthMm,
  }));
  const density = fluidFrom(spec.fluid).densityGPerMl;
  const amounts = dripAmounts(
    side.rim.outline,
    drips.map((one) => one.massG),
    drip.floodMm,
    density,
    side.takenMm2,
    drip.tool === 'spoon' ? 0 : undefined,
  );
  const ganache = composed(row, drip.ratio, foods);
  const meanG = amounts.dripsG / count;
  return {
    spec,
    spreadId: pouredSpreadId(row, drip.ratio),
    row: { ...row, name: pouredName(row, drip.ratio, foods) },
    ganache,
    chocolate: chocolateOf(foodOf(foods, row.chocolateId)),
    fits,
    rimMm,
    sideMm: side.heightMm,
    freeMm,
    stoppedBy: side.endsAt.what,
    asked,
    count,
    most,
    wantedMm,
    drips,
    standsMm: standsAtMm(fluidFrom(spec.fluid), drip.fluidC),
    amounts,
    shares: sharesOf(ganache, amounts.totalG),
    squeezes: drip.squeezeG ? meanG / drip.squeezeG : null,
    bagCutMm: Math.sqrt((4 * (meanG / density) * 1000) / (drip.feedS * bagSpeed * Math.PI)),
    onCakeG: amounts.totalG - amounts.residueG,
  };
}

/** A tier poured over on a rack. */
export interface PourPlan extends PourAmounts {
  spreadId: string;
  row: Ganache;
  ganache: ComposedGanache | null;
  shares: GanacheShares | null;
  /** How long until nothing on the side moves any more, s. */
  standsS: number;
  sideFactor: number;
}

const veils = new Remembered<{ veilMm: number; standsS: number }>(60);
/** Film that the flow is begun with: so much is poured that every place is wet, mm. */
export const wetMm = 5;

/** The film that stays on a side, from the flow itself: it cools on the coat while it runs off. */
function veilOn(spec: DripSpec, sideMm: number): { veilMm: number; standsS: number } {
  // to the millimetre: the same whatever was asked before
  const heightMm = Math.max(1, Math.round(sideMm));
  return veils.of(JSON.stringify([spec, heightMm]), () => {
    const setting = { ...settingOf(spec, heightMm), beadG: 0 };
    const massG = (wetMm * heightMm * spec.widthMm * setting.fluid.densityGPerMl) / 1000;
    const run = runDrip(massG, setting, 300, Math.max(2, heightMm / 60), 10);
    // what does not run stays where it was poured: no side keeps more than it was wetted with
    return { veilMm: Math.min(wetMm, run.meanMm), standsS: run.restS };
  });
}

/** Plans a poured cover: what stays, what to pour, what comes back in the tray. */
export function planPour(
  tier: Tier,
  row: Ganache,
  side: Side,
  foods: readonly Food[],
): PourPlan | null {
  const { pour } = tier;
  if (!pour) return null;
  const spec = specOf(row, pour, { widthMm: 10, feedS: 4 }, side.coatSpread, foods);
  const { veilMm, standsS } = veilOn(spec, side.heightMm);
  const studs = pour.studded;
  const sideFactor = studs ? studdedFactor(studs.cover, studs.highMm, studs.acrossMm, veilMm) : 1;
  const density = fluidFrom(spec.fluid).densityGPerMl;
  const amounts = pourAmounts(
    side.finished,
    side.heightMm,
    veilMm,
    density,
    sideFactor,
    side.faces,
  );
  const ganache = composed(row, pour.ratio, foods);
  return {
    ...amounts,
    spreadId: pouredSpreadId(row, pour.ratio),
    row: { ...row, name: pouredName(row, pour.ratio, foods) },
    ganache,
    shares: sharesOf(ganache, amounts.pourG),
    standsS,
    sideFactor,
  };
}

/** Everything that is in an amount of ganache, by name; what it has none of is left out. */
export function partsOfGanache(
  ganache: ComposedGanache,
  shares: GanacheShares,
): { name: string; massG: number }[] {
  const { chocolateG, creamG, butterG, syrupG, sugarG } = shares;
  const all: [string, number][] = [
    [ganache.chocolate.name, chocolateG],
    [ganache.cream.name, creamG],
    ['butter', butterG],
    ['glucose syrup', syrupG],
    ['caster sugar', sugarG],
  ];
  const some = all.filter(([, g]) => g > 0);
  const whole = addUp(some.map(([, g]) => g));
  return some.map(([name], i) => ({ name, massG: whole[i]! }));
}
