<script setup lang="ts">
import { furthestOff, handKinds, handRows, type HandKind } from '@pyrgotect/core';
import { computed, onMounted, ref } from 'vue';
import KindRecords from '../hand/KindRecords.vue';
import KindsChart from '../hand/KindsChart.vue';
import UsualKinds from '../hand/UsualKinds.vue';
import PracticePanel from '../hand/PracticePanel.vue';
import { biasWords } from '../hand/bias-words.ts';
import SheetTabs from '../parts/SheetTabs.vue';
import TopBar from '../parts/TopBar.vue';
import { useQueryChoice } from '../parts/useQueryChoice.ts';
import TermWord from '../help/TermWord.vue';
import { useHand } from '../stores/hand.ts';

/** What the records say of the decorator's hand, what plans do with it, and what to practise. */
const hand = useHand();
onMounted(() => void hand.load());
const turns = [
  { id: 'records' as const, text: 'what the records say' },
  { id: 'practice' as const, text: 'practice' },
];
const turn = useQueryChoice('turn', ['records', 'practice'] as const, 'records');
const picked = ref<HandKind | null>(null);
const known = computed(() =>
  handKinds.filter((kind) => hand.records.some((record) => record.kind === kind)),
);
/** What is furthest off, in its own uncertainty. */
const furthest = computed(() => furthestOff(hand.hands, known.value) ?? known.value[0] ?? null);
const chosen = computed<HandKind | null>({
  get: () => (picked.value && known.value.includes(picked.value) ? picked.value : furthest.value),
  set: (kind) => (picked.value = kind),
});
const title = computed(() => {
  if (!furthest.value) return 'Nothing has been learnt yet';
  return `${handRows[furthest.value].title}: ${biasWords(furthest.value, hand.hands.get(furthest.value)!)}`;
});
const counted = computed(() => hand.records.filter(({ excluded }) => excluded === null).length);
const builds = computed(() => new Set(hand.records.map(({ buildId }) => buildId)).size);
</script>

<template>
  <div class="hand">
    <TopBar here="learnt" />
    <main id="content" tabindex="-1" data-scrolls>
      <h1 data-test="hand-title">{{ hand.loaded ? title : 'Reading the records …' }}</h1>
      <p v-if="hand.loaded && hand.records.length > 0" class="lead">
        <TermWord id="learnt">Learnt</TermWord> from {{ counted }} records of {{ builds }}
        {{ builds === 1 ? 'cake' : 'cakes' }}. Plans use the middle of what is to be expected, and
        the spread for what is kept in hand.
      </p>
      <p v-else-if="hand.loaded" class="lead">
        Note at the bench what you weighed, measured and timed: here stands what comes of it, and
        plans follow. Until then they rest on usual figures.
      </p>
      <SheetTabs v-model="turn" :tabs="turns" label="Turns of what is learnt">
        <PracticePanel v-if="turn === 'practice'" />
        <div v-else-if="known.length > 0" class="records">
          <div>
            <KindsChart v-model="chosen" />
            <p class="kinds">
              <KeyButton
                v-for="kind in known"
                :key="kind"
                size="small"
                :variant="kind === chosen ? 'flat' : 'outlined'"
                :aria-pressed="kind === chosen"
                @click="chosen = kind"
              >
                {{ handRows[kind].title }}{{ hand.off.includes(kind) ? ', off' : '' }}
              </KeyButton>
            </p>
          </div>
          <KindRecords v-if="chosen" :key="chosen" :kind="chosen" />
        </div>
        <template v-else-if="hand.loaded">
          <UsualKinds />
          <p class="lead">
            Two times in three, as is usual (estimates). Three records weigh more than what is
            assumed; an older one counts for less.
          </p>
        </template>
      </SheetTabs>
    </main>
  </div>
</template>

<style scoped>
.hand {
  height: 100dvh;
  display: flex;
  flex-direction: column;
  background: var(--milk);
}
main {
  flex: 1;
  overflow: auto;
  padding: 18px 28px 30px;
}
.records {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 34px;
  margin-top: 14px;
}
.kinds {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 12px;
}
@media (max-width: 1000px) {
  .records {
    grid-template-columns: 1fr;
  }
}
</style>
