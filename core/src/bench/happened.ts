import type { Build, Tier } from '../document/types.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';
import { isOfCakes } from '../workflow/step-keys.ts';
import { Known } from '../working/known.ts';

/* What was measured at the bench takes the place of what was planned. */

/** The last height noted at each of some steps, with what was planned there. */
function heightsAt(
  build: Build,
  isOne: (stepKey: string) => boolean,
): { value: number; planned: number }[] {
  const last = new Map<string, { value: number; planned: number }>();
  for (const { stepKey, kind, value, planned } of build.bench.notes)
    if (kind === 'height' && value !== null && value > 0 && planned && planned.value > 0)
      if (isOne(stepKey)) last.set(stepKey, { value, planned: planned.value });
  return [...last.values()];
}

const sum = (heights: readonly number[]): number => heights.reduce((a, b) => a + b, 0);

/**
 * The tier as it stands: cakes that came out lower than needed give lower layers, all alike; a stack
 * that was measured stands as high as it was measured. Half the planned height is the least that is
 * believed, twice the most: beyond that it is a slip.
 */
function tierAsHappened(build: Build, tier: Tier): { tier: Tier; byMm: number } {
  const believed = (one: { value: number; planned: number }): boolean =>
    one.value >= one.planned / 2 && one.value <= one.planned * 2;
  const baked = heightsAt(build, (key) => isOfCakes(key, tier, 'cool')).filter(believed);
  const [stacked] = heightsAt(build, (key) => key === `${tier.id}/settle`).filter(believed);
  const own = tier.layers.filter((layer) => layer.otherId === null);
  const plannedMm = sum(own.map((layer) => layer.heightMm));
  let share = 1;
  // the lowest of all loads is what the layers have to fit
  for (const { value, planned } of baked) share = Math.min(share, value / planned);
  if (stacked && plannedMm > 0) {
    // what was planned for the stack already followed from the cakes as baked
    const layersMm = plannedMm * share + (stacked.value - stacked.planned);
    share = Math.max(0.3, layersMm / plannedMm);
  }
  if (Math.abs(share - 1) * plannedMm < 0.5) return { tier, byMm: 0 };
  return {
    tier: {
      ...tier,
      layers: tier.layers.map((layer) =>
        layer.otherId === null ? { ...layer, heightMm: layer.heightMm * share } : layer,
      ),
    },
    byMm: plannedMm * (share - 1),
  };
}

/** The build as it really stands, by the heights that were noted at the bench. */
export function asHappened(build: Build): { build: Build; cautions: Caution[] } {
  const heights = build.bench.notes.filter((note) => note.kind === 'height');
  if (heights.length === 0) return { build, cautions: none };
  const measured = heights
    .map(({ stepKey, value, planned }) => `${stepKey}=${value} of ${planned?.value}`)
    .join();
  const { tiers, cautions } = known.of(build.tiers, [measured], () => {
    const happened = tiersAsHappened(build);
    return { tiers: happened.build.tiers, cautions: happened.cautions };
  });
  return tiers === build.tiers ? { build, cautions } : { build: { ...build, tiers }, cautions };
}
const none: Caution[] = [];
const known = new Known<Tier[], { tiers: Tier[]; cautions: Caution[] }>();

function tiersAsHappened(build: Build): { build: Build; cautions: Caution[] } {
  const tiers = build.tiers.map((tier) => tierAsHappened(build, tier));
  const moved = tiers.filter(({ byMm }) => byMm !== 0);
  if (moved.length === 0) return { build, cautions: [] };
  return {
    build: { ...build, tiers: tiers.map(({ tier }) => tier) },
    cautions: moved.map(({ tier, byMm }): Caution => ({
      id: `happened:${tier.id}`,
      severity: 'note',
      stage: 'stack',
      part: `${tier.id}/cake`,
      title: phrase(`${tier.name} stands {by} ${byMm < 0 ? 'lower' : 'higher'} than planned`, {
        by: [Math.abs(byMm), 'thickness'],
      }),
      todo: phrase(
        'As it was measured at the bench. Coat, drips, dowels and what is left to do follow from that; take the note out where it is wrong.',
      ),
    })),
  };
}
