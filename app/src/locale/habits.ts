import { reactive } from 'vue';
import type { Habits } from './region.ts';

/** How days, hours and numbers are written now: by the region, or as it was set by hand. */
export const habits = reactive<Habits>({ clock: '24', dates: 'dmy', week: 'mon', decimal: '.' });
