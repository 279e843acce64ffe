import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  isWebRecipe,
  maxPageLength,
  metric,
  readPasted,
  readRecipeTable,
  readWebRecipes,
  writeRecipePage,
  writeRecipes,
  writeWebRecipes,
  type Recipe,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';

const rowsOf = (text: string) => {
  const read = readWebRecipes(text);
  if (!read.ok) throw new Error(read.problems[0]!.message);
  return read.rows;
};
const why = (text: string): string => {
  const read = readWebRecipes(text);
  return read.ok ? 'it was read' : read.problems[0]!.message;
};
const ld = (thing: object): string =>
  JSON.stringify({ '@context': 'https://schema.org', ...thing });
const page = (...blocks: string[]): string =>
  `<!doctype html><html><head>${blocks.map((block) => `<script type="application/ld+json">${block}</script>`).join('')}</head><body>Hello</body></html>`;
const curd = {
  '@type': 'Recipe',
  name: 'Lemon curd &amp; more',
  recipeIngredient: ['3 eggs', '150&nbsp;g caster sugar', '<b>80 g</b> butter'],
  recipeInstructions: [
    {
      '@type': 'HowToSection',
      name: 'On the fire',
      itemListElement: [{ '@type': 'HowToStep', text: 'Whisk over steam to 82 C.' }],
    },
    { '@type': 'HowToStep', name: 'Cover and chill 4 hours.' },
  ],
  recipeYield: ['8 servings', '0,4 kg'],
};

describe('recipes of the web', () => {
  it('come back as they were written: every recipe of the house, by weight and by ingredient', () => {
    const named = pantry.recipes.filter(({ ingredients }) => ingredients.length > 0);
    const back = rowsOf(writeWebRecipes(named));
    expect(back.map(({ name }) => name)).toEqual(named.map(({ name }) => name));
    back.forEach(({ lines, yieldG }, i) => {
      const { ingredients, steps, yieldG: was } = named[i]!;
      expect(yieldG).toBeCloseTo(was, 0);
      expect(lines.slice(ingredients.length)).toEqual(steps);
      const read = readPasted(
        lines.slice(0, ingredients.length).join('\n'),
        pantry.foods,
        pantry.kitchen.measuring,
        metric,
      );
      read.forEach((line, k) => {
        expect(line.massG).toBeCloseTo(ingredients[k]!.massG, 1);
        if (ingredients[k]!.foodId) expect(line.foodId).toBe(ingredients[k]!.foodId);
      });
    });
  });

  it('are found in a saved page, in a graph, among other things, under any of their types', () => {
    const all = [
      ld(curd),
      page('{"@type":"WebSite","name":"Kitchen"}', ld(curd)),
      ld({
        '@graph': [
          { '@type': 'WebPage', mainEntity: { ...curd, '@type': ['NewsArticle', 'Recipe'] } },
        ],
      }),
      `\uFEFF[${ld({ ...curd, '@type': 'http://schema.org/Recipe' })}]`,
    ];
    for (const text of all) {
      expect(isWebRecipe(text)).toBe(true);
      expect(rowsOf(text)).toEqual([
        {
          name: 'Lemon curd & more',
          lines: [
            '3 eggs',
            '150 g caster sugar',
            '80 g butter',
            'On the fire:',
            'Whisk over steam to 82 C.',
            'Cover and chill 4 hours.',
          ],
          yieldG: 400,
        },
      ]);
    }
    expect(isWebRecipe('recipe,amount,unit,ingredient')).toBe(false);
  });

  it('have their steps one below the other, however they are written', () => {
    const steps = (recipeInstructions: unknown): string[] =>
      rowsOf(ld({ ...curd, recipeInstructions }))[0]!.lines.slice(3);
    expect(steps('Whisk.\nChill.')).toEqual(['Whisk.', 'Chill.']);
    expect(steps('<p>Whisk.</p><p>Chill.</p>')).toEqual(['Whisk.', 'Chill.']);
    expect(steps(['Whisk.', { text: 'Chill.' }, 7, null])).toEqual(['Whisk.', 'Chill.']);
    expect(steps(undefined)).toEqual([]);
  });

  it('are read beside a broken block, and nothing is read where all is broken, too deep or none', () => {
    expect(rowsOf(page('{"@type":"Recipe",', ld(curd)))).toHaveLength(1);
    expect(why(page('{"@type":"Recipe",'))).toContain('cut or broken');
    expect(why(`${'['.repeat(60)}${']'.repeat(60)}`)).toContain('nests deeper');
    expect(why(page('{"@type":"WebSite"}'))).toContain('no recipe');
    expect(why('<html><script>1</script></html>')).toContain('paste them');
    expect(why('<script type="application/ld+json">{')).toContain('paste them');
    expect(why(ld({ '@graph': Array(201).fill(curd) }))).toContain('201 recipes');
    expect(why(`[${'0,'.repeat(maxPageLength / 2)}0]`)).toContain('At most 8 MB');
  });

  it('of 300,000 parts are read at once or not at all', () => {
    const started = performance.now();
    expect(why(JSON.stringify(Array(300_000).fill({})))).toContain('no recipe');
    expect(performance.now() - started).toBeLessThan(3000);
  });

  it('on a page run nothing: a name that would end the script is text', () => {
    const hostile: Recipe = {
      ...pantry.recipes[0]!,
      name: '</script><script>alert(1)</script> & <i>"curd"</i>',
    };
    const written = writeRecipePage([hostile], hostile.name);
    expect(written.match(/<script/g)).toHaveLength(1);
    expect(written).not.toContain('<i>');
    // its marks are taken for marks when it is read
    expect(rowsOf(written)[0]!.name).toBe('alert(1) & "curd"');
  });

  it('never throw, whatever the text holds', () => {
    const part = fc.oneof(
      fc.constantFrom(
        '<script type="application/ld+json">',
        '</script>',
        '{"@type":"Recipe","recipeIngredient":',
        '["1 egg"]',
        '}',
        '[',
        '&amp;',
        '"@graph":',
      ),
      fc.json(),
      fc.string({ unit: 'binary', maxLength: 20 }),
    );
    fc.assert(
      fc.property(fc.array(part, { maxLength: 12 }), (parts) => {
        const read = readWebRecipes(parts.join(''));
        if (!read.ok) expect(read.problems[0]!.message).not.toBe('');
      }),
      { numRuns: 300 },
    );
  });
});

describe('recipes in a table', () => {
  it('come back with their steps, whatever parts the columns', () => {
    const some = pantry.recipes.slice(0, 6);
    const expected = some.map(({ name, ingredients, steps }) => ({
      name,
      lines: [...ingredients.map((each) => `${each.massG} g ${each.name}`), ...steps],
      yieldG: null,
    }));
    expect(readRecipeTable(writeRecipes(some))).toEqual({ ok: true, rows: expected });
    const plain = 'recipe,amount,unit,ingredient\r\nCurd,3,,eggs\r\nCurd,150,g,sugar\r\n';
    for (const sign of [';', '\t', '|', '^', '~']) {
      const read = readRecipeTable(plain.replaceAll(',', sign));
      expect(read.ok && read.rows[0]!.lines).toEqual(['3 eggs', '150 g sugar']);
    }
    const named = readRecipeTable(`sep=/\r\n${plain.replaceAll(',', '/')}`);
    expect(named.ok && named.rows[0]!.lines).toEqual(['3 eggs', '150 g sugar']);
  });

  it('with a first line that names the sign still name the line that is wrong', () => {
    const read = readRecipeTable('sep=;\nrecipe;amount;unit;ingredient\n;3;;eggs\n');
    expect(read.ok || read.problems[0]).toMatchObject({ line: 3, column: 'recipe' });
  });
});
