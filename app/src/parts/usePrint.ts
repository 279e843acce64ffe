import { useEventListener } from '@vueuse/core';
import { onScopeDispose, ref, watchEffect, type Ref } from 'vue';

/** A text as CSS writes one. */
const quoted = (text: string): string => `"${text.replace(/["\\]/g, '\\$&').replace(/\s+/g, ' ')}"`;

/**
 * A page that goes on paper whole: its name runs along the top and its pages are counted; what is shown
 * a part at a time on a screen is shown whole while it is printed.
 */
export function usePrint(name: () => string): {
  isPrinting: Ref<boolean>;
  isLarge: Ref<boolean>;
  print: () => void;
} {
  const isPrinting = ref(false);
  /** For the wall: to be read from two steps away. */
  const isLarge = ref(false);
  useEventListener('beforeprint', () => (isPrinting.value = true));
  useEventListener('afterprint', () => (isPrinting.value = false));
  const sheet = new CSSStyleSheet();
  document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];
  watchEffect(() =>
    sheet.replaceSync(`@page {
      @top-left { content: ${quoted(name())}; font-family: sans-serif; font-size: small; }
      @bottom-right { content: counter(page) " of " counter(pages); font-family: sans-serif; font-size: small; }
    }`),
  );
  watchEffect(() => document.documentElement.classList.toggle('large-type', isLarge.value));
  onScopeDispose(() => {
    document.adoptedStyleSheets = document.adoptedStyleSheets.filter((each) => each !== sheet);
    document.documentElement.classList.remove('large-type');
  });
  return { isPrinting, isLarge, print: () => window.print() };
}
