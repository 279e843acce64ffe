import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { commonOf, mergeThree } from '../src/index.ts';

interface Thing {
  name: string;
  size: number;
  marks: { id: string; at: number }[];
}
const thing = fc.record<Thing>({
  name: fc.constantFrom('plum', 'fig'),
  size: fc.nat(3),
  marks: fc.uniqueArray(fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd'), at: fc.nat(2) }), {
    selector: ({ id }) => id,
  }),
});
const ids = ({ marks }: Thing): string[] => marks.map(({ id }) => id);

describe('what two states have in common', () => {
  it('is what both have, and nothing of one alone', () => {
    const one = { name: 'plum', size: 2, marks: [{ id: 'a', at: 1 }, { id: 'b', at: 1 }] }; // prettier-ignore
    const other = { name: 'plum', size: 3, marks: [{ id: 'b', at: 1 }, { id: 'c', at: 1 }] }; // prettier-ignore
    expect(commonOf(one, other)).toEqual({ name: 'plum', size: undefined, marks: [{ id: 'b', at: 1 }] }); // prettier-ignore
    expect(commonOf(one, one)).toBe(one);
    expect(commonOf({ kind: 'round' }, { kind: 'square' })).toBeUndefined();
    expect(commonOf([1, 2], [3])).toEqual([]);
  });

  it('stands for a base that nobody has: nothing of either is lost', () => {
    fc.assert(
      fc.property(thing, thing, (theirs, mine) => {
        const { value } = mergeThree(commonOf(theirs, mine) as Thing, theirs, mine);
        expect(new Set(ids(value))).toEqual(new Set([...ids(theirs), ...ids(mine)]));
        expect([theirs.name, mine.name]).toContain(value.name);
        expect([theirs.size, mine.size]).toContain(value.size);
      }),
    );
  });
});
