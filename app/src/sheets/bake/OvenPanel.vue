<script setup lang="ts">
import {
  limits,
  polygon,
  type Build,
  type PartTemp,
  type CakePlan,
  type PlacedTin,
} from '@pyrgotect/core';
import { computed } from 'vue';
import FigureValue from '../../figures/FigureValue.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { useUnits } from '../../figures/units.ts';
import { useBakeSheet } from './useBakeSheet.ts';

/** Loads of the oven with every tin to scale, when to look, and the batter that waits meanwhile. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const units = useUnits();
const { pantry, tier, editTier, bake, recipe } = useBakeSheet(props);
const shelf = computed(() => pantry.pantry.kitchen);
const px = computed(() => Math.min(250 / shelf.value.shelfWideMm, 190 / shelf.value.shelfDeepMm));
const oven = computed(() => props.plan.oven);
const several = computed(() => props.build.tiers.length > 1);
const nameOf = (placed: PlacedTin): string => {
  const name = props.build.tiers.find((t) => t.id === placed.tierId)?.name ?? '';
  return several.value ? `${name} ${placed.cake + 1}` : `cake ${placed.cake + 1}`;
};
const tint = (placed: PlacedTin): string => {
  const sponge = props.build.tiers.find((t) => t.id === placed.tierId)?.spongeId;
  return pantry.pantry.sponges.find((row) => row.id === sponge)?.tone ?? 'butter';
};
const points = (placed: PlacedTin): string =>
  polygon(placed.outline, 12)
    .map(({ x, y }) => (placed.turned ? [y, x] : [x, y]))
    .map(
      ([x, y]) =>
        `${((placed.x + x!) * px.value).toFixed(1)},${((shelf.value.shelfDeepMm - placed.y - y!) * px.value).toFixed(1)}`,
    )
    .join(' ');
const minutes = (n: number): string => units.text(n, 'minutes');
const windows = (placed: readonly PlacedTin[]) =>
  placed.flatMap((p) => {
    const stage = props.plan.tiers.find((t) => t.tierId === p.tierId)?.bake;
    const cake = stage?.ok ? stage.value.cakes[p.cake] : undefined;
    return cake?.window ? [{ p, window: cake.window }] : [];
  });
/** One line for tins that take the same time. */
const looks = (placed: readonly PlacedTin[]) => {
  const lines = new Map<string, { names: string[]; text: string }>();
  for (const { p, window } of windows(placed)) {
    const text = `first look ${minutes(window.fromMin)}, likely ${minutes(window.minutes)}, by ${minutes(window.toMin)}`;
    const line = lines.get(text) ?? { names: [], text };
    line.names.push(nameOf(p));
    lines.set(text, line);
  }
  return [...lines.values()];
};
const temps = computed(() => recipe.value?.ingredients.map((i) => i.name) ?? []);
const tempOf = (name: string): number =>
  tier.value.temps.find((t) => t.name === name)?.tempC ?? shelf.value.roomC;
function setTemp(name: string, tempC: number | null): void {
  if (tempC === null) return;
  editTier('Temperature of an ingredient', (t) => {
    const rest: PartTemp[] = t.temps.filter((each) => each.name !== name);
    t.temps = tempC === shelf.value.roomC ? rest : [...rest, { name, tempC }];
  });
}
</script>

<template>
  <div data-test="oven">
    <p class="sentence">
      Bake at
      <QuantityField
        :model-value="tier.ovenC"
        :of="limits.ovenC"
        nullable
        :auto="bake ? units.text(bake.ovenC, 'temperature') : '–'"
        label="Oven temperature"
        @update:model-value="(c) => editTier('Oven', (t) => void (t.ovenC = c))"
      />
      <template v-if="tier.ovenC === null"> (the recipe’s own)</template>. The oven takes a shelf of
      {{ units.text(shelf.shelfWideMm, 'size') }} × {{ units.text(shelf.shelfDeepMm, 'size') }},
      {{ shelf.shelves === 1 ? 'one at a time' : `${shelf.shelves} at once` }}; change it in the
      <router-link to="/pantry">pantry</router-link>.
    </p>
    <template v-if="oven">
      <section v-for="(load, i) in oven.loads" :key="i" class="load" :data-test="`load-${i + 1}`">
        <h2>
          Load {{ i + 1 }}: {{ units.text(load.ovenC, 'temperature') }},
          {{ load.minutes === null ? 'never done' : `about ${minutes(load.minutes)}` }}
        </h2>
        <div class="shelves">
          <svg
            v-for="(placed, s) in load.shelves.filter((each) => each.length > 0)"
            :key="s"
            :width="shelf.shelfWideMm * px + 4"
            :height="shelf.shelfDeepMm * px + 4"
            :viewBox="`-2 -2 ${shelf.shelfWideMm * px + 4} ${shelf.shelfDeepMm * px + 4}`"
            role="img"
            :aria-label="`Shelf ${s + 1}: ${placed.map(nameOf).join(', ')}`"
          >
            <rect :width="shelf.shelfWideMm * px" :height="shelf.shelfDeepMm * px" class="shelf" />
            <g v-for="each in placed" :key="`${each.tierId}/${each.cake}`">
              <polygon :points="points(each)" :fill="`url(#tone-${tint(each)})`" class="tin" />
              <g class="tag">
                <rect
                  :x="each.x * px - 35"
                  :y="(shelf.shelfDeepMm - each.y) * px - 18"
                  width="70"
                  height="35"
                  rx="3"
                />
                <text
                  :x="each.x * px"
                  :y="(shelf.shelfDeepMm - each.y) * px - 3"
                  text-anchor="middle"
                  font-size="12.5"
                >
                  {{ nameOf(each).slice(0, 12) }}
                </text>
                <text
                  :x="each.x * px"
                  :y="(shelf.shelfDeepMm - each.y) * px + 12"
                  text-anchor="middle"
                  font-size="13.5"
                  font-weight="600"
                >
                  {{ units.text(each.grams, 'bowl') }}
                </text>
              </g>
            </g>
          </svg>
          <ul>
            <li v-for="line in looks(load.shelves.flat())" :key="line.text">
              <b>{{ line.names.join(', ') }}</b>: {{ line.text }}
            </li>
            <li v-if="load.waitMin > 0" :class="{ late: load.mixAgain.length > 0 }">
              the batter stands {{ minutes(load.waitMin) }} by then; it can for
              {{ minutes(load.waitAllowedMin)
              }}{{ load.mixAgain.length > 0 ? ': mix it when the load before comes out' : '' }}
            </li>
          </ul>
        </div>
      </section>
    </template>

    <h2>How warm the batter goes in</h2>
    <p v-if="bake" class="sentence">
      At <b>{{ units.text(bake.startC, 'temperature') }}</b>, from its parts:
    </p>
    <ul class="temps">
      <li v-for="name in temps" :key="name">
        {{ name }}
        <QuantityField
          :model-value="tempOf(name)"
          :of="limits.partC"
          :label="`Temperature of ${name}`"
          @update:model-value="(c) => setTemp(name, c)"
        />
      </li>
    </ul>
    <p v-if="bake?.cakes[0]?.window" class="lead">
      Cold parts make the bake longer:
      <FigureValue
        :value="bake.cakes[0].window.minutes"
        kind="minutes"
        :figure="`${tier.id}/cake/0/minutes`"
      />
      as they are. The times are estimates; the tests by eye decide.
    </p>
  </div>
</template>

<style scoped>
.load h2 {
  margin-bottom: 6px;
}
.shelves {
  display: flex;
  flex-wrap: wrap;
  gap: 16px;
  align-items: flex-start;
}
.shelf {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.tin {
  stroke: var(--pen);
  stroke-width: 1.4;
}
.tag rect {
  fill: var(--milk);
  opacity: 0.92;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
  flex: 1;
  min-width: 190px;
}
.shelves li {
  padding: 4px 0;
  border-top: 1px solid var(--line);
}
.late {
  color: var(--warn);
  font-weight: 600;
}
.temps {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}
</style>
