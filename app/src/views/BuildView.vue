<script setup lang="ts">
import { valueWord } from '@pyrgotect/core';
import { mdiArrowCollapse, mdiArrowExpand } from '@mdi/js';
import { useEventListener } from '@vueuse/core';
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { Caution } from '@pyrgotect/core';
import WorkingDialog from '../figures/WorkingDialog.vue';
import HintOnce from '../help/HintOnce.vue';
import { isHint } from '../help/hints.ts';
import BrandMark from '../parts/BrandMark.vue';
import BuildHeader from '../parts/BuildHeader.vue';
import { announce } from '../parts/announce.ts';
import { buildKeys } from '../parts/build-keys.ts';
import FailedPlan from '../parts/FailedPlan.vue';
import IconPath from '../parts/IconPath.vue';
import StageRail from '../parts/StageRail.vue';
import { stageOf } from '../parts/part-edits.ts';
import { isStage, type SheetStage } from '../parts/stages.ts';
import TallyBar from '../parts/TallyBar.vue';
import SaveNotices from '../parts/SaveNotices.vue';
import SectionDrawing from '../section/SectionDrawing.vue';
import BakeSheet from '../sheets/BakeSheet.vue';
import BriefSheet from '../sheets/BriefSheet.vue';
import CoatSheet from '../sheets/CoatSheet.vue';
import StackSheet from '../sheets/StackSheet.vue';
import { useBuild } from '../stores/build.ts';

const HistoryDialog = defineAsyncComponent(() => import('../parts/HistoryDialog.vue'));
const WalkRound = defineAsyncComponent(() => import('../help/WalkRound.vue'));
const KeysDialog = defineAsyncComponent(() => import('../parts/KeysDialog.vue'));
const FinderDialog = defineAsyncComponent(() => import('../parts/FinderDialog.vue'));

const props = defineProps<{ id: string; stage: string }>();
const store = useBuild();
const router = useRouter();
const route = useRoute();
const dialog = ref<'history' | 'keys' | 'find' | null>(null);
const ElevationDrawing = defineAsyncComponent(() => import('../section/ElevationDrawing.vue'));
const PictureView = defineAsyncComponent(() => import('../picture/PictureView.vue'));
const SolidView = defineAsyncComponent(() => import('../solid/SolidView.vue'));
const StillDrawing = defineAsyncComponent(() => import('../section/StillDrawing.vue'));
const CarveSheet = defineAsyncComponent(() => import('../sheets/CarveSheet.vue'));
const SupportSheet = defineAsyncComponent(() => import('../sheets/SupportSheet.vue'));
const DaySheet = defineAsyncComponent(() => import('../sheets/DaySheet.vue'));
const AtOneGo = defineAsyncComponent(() => import('../day/AtOneGo.vue'));
const DayChart = defineAsyncComponent(() => import('../day/DayChart.vue'));
const SupportPlan = defineAsyncComponent(() => import('../support/SupportPlan.vue'));
const TippingDrawing = defineAsyncComponent(() => import('../support/TippingDrawing.vue'));
const FinishSheet = defineAsyncComponent(() => import('../sheets/FinishSheet.vue'));
const sheets = {
  brief: BriefSheet,
  stack: StackSheet,
  bake: BakeSheet,
  carve: CarveSheet,
  coat: CoatSheet,
  finish: FinishSheet,
  support: SupportSheet,
  day: DaySheet,
} as const;
/** Ways to see the cake: as a solid or in still drawings, from the front, from above, tipping; or cut. */
const drawings = {
  brief: [
    { id: 'picture', text: 'Picture' },
    { id: 'section', text: 'Section' },
  ],
  coat: [
    { id: 'picture', text: 'Picture' },
    { id: 'section', text: 'Section' },
  ],
  carve: [
    { id: 'solid', text: 'Solid' },
    { id: 'still', text: 'Two lines' },
    { id: 'section', text: 'Section' },
  ],
  finish: [
    { id: 'front', text: 'From the front' },
    { id: 'picture', text: 'Picture' },
    { id: 'section', text: 'Section' },
  ],
  support: [
    { id: 'above', text: 'From above' },
    { id: 'tipping', text: 'Tipping' },
    { id: 'section', text: 'Section' },
  ],
} as const;
const views = ref<{
  brief: 'picture' | 'section';
  coat: 'picture' | 'section';
  carve: 'solid' | 'still' | 'section';
  finish: 'front' | 'picture' | 'section';
  support: 'above' | 'tipping' | 'section';
}>({
  brief: 'picture',
  coat: 'picture',
  carve: 'solid',
  finish: 'front',
  support: 'above',
});
const stage = computed<SheetStage>(() => (isStage(props.stage) ? props.stage : 'stack'));

const viewed = computed(() =>
  stage.value in drawings ? (stage.value as keyof typeof drawings) : null,
);
const view = computed(() => (viewed.value ? views.value[viewed.value] : 'section'));
const setView = (id: string): void => {
  if (viewed.value) (views.value as Record<string, string>)[viewed.value] = id;
};
/** The carved tier the views are of: the chosen one. */
const carved = computed(() => {
  if (stage.value !== 'carve' || !store.cake) return null;
  const chosen = store.selected?.split('/')[0];
  const tier = store.cake.tiers.find((t) => t.tierId === chosen) ?? store.cake.tiers[0]!;
  return tier.carve ? { tierId: tier.tierId, ...tier.carve } : null;
});
const cutId = computed(() => {
  const [, kind, id] = store.selected?.split('/') ?? [];
  return kind === 'cut' ? (id ?? null) : null;
});

watch(
  () => props.id,
  (id) => void store.open(id),
  { immediate: true },
);
watch(
  () => [store.build?.name, stage.value] as const,
  ([name, at]) => (document.title = name ? `${name}: ${valueWord(at)}, Pyrgotect` : 'Pyrgotect'),
  { immediate: true },
);

const go = (to: SheetStage): void => void router.push(`/build/${props.id}/${to}`);
/** On a phone the drawing is a strip over the sheet, or stands in place of it. */
const isDrawn = ref(false);
watch(stage, () => (isDrawn.value = false));
const toBench = (): void => void router.push(`/build/${props.id}/bench`);
const toPrint = (): void => void router.push(`/build/${props.id}/print`);
function select(id: string): void {
  store.selected = id;
  // a tier is chosen where one is, without leaving
  if (stage.value === 'support' && !id.includes('/')) return;
  if (stage.value !== stageOf(id)) go(stageOf(id));
}
function goTo(caution: Caution): void {
  if (caution.part) store.selected = caution.part;
  if (isStage(caution.stage)) go(caution.stage);
}
/* who does not see the list hears that there is more in it, and where: its words are read there */
watch(
  () => store.cake?.cautions ?? [],
  (now, before) => {
    const known = new Set(before.map(({ id }) => id));
    const more = now.filter(({ id }) => !known.has(id));
    if (before.length === 0 || more.length === 0) return;
    const where = [...new Set(more.map((caution) => caution.stage))].join(', ');
    announce(`${more.length === 1 ? 'A caution more' : `${more.length} cautions more`}: ${where}`);
  },
);
useEventListener('keydown', (event: KeyboardEvent) =>
  buildKeys(event, {
    store,
    go,
    toBench,
    toPrint,
    show: (name) => (dialog.value = name),
  }),
);
/** The walk round, asked for in the address. */
const walking = computed(() => route.query.walk !== undefined);
const endWalk = (): void => void router.replace({ query: { ...route.query, walk: undefined } });
</script>

<template>
  <div v-if="store.build && store.cake" class="build" :class="{ drawn: isDrawn }">
    <BuildHeader
      :build="store.build"
      @history="dialog = 'history'"
      @find="dialog = 'find'"
      @bench="toBench"
      @print="toPrint"
    />
    <main id="content" tabindex="-1">
      <div class="draw" data-walk="section">
        <ElevationDrawing
          v-if="stage === 'finish' && view === 'front'"
          :build="store.build"
          :plan="store.cake"
          :selected="store.selected"
          @select="select"
        />
        <PictureView
          v-else-if="view === 'picture'"
          :build="store.build"
          :plan="store.cake"
          @select="select"
        />
        <AtOneGo v-else-if="stage === 'day' && !store.build.brief.serveAt" />
        <DayChart v-else-if="stage === 'day'" />
        <SupportPlan
          v-else-if="view === 'above'"
          :build="store.build"
          :plan="store.cake"
          :selected="store.selected"
          @select="select"
        />
        <TippingDrawing
          v-else-if="view === 'tipping'"
          :build="store.build"
          :plan="store.cake"
          :selected="store.selected"
        />
        <SolidView
          v-else-if="view === 'solid' && carved"
          :key="carved.tierId"
          :build="store.build"
          :plan="store.cake"
          :tier-id="carved.tierId"
          :question="carved.question"
          :cut-id="cutId"
        />
        <StillDrawing
          v-else-if="view === 'still' && carved?.result"
          :result="carved.result"
          :cover="carved.question.cover"
        />
        <SectionDrawing
          v-else
          :build="store.build"
          :plan="store.cake"
          :selected="store.selected"
          :loads="stage === 'support'"
          @select="select"
        />
        <KeyButton
          class="fold"
          size="small"
          data-test="fold"
          :aria-expanded="isDrawn"
          @click="isDrawn = !isDrawn"
        >
          <IconPath :path="isDrawn ? mdiArrowCollapse : mdiArrowExpand" />
          {{ isDrawn ? 'Back to the sheet' : 'Larger' }}
        </KeyButton>
        <div
          v-if="viewed && (viewed !== 'carve' || carved)"
          class="views"
          role="group"
          aria-label="Drawing"
        >
          <KeyButton
            v-for="each in drawings[viewed]"
            :key="each.id"
            size="small"
            :variant="view === each.id ? 'flat' : 'outlined'"
            :aria-pressed="view === each.id"
            :data-test="`view-${each.id}`"
            @click="setView(each.id)"
          >
            {{ each.text }}
          </KeyButton>
        </div>
      </div>
      <StageRail data-walk="stages" :stage="stage" @go="go" @bench="toBench" />
      <section
        class="sheet"
        data-walk="sheet"
        data-scrolls
        :aria-label="`${valueWord(stage)} sheet`"
      >
        <HintOnce
          v-if="isHint(stage) && (stage !== 'day' || store.build.brief.serveAt)"
          :id="stage"
        />
        <component
          :is="sheets[stage]"
          :key="stage"
          :build="store.build"
          :plan="store.cake"
          @go-to="goTo"
        />
      </section>
    </main>
    <TallyBar data-walk="tally" :build="store.build" :plan="store.cake" @go="go" @go-to="goTo" />
    <WorkingDialog />
    <HistoryDialog v-if="dialog === 'history'" :build-id="id" @close="dialog = null" />
    <WalkRound v-if="walking" @end="endWalk" />
    <KeysDialog v-if="dialog === 'keys'" place="in an open cake" @close="dialog = null" />
    <FinderDialog
      v-if="dialog === 'find'"
      :plan="store.cake"
      @close="dialog = null"
      @select="select"
      @go="go"
      @bench="toBench"
      @print="toPrint"
    />
    <SaveNotices />
  </div>
  <FailedPlan v-else-if="store.cakeFault" :fault="store.cakeFault" :build-id="id" />
  <main v-else-if="store.missing" id="content" tabindex="-1" class="lost">
    <BrandMark />
    <h1>This cake is not on the shelf</h1>
    <p class="lead">It may have been taken off, here or in another window.</p>
    <p><KeyButton to="/">To the shelf</KeyButton></p>
  </main>
</template>

<style scoped>
.build {
  height: 100dvh;
  display: grid;
  grid-template-rows: 52px minmax(0, 1fr) auto;
  background: var(--oat);
}
main {
  display: grid;
  grid-template-columns: minmax(360px, 0.83fr) 104px 1fr;
  min-height: 0;
}
.draw {
  position: relative;
  min-width: 0;
}
.views {
  position: absolute;
  right: 18px;
  top: 18px;
  display: flex;
  gap: 6px;
}
.sheet {
  /* what stands for itself in it scrolls with it */
  position: relative;
  background: var(--milk);
  padding: 20px 26px 26px;
  overflow: auto;
  border-left: 1.5px solid var(--ink);
  min-width: 0;
}
.lost {
  display: block;
  padding: 40px;
}
.lost h1 {
  margin: 30px 0 8px;
}
@media (max-width: 1000px) {
  main {
    grid-template-columns: 1fr;
    grid-template-rows: minmax(260px, 42%) auto minmax(0, 1fr);
  }
  .sheet {
    border-left: 0;
    border-top: 1.5px solid var(--ink);
  }
}
.fold {
  display: none;
}
/* a phone: the cake as a strip that opens, the sheet below it, figures and stages under the thumb */
@media (max-width: 599px), (max-height: 499px) {
  .build {
    grid-template:
      'head' 50px
      'draw' minmax(150px, 24dvh)
      'sheet' minmax(0, 1fr)
      'tally' auto
      'rail' auto / minmax(0, 1fr);
  }
  .build.drawn {
    grid-template-rows: 50px minmax(0, 1fr) 0 auto auto;
  }
  .build > :deep(header) {
    grid-area: head;
  }
  main {
    display: contents;
  }
  .draw {
    grid-area: draw;
    min-height: 0;
    container: drawing / size;
  }
  .sheet {
    grid-area: sheet;
    padding: 12px 16px 20px;
  }
  .drawn .sheet {
    display: none;
  }
  .build > :deep(.tally) {
    grid-area: tally;
  }
  .build :deep(.rail) {
    grid-area: rail;
    background: var(--oat);
  }
  .fold {
    display: inline-flex;
    position: absolute;
    right: 8px;
    bottom: 6px;
    background: var(--oat);
  }
  .views {
    top: 6px;
    right: 8px;
  }
}
@media (max-height: 499px) {
  .build {
    grid-template:
      'head head' 48px
      'draw sheet' minmax(0, 1fr)
      'rail tally' auto / minmax(0, 2fr) minmax(0, 3fr);
  }
  .build.drawn {
    grid-template:
      'head head' 48px
      'draw draw' minmax(0, 1fr)
      'rail tally' auto / minmax(0, 2fr) minmax(0, 3fr);
  }
  .sheet {
    border-top: 0;
    border-left: 1.5px solid var(--ink);
  }
}
</style>
