import { shallowRef } from 'vue';

/** The text of a recipe that was brought to the shelf: it is read where recipes are. */
export const handedRecipe = shallowRef<string | null>(null);

/** Words that a page of the web and a table of recipes begin with, and no cake does. */
const headChars = 4000;

/** True of a text that holds recipes: a saved page, JSON-LD, or a table of them. */
export function holdsRecipes(name: string, text: string): boolean {
  const head = text.slice(0, headChars);
  if (/\.html?$/i.test(name)) return true;
  if (/\.(csv|tsv|txt)$/i.test(name))
    return /\brecipe\b/i.test(head) && /\bingredient\b/i.test(head);
  return /"@(type|context|graph)"\s*:/.test(head);
}
