import { fileURLToPath } from 'node:url';
import { expect, it } from 'vitest';
import { main } from '../src/main.ts';

const table = (name: string, ...more: string[]): string => {
  const out: string[] = [];
  const file = fileURLToPath(new URL(`../../demo/${name}.json`, import.meta.url));
  expect(
    main(
      ['--table', ...more, file],
      (line) => out.push(line),
      (line) => out.push(`complaint: ${line}`),
    ),
  ).toBe(0);
  return out.join('\n');
};

it('prints every tier with its height, its times and its place in the oven', () => {
  const text = table('jubilee');
  for (const name of ['Foundation', 'Gallery', 'Dome']) expect(text).toContain(`${name}: 4 layers`);
  expect(text.match(/finished height of the tier/g)).toHaveLength(3);
  expect(text).toMatch(/likely done after +\d+ min/);
  expect(text).toMatch(/Oven load 1, 1\d\d °C/);
  expect(text).toMatch(/syrup to soak with +\d+ mL/);
  expect(text).not.toMatch(/NaN|undefined|\{\w+\}/);
});

it('prints piles and what they take, in inches as well', () => {
  expect(table('comet-crepes')).toMatch(/layer 1: 10 × Crepe +\d+ g/);
  const inches = table('comet-crepes', '--inches');
  expect(inches).toMatch(/finished height of the tier +\d.* in/);
  expect(inches).not.toMatch(/ (cm|mm|g)\n/);
});
