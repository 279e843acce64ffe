import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  addTier,
  buildSchema,
  isSame,
  mergeBuilds,
  mergeThree,
  newBuild,
  newPiping,
  newTopping,
  setGapHeight,
  setLayerCount,
  setLayerHeight,
  type Build,
} from '../src/index.ts';
import { anyBuild } from './arbitrary.ts';

/* What two windows made of one cake: nothing of either is lost without a word. */

const fresh = (): Build => newBuild('cake', 'Cake', '2027-05-03T09:30:00Z');
const after = (base: Build, change: (build: Build) => void): Build => {
  const next = structuredClone(base);
  change(next);
  return next;
};
const both = (theirs: (build: Build) => void, mine: (build: Build) => void, base = fresh()) => {
  const merged = mergeBuilds(base, after(base, theirs), after(base, mine));
  if (!merged) throw new Error('the two do not go together');
  return merged;
};

describe('two changes of one value', () => {
  const json = fc.jsonValue({ maxDepth: 3 });
  it('are the one where the other changed nothing, and the same where both did the same', () => {
    fc.assert(
      fc.property(json, json, (base, changed) => {
        expect(mergeThree(base, base, changed)).toEqual({ value: changed, clashes: [] });
        expect(mergeThree(base, changed, base)).toEqual({ value: changed, clashes: [] });
        expect(mergeThree(base, changed, structuredClone(changed)).clashes).toEqual([]);
      }),
      { numRuns: 300, seed: 8 },
    );
  });
  it('stand side by side in different fields, and the later one in the same, which is named', () => {
    const base = { a: 1, b: { c: 2, d: 3 }, list: [1, 2] };
    const theirs = { a: 5, b: { c: 7, d: 3 }, list: [1, 2] };
    const mine = { a: 1, b: { c: 8, d: 9 }, list: [3] };
    expect(mergeThree(base, theirs, mine)).toEqual({ value: { a: 5, b: { c: 8, d: 9 }, list: [3] }, clashes: ['b.c'] }); // prettier-ignore
    expect(mergeThree(base, theirs, mine, 'theirs').value).toEqual({ a: 5, b: { c: 7, d: 9 }, list: [3] }); // prettier-ignore
  });
  it('of lists known by their ids keep what either added, drop what either took away, in their order', () => {
    const of = (...ids: string[]) => ids.map((id) => ({ id, n: 0 }));
    const idsOf = (list: { id: string }[]) => list.map(({ id }) => id).join('');
    const merged = (base: string, theirs: string, mine: string) =>
      idsOf(mergeThree(of(...base), of(...theirs), of(...mine)).value);
    expect(merged('abc', 'abxc', 'abcy')).toBe('abxcy');
    expect(merged('abc', 'bc', 'ab')).toBe('b');
    expect(merged('abc', 'cab', 'abcy')).toBe('cyab');
    expect(merged('abc', 'abcx', 'cba')).toBe('cxba');
    expect(merged('', 'x', 'y').split('').sort().join('')).toBe('xy');
  });
  it('one taken away and changed: it stands as the later one has it, and is named', () => {
    const base = [{ id: 'a', n: 1 }, { id: 'b', n: 1 }]; // prettier-ignore
    const gone = [base[1]!];
    const changed = [{ id: 'a', n: 2 }, base[1]!];
    expect(mergeThree(base, gone, changed)).toEqual({ value: changed, clashes: ['[0]'] });
    expect(mergeThree(base, changed, gone).value).toEqual(gone);
    expect(mergeThree(base, changed, gone, 'theirs').value).toEqual(changed);
  });
  it('of an outline of another kind count as one thing', () => {
    const base = { outline: { kind: 'round', diameterMm: 200 } };
    const theirs = { outline: { kind: 'round', diameterMm: 180 } };
    const mine = { outline: { kind: 'square', sideMm: 200, cornerMm: 0 } };
    expect(mergeThree<unknown>(base, theirs, mine)).toEqual({ value: mine, clashes: ['outline'] });
  });
});

describe('two windows on one cake', () => {
  it('both add a tier: both are there, with ids of their own', () => {
    const { value } = both(
      (build) => (addTier(build).name = 'Theirs'),
      (build) => {
        const tier = addTier(build);
        tier.name = 'Mine';
        build.piping.push({ ...newPiping('border', 50), piped: null });
      },
    );
    expect(value.tiers.map(({ name }) => name).sort()).toEqual(['Mine', 'Theirs', 'Tier 1']);
    expect(new Set(value.tiers.map(({ id }) => id)).size).toBe(3);
    expect(value.piping).toHaveLength(1);
  });
  it('both add toppings, layers and ticks: none is lost, and each gap stays under its layer', () => {
    const { value, clashes } = both(
      (build) => {
        const [tier] = build.tiers;
        tier!.toppings.push({ ...newTopping('t-1'), name: 'figs' });
        setLayerCount(tier!, 5);
        setGapHeight(tier!, 3, 21);
        build.bench.done.push({ stepKey: 'a', at: '2027-05-03T10:00:00Z' });
      },
      (build) => {
        const [tier] = build.tiers;
        tier!.toppings.push({ ...newTopping('t-1'), name: 'nuts' });
        setLayerCount(tier!, 5);
        setGapHeight(tier!, 3, 13);
        build.bench.done.push({ stepKey: 'b', at: '2027-05-03T10:00:00Z' });
      },
    );
    const [tier] = value.tiers;
    expect(tier!.toppings.map(({ name }) => name).sort()).toEqual(['figs', 'nuts']);
    expect(tier!.layers).toHaveLength(6);
    expect(tier!.gaps.map(({ heightMm }) => heightMm).filter((mm) => mm > 10).sort()).toEqual([13, 21]); // prettier-ignore
    expect(value.bench.done.map(({ stepKey }) => stepKey).sort()).toEqual(['a', 'b']);
    expect(clashes).toEqual([]);
  });
  it('one takes a layer away and the other makes another thicker', () => {
    const { value } = both(
      (build) => setLayerCount(build.tiers[0]!, 2),
      (build) => setLayerHeight(build.tiers[0]!, 0, 31),
    );
    expect(value.tiers[0]!.layers.map(({ heightMm }) => heightMm)).toEqual([31, 25]);
    expect(value.tiers[0]!.gaps).toHaveLength(1);
  });
  it('the lowest layer is taken away, and the next one has nothing below it', () => {
    const { value } = both(
      (build) => {
        build.tiers[0]!.layers.shift();
        build.tiers[0]!.gaps.shift();
      },
      (build) => setGapHeight(build.tiers[0]!, 2, 12),
    );
    expect(value.tiers[0]!.gaps.map(({ heightMm }) => heightMm)).toEqual([7, 12]);
  });
  it('of any two cakes made from one, either nothing comes or a cake that can be, with all that both added', () => {
    fc.assert(
      fc.property(anyBuild, anyBuild, anyBuild, (base, theirs, mine) => {
        const [a, b] = [
          { ...theirs, id: base.id },
          { ...mine, id: base.id },
        ];
        const none = mergeBuilds(base, base, b)!;
        expect(isSame(none.value, b)).toBe(true);
        const merged = mergeBuilds(base, a, b);
        if (!merged) return;
        expect(buildSchema.isValidSync(merged.value, { strict: true })).toBe(true);
      }),
      { numRuns: 25, seed: 12 },
    );
  });
});
