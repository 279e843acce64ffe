import type { Build } from '../document/types.ts';
import type { CarveNeed } from '../carve/needs.ts';
import type { CoatPlan, CoatShare } from '../coat/coat.ts';
import type { GapPlan } from '../fill/gaps.ts';
import type { PouredNeeds } from '../finish/poured-needs.ts';
import type { PlannedPiping } from '../finish/piping.ts';
import { coatKind, type Correction, type Corrections, noCorrections } from '../hand/corrections.ts';
import type { OtherPlan } from '../others/other-layers.ts';
import type { Kitchen, Spread } from '../pantry/types.ts';
import { fillKey, pileKey } from '../workflow/step-keys.ts';

export type UseKind =
  | 'dab'
  | 'dam'
  | 'gap'
  | 'crumb'
  | 'coat'
  | 'pour'
  | 'tray'
  | 'drip'
  | 'flood'
  | 'drizzle'
  | 'piping'
  | 'glue'
  | 'seat'
  | 'inlay'
  | 'reserve';
export type LossKind = 'scrapings' | 'bags' | 'tools';

/** One share of a bowl, in working order. Mass in g, volume in mL. */
export interface BowlUse {
  kind: UseKind;
  label: string;
  massG: number;
  ml: number;
  /** Part of the section it goes to. */
  part: string | null;
  figure: string | null;
  /** The step that takes it; null for what is kept for patching, and what several steps share. */
  step: string | null;
  /** One turn of the piping bag round it, mm; null where it is not piped round. */
  roundMm: number | null;
  /** By how much the hand corrects it, and the scatter that it then has; null where the hand says nothing. */
  hand: Correction | null;
}

/** What one tier takes from the bowls. */
export interface TierNeeds {
  tierId: string;
  tierName: string;
  /** Frosting of the dams, and what dabs the first layer to its board. */
  innerSpreadId: string;
  dabSpreadId: string;
  dabG: number;
  /** Once round its outline, mm. */
  roundMm: number;
  gaps: GapPlan[];
  coat: CoatPlan;
  others: OtherPlan[];
  centre: { spreadId: string; fillG: number } | null;
  /** Frosting that glues carved pieces, mL, and what fills reliefs. */
  carved: CarveNeed[];
  /** What is poured, dripped and drizzled, and a bottle or bag for each spread that needs one. */
  poured: PouredNeeds;
}

/** A bowl is of one frosting and one colour, and of one kind of use where that stands apart. */
export interface BowlKey {
  spreadId: string;
  tint: string;
  apart: UseKind | null;
}

/** What goes into one bowl, before losses. */
export interface Drawn extends BowlKey {
  id: string;
  uses: BowlUse[];
  bags: number;
}

/** A bowl's name in figures and steps: "meringue", "meringue~deep-blue". */
export function bowlId({ spreadId, tint, apart }: BowlKey): string {
  if (tint === '' && apart === null) return spreadId;
  return [
    spreadId,
    tint
      .trim()
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .replace(/^-|-$/g, ''),
    ...(apart ? [apart] : []),
  ]
    .join('~')
    .replace(/~$/, '');
}

/** How a build names a kind of use that stands apart. */
export const apartKey = (spreadId: string, tint: string, kind: UseKind): string =>
  `${bowlId({ spreadId, tint, apart: null })}~/${kind}`;

const shareLabel = ({ where, band, tint }: CoatShare, bands: number): string => {
  if (where === 'top') return 'coat on top';
  if (band === null) return bands === 0 ? 'coat on the side' : 'coat';
  return `band ${band + 1} from below${tint ? `, ${tint}` : ''}`;
};

/** What the hand says of a kind of use. */
function correctionOfUse(
  kind: UseKind,
  style: string,
  corrections: Corrections,
): Correction | null {
  if (kind === 'gap') return corrections.fill ?? null;
  if (kind === 'crumb') return corrections.crumb ?? null;
  const coat = kind === 'coat' ? coatKind(style) : null;
  return coat ? (corrections[coat] ?? null) : null;
}

/** Less than this is no use of a bowl, g. */
const leastG = 1e-4;

/** Shares of every bowl in the order they are used, tier by tier. */
export function gatherUses(
  build: Build,
  tiers: readonly TierNeeds[],
  piping: readonly PlannedPiping[],
  spreadOf: (id: string) => Spread,
  kitchen: Kitchen,
  corrections: Corrections = noCorrections,
): Drawn[] {
  const bowls = new Map<string, Drawn>();
  const bowl = (spreadId: string, tint: string, kind: UseKind): Drawn => {
    const apart =
      build.apart.length > 0 && build.apart.includes(apartKey(spreadId, tint, kind)) ? kind : null;
    const id = bowlId({ spreadId, tint, apart });
    let found = bowls.get(id);
    if (!found) bowls.set(id, (found = { id, spreadId, tint, apart, uses: [], bags: 0 }));
    return found;
  };
  const several = tiers.length > 1;
  const tierAt = new Map(build.tiers.map((tier) => [tier.id, tier]));
  for (const tier of tiers) {
    const use = (
      spreadId: string,
      tint: string,
      kind: UseKind,
      label: string,
      massG: number,
      part: string,
      roundMm: number | null,
      step: string | null,
      hasFigure = true,
    ): void => {
      if (massG < leastG) return;
      const hand = correctionOfUse(kind, tierAt.get(tier.tierId)?.coat.style ?? '', corrections);
      massG *= hand?.factor ?? 1;
      bowl(spreadId, tint, kind).uses.push({
        kind,
        label: several ? `${label}, ${tier.tierName}` : label,
        massG,
        ml: massG / spreadOf(spreadId).densityGPerMl,
        part: `${tier.tierId}/${part}`,
        figure: hasFigure ? `${tier.tierId}/${part}` : null,
        step,
        roundMm,
        hand,
      });
    };
    const { roundMm, innerSpreadId, coat } = tier;
    const own = tierAt.get(tier.tierId)!;
    const at = (step: string): string => `${tier.tierId}/${step}`;
    const spiral = roundMm / 2;
    use(
      tier.dabSpreadId,
      '',
      'dab',
      'dab under the first layer',
      tier.dabG,
      'dab',
      null,
      at('first'),
      false,
    );
    for (const gap of tier.gaps) {
      const layer = `layer ${gap.index + 1}`;
      const part = `gap/${gap.index}`;
      const step = fillKey(own, gap.index);
      use(innerSpreadId, '', 'dam', `dam on ${layer}`, gap.damG, `${part}/dam`, roundMm, step);
      use(
        gap.spreadId,
        own.gaps[gap.index]!.tint,
        'gap',
        `on ${layer}`,
        gap.fillingG,
        `${part}/filling`,
        spiral,
        step,
      );
      if (gap.drizzleSpreadId !== null)
        use(
          gap.drizzleSpreadId,
          own.gaps[gap.index]!.drizzle?.tint ?? '',
          'gap',
          `run over ${layer}`,
          gap.drizzleG,
          part,
          null,
          step,
          false,
        );
    }
    for (const pile of tier.others)
      if (pile.betweenSpreadId !== null)
        use(
          pile.betweenSpreadId,
          '',
          'gap',
          `between the ${pile.count} pieces of layer ${pile.index + 1}`,
          pile.betweenG,
          `layer/${pile.index}`,
          null,
          pileKey(own, pile.index),
          false,
        );
    if (tier.centre)
      use(
        tier.centre.spreadId,
        '',
        'gap',
        'hidden centre',
        tier.centre.fillG,
        'centre',
        null,
        at('centre-fill'),
      );
    if (tier.gaps.some((gap) => gap.damG > 0)) bowl(innerSpreadId, '', 'dam').bags += 1;
    for (const need of tier.carved)
      use(
        need.spreadId,
        need.tint,
        need.kind,
        need.label,
        need.ml * spreadOf(need.spreadId).densityGPerMl,
        need.part,
        null,
        need.step,
        false,
      );
    use(
      coat.crumbSpreadId,
      coat.crumbTint,
      'crumb',
      'crumb coat',
      coat.crumbG,
      'crumb',
      roundMm,
      at('crumb'),
    );
    const bands = coat.shares.filter((share) => share.band !== null).length;
    const single = coat.shares.every(
      (s) => s.spreadId === coat.shares[0]!.spreadId && s.tint === coat.shares[0]!.tint,
    );
    if (single && coat.shares[0])
      use(
        coat.shares[0].spreadId,
        coat.shares[0].tint,
        'coat',
        'coat',
        coat.coatG,
        'coat',
        roundMm,
        at('coat'),
      );
    else
      for (const share of coat.shares)
        use(
          share.spreadId,
          share.tint,
          'coat',
          shareLabel(share, bands),
          share.massG,
          'coat',
          roundMm,
          at('coat'),
          false,
        );
    for (const { spreadId, tint, kind, label, massG, part, step } of tier.poured.needs)
      use(spreadId, tint, kind, label, massG, part, null, step, false);
    for (const { spreadId, tint } of tier.poured.bags) bowl(spreadId, tint, 'drip').bags += 1;
  }
  for (const job of piping) {
    if (job.massG < leastG) continue;
    const spreadId = job.spread;
    const own = bowl(spreadId, job.tint, 'piping');
    const hand = corrections.piping ?? null;
    const massG = job.massG * (hand?.factor ?? 1);
    own.uses.push({
      kind: 'piping',
      label: job.name,
      massG,
      ml: massG / spreadOf(spreadId).densityGPerMl,
      part: null,
      figure: null,
      step: `piping/${job.id}`,
      roundMm: null,
      hand,
    });
    own.bags += Math.ceil(job.massG / kitchen.bagG);
  }
  for (const drawn of bowls.values()) {
    const coats = drawn.uses.filter((u) => u.kind === 'crumb' || u.kind === 'coat');
    const massG = sumG(coats) * build.reserveShare;
    if (massG > leastG)
      drawn.uses.push({
        kind: 'reserve',
        label: 'patching',
        massG,
        ml: massG / spreadOf(drawn.spreadId).densityGPerMl,
        part: null,
        figure: null,
        step: null,
        roundMm: null,
        hand: null,
      });
  }
  return [...bowls.values()].filter((drawn) => drawn.uses.length > 0);
}

export const sumG = (parts: readonly { massG: number }[]): number =>
  parts.reduce((total, part) => total + part.massG, 0);
