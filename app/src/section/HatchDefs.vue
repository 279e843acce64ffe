<script setup lang="ts">
import { hatches } from './tones.ts';
</script>

<template>
  <svg class="hatch-defs" aria-hidden="true">
    <defs>
      <pattern
        v-for="(hatch, tone) in hatches"
        :id="`tone-${tone}`"
        :key="tone"
        :width="hatch.tile"
        :height="hatch.tile"
        patternUnits="userSpaceOnUse"
      >
        <rect :width="hatch.tile" :height="hatch.tile" :fill="hatch.ground" />
        <path
          v-for="mark in hatch.marks"
          :key="mark.path"
          :d="mark.path"
          :fill="mark.fill ?? 'none'"
          :stroke="mark.stroke"
          :stroke-width="mark.width"
        />
      </pattern>
    </defs>
  </svg>
</template>
