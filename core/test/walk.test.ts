import { readdirSync, readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addTier, buildSchema, newBuild, newPour, randomFrom, readBuildFile, unsoundIn } from '../src/index.ts'; // prettier-ignore
import { planBuild } from '../src/plan/plan.ts';
import { anyBuild, pantry } from './arbitrary.ts';
import { walk } from './walk.ts';

const folder = new URL('../../demo/', import.meta.url);
const demo = readdirSync(folder).flatMap((name) => {
  const read = readBuildFile(readFileSync(new URL(name, folder), 'utf8'));
  return read.ok ? [read.build] : [];
});
const starts = [...demo, ...fc.sample(anyBuild, { numRuns: 40, seed: 18 })];

describe('a walk over edits', () => {
  it('comes only to cakes that a file may hold and a plan can bear', () => {
    let steps = 0;
    const found: string[] = [];
    for (const { faults } of walk(starts, pantry, 2000, randomFrom(18), 8)) {
      steps += 1;
      found.push(...faults.map((fault) => `step ${steps}: ${fault}`));
    }
    expect(steps).toBe(2000);
    expect(found.slice(0, 5)).toEqual([]);
  }, 400_000);

  it('is not the same place for long', () => {
    const seen = new Set<string>();
    for (const { build } of walk(starts, pantry, 60, randomFrom(4), 1000))
      seen.add(JSON.stringify(build));
    expect(seen.size).toBeGreaterThan(50);
  });

  it('finds what is wrong, where something is', () => {
    const plan = planBuild(
      demo.find(({ tiers }) => tiers.length > 1)!,
      pantry,
    );
    expect(unsoundIn(plan)).toEqual([]);
    const [bowl] = plan.bowls.ok ? plan.bowls.value : [];
    const leaking = { ...plan, bowls: { ok: true as const, value: [{ ...bowl!, leftG: -4000 }] } };
    expect(unsoundIn(leaking)).toEqual(['bowls.value.0.leftG is -4000']);
    const [out] = plan.outOfCold;
    const endless = { ...plan, outOfCold: [{ ...out!, outMin: Infinity }] };
    expect(unsoundIn(endless)).toEqual(['outOfCold.0.outMin is Infinity']);
  });
});

it('puts another tier on the smallest cake there is, and it can be kept', () => {
  const build = newBuild('b', 'Small', '2027-05-03T09:30:00Z');
  build.tiers[0]!.outline = { kind: 'round', diameterMm: 50 };
  for (let i = 0; i < 3; i++) addTier(build);
  expect(build.tiers.map(({ outline }) => outline)).toEqual(
    Array.from({ length: 4 }, () => ({ kind: 'round', diameterMm: 50 })),
  );
  expect(buildSchema.isValidSync(build, { strict: true })).toBe(true);
});

it('says of a pour that does not run that it does not, and plans no tonnes of it', () => {
  const build = newBuild('b', 'Cold', '2027-05-03T09:30:00Z');
  const [tier] = build.tiers;
  tier!.pour = { ...newPour('dark-firm'), ratio: 7.4, fluidC: 6, coatC: 1 };
  const plan = planBuild(build, pantry);
  const [{ finish }] = plan.tiers as [(typeof plan.tiers)[number]];
  const pour = finish.pour.ok ? finish.pour.value : null;
  expect(pour!.veilMm).toBe(5);
  expect(pour!.pourG).toBeLessThan(3000);
  expect(plan.cautions.find(({ id }) => id === 'tier-1/pour/no veil')?.severity).toBe('stop');
});
