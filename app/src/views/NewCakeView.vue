<script setup lang="ts">
import type { Design } from '@pyrgotect/core';
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import CakeSentence from '../designs/CakeSentence.vue';
import DesignCards from '../designs/DesignCards.vue';
import KeepOut from '../designs/KeepOut.vue';
import WeighedChart from '../designs/WeighedChart.vue';
import { useAsked } from '../designs/useAsked.ts';
import { useDesigns } from '../designs/useDesigns.ts';
import TroubleLine from '../figures/TroubleLine.vue';
import { useUnits } from '../figures/units.ts';
import TopBar from '../parts/TopBar.vue';
import { useShelf } from '../stores/shelf.ts';

/** What a customer would say, in one sentence, and the cakes that it could become. Nothing is kept until one is taken. */
const shelf = useShelf();
const router = useRouter();
const units = useUnits();
const { asked, isPast, base, wish } = useAsked();
/** What is due that day already. */
const sameDay = computed(() =>
  shelf.entries.filter(
    ({ serveAt, finished }) =>
      serveAt && !finished && serveAt.slice(0, 10) === asked.serveAt.slice(0, 10),
  ),
);
onMounted(() => void shelf.load());

const { answer, current, progress, trouble, again } = useDesigns(() =>
  isPast.value ? null : { base: base.value, wish: wish.value },
);
const title = computed(() => {
  if (isPast.value) return 'For when?';
  if (!answer.value) return 'Weighing cakes…';
  if (!answer.value.ok) return 'Nothing serves that yet';
  const { designs } = answer.value;
  const many = `${designs.length} ${designs.length === 1 ? 'cake' : 'cakes'} for ${asked.servings} guests`;
  return progress.value === null ? many : `${many}, and more are weighed…`;
});
/** What none of them keeps to, with the nearest that works. */
const beyond = computed(() => {
  const given = answer.value;
  if (!given?.ok || !given.beyond) return null;
  const [nearest] = given.designs;
  if (!nearest) return null;
  const { heightMm, massG } = nearest.weights;
  return given.beyond === 'height'
    ? `None that serves so many is at most ${units.text(asked.mostMm ?? 0, 'size')} high. These are the lowest, from ${units.text(heightMm, 'size')}; plain cakes cut in the kitchen, or larger tins, make it lower.`
    : `None that serves so many weighs at most ${units.text(asked.mostG ?? 0, 'weight')}. These are the lightest, from ${units.text(massG, 'weight')}; plain cakes cut in the kitchen take weight off the table.`;
});
const taking = ref(false);
async function take(design: Design): Promise<void> {
  if (taking.value) return;
  taking.value = true;
  const build = await shelf.take(design, asked.occasion || 'New cake');
  await router.push(`/build/${build.id}/stack`);
}
async function empty(): Promise<void> {
  const build = await shelf.create();
  await router.push(`/build/${build.id}/brief`);
}
</script>

<template>
  <div class="new">
    <TopBar here="shelf">
      <KeyButton data-test="new-empty" @click="empty"> Begin with an empty cake </KeyButton>
    </TopBar>
    <main id="content" tabindex="-1" data-scrolls>
      <CakeSentence v-model="asked" />
      <p v-if="isPast" class="warn" role="alert">
        That day and hour have passed. Choose one that is still to come.
      </p>
      <p v-if="sameDay.length > 0 && !isPast" class="soft" data-test="same-day">
        That day
        {{ sameDay.length === 1 ? 'one cake is' : `${sameDay.length} cakes are` }} due already:
        {{ sameDay.map(({ name }) => name).join(', ') }}. The
        <router-link to="/calendar">calendar</router-link> says what the days before it hold.
      </p>
      <KeepOut v-model="asked" />

      <h1 data-test="new-title" aria-live="polite">{{ title }}</h1>
      <v-progress-linear
        v-if="progress !== null"
        :model-value="100 * progress"
        color="primary"
        aria-label="Weighing cakes"
      />
      <TroubleLine :trouble="trouble" what="The cakes" @again="again" />
      <div v-if="!answer && !trouble && !isPast" class="waiting" aria-hidden="true">
        <v-skeleton-loader v-for="n in 5" :key="n" type="image, heading, text@3" />
      </div>
      <p v-if="answer && !answer.ok && !isPast" class="lead" role="alert">{{ answer.problem }}</p>
      <template v-if="answer?.ok && !isPast">
        <p class="lead">
          Drawn to one scale and planned whole: each stands, bakes in your tins and serves everyone.
          Nothing is kept until you take one; then everything of it can be changed.
        </p>
        <p v-if="beyond" class="warn" role="alert" data-test="beyond">{{ beyond }}</p>
        <DesignCards :designs="answer.designs" :old="!current || taking" @take="take" />
        <WeighedChart :weighed="answer.weighed" />
      </template>
    </main>
  </div>
</template>

<style scoped>
.new {
  min-height: 100dvh;
  background: var(--milk);
}
main {
  max-width: 1240px;
  margin: 0 auto;
  padding: 16px 24px 40px;
}
.waiting {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: 14px;
  margin-top: 14px;
}
.warn {
  color: var(--warn);
}
@media (max-width: 599px) {
  main {
    padding: 12px 16px 32px;
  }
}
</style>
