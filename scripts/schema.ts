import { writeFileSync } from 'node:fs';
import { backupSchema, buildFileSchema } from '../core/src/index.ts';

/* Writes the published JSON Schemas of the build file and of a backup. Tests compare them. */
for (const [name, schema] of [
  ['build', buildFileSchema()],
  ['backup', backupSchema()],
] as const)
  writeFileSync(
    new URL(`../docs/${name}.schema.json`, import.meta.url),
    `${JSON.stringify(schema, null, 2)}\n`,
  );
