import 'fake-indexeddb/auto';
import { freezeDocuments } from '@pyrgotect/core';
import { afterAll, vi } from 'vitest';

// a document that is changed in place would be planned as it was: here it is an error
freezeDocuments();

class Observer {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}
globalThis.ResizeObserver ??= Observer as unknown as typeof ResizeObserver;
globalThis.IntersectionObserver ??= Observer as unknown as typeof IntersectionObserver;
if (typeof visualViewport === 'undefined' || visualViewport === null)
  Object.defineProperty(globalThis, 'visualViewport', { value: new EventTarget() });

// as the interface tests: what depends on the region is tested by naming one
if (typeof navigator !== 'undefined')
  Object.defineProperty(navigator, 'language', { value: 'en-GB', configurable: true });

// a part that a screen still fetches would come when the page is gone
afterAll(async () => {
  await vi.dynamicImportSettled();
});
