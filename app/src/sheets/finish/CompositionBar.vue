<script setup lang="ts">
import { word } from '@pyrgotect/core';
import type { GanacheMade } from '@pyrgotect/core';
import { computed } from 'vue';
import { fixed } from '../../locale/number.ts';

/** A ganache as a bar of fat, water and solids, with what that makes of it. */
const props = defineProps<{ made: GanacheMade }>();
const percent = (share: number): string => `${Math.round(share * 100)} %`;
const parts = computed(() => [
  { name: word('fat'), share: props.made.fat, shade: 'fat' },
  { name: word('water'), share: props.made.water, shade: 'water' },
  { name: 'cocoa, milk and sugar', share: props.made.solids, shade: 'solids' },
]);
const words: Record<GanacheMade['verdicts'][number], string> = {
  'too lean': 'too lean: dull, with a skin',
  'too fat': 'too fat: greasy',
  'likely to split': 'likely to split: too much fat for its water',
  'never sets': 'never sets: too much cream',
};
/** From soft to firm, the index on a scale from 0.5 to 4. */
const firmAt = computed(() => Math.min(1, Math.max(0, (props.made.firmness - 0.5) / 3.5)));
const firmWord = computed(() => {
  const f = props.made.firmness;
  if (f < 1.2) return 'soft, for whipping';
  if (f < 2.1) return 'runs while it is warm, sets soft';
  if (f < 3) return 'sets to a firm filling';
  return 'sets hard enough for a shell';
});
</script>

<template>
  <figure data-test="composition">
    <div
      class="bar"
      role="img"
      :aria-label="parts.map((p) => `${percent(p.share)} ${p.name}`).join(', ')"
    >
      <span
        v-for="part in parts"
        :key="part.name"
        :class="part.shade"
        :style="{ width: `${part.share * 100}%` }"
      >
        <b>{{ percent(part.share) }}</b> {{ part.name }}
      </span>
    </div>
    <div class="firm">
      <span>soft</span>
      <i><em :style="{ left: `${firmAt * 100}%` }" /></i>
      <span>firm</span>
    </div>
    <figcaption>
      Firmness {{ fixed(made.firmness, 2) }}: {{ firmWord }}; fat to water
      {{ fixed(made.fatToWater, 1)
      }}<template v-for="verdict in made.verdicts" :key="verdict"
        >; <b class="verdict">{{ words[verdict] }}</b></template
      >.
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 10px 0 4px;
}
.bar {
  display: flex;
  height: 34px;
  border: 1.5px solid var(--ink);
}
.bar span {
  overflow: hidden;
  white-space: nowrap;
  padding: 6px 8px;
  font-size: var(--size-note);
  color: var(--pen);
}
.bar span + span {
  border-left: 1.5px solid var(--ink);
}
.fat {
  background: var(--curd);
}
.water {
  background: var(--water);
}
.solids {
  background: var(--solids);
}
.firm {
  display: flex;
  gap: 8px;
  align-items: center;
  font-size: var(--size-note);
  color: var(--soft);
  margin-top: 8px;
}
.firm i {
  position: relative;
  flex: 1;
  height: 2px;
  background: linear-gradient(90deg, var(--line), var(--ink));
}
.firm em {
  position: absolute;
  top: -6px;
  width: 4px;
  height: 14px;
  margin-left: -2px;
  background: var(--accent);
}
figcaption {
  margin-top: 6px;
  font-size: var(--size-text);
}
.verdict {
  color: var(--warn);
}
</style>
