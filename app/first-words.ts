import { createHash } from 'node:crypto';
import type { Plugin } from 'vite';
import { schemes, type Colours } from './src/styles/palette.ts';

const inColours = ({ milk, oat, ink, soft }: Colours): string =>
  `.first{background:${milk};color:${soft}}.first div{background:${oat};color:${ink};border-color:${ink}}`;

/** How the page looks until the program has come: its name on its colours, no letters to be fetched. */
const css = `body{margin:0}.first{min-height:100vh;font:400 16px/1.42 system-ui,sans-serif}
.first div{display:flex;gap:9px;align-items:center;box-sizing:border-box;height:56px;padding:0 20px;border-bottom:2px solid;font-weight:700;font-size:20px}
.first p{margin:0;padding:24px 28px}
${inColours(schemes.paper)}
@media (prefers-color-scheme:dark){${inColours(schemes.night)}}`;

/** Puts the first words' style sheet into the page: a file, since the page takes no styles within itself. */
export function firstWords(): Plugin {
  let isBuilt = false;
  const fileName = `assets/first-${createHash('sha256').update(css).digest('hex').slice(0, 8)}.css`;
  return {
    name: 'first-words',
    configResolved: ({ command }) => void (isBuilt = command === 'build'),
    generateBundle() {
      this.emitFile({ type: 'asset', fileName, source: css });
    },
    // after the line that says where the page lies
    transformIndexHtml: (html) =>
      html.replace(/<base [^>]*>/, (base) =>
        isBuilt
          ? `${base}\n    <link rel="stylesheet" href="./${fileName}" />`
          : `${base}<style>${css}</style>`,
      ),
  };
}
