import type { CarveQuestion, CarveResult, ShapePlan } from '@pyrgotect/core';
import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import { plain } from '../storage/builds.ts';
import { database } from '../storage/database.ts';

/** As many answers are kept as a shelf of carved cakes shows, and then some. */
const mostKept = 80;

/**
 * What the solids said, by the key of the question: asked of the worker when a plan lacks it, kept
 * in the browser, and never part of the build.
 */
export const useCarvings = defineStore('carvings', () => {
  const answers = shallowRef<ReadonlyMap<string, CarveResult>>(new Map());
  const loaded = ref(false);
  /** What is wrong with the solids as a whole, such as a browser that cannot run them. */
  const problem = ref<string | null>(null);
  const busy = ref(false);
  /** The latest question of each tier; an older one is not asked any more. */
  const waiting = new Map<string, { key: string; question: CarveQuestion }>();
  let running = false;

  async function load(): Promise<void> {
    const rows = await database.carvings.toArray();
    const kept = rows.map((row): [string, CarveResult] => [row.key, row.result as CarveResult]);
    // what a file brought meanwhile stands
    answers.value = new Map([...kept, ...answers.value]);
    loaded.value = true;
  }
  const answerTo = (key: string): CarveResult | undefined => answers.value.get(key);

  function keep(result: CarveResult): void {
    const next = new Map(answers.value);
    // the one learnt last stands last
    next.delete(result.key);
    next.set(result.key, result);
    const old = [...next.keys()].slice(0, Math.max(0, next.size - mostKept));
    for (const key of old) next.delete(key);
    answers.value = next;
    if (!result.coat.exact) return;
    void database.carvings.put({ key: result.key, result: plain(result) });
    if (old.length > 0) void database.carvings.bulkDelete(old);
  }

  /** Asks for what a plan of carved tiers still lacks. */
  function need(plan: Pick<ShapePlan, 'tiers'>): void {
    if (!loaded.value) return;
    for (const { carve } of plan.tiers) {
      if (!carve || carve.result?.coat.exact) continue;
      const { key, question } = carve;
      if (waiting.get(question.tierId)?.key !== key)
        waiting.set(question.tierId, { key, question });
    }
    void run();
  }

  async function run(): Promise<void> {
    if (running || waiting.size === 0) return;
    running = true;
    busy.value = true;
    try {
      const { askSolids } = await import('../workers/solids.ts');
      while (waiting.size > 0) {
        const [tierId, { key, question }] = waiting.entries().next().value!;
        const isLatest = (): boolean => waiting.get(tierId)?.key === key;
        const result = await askSolids((solids) => solids.carve(plain(question), 'fine'));
        const known = answers.value.get(result.key);
        if (!known?.coat.exact) keep(result);
        if (!isLatest()) continue;
        if (!known?.coat.exact)
          keep({ ...result, coat: await askSolids((solids) => solids.coat(plain(question))) });
        if (isLatest()) waiting.delete(tierId);
      }
      problem.value = null;
    } catch (error) {
      waiting.clear();
      problem.value = error instanceof Error ? error.message : String(error);
    } finally {
      running = false;
      busy.value = false;
    }
  }

  /** Answers that came with a build file. */
  function take(results: readonly CarveResult[]): void {
    for (const result of results) if (!answers.value.get(result.key)?.coat.exact) keep(result);
  }

  return { answers, loaded, busy, problem, load, answerTo, need, take };
});
