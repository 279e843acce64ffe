import { asList, asObject, type Loose } from '../loose.ts';

/*
 * From version 13 to 14: what is set inside a cream is a list, each thing at its height; tiers can be
 * set in a mould; pieces in a filling are a list, and it says in which order and how it is laid; a name
 * of a colour has a look; and a gelatine says how strong it is.
 */

/** A disc lay in the middle of its layer, and took up so much of its height at most. */
const mostOfLayer = 0.9;
/** The house's gelatine powder, g of bloom. */
const blooms: Record<string, number> = { gelatine: 200 };

/** What of the house's ingredients is set on cakes. */
const piece = (
  massG: number,
  acrossMm: number,
  highMm: number,
  tone: string,
  last: boolean,
): Loose => ({ massG, acrossMm, highMm, tone, last, crispMm: null });
const pieces: Record<string, Loose> = {
  raspberries: piece(4, 20, 20, 'berry', true),
  strawberries: piece(18, 30, 35, 'berry', true),
  blackcurrants: piece(1, 10, 10, 'berry', true),
  figs: piece(22, 42, 24, 'berry', true),
  walnuts: piece(3, 26, 12, 'nut', false),
  hazelnuts: piece(1.1, 14, 14, 'nut', false),
  pistachios: piece(0.6, 10, 8, 'leaf', false),
  'chocolate-chips': piece(0.3, 8, 6, 'ganache', false),
};

const isNumber = (value: unknown): value is number => typeof value === 'number';

/** The disc that a layer had, as the only one of a list. */
function insetsOf(layer: Loose): Loose[] {
  if (layer.inset === null || layer.inset === undefined) return [];
  const inset = asObject(layer.inset);
  const { heightMm } = inset;
  const high = layer.heightMm;
  const upMm =
    isNumber(heightMm) && isNumber(high)
      ? Math.max(0, (high - Math.min(heightMm, high * mostOfLayer)) / 2)
      : 0;
  return [{ id: 'inset-1', otherId: null, ...inset, upMm }];
}

/** Fields that version 14 added to rows. */
export function rowFrom13(table: string, value: unknown): Loose {
  const row = asObject(value);
  return table === 'foods'
    ? { bloom: blooms[String(row.id)] ?? null, piece: pieces[String(row.id)] ?? null, ...row }
    : row;
}

/** What a name of a colour looked like, to begin with: the first of these words in it, paler or deeper by others. */
const looks: [word: RegExp, hex: string][] = [
  [/pink|rose|blush/, '#e58aa0'],
  [/red|crimson|cherry/, '#b3202c'],
  [/burgundy|wine|claret/, '#6d1a2d'],
  [/orange|apricot|peach|coral/, '#ee8f4e'],
  [/yellow|lemon|sun/, '#f2cf4a'],
  [/gold|ochre|amber/, '#c9993a'],
  [/mint/, '#9fd8c0'],
  [/green|sage|leaf|olive|emerald/, '#5d8f55'],
  [/turquoise|teal|aqua/, '#2f9c9a'],
  [/navy|midnight/, '#1e2a52'],
  [/blue|sky/, '#4f7fb8'],
  [/violet|purple|lilac|lavender|plum/, '#7d5aa0'],
  [/brown|chocolate|caramel/, '#7a4a2b'],
  [/black/, '#1c1a1c'],
  [/grey|gray|silver/, '#9a9a9e'],
  [/white|ivory|cream/, '#f6f0e2'],
];
const unknownLook = '#b59ac0';
const paler = /pale|light|pastel|baby|soft|quarter/;
const deeper = /strong|deep|dark|royal|full/;
const lookOf = (name: string): string => {
  const words = name.toLowerCase();
  const hex = looks.find(([word]) => word.test(words))?.[1] ?? unknownLook;
  const to = paler.test(words) ? 255 : deeper.test(words) ? 0 : null;
  if (to === null) return hex;
  const share = to === 255 ? 0.55 : 0.35;
  const parts = [1, 3, 5].map((i) => {
    const one = Number.parseInt(hex.slice(i, i + 2), 16);
    return Math.round(one + (to - one) * share)
      .toString(16)
      .padStart(2, '0');
  });
  return `#${parts.join('')}`;
};

/** Every name of a colour that a build uses, with how it looks. */
function coloursIn(build: Loose): Loose[] {
  const tiers = asList(build.tiers).map(asObject);
  const held = [
    ...tiers.flatMap((tier) => {
      const coat = asObject(tier.coat);
      const cuts = asList(asObject(tier.carving).cuts).map(asObject);
      return [
        coat.tint,
        ...asList(coat.bands).map((band) => asObject(band).tint),
        asObject(tier.fondant).tint,
        ...asList(tier.surfaces).map((one) => asObject(one).tint),
        ...cuts.map((cut) => cut.inlayTint),
      ];
    }),
    ...asList(build.piping).map((job) => asObject(job).tint),
  ];
  const names = new Map<string, string>();
  for (const one of held)
    if (typeof one === 'string' && one.trim() !== '' && !names.has(one.trim().toLowerCase()))
      names.set(one.trim().toLowerCase(), one.trim());
  return [...names.values()]
    .slice(0, 24)
    .map((name) => ({ name, hex: lookOf(name), gPerKg: null }));
}

/** Something that is poured or dripped, or nothing. */
const poured = (value: unknown): unknown =>
  value === null || value === undefined ? value : { tint: '', ...asObject(value) };

/** Fields that version 14 added to a build. */
export function buildFrom13(value: unknown): Loose {
  const build = asObject(value);
  return {
    colours: coloursIn(build),
    ...build,
    tiers: asList(build.tiers).map((tier) => {
      const own = asObject(tier);
      return {
        mould: null,
        ...own,
        coat: { crumbTint: '', ...asObject(own.coat) },
        drip: poured(own.drip),
        pour: poured(own.pour),
        gaps: asList(own.gaps).map((one) => {
          const { pieces, ...rest } = asObject(one);
          const all = Array.isArray(pieces) ? pieces : pieces ? [pieces] : [];
          return {
            order: 'filling first',
            tint: '',
            laid: 'spread',
            ...rest,
            pieces: all.map((each, i) => ({ id: `pieces-${i + 1}`, ...asObject(each) })),
          };
        }),
        layers: asList(own.layers).map((one) => {
          const { inset, ...rest } = asObject(one);
          return { insets: insetsOf({ ...rest, inset }), ...rest };
        }),
      };
    }),
  };
}
