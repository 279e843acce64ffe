import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { focusBefore, giveFocusBack } from '../src/parts/focus.ts';

const button = (html: string): HTMLElement => {
  document.body.insertAdjacentHTML('beforeend', html);
  return document.body.lastElementChild!.querySelector('button') ?? (document.body.lastElementChild as HTMLElement); // prettier-ignore
};
beforeEach(() => {
  vi.useFakeTimers();
  document.body.innerHTML = '';
});
afterEach(() => void vi.useRealTimers());

describe('focus, when a dialog closes', () => {
  it('goes back to what opened it', () => {
    const opener = button('<button>open</button>');
    opener.focus();
    const before = focusBefore();
    const inside = button('<div class="v-overlay-container"><button>inside</button></div>');
    inside.focus();
    document.querySelector('.v-overlay-container')!.remove();
    giveFocusBack(before);
    vi.runAllTimers();
    expect(document.activeElement).toBe(opener);
  });

  it('goes back to what opened the menu, when it was opened from a menu that is gone', () => {
    const more = button('<button>more</button>');
    more.focus();
    const item = button('<div class="v-overlay-container"><button>item</button></div>');
    item.focus();
    const before = focusBefore();
    expect(before).toBe(more);
    document.querySelector('.v-overlay-container')!.remove();
    giveFocusBack(before);
    vi.runAllTimers();
    expect(document.activeElement).toBe(more);
  });

  it('stays where it went by itself, in a dialog that is still open, and away from what is gone', () => {
    const opener = button('<button>open</button>');
    opener.focus();
    const before = focusBefore();
    const other = button('<button>other</button>');
    other.focus();
    giveFocusBack(before);
    vi.runAllTimers();
    expect(document.activeElement).toBe(other);
    const next = button(
      '<div class="v-overlay-container"><div class="v-dialog v-overlay--active"><button>next</button></div></div>',
    );
    next.focus();
    giveFocusBack(before);
    vi.runAllTimers();
    expect(document.activeElement).toBe(next);
    document.body.innerHTML = '';
    giveFocusBack(before);
    vi.runAllTimers();
    expect(document.activeElement).toBe(document.body);
  });
});
