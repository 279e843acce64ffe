import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  buildFrom13,
  colourOf,
  depthOf,
  drawElevation,
  findRow,
  fromSpot,
  gelGPerKg,
  gelsOf,
  isChocolate,
  limits,
  mixHex,
  newBuild,
  newDrip,
  newPour,
  planBuild,
  renameColour,
  setColour,
  rowsUsed,
  shadeOf,
  sideStripes,
  spotOf,
  tintNote,
  tintsIn,
  topSeen,
  type Build,
  type Colour,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';

const colour = (name: string, hex: string, gPerKg: number | null = null): Colour => ({
  name,
  hex,
  gPerKg,
  doses: [],
});
const blue = colour('deep blue', '#1e2a52');
const built = (change: (build: Build) => void): Build => {
  const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
  build.colours = [blue, colour('rose', '#f3c4cf')];
  change(build);
  return build;
};
const anyHex = fc
  .integer({ min: 0, max: 0xffffff })
  .map((n) => `#${n.toString(16).padStart(6, '0')}`);

describe('gel for a colour', () => {
  it('grows with how far it is from white: a gram for a pastel, a dozen for black', () => {
    expect(depthOf('#ffffff')).toBe(0);
    expect(depthOf('#000000')).toBe(1);
    const grams = ['#ffffff', '#f3c4cf', '#4f7fb8', '#1e2a52', '#000000'].map((hex) =>
      gelGPerKg(colour('c', hex)),
    );
    expect([...grams].sort((a, b) => a - b)).toEqual(grams);
    expect(gelGPerKg(colour('c', '#f3c4cf'))).toBeCloseTo(0.9, 1);
    expect(gelGPerKg(colour('c', '#000000'))).toBeGreaterThan(10);
    expect(gelGPerKg(colour('c', '#000000'))).toBeLessThan(13);
    expect(['#f3c4cf', '#4f7fb8', '#1e2a52'].map((hex) => shadeOf(depthOf(hex)))).toEqual(['pale', 'medium', 'strong']); // prettier-ignore
  });
  it('is what a test spot asked, once there was one', () => {
    expect(gelGPerKg(colour('c', '#000000', 4))).toBe(4);
    const note = tintNote(colour('c', '#000000', 4), 500, false, pantry.foods);
    expect(note.gels).toEqual([{ foodId: 'colour-gel', name: 'colour gel', g: 2 }]);
    expect(note.words.text).toContain('By your own test spot');
    expect(tintNote(blue, 500, false, pantry.foods).words.text).toMatch(
      /A test spot on 100 g first.*overnight/,
    );
  });
  it('is oil-based for what is mostly chocolate, whatever that is called', () => {
    const recipe = (id: string) => findRow(pantry, 'recipes', id);
    expect(isChocolate(recipe('recipe-ganache'), pantry.foods)).toBe(true);
    expect(isChocolate(recipe('recipe-buttercream'), pantry.foods)).toBe(false);
    // a fifth of it is white chocolate, the rest sugar and water
    expect(isChocolate(recipe('recipe-mirror'), pantry.foods)).toBe(false);
    expect(tintNote(blue, 500, true, pantry.foods).gels[0]!.foodId).toBe('colour-oil');
  });
  it('is weighed at the bowl, kneaded into fondant, and on the shopping list', () => {
    const build = built((b) => {
      b.tiers[0]!.coat.tint = 'Deep blue';
      b.tiers[0]!.fondant = { way: 'draped', mm: 4, allowanceMm: 15, tint: 'rose' };
    });
    const plan = planBuild(build, pantry);
    if (!plan.steps.ok || !plan.ingredients.ok || !plan.bowls.ok) throw new Error('no plan');
    const bowl = plan.bowls.value.find(({ tint }) => tint === 'Deep blue')!;
    expect(bowl.tinted!.hex).toBe('#1e2a52');
    const fondant = plan.tiers[0]!.fondant!;
    const wanted =
      bowl.tinted!.gels[0]!.g + (fondant.rolledG * gelGPerKg(build.colours[1]!)) / 1000;
    const line = plan.ingredients.value.find(({ foodId }) => foodId === 'colour-gel')!;
    expect(line.massG).toBeCloseTo(wanted, 6);
    const taken = plan.steps.value
      .flatMap(({ takes }) => takes)
      .filter(({ foodId }) => foodId === 'colour-gel')
      .reduce((sum, { massG }) => sum + massG, 0);
    expect(taken).toBeCloseTo(wanted, 6);
    const covered = plan.steps.value.find(({ key }) => key === 'tier-1/fondant')!;
    expect(covered.amounts.map(({ label }) => label)).toContain('colour gel, kneaded in first');
  });
  it('is of the gels that were taken for it, by name, in their shares of what a spot took', () => {
    const [one, other] = gelsOf(pantry.foods);
    const mixed: Colour = {
      ...blue,
      doses: [
        { foodId: one!.id!, gPerKg: 3 },
        { foodId: other!.id!, gPerKg: 1 },
      ],
    };
    const gels = (of: Colour, isChocolate = false) =>
      tintNote(of, 500, isChocolate, pantry.foods).gels;
    expect(gels(mixed).map(({ g }) => g)).toEqual([1.5, 0.5]);
    expect(gels(mixed)[0]).toMatchObject({ foodId: one!.id, name: one!.name.toLowerCase() });
    const spotted = gels({ ...mixed, gPerKg: 8 }).map(({ g }) => g);
    expect(spotted[0]).toBeCloseTo(3, 9);
    expect(spotted[1]).toBeCloseTo(1, 9);
    // chocolate takes no gel that holds water, and a gel that is gone is any gel
    expect(gels(mixed, true).map(({ foodId }) => foodId)).toEqual(['colour-oil']);
    expect(gels({ ...mixed, doses: [{ foodId: 'gone', gPerKg: 2 }] })).toEqual([
      { foodId: 'colour-gel', name: 'colour gel', g: 1 },
    ]);
  });
  it('of a mix stands at the bench, in the shopping and in the file, each gel by its name', () => {
    const [one, other] = gelsOf(pantry.foods);
    const build = built((b) => {
      b.tiers[0]!.coat.tint = 'deep blue';
      b.colours[0] = {
        ...blue,
        doses: [
          { foodId: one!.id!, gPerKg: 3 },
          { foodId: other!.id!, gPerKg: 1 },
        ],
      };
    });
    const plan = planBuild(build, pantry);
    if (!plan.steps.ok || !plan.ingredients.ok || !plan.bowls.ok) throw new Error('no plan');
    const makeG = plan.bowls.value.find(({ tint }) => tint === 'deep blue')!.makeG;
    for (const [gel, perKg] of [
      [one!, 3],
      [other!, 1],
    ] as const) {
      // prettier-ignore
      const g = (makeG * perKg) / 1000;
      const bought = plan.ingredients.value.find(({ foodId }) => foodId === gel.id)!;
      expect(bought.massG).toBeCloseTo(g, 6);
      const line = plan.steps.value
        .flatMap(({ list }) => list)
        .find(({ label }) => label === `${gel.name.toLowerCase()}, deep blue`)!;
      expect(line.value).toBeCloseTo(g, 6);
    }
    expect(plan.ingredients.value.some(({ foodId }) => foodId === 'colour-gel')).toBe(false);
    const carried = rowsUsed(build, pantry).foods.map(({ id }) => id);
    expect(carried).toEqual(expect.arrayContaining([one!.id, other!.id]));
  });
});

describe('a colour is seen', () => {
  it('in the section and from the front: coat, bands, filling, what runs over it', () => {
    const build = built((b) => {
      const [tier] = b.tiers;
      tier!.coat.bands = [
        { tint: 'deep blue', share: 1 },
        { tint: 'rose', share: 1 },
      ];
      tier!.gaps[0]!.tint = 'rose';
    });
    const plan = planBuild(build, pantry);
    const part = (id: string) => plan.section.parts.find((one) => one.id === `tier-1/${id}`)!;
    expect(part('band/0-left').tone).toBe('#1e2a52');
    expect(part('band/1-right').tone).toBe('#f3c4cf');
    expect(part('gap/0').tone).toBe('#f3c4cf');
    expect(part('gap/1').tone).not.toMatch(/^#/);
    const front = drawElevation(build, plan, pantry).shapes.filter(({ id }) => id.includes('/band/')); // prettier-ignore
    expect(front.map(({ tone }) => tone)).toEqual(['#1e2a52', '#f3c4cf']);
    expect(front[0]!.y1).toBeCloseTo(front[1]!.y0, 9);
    expect(front[1]!.y1).toBeCloseTo(plan.section.tiers[0]!.toMm, 6);
  });
  it('from above: what was poured, flooded, covered or coated', () => {
    const top = (change: (build: Build) => void) => {
      const build = built(change);
      return topSeen(build.tiers[0]!, planBuild(build, pantry).tiers[0]!, build.colours, pantry);
    };
    expect(top(() => undefined)).toBe('ivory');
    expect(top((b) => (b.tiers[0]!.coat.tint = 'rose'))).toBe('#f3c4cf');
    expect(top((b) => (b.tiers[0]!.fondant = { way: 'draped', mm: 4, allowanceMm: 10, tint: 'deep blue' }))).toBe('#1e2a52'); // prettier-ignore
    expect(top((b) => (b.tiers[0]!.pour = newPour('dark-equal')))).toBe('ganache');
    const drip = (floodMm: number) => top((b) => (b.tiers[0]!.drip = { ...newDrip('white-three'), floodMm, tint: 'rose' })); // prettier-ignore
    expect(drip(2)).toBe('#f3c4cf');
    expect(drip(0)).toBe('ivory');
  });
  it('from the front as it looks: bare layers, a thin coat over them, nuts pressed on', () => {
    const front = (change: (build: Build) => void) => {
      const build = built(change);
      const plan = planBuild(build, pantry);
      return { plan, shapes: drawElevation(build, plan, pantry).shapes };
    };
    const seen = ({ shapes }: ReturnType<typeof front>) => shapes.filter(({ id }) => id.includes('/seen/')); // prettier-ignore
    const naked = front((b) => (b.tiers[0]!.coat.style = 'naked'));
    expect(seen(naked)).toHaveLength(7);
    const parts = naked.plan.section.parts;
    for (const { y0, y1, label, tone } of seen(naked)) {
      const part = parts.find((one) => one.label === label && one.kind !== 'crown')!;
      expect([y0, y1, tone]).toEqual([part.y0, part.y1, part.tone]);
    }
    expect(naked.shapes.some(({ cover }) => cover !== undefined)).toBe(false);
    const semi = front((b) => (b.tiers[0]!.coat.style = 'semi-naked'));
    const { coat } = semi.plan.tiers[0]!;
    expect(semi.shapes.find(({ id }) => id === 'tier-1/veil')!.cover).toBe(coat.ok && coat.value.cover); // prettier-ignore
    // a whole coat hides them
    expect(seen(front(() => undefined))).toEqual([]);
    const nuts = front((b) => {
      b.tiers[0]!.pressed = { name: 'walnuts', foodId: 'walnuts', gPerCm2: 0.2, cover: 0.7, bandMm: 40, onTop: false, allergens: [] }; // prettier-ignore
    }).shapes.find(({ id }) => id === 'tier-1/pressed')!;
    expect([nuts.tone, nuts.cover, nuts.y1 - nuts.y0]).toEqual(['nut', 0.7, 40]);
  });
  it('run into each other, from the foot to the top without a gap', () => {
    const tier = built((b) => {
      b.tiers[0]!.coat.blended = true;
      b.tiers[0]!.coat.bands = [
        { tint: 'deep blue', share: 0.3 },
        { tint: 'rose', share: 0.7 },
      ];
    }).tiers[0]!;
    const stripes = sideStripes(tier, [blue, colour('rose', '#f3c4cf')], 'ivory');
    expect(stripes[0]!.from).toBe(0);
    expect(stripes.at(-1)!.to).toBe(1);
    stripes.slice(1).forEach(({ from }, i) => expect(from).toBeCloseTo(stripes[i]!.to, 9));
    const depths = stripes.map(({ look }) => depthOf(look));
    expect([...depths].sort((a, b) => b - a)).toEqual(depths);
    expect(stripes[0]!.look).toBe('#1e2a52');
    expect(stripes.at(-1)!.look).toBe('#f3c4cf');
  });
  it('between two, in every channel', () => {
    fc.assert(
      fc.property(anyHex, anyHex, fc.double({ min: 0, max: 1, noNaN: true }), (a, b, share) => {
        expect(mixHex(a, b, 0)).toBe(a);
        expect(mixHex(a, b, 1)).toBe(b);
        expect(mixHex(a, b, share)).toMatch(/^#[0-9a-f]{6}$/);
      }),
      { numRuns: 60, seed: 6 },
    );
  });
});

describe('names of colours', () => {
  it('are found however they are written, and renamed wherever they stand', () => {
    const build = built((b) => {
      const [tier] = b.tiers;
      tier!.coat.tint = 'Rose';
      tier!.coat.crumbTint = 'rose';
      tier!.gaps[1]!.tint = ' rose ';
      tier!.fondant = { way: 'draped', mm: 3, allowanceMm: 10, tint: 'rose' };
      b.piping = [{ ...b.piping[0]!, id: 'p', name: 'border', spreadId: null, tint: 'rose', massG: 20, pieces: 0, lineMm: 0, piped: null }]; // prettier-ignore
    });
    expect(colourOf(build.colours, 'ROSE ')!.hex).toBe('#f3c4cf');
    expect(colourOf(build.colours, '')).toBeNull();
    expect(colourOf(build.colours, 'mauve')).toBeNull();
    renameColour(build, 'rose', 'petal');
    expect(tintsIn(build)).toEqual(['petal']);
    expect(build.colours.map(({ name }) => name)).toEqual(['deep blue', 'petal']);
    setColour(build, colour('Petal', '#ffd0d8', 2));
    expect(build.colours).toHaveLength(2);
    expect(build.colours[1]).toEqual(colour('petal', '#ffd0d8', 2));
  });
  it('that nothing has any more go, but those that a spot was tried for; never more than a cake may have', () => {
    const build = built((b) => (b.tiers[0]!.coat.tint = 'rose'));
    build.colours.push(colour('tried', '#123456', 3));
    setColour(build, colour('moss', '#5d8f55'));
    expect(build.colours.map(({ name }) => name)).toEqual(['rose', 'tried', 'moss']);
    for (let i = 0; i < 40; i++) setColour(build, colour(`c${i}`, '#123456', 1));
    expect(build.colours).toHaveLength(limits.colours.max);
    expect(fromSpot(spotOf(7))).toBeCloseTo(7, 12);
    expect(spotOf(4)).toBeCloseTo(0.4, 12);
  });
  it('of an older cake get a look, each once', () => {
    const old = { tiers: [{ coat: { tint: 'pale blue', bands: [{ tint: 'Navy' }, { tint: 'navy' }] }, fondant: { tint: 'zzz' } }], piping: [{ tint: 'gold' }] }; // prettier-ignore
    const { colours } = buildFrom13(old) as { colours: Colour[] };
    expect(colours.map(({ name }) => name)).toEqual(['pale blue', 'Navy', 'zzz', 'gold']);
    const [pale, navy] = colours;
    expect(depthOf(pale!.hex)).toBeLessThan(depthOf(navy!.hex));
    for (const { hex } of colours) expect(hex).toMatch(/^#[0-9a-f]{6}$/);
  });
});
