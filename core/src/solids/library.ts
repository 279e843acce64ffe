import Module, { type CrossSection, type Manifold, type ManifoldToplevel } from 'manifold-3d';

/** The solids library, ready for use. */
export type Library = ManifoldToplevel;
export type Solid = Manifold;
export type Flat = CrossSection;

/**
 * Starts the solids library: a WebAssembly program of some 200 kB.
 *
 * @param wasmAt where it is fetched from; left out where the package finds it itself
 */
export async function startLibrary(wasmAt?: string): Promise<Library> {
  const lib = await Module(wasmAt === undefined ? undefined : { locateFile: () => wasmAt });
  lib.setup();
  return lib;
}

interface Handle {
  delete(): void;
}

/**
 * Keeps what the library made until it is let go: the library's memory is not the language's, and
 * what is not deleted stays for ever.
 */
export class Scope {
  private handles: Handle[] = [];

  /** Takes a handle into the scope and gives it back. */
  hold<T extends Handle>(handle: T): T {
    this.handles.push(handle);
    return handle;
  }
  holdAll<T extends Handle>(handles: readonly T[]): readonly T[] {
    this.handles.push(...handles);
    return handles;
  }
  /** Deletes everything in the scope but `kept`. */
  release(...kept: readonly Handle[]): void {
    for (const handle of this.handles) if (!kept.includes(handle)) handle.delete();
    this.handles = [];
  }
}

/** Runs `work` with a scope that is released whatever happens; what is returned must not be in it. */
export function within<T>(work: (scope: Scope) => T): T {
  const scope = new Scope();
  try {
    return work(scope);
  } finally {
    scope.release();
  }
}
