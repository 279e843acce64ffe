<script setup lang="ts">
import {
  apartKey,
  batchWays,
  leftFor,
  limits,
  ownMeasures,
  showText,
  type BatchBy,
  type Bowl,
  type BowlUse,
  type Build,
  type CakePlan,
  type CoolPlace,
  type PlannedHold,
  valueWord,
} from '@pyrgotect/core';
import { computed, ref } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import FigureValue from '../../figures/FigureValue.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { placeWords } from '../../pantry/place-words.ts';
import PlannedElsewhere from '../../pantry/PlannedElsewhere.vue';
import { stockChoice } from '../../pantry/stock-words.ts';
import { useSettings } from '../../stores/settings.ts';
import { useUnits } from '../../figures/units.ts';
import { fixed } from '../../locale/number.ts';
import IngredientList from '../IngredientList.vue';
import TermWord from '../../help/TermWord.vue';
import { useSheet } from '../useSheet.ts';

/** One bowl after the other, use by use, in grams and in one's own measures; and its batches. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const settings = useSettings();
const units = useUnits();
const { store, pantry } = useSheet(props);
const bowls = computed(() => (props.plan.bowls.ok ? props.plan.bowls.value : []));
const chosen = ref('');
const bowl = computed<Bowl | undefined>(
  () => bowls.value.find((b) => b.id === chosen.value) ?? bowls.value[0],
);
const batch = computed(() => props.plan.batches.find((b) => b.id === bowl.value?.batchId));
const kitchen = computed(() => pantry.pantry.kitchen);
const mass = (g: number): string => units.text(g, 'small');
const cups = (ml: number): string => showText(ml, 'volume', { ...settings.system, volume: 'cups' });
const few = (n: number | null): string =>
  n === null ? '' : n < 10 ? (Math.round(n * 2) / 2).toString() : Math.round(n).toString();
const own = (use: BowlUse) => ownMeasures(use.ml, kitchen.value, use.roundMm);
const batchWords: Record<BatchBy, string> = {
  grams: 'scaled to the gram',
  'half recipes': 'in halves of the recipe',
  'whole recipes': 'in whole recipes',
};
const batchChoices = batchWays.map((value) => ({ value, text: batchWords[value] }));
/** Waits in which it cools, where it may stand elsewhere. */
const cooled = computed(() =>
  (batch.value?.holds ?? []).filter(({ toC, ways }) => toC !== null && ways.length > 0),
);
const waysOf = ({ ways }: PlannedHold) =>
  ways.map(({ place, minutes }) => ({
    value: place,
    text: `${placeWords[place]}, ${units.text(minutes, 'minutes')}`,
  }));
function coolIn(where: CoolPlace): void {
  const { spreadId } = bowl.value!;
  store.edit('Where it cools', (draft) => {
    draft.day.cooling = [
      ...draft.day.cooling.filter((one) => one.spreadId !== spreadId),
      { spreadId, where },
    ];
  });
}
/** Bowls of it that were put away, beside none of them. */
const putAway = computed(() => [
  { value: '', text: 'nothing, it is made anew' },
  ...pantry.pantry.stock
    .filter(({ layer, madeOfId }) => layer === null && madeOfId === bowl.value?.spreadId)
    .map((row) => ({
      value: row.id,
      text: stockChoice(row, leftFor(row, props.build.id), units.text),
    })),
]);
const fromStock = computed(
  () => props.build.fromStock.find((one) => one.spreadId === bowl.value?.spreadId)?.stockId ?? '',
);
const usedUp = computed(() => pantry.pantry.stock.find(({ id }) => id === fromStock.value));
function useUp(stockId: string): void {
  const { spreadId } = bowl.value!;
  store.edit('Used up first', (draft) => {
    draft.fromStock = [
      ...draft.fromStock.filter((one) => one.spreadId !== spreadId),
      ...(stockId ? [{ spreadId, stockId }] : []),
    ];
  });
}
const isApart = computed(() => bowl.value?.apart !== null);
const kinds = computed(() => new Set(bowl.value?.uses.map((use) => use.kind)));
function takeApart(use: BowlUse): void {
  const { spreadId, tint } = bowl.value!;
  store.edit('A bowl of its own', (draft) => {
    draft.apart.push(apartKey(spreadId, tint, use.kind));
  });
}
function putBack(): void {
  const { spreadId, tint, apart } = bowl.value!;
  if (apart === null) return;
  store.edit('Back into the bowl', (draft) => {
    draft.apart = draft.apart.filter((key) => key !== apartKey(spreadId, tint, apart));
  });
}
const colours = computed(
  () => bowls.value.filter((b) => b.spreadId === bowl.value?.spreadId && b.apart === null).length,
);
const together = computed(() => !props.build.mixedApart.includes(bowl.value?.spreadId ?? ''));
function setTogether(to: boolean): void {
  const id = bowl.value!.spreadId;
  store.edit('Mixed together or apart', (draft) => {
    draft.mixedApart = draft.mixedApart.filter((other) => other !== id);
    if (!to) draft.mixedApart.push(id);
  });
}
</script>

<template>
  <div v-if="bowl && batch" data-test="shared-out">
    <div class="choose" role="group" aria-label="Bowl">
      <KeyButton
        v-for="each in bowls"
        :key="each.id"
        size="small"
        :variant="each.id === bowl.id ? 'flat' : 'outlined'"
        :aria-pressed="each.id === bowl.id"
        @click="chosen = each.id"
      >
        {{ each.name }}
      </KeyButton>
    </div>
    <h2>
      {{ bowl.name }}:
      <FigureValue :value="bowl.makeG" kind="bowl" :figure="`bowl/${bowl.id}/make`" />
    </h2>
    <table class="ledger">
      <thead>
        <tr>
          <th scope="col">in working order</th>
          <th scope="col" class="end">{{ settings.system.mass }}</th>
          <th scope="col" class="end">cups</th>
          <th scope="col" class="end">scoops</th>
          <th scope="col" class="end">spoons</th>
          <th scope="col" class="end">turns</th>
          <th scope="col"><span class="visually-hidden">bowl</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(use, i) in bowl.uses" :key="i">
          <td>{{ use.label }}</td>
          <td class="end">
            <b>{{ mass(use.massG) }}</b>
          </td>
          <td class="end">{{ cups(use.ml) }}</td>
          <td class="end">{{ few(own(use).scoops) }}</td>
          <td class="end">{{ few(own(use).spoons) }}</td>
          <td class="end">{{ few(own(use).turns) }}</td>
          <td class="end">
            <KeyButton
              v-if="
                !isApart && kinds.size > 1 && bowl.uses.findIndex((u) => u.kind === use.kind) === i
              "
              variant="text"
              size="small"
              @click="takeApart(use)"
            >
              own bowl
            </KeyButton>
          </td>
        </tr>
        <tr v-for="loss in bowl.losses" :key="loss.kind" class="loss">
          <td>lost: {{ loss.label }}</td>
          <td class="end">{{ mass(loss.massG) }}</td>
          <td colspan="5" />
        </tr>
        <tr class="loss">
          <td>likely left over</td>
          <td class="end">{{ mass(bowl.leftG) }}</td>
          <td colspan="5" />
        </tr>
        <tr class="sum">
          <td>to make</td>
          <td class="end">
            <b>{{ units.text(bowl.makeG, 'bowl') }}</b>
          </td>
          <td colspan="5" />
        </tr>
        <tr v-if="batch.stock" class="loss" data-test="bowl-stock">
          <td>of its batch, put away before: {{ batch.stock.name }}</td>
          <td class="end">{{ units.text(batch.stock.massG, 'bowl') }}</td>
          <td colspan="5" />
        </tr>
      </tbody>
    </table>
    <p class="lead">
      A scoop of {{ units.text(kitchen.scoopMl, 'volume') }}, a heaped spoon of
      {{ units.text(kitchen.spoonMl, 'volume') }}, turns of a
      {{ units.text(kitchen.nozzleMm, 'thickness') }} nozzle round the cake: yours are in the
      pantry, under Kitchen.
    </p>
    <p v-if="isApart">
      <KeyButton size="small" @click="putBack">Put it back into its bowl</KeyButton>
    </p>
    <p v-if="bowl.tinted" class="aside">{{ units.say(bowl.tinted.words) }}</p>

    <p class="sentence">
      Batches are made
      <ChoiceField
        :model-value="build.batchBy"
        label="Batches"
        :options="batchChoices"
        @update:model-value="
          (by) =>
            store.edit('Batches', (d) => {
              d.batchBy = by;
            })
        "
      />; of each coat
      <QuantityField
        :model-value="build.reserveShare"
        :of="limits.reserveShare"
        label="Kept for patching"
        @update:model-value="
          (n) =>
            store.edit('Kept for patching', (d) => {
              d.reserveShare = n;
            })
        "
      />
      is <TermWord id="reserve">kept for patching</TermWord>.
      <template v-if="colours > 1">
        The {{ colours }} bowls of this frosting are
        <ChoiceField
          :model-value="together ? 'together' : 'apart'"
          label="Mixed together or apart"
          :options="[
            { value: 'together', text: 'made as one batch and divided' },
            { value: 'apart', text: 'mixed one by one' },
          ]"
          @update:model-value="(to) => setTogether(to === 'together')"
        />.
      </template>
    </p>
    <p v-if="putAway.length > 1" class="sentence">
      Used up first:
      <ChoiceField
        :model-value="fromStock"
        label="What is used up first"
        :options="putAway"
        @update:model-value="useUp"
      />.
    </p>
    <PlannedElsewhere v-if="usedUp" :build="build" :row="usedUp" />
    <p v-for="hold in cooled" :key="hold.after" class="sentence" data-test="cooling">
      It cools
      <ChoiceField
        :model-value="hold.place"
        label="Where it cools"
        :options="waysOf(hold)"
        @update:model-value="coolIn"
      />
      {{ hold.why === 'cooled' ? 'to' : ', and rests; it is below' }}
      <b>{{ units.text(hold.toC!, 'temperature') }}</b>{{
        hold.why === 'cooled' ? '' : ' before that'
      }}{{ hold.guessed ? '; its recipe does not say how' : '' }}.
    </p>
    <IngredientList
      v-for="recipe in batch.mixes > 0 ? [...batch.parts, batch.recipe] : []"
      :key="recipe.recipeId"
      :title="recipe.name"
      :ingredients="recipe.ingredients"
      :note="`${recipe !== batch.recipe ? 'made first' : batch.mixes === 1 ? 'one mixing' : `each of ${batch.mixes} mixings`} of ${units.text(recipe.makesG, 'bowl')}, ${fixed(recipe.factor, 2)} times the recipe${recipe !== batch.recipe || batch.largestMixG === null ? '' : `; your ${valueWord(batch.limit ?? '')} takes ${units.text(batch.largestMixG, 'bowl')} at once`}`"
    />
  </div>
</template>

<style scoped>
table {
  width: 100%;
}
.choose {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-bottom: 10px;
}
.loss td {
  color: var(--soft);
}
.sum td {
  border-top: 2px solid var(--ink);
  font-weight: 600;
}
.aside {
  border-left: 4px solid var(--accent);
  background: var(--accent-wash);
  padding: 7px 12px;
  margin-top: 8px;
}
</style>
