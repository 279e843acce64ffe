import { cutKinds, limits, newBuild } from '@pyrgotect/core';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { buildKeys, type KeyActions } from '../src/parts/build-keys.ts';
import { keysOf } from '../src/parts/keys.ts';
import { choiceOf, chosenValue, cutFields } from '../src/sheets/carve/cut-fields.ts';
import { mergesNothing, saveBuild } from '../src/storage/builds.ts';
import { database } from '../src/storage/database.ts';
import { useBuild } from '../src/stores/build.ts';
import { useSettings } from '../src/stores/settings.ts';

/* What a key does while a cake is open, and what can be set of a cut. */

const actions = (): KeyActions => ({
  store: useBuild(),
  go: vi.fn(),
  toBench: vi.fn(),
  toPrint: vi.fn(),
  show: vi.fn(),
});
const press = (
  key: string,
  on: KeyActions,
  more: Partial<KeyboardEvent> & { target?: EventTarget } = {},
): KeyboardEvent => {
  const { target = document.body, ...rest } = more;
  const event = new KeyboardEvent('keydown', { key, cancelable: true, ...rest });
  Object.defineProperty(event, 'target', { value: target });
  buildKeys(event, on);
  return event;
};
const heights = (): number[] => useBuild().build!.tiers[0]!.layers.map(({ heightMm }) => heightMm);

beforeEach(async () => {
  setActivePinia(createPinia());
  await Promise.all(database.tables.map((table) => table.clear()));
  await saveBuild(newBuild('cake', 'Cake', '2027-05-03T09:30:00Z'), 0, mergesNothing, 'New');
  await useBuild().open('cake');
});
afterEach(() => useBuild().flush());

describe('keys of an open cake', () => {
  it('open its sheets, the bench, the print, the lists', () => {
    const on = actions();
    press('2', on);
    expect(on.go).toHaveBeenCalledWith('stack');
    press('b', on);
    press('p', on);
    press('h', on);
    press('?', on);
    expect(press('/', on).defaultPrevented).toBe(true);
    expect([on.toBench, on.toPrint].every((one) => vi.mocked(one).mock.calls.length === 1)).toBe(
      true,
    );
    expect(vi.mocked(on.show).mock.calls.map(([dialog]) => dialog)).toEqual([
      'history',
      'keys',
      'find',
    ]);
    press('u', on);
    expect(useSettings().isMetric).toBe(false);
  });
  it('walk through the parts, from the board up and from the top down, and stop at the ends', () => {
    const on = actions();
    press(']', on);
    expect(useBuild().selected).toBe('board');
    press(']', on);
    expect(useBuild().selected).toBe('tier-1/layer/0');
    press(']', on);
    expect(useBuild().selected).toBe('tier-1/gap/0');
    for (let i = 0; i < 4; i++) press('[', on);
    expect(useBuild().selected).toBe('board');
    press('Escape', on);
    expect(useBuild().selected).toBeNull();
    press('[', on);
    const top = useBuild().selected;
    press(']', on);
    expect(useBuild().selected).toBe(top);
  });
  it('make a layer thicker and thinner by a step, all of them with Shift, never beyond what may be', () => {
    const on = actions();
    useBuild().selected = 'tier-1/layer/1';
    press('+', on);
    press('=', on);
    expect(heights()).toEqual([25, 27, 25, 25]);
    press('-', on);
    expect(heights()).toEqual([25, 26, 25, 25]);
    press('*', on);
    expect(new Set(heights())).toEqual(new Set([27]));
    press('_', on, { shiftKey: true });
    expect(new Set(heights())).toEqual(new Set([26]));
    useBuild().edit(
      'Thin',
      (draft) => void (draft.tiers[0]!.layers[1]!.heightMm = limits.layerMm.min),
    );
    press('-', on);
    expect(heights()[1]).toBe(limits.layerMm.min);
  });
  it('say what to choose where nothing is, and where a part is set elsewhere', () => {
    const on = actions();
    press('+', on);
    expect(useBuild().notice).toContain('Choose a layer');
    useBuild().selected = 'tier-1/coat';
    press('+', on);
    expect(useBuild().notice).toContain('its sheet');
  });
  it('undo and redo, with Control or Command', () => {
    const on = actions();
    useBuild().selected = 'tier-1/layer/1';
    press('+', on);
    expect(press('z', on, { ctrlKey: true }).defaultPrevented).toBe(true);
    expect(heights()[1]).toBe(25);
    press('Z', on, { metaKey: true, shiftKey: true });
    expect(heights()[1]).toBe(26);
  });
  it('are left alone while somebody types, and with other keys held', () => {
    const on = actions();
    const field = document.createElement('input');
    press('b', on, { target: field });
    press('2', on, { altKey: true });
    press('b', on, { ctrlKey: true });
    press('z', on, { ctrlKey: true, target: field });
    const overlay = document.createElement('div');
    overlay.className = 'v-overlay';
    press('b', on, { target: overlay });
    expect([on.go, on.toBench].some((one) => vi.mocked(one).mock.calls.length > 0)).toBe(false);
  });
  it('are listed, each with what it does', () => {
    for (const lines of Object.values(keysOf))
      expect(new Set(lines.map(([keys]) => keys)).size).toBe(lines.length);
    // what the list of a cake names does something there
    const on = actions();
    const single = keysOf['in an open cake']
      .map(([keys]) => keys)
      .filter((keys) => keys.length === 1);
    for (const key of single) press(key, on);
    expect(vi.mocked(on.show).mock.calls).toEqual([['history'], ['find'], ['keys']]);
    expect(on.toBench).toHaveBeenCalledOnce();
    expect(on.toPrint).toHaveBeenCalledOnce();
  });
  it('do nothing alone once they are switched off, and come back', async () => {
    const on = actions();
    await useSettings().setSingleKeys(false);
    useBuild().selected = 'tier-1/layer/1';
    for (const key of ['b', '2', '+', '?', '/']) press(key, on);
    expect([on.go, on.toBench, on.show].some((one) => vi.mocked(one).mock.calls.length > 0)).toBe(
      false,
    );
    expect(heights()[1]).toBe(25);
    press('Escape', on);
    expect(useBuild().selected).toBeNull();
    await useSettings().setSingleKeys(true);
    press('b', on);
    expect(on.toBench).toHaveBeenCalledOnce();
  });
});

describe('what can be set of a cut', () => {
  it('is there for every kind, each figure with its range and its name', () => {
    for (const kind of cutKinds) {
      const fields = cutFields[kind];
      expect(new Set(fields.map(({ key }) => key)).size, kind).toBe(fields.length);
      for (const field of fields) {
        expect(field.label.length, `${kind} ${field.key}`).toBeGreaterThan(1);
        if ('options' in field)
          expect(new Set(field.options.map(({ value }) => value)).size).toBe(field.options.length);
        else expect(field.range.min, `${kind} ${field.key}`).toBeLessThan(field.range.max);
      }
    }
  });
  it('is kept as the document has it: degrees as numbers, curves as yes or no', () => {
    expect(chosenValue('bearingDeg', '90')).toBe(90);
    expect([chosenValue('curved', 'true'), chosenValue('curved', 'false')]).toEqual([true, false]);
    expect(chosenValue('where', 'foot')).toBe('foot');
    expect(choiceOf({ kind: 'edge', where: 'top' } as never, 'where')).toBe('top');
    const clock = cutFields.plane[0]!;
    if (!('options' in clock)) throw new Error('no clock');
    expect(clock.options.map(({ value }) => Number(value))).toEqual(Array.from({ length: 12 }, (_, i) => 30 * i)); // prettier-ignore
  });
});
