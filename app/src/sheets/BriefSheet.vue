<script setup lang="ts">
import {
  allergens,
  coatStyles,
  diets,
  limits,
  portionBlocks,
  styleRows,
  type Allergen,
  type Build,
  type Caution,
  type Cutting,
  type Diet,
  type CakePlan,
  type Portion,
  heldBy,
  valueWord,
} from '@pyrgotect/core';
import { computed, ref } from 'vue';
import CautionList from '../figures/CautionList.vue';
import ChoiceField from '../figures/ChoiceField.vue';
import FigureValue from '../figures/FigureValue.vue';
import HoldsLine from '../figures/HoldsLine.vue';
import QuantityField from '../figures/QuantityField.vue';
import { useUnits } from '../figures/units.ts';
import BuildSheets from '../templates/BuildSheets.vue';
import CuttingMap from './CuttingMap.vue';
import DraftDialog from './DraftDialog.vue';
import LastTime from './LastTime.vue';
import OrderPanel from './OrderPanel.vue';
import TierStrip from '../parts/TierStrip.vue';
import { useSheet } from './useSheet.ts';
import WeightOrder from './WeightOrder.vue';
import WhenField from '../figures/WhenField.vue';
import WordField from '../figures/WordField.vue';

const props = defineProps<{ build: Build; plan: CakePlan }>();
const emit = defineEmits<{ goTo: [caution: Caution] }>();
const units = useUnits();
const { store, pantry, tier, cautionsOf } = useSheet(props);
const foodG = computed(() => {
  const board = pantry.pantry.boards.find((row) => row.id === props.build.boardId);
  const { massG } = props.plan.tally;
  return massG === null || !board ? null : massG - board.massG;
});
const cautions = cautionsOf('brief');
const drafting = ref(false);
const brief = computed(() => props.build.brief);

const edit = (label: string, change: Partial<Build['brief']>): void =>
  store.edit(label, (draft) => void Object.assign(draft.brief, change));
const blockText = (portion: Portion): string => {
  const block = portionBlocks[portion];
  return `${units.text(block.wideMm, 'span')} × ${units.text(block.deepMm, 'span')}`;
};
const portionChoices = computed<{ value: Portion; text: string }[]>(() => [
  { value: 'dessert', text: `dessert portions, ${blockText('dessert')}` },
  { value: 'small', text: `small portions, ${blockText('small')}` },
]);
const cuttingChoices: { value: Cutting; text: string }[] = [
  { value: 'grid', text: 'blocks, placed for the most' },
  { value: 'middle grid', text: 'blocks, first cut through the middle' },
  { value: 'rings', text: 'rings from the outside in' },
  { value: 'wedges', text: 'wedges' },
];
const why: Record<Cutting, string> = {
  grid: 'The grid is shifted until most blocks are at least three quarters cake. Most servings; the cutter needs the map.',
  'middle grid':
    'The trade’s habit: halve it, then work outwards. Easier without a map, a few servings fewer.',
  rings: 'A circle one portion deep, cut into slices; then the next ring. Usual for tall rounds.',
  wedges: 'As at home. Wedges are larger than blocks, so there are fewer of them.',
};
const lookChoices = coatStyles.map((style) => ({
  value: style,
  text: styleRows[style].title.toLowerCase(),
}));
const title = computed(() =>
  props.plan.servings.spare < 0
    ? `${-props.plan.servings.spare} servings short`
    : props.plan.servings.spare === 0
      ? `${props.plan.servings.count} servings, none over`
      : `${props.plan.servings.count} servings, ${props.plan.servings.spare} over`,
);
function setLook(look: Build['brief']['look']): void {
  store.edit('Look', (draft) => {
    draft.brief.look = look;
    for (const each of draft.tiers) {
      each.coat.style = look;
      each.coat.crumbMm = each.coat.sideMm = each.coat.topMm = null;
    }
  });
}
function toggle(allergen: Allergen): void {
  const out = new Set(brief.value.keepOut);
  if (!out.delete(allergen)) out.add(allergen);
  edit('Kept out', { keepOut: [...out] });
}
function toggleDiet(diet: Diet): void {
  const kept = new Set(brief.value.diets);
  if (!kept.delete(diet)) kept.add(diet);
  edit('Diets', { diets: [...kept] });
}
</script>

<template>
  <div>
    <h1 data-test="sheet-title">{{ title }}</h1>
    <p v-if="build.isPattern" class="lead" data-test="pattern">
      A pattern: kept to make cakes from, without a date. The shelf makes a cake from it.
    </p>
    <LastTime v-if="build.order.likeId" :like-id="build.order.likeId" />
    <p class="sentence">
      For
      <QuantityField
        :model-value="brief.servings"
        :of="limits.servings"
        label="Servings wanted"
        @update:model-value="(n) => edit('Servings', { servings: n })"
      />
      guests, in
      <ChoiceField
        :model-value="brief.portion"
        label="Portion"
        :options="portionChoices"
        @update:model-value="(portion) => edit('Portion', { portion })"
      />, cut as
      <ChoiceField
        :model-value="brief.cutting"
        label="Way of cutting"
        :options="cuttingChoices"
        @update:model-value="(cutting) => edit('Cutting', { cutting })"
      />. It should look
      <ChoiceField
        :model-value="brief.look"
        label="Look"
        :options="lookChoices"
        @update:model-value="setLook"
      />
      <template v-if="!build.isPattern">and be served</template>
      <WhenField
        v-if="!build.isPattern"
        nullable
        label="Date and time of serving"
        :model-value="brief.serveAt?.slice(0, 16) ?? ''"
        @update:model-value="edit('Serving time', { serveAt: $event || null })"
      />
    </p>
    <p class="start">
      <KeyButton variant="flat" data-test="draft" @click="drafting = true"> Draft it </KeyButton>
      <span class="soft"
        >whole cakes to choose from, of one tier or several; your brief stays as it is</span
      >
    </p>

    <div class="map">
      <CuttingMap
        :outline="tier.outline"
        :portion="brief.portion"
        :cutting="brief.cutting"
        :size="252"
      />
      <div>
        <TierStrip :build="build" :tier-id="tier.id" :may-add="false" />
        <h2>How it is cut</h2>
        <p class="lead">{{ why[brief.cutting] }}</p>
        <p>
          <FigureValue :value="plan.servings.count" kind="count" figure="servings" large /> servings
          <template v-if="plan.servings.portionG !== null">
            of about <FigureValue :value="plan.servings.portionG" kind="small" figure="portion" />
          </template>
        </p>
        <v-checkbox
          :model-value="brief.halves"
          label="cut across at half height first, two portions above each other"
          @update:model-value="edit('Halves', { halves: !brief.halves })"
        />
      </div>
    </div>

    <BuildSheets v-if="plan.servings.count > 0" :build="build" :plan="plan" kind="cutting" />

    <CautionList :cautions="cautions" @go="(caution) => emit('goTo', caution)" />

    <WeightOrder :build="build" :mass-g="foodG" />

    <OrderPanel :build="build" />
    <h2>For whom and where</h2>
    <div class="words">
      <WordField
        name="occasion"
        :most="80"
        :model-value="brief.occasion"
        @update:model-value="edit('Occasion', { occasion: $event })"
      />
      <WordField
        name="place and way there"
        :most="80"
        :model-value="brief.place"
        @update:model-value="edit('Place', { place: $event })"
      />
      <WordField
        class="all"
        name="notes"
        :most="2000"
        :model-value="brief.notes"
        @update:model-value="edit('Notes', { notes: $event })"
      />
    </div>

    <h2>Keep out of it</h2>
    <p class="chips">
      <KeyButton
        v-for="allergen in allergens"
        :key="allergen"
        size="small"
        :variant="brief.keepOut.includes(allergen) ? 'flat' : 'outlined'"
        :aria-pressed="brief.keepOut.includes(allergen)"
        @click="toggle(allergen)"
      >
        {{ valueWord(allergen) }}
      </KeyButton>
    </p>
    <p class="lead">
      <HoldsLine :held="heldBy(plan)" />
      What it may have touched in your kitchen the program cannot know; your local food code says
      what to declare.
    </p>
    <h2>The guests eat</h2>
    <p class="chips">
      <KeyButton
        v-for="diet in diets"
        :key="diet"
        size="small"
        :variant="brief.diets.includes(diet) ? 'flat' : 'outlined'"
        :aria-pressed="brief.diets.includes(diet)"
        @click="toggleDiet(diet)"
      >
        {{ valueWord(diet) }}
      </KeyButton>
    </p>
    <DraftDialog v-if="drafting" :build="build" @close="drafting = false" />
  </div>
</template>

<style scoped src="./brief-words.css" />
<style scoped>
.start {
  display: flex;
  gap: 12px;
  align-items: center;
  margin: 12px 0 4px;
}
.map {
  display: grid;
  grid-template-columns: 252px 1fr;
  gap: 24px;
  align-items: start;
  margin-top: 14px;
}
.map h2 {
  margin-top: 6px;
}
.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
@media (max-width: 700px) {
  .map {
    grid-template-columns: 1fr;
  }
}
</style>
