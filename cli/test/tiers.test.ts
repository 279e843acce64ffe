import { fileURLToPath } from 'node:url';
import { expect, it } from 'vitest';
import { main } from '../src/main.ts';

const table = async (name: string, ...more: string[]): Promise<string> => {
  const out: string[] = [];
  const file = fileURLToPath(new URL(`../../demo/${name}.json`, import.meta.url));
  expect(
    await main(
      ['--table', ...more, file],
      (line) => out.push(line),
      (line) => out.push(`complaint: ${line}`),
    ),
  ).toBe(0);
  return out.join('\n');
};

it('prints every tier with its height, its times and its place in the oven', async () => {
  const text = await table('jubilee');
  for (const name of ['Foundation', 'Gallery', 'Dome']) expect(text).toContain(`${name}: 4 layers`);
  expect(text.match(/finished height of the tier/g)).toHaveLength(3);
  expect(text).toMatch(/likely done after +\d+ min/);
  expect(text).toMatch(/Oven load 1, 1\d\d °C/);
  expect(text).toMatch(/syrup to soak with +\d+ mL/);
  expect(text).not.toMatch(/NaN|undefined|\{\w+\}/);
});

it('prints piles and what they take, in inches as well', async () => {
  expect(await table('comet-crepes')).toMatch(/layer 1: 10 × Crepe +\d+ g/);
  const inches = await table('comet-crepes', '--inches');
  expect(inches).toMatch(/finished height of the tier +\d.* in/);
  expect(inches).not.toMatch(/ (cm|mm|g)\n/);
});
