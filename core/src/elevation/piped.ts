import { lookOf } from '../colour/colour.ts';
import type { Build } from '../document/types.ts';
import type { Look } from '../pantry/types.ts';
import { isDrawnByRow } from '../finish/piping.ts';
import type { ShapePlan } from '../plan/shape-plan.ts';
import { fromBehind, seenFrom } from './seen.ts';

export type AddPiped = (
  tierId: string,
  id: string,
  kind: 'piping',
  label: string,
  tone: Look,
  x: [number, number],
  y: [number, number],
) => void;

/** What is piped on a tier as it is seen from the front, the nearest last. */
export function addPiped(
  plan: ShapePlan,
  build: Build,
  tierId: string,
  from: number,
  high: number,
  add: AddPiped,
  toneOfSpread: (id: string) => Look,
): void {
  plan.piping.forEach((job) => {
    if (job.piped?.tierId !== tierId) return;
    const tone = lookOf(build.colours, job.tint, toneOfSpread(job.spread));
    const onTop = job.piped.where === 'on top' || job.piped.where === 'top edge';
    const onSide = job.piped.where === 'side' || job.piped.where === 'whole side';
    const index = build.piping.findIndex((each) => each.id === job.id);
    // on a side it stands out towards us, as high as it is across
    const [low, tall] = onSide ? [job.acrossMm / 2, job.acrossMm] : [0, job.highMm];
    let k = 0;
    for (const { upMm, places } of job.rows) {
      const y = from + Math.min(upMm, high) - low;
      const xs = (onTop ? fromBehind(places) : seenFrom(places)).map(({ x }) => x);
      const spans = isDrawnByRow(job)
        ? [[Math.min(...xs), Math.max(...xs)] as const]
        : xs.map((x) => [x, x] as const);
      for (const [left, right] of spans)
        add(
          tierId,
          `piping/${index}/${k++}`,
          'piping',
          job.name,
          tone,
          [left - job.acrossMm / 2, right + job.acrossMm / 2],
          [y, y + tall],
        );
    }
  });
}
