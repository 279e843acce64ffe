import { nPerG } from '../units/gravity.ts';
import { innerSpreadId, isBare } from '../document/edit.ts';
import type { Gap, Tier } from '../document/types.ts';
import { equivalentRadiusMm, insetRadiusMm } from '../outline/outline.ts';
import type { Spread } from '../pantry/types.ts';
import { phrase, type Phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';
import { laidShare } from './gaps.ts';
import { flushSetbackMm, holdsInDamN, holdsN, settle, stressAt } from './squeeze.ts';

/** What the weight above does to one filling. */
export interface GapLoad {
  aboveG: number;
  loadN: number;
  holdsN: number;
  holds: boolean;
  settledMm: number;
  bulgeMl: number;
  /** Keep the filling so far from the edge and it arrives flush; 0 where it holds. */
  flushMm: number;
}

export const stackC = { room: 21, cold: 4 } as const;
/** Packed pieces bear on each other and keep the gap open from this share on. */
const bearingShare = 0.5;

/** Share of a gap that is packed pieces, of all kinds. */
const packedShare = ({ pieces }: Gap): number =>
  pieces.reduce((sum, { how, share }) => sum + (how === 'packed' ? share : 0), 0);

interface Holding {
  stressPa: number;
  spreadMm: number;
  edgeMm: number;
  holds: number;
}

/** One layer lies on the other: there is nothing to be pushed out. */
const dry: Holding = { stressPa: 0, spreadMm: 0, edgeMm: 0, holds: Infinity };

/** Capacity of a gap, the dam's part spread over the filling as yield stress it would need. */
function holding(
  tier: Tier,
  gap: Gap,
  damMm: number,
  tempC: number,
  spreadOf: (id: string) => Spread,
): Holding {
  const edgeMm = equivalentRadiusMm(tier.outline);
  const radius = (offMm: number): number => insetRadiusMm(tier.outline, offMm);
  const spread = spreadOf(gap.spreadId);
  const filling = stressAt(spread.stress21Pa, spread.stress4Pa, tempC);
  if (damMm <= 0) {
    const r = radius(gap.setbackMm);
    return { stressPa: filling, spreadMm: r, edgeMm, holds: holdsN(filling, r, gap.heightMm) };
  }
  const coat = spreadOf(innerSpreadId(tier));
  const dam = stressAt(coat.stress21Pa, coat.stress4Pa, tempC);
  const holds = holdsInDamN(filling, dam, radius(gap.setbackMm + damMm), damMm, gap.heightMm);
  const outer = Math.max(1, radius(gap.setbackMm)) / 1000;
  const stressPa = (holds * 3 * (gap.heightMm / 1000)) / (2 * Math.PI * outer ** 3);
  return { stressPa, spreadMm: outer * 1000, edgeMm, holds };
}

/**
 * Settled thickness, bulge and setback of each gap under the weight that rests on it (model section
 * 5), at the temperature at which the tier is stacked. Packed pieces keep their gap open.
 *
 * @param aboveG mass resting on each gap, g, the weight it rests under included
 */
export function loadGaps(
  tier: Tier,
  aboveG: readonly number[],
  spreadOf: (id: string) => Spread,
): GapLoad[] {
  const tempC = stackC[tier.stackedAt];
  return tier.gaps.map((gap, i) => {
    const loadN = (aboveG[i] ?? 0) * nPerG;
    const own = isBare(gap) ? dry : holding(tier, gap, gap.damMm, tempC, spreadOf);
    const open = isBare(gap) || gap.laid === 'loose' || packedShare(gap) >= bearingShare;
    const rest = open
      ? { holds: true, thickMm: gap.heightMm, bulgeMl: 0 }
      : // beads are as much as a smaller disc, and spread into the air between them first
        settle(
          own.stressPa,
          own.spreadMm * Math.sqrt(laidShare(gap)),
          own.edgeMm,
          gap.heightMm,
          loadN,
        );
    return {
      aboveG: aboveG[i] ?? 0,
      loadN,
      holdsN: Math.min(own.holds, 1e6),
      holds: rest.holds,
      settledMm: rest.thickMm,
      bulgeMl: rest.bulgeMl,
      flushMm: rest.holds ? 0 : flushSetbackMm(own.stressPa, own.edgeMm, gap.heightMm, loadN),
    };
  });
}

/** Less than this of a thickness, and of its share, is within what a hand spreads. */
const worthMm = 0.5;
const worthShare = 0.05;
const worthMl = 0.5;

/** True where a filling comes out at the edge, and by more than a hair: inside it, it only settles. */
export const isWorthSaying = (gap: Gap, load: GapLoad): boolean => {
  const lostMm = gap.heightMm - load.settledMm;
  return (
    !load.holds && load.bulgeMl > worthMl && lostMm > worthMm && lostMm > worthShare * gap.heightMm
  );
};

const widestDamMm = 30;
/** Narrowest dam that holds, from 8 mm or the present one on; a wider one always holds more. */
function narrowestDam(nowMm: number, holds: (mm: number) => boolean): number | undefined {
  let low = Math.max(7, Math.ceil(nowMm));
  let high = widestDamMm;
  if (low >= high || !holds(high)) return undefined;
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (holds(middle)) high = middle;
    else low = middle;
  }
  return high;
}

interface Creeping {
  index: number;
  load: GapLoad;
  name: string;
  todo: Phrase;
  /** The dam that holds it; null where none does. */
  damMm: number | null;
}

/** Warns of fillings that are pushed out, and says which dam or setback would do, or that chilling does. */
export function warnOfSqueeze(
  tier: Tier,
  loads: readonly GapLoad[],
  spreadOf: (id: string) => Spread,
  cautions: Caution[],
): void {
  const found: Creeping[] = [];
  loads.forEach((load, i) => {
    const gap = tier.gaps[i]!;
    if (!isWorthSaying(gap, load)) return;
    const at = (damMm: number, tempC: number): boolean =>
      holding(tier, gap, damMm, tempC, spreadOf).holds >= load.loadN;
    const enough = narrowestDam(gap.damMm, (w) => at(w, stackC[tier.stackedAt]));
    const cold = tier.stackedAt === 'room' && at(gap.damMm, stackC.cold);
    const setback = phrase('keep it {back} short of the edge, and it arrives flush', {
      back: [load.flushMm, 'thickness'],
    });
    const todo =
      enough !== undefined
        ? phrase(`Pipe a dam {width} wide in the coat’s frosting, or ${setback.text}.`, {
            width: [enough, 'thickness'],
            back: [load.flushMm, 'thickness'],
          })
        : cold
          ? phrase('Chill after each layer until it is firm: cold, it holds.')
          : phrase(`Take a stiffer filling, spread it thinner, or ${setback.text}.`, {
              back: [load.flushMm, 'thickness'],
            });
    found.push({ index: i, load, name: spreadOf(gap.spreadId).name, todo, damMm: enough ?? null });
  });
  for (const same of groupAlike(found)) {
    const { index, load, name, todo } = same[0]!;
    // one dam for all that are told together: the widest that any of them asks for
    const dams = same.map(({ damMm }) => damMm).filter((mm) => mm !== null);
    cautions.push({
      id: `${tier.id}/squeeze/${index}`,
      severity: 'mind',
      stage: 'stack',
      part: `${tier.id}/gap/${index}`,
      title: phrase(
        `${name} on ${layersText(same.map((each) => each.index + 1))} creeps out under {load} ${tier.stackedAt === 'cold' ? 'even cold' : 'at room temperature'}: {from} settle to {to}.`,
        {
          load: [load.aboveG, 'weight'],
          from: [tier.gaps[index]!.heightMm, 'thickness'],
          to: [load.settledMm, 'thickness'],
        },
      ),
      todo,
      ...(dams.length === same.length && {
        advised: {
          do: 'dam',
          tierId: tier.id,
          gaps: same.map((each) => each.index),
          mm: Math.max(...dams),
        },
      }),
    });
  }
}

/** Fillings of one kind with one remedy are told together; the lowest carries most and comes first. */
function groupAlike(found: readonly Creeping[]): Creeping[][] {
  const groups = new Map<string, Creeping[]>();
  for (const each of found) {
    const key = `${each.name}/${each.todo.text}`;
    groups.set(key, [...(groups.get(key) ?? []), each]);
  }
  return [...groups.values()];
}

const layersText = (numbers: readonly number[]): string =>
  numbers.length === 1
    ? `layer ${numbers[0]}`
    : `layers ${numbers.slice(0, -1).join(', ')} and ${numbers.at(-1)}`;
