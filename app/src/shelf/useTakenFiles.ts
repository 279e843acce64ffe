import type { Build, FileProblem } from '@pyrgotect/core';
import { ref, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import { handed } from '../backup/handed.ts';
import { handedRecipe, holdsRecipes } from '../pantry/handed-recipe.ts';
import { useShelf } from '../stores/shelf.ts';

/** A file that was not taken in, and why. */
export interface Refused {
  name: string;
  problems: FileProblem[];
}

/** A file beyond any cake, or any with its pictures, is not even read. */
const mostBytes = (name: string): number => (/\.zip$/i.test(name) ? 60_000_000 : 20_000_000);
/** So much of a file says what it is, bytes. */
const headBytes = 64;

const refusal = (name: string, message: string): Refused => ({
  name,
  problems: [{ line: null, path: null, value: null, message }],
});

/** Files of cakes, chosen or dropped: each is taken in or refused by itself, one after the other. */
export function useTakenFiles() {
  const shelf = useShelf();
  const router = useRouter();
  const refused = shallowRef<Refused[]>([]);
  /** How many cakes came of the last files, where there were several. */
  const taken = ref(0);
  const busy = ref(false);

  async function takeOne(file: File): Promise<Build | null> {
    const refuse = (message: string): null => {
      refused.value = [...refused.value, refusal(file.name, message)];
      return null;
    };
    if (file.size > mostBytes(file.name))
      return refuse(
        `The file is ${(file.size / 1e6).toFixed(0)} MB large. A cake is at most 5 MB, and 60 MB with its pictures.`,
      );
    try {
      const result = await shelf.importFile(file);
      if ('build' in result) return result.build;
      refused.value = [...refused.value, { name: file.name, problems: result.problems }];
      return null;
    } catch (error) {
      const why = error instanceof Error ? error.message : String(error);
      return refuse(`It was not read: ${why}. Try it again.`);
    }
  }

  /** True of a backup, which is read where backups are. */
  async function isBackupFile(file: File): Promise<boolean> {
    if (!/\.zip$/i.test(file.name)) return false;
    const head = new Uint8Array(await file.slice(0, headBytes).arrayBuffer());
    return (await import('./files.ts')).isBackup(head);
  }

  /** The text of a file of recipes, which is read in the pantry; null of any other. */
  async function recipesIn(file: File): Promise<string | null> {
    if (/\.zip$/i.test(file.name) || file.size > mostBytes(file.name)) return null;
    const text = await file.text();
    return holdsRecipes(file.name, text) ? text : null;
  }
  async function toRecipes(text: string): Promise<void> {
    handedRecipe.value = text;
    await router.push('/pantry?table=recipes');
  }

  async function take(files: readonly File[]): Promise<void> {
    if (busy.value || files.length === 0) return;
    busy.value = true;
    taken.value = 0;
    refused.value = [];
    try {
      const cakes: Build[] = [];
      for (const file of files) {
        if (await isBackupFile(file)) {
          handed.value = file;
          await router.push('/backup');
          return;
        }
        const recipes = await recipesIn(file);
        if (recipes !== null) return await toRecipes(recipes);
        const build = await takeOne(file);
        if (build) cakes.push(build);
      }
      if (files.length === 1 && cakes[0]) await router.push(`/build/${cakes[0].id}/stack`);
      else taken.value = cakes.length;
    } finally {
      busy.value = false;
    }
  }
  return { take, toRecipes, refused, taken, busy };
}
