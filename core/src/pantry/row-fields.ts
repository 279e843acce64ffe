import { name } from '../document/common-fields.ts';
import { byName, id, oneOf } from '../fields/field.ts';
import { type Source } from './types.ts';

const sources: readonly Source[] = ['textbook', 'trade custom', 'estimate', 'own'];

const ranges = () => byName<[number, number]>(null, 'must be an object');
/** What every row says. */
export const common = () => ({ id: id(), name: name(), source: oneOf(sources), ranges: ranges() });
