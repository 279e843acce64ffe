import type { Build } from '../document/types.ts';
import type { Pantry } from '../pantry/types.ts';

/** What a tier tastes of, by the names of the pantry's rows, each once. */
export interface TierFlavours {
  tierId: string;
  name: string;
  /** Sponges and other layers, from the foot up. */
  layers: string[];
  fillings: string[];
  /** What it is coated with, and what is laid or poured over that. */
  outside: string[];
}

const each = (names: (string | undefined)[]): string[] => [
  ...new Set(names.filter((name) => name !== undefined)),
];

/** The flavours of a cake, tier by tier from the foot up; a row that the pantry does not have is left out. */
export const flavoursOf = (
  build: Pick<Build, 'tiers'>,
  pantry: Pick<Pantry, 'sponges' | 'spreads' | 'others' | 'ganaches'>,
): TierFlavours[] => {
  const named = (rows: readonly { id: string; name: string }[], id: string | null | undefined) =>
    rows.find((row) => row.id === id)?.name;
  return build.tiers.map((tier) => ({
    tierId: tier.id,
    name: tier.name,
    layers: each(
      tier.layers.map(({ otherId }) =>
        otherId === null ? named(pantry.sponges, tier.spongeId) : named(pantry.others, otherId),
      ),
    ),
    fillings: each([
      ...tier.gaps.map(({ spreadId }) => named(pantry.spreads, spreadId)),
      named(pantry.spreads, tier.centre?.spreadId),
    ]),
    outside: each([
      named(pantry.spreads, tier.coat.spreadId),
      named(pantry.spreads, tier.coat.topSpreadId),
      tier.fondant ? 'rolled fondant' : undefined,
      named(pantry.ganaches, tier.drip?.ganacheId),
      named(pantry.ganaches, tier.pour?.ganacheId),
    ]),
  }));
};
