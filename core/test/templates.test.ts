import { createCanvas } from '@napi-rs/canvas';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { beforeAll, describe, expect, it } from 'vitest';
import { readFileSync } from 'node:fs';
import {
  inchesAndOunces,
  metric,
  templatesOf,
  type CarveQuestion,
  type CarveResult,
} from '../src/index.ts';
import { Carver, carveAnswer, startLibrary } from '../src/solids/index.ts';
import { templatesPdf, templatesSvg } from '../src/templates/index.ts';

let result: CarveResult;
const acrossMm = 150;
beforeAll(async () => {
  const carver = new Carver(await startLibrary(), 128);
  const question: CarveQuestion = {
    tierId: 't',
    stock: {
      outline: { kind: 'round', diameterMm: acrossMm },
      bands: [{ part: 'layer/0', fromMm: 0, toMm: 300, gPerMl: 1 }],
      heightMm: 300,
      crownMm: 0,
      centre: null,
      balls: [],
    },
    cuts: [
      {
        id: 'g',
        kind: 'groove',
        name: 'groove',
        on: true,
        upMm: 150,
        widthMm: 20,
        depthMm: 10,
      },
    ],
    cover: { crumbMm: 0, sideMm: 0, topMm: 0, fondantMm: 0 },
    guidesMm: [100, 150],
  };
  result = carveAnswer(carver, question);
  carver.end();
});

const font = readFileSync(
  new URL(
    '../../node_modules/@fontsource/barlow-semi-condensed/files/barlow-semi-condensed-latin-500-normal.woff',
    import.meta.url,
  ),
);
const dotsPerMm = 12;
/** A page as it comes out of the printer: ink or no ink at each dot. */
async function printed(bytes: Uint8Array, page: number) {
  const pdf = await getDocument({ data: bytes.slice(), useSystemFonts: false, verbosity: 0 })
    .promise;
  const sheet = await pdf.getPage(page);
  const viewport = sheet.getViewport({ scale: (dotsPerMm * 25.4) / 72 });
  const canvas = createCanvas(Math.round(viewport.width), Math.round(viewport.height));
  const context = canvas.getContext('2d');
  await sheet.render({ canvasContext: context as never, viewport }).promise;
  const { data, width, height } = context.getImageData(0, 0, canvas.width, canvas.height);
  const isInk = (x: number, y: number): boolean => {
    const at = (y * width + x) * 4;
    return data[at + 3]! > 0 && data[at]! < 110 && data[at + 2]! < 140;
  };
  return { isInk, width, height, pages: pdf.numPages };
}

describe('a template, rendered and measured', () => {
  it('has a scale bar of 100 mm and a known diameter, on both papers', async () => {
    for (const paper of ['A4', 'Letter'] as const) {
      const bytes = await templatesPdf(templatesOf(result, metric), 'Test', paper, font);
      const { isInk, width, height } = await printed(bytes, 1);
      // the bar is the lowest full run of ink
      let bar = 0;
      for (let y = height - 1; y > height * 0.85 && bar === 0; y--) {
        let run = 0;
        for (let x = 0; x < width; x++) {
          run = isInk(x, y) ? run + 1 : 0;
          if (run > 60 * dotsPerMm) bar = Math.max(bar, run);
        }
      }
      expect(Math.abs(bar / dotsPerMm - 100)).toBeLessThan(0.3);
      // the foot's circle: the widest pair of ink along any row of the drawing
      let widest = 0;
      for (let y = Math.round(height * 0.3); y < height * 0.7; y++) {
        let [first, last] = [-1, -1];
        for (let x = 0; x < width; x++)
          if (isInk(x, y)) {
            if (first < 0) first = x;
            last = x;
          }
        widest = Math.max(widest, last - first);
      }
      // the line itself is 1 pt wide
      expect(Math.abs(widest / dotsPerMm - 25.4 / 72 - acrossMm)).toBeLessThan(0.3);
    }
  }, 120_000);
  it('that is taller than the paper goes over several pages with crosses between them', async () => {
    const templates = templatesOf(result, metric);
    expect(templates.map((one) => one.title)).toEqual([
      'Foot, from above',
      expect.stringContaining('Section at'),
      expect.stringContaining('Section at'),
      'Front',
      'Right side',
    ]);
    const bytes = await templatesPdf(templates, 'Test', 'A4', font);
    const { pages } = await printed(bytes, 1);
    // three sections on a page each, two views of 300 mm on two each
    expect(pages).toBe(3 + 2 * 2);
  }, 120_000);
  it('with letters the font has not is made all the same', async () => {
    const bytes = await templatesPdf(templatesOf(result, inchesAndOunces), 'Маяк <灯台>', 'Letter');
    expect(String.fromCharCode(...bytes.slice(0, 5))).toBe('%PDF-');
  });
  it('as SVG is in millimetres, its words made safe', () => {
    const svg = templatesSvg(templatesOf(result, metric), '<script>');
    expect(svg).toContain('&#60;script&#62;');
    expect(svg).not.toContain('<script>');
    const size = /width="([\d.]+)mm" height="[\d.]+mm" viewBox="0 0 ([\d.]+)/.exec(svg)!;
    expect(size[1]).toBe(size[2]);
    const outline = /stroke="#889"[^>]*\/><path d="M([^"]*)Z"/.exec(svg)![1]!;
    const xs = outline.split('L').map((point) => Number(point.split(' ')[0]));
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(acrossMm, 1);
  });
});
