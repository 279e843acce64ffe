import { allergens } from '../pantry/types.ts';
import type { Range } from '../units/field.ts';
import { limits } from './limits.ts';

export type Schema = Record<string, unknown>;

export const num = ({ min, max }: Range): Schema => ({
  type: 'number',
  minimum: min,
  maximum: max,
});
export const int = ({ min, max }: Range): Schema => ({
  type: 'integer',
  minimum: min,
  maximum: max,
});
export const oneOf = (values: readonly string[]): Schema => ({ enum: [...values] });
export const list = (items: Schema, most: number, least = 0): Schema => ({
  type: 'array',
  items,
  minItems: least,
  maxItems: most,
});
export const obj = (properties: Record<string, Schema>, optional: string[] = []): Schema => ({
  type: 'object',
  properties,
  required: Object.keys(properties).filter((key) => !optional.includes(key)),
});
export const nullable = (schema: Schema): Schema => ({ anyOf: [schema, { type: 'null' }] });
export const text = (max: number, min = 0): Schema => ({
  type: 'string',
  minLength: min,
  maxLength: max,
});
export const name = text(limits.nameLength.max, 1);
export const id: Schema = { type: 'string', pattern: '^[A-Za-z0-9_-]{1,64}$' };
export const time: Schema = {
  type: 'string',
  pattern: '^\\d{4}-\\d\\d-\\d\\dT\\d\\d:\\d\\d(:\\d\\d(\\.\\d+)?)?(Z|[+-]\\d\\d:\\d\\d)?$',
};
export const tint = text(limits.tintLength.max);
export const allergenList = list(oneOf(allergens), allergens.length);
