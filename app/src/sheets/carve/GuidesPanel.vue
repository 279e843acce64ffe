<script setup lang="ts">
import {
  clockName,
  limits,
  newCarving,
  templatesOf,
  type Build,
  type Guide,
  type CakePlan,
} from '@pyrgotect/core';
import { computed, ref } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { downloadBytes } from '../../parts/download.ts';
import { fileName } from '../../parts/file-name.ts';
import FullSizeKeys from '../../templates/FullSizeKeys.vue';
import { linesPath } from '../../section/tones.ts';
import { plain } from '../../storage/builds.ts';
import { useSettings } from '../../stores/settings.ts';
import { useUnits } from '../../figures/units.ts';
import { useSheet } from '../useSheet.ts';

/** Cross-sections to work to: 24 distances from the axis at each height, and templates at full size. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const { store, tier, tierPlan } = useSheet(props);
const settings = useSettings();
const { text } = useUnits();
const carve = computed(() => tierPlan.value.carve);
const guides = computed(() => carve.value?.result?.guides ?? []);
const at = ref(0);
const guide = computed<Guide | null>(
  () => guides.value[Math.min(at.value, guides.value.length - 1)] ?? null,
);
const options = computed(() =>
  guides.value.map((each, i) => ({
    value: String(i),
    text: each.upMm === 0 ? 'the foot' : `${text(each.upMm, 'span')}, ${each.label}`,
  })),
);
const drawing = computed(() => {
  if (!guide.value) return null;
  const reach = Math.max(1, ...guide.value.lines.flat().map(([x, y]) => Math.hypot(x, y)));
  const px = 82 / reach;
  const X = (mm: number): number => 100 + mm * px;
  const Y = (mm: number): number => 100 - mm * px;
  return {
    path: linesPath(guide.value.lines, X, Y),
    rays: guide.value.outMm.map((mm, i) => {
      const a = (i * 15 * Math.PI) / 180;
      return { x: X(Math.sin(a) * (mm ?? 0)), y: Y(Math.cos(a) * (mm ?? 0)) };
    }),
  };
});
const heights = (recipe: (list: number[]) => void): void =>
  store.edit('Heights of the guides', (draft) => {
    const own = draft.tiers.find((each) => each.id === tier.value.id)!;
    own.carving ??= newCarving();
    recipe(own.carving.guidesMm);
  });
const chosenHeights = computed(() => tier.value.carving?.guidesMm ?? []);
const isWorking = ref(false);
const problem = ref('');
const name = computed(() =>
  props.build.tiers.length > 1 ? `${props.build.name}, ${tier.value.name}` : props.build.name,
);
const sheets = () =>
  carve.value?.result ? templatesOf(carve.value.result, plain(settings.system)) : [];
async function saveSolid(as: 'stl' | '3mf'): Promise<void> {
  const question = carve.value?.question;
  if (!question) return;
  isWorking.value = true;
  problem.value = '';
  try {
    const { askSolids } = await import('../../workers/solids.ts');
    const bytes = await askSolids((solids) => solids.file(plain(question), as, name.value));
    downloadBytes(`${fileName(name.value)}.${as}`, bytes, as === 'stl' ? 'model/stl' : 'model/3mf');
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
  isWorking.value = false;
}
</script>

<template>
  <div data-test="guides">
    <p v-if="!guide" class="lead">Guides are drawn once something is cut.</p>
    <template v-else>
      <p class="sentence">
        Section at
        <ChoiceField
          :model-value="String(Math.min(at, guides.length - 1))"
          label="Height of the section"
          :options="options"
          @update:model-value="(i) => (at = Number(i))"
        />: how far the knife’s line is from the axis, by the clock seen from above.
      </p>
      <div class="both">
        <svg
          v-if="drawing"
          width="200"
          height="200"
          role="img"
          aria-label="The section from above, back uppermost"
        >
          <line
            v-for="(ray, i) in drawing.rays"
            :key="i"
            x1="100"
            y1="100"
            :x2="ray.x"
            :y2="ray.y"
            class="ray"
          />
          <path :d="drawing.path" />
          <text x="100" y="12" text-anchor="middle" font-size="12.5">12 back</text>
          <text x="100" y="198" text-anchor="middle" font-size="12.5">6 front</text>
        </svg>
        <table class="ledger">
          <thead>
            <tr>
              <th>Bearing</th>
              <th class="end">from the axis</th>
              <th>Bearing</th>
              <th class="end">from the axis</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="i in 12" :key="i">
              <td>{{ (i - 1) * 15 }}°{{ i % 2 ? ` ${clockName((i - 1) * 15)}` : '' }}</td>
              <td class="end">
                {{ guide.outMm[i - 1] === null ? 'none' : text(guide.outMm[i - 1]!, 'span') }}
              </td>
              <td>{{ (i + 11) * 15 }}°{{ i % 2 ? ` ${clockName((i + 11) * 15)}` : '' }}</td>
              <td class="end">
                {{ guide.outMm[i + 11] === null ? 'none' : text(guide.outMm[i + 11]!, 'span') }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <h2>Heights besides the layers’ own</h2>
      <p class="sentence">
        <template v-for="(mm, i) in chosenHeights" :key="i">
          <QuantityField
            :model-value="mm"
            :of="limits.guideMm"
            :label="`Height of guide ${i + 1}`"
            @update:model-value="(to) => heights((list) => void (list[i] = to))"
          />
          <KeyButton
            variant="text"
            size="small"
            :aria-label="`Take out guide ${i + 1}`"
            @click="heights((list) => void list.splice(i, 1))"
          >
            ×
          </KeyButton>
        </template>
        <KeyButton
          v-if="chosenHeights.length < limits.guides.max"
          size="small"
          @click="heights((list) => void list.push(Math.round((carve?.result?.topMm ?? 100) / 2)))"
        >
          One more height
        </KeyButton>
      </p>
      <h2>At full size</h2>
      <p class="lead">
        Every section, the front and the right side, one to one, over as many pages as they take.
        Print at 100 % and measure the bar on the page before anything is cut from it.
      </p>
      <FullSizeKeys :sheets="sheets" :name="name" what="templates">
        <KeyButton size="small" :disabled="isWorking" @click="saveSolid('stl')">
          Solid, STL
        </KeyButton>
        <KeyButton size="small" :disabled="isWorking" @click="saveSolid('3mf')">
          Solid, 3MF
        </KeyButton>
      </FullSizeKeys>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    </template>
  </div>
</template>

<style scoped>
.both {
  display: flex;
  flex-wrap: wrap;
  gap: 18px;
  align-items: flex-start;
  margin-top: 8px;
}
svg path {
  fill: var(--oat);
  stroke: var(--ink);
  stroke-width: 1.6;
  fill-rule: evenodd;
  fill-opacity: 0.6;
}
.ray {
  stroke: var(--soft);
  stroke-width: 0.8;
}
.ledger :nth-child(3) {
  padding-left: 18px;
}
.problem {
  color: var(--stop);
  font-weight: 600;
}
</style>
