/** Templates at full size, as PDF and SVG; an entry of its own for the size of its libraries. */
export { templatesOf, type Template } from './templates.ts';
export { templatesPdf, papers, type Paper } from './pdf.ts';
export { templatesSvg } from './svg.ts';
