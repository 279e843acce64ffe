import { pantryLimits } from './limits.ts';
import type { Sponge, Spread } from './types.ts';

/*
 * Scales in words for what is measured in figures: a decorator says "soft", the models want a stress. Each
 * step stands for the middle of the starting rows that are so (estimates); in between the nearest one by
 * ratio is said.
 */

export const stiffnessWords = ['runny', 'soft', 'holds a peak', 'firm', 'sets hard'] as const;
export type Stiffness = (typeof stiffnessWords)[number];
/** Yield stress in the room, Pa. */
const stressOf: Record<Stiffness, number> = {
  runny: 15,
  soft: 60,
  'holds a peak': 180,
  firm: 420,
  'sets hard': 10_000,
};

export const tendernessWords = ['very tender', 'tender', 'usual', 'firm', 'very firm'] as const;
export type Tenderness = (typeof tendernessWords)[number];
/** What a sponge bears, kPa. */
const bearsOf: Record<Tenderness, number> = {
  'very tender': 1,
  tender: 1.6,
  usual: 2.5,
  firm: 4,
  'very firm': 6.5,
};

const nearest = <T extends string>(of: Record<T, number>, value: number): T =>
  (Object.entries(of) as [T, number][]).reduce((best, one) =>
    Math.abs(Math.log(one[1] / value)) < Math.abs(Math.log(best[1] / value)) ? one : best,
  )[0];

/** How stiff a filling or frosting is in the room. */
export const stiffnessOf = ({ stress21Pa }: Pick<Spread, 'stress21Pa'>): Stiffness =>
  nearest(stressOf, Math.max(1e-6, stress21Pa));
/** The figures of that stiffness; in the cold it stays as many times stiffer as it was. */
export function withStiffness<S extends Pick<Spread, 'stress21Pa' | 'stress4Pa'>>(
  spread: S,
  is: Stiffness,
): S {
  if (stiffnessOf(spread) === is) return spread;
  const stress21Pa = stressOf[is];
  const times = spread.stress4Pa / Math.max(1e-6, spread.stress21Pa);
  const stress4Pa = Math.min(pantryLimits.stressPa.max, Math.round(stress21Pa * times));
  return { ...spread, stress21Pa, stress4Pa };
}

/** How tender or firm a sponge is. */
export const tendernessOf = ({ allowableKPa }: Pick<Sponge, 'allowableKPa'>): Tenderness =>
  nearest(bearsOf, Math.max(1e-6, allowableKPa));
/** The figure of that. */
export const withTenderness = <S extends Pick<Sponge, 'allowableKPa'>>(
  sponge: S,
  is: Tenderness,
): S => (tendernessOf(sponge) === is ? sponge : { ...sponge, allowableKPa: bearsOf[is] });
