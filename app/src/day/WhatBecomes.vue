<script setup lang="ts">
import { productsOf, type Product, type ProductShare } from '@pyrgotect/core';
import { computed } from 'vue';
import { useUnits } from '../figures/units.ts';
import { useBuild } from '../stores/build.ts';
import { useSettings } from '../stores/settings.ts';

/** Everything that is made on the way and what becomes of it: made is used, lost and left over. */
const store = useBuild();
const settings = useSettings();
const { text } = useUnits();
const products = computed<Product[]>(() =>
  store.build && store.plan ? productsOf(store.build, store.plan) : [],
);
const several = computed(() => (store.build?.tiers.length ?? 0) > 1);
const nameOf = ({ name, tierId }: Product): string => {
  const tier = store.build?.tiers.find(({ id }) => id === tierId);
  return tier && several.value ? `${tier.name}: ${name}` : name;
};
const mass = (g: number): string => text(g, g < 100 ? 'small' : 'bowl');
const shares = (some: readonly ProductShare[]): string =>
  some.map(({ label, massG }) => `${settings.words(label)}: ${mass(massG)}`).join('; ');
</script>

<template>
  <section v-if="products.length > 0" data-test="becomes">
    <h2>What becomes of it</h2>
    <table>
      <thead>
        <tr>
          <th scope="col">made</th>
          <th scope="col" class="end">of it</th>
          <th scope="col">goes into</th>
          <th scope="col">lost</th>
          <th scope="col" class="end">over</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in products" :key="one.id">
          <td>{{ settings.words(nameOf(one)) }}</td>
          <td class="end">
            <b>{{ mass(one.givenG) }}</b>
          </td>
          <td>{{ shares(one.taken) }}</td>
          <td>{{ shares(one.lost) }}</td>
          <td class="end">{{ one.leftG < 0.5 ? '' : mass(one.leftG) }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  text-align: left;
  padding-right: 14px;
  color: var(--soft);
  font-weight: 600;
}
td {
  border-top: 1px solid var(--line);
  padding: 5px 14px 5px 0;
  vertical-align: top;
}
.end,
th.end {
  text-align: right;
  white-space: nowrap;
}
</style>
