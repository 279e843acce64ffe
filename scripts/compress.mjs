import { readdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';

/* Beside each built file of text or code its brotli and gzip: made once, and not with every answer. */

const folder = process.argv[2];
if (!folder) throw new Error('Say which folder: node scripts/compress.mjs dist');
const isText = /\.(js|css|html|svg|json|wasm|webmanifest|txt)$/;
/** Less than that is sent in one packet either way, bytes. */
const least = 1000;
const brotli = promisify(brotliCompress);
const zip = promisify(gzip);

const names = await readdir(folder, { recursive: true });
const files = names.filter((name) => isText.test(name)).map((name) => join(folder, name));
const [before, after] = [{ bytes: 0 }, { bytes: 0 }];
await Promise.all(
  files.map(async (file) => {
    const content = await readFile(file);
    if (content.length < least) return;
    const [small, smaller] = await Promise.all([
      zip(content, { level: 9 }),
      brotli(content, {
        params: {
          [constants.BROTLI_PARAM_QUALITY]: 9,
          [constants.BROTLI_PARAM_SIZE_HINT]: content.length,
        },
      }),
    ]);
    await Promise.all([writeFile(`${file}.gz`, small), writeFile(`${file}.br`, smaller)]);
    before.bytes += content.length;
    after.bytes += smaller.length;
  }),
);
console.log(
  `compressed ${(before.bytes / 1e6).toFixed(1)} MB to ${(after.bytes / 1e6).toFixed(1)} MB`,
);
