import { asObject, type Loose } from '../loose.ts';
import { buildVersion } from '../types.ts';
import { from1to2 } from './to-2.ts';
import { buildFrom2, rowFrom2 } from './to-3.ts';
import { buildFrom3, foodsFor, rowFrom3 } from './to-4.ts';
import { buildFrom4, rowFrom4 } from './to-5.ts';
import { buildFrom5 } from './to-6.ts';
import { buildFrom6 } from './to-7.ts';
import { buildFrom7, rowFrom7 } from './to-8.ts';
import { buildFrom8 } from './to-9.ts';
import { buildFrom9, rowFrom9 } from './to-10.ts';
import { buildFrom10, rowFrom10 } from './to-11.ts';
import { buildFrom11, rowFrom11 } from './to-12.ts';
import { buildFrom12, rowFrom12 } from './to-13.ts';
import { buildFrom13, rowFrom13 } from './to-14.ts';
import { buildFrom14, rowFrom14 } from './to-15.ts';
import { buildFrom15, rowFrom15 } from './to-16.ts';
import { buildFrom16 } from './to-17.ts';
import { buildFrom17, rowFrom17 } from './to-18.ts';
import { buildFrom18 } from './to-19.ts';

/*
 * Each file here says what one version added, in figures of its own: what a new cake has today may change,
 * what an older file meant does not. Rows of the house are looked up by their id.
 */

type RowStep = (table: string, row: unknown) => Loose;
const asItWas: RowStep = (_table, row) => asObject(row);

const renewRows = (rows: Loose, renew: RowStep): Loose =>
  Object.fromEntries(
    Object.entries(rows).map(([table, list]) => [
      table,
      Array.isArray(list) ? list.map((row) => renew(table, row)) : list,
    ]),
  );

/** To one version from the one before: its build, its rows, tables that came with it, and the rest of the file. */
const to =
  (
    version: number,
    renewBuild: (build: unknown) => Loose,
    renew: RowStep = asItWas,
    more: (rows: Loose) => { pantry?: Loose; file?: Loose } = () => ({}),
  ) =>
  (file: Loose): Loose => {
    const rows = renewRows(asObject(file.pantry), renew);
    const { pantry = {}, file: rest = {} } = more(rows);
    return {
      ...file,
      ...rest,
      version,
      build: renewBuild(file.build),
      pantry: { ...pantry, ...rows },
    };
  };

const steps: Record<number, (file: Loose) => Loose> = {
  1: from1to2,
  2: to(3, buildFrom2, rowFrom2, () => ({ pantry: { others: [] } })),
  3: to(4, buildFrom3, rowFrom3, ({ recipes }) => ({ pantry: { foods: foodsFor(recipes) } })),
  4: to(5, buildFrom4, rowFrom4, () => ({ pantry: { ganaches: [] } })),
  5: to(6, buildFrom5),
  6: to(7, buildFrom6, asItWas, () => ({ pantry: { dowels: [] } })),
  7: to(8, buildFrom7, rowFrom7),
  8: to(9, buildFrom8, asItWas, () => ({ file: { carvings: [] } })),
  9: to(10, buildFrom9, rowFrom9),
  10: to(11, buildFrom10, rowFrom10),
  11: to(12, buildFrom11, rowFrom11, () => ({ pantry: { stock: [] } })),
  12: to(13, buildFrom12, rowFrom12),
  13: to(14, buildFrom13, rowFrom13),
  14: to(15, buildFrom14, rowFrom14),
  // what the solids answered did not say how high a carved top is: they are asked again
  15: to(16, buildFrom15, rowFrom15, () => ({ file: { carvings: [] } })),
  16: to(17, buildFrom16),
  17: to(18, buildFrom17, rowFrom17),
  18: to(19, buildFrom18),
};

/** Brings the contents of a build file up to the version this program writes, step by step. */
export function migrate(file: Loose): Loose {
  let now = file;
  for (let version = now.version; version !== buildVersion; version = now.version) {
    const step = typeof version === 'number' ? steps[version] : undefined;
    if (!step) return now;
    now = step(now);
  }
  return now;
}
