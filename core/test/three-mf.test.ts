import { strFromU8, unzipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { asItIs, writeThreeMf, type FileSolid } from '../src/index.ts';

/** A pyramid on a square, its square in two triangles; every triangle with points of its own. */
const corners = [
  [0, 0, 0],
  [10, 0, 0],
  [10, 10, 0],
  [0, 10, 0],
  [5, 5, 8],
];
const faces = [[0, 2, 1], [0, 3, 2], [0, 1, 4], [1, 2, 4], [2, 3, 4], [3, 0, 4]]; // prettier-ignore
const pyramid: FileSolid = {
  name: 'a <peak>',
  points: faces.flat().flatMap((i) => corners[i]!),
  triangles: faces.flat().map((_, i) => i),
  colours: ['#aabbcc', '#112233'],
  colourOf: (t) => (t < 2 ? 0 : 1),
  places: [asItIs, [1, 0, 0, 0, 1, 0, 0, 0, 1, 20, -3, 1e-9]],
};
const modelOf = (bytes: Uint8Array): string => strFromU8(unzipSync(bytes)['3D/3dmodel.model']!);
const all = (text: string, what: RegExp): string[] => [...text.matchAll(what)].map((m) => m[1]!);

describe('solids as a 3MF file', () => {
  const model = modelOf(writeThreeMf('Cake & more', [pyramid, { ...pyramid, name: 'two', colours: [] }], [1, 2, 3])); // prettier-ignore
  it('have each point once, so that their triangles hold together', () => {
    expect(model.match(/<vertex /g)).toHaveLength(10);
    expect(model.match(/<triangle /g)).toHaveLength(12);
    // each edge of the first is of two triangles, once this way and once that
    const mesh = model.slice(0, model.indexOf('</mesh>'));
    const edges = new Set<string>();
    for (const [, a, b, c] of mesh.matchAll(/v1="(\d+)" v2="(\d+)" v3="(\d+)"/g))
      for (const edge of [`${a}>${b}`, `${b}>${c}`, `${c}>${a}`]) {
        expect(edges.has(edge)).toBe(false);
        edges.add(edge);
      }
    for (const edge of edges) expect(edges.has(edge.split('>').reverse().join('>'))).toBe(true);
  });
  it('name only what is there: ids once each, colours of their own list', () => {
    const ids = all(model, /<(?:object|basematerials) id="(\d+)"/g);
    expect(new Set(ids).size).toBe(ids.length);
    for (const id of all(model, /objectid="(\d+)"/g)) expect(ids).toContain(id);
    for (const pid of all(model, /pid="(\d+)"/g)) expect(ids).toContain(pid);
    expect(all(model, /displaycolor="([^"]+)"/g)).toEqual(['#AABBCC', '#112233']);
    expect(all(model, /p1="(\d)"/g).join('')).toBe('001111');
    expect(model).toContain('a &#60;peak&#62;');
    expect(model).toContain('Cake &#38; more');
  });
  it('stand where they stand, all of them lifted', () => {
    expect(all(model, /<component [^>]*transform="([^"]+)"/g)).toContain('1 0 0 0 1 0 0 0 1 20 -3 0'); // prettier-ignore
    expect(all(model, /<item [^>]*transform="([^"]+)"/g)).toEqual(['1 0 0 0 1 0 0 0 1 1 2 3']);
  });
  it('leave out a triangle that is thinner than anything of a cake', () => {
    const thin: FileSolid = {
      ...{ name: 'thin', points: [0, 0, 0, 1, 0, 0, 1e-5, 0, 0], triangles: [0, 1, 2] },
      ...{ colours: [], colourOf: () => 0, places: [asItIs] },
    };
    expect(modelOf(writeThreeMf('x', [thin]))).not.toContain('<triangle ');
  });
});
