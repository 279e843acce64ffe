import type { DateOrder } from './kinds.ts';

const dayMs = 86_400_000;

/** A day so many days later: "2027-05-03" and 2 give "2027-05-05". */
export const addDays = (day: string, days: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + days * dayMs).toISOString().slice(0, 10);

/** Days since 1 January 1970 of "2027-05-03": a day as a figure of a phrase, of the kind `day`. */
export const dayNumber = (day: string): number => Date.parse(`${day}T00:00:00Z`) / dayMs;

const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** Such a figure as a person reads it: "3 May 2027", "May 3, 2027", "2027 May 3". */
export function dayNumberText(number: number, order: DateOrder): string {
  const at = new Date(number * dayMs);
  const [day, month, year] = [at.getUTCDate(), months[at.getUTCMonth()], at.getUTCFullYear()];
  return { dmy: `${day} ${month} ${year}`, mdy: `${month} ${day}, ${year}`, ymd: `${year} ${month} ${day}` }[order]; // prettier-ignore
}
