<script setup lang="ts">
import { diets, heldBy, type Build, type Diet, type CakePlan, valueWord } from '@pyrgotect/core';
import { computed } from 'vue';
import FigureValue from '../../figures/FigureValue.vue';
import HoldsLine from '../../figures/HoldsLine.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { useUnits } from '../../figures/units.ts';
import { useSheet } from '../useSheet.ts';

/** What it costs and weighs, who can eat it, and what it holds. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const units = useUnits();
const { pantry, store } = useSheet(props);
const money = (value: number): string => units.text(value, 'money');
const price = computed(() => store.plan?.price ?? null);
const words: Record<Diet, string> = {
  vegetarian: 'vegetarian',
  vegan: 'vegan',
  'no alcohol': 'free of alcohol',
  'no gelatine': 'free of gelatine',
  'no nuts': 'free of nuts',
  'no gluten': 'free of gluten',
};
const perTier = computed(() =>
  props.build.tiers.map((tier, i) => ({ name: tier.name, answers: props.plan.tierDiets[i]! })),
);
const setRate = (value: number | null): void => {
  if (value !== null) void pantry.saveKitchen({ ...pantry.pantry.kitchen, hourlyRate: value });
};
</script>

<template>
  <div data-test="cost">
    <template v-if="price">
      <h2>
        <FigureValue :value="price.total" kind="money" figure="price" />
        <template v-if="price.perServing !== null"
          >, {{ money(price.perServing) }} a serving</template
        >
      </h2>
      <p class="sentence">
        {{ money(price.ingredients) }} of ingredients,
        <template v-if="price.putAway > 0"
          >{{ money(price.putAway) }} for what was put away before,
        </template>
        {{ money(price.board) }} for board and dowels, and
        <template v-if="store.plan && store.plan.tally.handsOnMin !== null">
          {{ units.text(store.plan.tally.handsOnMin, 'minutes') }} of hands at
        </template>
        <QuantityField
          :model-value="pantry.pantry.kitchen.hourlyRate"
          :of="{ kind: 'money', min: 0, max: 10000 }"
          label="Price of an hour"
          @update:model-value="setRate"
        />
        an hour, {{ money(price.labour) }}.
        <template v-if="plan.tally.massG !== null">
          It weighs <FigureValue :value="plan.tally.massG" kind="weight" figure="mass" /> on its
          board.
        </template>
      </p>
      <p v-if="price.unpriced.length > 0" class="lead">
        Without a price, and so not in it: {{ price.unpriced.join(', ') }}. Prices and packs are in
        the pantry, under Ingredients; those it starts with are made up.
      </p>
      <p v-else class="lead">
        Prices and packs are in the pantry, under Ingredients; those it starts with are made up.
      </p>
    </template>
    <p v-else class="lead">The cost cannot be worked out yet.</p>

    <h2>Who can eat it</h2>
    <table class="ledger">
      <thead>
        <tr>
          <th scope="col">it is</th>
          <th v-for="tier in perTier" :key="tier.name" scope="col">{{ tier.name }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="diet in diets" :key="diet" :class="{ asked: build.brief.diets.includes(diet) }">
          <td>{{ words[diet] }}</td>
          <td v-for="tier in perTier" :key="tier.name">
            {{ valueWord(tier.answers[diet]) }}
          </td>
        </tr>
      </tbody>
    </table>
    <p class="lead">
      <HoldsLine :held="heldBy(plan)" />
      What was on the same tools the program cannot know; your local food code says what to declare.
    </p>
  </div>
</template>

<style scoped>
.asked td {
  font-weight: 700;
}
</style>
