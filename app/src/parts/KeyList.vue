<script setup lang="ts">
import { useSettings } from '../stores/settings.ts';
import { keyPlaces, keysOf } from './keys.ts';

/** What can be pressed, place by place, and whether letters alone are keys at all. */
const props = withDefaults(defineProps<{ places?: (keyof typeof keysOf)[] }>(), {
  places: () => Object.keys(keysOf) as (keyof typeof keysOf)[],
});
const settings = useSettings();
</script>

<template>
  <div class="key-list">
    <v-switch
      :model-value="settings.singleKeys"
      label="Letters and signs alone are keys"
      density="compact"
      color="primary"
      hide-details
      data-test="single-keys"
      @update:model-value="(on) => settings.setSingleKeys(on === true)"
    />
    <p class="soft">Off, only Tab, Enter, Esc, the arrows and those with Ctrl do something.</p>
    <template v-for="place in props.places" :key="place">
      <h3>Keys {{ keyPlaces[place] }}</h3>
      <dl>
        <template v-for="[keys, what] in keysOf[place]" :key="keys">
          <dt>
            <kbd>{{ keys }}</kbd>
          </dt>
          <dd>{{ what }}</dd>
        </template>
      </dl>
    </template>
  </div>
</template>

<style scoped>
h3 {
  margin: 12px 0 4px;
  font: 700 var(--size-text) var(--heading);
}
p {
  margin: 0;
  font-size: var(--size-note);
}
dl {
  display: grid;
  grid-template-columns: 170px 1fr;
  margin: 0;
}
dt,
dd {
  margin: 0;
  padding: 5px 0;
  border-top: 1px solid var(--line);
}
kbd {
  font: 600 var(--size-note) var(--text);
}
@media (max-width: 599px) {
  dl {
    grid-template-columns: 110px 1fr;
  }
}
</style>
