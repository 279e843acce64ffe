<script setup lang="ts">
import { handKinds, handRows } from '@pyrgotect/core';

/** What there is to learn, while nothing of it is known: what one notes, what plans assume, what they do with it. */
const percent = (cv: number): string => `± ${Math.round(cv * 100)} %`;
</script>

<template>
  <table class="ledger" data-test="usual-kinds">
    <thead>
      <tr>
        <th scope="col">What is learnt</th>
        <th scope="col">From what you note at the bench</th>
        <th scope="col" class="end">Until then it comes out within</th>
        <th scope="col">What moves with it</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="kind in handKinds" :key="kind">
        <td>{{ handRows[kind].title }}</td>
        <td>{{ handRows[kind].noted }}</td>
        <td class="end">{{ percent(handRows[kind].cv) }}</td>
        <td>{{ handRows[kind].moves }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.ledger th {
  white-space: normal;
  vertical-align: bottom;
}
td {
  overflow-wrap: anywhere;
}
</style>
