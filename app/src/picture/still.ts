import type { CakePicture } from '@pyrgotect/core';
import type { CarvedMesh } from './carved-mesh.ts';
import type { PictureColours } from './paints.ts';
import { PictureScene } from './picture-scene.ts';

/**
 * The picture as an image, drawn on a canvas that nobody sees and let go of at once.
 *
 * @throws when the browser has no WebGL
 */
export async function stillOf(
  picture: CakePicture,
  carved: readonly CarvedMesh[],
  colours: PictureColours,
  [wide, high]: readonly [number, number],
): Promise<Blob> {
  const scene = new PictureScene(document.createElement('canvas'), colours, () => undefined);
  try {
    scene.show({ picture, carved, upTo: null, isOpen: false, apartMm: 0 });
    return await scene.image(wide, high, null);
  } finally {
    scene.end();
  }
}
