import { newBuild } from '@pyrgotect/core';
import { describe, expect, it } from 'vitest';
import { elapsedMin, rangeOf } from '../src/bench/noting.ts';
import { biasWords, offBy } from '../src/hand/bias-words.ts';

describe('what can be noted at the bench', () => {
  it('is bounded by what it measures', () => {
    expect(rangeOf({ show: 'small' })).toEqual({ min: 0, max: 100_000 });
    expect(rangeOf({ show: 'temperature' }).min).toBeLessThan(0);
    expect(rangeOf({ show: 'span' }).max).toBe(3000);
    expect(rangeOf({ show: 'minutes' }).max).toBe(20_000);
  });
  it('offers the minutes since the step before, in whole ones', () => {
    const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
    const now = new Date('2027-06-12T12:00:00Z');
    expect(elapsedMin(build, now)).toBeNull();
    build.bench.done.push({ stepKey: 'x', at: '2027-06-12T11:48:20Z' });
    expect(elapsedMin(build, now)).toBe(12);
    build.bench.done.push({ stepKey: 'y', at: '2027-06-12T11:59:50Z' });
    expect(elapsedMin(build, now)).toBeNull();
  });
});

describe('words of the hand', () => {
  const hand = (mean: number) => ({ mean, kappa: 4, alpha: 4, beta: 0.1, count: 2, weight: 2 });
  it('say how far off, and which way', () => {
    expect(offBy(1.124)).toBe('+12 %');
    expect(offBy(0.96)).toBe('−4 %');
    expect(offBy(1.001)).toBe('as planned');
    expect(biasWords('time', hand(Math.log(1.2)))).toBe(
      'you take longer than the usual times, by 20 %',
    );
    expect(biasWords('rise', hand(Math.log(0.95)))).toBe('your cakes rise less, by 5 %');
    expect(biasWords('rise', hand(0))).toBe('as planned');
  });
});
