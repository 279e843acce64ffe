import { deflateSync, inflateSync, strFromU8, strToU8 } from 'fflate';
import { readJson } from '../document/read-json.ts';

/** The count of the last change of each device that is in a state of a thing. */
export type Changes = Readonly<Record<string, number>>;

/** True of a state that knows all that another one knows. */
export const knowsAll = (one: Changes, other: Changes): boolean =>
  Object.entries(other).every(([device, count]) => (one[device] ?? 0) >= count);
/** What both know together. */
export const knownTogether = (one: Changes, other: Changes): Changes => ({
  ...one,
  ...Object.fromEntries(
    Object.entries(other).map(([device, count]) => [device, Math.max(count, one[device] ?? 0)]),
  ),
});

/** What is sealed in a box: a thing as one device has it. */
export interface Parcel {
  /** Which thing: its kind and its id, "cake/plum". */
  item: string;
  /** Which changes are in it: by them an older box is told from a later one, and from one beside. */
  changes: Changes;
  /** Version of the build file in which it is written. */
  version: number;
  /** Who wrote it, and when by its own clock. */
  from: string;
  at: string;
  /** Null where the thing was taken away. */
  value: unknown;
  /** Bytes that belong to it, such as a photo. */
  bytes: Uint8Array | null;
}

/** Longest thing without its bytes, characters. */
const maxParcel = 8_000_000;

/** Before the words stands how long they are, compressed and whole. */
const headBytes = 8;

/** A parcel as bytes: how long its words are, the words compressed, and the bytes as they are. */
export function packParcel({ bytes, ...head }: Parcel): Uint8Array {
  const whole = strToU8(JSON.stringify({ ...head, hasBytes: bytes !== null }));
  const words = deflateSync(whole, { level: 6 });
  const all = new Uint8Array(headBytes + words.length + (bytes?.length ?? 0));
  const view = new DataView(all.buffer);
  view.setUint32(0, words.length);
  view.setUint32(4, whole.length);
  all.set(words, headBytes);
  if (bytes) all.set(bytes, headBytes + words.length);
  return all;
}

/** Null where the bytes are no parcel. */
export function unpackParcel(all: Uint8Array): Parcel | null {
  if (all.length < headBytes) return null;
  const view = new DataView(all.buffer, all.byteOffset, all.byteLength);
  const [length, whole] = [view.getUint32(0), view.getUint32(4)];
  if (length > all.length - headBytes || whole > maxParcel) return null;
  let text: string;
  try {
    // what swells beyond what it says is cut, and then no JSON
    const out = new Uint8Array(whole);
    text = strFromU8(inflateSync(all.subarray(headBytes, headBytes + length), { out }));
  } catch {
    return null;
  }
  const json = readJson(text, maxParcel, 'parcel');
  if (!json.ok) return null;
  const { item, changes, version, from, at, value, hasBytes } = json.file;
  const isOne =
    typeof item === 'string' &&
    isChanges(changes) &&
    typeof version === 'number' &&
    typeof from === 'string' &&
    typeof at === 'string';
  if (!isOne) return null;
  const bytes = hasBytes === true ? all.slice(headBytes + length) : null;
  return { item, changes, version, from, at, value: value ?? null, bytes };
}

const isChanges = (value: unknown): value is Changes =>
  typeof value === 'object' &&
  value !== null &&
  Object.values(value).every((count) => Number.isInteger(count) && count >= 0);
