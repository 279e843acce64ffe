import { newBuild, planShape, startingPantry, type Build, type Pantry } from '@pyrgotect/core';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { cardStamp, drawCard, stampOf } from '../src/shelf/card-pictures.ts';
import { drawnKey, drawnPicture, keepDrawn, keepDrawnOf } from '../src/storage/drawn.ts';
import { schemes } from '../src/styles/palette.ts';

const asked = vi.hoisted(() => ({ cakes: [] as string[], wide: 0 }));
vi.mock('../src/workers/pictures.ts', () => ({
  askPictures: (
    work: (worker: {
      cake: (of: { build: Build }) => unknown;
      still: (of: { wide: number }) => Blob;
    }) => unknown,
  ) =>
    Promise.resolve(
      work({
        cake: ({ build }) => {
          asked.cakes.push(build.name);
          if (build.name === 'Broken') throw new Error('no plan');
          return { carved: [], words: [], tiers: [] };
        },
        still: ({ wide }) => {
          asked.wide = wide;
          return new Blob(['drawn']);
        },
      }),
    ),
}));
afterEach(() => asked.cakes.splice(0));

const pantry = startingPantry();
const build = newBuild('moon', 'Half moon', '2027-05-03T09:30:00Z');
const of = (one: Build, rows: Pantry = pantry) => ({
  build: one,
  plan: planShape(one, rows),
  corrections: {},
  pantry: rows,
  colours: schemes.paper,
});

describe('the stamp of a card’s picture', () => {
  const stamp = cardStamp(of(build), 'paper');
  it('stays when a step is ticked', () => {
    const ticked = {
      ...build,
      bench: { ...build.bench, done: [{ stepKey: 'bake/1', at: '2027-05-03T09:30:00Z' }] },
    };
    expect(cardStamp(of(ticked), 'paper')).toBe(stamp);
  });
  it('is another for another colour, another row, another scheme', () => {
    const [tier] = build.tiers;
    const pink = { ...build, tiers: [{ ...tier!, coat: { ...tier!.coat, tint: 'rose' } }] };
    const others = [
      cardStamp(of(pink), 'paper'),
      cardStamp(of(build, { ...pantry, spreads: pantry.spreads.slice(1) }), 'paper'),
      cardStamp(of(build), 'night'),
    ];
    expect(new Set([stamp, ...others]).size).toBe(4);
  });
  it('is one to a text, of ten thousand that are nearly alike', () => {
    const stamps = Array.from({ length: 10_000 }, (_, i) => stampOf(`layer ${i} of 10000`));
    expect(new Set(stamps).size).toBe(10_000);
  });
});

describe('drawing the cards', () => {
  it('goes one after another, past one that fails, and leaves out what nobody waits for', async () => {
    const named = (name: string): Build => ({ ...build, name });
    const all = [
      drawCard(of(named('First')), () => true),
      drawCard(of(named('Broken')), () => true),
      drawCard(of(named('Gone')), () => false),
      drawCard(of(named('Last')), () => true),
    ];
    const [first, broken, gone, last] = await Promise.allSettled(all);
    expect(asked.cakes).toEqual(['First', 'Broken', 'Last']);
    expect(first!.status).toBe('fulfilled');
    expect(broken!.status).toBe('rejected');
    expect(gone).toEqual({ status: 'fulfilled', value: null });
    expect(last!.status).toBe('fulfilled');
    expect(asked.wide).toBe(560);
  });
});

describe('pictures that were drawn', () => {
  it('are kept by cake and scheme, and go with their cake', async () => {
    for (const cakeId of ['moon', 'sun'])
      await keepDrawn({ key: drawnKey(cakeId, 'paper'), cakeId, stamp: 's', image: new Blob() });
    expect((await drawnPicture(drawnKey('moon', 'paper')))?.stamp).toBe('s');
    expect(await drawnPicture(drawnKey('moon', 'night'))).toBeUndefined();
    await keepDrawnOf(new Set(['sun']));
    expect(await drawnPicture(drawnKey('moon', 'paper'))).toBeUndefined();
    expect(await drawnPicture(drawnKey('sun', 'paper'))).toBeDefined();
  });
});
