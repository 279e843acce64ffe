<script setup lang="ts">
import { computed, ref } from 'vue';
import { dayAndHour, dayText } from '../locale/when.ts';
import ToggleRow from '../parts/ToggleRow.vue';
import type { BackupPreview } from './backup-desk.ts';
import type { BackupChoice } from './take-in.ts';

/** What a backup holds beside what is here, and which of it is taken in. */
const props = defineProps<{ preview: BackupPreview; busy: boolean }>();
const emit = defineEmits<{ take: [choice: BackupChoice] }>();
const difference = computed(() => props.preview.difference);
const other = computed(() => difference.value.cakes.filter(({ standing }) => standing !== 'same'));
const same = computed(() => difference.value.cakes.length - other.value.length);
/** What is not here, and what is later there, is wanted most often. */
const chosen = ref(
  other.value.filter(({ standing }) => standing !== 'later here').map(({ id }) => id),
);
const beside = ref<'beside' | 'instead'>('instead');
const rows = ref<BackupChoice['rows']>('fresh');
const hand = ref(true);
const settings = ref(difference.value.cakes.length > 0 && same.value === 0);
const standingWords = {
  fresh: 'not here',
  same: 'the same',
  'later there': 'here otherwise; later in the backup',
  'later here': 'here otherwise; later here',
} as const;
const freshRows = computed(() => difference.value.rows.filter(({ isFresh }) => isFresh).length);
const otherRows = computed(() => difference.value.rows.length - freshRows.value);
const anyDiffers = computed(() =>
  other.value.some(({ id, standing }) => standing !== 'fresh' && chosen.value.includes(id)),
);
const learnt = computed(() => difference.value.freshRecords + difference.value.freshTries);
/** Nothing of it is here otherwise, or missing. */
const isSame = computed(
  () =>
    other.value.length === 0 &&
    difference.value.rows.length === 0 &&
    learnt.value === 0 &&
    difference.value.kitchen !== 'differs' &&
    difference.value.settings !== 'differs',
);
const isNothing = computed(
  () =>
    chosen.value.length === 0 &&
    (rows.value === 'none' || difference.value.rows.length === 0) &&
    !(hand.value && learnt.value > 0) &&
    !(settings.value && difference.value.settings === 'differs'),
);
function take(): void {
  emit('take', {
    cakes: [...chosen.value],
    beside: beside.value === 'beside',
    rows: rows.value,
    hand: hand.value,
    settings: settings.value,
  });
}
</script>

<template>
  <div class="changes" data-test="backup-changes">
    <p>
      Made {{ dayAndHour(new Date(preview.madeAt), 'dated') }}: {{ difference.cakes.length }}
      {{ difference.cakes.length === 1 ? 'cake' : 'cakes' }}, {{ preview.pictures }}
      {{ preview.pictures === 1 ? 'photo' : 'photos' }}.
      <template v-if="isSame">All of it is here, as it is there.</template>
      <template v-else-if="same > 0">{{ same }} of the cakes are here as they are there.</template>
    </p>
    <div v-if="preview.unreadable.length > 0" class="unreadable" role="alert">
      <p>Not all of it can be read; the rest can be taken.</p>
      <ul>
        <li v-for="each in preview.unreadable" :key="each.file">
          {{ each.file }}: {{ each.problems[0]!.message }}
        </li>
      </ul>
    </div>
    <fieldset v-if="other.length > 0">
      <legend>Cakes</legend>
      <ul class="cakes">
        <li v-for="cake in other" :key="cake.id">
          <v-checkbox v-model="chosen" :value="cake.id" density="compact" hide-details>
            <template #label>
              <span
                >{{ cake.name }}
                <span class="soft"
                  >{{ cake.serveAt ? `${dayText(new Date(cake.serveAt), 'dated')}, ` : ''
                  }}{{ standingWords[cake.standing] }}</span
                ></span
              >
            </template>
          </v-checkbox>
        </li>
      </ul>
      <ToggleRow
        v-if="anyDiffers"
        v-model="beside"
        name="what is here otherwise"
        :of="[
          { value: 'instead', text: 'as in the backup' },
          { value: 'beside', text: 'beside it, as a copy' },
        ]"
      />
      <p v-if="anyDiffers && beside === 'instead'" class="soft">
        What is here now stays among the earlier versions of the cake.
      </p>
    </fieldset>
    <fieldset v-if="difference.rows.length > 0 || difference.kitchen === 'differs'">
      <legend>Pantry</legend>
      <p>
        {{ freshRows }} rows are not here, {{ otherRows }} are here otherwise,
        {{ difference.sameRows }} are the same{{
          difference.kitchen === 'differs' ? '; the kitchen is set otherwise' : ''
        }}.
      </p>
      <ToggleRow
        v-model="rows"
        name="take"
        :of="[
          { value: 'none', text: 'what the cakes need' },
          { value: 'fresh', text: 'what is not here' },
          { value: 'all', text: 'all as in the backup' },
        ]"
      />
    </fieldset>
    <v-checkbox
      v-if="learnt > 0"
      v-model="hand"
      :label="`what was learnt: ${difference.freshRecords} records, ${difference.freshTries} tries of drills`"
      density="compact"
      hide-details
    />
    <v-checkbox
      v-if="difference.settings === 'differs'"
      v-model="settings"
      label="units, habits and colours of the screen"
      density="compact"
      hide-details
    />
    <p v-if="!isSame" class="last">
      <KeyButton variant="flat" :disabled="busy || isNothing" data-test="take-backup" @click="take"
        >Take it in</KeyButton
      >
      <span v-if="isNothing" class="soft">Nothing is chosen that is not here already.</span>
    </p>
  </div>
</template>

<style scoped>
fieldset {
  border: 0;
  border-top: 1px solid var(--line);
  margin: 10px 0 0;
  padding: 6px 0 0;
}
legend {
  font-weight: 600;
  padding: 0 8px 0 0;
}
.cakes {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 320px;
  overflow: auto;
}
.last {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  margin-top: 14px;
}
.unreadable {
  padding: 8px 14px;
  border-left: 5px solid var(--stop);
  background: var(--stop-wash);
}
</style>
