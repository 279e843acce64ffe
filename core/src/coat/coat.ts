import { innerSpreadId } from '../document/edit.ts';
import type { Tier } from '../document/types.ts';
import type { Outline } from '../outline/outline.ts';
import type { Kitchen, Spread } from '../pantry/types.ts';
import { styleRows } from '../pantry/styles.ts';
import { FigureBook, from, given, read, type Input } from '../working/figures.ts';
import { coated, rimCutMl, roughnessMl, shellMl } from './shell.ts';
import { thicknessOf, type CoatThickness } from './thickness.ts';

/** One colour and frosting of the coat: a band of the side, or the top. */
export interface CoatShare {
  where: 'side' | 'top';
  /** Which band from the bottom up; null where the side is of one colour, and for the top. */
  band: number | null;
  spreadId: string;
  tint: string;
  ml: number;
  massG: number;
}

export interface CoatPlan extends CoatThickness {
  finished: Outline;
  crumbSpreadId: string;
  /** Colour of the crumb coat: the coat's own where it is all that is seen. */
  crumbTint: string;
  crumbMl: number;
  crumbG: number;
  /** Grooves that fillings kept short of the edge leave, filled with the crumb coat. */
  grooveMl: number;
  coatMl: number;
  coatG: number;
  /** The coat by frosting and colour, the bottom first. */
  shares: CoatShare[];
}

/** Side and top of a tier over those of one that stands straight on its widest outline. */
export interface FaceShares {
  side: number;
  top: number;
}
export const plainFaces: FaceShares = { side: 1, top: 1 };

/**
 * The crumb coat and the coat of one tier (docs/model.md#coat): the crumb coat as a shell on the
 * stack, thinned by its cover, with what uneven sides and open grooves swallow; the coat as a shell
 * on that, its side shared out by height to the bands of colour, its top apart. A rounded rim takes
 * its corner off the top.
 *
 * @param stackMm height of the stack under its coat; @param domeMl to fill round a dome left on top
 * @param grooveMl room that fillings leave at the edge; @param holeShut true where a tier stands over
 *   the hole of a ring: nobody coats its wall then
 */
export function planCoat(
  tier: Tier,
  stackMm: number,
  spreadOf: (id: string) => Spread,
  kitchen: Kitchen,
  domeMl: number,
  grooveMl: number,
  book: FigureBook,
  holeShut = false,
  faces: FaceShares = plainFaces,
): CoatPlan {
  const t = thicknessOf(tier);
  // a shut ring is coated like a round one, but for the top over its hole
  const shut = holeShut && tier.outline.kind === 'ring' ? tier.outline : null;
  const faced: Outline = shut ? { kind: 'round', diameterMm: shut.diameterMm } : tier.outline;
  const overHoleMl = (mm: number): number =>
    shut ? ((Math.PI / 4) * shut.holeMm ** 2 * mm) / 1000 : 0;
  const crumbed = coated(faced, t.crumbMm);
  const outside = coated(crumbed, t.sideMm);
  const finished: Outline =
    shut && outside.kind === 'round' ? { ...shut, diameterMm: outside.diameterMm } : outside;
  const hasCrumb = t.crumbMm > 0;
  const hasCoat = t.sideMm > 0 || t.topMm > 0;
  const covered = hasCrumb || hasCoat ? t.cover : 0;
  const roughMl = roughnessMl(faced, stackMm, kitchen.roughnessMm) * covered;
  const openMl = grooveMl * covered;
  const under = roughMl + openMl + domeMl;
  const crumbMl = hasCrumb
    ? (shellMl(faced, stackMm, t.crumbMm, 0) * faces.side +
        (shellMl(faced, 0, t.crumbMm, t.crumbMm) - overHoleMl(t.crumbMm)) * faces.top) *
        t.cover +
      under
    : 0;
  const high = stackMm + t.crumbMm;
  const sideMl =
    shellMl(crumbed, high, t.sideMm, 0) * faces.side +
    (hasCrumb || !hasCoat ? 0 : roughMl + openMl);
  const flatMl =
    (shellMl(crumbed, 0, t.sideMm, t.topMm) - overHoleMl(t.topMm)) * faces.top +
    (hasCrumb || !hasCoat ? 0 : domeMl);
  const rimMl = hasCoat ? Math.min(rimCutMl(outside, tier.coat.rimMm), flatMl) : 0;
  const inner = spreadOf(innerSpreadId(tier));
  const side = spreadOf(tier.coat.spreadId);
  const shares = shareCoat(tier, sideMl, flatMl - rimMl, spreadOf);
  const coatMl = shares.reduce((sum, share) => sum + share.ml, 0);
  const plan: CoatPlan = {
    ...t,
    finished,
    crumbSpreadId: inner.id,
    crumbTint: hasCoat ? tier.coat.crumbTint : tier.coat.tint,
    crumbMl,
    crumbG: crumbMl * inner.densityGPerMl,
    grooveMl: openMl,
    coatMl,
    coatG: shares.reduce((sum, share) => sum + share.massG, 0),
    shares,
  };
  book.later((page) => {
    const style = styleRows[tier.coat.style];
    const thick = (
      label: string,
      own: number | null,
      value: number,
      of: (typeof styleRows)[keyof typeof styleRows] = style,
    ): Input =>
      own === null
        ? {
            label,
            value,
            kind: 'thickness',
            read: {
              table: 'coat styles',
              row: of.title,
              source: of.source,
              range: of.range,
            },
          }
        : given(label, own, 'thickness');
    const dense = (spread: Spread): Input =>
      read(
        'spreads',
        spread,
        'densityGPerMl',
        `density of ${spread.name.toLowerCase()}`,
        'density',
      );
    page.add(
      `${tier.id}/crumb`,
      'Crumb coat',
      plan.crumbG,
      'bowl',
      'The shell that the crumb coat makes round the stack and over its top, with round corners, times the share it covers; what uneven sides and open grooves swallow; times density.',
      [
        from(`${tier.id}/stack`, 'height of the stack', stackMm, 'span'),
        // a crumb coat has a range of its own, whatever comes over it
        thick('thickness', tier.coat.crumbMm, t.crumbMm, styleRows['crumb coat only']),
        given('share of the cake it hides', t.cover, 'share'),
        ...(domeMl > 0 ? [given('round the dome on top', domeMl, 'volume')] : []),
        ...(openMl > 0 ? [given('grooves left by fillings', openMl, 'volume')] : []),
        given('unevenness of sponge sides', kitchen.roughnessMm, 'fine'),
        given('volume', crumbMl, 'volume'),
        dense(inner),
      ],
    );
    const { comb } = tier.coat;
    page.add(
      `${tier.id}/coat`,
      hasCrumb ? 'Coat, on top of the crumb coat' : 'Coat',
      plan.coatG,
      'bowl',
      'The shell round the crumb-coated stack and over its top: the outline moved outward, less the outline, times height; and the moved outline times the thickness on top; times density.',
      [
        from(`${tier.id}/stack`, 'height of the stack', stackMm, 'span'),
        thick('thickness on the side', tier.coat.sideMm, t.sideMm),
        ...(comb && tier.coat.style === 'combed' && tier.coat.sideMm === null
          ? [
              given('thickness at the ridges', comb.peakMm, 'thickness'),
              given('depth of the comb', comb.depthMm, 'thickness'),
            ]
          : []),
        thick('thickness on top', tier.coat.topMm, t.topMm),
        ...(rimMl > 0 ? [given('less the rounded rim', rimMl, 'volume')] : []),
        given('volume on the side', sideMl, 'volume'),
        given('volume on top', flatMl - rimMl, 'volume'),
        dense(side),
        ...(tier.coat.topSpreadId === null ? [] : [dense(spreadOf(tier.coat.topSpreadId))]),
      ],
    );
  });
  return plan;
}

/** The coat by frosting and colour: bands of the side from the bottom up, then the top. */
function shareCoat(
  tier: Tier,
  sideMl: number,
  topMl: number,
  spreadOf: (id: string) => Spread,
): CoatShare[] {
  const { spreadId, topSpreadId, tint, bands } = tier.coat;
  const side = spreadOf(spreadId);
  const top = spreadOf(topSpreadId ?? spreadId);
  const all = bands.reduce((sum, band) => sum + band.share, 0);
  const share = (
    where: CoatShare['where'],
    band: number | null,
    of: Spread,
    colour: string,
    ml: number,
  ): CoatShare => ({
    where,
    band,
    spreadId: of.id,
    tint: colour,
    ml,
    massG: ml * of.densityGPerMl,
  });
  const onSide =
    bands.length === 0
      ? [share('side', null, side, tint, sideMl)]
      : bands.map((band, i) => share('side', i, side, band.tint, (sideMl * band.share) / all));
  // the top of another frosting keeps its own look; otherwise it goes on from the uppermost band
  const topTint = topSpreadId === null ? (bands.at(-1)?.tint ?? tint) : '';
  return [...onSide, share('top', null, top, topTint, topMl)].filter((each) => each.ml > 1e-6);
}
