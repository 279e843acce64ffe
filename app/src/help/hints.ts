/** What a screen can do that it does not show of itself: said once, where it serves. */
export const hints = {
  stack:
    'Any figure can be pressed: it says how it came about, line by line. The key / finds a part, a figure or an action.',
  finish:
    'Press a drip in the drawing to come to its line: give it grams and see how long it runs, or a length and get the grams.',
  support:
    'Seen from above, a dowel can be dragged; what each of them carries is worked out while it moves.',
  day: 'Drag a task in the chart to put it at its time: the others are planned round it, backward from serving.',
  pantry:
    '“In the room”, from runny to hard, and “crumb”, from tender to firm, set the figures that are reckoned with: those stand behind “More figures”.',
} as const;
export type HintId = keyof typeof hints;
export const isHint = (id: string): id is HintId => id in hints;
