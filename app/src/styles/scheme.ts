import { usePreferredDark } from '@vueuse/core';
import { computed } from 'vue';
import { useSettings } from '../stores/settings.ts';
import { paletteCss, schemes } from './palette.ts';

/** The scheme that is shown, and its colours for what takes no variables of the style sheet (charts). */
export function useScheme() {
  const settings = useSettings();
  const prefersDark = usePreferredDark();
  const scheme = computed(() =>
    settings.scheme === 'auto' ? (prefersDark.value ? 'night' : 'paper') : settings.scheme,
  );
  return { scheme, colours: computed(() => schemes[scheme.value]) };
}

/** The palette's variables in a constructed sheet, which the content policy allows. */
export function usePalette(): void {
  const sheet = new CSSStyleSheet();
  sheet.replaceSync(paletteCss);
  document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];
}
