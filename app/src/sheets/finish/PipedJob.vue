<script setup lang="ts">
import {
  lengthForms,
  limits,
  newPiped,
  nozzleForms,
  pipedForms,
  pipedPlaces,
  pipingMin,
  type Build,
  type Piped,
  type PipedForm,
  type PipedPlace,
  type PipingJob,
  type PlannedPiping,
  valueWord,
} from '@pyrgotect/core';
import { computed } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { usePantry } from '../../stores/pantry.ts';
import { useUnits } from '../../figures/units.ts';
import TintField from '../../colours/TintField.vue';
import WordField from '../../figures/WordField.vue';

/** One thing that is piped: of what, how, where, and what that comes to. */
const props = defineProps<{
  job: PipingJob;
  build: Build;
  planned: PlannedPiping | null;
  /** The tier that is worked on, for a job that begins to be fitted. */
  tierId: string;
}>();
const emit = defineEmits<{ change: [to: Partial<PipingJob>]; drop: [] }>();
const { text } = useUnits();
const pantry = usePantry();
const piped = computed(() => props.job.piped);
const set = (to: Partial<Piped>): void => {
  if (piped.value) emit('change', { piped: { ...piped.value, ...to } });
};

const spreads = computed(() => [
  { value: '', text: 'the coat’s frosting' },
  ...pantry.pantry.spreads.filter((s) => s.canCoat).map((s) => ({ value: s.id, text: s.name })),
]);
const formWords: Partial<Record<PipedForm, string>> = {
  shell: 'shells',
  star: 'stars',
  kiss: 'kisses',
  rosette: 'rosettes',
  dollop: 'dollops',
  ruffle: 'ruffles',
  leaf: 'leaves',
  rope: 'a rope',
  line: 'a line',
  vine: 'a vine',
};
const forms = pipedForms.map((value) => ({ value, text: formWords[value] ?? valueWord(value) }));
const nozzles = nozzleForms.map((value) => ({ value, text: valueWord(value) }));
const placeWords: Record<PipedPlace, string> = {
  'top edge': 'round the edge of the top',
  foot: 'round the foot',
  side: 'round the side',
  'whole side': 'all over the side, in rows',
  'on top': 'in a ring on the top',
  apart: 'apart, by its length',
};
const places = pipedPlaces.map((value) => ({ value, text: placeWords[value] }));
const tiers = computed(() => props.build.tiers.map((t) => ({ value: t.id, text: t.name })));
const isLength = computed(() => piped.value && lengthForms.includes(piped.value.form));
/** A form begins with the nozzle that makes it. */
function setForm(form: PipedForm): void {
  const nozzle: Partial<Record<PipedForm, Piped['nozzle']>> = {
    rosette: 'closed star',
    kiss: 'round',
    dollop: 'round',
    line: 'round',
    vine: 'round',
    writing: 'round',
    leaf: 'leaf',
    ruffle: 'petal',
    shell: 'open star',
    star: 'open star',
    rope: 'open star',
  };
  const fine = form === 'writing' || form === 'line' || form === 'vine';
  set({
    form,
    nozzle: nozzle[form] ?? 'round',
    ...(fine ? { wideMm: 2 } : piped.value!.wideMm < 4 ? { wideMm: 8 } : {}),
    ...(form === 'writing' ? { where: 'on top', text: piped.value!.text || 'Jubilee' } : {}),
  });
}
const minutes = computed(() =>
  text(pipingMin(props.planned ?? props.job, pantry.pantry.kitchen), 'minutes'),
);
function fit(): void {
  emit('change', { piped: newPiped(props.tierId) });
}
function byWeight(): void {
  const { massG = 0, pieces = 0, lineMm = 0 } = props.planned ?? {};
  emit('change', { piped: null, massG: Math.round(massG), pieces, lineMm: Math.round(lineMm) });
}
</script>

<template>
  <section class="job" :data-test="`job-${job.name}`">
    <p class="sentence">
      <WordField
        class="word"
        :most="80"
        aria-label="What is piped"
        :model-value="job.name"
        @update:model-value="emit('change', { name: $event || 'piping' })"
      />
      of
      <ChoiceField
        :model-value="job.spreadId ?? ''"
        label="Frosting for piping"
        :options="spreads"
        @update:model-value="(id) => emit('change', { spreadId: id || null })"
      />,
      <TintField
        label="Colour of the piping"
        :model-value="job.tint"
        @update:model-value="emit('change', { tint: $event })"
      />:
      <template v-if="!piped">
        <QuantityField
          :model-value="job.massG"
          :of="limits.pipingG"
          label="Amount for piping"
          @update:model-value="(g) => emit('change', { massG: g })"
        />
        in
        <QuantityField
          :model-value="job.pieces"
          :of="limits.pipedPieces"
          label="Pieces piped"
          @update:model-value="(n) => emit('change', { pieces: n })"
        />
        pieces and
        <QuantityField
          :model-value="job.lineMm"
          :of="limits.pipedMm"
          label="Length piped"
          @update:model-value="(mm) => emit('change', { lineMm: mm })"
        />
        of line.
        <KeyButton size="small" @click="fit">Fit it round instead</KeyButton>
      </template>
      <template v-else>
        <ChoiceField
          :model-value="piped.form"
          label="Form that is piped"
          :options="forms"
          @update:model-value="setForm"
        />
        <template v-if="piped.form === 'writing'">
          “<WordField
            class="word"
            :most="80"
            aria-label="What is written"
            :model-value="piped.text"
            @update:model-value="set({ text: $event })"
          />” with letters
          <QuantityField
            :model-value="piped.letterMm"
            :of="limits.letterMm"
            label="Height of the letters"
            @update:model-value="(mm) => set({ letterMm: mm })"
          />
          high,
        </template>
        from
        <ChoiceField
          :model-value="piped.nozzle"
          label="Nozzle"
          :options="nozzles"
          @update:model-value="(nozzle) => set({ nozzle })"
        />
        nozzle,
        <QuantityField
          :model-value="piped.wideMm"
          :of="limits.nozzleWideMm"
          label="Width of the nozzle"
          @update:model-value="(mm) => set({ wideMm: mm })"
        />
        wide<template v-if="piped.form === 'rosette'"
          >,
          <QuantityField
            :model-value="2 * piped.radiusMm"
            :of="{
              kind: 'thickness',
              min: 2 * limits.rosetteMm.min,
              max: 2 * limits.rosetteMm.max,
            }"
            label="Across a rosette"
            @update:model-value="(mm) => set({ radiusMm: mm / 2 })"
          />
          across</template
        >,
        <ChoiceField
          :model-value="piped.where"
          label="Where it is piped"
          :options="places"
          @update:model-value="(where) => set({ where })"
        /><template v-if="piped.where === 'apart'"
          >:
          <QuantityField
            :model-value="piped.lengthMm"
            :of="limits.apartMm"
            label="Length piped apart"
            @update:model-value="(mm) => set({ lengthMm: mm })" /></template
        ><template v-if="piped.where === 'side'">
          at
          <QuantityField
            :model-value="piped.upMm"
            :of="limits.upMm"
            label="Height of the line above the foot"
            @update:model-value="(mm) => set({ upMm: mm })" /></template
        ><template v-if="piped.where === 'on top'"
          >,
          <QuantityField
            :model-value="piped.insetMm"
            :of="limits.insetFromRimMm"
            label="In from the rim"
            @update:model-value="(mm) => set({ insetMm: mm })"
          />
          in</template
        ><template v-if="build.tiers.length > 1">
          of
          <ChoiceField
            :model-value="piped.tierId"
            label="Tier it is piped on"
            :options="tiers"
            @update:model-value="(tierId) => set({ tierId })" /></template
        >.
      </template>
    </p>
    <p v-if="piped && planned" class="sentence comes">
      <template v-if="!isLength">
        <QuantityField
          :model-value="piped.count"
          :of="limits.pipedPieces"
          label="Pieces round it"
          :auto="`${planned.pieces}, as many as there is room for`"
          nullable
          @update:model-value="(n) => set({ count: n })"
        />
        pieces<v-checkbox
          :model-value="piped.odd"
          label="an odd number"
          @update:model-value="set({ odd: !piped!.odd })"
        />,
      </template>
      <template v-else>{{ text(planned.lineMm, 'size') }} of it, </template>
      <b>{{ text(planned.massG, 'bowl') }}</b>, about {{ minutes }}. One
      {{ isLength ? '10 cm piece' : 'piece' }} weighs
      <QuantityField
        :model-value="piped.weighedG"
        :of="limits.weighedG"
        :label="isLength ? 'Ten centimetres of it, weighed' : 'One piece, weighed'"
        :auto="isLength ? 'by the table' : `${text(planned.pieceG ?? 0, 'fineMass')} by the table`"
        nullable
        @update:model-value="(g) => set({ weighedG: g })"
      />; try it on a strip of {{ text(planned.practiceMm, 'span') }} first.
      <KeyButton variant="text" size="small" @click="byWeight">by weight alone</KeyButton>
    </p>
    <p v-else class="sentence comes">About {{ minutes }}.</p>
    <KeyButton
      class="off"
      variant="text"
      size="small"
      :aria-label="`Leave off ${job.name}`"
      @click="emit('drop')"
    >
      ×
    </KeyButton>
  </section>
</template>

<style scoped>
.job {
  position: relative;
  padding: 6px 34px 8px 0;
  border-top: 1px solid var(--line);
}
.off {
  position: absolute;
  right: 0;
  top: 8px;
}
.comes {
  font-size: var(--size-text);
}
.word.v-input {
  width: 13em;
}
.short {
  width: 6.5em;
}
</style>
