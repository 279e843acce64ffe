import { useBuild } from '../stores/build.ts';
import { useShelf } from '../stores/shelf.ts';
import { download } from './download.ts';

/** Saves the open cake to a file, stored or not; nothing where none is open. */
export function useToFile(): () => Promise<void> {
  const store = useBuild();
  const shelf = useShelf();
  return async () => {
    if (!store.build) return;
    const { name, text } = await shelf.fileOf(store.build);
    download(name, text);
  };
}
