<script setup lang="ts">
import { missingLayers, type Build, type Stock } from '@pyrgotect/core';
import { computed } from 'vue';
import { usePlannedElsewhere } from './usePlannedElsewhere.ts';

/** Says which other cakes count on what this one takes, and what is missing then. */
const props = defineProps<{ build: Build; row: Stock | undefined }>();
const elsewhere = usePlannedElsewhere(() => props.build.id);
const others = computed(() => elsewhere(props.row));
const names = computed(() =>
  others.value
    .map(({ name, layers }) => (layers === null ? name : `${name} (${layers})`))
    .join(', '),
);
const missing = computed(() =>
  props.row?.layer ? missingLayers(props.row, props.build, others.value) : 0,
);
</script>

<template>
  <p v-if="others.length > 0" class="soft" role="status" data-test="planned-elsewhere">
    Counted on as well by {{ names }}{{ missing > 0 ? `: ${missing} would be missing` : '' }}.
    <template v-if="row?.layer === null"> Who takes it first has it.</template>
  </p>
</template>
