<script setup lang="ts">
import { limits, type Build, type Fondant, type CakePlan, type Pressed } from '@pyrgotect/core';
import { computed } from 'vue';
import TintField from '../../colours/TintField.vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import QuantityField from '../../figures/QuantityField.vue';
import FoodPick from '../../pantry/FoodPick.vue';
import TermWord from '../../help/TermWord.vue';
import { useUnits } from '../../figures/units.ts';
import { useSheet } from '../useSheet.ts';
import SurfacePanel from './SurfacePanel.vue';

/** Fondant over the coat, pieces pressed into it, and the board. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const units = useUnits();
const { store, tier, tierPlan, editTier } = useSheet(props);
const fondant = computed(() => tier.value.fondant);
const pressed = computed(() => tier.value.pressed);
const sheet = computed(() => tierPlan.value.fondant);
const setFondant = (to: Fondant | null): void => editTier('Fondant', (t) => void (t.fondant = to));
const setPressed = (to: Pressed | null): void =>
  editTier('Pressed pieces', (t) => void (t.pressed = to));
const nuts: Pressed = {
  name: 'pistachios, chopped',
  foodId: 'pistachios',
  gPerCm2: 0.2,
  cover: 0.7,
  bandMm: 40,
  onTop: false,
  allergens: [],
};
const text = (mm: number): string => units.text(mm, 'size');
const mass = (g: number): string => units.text(g, 'bowl');
</script>

<template>
  <div data-test="covers">
    <h2>Pressed on</h2>
    <p v-if="!pressed">
      <KeyButton size="small" @click="setPressed({ ...nuts })">
        Press nuts, sprinkles or shavings on
      </KeyButton>
    </p>
    <p v-else class="sentence">
      Press
      <FoodPick
        :model-value="pressed.foodId"
        :name="pressed.name"
        label="What is pressed on"
        @pick="
          (food) => setPressed({ ...pressed!, foodId: food.id, name: food.name, allergens: [] })
        "
      />
      on,
      <QuantityField
        :model-value="pressed.gPerCm2 * 100"
        :of="{ kind: 'small', min: 1, max: 200 }"
        label="Grams to a hand’s breadth square"
        @update:model-value="(g) => setPressed({ ...pressed!, gPerCm2: Math.max(0.01, g / 100) })"
      />
      to {{ units.text(10000, 'area') }} where they lie, covering
      <QuantityField
        :model-value="pressed.cover"
        :of="{ kind: 'share', min: limits.cover.min, max: 1 }"
        label="Share covered"
        @update:model-value="(n) => setPressed({ ...pressed!, cover: n })"
      />
      of
      <ChoiceField
        :model-value="pressed.bandMm === null ? 'side' : 'band'"
        label="Side or band"
        :options="[
          { value: 'side', text: 'the whole side' },
          { value: 'band', text: 'a band at the foot' },
        ]"
        @update:model-value="(to) => setPressed({ ...pressed!, bandMm: to === 'side' ? null : 40 })"
      /><template v-if="pressed.bandMm !== null"
        >,
        <QuantityField
          :model-value="pressed.bandMm"
          :of="limits.bandMm"
          label="Height of the band"
          @update:model-value="(mm) => setPressed({ ...pressed!, bandMm: mm })"
        />
        high</template
      >,
      <v-checkbox
        :model-value="pressed.onTop"
        label="and the top"
        @update:model-value="setPressed({ ...pressed!, onTop: !pressed!.onTop })"
      />: <b v-if="tierPlan.pressed">{{ mass(tierPlan.pressed.massG) }}</b>, with
      {{ tierPlan.pressed ? mass(tierPlan.pressed.atHandG) : '' }} at hand.
      <KeyButton variant="text" size="small" @click="setPressed(null)"> leave them off </KeyButton>
    </p>

    <h2>Fondant</h2>
    <p v-if="!fondant">
      <KeyButton
        size="small"
        @click="setFondant({ way: 'draped', mm: 4, allowanceMm: 15, tint: '' })"
      >
        Cover it with rolled fondant
      </KeyButton>
    </p>
    <p v-else class="sentence">
      <ChoiceField
        :model-value="fondant.way"
        label="How it is laid"
        :options="[
          { value: 'draped', text: 'One sheet over all of it' },
          { value: 'panels', text: 'Panels and a top, for sharp edges' },
        ]"
        @update:model-value="(way) => setFondant({ ...fondant!, way })"
      />, rolled
      <QuantityField
        :model-value="fondant.mm"
        :of="limits.fondantMm"
        label="Thickness of the fondant"
        @update:model-value="(mm) => setFondant({ ...fondant!, mm })"
      />
      thick, coloured
      <TintField
        :model-value="fondant.tint"
        label="Colour of the fondant"
        @update:model-value="(tint) => setFondant({ ...fondant!, tint })"
      />, with
      <QuantityField
        :model-value="fondant.allowanceMm"
        :of="limits.allowanceMm"
        label="Allowance at the foot"
        @update:model-value="(mm) => setFondant({ ...fondant!, allowanceMm: mm })"
      />
      all round to trim<template v-if="sheet"
        >:
        <template v-if="sheet.panels"
          ><b>{{ sheet.panels.count }}</b> {{ sheet.panels.count === 1 ? 'panel' : 'panels' }} of
          <b>{{ text(sheet.panels.longMm) }}</b> by {{ text(sheet.panels.highMm) }} and
        </template>
        {{ sheet.sheet.isDisc ? 'a disc' : 'a sheet' }} of
        <b>{{ text(sheet.sheet.acrossMm) }}</b><template v-if="!sheet.sheet.isDisc">
          by {{ text(sheet.sheet.deepMm) }}</template
        >, <b>{{ mass(sheet.rolledG) }}</b> to roll, {{ mass(sheet.trimG) }} of it back as
        trimmings{{ sheet.panels ? ', those of each rolled again for the next' : '' }}</template
      >.
      <KeyButton variant="text" size="small" @click="setFondant(null)">leave it off</KeyButton>
    </p>

    <SurfacePanel :tier="tier" :plans="tierPlan.surfaces" @edit="editTier" />

    <h2>The <TermWord id="board">board</TermWord></h2>
    <p class="sentence">
      Fondant on the board
      <QuantityField
        :model-value="build.boardCoverMm"
        :of="limits.boardCoverMm"
        label="Fondant on the board"
        @update:model-value="
          (mm) =>
            store.edit('Fondant on the board', (d) => {
              d.boardCoverMm = mm;
            })
        "
      />
      thick<template v-if="plan.boardCover"
        >: a ring of <b>{{ mass(plan.boardCover.massG) }}</b>, and
        {{ text(plan.boardCover.ribbonMm) }} of ribbon for its edge</template
      >. {{ plan.strips.count }} strips of paper, {{ text(plan.strips.lengthMm) }} by
      {{ text(plan.strips.wideMm) }}, keep it clean while it is coated.
    </p>
  </div>
</template>

<style scoped>
h2 {
  margin-top: 14px;
}
</style>
