import type { Build } from '../document/types.ts';
import { topSeen } from '../elevation/elevation.ts';
import type { Pantry } from '../pantry/types.ts';
import type { CakePlan } from '../plan/plan-types.ts';
import { feetOf } from '../stack/feet.ts';
import { insetOf } from '../carve/stock.ts';
import { valueOf } from '../working/staged.ts';
import { insideOf, outsideOf, overOf, underOf, type TierScene } from './bodies.ts';
import { filmsOf } from './films.ts';
import { dripsOf, pipedOf } from './piped.ts';
import { pressedOn, toppingsOf } from './put-on.ts';
import { slicesBetween } from './slices.ts';
import { raised, tierRings } from './tier-rings.ts';
import { reliefsOf } from './reliefs.ts';
import type { PictureBody, CakePicture, PictureGroup, PictureTier, Place } from './types.ts';

/** More pieces than this are not drawn one by one. */
const mostPieces = 20_000;

/**
 * The finished cake as it will stand, from its plan: every tier with its coat, each drip at the length that the
 * flow gave it, each piped piece and topping at its place, and all that lies inside. Pure.
 */
export function drawPicture(build: Build, cake: CakePlan, pantry: Pantry): CakePicture {
  const feet = feetOf(
    build.tiers,
    cake.tiers.map(({ stack }) => stack.finishedMm),
  );
  const picture: CakePicture = {
    tiers: [],
    bodies: [],
    drips: [],
    groups: [],
    runs: [],
    words: [],
    carved: [],
    steps: ['the bare board'],
    box: { low: { x: 0, y: 0, z: 0 }, high: { x: 0, y: 0, z: 0 } },
    left: 0,
  };
  const { steps } = picture;
  const next = (label: string): number => steps.push(label) - 1;
  const scenes = build.tiers.map((tier, i): TierScene => {
    const { fromMm, toMm } = cake.section.tiers[i]!;
    return { build, tier, plan: cake.tiers[i]!, cake, pantry, foot: feet[i]!, fromMm, toMm };
  });
  /** Step at which each tier is set on what is below. */
  const set: number[] = [];
  for (const scene of scenes) {
    const { tier, plan } = scene;
    const isOne = scenes.length === 1;
    const named = (what: string): string => (isOne ? what : `${tier.name}: ${what}`);
    const first = steps.length;
    set.push(first);
    const inside = insideOf(scene, first - 1);
    for (const step of inside.steps) next(named(step));
    const carving = plan.carve;
    if (!carving?.result) picture.bodies.push(...inside.bodies);
    const coat = next(named(tier.fondant ? 'coat and cover' : 'coat'));
    const reliefs = reliefsOf(scene, (what) => next(named(what)));
    const films = filmsOf(tier, build.colours, pantry.foods, (what) => next(named(what)));
    if (carving?.result)
      picture.carved.push({
        part: `${tier.id}/coat`,
        tierId: tier.id,
        question: carving.question,
        at: { x: scene.foot.x, y: scene.foot.y, z: scene.fromMm },
        coatMm: insetOf(carving.question.cover),
        look: topSeen(tier, plan, build.colours, pantry),
        films,
        reliefs,
        step: first,
      });
    else {
      picture.bodies.push(...outsideOf(scene, coat).map((body) => ({ ...body, films })));
      if (tier.pressed && !tier.fondant)
        picture.groups.push(...pressedOn(scene, next(named(tier.pressed.name))));
    }
    picture.tiers.push(tierOf(scene));
  }
  const finishing: PictureBody[] = [];
  for (const scene of scenes) {
    const { plan } = scene;
    const isDripped = valueOf(plan.finish.drip) !== null;
    const flood = isDripped
      ? next(scenes.length === 1 ? 'drips' : `drips on ${scene.tier.name}`)
      : 0;
    if (isDripped) picture.drips.push(...dripsOf(scene, flood));
    cake.piping.forEach((job) => {
      const index = build.piping.findIndex((each) => each.id === job.id);
      if (job.piped?.tierId !== scene.tier.id || job.piped.where === 'apart') return;
      const piped = pipedOf(scene, job, index, next(job.name));
      picture.groups.push(...piped.groups);
      picture.runs.push(...piped.runs);
      picture.words.push(...piped.words);
    });
    const labels = plan.finish.toppings.map(({ topping }) => next(topping.name));
    finishing.push(...overOf(scene, flood, (i) => labels[i]!));
    const put = toppingsOf(scene, (i) => labels[i]!);
    picture.groups.push(...put.groups);
    picture.runs.push(...put.runs);
  }
  picture.bodies.push(
    ...underOf(cake, build, feet, (i) => set[i] ?? steps.length - 1),
    ...finishing,
  );
  const shown = fewEnough(picture.groups);
  return { ...picture, ...shown, box: boxOf({ ...picture, groups: shown.groups }) };
}

/** The stack of a tier under its coat: no tool has been over it. */
function tierOf(scene: TierScene): PictureTier {
  const { tier, plan, cake, foot, fromMm, toMm } = scene;
  const inner = cake.section.parts.filter(
    (part) => part.tierId === tier.id && (part.kind === 'layer' || part.kind === 'gap'),
  );
  const innerTo = Math.min(toMm, Math.max(fromMm, ...inner.map(({ y1 }) => y1)));
  const rings = raised(tierRings({ ...tier, coat: { ...tier.coat, rimMm: 0, style: 'smooth' } }, plan, tier.outline, toMm - fromMm), foot, fromMm); // prettier-ignore
  return {
    id: tier.id,
    name: tier.name,
    axis: { x: foot.x, y: foot.y },
    fromMm,
    toMm,
    inner: innerTo > fromMm ? slicesBetween(rings, fromMm, innerTo) : [],
  };
}

/** As many groups of pieces as can be drawn; the largest are left out first, and counted. */
function fewEnough(groups: readonly PictureGroup[]): { groups: PictureGroup[]; left: number } {
  let [all, left] = [groups.reduce((sum, { pieces }) => sum + pieces.length, 0), 0];
  const kept = new Set(groups);
  for (const group of [...groups].sort((a, b) => b.pieces.length - a.pieces.length)) {
    if (all <= mostPieces) break;
    kept.delete(group);
    all -= group.pieces.length;
    left += group.pieces.length;
  }
  return { groups: groups.filter((group) => kept.has(group)), left };
}

/** Box round everything of a picture that stands: bodies, drips, pieces on and beside them. */
export function boxOf({
  bodies,
  drips,
  groups,
  runs,
  carved,
  tiers,
}: Omit<CakePicture, 'box'>): CakePicture['box'] {
  const low: Place = { x: Infinity, y: Infinity, z: Infinity };
  const high: Place = { x: -Infinity, y: -Infinity, z: -Infinity };
  const meet = (x: number, y: number, z: number): void => {
    for (const [k, v] of [
      ['x', x],
      ['y', y],
      ['z', z],
    ] as const) {
      low[k] = Math.min(low[k], v);
      high[k] = Math.max(high[k], v);
    }
  };
  for (const { slices } of bodies)
    for (const { fromMm, toMm, foot, top } of slices) {
      for (const p of foot[0] ?? []) meet(p.x, p.y, fromMm);
      for (const p of top[0] ?? []) meet(p.x, p.y, toMm);
    }
  for (const { at, out, thickMm } of drips)
    meet(at.x + out.x * thickMm, at.y + out.y * thickMm, at.z);
  for (const { pieces, acrossMm, highMm, stickMm } of groups)
    for (const { at, up } of pieces) {
      const tall = highMm + stickMm;
      meet(at.x + up.x * tall, at.y + up.y * tall, at.z + up.z * tall);
      if (up.z > 0.5)
        for (const side of [-1, 1])
          meet(at.x + (side * acrossMm) / 2, at.y + (side * acrossMm) / 2, at.z);
    }
  for (const { points, highMm } of runs) for (const p of points) meet(p.x, p.y, p.z + highMm);
  for (const { tierId } of carved) {
    const tier = tiers.find(({ id }) => id === tierId)!;
    meet(tier.axis.x, tier.axis.y, tier.toMm);
  }
  return Number.isFinite(low.x)
    ? { low, high }
    : { low: { x: 0, y: 0, z: 0 }, high: { x: 0, y: 0, z: 0 } };
}
