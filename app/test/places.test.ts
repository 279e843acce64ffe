import { flushPromises } from '@vue/test-utils';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { createMemoryHistory, createRouter, type Router } from 'vue-router';
import { announce, said } from '../src/parts/announce.ts';
import { contentId, keepPlaces } from '../src/parts/places.ts';
import { tip, vTip } from '../src/parts/tip.ts';

/* Where one is on a page, what is told of it, and what is shown of what is pointed at. */

beforeEach(() => void vi.useFakeTimers());
afterEach(() => {
  vi.useRealTimers();
  document.body.innerHTML = '';
});

/** A router between the shelf and one page more. */
const between = (other: string): Router =>
  createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/', name: 'shelf', component: { template: '<main />' } },
      { path: `/${other}`, name: other, component: { template: '<main />' } },
    ],
  });

it('a new page has focus at its content and says its title; the same page does not', async () => {
  const router = between('pantry');
  router.afterEach((to) => void (document.title = String(to.name)));
  keepPlaces(router);
  document.body.innerHTML = `<button>x</button><main id="${contentId}" tabindex="-1"></main>`;
  await router.push('/');
  await vi.runAllTimersAsync();
  // how one came here first is not told again
  expect(document.activeElement?.id).not.toBe(contentId);
  await router.push('/pantry');
  await vi.advanceTimersByTimeAsync(200);
  expect(document.activeElement?.id).toBe(contentId);
  expect(said.polite).toBe('pantry');
  document.querySelector('button')!.focus();
  await router.push('/pantry?table=tins');
  await vi.runAllTimersAsync();
  await flushPromises();
  expect(document.activeElement?.tagName).toBe('BUTTON');
});

it('focus stays with who began to type on the new page before it was there', async () => {
  const router = between('new');
  keepPlaces(router);
  document.body.innerHTML = `<main id="${contentId}" tabindex="-1"><input /></main>`;
  await router.push('/');
  await router.push('/new');
  document.querySelector('input')!.focus();
  await vi.runAllTimersAsync();
  expect(document.activeElement?.tagName).toBe('INPUT');
});

it('the same thing said twice is told twice', () => {
  announce('Saved');
  const first = said.polite;
  announce('Saved');
  expect(said.polite).not.toBe(first);
  expect(said.polite.replace('\u200b', '')).toBe('Saved');
  vi.runAllTimers();
  expect(said.polite).toBe('');
});

it('a tip comes with the mouse, follows its words, and goes with Esc or the thing itself', () => {
  const key = document.createElement('button');
  document.body.append(key);
  const hook = (name: 'mounted' | 'updated' | 'unmounted', value: string): void => {
    const hooks = vTip as Record<string, (el: HTMLElement, binding: { value: string }) => void>;
    hooks[name]!(key, { value });
  };
  hook('mounted', 'Undo the dam');
  const point = (type: string): void =>
    void key.dispatchEvent(Object.assign(new Event(type), { pointerType: 'mouse' }));
  point('pointerenter');
  expect([tip.at, tip.text]).toEqual([key, 'Undo the dam']);
  hook('updated', 'Undo the board');
  expect(tip.text).toBe('Undo the board');
  key.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape' }));
  expect(tip.at).toBeNull();
  point('pointerenter');
  hook('unmounted', '');
  expect(tip.at).toBeNull();
  // a finger presses, it does not point
  key.dispatchEvent(Object.assign(new Event('pointerenter'), { pointerType: 'touch' }));
  expect(tip.at).toBeNull();
});
