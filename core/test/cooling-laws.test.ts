import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bowlMinutes, minutesTo } from '../src/heat/cool-bowl.ts';
import { coolingMin, layerCoolMin, shelfHighMm, surroundingsOf, trayMm } from '../src/heat/cool-places.ts'; // prettier-ignore
import { chillCoatMin, chillShellMin, coldestCoatC, type Mass } from '../src/heat/cooling.ts';
import { freezeLayerMin, freezableMm } from '../src/heat/freeze.ts';
import { crispHours, seedFor, seedShare } from '../src/ganache/temper.ts';
import { setStress } from '../src/ganache/set.ts';
import { coatMin, handsOn, pipingMin, sideScale, strewMin, topScale } from '../src/labour/minutes.ts'; // prettier-ignore
import { chocolateOf, coolPlaces, startingKitchen, startingPantry, temperingOf } from '../src/index.ts'; // prettier-ignore

/* Laws of bowls, trays, shells and hands. */

const kitchen = startingKitchen;
const sauce = { massG: 500, densityGPerMl: 1.1, capacityKJ: 2.9 };
const tier: Mass = {
  outline: { kind: 'round', diameterMm: 200 },
  heightMm: 110,
  densityGPerMl: 0.6,
};

describe('a bowl that cools', () => {
  it('falls by its time constant, and is half way after ln 2 of it', () => {
    const around = { tempC: 20, surfaceW: 9 };
    expect(minutesTo(80, 50, around, 60)).toBeCloseTo(60 * Math.LN2, 9);
    expect(minutesTo(80, 80, around, 60)).toBe(0);
    expect(minutesTo(80, 20, around, 60)).toBeNull();
    expect(minutesTo(80, 10, around, 60)).toBeNull();
    // a cold one warms as well
    expect(minutesTo(4, 12, around, 60)).toBeCloseTo(60 * Math.LN2, 9);
  });
  it('half a ball of it: eight times as much takes twice as long', () => {
    const one = bowlMinutes(500, 1.1, 2.9, 9);
    expect(bowlMinutes(4000, 1.1, 2.9, 9)).toBeCloseTo(2 * one, 6);
    expect(bowlMinutes(500, 1.1, 2.9, 18)).toBeCloseTo(one / 2, 6);
    // as worked out in the model's own example
    expect(one).toBeCloseTo(79, 0);
  });
  it('is quicker thin on a tray, quickest in water or thin in the cold, and says where it never gets there', () => {
    const at = (place: (typeof coolPlaces)[number], toC = 30): number | null => coolingMin(sauce, 85, toC, place, kitchen); // prettier-ignore
    expect(at('tray')!).toBeLessThan(at('bowl')!);
    expect(at('cold water')!).toBeLessThan(at('bowl')!);
    expect(at('tray in the fridge')!).toBeLessThan(at('tray')!);
    expect(at('bowl', kitchen.roomC)).toBeNull();
    expect(at('tray in the fridge', 10)).not.toBeNull();
    expect(coolingMin(sauce, 20, 30, 'bowl', kitchen)).toBe(0);
    // on a tray the weight does not matter, in a bowl it does
    expect(coolingMin({ ...sauce, massG: 50 }, 85, 30, 'tray', kitchen)).toBe(at('tray'));
    expect(coolingMin({ ...sauce, massG: 50 }, 85, 30, 'bowl', kitchen)!).toBeLessThan(at('bowl')!);
  });
  it('takes longer the colder it is to be, in every place', () => {
    fc.assert(
      fc.property(fc.constantFrom(...coolPlaces), fc.integer({ min: 5, max: 80 }), (place, toC) => {
        const [one, colder] = [toC + 1, toC].map((c) => coolingMin(sauce, 95, c, place, kitchen));
        if (one === null) expect(colder).toBeNull();
        else if (colder !== null) expect(colder).toBeGreaterThan(one!);
      }),
    );
  });
  it('stands in the air that there is: a shelf is warmed by a bowl, water is never warmer than the room', () => {
    expect(surroundingsOf('fridge', kitchen).tempC).toBe(kitchen.fridgeC + 3);
    expect(surroundingsOf('tray in the fridge', kitchen).tempC).toBe(kitchen.fridgeC);
    expect(surroundingsOf('cold water', { ...kitchen, roomC: 8 }).tempC).toBe(8);
    expect(shelfHighMm(sauce, 'fridge')).toBeGreaterThan(shelfHighMm(sauce, 'tray'));
    expect(shelfHighMm({ ...sauce, massG: 4000 }, 'fridge')).toBeGreaterThan(shelfHighMm(sauce, 'fridge')); // prettier-ignore
  });
  it('a thin layer on a rack gives its warmth off by both faces', () => {
    const thin = layerCoolMin(trayMm, 0.5, 95, 26, kitchen)!;
    expect(layerCoolMin(2 * trayMm, 0.5, 95, 26, kitchen)).toBeCloseTo(2 * thin, 6);
    expect(layerCoolMin(trayMm, 0.5, 20, 26, kitchen)).toBe(0);
    // no colder than a little over the room
    expect(layerCoolMin(trayMm, 0.5, 95, 4, kitchen)).toBeCloseTo(layerCoolMin(trayMm, 0.5, 95, kitchen.roomC + 2, kitchen)!, 9); // prettier-ignore
  });
});

describe('a coat that chills', () => {
  it('is as cold as wanted sooner than the cake under it, later the colder', () => {
    const coat = chillCoatMin(tier, 21, 12, kitchen);
    expect(coat).toBeLessThan(chillShellMin(tier, 21, 'ready for the next coat or for drips', kitchen)); // prettier-ignore
    expect(chillCoatMin(tier, 21, 8, kitchen)).toBeGreaterThan(coat);
    expect(chillCoatMin(tier, 15, 8, kitchen)).toBeLessThan(chillCoatMin(tier, 21, 8, kitchen));
    expect(chillCoatMin(tier, 8, 8, kitchen)).toBe(0);
  });
  it('never gets nearer to the fridge than a degree in a time worth waiting for', () => {
    expect(coldestCoatC(2, kitchen)).toBe(kitchen.fridgeC + 1);
    expect(coldestCoatC(9, kitchen)).toBe(9);
    expect(Number.isFinite(chillCoatMin(tier, 21, -5, kitchen))).toBe(true);
  });
  it('a layer freezes through, a thick one slower than by its thickness, and not beyond what the rule bears', () => {
    const at = (heightMm: number): number | null => freezeLayerMin({ ...tier, heightMm }, 21, kitchen); // prettier-ignore
    expect(at(40)!).toBeGreaterThan(1.5 * at(20)!);
    expect(at(freezableMm)).not.toBeNull();
    expect(at(freezableMm + 1)).toBeNull();
  });
});

describe('chocolate and ganache', () => {
  it('a melt is cooled by what is unmelted: the heat balance', () => {
    const share = seedShare(45, 32, 20);
    // what the melt gives up: 1.6 a degree; what the seeds take: warming and melting
    expect(1.6 * (45 - 32)).toBeCloseTo(share * (1.6 * (32 - 20) + 50), 9);
    expect(seedShare(32, 32, 20)).toBe(0);
    expect(seedShare(30, 32, 20)).toBe(0);
    const chocolates = startingPantry().foods.flatMap((food) => chocolateOf(food) ?? []);
    expect(chocolates.length).toBeGreaterThan(2);
    for (const chocolate of chocolates) {
      const seed = seedFor(chocolate, 500, 21);
      expect(seed === null).toBe(temperingOf(chocolate) === null);
      if (seed) {
        expect(seed.seedG).toBeGreaterThan(0.1 * 500);
        expect(seed.seedG).toBeLessThan(0.5 * 500);
        expect(seed.workC[0]).toBeLessThan(seed.meltC);
      }
    }
  });
  it('set is firmer the more chocolate, firmer cold, through the two of the table, and no firmer than chocolate', () => {
    expect(setStress(1.64)).toEqual({ stress21Pa: 500, stress4Pa: 15000 });
    expect(setStress(3.29).stress21Pa).toBeCloseTo(25000, 6);
    expect(setStress(3.29).stress4Pa).toBeCloseTo(120000, 6);
    expect(setStress(2.4).stress21Pa).toBeGreaterThan(setStress(2).stress21Pa);
    expect(setStress(50)).toEqual({ stress21Pa: 1e6, stress4Pa: 1e6 });
  });
  it('crisp pieces last by the square of their thickness, three times under a film', () => {
    expect(crispHours(5, false)).toBe(4);
    expect(crispHours(10, false)).toBe(16);
    expect(crispHours(10, true)).toBe(48);
  });
});

describe('hands', () => {
  const round = { kind: 'round', diameterMm: 200 } as const;
  it('take as long on the reference tier as the table says, more on a larger one', () => {
    expect(sideScale(round, 100)).toBeCloseTo(1, 9);
    expect(topScale(round)).toBeCloseTo(1, 9);
    expect(coatMin('smooth', round, 100)).toBeCloseTo(25, 9);
    expect(coatMin('naked', round, 100)).toBe(0);
    const large = { kind: 'round', diameterMm: 400 } as const;
    expect(topScale(large)).toBeCloseTo(4, 9);
    expect(coatMin('smooth', large, 100)).toBeCloseTo((25 * (2 * 2 + 4)) / 3, 9);
  });
  it('pipe by pieces and length, by grams where neither is known, and change bags', () => {
    const job = { massG: 100, pieces: 0, lineMm: 0 };
    expect(pipingMin(job, kitchen)).toBeCloseTo(handsOn.pipingPer100G, 9);
    const counted = pipingMin({ ...job, pieces: 30 }, kitchen);
    expect(counted).toBeCloseTo((30 * kitchen.pieceSeconds) / 60, 9);
    expect(pipingMin({ ...job, pieces: 30, lineMm: 2000 }, kitchen)).toBeCloseTo(counted + 2 * kitchen.metreMin, 9); // prettier-ignore
    const bags = pipingMin({ ...job, massG: 2.5 * kitchen.bagG, pieces: 30 }, kitchen);
    expect(bags - counted).toBeCloseTo(2 * kitchen.refillMin, 9);
  });
  it('strew by the area', () => {
    expect(strewMin(40_000)).toBeCloseTo(2, 9);
    expect(strewMin(10)).toBe(0.5);
  });
});
