/** Sheets at full size as PDF and SVG; an entry of its own for the size of its libraries. */
export { templatesPdf } from './pdf.ts';
export { labelsPdf } from './labels-pdf.ts';
export { templatesSvg } from './svg.ts';
