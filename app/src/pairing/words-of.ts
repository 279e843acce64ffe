import type { Word } from '../storage/channel.ts';
import type { Database } from '../storage/database.ts';
import { itemOf, kindOf, kinds } from './things.ts';

/* Between the names of things and the words that windows tell each other. */

/** What other windows are told when things were changed by another device: each word once. */
export async function wordsFor(db: Database, items: readonly string[]): Promise<Word[]> {
  const words = new Map<string, Word>();
  for (const item of items) {
    const of = kindOf(item);
    if (!of) continue;
    const stored = of.kind === kinds.cake ? await db.builds.get(of.id) : null;
    const word: Word =
      of.kind === kinds.cake && !stored
        ? { kind: 'removed', id: of.id }
        : of.kind.word(of.id, stored?.revision ?? 0);
    words.set(JSON.stringify(word), word);
    if (of.kind === kinds.cake) words.set('shelf', { kind: 'shelf' });
  }
  return [...words.values()];
}

/** The things that may have changed when a window says a word. */
export async function itemsFor(db: Database, word: Word): Promise<string[]> {
  const all = async (...names: (keyof typeof kinds)[]): Promise<string[]> => {
    const items: string[] = [];
    for (const name of names) {
      for (const id of await kinds[name]!.ids(db)) items.push(itemOf(name, id));
      // what was taken away is not among them
      const head = `${name}/`;
      const known = await db.carried.where('item').startsWith(head).primaryKeys();
      items.push(...known);
    }
    return [...new Set(items)];
  };
  switch (word.kind) {
    case 'build':
    case 'removed': {
      const photos = await db.photos.where('buildId').equals(word.id).primaryKeys();
      const records = await db.records.where('buildId').equals(word.id).primaryKeys();
      return [
        itemOf('cake', word.id),
        ...records.map((id) => itemOf('record', id)),
        ...photos.map((id) => itemOf('photo', id)),
      ];
    }
    case 'pantry':
      return all('row', 'kitchen');
    case 'hand':
      return all('record', 'try', 'off');
    case 'shelf':
      return all('cake', 'examples');
    case 'devices':
      return all('device');
    case 'settings':
    case 'met':
      return [];
  }
}
