import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { arrowOf, followPointer, type PointerAt } from '../src/drawings/follow-pointer.ts';

let drawing: SVGSVGElement;
let handle: SVGCircleElement;
let said: string[];
const follow = {
  move: ({ x, y }: PointerAt) => void said.push(`move ${x} ${y}`),
  end: ({ x, y }: PointerAt) => void said.push(`end ${x} ${y}`),
  cancel: () => void said.push('back'),
};
/** A press on the handle; `button` 0 is the main one. */
function press(more: PointerEventInit = {}, by: Parameters<typeof followPointer>[1] = follow) {
  let begun: PointerAt | null = null;
  handle.addEventListener('pointerdown', (event) => (begun = followPointer(event, by)), { once: true }); // prettier-ignore
  handle.dispatchEvent(new PointerEvent('pointerdown', { pointerId: 1, button: 0, clientX: 10, clientY: 20, ...more })); // prettier-ignore
  return begun as PointerAt | null;
}
const send = (kind: string, clientX: number, clientY: number, pointerId = 1): void =>
  void window.dispatchEvent(new PointerEvent(kind, { pointerId, clientX, clientY }));

beforeEach(() => {
  said = [];
  drawing = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
  handle = document.createElementNS('http://www.w3.org/2000/svg', 'circle');
  drawing.append(handle);
  document.body.append(drawing);
  handle.setPointerCapture = () => undefined;
});
afterEach(() => drawing.remove());

describe('what is dragged in a drawing', () => {
  it('follows its pointer to where it is let go, and no further', () => {
    expect(press()).toMatchObject({ x: 10, y: 20 });
    send('pointermove', 30, 40);
    send('pointermove', 50, 60);
    send('pointerup', 50, 60);
    send('pointermove', 70, 80);
    expect(said).toEqual(['move 30 40', 'move 50 60', 'end 50 60']);
  });
  it('is taken back by Escape, or when the system takes the pointer', () => {
    press();
    send('pointermove', 30, 40);
    window.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape' }));
    send('pointerup', 30, 40);
    expect(said).toEqual(['move 30 40', 'back']);
    said = [];
    press();
    send('pointercancel', 0, 0);
    expect(said).toEqual(['back']);
  });
  it('ends where it last was, where nothing is said of taking back', () => {
    press({}, { move: follow.move, end: follow.end });
    send('pointermove', 5, 6);
    send('pointercancel', 0, 0);
    expect(said).toEqual(['move 5 6', 'end 5 6']);
  });
  it('minds neither another finger nor another button', () => {
    expect(press({ button: 2 })).toBeNull();
    send('pointermove', 30, 40);
    expect(said).toEqual([]);
    press();
    send('pointermove', 30, 40, 2);
    send('pointerup', 30, 40, 2);
    expect(said).toEqual([]);
    send('pointerup', 1, 1);
    expect(said).toEqual(['end 10 20']);
  });
  it('goes back where its drawing is gone', () => {
    press();
    drawing.remove();
    send('pointermove', 30, 40);
    expect(said).toEqual(['back']);
  });
});

describe('arrow keys', () => {
  it('move right and up, and other keys nowhere', () => {
    const of = (key: string) => arrowOf(new KeyboardEvent('keydown', { key }));
    expect(of('ArrowLeft')).toEqual({ right: -1, up: 0 });
    expect(of('ArrowRight')).toEqual({ right: 1, up: 0 });
    expect(of('ArrowUp')).toEqual({ right: 0, up: 1 });
    expect(of('ArrowDown')).toEqual({ right: 0, up: -1 });
    expect(of('Enter')).toBeNull();
  });
});
