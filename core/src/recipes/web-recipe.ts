import { decodeHTML } from 'entities';
import { tooDeepAt } from '../document/nesting.ts';
import type { Recipe } from '../pantry/types.ts';
import type { TakenRecipe } from '../tables/recipe-table.ts';
import type { CsvResult } from '../tables/table.ts';

/* Recipes as pages of the web carry them: schema.org's Recipe in JSON-LD, alone or inside a saved page. */

/** Longest page that is read, characters. */
export const maxPageLength = 8_000_000;
/** Deeper brackets and more parts than any recipe has. */
const maxDepth = 40;
const mostParts = 50_000;
const mostRecipes = 200;
const longestLine = 2000;

const refuse = (message: string): CsvResult<never> => ({
  ok: false,
  problems: [{ line: 0, column: null, value: null, message }],
});

/** True for a page of the web or JSON, whatever its file is called; a table begins otherwise. */
export const isWebRecipe = (text: string): boolean => /^[\uFEFF\s]*[<{[]/.test(text);

/**
 * The recipes in a text of JSON-LD, or in the JSON-LD of a saved page, each as lines to be read as if they had been
 * pasted. Nothing of the page runs and nothing is fetched; what is no recipe in it is passed over.
 */
export function readWebRecipes(text: string): CsvResult<TakenRecipe> {
  if (text.length > maxPageLength)
    return refuse(
      `The page is ${(text.length / 1e6).toFixed(1)} MB long. At most ${maxPageLength / 1e6} MB are read.`,
    );
  const isPage = /^[\uFEFF\s]*</.test(text);
  const blocks = isPage ? ldBlocks(text) : [text.replace(/^\uFEFF/, '')];
  if (blocks.length === 0)
    return refuse(
      'The page carries no recipe that a program can read. Copy its lines and paste them here.',
    );
  const found: TakenRecipe[] = [];
  let problem: string | null = null;
  for (const block of blocks) {
    const read = parsed(block);
    if (typeof read === 'string') problem ??= read;
    else found.push(...recipesIn(read.value));
  }
  if (found.length > mostRecipes)
    return refuse(
      `The file holds ${found.length} recipes. At most ${mostRecipes} are read at once.`,
    );
  if (found.length > 0) return { ok: true, rows: found };
  return refuse(problem ?? 'The file holds no recipe with ingredients.');
}

/** The blocks of JSON-LD in a page, found letter by letter. */
function ldBlocks(page: string): string[] {
  const blocks: string[] = [];
  const lower = page.toLowerCase();
  for (let at = lower.indexOf('<script'); at >= 0; at = lower.indexOf('<script', at + 1)) {
    const open = lower.indexOf('>', at);
    const close = open < 0 ? -1 : lower.indexOf('</script', open);
    if (close < 0) break;
    if (lower.slice(at, Math.min(open, at + 500)).includes('application/ld+json'))
      blocks.push(page.slice(open + 1, close));
    at = close;
  }
  return blocks;
}

function parsed(block: string): { value: unknown } | string {
  if (tooDeepAt(block, maxDepth) !== null)
    return `The recipe nests deeper than ${maxDepth} brackets; it is not read.`;
  try {
    return { value: JSON.parse(block) };
  } catch {
    return 'The recipe in the file is cut or broken: it is not JSON.';
  }
}

type Thing = Record<string, unknown>;
const isThing = (value: unknown): value is Thing => typeof value === 'object' && value !== null;
const listed = (value: unknown): unknown[] =>
  Array.isArray(value) ? value : value === undefined || value === null ? [] : [value];
const isOfType = (thing: Thing, name: string): boolean =>
  listed(thing['@type']).some(
    (type) => typeof type === 'string' && type.replace(/^.*[/:#]/, '') === name,
  );

/** All recipes inside a value, wherever they stand in it. */
function recipesIn(value: unknown): TakenRecipe[] {
  const found: TakenRecipe[] = [];
  const open: Thing[] = isThing(value) ? [value] : [];
  // what is added while it runs is looked at as well, each part after what stands before it
  for (const thing of open) {
    if (!Array.isArray(thing) && isOfType(thing, 'Recipe')) {
      const recipe = recipeOf(thing);
      if (recipe) found.push(recipe);
      continue;
    }
    for (const part of Object.values(thing)) {
      if (open.length >= mostParts) break;
      if (isThing(part)) open.push(part);
    }
  }
  return found;
}

/** Words without marks and entities; null where there are none. */
function plainWords(value: unknown): string | null {
  if (typeof value !== 'string' && typeof value !== 'number') return null;
  const words = decodeHTML(`${value}`.slice(0, 4 * longestLine).replace(/<[^<>]*>/g, ' '))
    .replace(/\s+/g, ' ')
    .trim()
    .slice(0, longestLine);
  return words === '' ? null : words;
}

const ingredientLine = (value: unknown): string | null => {
  if (!isThing(value)) return plainWords(value);
  const parts = [value.value, value.unitText, value.name ?? value.text].map(plainWords);
  return parts.filter((part) => part !== null).join(' ') || null;
};

/** Steps one below the other: sentences, steps, or parts that hold steps under a title. */
function stepLines(value: unknown): string[] {
  return listed(value).flatMap((step): string[] => {
    if (typeof step === 'string')
      // one text with a line for each step
      return step
        .split(/\r?\n|<br\s*\/?>|<\/(?:p|li)>/i)
        .map(plainWords)
        .filter((words) => words !== null);
    if (!isThing(step)) return [];
    if (step.itemListElement === undefined)
      return [plainWords(step.text) ?? plainWords(step.name)].filter((words) => words !== null);
    const title = plainWords(step.name);
    return [...(title ? [`${title}:`] : []), ...stepLines(step.itemListElement)];
  });
}

/** Grams that come out where the yield is a weight: servings say nothing of it. */
function yieldOf(value: unknown): number | null {
  for (const each of listed(value)) {
    const match = /^(\d+(?:[.,]\d+)?)\s*(kg|g)$/i.exec(plainWords(each) ?? '');
    if (!match) continue;
    const grams =
      Number(match[1]!.replace(',', '.')) * (match[2]!.toLowerCase() === 'kg' ? 1000 : 1);
    if (grams > 0) return grams;
  }
  return null;
}

function recipeOf(thing: Thing): TakenRecipe | null {
  const ingredients = listed(thing.recipeIngredient ?? thing.ingredients)
    .map(ingredientLine)
    .filter((line) => line !== null);
  if (ingredients.length === 0) return null;
  return {
    name: plainWords(thing.name) ?? 'Recipe without a name',
    lines: [...ingredients, ...stepLines(thing.recipeInstructions)],
    yieldG: yieldOf(thing.recipeYield),
  };
}

const grams = (g: number): string => `${Number(g.toFixed(1))} g`;

const thingOf = ({ name, ingredients, steps, yieldG, bake }: Recipe): Thing => ({
  '@type': 'Recipe',
  name,
  recipeYield: grams(yieldG),
  ...(bake ? { cookTime: `PT${Math.round(bake.minutes)}M` } : {}),
  recipeIngredient: ingredients.map((each) => `${grams(each.massG)} ${each.name}`),
  recipeInstructions: steps.map((text) => ({ '@type': 'HowToStep', text })),
});

/** Recipes as JSON-LD that `readWebRecipes` reads back, and that search engines and other kitchens read. */
export const writeWebRecipes = (recipes: readonly Recipe[]): string =>
  `${JSON.stringify(
    recipes.length === 1
      ? { '@context': 'https://schema.org', ...thingOf(recipes[0]!) }
      : { '@context': 'https://schema.org', '@graph': recipes.map(thingOf) },
    null,
    2,
  )}\n`;

const escaped = (text: string): string =>
  text.replace(/[&<>"']/g, (letter) => `&#${letter.charCodeAt(0)};`);

/** Recipes as one page that people read, and programs as well: it carries its JSON-LD. */
export function writeRecipePage(recipes: readonly Recipe[], title: string): string {
  const list = (tag: string, lines: readonly string[]): string =>
    lines.length === 0
      ? ''
      : `<${tag}>${lines.map((line) => `<li>${escaped(line)}</li>`).join('')}</${tag}>`;
  const articles = recipes.map(
    ({ name, ingredients, steps, yieldG, caution }) =>
      `<article><h2>${escaped(name)}</h2><p>Gives ${grams(yieldG)}.</p>${list(
        'ul',
        ingredients.map((each) => `${grams(each.massG)} ${each.name}`),
      )}${list('ol', steps)}${caution ? `<p><strong>${escaped(caution)}</strong></p>` : ''}</article>`,
  );
  // the sign that could end the script stands as its number in it
  const ld = writeWebRecipes(recipes).replace(/</g, '\\u003c');
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>${escaped(title)}</title><script type="application/ld+json">${ld}</script></head><body><h1>${escaped(title)}</h1>${articles.join('')}</body></html>\n`;
}
