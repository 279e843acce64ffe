import type { Band, Colour, GelDose } from '../document/types.ts';
import { usualOf } from '../fields/usual.ts';
import { gelSpot } from '../pantry/food-fields.ts';
import type { Food, GelSpot } from '../pantry/types.ts';
import { colourOf, depthOf } from './colour.ts';
import { differenceOf, hexOf, lightOf, type Reflectance } from './light.ts';

/*
 * What colour a frosting gets from gel, by Kubelka and Munk (1931) in its form for thick layers of one scatterer:
 * what absorbs adds up, K/S of the mixture is that of the base and of each gel by its dose. Three channels of light
 * stand for the whole of it: an estimate that says so, and that a test spot puts right.
 */

type Absorption = readonly [number, number, number];

/** K/S of a thick layer that gives back such a share of the light. */
export const absorptionOf = (share: number): number => (1 - share) ** 2 / (2 * share);
/** The share of the light that a thick layer of such a K/S gives back. */
export const reflectanceOf = (ks: number): number => 1 / (1 + ks + Math.sqrt(ks * ks + 2 * ks));

const each = (of: (k: 0 | 1 | 2) => number): [number, number, number] => [of(0), of(1), of(2)];
const absorptions = (light: Reflectance): Absorption => each((k) => absorptionOf(light[k]));
const lightFrom = (ks: Absorption): Reflectance => each((k) => reflectanceOf(ks[k]));

/** A gel, and what it absorbs: K/S that one gram of it brings to a kilogram. */
export interface Gel {
  /** The ingredient that it is; null for one that is only tried. */
  id: string | null;
  name: string;
  perG: Absorption;
}
/** Grams of one gel to the kilogram of frosting. */
export interface Dose {
  gel: Gel;
  gPerKg: number;
}

/**
 * A gel by a test spot: so much of it made a base look so. What it does not absorb in a channel, or even lightens
 * by the error of the eye, counts as nothing.
 *
 * @param gPerKg more than 0
 */
export function gelFrom(name: string, baseHex: string, gPerKg: number, seenHex: string): Gel {
  const [base, seen] = [absorptions(lightOf(baseHex)), absorptions(lightOf(seenHex))];
  return { id: null, name, perG: each((k) => Math.max(0, seen[k] - base[k]) / gPerKg) };
}

/** The colour "#rrggbb" of a base with gels in it. */
export const mixedHex = (baseHex: string, doses: readonly Dose[]): string =>
  hexOf(mixedLight(baseHex, doses));

function mixedLight(baseHex: string, doses: readonly Dose[]): Reflectance {
  const base = absorptions(lightOf(baseHex));
  return lightFrom(
    each((k) => doses.reduce((sum, { gel, gPerKg }) => sum + gel.perG[k] * gPerKg, base[k])),
  );
}

/** A gel until somebody tries it. */
export const newGelSpot = (): GelSpot => usualOf(gelSpot);

/** The gels among the ingredients; each differs from maker to maker. */
export const gelsOf = (foods: readonly Food[]): Gel[] =>
  foods.flatMap(({ id, name, gel }) =>
    gel ? [{ ...gelFrom(name, gel.onHex, gel.gPerKg, gel.hex), id }] : [],
  );

/** More gel than this makes frosting bitter and loose, g to the kilogram (trade custom). */
export const mostGelGPerKg = 40;
/** Two mixes that look alike within this: the one of fewer gels is taken. */
const worthAGel = 2;
/** From here on a colour is not reached. */
export const reachedWithin = 6;

/** Gel for a wanted colour, and what comes of it. */
export interface GelMix {
  doses: Dose[];
  hex: string;
  /** How different it looks from what was wanted, by CIE 1976. */
  difference: number;
  reached: boolean;
}

/** The doses of some gels that come nearest: each in turn to its best, until none gains. */
function nearest(baseHex: string, wanted: Reflectance, gels: readonly Gel[]): GelMix {
  const doses = gels.map((gel): Dose => ({ gel, gPerKg: 0.5 }));
  const off = (): number => differenceOf(mixedLight(baseHex, doses), wanted);
  let best = off();
  // steps of a share of the dose, and ever finer
  for (let step = 1; step > 0.004; step *= 0.62)
    for (let round = 0; round < 6; round++) {
      const before = best;
      for (const dose of doses)
        for (const by of [1 + step, 1 / (1 + step)]) {
          const was = dose.gPerKg;
          const others = doses.reduce((sum, one) => sum + (one === dose ? 0 : one.gPerKg), 0);
          dose.gPerKg = Math.min(mostGelGPerKg - others, Math.max(0.001, was * by));
          const now = off();
          if (now < best) best = now;
          else dose.gPerKg = was;
        }
      if (before - best < 1e-4) break;
    }
  const kept = doses.filter(({ gPerKg }) => gPerKg >= 0.01);
  const difference = differenceOf(mixedLight(baseHex, kept), wanted);
  return {
    doses: kept,
    hex: mixedHex(baseHex, kept),
    difference,
    reached: difference <= reachedWithin,
  };
}

/** So many of the best pairs of gels are tried with every third. */
const pairsTried = 20;

/**
 * Up to three gels, and how much of each, that bring a base nearest to a wanted colour; of mixes that look alike
 * the one of fewer gels. A colour paler than its base is not reached by any. Every pair is tried, and a third with
 * the best of them.
 */
export function mixFor(wantedHex: string, baseHex: string, gels: readonly Gel[]): GelMix {
  const wanted = lightOf(wantedHex);
  const cost = ({ difference, doses }: GelMix): number => difference + worthAGel * doses.length;
  const tried = (some: readonly Gel[]): { some: readonly Gel[]; mix: GelMix } => ({
    some,
    mix: nearest(baseHex, wanted, some),
  });
  const pairs = gels.flatMap((a, i) => gels.slice(i + 1).map((b) => tried([a, b])));
  const best = pairs.sort((a, b) => a.mix.difference - b.mix.difference).slice(0, pairsTried);
  const thirds = new Map(
    best.flatMap(({ some }) =>
      gels
        .filter((gel) => !some.includes(gel))
        .map((third) => {
          const three = gels.filter((gel) => gel === third || some.includes(gel));
          return [three.map((gel) => gels.indexOf(gel)).join(), three] as const;
        }),
    ),
  );
  const all = [tried([]), ...gels.map((gel) => tried([gel])), ...pairs, ...[...thirds.values()].map(tried)]; // prettier-ignore
  const { mix } = all.reduce((a, b) => (cost(b.mix) < cost(a.mix) ? b : a));
  return { ...mix, doses: [...mix.doses].sort((a, b) => b.gPerKg - a.gPerKg) };
}

/** A mix as a colour keeps it, to the hundredth of a gram; gels that are only tried are none of the pantry. */
export const dosesOf = ({ doses }: Pick<GelMix, 'doses'>): GelDose[] =>
  doses.flatMap(({ gel, gPerKg }) =>
    gel.id === null ? [] : [{ foodId: gel.id, gPerKg: Math.round(gPerKg * 100) / 100 }],
  );

/** Two mixes are one within this share of each gel: nobody weighs finer. */
const sameWithin = 0.05;
export const isSameMix = (a: readonly GelDose[], b: readonly GelDose[]): boolean =>
  a.length === b.length &&
  a.every(({ foodId, gPerKg }) =>
    b.some((one) => one.foodId === foodId && Math.abs(one.gPerKg / gPerKg - 1) < sameWithin),
  );

/** Drops of gel from a bottle that weigh a gram (estimate). */
export const dropsToG = 20;

/** So much gel in drops, at least one. */
export const dropsOf = (gelG: number): number => Math.max(1, Math.round(gelG * dropsToG));

/** Gel goes on dissolving: so much more of it colours after a night, at most (estimate, trade custom). */
const overnight = 1.25;
/** The colour after it stood overnight. */
export const stoodHex = (baseHex: string, doses: readonly Dose[]): string =>
  mixedHex(
    baseHex,
    doses.map(({ gel, gPerKg }) => ({ gel, gPerKg: gPerKg * overnight })),
  );

/**
 * Share of a darker bowl in a mix of two that comes nearest to a colour between them: the bands of an ombre from
 * two bowls. Both scatter alike, so K/S goes by their shares.
 */
export function shareBetween(paleHex: string, deepHex: string, wantedHex: string): number {
  const [pale, deep, wanted] = [paleHex, deepHex, wantedHex].map(lightOf);
  const [ksPale, ksDeep] = [absorptions(pale!), absorptions(deep!)];
  const off = (share: number): number =>
    differenceOf(lightFrom(each((k) => ksPale[k] * (1 - share) + ksDeep[k] * share)), wanted!);
  // colours of frosting lie close together at the pale end: looked at finely there
  let best = 0;
  for (let i = 0; i <= 400; i++) {
    const share = (i / 400) ** 2;
    if (off(share) < off(best)) best = share;
  }
  return best;
}

/** The bands of an ombre as mixes of two bowls: those of its palest and its deepest colour. */
export interface OmbreBowls {
  pale: string;
  deep: string;
  /** Share of the deep bowl in each band, from the foot up. */
  shares: number[];
}

/** How an ombre is mixed from two bowls; null for fewer than three bands, or where a colour is not picked. */
export function ombreBowls(
  bands: readonly Pick<Band, 'tint'>[],
  colours: readonly Colour[],
): OmbreBowls | null {
  const picked = bands.map(({ tint }) => colourOf(colours, tint));
  if (bands.length < 3 || picked.includes(null)) return null;
  const byDepth = [...picked].sort((a, b) => depthOf(a!.hex) - depthOf(b!.hex));
  const [pale, deep] = [byDepth[0]!, byDepth.at(-1)!];
  return {
    pale: pale.name,
    deep: deep.name,
    shares: picked.map((one) => shareBetween(pale.hex, deep.hex, one!.hex)),
  };
}
