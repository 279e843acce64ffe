<script setup lang="ts">
import {
  cakeLabels,
  labelPlaces,
  labelsOn,
  papersMm,
  sheetLimits,
  sheetProblem,
  usualSheets,
  type Build,
  type LabelKind,
  type LabelSheet,
  type Paper,
  type Plan,
} from '@pyrgotect/core';
import { computed, reactive, ref, watch } from 'vue';
import ChoiceField from '../figures/ChoiceField.vue';
import QuantityField from '../figures/QuantityField.vue';
import { useUnits } from '../figures/units.ts';
import { servedText } from '../locale/when.ts';
import CarvingNote from '../parts/CarvingNote.vue';
import DialogBox from '../parts/DialogBox.vue';
import { downloadBytes } from '../parts/download.ts';
import { fileName } from '../parts/file-name.ts';
import { plain } from '../storage/builds.ts';
import { useSettings } from '../stores/settings.ts';
import { letters } from '../templates/letters.ts';

/** Labels for the boxes of a cake and for what is in it, on sheets of labels as they are sold. */
const props = defineProps<{ build: Build; plan: Plan }>();
const emit = defineEmits<{ close: [] }>();
const settings = useSettings();
const units = useUnits();

const kind = ref<LabelKind>('box');
const kinds = computed((): { value: LabelKind; text: string }[] => [
  { value: 'box', text: 'the box of the whole cake' },
  ...(props.build.tiers.length > 1
    ? [{ value: 'tiers' as const, text: 'a box for each tier' }]
    : []),
  { value: 'contents', text: 'what is in it' },
]);

/** A sheet of one's own begins with what is usual. */
const own = 'own';
const chosen = ref('0');
const typed = reactive<LabelSheet>({ ...usualSheets[0]! });
const sheet = computed<LabelSheet>(() =>
  chosen.value === own ? { ...typed } : usualSheets[Number(chosen.value)]!,
);
const sheetText = ({ paper, columns, rows, wideMm, highMm }: LabelSheet): string =>
  `${paper}, ${columns} × ${rows} of ${units.text(wideMm, 'fine')} × ${units.text(highMm, 'fine')}`;
const sheets = computed(() => [
  ...usualSheets.map((each, i) => ({ value: String(i), text: sheetText(each) })),
  { value: own, text: 'another sheet' },
]);
watch(chosen, (to, from) => {
  if (to === own && from !== own) Object.assign(typed, usualSheets[Number(from)]);
});
const paperChoices = (Object.keys(papersMm) as Paper[]).map((value) => ({ value, text: value }));
const misfit = computed(() => sheetProblem(sheet.value));

const copies = ref(1);
const mostCopies = 200;
/** Place of the first label: those before it are used. */
const first = ref(0);
watch(sheet, () => (first.value = Math.min(first.value, labelsOn(sheet.value) - 1)));
const outline = ref(false);

const when = computed(() =>
  [props.build.brief.occasion, servedText(props.build.brief.serveAt), props.build.brief.place]
    .filter(Boolean)
    .join(', '),
);
const labels = computed(() =>
  cakeLabels(kind.value, props.build, props.plan, when.value, settings.system),
);
const all = computed(() =>
  labels.value.flatMap((label) => Array.from({ length: copies.value }, () => label)),
);

/** Every place of the first sheet, as far as it is known what lies there. */
const places = computed(() => labelPlaces(sheet.value, labelsOn(sheet.value), 0));
const isUsed = (i: number): boolean => i < first.value;
const isFilled = (i: number): boolean => !isUsed(i) && i < first.value + all.value.length;
const paper = computed(() => papersMm[sheet.value.paper]);
const pages = computed(() => Math.ceil((first.value + all.value.length) / labelsOn(sheet.value)));

const isWorking = ref(false);
const problem = ref('');
async function save(): Promise<void> {
  isWorking.value = true;
  problem.value = '';
  try {
    const { askSolids } = await import('../workers/solids.ts');
    const font = await letters();
    const bytes = await askSolids((solids) =>
      solids.labels(plain(all.value), plain(sheet.value), first.value, outline.value, font),
    );
    downloadBytes(`${fileName(`${props.build.name} labels`)}.pdf`, bytes, 'application/pdf');
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
  isWorking.value = false;
}
</script>

<template>
  <DialogBox max-width="860" @update:model-value="emit('close')">
    <v-card class="labels" data-test="label-sheets">
      <h1>Labels</h1>
      <CarvingNote :tiers="plan.tiers" />
      <p class="sentence">
        Labels for <ChoiceField v-model="kind" label="What the labels are for" :options="kinds" />,
        <QuantityField
          :model-value="copies"
          :of="{ kind: 'count', min: 1, max: mostCopies }"
          label="Copies of each"
          @update:model-value="(n) => (copies = n)"
        />
        of each, on
        <ChoiceField v-model="chosen" label="Sheet of labels" :options="sheets" />.
      </p>
      <p v-if="chosen === own" class="sentence" data-test="own-sheet">
        The sheet is <ChoiceField v-model="typed.paper" label="Paper" :options="paperChoices" />,
        <QuantityField v-model="typed.columns" :of="sheetLimits.columns" label="Labels across" />
        across and
        <QuantityField v-model="typed.rows" :of="sheetLimits.rows" label="Labels down" /> down, each
        <QuantityField v-model="typed.wideMm" :of="sheetLimits.wideMm" label="Width of a label" />
        wide and
        <QuantityField v-model="typed.highMm" :of="sheetLimits.highMm" label="Height of a label" />
        high,
        <QuantityField
          v-model="typed.gapXMm"
          :of="sheetLimits.gapXMm"
          label="Room between labels across"
        />
        apart across and
        <QuantityField
          v-model="typed.gapYMm"
          :of="sheetLimits.gapYMm"
          label="Room between labels down"
        />
        down.
      </p>
      <p v-if="misfit" class="problem" role="alert">
        So many labels are {{ misfit === 'too wide' ? 'wider' : 'higher' }} than the paper.
      </p>
      <div class="both">
        <figure>
          <svg
            :viewBox="`0 0 ${paper[0]} ${paper[1]}`"
            role="group"
            aria-label="The first sheet; press a label to begin there"
          >
            <rect :width="paper[0]" :height="paper[1]" class="paper" />
            <rect
              v-for="(place, i) in places"
              :key="i"
              :x="place.x"
              :y="place.y"
              :width="sheet.wideMm"
              :height="sheet.highMm"
              rx="2"
              :class="{ used: isUsed(i), filled: isFilled(i) }"
              role="button"
              tabindex="0"
              :aria-label="`Begin at label ${i + 1}`"
              :aria-pressed="i === first"
              @click="first = i"
              @keydown.enter.prevent="first = i"
              @keydown.space.prevent="first = i"
            />
          </svg>
          <figcaption class="soft">
            {{ pages === 1 ? 'One sheet' : `${pages} sheets` }}. Begin at label {{ first + 1 }}:
            press the first one that is still on the sheet.
          </figcaption>
        </figure>
        <div class="texts">
          <article v-for="label in labels" :key="label.title">
            <h2>{{ label.title }}</h2>
            <p v-for="line in label.lines" :key="line.text" :class="{ strong: line.isStrong }">
              {{ line.text }}
            </p>
          </article>
        </div>
      </div>
      <p class="soft">
        Letters become as large as they fit and no smaller than is easily read. Contents are as far
        as your pantry knows them; what a label must say and how, your local food code decides.
      </p>
      <v-checkbox
        v-model="outline"
        label="with edges, for a trial on plain paper held against the sheet"
      />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <p class="buttons">
        <KeyButton
          variant="flat"
          data-test="save-labels"
          :disabled="isWorking || misfit !== null"
          @click="save"
        >
          Save as PDF
        </KeyButton>
        <KeyButton @click="emit('close')">Close</KeyButton>
        <span v-if="isWorking" role="status">Making it …</span>
      </p>
    </v-card>
  </DialogBox>
</template>

<style scoped>
.labels {
  padding: 20px 26px;
  display: block;
  overflow: auto;
}
.both {
  display: grid;
  grid-template-columns: 220px 1fr;
  gap: 24px;
  margin: 12px 0;
}
figure {
  margin: 0;
}
svg {
  width: 100%;
  height: auto;
}
svg rect {
  fill: none;
  stroke: var(--ink);
  stroke-width: 0.7;
  cursor: pointer;
}
svg .paper {
  fill: var(--milk);
  cursor: default;
}
svg rect[role] {
  fill: var(--milk);
}
svg rect[role].filled {
  fill: var(--accent-wash);
  stroke: var(--accent);
}
svg rect[role].used {
  fill: var(--raised);
  stroke-dasharray: 3 2;
}
svg rect:focus-visible {
  stroke-width: 2;
}
article {
  border: 1px solid var(--line);
  border-radius: 6px;
  padding: 8px 14px;
  margin-bottom: 10px;
}
article h2 {
  margin: 0 0 4px;
}
article p {
  margin: 2px 0;
}
.strong {
  font-weight: 650;
}
.problem {
  background: var(--stop-wash);
  border-left: 4px solid var(--stop);
  padding: 7px 12px;
}
.buttons {
  display: flex;
  align-items: center;
  gap: 10px;
  margin-top: 12px;
}
@media (max-width: 599px) {
  .both {
    grid-template-columns: 1fr;
  }
  figure {
    max-width: 200px;
  }
}
</style>
