<script setup lang="ts">
import { spoonSchools, type SpoonSchool, type UnitSystem, word, valueWord } from '@pyrgotect/core';
import { onMounted, ref, shallowRef } from 'vue';
import { useShelf } from '../stores/shelf.ts';
import { isShort, roomNow, roomText, type Room } from '../storage/room.ts';
import { useSettings, type OwnHabits, type Scheme } from '../stores/settings.ts';
import { useUnits } from '../figures/units.ts';
import WordField from '../figures/WordField.vue';
import { dayAndHour } from '../locale/when.ts';
import ToggleRow from './ToggleRow.vue';

/** Units and colours, under the button that opened it. */
defineProps<{ under: HTMLElement }>();
const emit = defineEmits<{ close: [] }>();
const settings = useSettings();
const schemes: { value: Scheme; text: string }[] = [
  { value: 'auto', text: 'as the device' },
  { value: 'paper', text: 'light' },
  { value: 'night', text: 'dark' },
];
const spoonWords: Record<SpoonSchool, string> = {
  metric: '15 and 5 mL',
  us: '14.8 and 4.9 mL',
  au: '20 and 5 mL',
};
type Choice = { value: string | number; text: string };
const same = (...words: string[]): Choice[] =>
  words.map((value) => ({ value, text: valueWord(value) }));
const units: {
  key: Exclude<keyof UnitSystem, 'currency' | 'decimal'>;
  name: string;
  of: Choice[];
}[] = [
  { key: 'length', name: word('length'), of: same('cm', 'in') },
  { key: 'mass', name: word('weight'), of: same('g', 'oz') },
  { key: 'volume', name: word('volume'), of: same('mL', 'cups') },
  {
    key: 'temperature',
    name: word('temperature'),
    of: [
      { value: 'C', text: '°C' },
      { value: 'F', text: '°F' },
    ],
  },
  {
    key: 'spoons',
    name: 'your spoons',
    of: spoonSchools.map((value) => ({ value, text: spoonWords[value] })),
  },
  {
    key: 'cupMl',
    name: 'your cup',
    of: [237, 250].map((value) => ({ value, text: `${value} mL` })),
  },
];
const region = { value: 'auto', text: 'region' };
const habitRows: { key: keyof OwnHabits; name: string; of: Choice[] }[] = [
  {
    key: 'clock',
    name: word('clock'),
    of: [region, { value: '24', text: '16:00' }, { value: '12', text: '4:00 pm' }],
  },
  {
    key: 'dates',
    name: word('dates'),
    of: [
      region,
      { value: 'dmy', text: '12 Jun' },
      { value: 'mdy', text: 'Jun 12' },
      { value: 'ymd', text: '2027 Jun 12' },
    ],
  },
  {
    key: 'week',
    name: 'week begins',
    of: [
      region,
      { value: 'mon', text: 'Mon' },
      { value: 'sun', text: 'Sun' },
      { value: 'sat', text: 'Sat' },
    ],
  },
  {
    key: 'decimal',
    name: word('tenths'),
    of: [region, { value: '.', text: '1.5' }, { value: ',', text: '1,5' }],
  },
];
const sample = new Date(2027, 5, 12, 16);
const { text } = useUnits();
const shelf = useShelf();
const moving = ref(false);
async function moveExamples(): Promise<void> {
  moving.value = true;
  await (shelf.hasExamples ? shelf.putExamplesAway() : shelf.bringExamples());
  moving.value = false;
}
const room = shallowRef<Room | null>(null);
onMounted(async () => {
  room.value = await roomNow();
  await shelf.load();
});
</script>

<template>
  <v-menu
    :model-value="true"
    :target="under"
    :close-on-content-click="false"
    location="bottom end"
    @update:model-value="emit('close')"
  >
    <v-card class="panel">
      <h2>Units</h2>
      <ToggleRow
        v-for="row in units"
        :key="row.key"
        :name="row.name"
        :of="row.of"
        :model-value="settings.system[row.key]"
        @update:model-value="(to) => settings.setUnits({ [row.key]: to })"
      />
      <p class="sign">
        <span>prices in</span>
        <WordField
          :most="4"
          aria-label="Sign before prices"
          :model-value="settings.system.currency"
          @update:model-value="settings.setUnits({ currency: $event })"
        />
      </p>
      <h2>Days, hours, numbers</h2>
      <ToggleRow
        v-for="row in habitRows"
        :key="row.key"
        :name="row.name"
        :of="row.of"
        :model-value="settings.ownHabits[row.key]"
        @update:model-value="(to) => settings.setHabits({ [row.key]: to })"
      />
      <p class="room soft">
        Written so: {{ dayAndHour(sample, 'dated') }}, {{ text(1135, 'bowl') }}.
      </p>
      <h2>Colours</h2>
      <ToggleRow
        name="screen"
        :of="schemes"
        :model-value="settings.scheme"
        @update:model-value="settings.setScheme"
      />
      <h2>Keys</h2>
      <p class="room">
        {{ settings.singleKeys ? 'Letters alone are keys.' : 'Letters alone do nothing.' }}
        <router-link to="/help#keys" @click="emit('close')">All keys, and their switch</router-link>
      </p>
      <h2>At the bench</h2>
      <v-switch
        :model-value="settings.devices"
        label="Scale and thermometer"
        density="compact"
        color="primary"
        hide-details
        data-test="devices-on"
        @update:model-value="(on) => settings.setDevices(on === true)"
      />
      <p class="room">
        Weights and temperatures come by themselves. Stand-ins are shipped with the program, to try
        it.
      </p>
      <h2>Backup</h2>
      <p class="room">
        <router-link to="/backup" @click="emit('close')"
          >All of it as one file, and back</router-link
        >
      </p>
      <h2>Examples</h2>
      <p class="room">
        <KeyButton size="small" :loading="moving" data-test="examples" @click="moveExamples">{{
          shelf.hasExamples ? 'Put the examples away' : 'Bring the examples back'
        }}</KeyButton>
      </p>
      <p class="room soft">The observatory’s cakes, as you left them. Your own stay as they are.</p>
      <template v-if="room">
        <h2>Kept in this browser</h2>
        <p class="room" data-test="room">
          {{ roomText(room.usedMb) }} of {{ roomText(room.mostMb)
          }}<template v-if="isShort(room)">
            : <b>nearly full</b>; take cakes off that you do not need, or save them to
            files</template
          >.
          {{
            room.isKept
              ? 'The browser keeps it when space gets short.'
              : 'The browser may clear it when space gets short: save cakes to files now and then.'
          }}
        </p>
      </template>
    </v-card>
  </v-menu>
</template>

<style scoped>
.room {
  margin: 0;
}
.panel {
  padding: 6px 18px 18px;
  width: 380px;
  max-width: calc(100vw - 24px);
}
.sign {
  display: flex;
  gap: 6px;
  align-items: center;
  margin: 0 0 7px;
}
.sign > span {
  flex: 0 0 96px;
  color: var(--soft);
}
h2 {
  margin-top: 12px;
}
</style>
