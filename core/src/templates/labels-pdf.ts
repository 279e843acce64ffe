import { rgb, type PDFFont } from 'pdf-lib';
import type { CakeLabel } from '../labels/cake-labels.ts';
import { labelPlaces, papersMm, type LabelSheet } from '../labels/sheets.ts';
import { newPdf, ptPerMm } from './document.ts';

/** Inside the edge of each label nothing is printed, mm: printers feed a little askew. */
const marginMm = 3;
/** Letters are tried from the largest down to the least that is still read easily (1.2 mm for a small x), pt. */
const [largestPt, leastPt, stepPt] = [12, 6.8, 0.2];
const titleTimes = 1.3;
const leading = 1.22;
const ink = rgb(0.1, 0.13, 0.24);

interface Laid {
  text: string;
  size: number;
  isStrong: boolean;
}

/** Words that fill lines of a width; one that is longer than a line is broken. */
function wrapped(text: string, font: PDFFont, size: number, wide: number): string[] {
  const lines: string[] = [];
  let open = '';
  const fits = (words: string): boolean => font.widthOfTextAtSize(words, size) <= wide;
  for (let word of text.split(/\s+/).filter(Boolean)) {
    if (fits(open ? `${open} ${word}` : word)) {
      open = open ? `${open} ${word}` : word;
      continue;
    }
    if (open) lines.push(open);
    while (!fits(word) && word.length > 1) {
      let part = word.length - 1;
      while (part > 1 && !fits(word.slice(0, part))) part -= 1;
      lines.push(word.slice(0, part));
      word = word.slice(part);
    }
    open = word;
  }
  return open ? [...lines, open] : lines;
}

/** A label's lines as large as they fit; null where even the least letters do not. */
function laidOut(label: CakeLabel, font: PDFFont, wide: number, high: number): Laid[] | null {
  for (let size = largestPt; size >= leastPt - 1e-9; size -= stepPt) {
    const lines = [
      ...wrapped(label.title, font, size * titleTimes, wide).map((text) => ({
        text,
        size: size * titleTimes,
        isStrong: true,
      })),
      ...label.lines.flatMap(({ text, isStrong }) =>
        wrapped(text, font, size, wide).map((part) => ({ text: part, size, isStrong })),
      ),
    ];
    if (lines.reduce((sum, line) => sum + line.size * leading, 0) <= high) return lines;
  }
  return null;
}

/** A label holds more than fits on it in letters that are read. */
export class LabelTooSmall extends Error {
  override readonly name = 'LabelTooSmall';
}

/**
 * Labels on their sheets, at full size.
 *
 * @param first place on the first sheet, from 0; @param outline draws the edges, for a trial on plain paper
 * @throws LabelTooSmall where a label holds more than fits on it
 */
export async function labelsPdf(
  labels: readonly CakeLabel[],
  sheet: LabelSheet,
  first: number,
  outline: boolean,
  fontBytes?: Uint8Array,
): Promise<Uint8Array> {
  const { pdf, font, plain } = await newPdf('labels', fontBytes);
  const [paperWide, paperHigh] = papersMm[sheet.paper];
  const wide = (sheet.wideMm - 2 * marginMm) * ptPerMm;
  const high = (sheet.highMm - 2 * marginMm) * ptPerMm;
  const known = new Map<CakeLabel, Laid[]>();
  labelPlaces(sheet, labels.length, first).forEach(({ page, x, y }, i) => {
    const label = labels[i]!;
    const told = {
      title: plain(label.title),
      lines: label.lines.map((line) => ({ ...line, text: plain(line.text) })),
    };
    const lines = known.get(label) ?? laidOut(told, font, wide, high);
    if (!lines)
      throw new LabelTooSmall(
        `“${label.title}” holds more than fits on ${sheet.wideMm} × ${sheet.highMm} mm in letters that are read. Choose larger labels.`,
      );
    known.set(label, lines);
    while (pdf.getPageCount() <= page) pdf.addPage([paperWide * ptPerMm, paperHigh * ptPerMm]);
    const at = pdf.getPage(page);
    if (outline)
      at.drawRectangle({
        x: x * ptPerMm,
        y: (paperHigh - y - sheet.highMm) * ptPerMm,
        width: sheet.wideMm * ptPerMm,
        height: sheet.highMm * ptPerMm,
        borderColor: ink,
        borderWidth: 0.3,
      });
    let down = (paperHigh - y - marginMm) * ptPerMm;
    for (const { text, size, isStrong } of lines) {
      down -= size * leading;
      const draw = (dx: number): void =>
        at.drawText(text, {
          x: (x + marginMm) * ptPerMm + dx,
          y: down + size * (leading - 1),
          size,
          font,
          color: ink,
        });
      draw(0);
      // one face is in the file; what is strong is drawn a hair wider
      if (isStrong) draw(0.28);
    }
  });
  return pdf.save();
}
