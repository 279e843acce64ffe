// @vitest-environment node
import {
  drawPicture,
  planBuild,
  readBuildFile,
  slicesMm3,
  startingPantry,
  type Film,
  type PictureBody,
  type PictureDrip,
} from '@pyrgotect/core';
import { readFileSync } from 'node:fs';
import { Color, type BufferGeometry } from 'three';
import { describe, expect, it } from 'vitest';
import { addBodies, Triangles } from '../src/picture/body-mesh.ts';
import { carvedGeometry, type CarvedMesh } from '../src/picture/carved-mesh.ts';
import { film } from '../src/picture/film.ts';
import { pictureColours } from '../src/picture/picture-colours.ts';
import { dripEnd, dripShaft, pieceShape } from '../src/picture/piece-shapes.ts';
import { dripPlaces, piecePlaces } from '../src/picture/places.ts';
import { runMesh } from '../src/picture/run-mesh.ts';
import { schemes } from '../src/styles/palette.ts';

/* Triangles of the picture: closed, turned outward, and as large as what they show. */

/** Volume inside triangles, by the divergence theorem; negative where they are turned inside out. */
function volumeOf(geometry: BufferGeometry): number {
  const flat = geometry.index ? geometry.toNonIndexed() : geometry;
  const p = flat.getAttribute('position');
  let six = 0;
  for (let i = 0; i < p.count; i += 3) {
    const [a, b, c] = [i, i + 1, i + 2].map((k) => [p.getX(k), p.getY(k), p.getZ(k)] as const);
    six +=
      a![0] * (b![1] * c![2] - b![2] * c![1]) +
      a![1] * (b![2] * c![0] - b![0] * c![2]) +
      a![2] * (b![0] * c![1] - b![1] * c![0]);
  }
  return six / 6;
}
const meshOf = (
  bodies: readonly PictureBody[],
): { geometry: BufferGeometry; triangles: Triangles } => {
  const triangles = new Triangles();
  const white = new Color('#fff');
  addBodies(triangles, bodies.map((body, index) => ({ body, index, side: white, top: white }))); // prettier-ignore
  return { geometry: triangles.geometry(), triangles };
};

describe('bodies', () => {
  const read = readBuildFile(readFileSync(new URL('../../demo/jubilee.json', import.meta.url), 'utf8')); // prettier-ignore
  if (!read.ok) throw new Error('no jubilee');
  const pantry = startingPantry();
  const { bodies } = drawPicture(read.build, planBuild(read.build, pantry), pantry);

  it('hold what their slices hold, each by itself', () => {
    for (const body of bodies) {
      const wanted = slicesMm3(body.slices);
      expect(volumeOf(meshOf([body]).geometry) / wanted).toBeCloseTo(1, 2);
    }
  });

  it('that lie on each other are one, with no ends between them', () => {
    const coats = bodies.filter(({ kind, tierId }) => kind === 'coat' && tierId === 'tier-1');
    const cut = coats.flatMap((body): PictureBody[] => {
      const [slice] = body.slices;
      const { fromMm, toMm, foot } = slice!;
      const middle = (fromMm + toMm) / 2;
      return [
        { ...body, slices: [{ fromMm, toMm: middle, foot, top: foot }] },
        { ...body, slices: [{ fromMm: middle, toMm, foot, top: foot }, ...body.slices.slice(1)] },
      ];
    });
    const [whole, halves] = [meshOf(coats), meshOf(cut)];
    expect(volumeOf(halves.geometry)).toBeCloseTo(volumeOf(whole.geometry), 0);
    // one more ring of walls: a point of the foot has two triangles, and no cap has come in
    const added = halves.triangles.bodyOf.length - whole.triangles.bodyOf.length;
    expect(added).toBe(2 * coats[0]!.slices[0]!.foot[0]!.length);
  });

  it('know of which body each triangle is', () => {
    const { triangles } = meshOf(bodies.slice(0, 4));
    expect(new Set(triangles.bodyOf)).toEqual(new Set([0, 1, 2, 3]));
  });
});

describe('pieces', () => {
  const forms = [
    ...(['shell', 'star', 'kiss', 'rosette', 'dollop', 'ruffle', 'leaf'] as const).map((form) => ({ of: 'piping', form, nozzle: 'open star' }) as const), // prettier-ignore
    ...(['ball', 'egg', 'cone', 'roll', 'block', 'shard', 'disc', 'stick', 'leaf'] as const).map((form) => ({ of: 'topping', form }) as const), // prettier-ignore
  ];
  it.each(forms)('$of $form stands on its foot, about as wide and high as 1', (piece) => {
    for (const many of [false, true]) {
      const shape = pieceShape(piece, many);
      shape.computeBoundingBox();
      const { min, max } = shape.boundingBox!;
      expect(max.z).toBeLessThanOrEqual(1.06);
      expect(min.z).toBeGreaterThan(-0.3);
      expect(max.z - min.z).toBeGreaterThan(0.5);
      expect(max.x - min.x).toBeLessThanOrEqual(1.75);
      expect(max.x - min.x).toBeGreaterThan(0.5);
      expect(volumeOf(shape)).toBeGreaterThan(0);
    }
  });

  it('a drip hangs down from its place, as thick as it stands out', () => {
    for (const shape of [dripShaft(), dripEnd()]) {
      shape.computeBoundingBox();
      const { min, max } = shape.boundingBox!;
      // half of it lies in the side
      expect(max.y).toBeCloseTo(1, 1);
      expect(max.x - min.x).toBeCloseTo(1, 1);
    }
  });
});

describe('places', () => {
  it('a drip ends where the flow stopped it, and stands out as far as it is thick', () => {
    const drip: PictureDrip = { part: 'd', tierId: 't', index: 0, at: { x: 100, y: 0, z: 80 }, out: { x: 1, y: 0 }, lengthMm: 40, widthMm: 9, thickMm: 3, look: 'ganache', step: 1 }; // prettier-ignore
    const { shafts, ends } = dripPlaces([drip]);
    const boxes = [dripShaft().applyMatrix4(shafts[0]!), dripEnd().applyMatrix4(ends[0]!)].map(
      (shape) => {
        shape.computeBoundingBox();
        return shape.boundingBox!;
      },
    );
    expect(boxes[0]!.max.z).toBeCloseTo(80, 6);
    expect(Math.min(...boxes.map(({ min }) => min.z))).toBeCloseTo(40, 6);
    const out = Math.max(...boxes.map(({ max }) => max.x)) - 100;
    expect(out).toBeGreaterThan(2.5);
    expect(out).toBeLessThan(5);
    // as wide as it is planned, half to either side, and not turned inside out
    expect(boxes[1]!.max.y).toBeCloseTo(4.5, 0);
    expect(ends[0]!.determinant()).toBeGreaterThan(0);
  });

  it('a piece stands up from its foot, on its stick where it has one', () => {
    const group = { part: 'p', tierId: 't', label: 'moon', form: { of: 'topping', form: 'disc' }, look: 'curd', acrossMm: 30, highMm: 4, stickMm: 40, step: 1, pieces: [{ at: { x: 5, y: 6, z: 100 }, up: { x: 0, y: 0, z: 1 }, along: { x: 1, y: 0 } }] } as const; // prettier-ignore
    const { pieces, sticks } = piecePlaces({ ...group, pieces: [...group.pieces] });
    const shape = pieceShape(group.form, false).applyMatrix4(pieces[0]!);
    shape.computeBoundingBox();
    const { min, max } = shape.boundingBox!;
    expect([min.z, max.z]).toEqual([140, 144]);
    expect(max.x - min.x).toBeCloseTo(30, 0);
    expect(sticks).toHaveLength(1);
    expect(piecePlaces({ ...group, stickMm: 0, pieces: [...group.pieces] }).sticks).toEqual([]);
  });
});

describe('lines', () => {
  it('run along their points, as wide and high as they are piped', () => {
    const points = Array.from({ length: 40 }, (_, i) => ({
      x: 100 * Math.cos((i * Math.PI) / 20),
      y: 100 * Math.sin((i * Math.PI) / 20),
      z: 50,
    }));
    const geometry = runMesh({ part: 'p', tierId: 't', label: 'l', look: 'ivory', wideMm: 8, highMm: 5, closed: true, isRope: false, points, step: 1 }); // prettier-ignore
    geometry.computeBoundingBox();
    const { min, max } = geometry.boundingBox!;
    expect(max.x).toBeCloseTo(104, 0);
    expect(min.x).toBeCloseTo(-104, 0);
    expect(max.z).toBeCloseTo(55, 1);
    expect(min.z).toBeCloseTo(50, 1);
  });
});

/** A sphere of so many triangles, as the solids give one. */
function sphere(rows: number, columns: number): { corners: Float32Array; normals: Float32Array } {
  const at = (row: number, column: number): [number, number, number] => {
    const [a, b] = [(Math.PI * row) / rows, (2 * Math.PI * column) / columns];
    return [100 * Math.sin(a) * Math.cos(b), 100 * Math.sin(a) * Math.sin(b), 100 * Math.cos(a)];
  };
  const corners: number[] = [];
  const normals: number[] = [];
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++)
      for (const [i, j, k] of [
        [at(r, c), at(r + 1, c), at(r + 1, c + 1)],
        [at(r, c), at(r + 1, c + 1), at(r, c + 1)],
      ] as const)
        for (const p of [i, j, k]) {
          corners.push(...p);
          normals.push(...i.map((_, d) => (i[d]! + j[d]! + k[d]!) / 300));
        }
  return { corners: Float32Array.from(corners), normals: Float32Array.from(normals) };
}
const paper = pictureColours(schemes.paper);
const carvedOf = (rows: number, columns: number, films: readonly Film[] = []): CarvedMesh => ({
  tierId: 'tier-1',
  part: 'tier-1/coat',
  ...sphere(rows, columns),
  looks: Array.from({ length: 2 * rows * columns }, () => 'ivory' as const),
  at: { x: 0, y: 0, z: 0 },
  coatMm: 5,
  films,
  reliefs: [],
  step: 0,
});

describe('carved tiers', () => {
  it('are grown by their coat', () => {
    const geometry = carvedGeometry(carvedOf(60, 120), paper);
    geometry.computeBoundingSphere();
    expect(geometry.boundingSphere!.radius).toBeGreaterThan(104.8);
    expect(volumeOf(geometry)).toBeCloseTo((4 / 3) * Math.PI * 105 ** 3, -5);
  });
  it('are coloured on top where only the top is dusted', () => {
    const dust: Film = { key: 'd', look: 'cocoa', cover: 1, shiny: false, on: 'top', step: 0 };
    const geometry = carvedGeometry(carvedOf(20, 40, [dust]), paper);
    const [place, colour] = [geometry.getAttribute('position'), geometry.getAttribute('color')];
    const [cocoa, ivory] = [new Color(paper.of('cocoa')), new Color(paper.of('ivory'))];
    for (let i = 0; i < place.count; i++) {
      if (Math.abs(place.getZ(i)) > 95)
        expect(colour.getX(i)).toBeCloseTo((place.getZ(i) > 0 ? cocoa : ivory).r, 5);
    }
  });
  it('may have three hundred thousand triangles', () => {
    const many = carvedOf(375, 400);
    const geometry = carvedGeometry(many, paper);
    expect(geometry.getAttribute('position').count).toBe(900_000);
  });
});

describe('films', () => {
  it('hide what is under them by their share, in the order of the work', () => {
    const over = (films: Film[], where: 'side' | 'top'): string => {
      const colour = new Color('#000000');
      film(colour, films, where, paper);
      return colour.getHexString();
    };
    const one = { key: 'f', look: '#ffffff', shiny: false, on: 'side', step: 0 } as const;
    expect(over([{ ...one, cover: 0 }], 'side')).toBe('000000');
    expect(over([{ ...one, cover: 1 }], 'side')).toBe('ffffff');
    expect(over([{ ...one, cover: 1 }], 'top')).toBe('000000');
    expect(over([{ ...one, cover: 1 }, { ...one, look: '#ff0000', cover: 1 }], 'side')).toBe('ff0000'); // prettier-ignore
  });
});
