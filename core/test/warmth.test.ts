import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { centreShare, meanShare, shellReader } from '../src/heat/body.ts';
import { inFridge, inRoom, type Mass } from '../src/heat/cooling.ts';
import { Warmth, type Around } from '../src/heat/warmth.ts';
import { startingKitchen } from '../src/index.ts';

const kitchen = startingKitchen;
const fridge: Around = {
  tempC: kitchen.fridgeC,
  faceW: kitchen.fridgeW,
  bottomW: kitchen.fridgeW / 2,
};
const room: Around = { tempC: kitchen.roomC, faceW: kitchen.roomW, bottomW: kitchen.roomW / 2 };
const round = (diameterMm: number, heightMm: number, densityGPerMl = 0.6): Mass => ({
  outline: { kind: 'round', diameterMm },
  heightMm,
  densityGPerMl,
});

describe('how warm a cake is', () => {
  const bodies: [string, Mass][] = [
    ['a tall round one', round(150, 180)],
    ['a flat one', round(260, 40)],
    ['a heavy one', round(200, 115, 0.9)],
    ['a square', { ...round(1, 100), outline: { kind: 'square', sideMm: 200, cornerMm: 0 } }],
    ['a ring', { ...round(1, 90), outline: { kind: 'ring', diameterMm: 240, holeMm: 80 } }],
    [
      'a loaf',
      { ...round(1, 80), outline: { kind: 'rectangle', widthMm: 260, depthMm: 100, cornerMm: 0 } },
    ],
  ];
  it.each(bodies)('agrees with the series where nothing changes: %s', (name, mass) => {
    for (const [around, body, startC] of [
      [fridge, inFridge(mass, kitchen), 21],
      [room, inRoom(mass, kitchen), 4],
    ] as const) {
      const cake = new Warmth(mass, startC);
      const shell = shellReader(body, 10);
      let past = 0;
      // a square loses by its corners what a drum does not have; a loaf by its ends
      const nearC = name === 'a square' ? 0.9 : name === 'a loaf' ? 1.6 : 0.5;
      for (const minute of [20, 60, 180, 420]) {
        cake.pass(minute - past, around);
        past = minute;
        const of = (share: number): number => around.tempC + (startC - around.tempC) * share;
        expect(Math.abs(cake.shellC(10) - of(shell(minute * 60))), `shell ${minute}`).toBeLessThan(nearC); // prettier-ignore
        expect(Math.abs(cake.middleC - of(centreShare(body, minute * 60))), `middle ${minute}`).toBeLessThan(nearC); // prettier-ignore
        expect(Math.abs(cake.meanC - of(meanShare(body, minute * 60))), `mean ${minute}`).toBeLessThan(nearC); // prettier-ignore
      }
    }
  });
  it('stays as it is where nothing passes, and where the air is as warm', () => {
    const cake = new Warmth(round(200, 100), 12);
    cake.lay(8, 30);
    const { meanC } = cake;
    cake.pass(600, { tempC: -40, faceW: 0, bottomW: 0 });
    expect(cake.meanC).toBeCloseTo(meanC, 6);
    // and by then it is the same all through
    expect(Math.abs(cake.middleC - cake.shellC(5))).toBeLessThan(0.2);
    const same = new Warmth(round(200, 100), 21);
    same.pass(300, room);
    expect(same.middleC).toBeCloseTo(kitchen.roomC, 6);
  });
  it('lies between what it was and what is round it, and goes one way', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 60, max: 400 }),
        fc.integer({ min: 12, max: 300 }),
        fc.integer({ min: -10, max: 40 }),
        fc.array(fc.integer({ min: 1, max: 120 }), { minLength: 1, maxLength: 5 }),
        (wideMm, highMm, startC, turns) => {
          const cake = new Warmth(round(wideMm, highMm), startC);
          let last = cake.shellC(10);
          for (const minutes of turns) {
            cake.pass(minutes, fridge);
            const now = cake.shellC(10);
            const [low, high] = [Math.min(startC, fridge.tempC), Math.max(startC, fridge.tempC)];
            for (const c of [now, cake.middleC, cake.meanC]) {
              expect(c).toBeGreaterThanOrEqual(low - 1e-6);
              expect(c).toBeLessThanOrEqual(high + 1e-6);
            }
            expect((last - now) * Math.sign(startC - fridge.tempC)).toBeGreaterThanOrEqual(-1e-9);
            last = now;
          }
        },
      ),
      { numRuns: 60 },
    );
  });
  it('takes an hour as well in two halves', () => {
    const [one, two] = [new Warmth(round(180, 110), 21), new Warmth(round(180, 110), 21)];
    one.pass(60, fridge);
    two.pass(30, fridge);
    two.pass(30, fridge);
    expect(two.shellC(10)).toBeCloseTo(one.shellC(10), 6);
    // odd minutes are met to the second
    const [odd, exact] = [new Warmth(round(180, 110), 21), new Warmth(round(180, 110), 21)];
    for (let i = 0; i < 8; i++) odd.pass(7.5, fridge);
    exact.pass(60, fridge);
    expect(odd.shellC(10)).toBeCloseTo(exact.shellC(10), 1);
  });
  it('is warmed by a coat, more by a thick one, and by as much as that brings', () => {
    const shellAfter = (mm: number): number => {
      const cake = new Warmth(round(200, 120), 5);
      cake.lay(mm, 21);
      return cake.shellC(11);
    };
    expect(shellAfter(0)).toBeCloseTo(5, 9);
    expect(shellAfter(11)).toBeCloseTo(21, 6);
    expect(shellAfter(4)).toBeGreaterThan(shellAfter(2));
    // seven of eleven millimetres at 21, the rest at 5, a little more of the outside
    expect(shellAfter(7)).toBeGreaterThan(15.1);
    expect(shellAfter(7)).toBeLessThan(15.8);
  });
  it('believes a thermometer, and goes on from there', () => {
    const cake = new Warmth(round(200, 120), 21);
    cake.pass(60, fridge);
    const inner = cake.middleC - cake.shellC(10);
    cake.read(10, 12);
    expect(cake.shellC(10)).toBeCloseTo(12, 9);
    expect(cake.middleC - cake.shellC(10)).toBeCloseTo(inner, 9);
  });
  it('says how long until it is cold enough, or that it never is', () => {
    const cake = new Warmth(round(200, 120), 21);
    const minutes = cake.minutesUntil(10, 12, fridge)!;
    const tried = cake.copy();
    tried.pass(minutes, fridge);
    expect(tried.shellC(10)).toBeLessThanOrEqual(12);
    expect(tried.shellC(10)).toBeGreaterThan(11.7);
    expect(cake.minutesUntil(10, 22, fridge)).toBe(0);
    expect(cake.minutesUntil(10, 2, fridge)).toBeNull();
    // asking changes nothing
    expect(cake.middleC).toBe(21);
  });
});
