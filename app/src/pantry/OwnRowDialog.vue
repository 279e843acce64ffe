<script setup lang="ts">
import {
  freshId,
  stiffnessOf,
  stiffnessWords,
  tendernessOf,
  tendernessWords,
  withStiffness,
  withTenderness,
  type Sponge,
  type Spread,
  type Stiffness,
  type Tenderness,
  valueWord,
} from '@pyrgotect/core';
import { computed, ref, watch } from 'vue';
import ChoiceField from '../figures/ChoiceField.vue';
import { plain } from '../storage/builds.ts';
import PasteRecipe from './PasteRecipe.vue';
import { usePantry } from '../stores/pantry.ts';
import DialogBox from '../parts/DialogBox.vue';

/** A filling, frosting or sponge of one's own, from where it is chosen: named, and like one that is known. */
const props = defineProps<{ kind: 'filling' | 'frosting' | 'sponge' }>();
const emit = defineEmits<{ close: []; made: [id: string] }>();
const pantry = usePantry();
const isSponge = props.kind === 'sponge';
const known = computed<(Spread | Sponge)[]>(() =>
  isSponge
    ? pantry.pantry.sponges
    : pantry.pantry.spreads.filter((row) => (props.kind === 'filling' ? row.canFill : row.canCoat)),
);
const name = ref('');
const likeId = ref(known.value[0]!.id);
const like = computed(() => known.value.find(({ id }) => id === likeId.value)!);
const wordOf = (row: Spread | Sponge): string =>
  'stress21Pa' in row ? stiffnessOf(row) : tendernessOf(row);
const word = ref(wordOf(like.value));
// by its id: the rows are others whenever one of them is saved
watch(likeId, () => (word.value = wordOf(like.value)));
const words = (isSponge ? tendernessWords : stiffnessWords).map((value) => ({
  value,
  text: valueWord(value),
}));
const problem = ref('');
/** What it is called, where that will do. */
function called(): string | null {
  const typed = name.value.trim();
  const isTaken = known.value.some((row) => row.name.toLowerCase() === typed.toLowerCase());
  problem.value =
    typed === '' ? 'It needs a name.' : isTaken ? 'There is one of that name already.' : '';
  return problem.value === '' ? typed : null;
}
/** Kept as stiff or as tender as was said. */
async function keep(row: Spread | Sponge): Promise<void> {
  if ('stress21Pa' in row)
    await pantry.saveRow('spreads', withStiffness(row, word.value as Stiffness));
  else await pantry.saveRow('sponges', withTenderness(row, word.value as Tenderness));
  emit('made', row.id);
  emit('close');
}
async function save(): Promise<void> {
  const typed = called();
  if (typed === null) return;
  const id = freshId('own', 13);
  await keep({ ...plain(like.value), id, name: typed, source: 'own' });
}

/** Its own recipe is being pasted, with the name that was given. */
const pasted = ref<string | null>(null);
let isKeeping = false;
async function keepPasted(id: string): Promise<void> {
  isKeeping = true;
  const made = (isSponge ? pantry.pantry.sponges : pantry.pantry.spreads).find(
    (row) => row.id === id,
  );
  if (made) await keep(plain(made));
}
</script>

<template>
  <DialogBox :max-width="pasted === null ? 520 : 980" @update:model-value="emit('close')">
    <v-card v-if="pasted !== null" class="own" data-test="own-recipe">
      <PasteRecipe
        :as="{ name: pasted, becomes: { kind: isSponge ? 'sponge' : 'spread', likeId } }"
        @made="keepPasted"
        @close="isKeeping || emit('close')"
      />
    </v-card>
    <v-card v-else class="own" data-test="own-row">
      <h2>A {{ kind }} of my own</h2>
      <v-text-field
        v-model="name"
        label="What it is called"
        maxlength="80"
        autofocus
        :error-messages="problem"
        @update:model-value="problem = ''"
        @keydown.enter="save"
      />
      <p class="sentence">
        It is like
        <ChoiceField
          v-model="likeId"
          label="What it is like"
          :options="known.map((row) => ({ value: row.id, text: row.name }))"
        />, and {{ isSponge ? 'its crumb is' : 'in the room it is' }}
        <ChoiceField
          v-model="word"
          :label="isSponge ? 'How tender it is' : 'How stiff it is'"
          :options="words"
        />.
      </p>
      <p class="soft">
        It can be used at once, with the recipe, the keeping and the allergens of what it is like:
        they are only true once its own recipe is pasted. Every figure of it can be changed in the
        <router-link to="/pantry">pantry</router-link>.
      </p>
      <div class="row">
        <KeyButton variant="text" @click="emit('close')">Leave it</KeyButton>
        <KeyButton data-test="own-paste" @click="pasted = called()">Paste its recipe …</KeyButton>
        <KeyButton color="primary" data-test="own-save" @click="save">Keep it</KeyButton>
      </div>
    </v-card>
  </DialogBox>
</template>

<style scoped>
.own {
  padding: 16px 24px 18px;
}
.row {
  display: flex;
  justify-content: flex-end;
  gap: 8px;
}
</style>
