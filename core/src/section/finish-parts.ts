import { downAt, type Rim } from '../mould/rim.ts';
import { toppingLook } from '../colour/colour.ts';
import type { Colour } from '../document/types.ts';
import type { FinishPlan } from '../finish/finish-plan.ts';
import type { ToppingPlan } from '../finish/toppings.ts';
import type { PlannedPiping } from '../finish/piping.ts';
import { coarse, grow, widthMm, type Outline } from '../outline/outline.ts';
import type { Look, Tone } from '../pantry/types.ts';
import { placesAlong } from '../piping/shapes.ts';
import { chocolateOf, kindOfChocolate } from '../ganache/chocolates.ts';
import type { Food, Ganache } from '../pantry/types.ts';
import { valueOf } from '../working/staged.ts';

/** A job of the build with the hatch of what it is piped with. */
export interface PipedTone {
  job: PlannedPiping;
  tone: Look;
}

/** One shape of the finish in a tier's section: from its axis and its foot, mm. */
export interface FinishShape {
  id: string;
  kind: 'veil' | 'flood' | 'drip' | 'piping' | 'topping';
  label: string;
  tone: Look;
  /** Which drip along the rim it is. */
  drip?: number;
  x: [number, number];
  y: [number, number];
}

/** Hatch of a ganache: white chocolate is pale, caramel is amber, all else is dark. */
export function toneOfPoured(row: Ganache, foods: readonly Food[]): Tone {
  if (row.fluid === 'caramel' || row.fluid === 'butterscotch sauce') return 'caramel';
  if (row.fluid === 'sugar glaze') return 'ivory';
  if (row.fluid === 'mirror glaze') return 'berry';
  const chocolate = chocolateOf(foods.find((food) => food.id === row.chocolateId));
  return chocolate && kindOfChocolate(chocolate) === 'white' ? 'cream' : 'ganache';
}

/** Of places round an outline, the one nearest the cut on the right and on the left. */
function atCut<T extends { x: number; y: number }>(places: readonly T[]): { right?: T; left?: T } {
  const near: { right?: T; left?: T } = {};
  for (const place of places) {
    if (place.x === 0) continue;
    const side = place.x > 0 ? 'right' : 'left';
    const best = near[side];
    if (!best || Math.abs(place.y) < Math.abs(best.y)) near[side] = place;
  }
  return near;
}

/** The poured veil, which lies under everything else. */
export function veilShape(
  finish: FinishPlan,
  finished: Outline,
  heightMm: number,
  tone: Look,
): FinishShape[] {
  const pour = valueOf(finish.pour);
  if (!pour) return [];
  const out = widthMm(finished) / 2 + pour.veilMm;
  return [
    {
      id: 'pour',
      kind: 'veil',
      label: 'poured coat',
      tone,
      x: [-out, out],
      y: [0, heightMm + Math.min(3, 2 * pour.veilMm)],
    },
  ];
}

/** Pieces on the side where the cut goes through them: half sunk in their seat, standing out. */
function addOnSide(
  { topping, places, onSide }: ToppingPlan,
  i: number,
  finished: Outline,
  colours: readonly Colour[],
  shapes: FinishShape[],
): void {
  const { acrossMm, highMm } = topping;
  places.forEach((place, k) => {
    if (Math.abs(place.y) > acrossMm / 2 || Math.abs(place.x) < widthMm(finished) / 4) return;
    const out = Math.sign(place.x);
    const [near, far] = [place.x, place.x + out * highMm];
    const upMm = onSide!.upsMm[k]!;
    shapes.push({
      id: `topping/${i}/${k}`,
      kind: 'topping',
      label: topping.name,
      tone: toppingLook(topping, colours),
      x: [Math.min(near, far), Math.max(near, far)],
      y: [upMm - acrossMm / 2, upMm + acrossMm / 2],
    });
  });
}

/** Flood, drips, piping and toppings of a tier where the cut meets them, back to front. */
export function finishShapes(
  tierId: string,
  finish: FinishPlan,
  finished: Outline,
  rim: Rim,
  heightMm: number,
  piping: readonly PipedTone[],
  toneOfDrip: Look,
  floodMm: number,
  colours: readonly Colour[],
): FinishShape[] {
  const shapes: FinishShape[] = [];
  const half = widthMm(rim.outline) / 2;
  const rimMm = heightMm - rim.downMm;
  const drip = valueOf(finish.drip);
  if (drip) {
    const places = placesAlong(rim.outline, drip.count).map((place, i) => ({ ...place, i }));
    if (floodMm > 0)
      shapes.push({
        id: 'flood',
        kind: 'flood',
        label: 'flood on top',
        tone: toneOfDrip,
        x: [-half, half],
        y: [rimMm, heightMm + floodMm],
      });
    const { right, left } = atCut(places);
    for (const [name, place, side] of [
      ['right', right, 1],
      ['left', left, -1],
    ] as const) {
      if (!place) continue;
      const one = drip.drips[place.i]!;
      const edges = [side * half, side * (half + one.meanMm)];
      shapes.push({
        id: `drip/${name}`,
        kind: 'drip',
        label: `drip ${place.i + 1}`,
        tone: toneOfDrip,
        drip: place.i,
        x: [Math.min(...edges), Math.max(...edges)],
        y: [rimMm - one.lengthMm, rimMm + Math.max(1, floodMm)],
      });
    }
  }
  piping.forEach(({ job, tone }, i) => {
    if (job.piped?.tierId !== tierId) return;
    const onSide = job.piped.where === 'side' || job.piped.where === 'whole side';
    job.rows.forEach(({ upMm, places }, k) => {
      const { right, left } = atCut(places);
      for (const mark of [right, left]) {
        if (!mark) continue;
        const out = mark === right ? job.highMm : -job.highMm;
        const half = job.acrossMm / 2;
        shapes.push({
          id: `piping/${i}/${k > 0 ? `${k}/` : ''}${mark === right ? 'right' : 'left'}`,
          kind: 'piping',
          label: job.name,
          tone,
          // on a side it stands out of it
          x: onSide
            ? [Math.min(mark.x, mark.x + out), Math.max(mark.x, mark.x + out)]
            : [mark.x - half, mark.x + half],
          y: onSide ? [upMm - half, upMm + half] : [upMm, upMm + job.highMm],
        });
      }
    });
  });
  finish.toppings.forEach((one, i) => {
    const { topping, places, lies, onSide } = one;
    const { acrossMm, highMm } = topping;
    const add = (
      id: string,
      x: number,
      across: number,
      downMm = downAt(rim, Math.abs(x)),
    ): void => {
      const foot = heightMm + floodMm - downMm;
      shapes.push({
        id: `topping/${i}/${id}`,
        kind: 'topping',
        label: topping.name,
        tone: toppingLook(topping, colours),
        x: [x - across / 2, x + across / 2],
        y: [foot, foot + highMm],
      });
    };
    if (topping.kind === 'heap') add('heap', 0, acrossMm);
    if (topping.kind === 'wreath') {
      const line = grow(coarse(rim.outline), -(topping.insetMm + acrossMm / 2));
      if (line) {
        add('right', widthMm(line) / 2, acrossMm);
        add('left', -widthMm(line) / 2, acrossMm);
      }
    }
    if (onSide) {
      addOnSide(one, i, finished, colours, shapes);
      return;
    }
    if (topping.kind === 'pieces')
      places.forEach((place, k) => {
        if (Math.abs(place.y) <= acrossMm / 2) add(String(k), place.x, acrossMm, lies[k]?.downMm);
      });
  });
  return shapes;
}
