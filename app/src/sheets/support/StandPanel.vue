<script setup lang="ts">
import {
  boardMaterials,
  halfWayGap,
  limits,
  newDowels,
  phrase,
  rimShownMm,
  usualCard,
  widthMm,
  type BoardMaterial,
  type Build,
  type Card,
  type Deck,
  type CakePlan,
  valueWord,
} from '@pyrgotect/core';
import { computed } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import FigureValue from '../../figures/FigureValue.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { useUnits } from '../../figures/units.ts';
import BuildSheets from '../../templates/BuildSheets.vue';
import { useSheet } from '../useSheet.ts';
import TermWord from '../../help/TermWord.vue';

/** How one tier stands on what is below it: board, place, posts, and what its crumb carries. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const { text, say } = useUnits();
const { tier, editTier } = useSheet(props);
const index = computed(() => props.build.tiers.indexOf(tier.value));
const below = computed(() => props.build.tiers[index.value - 1] ?? null);
const stand = computed(() => props.plan.support?.tiers[index.value] ?? null);
const bend = computed(
  () =>
    props.plan.support?.lifts.find(
      (lift) => lift.tierIndex === index.value - 1 && lift.deck === null,
    )?.bend ?? null,
);
const materials = boardMaterials.map((value) => ({ value, text: valueWord(value) }));
const setCard = (card: Card | null): void => editTier('Board', (t) => void (t.stand.card = card));
const setOffset = (at: 0 | 1, mm: number | null): void => {
  if (mm === null) return;
  editTier('Off the middle', (t) => {
    const [x, y] = t.stand.offsetMm;
    t.stand.offsetMm = at === 0 ? [mm, y] : [x, mm];
  });
};
const nextDeck = computed(() => halfWayGap(props.plan.tiers[index.value]!.stack));
const inOrder = (decks: Deck[]): Deck[] => decks.sort((a, b) => a.afterLayer - b.afterLayer);
const addDeck = (): void =>
  editTier('Board half-way up', (t) => {
    t.stand.decks.push({ afterLayer: nextDeck.value!, card: usualCard(), dowels: newDowels() });
    inOrder(t.stand.decks);
  });
const boundaries = computed(() =>
  tier.value.gaps.map((_, i) => ({ value: String(i), text: `layer ${i + 1}` })),
);
function moveDeck(k: number, to: string): void {
  const after = Number(to);
  if (tier.value.stand.decks.some((deck, i) => i !== k && deck.afterLayer === after)) return;
  editTier('Board half-way up', (t) => {
    t.stand.decks[k]!.afterLayer = after;
    inOrder(t.stand.decks);
  });
}
const layers = computed(() =>
  (stand.value?.stresses ?? []).map((one) => ({
    ...one,
    wide: Math.min(100, one.used * 100),
    restText: text(one.restKPa * 1000, 'bearing'),
    standsText: text(one.standsKPa * 1000, 'bearing'),
  })),
);
const why = computed(() => {
  const above = props.build.tiers[index.value + 1]?.name ?? '';
  return (stand.value?.needs ?? []).map((need) => {
    switch (need.why) {
      case 'crumb':
        return phrase(`layer ${need.layer + 1} is loaded {times} times what its crumb stands`, {
          times: [need.used, 'factor'],
        });
      case 'filling':
        return phrase(`the filling on layer ${need.gap + 1} would be pressed to {mm}`, {
          mm: [need.settledMm, 'thickness'],
        });
      case 'custom':
        return phrase(`custom: ${above} and what is on it weighs {mass}, over 1 kg`, {
          mass: [need.aboveG, 'weight'],
        });
      case 'tall':
        return phrase('custom: {high} of cake on one board', { high: [need.heightMm, 'size'] });
      case 'posts':
        return phrase(`${above} stands on posts`);
    }
  });
});
</script>

<template>
  <div v-if="stand" data-test="stand">
    <p class="sentence">
      {{ tier.name }} weighs <b>{{ text(stand.body.massG, 'weight') }}</b><template
        v-if="stand.carried.massG > stand.body.massG + 1"
        >; with all that stands on it its foot carries
        <FigureValue
          :figure="`${tier.id}/stands on`"
          :value="stand.carried.massG"
          kind="weight" /></template
      >. Its centre of mass lies {{ text(stand.body.upMm, 'span') }} up<template
        v-if="Math.hypot(stand.body.x, stand.body.y) > 1"
        >, {{ text(Math.hypot(stand.body.x, stand.body.y), 'span') }} off its axis</template
      >.
    </p>
    <template v-if="below">
      <p class="sentence">
        It stands on
        <template v-if="tier.stand.card">
          <ChoiceField
            :model-value="tier.stand.card.material"
            label="Board under it"
            :options="materials"
            @update:model-value="
              (material: BoardMaterial) => setCard({ ...tier.stand.card!, material })
            "
          />
          of
          <QuantityField
            :model-value="tier.stand.card.thicknessMm"
            :of="limits.cardMm"
            label="Thickness of the board"
            @update:model-value="(mm) => setCard({ ...tier.stand.card!, thicknessMm: mm })"
          />, cut to {{ text(widthMm(tier.outline), 'size') }}: it ends under the coat.
          <KeyButton variant="text" size="small" @click="setCard(null)">no board</KeyButton>
        </template>
        <KeyButton v-else size="small" data-test="add-card" @click="setCard(usualCard())">
          Put it on a board
        </KeyButton>
      </p>
      <p class="sentence">
        Its middle is
        <QuantityField
          :model-value="tier.stand.offsetMm[0]"
          :of="limits.offsetMm"
          label="To the right of the tier below"
          @update:model-value="(mm) => setOffset(0, mm)"
        />
        to the right and
        <QuantityField
          :model-value="tier.stand.offsetMm[1]"
          :of="limits.offsetMm"
          label="To the back of the tier below"
          @update:model-value="(mm) => setOffset(1, mm)"
        />
        to the back of {{ below.name }}’s,
        <QuantityField
          :model-value="tier.stand.postMm"
          :of="limits.postMm"
          label="Room between the tiers, on posts"
          @update:model-value="(mm) => editTier('Posts', (t) => void (t.stand.postMm = mm))"
        />
        above it<template v-if="tier.stand.postMm > 0"
          >, on posts that go down to the board</template
        >.
      </p>
      <p v-if="bend" class="sentence">
        On its dowels the board bends <b>{{ text(bend.mm, 'fine') }}</b> {{ bend.where }}, over
        {{ text(bend.spanMm, 'span') }}; up to {{ text(1, 'fine') }} a coat does not crack.
      </p>
    </template>
    <p v-else class="sentence">
      It stands on the {{ plan.board?.name.toLowerCase() ?? 'board'
      }}<template v-if="plan.board"
        >, of which
        {{ text(rimShownMm(plan.board, plan.tiers[0]!.finished), 'thickness') }}
        show all round</template
      >. Another board is taken in Stack.
    </p>

    <h2>What its layers carry</h2>
    <table>
      <tbody>
        <tr v-for="one in layers" :key="one.index">
          <th>layer {{ one.index + 1 }}</th>
          <td class="n">{{ one.restText }} of {{ one.standsText }}</td>
          <td class="bar">
            <span :class="{ over: one.used > 1 }" :style="{ width: `${one.wide}%` }" />
          </td>
          <td class="n">{{ text(one.used, 'share') }}</td>
        </tr>
      </tbody>
    </table>
    <p class="soft">
      Soak, warmth ({{ text(plan.support!.warmestC, 'temperature') }} at most) and
      {{ build.journey.days }} days of age are in it. Loads of seconds are held against twice.
      <template v-if="tier.stand.dowels">What is above goes down its dowels.</template>
    </p>
    <p v-if="why.length > 0" class="sentence">
      For dowels speaks:
      <template v-for="(one, i) in why" :key="i">{{ i > 0 ? '; ' : '' }}{{ say(one) }}</template
      >.
    </p>

    <p v-for="(deck, k) in tier.stand.decks" :key="k" class="sentence">
      A board of
      <ChoiceField
        :model-value="deck.card.material"
        :label="`Board ${k + 1} half-way up`"
        :options="materials"
        @update:model-value="
          (material: BoardMaterial) =>
            editTier('Board half-way up', (t) => void (t.stand.decks[k]!.card.material = material))
        "
      />,
      <QuantityField
        :model-value="deck.card.thicknessMm"
        :of="limits.cardMm"
        :label="`Thickness of board ${k + 1}`"
        @update:model-value="
          (mm) =>
            editTier('Board half-way up', (t) => void (t.stand.decks[k]!.card.thicknessMm = mm))
        "
      />
      thick, over
      <ChoiceField
        :model-value="String(deck.afterLayer)"
        :label="`Where board ${k + 1} lies`"
        :options="boundaries"
        @update:model-value="(to) => moveDeck(k, to)"
      />
      on dowels of its own.
      <KeyButton
        variant="text"
        size="small"
        @click="editTier('Board taken out', (t) => void t.stand.decks.splice(k, 1))"
      >
        take it out
      </KeyButton>
    </p>
    <p v-if="nextDeck !== null && tier.stand.decks.length < limits.decks.max">
      <KeyButton size="small" data-test="add-deck" @click="addDeck">
        Put a board half-way up
      </KeyButton>
      <TermWord id="board half-way up">What that is</TermWord>
    </p>
    <BuildSheets :build="build" :plan="plan" kind="boards" />
  </div>
  <p v-else class="lead">What it weighs is not known yet; the other sheets say what is missing.</p>
</template>

<style scoped>
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  font-weight: 500;
  white-space: nowrap;
}
td,
th {
  padding: 3px 10px 3px 0;
}
.n {
  text-align: right;
  white-space: nowrap;
}
.bar {
  width: 50%;
}
.bar span {
  display: block;
  height: 12px;
  min-width: 2px;
  background: var(--accent);
}
.bar .over {
  background: var(--stop);
}
.bar {
  background: linear-gradient(var(--line), var(--line)) center / 100% 1px no-repeat;
}
</style>
