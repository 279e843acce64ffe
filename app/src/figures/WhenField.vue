<script setup lang="ts">
import { mdiCalendarBlankOutline, mdiClockOutline } from '@mdi/js';
import { parseISO } from 'date-fns';
import { computed, defineAsyncComponent, ref } from 'vue';
import { habits } from '../locale/habits.ts';
import { readWhen } from '../locale/read-when.ts';
import { useDraft } from './draft.ts';
import TypedField from './TypedField.vue';
import { dayAndHour, dayText, hourText } from '../locale/when.ts';

/**
 * A day, an hour, or a day and its hour: typed in one's own words, or picked. Its text is written as
 * everywhere else, in the order and by the clock of the region.
 */
const props = withDefaults(
  defineProps<{
    /** '2027-06-12T16:00', '2027-06-12' or '16:00'; '' for none. */
    modelValue: string;
    of?: 'day and hour' | 'day' | 'hour';
    label: string;
    /** It may be left empty. */
    nullable?: boolean;
  }>(),
  { of: 'day and hour', nullable: false },
);
const emit = defineEmits<{ 'update:modelValue': [value: string] }>();
const WhenPicker = defineAsyncComponent(() => import('./WhenPicker.vue'));

const day = computed(() => (props.of === 'hour' ? '' : props.modelValue.slice(0, 10)));
const hour = computed(() =>
  props.of === 'hour' ? props.modelValue : props.modelValue.slice(11, 16),
);
const shown = computed(() => {
  if (props.modelValue === '') return '';
  if (props.of === 'hour') return hourText(parseISO(`2000-01-01T${hour.value}`));
  const at = parseISO(props.modelValue);
  return props.of === 'day' ? dayText(at, 'whole') : dayAndHour(at, 'whole');
});
const { text, problem, isTyped, type, show, given } = useDraft(() => shown.value);

const usual = '12:00';
function put(to: { day: string | null; hour: string | null }): boolean {
  const newDay = to.day ?? day.value;
  const newHour = to.hour ?? (hour.value || usual);
  if (props.of !== 'hour' && newDay === '') return false;
  const value =
    props.of === 'hour' ? newHour : props.of === 'day' ? newDay : `${newDay}T${newHour}`;
  if (value !== props.modelValue) emit('update:modelValue', value);
  given();
  return true;
}
const example: Record<typeof props.of, string> = {
  'day and hour': 'Write a day and its hour, as 12 June 2027, 16:00.',
  day: 'Write a day, as 12 June 2027.',
  hour: 'Write an hour, as 16:00 or 4 pm.',
};
function take(): void {
  if (!isTyped()) return;
  if (text.value === shown.value) return show();
  if (text.value.trim() === '' && props.nullable) {
    emit('update:modelValue', '');
    return given();
  }
  const read = readWhen(text.value, habits.dates, new Date());
  const misses =
    read === null || (props.of === 'hour' && (read.hour === null || read.day !== null));
  if (misses || !put(read)) problem.value = example[props.of];
}
const isOpen = ref(false);
</script>

<template>
  <TypedField
    :model-value="text"
    class="worded when"
    :placeholder="nullable ? 'no date' : undefined"
    :label="label"
    :problem="problem"
    @update:model-value="type"
    @take="take"
    @give-up="show"
  >
    <template #append>
      <v-menu v-model="isOpen" :close-on-content-click="false" location="bottom">
        <template #activator="{ props: opens }">
          <v-icon-btn
            v-bind="opens"
            class="picks"
            :icon="of === 'hour' ? mdiClockOutline : mdiCalendarBlankOutline"
            :aria-label="of === 'hour' ? 'Pick on a clock' : 'Pick in a calendar'"
            size="22"
            icon-size="16"
            variant="plain"
          />
        </template>
        <WhenPicker
          v-if="isOpen"
          :day="of === 'hour' ? null : day"
          :hour="of === 'day' ? null : hour || usual"
          :label="label"
          @day="(to) => put({ day: to, hour: null })"
          @hour="(to) => put({ day: day || null, hour: to })"
          @done="isOpen = false"
        />
      </v-menu>
    </template>
  </TypedField>
</template>
