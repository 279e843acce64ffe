import { dayOf, type CakeLoad } from './load.ts';

/** What one day holds, of all cakes. */
export interface CalendarDay {
  /** "2027-06-12". */
  date: string;
  /** Minutes of work of all cakes. */
  workMin: number;
  /** Minutes in which somebody works by the hours of these cakes: those of the one with the most. */
  roomMin: number;
  /** How full it is, 0 to 1; 1 where it is over. */
  fullness: number;
  /** More than there are hours for. */
  isOver: boolean;
  /** Cakes that are worked on, with their minutes, the most first. */
  cakes: { cakeId: string; minutes: number }[];
}

/**
 * The days on which cakes are worked on, in order. Each cake is planned by itself and as late as it may be:
 * a day that is over may be eased by beginning one of them earlier.
 */
export function calendarDays(loads: readonly CakeLoad[]): CalendarDay[] {
  const of = new Map<string, Map<CakeLoad, number>>();
  for (const load of loads)
    for (const { from, to } of load.stretches ?? []) {
      const date = dayOf(from);
      const day = of.get(date) ?? new Map<CakeLoad, number>();
      day.set(load, (day.get(load) ?? 0) + (to - from) / 60_000);
      of.set(date, day);
    }
  return [...of]
    .map(([date, minutesOf]): CalendarDay => {
      const cakes = [...minutesOf].map(([{ cakeId }, minutes]) => ({ cakeId, minutes }));
      const workMin = cakes.reduce((sum, { minutes }) => sum + minutes, 0);
      const roomMin = Math.max(...[...minutesOf.keys()].map((load) => roomOn(load, date)));
      return {
        date,
        workMin,
        roomMin,
        fullness: roomMin > 0 ? Math.min(1, workMin / roomMin) : 1,
        isOver: workMin > roomMin,
        cakes: cakes.sort((a, b) => b.minutes - a.minutes),
      };
    })
    .sort((a, b) => a.date.localeCompare(b.date));
}

/** Minutes that all who work on a cake have on a day, by its hours. */
function roomOn({ hours, people }: CakeLoad, date: string): number {
  const weekday = (new Date(`${date}T12:00`).getDay() + 6) % 7;
  const own = hours[weekday];
  return own ? people * Math.max(0, own.to - own.from) : 0;
}
