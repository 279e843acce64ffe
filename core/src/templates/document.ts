import fontkit from '@pdf-lib/fontkit';
import { PDFDocument, StandardFonts, type PDFFont } from 'pdf-lib';

export const ptPerMm = 72 / 25.4;

/**
 * An empty PDF with a font, and what leaves out letters that the font does not have.
 *
 * @param fontBytes a font with the letters that are needed; without one, letters beyond western Europe's are left out
 */
export async function newPdf(
  title: string,
  fontBytes?: Uint8Array,
): Promise<{ pdf: PDFDocument; font: PDFFont; plain: (text: string) => string }> {
  const pdf = await PDFDocument.create();
  pdf.setTitle(title);
  pdf.setProducer('Pyrgotect');
  pdf.setCreator('Pyrgotect');
  if (fontBytes) pdf.registerFontkit(fontkit);
  const font = await (fontBytes
    ? pdf.embedFont(fontBytes, { subset: true })
    : pdf.embedFont(StandardFonts.Helvetica));
  const known = new Set(font.getCharacterSet());
  const plain = (text: string): string =>
    [...text].filter((letter) => known.has(letter.codePointAt(0)!)).join('');
  return { pdf, font, plain };
}
