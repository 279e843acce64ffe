<script setup lang="ts">
import { barWords, type BarKind } from './bands.ts';

/** What the bars of work mean, in a line of a drawing. */
const kinds: BarKind[] = ['hands', 'oven', 'fridge', 'wait'];
</script>

<template>
  <g v-for="(kind, i) in kinds" :key="kind" :class="kind">
    <rect :x="i * 92" y="-11" width="18" height="12" />
    <text :x="i * 92 + 24" y="0" font-size="13.5">{{ barWords[kind] }}</text>
  </g>
</template>

<style scoped src="./bars.css" />
