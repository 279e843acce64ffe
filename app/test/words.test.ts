// @vitest-environment node
import * as core from '@pyrgotect/core';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { doneOf, english, faultsOf, type Catalogue } from '../words/catalogue.ts';
import { pageIn, pageWords } from '../words/page.ts';
import { pseudo, pseudoFile } from '../words/pseudo.ts';
import { keyOf, messagesOf, rewritten, type Forms } from '../words/rewrite.ts';
import { programValues, project, sourceOf, sources } from '../words/sources.ts';

const textsOf = (path: string, code: string, ids: string[] = []): string[] =>
  messagesOf(path, code, new Set(ids)).map(keyOf);
const inScript = (code: string, ids: string[] = []): string[] => textsOf('a.ts', code, ids);
const inVue = (template: string, script = ''): string[] =>
  textsOf('A.vue', `<script setup lang="ts">${script}</script>\n<template>${template}</template>`);
const said = (path: string, code: string, to: Record<string, string | Forms>): string =>
  rewritten(code, messagesOf(path, code, new Set()), (text) => to[text] ?? null, 'de');

describe('words for people in a script', () => {
  it('are told by a space between them, with slots for what is filled in', () => {
    expect(inScript('const a = `Pour ${g} over ${cake}.`;')).toEqual(['Pour {0} over {1}.']);
    expect(inScript("const a = 'Let it cool';")).toEqual(['Let it cool']);
  });
  it('are none where the program alone reads them', () => {
    for (const code of [
      "import a from './some where.ts';",
      "const a = b === 'pieces first';",
      "type A = 'pieces first';",
      'const a = `translate(${x} ${y})`;',
      'const d = `M ${x} ${y} L 3 4`;',
      "const a = format(at, 'EEE d MMM');",
      "const a = '1px solid red';",
      "const a = root.querySelector('main button');",
      "const a = { 'hot sugar': 1 };",
      'const a = `<path d="M 0 0 for everyone" />`;',
    ])
      expect(inScript(code), code).toEqual([]);
    expect(inScript("const a = ['pieces first'];", ['pieces first'])).toEqual([]);
  });
  it('may be single where something that is shown takes them', () => {
    expect(inScript("const a = { title: 'Bake', id: 'bake' };")).toEqual(['Bake']);
    expect(inScript("const a = word('rim'), b = other(1);")).toEqual(['rim']);
    expect(inScript("const a: Record<Kind, string> = { dam: 'dams' };")).toEqual(['dams']);
    expect(inScript("const a: Record<Kind, Tone> = { dam: 'curd' };")).toEqual([]);
  });
  it('are found in what is filled into words', () => {
    expect(inScript("const a = `${n} ${n === 1 ? 'layer' : 'layers'}, ${high} high`;")).toEqual([
      '{0} {1}, {2} high',
      'layer',
      'layers',
    ]);
  });
});

describe('words for people in a template', () => {
  it('are one text with all that stands between them, and those within their own', () => {
    expect(inVue('<p>Torte <b>{{ n }}</b> layers into <em>two parts</em>.</p>')).toEqual([
      'Torte {0} layers into {1}.',
      'two parts',
    ]);
  });
  it('keep an element and what stands instead of it together', () => {
    expect(inVue('<p>It is <b v-if="a">all right</b> <i v-else>not so</i> now</p>')).toEqual([
      'It is {0} now',
      'all right',
      'not so',
    ]);
  });
  it('are in attributes that are shown, written or bound, and in no other', () => {
    expect(
      inVue(
        `<v-btn label="Save" class="big red" :aria-label="on ? 'Stop' : 'Go on'" :class="\`a \${b ? 'left side' : ''}\`" @click="set('dam')" />`,
      ),
    ).toEqual(['Save', 'Stop', 'Go on']);
  });
});

describe('a file in another language', () => {
  it('has what is filled in where the language wants it', () => {
    expect(
      said('a.ts', 'f(`Pour ${g} over ${cake}.`)', { 'Pour {0} over {1}.': '{1}: {0} `drauf`' }),
    ).toBe('f(`${cake}: ${g} \\`drauf\\``)');
    expect(
      said('A.vue', '<template><p>Cut <b>all</b> of {{ n }} & go</p></template>', {
        'Cut {0} of {1} & go': '{1} & <{0}>',
      }),
    ).toBe('<template><p>{{ n }} &amp; &lt;<b>all</b>></p></template>');
  });
  it('says the form of the plural that the figure asks for', async () => {
    const code = said('a.ts', 'export const text = (n) => `${n} layers cut`;', {
      '{0} layers cut': { by: 0, one: '{0} Boden', other: '{0} Böden' },
    });
    const { text } = (await import(
      /* @vite-ignore */ `data:text/javascript,${encodeURIComponent(code)}`
    )) as { text: (n: number) => string };
    expect([text(1), text(2), text(0)]).toEqual(['1 Boden', '2 Böden', '0 Böden']);
  });
  it('has a case for each form between tags, and what has no figure to go by in its slot has one form', () => {
    const code = '<template><p>{{ count("a") }} layers <b>cut</b></p></template>';
    const forms = { one: '{0} Boden {1}', other: '{0} Böden {1}' };
    const cases = said('A.vue', code, { '{0} layers {1}': { by: 0, ...forms } });
    expect(cases).toContain("Number(count(&quot;a&quot;))) === 'one'\"");
    expect(cases).toContain('{{ count("a") }} Boden <b>cut</b></template><template v-else>');
    expect(cases).toContain('{{ count("a") }} Böden <b>cut</b></template></p>');
    const single = said('A.vue', code, { '{0} layers {1}': { by: 1, ...forms } });
    expect(single).toBe('<template><p>{{ count("a") }} Böden <b>cut</b></p></template>');
  });
  it('keeps quotation marks out of attributes', () => {
    expect(
      said('A.vue', `<template><a title="Not yet" :alt="'No way'" /></template>`, {
        'Not yet': 'Noch "nicht" & so',
        'No way': '"Nein"',
      }),
    ).toBe(
      '<template><a title="Noch &quot;nicht&quot; &amp; so" :alt="`&quot;Nein&quot;`" /></template>',
    );
  });
  it('stays as it is where nothing is translated', () => {
    const code = "const a = `Some ${b ? 'more words' : ''} of it`;";
    expect(said('a.ts', code, {})).toBe(code);
    expect(said('a.ts', code, { 'more words': 'mehr Worte' })).toContain('`mehr Worte`');
  });
});

describe('the pseudo language', () => {
  it('changes every letter and no slot, whatever the text', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const words = text.replace(/[{}]/g, '');
        expect(pseudo(`${words}{0}{mass}`)).toBe(`${pseudo(words)}{0}{mass}`);
        expect(pseudo(words)).not.toMatch(/[A-Za-z]/);
        expect(pseudo(words)).toHaveLength(words.length);
      }),
    );
  });
  it('leaves a cake’s file a file', () => {
    const text = readFileSync(`${project}/demo/jubilee.json`, 'utf8');
    const read = core.readBuildFile(pseudoFile(text));
    const { build } = JSON.parse(text) as { build: { name: string } };
    expect(read.ok && read.build.name).toBe(pseudo(build.name));
  });
});

describe('the catalogue', () => {
  const files = sources();
  const ours = english(files);
  const all = new Set(Object.values(ours).flatMap((texts) => Object.keys(texts)));

  it('is the published one: npm run -s words writes it', () => {
    const published = readFileSync(new URL('../words/en.json', import.meta.url), 'utf8');
    expect(JSON.parse(published)).toEqual(ours);
  });
  it('has every value that is shown as it stands', () => {
    const values = [
      ...core.allergens,
      ...core.diets,
      ...core.chapters,
      ...core.hazards,
      ...core.stiffnessWords,
      ...core.tendernessWords,
      ...core.keepingClasses,
      ...core.boardMaterials,
      ...core.otherForms,
      ...core.nozzleForms,
      ...core.pipedForms,
      ...core.tones,
      ...core.otherFluids,
      ...core.faults,
      ...Object.keys(core.stiffnesses),
      ...core.stabilisers,
      ...core.caseNames,
      ...core.measurings,
      ...core.stockPlaces,
    ];
    expect(values.filter((value) => !all.has(value) || core.valueWord(value) !== value)).toEqual(
      [],
    );
  });
  it('takes no value that a file may hold for words', () => {
    const values = (schema: unknown): string[] => {
      if (Array.isArray(schema)) return schema.flatMap(values);
      if (typeof schema !== 'object' || schema === null) return [];
      const own = schema as { enum?: unknown[]; const?: unknown };
      return [
        ...[...(own.enum ?? []), own.const].filter((one) => typeof one === 'string'),
        ...Object.values(schema).flatMap(values),
      ];
    };
    const ids = programValues(files);
    const spaced = [...values(core.buildFileSchema()), ...values(core.backupSchema())].filter(
      (one) => one.includes(' '),
    );
    expect(spaced.length).toBeGreaterThan(40);
    expect(spaced.filter((one) => !ids.has(one))).toEqual([]);
  });
  it('finds the same texts again in a program that was written anew with them', () => {
    const ids = programValues(files);
    for (const { path, code } of files.filter((_, i) => i % 7 === 0)) {
      const messages = messagesOf(path, code, ids);
      const again = messagesOf(
        path,
        rewritten(code, messages, (text) => text, 'en'),
        ids,
      );
      expect(again.map(keyOf), path).toEqual(messages.map(keyOf));
    }
  });
  it('knows the words of the page before the program has come', () => {
    const page = ['index.html', 'vite.config.ts']
      .map((name) => readFileSync(new URL(`../${name}`, import.meta.url), 'utf8'))
      .join('');
    for (const words of pageWords) expect(page).toContain(words);
    expect(pageIn('<p>Shopping</p>', () => 'Einkauf')).toBe('<p>Einkauf</p>');
  });
  it('says what of a translation does not fit, and how far it is', () => {
    const of: Catalogue = { app: { 'Pour {0} over': '', Save: '' } };
    const other = '{0} drüber';
    expect(faultsOf({ app: { 'Pour {0} over': { by: 0, other }, Save: 'Sichern' } }, of)).toEqual(
      [],
    );
    expect(faultsOf({ app: { 'Pour {0} over': 'drüber' } }, of)[0]).toContain('slots {0}');
    const one = 'eines drüber';
    expect(faultsOf({ app: { 'Pour {0} over': { by: 0, one, other } } }, of)).toEqual([]);
    expect(faultsOf({ app: { 'Pour {0} over': { by: 0, one, other: one } } }, of)).toHaveLength(2);
    expect(faultsOf({ app: { Lost: 'weg' }, core: { Save: 'x' } }, of)).toHaveLength(2);
    expect(doneOf({ app: { Save: 'Sichern' } }, of)).toEqual([1, 2]);
  });
  it('takes nothing from files of the past or the store’s keys', () => {
    expect(sourceOf(`${project}/core/src/document/migrations/to-2.ts`)).toBeNull();
    expect(sourceOf(`${project}/app/src/storage/database.ts`)).toBeNull();
    expect(sourceOf(`${project}/app/test/words.test.ts`)).toBeNull();
    expect(sourceOf(`${project}/app/src/App.vue`)).toBe('app/src/App.vue');
  });
});
