import { reactive, type Directive } from 'vue';

/** What is shown over the page now: a few words for what is pointed at, or has focus. */
export const tip = reactive<{ at: HTMLElement | null; text: string }>({ at: null, text: '' });

const texts = new WeakMap<HTMLElement, string>();
const hide = (el: EventTarget | null): void => {
  if (tip.at === el) tip.at = null;
};
const show = (el: HTMLElement): void => {
  const text = texts.get(el);
  if (text) Object.assign(tip, { at: el, text });
};

/**
 * A few words about a control, when it is pointed at or reached with Tab; Esc puts them away. Its name
 * is told to who does not see it by the control's own label.
 */
export const vTip: Directive<HTMLElement, string | undefined> = {
  mounted(el, { value }) {
    texts.set(el, value ?? '');
    el.addEventListener('pointerenter', ({ pointerType }) => pointerType === 'mouse' && show(el));
    el.addEventListener('focus', () => el.matches(':focus-visible') && show(el));
    for (const end of ['pointerleave', 'blur', 'pointerdown'])
      el.addEventListener(end, () => hide(el));
    el.addEventListener('keydown', ({ key }) => key === 'Escape' && hide(el));
  },
  updated(el, { value }) {
    texts.set(el, value ?? '');
    if (tip.at === el) tip.text = value ?? '';
  },
  unmounted: hide,
};
