<script setup lang="ts">
import { spoonSchools, type SpoonSchool } from '@pyrgotect/core';
import { onMounted, ref, shallowRef } from 'vue';
import { useShelf } from '../stores/shelf.ts';
import { isShort, roomNow, roomText, type Room } from '../storage/room.ts';
import { useSettings, type Scheme } from '../stores/settings.ts';
import WordField from '../figures/WordField.vue';

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
const lengths = ['cm', 'in'] as const;
const masses = ['g', 'oz'] as const;
const volumes = ['mL', 'cups'] as const;
const temperatures = ['C', 'F'] as const;
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
      <fieldset>
        <legend>length</legend>
        <button
          v-for="unit in lengths"
          :key="unit"
          type="button"
          class="key small"
          :class="{ solid: settings.system.length === unit }"
          @click="settings.setUnits({ length: unit })"
        >
          {{ unit }}
        </button>
      </fieldset>
      <fieldset>
        <legend>weight</legend>
        <button
          v-for="unit in masses"
          :key="unit"
          type="button"
          class="key small"
          :class="{ solid: settings.system.mass === unit }"
          @click="settings.setUnits({ mass: unit })"
        >
          {{ unit }}
        </button>
      </fieldset>
      <fieldset>
        <legend>volume</legend>
        <button
          v-for="unit in volumes"
          :key="unit"
          type="button"
          class="key small"
          :class="{ solid: settings.system.volume === unit }"
          @click="settings.setUnits({ volume: unit })"
        >
          {{ unit }}
        </button>
      </fieldset>
      <fieldset>
        <legend>temperature</legend>
        <button
          v-for="unit in temperatures"
          :key="unit"
          type="button"
          class="key small"
          :class="{ solid: settings.system.temperature === unit }"
          @click="settings.setUnits({ temperature: unit })"
        >
          °{{ unit }}
        </button>
      </fieldset>
      <fieldset>
        <legend>your spoons</legend>
        <button
          v-for="school in spoonSchools"
          :key="school"
          type="button"
          class="key small"
          :class="{ solid: settings.system.spoons === school }"
          @click="settings.setUnits({ spoons: school })"
        >
          {{ spoonWords[school] }}
        </button>
      </fieldset>
      <fieldset>
        <legend>your cup</legend>
        <button
          v-for="ml in [237, 250]"
          :key="ml"
          type="button"
          class="key small"
          :class="{ solid: settings.system.cupMl === ml }"
          @click="settings.setUnits({ cupMl: ml })"
        >
          {{ ml }} mL
        </button>
      </fieldset>
      <fieldset>
        <legend>prices in</legend>
        <WordField
          class="sign"
          :most="4"
          aria-label="Sign before prices"
          :model-value="settings.system.currency"
          @update:model-value="settings.setUnits({ currency: $event })"
        />
      </fieldset>
      <h2>Colours</h2>
      <fieldset>
        <button
          v-for="scheme in schemes"
          :key="scheme.value"
          type="button"
          class="key small"
          :class="{ solid: settings.scheme === scheme.value }"
          @click="settings.setScheme(scheme.value)"
        >
          {{ scheme.text }}
        </button>
      </fieldset>
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
      <h2>Examples</h2>
      <p class="room">
        <v-btn
          size="small"
          variant="outlined"
          :loading="moving"
          data-test="examples"
          @click="moveExamples"
          >{{ shelf.hasExamples ? 'Put the examples away' : 'Bring the examples back' }}</v-btn
        >
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
  width: 300px;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0 0 7px;
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}
.sign {
  font: inherit;
  font-weight: 600;
  color: var(--accent);
  background: var(--raised);
  border: 0;
  border-bottom: 1.8px solid var(--accent);
  width: 4em;
  padding: 1px 6px;
}
legend {
  float: left;
  width: 90px;
  color: var(--soft);
}
h2 {
  margin-top: 12px;
}
</style>
