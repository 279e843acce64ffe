import type { Remote } from 'comlink';
import type { Pictures } from './picture.worker.ts';
import { Watched } from './watched.ts';

const watched = new Watched<Pictures>(
  () => new Worker(new URL('./picture.worker.ts', import.meta.url), { type: 'module' }),
);
/** Asks the worker that draws pictures; it is started when it is first asked. */
export const askPictures = <A>(work: (pictures: Remote<Pictures>) => Promise<A>): Promise<A> =>
  watched.ask((remote) => work(remote));
