import { atDate, type Build } from '@pyrgotect/core';

const files = import.meta.glob<string>('../../../demo/*.json', {
  query: '?raw',
  import: 'default',
});

/** Texts of the demo build files, which are also in the folder `demo`. */
export const demoFiles = (): Promise<string[]> =>
  Promise.all(Object.values(files).map((load) => load()));

/** The day on which the demo's finished cakes are done and the others still to come. */
const demoToday = '2027-05-15';

/** A demo cake with its dates counted from today, by whole weeks: weekdays and hours stay. */
export const demoNow = (build: Build, now: Date): Build => atDate(build, demoToday, now);
