<script setup lang="ts">
import {
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
} from '@pyrgotect/core';
import { computed, ref, watch } from 'vue';
import ChoiceField from '../figures/ChoiceField.vue';
import { plain } from '../storage/builds.ts';
import { usePantry } from '../stores/pantry.ts';

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
watch(like, (row) => (word.value = wordOf(row)));
const words = (isSponge ? tendernessWords : stiffnessWords).map((value) => ({
  value: value,
  text: value,
}));
const problem = ref('');
async function save(): Promise<void> {
  const called = name.value.trim();
  if (called === '') return void (problem.value = 'It needs a name.');
  if (known.value.some((row) => row.name.toLowerCase() === called.toLowerCase()))
    return void (problem.value = 'There is one of that name already.');
  const id = `own-${crypto.randomUUID().slice(0, 13)}`;
  const named = { ...plain(like.value), id, name: called, source: 'own' as const };
  if ('stress21Pa' in named)
    await pantry.saveRow('spreads', withStiffness(named, word.value as Stiffness));
  else await pantry.saveRow('sponges', withTenderness(named, word.value as Tenderness));
  emit('made', id);
  emit('close');
}
</script>

<template>
  <v-dialog :model-value="true" max-width="520" @update:model-value="emit('close')">
    <v-card class="own" data-test="own-row">
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
        It can be used at once, with the recipe, the keeping and the allergens of what it is like.
        Its own recipe is pasted in the
        <router-link to="/pantry?table=recipes">pantry</router-link>, and every figure of it can be
        changed there.
      </p>
      <div class="row">
        <v-btn variant="text" @click="emit('close')">Leave it</v-btn>
        <v-btn color="primary" data-test="own-save" @click="save">Keep it</v-btn>
      </div>
    </v-card>
  </v-dialog>
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
