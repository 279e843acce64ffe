import type { Point } from '../outline/point.ts';
import { dowelsAt, plateOf, type Plate } from './statics.ts';
import type { Journey } from './types.ts';

/** The hard stop that everything is measured by, in g (docs/model.md#support). */
export const hardStopG = 0.5;
/** Directions in which a load is tried. */
const directions = 24;

export const caseNames = ['at rest', 'carried', 'over a bump', 'hard braking'] as const;
export type CaseName = (typeof caseNames)[number];

/**
 * What happens to a load: times its weight, and how far it leans: sideways force over weight. On the
 * road a bump doubles the weight while the car brakes, and a hard stop comes with the weight alone.
 * Carrying is one and a half times the weight, held up to 6 degrees off level (estimate).
 */
export interface LoadCase {
  name: CaseName;
  times: number;
  lean: number;
}
const rows: Record<CaseName, LoadCase> = {
  'at rest': { name: 'at rest', times: 1, lean: 0 },
  carried: { name: 'carried', times: 1.5, lean: 0.1 },
  'over a bump': { name: 'over a bump', times: 2, lean: hardStopG / 2 },
  'hard braking': { name: 'hard braking', times: 1, lean: hardStopG },
};

/** The cases that tiers on each other meet: at the venue they only stand. A rod takes what leans. */
export function casesFor({ byRoad, stackAt }: Journey, hasRod: boolean): LoadCase[] {
  const names: CaseName[] = [
    'at rest',
    ...(stackAt === 'home' ? (['carried'] as const) : []),
    ...(stackAt === 'home' && byRoad ? (['over a bump', 'hard braking'] as const) : []),
  ];
  return names.map((name) => (hasRod ? { ...rows[name], lean: 0 } : rows[name]));
}

/** The most that a part of the load lasting seconds is, in times its weight. */
export const worstTimes = (cases: readonly LoadCase[]): number =>
  Math.max(...cases.map(({ times }) => times));

/** A load on dowels: its weight, where its centre lies over them, and how high above their tops. */
export interface Load {
  weightN: number;
  at: Point;
  upMm: number;
}

/** What dowels carry over all cases and directions. */
export interface Carried {
  restN: number[];
  /** Most in each dowel. */
  worstN: number[];
  /** The case in which the most loaded one is most loaded. */
  worstCase: CaseName;
  /** It stands at rest. */
  stands: boolean;
  /** Cases in which it would tip off its dowels. */
  tips: CaseName[];
}

/** Shares at rest, and the most in each dowel in any case and direction (docs/model.md#support). */
export function carriedBy(
  places: readonly Point[],
  load: Load,
  cases: readonly LoadCase[],
): Carried {
  const sharesUnder = dowelsAt(places);
  const plate = places.length > 2 ? plateOf(places) : null;
  const easy = plate ? allPressed(plate, load, 0) : null;
  const rest = easy
    ? { n: easy.even.map((share) => share * load.weightN), stands: true }
    : sharesUnder(load.weightN, load.at);
  const worstN = [...rest.n];
  const tips: CaseName[] = rest.stands ? [] : ['at rest'];
  let [worst, worstCase] = [Math.max(0, ...rest.n), 'at rest' as CaseName];
  for (const { name, times, lean } of cases) {
    const away = lean * load.upMm;
    const pressed = plate ? allPressed(plate, load, away) : null;
    if (pressed) {
      pressed.most.forEach((share, i) => {
        const force = share * times * load.weightN;
        if (force > worstN[i]!) worstN[i] = force;
        if (force > worst) [worst, worstCase] = [force, name];
      });
      continue;
    }
    const turns = away === 0 ? 1 : directions;
    let isTipping = false;
    for (let k = 0; k < turns; k++) {
      const angle = (2 * Math.PI * k) / turns;
      const at: Point = {
        x: load.at.x + away * Math.cos(angle),
        y: load.at.y + away * Math.sin(angle),
      };
      const { n, stands } = sharesUnder(times * load.weightN, at);
      isTipping ||= !stands;
      n.forEach((force, i) => {
        if (force > worstN[i]!) worstN[i] = force;
        if (force > worst) [worst, worstCase] = [force, name];
      });
    }
    if (isTipping && !tips.includes(name)) tips.push(name);
  }
  return { restN: rest.n, worstN, worstCase, stands: rest.stands, tips };
}

/**
 * Shares where no dowel lifts in any direction: then the most in each is in closed form, its even
 * share and its lever times how far the load leans. Null where one would have to pull.
 */
function allPressed(
  { middle, lever }: Plate,
  { at }: Load,
  awayMm: number,
): { even: number[]; most: number[] } | null {
  const [ex, ey] = [at.x - middle.x, at.y - middle.y];
  const even = lever.map((u) => 1 / lever.length + ex * u.x + ey * u.y);
  const swing = lever.map((u) => Math.hypot(u.x, u.y) * Math.abs(awayMm));
  if (even.some((share, i) => share < swing[i]!)) return null;
  return { even, most: even.map((share, i) => share + swing[i]!) };
}
