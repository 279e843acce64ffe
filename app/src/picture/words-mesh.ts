import type { PictureWords } from '@pyrgotect/core';
import { CanvasTexture, DoubleSide, Mesh, MeshBasicMaterial, PlaneGeometry } from 'three';
import type { PictureColours } from './paints.ts';
import { letters, sheetOf } from './sheet.ts';

/** Words that are piped, as they are read from the front: on the top, or on the front of a side. */
export function wordsMesh(
  { text, letterMm, look, at, on }: PictureWords,
  colours: PictureColours,
): Mesh {
  const { sheet, pen } = sheetOf(1, 1);
  const font = `italic 600 96px ${letters}`;
  pen.font = font;
  sheet.width = Math.ceil(pen.measureText(text).width) + 40;
  sheet.height = 150;
  pen.font = font;
  pen.fillStyle = colours.of(look);
  pen.strokeStyle = colours.ink;
  pen.lineWidth = 3;
  pen.textBaseline = 'middle';
  pen.strokeText(text, 20, 75);
  pen.fillText(text, 20, 75);
  // letters are as high as two thirds of their line
  const mmPerPx = letterMm / 66;
  const mesh = new Mesh(
    new PlaneGeometry(sheet.width * mmPerPx, sheet.height * mmPerPx),
    new MeshBasicMaterial({ map: new CanvasTexture(sheet), transparent: true, side: DoubleSide }),
  );
  mesh.userData.isSheet = true;
  mesh.position.set(at.x, at.y, at.z);
  if (on === 'front') {
    mesh.rotateX(Math.PI / 2);
    mesh.position.y -= 1.5;
  } else mesh.position.z += 1.5;
  return mesh;
}
