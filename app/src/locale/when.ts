import { format, formatDistanceStrict, isValid, parseISO } from 'date-fns';
import { habits } from './habits.ts';

/* Each way to name a day or an hour, with the day first, the month first and the year first. */
const days = {
  weekday: { dmy: 'EEE', mdy: 'EEE', ymd: 'EEE' },
  short: { dmy: 'EEE d MMM', mdy: 'EEE, MMM d', ymd: 'EEE, MMM d' },
  plain: { dmy: 'd MMM', mdy: 'MMM d', ymd: 'MMM d' },
  dated: { dmy: 'd MMM yyyy', mdy: 'MMM d, yyyy', ymd: 'yyyy MMM d' },
  long: { dmy: 'EEEE d MMMM', mdy: 'EEEE, MMMM d', ymd: 'EEEE, MMMM d' },
  month: { dmy: 'd MMMM', mdy: 'MMMM d', ymd: 'MMMM d' },
  full: { dmy: 'd MMMM yyyy', mdy: 'MMMM d, yyyy', ymd: 'yyyy MMMM d' },
  whole: { dmy: 'EEE d MMMM yyyy', mdy: 'EEE, MMMM d, yyyy', ymd: 'EEE, yyyy MMMM d' },
} as const;
export type DayForm = keyof typeof days;

/** A day in the order of the region: "Sat 12 Jun", "Sat, Jun 12". */
export const dayText = (at: Date | number, form: DayForm): string =>
  format(at, days[form][habits.dates]);

/** The days of a week as the calendar calls them, from Sunday (0) or Monday (1) on: 7 January 2024 was a Sunday. */
export const dayNames = (form: 'EEE' | 'EEEE', from: 0 | 1): string[] =>
  Array.from({ length: 7 }, (_, i) => format(new Date(2024, 0, 7 + from + i), form));

/** An hour by the clock of the region: "16:00", "4:00 pm". */
export const hourText = (at: Date | number): string =>
  format(at, habits.clock === '12' ? 'h:mm aaa' : 'HH:mm');

/** The same to the second: two versions of a cake are seldom a minute apart. */
export const secondText = (at: Date | number): string =>
  format(at, habits.clock === '12' ? 'h:mm:ss aaa' : 'HH:mm:ss');

/** A day and its hour: "Sat 12 Jun, 16:00"; after a weekday alone without the comma. */
export const dayAndHour = (at: Date | number, form: DayForm): string =>
  `${dayText(at, form)}${form === 'weekday' ? '' : ','} ${hourText(at)}`;

/** "Sat 12 June 2027, 16:00", or nothing. */
export function servedText(serveAt: string | null): string {
  if (!serveAt) return '';
  const at = parseISO(serveAt);
  return isValid(at) ? dayAndHour(at, 'whole') : '';
}

/** Time until serving as a short text: "3 days", "5 hours"; "past" when it is over. */
export function timeLeft(serveAt: string | null, now: Date): string {
  if (!serveAt) return 'no date';
  const at = parseISO(serveAt);
  if (!isValid(at)) return 'no date';
  if (at <= now) return 'past';
  const hours = (at.getTime() - now.getTime()) / 3_600_000;
  if (hours < 48)
    return formatDistanceStrict(at, now, {
      unit: hours < 1 ? 'minute' : 'hour',
      roundingMethod: 'floor',
    });
  return formatDistanceStrict(at, now, { unit: 'day', roundingMethod: 'floor' });
}

/** How long ago something was, as a short text: "just now", "5 hours ago", "3 days ago". */
export const agoText = (at: Date, now: Date): string =>
  now.getTime() - at.getTime() < 60_000
    ? 'just now'
    : formatDistanceStrict(at, now, { addSuffix: true, roundingMethod: 'floor' });

/** "12:04" from seconds, "1:02:33" from an hour on; "-" before it when over. */
export function clock(seconds: number): string {
  const over = seconds < 0;
  const all = Math.abs(Math.trunc(seconds));
  const [h, m, s] = [Math.floor(all / 3600), Math.floor((all % 3600) / 60), all % 60];
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${over ? '−' : ''}${h > 0 ? `${h}:${two(m)}` : m}:${two(s)}`;
}
