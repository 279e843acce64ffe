/* What a file holds before it is checked: looked into with care, whatever it may be. */

export type Loose = Record<string, unknown>;
export const asObject = (value: unknown): Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Loose) : {};
export const asList = (value: unknown): unknown[] => (Array.isArray(value) ? value : []);
