<script setup lang="ts">
import {
  limits,
  newOnSide,
  picks,
  tones,
  toppingOf,
  type Build,
  type Pick,
  type Tier,
  type Topping,
  type ToppingPlan,
  valueWord,
} from '@pyrgotect/core';
import { computed } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import QuantityField from '../../figures/QuantityField.vue';
import FoodPick from '../../pantry/FoodPick.vue';
import { usePantry } from '../../stores/pantry.ts';
import { useUnits } from '../../figures/units.ts';
import WordField from '../../figures/WordField.vue';
import TintField from '../../colours/TintField.vue';
import ToppingCrisp from './ToppingCrisp.vue';
import ToppingHeap from './ToppingHeap.vue';
import ModelledFields from './ModelledFields.vue';
import RibbonFields from './RibbonFields.vue';
import SidePlaces from './SidePlaces.vue';
import ToppingSlab from './ToppingSlab.vue';
import TopPlaces from './TopPlaces.vue';

/** One topping in sentences: what, how many, where, held by what, when. */
const props = defineProps<{ plan: ToppingPlan; build: Build; tier: Tier; on: boolean }>();
const emit = defineEmits<{ change: [to: Partial<Topping>]; drop: [] }>();
const { text } = useUnits();
const pantry = usePantry();
const topping = computed(() => props.plan.topping);
const set = (to: Partial<Topping>): void => emit('change', to);

const pickWords: Record<Pick, string> = {
  none: 'on its own',
  pick: 'by a pick each',
  stick: 'by a stick each',
  wire: 'by a wire each',
};
const pickChoices = picks.map((value) => ({ value, text: pickWords[value] }));
const toneChoices = tones.map((value) => ({ value, text: `drawn as ${valueWord(value)}` }));
const ganaches = computed(() =>
  pantry.pantry.ganaches.map((row) => ({ value: row.id, text: row.name })),
);
const links = computed(() => [
  { value: '', text: 'counted by themselves' },
  ...props.build.piping
    .filter((job) => job.piped)
    .map((job) => ({ value: job.id, text: job.name })),
  ...props.tier.toppings
    .filter((other) => other.id !== topping.value.id && other.kind === 'pieces')
    .map((other) => ({ value: other.id, text: other.name })),
]);
const isPieces = computed(() => topping.value.kind === 'pieces');
</script>

<template>
  <section class="topping" :class="{ on }" :data-test="`topping-${topping.name}`">
    <p class="sentence">
      <FoodPick
        v-if="topping.eaten && topping.kind !== 'drizzle'"
        :model-value="topping.foodId"
        :name="topping.name"
        label="Topping"
        @pick="
          (food) =>
            set(isPieces ? toppingOf(food) : { foodId: food.id, name: food.name, allergens: [] })
        "
      />
      <WordField
        v-else
        class="word"
        :most="80"
        needed
        aria-label="Topping"
        :model-value="topping.name"
        @update:model-value="set({ name: $event })"
      />
      <template v-if="isPieces">
        of
        <template v-if="topping.tray || topping.modelled">{{
          text(plan.pieceG, 'fineMass')
        }}</template>
        <QuantityField
          v-else
          :model-value="topping.pieceG"
          :of="limits.pieceG"
          label="One piece weighs"
          @update:model-value="(g) => set({ pieceG: g })"
        />,
        <QuantityField
          :model-value="topping.acrossMm"
          :of="limits.pieceMm"
          label="Across a piece"
          @update:model-value="(mm) => set({ acrossMm: mm })"
        />
        across and
        <QuantityField
          :model-value="topping.highMm"
          :of="limits.pieceMm"
          label="Height of a piece"
          @update:model-value="(mm) => set({ highMm: mm })"
        />
        high:
        <template v-if="topping.linkedTo === null">
          <QuantityField
            :model-value="topping.count"
            :of="limits.toppingCount"
            label="How many pieces"
            @update:model-value="(n) => set({ count: n })"
          />
          <v-checkbox
            :model-value="topping.odd"
            label="an odd number"
            @update:model-value="set({ odd: !topping.odd })"
          />,
        </template>
        <template v-else>
          {{ plan.count }}, one for every
          <QuantityField
            :model-value="topping.every"
            :of="limits.every"
            label="One for every"
            @update:model-value="(n) => set({ every: n })"
          />
          of
        </template>
        <ChoiceField
          :model-value="topping.linkedTo ?? ''"
          label="Counted by"
          :options="links"
          @update:model-value="(id) => set({ linkedTo: id || null })"
        />,
        <ChoiceField
          :model-value="topping.side ? 'side' : 'top'"
          label="On the top or the side"
          :options="[
            { value: 'top', text: 'on the top' },
            { value: 'side', text: 'on the side' },
          ]"
          @update:model-value="(where) => set({ side: where === 'side' ? newOnSide() : null })"
        />
        <SidePlaces
          v-if="topping.side"
          :side="topping.side"
          :pick="topping.pick !== 'none'"
          @change="(side) => set({ side })"
        />
        <TopPlaces v-else :topping="topping" @change="set" />; held
        <ChoiceField
          :model-value="topping.pick"
          label="Held by"
          :options="pickChoices"
          @update:model-value="(pick) => set({ pick })"
        />.
      </template>
      <template v-else-if="topping.kind === 'drizzle'">
        of
        <ChoiceField
          :model-value="topping.ganacheId ?? ''"
          label="What is drizzled"
          :options="ganaches"
          @update:model-value="(id) => set({ ganacheId: id })"
        />,
        <QuantityField
          :model-value="topping.lengthMm"
          :of="limits.apartMm"
          label="Length of the drizzle"
          @update:model-value="(mm) => set({ lengthMm: mm })"
        />
        in a bead
        <QuantityField
          :model-value="topping.acrossMm"
          :of="{ kind: 'thickness', min: limits.pieceMm.min, max: 20 }"
          label="Width of the bead"
          @update:model-value="(mm) => set({ acrossMm: mm })"
        />
        wide.
      </template>
      <RibbonFields
        v-else-if="topping.kind === 'ribbon'"
        :topping="topping"
        :long-mm="plan.ribbonMm ?? 0"
        @change="set"
      />
      <ToppingHeap v-else :topping="topping" @change="set" />
    </p>
    <ModelledFields v-if="isPieces && topping.modelled" :topping="topping" @change="set" />
    <p class="sentence comes">
      <b>{{ text(plan.massG, 'small') }}</b><template v-if="isPieces">
        for {{ plan.count }}</template
      ><template v-if="plan.sinks">, <b class="mind">too heavy for the soft top</b></template
      ><template v-if="plan.sliding > 0"
        >, <b class="mind">{{ plan.sliding }} on too steep a slope</b></template
      ><template v-if="plan.seatG > 0">, on {{ text(plan.seatG, 'small') }} of seats</template
      ><template v-if="plan.onSide?.hold.slides"
        >, <b class="mind">too heavy for so small a foot on an upright side</b></template
      ><template
        v-if="isPieces && !plan.onSide && plan.steepestDegrees < 89.5 && topping.pick === 'none'"
        >; on a slope of more than {{ Math.round(plan.steepestDegrees) }}° they slide</template
      >.
      <v-checkbox
        :model-value="topping.last"
        label="on at the last moment"
        @update:model-value="set({ last: !topping.last })"
      />
      <ToppingCrisp v-if="topping.kind !== 'ribbon'" :plan="plan" :build="build" @change="set" />
    </p>
    <ToppingSlab
      v-if="isPieces && !topping.modelled"
      class="sentence comes"
      :plan="plan"
      @change="set"
    />
    <p class="sentence comes">
      <ChoiceField
        v-if="topping.kind !== 'drizzle'"
        :model-value="topping.tone"
        label="Pattern in drawings"
        :options="toneChoices"
        @update:model-value="(tone) => set({ tone })"
      />
      coloured
      <TintField
        :model-value="topping.tint"
        :label="`Colour of ${topping.name}`"
        @update:model-value="(tint) => set({ tint })"
      />
      <v-checkbox
        v-if="topping.kind !== 'drizzle'"
        :model-value="!topping.eaten"
        label="not to be eaten: counted, and off before it is cut"
        @update:model-value="set({ eaten: !topping.eaten, foodId: null, allergens: [] })"
      />
    </p>
    <KeyButton
      class="off"
      variant="text"
      size="small"
      :aria-label="`Leave off ${topping.name}`"
      @click="emit('drop')"
    >
      ×
    </KeyButton>
  </section>
</template>

<style scoped>
.topping {
  position: relative;
  padding: 6px 34px 8px 10px;
  border-top: 1px solid var(--line);
  border-left: 3px solid transparent;
}
.topping.on {
  border-left-color: var(--accent);
}
.off {
  position: absolute;
  right: 0;
  top: 8px;
}
.comes {
  font-size: var(--size-text);
  line-height: 1.8;
}
.mind {
  color: var(--warn);
}
.word.v-input {
  width: 13em;
}
</style>
