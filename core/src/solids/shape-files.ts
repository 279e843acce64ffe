import { strToU8, zipSync } from 'fflate';
import { wholeOf, type Body } from './body.ts';
import { within, type Library } from './library.ts';
import { surfaceOf } from './mesh.ts';
import { writeStl } from './stl.ts';

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

const escaped = (text: string): string =>
  text.replace(/[&<>"']/g, (letter) => `&#${letter.charCodeAt(0)};`);

/** The carved cake as a 3MF file (core specification), in millimetres. */
export function threeMfOf(lib: Library, body: Body, name: string): Uint8Array {
  const { points, triangles } = plainSurface(lib, body);
  const lines: string[] = [];
  for (let i = 0; i < points.length; i += 3)
    lines.push(`<vertex x="${points[i]}" y="${points[i + 1]}" z="${points[i + 2]}"/>`);
  const faces: string[] = [];
  for (let t = 0; t < triangles.length; t += 3)
    faces.push(
      `<triangle v1="${triangles[t]}" v2="${triangles[t + 1]}" v3="${triangles[t + 2]}"/>`,
    );
  const xml = '<?xml version="1.0" encoding="UTF-8"?>\n';
  const schemas = 'http://schemas.openxmlformats.org/package/2006';
  const core = 'http://schemas.microsoft.com/3dmanufacturing';
  return zipSync({
    '[Content_Types].xml': strToU8(
      `${xml}<Types xmlns="${schemas}/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="model" ContentType="application/vnd.ms-package.3dmanufacturing-3dmodel+xml"/></Types>`,
    ),
    '_rels/.rels': strToU8(
      `${xml}<Relationships xmlns="${schemas}/relationships"><Relationship Target="/3D/3dmodel.model" Id="shape" Type="${core}/2013/01/3dmodel"/></Relationships>`,
    ),
    '3D/3dmodel.model': strToU8(
      `${xml}<model unit="millimeter" xmlns="${core}/core/2015/02"><metadata name="Title">${escaped(name)}</metadata><resources><object id="1" type="model"><mesh><vertices>${lines.join('\n')}</vertices><triangles>${faces.join('\n')}</triangles></mesh></object></resources><build><item objectid="1"/></build></model>`,
    ),
  });
}
