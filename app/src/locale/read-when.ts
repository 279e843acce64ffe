import { addDays, addYears, format, isValid, nextDay, startOfDay, type Day } from 'date-fns';
import type { DateOrder } from './region.ts';

/** A day and an hour apart, as they stand in a document: '2027-06-12' and '16:00'. */
export interface When {
  day: string | null;
  hour: string | null;
}

const months = 'jan feb mar apr may jun jul aug sep oct nov dec'.split(' ');
const weekdays = 'sun mon tue wed thu fri sat'.split(' ');
const two = (n: number): string => String(n).padStart(2, '0');

/* "16:00", "4:30 pm", "4pm", "16h30", at the end of what was typed. */
const hourAtEnd =
  /(?:^|[\s,t])(\d{1,2})(?:\s*[:.h]\s*([0-5]\d))?\s*(?:([ap])\.?m\.?)?(?:\s*(?:h|o’clock|uhr))?$/i;

/** The hour that a text ends with, and what stands before it; without one, the whole text. */
function hourOf(text: string): { hour: string | null; before: string; isHour: boolean } {
  const found = hourAtEnd.exec(text);
  // a bare number at the end is the year, or a day, unless it says that it is an hour
  const isHour = found !== null && (found[2] !== undefined || found[3] !== undefined);
  if (!found || !isHour) return { hour: null, before: text, isHour: false };
  const half = found[3]?.toLowerCase();
  let hour = Number(found[1]);
  if (hour > 23 || (half && (hour < 1 || hour > 12)))
    return { hour: null, before: '', isHour: true };
  if (half) hour = (hour % 12) + (half === 'p' ? 12 : 0);
  const before = text.slice(0, found.index).replace(/[\s,]+$|\bat$/gi, '');
  return { hour: `${two(hour)}:${found[2] ?? '00'}`, before, isHour: true };
}

/** A day that there is, written as documents do. */
function real(year: number, month: number, day: number): string | null {
  const full = year < 100 ? 2000 + year : year;
  const at = new Date(full, month - 1, day);
  const isReal = isValid(at) && at.getMonth() === month - 1 && at.getDate() === day;
  return isReal && full >= 1900 && full <= 2200 ? `${full}-${two(month)}-${two(day)}` : null;
}

/** Of a day without its year: the next one. */
function next(month: number, day: number, today: Date): string | null {
  const thisYear = real(today.getFullYear(), month, day);
  if (thisYear !== null && thisYear >= format(today, 'yyyy-MM-dd')) return thisYear;
  return real(addYears(today, 1).getFullYear(), month, day);
}

function byNumbers(text: string, order: DateOrder, today: Date): string | null {
  const iso = /^(\d{4})[-./](\d{1,2})[-./](\d{1,2})$/.exec(text);
  if (iso) return real(Number(iso[1]), Number(iso[2]), Number(iso[3]));
  const three = /^(\d{1,2})\s*[-./]\s*(\d{1,2})\s*(?:[-./]\s*(\d{2}|\d{4})?)?$/.exec(text);
  if (!three) return null;
  const [a, b] = [Number(three[1]), Number(three[2])];
  const [month, day] = order === 'dmy' ? [b, a] : [a, b];
  return three[3] === undefined ? next(month, day, today) : real(Number(three[3]), month, day);
}

function byWords(text: string, today: Date): string | null {
  const tokens = text
    .toLowerCase()
    .split(/[\s,.]+/)
    .filter((word) => word !== '' && !['the', 'of', 'on', 'at', 'next'].includes(word));
  const known = (word: string, names: string[]): number =>
    /^[a-z]{3,}$/.test(word) ? names.findIndex((name) => word.startsWith(name)) : -1;
  const month = tokens.map((word) => known(word, months)).find((at) => at >= 0);
  const numbers = tokens
    .map((word) => /^(\d{1,4})(?:st|nd|rd|th)?$/.exec(word)?.[1])
    .filter((word) => word !== undefined);
  const rest = tokens.filter(
    (word) => known(word, months) < 0 && known(word, weekdays) < 0 && !/^\d/.test(word),
  );
  if (month !== undefined && rest.length === 0) {
    const year = numbers.find((word) => word.length === 4);
    const day = Number(numbers.find((word) => word.length <= 2));
    return year === undefined ? next(month + 1, day, today) : real(Number(year), month + 1, day);
  }
  const [only, ...more] = tokens;
  if (only === undefined || more.length > 0) return null;
  if (only === 'today') return format(today, 'yyyy-MM-dd');
  if (only === 'tomorrow') return format(addDays(today, 1), 'yyyy-MM-dd');
  const weekday = known(only, weekdays);
  return weekday < 0 ? null : format(nextDay(startOfDay(today), weekday as Day), 'yyyy-MM-dd');
}

/**
 * What somebody typed for a day, an hour or both: "12 June 2027, 16:00", "6/12/2027 4 pm" where the
 * month stands first, "2027-06-12T16:00", "saturday 16:00", "tomorrow", "16:30".
 *
 * @param order which of the figures is the day where all are figures
 * @param today a day without its year, or a weekday, is the next one from here
 * @returns what was found of both; null where the text is neither
 */
export function readWhen(typed: string, order: DateOrder, today: Date): When | null {
  const text = typed.trim().replace(/\s+/g, ' ');
  const { hour, before, isHour } = hourOf(text);
  if (isHour && hour === null) return null;
  const rest = before.trim();
  if (rest === '') return hour === null ? null : { day: null, hour };
  const day = byNumbers(rest, order, today) ?? byWords(rest, today);
  return day === null ? null : { day, hour };
}
