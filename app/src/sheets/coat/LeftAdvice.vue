<script setup lang="ts">
import {
  findRow,
  fromLeft,
  styleRows,
  thinnestMm,
  type CakePlan,
  type Tier,
} from '@pyrgotect/core';
import { computed } from 'vue';
import { usePantry } from '../../stores/pantry.ts';
import { useUnits } from '../../figures/units.ts';

/** What so many grams still give: the same coat, a thinner one, another style, or how much is missing. */
const props = defineProps<{ plan: CakePlan; tiers: Tier[]; leftG: number; crumbed: boolean }>();
const units = useUnits();
const pantry = usePantry();
const answer = computed(() =>
  fromLeft(
    props.leftG,
    props.tiers.map((tier) => ({
      tier,
      stackMm: props.plan.tiers.find((t) => t.tierId === tier.id)?.stack.stackMm ?? 100,
      crumbed: props.crumbed,
    })),
    (id) => findRow(pantry.pantry, 'spreads', id),
    pantry.pantry.kitchen,
  ),
);
const mass = (g: number): string => units.text(g, 'bowl');
const thick = (mm: number): string => units.text(mm, 'thickness');
const styles = computed(() =>
  answer.value.styles
    .slice(0, 3)
    .map(({ style, needG }) => `${styleRows[style].title.toLowerCase()} (${mass(needG)})`),
);
</script>

<template>
  <div data-test="left-advice">
    <p v-if="answer.shortG === 0">
      <b>It is enough.</b> The coat as planned takes {{ mass(answer.needG) }}.
    </p>
    <template v-else>
      <p>
        <b>{{ mass(answer.shortG) }} short.</b> The coat as planned takes {{ mass(answer.needG) }},
        what stays on the tools with it: make that much more, or
        <template v-if="answer.share !== null && answer.sideMm >= thinnestMm">
          spread it {{ thick(answer.sideMm) }} thick on the side and {{ thick(answer.topMm) }} on
          top, and it reaches.</template
        ><template v-else>
          finish it another way: spread out it would be too thin to hide the cake.</template
        >
      </p>
      <p v-if="styles.length > 0" class="soft">It would do for {{ styles.join(', ') }}.</p>
      <p v-else class="soft">No style can be finished with it.</p>
    </template>
  </div>
</template>
