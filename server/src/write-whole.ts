import { renameSync, writeFileSync } from 'node:fs';

/** Only its owner reads what the server keeps. */
export const ownerOnly = { folder: 0o700, file: 0o600 } as const;

/** Writes a file so that it is the old one or the new one, never half of it. */
export function writeWhole(path: string, text: string): void {
  writeFileSync(`${path}.new`, text, { mode: ownerOnly.file });
  renameSync(`${path}.new`, path);
}
