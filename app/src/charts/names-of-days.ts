import { format } from 'date-fns';

type Library = (typeof import('plotly.js-cartesian-dist-min'))['default'];

const each = (count: number, dayOf: (i: number) => Date, form: string): string[] =>
  Array.from({ length: count }, (_, i) => format(dayOf(i), form));
/** 7 January 2024 was a Sunday, with which the library begins. */
const weekday = (i: number): Date => new Date(2024, 0, 7 + i);
const month = (i: number): Date => new Date(2024, i, 1);

/** Days and months along the axes in the language of the program: the chart library knows English alone. */
export function nameDays(library: Library, language: string): void {
  library.register({
    moduleType: 'locale',
    name: language,
    dictionary: {},
    format: {
      days: each(7, weekday, 'EEEE'),
      shortDays: each(7, weekday, 'EEE'),
      months: each(12, month, 'LLLL'),
      shortMonths: each(12, month, 'LLL'),
      date: '%d.%m.%Y',
    },
  });
}
