import { Unzip, UnzipInflate } from 'fflate';

/** What an archive may hold, and how much. */
export interface UnpackLimits {
  /** Files in it. */
  most: number;
  /** Bytes of one file, unpacked, and of all together. */
  mostEach: number;
  mostInAll: number;
}
export type Unpacked =
  { ok: true; files: Map<string, Uint8Array> } | { ok: false; problem: string };

/** Compressed bytes that are looked at in one go: what they can swell to stays small. */
const piece = 32_768;
/** So many pieces are read from one word of progress to the next. */
const toldEach = 64;
const endMark = 0x06054b50;
/** The end record, and the longest comment after it. */
const endBytes = 22;
const longestComment = 65_535;

/** A name that stays inside the folder into which it is unpacked. */
const staysInside = (name: string): boolean =>
  name.length > 0 &&
  name.length <= 200 &&
  !name.startsWith('/') &&
  !/[\\\0]|^[a-z]:/i.test(name) &&
  !name.split('/').some((part) => part === '..' || part === '.');

/** How many files the archive says it holds; null where its end is missing, because it was cut. */
function countOf(bytes: Uint8Array): number | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const first = Math.max(0, bytes.length - endBytes - longestComment);
  for (let at = bytes.length - endBytes; at >= first; at--)
    if (view.getUint32(at, true) === endMark) return view.getUint16(at + 10, true);
  return null;
}

/**
 * The files of a zip archive, by name; folders are left out. Nothing is trusted that the archive says of
 * itself: sizes are counted while it is unpacked, and a name that leads out of it, stands twice, or more than
 * is allowed refuses the whole.
 *
 * @param progress is told the share that is unpacked
 */
export function unpack(
  bytes: Uint8Array,
  limits: UnpackLimits,
  progress: (share: number) => void = () => undefined,
): Unpacked {
  const problem = (text: string): Unpacked => ({ ok: false, problem: text });
  const announced = countOf(bytes);
  if (announced === null)
    return problem('The archive has no end: it is no zip file, or part of it is missing.');
  const files = new Map<string, Uint8Array>();
  let seen = 0;
  let inAll = 0;
  /** What is being unpacked. */
  const now: { open: string | null } = { open: null };
  let wrong: string | null = null;
  const reader = new Unzip((file) => {
    seen += 1;
    const { name } = file;
    wrong ??= !staysInside(name)
      ? `“${name.slice(0, 60)}” leads out of the archive.`
      : files.has(name)
        ? `“${name.slice(0, 60)}” is in the archive twice.`
        : seen > limits.most
          ? `The archive holds more than ${limits.most} files.`
          : null;
    if (wrong || name.endsWith('/')) return;
    now.open = name;
    const pieces: Uint8Array[] = [];
    let size = 0;
    file.ondata = (error, chunk, final) => {
      if (error) wrong ??= `“${name}” cannot be unpacked.`;
      if (wrong) return;
      size += chunk.length;
      inAll += chunk.length;
      if (size > limits.mostEach || inAll > limits.mostInAll) {
        wrong = `“${name}” unpacks to more than a file of a cake can be.`;
        return;
      }
      pieces.push(chunk);
      if (final) {
        files.set(name, joined(pieces, size));
        now.open = null;
      }
    };
    file.start();
  });
  reader.register(UnzipInflate);
  try {
    for (let at = 0; at < bytes.length && !wrong; at += piece) {
      reader.push(bytes.subarray(at, at + piece), at + piece >= bytes.length);
      if (at % (piece * toldEach) === 0) progress(at / bytes.length);
    }
  } catch {
    return problem(wrong ?? 'The archive cannot be unpacked: part of it is missing or changed.');
  }
  if (wrong) return problem(wrong);
  if (now.open !== null) return problem(`The archive ends inside “${now.open}”.`);
  if (seen !== announced)
    return problem(
      `The archive says it holds ${announced} ${announced === 1 ? 'file' : 'files'}, and ${seen} are in it.`,
    );
  return { ok: true, files };
}

function joined(pieces: readonly Uint8Array[], size: number): Uint8Array {
  const all = new Uint8Array(size);
  let at = 0;
  for (const each of pieces) {
    all.set(each, at);
    at += each.length;
  }
  return all;
}
