import type { Translate } from './rewrite.ts';

/** Words of the page before the program has come, and of the installed program: they stand in no source of it. */
export const pageWords = [
  'The program is being fetched…',
  'Pyrgotect works with JavaScript, which is turned off here.',
  'Plans the build of frosted layer cakes.',
  'Plans the build of layer cakes.',
  'New cake',
  'Shopping',
  'Calendar',
];

/** A page or a manifest as text with those words in another language. */
export const pageIn = (page: string, translate: Translate): string =>
  pageWords.reduce((text, words) => {
    const said = translate(words);
    return typeof said === 'string' ? text.replaceAll(words, said) : text;
  }, page);
