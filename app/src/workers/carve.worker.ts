import type {
  CakeLabel,
  CarveQuestion,
  CarveResult,
  CarvedCoat,
  Paper,
  Template,
  LabelSheet,
} from '@pyrgotect/core';
import {
  Carver,
  carveAnswer,
  carveView,
  measuredCoat,
  startLibrary,
  stlOf,
  targetFrom,
  tinWallFrom,
  threeMfOf,
  type CarveView,
  type Library,
  type StlUnit,
} from '@pyrgotect/core/solids';

import { expose, transfer } from 'comlink';
import wasmUrl from 'manifold-3d/manifold.wasm?url';

/* The solids run here, away from the page: each tier keeps its own, cut by cut. */
let starting: Promise<Library> | null = null;
const library = (): Promise<Library> => (starting ??= startLibrary(wasmUrl));

/** Segments to a full turn: few while something is being moved, more to report. */
const segments = { rough: 64, fine: 128 } as const;
export type Fineness = keyof typeof segments;
const kept = new Map<string, Carver>();
const mostKept = 4;

async function carverOf(question: CarveQuestion, fineness: Fineness): Promise<Carver> {
  const lib = await library();
  const id = `${question.tierId}/${fineness}`;
  const found = kept.get(id) ?? new Carver(lib, segments[fineness]);
  // the one used last stands last
  kept.delete(id);
  kept.set(id, found);
  for (const [other, carver] of kept) {
    if (kept.size <= mostKept) break;
    carver.end();
    kept.delete(other);
  }
  found.carve(question);
  return found;
}

const buffersOf = (view: CarveView): Transferable[] => [
  view.edges.buffer as ArrayBuffer,
  ...view.offcuts.map((each) => each.edges.buffer as ArrayBuffer),
  ...[...view.pieces, ...view.offcuts.map((each) => each.shown)].flatMap(
    ({ corners, normals, partOf }) => [
      corners.buffer as ArrayBuffer,
      normals.buffer as ArrayBuffer,
      partOf.buffer as ArrayBuffer,
    ],
  ),
];
const sent = (bytes: Uint8Array): Uint8Array => transfer(bytes, [bytes.buffer as ArrayBuffer]);

const solids = {
  carve: async (question: CarveQuestion, fineness: Fineness): Promise<CarveResult> =>
    carveAnswer(await carverOf(question, fineness), question),
  coat: async (question: CarveQuestion): Promise<CarvedCoat> =>
    measuredCoat(await carverOf(question, 'fine'), question.cover),
  view: async (
    question: CarveQuestion,
    fineness: Fineness,
    openMm: number | null,
  ): Promise<CarveView> => {
    const view = carveView(await carverOf(question, fineness), openMm);
    return transfer(view, buffersOf(view));
  },
  file: async (question: CarveQuestion, kind: 'stl' | '3mf', name: string): Promise<Uint8Array> => {
    const { lib, ...carver } = await carverOf(question, 'fine').then((each) => ({
      lib: each.lib,
      body: each.body(),
    }));
    return sent(kind === 'stl' ? stlOf(lib, carver.body) : threeMfOf(lib, carver.body, name));
  },
  target: async (bytes: Uint8Array, fileName: string, unit: StlUnit) =>
    targetFrom(await library(), bytes, fileName, unit),
  tinWall: (bytes: Uint8Array, unit: StlUnit) => tinWallFrom(bytes, unit),
  templates: async (
    templates: Template[],
    name: string,
    as: Paper | 'svg',
    font: Uint8Array,
  ): Promise<Uint8Array> => {
    // the PDF library is larger than all the rest of this
    const { templatesPdf, templatesSvg } = await import('@pyrgotect/core/templates');
    if (as === 'svg') return new TextEncoder().encode(templatesSvg(templates, name));
    return sent(await templatesPdf(templates, name, as, font));
  },
  labels: async (
    labels: CakeLabel[],
    sheet: LabelSheet,
    first: number,
    outline: boolean,
    font: Uint8Array,
  ): Promise<Uint8Array> => {
    const { labelsPdf } = await import('@pyrgotect/core/templates');
    return sent(await labelsPdf(labels, sheet, first, outline, font));
  },
};
export type Solids = typeof solids;
expose(solids);
