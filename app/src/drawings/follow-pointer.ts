/** Of a drawing, px from its upper left corner. */
export interface PointerAt {
  x: number;
  y: number;
  event: PointerEvent;
}
interface Follow {
  move: (at: PointerAt) => void;
  /** It was let go; `at` is where it was last. */
  end?: (at: PointerAt) => void;
  /** Taken back: Escape, or the system took the pointer. Else it ends as if let go. */
  cancel?: () => void;
}

/** Where a pointer is in the drawing that it was pressed in. */
export function pointerIn(drawing: Element, event: PointerEvent): PointerAt {
  const box = drawing.getBoundingClientRect();
  return { x: event.clientX - box.left, y: event.clientY - box.top, event };
}

/**
 * What is dragged in a drawing: from the press of the main button until that pointer lets go, even
 * outside of the drawing, or where what was held is drawn anew meanwhile. Returns where it was
 * pressed; null for another button.
 */
export function followPointer(press: PointerEvent, follow: Follow): PointerAt | null {
  if (press.button !== 0) return null;
  const held = press.currentTarget as Element;
  const drawing = held.closest('svg, canvas') ?? held;
  held.setPointerCapture(press.pointerId);
  const over = new AbortController();
  const stop = (): void => over.abort();
  const listen = (kind: string, then: (event: PointerEvent) => void): void =>
    window.addEventListener(
      kind,
      (event) => {
        if ((event as PointerEvent).pointerId === press.pointerId) then(event as PointerEvent);
      },
      { signal: over.signal },
    );
  let last = pointerIn(drawing, press);
  const begun = last;
  const give = (): void => {
    stop();
    if (follow.cancel) follow.cancel();
    else follow.end?.(last);
  };
  listen('pointermove', (event) => {
    if (!drawing.isConnected) return give();
    last = pointerIn(drawing, event);
    follow.move(last);
  });
  listen('pointerup', () => {
    stop();
    follow.end?.(last);
  });
  listen('pointercancel', give);
  window.addEventListener(
    'keydown',
    (event) => {
      if (event.key === 'Escape') give();
    },
    { signal: over.signal },
  );
  return begun;
}

/** How an arrow key moves a thing on a drawing whose y goes up: right, up; null for other keys. */
export function arrowOf(event: KeyboardEvent): { right: number; up: number } | null {
  switch (event.key) {
    case 'ArrowLeft':
      return { right: -1, up: 0 };
    case 'ArrowRight':
      return { right: 1, up: 0 };
    case 'ArrowUp':
      return { right: 0, up: 1 };
    case 'ArrowDown':
      return { right: 0, up: -1 };
    default:
      return null;
  }
}
