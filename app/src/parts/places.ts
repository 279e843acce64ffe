import { nextTick } from 'vue';
import type { Router } from 'vue-router';
import { announce } from './announce.ts';

/** The content of a page: where the skip link leads, and where focus goes with a new page. */
export const contentId = 'content';

/** What scrolls on a page: the sheet of a cake, the content of the others, or the page itself. */
const scrollers = (): Element[] => [
  ...document.querySelectorAll('[data-scrolls]'),
  ...(document.scrollingElement ? [document.scrollingElement] : []),
];
/** Which of the pages gone through is shown: the browser's own count changes before a page is left. */
let shown: number | undefined;
const placeNow = (): number | undefined =>
  (history.state as { position?: number } | null)?.position;

function keep(): void {
  const tops = scrollers().map((el) => Math.round(el.scrollTop));
  try {
    sessionStorage.setItem(`scroll/${shown}`, JSON.stringify(tops));
  } catch {
    // a browser that keeps nothing begins each page at its top
  }
}

/** What is not yet as long as it was gets longer while it is worked out: it is tried so long, ms. */
const triesMs = 3000;
const everyMs = 100;
function restore(): void {
  const kept = sessionStorage.getItem(`scroll/${shown}`);
  if (!kept) return;
  const tops = JSON.parse(kept) as number[];
  if (tops.every((top) => top === 0)) return;
  const until = performance.now() + triesMs;
  // who scrolls meanwhile has decided otherwise
  const stop = new AbortController();
  for (const act of ['wheel', 'pointerdown', 'keydown', 'touchstart'])
    window.addEventListener(act, () => stop.abort(), { once: true, signal: stop.signal });
  const attempt = (): void => {
    if (stop.signal.aborted) return;
    const now = scrollers();
    tops.forEach((top, i) => now[i]?.scrollTo({ top }));
    const isThere = tops.every((top, i) => Math.abs((now[i]?.scrollTop ?? 0) - top) < 2);
    if (isThere || performance.now() > until) stop.abort();
    else setTimeout(attempt, everyMs);
  };
  attempt();
}

/** Focus goes to the content, unless somebody is in it already: who began to type goes on typing. */
function toContent(): void {
  const content = document.getElementById(contentId);
  if (!content?.contains(document.activeElement)) content?.focus({ preventScroll: true });
}

/**
 * Back, forward and reload keep how far one had scrolled; a new page begins at its content, with focus
 * there, and says its title. A stage of the same cake leaves focus where it was pressed.
 */
export function keepPlaces(router: Router): void {
  let isBack = true;
  // told before the router sets out, which may be there before the window's own listeners are called
  router.options.history.listen(() => (isBack = true));
  window.addEventListener('pagehide', keep);
  router.beforeEach((to, from) => {
    if (to.path !== from.path) keep();
  });
  router.afterEach(async (to, from, failure) => {
    if (failure) return;
    shown = placeNow();
    const [wasBack, isFirst] = [isBack, from.matched.length === 0];
    isBack = false;
    if (to.path === from.path && !isFirst) return;
    await nextTick();
    setTimeout(() => {
      if (!isFirst) announce(document.title);
      if (to.name !== from.name && !isFirst && !to.hash) toContent();
      if (wasBack) restore();
    }, everyMs);
  });
}
