<script setup lang="ts">
import {
  freshId,
  noteCount,
  openCounts,
  type Build,
  type NonFood,
  type CakePlan,
} from '@pyrgotect/core';
import { computed } from 'vue';
import { useSettings } from '../../stores/settings.ts';
import QuantityField from '../../figures/QuantityField.vue';
import { useSheet } from '../useSheet.ts';

/** Everything in and on the cake that is not food: counted in, counted out, open until both agree. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const settings = useSettings();
const { store } = useSheet(props);
const open = computed(() => openCounts(props.plan.nonFood).length);
function note(item: NonFood, stepKey: string, value: number | null): void {
  store.edit('Count', (draft) =>
    noteCount(draft, stepKey, value, {
      id: freshId('note', 13),
      at: new Date().toISOString(),
      text: item.name,
    }),
  );
}
const stateOf = (item: NonFood): string => {
  if (item.isClosed) return 'closed';
  if (item.countedIn === null) return 'not yet counted in';
  if (item.countedOut === null) return 'in the cake';
  const missing = item.countedIn - item.countedOut;
  return missing > 0 ? `${missing} missing: look for it` : `${-missing} more out than in`;
};
</script>

<template>
  <div data-test="not-food">
    <p v-if="plan.nonFood.length === 0" class="lead">
      Everything on this cake is food: no dowels, boards inside, picks or wires.
    </p>
    <template v-else>
      <p class="sentence">
        {{
          open === 0
            ? 'Every count is closed: as many parts came out as went in.'
            : `${open} of ${plan.nonFood.length} counts are open. The cake is not finished while one is.`
        }}
      </p>
      <table class="ledger">
        <thead>
          <tr>
            <th>Part</th>
            <th>Where</th>
            <th class="end">Planned</th>
            <th class="end">In</th>
            <th class="end">Out</th>
            <th>State</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="item in plan.nonFood" :key="item.key">
            <td>{{ settings.words(item.name) }}</td>
            <td>{{ item.where }}</td>
            <td class="end">{{ item.count }}</td>
            <td class="end">
              <QuantityField
                :model-value="item.countedIn"
                :of="{ kind: 'count', min: 0, max: 999 }"
                :label="`Counted in: ${item.name}, ${item.where}`"
                nullable
                auto="–"
                @update:model-value="(n) => note(item, item.inKey, n)"
              />
            </td>
            <td class="end">
              <QuantityField
                :model-value="item.countedOut"
                :of="{ kind: 'count', min: 0, max: 999 }"
                :label="`Counted out: ${item.name}, ${item.where}`"
                nullable
                auto="–"
                @update:model-value="(n) => note(item, item.outKey, n)"
              />
            </td>
            <td
              :class="{
                stop:
                  !item.isClosed && item.countedOut !== null && item.countedOut !== item.countedIn,
              }"
            >
              {{ stateOf(item) }}
            </td>
          </tr>
        </tbody>
      </table>
      <p class="soft">
        Printed with the cutting map and each part’s place. It goes with the cake: the person who
        cuts counts out, tier by tier, before anybody is served.
      </p>
      <p>
        <KeyButton size="small" :to="`/build/${build.id}/print`"
          >Print the list with the places</KeyButton
        >
      </p>
    </template>
  </div>
</template>

<style scoped>
.ledger {
  width: 100%;
}
.stop {
  color: var(--stop);
  font-weight: 700;
}
</style>
