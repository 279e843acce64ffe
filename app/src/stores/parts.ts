import type { Router } from 'vue-router';
import { report } from './faults.ts';

/** When the page was last loaded anew for a part that was missing, ms; kept for the window only. */
const key = 'loaded-anew-at';
/** A part that is missing again so soon is not there at all, ms. */
const soonMs = 30_000;

const toldOf = (part: string): Error =>
  new Error(
    `A part of the program could not be loaded (${part.slice(0, 120)}). Nothing is lost; without a network, only what was once loaded works`,
  );

/** Whether the server has another program by now: that with which this page began is gone there. */
async function isRenewed(): Promise<boolean> {
  const began = document.querySelector<HTMLScriptElement>('script[type="module"][src]');
  if (!began) return false;
  const { status, headers } = await fetch(began.src, { method: 'HEAD', cache: 'no-store' });
  // a host of files may answer with its first page where something is gone
  return status === 404 || (headers.get('content-type') ?? '').includes('text/html');
}

/**
 * After an update the old parts may be gone from the server: the page is loaded anew, once. Where that does
 * not help it is said, and the page stays as it is.
 */
export function watchParts(router: Router): void {
  window.addEventListener('vite:preloadError', (event) => {
    const last = Number(sessionStorage.getItem(key) ?? 0);
    if (Date.now() - last < soonMs) return;
    event.preventDefault();
    // loaded anew from a server that is away, or going, the page would be gone, and what it shows with it
    const stay = (): void => report(toldOf('the server did not give it'));
    isRenewed().then((renewed) => {
      if (!renewed) return stay();
      sessionStorage.setItem(key, String(Date.now()));
      window.location.reload();
    }, stay);
  });
  router.onError((error: unknown) =>
    report(toldOf(error instanceof Error ? error.message : String(error))),
  );
}
