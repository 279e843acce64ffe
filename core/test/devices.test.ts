import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  deviceLimits,
  fitCooling,
  minutesUntil,
  readAsk,
  readMessage,
  settledOn,
  type TempReading,
  type TimedReading,
} from '../src/index.ts';
import { randomFrom } from '../src/working/random.ts';

describe('what a device says', () => {
  it('is taken for what it is where it makes sense', () => {
    expect(readMessage('{"device":"scale","g":148}')).toEqual({
      ok: true,
      reading: { device: 'scale', g: 148 },
    });
    expect(readMessage('{"device":"probe","tempC":31.4,"more":1}')).toEqual({
      ok: true,
      reading: { device: 'probe', tempC: 31.4 },
    });
  });
  it('is never taken for a figure where it is nonsense', () => {
    for (const said of [
      '',
      'garbage',
      '{',
      'null',
      '[]',
      '{"device":"scale"}',
      '{"device":"scale","g":"148"}',
      '{"device":"scale","g":1e9}',
      '{"device":"probe","tempC":null}',
      '{"device":"probe","tempC":-4000}',
      '{"device":"toaster","g":5}',
      'x'.repeat(10_000),
      undefined,
      42,
      new ArrayBuffer(8),
    ]) {
      const read = readMessage(said);
      expect(read.ok, JSON.stringify(said)).toBe(false);
      if (!read.ok) expect(read.problem.length).toBeLessThan(160);
    }
  });
  it('never throws, whatever text comes', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.json()), (text) => {
        const read = readMessage(text);
        if (read.ok && read.reading.device === 'scale')
          expect(Math.abs(read.reading.g)).toBeLessThanOrEqual(deviceLimits.g.max);
        expect(() => readAsk(text)).not.toThrow();
      }),
    );
  });
  it('asks of a stand-in are read, and nothing else', () => {
    expect(readAsk('{"do":"tare"}')).toEqual({ do: 'tare' });
    expect(readAsk('{"do":"put","g":-50}')).toEqual({ do: 'put', g: -50 });
    expect(readAsk('{"do":"bowl","tempC":45,"massG":400,"aroundC":21}')).toEqual({
      do: 'bowl',
      tempC: 45,
      massG: 400,
      aroundC: 21,
    });
    for (const text of ['{"do":"put"}', '{"do":"put","g":1e12}', '{"do":"bowl"}', '{"do":"burn"}'])
      expect(readAsk(text)).toBeNull();
  });
});

describe('a scale that stands still', () => {
  const at = (values: number[], everyMs = 150): TimedReading[] =>
    values.map((value, i) => ({ atMs: i * everyMs, value }));
  it('has settled when nearly a second of readings agree', () => {
    expect(settledOn(at([148, 148, 149, 148, 148, 149, 148, 148]))).toBeCloseTo(148.3, 0);
    expect(settledOn(at([0, 40, 90, 120, 140, 146, 148, 148]))).toBeNull();
    expect(settledOn(at([148, 148, 148]))).toBeNull();
    expect(settledOn([])).toBeNull();
  });
  it('is within the readings it settled on', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -500, max: 20_000 }),
        fc.array(fc.double({ min: -0.7, max: 0.7, noNaN: true }), { minLength: 8, maxLength: 30 }),
        (g, noise) => {
          const settled = settledOn(at(noise.map((off) => g + off)));
          expect(settled).not.toBeNull();
          expect(Math.abs(settled! - g)).toBeLessThanOrEqual(0.7);
        },
      ),
    );
  });
});

describe('a bowl that cools', () => {
  const next = randomFrom(7);
  const readings = (
    startC: number,
    aroundC: number,
    tauMin: number,
    forMin: number,
    noiseC: number,
  ): TempReading[] =>
    Array.from({ length: Math.round(forMin * 10) }, (_, i) => {
      const atMin = i / 10;
      return {
        atMin,
        tempC:
          aroundC + (startC - aroundC) * Math.exp(-atMin / tauMin) + noiseC * (next() - 0.5) * 2,
      };
    });
  it('gives back the curve it came from', () => {
    const fit = fitCooling(readings(45, 21, 40, 6, 0), 21)!;
    expect(fit.tauMin).toBeCloseTo(40, 1);
    expect(fit.nowC).toBeCloseTo(21 + 24 * Math.exp(-5.9 / 40), 3);
    // from 45 to 30 in all: 40 * ln(24/9), less what has passed
    expect(minutesUntil(fit, 30)).toBeCloseTo(40 * Math.log(24 / 9) - 5.9, 1);
  });
  it('knows to a tenth or so when it will be there, with a thermometer that trembles', () => {
    for (const tau of [25, 60, 110]) {
      const fit = fitCooling(readings(48, 20, tau, 8, 0.1), 20)!;
      const wanted = tau * Math.log(28 / 12) - 7.9;
      expect(Math.abs(minutesUntil(fit, 32)! - wanted)).toBeLessThan(0.15 * wanted + 1);
    }
  });
  it('finds out that the bowl went into the fridge', () => {
    const fit = fitCooling(readings(45, 4, 30, 15, 0.03), 21)!;
    expect(fit.aroundC).toBeLessThan(12);
  });
  it('says nothing where there is nothing to go by, and never is what it cannot reach', () => {
    expect(fitCooling([], 21)).toBeNull();
    expect(fitCooling(readings(45, 21, 40, 0.3, 0), 21)).toBeNull();
    expect(fitCooling(readings(21.1, 21, 40, 6, 0), 21)).toBeNull();
    const fit = fitCooling(readings(45, 21, 40, 6, 0), 21)!;
    expect(minutesUntil(fit, 18)).toBeNull();
    expect(minutesUntil(fit, 50)).toBeNull();
  });
  it('warms as well as it cools', () => {
    const fit = fitCooling(readings(6, 24, 50, 6, 0), 24)!;
    expect(fit.tauMin).toBeCloseTo(50, 1);
    expect(minutesUntil(fit, 15)).toBeCloseTo(50 * Math.log(18 / 9) - 5.9, 1);
  });
});
