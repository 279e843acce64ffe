import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planBuild, type Cut } from '../src/index.ts';
import { Carver, carveAnswer } from '../src/solids/index.ts';
import {
  answer,
  asked,
  base,
  lib,
  near,
  pantry,
  plain,
  plane,
  round,
  useSolids,
} from './solids-kit.ts';

useSolids();

describe('what a carving keeps', () => {
  const anyCut: fc.Arbitrary<Cut> = fc
    .oneof(
      fc.record({
        kind: fc.constant('plane' as const),
        bearingDeg: fc.integer({ min: 0, max: 359 }),
        slopeDeg: fc.integer({ min: 0, max: 90 }),
        outMm: fc.integer({ min: -40, max: 120 }),
        upMm: fc.integer({ min: 10, max: 130 }),
        away: fc.constantFrom('above' as const, 'below' as const),
      }),
      fc.record({
        kind: fc.constant('step' as const),
        bearingDeg: fc.integer({ min: 0, max: 359 }),
        slopeDeg: fc.integer({ min: 20, max: 90 }),
        outMm: fc.integer({ min: -20, max: 110 }),
        upMm: fc.integer({ min: 5, max: 110 }),
      }),
      fc.record({
        kind: fc.constant('scoop' as const),
        bearingDeg: fc.integer({ min: 0, max: 359 }),
        outMm: fc.integer({ min: 0, max: 110 }),
        upMm: fc.integer({ min: 0, max: 120 }),
        radiusMm: fc.integer({ min: 3, max: 60 }),
      }),
      fc.record({
        kind: fc.constant('groove' as const),
        upMm: fc.integer({ min: 0, max: 120 }),
        widthMm: fc.integer({ min: 2, max: 30 }),
        depthMm: fc.integer({ min: 1, max: 20 }),
      }),
      fc.record({
        kind: fc.constant('edge' as const),
        form: fc.constantFrom('bevelled' as const, 'rounded' as const),
        where: fc.constantFrom('top' as const, 'foot' as const),
        sizeMm: fc.integer({ min: 2, max: 40 }),
      }),
      fc.record({
        kind: fc.constant('flutes' as const),
        count: fc.integer({ min: 3, max: 16 }),
        depthMm: fc.integer({ min: 1, max: 10 }),
        widthMm: fc.constantFrom(null, 8),
        fromMm: fc.integer({ min: 0, max: 40 }),
        toMm: fc.integer({ min: 60, max: 130 }),
      }),
      fc.record({
        kind: fc.constant('lay' as const),
        bearingDeg: fc.integer({ min: 0, max: 359 }),
        overDeg: fc.constantFrom(90, 180),
      }),
    )
    .map((cut) => ({ ...base, id: 'x', ...cut }));

  it('what is left and what came away are what was there, cut by cut and material by material', () => {
    const coarse = new Carver(lib, 64);
    fc.assert(
      fc.property(fc.array(anyCut, { minLength: 1, maxLength: 5 }), (list) => {
        const cuts = list.map((cut, i) => ({ ...cut, id: `c${i}` }));
        const { question } = asked(cuts);
        const r = carveAnswer(coarse, question);
        let left = r.stackMl;
        for (const step of r.steps) {
          expect(step.leftMl).toBeLessThanOrEqual(left + r.stackMl * 1e-4);
          expect(Math.abs(step.leftMl + step.removedMl - left)).toBeLessThan(r.stackMl * 1e-4);
          const pieces = step.pieces.reduce((sum, piece) => sum + piece.ml, 0);
          expect(pieces).toBeLessThanOrEqual(step.removedMl + r.stackMl * 1e-4);
          for (const part of Object.keys(step.byPart))
            expect(step.byPart[part]).toBeGreaterThan(-0.05);
          left = step.leftMl;
        }
        const parts = Object.values(r.byPart).reduce((sum, ml) => sum + ml, 0);
        expect(Math.abs(parts - r.leftMl)).toBeLessThan(r.stackMl * 1e-4);
        for (const { solid } of coarse.body()) expect(solid.status()).toBe('NoError');
        expect(r.topMm).toBeLessThan(400);
      }),
      { numRuns: 60 },
    );
    coarse.end();
  });
  it('layers keep their own masses: the whole stack weighs what the plan says', () => {
    const { build, question } = asked([plane({ upMm: 500 })]);
    const r = answer(question);
    const tier = planBuild(build, pantry).tiers[0]!;
    const layers = tier.layersG!.reduce((sum, g) => sum + g, 0);
    const fillings = tier.gaps.ok ? tier.gaps.value.reduce((sum, gap) => sum + gap.fillingG, 0) : 0;
    near(r.stackG, layers + fillings + tier.dabG, 0.003);
    expect(r.steps[0]!.note?.text).toContain('takes nothing');
  });
  it('a hidden centre is a material of its own, and a ring has its hole', () => {
    const { question } = asked([plane({ upMm: 40 })], (tier) => {
      tier.centre = {
        outline: round(60),
        fromLayer: 0,
        toLayer: 2,
        spreadId: 'curd',
        pieces: null,
      };
    });
    const r = answer(question);
    const coreMl = (Math.PI * 30 ** 2 * (40 - question.stock.centre!.fromMm)) / 1000;
    near(r.byPart.centre!, coreMl, 0.01);
    const ring = answer(
      plain({ kind: 'ring', diameterMm: 200, holeMm: 80 }, 60, [plane({ upMm: 30 })]),
    );
    near(ring.leftMl, (Math.PI * (100 ** 2 - 40 ** 2) * 30) / 1000);
  });
  it('an edit of the last cut gives what a fresh start gives', () => {
    const first = plane({ id: 'a', slopeDeg: 40, outMm: 60, upMm: 80 });
    const other = (upMm: number): Cut =>
      plane({ id: 'b', slopeDeg: 30, bearingDeg: 60, outMm: 50, upMm });
    answer(plain(round(180), 120, [first, other(90)]));
    const edited = answer(plain(round(180), 120, [first, other(75)]));
    const fresh = new Carver(lib, 128);
    const anew = carveAnswer(fresh, plain(round(180), 120, [first, other(75)]));
    fresh.end();
    expect(edited).toEqual(anew);
  });
});
