import type { Build } from '../document/types.ts';
import type { CarveResult } from '../carve/result.ts';
import type { Pantry } from '../pantry/types.ts';
import { planBuild } from '../plan/plan.ts';
import type { Plan } from '../plan/plan-types.ts';
import { carveAnswer, measuredCoat } from './answer.ts';
import { Carver } from './carver.ts';
import { startLibrary } from './library.ts';

/**
 * The whole plan of a build, its carved tiers worked out first. Takes seconds for each carved tier of
 * which no answer is known; a build without any is planned at once and the solids are not started.
 *
 * @param known answers that came with the build's file
 */
export async function planCarved(
  build: Build,
  pantry: Pantry,
  known: readonly CarveResult[] = [],
): Promise<Plan> {
  const answers = new Map(known.map((each) => [each.key, each]));
  const plain = planBuild(build, pantry, (key) => answers.get(key));
  const questions = plain.tiers.flatMap(({ carve }) =>
    carve && !carve.result?.coat.exact ? [carve.question] : [],
  );
  if (questions.length === 0) return plain;
  const lib = await startLibrary();
  for (const question of questions) {
    const carver = new Carver(lib);
    try {
      const result = carveAnswer(carver, question);
      const coat = measuredCoat(carver, question.cover);
      answers.set(result.key, { ...result, coat });
    } finally {
      carver.end();
    }
  }
  return planBuild(build, pantry, (key) => answers.get(key));
}
