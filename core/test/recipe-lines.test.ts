import { describe, expect, it } from 'vitest';
import {
  inchesAndOunces,
  newBuild,
  planBuild,
  wholePieces,
  metric,
  outOfProportion,
  readLine,
  readPasted,
  startingPantry,
  type UnitSystem,
} from '../src/index.ts';

const { foods } = startingPantry();
const au: UnitSystem = { ...metric, spoons: 'au' };
const read = (text: string, system: UnitSystem = inchesAndOunces) =>
  readLine(text, foods, 'spooned', system);

/** What was written, the row it is, and its grams by American cups and spoons. */
const amounts: [string, string, number][] = [
  ['250 g butter', 'butter', 250],
  ['250g butter', 'butter', 250],
  ['250 grams of butter', 'butter', 250],
  ['250 gr butter, softened', 'butter', 250],
  ['0.25 kg butter', 'butter', 250],
  ['1/4 kilo butter', 'butter', 250],
  ['butter, 250 g', 'butter', 250],
  ['butter: 250 g', 'butter', 250],
  ['Butter - 250 g', 'butter', 250],
  ['• 250 g unsalted butter at room temperature', 'butter', 250],
  ['▢ 250 g soft butter', 'butter', 250],
  ['* 250 g cold butter, cubed', 'butter', 250],
  ['8 oz butter', 'butter', 226.8],
  ['8oz. butter', 'butter', 226.8],
  ['1/2 lb butter', 'butter', 226.8],
  ['1 lb 2 oz butter', 'butter', 510.3],
  ['1 pound and 2 ounces butter', 'butter', 510.3],
  ['1 stick butter', 'butter', 113.4],
  ['2 sticks unsalted butter', 'butter', 226.8],
  ['1 1/2 sticks of butter, melted', 'butter', 170.1],
  ['half a stick of butter', 'butter', 56.7],
  ['2 sticks (226 g) butter', 'butter', 226.8],
  ['1 cup butter', 'butter', 227],
  ['1 cup (225 g) butter', 'butter', 225],
  ['1 cup (2 sticks) butter', 'butter', 227],
  ['½ cup salted butter', 'salted-butter', 113.5],
  ['2 cups plain flour', 'plain-flour', 250],
  ['2 C. flour', 'plain-flour', 250],
  ['2 c flour', 'plain-flour', 250],
  ['2 cups all-purpose flour, sifted', 'plain-flour', 220],
  ['2 cups (250 g) all purpose flour', 'plain-flour', 250],
  ['2 cups (260g/9oz) plain flour', 'plain-flour', 260],
  ['2 1/4 cups flour', 'plain-flour', 281.25],
  ['2¼ cups flour', 'plain-flour', 281.25],
  ['2-1/4 cups flour', 'plain-flour', 281.25],
  ['2 ⅛ cups flour', 'plain-flour', 265.6],
  ['1 ⅝ cups flour', 'plain-flour', 203.1],
  ['⅚ cup flour', 'plain-flour', 104.2],
  ['1 cup plus 2 tablespoons flour', 'plain-flour', 140.6],
  ['1 cup + 2 tbsp flour', 'plain-flour', 140.6],
  ['1 cup and 2 tbsp plain flour', 'plain-flour', 140.6],
  ['3/4 cup plus 1 tablespoon sugar', 'caster-sugar', 162.5],
  ['2 to 3 cups flour', 'plain-flour', 312.5],
  ['2–3 cups flour', 'plain-flour', 312.5],
  ['1,5 kg icing sugar', 'icing-sugar', 1500],
  ['2.5 cups powdered sugar', 'icing-sugar', 300],
  ['.5 cup confectioners’ sugar', 'icing-sugar', 60],
  ['3 heaped tbsp icing sugar', 'icing-sugar', 22.5],
  ['1 cup packed brown sugar', 'brown-sugar', 213],
  ['1 cup firmly packed light brown sugar', 'brown-sugar', 213],
  ['200 g soft brown sugar', 'brown-sugar', 200],
  ['200 g dark brown sugar', 'dark-brown-sugar', 200],
  ['200 g sugar', 'caster-sugar', 200],
  ['200 g granulated sugar', 'caster-sugar', 200],
  ['200 g superfine sugar', 'caster-sugar', 200],
  ['4 eggs', 'eggs', 200],
  ['4 large eggs', 'eggs', 200],
  ['4 large free-range eggs, beaten', 'eggs', 200],
  ['4 medium eggs, at room temperature', 'eggs', 200],
  ['an egg', 'eggs', 50],
  ['one egg', 'eggs', 50],
  ['a dozen eggs', 'eggs', 600],
  ['half a dozen eggs', 'eggs', 300],
  ['six egg whites', 'egg-whites', 198],
  ['3 egg yolks', 'egg-yolks', 51],
  ['3 yolks', 'egg-yolks', 51],
  ['eggs 4', 'eggs', 200],
  ['240 ml milk', 'milk', 248],
  ['2 dl milk', 'milk', 206.8],
  ['20 cl milk', 'milk', 206.8],
  ['1 litre milk', 'milk', 1033.8],
  ['1 l whole milk', 'milk', 1033.8],
  ['1 pint milk', 'milk', 489.2],
  ['1 quart milk', 'milk', 978.3],
  ['8 fl oz milk', 'milk', 244.6],
  ['8 fluid ounces milk, warm', 'milk', 244.6],
  ['1 cup buttermilk', 'buttermilk', 245],
  ['200 g sour cream', 'soured-cream', 200],
  ['300 ml heavy cream', 'whipping-cream', 301.3],
  ['300 g whipping cream', 'whipping-cream', 300],
  ['200 g cream cheese, straight from the fridge', 'cream-cheese', 200],
  ['2 (8-ounce) packages cream cheese', 'cream-cheese', 453.6],
  ['2 x 250 g tubs mascarpone', 'mascarpone', 500],
  ['2 × 250 g mascarpone', 'mascarpone', 500],
  ['2 tubs (250 g each) mascarpone', 'mascarpone', 500],
  ['1 tub (250 g) mascarpone', 'mascarpone', 250],
  ['100 g dark chocolate, finely chopped', 'dark-chocolate', 100],
  ['100 g dark chocolate 70%', 'dark-chocolate-70', 100],
  ['100 g bittersweet chocolate', 'dark-chocolate-70', 100],
  ['100 g white chocolate', 'white-chocolate', 100],
  ['1 cup chocolate chips', 'chocolate-chips', 170],
  ['50 g cocoa powder', 'cocoa', 50],
  ['1 tsp baking powder', 'baking-powder', 4.5],
  ['1 teaspoon baking soda', 'baking-soda', 5],
  ['1 tsp bicarbonate of soda', 'baking-soda', 5],
  ['1 tsp vanilla extract', 'vanilla', 4],
  ['1 t vanilla', 'vanilla', 4],
  ['1 T icing sugar', 'icing-sugar', 7.5],
  ['1 tsp cinnamon', 'cinnamon', 2.6],
  ['1/2 tsp fine sea salt', 'salt', 3],
  ['a pinch of salt', 'salt', 0.4],
  ['2 pinches salt', 'salt', 0.8],
  ['pinch salt', 'salt', 0.4],
  ['100 g walnuts, roughly chopped', 'walnuts', 100],
  ['100 g toasted hazelnuts', 'hazelnuts', 100],
  ['100 g ground almonds', 'ground-almonds', 100],
  ['100 g almond flour', 'ground-almonds', 100],
  ['300 g raspberries, fresh or frozen', 'raspberries', 300],
  ['300 g frozen raspberries', 'raspberries', 300],
  ['3 carrots, grated (300 g)', 'carrot', 300],
  ['300 g grated carrot', 'carrot', 300],
  ['juice of 1 lemon', 'lemon-juice', 45],
  ['juice of 2 lemons', 'lemon-juice', 90],
  ['the juice of half a lemon', 'lemon-juice', 22.5],
  ['zest of 1 lemon', 'lemon-zest', 5],
  ['finely grated zest of 2 oranges', 'orange-zest', 16],
  ['juice of 1 orange', 'orange-juice', 80],
  ['30 ml lemon juice', 'lemon-juice', 30.4],
  ['100 g butter, plus extra for greasing', 'butter', 100],
  ['100 g butter or margarine', 'butter', 100],
];

/** What names another food than the row whose words it holds: kept by its own name, and asked. */
const others: string[] = [
  '50 ml hazelnut liqueur',
  '50 ml orange blossom water',
  '400 g condensed milk',
  '400 ml coconut milk',
  '100 g milk powder',
  '200 g rice flour',
  '200 g bread flour',
  '200 g strong flour',
  '200 g buckwheat flour',
  '2 tbsp coconut oil',
  '2 tbsp walnut oil',
  '1 tsp almond extract',
  '100 g pistachio spread',
  '100 g chocolate spread',
  '100 g almond butter',
  '100 g apple butter',
  '100 g lemon curd',
  '100 g raspberry jam',
  '100 ml raspberry juice',
  '100 g banana chips',
  '100 g coconut sugar',
  '100 g vanilla sugar',
  '100 g egg noodles',
  '100 g cream of coconut',
  '5 g cream of tartar',
  '100 g ginger biscuits',
  '1 vanilla pod',
  '100 g nuts',
  '10 g instant coffee',
  '100 g soda water',
  '100 g salted caramel',
  '100 g peanut brittle',
  '100 g moon dust',
];

/** Not something that goes in. */
const method: string[] = [
  'Bake at 180 C for 25 minutes',
  'Bake at 350 F',
  'Heat the oven to 180 C',
  'Preheat the oven to 160C fan',
  '180 C',
  '180 °C, 25 minutes',
  '350 F oven',
  '25 minutes',
  '2 hours in the fridge',
  '20 cm tin',
  '9 inch round tin',
  '8" tin',
  '1. Cream the butter and sugar.',
  '2) Beat in 4 eggs, one by one.',
  'Step 3. Fold in the flour',
  'Beat 4 eggs until pale.',
  'Divide between 2 tins.',
  'Makes 900 g',
  'Serves 12',
  'Leave to cool for 10 minutes in the tin.',
  'Whisk everything but 100 g of the sugar.',
  'Meanwhile, melt 100 g of the butter',
];

describe('lines of a recipe', () => {
  it('number a hundred and fifty at least', () => {
    expect(amounts.length + others.length + method.length).toBeGreaterThanOrEqual(150);
  });
  it.each(amounts)('%s', (text, id, g) => {
    const line = read(text);
    expect([line.kind, line.foodId]).toEqual(['ingredient', id]);
    expect(line.massG!).toBeGreaterThan(g * 0.985);
    expect(line.massG!).toBeLessThan(g * 1.015);
  });
  it.each(others)('%s is another food, and asked', (text) => {
    const line = read(text);
    expect(line.foodId).toBeNull();
    expect(line.problem).not.toBeNull();
  });
  it.each(method)('%s is a line of method', (text) => {
    expect(read(text)).toMatchObject({ kind: 'method', massG: null, foodId: null });
  });
  it('take the spoons of the user’s school, and British pints in a metric kitchen', () => {
    expect(read('2 tbsp water', metric).massG).toBeCloseTo(30, 6);
    expect(read('2 tbsp water', au).massG).toBeCloseTo(40, 6);
    expect(read('2 tbsp water').massG).toBeCloseTo(29.57, 2);
    expect(read('3 tsp water', metric).massG).toBeCloseTo(15, 6);
    expect(read('1 pint water', metric).massG).toBeCloseTo(568.26, 1);
  });
  it('that name two things give two, and none is dropped', () => {
    const lines = readPasted(
      '2 eggs plus 1 egg yolk\n3 egg whites and 2 eggs',
      foods,
      'spooned',
      metric,
    );
    expect(lines.map((line) => [line.foodId, line.massG])).toEqual([
      ['eggs', 100],
      ['egg-yolks', 17],
      ['egg-whites', 99],
      ['eggs', 100],
    ]);
  });
  it('keep a heading for a heading, and ask where a figure can be read two ways', () => {
    for (const title of ['For the frosting:', 'Method', 'Ingredients', 'Directions'])
      expect(read(title).kind).toBe('heading');
    expect(read('1,000 g flour').problem).toMatch(/two ways/);
    expect(read('2 tins of pears').problem).not.toBeNull();
    expect(read('juice and zest of 1 lemon').problem).toMatch(/two things/);
  });
  it('count eggs whole where they come to it within a tenth, on bench, list and price alike', () => {
    expect([100, 104, 105, 106, 150, 2].map((g) => wholePieces(g, 50))).toEqual([2, 2, 2, 3, 3, 1]);
    const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
    for (const gap of build.tiers[0]!.gaps) gap.spreadId = 'meringue';
    build.tiers[0]!.coat.spreadId = 'yolk';
    const pantry = startingPantry();
    const plan = planBuild(build, pantry);
    const opened = (foodId: string): number =>
      [
        ...(plan.bowls.ok ? plan.batches : []).map(({ recipe, mixes }) => ({ recipe, mixes })),
        ...plan.tiers.flatMap((tier) =>
          tier.batterRecipe.ok ? [{ recipe: tier.batterRecipe.value, mixes: 1 }] : [],
        ),
      ].reduce(
        (sum, { recipe, mixes }) =>
          sum + mixes * (recipe.ingredients.find((i) => i.foodId === foodId)?.pieces ?? 0),
        0,
      );
    for (const id of ['eggs', 'egg-yolks', 'egg-whites']) {
      const line = plan.ingredients.ok ? plan.ingredients.value.find((i) => i.foodId === id) : null;
      expect([id, line?.pieces]).toEqual([id, opened(id)]);
    }
  });
  it('out of proportion are pointed out before the recipe is taken over', () => {
    const wrong = (text: string) =>
      outOfProportion(readPasted(text, foods, 'spooned', metric), foods).map(({ index }) => index);
    expect(wrong('200 g flour\n100 g sugar\n2 eggs\n5 g salt')).toEqual([]);
    expect(wrong('200 g flour\n100 g sugar\n2 eggs\n50 g salt')).toEqual([3]);
    expect(wrong('200 g flour\n100 g sugar\n60 g baking powder')).toEqual([2]);
    expect(wrong('9 kg flour\n100 g sugar\n2 eggs')).toEqual([0]);
  });
});
