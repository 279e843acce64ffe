<script setup lang="ts">
import {
  coatStyles,
  limits,
  styleRows,
  thicknessOf,
  type Build,
  type Coat,
  type CoatStyle,
  type CakePlan,
} from '@pyrgotect/core';
import { computed } from 'vue';
import TintField from '../../colours/TintField.vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import FigureValue from '../../figures/FigureValue.vue';
import QuantityField from '../../figures/QuantityField.vue';
import BowlColumns from './BowlColumns.vue';
import ColourBands from './ColourBands.vue';
import WarmRoom from './WarmRoom.vue';
import TermWord from '../../help/TermWord.vue';
import { useSheet } from '../useSheet.ts';

/** How a tier is finished: style, frostings inside and out, thicknesses, colours; and the bowls. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const { store, pantry, tier, tierPlan, editTier, choices } = useSheet(props);
const coats = computed(() => choices(pantry.pantry.spreads.filter((s) => s.canCoat)));
const same = { value: '', text: 'the same' };
const orSame = computed(() => [same, ...coats.value]);
const styles = coatStyles.map((value) => ({ value, text: styleRows[value].title.toLowerCase() }));
const now = computed(() => thicknessOf(tier.value));
const style = computed(() => styleRows[tier.value.coat.style]);
const coat = computed(() => tier.value.coat);
const coatPlan = computed(() => (tierPlan.value.coat.ok ? tierPlan.value.coat.value : null));
const isOwn = computed(() => {
  const { crumbMm, sideMm, topMm, cover, comb } = coat.value;
  return [crumbMm, sideMm, topMm, cover, comb].some((own) => own !== null);
});
const change = (label: string, to: Partial<Coat>): void =>
  editTier(label, (t) => void Object.assign(t.coat, to));
function setStyle(to: CoatStyle): void {
  store.edit('Style of the coat', (draft) => {
    draft.brief.look = to;
    const target = draft.tiers.find((t) => t.id === tier.value.id)!;
    Object.assign(target.coat, {
      style: to,
      crumbMm: null,
      sideMm: null,
      topMm: null,
      cover: null,
      comb: null,
    });
  });
}
const comb = computed(() => coat.value.comb ?? { peakMm: 7, depthMm: 3 });
</script>

<template>
  <div>
    <p class="sentence">
      Finish it
      <ChoiceField
        :model-value="coat.style"
        label="Style"
        :options="styles"
        @update:model-value="setStyle"
      />
      in
      <ChoiceField
        :model-value="coat.spreadId"
        label="Frosting of the coat"
        rows-of="spreads"
        :options="coats"
        @update:model-value="(id) => change('Frosting', { spreadId: id })"
      />, with
      <ChoiceField
        :model-value="coat.topSpreadId ?? ''"
        label="Frosting on top"
        rows-of="spreads"
        :options="orSame"
        @update:model-value="(id) => change('Frosting on top', { topSpreadId: id || null })"
      />
      on top and
      <ChoiceField
        :model-value="coat.innerSpreadId ?? ''"
        label="Frosting of crumb coat and dams"
        :options="orSame"
        @update:model-value="
          (id) => change('Frosting of crumb coat and dams', { innerSpreadId: id || null })
        "
      />
      for the crumb coat and dams: a <TermWord id="crumb" /> of
      <QuantityField
        :model-value="now.crumbMm"
        :of="limits.coatMm"
        label="Crumb coat"
        @update:model-value="(mm) => change('Crumb coat', { crumbMm: mm })"
      /><template v-if="style.sideMm > 0 && style.crumbMm > 0"
        >, coloured
        <TintField
          :model-value="coat.crumbTint"
          label="Colour of the crumb coat"
          @update:model-value="
            (tint) => change('Colour of the crumb coat', { crumbTint: tint })
          " /></template
      ><template v-if="style.cover < 1">
        that hides
        <QuantityField
          :model-value="now.cover"
          :of="{ kind: 'share', min: limits.cover.min, max: 1 }"
          label="Share of the cake it hides"
          @update:model-value="(n) => change('Cover', { cover: n })"
        />
        of the cake</template
      >, then
      <template v-if="coat.style === 'combed'">
        <QuantityField
          :model-value="comb.peakMm"
          :of="limits.combPeakMm"
          label="Thickness at the ridges"
          @update:model-value="
            (mm) =>
              change('Comb', {
                comb: { peakMm: mm, depthMm: Math.min(comb.depthMm, mm) },
                sideMm: null,
              })
          "
        />
        at the ridges, combed
        <QuantityField
          :model-value="comb.depthMm"
          :of="{
            kind: 'thickness',
            min: limits.combDepthMm.min,
            max: Math.min(comb.peakMm, limits.combDepthMm.max),
          }"
          label="Depth of the comb"
          @update:model-value="
            (mm) => change('Comb', { comb: { ...comb, depthMm: mm }, sideMm: null })
          "
        />
        deep, on average </template
      ><QuantityField
        :model-value="now.sideMm"
        :of="limits.coatMm"
        label="Coat on the side"
        @update:model-value="(mm) => change('Coat on the side', { sideMm: mm })"
      />
      on the side and
      <QuantityField
        :model-value="now.topMm"
        :of="limits.coatMm"
        label="Coat on top"
        @update:model-value="(mm) => change('Coat on top', { topMm: mm })"
      />
      on top, its rim rounded by
      <QuantityField
        :model-value="coat.rimMm"
        :of="limits.rimRadiusMm"
        label="Radius of the rim"
        @update:model-value="(mm) => change('Rim', { rimMm: mm })"
      />.
    </p>
    <ColourBands :build="build" :plan="plan" />
    <p v-if="coatPlan" class="lead">
      {{ style.title }}: {{ style.words }}. The crumb coat takes
      <FigureValue :value="coatPlan.crumbG" kind="bowl" :figure="`${tier.id}/crumb`" />, the coat
      <FigureValue :value="coatPlan.coatG" kind="bowl" :figure="`${tier.id}/coat`" />.
      <KeyButton v-if="isOwn" size="small" @click="setStyle(coat.style)">
        Back to the style’s own thickness
      </KeyButton>
    </p>
    <WarmRoom :build="build" :plan="plan" />
    <BowlColumns :plan="plan" />
  </div>
</template>
