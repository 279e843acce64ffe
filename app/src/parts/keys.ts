import { word } from '@pyrgotect/core';
import { useSettings } from '../stores/settings.ts';

/** What can be pressed at a place, and what it does there. */
export type KeyLines = readonly (readonly [keys: string, what: string])[];

/** Every key there is, place by place. */
export const keysOf = {
  'in an open cake': [
    ['1 to 8', 'open Brief, Stack, Bake, Carve, Coat, Finish, Support, Day'],
    ['[ and ]', 'walk down and up the tower'],
    ['+ and −', 'thicken or thin the chosen part by one step'],
    ['Shift with + or −', 'all layers, or all fillings, alike'],
    ['arrow keys', 'on a boundary, a dowel, a piece or a bar of a drawing: move it'],
    ['u', 'switch units'],
    ['b', 'to the bench'],
    ['p', word('print')],
    ['h', 'earlier versions'],
    ['/', 'find a part, a figure or an action'],
    ['Ctrl Z, Ctrl Shift Z', 'undo, redo'],
    [word('Esc'), 'let go of what is chosen'],
    ['?', 'this list'],
  ],
  'at the bench': [
    ['→ and ←', 'the next step, the step before'],
    ['n', 'note what came out'],
    ['u', 'switch units'],
    ['Ctrl Z, Ctrl Shift Z', 'undo, redo'],
    [word('Esc'), 'back to the cake'],
  ],
  'on the shelf': [
    ['n', 'a new cake'],
    ['/', 'find a cake'],
    ['u', 'switch units'],
  ],
  everywhere: [
    [
      word('Tab'),
      'to the next thing that can be pressed; first of all, past the bar to the content',
    ],
    ['↑ and ↓', 'in a figure: a step more, a step less'],
    ['Enter, Esc', 'in a field: take what is typed, give it up'],
  ],
} as const satisfies Record<string, KeyLines>;

/** What the places are called where their keys are listed. */
export const keyPlaces: Record<keyof typeof keysOf, string> = {
  'in an open cake': 'in an open cake',
  'at the bench': 'at the bench',
  'on the shelf': 'on the shelf',
  everywhere: 'everywhere',
};

const typedInto = 'input, select, textarea, [contenteditable], [role="combobox"]';

/**
 * Whether a key is one for the place it is pressed at: not what is typed, nothing in a dialog or a menu,
 * and no single letter or sign where those were switched off.
 */
export function isForPlace(event: KeyboardEvent): boolean {
  const target = event.target instanceof Element ? event.target : null;
  if (target?.closest(`${typedInto}, .v-overlay`)) return false;
  const isPlain = !event.ctrlKey && !event.metaKey && !event.altKey;
  return !isPlain || event.key.length > 1 || useSettings().singleKeys;
}
