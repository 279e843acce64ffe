<script setup lang="ts">
import { sawMm, type Build, type CutFrom, type CakePlan, word } from '@pyrgotect/core';
import { useSettings } from '../../stores/settings.ts';
import { useUnits } from '../../figures/units.ts';

/** The cut list: every stick as a bar with its pieces, in the order they are sawn. */
defineProps<{ build: Build; plan: CakePlan }>();
const settings = useSettings();
const { text } = useUnits();
const buyText = (list: CutFrom): string => {
  if (list.toBuy === 0) return `${list.row.owned} in the drawer are enough`;
  const packs = list.packs === 1 ? word('pack') : word('packs');
  const cost = list.cost === null ? '' : `, ${text(list.cost, 'money')}`;
  return `buy ${list.packs} ${packs} of ${list.row.packCount}${cost}`;
};
</script>

<template>
  <div data-test="cut-list">
    <p v-if="plan.cutLists.length === 0" class="lead">Nothing to cut: no dowels and no rod.</p>
    <section v-for="list in plan.cutLists" :key="list.row.id">
      <h2>{{ settings.words(list.row.name) }}</h2>
      <p class="sentence">
        {{ list.pieces.length }} {{ list.pieces.length === 1 ? 'piece' : 'pieces' }} from
        <b>{{ list.needed }}</b> of {{ text(list.row.lengthMm, 'span') }}: {{ buyText(list) }}.
      </p>
      <div v-for="(stick, k) in list.sticks" :key="k" class="stick">
        <span class="count">{{ k + 1 }}</span>
        <span
          v-for="piece in stick.pieces"
          :key="piece.label"
          class="piece"
          :style="{ width: `${(92 * piece.lengthMm) / list.row.lengthMm}%` }"
        >
          <b>{{ text(piece.lengthMm, 'span') }}</b> {{ piece.label }}
        </span>
        <span class="rest">{{ text(stick.leftMm, 'span') }} left</span>
      </div>
      <p v-if="list.tooLong.length > 0" class="stop">
        Too long for it: {{ list.tooLong.map((piece) => piece.label).join(', ') }}.
      </p>
    </section>
    <p v-if="plan.cutLists.length > 0" class="soft">
      The longest first, {{ text(sawMm, 'fine') }} lost at each cut; the fewest sticks that any way
      takes, tried through for up to 14 pieces. Hold the first dowel in the cake before the others
      are cut: where it differs from the figure, the cake is right.
    </p>
  </div>
</template>

<style scoped>
.stick {
  display: flex;
  align-items: stretch;
  height: 30px;
  margin: 5px 0;
}
.count {
  width: 24px;
  color: var(--soft);
  line-height: 30px;
}
.piece {
  background: var(--wood);
  color: var(--pen);
  border: 1px solid var(--ink);
  border-right-width: 3px;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
  padding: 3px 6px;
  font-size: var(--size-note);
}
.rest {
  flex: 1;
  border: 1px dashed var(--line);
  color: var(--soft);
  font-size: var(--size-fine);
  padding: 5px 6px;
  white-space: nowrap;
  overflow: hidden;
}
.stop {
  color: var(--stop);
  font-weight: 600;
}
</style>
