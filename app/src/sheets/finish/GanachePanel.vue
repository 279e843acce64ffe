<script setup lang="ts">
import {
  freshId,
  composed,
  coolingPlaces,
  householdText,
  isCream,
  limits,
  ratioFor,
  usualRatio,
  workingWindow,
  chocolateOf,
  ganacheSchools,
  ganacheUses,
  pouredSpreadId,
  type Build,
  type CoolingPlace,
  type Ganache,
  type GanacheSchool,
  type GanacheUse,
  type CakePlan,
} from '@pyrgotect/core';
import { computed, ref } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { useSettings } from '../../stores/settings.ts';
import { useUnits } from '../../figures/units.ts';
import { useSheet } from '../useSheet.ts';
import CompositionBar from './CompositionBar.vue';
import TemperingNote from './TemperingNote.vue';
import { fixed } from '../../locale/number.ts';

/** What a ganache is made of, how firm that sets, how much of each goes in, and when it is ready. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const settings = useSettings();
const { text } = useUnits();
const { store, pantry, tier, editTier, choices } = useSheet(props);

const chosen = ref('');
const used = computed(() => tier.value.drip ?? tier.value.pour);
const rowId = computed(
  () => chosen.value || used.value?.ganacheId || pantry.pantry.ganaches[0]?.id || '',
);
const row = computed(() => pantry.pantry.ganaches.find((one) => one.id === rowId.value) ?? null);
const rows = computed(() => choices(pantry.pantry.ganaches));
/** Whether the chosen ganache is the one this tier drips or pours. */
const isHere = computed(() => used.value?.ganacheId === rowId.value);
const ratio = computed(() => (isHere.value ? used.value!.ratio : null) ?? row.value?.ratio ?? 0);
const problem = ref('');
const made = computed(() => {
  try {
    return row.value && composed(row.value, ratio.value, pantry.pantry.foods);
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  }
});
const ganache = computed(() => (typeof made.value === 'string' ? null : made.value));

const chocolates = computed(() =>
  choices(pantry.pantry.foods.filter((food) => food.cocoa !== null)),
);
const creams = computed(() =>
  choices(pantry.pantry.foods.filter((food) => isCream(food) || food.id === row.value?.creamId)),
);
async function save(to: Partial<Ganache>): Promise<void> {
  if (!row.value) return;
  try {
    await pantry.saveRow('ganaches', { ...row.value, ...to, source: 'own' });
    problem.value = '';
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
}
/** A ratio is this cake's own where the ganache is used here, and the pantry's otherwise. */
function setRatio(to: number): void {
  const next = Math.round(to * 100) / 100;
  if (!isHere.value) return void save({ ratio: next });
  editTier('Ratio of the ganache', (t) => {
    for (const poured of [t.drip, t.pour])
      if (poured?.ganacheId === rowId.value) poured.ratio = next;
  });
}
async function another(): Promise<void> {
  if (!row.value) return;
  const id = freshId('own', 13);
  await pantry.saveRow('ganaches', {
    ...row.value,
    id,
    name: `${row.value.name.slice(0, 60)}, my own`,
    ratio: ratio.value,
    source: 'own',
    tests: [],
  });
  chosen.value = id;
}

const useWords: Record<GanacheUse, string> = {
  pour: 'pour',
  drip: 'drip',
  spread: 'spread, shell',
  fill: 'fill',
  whip: 'whip',
};
const usual = (use: GanacheUse, school: GanacheSchool) =>
  usualRatio(use, school, ganache.value!.chocolate, ganache.value!.cream);
const asRatio = (n: number): string => fixed(n, 2).replace(/[.,]?0+$/, '');
/** The same firmness with another chocolate. */
const carried = computed(() => {
  const g = ganache.value;
  if (!g) return [];
  return pantry.pantry.foods.flatMap((food) => {
    const chocolate = chocolateOf(food);
    return chocolate && food.id !== row.value!.chocolateId
      ? [{ id: food.id, name: food.name, ratio: ratioFor(g.made.firmness, chocolate, g.cream) }]
      : [];
  });
});

/* How much: what the bowls of this cake ask for, or a figure of one's own. */
const asked = computed(() => {
  if (!row.value) return 0;
  const id = pouredSpreadId(row.value, isHere.value ? used.value!.ratio : null);
  const bowls = props.plan.bowls.ok ? props.plan.bowls.value : [];
  return bowls.filter((bowl) => bowl.spreadId === id).reduce((sum, bowl) => sum + bowl.makeG, 0);
});
const typedG = ref<number | null>(null);
const massG = computed(() => typedG.value ?? (asked.value > 0 ? asked.value : 500));
const lines = computed(() => {
  const g = ganache.value;
  if (!g || !row.value) return [];
  const of = (g1000: number): number => (g1000 * massG.value) / 1000;
  return [
    { id: row.value.chocolateId, g: of(g.parts.chocolateG) },
    { id: row.value.creamId, g: of(g.parts.creamG) },
    { id: 'butter', g: of(g.parts.butterG) },
    { id: 'glucose', g: of(g.parts.syrupG) },
    { id: 'caster-sugar', g: of(g.parts.sugarG) },
  ]
    .filter((line) => line.g > 0)
    .map((line) => {
      const food = pantry.pantry.foods.find((one) => one.id === line.id) ?? null;
      return {
        name: food?.name ?? line.id ?? '',
        g: line.g,
        cups: householdText(food, line.g, pantry.pantry.kitchen.measuring, settings.system),
      };
    });
});

/* When it is ready */
const nowC = ref(45);
const workC = computed<[number, number]>(() => {
  const middle = used.value?.fluidC ?? 32;
  return [middle - 1, middle + 1];
});
const placeWords: Record<CoolingPlace, string> = {
  room: 'on the side, stirred now and then',
  fridge: 'in the fridge, stirred every few minutes',
  'cold bath': 'in a bowl of cold water, stirred all the time',
};
const places = Object.keys(coolingPlaces) as CoolingPlace[];
const windows = computed(() =>
  ganache.value
    ? places.map((place) => ({
        place,
        window: workingWindow(
          { ...ganache.value!.made, massG: massG.value },
          nowC.value,
          workC.value,
          place,
          props.build.brief.kitchenC ?? pantry.pantry.kitchen.roomC,
        ),
      }))
    : [],
);
const chocolateRow = computed(() =>
  chocolateOf(pantry.pantry.foods.find((food) => food.id === row.value?.chocolateId)),
);
const begin = (): void => {
  chosen.value = '';
  store.edit('Ganache of this tier', (draft) => {
    const t = draft.tiers.find((each) => each.id === tier.value.id);
    for (const poured of [t?.drip, t?.pour])
      if (poured) Object.assign(poured, { ganacheId: rowId.value, ratio: null });
  });
};
</script>

<template>
  <div v-if="row" data-test="ganache">
    <p class="sentence">
      <ChoiceField
        :model-value="rowId"
        label="Ganache"
        rows-of="ganaches"
        :options="rows"
        @update:model-value="(id) => (chosen = id)"
      /><template v-if="row.fluid === 'ganache'"
        >:
        <ChoiceField
          :model-value="row.chocolateId ?? ''"
          label="Chocolate"
          rows-of="foods"
          :options="chocolates"
          @update:model-value="(id) => save({ chocolateId: id })"
        />
        and
        <ChoiceField
          :model-value="row.creamId ?? ''"
          label="Cream"
          :options="creams"
          @update:model-value="(id) => save({ creamId: id })"
        />,
        <QuantityField
          :model-value="ratio"
          :of="limits.ganacheRatio"
          label="Chocolate to one of cream"
          @update:model-value="(n) => setRatio(n)"
        />
        to 1 by weight, with
        <QuantityField
          :model-value="row.butterShare"
          :of="{ kind: 'share', min: 0, max: 0.5 }"
          label="Butter"
          @update:model-value="(n) => save({ butterShare: n })"
        />
        of butter,
        <QuantityField
          :model-value="row.syrupShare"
          :of="{ kind: 'share', min: 0, max: 0.5 }"
          label="Syrup"
          @update:model-value="(n) => save({ syrupShare: n })"
        />
        of syrup and
        <QuantityField
          :model-value="row.sugarShare"
          :of="{ kind: 'share', min: 0, max: 0.5 }"
          label="Sugar"
          @update:model-value="(n) => save({ sugarShare: n })"
        />
        of sugar to the chocolate.&nbsp;</template
      >
      <KeyButton size="small" @click="another">Compose another</KeyButton>
      <KeyButton v-if="used && !isHere" size="small" data-test="take-ganache" @click="begin">
        Use it on {{ tier.name }}
      </KeyButton>
    </p>
    <p v-if="isHere && ratio !== row.ratio" class="lead">
      {{ asRatio(ratio) }} to 1 on this cake; the pantry has {{ asRatio(row.ratio) }}.
      <KeyButton size="small" @click="save({ ratio })"> Keep it in the pantry </KeyButton>
    </p>
    <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
    <p v-if="typeof made === 'string'" class="wrong" role="alert">{{ made }}</p>

    <template v-if="ganache">
      <CompositionBar :made="ganache.made" />
      <h2>Ratios for this chocolate</h2>
      <table class="ledger" data-test="ratios">
        <thead>
          <tr>
            <th scope="col">to</th>
            <th v-for="school in ganacheSchools" :key="school" scope="col">
              {{ school === 'firm' ? 'one for each use' : 'one for everything' }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="use in ganacheUses" :key="use">
            <td>{{ useWords[use] }}</td>
            <td v-for="school in ganacheSchools" :key="school">
              <button
                type="button"
                class="word"
                :class="{ on: Math.abs(usual(use, school).ratio - ratio) < 0.02 }"
                @click="setRatio(usual(use, school).ratio)"
              >
                {{ asRatio(usual(use, school).ratio) }} to 1
              </button>
              <span class="soft"
                >{{ asRatio(usual(use, school).low) }} to
                {{ asRatio(usual(use, school).high) }}</span
              >
            </td>
          </tr>
        </tbody>
      </table>
      <p class="lead">
        Some make the same soft ganache for everything (equal parts of dark) and works by its
        warmth; the other a firmer one for each use. Both are kept at the firmness they have with 55
        % dark chocolate and 35 % cream.
      </p>
      <p v-if="carried.length > 0" class="sentence">
        As firm as this with
        <template v-for="(other, i) in carried" :key="other.id">
          <button
            type="button"
            class="word"
            @click="
              save({ chocolateId: other.id });
              setRatio(other.ratio);
            "
          >
            {{ other.name }}: {{ asRatio(other.ratio) }} to 1</button
          >{{ i < carried.length - 1 ? ', ' : '.' }}
        </template>
      </p>

      <h2>Amounts and making</h2>
      <p class="sentence">
        For
        <QuantityField
          :model-value="massG"
          :of="{ kind: 'bowl', min: 20, max: 20000 }"
          label="How much ganache"
          @update:model-value="(g) => (typedG = g)"
        />
        <template v-if="typedG === null && asked > 0"> (what this cake asks for)</template>
        <button v-else-if="asked > 0" type="button" class="word" @click="typedG = null">
          this cake asks for {{ text(asked, 'bowl') }}</button
        >:
        <template v-for="(line, i) in lines" :key="line.name">
          <b>{{ text(line.g, 'small') }}</b> {{ line.name
          }}<template v-if="line.cups"> ({{ line.cups }})</template
          >{{ i < lines.length - 1 ? ', ' : '.' }}
        </template>
      </p>
      <ol class="ways">
        <li>
          <b>Cream over chocolate.</b> Chop finely; cream with the syrup just to a simmer, over the
          chocolate, two minutes, then stir from the middle out until it shines.
        </li>
        <li>
          <b>Microwave.</b> Both in one bowl, half power, twenty seconds at a time, stirred in
          between; stop while pieces are left.
        </li>
        <li>
          <b>Double boiler.</b> Over water that barely steams; the bowl must not touch it, and no
          drop gets in.
        </li>
      </ol>
      <p class="lead">
        ▲ Steam and hot cream scald: bowl and cloth dry, pour away from you. Butter goes in below
        {{ text(40, 'temperature') }}.
      </p>

      <h2>Ready to work</h2>
      <p class="sentence">
        It is now at
        <QuantityField
          :model-value="nowC"
          :of="{ kind: 'temperature', min: 0, max: 95 }"
          label="Temperature of the bowl now"
          @update:model-value="(c) => (nowC = c)"
        />
        and wanted between {{ text(workC[0], 'temperature') }} and
        {{ text(workC[1], 'temperature') }}:
      </p>
      <table class="ledger" data-test="windows">
        <thead>
          <tr>
            <th scope="col">{{ text(massG, 'bowl') }} of it</th>
            <th scope="col" class="end">ready in</th>
            <th scope="col" class="end">stays so for</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="each in windows" :key="each.place">
            <td>{{ placeWords[each.place] }}</td>
            <template v-if="each.window">
              <td class="end">{{ text(each.window.readyMin, 'minutes') }}</td>
              <td class="end">
                {{
                  each.window.staysMin === null
                    ? 'as long as the room is so warm'
                    : text(each.window.staysMin, 'minutes')
                }}
              </td>
            </template>
            <td v-else colspan="2">not on its own: warm it a few seconds at a time</td>
          </tr>
        </tbody>
      </table>
    </template>
    <TemperingNote
      v-if="chocolateRow && row.fluid !== 'ganache'"
      :chocolate="chocolateRow"
      :mass-g="massG"
    />
    <p v-if="row.fluid === 'caramel' || row.fluid === 'butterscotch sauce'" class="lead">
      ▲ Boiled sugar burns deep: long sleeves, a deep pan, cold water within reach, nobody small in
      the kitchen. Let it come down to working temperature before it goes into a bottle. Its recipe
      stands in the pantry.
    </p>
  </div>
  <p v-else class="lead">There is no ganache in the pantry.</p>
</template>

<style scoped>
.word {
  text-decoration: underline dotted var(--accent) 1.5px;
  text-underline-offset: 4px;
  font-weight: 600;
}
td .word {
  margin-right: 8px;
}
.word.on {
  color: var(--accent);
  text-decoration-style: solid;
}
.ways {
  margin: 6px 0;
  padding-left: 20px;
  max-width: 66ch;
}
.wrong {
  color: var(--stop);
}
</style>
