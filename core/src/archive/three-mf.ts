import { strToU8, zipSync } from 'fflate';

/** One solid of a file, that stands once or many times. */
export interface FileSolid {
  name: string;
  /** x, y, z of each point, mm. */
  points: ArrayLike<number>;
  /** Three points of each triangle, counter-clockwise from outside. */
  triangles: ArrayLike<number>;
  /** Its colours as "#rrggbb", and which of them each triangle has; none where it has no colour. */
  colours: readonly string[];
  colourOf: (triangle: number) => number;
  /** Where it stands, as twelve numbers each: the images of x, y and z, then the place, mm. */
  places: readonly (readonly number[])[];
}

/** Where a thing stands that is where its points are. */
export const asItIs = [1, 0, 0, 0, 1, 0, 0, 0, 1, 0, 0, 0] as const;

const escaped = (text: string): string =>
  text.replace(/[&<>"']/g, (letter) => `&#${letter.charCodeAt(0)};`);
/** A thousandth of a millimetre is finer than anything of a cake. */
const short = (n: number): string => String(Math.round(n * 1000) / 1000 || 0);
/** Parts of a turned thing, without a loss that one would see. */
const fine = (n: number): string => String(Number(n.toFixed(7)) || 0);

/** The mesh of a solid: points that are the same are one, so that its triangles hold together. */
function meshOf({ points, triangles, colours, colourOf }: FileSolid, paintId: number): string {
  const known = new Map<string, number>();
  const lines: string[] = [];
  const pointAt = (index: number): number => {
    const [x, y, z] = [0, 1, 2].map((k) => short(points[index * 3 + k]!));
    const vertex = `<vertex x="${x}" y="${y}" z="${z}"/>`;
    const there = known.get(vertex);
    if (there !== undefined) return there;
    known.set(vertex, lines.length);
    return lines.push(vertex) - 1;
  };
  const faces: string[] = [];
  for (let t = 0; t < triangles.length; t += 3) {
    const [a, b, c] = [0, 1, 2].map((k) => pointAt(triangles[t + k]!));
    if (a === b || b === c || c === a) continue;
    const paint = colours.length > 0 ? ` pid="${paintId}" p1="${colourOf(t / 3)}"` : '';
    faces.push(`<triangle v1="${a}" v2="${b}" v3="${c}"${paint}/>`);
  }
  return `<mesh><vertices>${lines.join('\n')}</vertices><triangles>${faces.join('\n')}</triangles></mesh>`;
}

/**
 * Solids as a 3MF file (core specification), in millimetres, z up, as one thing made of its parts.
 *
 * @param liftMm what is added to every place, so that nothing lies below zero, as readers ask for
 */
export function writeThreeMf(
  title: string,
  solids: readonly FileSolid[],
  liftMm: readonly [number, number, number] = [0, 0, 0],
): Uint8Array {
  const paints: string[] = [];
  const objects: string[] = [];
  const parts: string[] = [];
  // the first ids are of paints, a list for each solid
  solids.forEach((solid, i) => {
    const [paintId, id] = [i + 1, solids.length + i + 1];
    if (solid.colours.length > 0)
      paints.push(
        `<basematerials id="${paintId}">${solid.colours
          .map(
            (colour) =>
              `<base name="${escaped(solid.name)}" displaycolor="${colour.toUpperCase()}"/>`,
          )
          .join('')}</basematerials>`,
      );
    objects.push(
      `<object id="${id}" type="model" name="${escaped(solid.name)}">${meshOf(solid, paintId)}</object>`,
    );
    for (const place of solid.places)
      parts.push(`<component objectid="${id}" transform="${place.map(fine).join(' ')}"/>`);
  });
  const wholeId = 2 * solids.length + 1;
  const lift = [...asItIs.slice(0, 9), ...liftMm].map(fine).join(' ');
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
      `${xml}<model unit="millimeter" xmlns="${core}/core/2015/02"><metadata name="Title">${escaped(title)}</metadata><resources>${[...paints, ...objects].join('\n')}<object id="${wholeId}" type="model" name="${escaped(title)}"><components>${parts.join('\n')}</components></object></resources><build><item objectid="${wholeId}" transform="${lift}"/></build></model>`,
    ),
  });
}
