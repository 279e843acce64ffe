import { createCanvas } from '@napi-rs/canvas';
import fc from 'fast-check';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { describe, expect, it } from 'vitest';
import {
  cakeLabels,
  heldBy,
  labelKinds,
  labelOf,
  labelPlaces,
  labelsOn,
  metric,
  papersMm,
  planBuild,
  sheetProblem,
  usualSheets,
  type CakeLabel,
  type LabelSheet,
} from '../src/index.ts';
import { labelsPdf } from '../src/templates/index.ts';
import { demos, pantry } from './demos.ts';

const font = new Uint8Array(
  readFileSync(
    createRequire(import.meta.url).resolve(
      '@fontsource/barlow-semi-condensed/files/barlow-semi-condensed-latin-500-normal.woff',
    ),
  ),
);
const planned = demos.map((build) => ({ build, plan: planBuild(build, pantry) }));
const textOf = ({ title, lines }: CakeLabel): string =>
  [title, ...lines.map(({ text }) => text)].join('\n');

describe('sheets of labels', () => {
  it.each(usualSheets)('$paper $columns x $rows lie on the paper, none over another', (sheet) => {
    expect(sheetProblem(sheet)).toBeNull();
    const [wide, high] = papersMm[sheet.paper];
    const places = labelPlaces(sheet, labelsOn(sheet), 0);
    places.forEach((a, i) => {
      expect(a.page).toBe(0);
      expect(Math.min(a.x, a.y)).toBeGreaterThanOrEqual(-0.3);
      expect(a.x + sheet.wideMm).toBeLessThanOrEqual(wide + 0.3);
      expect(a.y + sheet.highMm).toBeLessThanOrEqual(high + 0.3);
      for (const b of places.slice(i + 1))
        expect(
          Math.abs(a.x - b.x) >= sheet.wideMm - 1e-6 || Math.abs(a.y - b.y) >= sheet.highMm - 1e-6,
        ).toBe(true);
    });
  });

  it('go on where the first sheet was used, and over as many pages as they take', () => {
    fc.assert(
      fc.property(
        fc.nat(usualSheets.length - 1),
        fc.integer({ min: 1, max: 60 }),
        fc.nat(40),
        (of, count, begin) => {
          const sheet = usualSheets[of]!;
          const first = begin % labelsOn(sheet);
          const places = labelPlaces(sheet, count, first);
          expect(places).toHaveLength(count);
          expect(places[0]).toEqual(labelPlaces(sheet, first + 1, 0).at(-1));
          expect(places.at(-1)!.page).toBe(Math.floor((first + count - 1) / labelsOn(sheet)));
          expect(new Set(places.map(({ page, x, y }) => `${page}/${x}/${y}`)).size).toBe(count);
        },
      ),
    );
  });

  it('that are wider or higher than their paper say so', () => {
    const [sheet] = usualSheets as [LabelSheet];
    expect(sheetProblem({ ...sheet, columns: 3 })).toBe('too wide');
    expect(sheetProblem({ ...sheet, rows: 5 })).toBe('too high');
  });
});

describe('labels of a cake', () => {
  it('say on every box what is in the whole cake, and what nobody knows', () => {
    for (const { build, plan } of planned)
      for (const kind of labelKinds) {
        const labels = cakeLabels(kind, build, plan, 'Sat 12 June, 16:00', metric);
        expect(labels).toHaveLength(kind === 'tiers' ? build.tiers.length : 1);
        const { holds, traces, unknown } = labelOf(heldBy(plan));
        for (const label of labels)
          for (const part of [holds, traces, unknown, 'Sat 12 June, 16:00'])
            if (part) expect(textOf(label)).toContain(part);
      }
  });

  it('count what is no food, on the whole box all of it and on each tier’s box its own', () => {
    const { build, plan } = planned.find(({ plan: each }) => each.nonFood.length > 2)!;
    const counts = (label: CakeLabel): number =>
      [...textOf(label).matchAll(/(\d+) x /g)].reduce((sum, [, n]) => sum + Number(n), 0);
    const all = plan.nonFood.reduce((sum, { count }) => sum + count, 0);
    expect(counts(cakeLabels('box', build, plan, '', metric)[0]!)).toBe(all);
    cakeLabels('tiers', build, plan, '', metric).forEach((label, i) => {
      const own = plan.nonFood.filter(({ tierId }) => tierId === build.tiers[i]!.id);
      expect(counts(label)).toBe(own.reduce((sum, { count }) => sum + count, 0));
    });
  });

  it('name everything that goes in, the most first', () => {
    const { build, plan } = planned.find(({ plan: each }) => each.ingredients.ok)!;
    const made = textOf(cakeLabels('contents', build, plan, '', metric)[0]!);
    const { ingredients } = plan;
    if (!ingredients.ok) throw new Error(ingredients.problem);
    const mass = new Map<string, number>();
    for (const { name, massG } of ingredients.value) mass.set(name, (mass.get(name) ?? 0) + massG);
    const places = [...mass]
      .sort((a, b) => b[1] - a[1])
      .map(([name]) => made.indexOf(name.toLowerCase()));
    expect(places.every((at) => at > 0)).toBe(true);
    expect(made.indexOf('Made of')).toBeLessThan(places[0]!);
  });
});

/** The words on each page of a PDF, each with where it begins, mm from the upper left corner. */
async function wordsOf(bytes: Uint8Array) {
  const pdf = await getDocument({ data: bytes.slice(), useSystemFonts: false, verbosity: 0 })
    .promise;
  return Promise.all(
    Array.from({ length: pdf.numPages }, async (_, i) => {
      const page = await pdf.getPage(i + 1);
      const { items } = await page.getTextContent();
      const high = page.getViewport({ scale: 1 }).height;
      return items.flatMap((item) =>
        'str' in item && item.str.trim()
          ? [
              {
                text: item.str,
                x: ((item.transform[4] as number) * 25.4) / 72,
                y: ((high - (item.transform[5] as number)) * 25.4) / 72,
                sizePt: Math.abs(item.transform[3] as number),
                wideMm: (item.width * 25.4) / 72,
              },
            ]
          : [],
      );
    }),
  );
}

describe('labels as a PDF', () => {
  const { build, plan } = planned.find(({ plan: each }) => each.nonFood.length > 2)!;
  const labels = cakeLabels('box', build, plan, 'Sat 12 June, 16:00', metric);

  it('stand inside their labels, in letters that are read, beginning at the place that was chosen', async () => {
    const sheet = usualSheets[0]!;
    const three = [labels[0]!, labels[0]!, labels[0]!];
    const first = labelsOn(sheet) - 2;
    const pages = await wordsOf(await labelsPdf(three, sheet, first, true, font));
    expect(pages).toHaveLength(2);
    const places = labelPlaces(sheet, 3, first);
    pages.forEach((words, page) => {
      const own = places.filter((place) => place.page === page);
      expect(words.length).toBeGreaterThan(3);
      for (const { x, y, sizePt, wideMm } of words) {
        expect(sizePt).toBeGreaterThanOrEqual(6.8 - 1e-6);
        const inside = own.some(
          (place) =>
            x >= place.x + 2.9 &&
            x + wideMm <= place.x + sheet.wideMm - 2.8 &&
            y >= place.y + 2.9 &&
            y <= place.y + sheet.highMm - 2.9,
        );
        expect(inside).toBe(true);
      }
    });
    expect(pages[0]!.map(({ text }) => text).join(' ')).toContain(build.name);
  });

  it('that hold more than fits are refused, and nothing is cut off in silence', async () => {
    const tiny: LabelSheet = { ...usualSheets[7]!, highMm: 12, rows: 10 };
    await expect(labelsPdf(labels, tiny, 0, false, font)).rejects.toThrow('Choose larger labels');
  });

  it('break a word that is longer than a line, and leave out letters that the font has not', async () => {
    const odd: CakeLabel = {
      title: 'x'.repeat(200),
      lines: [{ text: '灯台 Маяк ok', isStrong: true }],
    };
    const [words] = await wordsOf(await labelsPdf([odd], usualSheets[0]!, 0, false, font));
    const all = words!.map(({ text }) => text).join('');
    expect(all.match(/x/g)!.length).toBeGreaterThanOrEqual(200);
    expect(all).toContain('ok');
  });

  it('have edges where a trial is wanted', async () => {
    const drawn = async (outline: boolean): Promise<number> => {
      const bytes = await labelsPdf(labels, usualSheets[0]!, 0, outline, font);
      const page = await (await getDocument({ data: bytes, verbosity: 0 }).promise).getPage(1);
      const viewport = page.getViewport({ scale: 1 });
      const canvas = createCanvas(Math.ceil(viewport.width), Math.ceil(viewport.height));
      const context = canvas.getContext('2d');
      await page.render({ canvasContext: context as never, viewport }).promise;
      const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
      let dark = 0;
      for (let i = 0; i < data.length; i += 4) if (data[i + 3]! > 0 && data[i]! < 200) dark += 1;
      return dark;
    };
    expect(await drawn(true)).toBeGreaterThan((await drawn(false)) + 200);
  });
});
