import { readFileSync, writeFileSync } from 'node:fs';
import { createCanvas, loadImage } from '@napi-rs/canvas';
import { schemes } from '../app/src/styles/palette.ts';

/* Draws the icons that an installed program needs as pixels, from the one that is drawn. */

const folder = new URL('../app/public/', import.meta.url);
const icon = await loadImage(readFileSync(new URL('icon.svg', folder)));

/** @param margin share of the side that a launcher may cut off, on each edge */
function draw(name: string, side: number, margin: number): void {
  const canvas = createCanvas(side, side);
  const pen = canvas.getContext('2d');
  if (margin > 0) {
    pen.fillStyle = schemes.paper.oat;
    pen.fillRect(0, 0, side, side);
  }
  const inside = side * (1 - 2 * margin);
  pen.drawImage(icon, side * margin, side * margin, inside, inside);
  writeFileSync(new URL(name, folder), canvas.toBuffer('image/png'));
}
draw('icon-192.png', 192, 0);
draw('icon-512.png', 512, 0);
// a circle of four fifths of the side is seen everywhere
draw('icon-maskable-512.png', 512, 0.12);
