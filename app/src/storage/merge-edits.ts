import { buildSchema, type Build } from '@pyrgotect/core';
import { apply, type Patches } from 'mutative';
import { plain } from './builds.ts';

/** Edits put on top of what another window saved; null where they no longer make a build. */
export function mergeEdits(onto: Build, edits: Patches[]): Build | null {
  try {
    let merged = onto;
    for (const patches of edits) merged = apply(merged, patches);
    return buildSchema.isValidSync(merged, { strict: true }) ? plain(merged) : null;
  } catch {
    return null;
  }
}
