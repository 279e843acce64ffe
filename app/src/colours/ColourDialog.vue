<script setup lang="ts">
import {
  colourOf,
  depthOf,
  fromSpot,
  gelGPerKg,
  limits,
  renameColour,
  setColour,
  shadeOf,
  spotG,
  spotOf,
  type Colour,
} from '@pyrgotect/core';
import { computed, ref } from 'vue';
import QuantityField from '../figures/QuantityField.vue';
import { useUnits } from '../figures/units.ts';
import WordField from '../figures/WordField.vue';
import { useBuild } from '../stores/build.ts';
import GelMix from './GelMix.vue';
import HexPicker from './HexPicker.vue';
import { suggestHex } from './suggest.ts';
import DialogBox from '../parts/DialogBox.vue';

/** How one colour of this cake looks, what it is called, and what a test spot asked of gel. */
const props = defineProps<{ name: string }>();
const emit = defineEmits<{ close: [] }>();
const store = useBuild();
const units = useUnits();

const colour = computed<Colour>(
  () =>
    colourOf(store.build?.colours ?? [], props.name) ?? {
      name: props.name,
      hex: suggestHex(props.name),
      gPerKg: null,
      doses: [],
    },
);
const set = (label: string, to: Partial<Colour>): void =>
  store.edit(label, (draft) => setColour(draft, { ...colour.value, ...to }));
/** A name that another colour of the cake has. */
const taken = ref('');
function rename(name: string): void {
  const other = colourOf(store.build?.colours ?? [], name);
  taken.value = other !== null && other.name !== colour.value.name ? name : '';
  if (taken.value) return;
  store.edit('Name of a colour', (draft) => renameColour(draft, props.name, name));
  emit('close');
}
const spot = computed(() => (colour.value.gPerKg === null ? null : spotOf(colour.value.gPerKg)));
const spotLimits = {
  kind: 'fineMass' as const,
  min: spotOf(limits.gelGPerKg.min),
  max: spotOf(limits.gelGPerKg.max),
};
const setSpot = (g: number | null): void =>
  set('Test spot', { gPerKg: g === null ? null : fromSpot(g) });
</script>

<template>
  <DialogBox max-width="420" @update:model-value="emit('close')">
    <v-card class="colour" data-test="colour">
      <h2>
        <WordField
          :most="limits.tintLength.max"
          needed
          aria-label="Name of the colour"
          :model-value="colour.name"
          @update:model-value="rename"
        />
      </h2>
      <p v-if="taken" class="problem" role="alert">
        {{ taken }} is another colour of this cake: choose another name.
      </p>
      <HexPicker
        :model-value="colour.hex"
        @update:model-value="(hex) => set('Look of a colour', { hex })"
      />
      <p class="sentence">
        It is {{ shadeOf(depthOf(colour.hex)) }}: about
        <b>{{ units.text(gelGPerKg(colour), 'fineMass') }}</b> of gel to the kilogram. On a test
        spot of {{ units.text(spotG, 'bowl') }} it took
        <QuantityField
          :model-value="spot"
          auto="not tried"
          :of="spotLimits"
          label="Gel for a test spot"
          @update:model-value="setSpot"
        />.
      </p>
      <GelMix
        v-if="store.build"
        :build="store.build"
        :colour="colour"
        @take="(doses) => set('Gels of a colour', { doses })"
      />
      <p class="lead">
        A screen shows no frosting as it is: the spot decides. It stands for an hour before it is
        judged, a strong one overnight.
      </p>
      <p><KeyButton variant="flat" @click="emit('close')">Done</KeyButton></p>
    </v-card>
  </DialogBox>
</template>

<style scoped>
.colour {
  padding: 20px 24px;
  overflow: hidden auto;
}
/* a low window scrolls it, and squeezes nothing */
.colour > * {
  flex: none;
}
</style>
