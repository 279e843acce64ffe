import { limits } from '../document/limits.ts';
import type { Topping } from '../document/finish-types.ts';
import type { Build, Colour, Tier } from '../document/types.ts';
import type { Look } from '../pantry/types.ts';

/** The colour that a name stands for in a cake; null for none, and for one that nobody has picked. */
export const colourOf = (colours: readonly Colour[], name: string): Colour | null => {
  const wanted = name.trim().toLowerCase();
  return wanted === ''
    ? null
    : (colours.find((one) => one.name.trim().toLowerCase() === wanted) ?? null);
};
/** How something is drawn that has a colour by its name; as its material where it is left as it is. */
export const lookOf = (colours: readonly Colour[], name: string, tone: Look): Look => {
  const hex = colourOf(colours, name)?.hex;
  return hex === undefined ? tone : (hex as Look);
};

const channels = (hex: string): [number, number, number] => {
  const n = Number.parseInt(hex.slice(1), 16);
  return [(n >> 16) & 255, (n >> 8) & 255, n & 255];
};

/**
 * How far a colour is from the pale frosting that it is stirred into, 0 to 1: by what its weakest channel
 * lacks of white. A pastel comes to a fifth, a clear blue to two thirds, black to 1.
 */
export const depthOf = (hex: string): number => 1 - Math.min(...channels(hex)) / 255;

/** From here on it is said to be strong, and up to here pale. */
const strongFrom = 0.8;
const paleTo = 0.4;
export type Shade = 'pale' | 'medium' | 'strong';
export const shadeOf = (depth: number): Shade =>
  depth >= strongFrom ? 'strong' : depth <= paleTo ? 'pale' : 'medium';

/** Gel of a pastel, g to the kilogram, and how fast it grows with depth (estimates, by trade custom: 1 to 12 g). */
const gel = { atPale: 0.8, pale: 0.2, grows: 3.3 };
/** Grams to the kilogram of all gels of a mix. */
const dosedG = ({ doses }: Colour): number => doses.reduce((sum, { gPerKg }) => sum + gPerKg, 0);
/** The gels of a colour's mix, each with its share of all the gel; a test spot asks for more or less of the same mix. */
export const gelShares = (colour: Colour): { foodId: string; share: number }[] =>
  colour.doses.map(({ foodId, gPerKg }) => ({ foodId, share: gPerKg / dosedG(colour) }));
/** Where nobody has picked what a name looks like, as a colour of middling depth. */
const unknownDepth = 0.6;

/** Gel for a colour, g to the kilogram: by its own test spot, by the mix that was taken, or by how deep it is. */
export const gelGPerKg = (colour: Colour | null): number =>
  colour?.gPerKg ??
  (colour && colour.doses.length > 0 ? dosedG(colour) : null) ??
  gel.atPale * Math.exp(gel.grows * ((colour ? depthOf(colour.hex) : unknownDepth) - gel.pale));

/** Between two colours, by a share of the way: as bands run into each other. */
export function mixHex(a: string, b: string, share: number): string {
  const [from, to] = [channels(a), channels(b)];
  const parts = from.map((one, i) => Math.round(one + (to[i]! - one) * share));
  return `#${parts.map((one) => one.toString(16).padStart(2, '0')).join('')}`;
}

/** How a topping looks: what it is coloured, or what it is of. */
export const toppingLook = (
  { tint, tone }: Pick<Topping, 'tint' | 'tone'>,
  colours: readonly Colour[],
): Look => lookOf(colours, tint, tone);

/** Everything in a cake that names a colour, as objects that hold the name. */
function* tinted(build: Build): Generator<{ of: Record<string, unknown>; key: string }> {
  const at = (of: object | null, key = 'tint'): { of: Record<string, unknown>; key: string }[] =>
    of ? [{ of: of as Record<string, unknown>, key }] : [];
  for (const tier of build.tiers) {
    yield* at(tier.coat);
    yield* at(tier.coat, 'crumbTint');
    for (const one of [...tier.coat.bands, ...tier.gaps, ...tier.surfaces]) yield* at(one);
    for (const one of [tier.fondant, tier.drip, tier.pour]) yield* at(one);
    for (const one of tier.toppings) yield* at(one);
    for (const { drizzle } of tier.gaps) yield* at(drizzle);
    for (const layer of tier.layers) if (layer.otherId === null) yield* at(layer);
    for (const cut of tier.carving?.cuts ?? [])
      if (cut.kind === 'relief') yield* at(cut, 'inlayTint');
  }
  for (const job of build.piping) yield* at(job);
}

/** Names of colours that a cake uses, each once, in the order of the work. */
export const tintsIn = (build: Build): string[] => [
  ...new Set([...tinted(build)].map(({ of, key }) => String(of[key]).trim()).filter(Boolean)),
];

/** The gels of the mixes of those colours that a cake uses, each once. */
export const gelIdsIn = (build: Build): string[] => [
  ...new Set(
    tintsIn(build).flatMap((name) =>
      (colourOf(build.colours, name)?.doses ?? []).map(({ foodId }) => foodId),
    ),
  ),
];

/** Another name for a colour, wherever it stands. The draft is changed in place. */
export function renameColour(build: Build, from: string, to: string): void {
  const was = from.trim().toLowerCase();
  for (const colour of build.colours)
    if (colour.name.trim().toLowerCase() === was) colour.name = to;
  for (const { of, key } of tinted(build))
    if (String(of[key]).trim().toLowerCase() === was) of[key] = to;
}

/**
 * A colour more, or another look for one that is there. What nothing of the cake names any more, and no
 * test spot was made for, goes as it comes; of more than a cake may have it is left out. The draft is
 * changed in place.
 */
export function setColour(build: Build, colour: Colour): void {
  const known = colourOf(build.colours, colour.name);
  if (known) return void Object.assign(known, colour, { name: known.name });
  const used = new Set(tintsIn(build).map((name) => name.toLowerCase()));
  build.colours = build.colours.filter(
    ({ name, gPerKg, doses }) =>
      gPerKg !== null || doses.length > 0 || used.has(name.trim().toLowerCase()),
  );
  if (build.colours.length < limits.colours.max) build.colours.push(colour);
}

/** A test spot is tried on so much, g. */
export const spotG = 100;
/** Gel that a spot takes for so much to the kilogram, and back, g. */
export const spotOf = (gPerKg: number): number => (gPerKg * spotG) / 1000;
export const fromSpot = (gelG: number): number => (gelG * 1000) / spotG;

/** One stripe of a side: from and to, as shares of its height from the foot. */
export interface Stripe {
  from: number;
  to: number;
  look: Look;
  label: string;
  /** The band that it belongs to, by its place from below; 0 where the side has one colour. */
  band: number;
}
/** Bands that run into each other are drawn in so many stripes each. */
const blendStripes = 8;

/** The colours of a tier's side from the foot up; one stripe where it has one colour. */
export function sideStripes(tier: Tier, colours: readonly Colour[], tone: Look): Stripe[] {
  const { bands, blended, tint } = tier.coat;
  if (tier.fondant)
    return [
      {
        from: 0,
        to: 1,
        look: lookOf(colours, tier.fondant.tint, 'ivory'),
        label: 'fondant',
        band: 0,
      },
    ];
  if (bands.length === 0)
    return [{ from: 0, to: 1, look: lookOf(colours, tint, tone), label: tint, band: 0 }];
  const all = bands.reduce((sum, band) => sum + band.share, 0);
  const ends = bands.map((_, i) => bands.slice(0, i + 1).reduce((sum, band) => sum + band.share, 0) / all); // prettier-ignore
  const plain = bands.map((band, i): Stripe => ({
    from: i === 0 ? 0 : ends[i - 1]!,
    to: ends[i]!,
    look: lookOf(colours, band.tint, tone),
    label: band.tint || `band ${i + 1}`,
    band: i,
  }));
  const isPicked = plain.every(({ look }) => look.startsWith('#'));
  if (!blended || !isPicked || plain.length < 2) return plain;
  // from the middle of each band to the middle of the next
  const middles = plain.map(({ from, to }) => (from + to) / 2);
  const at = (share: number): Look => {
    const k = middles.findIndex((middle) => middle > share);
    if (k === 0) return plain[0]!.look;
    if (k < 0) return plain.at(-1)!.look;
    const between = (share - middles[k - 1]!) / (middles[k]! - middles[k - 1]!);
    return mixHex(plain[k - 1]!.look, plain[k]!.look, between) as Look;
  };
  const count = blendStripes * plain.length;
  return Array.from({ length: count }, (_, i): Stripe => {
    const middle = (i + 0.5) / count;
    const band = plain.find(({ to }) => to > middle) ?? plain.at(-1)!;
    return {
      from: i / count,
      to: (i + 1) / count,
      look: at(middle),
      label: band.label,
      band: band.band,
    };
  });
}

/** How the top of a tier looks. */
export const topLook = (tier: Tier, colours: readonly Colour[], tone: Look): Look =>
  tier.fondant
    ? lookOf(colours, tier.fondant.tint, 'ivory')
    : tier.coat.topSpreadId !== null
      ? tone
      : lookOf(colours, tier.coat.bands.at(-1)?.tint ?? tier.coat.tint, tone);
