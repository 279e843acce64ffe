import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, normalize, relative, sep } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { operationKinds } from '../src/index.ts';

/* How the files of the program lie upon each other: types count as much as values. */

type Imports = Map<string, string[]>;

/** Every file of a folder with the files of it that it names, by their paths in the folder. */
function importsOf(folder: string): Imports {
  const root = fileURLToPath(new URL(`../../${folder}/`, import.meta.url));
  const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter((file) =>
    /\.(ts|vue)$/.test(file),
  );
  return new Map(
    files.map((file) => {
      const text = readFileSync(join(root, file), 'utf8');
      const named = [...text.matchAll(/^(?:import|export)\s[^;]*?from\s+'(\.[^']+)'/gms)];
      return [
        file.split(sep).join('/'),
        named.map((match) =>
          relative(root, normalize(join(root, dirname(file), match[1]!)))
            .split(sep)
            .join('/'),
        ),
      ];
    }),
  );
}

/** One circle of files that name each other, in the order they do; null where there is none. */
function circleIn(imports: Imports): string[] | null {
  const seen = new Map<string, 'open' | 'done'>();
  const way: string[] = [];
  const visit = (file: string): string[] | null => {
    if (seen.get(file) === 'done' || !imports.has(file)) return null;
    if (seen.get(file) === 'open') return [...way.slice(way.indexOf(file)), file];
    seen.set(file, 'open');
    way.push(file);
    for (const next of imports.get(file)!) {
      const circle = visit(next);
      if (circle) return circle;
    }
    way.pop();
    seen.set(file, 'done');
    return null;
  };
  for (const file of imports.keys()) {
    const circle = visit(file);
    if (circle) return circle;
  }
  return null;
}

const core = importsOf('core/src');
/** The folder that a file lies in. */
const roomOf = (file: string): string => file.split('/')[0]!;
/** What files of some kind name outside their own room. */
const namedBy = (isOf: (file: string) => boolean): string[] =>
  [...core].flatMap(([file, named]) =>
    isOf(file)
      ? named.filter((other) => roomOf(other) !== roomOf(file)).map((other) => `${file} → ${other}`)
      : [],
  );

describe('the files of the program', () => {
  it('are found: the core and the application have hundreds', () => {
    expect(core.size).toBeGreaterThan(300);
    expect(core.get('plan/cake.ts')).toContain('plan/shape.ts');
    expect(circleIn(new Map([['a', ['b']], ['b', ['c']], ['c', ['b']]]))).toEqual(['b', 'c', 'b']); // prettier-ignore
  });
  it.each(['core/src', 'app/src', 'server/src', 'cli/src'])('go in no circle in %s', (folder) => {
    expect(circleIn(importsOf(folder))).toBeNull();
  });
  it('of units and outlines lie at the bottom', () => {
    expect(namedBy((file) => roomOf(file) === 'units')).toEqual([]);
    expect(
      namedBy((file) => roomOf(file) === 'outline').filter((way) => !way.includes('→ units/')),
    ).toEqual([]);
  });
  it('of physics know no document and no plan', () => {
    const physics = ['support/statics.ts', 'fill/squeeze.ts', 'coat/shell.ts'];
    const rooms = ['heat', 'drip', 'ganache'];
    const named = namedBy((file) => physics.includes(file) || rooms.includes(roomOf(file)));
    expect(named.length).toBeGreaterThan(5);
    const above = /→ (document|plan|bench|day|section|price|shopping|finish|solve|brief|bowls)\//;
    expect(named.filter((way) => above.test(way))).toEqual([]);
  });
  it('of stages know nothing of what puts them together', () => {
    const callers =
      /→ plan\/(plan|shape|tier|tiers|cake|making|cold|steps|ingredients|buying)\.ts$/;
    const stages = ['tins', 'fill', 'coat', 'covers', 'stack', 'soak', 'others', 'carve', 'finish', 'bowls', 'servings', 'oven', 'support', 'section', 'level', 'times']; // prettier-ignore
    expect(
      namedBy((file) => stages.includes(roomOf(file))).filter((way) => callers.test(way)),
    ).toEqual([]);
  });
  it('name in their comments only places of the model that are there', () => {
    const root = fileURLToPath(new URL('../src/', import.meta.url));
    const model = readFileSync(join(root, '../../docs/model.md'), 'utf8');
    const places = [...model.matchAll(/^## (.+)$/gm)].map(([, heading]) =>
      heading!
        .toLowerCase()
        .replace(/[^a-z0-9 -]/g, '')
        .replaceAll(' ', '-'),
    );
    const named = [...core.keys()].flatMap((file) =>
      [...readFileSync(join(root, file), 'utf8').matchAll(/docs\/model\.md#([a-z-]+)/g)].map(
        ([, place]) => ({ file, place: place! }),
      ),
    );
    expect(named.length).toBeGreaterThan(50);
    expect(named.filter(({ place }) => !places.includes(place))).toEqual([]);
  });
});

describe('how the application looks', () => {
  const root = fileURLToPath(new URL('../../app/src/', import.meta.url));
  const files = [...importsOf('app/src').keys(), 'styles/page.css', 'styles/theme.css'];
  /** Lines of the application that hold what is looked for, by file. */
  const lines = (what: RegExp, but: string[]): string[] =>
    files
      .filter((file) => !but.includes(file))
      .flatMap((file) =>
        readFileSync(join(root, file), 'utf8')
          .split('\n')
          .filter((line) => what.test(line))
          .map((line) => `${file}: ${line.trim()}`),
      );
  it('does every kind of work that it names', () => {
    const root = fileURLToPath(new URL('../src/', import.meta.url));
    const written = readdirSync(root, { recursive: true, encoding: 'utf8' })
      .filter((file) => file.endsWith('.ts') && !file.endsWith('operation.ts'))
      .map((file) => readFileSync(join(root, file), 'utf8'))
      .join('\n');
    expect(operationKinds.filter((kind) => !written.includes(`'${kind}'`))).toEqual([]);
  });
  it('takes its colours from one palette', () => {
    expect(readFileSync(join(root, 'styles/palette.ts'), 'utf8')).toMatch(/#[0-9a-f]{6}/);
    expect(lines(/#[0-9a-f]{6}\b|\b(rgb|hsl)a?\(/i, ['styles/palette.ts'])).toEqual([
      "charts/ChartPane.vue: paper_bgcolor: 'rgba(0,0,0,0)',",
      "charts/ChartPane.vue: plot_bgcolor: 'rgba(0,0,0,0)',",
      "sheets/stack/HeightPanel.vue: { size: 11, color: 'rgba(0,0,0,0)', line: { color: colours.value.faint, width: 1.5 } },",
    ]);
  });
  it('makes ids that need no secure origin: a tablet on the kitchen’s network has none', () => {
    expect(lines(/crypto\.(randomUUID|subtle)/, [])).toEqual([]);
  });
  it('has letters of eight sizes', () => {
    const sizes = lines(/--size-\w+:/, ['styles/page.css']).map((line) => line.match(/--size-\w+/)![0]); // prettier-ignore
    expect(new Set(sizes).size).toBe(8);
    expect(
      lines(/font(-size)?:.*\d(px|pt|r?em)/, ['styles/fonts.css', 'styles/theme.css']),
    ).toEqual([]);
    const drawn = lines(/font-size="/, []).map((line) => line.match(/font-size="([^"]+)"/)![1]);
    expect(drawn.filter((px) => !['12.5', '13.5', '15', '16.5', '19.5'].includes(px!))).toEqual([]);
  });
});
