import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  areaMm2,
  buildSchema,
  newBuild,
  perimeterMm,
  planBuild,
  readBuildFile,
  resizeCake,
  type Build,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';

const folder = new URL('../../demo/', import.meta.url);
const demo = readdirSync(folder).flatMap((name): [string, Build][] => {
  const read = readBuildFile(readFileSync(new URL(name, folder), 'utf8'));
  return read.ok ? [[name, read.build]] : [];
});
const resized = (build: Build, servings: number) => {
  const answer = resizeCake(build, servings, pantry);
  if (!answer.ok) throw new Error(answer.problem);
  return answer;
};

describe('the same cake for another number', () => {
  it.each(demo)('%s: 30, 60 and 120 are served, and it can be kept and planned', (_name, build) => {
    const before = JSON.stringify(build);
    for (const servings of [30, 60, 120]) {
      const answer = resizeCake(build, servings, pantry);
      if (!answer.ok) {
        expect(answer.most).toBeLessThan(servings);
        continue;
      }
      expect(answer.servings).toBeGreaterThanOrEqual(servings);
      expect(buildSchema.isValidSync(answer.build, { strict: true })).toBe(true);
      const plan = planBuild(answer.build, pantry);
      expect(plan.servings.count).toBe(answer.servings);
      expect(plan.steps.ok).toBe(true);
      expect(answer.build.bench.notes).toEqual([]);
    }
    expect(JSON.stringify(build)).toBe(before);
  });

  it('keeps layers, fillings, coat and looks, tier by tier from the top', () => {
    const [, jubilee] = demo.find(([name]) => name.startsWith('jubilee'))!;
    const { build, lost } = resized(jubilee, jubilee.brief.servings);
    expect(lost).not.toContain('tiers');
    build.tiers.forEach((tier, i) => {
      const from = jubilee.tiers[i]!;
      expect(tier.layers.map((l) => l.heightMm)).toEqual(from.layers.map((l) => l.heightMm));
      expect(tier.gaps).toEqual(from.gaps);
      expect(tier.coat).toEqual(from.coat);
      expect(tier.drip?.spacingMm).toBe(from.drip?.spacingMm);
    });
  });

  it('puts as many drips and pieces as the new rim has room for', () => {
    const build = newBuild('b', 'Berries', '2027-05-03T09:30:00Z');
    const [, berries] = demo.find(([, one]) => one.tiers.some((tier) => tier.toppings.length > 0))!;
    build.tiers[0]!.toppings = structuredClone(
      berries.tiers.find((tier) => tier.toppings.length > 0)!.toppings.slice(0, 1),
    );
    build.tiers[0]!.toppings[0]!.count = 12;
    const { build: large } = resized(build, 54);
    const by = perimeterMm(large.tiers[0]!.outline) / perimeterMm(build.tiers[0]!.outline);
    expect(by).toBeGreaterThan(1.3);
    expect(large.tiers[0]!.toppings[0]!.count).toBe(Math.round(12 * by));
  });

  it('draws a heart larger until it serves, and says that its tin must be found', () => {
    const build = newBuild('b', 'Heart', '2027-05-03T09:30:00Z');
    build.tiers[0]!.outline = { kind: 'heart', widthMm: 200 };
    const { build: large, lost, servings } = resized(build, 60);
    expect(large.tiers[0]!.outline.kind).toBe('heart');
    expect(areaMm2(large.tiers[0]!.outline)).toBeGreaterThan(areaMm2(build.tiers[0]!.outline));
    expect(servings).toBeLessThan(70);
    expect(lost).toContain('tins');
  });

  it('names what it cannot keep, and how far the tins reach', () => {
    const carved = demo.find(([, one]) => one.tiers.some((tier) => tier.carving?.cuts.length))![1];
    expect(resized(carved, carved.brief.servings * 3).lost).toContain('carving');
    const build = newBuild('b', 'Crowd', '2027-05-03T09:30:00Z');
    const far = resizeCake(build, 5000, pantry);
    expect(far.ok ? '' : far.problem).toMatch(/Your round tins give at most \d+ servings/);
  });
});
