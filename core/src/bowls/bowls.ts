import type { Build } from '../build/types.ts';
import type { CoatPlan } from '../coat/coat.ts';
import type { GapPlan } from '../fill/gaps.ts';
import type { OtherPlan } from '../others/other-layers.ts';
import type { Kitchen, Recipe, Spread } from '../pantry/types.ts';
import { scaleRecipe, type ScaledRecipe } from '../recipes/scale.ts';
import { FigureBook, from, given, type Input } from '../working/figures.ts';

export type UseKind = 'dab' | 'dam' | 'gap' | 'crumb' | 'coat' | 'piping' | 'reserve';
export type LossKind = 'scrapings' | 'bags' | 'tools';

/** One share of a bowl, in working order. */
export interface BowlUse {
  kind: UseKind;
  label: string;
  massG: number;
  /** Part of the section it goes to. */
  part: string | null;
  figure: string | null;
}
export interface BowlLoss {
  kind: LossKind;
  label: string;
  massG: number;
}

/** One bowl of filling or frosting: what it is for, what is lost, and how much to make. Masses in g. */
export interface Bowl {
  spreadId: string;
  name: string;
  uses: BowlUse[];
  losses: BowlLoss[];
  usedG: number;
  lostG: number;
  needG: number;
  /** Most that one mixing gives in this mixer; null when it is made in a pan. */
  largestMixG: number | null;
  mixes: number;
  eachMixG: number;
  makeG: number;
  leftG: number;
  recipe: ScaledRecipe;
}

/** What one tier takes from the bowls. */
export interface TierNeeds {
  tierId: string;
  tierName: string;
  coatSpreadId: string;
  dabG: number;
  gaps: GapPlan[];
  coat: CoatPlan;
  others: OtherPlan[];
  centre: { spreadId: string; fillG: number } | null;
}

interface Drawn {
  uses: BowlUse[];
  bags: number;
}

/** Shares of every bowl in the order they are used, tier by tier. */
function gatherUses(
  build: Build,
  tiers: readonly TierNeeds[],
  kitchen: Kitchen,
): Map<string, Drawn> {
  const bowls = new Map<string, Drawn>();
  const bowl = (spreadId: string): Drawn => {
    let found = bowls.get(spreadId);
    if (!found) bowls.set(spreadId, (found = { uses: [], bags: 0 }));
    return found;
  };
  const several = tiers.length > 1;
  for (const tier of tiers) {
    const own = bowl(tier.coatSpreadId);
    const name = (label: string): string => (several ? `${label}, ${tier.tierName}` : label);
    const use = (
      to: Drawn,
      kind: UseKind,
      label: string,
      massG: number,
      part: string | null,
      figure: string | null = null,
    ): void => {
      if (massG > 0) to.uses.push({ kind, label: name(label), massG, part, figure });
    };
    use(own, 'dab', 'dab under the first layer', tier.dabG, `${tier.tierId}/dab`);
    for (const gap of tier.gaps) {
      const part = `${tier.tierId}/gap/${gap.index}`;
      use(own, 'dam', `dam on layer ${gap.index + 1}`, gap.damG, part, `${part}/dam`);
      use(
        bowl(gap.spreadId),
        'gap',
        `on layer ${gap.index + 1}`,
        gap.fillingG,
        part,
        `${part}/filling`,
      );
      if (gap.drizzleSpreadId !== null)
        use(
          bowl(gap.drizzleSpreadId),
          'gap',
          `run over layer ${gap.index + 1}`,
          gap.drizzleG,
          part,
        );
    }
    for (const pile of tier.others)
      if (pile.betweenSpreadId !== null)
        use(
          bowl(pile.betweenSpreadId),
          'gap',
          `between the ${pile.count} pieces of layer ${pile.index + 1}`,
          pile.betweenG,
          `${tier.tierId}/layer/${pile.index}`,
        );
    if (tier.centre)
      use(
        bowl(tier.centre.spreadId),
        'gap',
        'hidden centre',
        tier.centre.fillG,
        `${tier.tierId}/centre`,
        `${tier.tierId}/centre`,
      );
    if (tier.gaps.some((gap) => gap.damG > 0)) own.bags += 1;
    use(
      own,
      'crumb',
      'crumb coat',
      tier.coat.crumbG,
      `${tier.tierId}/crumb`,
      `${tier.tierId}/crumb`,
    );
    use(own, 'coat', 'coat', tier.coat.coatG, `${tier.tierId}/coat`, `${tier.tierId}/coat`);
  }
  const first = tiers[0];
  if (first && build.pipingG > 0) {
    const own = bowl(first.coatSpreadId);
    own.uses.push({
      kind: 'piping',
      label: 'piping',
      massG: build.pipingG,
      part: null,
      figure: null,
    });
    own.bags += Math.ceil(build.pipingG / kitchen.bagG);
  }
  for (const drawn of bowls.values()) {
    const coats = sum(drawn.uses.filter((u) => u.kind === 'crumb' || u.kind === 'coat'));
    if (coats > 0 && build.reserveShare > 0)
      drawn.uses.push({
        kind: 'reserve',
        label: 'kept back',
        massG: coats * build.reserveShare,
        part: null,
        figure: null,
      });
  }
  return bowls;
}

const sum = (parts: readonly { massG: number }[]): number =>
  parts.reduce((total, part) => total + part.massG, 0);

/** Smallest multiple of 5 g that is not less. */
const upToFive = (g: number): number => Math.ceil(g / 5 - 1e-9) * 5;

/**
 * Every bowl of the build: what it is shared out to, what is lost, and how much to make in whole
 * mixings of the mixer's bowl (model section 6). Made = used + lost + left.
 */
export function planBowls(
  build: Build,
  tiers: readonly TierNeeds[],
  spreadOf: (id: string) => Spread,
  recipeOf: (id: string) => Recipe,
  kitchen: Kitchen,
  book: FigureBook,
): Bowl[] {
  return [...gatherUses(build, tiers, kitchen)]
    .filter(([, drawn]) => drawn.uses.length > 0)
    .map(([spreadId, { uses, bags }]) => {
      const spread = spreadOf(spreadId);
      const usedG = sum(uses);
      const crumbG = sum(uses.filter((u) => u.kind === 'crumb'));
      const losses: BowlLoss[] = [];
      const lose = (kind: LossKind, label: string, massG: number): void => {
        if (massG > 0) losses.push({ kind, label, massG });
      };
      lose('scrapings', 'scraped off with crumbs in it', crumbG * kitchen.scrapingsShare);
      lose(
        'bags',
        bags === 1 ? 'stays in the bag' : `stays in ${bags} bags`,
        bags * kitchen.bagResidueG,
      );
      lose('tools', 'stays in bowl and on tools', (usedG + sum(losses)) * kitchen.toolsShare);
      const lostG = sum(losses);
      const needG = usedG + lostG;
      const largestMixG =
        spread.mixerShare === null
          ? null
          : kitchen.mixerMl * spread.mixerShare * spread.densityGPerMl;
      const mixes = largestMixG === null ? 1 : Math.max(1, Math.ceil(needG / largestMixG - 1e-9));
      const eachMixG = upToFive(needG / mixes);
      const makeG = eachMixG * mixes;
      enter(book, spread, { uses, losses, needG, mixes, makeG, largestMixG });
      return {
        spreadId,
        name: spread.name,
        uses,
        losses,
        usedG,
        lostG,
        needG,
        largestMixG,
        mixes,
        eachMixG,
        makeG,
        leftG: Math.max(0, makeG - needG),
        recipe: scaleRecipe(recipeOf(spread.recipeId), eachMixG),
      };
    });
}

function enter(
  book: FigureBook,
  spread: Spread,
  bowl: Pick<Bowl, 'uses' | 'losses' | 'needG' | 'mixes' | 'makeG' | 'largestMixG'>,
): void {
  const inputs: Input[] = [
    ...bowl.uses.map((u) =>
      u.figure ? from(u.figure, u.label, u.massG, 'small') : given(u.label, u.massG, 'small'),
    ),
    ...bowl.losses.map((l) => given(l.label, l.massG, 'small')),
  ];
  if (bowl.largestMixG !== null)
    inputs.push(given('most one mixing gives in your mixer', bowl.largestMixG, 'bowl'));
  inputs.push(given('mixings', bowl.mixes, 'count'));
  book.add(
    `bowl/${spread.id}/make`,
    `${spread.name} to make`,
    bowl.makeG,
    'bowl',
    'Every use of this bowl and everything that is lost, added up, shared over whole mixings, each rounded up to 5 g.',
    inputs,
  );
}
