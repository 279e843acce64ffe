import { format, formatDistanceStrict, isValid, parseISO } from 'date-fns';

/** "Sat 12 June 2027, 16:00", or nothing. */
export function servedText(serveAt: string | null): string {
  if (!serveAt) return '';
  const at = parseISO(serveAt);
  return isValid(at) ? format(at, 'EEE d MMMM yyyy, HH:mm') : '';
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

/** "12:04" from seconds, "1:02:33" from an hour on; "-" before it when over. */
export function clock(seconds: number): string {
  const over = seconds < 0;
  const all = Math.abs(Math.trunc(seconds));
  const [h, m, s] = [Math.floor(all / 3600), Math.floor((all % 3600) / 60), all % 60];
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${over ? '−' : ''}${h > 0 ? `${h}:${two(m)}` : m}:${two(s)}`;
}
