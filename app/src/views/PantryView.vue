<script setup lang="ts">
import {
  goodUntil,
  leftOf,
  measurings,
  type Outline,
  pantryTables,
  stiffnessOf,
  tendernessOf,
  type PantryTable,
  valueWord,
} from '@pyrgotect/core';
import { parseISO } from 'date-fns';
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { dayText } from '../locale/when.ts';
import ChoiceField from '../figures/ChoiceField.vue';
import QuantityField from '../figures/QuantityField.vue';
import { columns, freshRow, kitchenColumns, tableTitles } from '../pantry/columns.ts';
import RowDialog from '../pantry/RowDialog.vue';
import HintOnce from '../help/HintOnce.vue';
import SheetTabs from '../parts/SheetTabs.vue';
import TopBar from '../parts/TopBar.vue';
import { useQueryChoice } from '../parts/useQueryChoice.ts';
import { usePantry, type RowOf } from '../stores/pantry.ts';
import { useUnits } from '../figures/units.ts';
import { leftText } from '../pantry/stock-words.ts';
import { handedRecipe } from '../pantry/handed-recipe.ts';
import SearchField from '../parts/SearchField.vue';
import { usePrint } from '../parts/usePrint.ts';

const ImportDialog = defineAsyncComponent(() => import('../pantry/ImportDialog.vue'));

type Row = RowOf<PantryTable>;
const pantry = usePantry();
const units = useUnits();
const table = useQueryChoice<PantryTable | 'kitchen'>(
  'table',
  [...pantryTables, 'kitchen'],
  'tins',
);
const search = ref('');
const { isPrinting, print } = usePrint(() =>
  table.value === 'kitchen' ? 'Kitchen' : tableTitles[table.value],
);
const editing = ref<{ row: Row; isNew: boolean } | null>(null);
const openTable = computed<PantryTable>(() => (table.value === 'kitchen' ? 'tins' : table.value));
const rows = computed<Row[]>(() => pantry.pantry[openTable.value]);
/** Figures that somebody measured are shown on request. */
const showsMeasured = ref(false);
const hasMeasured = computed(() => columns[openTable.value].some((c) => c.measured && !c.onlyForm));
const shownColumns = computed(() =>
  columns[openTable.value].filter((c) => !c.onlyForm && (showsMeasured.value || !c.measured)),
);
const stockHeaders = [
  { title: 'left', key: 'left', align: 'end' as const, sortable: false },
  { title: 'kept in', key: 'keptIn' },
  { title: 'made', key: 'madeOn' },
  { title: 'good until', key: 'until', sortable: false },
];
/** What is said in a word in place of a figure. */
interface Header {
  title: string;
  key: string;
  sortable?: boolean;
  align?: 'end';
}
const plainHeaders: Partial<Record<PantryTable, Header[]>> = {
  spreads: [{ title: 'in the room', key: 'stiff', sortable: false }],
  sponges: [{ title: 'crumb', key: 'tender', sortable: false }],
};
const headers = computed<Header[]>(() => [
  { title: 'name', key: 'name', sortable: true },
  ...(openTable.value === 'tins' || openTable.value === 'boards'
    ? [{ title: 'size', key: 'outline', align: 'end' as const, sortable: false }]
    : []),
  ...(plainHeaders[openTable.value] ?? []),
  ...shownColumns.value.map((c) => ({ title: c.label, key: c.key, align: 'end' as const })),
  ...(openTable.value === 'stock' ? stockHeaders : []),
  ...(openTable.value === 'foods' || openTable.value === 'stock'
    ? []
    : [{ title: 'source', key: 'source' }]),
  { title: 'change', key: 'actions', sortable: false, align: 'end' as const },
]);
const cell = (row: Row, key: string): string => {
  if (key === 'stiff' && 'stress21Pa' in row) return valueWord(stiffnessOf(row));
  if (key === 'tender' && 'allowableKPa' in row) return valueWord(tendernessOf(row));
  if ('madeOn' in row) {
    if (key === 'left') return leftText(row, leftOf(row), units.text);
    if (key === 'madeOn') return dayText(parseISO(row.madeOn), 'dated');
    const until = goodUntil(row, pantry.pantry);
    if (key === 'until') return until === null ? 'nobody says' : dayText(parseISO(until), 'dated');
  }
  const column = columns[openTable.value].find((c) => c.key === key);
  const value = (row as unknown as Record<string, unknown>)[key];
  if (key === 'outline') return units.outline(value as Outline);
  if (column && typeof value === 'number') return units.text(value, column.kind);
  return typeof value === 'string' ? valueWord(value) : (column?.none ?? '–');
};
const tabs = [
  ...pantryTables.map((id) => ({ id, text: tableTitles[id] })),
  { id: 'kitchen' as const, text: 'Kitchen' },
];
function open(to: PantryTable | 'kitchen'): void {
  table.value = to;
  search.value = '';
}
/* asked for in the address: a choice leads to its row, and back to itself when that is done */
const route = useRoute();
const router = useRouter();
watch(
  () => route.query.row,
  (id) => {
    const row = rows.value.find((one) => one.id === id);
    if (row) editing.value = { row, isNew: false };
  },
  { immediate: true },
);
function close(): void {
  editing.value = null;
  if (route.query.row !== undefined) router.back();
}
const add = (): void => {
  const row = freshRow(openTable.value, rows.value[0], pantry.pantry);
  if (row) editing.value = { row, isNew: true };
};
const importing = ref(handedRecipe.value !== null);
/** Names and other names alone: figures in a row are not what is searched for. */
const find = (_value: string, query: string, item?: { raw: Row }): boolean => {
  if (!item) return false;
  const row = item.raw;
  const text = `${row.name} ${'aliases' in row ? row.aliases.join(' ') : ''}`.toLowerCase();
  return query
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
};
const inTable = (key: string) => shownColumns.value.find((c) => c.key === key && c.inTable);
const setCell = (row: Row, key: string, value: number | null): void => {
  void pantry.saveRow(openTable.value, { ...row, [key]: value, source: 'own' } as never);
};
const measuringWords = {
  spooned: 'spooned in and levelled',
  sifted: 'sifted, then measured',
  scooped: 'dipped into the bag',
};
const measuringChoices = measurings.map((value) => ({ value, text: measuringWords[value] }));
const setKitchen = (key: string, value: number | null): void => {
  if (value !== null) void pantry.saveKitchen({ ...pantry.pantry.kitchen, [key]: value });
};
</script>

<template>
  <div class="pantry prints">
    <TopBar here="pantry" />
    <main id="content" tabindex="-1" data-scrolls>
      <SheetTabs
        :model-value="table"
        :tabs="tabs"
        label="Tables of the pantry"
        @update:model-value="open"
      >
        <section v-if="table === 'kitchen'">
          <h1>Mixer, knife and what stays behind</h1>
          <p class="lead">Trade custom and estimates, until you have measured your own.</p>
          <p class="sentence">
            A cup of flour or sugar is
            <ChoiceField
              :model-value="pantry.pantry.kitchen.measuring"
              label="How a cup is filled"
              :options="measuringChoices"
              @update:model-value="
                (measuring) => pantry.saveKitchen({ ...pantry.pantry.kitchen, measuring })
              "
            />: books differ by a quarter, and each has its own weights.
          </p>
          <div class="kitchen">
            <div v-for="column in kitchenColumns" :key="column.key">
              <span>{{ column.label }}</span>
              <QuantityField
                :model-value="
                  (pantry.pantry.kitchen as unknown as Record<string, number>)[column.key] ?? 0
                "
                :of="{ ...column.range, kind: column.kind }"
                :label="column.label"
                @update:model-value="(n) => setKitchen(column.key, n)"
              />
            </div>
          </div>
        </section>
        <section v-else>
          <HintOnce v-if="table === 'spreads' || table === 'sponges'" id="pantry" />
          <div class="top">
            <h1 v-if="table === 'stock'">
              {{ rows.length === 0 ? 'Nothing is put away yet' : `${rows.length} put away` }}
            </h1>
            <h1 v-else>{{ rows.length }} {{ tableTitles[table].toLowerCase() }}</h1>
            <SearchField
              v-model="search"
              class="find"
              :placeholder="
                table === 'stock'
                  ? 'Find what is put away'
                  : `Find among the ${tableTitles[table].toLowerCase()}`
              "
              label="Find in this table"
            />
            <KeyButton
              v-if="table === 'recipes' || table === 'foods' || table === 'stock'"
              data-test="import"
              @click="importing = true"
            >
              {{ table === 'recipes' ? 'Paste or read a recipe' : 'Read or save a table' }}
            </KeyButton>
            <KeyButton
              v-if="hasMeasured"
              :aria-pressed="showsMeasured"
              data-test="more-figures"
              @click="showsMeasured = !showsMeasured"
            >
              {{ showsMeasured ? 'Fewer figures' : 'More figures' }}
            </KeyButton>
            <KeyButton :disabled="rows.length === 0" data-test="print-table" @click="print">
              Print
            </KeyButton>
            <KeyButton data-test="add-row" @click="add">Add one</KeyButton>
          </div>
          <p v-if="table === 'stock'" class="lead">
            Layers baked before and frozen, bowls made ahead. A cake takes them on its sheets Bake
            (Tins) and Coat (Shared out); what it takes at the bench is counted off here.
          </p>
          <v-data-table
            v-if="rows.length > 0"
            class="table"
            density="compact"
            :headers="headers"
            :items="rows"
            :search="search"
            :custom-filter="find"
            filter-mode="some"
            :filter-keys="['name']"
            item-value="id"
            :items-per-page="isPrinting ? -1 : 50"
            :hide-default-footer="isPrinting || rows.length <= 25"
          >
            <template #item="{ item }">
              <tr>
                <td
                  v-for="header in headers"
                  :key="header.key"
                  :class="{ end: header.align === 'end' }"
                >
                  <template v-if="header.key === 'actions'">
                    <KeyButton
                      size="small"
                      :aria-label="`Change ${item.name}`"
                      @click="editing = { row: item, isNew: false }"
                    >
                      Change
                    </KeyButton>
                    <KeyButton
                      v-if="item.source === 'own' && pantry.isBuiltIn(table, item.id)"
                      variant="text"
                      size="small"
                      :aria-label="`Starting values for ${item.name}`"
                      @click="pantry.resetRow(table, item.id)"
                    >
                      Starting values
                    </KeyButton>
                    <KeyButton
                      v-else-if="!pantry.isBuiltIn(table, item.id)"
                      variant="text"
                      size="small"
                      :aria-label="`Remove ${item.name}`"
                      @click="pantry.removeRow(table, item.id)"
                    >
                      Remove
                    </KeyButton>
                  </template>
                  <b v-else-if="header.key === 'name'">{{ item.name }}</b>
                  <QuantityField
                    v-else-if="inTable(header.key)"
                    :model-value="
                      (item as unknown as Record<string, number | null>)[header.key] ?? null
                    "
                    :of="{ ...inTable(header.key)!.range, kind: inTable(header.key)!.kind }"
                    :label="`${header.title}: ${item.name}`"
                    :nullable="inTable(header.key)!.nullable ?? false"
                    auto="–"
                    @update:model-value="(n) => setCell(item, header.key, n)"
                  />
                  <template v-else>{{ cell(item, header.key) }}</template>
                </td>
              </tr>
            </template>
          </v-data-table>
        </section>
      </SheetTabs>
    </main>
    <RowDialog
      v-if="editing && table !== 'kitchen'"
      :table="table"
      :row="editing.row"
      :is-new="editing.isNew"
      @close="close"
    />
    <ImportDialog
      v-if="importing && (table === 'recipes' || table === 'foods' || table === 'stock')"
      :table="table"
      @close="importing = false"
    />
  </div>
</template>

<style scoped>
.pantry {
  height: 100dvh;
  display: flex;
  flex-direction: column;
  background: var(--milk);
}
main {
  flex: 1;
  overflow: auto;
  padding: 18px 28px;
}
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: center;
  margin-bottom: 10px;
}
.top h1 {
  flex: 1;
}
.top .find {
  flex: 0 1 260px;
}
@media (max-width: 599px) {
  main {
    padding: 8px 16px;
  }
  .top h1 {
    flex: 0 0 100%;
  }
  .top .find {
    flex: 1 1 100%;
  }
}
.table {
  background: transparent;
  color: inherit;
}
td {
  border-top: 1px solid var(--line);
  padding: 6px 14px !important;
  white-space: nowrap;
}
.end {
  text-align: right;
}
.kitchen {
  max-width: 520px;
  margin-top: 12px;
}
.kitchen > div {
  display: flex;
  justify-content: space-between;
  padding: 7px 0;
  border-top: 1px solid var(--line);
}
</style>
