<script setup lang="ts">
import qrcode from 'qrcode-generator';
import { computed } from 'vue';
import { home } from '../home.ts';
import { schemes } from '../styles/palette.ts';
import { pairingLink } from './this-device.ts';

/** The code for a new device, to be typed there, or taken by its camera. */
const props = defineProps<{ offer: { code: string; shown: string; addresses: string[] } }>();
const emit = defineEmits<{ close: [] }>();

const bare = (address: string): string => address.replace(/\/$/, '');
/** Addresses of this server as another device would open it. */
const origins = computed(() => {
  const { protocol, hostname, port, pathname, href } = home();
  const isLocal = /^(localhost|127\.|\[::1\])/.test(hostname);
  if (!isLocal) return [bare(href)];
  return props.offer.addresses.map((address) =>
    bare(`${protocol}//${address}${port ? `:${port}` : ''}${pathname}`),
  );
});
/** Its dark squares as one path, and how many fit into a side. */
const drawn = computed(() => {
  const origin = origins.value[0];
  if (!origin) return null;
  const code = qrcode(0, 'M');
  code.addData(pairingLink(origin, props.offer.code));
  code.make();
  const side = code.getModuleCount();
  let path = '';
  for (let row = 0; row < side; row++)
    for (let column = 0; column < side; column++)
      if (code.isDark(row, column)) path += `M${column} ${row}h1v1h-1z`;
  return { side, path };
});
</script>

<template>
  <div class="shown" data-test="code-shown">
    <p class="code" data-test="code">{{ offer.shown }}</p>
    <p v-if="origins.length > 0">
      On the new device, in the same network, open
      <b v-for="(origin, i) in origins" :key="origin">{{ i > 0 ? ' or ' : '' }}{{ origin }}</b
      >, then Backup, there “desk, tablet and phone”, and give this code; or point its camera here.
    </p>
    <p v-else class="trouble">
      This server answers this machine alone. Start it with HOST=0.0.0.0, and other devices of your
      network find it.
    </p>
    <svg
      v-if="drawn"
      class="qr"
      :viewBox="`-4 -4 ${drawn.side + 8} ${drawn.side + 8}`"
      role="img"
      aria-label="The same code, for a camera"
      shape-rendering="crispEdges"
    >
      <!-- a camera wants dark on light, whatever the colours of the screen -->
      <rect
        x="-4"
        y="-4"
        :width="drawn.side + 8"
        :height="drawn.side + 8"
        :fill="schemes.paper.milk"
      />
      <path :d="drawn.path" :fill="schemes.paper.ink" />
    </svg>
    <p class="soft">Good for one try, for ten minutes.</p>
    <p><KeyButton size="small" @click="emit('close')">Put the code away</KeyButton></p>
  </div>
</template>

<style scoped>
.code {
  font-size: var(--size-big);
  font-family: var(--heading);
  font-weight: 700;
  letter-spacing: 0.06em;
}
.qr {
  display: block;
  width: 190px;
  margin: 10px 0;
}
.trouble {
  padding: 8px 14px;
  border-left: 5px solid var(--stop);
  background: var(--stop-wash);
}
</style>
