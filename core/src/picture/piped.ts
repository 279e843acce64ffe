import { lookOf } from '../colour/colour.ts';
import { isDrawnByRow, type PlannedPiping } from '../finish/piping.ts';
import { widthMm } from '../outline/outline.ts';
import type { Point } from '../outline/point.ts';
import type { Look } from '../pantry/types.ts';
import { lengthForms, placesAlong } from '../piping/shapes.ts';
import { toneOfPoured } from '../section/finish-parts.ts';
import { valueOf } from '../working/staged.ts';
import type { TierScene } from './bodies.ts';
import { facing, upward } from './facing.ts';
import type { PictureDrip, PictureGroup, PictureRun, PictureWords, Place } from './types.ts';

/* What runs down a cake and what is piped on it. */

/** Every drip of a tier where it hangs, as long as the flow made it. */
export function dripsOf(scene: TierScene, step: number): PictureDrip[] {
  const { build, tier, plan, pantry, foot, toMm } = scene;
  const drip = valueOf(plan.finish.drip);
  if (!drip) return [];
  const { rim } = plan;
  // which way it faces is read from places close to each other, however few drips there are
  const fine = placesAlong(rim.outline, drip.count * 8);
  const out = facing(fine);
  const look = lookOf(build.colours, tier.drip?.tint ?? '', toneOfPoured(drip.row, pantry.foods));
  return placesAlong(rim.outline, drip.count).map((place, index) => ({
    part: `${tier.id}/drip/${index}`,
    tierId: tier.id,
    index,
    at: { x: place.x + foot.x, y: place.y + foot.y, z: toMm - rim.downMm },
    out: out[index * 8]!,
    lengthMm: drip.drips[index]!.lengthMm,
    widthMm: drip.spec.widthMm,
    thickMm: drip.drips[index]!.meanMm,
    look,
    step,
  }));
}

/** Points of a row that is drawn in one. */
const mostRunPoints = 240;

/** What is piped on a tier: pieces at their marks, lines along theirs, and words. */
export function pipedOf(
  scene: TierScene,
  job: PlannedPiping,
  index: number,
  step: number,
): { groups: PictureGroup[]; runs: PictureRun[]; words: PictureWords[] } {
  const { build, tier, plan, pantry, foot, fromMm, toMm } = scene;
  const none = { groups: [], runs: [], words: [] };
  const { piped } = job;
  if (!piped || piped.tierId !== tier.id || job.noRoom || piped.where === 'apart') return none;
  const tone: Look = pantry.spreads.find(({ id }) => id === job.spread)?.tone ?? 'ivory';
  const own = {
    part: `${tier.id}/piping/${index}`,
    tierId: tier.id,
    label: job.name,
    look: lookOf(build.colours, job.tint, tone),
    step,
  };
  const onSide = piped.where === 'side' || piped.where === 'whole side';
  const placeOf = (place: Point, upMm: number): Place => ({
    x: place.x + foot.x,
    y: place.y + foot.y,
    z: fromMm + upMm,
  });
  if (piped.form === 'writing') {
    const front = -widthMm(plan.finished) / 2;
    const words: PictureWords = {
      ...own,
      text: piped.text,
      letterMm: piped.letterMm,
      on: onSide ? 'front' : 'top',
      at: onSide
        ? { x: foot.x, y: foot.y + front, z: fromMm + piped.upMm }
        : { x: foot.x, y: foot.y, z: toMm },
    };
    return { ...none, words: piped.text.trim() === '' ? [] : [words] };
  }
  if (lengthForms.includes(piped.form) || isDrawnByRow(job)) {
    const wave = (i: number): number =>
      piped.form === 'vine' ? Math.sin((i * Math.PI) / 3) * job.acrossMm * 0.7 : 0;
    // rows one above the other each run once round
    const runs = job.rows.map(({ upMm, places: all }): PictureRun => {
      const every = Math.ceil(all.length / mostRunPoints);
      const places = all.filter((_, i) => i % every === 0);
      const out = facing(places);
      return {
        ...own,
        wideMm: job.acrossMm,
        highMm: job.highMm,
        closed: true,
        isRope: piped.form === 'rope',
        points: places.map((place, i) => {
          const at = placeOf(place, upMm);
          const off = wave(i);
          return onSide
            ? { ...at, z: at.z + off }
            : { x: at.x + out[i]!.x * off, y: at.y + out[i]!.y * off, z: at.z };
        }),
      };
    });
    return { ...none, runs };
  }
  const pieces = job.rows.flatMap(({ upMm, places }) => {
    const out = facing(places);
    return places.map((place, i) => ({
      at: placeOf(place, upMm),
      up: onSide ? { ...out[i]!, z: 0 } : upward,
      along: { x: -out[i]!.y, y: out[i]!.x },
    }));
  });
  const group: PictureGroup = {
    ...own,
    form: { of: 'piping', form: piped.form, nozzle: piped.nozzle },
    acrossMm: job.acrossMm,
    highMm: job.highMm,
    stickMm: 0,
    pieces,
  };
  return { ...none, groups: [group] };
}
