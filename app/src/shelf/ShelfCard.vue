<script setup lang="ts">
import {
  mdiAccountGroupOutline,
  mdiContentCopy,
  mdiDotsVertical,
  mdiDownload,
  mdiTrashCanOutline,
} from '@mdi/js';
import {
  carvingKnown,
  planShape,
  type Corrections,
  type ShapePlan,
  word,
  valueWord,
} from '@pyrgotect/core';
import { useIntersectionObserver, watchDebounced } from '@vueuse/core';
import { computed, ref, shallowRef, useTemplateRef, watch } from 'vue';
import type { Build } from '@pyrgotect/core';
import CarvingNote from '../parts/CarvingNote.vue';
import IconPath from '../parts/IconPath.vue';
import { servedText, timeLeft } from '../locale/when.ts';
import SectionThumb from '../section/SectionThumb.vue';
import { handOn } from './hand-on.ts';
import { useCardPicture } from './useCardPicture.ts';
import { myTurn } from './turns.ts';
import { database, type ShelfEntry } from '../storage/database.ts';
import { useCarvings } from '../stores/carvings.ts';
import { usePantry } from '../stores/pantry.ts';
import { useUnits } from '../figures/units.ts';

const props = defineProps<{ entry: ShelfEntry; now: Date; isExample: boolean }>();
const emit = defineEmits<{
  duplicate: [];
  resize: [];
  remove: [];
  saveFile: [];
  again: [];
  keepPattern: [];
  saveAll: [];
  fromPattern: [];
}>();
const units = useUnits();
const pantry = usePantry();
const carvings = useCarvings();
const card = useTemplateRef<HTMLElement>('card');
const build = shallowRef<Build | null>(null);
/** Null until the records are read. */
const corrections = shallowRef<Corrections | null>(null);
const near = shallowRef(false);

// drawn only when it comes near the window: a shelf may hold thousands
const { stop } = useIntersectionObserver(
  card,
  ([entry]) => {
    if (!entry?.isIntersecting) return;
    near.value = true;
    stop();
  },
  { rootMargin: '300px' },
);
watch(
  () => [near.value, props.entry.updatedAt] as const,
  async ([isNear]) => {
    if (!isNear) return;
    const stored = await database.builds.get(props.entry.id);
    await myTurn();
    build.value = stored?.build ?? null;
    // drawn first, and moved by the hand when its records are read
    if (stored) corrections.value = await handOn(stored.build);
  },
  { immediate: true },
);
const plan = computed<ShapePlan | null>(() =>
  build.value
    ? planShape(build.value, pantry.pantry, carvings.answerTo, corrections.value ?? {})
    : null,
);
// a carved cake is worked out when the shelf has come to rest
watchDebounced(
  () => [plan.value, carvings.loaded] as const,
  ([now]) => {
    if (now && carvingKnown(now.tiers) !== 'measured') carvings.need(now);
  },
  { debounce: 1500, immediate: true },
);
/** Waits for the hand, and for the carving, which is not seen in a plan that goes without its answer. */
const address = useCardPicture(props.entry.id, () =>
  build.value && corrections.value && plan.value?.tiers.every(({ carve }) => !carve || carve.result)
    ? {
        build: build.value,
        plan: plan.value,
        corrections: corrections.value,
        pantry: pantry.pantry,
      }
    : null,
);
/** Steps in all, worked out only for a cake that has been begun. */
const steps = ref({ done: 0, all: 0 });
watch(build, async (now) => {
  if (!now || now.bench.done.length === 0) return;
  const { countSteps } = await import('./count-steps.ts');
  steps.value = countSteps(now, pantry.pantry, carvings.answerTo);
});
const stops = computed(() => plan.value?.cautions.filter((c) => c.severity === 'stop').length ?? 0);
const left = computed(() => timeLeft(props.entry.serveAt, props.now));
const progress = computed(() => {
  const { done, all } = steps.value;
  if (props.entry.finished) return word('finished');
  return done > 0 && all > 0 ? `${done} of ${all} steps done` : '';
});
</script>

<template>
  <article ref="card" class="card">
    <router-link class="open" :to="`/build/${entry.id}/stack`" :aria-label="`Open ${entry.name}`">
      <div class="drawing">
        <img v-if="address" :src="address" alt="" data-test="card-picture" />
        <SectionThumb
          v-else-if="plan"
          :section="plan.section"
          :width="270"
          :height="150"
          :fit-mm="{ width: 420, height: 190 }"
        />
      </div>
      <h2>{{ entry.name }}</h2>
    </router-link>
    <p class="soft">
      <span v-if="isExample" class="mark">example</span>
      {{ entry.occasion || (entry.isPattern ? 'a pattern' : 'no occasion yet')
      }}<template v-if="entry.customer">, for {{ entry.customer }}</template
      ><template v-if="entry.order !== 'open'">: {{ valueWord(entry.order) }}</template>
    </p>
    <p v-if="entry.isPattern">
      <KeyButton size="small" @click="emit('fromPattern')">Make a cake from it</KeyButton>
    </p>
    <p v-else class="soft">
      {{ servedText(entry.serveAt) || 'no date yet'
      }}<template v-if="entry.serveAt && left !== 'past'">, in {{ left }}</template>
    </p>
    <p v-if="plan" class="figures">
      <b>{{ units.text(plan.tally.heightMm, 'size') }}</b> high,
      <b>{{ plan.tally.servings }}</b> servings<template v-if="plan.tally.massG !== null"
        >, <b>{{ units.text(plan.tally.massG, 'weight') }}</b></template
      >
    </p>
    <CarvingNote v-if="plan" :tiers="plan.tiers" />
    <p v-if="stops > 0" class="stop">
      ■ {{ stops === 1 ? 'one thing' : `${stops} things` }} to put right
    </p>
    <p v-else-if="progress" class="soft">{{ progress }}</p>
    <div class="actions">
      <KeyButton
        v-tip="`${entry.name} for another number of guests`"
        variant="text"
        :aria-label="`${entry.name} for another number of guests`"
        @click="emit('resize')"
      >
        <IconPath :path="mdiAccountGroupOutline" />
      </KeyButton>
      <KeyButton
        v-tip="`Copy ${entry.name}`"
        variant="text"
        :aria-label="`Copy ${entry.name}`"
        @click="emit('duplicate')"
      >
        <IconPath :path="mdiContentCopy" />
      </KeyButton>
      <KeyButton
        v-tip="`Save ${entry.name} as a file`"
        variant="text"
        :aria-label="`Save ${entry.name} as a file`"
        @click="emit('saveFile')"
      >
        <IconPath :path="mdiDownload" />
      </KeyButton>
      <v-menu location="bottom end">
        <template #activator="{ props: opener }">
          <KeyButton
            v-tip="`More of ${entry.name}`"
            variant="text"
            v-bind="opener"
            :aria-label="`More of ${entry.name}`"
          >
            <IconPath :path="mdiDotsVertical" />
          </KeyButton>
        </template>
        <v-list>
          <v-list-item
            title="Make it again"
            subtitle="with what this one taught"
            @click="emit('again')"
          />
          <v-list-item
            v-if="!entry.isPattern"
            title="Keep as a pattern"
            subtitle="to make cakes from, without a date"
            @click="emit('keepPattern')"
          />
          <v-list-item
            title="Save with its pictures"
            subtitle="the cake and its photos in one zip"
            @click="emit('saveAll')"
          />
        </v-list>
      </v-menu>
      <KeyButton
        v-tip="`Take ${entry.name} off the shelf`"
        variant="text"
        :aria-label="`Take ${entry.name} off the shelf`"
        @click="emit('remove')"
      >
        <IconPath :path="mdiTrashCanOutline" />
      </KeyButton>
    </div>
  </article>
</template>

<style scoped>
.card {
  position: relative;
  content-visibility: auto;
  contain-intrinsic-size: 280px 290px;
}
.card:hover .actions,
.actions:focus-within {
  opacity: 1;
}
.open {
  display: block;
  text-decoration: none;
}
.drawing {
  height: 150px;
  display: grid;
  justify-items: center;
}
img {
  width: 280px;
  height: 150px;
}
h2 {
  margin: 8px 0 0;
  font-size: var(--size-title);
  padding-right: 164px;
  overflow-wrap: anywhere;
}
/* an example stays one, whatever is done with it */
.mark {
  padding: 0 5px;
  border: 1px solid var(--line);
  border-radius: 3px;
  font-size: var(--size-note);
}
.open:hover h2 {
  color: var(--accent);
}
p {
  margin: 2px 0 0;
  font-size: var(--size-text);
}
.figures {
  margin-top: 5px;
}
.stop {
  color: var(--stop);
  font-weight: 600;
}
.actions {
  position: absolute;
  top: 153px;
  right: 0;
  display: flex;
  background: var(--milk);
  opacity: 0.6;
}
.actions .key {
  padding: 7px;
  border: 0;
  color: var(--soft);
  line-height: 0;
}
/* under a finger they have a line of their own, and are seen */
@media (pointer: coarse) {
  h2 {
    padding-right: 0;
  }
  .actions {
    position: static;
    opacity: 1;
    margin-left: -12px;
  }
  .actions .key {
    justify-content: center;
  }
}
.actions .key:hover {
  color: var(--ink);
  background: var(--oat);
}
</style>
