import { dayNumber, phrase } from '@pyrgotect/core';
import { parseISO } from 'date-fns';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { habits } from '../src/locale/habits.ts';
import { fixed } from '../src/locale/number.ts';
import { readWhen } from '../src/locale/read-when.ts';
import { currencySign, habitsOf, isByTheInch } from '../src/locale/region.ts';
import { dayAndHour, dayText, hourText, servedText, type DayForm } from '../src/locale/when.ts';
import { useUnits } from '../src/figures/units.ts';
import { scaleText } from '../src/section/scale.ts';
import { roomText } from '../src/storage/room.ts';
import { useSettings } from '../src/stores/settings.ts';

beforeEach(() => setActivePinia(createPinia()));
afterEach(() => void Object.assign(habits, habitsOf('en-GB')));

describe('a region', () => {
  it('decides clock, order of a date, first weekday and the sign before tenths', () => {
    expect(habitsOf('de-DE')).toEqual({ clock: '24', dates: 'dmy', week: 'mon', decimal: ',' });
    expect(habitsOf('en-US')).toEqual({ clock: '12', dates: 'mdy', week: 'sun', decimal: '.' });
    expect(habitsOf('en-GB')).toEqual({ clock: '24', dates: 'dmy', week: 'mon', decimal: '.' });
    expect(habitsOf('sv-SE')).toEqual({ clock: '24', dates: 'ymd', week: 'mon', decimal: ',' });
  });
  it('decides the first units and what prices are in', () => {
    expect(['en-US', 'en-GB', 'de-AT'].map(isByTheInch)).toEqual([true, false, false]);
    expect(['en-US', 'en-GB', 'de-AT', 'de-CH', 'pl'].map(currencySign)).toEqual([
      '$',
      '£',
      '€',
      'CHF',
      'zł',
    ]);
  });
  it('that is no language is taken for one that bakes in grams', () => {
    expect(habitsOf('not a language!')).toEqual(habitsOf('en-GB'));
  });
});

describe('days and hours', () => {
  const at = parseISO('2027-06-12T16:05');
  it('are written in the order and by the clock of the region', () => {
    expect(dayAndHour(at, 'short')).toBe('Sat 12 Jun, 16:05');
    expect(dayAndHour(at, 'weekday')).toBe('Sat 16:05');
    Object.assign(habits, habitsOf('en-US'));
    expect(dayAndHour(at, 'short')).toBe('Sat, Jun 12, 4:05 pm');
    expect(servedText('2027-06-12T16:05')).toBe('Sat, June 12, 2027, 4:05 pm');
    expect(hourText(parseISO('2027-06-12T00:30'))).toBe('12:30 am');
  });
  it('are read again as they are written, in every order and by both clocks', () => {
    const today = parseISO('2027-01-01');
    const forms: DayForm[] = ['plain', 'dated', 'month', 'full', 'whole'];
    for (const dates of ['dmy', 'mdy', 'ymd'] as const)
      for (const clock of ['12', '24'] as const) {
        Object.assign(habits, { dates, clock });
        for (const form of forms)
          for (let day = 0; day < 365; day += 13) {
            const when = new Date(2027, 0, 1 + day, day % 24, (day * 7) % 60);
            const read = readWhen(dayAndHour(when, form), dates, today);
            expect(read, dayAndHour(when, form)).toEqual({
              day: dayOf(when),
              hour: hourOf(when),
            });
            expect(readWhen(dayText(when, form), dates, today)?.day).toBe(dayOf(when));
          }
      }
  });
});
const two = (n: number): string => String(n).padStart(2, '0');
const dayOf = (at: Date): string =>
  `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
const hourOf = (at: Date): string => `${two(at.getHours())}:${two(at.getMinutes())}`;

describe('what somebody types for a day', () => {
  // a Thursday
  const today = parseISO('2027-06-10T09:00');
  const read = (text: string, order: 'dmy' | 'mdy' = 'dmy') => readWhen(text, order, today);
  it('is taken with figures, words and in short', () => {
    expect(read('2027-06-12T16:00')).toEqual({ day: '2027-06-12', hour: '16:00' });
    expect(read('12/6/27')).toEqual({ day: '2027-06-12', hour: null });
    expect(read('6/12/27', 'mdy')).toEqual({ day: '2027-06-12', hour: null });
    expect(read('12.6. 16:00')).toEqual({ day: '2027-06-12', hour: '16:00' });
    expect(read('Saturday 4 pm')).toEqual({ day: '2027-06-12', hour: '16:00' });
    expect(read('the 3rd of May at 9:30')).toEqual({ day: '2028-05-03', hour: '09:30' });
    expect(read('tomorrow')).toEqual({ day: '2027-06-11', hour: null });
    expect(read('12 am')).toEqual({ day: null, hour: '00:00' });
    expect(read('7:05')).toEqual({ day: null, hour: '07:05' });
  });
  it('is refused where there is no such day or hour', () => {
    for (const text of [
      '31/2/2027',
      '13/13/2027',
      '25:00',
      '13 pm',
      'soon',
      '12',
      '',
      '30 Feb',
      '16:75',
    ])
      expect(read(text), text).toBeNull();
  });
});

describe('tenths', () => {
  it('stand behind the comma where that is the sign, and are typed so', async () => {
    const settings = useSettings();
    const { text } = useUnits();
    expect(text(1135, 'bowl')).toBe('1.135\u00a0kg');
    await settings.setHabits({ decimal: ',' });
    expect(text(1135, 'bowl')).toBe('1,135\u00a0kg');
    expect(settings.system.decimal).toBe(',');
    await settings.switchUnits();
    expect(settings.system.decimal).toBe(',');
  });
  it('and a date in a sentence of the plan has the region’s order, in either units', async () => {
    const settings = useSettings();
    const { say } = useUnits();
    const made = phrase('Sponge, made {made}.', { made: [dayNumber('2027-05-03'), 'day'] });
    expect(say(made)).toBe('Sponge, made 3 May 2027.');
    await settings.setHabits({ dates: 'mdy' });
    await settings.switchUnits();
    expect(say(made)).toBe('Sponge, made May 3, 2027.');
  });
  it('go back to the region’s when that is asked for', async () => {
    const settings = useSettings();
    await settings.setHabits({ decimal: ',', clock: '12' });
    await settings.setHabits({ decimal: 'auto', clock: 'auto' });
    expect(habits).toEqual(habitsOf('en-GB'));
    await settings.setHabits({ week: 'sat' });
    setActivePinia(createPinia());
    Object.assign(habits, habitsOf('en-GB'));
    await useSettings().load();
    expect(habits.week).toBe('sat');
  });
});

describe('a plain number', () => {
  it('has the sign of the region before its tenths, and so have scales and room', () => {
    expect(fixed(1.25, 2)).toBe('1.25');
    habits.decimal = ',';
    expect(fixed(1.25, 2)).toBe('1,25');
    expect(roomText(0.34)).toBe('0,3 MB');
    expect(scaleText({ pxPerMm: 96 / 25.4 / 4.3, axisPx: 0, basePx: 0 })).toBe('1 : 4,3');
  });
});
