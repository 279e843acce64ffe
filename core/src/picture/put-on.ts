import { toppingLook } from '../colour/colour.ts';
import type { Topping } from '../document/finish-types.ts';
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
import { placesAlong } from '../piping/shapes.ts';
import { rimPoint } from '../toppings/side.ts';
import { randomFrom } from '../working/random.ts';
import { valueOf } from '../working/staged.ts';
import { pressedOf, type TierScene } from './bodies.ts';
import { facing, unit, upward } from './facing.ts';
import type { PictureGroup, PictureRun, PieceForm, Place } from './types.ts';

/* What is put on a cake and pressed to it. */

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
