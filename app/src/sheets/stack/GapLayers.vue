<script setup lang="ts">
import {
  isBare,
  gapOrders,
  gapWays,
  limits,
  newPieces,
  setGap,
  usualGapMm,
  type Build,
  type CakePlan,
  type Gap,
  type GapLaid,
  type Pieces,
} from '@pyrgotect/core';
import { computed } from 'vue';
import TintField from '../../colours/TintField.vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import FigureValue from '../../figures/FigureValue.vue';
import QuantityField from '../../figures/QuantityField.vue';
import FoodPick from '../../pantry/FoodPick.vue';
import { useSheet } from '../useSheet.ts';

/** One filling as it is laid: how the filling goes on, which pieces lie in it, in which order, and a sauce. */
const props = defineProps<{ build: Build; plan: CakePlan; index: number }>();
const { pantry, tier, tierPlan, editTier, choices } = useSheet(props);

const gap = computed(() => tier.value.gaps[props.index]!);
const planned = computed(() =>
  tierPlan.value.gaps.ok ? tierPlan.value.gaps.value[props.index] : undefined,
);
const n = computed(() => props.index + 1);
const sauces = computed(() => choices(pantry.pantry.spreads.filter((s) => s.canFill)));
const laidWords: Record<GapLaid, string> = {
  spread: 'spread level',
  rings: 'piped in rings',
  spiral: 'piped in a spiral',
  dots: 'piped in dots',
  loose: 'left out: loose pieces alone',
};
const ways = [
  ...gapWays.map((value) => ({ value, text: laidWords[value] })),
  { value: 'bare' as const, text: 'left out: layer on layer' },
];
const orderWords: Record<Gap['order'], string> = {
  'filling first': 'the pieces on it',
  'pieces first': 'the pieces first, and it over them',
};
const orders = gapOrders.map((value) => ({ value, text: orderWords[value] }));
const hows = [
  { value: 'packed' as const, text: 'packed' },
  { value: 'scattered' as const, text: 'scattered' },
];

const change = (label: string, to: Partial<Gap>): void =>
  editTier(label, (t) => setGap(t, props.index, to));
const setPieces = (pieces: Pieces[]): void => change('Pieces in the filling', { pieces });
const set = (id: string, to: Partial<Pieces>): void =>
  setPieces(gap.value.pieces.map((one) => (one.id === id ? { ...one, ...to } : one)));
const add = (): Pieces[] => [...gap.value.pieces, newPieces()];
/** As thick as another filling of the tier, where this one had none, mm. */
const otherMm = (): number => tier.value.gaps.find((one) => !isBare(one))?.heightMm ?? usualGapMm;
/** Nothing between is no height; loose pieces alone need some. */
const setLaid = (laid: GapLaid | 'bare'): void =>
  laid === 'bare'
    ? change('No filling', { heightMm: 0 })
    : change('How the filling is laid', {
        laid,
        ...(isBare(gap.value) ? { heightMm: otherMm() } : {}),
        ...(laid === 'loose' && gap.value.pieces.length === 0 ? { pieces: add() } : {}),
      });
</script>

<template>
  <span>
    The filling is
    <ChoiceField
      :model-value="isBare(gap) ? 'bare' : gap.laid"
      :label="`How filling ${n} is laid`"
      :options="ways"
      @update:model-value="setLaid"
    /><template v-if="gap.laid !== 'loose' && !isBare(gap)"
      >, coloured
      <TintField
        :model-value="gap.tint"
        :label="`Colour of filling ${n}`"
        @update:model-value="(tint) => change('Colour of the filling', { tint })" /></template
    ><template v-if="gap.pieces.length > 0 && gap.laid !== 'loose' && !isBare(gap)"
      >,
      <ChoiceField
        :model-value="gap.order"
        :label="`Order of filling ${n}`"
        :options="orders"
        @update:model-value="(order) => change('Order of the filling', { order })" /></template
    >.
    <template v-if="!isBare(gap)">
      <span v-for="(one, k) in gap.pieces" :key="one.id" class="kind" data-test="gap-pieces">
        <FoodPick
          :model-value="one.foodId"
          :name="one.name"
          :label="`Pieces ${k + 1} in filling ${n}`"
          @pick="(food) => set(one.id, { foodId: food.id, name: food.name, allergens: [] })"
        />,
        <ChoiceField
          :model-value="one.how"
          :label="`How pieces ${k + 1} lie in filling ${n}`"
          :options="hows"
          @update:model-value="(how) => set(one.id, { how })"
        />:
        <template v-if="one.how === 'packed'">
          <QuantityField
            :model-value="one.share"
            :of="limits.packing"
            :label="`Share of filling ${n} that is pieces ${k + 1}`"
            @update:model-value="(share) => set(one.id, { share })"
          />
          of the room
        </template>
        <template v-else>
          <QuantityField
            :model-value="one.gPerCm2"
            :of="limits.gPerCm2"
            :label="`Grams of pieces ${k + 1} to the square centimetre on layer ${n}`"
            @update:model-value="(gPerCm2) => set(one.id, { gPerCm2 })"
          />
          g/cm²
        </template>
        <template v-if="planned?.pieces[k]">
          (<FigureValue
            :value="planned.pieces[k].g"
            kind="small"
            :figure="`${tier.id}/gap/${index}/pieces/${one.id}`"
          />)
        </template>
        <KeyButton size="small" @click="setPieces(gap.pieces.filter(({ id }) => id !== one.id))">
          no {{ one.name }}
        </KeyButton>
      </span>
      <KeyButton
        v-if="gap.pieces.length < limits.gapPieces.max"
        size="small"
        @click="setPieces(add())"
      >
        {{ gap.pieces.length > 0 ? 'more pieces' : 'with pieces' }}
      </KeyButton>
      <template v-if="gap.drizzle">
        and
        <QuantityField
          :model-value="gap.drizzle.gPerCm2"
          :of="limits.gPerCm2"
          :label="`Grams of sauce to the square centimetre on layer ${n}`"
          @update:model-value="(g) => change('Sauce', { drizzle: { ...gap.drizzle!, gPerCm2: g } })"
        />
        g/cm² of
        <ChoiceField
          :model-value="gap.drizzle.spreadId"
          :label="`Sauce on layer ${n}`"
          :options="sauces"
          @update:model-value="
            (spreadId) => change('Sauce', { drizzle: { ...gap.drizzle!, spreadId } })
          "
        />, coloured
        <TintField
          :model-value="gap.drizzle.tint"
          :label="`Colour of the sauce on layer ${n}`"
          @update:model-value="
            (tint) => change('Colour of the sauce', { drizzle: { ...gap.drizzle!, tint } })
          "
        />
        <KeyButton size="small" @click="change('Sauce', { drizzle: null })"> no sauce </KeyButton>
      </template>
      <KeyButton
        v-else
        size="small"
        @click="
          change('Sauce', {
            drizzle: { spreadId: sauces.at(-1)?.value ?? gap.spreadId, gPerCm2: 0.15, tint: '' },
          })
        "
      >
        with sauce
      </KeyButton>
    </template>
  </span>
</template>

<style scoped>
.kind {
  display: block;
}
.key {
  margin-right: 6px;
}
</style>
