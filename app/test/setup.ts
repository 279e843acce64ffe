import 'fake-indexeddb/auto';

class Observer {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}
globalThis.ResizeObserver ??= Observer as unknown as typeof ResizeObserver;
globalThis.IntersectionObserver ??= Observer as unknown as typeof IntersectionObserver;
if (typeof visualViewport === 'undefined' || visualViewport === null)
  Object.defineProperty(globalThis, 'visualViewport', { value: new EventTarget() });
