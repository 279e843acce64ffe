<script setup lang="ts">
import { leftoverUses, limits, type Build, type CakePlan } from '@pyrgotect/core';
import { computed } from 'vue';
import QuantityField from '../../figures/QuantityField.vue';
import { useSettings } from '../../stores/settings.ts';
import { useUnits } from '../../figures/units.ts';
import { useBakeSheet } from './useBakeSheet.ts';

/** The batter that is really in the bowl: to each tin, one poured too full, and what is left over. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const settings = useSettings();
const units = useUnits();
const { pantry, tier, editTier, bake, sponge, recipe } = useBakeSheet(props);
const grams = (g: number): string => units.text(g, 'bowl');
const minutes = (n: number): string => units.text(n, 'minutes');
const setBowl = (full: number | null, empty: number | null): void =>
  editTier('Weighed bowl', (t) => {
    t.bowl =
      full === null && empty === null
        ? null
        : {
            fullG: full ?? t.bowl?.fullG ?? 0,
            emptyG: empty ?? t.bowl?.emptyG ?? 0,
            pouredG: t.bowl?.pouredG ?? [],
          };
  });
const setPoured = (cake: number, g: number | null): void =>
  editTier('Poured into a tin', (t) => {
    if (!t.bowl) return;
    const { pouredG } = t.bowl;
    t.bowl.pouredG = (bake.value?.cakes ?? []).map((_, i) =>
      i === cake ? g : (pouredG[i] ?? null),
    );
  });
const bowl = computed(() =>
  bake.value?.bowl && bake.value.bowl.inBowlG > 0 ? bake.value.bowl : null,
);
const leftover = computed(() => {
  if (!bowl.value || !sponge.value || bowl.value.leftG < 1) return [];
  const spare = pantry.pantry.tins.filter(
    (row) => row.owned > 0 && row.form !== 'ring' && row.id !== tier.value.tinId,
  );
  return leftoverUses(
    bowl.value.leftG,
    sponge.value,
    spare,
    recipe.value?.bake ?? null,
    bake.value!.startC,
    pantry.pantry.kitchen.cupcakeG,
  );
});
</script>

<template>
  <div v-if="bake && bake.cakes.length > 0" data-test="bowl">
    <p class="sentence">
      The full bowl weighs
      <QuantityField
        :model-value="tier.bowl?.fullG ?? null"
        :of="limits.bowlG"
        nullable
        auto="–"
        label="Weight of the full bowl"
        @update:model-value="(g) => setBowl(g, g === null ? null : (tier.bowl?.emptyG ?? 0))"
      />, the same bowl empty
      <QuantityField
        :model-value="tier.bowl?.emptyG ?? null"
        :of="limits.bowlG"
        nullable
        auto="–"
        label="Weight of the empty bowl"
        @update:model-value="(g) => setBowl(null, g)"
      />.
      <template v-if="bowl">
        That is <b>{{ grams(bowl.inBowlG) }}</b> of batter.
      </template>
    </p>
    <table v-if="bowl">
      <thead>
        <tr>
          <th scope="col">tin</th>
          <th scope="col">wants</th>
          <th scope="col">gets</th>
          <th scope="col">is in it already</th>
          <th scope="col" />
        </tr>
      </thead>
      <tbody>
        <tr v-for="cake in bake.cakes" :key="cake.index">
          <td>{{ cake.index + 1 }}</td>
          <td>{{ grams(cake.batterG + cake.foldedG) }}</td>
          <td>
            <b :data-test="`gets-${cake.index + 1}`">{{ grams(bowl.perCakeG[cake.index]!) }}</b>
          </td>
          <td>
            <QuantityField
              :model-value="tier.bowl?.pouredG[cake.index] ?? null"
              :of="limits.bowlG"
              nullable
              auto="–"
              :label="`Already in tin ${cake.index + 1}`"
              @update:model-value="(g) => setPoured(cake.index, g)"
            />
          </td>
          <td>
            <b v-if="bowl.takeOutG[cake.index]! > 0" class="out"
              >spoon out {{ grams(bowl.takeOutG[cake.index]!) }}, or leave it: the others get
              less</b
            >
          </td>
        </tr>
      </tbody>
    </table>
    <template v-if="leftover.length > 0 && bowl">
      <h2>{{ grams(bowl.leftG) }} over</h2>
      <ul>
        <li v-for="use in leftover" :key="use.tin?.id ?? 'cupcakes'">
          <b>{{ use.tin ? settings.words(use.tin.name) : `${use.count} cupcakes` }}</b>:
          {{ units.text(use.fillMm, 'thickness') }} of batter bake to
          {{ units.text(use.bakesToMm, 'thickness') }}
          <template v-if="use.window">
            in about {{ minutes(use.window.minutes) }}, first look at
            {{ minutes(use.window.fromMin)
            }}{{ use.tin ? '' : ' (the estimate is short for cupcakes)' }}
          </template>
          <template v-if="use.restG > 20">; {{ grams(use.restG) }} are still over</template>.
        </li>
      </ul>
    </template>
    <p class="lead">
      Pieces are counted in: what is in the bowl is batter with all that is folded into it.
    </p>
  </div>
  <p v-else class="lead">There is no batter to share out.</p>
</template>

<style scoped>
table {
  border-collapse: collapse;
  margin-top: 10px;
}
th,
td {
  text-align: left;
  padding: 5px 24px 5px 0;
  border-top: 1px solid var(--line);
  font-weight: 400;
}
thead th {
  border: 0;
  color: var(--soft);
  font-size: var(--size-note);
}
.out {
  color: var(--warn);
}
ul {
  margin: 0;
  padding-left: 20px;
}
</style>
