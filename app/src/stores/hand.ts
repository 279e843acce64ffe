import {
  handsOfAll,
  correctionsFor,
  correctionsOf,
  type Build,
  type HandKind,
  type Corrections,
  type KeptRecord,
} from '@pyrgotect/core';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { listen, tell } from '../storage/channel.ts';
import { database } from '../storage/database.ts';

/** Kinds of figures whose correction is switched off. */
const offKey = 'hand off';

/** What the records say of the decorator's hand, and what plans do with it. */
export const useHand = defineStore('hand', () => {
  const records = shallowRef<KeptRecord[]>([]);
  const off = shallowRef<HandKind[]>([]);
  const loaded = shallowRef(false);
  const hands = computed(() => handsOfAll(records.value));
  const corrections = computed<Corrections>(() => correctionsOf(hands.value, off.value));

  async function load(): Promise<void> {
    const [rows, kept] = await Promise.all([
      database.records.toArray(),
      database.settings.get(offKey),
    ]);
    records.value = rows.sort((a, b) => b.at.localeCompare(a.at));
    off.value = Array.isArray(kept?.value) ? (kept.value as HandKind[]) : [];
    loaded.value = true;
  }
  let reading: Promise<void> | null = null;
  /** Reads the records once, however many ask. */
  const ready = (): Promise<void> => (loaded.value ? Promise.resolve() : (reading ??= load()));
  async function setOff(kinds: HandKind[]): Promise<void> {
    off.value = kinds;
    await database.settings.put({ key: offKey, value: [...kinds] });
    tell({ kind: 'hand' });
  }
  const switchKind = (kind: HandKind): Promise<void> =>
    setOff(
      off.value.includes(kind) ? off.value.filter((one) => one !== kind) : [...off.value, kind],
    );

  /** Leaves records out, with the reason, or takes them in again where `reason` is null. */
  async function exclude(ids: readonly string[], reason: string | null): Promise<void> {
    const chosen = new Set(ids);
    const changed = records.value
      .filter(({ id }) => chosen.has(id))
      .map((record) => ({ ...record, excluded: reason }));
    await database.records.bulkPut(changed);
    await load();
    tell({ kind: 'hand' });
  }
  listen((word) => {
    if (loaded.value && (word.kind === 'hand' || word.kind === 'build')) void load();
  });
  return { records, off, loaded, hands, corrections, load, ready, setOff, switchKind, exclude };
});

/** What the hand does to a build now, the records read first. */
export async function correctionsNow(build: Build): Promise<Corrections> {
  const hand = useHand();
  await hand.ready();
  return correctionsFor(build, hand.corrections);
}
