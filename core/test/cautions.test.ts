import { describe, expect, it } from 'vitest';
import {
  metric,
  newBuild,
  newTier,
  planBuild,
  say,
  sortCautions,
  type Build,
  type Caution,
  type Pantry,
  newInclusion,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';

const cautionsOf = (change: (build: Build) => void, rows: Pantry = pantry): Caution[] => {
  const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
  change(build);
  return planBuild(build, rows).cautions;
};
const of = (id: string, change: (build: Build) => void, rows?: Pantry): Caution => {
  const all = cautionsOf(change, rows);
  const found = all.find((c) => c.id === id);
  if (!found) throw new Error(`no ${id} among ${all.map((c) => c.id).join(', ')}`);
  return found;
};
const words = (c: Caution): string => `${say(c.title, metric)} ${say(c.todo, metric)}`;

describe('cautions of the bake', () => {
  it('tell of an oven that never bakes it through', () => {
    const cool = of('tier-1/cool oven', (b) => (b.tiers[0]!.ovenC = 90));
    expect(cool.severity).toBe('stop');
    expect(words(cool)).toContain('90 °C');
  });
  it('tell of ice that does not melt, and of a cold batter', () => {
    const berries = (gPerKg: number, tempC: number) => (b: Build) => {
      b.tiers[0]!.inclusions = [
        {
          ...newInclusion('pieces'),
          name: 'berries',
          foodId: null,
          gPerKg,
          densityGPerMl: 0.95,
          allergens: [],
          waterShare: 0.85,
          tempC,
        },
      ];
    };
    expect(words(of('tier-1/ice', berries(900, -18)))).toContain('Thaw the pieces');
    const names = pantry.recipes
      .find((r) => r.id === 'recipe-butter')!
      .ingredients.map((i) => ({ name: i.name, tempC: 5 }));
    const cold = of('tier-1/cold batter', (b) => (b.tiers[0]!.temps = names));
    expect(words(cold)).toMatch(/goes in at 5 °C/);
  });
  it('tell of a cake too low for its layers, with how much', () => {
    const low = of('tier-1/baked low/1', (b) => {
      b.tiers[0]!.asBaked = [
        { edgeMm: 52, acrossMm: null },
        { edgeMm: 47, acrossMm: null },
      ];
    });
    expect(words(low)).toContain('4.5 mm too low');
    expect(low.severity).toBe('stop');
  });
  it('tell of crust that makes the tin too small', () => {
    const small = of('tier-1/tin too small', (b) => (b.tiers[0]!.trim.sideMm = 5));
    expect(words(small)).toContain('with 5 mm of crust off its side');
    expect(
      cautionsOf((b) => {
        b.tiers[0]!.trim.sideMm = 5;
        b.tiers[0]!.tinId = 'round-23';
      }).map((c) => c.id),
    ).not.toContain('tier-1/tin too small');
  });
  it('tell of more poured than the bowl held, and of weights that were swapped', () => {
    const bowl = (fullG: number, emptyG: number, pouredG: (number | null)[]) => (b: Build) =>
      (b.tiers[0]!.bowl = { fullG, emptyG, pouredG });
    expect(of('tier-1/poured more', bowl(2000, 800, [900, 900])).severity).toBe('stop');
    expect(of('tier-1/bowl order', bowl(500, 800, [])).severity).toBe('stop');
    expect(words(of('tier-1/bowl short', bowl(1500, 800, [])))).toContain('short of what the tins');
    const ids = cautionsOf(bowl(3000, 800, [])).map((c) => c.id);
    expect(ids.some((id) => id.includes('bowl'))).toBe(false);
  });
  it('tell that a cake from a bowl is not straight, and tins that are not owned', () => {
    const ball = (b: Build): void => {
      b.tiers[0] = newTier('tier-1', { kind: 'round', diameterMm: 150 }, 'ball-16', 1, 40);
      b.tiers[0].slicesPerCake = 1;
    };
    expect(of('tier-1/round on top', ball).severity).toBe('note');
    expect(of('tier-1/not owned', (b) => (b.tiers[0]!.tinId = 'petal-25')).severity).toBe('mind');
  });
  it('tell of slices thinner than the sponge stands, by how much', () => {
    const thin = of('tier-1/thin/1', (b) => (b.tiers[0]!.layers[1]!.heightMm = 8));
    expect(words(thin)).toContain('tears below 12 mm');
    expect(words(thin)).toContain('Make it 4 mm thicker');
  });
});

describe('cautions of the stack', () => {
  it('name the dam or the setback that keeps a filling in', () => {
    const creep = of('tier-1/squeeze/0', (b) => {
      for (const gap of b.tiers[0]!.gaps) gap.spreadId = 'curd';
    });
    expect(words(creep)).toMatch(/creeps out under .* settle to/);
    expect(words(creep)).toMatch(/Pipe a dam \d+ mm wide .* or keep it \d+ mm short/);
    expect(creep.todo.values!.back!.value).toBeGreaterThan(0);
  });
  it('group fillings that want the same', () => {
    const all = cautionsOf((b) => {
      for (const gap of b.tiers[0]!.gaps) gap.spreadId = 'compote';
    }).filter((c) => c.id.includes('/squeeze/'));
    expect(all.length).toBeLessThanOrEqual(3);
    expect(words(all[0]!)).toMatch(/layer/);
  });
  it('stand worst first, then in the order of the work', () => {
    const all = cautionsOf((b) => {
      b.brief.servings = 400;
      b.tiers[0]!.ovenC = 90;
      b.tiers[0]!.soak = 'generous';
      b.tiers[0]!.spongeId = 'mud';
    });
    const order = { stop: 0, mind: 1, note: 2 };
    const severities = all.map((c) => order[c.severity]);
    expect(severities).toEqual([...severities].sort((a, b) => a - b));
    expect(sortCautions([...all].reverse()).map((c) => c.severity)).toEqual(
      all.map((c) => c.severity),
    );
    expect(new Set(all.map((c) => c.id)).size).toBe(all.length);
  });
  it('of a missing row say which it is, and leave the rest', () => {
    const rows = structuredClone(pantry);
    rows.others = [];
    const missing = of(
      'missing/stack/tier-1/layer/0/others/crepe',
      (b) => (b.tiers[0]!.layers[0]!.otherId = 'crepe'),
      rows,
    );
    expect(missing.severity).toBe('stop');
    const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
    build.tiers[0]!.layers[0]!.otherId = 'crepe';
    const plan = planBuild(build, rows);
    expect(plan.tiers[0]!.bake.ok).toBe(true);
    expect(plan.tiers[0]!.layersG).toBeNull();
    expect(plan.section.parts.length).toBeGreaterThan(4);
  });
});
