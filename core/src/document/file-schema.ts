import { oneOf, record, wholeFigure } from '../fields/field.ts';
import { jsonOf, type JsonSchema } from '../fields/json-schema.ts';
import { carriedRows } from '../pantry/fields.ts';
import { build } from './build-fields.ts';
import { carvings } from './carve-result-fields.ts';
import { fileFormat } from './read-file.ts';
import { buildVersion } from './types.ts';

const file = record({
  format: oneOf([fileFormat]),
  version: wholeFigure({ min: buildVersion, max: buildVersion }),
  build,
  pantry: carriedRows,
  carvings: carvings.since(9),
});

/**
 * JSON Schema (draft 2020-12) of the build file, from the same description that the program checks
 * by. What it cannot say (one gap fewer than layers, a filling below the height of the cake) the
 * program checks besides.
 */
export function buildFileSchema(): JsonSchema {
  const known = new Map<string, JsonSchema>();
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: `urn:pyrgotect:build:${buildVersion}`,
    title: 'Pyrgotect build file',
    description:
      'One cake as its maker decided it, with the pantry rows it stands on. Lengths in mm, masses in g, densities in g/mL, temperatures in C, times in min.',
    ...jsonOf(file, known),
    $defs: Object.fromEntries(known),
  };
}
