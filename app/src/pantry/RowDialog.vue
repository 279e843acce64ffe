<script setup lang="ts">
import {
  fieldProblem,
  rowFields,
  circleOf,
  otherForms,
  keepingClasses,
  pantryLimits,
  stressFromSlideMm,
  tinForms,
  tones,
  type Flutes,
  type Food,
  type Ganache,
  type OtherLayer,
  type Outline,
  type PantryTable,
  type Recipe,
  type Stock,
  type Tin,
  valueWord,
} from '@pyrgotect/core';
import { computed, ref } from 'vue';
import { ValidationError } from 'yup';
import ChoiceField from '../figures/ChoiceField.vue';
import QuantityField from '../figures/QuantityField.vue';
import OutlineFields from '../sheets/OutlineFields.vue';
import { plain } from '../storage/builds.ts';
import { usePantry, type RowOf } from '../stores/pantry.ts';
import { useSettings } from '../stores/settings.ts';
import { rowNouns } from './columns.ts';
import RowFigures from './RowFigures.vue';
import FoodFields from './FoodFields.vue';
import FoodPieceFields from './FoodPieceFields.vue';
import GelFields from './GelFields.vue';
import FoodPrepFields from './FoodPrepFields.vue';
import GanacheFields from './GanacheFields.vue';
import RecipeFields from './RecipeFields.vue';
import StockFields from './StockFields.vue';
import DrawnWall from './DrawnWall.vue';
import TinWall from './TinWall.vue';
import DialogBox from '../parts/DialogBox.vue';

type Row = RowOf<PantryTable>;
const props = defineProps<{ table: PantryTable; row: Row; isNew: boolean }>();
const emit = defineEmits<{ close: []; saved: [id: string] }>();
const pantry = usePantry();
const settings = useSettings();
const draft = ref<Record<string, unknown> & { name: string }>(plain(props.row) as never);
const problems = ref<string[]>([]);
const outline = computed(() => draft.value.outline as Outline | undefined);
const recipe = computed(() =>
  props.table === 'recipes' ? (draft.value as unknown as Recipe) : null,
);
const recipeChoices = computed(() =>
  pantry.pantry.recipes.map((r) => ({ value: r.id, text: r.name })),
);
type Bake = NonNullable<OtherLayer['bake']>;
const tinWords: Record<(typeof tinForms)[number], string> = {
  upright: 'an upright tin, straight or leaning out',
  ball: 'a bowl, part of a ball; its outline is the rim',
  mould: 'a mould known by the water it holds',
  ring: 'a ring without a bottom, to set creams in',
  rounded: 'a tin with a rounded bottom',
  drawn: 'a mould with a drawn wall',
};
const tinFormChoices = tinForms.map((value) => ({ value: value, text: tinWords[value] }));
const otherFormChoices = otherForms.map((value) => ({ value, text: valueWord(value) }));
const dowelFormChoices = [
  { value: 'solid', text: 'solid' },
  { value: 'tube', text: 'a tube or straw' },
];
const formChoices = computed(() =>
  props.table === 'tins'
    ? tinFormChoices
    : props.table === 'dowels'
      ? dowelFormChoices
      : otherFormChoices,
);
const toneChoices = tones.map((tone) => ({ value: tone, text: tone }));

const food = computed(() => (props.table === 'foods' ? (draft.value as unknown as Food) : null));
const ganache = computed(() =>
  props.table === 'ganaches' ? (draft.value as unknown as Ganache) : null,
);
const keepingChoices = keepingClasses.map((value) => ({ value, text: valueWord(value) }));
const set = (key: string, value: unknown): void => {
  draft.value[key] = value;
};
const flutes = computed(() => (draft.value.flutes ?? null) as Flutes | null);
async function save(): Promise<void> {
  try {
    const row = {
      ...plain(draft.value),
      name: draft.value.name.trim(),
      source: 'own',
    } as unknown as Row;
    const circle =
      'ingredients' in row
        ? circleOf(row, [...pantry.pantry.recipes.filter((other) => other.id !== row.id), row])
        : null;
    if (circle) {
      problems.value = [`This recipe would be made of itself: ${circle.join(' → ')}`];
      return;
    }
    await pantry.saveRow(props.table, row, props.row);
    emit('saved', row.id);
    emit('close');
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    problems.value = (error.inner.length > 0 ? error.inner : [error]).map((each) =>
      fieldProblem(each.path, each.errors[0], 'this row', rowFields[props.table]),
    );
  }
}
</script>

<template>
  <DialogBox max-width="700" @update:model-value="emit('close')">
    <v-card class="row" data-test="row-dialog">
      <h1>{{ isNew ? `A new ${rowNouns[table]}` : row.name }}</h1>
      <p v-if="!isNew" class="soft">
        Starting value: {{ valueWord(row.source) }}. Saving makes it your own; every cake that uses
        it is worked out anew.
      </p>
      <v-text-field v-model="draft.name" class="named" label="name" maxlength="80" />
      <p v-if="outline" class="sentence">
        <OutlineFields :outline="outline" subject="It" @change="(o) => set('outline', o)" />
      </p>
      <p v-if="['tins', 'others', 'dowels'].includes(table)" class="sentence">
        It is
        <ChoiceField
          :model-value="draft.form as string"
          label="Form"
          :options="formChoices"
          @update:model-value="(form) => set('form', form)"
        />.
        <TinWall v-if="table === 'tins'" :flutes="flutes" @change="(to) => set('flutes', to)" />
        <DrawnWall
          v-if="table === 'tins' && draft.form === 'drawn'"
          :tin="draft as unknown as Tin"
          @change="(to) => Object.assign(draft, to)"
        />
        <template v-if="table === 'others'">
          <template v-if="draft.bake">
            It bakes
            <QuantityField
              :model-value="(draft.bake as Bake).minutes"
              :of="pantryLimits.bakeMin"
              label="Baking time"
              @update:model-value="(n) => set('bake', { ...(draft.bake as Bake), minutes: n })"
            />
            at
            <QuantityField
              :model-value="(draft.bake as Bake).ovenC"
              :of="pantryLimits.ovenC"
              label="Oven"
              @update:model-value="(n) => set('bake', { ...(draft.bake as Bake), ovenC: n })"
            />
            and then dries in the oven, switched off, for
            <QuantityField
              :model-value="(draft.bake as Bake).dryMin"
              :of="pantryLimits.dryMin"
              label="Dries in the oven"
              @update:model-value="(n) => set('bake', { ...(draft.bake as Bake), dryMin: n })"
            />
            <KeyButton size="small" @click="set('bake', null)">not baked</KeyButton>
          </template>
          <KeyButton
            v-else
            size="small"
            @click="set('bake', { ovenC: 170, minutes: 15, dryMin: 0 })"
          >
            it is baked
          </KeyButton>
        </template>
      </p>
      <div class="fields">
        <RowFigures :table="table" :row="draft" @change="(to) => Object.assign(draft, to)" />
        <template v-if="table === 'sponges' || table === 'spreads' || table === 'others'">
          <div class="line">
            <span>recipe</span>
            <ChoiceField
              :model-value="(draft.recipeId as string | null) ?? ''"
              label="Recipe"
              :options="
                table === 'others'
                  ? [{ value: '', text: 'none: it is bought' }, ...recipeChoices]
                  : recipeChoices
              "
              @update:model-value="(id) => set('recipeId', id || null)"
            />
          </div>
          <div class="line">
            <span>pattern in drawings</span>
            <ChoiceField
              :model-value="String(draft.tone)"
              label="Pattern"
              :options="toneChoices"
              @update:model-value="(tone) => set('tone', tone)"
            />
          </div>
        </template>
        <label v-if="table === 'sponges'" class="line"
          ><span>climbs up bare sides: the tin is not greased, and it cools upside down</span
          ><v-checkbox-btn
            :model-value="Boolean(draft.bareSides)"
            @update:model-value="set('bareSides', !draft.bareSides)"
          />
        </label>
        <template v-if="table === 'spreads'">
          <div class="line">
            <span>keeps as</span>
            <ChoiceField
              :model-value="String(draft.keeping)"
              label="How it keeps"
              :options="keepingChoices"
              @update:model-value="(keeping) => set('keeping', keeping)"
            />
          </div>
          <label class="line"
            ><span>can be a filling</span
            ><v-checkbox-btn
              :model-value="Boolean(draft.canFill)"
              @update:model-value="set('canFill', !draft.canFill)"
            />
          </label>
          <label class="line"
            ><span>can be a coat</span
            ><v-checkbox-btn
              :model-value="Boolean(draft.canCoat)"
              @update:model-value="set('canCoat', !draft.canCoat)"
            />
          </label>
        </template>
      </div>
      <StockFields
        v-if="table === 'stock'"
        :row="draft as unknown as Stock"
        @change="(to) => Object.assign(draft, to)"
      />
      <RecipeFields v-if="recipe" :recipe="recipe" @replace="(to) => Object.assign(draft, to)" />
      <FoodFields v-if="food" :food="food" />
      <FoodPrepFields v-if="food" :food="food" />
      <FoodPieceFields v-if="food" :food="food" />
      <GelFields v-if="food" :food="food" />
      <GanacheFields v-if="ganache" :ganache="ganache" />
      <template v-if="table === 'spreads'">
        <h2>Measured in your kitchen</h2>
        <p class="sentence">
          A level cup of it weighs
          <QuantityField
            :model-value="Number(draft.densityGPerMl) * settings.system.cupMl"
            :of="{ kind: 'small', min: 20, max: 700 }"
            label="A level cup weighs"
            @update:model-value="(g) => set('densityGPerMl', g / settings.system.cupMl)"
          />; at 21 °C it slides off an upright side from
          <QuantityField
            :model-value="
              Number(draft.stress21Pa) / stressFromSlideMm(1, Number(draft.densityGPerMl))
            "
            :of="{ kind: 'thickness', min: 0.5, max: 4000 }"
            label="Slides when thicker than"
            @update:model-value="
              (mm) => set('stress21Pa', stressFromSlideMm(mm, Number(draft.densityGPerMl)))
            "
          />
          on. Density and stiffness follow.
        </p>
      </template>
      <ul v-if="problems.length > 0" class="problems" role="alert">
        <li v-for="problem in problems" :key="problem">{{ problem }}.</li>
      </ul>
      <p class="buttons">
        <KeyButton variant="flat" data-test="save-row" @click="save">Save</KeyButton>
        <KeyButton @click="emit('close')">Leave it</KeyButton>
      </p>
    </v-card>
  </DialogBox>
</template>

<style scoped src="./line.css" />
<style scoped>
.named {
  margin: 14px 0 6px;
}
.row {
  padding: 20px 26px;
  display: block;
  overflow: auto;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
.problems {
  background: var(--stop-wash);
  border-left: 4px solid var(--stop);
  padding: 8px 12px;
  margin-top: 12px;
}
.buttons {
  display: flex;
  gap: 10px;
  margin-top: 16px;
}
</style>
