import type { Pantry, Tier, Tone } from '@pyrgotect/core';

/** What a part of a carved tier is of, by the name that the solids give it: "layer/0", "gap/1", "centre", "glue". */
export function toneOfPart(
  { gaps, layers, centre, spongeId }: Tier,
  pantry: Pantry,
  part: string,
): Tone {
  const [kind, n] = part.split('/');
  const spread = (id: string): Tone => pantry.spreads.find((s) => s.id === id)?.tone ?? 'cream';
  if (kind === 'glue') return 'cream';
  if (kind === 'gap') return spread(gaps[Number(n)]?.spreadId ?? '');
  if (kind === 'centre') return spread(centre?.spreadId ?? '');
  const other = layers[Number(n)]?.otherId;
  const row = other
    ? pantry.others.find((o) => o.id === other)
    : pantry.sponges.find((s) => s.id === spongeId);
  return row?.tone ?? 'butter';
}
