import {
  inchesAndOunces,
  inOwnUnits,
  metric,
  spoonSchools,
  type UnitSystem,
} from '@pyrgotect/core';
import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { array, boolean, object, string, number } from 'yup';
import { habits } from '../locale/habits.ts';
import { currencySign, habitsOf, isByTheInch, type Habits } from '../locale/region.ts';
import { listen, tell } from '../storage/channel.ts';
import { database } from '../storage/database.ts';

export type Scheme = 'paper' | 'night' | 'auto';
/** What is written as the browser's region does, or as it was set by hand. */
export type OwnHabits = { [K in keyof Habits]: Habits[K] | 'auto' };
interface Saved {
  system: Omit<UnitSystem, 'decimal' | 'dates'>;
  scheme: Scheme;
  /** Scale and thermometer at the bench are listened to. */
  devices: boolean;
  /** Hints that were shown, each of them once. */
  hintsSeen: string[];
  habits: OwnHabits;
  /** Letters and signs alone are keys. */
  singleKeys: boolean;
}
const asRegion: OwnHabits = { clock: 'auto', dates: 'auto', week: 'auto', decimal: 'auto' };

const schema = object({
  system: object({
    length: string().oneOf(['cm', 'in']).required(),
    mass: string().oneOf(['g', 'oz']).required(),
    volume: string().oneOf(['mL', 'cups']).required(),
    temperature: string().oneOf(['C', 'F']).required(),
    cupMl: number().min(200).max(300).required(),
    spoons: string()
      .oneOf([...spoonSchools])
      .default('metric'),
    currency: string().max(4).default('€'),
  }).required(),
  scheme: string().oneOf(['paper', 'night', 'auto']).required(),
  devices: boolean().default(false),
  hintsSeen: array(string().required().max(40)).max(100).default([]),
  habits: object({
    clock: string().oneOf(['auto', '12', '24']).default('auto'),
    dates: string().oneOf(['auto', 'dmy', 'mdy', 'ymd']).default('auto'),
    week: string().oneOf(['auto', 'mon', 'sat', 'sun']).default('auto'),
    decimal: string().oneOf(['auto', '.', ',']).default('auto'),
  }),
  singleKeys: boolean().default(true),
}).required();

/** Units and colours, the same in every build. */
export const useSettings = defineStore('settings', () => {
  const { language } = navigator;
  const first = isByTheInch(language) ? inchesAndOunces : metric;
  const system = ref<UnitSystem>({ ...first, currency: currencySign(language) });
  const singleKeys = ref(true);
  const ownHabits = ref<OwnHabits>({ ...asRegion });
  follow();
  const scheme = ref<Scheme>('auto');
  const devices = ref(false);
  const hintsSeen = ref<string[]>([]);
  const isMetric = computed(() => system.value.length === 'cm');
  const unitsText = computed(() => {
    const { length, mass, temperature } = system.value;
    return `${length} · ${mass} · °${temperature}`;
  });

  /** A name or sentence with sizes or degrees in it, in the reader's units. */
  const words = (text: string): string => inOwnUnits(text, system.value);

  async function load(): Promise<void> {
    const stored = (await database.settings.get('settings'))?.value;
    if (!schema.isValidSync(stored)) return;
    const saved = schema.cast(stored);
    system.value = { ...saved.system, decimal: habits.decimal, dates: habits.dates };
    scheme.value = saved.scheme;
    devices.value = saved.devices;
    hintsSeen.value = saved.hintsSeen;
    ownHabits.value = saved.habits;
    singleKeys.value = saved.singleKeys;
    follow();
  }
  /** Days, hours and numbers are written by the region, or as it was set by hand. */
  function follow(): void {
    const region = habitsOf(language);
    const own = Object.entries(ownHabits.value).filter(([, value]) => value !== 'auto');
    Object.assign(habits, region, Object.fromEntries(own));
    system.value = { ...system.value, decimal: habits.decimal, dates: habits.dates };
  }
  async function save(change: Partial<Saved> = {}): Promise<void> {
    const value: Saved = {
      system: { ...system.value },
      scheme: scheme.value,
      devices: devices.value,
      hintsSeen: [...hintsSeen.value],
      habits: { ...ownHabits.value },
      singleKeys: singleKeys.value,
      ...change,
    };
    // what follows from the rest, as the sign before tenths does from the habits, is not stored
    const kept = schema.cast(value, { stripUnknown: true });
    await database.settings.put({ key: 'settings', value: kept });
    tell({ kind: 'settings' });
  }
  async function switchUnits(): Promise<void> {
    const { currency, decimal, dates } = system.value;
    system.value = { ...(isMetric.value ? inchesAndOunces : metric), currency, decimal, dates };
    await save();
  }
  async function setUnits(change: Partial<UnitSystem>): Promise<void> {
    system.value = { ...system.value, ...change };
    await save();
  }
  async function setHabits(change: Partial<OwnHabits>): Promise<void> {
    ownHabits.value = { ...ownHabits.value, ...change };
    follow();
    await save();
  }
  async function setScheme(to: Scheme): Promise<void> {
    scheme.value = to;
    await save();
  }
  async function setSingleKeys(on: boolean): Promise<void> {
    singleKeys.value = on;
    await save();
  }
  async function setDevices(on: boolean): Promise<void> {
    devices.value = on;
    await save();
  }
  async function seeHint(id: string): Promise<void> {
    hintsSeen.value = [...hintsSeen.value, id];
    await save();
  }
  /** All hints are shown once more; the screen says so when that is kept. */
  async function forgetHints(): Promise<void> {
    await save({ hintsSeen: [] });
    hintsSeen.value = [];
  }
  listen((word) => {
    if (word.kind === 'settings') void load();
  });
  return {
    system,
    scheme,
    devices,
    isMetric,
    unitsText,
    words,
    load,
    switchUnits,
    setUnits,
    ownHabits,
    setHabits,
    setScheme,
    setDevices,
    singleKeys,
    setSingleKeys,
    hintsSeen,
    seeHint,
    forgetHints,
  };
});
