<script setup lang="ts">
import { format, parseISO } from 'date-fns';
import { computed } from 'vue';
import { habits } from '../locale/habits.ts';
import { weekdayNumber } from '../locale/region.ts';

/** The month and the clock to pick from; null leaves one of them out. */
const props = defineProps<{ day: string | null; hour: string | null; label: string }>();
const emit = defineEmits<{ day: [day: string]; hour: [hour: string]; done: [] }>();
const date = computed(() => (props.day ? parseISO(props.day) : null));
const takeDay = (to: unknown): void => {
  if (to instanceof Date) emit('day', format(to, 'yyyy-MM-dd'));
};
</script>

<template>
  <v-card class="pick-when" role="dialog" :aria-label="label" data-test="pick-when">
    <div class="pickers">
      <v-date-picker
        v-if="day !== null"
        :model-value="date"
        color="primary"
        hide-header
        show-adjacent-months
        :first-day-of-week="weekdayNumber[habits.week]"
        @update:model-value="takeDay"
      />
      <v-time-picker
        v-if="hour !== null"
        :model-value="hour"
        color="primary"
        hide-title
        :format="habits.clock === '12' ? 'ampm' : '24hr'"
        :allowed-minutes="(m: number) => m % 5 === 0"
        @update:model-value="(to) => to && emit('hour', to)"
      />
    </div>
    <p class="end"><KeyButton variant="flat" @click="emit('done')">Done</KeyButton></p>
  </v-card>
</template>

<style scoped>
.pick-when {
  max-width: calc(100vw - 24px);
  max-height: calc(100vh - 60px);
  overflow: auto;
}
.pickers {
  display: flex;
  flex-wrap: wrap;
  justify-content: center;
}
.end {
  margin: 0;
  padding: 0 14px 12px;
  text-align: right;
}
</style>
