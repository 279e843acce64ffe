import type { Build } from '../document/types.ts';
import { type Corrections, noCorrections } from '../hand/corrections.ts';
import type { PlannedPiping } from '../finish/piping.ts';
import type { Food, Kitchen, Recipe, Spread } from '../pantry/types.ts';
import { type FigurePage, FigureBook, from, given, type Input } from '../working/figures.ts';
import { planBatch, shareOut, type Batch, type HoldsOf } from './batches.ts';
import { enoughG, scatterOfKind, sumSpread, type ChancePart } from './chance.ts';
import type { TakeStock } from '../stock/bowls.ts';
import { colourOf } from '../colour/colour.ts';
import { isChocolate, tintNote, type TintNote } from '../colour/tint-note.ts';
import {
  gatherUses,
  sumG,
  type BowlKey,
  type BowlUse,
  type Drawn,
  type LossKind,
  type TierNeeds,
  type UseKind,
} from './uses.ts';
import { word } from '../units/value-words.ts';

export interface BowlLoss {
  kind: LossKind;
  label: string;
  massG: number;
}

/**
 * One bowl of filling or frosting: what it is for, what is lost, and how much to make. Masses in g.
 * Made = used + lost + left.
 */
export interface Bowl extends BowlKey {
  id: string;
  name: string;
  uses: BowlUse[];
  losses: BowlLoss[];
  usedG: number;
  lostG: number;
  /** Used and lost, as planned. */
  needG: number;
  /** Enough but for the accepted share of cakes. */
  safeG: number;
  makeG: number;
  leftG: number;
  batchId: string;
  tinted: TintNote | null;
}

const kindNames: Record<UseKind, string> = {
  dab: 'dab',
  dam: 'dams',
  gap: 'fillings',
  crumb: 'crumb coat',
  coat: 'coat',
  pour: 'veil',
  tray: 'tray',
  drip: 'drips',
  flood: 'top',
  drizzle: 'drizzle',
  piping: 'piping',
  glue: 'between carved pieces',
  seat: 'seats of pieces on the side',
  inlay: 'inlays',
  reserve: 'patching',
};

const nameOf = (spread: Spread, { tint, apart }: BowlKey): string =>
  [
    spread.name,
    ...(tint.trim() ? [tint.trim()] : []),
    ...(apart ? [`for the ${kindNames[apart]}`] : []),
  ].join(', ');

function lossesOf(drawn: Drawn, kitchen: Kitchen, moved: number, vessels: string): BowlLoss[] {
  const crumbG = sumG(drawn.uses.filter((u) => u.kind === 'crumb'));
  const { bags } = drawn;
  const losses: BowlLoss[] = [];
  const lose = (kind: LossKind, label: string, massG: number): void => {
    if (massG > 0) losses.push({ kind, label, massG: massG * moved });
  };
  lose('scrapings', 'scraped off with crumbs in it', crumbG * kitchen.scrapingsShare);
  const vessel = drawn.uses.some((u) => u.kind === 'drip') ? vessels : word('bag');
  lose(
    'bags',
    bags === 1 ? `stays in the ${vessel}` : `stays in ${bags} ${vessel}s`,
    bags * kitchen.bagResidueG,
  );
  lose(
    'tools',
    'stays in bowl and on tools',
    (sumG(drawn.uses) + sumG(losses)) * kitchen.toolsShare,
  );
  return losses;
}

/** Uses and losses of a bowl as uncertain amounts. */
export const chancePartsOf = (bowl: Pick<Bowl, 'uses' | 'losses'>): ChancePart[] => [
  ...bowl.uses.map((use) => ({
    medianG: use.massG,
    ...scatterOfKind[use.kind],
    ...(use.hand ? { cv: use.hand.cv } : {}),
  })),
  ...bowl.losses.map((loss) => ({ medianG: loss.massG, ...scatterOfKind[loss.kind] })),
];

/**
 * Every bowl of the build and the batches they are made in (docs/model.md#bowls): what each bowl is
 * shared out to, what is lost, how much is enough at the accepted chance of running short; bowls of
 * one recipe made as one batch and divided, unless they are mixed apart.
 */
export function planBowls(
  build: Build,
  tiers: readonly TierNeeds[],
  piping: readonly PlannedPiping[],
  spreadOf: (id: string) => Spread,
  recipeOf: (id: string) => Recipe,
  recipes: readonly Recipe[],
  kitchen: Kitchen,
  book: FigureBook,
  holdsOf: HoldsOf,
  takeStock: TakeStock,
  foods: readonly Food[],
  corrections: Corrections = noCorrections,
): { bowls: Bowl[]; batches: Batch[] } {
  // what drips are run from: a bag in one cake is no bottle in its words
  const tools = new Set(build.tiers.flatMap((tier) => (tier.drip ? [tier.drip.tool] : [])));
  const vessels = tools.has('bottle') ? word('bottle') : word('bag');
  const open = gatherUses(build, tiers, piping, spreadOf, kitchen, corrections).map((drawn) => {
    const losses = lossesOf(drawn, kitchen, corrections.loss?.factor ?? 1, vessels);
    const usedG = sumG(drawn.uses);
    const lostG = sumG(losses);
    const needG = usedG + lostG;
    const spread = sumSpread(chancePartsOf({ uses: drawn.uses, losses }));
    const isApart = drawn.apart !== null || build.mixedApart.includes(drawn.spreadId);
    return {
      drawn,
      losses,
      usedG,
      lostG,
      needG,
      id: drawn.id,
      // never less than what is planned, however often one is willing to run short
      safeG: Math.max(needG, enoughG(spread, build.shortShare)),
      batchId: isApart ? drawn.id : drawn.spreadId,
    };
  });
  const byBatch = new Map<string, typeof open>();
  for (const bowl of open) byBatch.set(bowl.batchId, [...(byBatch.get(bowl.batchId) ?? []), bowl]);
  const batches = [...byBatch].map(([id, members]) => {
    const spread = spreadOf(members[0]!.drawn.spreadId);
    return planBatch(
      id,
      members,
      spread,
      recipeOf(spread.recipeId),
      recipes,
      kitchen,
      build.batchBy,
      holdsOf,
      takeStock,
    );
  });
  const makes = new Map(
    batches.flatMap(({ id, makeG }) => {
      const members = byBatch.get(id)!;
      const shares = shareOut(
        members.map((bowl) => bowl.safeG),
        makeG,
      );
      return members.map((bowl, i): [string, number] => [bowl.id, shares[i]!]);
    }),
  );
  const bowls = open.map(({ drawn, batchId, ...rest }): Bowl => {
    const spread = spreadOf(drawn.spreadId);
    const makeG = makes.get(drawn.id)!;
    return {
      id: drawn.id,
      spreadId: drawn.spreadId,
      tint: drawn.tint,
      apart: drawn.apart,
      name: nameOf(spread, drawn),
      uses: drawn.uses,
      losses: rest.losses,
      usedG: rest.usedG,
      lostG: rest.lostG,
      needG: rest.needG,
      safeG: rest.safeG,
      makeG,
      leftG: Math.max(0, makeG - rest.needG),
      batchId,
      tinted: drawn.tint.trim()
        ? tintNote(
            colourOf(build.colours, drawn.tint),
            makeG,
            isChocolate(recipeOf(spread.recipeId), foods),
            foods,
          )
        : null,
    };
  });
  book.later((page) => {
    for (const bowl of bowls)
      enter(
        page,
        build,
        bowl,
        batches.find((each) => each.id === bowl.batchId)!,
      );
  });
  return { bowls, batches };
}

function enter(page: FigurePage, build: Build, bowl: Bowl, batch: Batch): void {
  const inputs: Input[] = [
    ...bowl.uses.map((u) =>
      u.figure ? from(u.figure, u.label, u.massG, 'small') : given(u.label, u.massG, 'small'),
    ),
    ...bowl.uses.flatMap((u) =>
      u.hand
        ? [
            given(
              `your hand in it (${u.label}), from ${u.hand.count} records: times`,
              u.hand.factor,
              'factor',
            ),
          ]
        : [],
    ),
    ...bowl.losses.map((l) => given(l.label, l.massG, 'small')),
    given('used and lost, as planned', bowl.needG, 'bowl'),
    given('accepted share of cakes in which it runs short', build.shortShare, 'share'),
    given('enough but for those', bowl.safeG, 'bowl'),
  ];
  if (batch.largestMixG !== null)
    inputs.push(
      given(
        batch.limit === 'pan' ? 'most your pan takes' : 'most one mixing gives in your mixer',
        batch.largestMixG,
        'bowl',
      ),
    );
  if (batch.stock)
    inputs.push(given(`put away before: ${batch.stock.name}`, batch.stock.massG, 'bowl'));
  inputs.push(given('mixings', batch.mixes, 'count'));
  page.add(
    `bowl/${bowl.id}/make`,
    `${bowl.name} to make`,
    bowl.makeG,
    'bowl',
    `Every use of this bowl and everything that is lost, added up; made enough for hands that spread thicker than planned, so that it runs short as seldom as you accept (coats vary by 18 %, piping by 20 %, what is weighed by 4 %, at first); shared over whole mixings${build.batchBy === 'grams' ? ', each rounded up to 5 g' : ` in ${build.batchBy}`}.`,
    inputs,
  );
}
