/**
 * Every colour of the application, once. The style sheet's variables (`--ink`), the interface
 * library's theme, the drawings' hatches, the charts and the solid picture all read it here.
 */
const paper = {
  oat: '#efe8d9',
  milk: '#fbf8f1',
  raised: '#fffdf8',
  line: '#d9cfba',
  ink: '#2a1f35',
  soft: '#61566b',
  faint: '#8d8296',
  accent: '#1f6f6a',
  'accent-wash': '#d7e6e0',
  warn: '#96560a',
  'warn-mark': '#c5760f',
  'warn-wash': '#fff3dc',
  stop: '#a8382a',
  'stop-wash': '#fbe6e0',
  foot: '#2a1f35',
  'foot-ink': '#fbf8f1',
  'foot-soft': '#cbbfd6',
  'foot-line': '#4a3d58',
  'foot-warn': '#f2b45c',
  'on-accent': '#ffffff',
};
/** Of a scheme, by the name of its variable. */
export type Colours = typeof paper;

const night: Colours = {
  oat: '#1a1523',
  milk: '#231c2e',
  raised: '#2c2438',
  line: '#463b55',
  ink: '#f1eadb',
  soft: '#bdb0c8',
  faint: '#94879f',
  accent: '#7fc9bf',
  'accent-wash': '#2a4846',
  warn: '#f2b45c',
  'warn-mark': '#e59a35',
  'warn-wash': '#3d2f1c',
  stop: '#ff9b8a',
  'stop-wash': '#4a2420',
  foot: '#0f0b16',
  'foot-ink': '#f1eadb',
  'foot-soft': '#b6a8c2',
  'foot-line': '#3a3047',
  'foot-warn': '#f2b45c',
  'on-accent': '#10201e',
};
/** Paper is white, whatever the screen was. */
const print: Partial<Colours> = {
  oat: '#ffffff',
  milk: '#ffffff',
  raised: '#ffffff',
  line: '#b9b0a0',
  ink: paper.ink,
  soft: '#4d4456',
  accent: paper.accent,
  'accent-wash': '#ffffff',
};
export const schemes = { paper, night };

/** What is drawn keeps its colours in both schemes: the pen over a hatch, wood, and the grounds and marks of foods. */
export const drawn = {
  pen: paper.ink,
  wood: '#e7cf9f',
  water: '#dbe7ea',
  solids: '#b98f78',
  paper: '#ffffff',
};
/** Light on the solid picture: of a lamp at the side, and from the table below. */
export const light = { lamp: '#fff1dc', table: '#d8c8b0', gloss: '#5a5550' };

/** Ground and marks of a hatch. */
export const foods = {
  butter: ['#f0dca8', '#a98742'],
  pale: ['#f7edcf', '#c9b37a'],
  spice: ['#dcbb8f', '#7d5630'],
  nut: ['#d9c3a0', '#6f5537'],
  cocoa: ['#a87e66', '#4e2e20'],
  ivory: ['#fffdf6', '#c9ba98'],
  cream: ['#fff8e6', '#d8c596'],
  ganache: ['#54362c', '#8f6a5b'],
  berry: ['#7a3b63', '#d29cbe'],
  curd: ['#f3cb3f', '#9c7508'],
  caramel: ['#c9822f', '#f2c58b'],
  leaf: ['#9fb98a', '#55733f'],
} as const;

/** A colour with so much of what lies beneath showing through, 0 to 1. */
export const veiled = (colour: string, share: number): string =>
  `${colour}${Math.round(255 * share)
    .toString(16)
    .padStart(2, '0')}`;

const rules = (colours: Partial<Colours>): string =>
  Object.entries(colours)
    .map(([name, colour]) => `--${name}:${colour};`)
    .join('');
const fixed = [...Object.entries(drawn), ...Object.entries(foods).map(([n, [g]]) => [n, g])]
  .map(([name, colour]) => `--${name}:${colour};`)
  .join('');

/** The palette as variables of the style sheet. */
export const paletteCss = `:root{${fixed}}
.scheme-paper{color-scheme:light;${rules(paper)}}
.scheme-night{color-scheme:dark;${rules(night)}}
@media print{:root.scheme-night{color-scheme:light;${rules(print)}}}`;

/** A colour of frosting that nobody has picked a look for. */
export const unknownColour = '#b59ac0';
