import type { Remote } from 'comlink';
import type { Solids } from './carve.worker.ts';
import { Watched } from './watched.ts';

const watched = new Watched<Solids>(
  () => new Worker(new URL('./carve.worker.ts', import.meta.url), { type: 'module' }),
);
/** Asks the worker of the solids; it is started when it is first asked. */
export const askSolids = <A>(work: (solids: Remote<Solids>) => Promise<A>): Promise<A> =>
  watched.ask((remote) => work(remote));
