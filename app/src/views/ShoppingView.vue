<script setup lang="ts">
import {
  type CakePrice,
  type CarveResult,
  type Corrections,
  writeTable,
  type Build,
  type Pantry,
  type ShoppingPlan,
  type ShoppingRow,
  type CakeDays,
} from '@pyrgotect/core';
import { format, parseISO } from 'date-fns';
import { dayText } from '../locale/when.ts';
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import HoldsLine from '../figures/HoldsLine.vue';
import QuantityField from '../figures/QuantityField.vue';
import CarvingNote from '../parts/CarvingNote.vue';
import { useCarvedOf } from '../parts/useCarvedOf.ts';
import { download } from '../parts/download.ts';
import TopBar from '../parts/TopBar.vue';
import MadeAtOnce from '../shopping/MadeAtOnce.vue';
import { database } from '../storage/database.ts';
import { useHand } from '../stores/hand.ts';
import { usePantry } from '../stores/pantry.ts';
import { useUnits } from '../figures/units.ts';
import { useShelf } from '../stores/shelf.ts';
import TroubleLine from '../figures/TroubleLine.vue';
import { useAnswer } from '../workers/useAnswer.ts';
import { onPhone } from '../parts/phone.ts';
import { useMediaQuery } from '@vueuse/core';
import SearchField from '../parts/SearchField.vue';
import HandOnKeys from '../parts/HandOnKeys.vue';
import { usePrint } from '../parts/usePrint.ts';

/** What to buy for one or several cakes, and when. */
const pantry = usePantry();
const { carvedOf, carvedTiers: tiersCarved } = useCarvedOf();
const units = useUnits();
const hand = useHand();
const shelf = useShelf();
/** The cakes stand over the list there, and fold. */
const phone = useMediaQuery(onPhone);
const today = format(new Date(), 'yyyy-MM-dd');
const chosen = ref<string[] | null>(null);
const leadDays = ref(2);
const search = ref('');
const { isPrinting, print } = usePrint(() => 'Shopping');
const builds = shallowRef<Build[]>([]);
onMounted(async () => {
  await Promise.all([shelf.load(), pantry.load(), hand.load()]);
  const stored = await database.builds.toArray();
  builds.value = stored.map((each) => each.build);
});
/** What is finished needs no shopping, and a pattern is never made. */
const entries = computed(() =>
  shelf.entries.filter((e) => !e.finished && !e.isPattern).sort((a, b) => order(a) - order(b)),
);
const order = (entry: { serveAt: string | null }): number =>
  entry.serveAt === null ? Infinity : Date.parse(entry.serveAt);
/** Until something is chosen: every cake that is still to be made and has a date. */
const wanted = computed<string[]>(
  () =>
    chosen.value ??
    entries.value.filter((e) => e.serveAt && e.serveAt.slice(0, 10) >= today).map((e) => e.id),
);
function toggle(id: string): void {
  chosen.value = wanted.value.includes(id)
    ? wanted.value.filter((other) => other !== id)
    : [...wanted.value, id];
}
const chosenBuilds = computed(() => builds.value.filter(({ id }) => wanted.value.includes(id)));
/** What some cakes are planned from. */
interface Cakes {
  builds: Build[];
  pantry: Pantry;
  carved: CarveResult[];
  corrections: Corrections;
}
interface Question extends Cakes {
  leadDays: number;
  days: Record<string, CakeDays | null>;
}
/** Tiers of the chosen cakes that are carved. */
const carvedTiers = computed(() => tiersCarved(chosenBuilds.value));
const cakes = computed<Cakes | null>(() =>
  builds.value.length === 0 || wanted.value.length === 0
    ? null
    : {
        builds: chosenBuilds.value,
        pantry: pantry.pantry,
        corrections: hand.corrections,
        carved: carvedOf(chosenBuilds.value),
      },
);
/** The list comes first: planning days takes longer. */
const isListed = ref(false);
/** When each cake takes what, by the plan of its days; until that is known it begins so many days before. */
const { answer: days, current: daysKnown } = useAnswer<Cakes, Record<string, CakeDays | null>>(
  () => (isListed.value ? cakes.value : null),
  (solver, q) => solver.cakeDays(q.builds, q.pantry, q.carved, q.corrections),
);
/** Cakes whose days are not planned: without hours enough, or not planned yet. */
const byLead = computed(
  () => answer.value?.builds.filter(({ id, useOn }) => useOn && !days.value?.[id]) ?? [],
);
const question = computed<Question | null>(
  () => cakes.value && { ...cakes.value, leadDays: leadDays.value, days: days.value ?? {} },
);
const { answer, current, trouble, again } = useAnswer<Question, ShoppingPlan>(
  () => question.value,
  (solver, q) => solver.shopping(q.builds, q.pantry, q.leadDays, q.carved, q.corrections, q.days),
);
watch(answer, (list) => (isListed.value = list !== null));
/** What each costs is asked after the list is there: it takes the plan of all the work. */
const { answer: prices } = useAnswer<Cakes, CakePrice[]>(
  () => (answer.value ? cakes.value : null),
  (solver, q) => solver.prices(q.builds, q.pantry, q.carved, q.corrections),
);
const rows = computed(() => answer.value?.rows.filter((row) => row.needG >= 0.05) ?? []);
const toBuy = computed(() => rows.value.filter((row) => row.buyG > 0 && row.cost !== 0).length);
const mass = (g: number): string => units.text(g, g < 20 ? 'fineMass' : g < 100 ? 'small' : 'bowl');
const money = (value: number | null): string =>
  value === null ? 'no price' : units.text(value, 'money');
const priceText = (id: string): string => {
  const price = prices.value?.find((each) => each.id === id);
  if (!price || price.total === null) return '';
  const each = price.perServing === null ? '' : `, ${money(price.perServing)} a serving`;
  return `${money(price.total)}${each}, board, dowels and work included`;
};
const day = (iso: string | null): string => (iso ? dayText(parseISO(iso), 'short') : '');
const packsText = (row: ShoppingRow): string => {
  if (row.cost === 0 && row.packs === null) return 'from the tap';
  if (row.buyG <= 0) return 'in stock';
  if (row.packs !== null && row.packG !== null)
    return `${row.packs} × ${mass(row.packG)}${row.pieces !== null ? ` (${row.pieces} of them)` : ''}`;
  return row.pieces !== null ? `${row.pieces} of them` : mass(row.buyG);
};
const whenText = (row: ShoppingRow): string => {
  if (row.buyG <= 0 || row.by === null) return '';
  if (row.from === null) return `by ${day(row.by)}`;
  const from = row.from < today ? 'now' : day(row.from);
  return row.twice ? `${from}, and fresh for the later cakes` : `${from} to ${day(row.by)}`;
};
const spareText = (row: ShoppingRow): string =>
  `left over: ${row.spare.map(({ pieces, name, massG }) => `${pieces} ${name}, ${mass(massG)}`).join('; ')}`;
const pairedText = (row: ShoppingRow): string =>
  row.paired
    .map(({ pieces, name, from, to }) => `${pieces} ${name} left from ${from} go into ${to}`)
    .join('; ');
/** In the shop, on a phone, what is bought and when comes first. */
const headers = computed(() => [
  { title: 'ingredient', key: 'name' },
  ...(phone.value
    ? []
    : [
        { title: 'needed', key: 'needG', align: 'end' as const },
        { title: 'stock', key: 'stockG', align: 'end' as const },
      ]),
  { title: 'buy', key: 'buyG', align: 'end' as const },
  { title: 'when', key: 'from' },
  { title: 'cost', key: 'cost', align: 'end' as const },
]);
const title = computed(() => {
  if (wanted.value.length === 0) return 'No cake is chosen';
  if (trouble.value) return 'Shopping';
  if (!answer.value) return 'Working it out …';
  const cakes = `${answer.value.builds.length} ${answer.value.builds.length === 1 ? 'cake' : 'cakes'}`;
  return `${toBuy.value} things to buy for ${cakes}, about ${units.text(answer.value.cost, 'outlay')}`;
});
/** The list as a message: a line for each thing that is bought. */
const listText = (): string =>
  [
    title.value,
    (answer.value?.builds ?? []).map(({ name }) => name).join(', '),
    '',
    ...rows.value
      .filter(({ buyG }) => buyG > 0)
      .map((row) => `${row.name}: ${packsText(row)}${whenText(row) ? `, ${whenText(row)}` : ''}`),
  ].join('\n');
function save(): void {
  if (!answer.value) return;
  download(
    'shopping.csv',
    writeTable(
      ['ingredient', 'needed g', 'in stock g', 'buy g', 'packs', 'from', 'by', 'cost', 'for'],
      rows.value.map((row) => [
        row.name,
        Math.round(row.needG * 10) / 10,
        Math.round(row.stockG * 10) / 10,
        Math.round(row.buyG * 10) / 10,
        row.packs,
        row.from,
        row.by,
        row.cost === null ? null : Number(row.cost.toFixed(2)),
        row.builds.map((build) => build.name).join(' | '),
      ]),
    ),
    'text/csv',
  );
}
</script>

<template>
  <div class="shopping prints">
    <TopBar here="shopping">
      <KeyButton :disabled="!answer" data-test="save-list" @click="save">
        Save as a table
      </KeyButton>
      <KeyButton :disabled="!answer" data-test="print-list" @click="print">Print</KeyButton>
    </TopBar>
    <main id="content" tabindex="-1" data-scrolls>
      <component :is="phone ? 'details' : 'aside'" class="cakes no-print">
        <component :is="phone ? 'summary' : 'h2'">{{
          phone ? `${wanted.length} of ${entries.length} cakes` : 'Cakes'
        }}</component>
        <v-checkbox
          v-for="entry in entries"
          :key="entry.id"
          class="cake"
          :model-value="wanted.includes(entry.id)"
          @update:model-value="toggle(entry.id)"
          ><template #label
            ><span
              >{{ entry.name }}<template v-if="shelf.examples.has(entry.id)"> (example)</template>
              <small>{{
                entry.serveAt ? day(entry.serveAt.slice(0, 10)) : 'without a date'
              }}</small>
            </span></template
          ></v-checkbox
        >
        <p v-if="shelf.loaded && entries.length === 0" class="soft">The shelf is empty.</p>
        <p v-if="answer && wanted.length > 0" class="lead" data-test="by-days">
          {{
            byLead.length === 0
              ? 'Each thing is bought for the day it is used, by the plan of each cake’s days.'
              : daysKnown
                ? `Each thing is bought for the day it is used. No days fit for ${byLead.map(({ name }) => name).join(', ')}:`
                : 'The days of each cake are being planned. Until then:'
          }}
        </p>
        <p v-if="!answer || byLead.length > 0" class="lead">
          Work on a cake begins
          <QuantityField
            :model-value="leadDays"
            :of="{ kind: 'count', min: 0, max: 30 }"
            label="Days before it is served"
            @update:model-value="(n) => (leadDays = n)"
          />
          days before it is served.
        </p>
      </component>
      <section>
        <h1 data-test="shopping-title" :class="{ old: !current }">{{ title }}</h1>
        <CarvingNote :tiers="carvedTiers" />
        <TroubleLine :trouble="trouble" what="The list" @again="again" />
        <p v-if="answer && toBuy > 0" class="no-print">
          <HandOnKeys title="Shopping" :text="listText" size="small" />
        </p>
        <p v-if="wanted.length === 0" class="lead">
          Choose the cakes to shop for. Those with a date that is still to come are chosen by
          themselves.
        </p>
        <template v-else-if="answer">
          <p v-if="answer.unpriced.length > 0" class="lead">
            Without a price: {{ answer.unpriced.join(', ') }}. Packs and prices are in the pantry,
            under Ingredients; those it starts with are made up.
          </p>
          <SearchField v-model="search" class="find" label="Find on the list" />
          <v-data-table
            class="table"
            density="compact"
            :headers="headers"
            :items="rows"
            :search="search"
            :filter-keys="['name']"
            item-value="key"
            :items-per-page="isPrinting ? -1 : 100"
            :hide-default-footer="isPrinting || rows.length <= 100"
          >
            <template #item="{ item }">
              <tr>
                <td>
                  <b>{{ item.name }}</b>
                  <small v-if="item.builds.length < answer.builds.length">{{
                    item.builds.map((build) => build.name).join(', ')
                  }}</small>
                  <small v-if="item.paired.length > 0" data-test="paired">{{
                    pairedText(item)
                  }}</small>
                  <small v-if="item.spare.length > 0" data-test="spare">{{
                    spareText(item)
                  }}</small>
                </td>
                <template v-if="!phone">
                  <td class="end">{{ mass(item.needG) }}</td>
                  <td class="end">{{ item.stockG > 0 ? mass(item.stockG) : '' }}</td>
                </template>
                <td class="end">{{ packsText(item) }}</td>
                <td>{{ whenText(item) }}</td>
                <td class="end">{{ money(item.cost) }}</td>
              </tr>
            </template>
          </v-data-table>
          <MadeAtOnce
            :together="answer.together"
            :baked="answer.baked"
            :used-over="answer.usedOver"
          />
          <h2>On the labels</h2>
          <table class="labels">
            <tbody>
              <tr v-for="build in answer.builds" :key="build.id">
                <td>
                  <router-link :to="`/build/${build.id}/coat`">{{ build.name }}</router-link>
                  <small v-if="priceText(build.id)">{{ priceText(build.id) }}</small>
                </td>
                <td v-if="build.problem" class="problem">{{ build.problem }}</td>
                <td v-else>
                  <HoldsLine :held="build" />
                </td>
              </tr>
            </tbody>
          </table>
        </template>
        <v-skeleton-loader v-else-if="!trouble" type="table-tbody" aria-hidden="true" />
      </section>
    </main>
  </div>
</template>

<style scoped>
.shopping {
  height: 100dvh;
  display: flex;
  flex-direction: column;
  background: var(--milk);
}
main {
  flex: 1;
  overflow: hidden;
  display: grid;
  grid-template-columns: 250px 1fr;
}
.cakes {
  border-right: 2px solid var(--ink);
  padding: 18px 16px;
  overflow: auto;
}
section {
  padding: 18px 28px;
  overflow: auto;
}
.cake.v-input {
  display: grid;
  margin-bottom: 5px;
}
small {
  display: block;
  color: var(--soft);
  font-weight: 400;
}
.cakes > summary {
  min-height: 44px;
  display: list-item;
  align-content: center;
  font: 600 var(--size-lead) var(--heading);
}
@media (max-width: 599px) {
  section,
  .cakes {
    padding: 8px 16px;
  }
}
.find {
  max-width: 260px;
}
.table {
  background: transparent;
  color: inherit;
}
td {
  border-top: 1px solid var(--line);
  padding: 5px 14px 5px 0 !important;
}
.table td {
  padding: 5px 14px !important;
}
.end {
  text-align: right;
  white-space: nowrap;
  font-variant-numeric: tabular-nums;
}
.labels {
  border-collapse: collapse;
  font-size: var(--size-text);
}
.problem {
  color: var(--stop);
}
.old {
  opacity: 0.6;
}
@media (max-width: 900px) {
  main {
    display: block;
    overflow: auto;
  }
  section,
  .cakes {
    overflow: visible;
  }
  .cakes {
    border-right: 0;
    border-bottom: 2px solid var(--ink);
  }
}
</style>
