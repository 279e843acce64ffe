/** What had focus last that was not in a dialog or a menu: those are gone when they have closed. */
let last: HTMLElement | null = null;
document.addEventListener('focusin', ({ target }) => {
  if (target instanceof HTMLElement && !target.closest('.v-overlay-container')) last = target;
});

/** Where focus is to go when what opens now is closed. */
export function focusBefore(): HTMLElement | null {
  const { activeElement } = document;
  const isOutside =
    activeElement instanceof HTMLElement &&
    activeElement !== document.body &&
    !activeElement.closest('.v-overlay-container');
  return isOutside ? activeElement : last;
}

/** What closes fades, and is taken out of the page some time after this; then another may be open. */
const fadesMs = 400;
const looksMs = 50;

/** Gives focus back, unless it has gone somewhere of its own by then. */
export function giveFocusBack(to: HTMLElement | null, leftMs = fadesMs): void {
  setTimeout(() => {
    const { activeElement } = document;
    const isLost =
      !activeElement ||
      activeElement === document.body ||
      activeElement.closest('.v-overlay-container') !== null;
    if (!isLost || !to?.isConnected) return;
    if (document.querySelector('.v-overlay--active.v-dialog') === null)
      return to.focus({ preventScroll: true });
    if (leftMs > looksMs) giveFocusBack(to, leftMs - looksMs);
  }, looksMs);
}
