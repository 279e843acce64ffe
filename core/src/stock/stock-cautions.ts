import type { Build, Tier } from '../document/types.ts';
import type { Pantry, Stock } from '../pantry/types.ts';
import { spongeLayers } from '../tins/sponge-layers.ts';
import { dayNumber } from '../units/days.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';
import { misfitOf } from './layers.ts';
import { goodUntil, leftFor } from './stock.ts';

type Words = Pick<Caution, 'severity' | 'title' | 'todo'>;

/** What was put away and does not reach, does not fit, or is no longer good on the day. */
export function warnOfStock(build: Build, pantry: Pantry, cautions: Caution[]): void {
  const { stock } = pantry;
  for (const tier of build.tiers) {
    if (tier.stockId === null) continue;
    const row = stock.find(({ id }) => id === tier.stockId);
    const warn = (id: string, words: Words): void =>
      void cautions.push({
        id: `${tier.id}/stock/${id}`,
        stage: 'bake',
        part: `${tier.id}/cake`,
        ...words,
      });
    if (!row) continue;
    if (!row.layer) {
      warn('no layers', {
        severity: 'stop',
        title: phrase(`${row.name} is no layers.`),
        todo: phrase('Choose layers, or bake it.'),
      });
      continue;
    }
    warnOfMisfit(tier, row, pantry, warn);
    const wanted = build.tiers
      .filter(({ stockId }) => stockId === row.id)
      .reduce((sum, one) => sum + spongeLayers(one).length, 0);
    const left = leftFor(row, build.id);
    if (wanted > left)
      warn('too few', {
        severity: 'stop',
        title: phrase(
          `${wanted} layers are wanted of ${row.name.toLowerCase()}, and ${left === 0 ? 'none is' : `${left} ${left === 1 ? 'is' : 'are'}`} left.`,
        ),
        todo: phrase('Bake this tier, or make it of fewer layers.'),
      });
    warnOfAge(build, row, pantry, (words) => warn('age', words));
  }
  for (const { spreadId, stockId } of build.fromStock) {
    const row = stock.find(({ id }) => id === stockId);
    const warn = (words: Words): void =>
      void cautions.push({ id: `stock/${stockId}`, stage: 'coat', part: null, ...words });
    if (!row) continue;
    if (row.layer || row.madeOfId !== spreadId)
      warn({
        severity: 'mind',
        title: phrase(`${row.name} is something else: the bowl is made anew.`),
        todo: phrase('Choose what it really is, or none.'),
      });
    else warnOfAge(build, row, pantry, warn);
  }
}

function warnOfMisfit(
  tier: Tier,
  row: Stock,
  { sponges }: Pantry,
  warn: (id: string, words: Words) => void,
): void {
  const misfit = misfitOf(tier, row);
  if (!misfit) return;
  const nameOf = (id: string): string => sponges.find((one) => one.id === id)?.name ?? id;
  if (misfit.otherSponge)
    warn('sponge', {
      severity: 'stop',
      title: phrase(
        `${row.name} is ${nameOf(row.madeOfId).toLowerCase()}; the tier is of ${nameOf(tier.spongeId).toLowerCase()}.`,
      ),
      todo: phrase('Make the tier of what lies there: what guests may not eat follows from it.'),
    });
  if (misfit.tooSmall)
    warn('small', {
      severity: 'stop',
      title: phrase(`${row.name} does not cover this tier.`),
      todo: phrase('Make the tier as small as its layers, or bake it.'),
    });
  if (misfit.thinnerMm > 0)
    warn('thin', {
      severity: 'mind',
      title: phrase('The layers put away are {by} thinner than they are planned.', {
        by: [misfit.thinnerMm, 'thickness'],
      }),
      todo: phrase('Make the layers {high} high, and the filling or their number follow.', {
        high: [row.layer!.heightMm, 'thickness'],
      }),
    });
}

function warnOfAge(build: Build, row: Stock, pantry: Pantry, warn: (words: Words) => void): void {
  const until = goodUntil(row, pantry);
  const on = build.brief.serveAt?.slice(0, 10);
  if (!on || until === null || on <= until) return;
  warn({
    severity: 'mind',
    title: phrase(`${row.name}, made {made}, is past what it usually keeps ({until}).`, {
      made: [dayNumber(row.madeOn), 'day'],
      until: [dayNumber(until), 'day'],
    }),
    todo: phrase('Make it anew; what still may be used, your local food code decides.'),
  });
}
