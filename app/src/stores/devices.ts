import {
  freshId,
  fitCooling,
  readMessage,
  settledOn,
  type CoolingFit,
  type DeviceAsk,
  type TempReading,
  type TimedReading,
} from '@pyrgotect/core';
import { atHome } from '../home.ts';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { useSettings } from './settings.ts';

/** Readings of the scale that are looked at, and of the thermometer, as many. */
const keptScale = 24;
const keptProbe = 600;
/** A device that has said nothing for so long is away, ms. */
const silentMs = 3000;
/** When what was never heard spoke last. */
const neverMs = -Infinity;
const retryMs = [500, 1000, 2000, 5000, 10_000] as const;

/** This browser's bench among the stand-ins, the same over a reload. */
function benchName(): string {
  const key = 'pyrgotect bench';
  const known = localStorage.getItem(key);
  if (known) return known;
  const made = freshId('bench', 13);
  localStorage.setItem(key, made);
  return made;
}

/** Scale and thermometer at the bench. Where they are away nothing waits for them. */
export const useDevices = defineStore('devices', () => {
  const settings = useSettings();
  const scale = shallowRef<TimedReading[]>([]);
  const probe = shallowRef<TempReading[]>([]);
  const nowMs = ref(performance.now());
  const connected = ref(false);
  /** What a device said last that made no sense. */
  const nonsense = ref('');
  let socket: WebSocket | null = null;
  let wanted = 0;
  let tries = 0;
  let clock: ReturnType<typeof setInterval> | undefined;
  let retry: ReturnType<typeof setTimeout> | undefined;

  function hear(data: unknown): void {
    const read = readMessage(data);
    if (!read.ok) return void (nonsense.value = read.problem);
    nonsense.value = '';
    const atMs = performance.now();
    nowMs.value = atMs;
    if (read.reading.device === 'scale')
      scale.value = [...scale.value.slice(-keptScale), { atMs, value: read.reading.g }];
    else {
      const { tempC } = read.reading;
      const last = probe.value.at(-1);
      // a jump is another bowl: its curve begins anew
      const isOther = last && (Math.abs(last.tempC - tempC) > 2 || atMs / 60_000 - last.atMin > 2);
      probe.value = [
        ...(isOther ? [] : probe.value.slice(-keptProbe)),
        { atMin: atMs / 60_000, tempC },
      ];
    }
  }
  function connect(): void {
    const url = atHome('api/devices');
    url.protocol = url.protocol === 'https:' ? 'wss:' : 'ws:';
    url.searchParams.set('bench', benchName());
    const mine = new WebSocket(url);
    socket = mine;
    mine.addEventListener('open', () => {
      tries = 0;
      connected.value = true;
    });
    mine.addEventListener('message', (event) => hear(event.data));
    mine.addEventListener('close', () => {
      if (socket !== mine) return;
      socket = null;
      connected.value = false;
      scale.value = [];
      if (wanted > 0) retry = setTimeout(connect, retryMs[Math.min(tries++, retryMs.length - 1)]);
    });
  }
  function start(): void {
    connect();
    clock = setInterval(() => (nowMs.value = performance.now()), 1000);
  }
  function stop(): void {
    clearInterval(clock);
    clearTimeout(retry);
    const mine = socket;
    socket = null;
    mine?.close();
    connected.value = false;
    scale.value = [];
  }
  /** Listens to the devices, where they are turned on, until the function that is given back is called. */
  function listen(): () => void {
    if (++wanted === 1 && settings.devices) start();
    return () => {
      if (--wanted === 0) stop();
    };
  }
  watch(
    () => settings.devices,
    (on) => {
      if (wanted > 0) (on ? start : stop)();
    },
  );
  function ask(what: DeviceAsk): void {
    if (socket?.readyState === WebSocket.OPEN) socket.send(JSON.stringify(what));
  }

  const scaleIsThere = computed(
    () => connected.value && nowMs.value - (scale.value.at(-1)?.atMs ?? neverMs) < silentMs,
  );
  const probeIsThere = computed(
    () =>
      connected.value &&
      nowMs.value - (probe.value.at(-1)?.atMin ?? neverMs) * 60_000 < 2 * silentMs,
  );
  const grams = computed(() => (scaleIsThere.value ? (scale.value.at(-1)?.value ?? null) : null));
  /** What it has settled on; null while it moves. */
  const settledG = computed(() => (scaleIsThere.value ? settledOn(scale.value) : null));
  const tempC = computed(() => (probeIsThere.value ? (probe.value.at(-1)?.tempC ?? null) : null));
  const fitFor = (aroundC: number): CoolingFit | null =>
    probeIsThere.value ? fitCooling(probe.value, aroundC) : null;
  return {
    connected,
    nonsense,
    scaleIsThere,
    probeIsThere,
    grams,
    settledG,
    tempC,
    fitFor,
    listen,
    ask,
  };
});
