<script setup lang="ts">
import { buildVersion } from '@pyrgotect/core';
import { computed, onMounted, ref } from 'vue';
import { hints } from '../help/hints.ts';
import TermPicture from '../help/TermPicture.vue';
import { termList } from '../help/terms.ts';
import { atHome } from '../home.ts';
import KeyList from '../parts/KeyList.vue';
import TopBar from '../parts/TopBar.vue';
import { useSettings } from '../stores/settings.ts';
import { useShelf } from '../stores/shelf.ts';

/** What the words mean, what the keys do, and the walk round once more. */
const shelf = useShelf();
const settings = useSettings();
const hintCount = Object.keys(hints).length;
onMounted(() => void shelf.load());
/** The cake that is walked round: the next to be made. */
const first = computed(() => shelf.entries[0] ?? null);
const version = import.meta.env.VITE_VERSION;
const search = ref('');
const found = computed(() => {
  const word = search.value.trim().toLowerCase();
  return termList.filter((term) => `${term.word} ${term.means}`.toLowerCase().includes(word));
});
</script>

<template>
  <div class="help">
    <TopBar here="help" />
    <main id="content" tabindex="-1" data-scrolls>
      <h1>Help</h1>
      <section>
        <h2>A walk round</h2>
        <p>
          Six stops on the screen of a cake, a minute in all.
          <KeyButton v-if="first" :to="`/build/${first.id}/stack?walk=1`"
            >Walk round {{ first.name }}</KeyButton
          >
          <span v-else class="soft">It needs a cake on the shelf.</span>
        </p>
      </section>
      <section>
        <h2>Hints</h2>
        <p>
          {{ hintCount }} screens say once what they can do that they do not show.
          <KeyButton
            :disabled="settings.hintsSeen.length === 0"
            data-test="forget-hints"
            @click="settings.forgetHints()"
            >Show them again</KeyButton
          >
        </p>
      </section>
      <section>
        <h2>The words</h2>
        <v-text-field
          v-model="search"
          type="search"
          label="Find a word"
          class="find"
          clearable
          @click:clear="search = ''"
        />
        <p v-if="found.length === 0" class="soft">No word is like “{{ search }}”.</p>
        <dl data-test="glossary">
          <div v-for="term in found" :id="`word-${term.id.replaceAll(' ', '-')}`" :key="term.id">
            <dt>{{ term.word }}</dt>
            <dd>
              <TermPicture v-if="term.drawn" :of="term.drawn" />
              {{ term.means }}
            </dd>
          </div>
        </dl>
      </section>
      <section data-test="about">
        <h2>About</h2>
        <p>
          Pyrgotect {{ version }}, build files of version {{ buildVersion }}. Under the MIT licence;
          <a :href="atHome('licences.txt').href" target="_blank" rel="noopener"
            >the licences of what it is made of</a
          >. What you plan is in this browser, and on devices that you pair with it.
        </p>
      </section>
      <section>
        <h2 id="keys">The keys</h2>
        <KeyList />
      </section>
    </main>
  </div>
</template>

<style scoped>
.help {
  min-height: 100dvh;
  background: var(--milk);
}
main {
  max-width: 1180px;
  margin: 0 auto;
  padding: 14px 24px 40px;
}
.find {
  max-width: 320px;
  margin-bottom: 12px;
}
dl {
  margin: 0;
  columns: 2;
  column-gap: 36px;
}
dl > div {
  break-inside: avoid;
  padding: 7px 0;
  border-top: 1px solid var(--line);
}
dt {
  font-weight: 600;
}
dd {
  margin: 0;
  display: flex;
  gap: 14px;
  align-items: center;
}
.keys > div {
  display: grid;
  grid-template-columns: 130px 1fr;
}
@media (max-width: 760px) {
  dl {
    columns: 1;
  }
  main {
    padding: 12px 16px 32px;
  }
}
</style>
