/*
 * Where a value stands, in words: a path through a document ("tiers[0].layers[2].heightMm") is for
 * programs, and "tier 1, layer 3, height" for people.
 */

const own: Record<string, string> = {
  massG: 'weight',
  yieldG: 'yield',
  pieceG: 'weight of one piece',
  recipeId: 'recipe',
  foodId: 'ingredient',
  spongeId: 'sponge',
  spreadId: 'filling or frosting',
  tinId: 'tin',
  boardId: 'board',
  waterG: 'water it holds',
  densityGPerMl: 'density',
  batterDensityGPerMl: 'density of the batter',
  stress21Pa: 'stiffness at 21 °C',
  stress4Pa: 'stiffness at 4 °C',
  cupG: 'weight of a cup',
  waterShare: 'water',
  fatShare: 'fat',
  sugarShare: 'sugar',
  saltShare: 'salt',
};
/** Units and references at the end of a field's name. */
const endings =
  /(?:GPerCm2|GPerKg|GPerMl|MlPerMl|Mm2|Mm|Ml|KPa|MPa|GPa|Pa|Deg|Min|Ids?|Share|G|C|S|W)$/;

const words = (name: string): string =>
  own[name] ??
  (name.replace(endings, '') || name).replace(/([a-z])([A-Z0-9])/g, '$1 $2').toLowerCase();

const singular = (word: string): string =>
  word.endsWith('ies')
    ? `${word.slice(0, -3)}y`
    : word.endsWith('ches') || word.endsWith('shes')
      ? word.slice(0, -2)
      : word.replace(/s$/, '');

/** "ingredients[4].massG" as "ingredient 5, weight". */
export const fieldWords = (path: string): string =>
  path
    .split('.')
    .filter(Boolean)
    .map((part) => {
      const at = /^([^[\]]*)((?:\[\d+\])*)$/.exec(part);
      const name = words(at?.[1] ?? part);
      const places = [...(at?.[2] ?? '').matchAll(/\[(\d+)\]/g)].map((m) => Number(m[1]) + 1);
      return places.length > 0 ? `${singular(name)} ${places.join('.')}` : name;
    })
    .join(', ');

/** One problem that a schema found, as a sentence without its stop: "Ingredient 5, weight: must be at least 0.1". */
export function fieldProblem(
  path: string | undefined,
  message: string | undefined,
  whole: string,
): string {
  const where = path ? fieldWords(path) : whole;
  const text = `${where} ${message ?? 'is wrong'}`;
  return text.charAt(0).toUpperCase() + text.slice(1);
}
