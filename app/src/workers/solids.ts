import { wrap, type Remote } from 'comlink';
import type { Solids } from './carve.worker.ts';

let remote: Remote<Solids> | null = null;
/** The worker of the solids; started when it is first asked for. */
export const solids = (): Remote<Solids> => {
  remote ??= wrap<Solids>(
    new Worker(new URL('./carve.worker.ts', import.meta.url), { type: 'module' }),
  );
  return remote;
};
