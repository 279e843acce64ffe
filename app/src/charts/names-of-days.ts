import { format } from 'date-fns';
import { dayNames } from '../locale/when.ts';

type Library = (typeof import('plotly.js-cartesian-dist-min'))['default'];

const monthNames = (form: 'LLL' | 'LLLL'): string[] =>
  Array.from({ length: 12 }, (_, i) => format(new Date(2024, i, 1), form));

/** Days and months along the axes in the language of the program: the chart library knows English alone. */
export function nameDays(library: Library, language: string): void {
  library.register({
    moduleType: 'locale',
    name: language,
    dictionary: {},
    format: {
      days: dayNames('EEEE', 0),
      shortDays: dayNames('EEE', 0),
      months: monthNames('LLLL'),
      shortMonths: monthNames('LLL'),
      date: '%d.%m.%Y',
    },
  });
}
