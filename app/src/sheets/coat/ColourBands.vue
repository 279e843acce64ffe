<script setup lang="ts">
import {
  limits,
  ombreBowls,
  setBandShare,
  type Band,
  type Build,
  type Coat,
  type CakePlan,
} from '@pyrgotect/core';
import { computed, nextTick, useTemplateRef, watch } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { bandOf } from '../../parts/part-edits.ts';
import { useSheet } from '../useSheet.ts';
import { useUnits } from '../../figures/units.ts';
import TintField from '../../colours/TintField.vue';

/** One colour, or bands of colour by height: each becomes a bowl of its own. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const { store, tier, editTier } = useSheet(props);
const { text } = useUnits();
const coat = computed(() => tier.value.coat);
type Way = 'one' | 'bands' | 'ombre';
const way = computed<Way>(() =>
  coat.value.bands.length === 0 ? 'one' : coat.value.blended ? 'ombre' : 'bands',
);
const ways: { value: Way; text: string }[] = [
  { value: 'one', text: 'one colour' },
  { value: 'bands', text: 'bands of colour' },
  { value: 'ombre', text: 'an ombre, bands run into each other' },
];
const change = (label: string, to: Partial<Coat>): void =>
  editTier(label, (t) => void Object.assign(t.coat, to));
function setWay(to: Way): void {
  const name = coat.value.tint || 'blue';
  const bands: Band[] =
    to === 'one'
      ? []
      : coat.value.bands.length > 0
        ? coat.value.bands.map((band) => ({ ...band }))
        : [`deep ${name}`, name, `pale ${name}`].map((tint) => ({ tint, share: 1 / 3 }));
  change('Colours', { bands, blended: to === 'ombre' });
}
const setBand = (index: number, to: Partial<Band>): void =>
  editTier('Band', (t) => void Object.assign(t.coat.bands[index]!, to));
const all = computed(() => coat.value.bands.reduce((sum, band) => sum + band.share, 0));
const chosen = computed(() => bandOf(store.selected));
const lines = useTemplateRef<HTMLUListElement>('lines');
watch(
  chosen,
  async () => {
    await nextTick();
    lines.value?.querySelector('.chosen')?.scrollIntoView({ block: 'nearest' });
  },
  { immediate: true },
);
/** An ombre needs two bowls: what lies between is mixed of them. */
const bowls = computed(() =>
  way.value === 'ombre' ? ombreBowls(coat.value.bands, props.build.colours) : null,
);
/** As high as the others are on average. */
const add = (): void =>
  editTier('A band more', (t) => {
    t.coat.bands.push({ tint: '', share: all.value / Math.max(1, t.coat.bands.length) });
    setBandShare(t, t.coat.bands.length - 1, 1 / t.coat.bands.length);
  });
const drop = (index: number): void =>
  editTier('A band less', (t) => void t.coat.bands.splice(index, 1));
</script>

<template>
  <div class="colours">
    <p class="sentence">
      It wears
      <ChoiceField
        :model-value="way"
        label="Colours"
        :options="ways"
        @update:model-value="setWay"
      /><template v-if="way === 'one'">
        :
        <TintField
          :model-value="coat.tint"
          label="Colour of the coat"
          @update:model-value="change('Colour', { tint: $event })" /></template
      ><template v-else>, from the top down:</template>
    </p>
    <ul v-if="way !== 'one'" ref="lines">
      <li
        v-for="{ band, i } in coat.bands.map((band, i) => ({ band, i })).reverse()"
        :key="i"
        :class="{ chosen: i === chosen }"
        :aria-current="i === chosen || undefined"
      >
        <TintField
          :label="`Colour of band ${i + 1} from below`"
          :model-value="band.tint"
          @update:model-value="setBand(i, { tint: $event })"
        />
        <span>over</span>
        <QuantityField
          :model-value="band.share / all"
          :of="{ kind: 'share', min: limits.bandShare.min, max: 1 }"
          :label="`Share of band ${i + 1} from below`"
          @update:model-value="(share) => editTier('Band', (t) => setBandShare(t, i, share))"
        />
        <span class="soft">{{ i === 0 ? 'at the foot' : 'of the height' }}</span>
        <KeyButton
          v-if="coat.bands.length > 1"
          variant="text"
          size="small"
          :aria-label="`Take out band ${i + 1}`"
          @click="drop(i)"
        >
          ×
        </KeyButton>
      </li>
    </ul>
    <p v-if="bowls" class="soft bowls" data-test="ombre-bowls">
      From two bowls, {{ bowls.pale }} and {{ bowls.deep }}:
      <template v-for="(band, i) in coat.bands" :key="i"
        ><template v-if="bowls.shares[i]! > 0 && bowls.shares[i]! < 1"
          >{{ band.tint }} is {{ text(bowls.shares[i]!, 'share') }} of the deep one in the pale
          (estimate).
        </template></template
      >
    </p>
    <KeyButton
      v-if="way !== 'one' && coat.bands.length < limits.bands.max"
      size="small"
      @click="add"
    >
      A band more
    </KeyButton>
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 2px 0 8px -12px;
  padding: 0;
}
li {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 2px 0 2px 8px;
  border-left: 4px solid transparent;
}
li.chosen {
  border-left-color: var(--accent);
  background: var(--raised);
}
.bowls {
  margin: 0 0 8px;
  font-size: var(--size-note);
}
</style>
