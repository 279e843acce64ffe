<script setup lang="ts">
import {
  clockOf,
  dowelCuts,
  limits,
  mostDowels,
  newDowels,
  nearestFreeOf,
  pantryLimits,
  pressG,
  type Build,
  type Dowel,
  type DowelCut,
  type Lift,
  type CakePlan,
  type StrengthMode,
  valueWord,
} from '@pyrgotect/core';
import { computed, ref } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import FigureValue from '../../figures/FigureValue.vue';
import QuantityField from '../../figures/QuantityField.vue';
import TermWord from '../../help/TermWord.vue';
import { useSettings } from '../../stores/settings.ts';
import { useUnits } from '../../figures/units.ts';
import { editDowels, spotsOf } from '../../support/dowel-edits.ts';
import BuildSheets from '../../templates/BuildSheets.vue';
import { useSheet } from '../useSheet.ts';

/** The dowels under each board of a tier: which, how many, where, what each carries, what if one gives. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const settings = useSettings();
const { text } = useUnits();
const { tier, editTier, pantry, choices, store } = useSheet(props);
const press = (n: number): string => text(pressG(n), 'weight');
const index = computed(() => props.build.tiers.indexOf(tier.value));
const above = computed(() => props.build.tiers[index.value + 1] ?? null);
const lifts = computed(
  () => props.plan.support?.lifts.filter((lift) => lift.tierIndex === index.value) ?? [],
);
const nameOf = (lift: Lift): string =>
  lift.deck === null ? `under ${above.value!.name}` : `under its own board ${lift.deck + 1}`;
const byWords: Record<StrengthMode, string> = {
  crushing: 'what crushes it',
  buckling: 'what buckles it',
  'wall folding': 'what folds its wall',
  board: 'what the board above bears',
  'own test': 'your own test',
};
const cutWords: Record<DowelCut, string> = {
  longest: 'all cut to the longest',
  each: 'each cut to its own place',
};
const cuts = dowelCuts.map((value) => ({ value, text: cutWords[value] }));
const setCount = (lift: Lift, count: number | null): void =>
  editDowels(lift, 'Number of dowels', (dowels) => {
    dowels.count = count;
    dowels.spots = [];
  });
const addOne = (lift: Lift): void => {
  const at = nearestFreeOf(lift);
  editDowels(lift, 'One dowel more', (dowels) => {
    dowels.spots = [...spotsOf(lift), [Math.round(at.x), Math.round(at.y)]];
  });
};
const takeOut = (lift: Lift, i: number): void =>
  editDowels(lift, `Dowel ${i + 1} taken out`, (dowels) => {
    dowels.spots = spotsOf(lift).filter((_, k) => k !== i);
  });
const toFree = (lift: Lift, i: number): void => {
  const { nearest } = lift.placed[i]!;
  if (!nearest) return;
  editDowels(lift, `Dowel ${i + 1}`, (dowels) => {
    dowels.spots[i] = [nearest.x, nearest.y];
  });
};
/** How long they are cut: the room between the boards, and what a crown or a slope takes more. */
const cutTo = (lift: Lift): string => {
  const lengths = lift.placed.map(({ lengthMm }) => lengthMm);
  const [least, most] = [Math.min(...lengths), Math.max(...lengths)].map((mm) =>
    text(Number.isFinite(mm) ? mm : lift.lengthMm, 'span'),
  );
  return least === most ? least! : `${least} to ${most}`;
};
const placeText = (x: number, y: number): string => {
  const where = clockOf(x, y);
  return where === 'in the middle' ? where : `${where}, ${text(Math.hypot(x, y), 'span')} out`;
};
const lost = (lift: Lift, i: number): string => {
  const { stands, used } = lift.without[i]!;
  return stands ? `others at ${text(used, 'share')}` : 'it tips';
};

/* A press on the scale: readings go to the row in the pantry. */
const reading = ref<number | null>(null);
const problem = ref('');
async function press1(row: Dowel): Promise<void> {
  if (reading.value === null) return;
  problem.value = '';
  const { testsG } = row;
  try {
    await pantry.saveRow('dowels', {
      ...row,
      source: 'own',
      testsG: [...testsG, reading.value].slice(-pantryLimits.tests.max),
    });
    reading.value = null;
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
}
const forget = (row: Dowel): Promise<void> => pantry.saveRow('dowels', { ...row, testsG: [] });
const setTested = (row: Dowel, mm: number | null): void => {
  if (mm !== null) void pantry.saveRow('dowels', { ...row, testedMm: mm });
};
</script>

<template>
  <div data-test="dowels">
    <p v-if="lifts.length === 0" class="lead">
      {{
        build.tiers.length === 1
          ? 'One tier: only a board half-way up stands on dowels. It is put in under Tiers.'
          : 'Nothing stands on this tier, and it has no board half-way up.'
      }}
    </p>
    <section v-for="lift in lifts" :key="lift.id" :data-test="lift.id">
      <h2><TermWord id="dowel">Dowels</TermWord> in {{ tier.name }}, {{ nameOf(lift) }}</h2>
      <p v-if="!lift.dowels">
        {{ above!.name }} stands on cake alone.
        <KeyButton
          data-test="add-dowels"
          @click="editTier('Dowels', (t) => void (t.stand.dowels = newDowels()))"
        >
          Put dowels in
        </KeyButton>
      </p>
      <template v-else>
        <p class="sentence">
          <QuantityField
            :model-value="lift.dowels.spots.length > 0 ? lift.placed.length : lift.dowels.count"
            :of="{ kind: 'count', min: 1, max: mostDowels }"
            label="How many"
            nullable
            :auto="`${lift.placed.length}, as many as it takes`"
            @update:model-value="(n) => setCount(lift, n)"
          />
          ×
          <ChoiceField
            :model-value="lift.dowels.dowelId"
            label="Which rod, tube or straw"
            rows-of="dowels"
            :options="choices(pantry.pantry.dowels)"
            @update:model-value="
              (id) => editDowels(lift, 'Kind of dowel', (d) => void (d.dowelId = id))
            "
          />,
          <ChoiceField
            :model-value="lift.dowels.cut"
            label="How they are cut"
            :options="cuts"
            @update:model-value="(cut) => editDowels(lift, 'Cut', (d) => void (d.cut = cut))"
          />: <b data-test="cut-to">{{ cutTo(lift) }}</b>. Custom takes {{ lift.fewest }}.
          <KeyButton
            v-if="lift.dowels.spots.length > 0"
            size="small"
            data-test="use-ring"
            @click="editDowels(lift, 'Computed ring', (d) => void (d.spots = []))"
          >
            place them for me
          </KeyButton>
        </p>
        <p v-if="lift.strength && lift.carried" class="sentence">
          {{ text(lift.aboveG, 'weight') }} stand on them. The most on one is
          <FigureValue
            :figure="`${lift.id}/worst`"
            :value="pressG(Math.max(0, ...lift.carried.worstN))"
            kind="weight"
          />
          ({{ valueWord(lift.carried.worstCase) }}); one may carry
          <FigureValue
            :figure="`${lift.id}/allowed`"
            :value="pressG(lift.strength.allowedN)"
            kind="weight"
          />, by {{ byWords[lift.strength.by] }}.
          <template v-if="lift.carried.tips.length > 0">
            It tips off them: {{ lift.carried.tips.join(', ') }}.
          </template>
        </p>
        <table v-if="lift.placed.length > 0" class="ledger">
          <thead>
            <tr>
              <th>Dowel</th>
              <th>Where</th>
              <th class="end">Rest</th>
              <th class="end">Worst</th>
              <th class="bar">of what it may</th>
              <th>If it gives</th>
              <th><span class="visually-hidden">Take it out</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(dowel, i) in lift.placed" :key="i">
              <td>{{ i + 1 }}</td>
              <td>
                {{ placeText(dowel.at.x, dowel.at.y) }}
                <template v-if="dowel.hindrance">
                  <span class="stop">{{ dowel.hindrance }}</span>
                  <KeyButton v-if="dowel.nearest" size="small" @click="toFree(lift, i)">
                    to the nearest free place
                  </KeyButton>
                </template>
              </td>
              <td class="end">{{ press(dowel.restN) }}</td>
              <td class="end">{{ press(dowel.worstN) }}</td>
              <td class="bar">
                <span
                  :class="{ over: dowel.used > 1 }"
                  :style="{ width: `${Math.min(100, dowel.used * 100)}%` }"
                />
              </td>
              <td class="soft">{{ lost(lift, i) }}</td>
              <td>
                <KeyButton
                  v-if="lift.placed.length > 1"
                  variant="text"
                  size="small"
                  :aria-label="`Take dowel ${i + 1} out`"
                  @click="takeOut(lift, i)"
                >
                  out
                </KeyButton>
              </td>
            </tr>
          </tbody>
        </table>
        <p>
          <KeyButton
            v-if="lift.placed.length > 0 && lift.placed.length < limits.dowels.max"
            size="small"
            data-test="one-more"
            @click="addOne(lift)"
          >
            One more
          </KeyButton>
          <KeyButton
            v-if="lift.deck === null"
            variant="text"
            size="small"
            @click="editTier('No dowels', (t) => void (t.stand.dowels = null))"
          >
            no dowels
          </KeyButton>
          <KeyButton variant="text" size="small" @click="store.selected = lift.id">
            show them from above
          </KeyButton>
        </p>
        <p v-if="lift.row" class="sentence" data-test="press">
          <b>{{ settings.words(lift.row.name) }}</b>:
          {{
            lift.row.testsG.length > 0
              ? `gave at ${lift.row.testsG.map((g) => text(g, 'weight')).join(', ')} on the scale; half of the least is counted.`
              : 'by the table, with a safety of three. Press a piece on the kitchen scale until it gives:'
          }}
          <QuantityField
            v-model="reading"
            :of="pantryLimits.pressG"
            :label="`Reading at which a piece of ${lift.row.name} gave`"
            nullable
            auto="reading"
          />
          with a piece of
          <QuantityField
            :model-value="lift.row.testedMm"
            :of="pantryLimits.stickMm"
            label="Length of the piece that was pressed"
            @update:model-value="(mm) => setTested(lift.row!, mm)"
          />.
          <KeyButton size="small" :disabled="reading === null" @click="press1(lift.row)">
            Note the press
          </KeyButton>
          <KeyButton
            v-if="lift.row.testsG.length > 0"
            variant="text"
            size="small"
            @click="forget(lift.row)"
          >
            forget them
          </KeyButton>
          <span v-if="problem" class="stop" role="alert">{{ problem }}</span>
        </p>
      </template>
    </section>
    <BuildSheets
      v-if="lifts.some((lift) => lift.placed.length > 0)"
      :build="build"
      :plan="plan"
      kind="dowels"
    />
  </div>
</template>

<style scoped>
.ledger {
  width: 100%;
}
.bar {
  width: 18%;
}
.bar span {
  display: block;
  height: 11px;
  background: var(--accent);
  min-width: 2px;
}
.bar .over {
  background: var(--stop);
}
.stop {
  color: var(--stop);
  font-weight: 600;
}
</style>
