/** The letters of the page, which a worker fetches by itself. */
export const letters = "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif";

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
