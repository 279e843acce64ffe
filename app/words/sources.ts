import { readdirSync, readFileSync } from 'node:fs';
import { join, relative, sep } from 'node:path';
import { fileURLToPath } from 'node:url';
import { idsOf } from './rewrite.ts';

/** The folder of the whole project. */
export const project = fileURLToPath(new URL('../..', import.meta.url));

/** What holds words for people, from the project's folder. */
const roots = ['app/src', 'core/src'];

/** Where no word is ever shown: frozen literals of files as they were, keys of the store, style sheets, seals of what is sent. */
const unread =
  /^(?:core\/src\/document\/migrations\/|core\/src\/pairing\/(?:code|seal)\.|app\/src\/storage\/(?:database|drawn)\.|app\/src\/styles\/)/;

/** The path of a source from the project's folder, with strokes as on every system; null for what has no words. */
export function sourceOf(path: string): string | null {
  const from = relative(project, path).split(sep).join('/');
  return roots.some((root) => from.startsWith(`${root}/`)) &&
    /\.(?:ts|vue)$/.test(from) &&
    !from.endsWith('.d.ts') &&
    !unread.test(from)
    ? from
    : null;
}

const filesIn = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((one) =>
    one.isDirectory() ? filesIn(join(folder, one.name)) : [join(folder, one.name)],
  );

/** Every source with words for people, in the order of their paths. */
export const sources = (): { path: string; code: string }[] =>
  roots
    .flatMap((root) => filesIn(join(project, root)))
    .flatMap((file) => {
      const path = sourceOf(file);
      return path ? [{ path, code: readFileSync(file, 'utf8') }] : [];
    })
    .sort((a, b) => (a.path < b.path ? -1 : 1));

/** The values of the program that look like words for people, and are none. */
export function programValues(files = sources()): Set<string> {
  const ids = new Set<string>();
  for (const { path, code } of files) idsOf(path, code, ids);
  return ids;
}
