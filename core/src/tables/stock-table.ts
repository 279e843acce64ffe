import { depthMm, widthMm, type Outline } from '../outline/outline.ts';
import { stockPlaces, type Pantry, type Stock } from '../pantry/types.ts';
import { leftOf, takenOf } from '../stock/stock.ts';
import { readRows, type Cells } from './rows.ts';
import { writeTable, type CsvResult } from './table.ts';

/**
 * Columns of the table of what was put away. A line with a shape is of layers of a sponge, one without is a bowl
 * of a filling or frosting; "left" counts layers, or grams, that no cake has taken.
 */
export const putAwayColumns = [
  'id',
  'name',
  'made of',
  'shape',
  'width mm',
  'depth mm',
  'layer mm',
  'left',
  'kept in',
  'made on',
] as const;
type PutAwayColumn = (typeof putAwayColumns)[number];
/** The tables of the pantry that say what was put away, and of what. */
export type PutAwayKitchen = Pick<Pantry, 'sponges' | 'spreads' | 'stock'>;

/** Shapes that are known by how wide and deep they are. */
const simpleShapes = new Map<
  string,
  (width: number, depth: number, was: Outline | null) => Outline
>([
  ['round', (diameterMm) => ({ kind: 'round', diameterMm })],
  [
    'square',
    (sideMm, _, was) => ({
      ...{ kind: 'square', sideMm },
      cornerMm: was?.kind === 'square' ? was.cornerMm : 0,
    }),
  ],
  [
    'rectangle',
    (width, depth, was) => ({
      ...{ kind: 'rectangle', widthMm: width, depthMm: depth },
      cornerMm: was?.kind === 'rectangle' ? was.cornerMm : 0,
    }),
  ],
  ['oval', (width, depth) => ({ kind: 'oval', widthMm: width, depthMm: depth })],
]);
const one = (mm: number): number => Number(mm.toFixed(1));

/** The shape that a line means; null where it has none, or none that can be made of what it says. */
function outlineOf(cells: Cells<PutAwayColumn>, was: Outline | null): Outline | null {
  const shape = cells.text('shape');
  const [wasWide, wasDeep] = was ? [one(widthMm(was)), one(depthMm(was))] : [null, null];
  const width = cells.figure('width mm', wasWide);
  const depth = cells.figure('depth mm', wasDeep) ?? width;
  if (shape === null) {
    if (!was) return null;
  } else if (shape === '') return null;
  const kind = shape?.toLowerCase() ?? was!.kind;
  // as it was: a drawn shape keeps its line, and its measures all their digits
  if (was?.kind === kind && width === wasWide && depth === wasDeep) return was;
  const make = simpleShapes.get(kind);
  if (!make)
    cells.wrong(
      'shape',
      shape ?? kind,
      `is not one of: ${[...simpleShapes.keys()].join(', ')}; other shapes are drawn in the pantry`,
    );
  else if (width === null || depth === null)
    cells.wrong('width mm', '', 'is missing for layers; they have a shape');
  else return make(width, depth, was);
  return was;
}

/**
 * Reads what was put away. A row with the id of a known one changes it, others are added. All of it or
 * nothing: every problem names its line, column and value.
 *
 * @param freshId makes an id for a row that has none
 * @param today "2027-05-03", on which what says no day was made
 */
export function readPutAway(
  text: string,
  { sponges, spreads, stock }: PutAwayKitchen,
  freshId: () => string,
  today: string,
): CsvResult<Stock> {
  const byId = new Map(stock.map((row) => [row.id, row]));
  const seen = new Map<string, number>();
  return readRows(text, 'stock', putAwayColumns, ['name', 'left'], (cells): Stock => {
    const id = cells.text('id') ?? '';
    const before = byId.get(id) ?? null;
    const again = id === '' ? undefined : seen.get(id);
    if (again !== undefined) cells.wrong('id', id, `is in line ${again} already`);
    seen.set(id, cells.line);
    const outline = outlineOf(cells, before?.layer?.outline ?? null);
    const heightMm = cells.figure('layer mm', before?.layer?.heightMm ?? null);
    if (outline && heightMm === null) cells.wrong('layer mm', '', 'is missing for layers');
    const made = cells.text('made of');
    const from = outline ? sponges : spreads;
    const source =
      made === null
        ? before && from.find((row) => row.id === before.madeOfId)
        : from
            .filter((row) => row.id === made || row.name.toLowerCase() === made.toLowerCase())
            // of two with the same name it stays that which it was
            .sort(
              (a, b) => Number(b.id === before?.madeOfId) - Number(a.id === before?.madeOfId),
            )[0];
    if (!source)
      cells.wrong(
        'made of',
        made ?? '',
        outline ? 'is no sponge of the pantry' : 'is no filling or frosting of the pantry',
      );
    const place = cells.text('kept in')?.toLowerCase() ?? before?.keptIn ?? 'freezer';
    const keptIn = stockPlaces.find((one) => one === place);
    if (!keptIn) cells.wrong('kept in', place, `is not one of: ${stockPlaces.join(', ')}`);
    const left = cells.figure('left', 0);
    const taken = before ? takenOf(before) : 0;
    if (left === null) cells.wrong('left', '', 'is missing');
    // a row that nobody took of and that is gone was never there
    else if (left + taken === 0) cells.wrong('left', '0', 'leaves nothing of it: take the row out of the pantry'); // prettier-ignore
    return {
      id: before?.id ?? freshId(),
      name: cells.text('name') ?? '',
      source: 'own',
      ranges: before?.ranges ?? {},
      madeOfId: source?.id ?? '',
      layer: outline && { outline, heightMm: heightMm ?? 0 },
      // what cakes took of it was there as well
      amount: (left ?? 0) + taken,
      keptIn: keptIn ?? 'freezer',
      madeOn: cells.text('made on') || (before?.madeOn ?? today),
      taken: before?.taken ?? [],
    };
  });
}

/** What was put away as a table that `readPutAway` reads back. */
export const writePutAway = ({ sponges, spreads, stock }: PutAwayKitchen): string =>
  writeTable(
    putAwayColumns,
    stock.map((row) => {
      const { id, name, madeOfId, layer, keptIn, madeOn } = row;
      const source = (layer ? sponges : spreads).find((each) => each.id === madeOfId);
      return [
        ...[id, name, source?.name ?? madeOfId],
        ...(layer
          ? [
              layer.outline.kind,
              one(widthMm(layer.outline)),
              one(depthMm(layer.outline)),
              layer.heightMm,
            ]
          : [null, null, null, null]),
        ...[leftOf(row), keptIn, madeOn],
      ];
    }),
  );
