type Day = 0 | 1 | 2 | 3 | 4 | 5 | 6;

/** The weekday that a week begins with where this browser is set up, 0 for Sunday; Monday where it does not say. */
export function firstWeekday(language = navigator.language): Day {
  const locale = new Intl.Locale(language) as Intl.Locale & {
    getWeekInfo?: () => { firstDay: number };
    weekInfo?: { firstDay: number };
  };
  const first = locale.getWeekInfo?.().firstDay ?? locale.weekInfo?.firstDay ?? 1;
  return (first % 7) as Day;
}
