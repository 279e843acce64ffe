import {
  freshId,
  type Build,
  type CarveResult,
  type Design,
  type FileProblem,
  type ReadCake,
} from '@pyrgotect/core';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { mergesNothing, plain, removeBuild, restoreBuild, saveBuild } from '../storage/builds.ts';
import { listen, tell } from '../storage/channel.ts';
import { atHome } from '../home.ts';
import { fileName } from '../parts/file-name.ts';
import { askToKeep } from '../storage/room.ts';
import { database, type ShelfEntry, type StoredBuild } from '../storage/database.ts';
import { useCarvings } from './carvings.ts';
import { useHand } from './hand.ts';
import { usePantry } from './pantry.ts';

/** What came of a file: the cake on the shelf, or why it was not taken. */
type Imported = { build: Build } | { problems: FileProblem[] };
/** Reads a file away from the page, which a large one would hold; without workers, here. */
async function readAside(bytes: Uint8Array): Promise<ReadCake> {
  if (typeof Worker === 'undefined') return (await import('../shelf/files.ts')).readCake(bytes);
  const { askSolver } = await import('../workers/useAnswer.ts');
  return askSolver((solver) => solver.cake(bytes) as Promise<ReadCake>);
}
/** How a cake begins: with all that describes one, which nobody needs before there is one. */
const begun = () => import('../shelf/begun.ts');
const newId = (): string => freshId('cake', 13);

/** The next order of the shelf: soonest to be served first, then those without a date. */
const byDate = (a: ShelfEntry, b: ShelfEntry): number => {
  // what is finished comes last, the latest first
  if (a.finished || b.finished) {
    if (!a.finished) return -1;
    if (!b.finished) return 1;
    return (b.serveAt ?? '').localeCompare(a.serveAt ?? '');
  }
  if (a.serveAt === b.serveAt) return b.updatedAt.localeCompare(a.updatedAt);
  if (a.serveAt === null) return 1;
  if (b.serveAt === null) return -1;
  return a.serveAt.localeCompare(b.serveAt);
};

/** All builds, as the shelf lists them. */
export const useShelf = defineStore('shelf', () => {
  const entries = shallowRef<ShelfEntry[]>([]);
  const loaded = shallowRef(false);
  /** Ids of the example cakes. */
  const examples = shallowRef<ReadonlySet<string>>(new Set());
  const hasExamples = computed(() => entries.value.some(({ id }) => examples.value.has(id)));

  let loading: Promise<void> | null = null;
  /** Reads the shelf; asked again while it is being read, it is read once. */
  function load(): Promise<void> {
    loading ??= database.shelf.toArray().then(async (rows) => {
      if (examples.value.size === 0) await markExamples();
      entries.value = rows.sort(byDate);
      loaded.value = true;
      loading = null;
    });
    return loading;
  }
  async function changed(): Promise<void> {
    // one that began before the change does not show it
    await loading;
    await load();
    tell({ kind: 'shelf' });
  }
  async function put(build: Build, label: string): Promise<void> {
    await saveBuild(build, 0, mergesNothing, label);
    void askToKeep();
    await changed();
  }
  async function create(): Promise<Build> {
    const { newBuild } = await begun();
    const build = newBuild(newId(), 'New cake', new Date().toISOString());
    await put(build, 'New build');
    return build;
  }
  /** Lays a build on the shelf as a new cake of that name. */
  async function lay(build: Build, name: string, label: string): Promise<Build> {
    const own: Build = { ...plain(build), id: newId(), name, createdAt: new Date().toISOString() };
    await put(own, label);
    return own;
  }
  /** Lays a design on the shelf, each plain cake that goes with it as a cake of its own; gives the design's build. */
  async function take({ build, kitchen }: Design, name: string): Promise<Build> {
    for (let i = 1; kitchen && i <= kitchen.count; i++) {
      const which = kitchen.count > 1 ? ` ${i} of ${kitchen.count}` : '';
      await lay(kitchen.build, `${name.slice(0, 50)}, kitchen cake${which}`, 'From a design');
    }
    return lay(build, name, 'From a design');
  }
  /**
   * A cake of the shelf once more: nothing of it made yet, ordered by nobody; with no name of its own
   * it is a new cake. Null where it is not there.
   *
   * @param likes it remembers which cake it is once more
   */
  async function copy(
    id: string,
    as: string | null,
    change: (build: Build) => Partial<Build> = () => ({}),
    likes = false,
  ): Promise<Build | null> {
    const build = (await database.builds.get(id))?.build;
    if (!build) return null;
    const { newBench, newOrder } = await begun();
    const fresh = { ...build, bench: newBench(), order: newOrder(), ...change(build) };
    if (likes) fresh.order.likeId = id;
    return lay(fresh, as === null ? 'New cake' : `${build.name.slice(0, 66)}, ${as}`, 'Copied');
  }
  const undated = ({ brief }: Build): Pick<Build, 'brief'> => ({
    brief: { ...brief, serveAt: null },
  });
  const duplicate = (id: string): Promise<Build | null> => copy(id, 'copy');
  /** The same cake once more, which remembers what the first one taught. */
  const again = (id: string): Promise<Build | null> => copy(id, 'again', undated, true);
  /** Kept to make cakes from. */
  const asPattern = (id: string): Promise<Build | null> =>
    copy(id, 'pattern', ({ brief, day }) => ({
      isPattern: true,
      brief: { ...brief, serveAt: null, occasion: '', place: '' },
      day: { ...day, pinned: [], together: [] },
    }));
  const fromPattern = (id: string): Promise<Build | null> =>
    copy(id, null, () => ({ isPattern: false }));
  async function remove(id: string): Promise<StoredBuild | null> {
    const stored = await removeBuild(id);
    tell({ kind: 'removed', id });
    await changed();
    return stored;
  }
  async function restore(stored: StoredBuild): Promise<void> {
    await restoreBuild(stored);
    tell({ kind: 'build', id: stored.id, revision: stored.revision });
    await changed();
  }
  async function exportText(id: string): Promise<{ name: string; text: string } | null> {
    const stored = await database.builds.get(id);
    return stored ? fileOf(stored.build) : null;
  }
  /** A build as a file, stored or not. */
  async function fileOf(build: Build): Promise<{ name: string; text: string }> {
    const name = fileName(build.name);
    const { correctionsFor, planShape, writeBuildFile } = await import('../shelf/files.ts');
    const { pantry } = usePantry();
    const carvings = useCarvings();
    const hand = useHand();
    await hand.ready();
    const corrections = correctionsFor(build, hand.corrections);
    const solved = (): CarveResult[] => {
      const { tiers } = planShape(build, pantry, carvings.answerTo, corrections);
      return tiers.flatMap(({ carve }) => (carve?.result?.coat.exact ? [carve.result] : []));
    };
    let known: CarveResult[] = [];
    try {
      known = solved();
    } catch {
      // a cake that cannot be worked out is saved all the same: its solids are asked for anew
    }
    return { name: `${name}.json`, text: writeBuildFile(build, pantry, known) };
  }
  /** A cake with its photos, as one zip. */
  async function exportArchive(id: string): Promise<{ name: string; bytes: Uint8Array } | null> {
    const stored = await database.builds.get(id);
    if (!stored) return null;
    const { name, text } = await fileOf(stored.build);
    const { packCake } = await import('../shelf/files.ts');
    const { picturesOf } = await import('../storage/pictures.ts');
    const bytes = packCake(text, await picturesOf(stored.build));
    return { name: name.replace(/json$/, 'zip'), bytes };
  }
  /** Takes a file in: a cake, or a zip of one with its photos. */
  async function importFile(file: Blob): Promise<Imported> {
    const bytes = new Uint8Array(await file.arrayBuffer());
    return takeIn(await readAside(bytes));
  }
  /** Takes the text of a build file in. Nothing changes unless all of it is good. */
  async function importText(text: string): Promise<Imported> {
    const { readBuildFile } = await import('../shelf/files.ts');
    const read = readBuildFile(text);
    return takeIn(read.ok ? { ...read, pictures: [] } : read);
  }
  async function takeIn(read: ReadCake): Promise<Imported> {
    if (!read.ok) return { problems: read.problems };
    const { mergeRows } = await import('../shelf/files.ts');
    const { pictures } = read;
    const pantry = usePantry();
    const { build, added } = mergeRows(read.build, read.rows, pantry.pantry);
    await pantry.addRows(added);
    useCarvings().take(read.carvings);
    const taken = await database.builds.get(build.id);
    let placed = taken ? { ...build, id: newId() } : build;
    if (pictures.length > 0) {
      const { withPictures } = await import('../storage/pictures.ts');
      placed = await withPictures(placed, pictures);
    }
    await put(placed, 'From a file');
    return { build: placed };
  }

  /** The demo builds, on the first opening of a demo. */
  async function seedDemo(): Promise<void> {
    if (await database.settings.get('seeded')) return;
    // begun, and left before all of it lay there: the rest is laid now
    const begun = await database.settings.get('seeding');
    if (!begun && (await database.builds.count()) > 0) return;
    interface Start {
      demo?: boolean;
      today?: string;
    }
    const answer: Start = await fetch(atHome('api/start'))
      .then((r) => (r.ok ? (r.json() as Promise<Start>) : {}))
      .catch((): Start => ({}));
    if (!answer.demo) return;
    await database.settings.put({ key: 'seeding', value: true });
    await layExamples(answer.today ? new Date(answer.today) : new Date());
    await database.settings.put({ key: 'seeded', value: true });
  }
  /** Lays the examples that are not on the shelf yet, with dates counted from a day. */
  async function layExamples(today: Date): Promise<void> {
    const { exampleTexts, keepIds } = await import('../storage/examples.ts');
    const all = await exampleTexts(today);
    await keepIds(all.map(({ id }) => id));
    for (const { id, text } of all) if (!(await database.builds.get(id))) await importText(text);
    await markExamples();
  }
  async function putExamplesAway(): Promise<void> {
    const { exampleIds, putExamplesAway: putAway } = await import('../storage/examples.ts');
    await putAway();
    for (const id of await exampleIds()) tell({ kind: 'removed', id });
    await changed();
  }
  /** The examples as they were left, and anew where they were taken off. */
  async function bringExamples(): Promise<void> {
    const { restoreExamples } = await import('../storage/examples.ts');
    await restoreExamples();
    await layExamples(new Date());
    await changed();
  }
  async function markExamples(): Promise<void> {
    const known = await database.settings.get('examples');
    const ids =
      known || (await database.settings.get('seeded'))
        ? await import('../storage/examples.ts').then(({ exampleIds }) => exampleIds())
        : [];
    examples.value = new Set(ids);
  }

  listen((word) => {
    if (word.kind === 'shelf' || word.kind === 'build') void load();
  });
  return {
    entries,
    loaded,
    load,
    create,
    lay,
    take,
    duplicate,
    again,
    asPattern,
    fromPattern,
    examples,
    markExamples,
    hasExamples,
    putExamplesAway,
    bringExamples,
    remove,
    restore,
    exportText,
    exportArchive,
    importFile,
    fileOf,
    importText,
    seedDemo,
  };
});
