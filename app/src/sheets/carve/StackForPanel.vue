<script setup lang="ts">
import {
  insetOf,
  newGap,
  newLayer,
  coverOf,
  proposeStacks,
  targetSize,
  type Build,
  type CakePlan,
  type StackProposal,
} from '@pyrgotect/core';
import { computed } from 'vue';
import { useSettings } from '../../stores/settings.ts';
import { useUnits } from '../../figures/units.ts';
import { useSheet } from '../useSheet.ts';

/** What to stack for the drawn shape: tins that take it in, upright or lying, with the least waste. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const { tier, editTier, pantry } = useSheet(props);
const settings = useSettings();
const { text } = useUnits();
const target = computed(() => targetSize(tier.value.carving?.cuts ?? []));
const gapMm = computed(() => tier.value.gaps[0]?.heightMm ?? 6);
const inset = computed(() => insetOf(coverOf(tier.value)));
const proposals = computed(() =>
  target.value ? proposeStacks(target.value, pantry.pantry.tins, gapMm.value, inset.value) : [],
);
function take(proposal: StackProposal): void {
  editTier('Stacked for the shape', (t) => {
    const gap = t.gaps[0] ?? newGap(gapMm.value, t.coat.spreadId);
    const { soak } = t.layers[0]!;
    t.outline = JSON.parse(JSON.stringify(proposal.outline)) as typeof t.outline;
    t.tinId = proposal.tin.id;
    t.layers = Array.from({ length: proposal.layers }, () => ({
      ...newLayer(proposal.layerMm),
      soak,
    }));
    t.gaps = Array.from(
      { length: proposal.layers - 1 },
      () => JSON.parse(JSON.stringify(gap)) as typeof gap,
    );
    t.centre = null;
    t.asBaked = [];
  });
}
</script>

<template>
  <div data-test="stack-for">
    <p v-if="!target" class="lead">
      Draw a turned shape or an outline among the cuts, or take a shape from a file: the stacks it
      can be cut from are listed here.
    </p>
    <template v-else>
      <p class="sentence">
        The drawn shape is {{ text(target.heightMm, 'span') }} high and takes about
        {{ text(target.ml, 'volume') }}.
        <template v-if="proposals.length === 0">No tin in the pantry takes it in.</template>
      </p>
      <table v-if="proposals.length > 0" class="ledger across">
        <thead>
          <tr>
            <th>Tin</th>
            <th>Layers</th>
            <th class="end">Stack</th>
            <th class="end">Cut away</th>
            <th><span class="visually-hidden">Take it</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in proposals" :key="`${one.tin.id}${one.lying}`">
            <td>{{ settings.words(one.tin.name) }}{{ one.owned ? '' : ', not owned' }}</td>
            <td>
              {{ one.layers }} of {{ text(one.layerMm, 'thickness')
              }}{{ one.lying ? ', the shape lying on its side' : '' }}
            </td>
            <td class="end">{{ text(one.heightMm, 'span') }}</td>
            <td class="end">{{ text(one.offcutShare, 'share') }}</td>
            <td>
              <KeyButton
                v-if="!one.lying"
                size="small"
                :aria-label="`Stack in ${one.tin.name}`"
                @click="take(one)"
              >
                Stack it so
              </KeyButton>
              <span v-else class="soft">then lay it over</span>
            </td>
          </tr>
        </tbody>
      </table>
      <p class="soft">
        Owned tins first, then the least that is cut away. Layers up to 50 mm and three quarters of
        the tin’s depth.
      </p>
    </template>
  </div>
</template>
