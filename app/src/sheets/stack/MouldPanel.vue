<script setup lang="ts">
import {
  asTins,
  builtUpMm,
  fillToBrim,
  freezerMmFor,
  mouldFaces,
  mouldMl,
  mouldMlBetween,
  mouldOrders,
  setAsTin,
  setMould,
  shapeOffMm,
  takeShape,
  tierTimes,
  type AsTin,
  type Build,
  type CakePlan,
  type Mould,
} from '@pyrgotect/core';
import { computed } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import { useUnits } from '../../figures/units.ts';
import { useSheet } from '../useSheet.ts';

/** Whether a tier is stacked free or set in a ring or mould, and how it comes out of that. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const units = useUnits();
const { store, pantry, tier, tierPlan, editTier } = useSheet(props);

const free = 'free';
/** No tin is called so: ids of the pantry hold no colon. */
const asWords: Record<AsTin, string> = {
  'turned over': 'shaped by its tin, turned over',
  'mouth to mouth': 'shaped by two of its tin, mouth to mouth',
};
const asChoices = asTins.map((how) => ({ value: `as:${how}`, text: asWords[how] }));
const moulds = computed(() => [
  { value: free, text: 'stacked free' },
  ...asChoices,
  ...pantry.pantry.tins
    .filter(
      ({ form, owned, id }) =>
        (!['upright', 'rounded'].includes(form) && owned > 0) || id === now.value?.tinId,
    )
    .map(({ id, name }) => ({ value: id, text: `set in: ${name}` })),
]);
const now = computed(() => tier.value.mould);
const tin = computed(() => pantry.pantry.tins.find(({ id }) => id === now.value?.tinId));
const orderWords: Record<Mould['order'], string> = {
  upright: 'foot first, and the ring is lifted off',
  'upside down': 'top first, and turned out',
};
const orders = mouldOrders.map((value) => ({ value, text: orderWords[value] }));
const places = [
  { value: 'freezer' as const, text: 'frozen through' },
  { value: 'fridge' as const, text: 'set in the fridge' },
];
const put = (what: string, mould: Mould): void =>
  editTier(what, (t) => setMould(t, mould, pantry.pantry));
function choose(id: string): void {
  if (id === free)
    return editTier('Mould', (t) => {
      t.mould = null;
      t.asTin = null;
    });
  const how = asTins.find((one) => id === `as:${one}`);
  if (how) return editTier('Shape of the tin', (t) => setAsTin(t, how, pantry.pantry.tins));
  const row = pantry.pantry.tins.find((one) => one.id === id);
  const order = row?.form === 'ring' ? 'upright' : 'upside down';
  put('Mould', { setIn: now.value?.setIn ?? 'freezer', order, tinId: id });
}
const tins = computed(() =>
  pantry.pantry.tins
    .filter(({ form, id }) => form !== 'ring' || id === tier.value.tinId)
    .map(({ id, name }) => ({ value: id, text: name })),
);
const setTin = (id: string): void =>
  editTier('Tin', (t) => {
    t.tinId = id;
    setAsTin(t, t.asTin!, pantry.pantry.tins);
  });
const cakeMl = computed(() =>
  tierPlan.value.mould ? mouldMlBetween(tierPlan.value.mould, 0, highMm.value) : 0,
);
const sideMm2 = computed(() =>
  tierPlan.value.mould ? mouldFaces(tierPlan.value.mould, highMm.value).sideMm2 : 0,
);
/** So little is no other size, mm. */
const sameMm = 0.5;
/** Another number or height of layers: what comes out of the tin is another size. */
const isOff = computed(
  () => tierPlan.value.mould !== null && shapeOffMm(tier.value, tierPlan.value.mould) > sameMm,
);
const highMm = computed(() => builtUpMm(tier.value));
const offMm = computed(() => (tin.value ? tin.value.depthMm - highMm.value : 0));
/** Without that much of a freezer the days find no room for it. */
const freezerMm = computed(() => freezerMmFor(tierPlan.value.mould, highMm.value));
const times = computed(() => {
  const { kitchen } = pantry.pantry;
  return tierTimes(tier.value, tierPlan.value, null, kitchen, props.build.day.chillIn).mould;
});
</script>

<template>
  <p class="sentence" data-test="mould">
    It is
    <ChoiceField
      :model-value="now?.tinId ?? (tier.asTin ? `as:${tier.asTin}` : free)"
      label="Stacked free, or set in a mould"
      :options="moulds"
      @update:model-value="choose"
    /><template v-if="tier.asTin"
      >,
      <ChoiceField
        :model-value="tier.tinId"
        label="Tin that shapes it"
        :options="tins"
        @update:model-value="setTin"
      /><template v-if="tierPlan.mould"
        >: {{ units.text(cakeMl, 'volume') }} of cake, {{ units.text(sideMm2, 'area') }} of
        side</template
      >. </template
    ><template v-if="now"
      >, built up
      <ChoiceField
        :model-value="now.order"
        label="Order in the mould"
        :options="orders"
        @update:model-value="(order) => put('Order in the mould', { ...now!, order })"
      />,
      <ChoiceField
        :model-value="now.setIn"
        label="How it sets"
        :options="places"
        @update:model-value="
          (setIn) => editTier('How it sets', (t) => void (t.mould!.setIn = setIn))
        "
      /><template v-if="tierPlan.mould && tin"
        >. It holds {{ units.text(mouldMl(tierPlan.mould), 'volume') }} and is filled to
        {{ units.text(highMm, 'size') }} of {{ units.text(tin.depthMm, 'size')
        }}<template v-if="times.thawMin > 0"
          >; frozen through after {{ units.text(times.setMin, 'minutes') }}, thawed in the fridge
          after {{ units.text(times.thawMin, 'minutes') }}</template
        ><template v-else>; set after {{ units.text(times.setMin, 'minutes') }}</template></template
      >.
      <KeyButton
        v-if="now.setIn === 'freezer' && build.day.freezerMm < freezerMm"
        size="small"
        data-test="has-freezer"
        @click="store.edit('A freezer', (draft) => void (draft.day.freezerMm = freezerMm))"
      >
        there is {{ units.text(freezerMm, 'size') }} of freezer for it
      </KeyButton>
      <KeyButton
        v-if="tin && Math.abs(offMm) > 0.5"
        size="small"
        @click="editTier('To the brim', (t) => fillToBrim(t, tin!, pantry.pantry.others))"
      >
        fill it to the brim
      </KeyButton></template
    ><template v-else-if="!tier.asTin">.</template>
    <KeyButton
      v-if="tier.asTin && isOff"
      size="small"
      @click="editTier('Size of the tin', (t) => takeShape(t, pantry.pantry.tins))"
    >
      take the size of the tin
    </KeyButton>
  </p>
</template>
