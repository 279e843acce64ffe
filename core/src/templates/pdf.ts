import { rgb, type PDFFont, type PDFPage } from 'pdf-lib';
import { papersMm, type Paper } from '../labels/sheets.ts';
import { newPdf, ptPerMm } from './document.ts';
import { boxOfTemplate, type Template } from './templates.ts';

const marginMm = 12;
/** Room for the title above and the scale bar below. */
const headMm = 12;
const footMm = 14;
/** How far neighbouring pages show the same strip. */
const lapMm = 10;
const scaleBarMm = 100;
const ink = rgb(0.1, 0.13, 0.24);
const faint = rgb(0.55, 0.56, 0.6);

/** How many pages across or down a length takes when each shares a strip with the next. */
const pagesFor = (lengthMm: number, roomMm: number): number =>
  lengthMm <= roomMm ? 1 : 1 + Math.ceil((lengthMm - roomMm) / (roomMm - lapMm));

interface Sheet {
  page: PDFPage;
  font: PDFFont;
  /** From the template's millimetres to the page's points. */
  at: (x: number, y: number) => [number, number];
  window: { x0: number; y0: number; x1: number; y1: number };
}

/**
 * Templates at full size, one unit to the millimetre: on as many pages as they take, with crosses
 * to lay neighbouring pages on each other, a bar of 100 mm on each page and the page's place.
 *
 * @param fontBytes a font with the letters of the titles; without one, letters beyond western
 *   Europe's are left out
 */
export async function templatesPdf(
  templates: readonly Template[],
  name: string,
  paper: Paper,
  fontBytes?: Uint8Array,
): Promise<Uint8Array> {
  const { pdf, font, plain } = await newPdf(`${name}: templates`, fontBytes);
  const [wide, high] = papersMm[paper];
  const room = { w: wide - 2 * marginMm, h: high - 2 * marginMm - headMm - footMm };
  for (const template of templates) {
    const box = boxOfTemplate(template);
    const across = pagesFor(box.x1 - box.x0, room.w);
    const down = pagesFor(box.y1 - box.y0, room.h);
    // the middle of the template in the middle of its pages
    const spanX = room.w + (across - 1) * (room.w - lapMm);
    const spanY = room.h + (down - 1) * (room.h - lapMm);
    const left = (box.x0 + box.x1) / 2 - spanX / 2;
    const top = (box.y0 + box.y1) / 2 + spanY / 2;
    for (let row = 0; row < down; row++)
      for (let column = 0; column < across; column++) {
        const page = pdf.addPage([wide * ptPerMm, high * ptPerMm]);
        const x0 = left + column * (room.w - lapMm);
        const y1 = top - row * (room.h - lapMm);
        const sheet: Sheet = {
          page,
          font,
          at: (x, y) => [
            (marginMm + x - x0) * ptPerMm,
            (high - marginMm - headMm - (y1 - y)) * ptPerMm,
          ],
          window: { x0, y0: y1 - room.h, x1: x0 + room.w, y1 },
        };
        const place =
          across * down > 1 ? `, row ${row + 1} of ${down}, page ${column + 1} of ${across}` : '';
        heading(sheet, plain(`${name}: ${template.title}${place}`), wide, high);
        draw(sheet, template, plain);
        if (across * down > 1) crosses(sheet, { row, column, across, down }, room);
      }
  }
  return pdf.save();
}

function heading({ page, font }: Sheet, title: string, wide: number, high: number): void {
  const most = (wide - 2 * marginMm) * ptPerMm;
  let text = title;
  while (text.length > 8 && font.widthOfTextAtSize(text, 10) > most) text = text.slice(0, -1);
  page.drawText(text, {
    x: marginMm * ptPerMm,
    y: (high - marginMm - 4) * ptPerMm,
    size: 10,
    font,
    color: ink,
  });
  const y = (marginMm + 3) * ptPerMm;
  const x = marginMm * ptPerMm;
  const end = x + scaleBarMm * ptPerMm;
  page.drawLine({ start: { x, y }, end: { x: end, y }, thickness: 1, color: ink });
  for (let mm = 0; mm <= scaleBarMm; mm += 10)
    page.drawLine({
      start: { x: x + mm * ptPerMm, y },
      end: { x: x + mm * ptPerMm, y: y + (mm % 50 === 0 ? 3 : 1.6) * ptPerMm },
      thickness: 0.6,
      color: ink,
    });
  page.drawText('100 mm. Print at 100 %, not fitted to the page; measure this bar first.', {
    x: end + 3 * ptPerMm,
    y: y - 1,
    size: 7,
    font,
    color: ink,
  });
}

/** The part of a line inside the window (Liang and Barsky); null where there is none. */
function inWindow(
  [ax, ay]: readonly [number, number],
  [bx, by]: readonly [number, number],
  { x0, y0, x1, y1 }: Sheet['window'],
): [number, number, number, number] | null {
  const [dx, dy] = [bx - ax, by - ay];
  let [from, to] = [0, 1];
  for (const [p, q] of [
    [-dx, ax - x0],
    [dx, x1 - ax],
    [-dy, ay - y0],
    [dy, y1 - ay],
  ] as const) {
    if (p === 0) {
      if (q < 0) return null;
      continue;
    }
    const r = q / p;
    if (p < 0) from = Math.max(from, r);
    else to = Math.min(to, r);
    if (from > to) return null;
  }
  return [ax + from * dx, ay + from * dy, ax + to * dx, ay + to * dy];
}

function draw(sheet: Sheet, template: Template, plain: (text: string) => string): void {
  const stroke = (
    a: readonly [number, number],
    b: readonly [number, number],
    thickness: number,
    color: typeof ink,
  ): void => {
    const part = inWindow(a, b, sheet.window);
    if (!part) return;
    const [x0, y0] = sheet.at(part[0], part[1]);
    const [x1, y1] = sheet.at(part[2], part[3]);
    sheet.page.drawLine({ start: { x: x0, y: y0 }, end: { x: x1, y: y1 }, thickness, color });
  };
  for (const [x0, y0, x1, y1] of template.rules) stroke([x0, y0], [x1, y1], 0.4, faint);
  for (const line of template.lines)
    line.forEach((point, i) => stroke(point, line[(i + 1) % line.length]!, 1, ink));
  const { x0, y0, x1, y1 } = sheet.window;
  for (const word of template.words) {
    if (word.x < x0 || word.x > x1 - 5 || word.y < y0 || word.y > y1) continue;
    const [x, y] = sheet.at(word.x, word.y);
    sheet.page.drawText(plain(word.text), { x, y, size: 7, font: sheet.font, color: ink });
  }
}

/** Crosses in the strips that neighbouring pages share: laid on each other they join the pages. */
function crosses(
  sheet: Sheet,
  at: { row: number; column: number; across: number; down: number },
  room: { w: number; h: number },
): void {
  const { x0, x1, y0, y1 } = sheet.window;
  const half = lapMm / 2;
  const xs = [
    ...(at.column > 0 ? [x0 + half] : []),
    ...(at.column + 1 < at.across ? [x1 - half] : []),
  ];
  const ys = [...(at.row > 0 ? [y1 - half] : []), ...(at.row + 1 < at.down ? [y0 + half] : [])];
  const cross = (x: number, y: number): void => {
    const [px, py] = sheet.at(x, y);
    const arm = 3 * ptPerMm;
    for (const [dx, dy] of [
      [arm, 0],
      [0, arm],
    ] as const)
      sheet.page.drawLine({
        start: { x: px - dx, y: py - dy },
        end: { x: px + dx, y: py + dy },
        thickness: 0.7,
        color: ink,
      });
  };
  for (const x of xs) for (const share of [0.15, 0.85]) cross(x, y0 + room.h * share);
  for (const y of ys) for (const share of [0.15, 0.85]) cross(x0 + room.w * share, y);
}
