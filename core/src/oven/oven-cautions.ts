import type { Build } from '../document/types.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';
import type { OvenPlan } from './loads.ts';

/** Warns of tins that do not fit the oven, and of batter that waits too long for its turn. */
export function warnOfOven(build: Build, oven: OvenPlan, cautions: Caution[]): void {
  const nameOf = (tierId: string): string =>
    build.tiers.length > 1
      ? ` of ${build.tiers.find((tier) => tier.id === tierId)?.name ?? 'this tier'}`
      : '';
  for (const { tierId, tin } of oven.tooLarge)
    cautions.push({
      id: `${tierId}/oven`,
      severity: 'stop',
      stage: 'bake',
      part: `${tierId}/cake`,
      title: phrase(`The ${tin.name} does not fit your oven’s shelf.`),
      todo: phrase('Take smaller tins, or correct the shelf’s size in the pantry.'),
    });
  const again = oven.loads.flatMap((load, i) =>
    load.mixAgain.map((tierId) => ({ tierId, load, number: i + 1 })),
  );
  for (const { tierId, load, number } of again)
    cautions.push({
      id: `${tierId}/waits/${number}`,
      severity: 'mind',
      stage: 'bake',
      part: `${tierId}/cake`,
      title: phrase(
        `Oven load ${number}: the batter${nameOf(tierId)} would stand for {wait}; it can for {allowed}.`,
        { wait: [load.waitMin, 'minutes'], allowed: [load.waitAllowedMin, 'minutes'] },
      ),
      todo: phrase('Mix this load’s batter when the load before it comes out.'),
    });
}
