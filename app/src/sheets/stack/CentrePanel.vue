<script setup lang="ts">
import {
  limits,
  soakAlcohol,
  soakIdOf,
  soakRows,
  soakStyles,
  syrupRecipeId,
  widthMm,
  type Build,
  type Centre,
  type LoosePieces,
  type CakePlan,
} from '@pyrgotect/core';
import { computed } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import FigureValue from '../../figures/FigureValue.vue';
import QuantityField from '../../figures/QuantityField.vue';
import FoodPick from '../../pantry/FoodPick.vue';
import { useUnits } from '../../figures/units.ts';
import OutlineFields from '../OutlineFields.vue';
import TermWord from '../../help/TermWord.vue';
import { useSheet } from '../useSheet.ts';

/** Soak of the layers, and a core through some of them that is filled. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const units = useUnits();
const { pantry, tier, tierPlan, editTier, choices } = useSheet(props);
const styles = soakStyles.map((value) => ({ value, text: soakRows[value].title }));
const layerStyles = [{ value: 'as the tier' as const, text: 'as the tier' }, ...styles];
const loose = 'loose pieces';
const fills = computed(() => [
  ...choices(pantry.pantry.spreads.filter((s) => s.canFill)),
  { value: loose, text: 'loose sweets or fruit' },
]);
/** Round sugar sweets as they are poured (estimate). */
const sweets: LoosePieces = {
  name: 'loose sweets',
  foodId: null,
  densityGPerMl: 1.35,
  share: 0.6,
  allergens: [],
};
/** Recipes that are brushed on; what is chosen stays among them, whatever became of it. */
const soaks = computed(() => {
  const rows = pantry.pantry.recipes.filter(({ soakGPerMl }) => soakGPerMl !== null);
  const known = rows.map(({ id, name }) => ({ value: id, text: name.toLowerCase() }));
  const id = soakIdOf(tier.value);
  return known.some(({ value }) => value === id)
    ? known
    : [...known, { value: id, text: 'a recipe that is not there any more' }];
});
const soakWith = (id: string): void =>
  editTier('What it is soaked with', (t) => void (t.soakId = id === syrupRecipeId ? null : id));
const alcohol = computed(() =>
  soakAlcohol(tier.value, tierPlan.value.soak, pantry.pantry, tierPlan.value.servings),
);
const soaked = computed(() => tierPlan.value.soak.reduce((sum, each) => sum + each.ml, 0));
const core = computed(() => tierPlan.value.centre);
function cutCore(): void {
  const n = tier.value.layers.length;
  const first: Centre = {
    outline: { kind: 'round', diameterMm: Math.round(widthMm(tier.value.outline) * 0.35) },
    fromLayer: n > 2 ? 1 : 0,
    toLayer: Math.max(0, n - 2),
    spreadId: tier.value.gaps[0]?.spreadId ?? tier.value.coat.spreadId,
    pieces: null,
  };
  editTier('Hidden centre', (t) => void (t.centre = first));
}
const setCentre = (change: Partial<Centre>): void =>
  editTier('Hidden centre', (t) => {
    if (t.centre) Object.assign(t.centre, change);
  });
const fillWith = (id: string): void =>
  setCentre(
    id === loose ? { pieces: tier.value.centre?.pieces ?? sweets } : { spreadId: id, pieces: null },
  );
const setPieces = (change: Partial<LoosePieces>): void =>
  setCentre({ pieces: { ...(tier.value.centre?.pieces ?? sweets), ...change } });
</script>

<template>
  <div data-test="centre">
    <h2><TermWord id="soak">Soak</TermWord></h2>
    <p class="sentence">
      Every layer gets
      <ChoiceField
        :model-value="tier.soak"
        label="Soak of every layer"
        :options="styles"
        @update:model-value="(v) => editTier('Soak', (t) => void (t.soak = v))"
      /><template v-if="soaked > 0"
        >: <FigureValue :value="soaked" kind="volume" :figure="`${tier.id}/soak`" /> of
        <ChoiceField
          :model-value="soakIdOf(tier)"
          label="What it is soaked with"
          :options="soaks"
          @update:model-value="soakWith"
        />
        in all</template
      >.
    </p>
    <p v-if="soaked > 0 && alcohol.byVolume > 0" class="sentence" data-test="soak-alcohol">
      <b>{{ units.text(alcohol.byVolume, 'share') }}</b> alcohol by volume:
      <b>{{ units.text(alcohol.massG, 'fineMass') }}</b> of it stay in this tier,
      {{ units.text(alcohol.servingG, 'fineMass') }} in a serving.
    </p>
    <table v-if="soaked > 0" class="soaks">
      <tbody>
        <tr v-for="(each, i) in tierPlan.soak" :key="i">
          <template v-if="tier.layers[i]!.otherId === null">
            <th scope="row">layer {{ i + 1 }}</th>
            <td>
              <ChoiceField
                :model-value="tier.layers[i]!.soak ?? 'as the tier'"
                :label="`Soak of layer ${i + 1}`"
                :options="layerStyles"
                @update:model-value="
                  (v) =>
                    editTier(
                      'Soak of a layer',
                      (t) => void (t.layers[i]!.soak = v === 'as the tier' ? null : v),
                    )
                "
              />
            </td>
            <td>
              {{ units.text(each.ml, 'volume') }}
              <span v-if="each.ml > 0" class="soft"
                >{{ units.text(each.faceG, 'small') }}
                {{ each.faces === 2 ? 'on each of both faces' : 'on its upper face' }}</span
              >
            </td>
            <td class="soft">
              keeps {{ Math.round(each.strength * 100) }} % of its strength (estimate)
            </td>
          </template>
        </tr>
      </tbody>
    </table>

    <h2><TermWord id="hidden centre">Hidden centre</TermWord></h2>
    <template v-if="tier.centre">
      <p class="sentence">
        A core is cut through layer
        <QuantityField
          :model-value="tier.centre.fromLayer + 1"
          :of="{ kind: 'count', min: 1, max: tier.centre.toLayer + 1 }"
          label="Lowest layer of the core"
          @update:model-value="(n) => setCentre({ fromLayer: n - 1 })"
        />
        to
        <QuantityField
          :model-value="tier.centre.toLayer + 1"
          :of="{ kind: 'count', min: tier.centre.fromLayer + 1, max: tier.layers.length }"
          label="Uppermost layer of the core"
          @update:model-value="(n) => setCentre({ toLayer: n - 1 })"
        />.
        <OutlineFields
          :outline="tier.centre.outline"
          subject="It"
          :least="limits.coreMm.min"
          @change="(outline) => setCentre({ outline })"
        />
        It is filled with
        <ChoiceField
          :model-value="tier.centre.pieces ? loose : tier.centre.spreadId"
          label="What fills the core"
          :options="fills"
          @update:model-value="fillWith"
        /><template v-if="tier.centre.pieces"
          >:
          <FoodPick
            :model-value="tier.centre.pieces.foodId"
            :name="tier.centre.pieces.name"
            label="Pieces in the core"
            @pick="(food) => setPieces({ foodId: food.id, name: food.name, allergens: [] })"
          />, poured in, so that
          <QuantityField
            :model-value="tier.centre.pieces.share"
            :of="limits.packing"
            label="Share of the core that is pieces"
            @update:model-value="(share) => setPieces({ share })"
          />
          of the room is pieces of
          <QuantityField
            :model-value="tier.centre.pieces.densityGPerMl"
            :of="limits.inclusionDensity"
            label="Density of one piece in the core"
            @update:model-value="(d) => setPieces({ densityGPerMl: d })"
          />
          and the rest is air</template
        >.
      </p>
      <p v-if="core" class="sentence">
        <FigureValue :value="core.fillG" kind="small" :figure="`${tier.id}/centre`" /> go in, and
        <b>{{ units.text(core.spongeG, 'small') }}</b> of sponge come out;
        {{ core.floorLayers === 0 ? 'no floor' : `${core.floorLayers} below as its floor` }},
        {{ core.lidLayers === 0 ? 'no lid' : `${core.lidLayers} above as its lid` }}.
      </p>
      <p>
        <KeyButton
          size="small"
          @click="editTier('No hidden centre', (t) => void (t.centre = null))"
        >
          No hidden centre
        </KeyButton>
      </p>
    </template>
    <p v-else>
      <KeyButton data-test="cut-core" @click="cutCore"> Cut a core and fill it </KeyButton>
    </p>
  </div>
</template>

<style scoped>
.soaks {
  border-collapse: collapse;
}
.soaks th {
  white-space: nowrap;
}
.soaks th,
.soaks td {
  text-align: left;
  font-weight: 400;
  padding: 3px 16px 3px 0;
  border-top: 1px solid var(--line);
}
</style>
