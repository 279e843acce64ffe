import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  addTier,
  buildSchema,
  coolPlaceOf,
  dowelIdsIn,
  innerSpreadId,
  limits,
  newBuild,
  newDowels,
  newGap,
  newPiping,
  piecesOf,
  pipingSpreadId,
  removeTier,
  setBandShare,
  setGap,
  setGapHeight,
  setLayerCount,
  setLayerHeight,
  spreadIdsIn,
  stretchLayers,
  tierOf,
  type Build,
  type Tier,
} from '../src/index.ts';

/* The edits that a hand makes: what follows from each is kept whole. */

const fresh = (): { build: Build; tier: Tier } => {
  const build = newBuild('edit', 'Edit', '2027-05-03T09:30:00Z');
  return { build, tier: build.tiers[0]! };
};
const heights = ({ layers }: Tier): number[] => layers.map(({ heightMm }) => heightMm);
const sum = (numbers: readonly number[]): number => numbers.reduce((all, n) => all + n, 0);

describe('layers and fillings', () => {
  it('one gap fewer than layers, however many are asked for', () => {
    const { tier } = fresh();
    for (const [asked, comes] of [
      [6, 6],
      [1, 1],
      [0, 1],
      [99, limits.layers.max],
      [2.4, 2],
    ] as const) {
      setLayerCount(tier, asked);
      expect([tier.layers.length, tier.gaps.length]).toEqual([comes, comes - 1]);
      expect(new Set(tier.layers.map(({ id }) => id)).size).toBe(comes);
    }
  });
  it('new ones are as high as the top one, over a filling like the top one, and their own', () => {
    const { tier } = fresh();
    setLayerHeight(tier, 3, 31);
    Object.assign(tier.gaps[2]!, { heightMm: 9, damMm: 6 });
    setLayerCount(tier, 6);
    expect(heights(tier)).toEqual([25, 25, 25, 31, 31, 31]);
    expect(tier.gaps.slice(2).map(({ heightMm, damMm }) => [heightMm, damMm])).toEqual([
      [9, 6],
      [9, 6],
      [9, 6],
    ]);
    tier.gaps[3]!.damMm = 1;
    expect(tier.gaps[2]!.damMm).toBe(6);
    // a single layer has no filling to take after
    setLayerCount(tier, 1);
    setLayerCount(tier, 2);
    expect(tier.gaps).toEqual([newGap(7, tier.coat.spreadId)]);
  });
  it('a hidden centre and boards between go with the layers they stand in', () => {
    const { tier } = fresh();
    setLayerCount(tier, 6);
    tier.centre = {
      outline: { kind: 'round', diameterMm: 80 },
      fromLayer: 1,
      toLayer: 4,
      spreadId: 'buttercream',
      pieces: null,
    };
    tier.stand.decks = [1, 4].map((afterLayer) => ({
      afterLayer,
      card: { material: 'card', thicknessMm: 3 },
      dowels: newDowels(),
    }));
    setLayerCount(tier, 5);
    expect(tier.centre).not.toBeNull();
    expect(tier.stand.decks.map(({ afterLayer }) => afterLayer)).toEqual([1]);
    setLayerCount(tier, 4);
    expect(tier.centre).toBeNull();
    setLayerCount(tier, 2);
    expect(tier.stand.decks).toEqual([]);
  });
  it('one height is set, or all; never beyond what a layer can be', () => {
    const { tier } = fresh();
    setLayerHeight(tier, 1, 40);
    expect(heights(tier)).toEqual([25, 40, 25, 25]);
    setLayerHeight(tier, null, 1);
    expect(heights(tier)).toEqual(Array(4).fill(limits.layerMm.min));
    setLayerHeight(tier, 0, 1e6);
    expect(tier.layers[0]!.heightMm).toBe(limits.layerMm.max);
  });
  it('a filling is never thicker than all the cake, whichever of them is changed', () => {
    const { tier } = fresh();
    setLayerCount(tier, 2);
    setLayerHeight(tier, null, 10);
    setGapHeight(tier, null, 55);
    expect(tier.gaps[0]!.heightMm).toBe(20);
    setLayerHeight(tier, null, 6);
    expect(tier.gaps[0]!.heightMm).toBe(12);
    setGapHeight(tier, 0, 0);
    expect(tier.gaps[0]!.heightMm).toBe(limits.gapMm.min);
    // another one is left alone
    setLayerCount(tier, 4);
    setGapHeight(tier, 1, 5);
    expect(tier.gaps.map(({ heightMm }) => heightMm)).toEqual([0, 5, 0]);
  });
  it('what fills them is changed in one, or in all', () => {
    const { tier } = fresh();
    setGap(tier, 1, { spreadId: 'curd', damMm: 8 });
    expect(tier.gaps.map(({ spreadId }) => spreadId)).toEqual(['buttercream', 'curd', 'buttercream']); // prettier-ignore
    setGap(tier, null, { setbackMm: 4 });
    expect(tier.gaps.map(({ setbackMm }) => setbackMm)).toEqual([4, 4, 4]);
    expect(tier.gaps[1]!.damMm).toBe(8);
  });
  it('stretched, each keeps its share, and the sum is what was asked', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 12, max: 60, noNaN: true }), { minLength: 2, maxLength: 6 }),
        fc.double({ min: -20, max: 60, noNaN: true }),
        (own, byMm) => {
          const { tier } = fresh();
          setLayerCount(tier, own.length);
          own.forEach((mm, i) => setLayerHeight(tier, i, mm));
          const before = heights(tier);
          const wanted = sum(before) + byMm;
          fc.pre(wanted > 0);
          stretchLayers(tier, byMm);
          const factor = Math.max(wanted, own.length * limits.layerMm.min) / sum(before);
          const bound = before.some(
            (mm) => mm * factor > limits.layerMm.max || mm * factor < limits.layerMm.min,
          );
          if (!bound) {
            expect(sum(heights(tier))).toBeCloseTo(wanted, 6);
            heights(tier).forEach((mm, i) => expect(mm / before[i]!).toBeCloseTo(factor, 9));
          }
          expect(tier.gaps.every(({ heightMm }) => heightMm <= sum(heights(tier)))).toBe(true);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('bands of colour', () => {
  const banded = (...shares: number[]): Tier => {
    const { tier } = fresh();
    tier.coat.bands = shares.map((share) => ({ tint: '', share }));
    return tier;
  };
  const sharesOf = (tier: Tier): number[] => tier.coat.bands.map(({ share }) => share);
  it('share the side: one gets what it asks, the others the rest as before', () => {
    const tier = banded(0.5, 0.3, 0.2);
    setBandShare(tier, 0, 0.75);
    const [first, second, third] = sharesOf(tier);
    expect(first).toBeCloseTo(0.75, 12);
    expect(second! / third!).toBeCloseTo(1.5, 9);
    expect(sum(sharesOf(tier))).toBeCloseTo(1, 9);
  });
  it('a single one is the whole side, and none vanishes', () => {
    const one = banded(0.4);
    setBandShare(one, 0, 0.1);
    expect(sharesOf(one)).toEqual([1]);
    const two = banded(0.5, 0.5);
    setBandShare(two, 1, 5);
    expect(sharesOf(two)[1]).toBeCloseTo(0.95, 9);
    setBandShare(two, 1, -1);
    expect(Math.min(...sharesOf(two))).toBeGreaterThanOrEqual(limits.bandShare.min);
  });
});

describe('tiers', () => {
  it('one more is like the one below, narrower, with nothing that was made or measured of it', () => {
    const { build, tier } = fresh();
    Object.assign(tier.layers[0]!, { rimMm: [25, 26, 25, 24], turnSteps: 3, flipped: true });
    tier.torched = true;
    const top = addTier(build);
    expect(build.tiers.map(({ name }) => name)).toEqual(['Tier 1', 'Tier 2']);
    expect(top.outline).toEqual({ kind: 'round', diameterMm: 120 });
    expect(top.layers[0]).toMatchObject({ rimMm: [], turnSteps: null, flipped: false });
    expect(top.stand.card).not.toBeNull();
    expect(tier.stand.dowels).not.toBeNull();
    expect(buildSchema.isValidSync(build, { strict: true })).toBe(true);
    // what is changed of it is its own
    top.gaps[0]!.heightMm = 1;
    expect(tier.gaps[0]!.heightMm).toBe(7);
    expect(tierOf(build, top.id)).toBe(top);
    expect(tierOf(build, 'nowhere')).toBe(tier);
  });
  it('ids are not used again, and a small one stays as it is where nothing would be left', () => {
    const { build } = fresh();
    addTier(build);
    removeTier(build, 'tier-1');
    const next = addTier(build);
    expect(new Set(build.tiers.map(({ id }) => id)).size).toBe(2);
    expect(build.tiers[0]!.id).toBe('tier-2');
    next.outline = { kind: 'round', diameterMm: 60 };
    expect(addTier(build).outline).toEqual({ kind: 'round', diameterMm: 60 });
  });
  it('the lowest stands on the board, the topmost carries nothing, whichever goes', () => {
    const { build } = fresh();
    addTier(build);
    addTier(build);
    Object.assign(build.tiers[1]!.stand, { offsetMm: [5, 0], postMm: 40 });
    removeTier(build, build.tiers[0]!.id);
    expect(build.tiers[0]!.stand).toMatchObject({ card: null, offsetMm: [0, 0], postMm: 0 });
    removeTier(build, build.tiers[1]!.id);
    expect(build.tiers).toHaveLength(1);
    expect(build.tiers[0]!.stand.dowels).toBeNull();
    removeTier(build, build.tiers[0]!.id);
    expect(build.tiers).toHaveLength(1);
  });
  it('what is piped on one goes with it; what is piped by hand stays', () => {
    const { build } = fresh();
    const top = addTier(build);
    const onTop = newPiping('on-top', 40);
    onTop.piped = {
      tierId: top.id,
      form: 'shell',
      nozzle: 'open star',
      wideMm: 8,
      where: 'foot',
      upMm: 30,
      insetMm: 0,
      odd: false,
      count: null,
      radiusMm: 15,
      text: '',
      letterMm: 25,
      lengthMm: 500,
      weighedG: null,
    };
    build.piping = [onTop, newPiping('by-hand', 30)];
    removeTier(build, top.id);
    expect(build.piping.map(({ id }) => id)).toEqual(['by-hand']);
  });
});

describe('what a build names', () => {
  it('spreads: coat, crumb coat, top, fillings, sauces, thin layers, hidden centre, piping, each once', () => {
    const { build, tier } = fresh();
    Object.assign(tier.coat, { innerSpreadId: 'ganache', topSpreadId: 'fudge' });
    tier.gaps[0]!.drizzle = { spreadId: 'caramel', gPerCm2: 0.2, tint: '' };
    tier.gaps[1]!.spreadId = 'curd';
    tier.layers[1]!.between = { spreadId: 'cream', heightMm: 2 };
    tier.centre = {
      outline: { kind: 'round', diameterMm: 80 },
      fromLayer: 0,
      toLayer: 1,
      spreadId: 'compote',
      pieces: null,
    };
    build.piping = [{ ...newPiping('p', 30), spreadId: 'meringue' }, newPiping('q', 20)];
    expect(spreadIdsIn(build).sort()).toEqual(
      ['buttercream', 'caramel', 'compote', 'cream', 'curd', 'fudge', 'ganache', 'meringue'].sort(),
    );
    expect(build.piping.map((job) => pipingSpreadId(build, job))).toEqual(['meringue', 'buttercream']); // prettier-ignore
    expect(innerSpreadId(tier)).toBe('ganache');
    // a centre of loose pieces takes no spread
    tier.centre.pieces = { name: 'sweets', foodId: null, densityGPerMl: 0.8, share: 0.6, allergens: [] }; // prettier-ignore
    expect(spreadIdsIn(build)).not.toContain('compote');
    expect(piecesOf(tier).map(({ name }) => name)).toEqual(['sweets']);
  });
  it('rods, tubes and straws of tiers, boards between and the rod, each once', () => {
    const { build, tier } = fresh();
    expect(dowelIdsIn(build)).toEqual([]);
    addTier(build);
    tier.stand.decks = [
      { afterLayer: 1, card: { material: 'card', thicknessMm: 3 }, dowels: newDowels('straw-12') },
    ];
    build.rod = { dowelId: 'rod-6', at: null };
    expect(dowelIdsIn(build).sort()).toEqual(['rod-6', 'straw-12']);
  });
  it('where a filling is to cool, or that its recipe says so', () => {
    const { build } = fresh();
    build.day.cooling = [{ spreadId: 'caramel', where: 'tray' }];
    expect(coolPlaceOf(build, 'caramel')).toBe('tray');
    expect(coolPlaceOf(build, 'curd')).toBeNull();
  });
});
