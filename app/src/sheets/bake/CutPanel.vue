<script setup lang="ts">
import {
  compareLevelling,
  flushTrim,
  liningOf,
  limits,
  offcutUses,
  solveAsBaked,
  widthMm,
  type AsBaked,
  type Build,
  type Kind,
  type Levelling,
  type CakePlan,
  type Tier,
} from '@pyrgotect/core';
import { computed } from 'vue';
import QuantityField from '../../figures/QuantityField.vue';
import { useSettings } from '../../stores/settings.ts';
import { useUnits } from '../../figures/units.ts';
import KnifeDrawing from './KnifeDrawing.vue';
import TermWord from '../../help/TermWord.vue';
import { useBakeSheet } from './useBakeSheet.ts';

/** Where the knife goes, what it costs to level one way or another, and what really came out. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const settings = useSettings();
const units = useUnits();
const { store, pantry, tier, editTier, bake, tin, sponge } = useBakeSheet(props);
const text = (mm: number, kind: Kind = 'thickness'): string => units.text(mm, kind);
const schools: Record<Levelling, string> = {
  'cut all': 'cut every dome',
  'cut all, top inverted': 'cut every dome, top upside down',
  'cut none': 'leave the domes, fill round them',
  'cut none, top inverted': 'leave the domes, top upside down',
};
const costs = computed(() =>
  compareLevelling(props.build, tier.value.id, pantry.pantry, store.corrections),
);
const lining = computed(() => {
  const cake = bake.value?.cakes[0];
  return tin.value && cake ? liningOf(tin.value, cake.neededMm + cake.crownMm) : null;
});
const uses = computed(() => {
  if (!bake.value || !sponge.value) return [];
  const domes = bake.value.cakes.reduce((sum, c) => sum + c.domeG, 0);
  const trims = bake.value.cakes.reduce((sum, c) => sum + c.trimG, 0);
  return offcutUses(domes, trims, sponge.value);
});
const trims: { key: keyof Tier['trim']; label: string; words: string }[] = [
  { key: 'bottomMm', label: 'Crust off the bottom', words: 'off the bottom' },
  { key: 'sideMm', label: 'Crust off the side', words: 'off the side' },
  { key: 'topMm', label: 'Crust off the top', words: 'more off the top' },
];
const high = computed(() =>
  Math.max(40, ...(bake.value?.cakes.map((c) => c.edgeMm + c.crownMm) ?? [])),
);
function setBaked(cake: number, change: Partial<AsBaked>): void {
  const all = bake.value?.cakes ?? [];
  editTier('What came out of the oven', (t) => {
    t.asBaked = all.map((c, i) => {
      const now = t.asBaked[i] ?? { edgeMm: Number(c.neededMm.toFixed(1)), acrossMm: null };
      return i === cake ? { ...now, ...change } : now;
    });
  });
}
const again = computed(() =>
  tier.value.asBaked.length > 0
    ? solveAsBaked(props.build, tier.value.id, pantry.pantry, store.corrections)
    : null,
);
/** A hundredth of a millimetre is no difference: the solver comes that near. */
const heights = (t: Tier): number[] => [
  ...[...t.layers, ...t.gaps].map((part) => part.heightMm),
  widthMm(t.outline),
];
const differs = computed(() => {
  const now = heights(tier.value);
  return (
    again.value !== null && heights(again.value.tier).some((mm, i) => Math.abs(mm - now[i]!) > 0.02)
  );
});
function takeAgain(): void {
  const found = again.value;
  if (found)
    editTier('Stacked again from what was baked', (t) => {
      t.layers = found.tier.layers;
      t.gaps = found.tier.gaps;
      t.outline = found.tier.outline;
    });
}
const flush = computed(() => {
  const across = tier.value.asBaked.map((b) => b.acrossMm);
  return across.length > 1 && across.every((a): a is number => a !== null) ? flushTrim(across) : [];
});
</script>

<template>
  <div v-if="bake && bake.cakes.length > 0" data-test="cut">
    <p class="sentence">
      Of the crust,
      <template v-for="(trim, i) in trims" :key="trim.key">
        <QuantityField
          :model-value="tier.trim[trim.key]"
          :of="limits.trimMm"
          :label="trim.label"
          @update:model-value="(mm) => editTier('Crust', (t) => void (t.trim[trim.key] = mm))"
        />
        {{ trim.words }}{{ i < 2 ? ', ' : '.' }}
      </template>
    </p>
    <h2>The knife, in this order</h2>
    <div class="cakes">
      <figure v-for="cake in bake.cakes" :key="cake.index">
        <KnifeDrawing
          :cake="cake"
          :tone="sponge?.tone ?? 'butter'"
          :high="high"
          :inches="settings.system.length === 'in'"
        />
        <figcaption>
          <b>cake {{ cake.index + 1 }}</b>
          <ol v-if="cake.cuts.length > 0">
            <li v-for="(cut, i) in cake.cuts" :key="i">
              {{
                { level: 'dome off at', 'bottom crust': 'crust off at', split: 'split at' }[
                  cut.kind
                ]
              }}
              <b>{{ text(cut.atMm) }}</b>
            </li>
          </ol>
          <span v-else class="soft">no cut: it keeps its dome</span>
        </figcaption>
      </figure>
    </div>
    <p class="lead">
      Heights of the blade above the board, on each cake as it stands. Each cut (<TermWord
        id="torte"
        >torting</TermWord
      >) turns {{ text(pantry.pantry.kitchen.kerfMm, 'fine') }} into crumbs,
      <TermWord id="kerf" /><template v-if="sponge"
        >; below {{ text(sponge.minSliceMm) }} this sponge tears</template
      >. Cut away from the hand that holds it.
    </p>
    <p v-if="uses.length > 0" class="sentence">
      <b>{{ text(bake.offcutsG, 'bowl') }}</b> of <TermWord id="offcut">offcuts</TermWord> give
      {{ uses.map((use) => units.say(use.what)).join(', ') }}.
    </p>

    <h2>With the <TermWord id="dome">domes</TermWord> or without</h2>
    <table>
      <thead>
        <tr>
          <th scope="col">way of <TermWord id="levelling" /></th>
          <th scope="col" class="right">height</th>
          <th scope="col" class="right">batter</th>
          <th scope="col" class="right">fillings</th>
          <th scope="col" class="right">coat</th>
          <th scope="col" class="right">offcuts</th>
          <th scope="col"><span class="visually-hidden">take it</span></th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="cost in costs"
          :key="cost.levelling"
          :class="{ now: cost.levelling === tier.levelling }"
        >
          <td>{{ schools[cost.levelling] }}</td>
          <td class="right">{{ text(cost.heightMm, 'span') }}</td>
          <td class="right">{{ text(cost.batterG, 'bowl') }}</td>
          <td class="right">{{ text(cost.fillingG, 'bowl') }}</td>
          <td class="right">{{ text(cost.coatG, 'bowl') }}</td>
          <td class="right">{{ text(cost.offcutsG, 'bowl') }}</td>
          <td class="right">
            <span v-if="cost.levelling === tier.levelling">this cake</span>
            <KeyButton
              v-else
              size="small"
              @click="editTier('Levelling', (t) => void (t.levelling = cost.levelling))"
            >
              Do it so
            </KeyButton>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="lead">
      Each dome left on is filled round, between two that meet twice over. Inverting the top gives a
      flat, sharp edge; cutting none saves cake and costs filling.
    </p>

    <template v-if="lining && tin">
      <h2>Paper to cut for each tin</h2>
      <p class="sentence">
        A base {{ units.outline(lining.base) }}
        {{ lining.base.kind === 'round' ? 'across' : `like the tin (${tin.name})`
        }}<template v-for="strip in lining.strips" :key="strip.where"
          >, {{ strip.where === 'hole' ? 'one for the hole' : 'a strip' }}
          <b>{{ text(strip.lengthMm, 'span') }} × {{ text(strip.heightMm, 'span') }}</b></template
        >. The strip laps over and stands above the rim.
      </p>
    </template>

    <h2>As baked</h2>
    <p class="sentence">
      <template v-for="cake in bake.cakes" :key="cake.index">
        Cake {{ cake.index + 1 }} came out
        <QuantityField
          :model-value="tier.asBaked[cake.index]?.edgeMm ?? null"
          :of="limits.layerMm"
          nullable
          :auto="`${text(cake.neededMm)} planned`"
          :label="`Edge of cake ${cake.index + 1} as baked`"
          @update:model-value="(mm) => mm !== null && setBaked(cake.index, { edgeMm: mm })"
        />
        high at its lowest edge,
        <QuantityField
          :model-value="tier.asBaked[cake.index]?.acrossMm ?? null"
          :of="limits.sideMm"
          nullable
          auto="as the tin"
          :label="`Diameter of cake ${cake.index + 1} as baked`"
          @update:model-value="(mm) => setBaked(cake.index, { acrossMm: mm })"
        />
        across.
      </template>
    </p>
    <p v-if="flush.some((mm) => mm > 0.2)" class="sentence">
      To make them flush, trim all round:
      {{ flush.map((mm, i) => `cake ${i + 1} ${text(mm)}`).join(', ') }}.
    </p>
    <template v-if="again">
      <p v-if="differs" class="row">
        <KeyButton variant="flat" data-test="stack-again" @click="takeAgain">
          Stack it again from these
        </KeyButton>
        <span
          >{{ text(again.heightMm, 'span') }} high{{
            again.misses ? `, ${again.misses}` : ', as planned'
          }}</span
        >
      </p>
      <p v-else class="lead">The stack fits what came out.</p>
      <p>
        <KeyButton
          size="small"
          @click="editTier('Measured cakes forgotten', (t) => void (t.asBaked = []))"
        >
          Forget what was measured
        </KeyButton>
      </p>
    </template>
  </div>
  <p v-else class="lead">There is no baked cake to cut.</p>
</template>

<style scoped>
.cakes {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 22px;
}
figure {
  margin: 0;
}
figcaption ol {
  margin: 0;
  padding-left: 20px;
}
table {
  border-collapse: collapse;
  width: 100%;
  font-size: var(--size-note);
}
th,
td {
  text-align: left;
  padding: 5px 10px 5px 0;
  border-top: 1px solid var(--line);
  font-weight: 400;
}
thead th {
  border: 0;
  color: var(--soft);
  font-size: var(--size-note);
}
.right {
  text-align: right;
  white-space: nowrap;
}
.now td {
  font-weight: 700;
}
.row {
  display: flex;
  gap: 12px;
  align-items: center;
}
</style>
