import type { Lie } from '../carve/tops.ts';
import { colourOf } from '../colour/colour.ts';
import { tintNote, type TintNote } from '../colour/tint-note.ts';
import type { Topping } from '../document/finish-types.ts';
import type { Colour } from '../document/types.ts';
import { chocolateOf } from '../ganache/chocolates.ts';
import { crispHours } from '../ganache/temper.ts';
import { coarse, grow, perimeterMm, type Outline, type Point } from '../outline/outline.ts';
import { foodOf } from '../pantry/find.ts';
import type { Food, Spread } from '../pantry/types.ts';
import { sinks, steepestDegrees } from '../toppings/holds.ts';
import { modelledG } from '../toppings/modelled.ts';
import { linkedCount, oddCount, placePieces } from '../toppings/place.ts';
import { ribbonG, ribbonMm, seatG, sideHold, sidePlaces, type SideHold } from '../toppings/side.ts';
import {
  drizzleG,
  heapG,
  heapHighMm,
  reposeDeg,
  trayFor,
  wreathG,
  type TrayPlan,
} from '../toppings/tray.ts';

/** The top that toppings stand on. */
export interface Top {
  finished: Outline;
  /** Where the top ends, and how something lies on it. */
  rim: Outline;
  lieAt: (x: number, y: number) => Lie;
  /** The tier above, where there is one. */
  above: Outline | null;
  /** What they stand on, and how warm it is where the cake is shown. */
  spread: Spread | null;
  tempC: number;
  /** The side below it: how high it stands, and what it is coated with. */
  highMm: number;
  sideSpread: Spread | null;
  spreadOf: (id: string) => Spread | null;
}

/** One topping as it comes to be: how many, where, how heavy, and whether the top bears it. */
export interface ToppingPlan {
  topping: Topping;
  asked: number;
  count: number;
  places: Point[];
  massG: number;
  /** Of one piece: as weighed, or of a slab by its size. */
  pieceG: number;
  sinks: boolean;
  steepestDegrees: number;
  /** How each lies on the top, and how many of them slide there; empty for what is on the side. */
  lies: Lie[];
  sliding: number;
  tray: TrayPlan | null;
  /** Heights of the places on the side above its foot, mm, and each one's share of the rim; null for what is on the top. */
  onSide: { upsMm: number[]; shares: number[]; hold: SideHold } | null;
  /** Frosting that all of it is seated in, g. */
  seatG: number;
  /** Foot of one piece, mm2. */
  footMm2: number;
  /** Length of a ribbon, mm. */
  ribbonMm: number | null;
  /** Hours that a crisp piece stays crisp; null where nothing of the kind. */
  crispH: number | null;
}

/** Part of a piece by which it touches what it lies on. */
const contactShare = 0.6;

/** Density of brittle and set chocolate, g/mL. */
const slabDensity = 1.3;

/** Pieces asked for: counted by another where it is linked, odd when that is wanted. */
function askedOf(
  topping: Topping,
  all: readonly Topping[],
  pipedPieces: ReadonlyMap<string, number>,
  seen: readonly string[] = [],
): number {
  const { linkedTo, every, odd, count } = topping;
  const odded = (n: number): number => (odd ? oddCount(n) : n);
  if (linkedTo === null || seen.includes(topping.id)) return odded(count);
  const pieces = pipedPieces.get(linkedTo);
  if (pieces !== undefined) return linkedCount(pieces, every);
  const other = all.find((one) => one.id === linkedTo);
  if (!other) return odded(count);
  return linkedCount(askedOf(other, all, pipedPieces, [...seen, topping.id]), every);
}

const pieceOf = ({ tray, modelled, acrossMm, highMm, pieceG }: Topping): number =>
  tray
    ? (acrossMm * highMm * tray.thickMm * slabDensity) / 1000
    : modelled
      ? modelledG(modelled.form, acrossMm, highMm)
      : pieceG;

/** As high as it was asked for, and no higher than it piles. */
export const heapedMm = ({ acrossMm, highMm }: Topping): number =>
  Math.min(highMm, heapHighMm(acrossMm, reposeDeg.max));

const massOf = (
  topping: Topping,
  count: number,
  line: Outline | null,
  finished: Outline,
): number => {
  const { kind, acrossMm, packing, densityGPerMl, lengthMm } = topping;
  switch (kind) {
    case 'pieces':
      return pieceOf(topping) * count;
    case 'heap':
      return heapG(acrossMm, heapedMm(topping), packing, densityGPerMl);
    case 'wreath':
      return line ? wreathG(perimeterMm(line), acrossMm, packing, densityGPerMl) : 0;
    case 'drizzle':
      return drizzleG(lengthMm, acrossMm, densityGPerMl);
    case 'ribbon':
      return ribbonG(ribbonMm(finished), acrossMm);
  }
};

/** The slab that pieces are broken from; of a heap or a wreath every splinter is used. */
const slabFor = (
  { kind, acrossMm, highMm }: Topping,
  { thickMm, wholeShare, spreads }: NonNullable<Topping['tray']>,
  count: number,
  massG: number,
): TrayPlan =>
  kind === 'pieces'
    ? trayFor(count, acrossMm * highMm, thickMm, slabDensity, wholeShare, spreads)
    : trayFor(1, (massG * 1000) / (thickMm * slabDensity), thickMm, slabDensity, 1, spreads);

/** Every topping of a tier (docs/model.md#piping-and-toppings). */
export function planToppings(
  toppings: readonly Topping[],
  top: Top,
  pipedPieces: ReadonlyMap<string, number>,
): ToppingPlan[] {
  return toppings.map((topping) => {
    const asked = topping.kind === 'pieces' ? askedOf(topping, toppings, pipedPieces) : 1;
    const line =
      topping.kind === 'wreath'
        ? grow(coarse(top.rim), -(topping.insetMm + topping.acrossMm / 2))
        : null;
    const { side } = topping;
    const onSide =
      side && topping.kind === 'pieces' ? sidePlaces(top, side, asked, topping.acrossMm) : null;
    const places =
      onSide ??
      (topping.kind === 'pieces'
        ? placePieces(top.rim, {
            ...topping,
            count: asked,
            taken: top.above,
          })
        : []);
    const lies = onSide ? [] : places.map(({ x, y }) => top.lieAt(x, y));
    const count = topping.kind === 'pieces' ? places.length : 1;
    const piece = {
      massG: pieceOf(topping),
      contactCm2: Math.max(0.05, ((Math.PI / 4) * topping.acrossMm ** 2 * contactShare) / 100),
    };
    const massG = massOf(topping, count, line, top.finished);
    const seat = side?.dabSpreadId ? top.spreadOf(side.dabSpreadId) : null;
    const stuck =
      topping.pick !== 'none' || topping.kind !== 'pieces' || top.spread === null || side !== null;
    const steepest = top.spread ? steepestDegrees(piece, top.spread, top.tempC) : 90;
    return {
      topping,
      asked,
      count,
      places,
      massG,
      pieceG: piece.massG,
      sinks: !stuck && sinks(piece, top.spread!, top.tempC),
      steepestDegrees: steepest,
      lies,
      sliding: stuck ? 0 : lies.filter(({ slopeDeg }) => slopeDeg > steepest).length,
      onSide: onSide && {
        upsMm: onSide.map(({ upMm }) => upMm),
        shares: onSide.map(({ share }) => share),
        hold: sideHold(piece, seat ?? top.sideSpread, topping, top.tempC),
      },
      seatG: seat && topping.kind === 'pieces' ? count * seatG(piece.contactCm2, seat) : 0,
      footMm2: piece.contactCm2 * 100,
      ribbonMm: topping.kind === 'ribbon' ? ribbonMm(top.finished) : null,
      tray: topping.tray ? slabFor(topping, topping.tray, count, massG) : null,
      crispH: topping.crisp ? crispHours(topping.crisp.thickMm, topping.crisp.filmed) : null,
    };
  });
}

/**
 * What pieces that are made here, modelled or from a slab, are coloured with; null for those that are left
 * as they are or come in their colour. A drizzle is coloured in its bowl.
 */
export const toppingTinted = (
  { topping, massG, tray }: Pick<ToppingPlan, 'topping' | 'massG' | 'tray'>,
  colours: readonly Colour[],
  foods: readonly Food[],
): TintNote | null =>
  topping.tint.trim() && (topping.modelled || tray)
    ? tintNote(
        colourOf(colours, topping.tint),
        tray?.massG ?? massG,
        chocolateOf(foodOf(foods, topping.foodId)) !== null,
        foods,
      )
    : null;

/** Everything that must come out before the cake is eaten. */
export function nonFoodOf(
  plans: readonly ToppingPlan[],
): { id: string; name: string; count: number; places: Point[] }[] {
  return plans
    .filter(({ topping, count }) => (topping.pick !== 'none' || !topping.eaten) && count > 0)
    .map(({ topping, count, places }) => ({
      id: topping.id,
      name: topping.eaten ? `${topping.pick} of ${topping.name}` : topping.name,
      count,
      places,
    }));
}
