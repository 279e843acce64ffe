<script setup lang="ts">
import {
  kitOf,
  limits,
  stackingAdvice,
  wantedMargin,
  waysOf,
  type Build,
  type Journey,
  type CakePlan,
} from '@pyrgotect/core';
import { computed } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import FigureValue from '../../figures/FigureValue.vue';
import QuantityField from '../../figures/QuantityField.vue';
import TermWord from '../../help/TermWord.vue';
import { useUnits } from '../../figures/units.ts';
import { useSheet } from '../useSheet.ts';

/** Standing and travelling: the journey, what tips and slides, what each remedy gains, the rod. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const { text, say } = useUnits();
const { store, pantry } = useSheet(props);
const journey = computed(() => props.build.journey);
const set = (to: Partial<Journey>, label = 'Journey'): void =>
  store.edit(label, (draft) => void Object.assign(draft.journey, to));
const yesNo = (yes: string, no: string) => [
  { value: 'yes', text: yes },
  { value: 'no', text: no },
];
const flag = (value: boolean): string => (value ? 'yes' : 'no');
const support = computed(() => props.plan.support);
const ways = computed(() => (support.value ? waysOf(props.build, support.value) : []));
/** What is drawn: up to three hard stops; more is not told apart. */
const most = 3;
const rods = computed(() =>
  pantry.pantry.dowels
    .filter((row) => row.form === 'solid')
    .map((row) => ({ value: row.id, text: row.name })),
);
const stiffest = computed(
  () =>
    [...pantry.pantry.dowels]
      .filter((row) => row.form === 'solid')
      .sort((a, b) => b.outerMm - a.outerMm)[0]?.id ?? 'rod-12',
);
const spareG = computed(() => {
  const { bowls } = props.plan;
  const id = props.build.tiers[0]!.coat.spreadId;
  return bowls.ok ? (bowls.value.find((bowl) => bowl.spreadId === id)?.leftG ?? null) : null;
});
const kit = computed(() => kitOf(props.build, spareG.value));
const advice = computed(() => {
  const found = support.value ? stackingAdvice(props.build, support.value) : null;
  return found ? say(found) : '';
});
</script>

<template>
  <div data-test="road">
    <p class="sentence">
      It
      <ChoiceField
        :model-value="flag(journey.byRoad)"
        label="Does it travel"
        :options="yesNo('goes by road', 'stays where it is made')"
        @update:model-value="(v) => set({ byRoad: v === 'yes' })"
      /><template v-if="journey.byRoad">
        for
        <QuantityField
          :model-value="journey.minutes"
          :of="limits.roadMin"
          label="Minutes on the road"
          @update:model-value="(n) => set({ minutes: n })" />
        in a car at
        <QuantityField
          :model-value="journey.carC"
          :of="limits.carC"
          label="How warm the car is"
          @update:model-value="(n) => set({ carC: n })" />,
        <ChoiceField
          :model-value="flag(journey.chilled)"
          label="Chilled before"
          :options="yesNo('chilled through before', 'from the room')"
          @update:model-value="(v) => set({ chilled: v === 'yes' })" />,
        <ChoiceField
          :model-value="flag(journey.boxed)"
          label="In a box"
          :options="yesNo('in a box that holds its board', 'without a box')"
          @update:model-value="(v) => set({ boxed: v === 'yes' })" />,
        <ChoiceField
          :model-value="flag(journey.mat)"
          label="On a mat"
          :options="yesNo('on something non-slip', 'on the bare floor')"
          @update:model-value="(v) => set({ mat: v === 'yes' })" /></template
      >.
      <template v-if="build.tiers.length > 1">
        The tiers are put on each other
        <ChoiceField
          :model-value="journey.stackAt"
          label="Where it is stacked"
          :options="[
            { value: 'home', text: 'at home' },
            { value: 'venue', text: 'where it is served' },
          ]"
          @update:model-value="(v: 'home' | 'venue') => set({ stackAt: v })"
        />.
      </template>
      Baked
      <QuantityField
        :model-value="journey.days"
        :of="limits.days"
        label="Days from baking to serving"
        @update:model-value="(n) => set({ days: n })"
      />
      days before it is served.
    </p>
    <template v-if="support">
      <p v-if="support.arrival && journey.byRoad" class="sentence" data-test="arrival">
        On arrival its outside is at <b>{{ text(support.arrival.skinC, 'temperature') }}</b>, its
        middle at <b>{{ text(support.arrival.middleC, 'temperature') }}</b><template
          v-if="support.arrival.coatHoldsC !== null"
          >; its coat stays on the side up to
          {{ text(support.arrival.coatHoldsC, 'temperature') }}</template
        >. {{ advice }}
      </p>

      <h2>Tipping and sliding, in times <TermWord id="braking" /></h2>
      <table class="ledger">
        <thead>
          <tr>
            <th>Tier and what is on it</th>
            <th class="end">Tips at</th>
            <th class="end">tipping</th>
            <th class="end">sliding</th>
            <th class="end">filling</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(tier, i) in support.tiers" :key="tier.tierId">
            <td>
              <button type="button" class="name" @click="store.selected = tier.tierId">
                {{ build.tiers[i]!.name }}
              </button>
            </td>
            <td class="end">{{ Math.round(tier.tipping.tiltDeg) }}°</td>
            <td class="end" :class="{ low: tier.tipping.margin < wantedMargin }">
              <FigureValue
                :figure="`${tier.tierId}/tips`"
                :value="tier.tipping.margin"
                kind="share"
              />
            </td>
            <td class="end" :class="{ low: tier.sliding && tier.sliding.margin < wantedMargin }">
              {{
                tier.sliding
                  ? tier.sliding.margin > 9.99
                    ? 'over 999 %'
                    : text(tier.sliding.margin, 'share')
                  : ''
              }}
            </td>
            <td class="end" :class="{ low: tier.shear && tier.shear.margin < 1 }">
              {{
                tier.shear
                  ? tier.shear.margin > 9.99
                    ? 'over 999 %'
                    : text(tier.shear.margin, 'share')
                  : ''
              }}
            </td>
          </tr>
          <tr>
            <td>the whole cake on its board</td>
            <td class="end">
              {{ support.whole.tipping ? `${Math.round(support.whole.tipping.tiltDeg)}°` : '' }}
            </td>
            <td class="end">
              {{ support.whole.tipping ? text(support.whole.tipping.margin, 'share') : '' }}
            </td>
            <td class="end">
              {{ journey.boxed ? 'held by the box' : text(support.whole.sliding.margin, 'share') }}
            </td>
            <td></td>
          </tr>
        </tbody>
      </table>
      <p class="soft">
        A hard braking pushes with half of what the cake weighs. To hold
        {{ text(wantedMargin, 'margin') }} of them is wanted; a rod is left out of these figures. At
        {{ text(support.warmestC, 'temperature') }}.
      </p>

      <template v-if="build.tiers.length > 1">
        <h2>What each way gains</h2>
        <div v-for="way in ways" :key="way.title" class="way" :class="{ now: way.isNow }">
          <span class="what">{{ way.title }}{{ way.isNow ? ', as planned' : '' }}</span>
          <span class="track">
            <span
              :class="{ low: way.margin < wantedMargin }"
              :style="{ width: `${(100 * Math.max(0, Math.min(most, way.margin))) / most}%` }"
            />
            <i :style="{ left: `${(100 * wantedMargin) / most}%` }" />
          </span>
          <b>{{ text(way.margin, 'share') }}</b>
        </div>
      </template>

      <h2><TermWord id="rod">Rod</TermWord></h2>
      <p class="sentence">
        <template v-if="build.rod">
          <ChoiceField
            :model-value="build.rod.dowelId"
            label="Rod through all tiers"
            :options="rods"
            @update:model-value="
              (id) => store.edit('Rod', (draft) => void (draft.rod!.dowelId = id))
            "
          />
          <template v-if="support.rod">
            , <b>{{ text(support.rod.lengthMm, 'span') }}</b> long from the underside of the board,
            <QuantityField
              :model-value="support.rod.at.x"
              :of="limits.dowelPlace"
              label="Rod to the right of the lowest tier’s middle"
              @update:model-value="
                (mm) =>
                  store.edit('Rod', (draft) => void (draft.rod!.at = [mm, support!.rod!.at.y]))
              "
            />
            to the right and
            <QuantityField
              :model-value="support.rod.at.y"
              :of="limits.dowelPlace"
              label="Rod to the back of the lowest tier’s middle"
              @update:model-value="
                (mm) =>
                  store.edit('Rod', (draft) => void (draft.rod!.at = [support!.rod!.at.x, mm]))
              "
            />
            to the back of the middle. Its foot is screwed or glued into the board, each board has a
            hole of {{ text(support.rod.holeMm, 'thickness') }} for it; it is bent to
            <b>{{ text(support.rod.used, 'share') }}</b> of what it may bear.
          </template>
          <KeyButton
            variant="text"
            size="small"
            @click="store.edit('No rod', (draft) => void (draft.rod = null))"
          >
            no rod
          </KeyButton>
        </template>
        <KeyButton
          v-else
          size="small"
          data-test="add-rod"
          @click="store.edit('Rod', (draft) => void (draft.rod = { dowelId: stiffest, at: null }))"
        >
          Put a rod through all tiers
        </KeyButton>
      </p>

      <template v-if="journey.byRoad">
        <h2>With it for repairs</h2>
        <ul>
          <li v-for="one in kit" :key="one.what">
            {{ one.what
            }}<template v-if="one.massG !== null && one.massG > 0"
              >, the {{ text(one.massG, 'bowl') }} that are left</template
            >
          </li>
        </ul>
      </template>
    </template>
  </div>
</template>

<style scoped>
.ledger {
  width: 100%;
}
.low {
  color: var(--stop);
  font-weight: 700;
}
.name {
  font: inherit;
  text-decoration: underline;
  text-decoration-color: var(--line);
  text-underline-offset: 3px;
}
.way {
  display: grid;
  grid-template-columns: 15em 1fr 4.5em;
  gap: 10px;
  align-items: center;
  padding: 3px 0;
}
.way b {
  text-align: right;
}
.now .what {
  font-weight: 600;
}
.track {
  position: relative;
  height: 14px;
  background: var(--raised);
}
.track span {
  display: block;
  height: 100%;
  background: var(--accent);
}
.track .low {
  background: var(--stop);
}
.track i {
  position: absolute;
  top: -3px;
  bottom: -3px;
  border-left: 2px solid var(--ink);
}
ul {
  margin: 4px 0 0;
  padding-left: 20px;
}
</style>
