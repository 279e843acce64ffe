<script setup lang="ts">
import { limits, planShape, resizeCake, type Build, type Lost } from '@pyrgotect/core';
import { computed, onMounted, ref, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import QuantityField from '../figures/QuantityField.vue';
import { useUnits } from '../figures/units.ts';
import SectionThumb from '../section/SectionThumb.vue';
import { database } from '../storage/database.ts';
import { useHand } from '../stores/hand.ts';
import { usePantry } from '../stores/pantry.ts';
import { useShelf } from '../stores/shelf.ts';
import DialogBox from '../parts/DialogBox.vue';

/** A cake of the shelf, with its look, for another number of guests: a new cake beside it. */
const props = defineProps<{ buildId: string }>();
const emit = defineEmits<{ close: [] }>();
const pantry = usePantry();
const hand = useHand();
const shelf = useShelf();
const units = useUnits();
const router = useRouter();

const lostWords: Record<Lost, string> = {
  tiers: 'the number of tiers',
  tins: 'your own tins: one of this size must be found',
  carving: 'the carving: its cuts are of the old size',
  'hidden centre': 'the hidden centre: it does not fit',
  mould: 'the mould or the shape of the tin',
  'pieces set by hand': 'places of pieces set by hand',
  'dowels set by hand': 'places of dowels set by hand',
  'lengths drawn by hand': 'lengths of drips drawn by hand: they are stretched round the new rim',
};
const build = shallowRef<Build | null>(null);
const servings = ref(40);
onMounted(async () => {
  await hand.ready();
  build.value = (await database.builds.get(props.buildId))?.build ?? null;
  if (build.value) servings.value = Math.min(limits.servings.max, build.value.brief.servings * 2);
});
const answer = computed(() =>
  build.value ? resizeCake(build.value, servings.value, pantry.pantry) : null,
);
const sectionOf = (one: Build) => planShape(one, pantry.pantry, undefined, hand.corrections);
const both = computed(() => {
  if (!build.value || !answer.value?.ok) return [];
  const [was, will] = [sectionOf(build.value), sectionOf(answer.value.build)];
  return [
    { key: 'was', text: 'as it is', plan: was },
    { key: 'will', text: `for ${servings.value}`, plan: will },
  ];
});
const fit = computed(() => ({
  width: Math.max(1, ...both.value.map(({ plan }) => plan.section.halfWidthMm * 2)),
  height: Math.max(1, ...both.value.map(({ plan }) => plan.section.heightMm)),
}));
async function lay(): Promise<void> {
  if (!build.value || !answer.value?.ok) return;
  const name = `${build.value.name.slice(0, 66)}, for ${servings.value}`;
  const laid = await shelf.lay(answer.value.build, name, 'For another number');
  await router.push(`/build/${laid.id}/stack`);
}
</script>

<template>
  <DialogBox max-width="720" @update:model-value="emit('close')">
    <v-card v-if="build" class="resize" data-test="resize">
      <h1>{{ build.name }} for another number</h1>
      <p class="sentence">
        The same cake for
        <QuantityField
          :model-value="servings"
          :of="limits.servings"
          label="Guests"
          @update:model-value="(n) => (servings = n)"
        />
        guests: {{ build.brief.servings }} it was planned for.
      </p>
      <p v-if="answer && !answer.ok" class="lead" role="alert">{{ answer.problem }}</p>
      <template v-if="answer?.ok">
        <div class="both">
          <figure v-for="one in both" :key="one.key">
            <SectionThumb :section="one.plan.section" :width="300" :height="210" :fit-mm="fit" />
            <figcaption>
              <b>{{ one.text }}</b>: {{ one.plan.servings.count }} servings,
              {{ units.text(one.plan.tally.heightMm, 'size') }} high,
              {{ units.text(one.plan.tally.widthMm, 'size') }} wide
            </figcaption>
          </figure>
        </div>
        <p v-if="answer.lost.length === 0" class="lead">
          Layers, fillings, coat, drips, piping and pieces are kept; what goes round the rim goes
          round the new one.
        </p>
        <template v-else>
          <p class="lead">Layers, fillings, coat and looks are kept. Not kept:</p>
          <ul>
            <li v-for="one in answer.lost" :key="one">{{ lostWords[one] }}</li>
          </ul>
        </template>
      </template>
      <p class="buttons">
        <KeyButton color="secondary" :disabled="!answer?.ok" data-test="lay-resized" @click="lay"
          >Lay it on the shelf</KeyButton
        >
        <KeyButton @click="emit('close')">Leave it</KeyButton>
      </p>
    </v-card>
  </DialogBox>
</template>

<style scoped>
.resize {
  padding: 20px 26px;
  display: block;
  overflow: auto;
}
.both {
  display: flex;
  flex-wrap: wrap;
  gap: 16px;
  margin: 12px 0;
}
figure {
  margin: 0;
}
.buttons {
  display: flex;
  gap: 10px;
  margin-top: 14px;
}
</style>
