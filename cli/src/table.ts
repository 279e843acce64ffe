import {
  findRow,
  heldBy,
  labelText,
  say,
  showText,
  type Build,
  type Kind,
  type Pantry,
  type Plan,
  type UnitSystem,
} from '@pyrgotect/core';

/** The plan as lines of text: what a decorator reads off before starting. */
export function planTable(build: Build, plan: Plan, pantry: Pantry, system: UnitSystem): string {
  const lines: string[] = [];
  const row = (label: string, value: number | null, kind: Kind): void => {
    lines.push(
      `  ${label.padEnd(44)} ${(value === null ? '–' : showText(value, kind, system)).padStart(16)}`,
    );
  };
  const { tally } = plan;
  lines.push(build.name, '');
  row('finished height', tally.heightMm, 'size');
  row('finished width', tally.widthMm, 'size');
  row('weight on the board', tally.massG, 'weight');
  row(`servings (${build.brief.servings} wanted)`, tally.servings, 'count');
  row('filling and frosting to make', tally.frostingG, 'bowl');
  row('hands-on', tally.handsOnMin, 'minutes');

  build.tiers.forEach((tier, t) => {
    const planned = plan.tiers[t]!;
    lines.push('', `${tier.name}: ${tier.layers.length} layers, ${tier.gaps.length} fillings`);
    row('finished height of the tier', planned.stack.finishedMm, 'span');
    planned.loads?.forEach((load, i) => {
      if (!load.holds) row(`filling ${i + 1} settles to`, load.settledMm, 'thickness');
    });
    for (const other of planned.others.ok ? planned.others.value : [])
      row(`layer ${other.index + 1}: ${other.count} × ${other.row.name}`, other.batterG, 'bowl');
    const syrupMl = planned.soak.reduce((sum, each) => sum + each.ml, 0);
    if (syrupMl > 0) row('syrup to soak with', syrupMl, 'volume');
    if (planned.bake.ok) {
      const tin = findRow(pantry, 'tins', tier.tinId);
      for (const cake of planned.bake.value.cakes) {
        row(`${tin.name}, cake ${cake.index + 1}: batter`, cake.batterG, 'bowl');
        if (cake.inclusionG > 0) row('  pieces folded in', cake.inclusionG, 'bowl');
        for (const cut of cake.cuts) row(`  knife, ${cut.kind}`, cut.atMm, 'thickness');
        row('  offcuts', cake.domeG + cake.trimG, 'bowl');
        if (cake.window) {
          row('  first look after', cake.window.fromMin, 'minutes');
          row('  likely done after', cake.window.minutes, 'minutes');
        }
      }
    } else lines.push(`  ${planned.bake.problem}`);
  });

  plan.oven?.loads.forEach((load, i) => {
    lines.push('', `Oven load ${i + 1}, ${showText(load.ovenC, 'temperature', system)}`);
    for (const tin of load.shelves.flat()) {
      const name = build.tiers.find((tier) => tier.id === tin.tierId)?.name ?? '';
      row(`  ${name}, cake ${tin.cake + 1}`, tin.grams, 'bowl');
    }
  });

  if (plan.bowls.ok)
    for (const bowl of plan.bowls.value) {
      const batch = plan.batches.find((each) => each.id === bowl.batchId)!;
      const shared = batch.bowlIds.length > 1 ? ', from one batch' : '';
      lines.push('', `${bowl.name}: ${batch.mixes} mixing${batch.mixes === 1 ? '' : 's'}${shared}`);
      for (const use of bowl.uses) row(`  ${use.label}`, use.massG, 'small');
      for (const loss of bowl.losses) row(`  lost: ${loss.label}`, loss.massG, 'small');
      row('  make', bowl.makeG, 'bowl');
      row('  likely left over', bowl.leftG, 'small');
    }
  else lines.push('', plan.bowls.problem);

  if (plan.ingredients.ok) {
    lines.push('', 'Ingredients');
    for (const i of plan.ingredients.value)
      row(`  ${i.name}`, i.massG, i.massG < 20 ? 'small' : 'bowl');
  }
  lines.push('', labelText(heldBy(plan)));
  for (const caution of plan.cautions)
    lines.push(
      '',
      `${caution.severity}: ${say(caution.title, system)}`,
      `  ${say(caution.todo, system)}`,
    );
  return lines.join('\n');
}
