import { stepOf, type Build, type TierPlan } from '@pyrgotect/core';
import { ref, type Ref } from 'vue';
import {
  labelOf,
  rangeOfPart,
  setThickness,
  setTierHeight,
  thicknessOfPart,
} from '../parts/part-edits.ts';
import { useBuild } from '../stores/build.ts';
import { useSettings } from '../stores/settings.ts';
import { useUnits } from '../figures/units.ts';
import type { Scale } from './scale.ts';

interface Dragged {
  build: () => Build;
  /** The tier whose height is dragged. */
  tower: () => TierPlan;
  scale: () => Scale;
  /** Keeps the scale while something is held, or the drawing would run from the finger. */
  held: Ref<Scale | null>;
  /** Where the height is told while it is dragged. */
  heightAt: () => { x: number; y: number };
}

/** Thickness and height by dragging: the value follows the finger, snapped to the unit's step; shift takes all alike. */
export function useSectionDrag({ build, tower, scale, held, heightAt }: Dragged) {
  const store = useBuild();
  const settings = useSettings();
  const units = useUnits();
  const tip = ref<{ x: number; y: number; text: string } | null>(null);
  const stepMm = (): number => stepOf('thickness', settings.system);

  function drag(
    id: string,
    startMm: number,
    byPx: number,
    shift: boolean,
    at: { x: number; y: number },
  ): void {
    const step = stepMm();
    const { min, max } = rangeOfPart(id);
    const wanted = Math.round((startMm + byPx / scale().pxPerMm) / step) * step;
    const mm = Math.min(max, Math.max(min, wanted));
    setThickness(id, mm, shift);
    const now = thicknessOfPart(store.build ?? build(), id) ?? mm;
    tip.value = { ...at, text: `${labelOf(id)}: ${units.text(now, 'thickness')}` };
  }
  function nudge(id: string, steps: number, shift: boolean): void {
    const now = thicknessOfPart(build(), id);
    if (now === null) return;
    const { min, max } = rangeOfPart(id);
    setThickness(id, Math.min(max, Math.max(min, now + steps * stepMm())), shift);
  }
  function hold(): void {
    held.value = { ...scale() };
    store.endRun();
  }
  function letGo(): void {
    held.value = null;
    tip.value = null;
    store.endRun();
  }

  /** Layers are stretched by how far the stack is to grow: what the knife takes off stays as it is. */
  function dragHeight(startMm: number, byPx: number): void {
    const step = stepMm();
    const wanted = Math.round((startMm + byPx / scale().pxPerMm) / step) * step;
    setTierHeight(tower().tierId, wanted, tower().stack.uncutMm);
    tip.value = {
      ...heightAt(),
      text: `height ${units.text(store.cake?.tally.heightMm ?? wanted, 'span')}`,
    };
  }
  function nudgeHeight(steps: number): void {
    const now = tower().stack.uncutMm;
    setTierHeight(tower().tierId, now + steps * stepMm(), now);
  }
  return { tip, drag, nudge, hold, letGo, dragHeight, nudgeHeight };
}
