import {
  areaMm2,
  equivalentRadiusMm,
  fitRim,
  orderLayers,
  tiltOf,
  wedgeOf,
  type LevelLayer,
  type LevelResult,
  type Tier,
} from '@pyrgotect/core';
import { computed, type ComputedRef } from 'vue';
import { usePantry } from '../../stores/pantry.ts';
import { useAnswer } from '../../workers/useAnswer.ts';

/** "half past 4 o'clock" is too much: whole and half hours. */
export function hourText(hour: number): string {
  const half = Math.round(hour * 2) / 2;
  const whole = Math.floor(half) % 12 || 12;
  return half % 1 === 0 ? `${whole} o’clock` : `between ${whole} and ${(whole % 12) + 1} o’clock`;
}

/** The layers of a tier that were measured, the best turns for them, and what is left as they are turned. */
export function useLevel(tier: ComputedRef<Tier>) {
  const pantry = usePantry();
  const measured = computed(() =>
    tier.value.layers.flatMap((layer, index) => {
      const fit = fitRim(layer.rimMm);
      const solve: LevelLayer | null = fit && {
        fit,
        radiusMm: equivalentRadiusMm(tier.value.outline),
        flipped: layer.flipped,
      };
      return solve ? [{ index, layer, solve }] : [];
    }),
  );
  const layers = computed(() => measured.value.map((m) => m.solve));
  const { answer, current, trouble, again } = useAnswer<LevelLayer[], LevelResult>(
    () => (layers.value.length >= 2 && layers.value.length <= 8 ? layers.value : null),
    (solver, question) => solver.level(question),
  );
  /** Null while rims have changed and their turns are not worked out yet. */
  const best = computed(() => (current.value ? answer.value : null));
  const now = computed(() =>
    tiltOf(
      layers.value,
      measured.value.map((m) => m.layer.turnSteps ?? 0),
    ),
  );
  const density = computed(() => {
    const id = tier.value.gaps.at(-1)?.spreadId ?? tier.value.coat.spreadId;
    return pantry.pantry.spreads.find((row) => row.id === id)?.densityGPerMl ?? 1;
  });
  const wedge = computed(() => wedgeOf(now.value, areaMm2(tier.value.outline), density.value));
  const order = computed(() => (layers.value.length > 1 ? orderLayers(layers.value) : null));
  return { measured, best, now, wedge, order, trouble, again };
}
