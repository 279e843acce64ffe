<script setup lang="ts">
import {
  cutKinds,
  cutTitles,
  cutWords,
  depthMm,
  equivalentRadiusMm,
  firmMin,
  limits,
  newCarving,
  newCut,
  widthMm,
  type Build,
  type Carving,
  type Cut,
  type CutKind,
  type LinePoint,
  type Lines,
  type CakePlan,
} from '@pyrgotect/core';
import { computed, ref } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import { useCarvings } from '../../stores/carvings.ts';
import { useUnits } from '../../figures/units.ts';
import type { StlUnit } from '@pyrgotect/core/solids';
import { stlBytes } from '../../parts/stl-file.ts';
import { useSheet } from '../useSheet.ts';
import CutFields from './CutFields.vue';
import CutUses from './CutUses.vue';
import LineEditor from './LineEditor.vue';
import ReliefFields from './ReliefFields.vue';
import WordField from '../../figures/WordField.vue';
import StlKey from '../../parts/StlKey.vue';

/** The cuts of a tier in their order: each can be set, moved, switched off, taken out. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const { store, tier, tierPlan, editTier, pantry, choices } = useSheet(props);
const { text, say } = useUnits();
const carvings = useCarvings();
const cuts = computed(() => tier.value.carving?.cuts ?? []);
const result = computed(() => tierPlan.value.carve?.result ?? null);
const chosenId = computed(() => {
  const [tierId, kind, id] = store.selected?.split('/') ?? [];
  return kind === 'cut' && tierId === tier.value.id ? (id ?? null) : null;
});
const choose = (id: string | null): void => {
  store.selected = id === null ? tier.value.id : `${tier.value.id}/cut/${id}`;
};
const editCarving = (label: string, recipe: (carving: Carving) => void, merge?: string): void =>
  store.edit(
    label,
    (draft) => {
      const own = draft.tiers.find((each) => each.id === tier.value.id)!;
      own.carving ??= newCarving();
      recipe(own.carving);
    },
    merge ?? null,
  );
const editCut = (id: string, label: string, recipe: (cut: Cut) => void, merge?: string): void =>
  editCarving(
    label,
    (carving) => {
      const cut = carving.cuts.find((each) => each.id === id);
      if (cut) recipe(cut);
    },
    merge,
  );

const addable = cutKinds.filter((kind) => kind !== 'set' && kind !== 'target');
const kinds = [
  { value: '', text: 'choose a cut …' },
  ...addable.map((kind) => ({ value: kind, text: cutTitles[kind] })),
];
const room = computed(() => ({
  radiusMm: equivalentRadiusMm(tier.value.outline),
  widthMm: widthMm(tier.value.outline),
  heightMm: result.value?.topMm ?? tierPlan.value.stack.stackMm,
}));
const freeId = (kind: CutKind): string => {
  for (let n = cuts.value.length + 1; ; n++)
    if (!cuts.value.some((cut) => cut.id === `${kind}-${n}`)) return `${kind}-${n}`;
};
function add(kind: string): void {
  if (!kind) return;
  const known = kind as Exclude<CutKind, 'set' | 'target'>;
  const id = freeId(known);
  editCarving('A cut', (carving) => {
    carving.cuts.push(newCut(known, id, room.value));
  });
  choose(id);
}
const problem = ref('');
async function addTarget(file: File, unit: StlUnit): Promise<void> {
  problem.value = '';
  try {
    const bytes = await stlBytes(file);
    const { askSolids } = await import('../../workers/solids.ts');
    const { notes, ...mesh } = await askSolids((solids) => solids.target(bytes, file.name, unit));
    const id = freeId('target');
    editCarving('A shape from a file', (carving) => {
      carving.cuts.push({
        id,
        kind: 'target',
        name: file.name.replace(/\.stl$/i, '').slice(0, 60) || 'Shape',
        on: true,
        upMm: 0,
        turnDeg: 0,
        ...mesh,
      });
    });
    problem.value = notes.join(' ');
    choose(id);
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
}
function move(i: number, by: number): void {
  editCarving('Order of the cuts', ({ cuts: list }) => {
    const [cut] = list.splice(i, 1);
    if (cut) list.splice(i + by, 0, cut);
  });
}
const stepOf = (id: string) => result.value?.steps.find((step) => step.cutId === id) ?? null;
const removedText = (id: string): string => {
  const step = stepOf(id);
  if (!step) return '';
  if (step.problem) return 'not done';
  return step.removedG > 0.5 ? `− ${text(step.removedG, 'small')}` : '';
};
const spreadName = (part: string): string => {
  const [kind, n] = part.split('/');
  if (kind === 'centre') return 'hidden centre';
  return `${kind === 'gap' ? 'filling' : 'layer'} ${Number(n) + 1}`;
};
const byPart = (id: string): string =>
  Object.entries(stepOf(id)?.byPart ?? {})
    .filter(([, ml]) => ml > 1)
    .map(([part, ml]) => `${text(ml, 'volume')} of ${spreadName(part)}`)
    .join(', ');
const wordsOf = (cut: Cut): string => {
  const at = cuts.value.filter((each) => each.on).findIndex((each) => each.id === cut.id);
  const before =
    result.value?.steps[at - 1]?.topMm ?? tierPlan.value.carve?.question.stock.heightMm;
  return say(cutWords(cut, before ?? room.value.heightMm, room.value.radiusMm));
};
const behind = (cut: Cut): Lines => {
  const known = stepOf(cut.id)?.behind ?? [];
  if (known.length > 0) return known;
  const half =
    (cut.kind === 'silhouette' && cut.seen === 'side' ? depthMm : widthMm)(tier.value.outline) / 2;
  const high = tierPlan.value.carve?.question.stock.heightMm ?? tierPlan.value.stack.stackMm;
  return [
    [
      [cut.kind === 'profile' ? 0 : -half, 0],
      [half, 0],
      [half, high],
      [cut.kind === 'profile' ? 0 : -half, high],
    ],
  ];
};
const setKey = (id: string, key: string, value: unknown): void =>
  editCut(
    id,
    'Cut',
    (cut) => void ((cut as unknown as Record<string, unknown>)[key] = value),
    `cut/${id}/${key}`,
  );
const setPoints = (id: string, points: LinePoint[]): void =>
  editCut(id, 'Line of the cut', (cut) => {
    if (cut.kind === 'profile' || cut.kind === 'silhouette') cut.points = points;
  });
const spreads = computed(() => [
  { value: '', text: 'left open' },
  ...choices(pantry.pantry.spreads),
]);
const glues = computed(() => [
  { value: '', text: 'that of dab and dams' },
  ...choices(pantry.pantry.spreads.filter((s) => s.canCoat)),
]);
const firm = computed(() => {
  const stock = tierPlan.value.carve?.question.stock;
  if (!stock) return null;
  const min = firmMin(
    { outline: stock.outline, heightMm: stock.heightMm, densityGPerMl: 0.55 },
    pantry.pantry.kitchen,
  );
  return Number.isFinite(min) ? min : null;
});
</script>

<template>
  <div data-test="cuts">
    <p v-if="cuts.length === 0" class="lead">
      Nothing is cut yet. Large planes first, then smaller ones, edges last. Bearings are read on
      the cake from above as on a clock: 12 at the back, 6 at the front.
    </p>
    <ol class="cuts">
      <li
        v-for="(cut, i) in cuts"
        :key="cut.id"
        :class="{ on: cut.id === chosenId, off: !cut.on, bad: stepOf(cut.id)?.problem }"
        :data-test="`cut-${cut.id}`"
      >
        <div class="row">
          <button
            type="button"
            class="name"
            :aria-expanded="cut.id === chosenId"
            @click="choose(cut.id === chosenId ? null : cut.id)"
          >
            <b>{{ i + 1 }} {{ cut.name }}</b> <span class="soft">{{ cutTitles[cut.kind] }}</span>
          </button>
          <span class="grams">{{ cut.on ? removedText(cut.id) : 'off' }}</span>
          <KeyButton
            variant="text"
            size="small"
            :disabled="i === 0"
            :aria-label="`${cut.name} earlier`"
            @click="move(i, -1)"
          >
            ↑
          </KeyButton>
          <KeyButton
            variant="text"
            size="small"
            :disabled="i === cuts.length - 1"
            :aria-label="`${cut.name} later`"
            @click="move(i, 1)"
          >
            ↓
          </KeyButton>
          <v-checkbox
            :model-value="cut.on"
            :aria-label="`${cut.name} is cut`"
            @update:model-value="setKey(cut.id, 'on', !cut.on)"
          />
          <KeyButton
            variant="text"
            size="small"
            :aria-label="`Take out ${cut.name}`"
            @click="editCarving('Cut taken out', (c) => void c.cuts.splice(i, 1))"
          >
            ×
          </KeyButton>
        </div>
        <div v-if="cut.id === chosenId" class="body">
          <WordField
            class="word"
            :most="80"
            needed
            aria-label="Name of the cut"
            :model-value="cut.name"
            @update:model-value="setKey(cut.id, 'name', $event)"
          />
          <LineEditor
            v-if="cut.kind === 'profile' || cut.kind === 'silhouette'"
            :key="cut.id"
            :points="cut.points"
            :half="cut.kind === 'profile'"
            :behind="behind(cut)"
            :cover="
              cut.drawn === 'finished' && tierPlan.carve
                ? tierPlan.carve.question.cover
                : { crumbMm: 0, sideMm: 0, topMm: 0, fondantMm: 0 }
            "
            @change="(points) => setPoints(cut.id, points)"
          />
          <CutFields :cut="cut" @change="(key, value) => setKey(cut.id, key, value)" />
          <ReliefFields
            v-if="cut.kind === 'relief'"
            :cut="cut"
            :spreads="spreads"
            @change="(key, value) => setKey(cut.id, key, value)"
          />
          <p class="words">{{ wordsOf(cut) }}</p>
          <p v-if="byPart(cut.id)" class="soft small-words">Comes away: {{ byPart(cut.id) }}.</p>
          <p v-if="stepOf(cut.id)?.problem" class="problem" role="alert">
            {{ say(stepOf(cut.id)!.problem!) }}
          </p>
        </div>
      </li>
    </ol>
    <CutUses v-if="cuts.length === 0" :kinds="addable" @choose="add" />
    <p v-if="cuts.length < limits.cuts.max" class="sentence">
      Add
      <ChoiceField model-value="" label="Add a cut" :options="kinds" @update:model-value="add" />
      or
      <StlKey label="STL file" @take="addTarget">a shape from an STL file</StlKey>
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-if="carvings.problem" class="problem" role="alert">
      The solids cannot be worked out here ({{ carvings.problem }}). Figures are of the whole stack.
    </p>
    <template v-if="tier.carving && cuts.length > 0">
      <p class="sentence">
        <v-checkbox
          :model-value="tier.carving.chilled"
          label="carved cold and firm"
          @update:model-value="editCarving('Cold or not', (c) => void (c.chilled = !c.chilled))"
        /><template v-if="tier.carving.chilled && firm !== null"
          >: out of the cold it can be cut for about {{ text(firm, 'minutes') }}</template
        >. Most chill first, for clean faces and sharp edges; some carve dense cake at room
        temperature, where cold filling would crack out of it. Pieces are glued with
        <ChoiceField
          :model-value="tier.carving.glueSpreadId ?? ''"
          label="Frosting that glues pieces"
          :options="glues"
          @update:model-value="
            (id) => editCarving('Glue', (c) => void (c.glueSpreadId = id || null))
          "
        />.
      </p>
      <KeyButton
        variant="text"
        size="small"
        @click="editTier('Left uncarved', (t) => void (t.carving = null))"
      >
        Leave this tier uncarved
      </KeyButton>
    </template>
  </div>
</template>

<style scoped>
.cuts {
  list-style: none;
  padding: 0;
  margin: 6px 0 0;
}
li {
  border-top: 1px solid var(--line);
  padding: 3px 0;
}
li.on {
  background: var(--raised);
}
li.off .name {
  opacity: 0.75;
  text-decoration: line-through;
}
.row {
  display: flex;
  align-items: center;
  gap: 4px;
}
.name {
  flex: 1;
  text-align: left;
  padding: 4px 2px;
  min-width: 0;
}
.grams {
  font-variant-numeric: tabular-nums;
  white-space: nowrap;
  font-weight: 600;
}
.bad .grams {
  color: var(--stop);
}
.body {
  padding: 2px 0 10px 14px;
}
.file {
  position: relative;
  overflow: hidden;
}
.file:focus-within {
  outline: 2.5px solid var(--accent);
}
.words {
  max-width: 62ch;
}
.small-words {
  font-size: var(--size-note);
}
.problem {
  color: var(--stop);
  font-weight: 600;
}
.word.v-input {
  width: 15em;
}
</style>
