import { readBuildFile, type ReadResult } from '../document/read-file.ts';
import type { FileProblem } from '../document/read-json.ts';
import { isArchive, unpackCake, type Picture } from './cake-archive.ts';

/** A cake as it came from a file, with the photos that came with it. */
export type ReadCake =
  | (Extract<ReadResult, { ok: true }> & { pictures: Picture[] })
  | { ok: false; problems: FileProblem[] };

/** Reads what a cake is kept in: a build file, or a zip of one with its photos. Nothing is guessed; see readBuildFile. */
export function readCake(bytes: Uint8Array): ReadCake {
  const unpacked = isArchive(bytes)
    ? unpackCake(bytes)
    : { ok: true as const, text: new TextDecoder().decode(bytes), pictures: [] };
  if (!unpacked.ok)
    return {
      ok: false,
      problems: [{ line: null, path: null, value: null, message: unpacked.problem }],
    };
  const read = readBuildFile(unpacked.text);
  return read.ok ? { ...read, pictures: unpacked.pictures } : read;
}
