<script setup lang="ts">
import type { Build, CakePlan } from '@pyrgotect/core';
import BatchCards from '../../day/BatchCards.vue';
import SessionLists from '../../day/SessionLists.vue';
import TemperatureLog from '../../day/TemperatureLog.vue';
import WhatBecomes from '../../day/WhatBecomes.vue';
import { useDay } from '../../stores/day.ts';

/** What each stretch of work needs at hand before it begins. */
defineProps<{ build: Build; plan: CakePlan }>();
const day = useDay();
</script>

<template>
  <div data-test="lists">
    <p v-if="!day.plan" class="lead">The lists follow from the plan of the days.</p>
    <SessionLists />
    <BatchCards />
    <WhatBecomes />
    <TemperatureLog />
  </div>
</template>
