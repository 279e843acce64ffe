import type { Tier } from '../build/types.ts';
import { areaMm2, equivalentRadiusMm, grow, grownAreaMm2 } from '../outline/outline.ts';
import type { Spread } from '../pantry/types.ts';
import { phrase, type Phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';
import { FigureBook, given, read } from '../working/figures.ts';
import { holdsInDamN, holdsN, stressAt } from './squeeze.ts';

export interface GapPlan {
  index: number;
  spreadId: string;
  heightMm: number;
  damMm: number;
  fillingMl: number;
  fillingG: number;
  damMl: number;
  damG: number;
}

/**
 * Filling and dam of each gap (model section 5): the area inside the dam times the thickness, and
 * the dam as the ring that is left, exact.
 */
export function planGaps(
  tier: Tier,
  spreadOf: (id: string) => Spread,
  book: FigureBook,
): GapPlan[] {
  const dam = tier.gaps.some((gap) => gap.damMm > 0) ? spreadOf(tier.coat.spreadId) : null;
  return tier.gaps.map((gap, index) => {
    const spread = spreadOf(gap.spreadId);
    const whole = areaMm2(tier.outline);
    const inside = gap.damMm > 0 ? grownAreaMm2(tier.outline, -gap.damMm) : whole;
    const fillingMl = (inside * gap.heightMm) / 1000;
    const damMl = ((whole - inside) * gap.heightMm) / 1000;
    const plan: GapPlan = {
      index,
      spreadId: gap.spreadId,
      heightMm: gap.heightMm,
      damMm: gap.damMm,
      fillingMl,
      fillingG: fillingMl * spread.densityGPerMl,
      damMl,
      damG: dam ? damMl * dam.densityGPerMl : 0,
    };
    const id = `${tier.id}/gap/${index}`;
    book.add(
      `${id}/filling`,
      `Filling on layer ${index + 1}`,
      plan.fillingG,
      'small',
      'The area inside the dam (the whole cake where there is none) times the thickness, times density.',
      [
        given('area', inside, 'area'),
        given('thickness', gap.heightMm, 'thickness'),
        read('spreads', spread, 'densityGPerMl', 'density', 'density'),
      ],
    );
    if (dam && gap.damMm > 0)
      book.add(
        `${id}/dam`,
        `Dam on layer ${index + 1}`,
        plan.damG,
        'small',
        'The ring between the cake’s edge and the filling, times the thickness of the gap, times density.',
        [
          given('area of the ring', whole - inside, 'area'),
          given('height', gap.heightMm, 'thickness'),
          read('spreads', dam, 'densityGPerMl', 'density', 'density'),
        ],
      );
    return plan;
  });
}

const roomC = 21;
const fridgeC = 4;

/**
 * Warns of fillings that the weight above pushes out, at room temperature, and says which dam would
 * hold, or that chilling does.
 *
 * @param aboveG mass resting on each gap, g
 */
export function warnOfSqueeze(
  tier: Tier,
  aboveG: readonly number[],
  spreadOf: (id: string) => Spread,
  cautions: Caution[],
): void {
  const coat = spreadOf(tier.coat.spreadId);
  const found: Creeping[] = [];
  tier.gaps.forEach((gap, i) => {
    const spread = spreadOf(gap.spreadId);
    const load = (aboveG[i] ?? 0) * 0.00981;
    const holds = (damMm: number, tempC: number): number => {
      const inner = damMm > 0 ? grow(tier.outline, -damMm) : tier.outline;
      const r = inner ? equivalentRadiusMm(inner) : 0;
      const filling = stressAt(spread.stress21Pa, spread.stress4Pa, tempC);
      const ring = stressAt(coat.stress21Pa, coat.stress4Pa, tempC);
      return damMm > 0
        ? holdsInDamN(filling, ring, r, damMm, gap.heightMm)
        : holdsN(filling, r, gap.heightMm);
    };
    if (holds(gap.damMm, roomC) >= load) return;
    const widths = Array.from({ length: 23 }, (_, k) => 8 + k).filter((w) => w > gap.damMm);
    const enough = widths.find((w) => holds(w, roomC) >= load);
    const cold = holds(gap.damMm, fridgeC) >= load;
    const todo =
      enough !== undefined
        ? phrase('Pipe a dam {width} wide in the coat’s frosting.', {
            width: [enough, 'thickness'],
          })
        : cold
          ? phrase('Chill after each layer until it is firm: cold, it holds.')
          : phrase('Take a stiffer filling, or spread it thinner.');
    found.push({ index: i, spread, aboveG: aboveG[i] ?? 0, todo });
  });
  for (const same of groupAlike(found)) {
    const { index, spread, aboveG: load, todo } = same[0]!;
    cautions.push({
      id: `${tier.id}/squeeze/${index}`,
      severity: 'mind',
      stage: 'stack',
      part: `${tier.id}/gap/${index}`,
      title: phrase(
        `${spread.name} on ${layersText(same.map((each) => each.index + 1))} would creep out under {load} at room temperature.`,
        { load: [load, 'weight'] },
      ),
      todo,
    });
  }
}

interface Creeping {
  index: number;
  spread: Spread;
  aboveG: number;
  todo: Phrase;
}

/** Fillings of one kind with one remedy are told together; the lowest carries most and comes first. */
function groupAlike(found: readonly Creeping[]): Creeping[][] {
  const groups = new Map<string, Creeping[]>();
  for (const each of found) {
    const key = `${each.spread.id}/${each.todo.text}`;
    groups.set(key, [...(groups.get(key) ?? []), each]);
  }
  return [...groups.values()];
}

const layersText = (numbers: readonly number[]): string =>
  numbers.length === 1
    ? `layer ${numbers[0]}`
    : `layers ${numbers.slice(0, -1).join(', ')} and ${numbers.at(-1)}`;
