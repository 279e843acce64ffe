import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import type { Plan } from '@pyrgotect/core';
import { main } from '../src/main.ts';

const demo = fileURLToPath(new URL('../../demo/', import.meta.url));
const call = async (...args: string[]) => {
  const out: string[] = [];
  const complaints: string[] = [];
  const code = await main(
    args,
    (line) => out.push(line),
    (line) => complaints.push(line),
  );
  return { code, out: out.join('\n'), complaints: complaints.join('\n') };
};

describe('plan', () => {
  it.each(readdirSync(demo))('plans the demo build %s without a stop', async (name) => {
    const { code, out } = await call(join(demo, name));
    expect(code).toBe(0);
    const plan = JSON.parse(out) as Plan;
    expect(plan.tally.massG).toBeGreaterThan(500);
    expect(plan.cautions.filter((c) => c.severity === 'stop')).toEqual([]);
  });
  it('prints a table in either units', async () => {
    const metricTable = (await call('--table', join(demo, 'meridian.json'))).out;
    expect(metricTable).toMatch(/finished height +11\.5 cm/);
    expect(metricTable).toContain('Blackcurrant compote');
    expect((await call('--table', '--inches', join(demo, 'meridian.json'))).out).toMatch(
      /finished height +4 1\/2 in/,
    );
  });
  it('names file, line and field of a bad file', async () => {
    const file = join(mkdtempSync(join(tmpdir(), 'plan-')), 'bad.json');
    const text = readFileSync(join(demo, 'meridian.json'), 'utf8');
    writeFileSync(file, text.replace('"servings": 40', '"servings": "forty"'));
    const { code, complaints } = await call(file);
    expect(code).toBe(1);
    expect(complaints).toMatch(/bad\.json:\d+: Line \d+: Build, brief, servings must be a number/);
  });
  it('explains a wrong call', async () => {
    expect((await call()).code).toBe(2);
    expect((await call('--colour', 'x.json')).complaints).toContain('no such option: --colour');
    expect((await call('/none.json')).code).toBe(1);
    expect((await call('--help')).out).toContain('--table');
  });
});
