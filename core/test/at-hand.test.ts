import { describe, expect, it } from 'vitest';
import {
  atHandFor,
  goOnKey,
  isAtHand,
  metric,
  newBuild,
  planBuild,
  showText,
  weighedKey,
  weighTargets,
  type Build,
  type Step,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';
import { demo, stepsOf } from './work-kit.ts';

/* What lies weighed out before something begins that cannot be left. */

const filled = (spreadId: string): Step[] => {
  const build: Build = newBuild('hand', 'Hand', '2027-05-03T09:30:00Z');
  for (const gap of build.tiers[0]!.gaps) gap.spreadId = spreadId;
  return stepsOf(planBuild(build, pantry));
};
const makeOf = (spreadId: string): Step =>
  filled(spreadId).find(({ key }) => key === `bowl/${spreadId}/make`)!;

describe('before sugar is on the fire', () => {
  const caramel = makeOf('caramel');
  const lines = atHandFor(caramel);
  it('everything that goes into it lies there, to the gram', () => {
    expect(caramel.hazards).toContain('hot sugar');
    expect(lines.map(({ item }) => item.label)).toEqual(caramel.list.map(({ label }) => label));
    expect(lines.length).toBeGreaterThanOrEqual(3);
  });
  it('it is begun when all of it is ticked, whatever else is, or when told to', () => {
    const keys = lines.map(({ key }) => key);
    expect(isAtHand(caramel, [])).toBe(false);
    expect(isAtHand(caramel, [...keys.slice(1), 'another|weighed|sugar'])).toBe(false);
    expect(isAtHand(caramel, keys)).toBe(true);
    expect(isAtHand(caramel, [goOnKey(caramel)])).toBe(true);
  });
  it('what the scale weighed counts as there', () => {
    const [first] = weighTargets(caramel);
    expect(lines[0]!.key).toBe(weighedKey(caramel, first!));
  });
});

describe('what the scale asks for', () => {
  it('is the very number that the step shows, of every line and amount', () => {
    let looked = 0;
    for (const name of ['jubilee', 'meridian', 'comet-crepes'])
      for (const step of stepsOf(planBuild(demo(name), pantry))) {
        const shown = [...step.list, ...step.amounts].map(({ label, value, kind }) => ({
          label,
          text: showText(value, kind, metric),
        }));
        for (const { label, wantedG } of weighTargets(step)) {
          const line = shown.find((one) => one.label === label);
          if (wantedG === null || !line) continue;
          const [, number = '', unit] = /^([\d.]+) (kg|g)$/.exec(line.text) ?? [];
          expect(wantedG, `${step.title}: ${label}`).toBeCloseTo(
            Number(number) * (unit === 'kg' ? 1000 : 1),
            6,
          );
          looked += 1;
        }
      }
    expect(looked).toBeGreaterThan(60);
  });
});

describe('other steps', () => {
  it('whipped cream is used within the hour: all of it at hand before', () => {
    const cream = makeOf('cream');
    expect(cream.keepsMin).toBeLessThanOrEqual(60);
    expect(atHandFor(cream).length).toBeGreaterThan(0);
  });
  it('what can wait begins at once', () => {
    for (const step of filled('buttercream')) {
      if (step.hazards.includes('hot sugar') || (step.keepsMin ?? Infinity) <= 60) continue;
      expect(atHandFor(step), step.title).toEqual([]);
      expect(isAtHand(step, [])).toBe(true);
    }
  });
  it('has no list of places or drips to fetch', () => {
    for (const step of filled('caramel').filter(({ chapter }) => chapter === 'Finish'))
      expect(atHandFor(step)).toEqual([]);
  });
});
