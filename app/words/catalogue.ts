import type { Forms } from './rewrite.ts';
import { keyOf, messagesOf } from './rewrite.ts';
import { pageWords } from './page.ts';
import { slotSign } from './looks.ts';
import { programValues, sources } from './sources.ts';

/**
 * Every text of the interface by the folder in which it stands, each with what it is in a language. English is its own
 * translation; a text that stands in two folders may have two.
 */
export type Catalogue = Record<string, Record<string, string | Forms>>;

/** The folder of a source as the catalogue names it: "app/bench", "core/carve". */
export const folderOf = (path: string): string => {
  const [part, , folder, file] = path.split('/');
  return file === undefined ? part! : `${part!}/${folder!}`;
};

/** The catalogue of English: each text of the sources as it stands there. */
export function english(files = sources()): Catalogue {
  const ids = programValues(files);
  const found: Catalogue = { app: Object.fromEntries(pageWords.map((text) => [text, text])) };
  for (const { path, code } of files)
    for (const message of messagesOf(path, code, ids)) {
      const key = keyOf(message);
      (found[folderOf(path)] ??= {})[key] = key;
    }
  return found;
}

const slotsOf = (text: string): string => [...new Set(text.match(slotSign) ?? [])].sort().join(' ');

/** What is wrong with a translation, a line each: texts that the program has not, and slots that were lost. */
export function faultsOf(translation: Catalogue, of: Catalogue): string[] {
  return Object.entries(translation).flatMap(([folder, texts]) =>
    Object.entries(texts).flatMap(([text, said]) => {
      const where = `${folder}, “${text}”`;
      if (of[folder]?.[text] === undefined) return [`${where}: no text of the program`];
      const fits = (form: string): boolean => slotsOf(form) === slotsOf(text);
      const lost = (form: string): string =>
        `${where}: “${form}” has not the slots ${slotsOf(text) || 'none'}`;
      if (typeof said === 'string') return fits(said) ? [] : [lost(said)];
      const { by, other, ...forms } = said;
      if (typeof other !== 'string') return [`${where}: has no form “other”`];
      // "a layer" says how many without its figure
      return [other, ...Object.values(forms).map(String)]
        .filter((form) => !fits(form) && (form === other || !fits(`${form}{${by}}`)))
        .map(lost);
    }),
  );
}

/** How far a translation is: texts that it has, of all there are. */
export const doneOf = (translation: Catalogue, of: Catalogue): [done: number, all: number] => {
  const pairs = Object.entries(of).flatMap(([folder, texts]) =>
    Object.keys(texts).map((text) => translation[folder]?.[text] !== undefined),
  );
  return [pairs.filter(Boolean).length, pairs.length];
};
