import { type Build, type CakePlan, type SectionPart, type TierPlan, word } from '@pyrgotect/core';
import { computed } from 'vue';
import { labelOf, partName, rangeOfPart, thicknessOfPart } from '../parts/part-edits.ts';
import { useUnits } from '../figures/units.ts';
import { spread, type Scale } from './scale.ts';

/** A part of the section as it is drawn, px. */
export interface PartBox {
  part: SectionPart;
  x: number;
  y: number;
  w: number;
  h: number;
}
interface Drawn {
  build: () => Build;
  plan: () => CakePlan;
  boxes: () => PartBox[];
  /** The tier that has figures and handles; other tiers are named only. */
  tower: () => TierPlan;
  scale: () => Scale;
  /** Right of that tier, px. */
  edgeX: () => number;
  height: () => number;
  /** From mm to px. */
  X: (mm: number) => number;
  Y: (mm: number) => number;
}

/** Figures and handles of the layers and fillings of one tier. */
export function useSectionLabels({ build, plan, boxes, tower, scale, edgeX, height, X, Y }: Drawn) {
  const units = useUnits();
  /** Its layers and fillings. */
  const figured = computed(() =>
    boxes()
      .filter(
        ({ part }) =>
          part.tierId === tower().tierId && (part.kind === 'layer' || part.kind === 'gap'),
      )
      .map((box) => (box.part.lines ? asStacked(box) : box)),
  );
  /** What is carved is named where it lay in the stack: offcuts set back on lie elsewhere. */
  function asStacked<T extends { part: SectionPart; y: number; h: number }>(box: T): T {
    const name = partName(box.part.id);
    const { stack, tierId } = tower();
    const from = plan().section.tiers.find((t) => t.tierId === tierId)?.fromMm ?? 0;
    const at = (name?.kind === 'gap' ? stack.gaps : stack.layers)[name?.index ?? 0];
    if (!at) return box;
    return { ...box, y: Y(from + at.toMm), h: (at.toMm - at.fromMm) * scale().pxPerMm };
  }

  /** A slider on the upper edge of every layer and gap: dragging it thickens that part. */
  const handles = computed(() =>
    figured.value.map(({ part, y }) => ({
      id: part.id,
      label: `${labelOf(part.id)}, thickness`,
      y,
      x: edgeX() + (part.kind === 'layer' ? 13 : 31),
      from: X(part.x0),
      mm: thicknessOfPart(build(), part.id) ?? 0,
      range: rangeOfPart(part.id),
    })),
  );

  /** A filling that settles reads as spread and as it comes to rest. */
  function thicknessText(part: SectionPart): string {
    const shown = (mm: number): string => units.text(mm, 'thickness');
    const own = shown(thicknessOfPart(build(), part.id) ?? 0);
    const name = partName(part.id);
    const tier = plan().tiers.find((t) => t.tierId === name?.tierId);
    if (part.kind !== 'gap' || !name || !tier) return own;
    const settled = shown(tier.stack.gaps[name.index]?.settledMm ?? 0);
    return settled === own ? own : `${own.replace(/\s?(mm|in)$/, '')} → ${settled}`;
  }
  const labels = computed(() => {
    const shown = figured.value;
    const wanted = shown.map((box) => box.y + box.h / 2);
    const placed = spread(wanted, 15, 30, Math.max(40, height() - 40));
    return shown.map(({ part }, i) => ({
      id: part.id,
      at: wanted[i]!,
      y: placed[i]!,
      text: thicknessText(part),
      kind:
        part.kind === 'layer' ? `layer ${Number(part.id.split('/').at(-1)) + 1}` : word('filling'),
    }));
  });
  return { handles, labels };
}
