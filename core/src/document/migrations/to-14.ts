import { asList, asObject, type Loose } from '../loose.ts';

/*
 * From version 13 to 14: what is set inside a cream is a list, each thing at its height; tiers can be
 * set in a mould; pieces in a filling are a list, and it says in which order and how it is laid; and a
 * gelatine says how strong it is.
 */

/** A disc lay in the middle of its layer, and took up so much of its height at most. */
const mostOfLayer = 0.9;
/** The house's gelatine powder, g of bloom. */
const blooms: Record<string, number> = { gelatine: 200 };

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
  return table === 'foods' ? { bloom: blooms[String(row.id)] ?? null, ...row } : row;
}

/** Fields that version 14 added to a build. */
export function buildFrom13(value: unknown): Loose {
  const build = asObject(value);
  return {
    ...build,
    tiers: asList(build.tiers).map((tier) => {
      const own = asObject(tier);
      return {
        mould: null,
        ...own,
        gaps: asList(own.gaps).map((one) => {
          const { pieces, ...rest } = asObject(one);
          const all = Array.isArray(pieces) ? pieces : pieces ? [pieces] : [];
          return {
            order: 'filling first',
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
