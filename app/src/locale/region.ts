import type { Locale as DateLocale } from 'date-fns';

export type Clock = '12' | '24';
export type DateOrder = 'dmy' | 'mdy' | 'ymd';
export type FirstDay = 'mon' | 'sat' | 'sun';
export type Decimal = '.' | ',';

/** How days, hours and numbers are written where somebody lives. */
export interface Habits {
  clock: Clock;
  dates: DateOrder;
  week: FirstDay;
  decimal: Decimal;
}

/** Regions that bake by inches and ounces. */
const byTheInch = ['US', 'LR', 'MM'];

/* The browser knows no money of a region: those that it is most often asked for, the others pay in euros. */
const money: Record<string, string[]> = {
  USD: ['US', 'EC', 'SV', 'PR'],
  GBP: ['GB', 'GG', 'JE', 'IM'],
  CHF: ['CH', 'LI'],
  CAD: ['CA'],
  AUD: ['AU'],
  NZD: ['NZ'],
  JPY: ['JP'],
  INR: ['IN'],
  PLN: ['PL'],
  CZK: ['CZ'],
  DKK: ['DK'],
  SEK: ['SE'],
  NOK: ['NO'],
  HUF: ['HU'],
  RON: ['RO'],
  TRY: ['TR'],
  BRL: ['BR'],
  MXN: ['MX'],
  ZAR: ['ZA'],
  KRW: ['KR'],
};

/** A language with the region that it is mostly spoken in where it names none. */
const localeOf = (language: string): Intl.Locale => {
  try {
    const named = new Intl.Locale(language);
    return named.region ? named : new Intl.Locale(named, { region: named.maximize().region });
  } catch {
    return new Intl.Locale('en-GB');
  }
};

type WeekInfo = { firstDay: number };
/** The weekday that a week begins with there; Monday where nothing is known. */
function weekOf(locale: Intl.Locale): FirstDay {
  const says = locale as Intl.Locale & { getWeekInfo?: () => WeekInfo; weekInfo?: WeekInfo };
  const first = says.getWeekInfo?.().firstDay ?? says.weekInfo?.firstDay ?? 1;
  return first === 7 ? 'sun' : first === 6 ? 'sat' : 'mon';
}

/** The habits of a language's region, "de-CH", as the browser knows them. */
export function habitsOf(language: string): Habits {
  const locale = localeOf(language);
  const parts = new Intl.DateTimeFormat(locale, { dateStyle: 'short' }).formatToParts(0);
  const order = parts.map(({ type }) => type[0]).filter((letter) => 'dmy'.includes(letter ?? '-'));
  const number = new Intl.NumberFormat(locale, { numberingSystem: 'latn' }).formatToParts(1.5);
  return {
    clock: new Intl.DateTimeFormat(locale, { hour: 'numeric' }).resolvedOptions().hour12
      ? '12'
      : '24',
    dates: order[0] === 'y' ? 'ymd' : order[0] === 'm' ? 'mdy' : 'dmy',
    week: weekOf(locale),
    decimal: number.find(({ type }) => type === 'decimal')?.value === ',' ? ',' : '.',
  };
}

/** Whether they bake by inches and ounces there. */
export const isByTheInch = (language: string): boolean =>
  byTheInch.includes(localeOf(language).region ?? '');

/** The sign that stands before prices there. */
export function currencySign(language: string): string {
  const { region } = localeOf(language);
  const code = Object.keys(money).find((each) => money[each]!.includes(region ?? '')) ?? 'EUR';
  const parts = new Intl.NumberFormat('en', {
    style: 'currency',
    currency: code,
    currencyDisplay: 'narrowSymbol',
  }).formatToParts(1);
  return parts.find(({ type }) => type === 'currency')!.value.slice(0, 4);
}

/** 0 for Sunday, as the library of dates counts. */
export const weekdayNumber: Record<FirstDay, NonNullable<DateLocale['options']>['weekStartsOn']> = {
  sun: 0,
  mon: 1,
  sat: 6,
};
