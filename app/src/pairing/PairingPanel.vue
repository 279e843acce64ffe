<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import WordField from '../figures/WordField.vue';
import { agoText } from '../locale/when.ts';
import { usePairing } from '../stores/pairing.ts';
import CodeShown from './CodeShown.vue';
import { placesText } from './met-text.ts';
import { codeInAddress, nameOfThis } from './this-device.ts';

/** Which devices are paired, a code for a new one, and a field for the code of another. */
const pairing = usePairing();
const name = ref(nameOfThis());
const code = ref(codeInAddress());
const busy = ref(false);
const problem = ref('');
onMounted(() => void doing(() => pairing.look()));

const state = computed(() => pairing.state);
const phaseText = computed(() => {
  switch (state.value?.phase) {
    case 'together':
      return 'In step with the kitchen’s server.';
    case 'connecting':
      return 'Asking the server …';
    case 'away':
      return 'The server does not answer. What you do here is kept, and sent when it does.';
    case 'shut out':
      return 'This device was taken out of the kitchen by another one. What it keeps stays here.';
    case 'newer':
      return 'Another device has a newer Pyrgotect. Nothing goes to and fro until this one is reloaded.';
    default:
      return '';
  }
});
const troubleText = computed(() =>
  (state.value?.troubles ?? []).map((trouble) => {
    const from = 'from' in trouble ? nameOf(trouble.from) : '';
    switch (trouble.kind) {
      case 'cannot be':
        return `${trouble.item} of ${from} is nothing that this program can read; it was left as it is.`;
      case 'not sealed by us':
        return 'Something at the server was not sealed by your devices; it was left alone.';
      case 'both changed':
        return `${from} and this device had both changed ${placesText(trouble.places) || (trouble.item.startsWith('cake/') ? 'a cake' : trouble.item)}. This device’s stands; of a cake the other is among its earlier versions.`;
      case 'too large':
        return `${trouble.item} is too large to travel; a backup takes it.`;
    }
  }),
);
const nameOf = (id: string): string =>
  state.value?.devices.find((one) => one.id === id)?.name ?? 'another device';

async function doing(work: () => Promise<string | null>): Promise<void> {
  busy.value = true;
  problem.value = '';
  problem.value = (await work()) ?? '';
  busy.value = false;
}
const rename = (to: string): Promise<void> =>
  doing(() => pairing.rename(to.trim() || nameOfThis()));
const offer = (): Promise<void> => doing(() => pairing.offer(name.value.trim() || nameOfThis()));
const join = (): Promise<void> =>
  doing(() => pairing.join(code.value, name.value.trim() || nameOfThis()));
</script>

<template>
  <p v-if="!state && problem" class="trouble" role="alert">{{ problem }}</p>
  <div v-if="state" class="pairing" data-test="pairing" :data-phase="state.phase">
    <section>
      <h2>Devices of the kitchen</h2>
      <p
        v-if="phaseText"
        :class="{ trouble: state.phase === 'shut out' || state.phase === 'newer' }"
      >
        {{ phaseText }}
      </p>
      <p v-if="!pairing.isPaired" class="lead">
        Desk, tablet and phone have the same cakes, pantry, records and photos once they are paired:
        a tick at the bench stands at the desk within a second, and what was done apart is put
        together. Only sealed words go over the network, and only to the server of this page.
      </p>
      <ul v-else class="devices">
        <li v-for="device in state.devices" :key="device.id" data-test="device">
          <b v-if="!device.isThis">{{ device.name }}</b>
          <WordField
            v-else
            :model-value="device.name"
            :most="40"
            aria-label="Name of this device"
            @update:model-value="rename"
          />
          <span class="soft">
            {{
              device.isThis
                ? 'this one'
                : device.isHere
                  ? 'here now'
                  : device.lastAt
                    ? `last here ${agoText(new Date(device.lastAt), new Date())}`
                    : 'not here yet'
            }}
          </span>
          <KeyButton
            v-if="!device.isThis"
            size="small"
            :disabled="busy || state.phase !== 'together'"
            @click="doing(() => pairing.revoke(device.id))"
            >Shut {{ device.name }} out</KeyButton
          >
          <KeyButton v-else size="small" :disabled="busy" @click="doing(() => pairing.leave())"
            >Take this one out</KeyButton
          >
        </li>
      </ul>
      <v-progress-linear
        v-if="state.sending !== null"
        :model-value="state.sending * 100"
        height="6"
        aria-label="How much the new device has"
      />
      <p v-if="state.said" role="status">{{ state.said }}</p>
      <p v-if="problem" class="trouble" role="alert" data-test="pairing-problem">{{ problem }}</p>
      <ul v-if="troubleText.length > 0" class="trouble">
        <li v-for="(text, i) in troubleText" :key="i">{{ text }}</li>
      </ul>
    </section>
    <section>
      <h2>Pair a device</h2>
      <p v-if="!pairing.isPaired" class="name">
        <v-text-field v-model="name" label="Name of this device" maxlength="40" />
      </p>
      <p>
        <KeyButton
          v-if="!state.offer"
          variant="flat"
          :disabled="busy"
          data-test="show-code"
          @click="offer"
          >Show a code for another device</KeyButton
        >
      </p>
      <CodeShown v-if="state.offer" :offer="state.offer" @close="pairing.withdraw()" />
      <form v-if="!pairing.isPaired && !state.offer" class="join" @submit.prevent="join">
        <v-text-field
          v-model="code"
          label="Code that the other device shows"
          inputmode="numeric"
          autocomplete="off"
          maxlength="15"
        />
        <KeyButton type="submit" :disabled="busy || code.trim() === ''" data-test="join"
          >Pair with it</KeyButton
        >
      </form>
    </section>
  </div>
</template>

<style scoped>
.pairing {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 380px), 1fr));
  gap: 8px 44px;
}
.devices {
  list-style: none;
  margin: 10px 0;
  padding: 0;
}
.devices li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
.devices li .key,
.devices li :deep(.key) {
  margin-left: auto;
}
.name,
.join {
  max-width: 340px;
}
.join {
  margin-top: 14px;
}
.trouble {
  padding: 8px 14px;
  border-left: 5px solid var(--stop);
  background: var(--stop-wash);
}
ul.trouble {
  list-style: none;
}
</style>
