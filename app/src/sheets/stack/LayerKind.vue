<script setup lang="ts">
import {
  boughtInstead,
  limits,
  newLayer,
  setBatterTint,
  pileCounts,
  pileHeight,
  turnsTop,
  type Build,
  type CakePlan,
  type Layer,
} from '@pyrgotect/core';
import { computed } from 'vue';
import TintField from '../../colours/TintField.vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { useUnits } from '../../figures/units.ts';
import { useSheet } from '../useSheet.ts';
import InsetFields from './InsetFields.vue';

/** What one layer is: a slice of a cake, so many thin ones on each other, a cream with a disc in it. */
const props = defineProps<{ build: Build; plan: CakePlan; index: number }>();
const units = useUnits();
const { pantry, tier, tierPlan, editTier, choices } = useSheet(props);

const layer = computed(() => tier.value.layers[props.index]!);
const other = computed(() =>
  tierPlan.value.others.ok
    ? tierPlan.value.others.value.find(({ index }) => index === props.index)
    : undefined,
);
const ownSponge = 'own';
const kinds = computed(() => [
  {
    value: ownSponge,
    text: pantry.pantry.sponges.find((row) => row.id === tier.value.spongeId)?.name ?? 'sponge',
  },
  ...choices(pantry.pantry.others),
]);
/** Bought in place of made: a row of its own, which stays to be chosen again. */
async function buy(): Promise<void> {
  const row = boughtInstead(other.value!.row);
  if (!pantry.pantry.others.some(({ id }) => id === row.id)) await pantry.saveRow('others', row);
  edit('Bought, not made', (draft) => void (draft.otherId = row.id));
}
const nothing = 'nothing';
const betweens = computed(() => [
  { value: nothing, text: 'nothing between' },
  ...choices(pantry.pantry.spreads.filter((s) => s.canFill)),
]);
/** Spread as thin as is usual between crepes, mm. */
const usualBetweenMm = 2;

const edit = (what: string, change: (draft: Layer) => void): void =>
  editTier(what, (t) => change(t.layers[props.index]!));
/** What a layer is made of; another kind comes with its own thickness. */
function setKind(id: string): void {
  const row = pantry.pantry.others.find((one) => one.id === id);
  editTier('Kind of layer', (t) => {
    const fresh = newLayer(
      row && row.form !== 'crepe' ? row.thicknessMm : t.layers[props.index]!.heightMm,
    );
    t.layers[props.index] = {
      ...fresh,
      heightMm: Math.max(limits.layerMm.min, fresh.heightMm),
      otherId: row?.id ?? null,
      between:
        row?.form === 'crepe'
          ? { spreadId: t.gaps[0]?.spreadId ?? t.coat.spreadId, heightMm: usualBetweenMm }
          : null,
    };
  });
}
/** As few and as many as make a layer that can be. */
const counts = computed(() => ({
  kind: 'count' as const,
  ...pileCounts(other.value?.row.thicknessMm ?? 1, layer.value.between?.heightMm ?? 0),
}));
/** So many pieces, with what lies between them: the height follows. */
function pile(what: string, count: number, change: (draft: Layer) => void = () => {}): void {
  const pieceMm = other.value!.row.thicknessMm;
  edit(what, (draft) => {
    change(draft);
    const mm = pileHeight(count, pieceMm, draft.between?.heightMm ?? 0);
    draft.heightMm = Math.min(limits.layerMm.max, Math.max(limits.layerMm.min, mm));
  });
}
const setBetween = (id: string): void =>
  pile('What lies between', other.value!.count, (draft) => {
    const heightMm = draft.between?.heightMm ?? usualBetweenMm;
    draft.between = id === nothing ? null : { spreadId: id, heightMm };
  });
const setBetweenMm = (mm: number): void =>
  edit('Layer', (draft) => void (draft.between = { ...draft.between!, heightMm: mm }));

const isInverted = computed(
  () =>
    (props.index === tier.value.layers.length - 1 && turnsTop(tier.value)) !== layer.value.flipped,
);
const cake = computed((): number | null => {
  if (!tierPlan.value.bake.ok) return null;
  const found = tierPlan.value.bake.value.cakes.find((c) => c.layers.includes(props.index));
  return found ? found.index + 1 : null;
});
</script>

<template>
  <span>
    <ChoiceField
      :model-value="layer.otherId ?? ownSponge"
      :label="`What layer ${index + 1} is`"
      :options="kinds"
      @update:model-value="setKind"
    />
    <template v-if="layer.otherId === null">
      {{ ` from cake ${cake ?? '–'}${isInverted ? ', upside down' : ''}, ` }}
      <TintField
        :model-value="layer.tint"
        :label="`Colour of layer ${index + 1}`"
        @update:model-value="
          (tint) => editTier('Colour of the batter', (t) => setBatterTint(t, index, tint))
        "
      />
    </template>
    <KeyButton
      v-if="other && other.row.recipeId !== null && other.row.form !== 'mousse'"
      v-tip="'A row of its own in the pantry, to be bought in packs: its label says what is in it'"
      size="small"
      @click="buy"
    >
      bought instead
    </KeyButton>
    <template v-if="other?.isPile">
      {{ ' ' }}
      <QuantityField
        :model-value="other.count"
        :of="counts"
        :label="`How many in layer ${index + 1}`"
        @update:model-value="(n) => pile('How many on each other', n)"
      />
      of them,
      <ChoiceField
        :model-value="layer.between?.spreadId ?? nothing"
        :label="`What lies between the pieces of layer ${index + 1}`"
        :options="betweens"
        @update:model-value="setBetween"
      />
      <template v-if="layer.between">
        {{ ' ' }}
        <QuantityField
          :model-value="layer.between.heightMm"
          :of="limits.betweenMm"
          :label="`Filling between the pieces of layer ${index + 1}`"
          @update:model-value="setBetweenMm"
        />
        thin<template v-if="other.count > 1"
          >: {{ units.text(other.eachG, 'small') }} on each but the last</template
        >
      </template>
    </template>
    <InsetFields v-if="other?.row.form === 'mousse'" :build="build" :plan="plan" :index="index" />
  </span>
</template>
