import { stepOf } from '@pyrgotect/core';
import { useSettings } from '../stores/settings.ts';
import type { useBuild } from '../stores/build.ts';
import { isForPlace } from './keys.ts';
import { labelOf, rangeOfPart, setThickness, thicknessOfPart, walkable } from './part-edits.ts';
import { sheetStages, type SheetStage } from './stages.ts';

export interface KeyActions {
  store: ReturnType<typeof useBuild>;
  go: (stage: SheetStage) => void;
  toBench: () => void;
  toPrint: () => void;
  show: (dialog: 'history' | 'keys' | 'find') => void;
}

/** What a key does while a build is open. Typing in a field is left alone. */
export function buildKeys(
  event: KeyboardEvent,
  { store, go, toBench, toPrint, show }: KeyActions,
): void {
  if (!isForPlace(event)) return;
  const undoKey = (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z';
  if (undoKey) {
    event.preventDefault();
    if (event.shiftKey) store.redo();
    else store.undo();
    return;
  }
  if (event.ctrlKey || event.metaKey || event.altKey) return;
  const stage = sheetStages[Number(event.key) - 1];
  if (stage) return go(stage);
  switch (event.key) {
    case '[':
      return walk(store, -1);
    case ']':
      return walk(store, 1);
    case '+':
    case '=':
      return nudge(store, 1, event.shiftKey && event.key !== '+');
    case '-':
    case '_':
      return nudge(store, -1, event.shiftKey);
    case '*':
      return nudge(store, 1, true);
    case 'u':
      return void useSettings().switchUnits();
    case 'b':
      return toBench();
    case 'p':
      return toPrint();
    case 'h':
      return show('history');
    case '/':
      event.preventDefault();
      return show('find');
    case '?':
      return show('keys');
    case 'Escape':
      store.selected = null;
  }
}

function walk(store: KeyActions['store'], by: number): void {
  if (!store.cake) return;
  const parts = walkable(store.cake);
  const at = store.selected ? parts.indexOf(store.selected) : by > 0 ? -1 : parts.length;
  const next = parts[Math.min(parts.length - 1, Math.max(0, at + by))];
  if (next) store.selected = next;
}

function nudge(store: KeyActions['store'], steps: number, all: boolean): void {
  const { build, selected } = store;
  if (!build || !selected) {
    store.notice = 'Choose a layer or a filling first: [ and ] walk through them.';
    return;
  }
  const now = thicknessOfPart(build, selected);
  if (now === null) {
    store.notice = `${labelOf(selected)} is set on its sheet.`;
    return;
  }
  const { min, max } = rangeOfPart(selected);
  const step = stepOf('thickness', useSettings().system);
  setThickness(selected, Math.min(max, Math.max(min, now + steps * step)), all);
}
