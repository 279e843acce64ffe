<script setup lang="ts">
import {
  freshId,
  fondantId,
  heapHighMm,
  limits,
  newOnSide,
  newTopping,
  perimeterMm,
  sideStripes,
  toneOfPoured,
  lookOf,
  topSeen,
  type Look,
  type Build,
  type CakePlan,
  type Tone,
  type Topping,
  word,
} from '@pyrgotect/core';
import { computed, ref } from 'vue';
import { useSettings } from '../../stores/settings.ts';
import { useUnits } from '../../figures/units.ts';
import { useSheet } from '../useSheet.ts';
import ToppingFields from './ToppingFields.vue';
import SideView from './SideView.vue';
import TopView from './TopView.vue';

/** What is put on a tier's top and side: where it stands, what it weighs, whether that bears it. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const settings = useSettings();
const { text } = useUnits();
const { pantry, tier, tierPlan, editTier } = useSheet(props);
const plans = computed(() => tierPlan.value.finish.toppings);
/** On the top, by their places in the list; what is on the side leaves no mark there. */
const onTop = computed(() =>
  plans.value.map((one) => (one.topping.side ? { ...one, places: [] } : one)),
);
const chosen = ref(0);
const above = computed(() => {
  const i = props.plan.tiers.findIndex((t) => t.tierId === tier.value.id);
  return props.plan.tiers[i + 1]?.finished ?? null;
});
const toneOf = (spreadId: string): Tone =>
  pantry.pantry.spreads.find((row) => row.id === spreadId)?.tone ?? 'ivory';
const topTone = computed<Look>(() =>
  topSeen(tier.value, tierPlan.value, props.build.colours, pantry.pantry),
);
const piping = computed(() =>
  props.plan.piping
    .filter(
      ({ piped }) =>
        piped?.tierId === tier.value.id && piped.where !== 'side' && piped.where !== 'whole side',
    )
    .map((job) => ({ job, tone: lookOf(props.build.colours, job.tint, toneOf(job.spread)) })),
);
const change = (i: number, to: Partial<Topping>): void =>
  editTier('Topping', (t) => void Object.assign(t.toppings[i]!, to));
const starters: { text: string; of: Partial<Topping> }[] = [
  { text: 'Berries or fruit', of: {} },
  {
    text: 'Brittle or shards from a tray',
    of: {
      name: 'almond brittle',
      tone: 'caramel',
      foodId: null,
      pieceG: 8,
      acrossMm: 30,
      highMm: 40,
      count: 7,
      last: false,
      crisp: { thickMm: 4, filmed: false },
      tray: { thickMm: 4, wholeShare: 0.6, spreads: 1.3 },
    },
  },
  {
    text: 'A topper on a stick',
    of: {
      name: word('topper'),
      tone: 'pale',
      foodId: null,
      eaten: false,
      pieceG: 15,
      acrossMm: 60,
      highMm: 80,
      count: 1,
      arrangement: 'free',
      spots: [[0, 0]],
      pick: 'stick',
      last: false,
    },
  },
  {
    text: 'A heap',
    of: {
      name: 'meringue crumbs',
      tone: 'ivory',
      kind: 'heap',
      foodId: null,
      acrossMm: 90,
      highMm: Math.round(heapHighMm(90)),
      packing: 0.5,
      densityGPerMl: 0.3,
      last: false,
    },
  },
  {
    text: 'A wreath',
    of: {
      name: 'wreath of leaves and fruit',
      tone: 'leaf',
      kind: 'wreath',
      foodId: null,
      acrossMm: 30,
      highMm: 20,
    },
  },
  {
    text: 'Flowers down the side',
    of: {
      name: 'sugar flowers',
      tone: 'pale',
      foodId: null,
      eaten: false,
      pieceG: 6,
      acrossMm: 35,
      highMm: 15,
      count: 7,
      odd: true,
      pick: 'pick',
      last: false,
      side: newOnSide({ arrangement: 'cascade', upMm: 90, toMm: 15 }),
    },
  },
  {
    text: 'A ribbon',
    of: {
      name: 'ribbon',
      kind: 'ribbon',
      tone: 'berry',
      foodId: null,
      eaten: false,
      acrossMm: 15,
      last: false,
      side: newOnSide({ upMm: 0 }),
    },
  },
  {
    text: 'Modelled pieces',
    of: {
      name: 'balls of fondant',
      tone: 'pale',
      foodId: fondantId,
      acrossMm: 15,
      highMm: 15,
      count: 9,
      last: false,
      modelled: { form: 'ball' },
    },
  },
  {
    text: 'A drizzle',
    of: {
      name: 'caramel drizzle',
      tone: 'caramel',
      kind: 'drizzle',
      foodId: null,
      ganacheId: 'caramel-drip',
      acrossMm: 4,
      highMm: 2,
      densityGPerMl: 1.3,
      lengthMm: 900,
      last: false,
    },
  },
];
function add(of: Partial<Topping>): void {
  chosen.value = plans.value.length;
  editTier('Topping', (t) => {
    t.toppings.push({ ...newTopping(freshId('topping')), ...of });
  });
}
const drop = (i: number): void => editTier('Topping left off', (t) => void t.toppings.splice(i, 1));
const place = (i: number, spots: [number, number][]): void =>
  change(i, { arrangement: 'free', spots, count: spots.length, linkedTo: null, odd: false });
const placeOnSide = (i: number, spots: [number, number][]): void =>
  change(i, {
    side: { ...tier.value.toppings[i]!.side!, arrangement: 'free', spots },
    count: spots.length,
    linkedTo: null,
    odd: false,
  });
const rimMm = computed(() => perimeterMm(tierPlan.value.finished));
const stripes = computed(() =>
  sideStripes(
    tier.value,
    props.build.colours,
    tier.value.fondant ? 'ivory' : toneOf(tier.value.coat.spreadId),
  ),
);
const drip = computed(() => {
  const { drip: own } = tierPlan.value.finish;
  return own.ok && own.value
    ? {
        plan: own.value,
        look: lookOf(
          props.build.colours,
          tier.value.drip?.tint ?? '',
          toneOfPoured(own.value.row, pantry.pantry.foods),
        ),
      }
    : null;
});
const allG = computed(() => plans.value.reduce((sum, one) => sum + one.massG, 0));
</script>

<template>
  <div data-test="toppings">
    <TopView
      :finished="tierPlan.finished"
      :above="above"
      :toppings="onTop"
      :piping="piping"
      :top-tone="topTone"
      :colours="build.colours"
      :chosen="chosen"
      @choose="(i) => (chosen = i)"
      @place="place"
    />
    <SideView
      v-if="plans.some(({ topping }) => topping.side)"
      :toppings="plans"
      :colours="build.colours"
      :rim-mm="rimMm"
      :high-mm="tierPlan.stack.finishedMm"
      :stripes="stripes"
      :drip="drip"
      :chosen="chosen"
      @choose="(i) => (chosen = i)"
      @place="placeOnSide"
    />
    <p v-if="plans.length > 0" class="lead">
      {{ text(allG, 'bowl') }} on this tier. A piece can be dragged, or moved with the arrow keys;
      its kind then stays where it lies.
    </p>
    <ToppingFields
      v-for="(one, i) in plans"
      :key="one.topping.id"
      :plan="one"
      :build="build"
      :tier="tier"
      :on="i === chosen"
      @change="(to) => change(i, to)"
      @drop="drop(i)"
      @focusin="chosen = i"
    />
    <p v-if="plans.length < limits.toppings.max" class="add">
      <KeyButton
        v-for="starter in starters"
        :key="starter.text"
        size="small"
        @click="add(starter.of)"
      >
        {{ starter.text }}
      </KeyButton>
    </p>
    <template v-if="plan.nonFood.length > 0">
      <h2>Not food, counted out before it is cut</h2>
      <ul data-test="non-food">
        <li v-for="each in plan.nonFood" :key="each.name">
          <b>{{ each.count }}</b> × {{ settings.words(each.name) }}
        </li>
      </ul>
    </template>
    <p class="sentence">
      <v-checkbox
        :model-value="tier.torched"
        data-test="torched"
        @update:model-value="editTier('Torch', (t) => void (t.torched = !t.torched))"
        ><template #label
          >Brown {{ build.tiers.length > 1 ? tier.name : 'it' }} with a torch</template
        ></v-checkbox
      ><template v-if="tier.torched"
        >: after the piping, before anything that weeps or burns; flame only over a bare
        worktop.</template
      >
    </p>
  </div>
</template>

<style scoped>
.add {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 12px 0;
}
ul {
  margin: 4px 0;
  padding-left: 18px;
}
</style>
