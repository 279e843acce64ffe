<script setup lang="ts">
import { ref } from 'vue';
import QuantityField from '../figures/QuantityField.vue';
import { useDevices } from '../stores/devices.ts';
import { useUnits } from '../figures/units.ts';
import DialogBox from '../parts/DialogBox.vue';

/** The stand-ins for scale and thermometer: what stands on one, what the other hangs in. */
const emit = defineEmits<{ close: [] }>();
const devices = useDevices();
const { text } = useUnits();
const putG = ref(100);
const bowlC = ref(45);
const bowlG = ref(400);
const aroundC = ref(21);
const steps = [-50, -10, 1, 10, 50];
</script>

<template>
  <DialogBox max-width="620" @update:model-value="emit('close')">
    <v-card class="devices" data-test="devices">
      <h1>Scale and thermometer</h1>
      <p class="soft">
        Stand-ins that come with the program: they behave as devices on a bench do. When they are
        away, everything is done by typing.
      </p>
      <p v-if="devices.nonsense" class="problem" role="alert">
        {{ devices.nonsense }}. It was not taken.
      </p>
      <h2>
        Scale:
        {{ devices.scaleIsThere ? text(devices.grams ?? 0, 'small') : 'away' }}
      </h2>
      <p class="row">
        <QuantityField
          :model-value="putG"
          :of="{ kind: 'small', min: 1, max: 20000 }"
          label="What is set on the scale"
          @update:model-value="(g) => (putG = g)"
        />
        <KeyButton variant="flat" data-test="put" @click="devices.ask({ do: 'put', g: putG })">
          Set it on
        </KeyButton>
        <KeyButton v-for="g in steps" :key="g" @click="devices.ask({ do: 'put', g })">
          {{ g > 0 ? '+' : '−' }}{{ text(Math.abs(g), 'small') }}
        </KeyButton>
      </p>
      <p class="row">
        <KeyButton @click="devices.ask({ do: 'clear' })"> Take everything off </KeyButton>
        <KeyButton @click="devices.ask({ do: 'tare' })">Tare</KeyButton>
      </p>
      <h2>
        Thermometer:
        {{ devices.tempC === null ? 'in no bowl' : text(devices.tempC, 'temperature') }}
      </h2>
      <p class="row">
        A bowl of
        <QuantityField
          :model-value="bowlG"
          :of="{ kind: 'small', min: 10, max: 20000 }"
          label="Mass of the bowl’s content"
          @update:model-value="(g) => (bowlG = g)"
        />
        at
        <QuantityField
          :model-value="bowlC"
          :of="{ kind: 'temperature', min: -20, max: 120 }"
          label="Temperature of the bowl"
          @update:model-value="(c) => (bowlC = c)"
        />
        where it is
        <QuantityField
          :model-value="aroundC"
          :of="{ kind: 'temperature', min: -20, max: 60 }"
          label="Temperature around the bowl"
          @update:model-value="(c) => (aroundC = c)"
        />
      </p>
      <p class="row">
        <KeyButton
          variant="flat"
          data-test="hang"
          @click="devices.ask({ do: 'bowl', tempC: bowlC, massG: bowlG, aroundC })"
        >
          Hang it in
        </KeyButton>
        <KeyButton @click="devices.ask({ do: 'no bowl' })"> Take it out </KeyButton>
        <span class="grow" />
        <KeyButton @click="emit('close')">Close</KeyButton>
      </p>
    </v-card>
  </DialogBox>
</template>

<style scoped>
.devices {
  padding: 22px 26px;
  display: block;
  font-size: var(--size-lead);
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  margin-top: 10px;
}
.row .key {
  min-height: 46px;
  font-size: var(--size-lead);
}
.grow {
  flex: 1;
}
.problem {
  color: var(--stop);
}
</style>
