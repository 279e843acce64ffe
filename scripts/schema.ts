import { writeFileSync } from 'node:fs';
import { buildFileSchema } from '../core/src/index.ts';

/* Writes the published JSON Schema of the build file. A test compares the two. */
writeFileSync(
  new URL('../docs/build.schema.json', import.meta.url),
  `${JSON.stringify(buildFileSchema(), null, 2)}\n`,
);
