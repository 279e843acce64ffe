import {
  newBuild,
  newDrip,
  newPiped,
  newPiping,
  newTopping,
  setLayerCount,
  type Build,
  type Gap,
  type Piped,
  type PipingJob,
  type Tier,
  type Topping,
} from '../../src/index.ts';

/* One whole job: what somebody ordered, as a build. Names are made up. */
export interface Job {
  name: string;
  build: Build;
}

/** A job from a new cake and what is changed of it, for Saturday the 19th at four. */
export function job(name: string, change: (tier: Tier, build: Build) => void): Job {
  const build = newBuild(name.replaceAll(' ', '-'), name, '2027-06-01T09:00:00Z');
  build.brief.serveAt = '2027-06-19T16:00';
  change(build.tiers[0]!, build);
  return { name, build };
}

/** So many layers of one height, of a round cake, with one filling between. */
export function layers(
  tier: Tier,
  count: number,
  heightMm: number,
  filling: Partial<Gap> = {},
  diameterMm = 200,
): void {
  setLayerCount(tier, count);
  for (const layer of tier.layers) layer.heightMm = heightMm;
  for (const gap of tier.gaps) Object.assign(gap, filling);
  tier.outline = { kind: 'round', diameterMm };
  tier.tinId = `round-${diameterMm / 10}`;
}

export const pieces = (foodId: string, gPerCm2: number): Gap['pieces'] => [
  {
    id: 'pieces-1',
    name: foodId,
    foodId,
    how: 'scattered',
    densityGPerMl: 0.8,
    share: 0.6,
    gPerCm2,
    allergens: [],
  },
];

export const topping = (id: string, more: Partial<Topping>): Topping => ({
  ...newTopping(id),
  ...more,
});

export const piping = (id: string, name: string, more: Partial<Piped>): PipingJob => ({
  ...newPiping(id, 0),
  name,
  piped: { ...newPiped('tier-1'), ...more },
});

export const rosettes = (id: string): PipingJob =>
  piping(id, 'rosettes', { form: 'rosette', where: 'top edge', radiusMm: 18, wideMm: 10 });

export const drips = (tier: Tier, ganacheId: string): void => void (tier.drip = newDrip(ganacheId));
