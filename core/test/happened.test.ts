import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  handKinds,
  handRows,
  logOf,
  noteOf,
  planBuild,
  recordablesOf,
  recordsOf,
  type Build,
  type Corrections,
  type Plan,
  type Step,
} from '../src/index.ts';
import { asHappened } from '../src/bench/happened.ts';
import { anyBuild, pantry } from './arbitrary.ts';

const anyMoves = fc
  .dictionary(
    fc.constantFrom(...handKinds),
    fc.record({
      factor: fc.double({ min: 0.4, max: 2.5, noNaN: true }),
      cv: fc.double({ min: 0, max: 0.6, noNaN: true }),
      count: fc.integer({ min: 1, max: 50 }),
    }),
  )
  .map((corrections) => corrections as Corrections);
const stepsOf = (plan: Plan): Step[] => (plan.steps.ok ? plan.steps.value : []);

/** A build with notes at some of its steps, each so many times what was planned. */
function withNotes(build: Build, picks: { step: number; record: number; ratio: number }[]): Build {
  const noted: Build = structuredClone(build);
  const steps = stepsOf(planBuild(structuredClone(noted), pantry));
  picks.forEach(({ step, record, ratio }, i) => {
    const at = steps[step % Math.max(1, steps.length)];
    const records = at ? recordablesOf(at) : [];
    const one = records[record % Math.max(1, records.length)];
    if (!at || !one) return;
    noted.bench.notes.push(
      noteOf(noted, at, one, {
        id: `n${i}`,
        at: '2027-06-12T12:00:00Z',
        value: Math.max(0, one.planned * ratio),
        text: '',
      }),
    );
  });
  return noted;
}
const anyPicks = fc.array(
  fc.record({
    step: fc.nat(200),
    record: fc.nat(5),
    ratio: fc.double({ min: 0, max: 12, noNaN: true }),
  }),
  { maxLength: 8 },
);

describe('a plan with whatever hand', () => {
  it('stands, with figures that can be, and says the same twice', () => {
    fc.assert(
      fc.property(anyBuild, anyMoves, (build, corrections) => {
        const plan = planBuild(build, pantry, undefined, corrections);
        for (const step of stepsOf(plan)) {
          expect(step.handsOnMin).toBeGreaterThanOrEqual(0);
          for (const { value } of step.amounts) expect(Number.isFinite(value)).toBe(true);
          for (const { planned } of recordablesOf(step))
            expect(Number.isFinite(planned)).toBe(true);
        }
        if (plan.bowls.ok)
          for (const bowl of plan.bowls.value) {
            expect(bowl.makeG).toBeGreaterThanOrEqual(bowl.needG - 1e-6);
            // made = used + lost + left
            expect(bowl.usedG + bowl.lostG + bowl.leftG).toBeCloseTo(bowl.makeG, 6);
          }
      }),
      { numRuns: 20 },
    );
  });
  it('is the plain plan where the hand says one', () => {
    const ones = Object.fromEntries(
      handKinds.map((kind) => [kind, { factor: 1, cv: handRows[kind].cv, count: 3 }]),
    ) as Corrections;
    fc.assert(
      fc.property(anyBuild, (build) => {
        const plain = planBuild(build, pantry);
        const moved = planBuild(build, pantry, undefined, ones);
        expect(moved.tally.heightMm).toBeCloseTo(plain.tally.heightMm, 9);
        expect(moved.tally.massG ?? 0).toBeCloseTo(plain.tally.massG ?? 0, 6);
        expect(moved.tally.handsOnMin ?? 0).toBeCloseTo(plain.tally.handsOnMin ?? 0, 6);
        expect(stepsOf(moved).map(({ timer }) => timer?.minutes)).toEqual(
          stepsOf(plain).map(({ timer }) => timer?.minutes),
        );
      }),
      { numRuns: 15 },
    );
  });
});

describe('a plan with whatever was noted', () => {
  it('stands, and never asks for less than nothing', () => {
    fc.assert(
      fc.property(anyBuild, anyPicks, (build, picks) => {
        const noted = withNotes(build, picks);
        const plan = planBuild(noted, pantry);
        expect(plan.steps.ok).toBe(planBuild(build, pantry).steps.ok);
        for (const step of stepsOf(plan))
          for (const { value, kind } of step.amounts)
            if (kind !== 'temperature') expect(value).toBeGreaterThanOrEqual(-1e-6);
        expect(plan.tally.heightMm).toBeGreaterThan(0);
      }),
      { numRuns: 20 },
    );
  });
  it('gives records and a log that agree, each with a ratio that can be', () => {
    fc.assert(
      fc.property(anyBuild, anyPicks, (build, picks) => {
        const noted = withNotes(build, picks);
        const records = recordsOf(noted);
        const lines = logOf(noted, stepsOf(planBuild(noted, pantry)));
        for (const { ratio, excluded } of records) {
          expect(ratio).toBeGreaterThan(0);
          expect(Number.isFinite(ratio)).toBe(true);
          if (ratio > 4 || ratio < 0.25) expect(excluded).not.toBeNull();
        }
        // everything the hand learns from stands in the log
        for (const { id } of records) expect(lines.some(({ noteId }) => noteId === id)).toBe(true);
        const off = lines.map(({ ratio }) => Math.abs(Math.log(ratio)));
        expect([...off].sort((a, b) => b - a)).toEqual(off);
      }),
      { numRuns: 15 },
    );
  });
  it('leaves what was decided as it is', () => {
    fc.assert(
      fc.property(anyBuild, anyPicks, (build, picks) => {
        const noted = withNotes(build, picks);
        const before = JSON.stringify(noted);
        const { build: stands } = asHappened(noted);
        planBuild(noted, pantry);
        expect(JSON.stringify(noted)).toBe(before);
        // only heights of layers follow
        expect({ ...stands, tiers: null }).toEqual({ ...noted, tiers: null });
        stands.tiers.forEach((tier, i) => {
          expect({ ...tier, layers: null }).toEqual({ ...noted.tiers[i], layers: null });
          for (const layer of tier.layers) expect(layer.heightMm).toBeGreaterThan(0);
        });
      }),
      { numRuns: 15 },
    );
  });
});
