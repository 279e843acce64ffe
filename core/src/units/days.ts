const dayMs = 86_400_000;

/** A day so many days later: "2027-05-03" and 2 give "2027-05-05". */
export const addDays = (day: string, days: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + days * dayMs).toISOString().slice(0, 10);

const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** "3 May 2027" of "2027-05-03". */
export const dayText = (day: string): string =>
  `${Number(day.slice(8, 10))} ${months[Number(day.slice(5, 7)) - 1] ?? ''} ${day.slice(0, 4)}`;
