import { expect, describe, it } from 'vitest';
import {
  applyAdvised,
  newBuild,
  newPiped,
  newPiping,
  addTier,
  planBuild,
  advisedWords,
  say,
  metric,
  startingPantry,
  type Build,
  type Caution,
  type AdvisedEdit,
} from '../src/index.ts';

/* What a caution offers to do, it does: the caution is gone, or less, and nothing else is changed. */

const pantry = startingPantry();
const cautionsOf = (build: Build): Caution[] => planBuild(build, pantry).cautions;
const fresh = (): Build => newBuild('b', 'B', '2027-05-03T09:30:00Z');

/** A build that has gone wrong in one way, and what is offered against it. */
const wrongs: Record<AdvisedEdit['do'], (build: Build) => void> = {
  dam: (build) => {
    for (const gap of build.tiers[0]!.gaps) gap.spreadId = 'curd';
  },
  'less dam': (build) => {
    Object.assign(build.tiers[0]!.gaps[0]!, { damMm: 60, setbackMm: 60 });
  },
  'core lid': (build) => {
    const [tier] = build.tiers;
    tier!.centre = {
      outline: { kind: 'round', diameterMm: 60 },
      fromLayer: 1,
      toLayer: tier!.layers.length - 1,
      spreadId: tier!.gaps[0]!.spreadId,
      pieces: null,
    };
  },
  soak: (build) => {
    const [dry] = [...pantry.sponges].sort((a, b) => a.soakMlPerMl - b.soakMlPerMl);
    Object.assign(build.tiers[0]!, { spongeId: dry!.id, soak: 'generous' });
    build.tiers[0]!.layers[1]!.soak = 'generous';
  },
  rim: (build) => {
    build.tiers[0]!.coat.rimMm = 30;
  },
  'coat side': (build) => {
    const [tier] = build.tiers;
    tier!.coat.sideMm = 2;
    tier!.pressed = {
      name: 'Nuts',
      foodId: null,
      gPerCm2: 0.2,
      cover: 0.8,
      bandMm: null,
      onTop: false,
      allergens: [],
    };
  },
  slices: (build) => {
    const [tier] = build.tiers;
    tier!.slicesPerCake = 4;
    for (const layer of tier!.layers) layer.heightMm = 30;
  },
  dowels: (build) => {
    addTier(build);
    build.tiers[0]!.stand.dowels = null;
  },
  card: (build) => {
    addTier(build);
    build.tiers[1]!.stand.card = null;
  },
  'as many as fit': (build) => {
    build.piping = [
      {
        ...newPiping('p', 100),
        piped: { ...newPiped(build.tiers[0]!.id), count: 900 },
      },
    ];
  },
};

describe('what a caution offers', () => {
  const kinds = Object.keys(wrongs) as AdvisedEdit['do'][];
  it.each(kinds)('%s: is said, does it, and the caution is gone', (kind) => {
    const build = fresh();
    wrongs[kind](build);
    const caution = cautionsOf(build).find(({ advised }) => advised?.do === kind);
    expect(caution, `no caution offers ${kind}`).toBeDefined();
    expect(say(advisedWords(caution!.advised!), metric)).toMatch(/^[A-Z][^{}]{4,40}$/);
    const draft = structuredClone(build);
    expect(applyAdvised(draft, caution!.advised!)).toBe(true);
    expect(draft).not.toEqual(build);
    expect(cautionsOf(draft).map(({ id }) => id)).not.toContain(caution!.id);
  });
  it('for a tier or a job that is gone does nothing', () => {
    const build = fresh();
    for (const advised of [
      { do: 'rim', tierId: 'no such', mm: 3 },
      { do: 'dam', tierId: build.tiers[0]!.id, gaps: [90], mm: 8 },
      { do: 'core lid', tierId: build.tiers[0]!.id, toLayer: 2 },
      { do: 'as many as fit', jobId: 'no such' },
    ] as AdvisedEdit[]) {
      const draft = structuredClone(build);
      expect(applyAdvised(draft, advised)).toBe(false);
      expect(draft).toEqual(build);
    }
  });
});
