import { describe, expect, it } from 'vitest';
import {
  mergeRows,
  newBuild,
  newLayer,
  planBuild,
  readBuildFile,
  rowsUsed,
  spreadIdsOf,
  startingPantry,
  writeBuildFile,
  type Build,
  type Pantry,
} from '../src/index.ts';

/** A build that names rows in every way it can. */
function naming(): Build {
  const build = newBuild('b', 'Naming', '2027-05-03T09:30:00Z');
  const tier = build.tiers[0]!;
  tier.layers[0] = {
    ...newLayer(30),
    otherId: 'crepe',
    between: { spreadId: 'cream', heightMm: 2 },
  };
  tier.gaps[1]!.spreadId = 'curd';
  tier.gaps[1]!.drizzle = { spreadId: 'caramel', gPerCm2: 0.2, tint: '' };
  tier.centre = {
    outline: { kind: 'round', diameterMm: 60 },
    fromLayer: 1,
    toLayer: 2,
    spreadId: 'compote',
    pieces: null,
  };
  return build;
}
const changed = (change: (pantry: Pantry) => void): Pantry => {
  const pantry = startingPantry();
  change(pantry);
  return pantry;
};

describe('rows that travel with a build', () => {
  it('are all that it names: fillings, sauces, piles, centre, other layers, their recipes', () => {
    const rows = rowsUsed(naming(), startingPantry());
    expect(rows.spreads.map((s) => s.id).sort()).toEqual(
      ['buttercream', 'caramel', 'compote', 'cream', 'curd'].sort(),
    );
    expect(rows.others.map((o) => o.id)).toEqual(['crepe']);
    const recipes = new Set(rows.recipes.map((r) => r.id));
    for (const row of [...rows.spreads, ...rows.sponges])
      expect(recipes.has(row.recipeId)).toBe(true);
    expect(new Set(spreadIdsOf(naming().tiers[0]!)).size).toBe(5);
  });
  it('plan alone: the file holds what its plan needs', () => {
    const read = readBuildFile(writeBuildFile(naming(), startingPantry()));
    if (!read.ok) throw new Error(read.problems[0]!.message);
    const alone: Pantry = { ...startingPantry(), ...read.rows };
    const plan = planBuild(read.build, alone);
    expect(plan.bowls.ok && plan.steps.ok && plan.tally.massG !== null).toBe(true);
    expect(plan.tally).toEqual(planBuild(naming(), startingPantry()).tally);
  });
  it('that differ from the pantry’s come under names of their own, wherever they are named', () => {
    const theirs = changed((p) => {
      for (const id of ['cream', 'caramel', 'compote', 'curd'])
        p.spreads.find((s) => s.id === id)!.densityGPerMl += 0.01;
      p.others.find((o) => o.id === 'crepe')!.thicknessMm = 1.5;
    });
    const read = readBuildFile(writeBuildFile(naming(), theirs));
    if (!read.ok) throw new Error(read.problems[0]!.message);
    const own = startingPantry();
    const { build, added } = mergeRows(read.build, read.rows, own);
    const tier = build.tiers[0]!;
    expect(added.spreads).toHaveLength(4);
    expect(added.others[0]!.name).toContain('(from file)');
    expect(tier.layers[0]!.otherId).toBe(added.others[0]!.id);
    const ids = [
      tier.layers[0]!.between!.spreadId,
      tier.gaps[1]!.spreadId,
      tier.gaps[1]!.drizzle!.spreadId,
      tier.centre!.spreadId,
    ];
    expect(new Set(ids)).toEqual(new Set(added.spreads.map((s) => s.id)));
    // what is planned from the merged pantry is what was planned where it came from
    const merged: Pantry = {
      ...own,
      spreads: [...own.spreads, ...added.spreads],
      others: [...own.others, ...added.others],
    };
    expect(planBuild(build, merged).tally).toEqual(planBuild(naming(), theirs).tally);
  });
  it('that are the pantry’s own already add nothing', () => {
    const read = readBuildFile(writeBuildFile(naming(), startingPantry()));
    if (!read.ok) throw new Error(read.problems[0]!.message);
    const { added, build } = mergeRows(read.build, read.rows, startingPantry());
    expect(Object.values(added).flat()).toEqual([]);
    expect(build).toEqual(read.build);
  });
});
