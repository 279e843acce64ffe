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
import { listen, tell } from '../storage/channel.ts';
import { database } from '../storage/database.ts';

export type Scheme = 'paper' | 'night' | 'auto';
interface Saved {
  system: UnitSystem;
  scheme: Scheme;
  /** Scale and thermometer at the bench are listened to. */
  devices: boolean;
  /** Hints that were shown, each of them once. */
  hintsSeen: string[];
}

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
}).required();

/** Units and colours, the same in every build. */
export const useSettings = defineStore('settings', () => {
  const system = ref<UnitSystem>({ ...metric });
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
    system.value = { ...saved.system };
    scheme.value = saved.scheme;
    devices.value = saved.devices;
    hintsSeen.value = saved.hintsSeen;
  }
  async function save(change: Partial<Saved> = {}): Promise<void> {
    const value: Saved = {
      system: { ...system.value },
      scheme: scheme.value,
      devices: devices.value,
      hintsSeen: [...hintsSeen.value],
      ...change,
    };
    await database.settings.put({ key: 'settings', value });
    tell({ kind: 'settings' });
  }
  async function switchUnits(): Promise<void> {
    const { currency } = system.value;
    system.value = { ...(isMetric.value ? inchesAndOunces : metric), currency };
    await save();
  }
  async function setUnits(change: Partial<UnitSystem>): Promise<void> {
    system.value = { ...system.value, ...change };
    await save();
  }
  async function setScheme(to: Scheme): Promise<void> {
    scheme.value = to;
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
    setScheme,
    setDevices,
    hintsSeen,
    seeHint,
    forgetHints,
  };
});
