import { wholeOf, type Body } from './body.ts';
import { within, type Library } from './library.ts';
import { surfaceOf } from './mesh.ts';
import { writeStl } from './stl.ts';
import { asItIs, writeThreeMf } from '../archive/three-mf.ts';

interface Plain {
  points: Float32Array;
  triangles: Uint32Array;
}
const plainSurface = (lib: Library, body: Body): Plain =>
  within((scope) => {
    const { points, triangles, stride } = surfaceOf(wholeOf(lib, body, scope));
    const places = new Float32Array((points.length / stride) * 3);
    for (let i = 0; i < places.length; i++)
      places[i] = points[Math.floor(i / 3) * stride + (i % 3)]!;
    return { points: places, triangles: Uint32Array.from(triangles) };
  });

/** The carved cake as a binary STL file. */
export function stlOf(lib: Library, body: Body): Uint8Array {
  const { points, triangles } = plainSurface(lib, body);
  return writeStl(points, triangles);
}

/** The carved cake as a 3MF file, in millimetres. */
export const threeMfOf = (lib: Library, body: Body, name: string): Uint8Array =>
  writeThreeMf(name, [
    {
      ...{ name, ...plainSurface(lib, body) },
      ...{ colours: [], colourOf: () => 0, places: [asItIs] },
    },
  ]);
