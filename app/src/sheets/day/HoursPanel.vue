<script setup lang="ts">
import { handsOfTasks, limits, type Build, type DaySettings, type CakePlan } from '@pyrgotect/core';
import { computed } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import ProofLine from '../../day/ProofLine.vue';
import QuantityField from '../../figures/QuantityField.vue';
import TermWord from '../../help/TermWord.vue';
import { useBuild } from '../../stores/build.ts';
import { useKitchen } from '../../stores/kitchen.ts';
import { useDay } from '../../stores/day.ts';
import { useUnits } from '../../figures/units.ts';
import { dayAndHour, servedText, dayNames } from '../../locale/when.ts';
import { download } from '../../parts/download.ts';
import { fileName } from '../../parts/file-name.ts';
import WhenField from '../../figures/WhenField.vue';

/** Who works when, and what that comes to: the start, how good the plan is, calendar and table to take along. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const store = useBuild();
const day = useDay();
const { text } = useUnits();
const names = dayNames('EEEE', 1);
const set = (to: Partial<DaySettings>): void =>
  store.edit('Hours', (draft) => void Object.assign(draft.day, to));
const clock = (minutes: number): string =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
function setClock(i: number, end: 'from' | 'to', value: string): void {
  const found = /^(\d\d):(\d\d)$/.exec(value);
  if (!found) return;
  const minutes = Number(found[1]) * 60 + Number(found[2]);
  store.edit('Hours', (draft) => {
    const own = draft.day.hours[i];
    if (own) own[end] = minutes;
  });
}
const setWorks = (i: number, works: boolean): void =>
  store.edit('Hours', (draft) => {
    draft.day.hours[i] = works ? { from: 18 * 60, to: 22 * 60 } : null;
  });
const backwards = computed(() =>
  props.build.day.hours.map((own) => own !== null && own.to <= own.from),
);
const colds = [
  { value: 'fridge' as const, text: 'fridge' },
  { value: 'freezer' as const, text: 'freezer' },
];
const kitchen = useKitchen();
const at = (minutes: number): string => dayAndHour(day.dateOf(minutes), 'short');
const ownMin = computed(() =>
  handsOfTasks(day.tasks, store.plan?.steps.ok ? store.plan.steps.value : []),
);
const share = (id: string): void =>
  set({
    together: props.build.day.together.includes(id)
      ? props.build.day.together.filter((one) => one !== id)
      : [...props.build.day.together, id],
  });

async function saveCalendar(): Promise<void> {
  const { calendarText } = await import('../../day/calendar.ts');
  download(
    `${fileName(props.build.name)}.ics`,
    calendarText(props.build, day.rows, day.dateOf),
    'text/calendar',
  );
}
async function saveTable(): Promise<void> {
  const { tableText } = await import('../../day/table.ts');
  download(`${fileName(props.build.name)}-days.csv`, tableText(day.rows, day.dateOf), 'text/csv');
}
</script>

<template>
  <div data-test="hours">
    <p class="sentence">
      <QuantityField
        :model-value="build.day.people"
        :of="limits.people"
        label="How many people work on it"
        @update:model-value="(n) => set({ people: Math.round(n) })"
      />
      {{ build.day.people === 1 ? 'person works' : 'people work' }} on it, with
      <QuantityField
        :model-value="build.day.fridgeMm"
        :of="limits.fridgeMm"
        label="Height of the fridge’s shelves together"
        @update:model-value="(mm) => set({ fridgeMm: mm })"
      />
      of fridge to stand tiers in, a freezer of
      <QuantityField
        :model-value="build.day.freezerMm > 0 ? build.day.freezerMm : null"
        :of="limits.freezerMm"
        nullable
        auto="none"
        label="Height of the freezer’s shelves together"
        @update:model-value="
          (mm) => set(mm ? { freezerMm: mm } : { freezerMm: 0, chillIn: 'fridge' })
        "
      /><template v-if="build.day.freezerMm > 0">
        , getting firm in the
        <ChoiceField
          :model-value="build.day.chillIn"
          label="Where stacks and coats get firm"
          :options="colds"
          @update:model-value="(chillIn) => set({ chillIn })" /></template
      >, and
      <QuantityField
        :model-value="build.day.spareMin"
        :of="limits.spareMin"
        label="Minutes in hand before it is served"
        @update:model-value="(n) => set({ spareMin: n })"
      />
      in hand before it is served.
    </p>
    <table class="ledger">
      <tbody>
        <tr v-for="(own, i) in build.day.hours" :key="i">
          <th>
            <v-checkbox
              :model-value="own !== null"
              :aria-label="`Work on ${names[i]}`"
              @update:model-value="setWorks(i, $event === true)"
              ><template #label>{{ names[i] }}</template></v-checkbox
            >
          </th>
          <td v-if="own">
            <WhenField
              of="hour"
              :model-value="clock(own.from)"
              :label="`${names[i]}, from`"
              @update:model-value="setClock(i, 'from', $event)"
            />
            to
            <WhenField
              of="hour"
              :model-value="clock(own.to)"
              :label="`${names[i]}, to`"
              @update:model-value="setClock(i, 'to', $event)"
            />
            <span v-if="backwards[i]" class="wrong">ends before it begins: not counted</span>
          </td>
          <td v-else class="soft">off</td>
        </tr>
      </tbody>
    </table>
    <div v-if="kitchen.neighbours.length > 0" class="together" data-test="together">
      <p class="soft">
        Made on the same days. What shares the kitchen shares its hands, oven, mixer and cold; the
        hours and the room are those above.
      </p>
      <v-checkbox
        v-for="other in kitchen.neighbours"
        :key="other.id"
        :model-value="build.day.together.includes(other.id)"
        @update:model-value="share(other.id)"
        ><template #label
          >{{ other.name }}, served {{ servedText(other.serveAt) }}</template
        ></v-checkbox
      >
    </div>
    <p v-for="one in day.plan?.moved ?? []" :key="one.id" class="wrong" role="alert">
      “{{ day.taskOf(one.id)?.title }}” cannot begin
      {{ dayAndHour(day.dateOf(one.wantedMin), 'weekday') }}: it begins
      {{ dayAndHour(day.dateOf(one.startMin), 'weekday') }}.
      <KeyButton size="small" @click="day.pin(one.id, null)">let it go</KeyButton>
    </p>
    <template v-if="day.plan && day.plan.placed.length > 0">
      <p class="sentence" data-test="result">
        {{ day.tasks.length }} tasks, <b>{{ text(ownMin, 'minutes') }}</b>{{ ' '
        }}<TermWord id="hands-on">of hands</TermWord>, from
        <b>{{ at(day.plan.placed[0]!.startMin) }}</b> to {{ at(0)
        }}<template v-if="day.isShared"
          >; all cakes together begin {{ at(-day.plan.spanMin) }}</template
        >.
      </p>
      <ProofLine :plan="day.plan" :at="at" />
      <p v-if="day.plan.late.length > 0" class="wrong" role="alert">
        <template v-for="late in day.plan.late" :key="late.id + late.after">
          {{ day.taskOf(late.after)?.title }} waits {{ text(late.byMin, 'minutes') }} longer than it
          keeps.
        </template>
      </p>
      <p class="row">
        <KeyButton data-test="save-calendar" @click="saveCalendar"> Calendar file </KeyButton>
        <KeyButton data-test="save-table" @click="saveTable">Table</KeyButton>
      </p>
      <p class="soft">
        Planned backward, each task as late as hands, oven, mixer, fridge and your hours let it, so
        that everything is fresh{{
          day.isShared ? '; span and bound are those of all cakes together' : ''
        }}. A tin comes out the moment it is done, so baking ends within your hours; other waits go
        through the night.
      </p>
    </template>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  gap: 10px;
}
.together .v-input {
  display: grid;
  padding: 3px 0;
}
.wrong {
  color: var(--stop);
  font-weight: 600;
}
th {
  min-width: 9em;
}
</style>
