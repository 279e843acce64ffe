<script setup lang="ts">
import {
  chooseTin,
  grow,
  limits,
  setGap,
  setLayerCount,
  setLayerHeight,
  setGapHeight,
  smallestBoard,
  levellings,
  type Build,
  type Outline,
  type CakePlan,
} from '@pyrgotect/core';
import { computed, defineAsyncComponent, ref } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import FigureValue from '../../figures/FigureValue.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { setThickness, thicknessOfPart } from '../../parts/part-edits.ts';
import OutlineFields from '../OutlineFields.vue';
import LayerKind from './LayerKind.vue';
import MouldPanel from './MouldPanel.vue';
import TermWord from '../../help/TermWord.vue';
import { useSheet } from '../useSheet.ts';

const OwnRowDialog = defineAsyncComponent(() => import('../../pantry/OwnRowDialog.vue'));

const props = defineProps<{ build: Build; plan: CakePlan }>();
const { store, pantry, tier, tierPlan, editTier, choices } = useSheet(props);

const fills = computed(() => choices(pantry.pantry.spreads.filter((s) => s.canFill)));
const sponges = computed(() => choices(pantry.pantry.sponges));
const boards = computed(() => choices(pantry.pantry.boards));
/** One value when all agree, null when they differ. */
const common = <T,>(values: T[]): T | null =>
  values.length > 0 && values.every((v) => v === values[0]) ? values[0]! : null;
const layerMm = computed(() => common(tier.value.layers.map((l) => l.heightMm)));
const gapMm = computed(() => common(tier.value.gaps.map((g) => g.heightMm)));
/** Some of it is baked in tins; a cake of crepes or of bought rounds has no sponge to choose. */
const hasSponge = computed(() => tier.value.layers.some(({ otherId }) => otherId === null));
const damMm = computed(() => common(tier.value.gaps.map((g) => g.damMm)));
const fillId = computed(() => common(tier.value.gaps.map((g) => g.spreadId)) ?? 'mixed');
const mixed = { value: 'mixed', text: 'several fillings' };
const levelText = {
  'cut all': 'all domes cut off, every layer the right way up',
  'cut all, top inverted': 'all domes cut off, the top layer upside down',
  'cut none': 'the domes left on and filled round',
  'cut none, top inverted': 'the domes left on, the top layer upside down',
} as const;
const levels = levellings.map((value) => ({ value, text: levelText[value] }));

/** What of one's own is being named, to be used at once. */
const making = ref<'sponge' | 'filling' | null>(null);
const setSponge = (id: string): void => editTier('Sponge', (t) => void (t.spongeId = id));
const setFilling = (id: string): void =>
  editTier('Filling', (t) => setGap(t, null, { spreadId: id }));

interface Row {
  id: string;
  kind: 'layer' | 'gap';
  index: number;
}
/** From the top down, as the cake is seen. */
const rows = computed<Row[]>(() => {
  const list: Row[] = [];
  tier.value.layers.forEach((_, i) => {
    list.push({ id: `${tier.value.id}/layer/${i}`, kind: 'layer', index: i });
    if (i < tier.value.gaps.length)
      list.push({ id: `${tier.value.id}/gap/${i}`, kind: 'gap', index: i });
  });
  return list.reverse();
});
const gapPlan = (i: number) => (tierPlan.value.gaps.ok ? tierPlan.value.gaps.value[i] : undefined);

/** Another size of cake: the tin of that size if there is one, and a board that carries it. */
function setOutline(outline: Outline): void {
  store.edit('Size of the cake', (draft) => {
    const target = draft.tiers.find((t) => t.id === tier.value.id)!;
    target.outline = outline;
    target.tinId = chooseTin(outline, pantry.pantry.tins, target.tinId);
    const coat = tierPlan.value.coat.ok ? tierPlan.value.coat.value : null;
    const finished = grow(outline, (coat?.crumbMm ?? 0) + (coat?.sideMm ?? 0));
    const board = finished && smallestBoard(pantry.pantry.boards, finished);
    if (board) draft.boardId = board.id;
  });
}
</script>

<template>
  <div>
    <p class="sentence">
      Stack
      <QuantityField
        :model-value="tier.layers.length"
        :of="limits.layers"
        label="Number of layers"
        @update:model-value="(n) => editTier('Number of layers', (t) => setLayerCount(t, n))"
      />
      {{ tier.layers.length === 1 ? 'layer' : 'layers' }}{{ hasSponge ? ' of ' : ''
      }}<ChoiceField
        v-if="hasSponge"
        :model-value="tier.spongeId"
        label="Sponge"
        rows-of="sponges"
        :options="sponges"
        more="new sponge …"
        @more="making = 'sponge'"
        @update:model-value="setSponge"
      />, each
      <QuantityField
        :model-value="layerMm"
        auto="as listed"
        :of="limits.layerMm"
        label="Thickness of every layer"
        @update:model-value="
          (mm) =>
            mm !== null && editTier('All layers thickness', (t) => setLayerHeight(t, null, mm))
        "
      />
      thick<template v-if="tier.gaps.length > 0"
        >, with
        <QuantityField
          :model-value="gapMm"
          auto="as listed"
          :of="limits.gapMm"
          label="Thickness of every filling"
          @update:model-value="
            (mm) =>
              mm !== null && editTier('All fillings thickness', (t) => setGapHeight(t, null, mm))
          " />
        of
        <ChoiceField
          :model-value="fillId"
          label="Filling everywhere"
          rows-of="spreads"
          :options="fillId === 'mixed' ? [mixed, ...fills] : fills"
          more="new filling …"
          @more="making = 'filling'"
          @update:model-value="(id) => id !== 'mixed' && setFilling(id)" />
        between them and a <TermWord id="dam" /> of
        <QuantityField
          :model-value="damMm"
          auto="as listed"
          :of="limits.damMm"
          label="Width of every dam"
          @update:model-value="
            (mm) => mm !== null && editTier('Dams', (t) => setGap(t, null, { damMm: mm }))
          " /></template
      >.
      <OutlineFields :outline="tier.outline" @change="setOutline" />
      It stands on the
      <ChoiceField
        :model-value="build.boardId"
        label="Board"
        rows-of="boards"
        :options="boards"
        @update:model-value="
          (id) =>
            store.edit('Board', (d) => {
              d.boardId = id;
            })
        "
      /><template v-if="hasSponge">; </template>
      <ChoiceField
        v-if="hasSponge"
        :model-value="tier.levelling"
        label="Levelling"
        :options="levels"
        @update:model-value="
          (v) =>
            editTier('Levelling', (t) => {
              t.levelling = v;
            })
        "
      />.
    </p>
    <MouldPanel :build="build" :plan="plan" />

    <h2>From the top down</h2>
    <table class="ladder">
      <thead class="visually-hidden">
        <tr>
          <th>part</th>
          <th>thickness</th>
          <th>material</th>
          <th>dam</th>
          <th>weight</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="row in rows"
          :key="row.id"
          :class="[row.kind, { chosen: store.selected === row.id }]"
          @click="store.selected = row.id"
        >
          <th scope="row">
            {{ row.kind === 'layer' ? `layer ${row.index + 1}` : `filling ${row.index + 1}` }}
          </th>
          <td>
            <QuantityField
              :model-value="thicknessOfPart(build, row.id)"
              :of="row.kind === 'layer' ? limits.layerMm : limits.gapMm"
              :label="`Thickness of ${row.kind === 'layer' ? 'layer' : 'filling'} ${row.index + 1}`"
              @update:model-value="(mm) => mm !== null && setThickness(row.id, mm, false)"
            />
          </td>
          <td v-if="row.kind === 'layer'" colspan="3" class="soft">
            <LayerKind :build="build" :plan="plan" :index="row.index" />
          </td>
          <template v-else>
            <td>
              <ChoiceField
                :model-value="tier.gaps[row.index]!.spreadId"
                :label="`What filling ${row.index + 1} is`"
                rows-of="spreads"
                :options="fills"
                @update:model-value="
                  (id) => editTier('Filling', (t) => setGap(t, row.index, { spreadId: id }))
                "
              />
            </td>
            <td class="dam">
              dam
              <QuantityField
                :model-value="tier.gaps[row.index]!.damMm"
                :of="limits.damMm"
                :label="`Dam of filling ${row.index + 1}`"
                @update:model-value="
                  (mm) => editTier('Dam', (t) => setGap(t, row.index, { damMm: mm }))
                "
              />
            </td>
            <td class="grams">
              <FigureValue
                v-if="gapPlan(row.index)"
                :value="gapPlan(row.index)!.fillingG"
                kind="small"
                :figure="`${row.id}/filling`"
              />
              <template v-if="gapPlan(row.index) && gapPlan(row.index)!.damG > 0">
                +
                <FigureValue
                  :value="gapPlan(row.index)!.damG"
                  kind="small"
                  :figure="`${row.id}/dam`"
                />
              </template>
            </td>
          </template>
        </tr>
      </tbody>
    </table>
    <p class="lead">
      Drag a boundary in the drawing, or choose a part with [ and ] and press + or −. With Shift all
      layers, or all fillings, go alike. {{ (tierPlan.stack.fillingShare * 100).toFixed(0) }} % of
      the stack is filling.
    </p>
    <OwnRowDialog
      v-if="making"
      :kind="making"
      @close="making = null"
      @made="(id) => (making === 'sponge' ? setSponge : setFilling)(id)"
    />
  </div>
</template>

<style scoped>
.ladder {
  border-collapse: collapse;
  width: 100%;
}
tr {
  border-top: 1px solid var(--line);
}
th,
td {
  text-align: left;
  font-size: var(--size-text);
  padding: 4px 8px 4px 6px;
  font-weight: 400;
  white-space: nowrap;
}
td.soft {
  white-space: normal;
  line-height: 2;
}
th {
  width: 72px;
  border-left: 4px solid transparent;
}
tr.gap {
  background: color-mix(in srgb, var(--oat) 45%, transparent);
}
tr.chosen th {
  border-color: var(--accent);
  font-weight: 700;
}
.grams {
  text-align: right;
}
td :deep(select) {
  max-width: 10.4em;
}
</style>
