/** Sheets at full size as PDF and SVG; an entry of its own for the size of its libraries. */
export { templatesPdf, papers, type Paper } from './pdf.ts';
export { templatesSvg } from './svg.ts';
