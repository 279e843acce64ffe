import { boxOfTemplate, type Template } from './templates.ts';

const gap = 20;
const escaped = (text: string): string =>
  text.replace(/[&<>"']/g, (letter) => `&#${letter.charCodeAt(0)};`);
const n = (value: number): string => `${Math.round(value * 100) / 100}`;

/** Templates below each other as one SVG of their true size, in mm. */
export function templatesSvg(templates: readonly Template[], name: string): string {
  let y = gap;
  let wide = 120;
  const groups = templates.map((template) => {
    const box = boxOfTemplate(template);
    const high = box.y1 - box.y0;
    const paths = template.lines
      .map((line) => `M${line.map(([px, py]) => `${n(px - box.x0)} ${n(box.y1 - py)}`).join('L')}Z`)
      .join('');
    const rules = template.rules
      .map(
        ([x0, y0, x1, y1]) =>
          `M${n(x0 - box.x0)} ${n(box.y1 - y0)}L${n(x1 - box.x0)} ${n(box.y1 - y1)}`,
      )
      .join('');
    const words = template.words
      .map(
        (word) =>
          `<text x="${n(word.x - box.x0)}" y="${n(box.y1 - word.y)}" font-size="3">${escaped(word.text)}</text>`,
      )
      .join('');
    const group = `<g transform="translate(${gap} ${n(y)})"><text y="-3" font-size="5">${escaped(template.title)}</text><path d="${rules}" fill="none" stroke="#889" stroke-width="0.2"/><path d="${paths}" fill="none" stroke="#1b2440" stroke-width="0.4"/>${words}</g>`;
    y += high + gap;
    wide = Math.max(wide, box.x1 - box.x0);
    return group;
  });
  const bar = `<g transform="translate(${gap} ${n(y)})"><path d="M0 0H100M0 -3V0M50 -2V0M100 -3V0" fill="none" stroke="#1b2440" stroke-width="0.4"/><text x="103" font-size="4">100 mm</text></g>`;
  const [w, h] = [wide + 2 * gap, y + gap];
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${n(w)}mm" height="${n(h)}mm" viewBox="0 0 ${n(w)} ${n(h)}"><title>${escaped(name)}: templates</title>${groups.join('')}${bar}</svg>\n`;
}
