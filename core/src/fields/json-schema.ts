import { timePattern } from './fits.ts';
import type { Field, Shape } from './field.ts';

export type JsonSchema = Record<string, unknown>;

/**
 * A field as JSON Schema (draft 2020-12). What a rule says of a whole value it cannot say.
 *
 * @param known gets what is written once and referred to, by its name
 */
export function jsonOf(field: Field<unknown>, known: Map<string, JsonSchema>): JsonSchema {
  const name = field.about.known;
  if (name === null) return written(field.shape, known);
  // held before it is written, so that what holds itself ends
  if (!known.has(name)) {
    known.set(name, {});
    known.set(name, written(field.shape, known));
  }
  return { $ref: `#/$defs/${name}` };
}

/** What people call it, what it is until somebody decides, and which version brought it. */
const remarks = ({ about: { label, hint, usual, since } }: Field<unknown>): JsonSchema => ({
  ...(label === null ? {} : { title: label }),
  ...(hint === null ? {} : { description: hint }),
  ...(usual === undefined ? {} : { default: usual }),
  ...(since === 1 ? {} : { $comment: `since version ${since}` }),
});

function written(shape: Shape, known: Map<string, JsonSchema>): JsonSchema {
  switch (shape.kind) {
    case 'figure':
      if (shape.range.min === shape.range.max) return { const: shape.range.min };
      return {
        type: shape.whole ? 'integer' : 'number',
        minimum: shape.range.min,
        maximum: shape.range.max,
      };
    case 'words':
      return shape.pattern
        ? { type: 'string', pattern: shape.pattern.of.source }
        : { type: 'string', minLength: shape.least, maxLength: shape.most };
    case 'time':
      return { type: 'string', pattern: timePattern.source };
    case 'flag':
      return { type: 'boolean' };
    case 'choice':
      return shape.values.length === 1 ? { const: shape.values[0] } : { enum: [...shape.values] };
    case 'list':
      return {
        type: 'array',
        items: jsonOf(shape.of, known),
        minItems: shape.least,
        maxItems: shape.most,
      };
    case 'record':
      return {
        type: 'object',
        properties: Object.fromEntries(
          Object.entries(shape.fields).map(([key, of]) => [
            key,
            { ...jsonOf(of, known), ...remarks(of) },
          ]),
        ),
        required: Object.keys(shape.fields).filter((key) => !shape.fields[key]!.about.mayMiss),
      };
    case 'null or':
      return { anyOf: [jsonOf(shape.of, known), { type: 'null' }] };
    case 'by kind':
      return { oneOf: Object.values(shape.of).map((of) => jsonOf(of, known)) };
    case 'by name':
      return {
        type: 'object',
        ...(shape.of ? { additionalProperties: jsonOf(shape.of, known) } : {}),
      };
    case 'swift':
      return jsonOf(shape.like, known);
  }
}
