/* Which texts of the program are for people. Values that only the program reads are single words or hold signs. */

/** What is filled in when a text is shown: "{0}" by its place, "{mass}" by its name. */
export const slotSign = /\{\w+\}/g;

const withoutSlots = (text: string): string => text.replace(slotSign, ' ');

/** Addresses, markup, styles and drawings: they hold a space, too, and nobody reads them. */
const signs =
  /[<>=|]|^[#.@/-]|\w\(|:\/\/|^\s*[\d.]+px|\b(?:px|rem|em|vh|fr)\b|^use strict$|^[\w-]+\/[\w.+-]+(?:;|$)|^\(?(?:min|max|prefers)-|(?:^|\s)(?:MMMM?|yyyy|EEEE?|aaa)(?:$|[\s,])|:mm\b|sans-serif|"\w+":\s|#include|\bgl_|\bvec[234]\b|\buniform\b/;

/** Whether a text is written for a program: an address, markup, a style, a format of days. */
export const looksCoded = (text: string): boolean => signs.test(text.trim());

/** Whether people can read words in a text at all. */
export const hasWords = (text: string): boolean => /\p{L}{2,}/u.test(withoutSlots(text));

/** Whether a text by itself tells that it is for people: a space beside its words, and no signs of a program. */
export const looksRead = (text: string): boolean =>
  hasWords(text) && /\s/.test(text) && !looksCoded(text);

/** Attributes of templates that are shown or read out. */
export const readAttributes = new Set([
  'alt',
  'aria-description',
  'aria-label',
  'aria-placeholder',
  'aria-roledescription',
  'aria-valuetext',
  'auto',
  'close-label',
  'hint',
  'label',
  'more',
  'no-data-text',
  'none',
  'placeholder',
  'prefix',
  'subject',
  'subtitle',
  'suffix',
  'text',
  'tip',
  'title',
  'what',
]);

/** Attributes that hold spaces and are never shown. */
export const unreadAttributes = new Set([
  'accept',
  'aria-controls',
  'aria-describedby',
  'aria-labelledby',
  'autocomplete',
  'class',
  'content-class',
  'd',
  'data-test',
  'for',
  'id',
  'key',
  'location',
  'origin',
  'points',
  'rel',
  'role',
  'sizes',
  'stroke-dasharray',
  'style',
  'transform',
  'transition',
  'type',
  'viewBox',
]);

/** Properties whose words are shown, be it one word alone; of those in `mayBeIds` a value of the program is one. */
export const mayBeIds = new Set(['none', 'why']);
export const readProperties = new Set([
  'caption',
  'heading',
  'hint',
  'label',
  'lead',
  'means',
  'none',
  'note',
  'notes',
  'placeholder',
  'said',
  'says',
  'subtitle',
  'text',
  'tip',
  'title',
  'why',
  'word',
  'words',
]);

/** Functions that take words for people, and which of their values those are. */
export const readArguments: Record<string, readonly number[]> = {
  called: [0],
  food: [1],
  from: [1],
  ganache: [1],
  given: [0],
  other: [1],
  phrase: [0],
  read: [3],
  recipe: [1],
  row: [1],
  side: [1, 2, 3],
  spread: [1],
  step: [3],
  use: [3],
  word: [0],
};

/** Functions whose values are never shown, be there a space in them. */
export const unreadCalls = new Set([
  'closest',
  'matchMedia',
  'querySelector',
  'querySelectorAll',
  'stores',
]);
