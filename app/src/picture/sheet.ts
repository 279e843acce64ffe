import { CanvasTexture } from 'three';

/** The letters of the page, which a worker fetches by itself. */
export const letters = "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif";

/** Letters on a sheet that is as wide as they take, in white. */
export function lettersOn(text: string): CanvasTexture {
  const { sheet, pen } = sheetOf(1, 1);
  const font = `600 180px ${letters}`;
  pen.font = font;
  sheet.width = Math.max(1, Math.ceil(pen.measureText(text).width));
  sheet.height = 150;
  pen.font = font;
  pen.fillStyle = 'white';
  pen.textBaseline = 'alphabetic';
  pen.fillText(text, 0, 138);
  return new CanvasTexture(sheet as HTMLCanvasElement);
}

/** A canvas that nobody sees, on a page or in a worker, and its pen. */
export function sheetOf(
  wide: number,
  high: number,
): {
  sheet: HTMLCanvasElement | OffscreenCanvas;
  pen: CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D;
} {
  // prettier-ignore
  if (typeof document === 'undefined') {
    const sheet = new OffscreenCanvas(wide, high);
    return { sheet, pen: sheet.getContext('2d')! };
  }
  const sheet = document.createElement('canvas');
  Object.assign(sheet, { width: wide, height: high });
  return { sheet, pen: sheet.getContext('2d')! };
}
