import { reactive } from 'vue';

/** What a screen reader is told without being asked; the urgent breaks in. */
export const said = reactive({ polite: '', urgent: '' });

/** It has been read out by then; who goes through the page by hand is not to find it again, ms. */
const staysMs = 1500;
const ends = { polite: 0, urgent: 0 };

/** Says something, once more even where the same was said before. */
export function announce(text: string, how: 'polite' | 'urgent' = 'polite'): void {
  window.clearTimeout(ends[how]);
  said[how] = said[how] === text ? `${text}\u200b` : text;
  ends[how] = window.setTimeout(() => (said[how] = ''), staysMs);
}
