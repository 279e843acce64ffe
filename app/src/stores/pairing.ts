import { proxy, type Remote } from 'comlink';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import type { PairingDesk } from '../pairing/pairing-desk.ts';
import type { PairingState } from '../pairing/pairing-state.ts';
import { home } from '../home.ts';
import { pairingAddress } from '../pairing/server-line.ts';
import { Watched } from '../workers/watched.ts';

const worker = new Watched<PairingDesk>(
  () => new Worker(new URL('../workers/pairing.worker.ts', import.meta.url), { type: 'module' }),
);

/** This device and those it is paired with; what is between them goes on beside the page. */
export const usePairing = defineStore('pairing', () => {
  const state = shallowRef<PairingState | null>(null);
  const isPaired = computed(() => (state.value?.devices.length ?? 0) > 0);
  let starting: Promise<void> | null = null;

  /** Begins to keep in step, once. */
  function start(): Promise<void> {
    starting ??= worker.ask((desk) =>
      desk.start(
        pairingAddress(home().href),
        proxy((now: PairingState) => void (state.value = now)),
      ),
    );
    // what could not begin is tried again when it is asked for next
    starting.catch(() => (starting = null));
    return starting;
  }
  /** Asks for something that may take as long as the server does; what goes wrong is said in words. */
  async function ask(
    work: (desk: Remote<PairingDesk>) => Promise<unknown>,
  ): Promise<string | null> {
    try {
      await start();
      await worker.ask((desk, pulse) => {
        const alive = setInterval(pulse, 2000);
        return work(desk).finally(() => clearInterval(alive));
      });
      return null;
    } catch (error) {
      return error instanceof Error ? error.message : String(error);
    }
  }
  return {
    state,
    isPaired,
    start,
    look: () => ask((desk) => desk.look()),
    offer: (name: string) => ask((desk) => desk.offer(name)),
    withdraw: () => ask((desk) => desk.withdraw()),
    join: (code: string, name: string) => ask((desk) => desk.join(code, name)),
    rename: (name: string) => ask((desk) => desk.rename(name)),
    revoke: (device: string) => ask((desk) => desk.revoke(device)),
    leave: () => ask((desk) => desk.leave()),
  };
});
