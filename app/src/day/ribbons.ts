import type { Clock } from '@pyrgotect/core';
import { format } from 'date-fns';
import { minutesOf } from './bands.ts';

/** A stretch out of the cold within one day, minutes after midnight. */
export interface Ribbon {
  key: string;
  day: string;
  row: number;
  from: number;
  to: number;
  /** True from where it is out for longer than usual guidance lets it. */
  isOver: boolean;
  title: string;
}

/** Keeping clocks as ribbons: when each tier is out of the cold, and from when that is too long. */
export function ribbonsOf(clocks: readonly Clock[], dateOf: (minutes: number) => Date): Ribbon[] {
  return clocks.flatMap((clock, row) => {
    let outMin = 0;
    return [...clock.spans]
      .sort((a, b) => a.fromMin - b.fromMin)
      .flatMap(({ fromMin, toMin }, i): Ribbon[] => {
        const before = outMin;
        outMin += toMin - fromMin;
        const turnMin = Math.min(toMin, Math.max(fromMin, fromMin + clock.mostMin - before));
        const pieces = [
          { from: fromMin, to: turnMin, isOver: false },
          { from: turnMin, to: toMin, isOver: true },
        ].filter((piece) => piece.to > piece.from);
        return pieces.map((piece) => {
          const start = dateOf(piece.from);
          const from = minutesOf(start);
          return {
            key: `${clock.tierId}/${i}/${piece.isOver}`,
            day: format(start, 'yyyy-MM-dd'),
            row,
            from,
            to: Math.min(1440, from + piece.to - piece.from),
            isOver: piece.isOver,
            title: `${clock.tierName}: ${Math.round(outMin)} min out of the cold by then, of ${clock.mostMin}`,
          };
        });
      });
  });
}
