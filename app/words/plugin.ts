import { existsSync, readFileSync } from 'node:fs';
import type { Plugin } from 'vite';
import { english, faultsOf, folderOf, type Catalogue } from './catalogue.ts';
import { pageIn } from './page.ts';
import { pseudo, pseudoFile } from './pseudo.ts';
import { messagesOf, rewritten, type Translate } from './rewrite.ts';
import { programValues, sourceOf } from './sources.ts';

/** The language that nobody speaks, which shows what is not in the catalogue. */
const pseudoLanguage = 'en-XA';

/** @throws Error naming file and text where a translation does not fit the program */
function translation(language: string): (path: string) => Translate {
  if (language === pseudoLanguage) return () => pseudo;
  const file = new URL(`./${language}.json`, import.meta.url);
  if (!existsSync(file)) throw new Error(`There is no translation app/words/${language}.json`);
  const texts = JSON.parse(readFileSync(file, 'utf8')) as Catalogue;
  const faults = faultsOf(texts, english());
  if (faults.length > 0) throw new Error(`${language}.json: ${faults.slice(0, 20).join('; ')}`);
  return (path) => (text) => texts[folderOf(path)]?.[text] ?? null;
}

/** The language of days and months and of the libraries' own controls; of the pseudo one, one in other letters. */
const ofBrowser = (language: string): string =>
  language === pseudoLanguage ? 'el' : language.split('-')[0]!;

/** What the libraries bring by language, instead of their English. */
const ofLibraries = (language: string) => {
  const own = ofBrowser(language);
  return [
    {
      english: /\/date-fns\/locale\/en-US\.js$/,
      name: 'enUS',
      from: `date-fns/locale/${own}`,
      own,
    },
    { english: /\/vuetify\/lib\/locale\/en\.js$/, from: `vuetify/lib/locale/${own}.js` },
  ];
};

/** The manifest of the installed program in a language. */
export const manifestIn = <T>(manifest: T, language: string | undefined): T =>
  language
    ? (JSON.parse(pageIn(JSON.stringify(manifest), translation(language)('app'))) as T)
    : manifest;

/** Builds the program in another language than English, in which it is written. */
export function words(language: string | undefined): Plugin[] {
  if (!language) return [];
  const translate = translation(language);
  const ids = programValues();
  const libraries = ofLibraries(language);
  return [
    {
      name: 'words',
      enforce: 'pre',
      config: () => ({
        define: { 'import.meta.env.VITE_LANGUAGE': JSON.stringify(ofBrowser(language)) },
      }),
      transform(code, id) {
        const path = id.includes('?') ? null : sourceOf(id);
        if (!path) return null;
        const messages = messagesOf(path, code, ids);
        return messages.length > 0
          ? { code: rewritten(code, messages, translate(path), language), map: null }
          : null;
      },
      // no language has a demo of its own yet, but that which is to show what is not in the catalogue
      load(id) {
        const library = libraries.find(({ english }) => english.test(id));
        if (library)
          return library.name
            ? `export { ${library.own} as ${library.name} } from '${library.from}';`
            : `export { default } from '${library.from}';`;
        if (language !== pseudoLanguage || !/\/demo\/[^/]+\.json\?raw$/.test(id)) return null;
        const json = readFileSync(id.replace(/\?raw$/, ''), 'utf8');
        return `export default ${JSON.stringify(pseudoFile(json))};`;
      },
      transformIndexHtml: (html) =>
        pageIn(html, translate('app')).replace('lang="en"', `lang="${language}"`),
    },
  ];
}
