<script setup lang="ts">
import {
  partsOfGanache,
  limits,
  newPour,
  type Build,
  type CakePlan,
  type Pour,
} from '@pyrgotect/core';
import { computed } from 'vue';
import FigureValue from '../../figures/FigureValue.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { useUnits } from '../../figures/units.ts';
import { useSheet } from '../useSheet.ts';
import PouredFields from './PouredFields.vue';
import TermWord from '../../help/TermWord.vue';

/** Ganache poured over a whole tier on a rack: what stays, what to pour, what comes back. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const { text } = useUnits();
const { pantry, tier, tierPlan, editTier } = useSheet(props);
const pour = computed(() => tier.value.pour);
const staged = computed(() => tierPlan.value.finish.pour);
const planned = computed(() => (staged.value.ok ? staged.value.value : null));
const set = (to: Partial<Pour>, label = 'Pour'): void =>
  editTier(label, (t) => void (t.pour && Object.assign(t.pour, to)));
const begin = (): void =>
  editTier('Pour', (t) => void (t.pour = newPour(pantry.pantry.ganaches[0]?.id ?? 'dark-equal')));
const parts = computed(() =>
  planned.value?.ganache && planned.value.shares
    ? partsOfGanache(planned.value.ganache, planned.value.shares)
    : [],
);
const studs = { cover: 0.3, highMm: 5, acrossMm: 8 };
/* The picture: what is poured as a bar, shared into what stays and what comes back. */
const stays = computed(() =>
  planned.value ? (100 * planned.value.staysG) / planned.value.pourG : 0,
);
</script>

<template>
  <div data-test="pour">
    <p v-if="!pour">
      <KeyButton data-test="add-pour" @click="begin">
        Pour a coat over {{ build.tiers.length > 1 ? tier.name : 'the whole cake' }}
      </KeyButton>
    </p>
    <template v-else>
      <p class="sentence">
        <PouredFields :poured="pour" @change="set" />, <TermWord id="poured">poured</TermWord> on a
        rack.
      </p>
      <template v-if="planned">
        <p class="sentence">
          The side keeps <b>{{ text(planned.veilMm, 'fine') }}</b>; nothing moves any more after
          about {{ Math.max(5, Math.round(planned.standsS)) }} s. Pour
          <FigureValue :figure="`${tier.id}/pour`" :value="planned.pourG" kind="bowl" />.
        </p>
        <div class="bar" role="img" :aria-label="`${text(planned.staysG, 'bowl')} stays`">
          <span class="stays" :style="{ width: `${stays}%` }">
            <b>{{ text(planned.staysG, 'bowl') }}</b> stays on the cake
          </span>
          <span class="back"
            ><b>{{ text(planned.trayG, 'bowl') }}</b> back in the tray</span
          >
        </div>
        <p v-if="planned.shares" class="sentence">
          That is
          <template v-for="(part, k) in parts" :key="part.name"
            >{{ k === 0 ? '' : k === parts.length - 1 ? ' and ' : ', '
            }}<b>{{ text(part.massG, 'small') }}</b> {{ part.name }}</template
          >.
        </p>
        <p class="sentence">
          <template v-if="pour.studded">
            The side is studded over
            <QuantityField
              :model-value="pour.studded.cover"
              :of="{ kind: 'share', min: limits.cover.min, max: 1 }"
              label="Share of the side that is studded"
              @update:model-value="(n) => set({ studded: { ...pour!.studded!, cover: n } })"
            />
            with pieces
            <QuantityField
              :model-value="pour.studded.highMm"
              :of="limits.studMm"
              label="How far the pieces stand out"
              @update:model-value="(mm) => set({ studded: { ...pour!.studded!, highMm: mm } })"
            />
            high and
            <QuantityField
              :model-value="pour.studded.acrossMm"
              :of="limits.studMm"
              label="Across the pieces"
              @update:model-value="(mm) => set({ studded: { ...pour!.studded!, acrossMm: mm } })"
            />
            across: a coat over it takes {{ text(planned.sideFactor, 'factor') }} times as much.
            <KeyButton variant="text" size="small" @click="set({ studded: null })">
              smooth
            </KeyButton>
          </template>
          <KeyButton v-else size="small" @click="set({ studded: { ...studs } }, 'Studded side')">
            The side is studded with nuts or pieces
          </KeyButton>
        </p>
        <p class="lead">
          What comes back can be strained, warmed and poured again while it has touched nothing but
          the cake; crumbs in it make it dull. Onto the rack and off again it takes a wide spatula
          and, from {{ text(8000, 'weight') }} on, two people.
        </p>
      </template>
      <p v-else-if="!staged.ok" class="lead">{{ staged.problem }}</p>
      <p>
        <KeyButton
          variant="text"
          size="small"
          @click="editTier('Pour left off', (t) => void (t.pour = null))"
        >
          do not pour
        </KeyButton>
      </p>
    </template>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  height: 38px;
  border: 1.5px solid var(--ink);
  margin: 10px 0;
}
.bar span {
  padding: 7px 10px;
  overflow: hidden;
  white-space: nowrap;
}
.stays {
  background: var(--ganache);
  color: var(--cream);
}
.back {
  flex: 1;
  background: repeating-linear-gradient(-45deg, var(--raised) 0 6px, var(--line) 6px 7px);
}
</style>
