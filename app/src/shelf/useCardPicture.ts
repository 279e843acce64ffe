import { useLocalStorage } from '@vueuse/core';
import { onScopeDispose, ref, watch, type Ref } from 'vue';
import { drawnKey, drawnPicture, keepDrawn } from '../storage/drawn.ts';
import { useScheme } from '../styles/scheme.ts';
import type { CardAsked } from './card-pictures.ts';

/** What the cards of the shelf show of a cake. */
export type CardShows = 'section' | 'picture';
export const useCardShows = (): Ref<CardShows> =>
  useLocalStorage<CardShows>('pyrgotect shelf shows', 'section');

/** True once the browser has said that it draws no solids in a worker. */
export const cannotDraw = ref(false);

/**
 * Address of a cake's picture, where the shelf shows pictures: the one drawn last at once, a new one when it is
 * drawn. Null as long as there is none.
 *
 * @param asked null as long as something of the cake is not known yet
 */
export function useCardPicture(
  cakeId: string,
  asked: () => Omit<CardAsked, 'colours'> | null,
): Ref<string | null> {
  const shows = useCardShows();
  const { scheme, colours } = useScheme();
  const address = ref<string | null>(null);
  let latest = 0;
  const show = (image: Blob | null): void => {
    if (address.value) URL.revokeObjectURL(address.value);
    address.value = image && URL.createObjectURL(image);
  };
  watch(
    [shows, asked, scheme],
    async () => {
      const mine = ++latest;
      const isWanted = (): boolean => mine === latest;
      if (shows.value !== 'picture') return show(null);
      const key = drawnKey(cakeId, scheme.value);
      const known = await drawnPicture(key);
      if (!isWanted()) return;
      if (known) show(known.image);
      const now = asked();
      if (!now || cannotDraw.value) return;
      const { cardStamp, drawCard, drawsAside } = await import('./card-pictures.ts');
      const whole: CardAsked = { ...now, colours: colours.value };
      const stamp = cardStamp(whole, scheme.value);
      if (!isWanted() || known?.stamp === stamp) return;
      try {
        cannotDraw.value = !(await drawsAside());
        if (cannotDraw.value) return;
        const image = await drawCard(whole, isWanted);
        if (!image || !isWanted()) return;
        show(image);
        await keepDrawn({ key, cakeId, stamp, image });
      } catch {
        // this one keeps its section, or the picture of before
      }
    },
    { immediate: true },
  );
  onScopeDispose(() => {
    latest += 1;
    show(null);
  });
  return address;
}
