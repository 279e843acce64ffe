<script setup lang="ts">
import { mdiChevronLeft, mdiChevronRight } from '@mdi/js';
import { mostDays, type CakeLoad, type CalendarDay } from '@pyrgotect/core';
import { useMediaQuery } from '@vueuse/core';
import {
  addDays,
  addMinutes,
  addMonths,
  addWeeks,
  endOfMonth,
  endOfWeek,
  format,
  parseISO,
  startOfMonth,
  startOfWeek,
} from 'date-fns';
import { dayText } from '../locale/when.ts';
import { computed, defineAsyncComponent, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import DayCell from '../calendar/DayCell.vue';
import DayList from '../calendar/DayList.vue';
import { habits } from '../locale/habits.ts';
import { weekdayNumber } from '../locale/region.ts';
import { servingMin } from '../calendar/shown.ts';
import { useLoads } from '../calendar/useLoads.ts';
import TroubleLine from '../figures/TroubleLine.vue';
import { useUnits } from '../figures/units.ts';
import CarvingNote from '../parts/CarvingNote.vue';
import { useQueryChoice } from '../parts/useQueryChoice.ts';
import TopBar from '../parts/TopBar.vue';
import { useShelf } from '../stores/shelf.ts';

const FeedPanel = defineAsyncComponent(() => import('../calendar/FeedPanel.vue'));
/** What is due when, and how much work stands in the days before it. */
const shelf = useShelf();
const units = useUnits();
const router = useRouter();
onMounted(() => void shelf.load());

/** A week of seven columns needs the room of a tablet. */
const isNarrow = useMediaQuery('(max-width: 760px)');
const span = useQueryChoice('by', ['month', 'week'] as const, 'month');
const at = ref(new Date());
const weekStartsOn = computed(() => weekdayNumber[habits.week]);
const from = computed(() =>
  span.value === 'week'
    ? startOfWeek(at.value, { weekStartsOn: weekStartsOn.value })
    : startOfWeek(startOfMonth(at.value), { weekStartsOn: weekStartsOn.value }),
);
const to = computed(() =>
  span.value === 'week'
    ? endOfWeek(at.value, { weekStartsOn: weekStartsOn.value })
    : endOfWeek(endOfMonth(at.value), { weekStartsOn: weekStartsOn.value }),
);
const title = computed(() =>
  span.value === 'month'
    ? format(at.value, 'MMMM yyyy')
    : `${dayText(from.value, 'month')} to ${dayText(to.value, 'full')}`,
);
const go = (by: number): void =>
  void (at.value = span.value === 'month' ? addMonths(at.value, by) : addWeeks(at.value, by));

const iso = (day: Date): string => format(day, 'yyyy-MM-dd');
const dated = computed(() =>
  shelf.entries.filter(
    ({ serveAt, isPattern }) =>
      serveAt &&
      !isPattern &&
      serveAt.slice(0, 10) >= iso(from.value) &&
      serveAt.slice(0, 10) <= iso(addDays(to.value, mostDays)),
  ),
);
const nameOf = computed(() => new Map(shelf.entries.map(({ id, name }) => [id, name])));
const { loads, days, carved, progress, trouble, again } = useLoads(() =>
  dated.value.filter(({ finished }) => !finished).map(({ id }) => id),
);
const dayOn = computed(() => new Map(days.value.map((day) => [day.date, day])));
const dueOn = (date: string) => dated.value.filter(({ serveAt }) => serveAt!.startsWith(date));
/** Days of the span on which something is due or worked on. */
const busy = computed(() => {
  const dates = new Set([
    ...days.value.map(({ date }) => date),
    ...dated.value.map(({ serveAt }) => serveAt!.slice(0, 10)),
  ]);
  return [...dates]
    .filter((date) => date >= iso(from.value) && date <= iso(to.value))
    .sort()
    .map((date) => ({ date, day: dayOn.value.get(date) ?? null, due: dueOn(date) }));
});
const over = computed(() => busy.value.filter(({ day }) => day?.isOver));
const unplanned = computed(() =>
  loads.value
    .filter(({ stretches }) => stretches === null)
    .map(({ cakeId }) => nameOf.value.get(cakeId)!),
);
const hours = (minutes: number): string => units.text(minutes, 'minutes');
const dayName = (date: string): string => dayText(parseISO(date), 'long');
const cakesOf = (day: CalendarDay): string =>
  day.cakes
    .map(({ cakeId, minutes }) => `${nameOf.value.get(cakeId)} ${hours(minutes)}`)
    .join(', ');

/** Stretches and servings of the week, by the hour. */
const events = computed(() => [
  ...loads.value.flatMap(({ cakeId, stretches }: CakeLoad) =>
    (stretches ?? []).map(({ from: start, to: end, chapter }) => ({
      start: new Date(start),
      end: new Date(end),
      name: `${nameOf.value.get(cakeId)}: ${chapter}`,
      cakeId,
      timed: true,
      color: 'work',
    })),
  ),
  ...dated.value.map(({ id, name, serveAt }) => ({
    start: parseISO(serveAt!),
    end: addMinutes(parseISO(serveAt!), servingMin),
    name: `${name} is served`,
    cakeId: id,
    timed: true,
    color: 'served',
  })),
]);
const firstHour = computed(() => Math.min(8, ...events.value.map(({ start }) => start.getHours())));
const open = (id: string): void => void router.push(`/build/${id}/day`);
</script>

<template>
  <div class="calendar prints">
    <TopBar here="calendar">
      <KeyButton variant="flat" to="/new">New cake</KeyButton>
    </TopBar>
    <main id="content" tabindex="-1" data-scrolls>
      <div class="head">
        <h1 aria-live="polite" data-test="calendar-title">{{ title }}</h1>
        <KeyButton
          variant="text"
          :icon="mdiChevronLeft"
          :aria-label="span === 'month' ? 'The month before' : 'The week before'"
          @click="go(-1)"
        />
        <KeyButton @click="at = new Date()">Today</KeyButton>
        <KeyButton
          variant="text"
          :icon="mdiChevronRight"
          :aria-label="span === 'month' ? 'The month after' : 'The week after'"
          @click="go(1)"
        />
        <v-btn-toggle v-model="span" mandatory density="compact" variant="outlined" color="primary">
          <KeyButton value="month">Month</KeyButton>
          <KeyButton value="week">Week</KeyButton>
        </v-btn-toggle>
      </div>
      <p class="lead no-print">
        Hours of work by the plan of each cake’s own days, beside the hours that you gave it. What
        is ticked off at the bench is not counted any more.
      </p>
      <v-progress-linear
        v-if="progress !== null"
        :model-value="100 * progress"
        color="primary"
        aria-label="Planning the days"
      />
      <TroubleLine :trouble="trouble" what="The hours of work" @again="again" />
      <CarvingNote :tiers="carved" />
      <ul v-if="over.length > 0" class="over" data-test="over">
        <li v-for="{ date, day } in over" :key="date">
          ▲ <b>{{ dayName(date) }}</b> holds {{ hours(day!.workMin) }} of work and has
          {{ hours(day!.roomMin) }}: {{ cakesOf(day!) }}.
        </li>
        <li class="advice">
          Begin one of them a day earlier, get a second pair of hands, or take no more for
          {{ over.length === 1 ? 'that day' : 'those days' }}.
        </li>
      </ul>
      <p v-if="unplanned.length > 0" class="warn">
        Without hours enough for its work: {{ unplanned.join(', ') }}. What to do about it stands
        under Day of that cake.
      </p>

      <DayList v-if="isNarrow" :days="busy" :name-of="nameOf" />
      <v-calendar
        v-else-if="span === 'month'"
        type="month"
        class="month"
        :model-value="iso(at)"
        :first-day-of-week="weekStartsOn"
        :show-month-on-first="false"
      >
        <template #day="{ date }">
          <DayCell :day="dayOn.get(date) ?? null" :due="dueOn(date)" />
        </template>
      </v-calendar>
      <v-calendar
        v-else
        type="week"
        role="group"
        :aria-label="`Work from ${title}`"
        class="week"
        :model-value="iso(at)"
        :first-day-of-week="weekStartsOn"
        :first-interval="firstHour"
        :interval-count="24 - firstHour"
        :interval-height="40"
        :interval-format="({ time }: { time: string }) => time"
        :events="events"
        event-color="surface"
        event-text-color="secondary"
        event-overlap-mode="column"
        @click:event="
          (_native: Event, { event }: { event: Record<string, unknown> }) =>
            open(String(event.cakeId))
        "
      >
        <template #day-header="{ date }">
          <DayCell :day="dayOn.get(date) ?? null" :due="[]" />
        </template>
        <template #event="{ event }">
          <router-link
            v-tip="event.name"
            class="stretch"
            :class="event.color"
            :to="`/build/${event.cakeId}/day`"
            >{{ event.name }}</router-link
          >
        </template>
      </v-calendar>
      <FeedPanel class="no-print" />
    </main>
  </div>
</template>

<style scoped>
.calendar {
  min-height: 100dvh;
  background: var(--milk);
}
main {
  max-width: 1280px;
  margin: 0 auto;
  padding: 14px 24px 40px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.head h1 {
  min-width: 240px;
}
.head .v-btn-toggle {
  margin-left: auto;
}
.over {
  margin: 0 0 10px;
  padding: 8px 12px;
  list-style: none;
  background: var(--warn-wash);
  color: var(--warn);
}
.warn {
  color: var(--warn);
}
.month :deep(.v-calendar-weekly__day) {
  min-height: 100px;
}
.month :deep(.v-outside) {
  background: var(--oat);
}
.advice {
  color: var(--ink);
}
.stretch {
  display: block;
  height: 100%;
  padding: 1px 4px;
  overflow: hidden;
  text-decoration: none;
  line-height: 1.15;
  white-space: normal;
  color: var(--ink);
  background: var(--accent-wash);
  border-left: 3px solid var(--accent);
}
.stretch.served {
  color: var(--milk);
  background: var(--ink);
  border-color: var(--ink);
}
@media (max-width: 599px) {
  .head h1 {
    flex: 0 0 100%;
  }
}
</style>
