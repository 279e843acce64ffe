import { lookOf, toppingLook } from '../colour/colour.ts';
import type { Topping } from '../document/finish-types.ts';
import type { PlannedPiping } from '../finish/piping.ts';
import { downAt } from '../mould/rim.ts';
import {
  areaMm2 as areaOf,
  coarse,
  contains,
  depthMm,
  grow,
  perimeterMm,
  spansAt,
  widthMm,
  type Outline,
  type Point,
} from '../outline/outline.ts';
import type { Look } from '../pantry/types.ts';
import { lengthForms, placesAlong } from '../piping/shapes.ts';
import { toneOfPoured } from '../section/finish-parts.ts';
import { rimPoint } from '../toppings/side.ts';
import { randomFrom } from '../working/random.ts';
import { valueOf } from '../working/staged.ts';
import { pressedOf, type TierScene } from './bodies.ts';
import type {
  PictureDrip,
  PictureGroup,
  PictureRun,
  PictureWords,
  PieceForm,
  Place,
} from './types.ts';

const upward: Place = { x: 0, y: 0, z: 1 };
const unit = ({ x, y }: Point): Point => {
  const long = Math.hypot(x, y);
  return long > 1e-9 ? { x: x / long, y: y / long } : { x: 0, y: -1 };
};

/** Which way the side faces at each of some places that run along an outline, to the right as one sees it from its front. */
export function facing(places: readonly Point[]): Point[] {
  if (places.length < 3) return places.map(unit);
  return places.map((place, i) => {
    const after = places[(i + 1) % places.length]!;
    const before = places[(i + places.length - 1) % places.length]!;
    const along = unit({ x: after.x - before.x, y: after.y - before.y });
    const out = { x: along.y, y: -along.x };
    // of the two ways across the line, the one away from the axis
    return out.x * place.x + out.y * place.y < 0 ? { x: -out.x, y: -out.y } : out;
  });
}

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
    part: `piping/${index}`,
    tierId: tier.id,
    label: job.name,
    look: lookOf(build.colours, job.tint, tone),
    step,
  };
  const onSide = piped.where === 'side' || piped.where === 'whole side';
  const placeOf = (mark: { x: number; y: number; upMm: number }): Place => ({
    x: mark.x + foot.x,
    y: mark.y + foot.y,
    z: fromMm + mark.upMm,
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
  // rows one above the other each run once round
  const rows = new Map<number, PlannedPiping['marks']>();
  for (const mark of job.marks) {
    const row = rows.get(mark.upMm);
    if (row) row.push(mark);
    else rows.set(mark.upMm, [mark]);
  }
  if (lengthForms.includes(piped.form)) {
    const wave = (i: number): number =>
      piped.form === 'vine' ? Math.sin((i * Math.PI) / 3) * job.acrossMm * 0.7 : 0;
    const runs = [...rows.values()].map((row): PictureRun => {
      const out = facing(row);
      return {
        ...own,
        wideMm: job.acrossMm,
        highMm: job.highMm,
        closed: true,
        isRope: piped.form === 'rope',
        points: row.map((mark, i) => {
          const at = placeOf(mark);
          const off = wave(i);
          return onSide
            ? { ...at, z: at.z + off }
            : { x: at.x + out[i]!.x * off, y: at.y + out[i]!.y * off, z: at.z };
        }),
      };
    });
    return { ...none, runs };
  }
  const pieces = [...rows.values()].flatMap((row) => {
    const out = facing(row);
    return row.map((mark, i) => ({
      at: placeOf(mark),
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

/** Fruit and the like is a ball, what lies flat is a disc, what stands tall a stick: by its own measures. */
function toppingForm(topping: Topping): PieceForm {
  const { modelled, tray, acrossMm, highMm, tone } = topping;
  const of = 'topping' as const;
  if (modelled) return { of, form: modelled.form === 'rope' ? 'roll' : modelled.form };
  if (tray) return { of, form: 'shard' };
  if (!topping.eaten && topping.pick === 'stick') return { of, form: 'disc' };
  if (highMm > 2.2 * acrossMm) return { of, form: 'stick' };
  if (highMm < 0.35 * acrossMm) return { of, form: tone === 'leaf' ? 'leaf' : 'disc' };
  if (tone === 'nut') return { of, form: 'egg' };
  return { of, form: 'ball' };
}

/** A stick or a pick that is seen under a piece, mm. */
const stickSeen = { none: 0, pick: 0, stick: 40, wire: 25 } as const;
/** Pieces of a heap or a wreath are drawn so large, mm, and so many at most. */
const bitMm = 14;
const mostBits = 240;

/** What is put on a tier: pieces where they lie, heaps, wreaths and drizzles. */
export function toppingsOf(
  scene: TierScene,
  stepOf: (i: number) => number,
): { groups: PictureGroup[]; runs: PictureRun[] } {
  const { build, tier, plan, foot, fromMm, toMm } = scene;
  const groups: PictureGroup[] = [];
  const runs: PictureRun[] = [];
  const floodMm = valueOf(plan.finish.drip) ? (tier.drip?.floodMm ?? 0) : 0;
  const topMm = toMm + floodMm;
  const onTop = ({ x, y }: Point, downMm: number): Place => ({ x: x + foot.x, y: y + foot.y, z: topMm - downMm }); // prettier-ignore
  plan.finish.toppings.forEach(({ topping, places, lies, onSide }, i) => {
    const look = toppingLook(topping, build.colours);
    const own = { part: `${tier.id}/topping/${i}`, tierId: tier.id, label: topping.name, look, step: stepOf(i) }; // prettier-ignore
    const random = randomFrom(topping.seed + 1);
    const turned = (): Point => {
      const a = random() * 2 * Math.PI;
      return { x: Math.cos(a), y: Math.sin(a) };
    };
    const group = (
      form: PieceForm,
      acrossMm: number,
      highMm: number,
      pieces: PictureGroup['pieces'],
    ): void => {
      if (pieces.length > 0)
        groups.push({ ...own, form, acrossMm, highMm, stickMm: stickSeen[topping.pick], pieces });
    };
    switch (topping.kind) {
      case 'pieces': {
        if (onSide) {
          const pieces = places.map((place, k) => {
            const share = onSide.shares[k]!;
            const [a, b] = [rimPoint(plan.finished, share - 0.004), rimPoint(plan.finished, share + 0.004)]; // prettier-ignore
            const along = unit({ x: b.x - a.x, y: b.y - a.y });
            const out = { x: along.y, y: -along.x };
            return {
              at: { x: place.x + foot.x, y: place.y + foot.y, z: fromMm + onSide.upsMm[k]! },
              up: { ...out, z: 0 },
              along,
            };
          });
          group(toppingForm(topping), topping.acrossMm, topping.highMm, pieces);
          return;
        }
        const pieces = places.map((place, k) => {
          const lie = lies[k];
          const slope = ((lie?.slopeDeg ?? 0) * Math.PI) / 180;
          const away = unit(place);
          return {
            at: onTop(place, lie?.downMm ?? 0),
            up: {
              x: away.x * Math.sin(slope),
              y: away.y * Math.sin(slope),
              z: Math.cos(slope),
            },
            along: turned(),
          };
        });
        group(toppingForm(topping), topping.acrossMm, topping.highMm, pieces);
        return;
      }
      case 'heap': {
        const half = topping.acrossMm / 2;
        const count = Math.min(
          mostBits,
          Math.max(12, Math.round((1.4 * topping.acrossMm ** 2) / bitMm ** 2)),
        );
        const pieces = Array.from({ length: count }, (_, k) => {
          // by the golden angle: evenly over the heap, which is a dome
          const share = Math.sqrt((k + 0.5) / count);
          const a = k * Math.PI * (3 - Math.sqrt(5));
          const r = share * (half - bitMm / 2);
          const place = { x: r * Math.cos(a), y: r * Math.sin(a) };
          const up = Math.max(0, (topping.highMm - bitMm) * (1 - share ** 2));
          return { at: { ...onTop(place, 0), z: topMm + up }, up: upward, along: turned() };
        });
        group(
          { of: 'topping', form: topping.tone === 'nut' ? 'egg' : 'ball' },
          bitMm,
          bitMm,
          pieces,
        );
        return;
      }
      case 'wreath': {
        const line = grow(coarse(plan.rim.outline), -(topping.insetMm + topping.acrossMm / 2));
        if (!line) return;
        const downMm = downAt(plan.rim, widthMm(line) / 2);
        const bit = Math.min(bitMm, topping.acrossMm / 1.6);
        const count = Math.min(mostBits, Math.round((2.2 * perimeterMm(line)) / bit));
        const pieces = placesAlong(line, count).map((place) => {
          const off = (random() - 0.5) * Math.max(0, topping.acrossMm - bit);
          const away = unit(place);
          const at = onTop({ x: place.x + away.x * off, y: place.y + away.y * off }, downMm);
          const up = random() * Math.max(0, topping.highMm - bit);
          return { at: { ...at, z: at.z + up }, up: upward, along: turned() };
        });
        group({ of: 'topping', form: topping.tone === 'leaf' ? 'leaf' : 'ball' }, bit, bit, pieces);
        return;
      }
      case 'drizzle': {
        runs.push({
          ...own,
          wideMm: topping.acrossMm,
          highMm: Math.min(topping.highMm, topping.acrossMm / 2),
          closed: false,
          isRope: false,
          points: zigzag(plan.rim.outline, topping.lengthMm, random).map((place) =>
            onTop(place, 0),
          ),
        });
        return;
      }
      case 'ribbon':
        return;
    }
  });
  return { groups, runs };
}

/** There and back over a top, as so long a drizzle runs: strokes from front to back, side by side. */
function zigzag(outline: Outline, lengthMm: number, random: () => number): Point[] {
  const half = (widthMm(outline) / 2) * 0.9;
  const strokes = Math.max(2, Math.min(24, Math.round(lengthMm / depthMm(outline))));
  return Array.from({ length: strokes + 1 }, (_, k): Point[] => {
    const x = -half + (2 * half * k) / strokes;
    const spans = spansAt(outline, x);
    const [low, high] = [spans[0]?.[0], spans.at(-1)?.[1]];
    if (low === undefined || high === undefined) return [];
    // not quite to the edge, and never twice as far
    const share = 0.82 + 0.1 * random();
    return [{ x, y: (k % 2 === 0 ? low : high) * share }];
  }).flat();
}

/** Bits of what is pressed on are drawn so large, mm, and so many at most. */
const pressedMm = 5;
const mostPressed = 1200;

/** Nuts, crumbs or sprinkles pressed to the side, as many as hide their share of it. */
export function pressedOn(scene: TierScene, step: number): PictureGroup[] {
  const { tier, plan, foot, fromMm, toMm } = scene;
  if (!tier.pressed || tier.fondant) return [];
  const { bandMm, cover, name } = tier.pressed;
  const highMm = Math.min(toMm - fromMm, bandMm ?? toMm - fromMm);
  const areaMm2 = perimeterMm(plan.finished) * highMm;
  const wanted = Math.round((1.3 * cover * areaMm2) / pressedMm ** 2);
  const count = Math.min(mostPressed, wanted);
  // fewer are drawn larger, so that they hide as much
  const acrossMm = pressedMm * Math.sqrt(wanted / Math.max(1, count));
  const random = randomFrom(7);
  const fine = placesAlong(plan.finished, 240);
  const out = facing(fine);
  const pieces = Array.from({ length: count }, () => {
    const k = Math.floor(random() * fine.length);
    const [place, away] = [fine[k]!, out[k]!];
    return {
      at: { x: place.x + foot.x, y: place.y + foot.y, z: fromMm + acrossMm / 2 + random() * Math.max(0, highMm - acrossMm) }, // prettier-ignore
      up: { ...away, z: 0 },
      along: { x: -away.y, y: away.x },
    };
  });
  if (tier.pressed.onTop) {
    const many = Math.round((1.3 * cover * areaOf(plan.rim.outline)) / acrossMm ** 2);
    const half = widthMm(plan.rim.outline) / 2;
    for (let k = 0; k < Math.min(mostPressed, many); k++) {
      // by the golden angle: evenly over the round about the top, and only what lies on it
      const r = half * Math.sqrt((k + 0.5) / many);
      const a = k * Math.PI * (3 - Math.sqrt(5));
      const place = { x: r * Math.cos(a), y: r * Math.sin(a) };
      if (!contains(plan.rim.outline, place, 0)) continue;
      const downMm = downAt(plan.rim, Math.abs(place.x));
      pieces.push({
        at: { x: place.x + foot.x, y: place.y + foot.y, z: toMm - downMm },
        up: upward,
        along: { x: 1, y: 0 },
      });
    }
  }
  return pieces.length === 0
    ? []
    : [
        {
          part: `${tier.id}/coat`,
          tierId: tier.id,
          label: name,
          form: { of: 'topping', form: 'ball' },
          look: pressedOf(scene),
          acrossMm,
          highMm: acrossMm / 2,
          stickMm: 0,
          pieces,
          step,
        },
      ];
}
