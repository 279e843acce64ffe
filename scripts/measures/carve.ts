import {
  metric,
  newBuild,
  newCarving,
  planBuild,
  startingPantry,
  templatesOf,
  type CarveQuestion,
  type Cut,
} from '../../core/src/index.ts';
import {
  Carver,
  carveAnswer,
  measuredCoat,
  quickCoatOf,
  startLibrary,
  type Library,
} from '../../core/src/solids/index.ts';
import { templatesPdf } from '../../core/src/templates/index.ts';
import { demo, measure, timed, type Measure } from './measure.ts';

/* The solids: twelve cuts of a stack of nine parts, its coat, its templates. */

const named = { on: true, name: 'cut' };
/** Eight slopes, a ledge, a hollow, a core and a last slope whose height is `lastMm`. */
function twelveCuts(lastMm: number): Cut[] {
  const slope = (i: number, upMm: number): Cut => ({
    ...named,
    id: `slope-${i}`,
    kind: 'plane',
    bearingDeg: i * 45,
    slopeDeg: 70,
    outMm: 80,
    upMm,
    away: 'above',
  });
  return [
    ...Array.from({ length: 8 }, (_, i) => slope(i, 80)),
    { ...named, id: 'step', kind: 'step', bearingDeg: 20, slopeDeg: 80, outMm: 60, upMm: 90 },
    { ...named, id: 'hollow', kind: 'scoop', bearingDeg: 200, outMm: 80, upMm: 60, radiusMm: 25 },
    { ...named, id: 'core', kind: 'core', bearingDeg: 0, outMm: 0, upMm: 40, diameterMm: 50 },
    { ...slope(8, lastMm), id: 'last', bearingDeg: 110 } as Cut,
  ];
}

function question(cuts: Cut[]): CarveQuestion {
  const build = newBuild('b', 'Bench', '2027-05-03T09:30:00Z');
  const tier = build.tiers[0]!;
  while (tier.layers.length < 5) {
    tier.layers.push({ ...tier.layers[0]! });
    tier.gaps.push({ ...tier.gaps[0]! });
  }
  tier.carving = { ...newCarving(), cuts };
  return planBuild(build, startingPantry()).tiers[0]!.carve!.question;
}

/** The same tools on the same stack, with nothing but the library: part, take apart, read volumes. */
function bare(lib: Library, { stock }: CarveQuestion): void {
  const keep: { delete(): void }[] = [];
  const hold = <T extends { delete(): void }>(handle: T): T => {
    keep.push(handle);
    return handle;
  };
  let body = hold(lib.Manifold.cylinder(stock.heightMm, 100, 100, 128));
  const part = ([away, left]: [typeof body, typeof body]): void => {
    for (const piece of hold(away).decompose()) hold(piece).getMesh();
    for (const piece of hold(left).decompose()) hold(piece);
    left.getMesh();
    body = left;
  };
  const slope = (deg: number, up: number): void => {
    const [b, s] = [(deg * Math.PI) / 180, (70 * Math.PI) / 180];
    part(
      body.splitByPlane(
        [Math.sin(b) * Math.sin(s), Math.cos(b) * Math.sin(s), Math.cos(s)],
        80 * Math.sin(s) + up * Math.cos(s),
      ),
    );
  };
  for (let i = 0; i < 8; i++) slope(i * 45, 80);
  const wedge = hold(
    hold(
      hold(
        new lib.CrossSection([
          [
            [60, 90],
            [4000, 90],
            [4000, 4000],
            [-630, 4000],
          ],
        ]),
      ).extrude(4000),
    ).translate(0, 0, -2000),
  );
  part(body.split(hold(wedge.rotate(90, 0, 70))));
  part(body.split(hold(hold(lib.Manifold.sphere(25, 128)).translate(-27, -75, 60))));
  part(body.split(hold(hold(lib.Manifold.cylinder(2000, 25, 25, 128)).translate(0, 0, 40))));
  slope(110, 70);
  for (const handle of keep) handle.delete();
}

/** The memory of the library, caught as it is started. */
let memory: WebAssembly.Memory | null = null;
async function watched(): Promise<Library> {
  const original = WebAssembly.instantiate;
  const spy = async (...args: Parameters<typeof original>): Promise<unknown> => {
    const made = (await original(...args)) as unknown as {
      instance: { exports: Record<string, unknown> };
    };
    memory ??= Object.values(made.instance.exports).find(
      (each): each is WebAssembly.Memory => each instanceof WebAssembly.Memory,
    )!;
    return made;
  };
  WebAssembly.instantiate = spy as typeof original;
  const lib = await startLibrary();
  WebAssembly.instantiate = original;
  if (!memory) throw new Error('the library shows no memory');
  return lib;
}

/** Every measure of the solids. */
export async function carving(): Promise<Measure[]> {
  const lib = await watched();
  const asked = question(twelveCuts(70));
  const scratch = timed(14, 4, () => {
    const carver = new Carver(lib, 128);
    carver.carve(asked);
    carver.end();
  });
  const plain = timed(14, 4, () => bare(lib, asked));
  const middle = (list: number[]): number => [...list].sort((a, b) => a - b)[list.length >> 1]!;
  const carver = new Carver(lib, 128);
  carver.carve(asked);
  const last = timed(30, 5, (run) => carver.carve(question(twelveCuts(60 + (run % 20)))));
  const grew = heap(carver);
  carver.end();
  const dome = planBuild(demo('jubilee'), startingPantry()).tiers[2]!.carve!.question;
  const domed = new Carver(lib, 128);
  const result = carveAnswer(domed, dome);
  const coat = timed(6, 1, () => measuredCoat(domed, dome.cover));
  const quick = timed(20, 4, () => quickCoatOf(domed, dome.cover));
  domed.end();
  const pdf: number[] = [];
  const eight = templatesOf(result, metric);
  const templates = Array.from({ length: 8 }, (_, i) => eight[i % eight.length]!);
  for (let i = 0; i < 6; i++) {
    const started = performance.now();
    await templatesPdf(templates, 'Bench', 'A4');
    if (i > 0) pdf.push(performance.now() - started);
  }
  return [
    measure('carve-12', 'ms', scratch, 900, 'median'),
    measure('carve-last', 'ms', last, 150, 'median'),
    measure('carve-ratio', '×', [middle(scratch) / middle(plain)], 1.5, 'median'),
    measure('carve-heap', 'MB', [grew], 0.5, 'median'),
    measure('coat-solid', 'ms', coat, 1500, 'median'),
    measure('coat-preview', 'ms', quick, 60, 'median'),
    measure('templates-pdf', 'ms', pdf, 2000, 'median'),
  ];
}

/** How much the library's memory grows over 450 edits, after the first 50, MB. */
function heap(carver: Carver): number {
  // the library's memory only ever grows
  const size = (): number => memory!.buffer.byteLength / 1e6;
  let before = 0;
  for (let run = 0; run < 500; run++) {
    if (run === 50) before = size();
    carver.carve(question(twelveCuts(55 + (run % 30))));
  }
  return size() - before;
}
