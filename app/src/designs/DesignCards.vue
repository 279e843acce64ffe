<script setup lang="ts">
import { planShape, type Design } from '@pyrgotect/core';
import { computed } from 'vue';
import SectionThumb from '../section/SectionThumb.vue';
import { useHand } from '../stores/hand.ts';
import { usePantry } from '../stores/pantry.ts';
import { useUnits } from '../figures/units.ts';
import { designTitle, gainWords, proportionWords } from './design-words.ts';

/** Designs side by side, to one scale: what each gains, and what it costs. */
const props = defineProps<{ designs: readonly Design[]; old: boolean }>();
const emit = defineEmits<{ take: [design: Design] }>();
const pantry = usePantry();
const hand = useHand();
const units = useUnits();
const cards = computed(() =>
  props.designs.map((design) => ({
    design,
    section: planShape(design.build, pantry.pantry, undefined, hand.corrections).section,
  })),
);
const fit = computed(() => ({
  width: Math.max(...cards.value.map((c) => c.section.halfWidthMm * 2), 1),
  height: Math.max(...cards.value.map((c) => c.section.heightMm), 1),
}));
const size = (mm: number): string => units.text(mm, 'size');
</script>

<template>
  <ul class="cards" :class="{ old }">
    <li v-for="({ design, section }, i) in cards" :key="design.key">
      <button
        type="button"
        class="card"
        :disabled="old"
        :data-test="`take-design-${i}`"
        @click="emit('take', design)"
      >
        <SectionThumb :section="section" :width="196" :height="190" :fit-mm="fit" />
        <b>{{ designTitle(design, size) }}</b>
        <span class="soft">{{ proportionWords[design.proportion] }}</span>
        <span v-if="design.gains.length > 0" class="gains">
          <v-chip v-for="gain in design.gains" :key="gain" size="small" variant="tonal">{{
            gainWords[gain]
          }}</v-chip>
        </span>
        <span>
          <strong>{{ design.servings }} servings</strong>,
          {{ design.weights.over === 0 ? 'none over' : `${design.weights.over} over`
          }}<template v-if="design.kitchen"
            >; {{ design.kitchen.servings }} of them from plain cakes cut out of sight</template
          >
        </span>
        <span
          >{{ size(design.weights.heightMm) }} high,
          {{ units.text(design.weights.massG, 'weight') }}
        </span>
        <span class="soft">
          about {{ units.text(design.weights.cost, 'outlay') }},
          {{ units.text(design.weights.handsOnMin, 'minutes') }} of work<template
            v-if="design.weights.lastDayMin !== null"
            >, {{ units.text(design.weights.lastDayMin, 'minutes') }} of it on the day</template
          >
        </span>
        <span class="soft"
          >{{ units.text(design.weights.leftG, 'bowl') }} cut off or left over</span
        >
        <span v-if="design.toBuy.length > 0" class="warn">
          to buy or borrow: {{ design.toBuy.map(({ name }) => name).join(', ') }}
        </span>
        <span v-if="design.fitsDays === false" class="warn"
          >not within your hours before it is served</span
        >
      </button>
    </li>
  </ul>
</template>

<style scoped>
.cards {
  list-style: none;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: 14px;
  margin-top: 14px;
}
.cards.old {
  opacity: 0.55;
}
.card {
  width: 100%;
  height: 100%;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 3px;
  text-align: left;
  justify-items: start;
  padding: 10px 14px 14px;
  border: 1.5px solid var(--line);
  border-radius: 5px;
  align-content: start;
}
.card:hover:not(:disabled),
.card:focus-visible {
  border-color: var(--accent);
  background: var(--raised);
}
.card > svg {
  justify-self: center;
}
.gains {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  margin: 4px 0;
}
.warn {
  color: var(--warn);
}
b {
  font: 700 var(--size-lead) var(--heading);
}
</style>
