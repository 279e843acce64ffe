import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  buildSchema,
  cardsG,
  findRow,
  newBuild,
  planBuild,
  setLayerCount,
  tierOf,
  type Bowl,
  type Build,
  type Pantry,
  type Plan,
} from '../src/index.ts';
import { anyBuild, pantry } from './arbitrary.ts';

const fresh = (): Build => newBuild('b', 'Test', '2027-05-03T09:30:00Z');
const bowlsOf = (plan: Plan): Bowl[] => (plan.bowls.ok ? plan.bowls.value : []);

/** Calls `use` with every number in a plain value. */
function numbers(value: unknown, path: string, use: (n: number, path: string) => void): void {
  if (typeof value === 'number') use(value, path);
  else if (Array.isArray(value)) value.forEach((v, i) => numbers(v, `${path}[${i}]`, use));
  else if (value && typeof value === 'object')
    for (const [key, inner] of Object.entries(value)) numbers(inner, `${path}.${key}`, use);
}

describe('a plan of any build', () => {
  it('exists, and holds no NaN, no infinity and no amount below nothing', () => {
    fc.assert(
      fc.property(anyBuild, (build) => {
        const plan = planBuild(build, pantry);
        expect(plan.bowls.ok && plan.steps.ok && plan.ingredients.ok).toBe(true);
        const wrong: string[] = [];
        numbers(plan, 'plan', (n, path) => {
          // positions in the drawing may be left of the axis or below the board; servings may be short
          // degrees may be below freezing
          const signed =
            /\.(x0|y0|x1|y1|x|y|spare|startC|makeUpG|coatC|fromC|toC)$/.test(path) ||
            /\.inputs\[|\.lines\[|points|\.values\.|amounts|spots|\.cuts\[/.test(path) ||
            // a tier may stand off the axis, and beyond what would hold it
            /(\.(atMm|insideMm|edgeMm|upMm|tiltDeg|brakeG|margin|skinC|middleC|warmestC)|tips\.value)$/.test(
              path,
            );
          if (!Number.isFinite(n) || (!signed && n < -1e-9)) wrong.push(`${path} = ${n}`);
        });
        expect(wrong).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });

  it('loses no mass: made = used + lost + left, in every bowl', () => {
    fc.assert(
      fc.property(anyBuild, (build) => {
        const plan = planBuild(build, pantry);
        for (const bowl of bowlsOf(plan)) {
          const used = bowl.uses.reduce((sum, u) => sum + u.massG, 0);
          const lost = bowl.losses.reduce((sum, l) => sum + l.massG, 0);
          expect(used + lost + bowl.leftG).toBeCloseTo(bowl.makeG, 6);
          expect(bowl.leftG).toBeGreaterThanOrEqual(-1e-9);
          // what is left is the hand's margin and what rounding adds
          expect(bowl.makeG).toBeGreaterThanOrEqual(bowl.safeG - 1e-6);
          expect(bowl.safeG).toBeGreaterThanOrEqual(bowl.needG - 1e-9);
        }
        for (const batch of plan.batches) {
          const inside = bowlsOf(plan).filter((bowl) => bowl.batchId === batch.id);
          // whole grams below 500 g, five above; a batch in halves of a recipe need not come out so
          const off = inside.reduce((sum, bowl) => sum + bowl.makeG, 0) - batch.makeG;
          expect(Math.abs(off)).toBeLessThanOrEqual(batch.makeG < 500 ? 0.5 : 2.5);
          if (batch.largestMixG !== null)
            expect(batch.eachMixG).toBeLessThan(batch.largestMixG + 5);
        }
      }),
      { numRuns: 25 },
    );
  });

  it('weighs its cake as layers, fillings, coat, finish, piping and board', () => {
    fc.assert(
      fc.property(anyBuild, (build) => {
        const plan = planBuild(build, pantry);
        let parts =
          plan.piping.reduce((all, job) => all + job.massG, 0) +
          findRow(pantry, 'boards', build.boardId).massG +
          (plan.boardCover?.massG ?? 0) +
          build.tiers.reduce((all, tier, i) => all + cardsG(tier, i === 0), 0);
        const sum = (all: readonly number[]): number => all.reduce((a, b) => a + b, 0);
        for (const tier of plan.tiers) {
          if (!tier.bake.ok || !tier.gaps.ok || !tier.coat.ok) throw new Error('stage failed');
          parts += sum(tier.layersG!) + tier.dabG + (tier.centre?.fillG ?? 0);
          parts += sum(tier.gaps.value.map((g) => g.fillingG + g.damG + g.piecesG + g.drizzleG));
          parts += tier.coat.value.crumbG + tier.coat.value.coatG;
          parts += (tier.fondant?.onCakeG ?? 0) + (tier.pressed?.massG ?? 0);
          parts += sum(tier.surfaces.map((one) => one.massG));
          const { drip, pour, toppings } = tier.finish;
          parts += sum(toppings.map((one) => one.massG));
          if (drip.ok && drip.value) parts += drip.value.onCakeG;
          if (pour.ok && pour.value) parts += pour.value.staysG;
        }
        expect(plan.tally.massG! / parts).toBeCloseTo(1, 9);
        // what stands on the board, with all of it, is what the tally says
        expect(plan.support!.whole.body.massG / plan.tally.massG!).toBeCloseTo(1, 6);
      }),
      { numRuns: 25 },
    );
  });

  it('never gets lower by a layer more, where no filling creeps under it', () => {
    fc.assert(
      fc.property(anyBuild, (build) => {
        const tier = build.tiers[0]!;
        fc.pre(tier.layers.length < 12);
        for (const gap of tier.gaps) Object.assign(gap, { spreadId: 'ganache', setbackMm: 0 });
        Object.assign(tier, { stackedAt: 'cold', coat: { ...tier.coat, spreadId: 'ganache' } });
        const before = planBuild(build, pantry).tally.heightMm;
        const more = structuredClone(build);
        setLayerCount(tierOf(more, tier.id), tier.layers.length + 1);
        expect(buildSchema.isValidSync(more, { strict: true })).toBe(true);
        expect(planBuild(more, pantry).tally.heightMm).toBeGreaterThanOrEqual(before);
      }),
      { numRuns: 25 },
    );
  });

  it('is the same each time, and leaves build and pantry alone', () => {
    fc.assert(
      fc.property(anyBuild, (build) => {
        const before = JSON.stringify([build, pantry]);
        const plan = planBuild(build, pantry);
        expect(JSON.stringify([build, pantry])).toBe(before);
        const again = planBuild(structuredClone(build), pantry);
        expect(again).toEqual(plan);
        expect(again.figures.all()).toEqual(plan.figures.all());
      }),
      { numRuns: 20 },
    );
  });

  it('gives every step a key of its own and every figure a working', () => {
    fc.assert(
      fc.property(anyBuild, (build) => {
        const plan = planBuild(build, pantry);
        const keys = plan.steps.ok ? plan.steps.value.map((s) => s.key) : [];
        expect(new Set(keys).size).toBe(keys.length);
        for (const figure of plan.figures.all()) {
          const { id } = figure;
          expect(plan.figures.of(id)).toBe(figure);
          expect(figure.how.length).toBeGreaterThan(10);
          expect(figure.inputs.length).toBeGreaterThan(0);
          for (const input of figure.inputs)
            if (input.from) {
              expect(plan.figures.of(input.from), `${id} from ${input.from}`).toBeDefined();
              expect(input.value).toBeCloseTo(plan.figures.of(input.from)!.value, 6);
            }
        }
        if (plan.steps.ok)
          for (const step of plan.steps.value)
            for (const amount of step.amounts)
              if (amount.figure)
                expect(plan.figures.of(amount.figure), amount.figure).toBeDefined();
      }),
      { numRuns: 25 },
    );
  });
});

describe('a pantry row that is missing', () => {
  const without = (change: (p: Pantry) => void): Pantry => {
    const copy = structuredClone(pantry);
    change(copy);
    return copy;
  };
  it('spoils its own stage only', () => {
    const plan = planBuild(
      fresh(),
      without((p) => (p.sponges = [])),
    );
    expect(plan.tiers[0]!.bake.ok).toBe(false);
    expect(plan.bowls.ok).toBe(true);
    expect(plan.servings.count).toBeGreaterThan(0);
    expect(plan.section.parts.length).toBeGreaterThan(5);
    expect(plan.tally.massG).toBeNull();
    const caution = plan.cautions.find((c) => c.id.startsWith('missing/bake'));
    expect(caution?.title.text).toContain('butter');
  });
  it('is told for fillings, boards and recipes as well', () => {
    expect(
      planBuild(
        fresh(),
        without((p) => (p.spreads = [])),
      ).bowls.ok,
    ).toBe(false);
    expect(
      planBuild(
        fresh(),
        without((p) => (p.recipes = [])),
      ).steps.ok,
    ).toBe(false);
    const boardless = planBuild(
      fresh(),
      without((p) => (p.boards = [])),
    );
    expect(boardless.tally.massG).toBeNull();
    expect(boardless.bowls.ok).toBe(true);
  });
});

describe('cautions', () => {
  const idsOf = (build: Build): string[] =>
    planBuild(structuredClone(build), pantry).cautions.map((c) => c.id);
  it('tell of servings short, allergens, thick fillings, small boards and heavy lifts', () => {
    const build = fresh();
    build.brief.servings = 400;
    build.brief.keepOut = ['milk'];
    build.tiers[0]!.gaps[1]!.heightMm = 40;
    build.boardId = 'drum-round-20';
    const ids = idsOf(build);
    expect(ids).toContain('servings/short');
    expect(ids).toContain('allergen/milk');
    expect(ids).toContain('tier-1/thick filling/1');
    expect(ids).toContain('board/small');
    build.tiers[0]!.outline = { kind: 'square', sideMm: 500, cornerMm: 0 };
    expect(idsOf(build)).toContain('lift');
  });
  it('tell that a runny filling creeps out, until a dam holds it', () => {
    const build = fresh();
    for (const gap of build.tiers[0]!.gaps) gap.spreadId = 'compote';
    const plan = planBuild(structuredClone(build), pantry);
    const creep = plan.cautions.find((c) => c.id === 'tier-1/squeeze/0')!;
    expect(creep.todo.text).toContain('dam {width}');
    const width = creep.todo.values!.width!.value;
    for (const gap of build.tiers[0]!.gaps) gap.damMm = width;
    expect(idsOf(build)).not.toContain('tier-1/squeeze/0');
  });
  it('are none for the draft of a new build that was left alone', () => {
    const build = fresh();
    build.brief.servings = 20;
    expect(planBuild(build, pantry).cautions.filter((c) => c.severity === 'stop')).toEqual([]);
  });
});
