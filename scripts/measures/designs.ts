import {
  anyWish,
  findDesigns,
  newBuild,
  planBuild,
  resizeCake,
  startingPantry,
  weighDesigns,
} from '../../core/src/index.ts';
import { demo, measure, timed, type Measure } from './measure.ts';

/** Until the first of them are shown. */
export function firstDraft(servings: number): Measure {
  const pantry = startingPantry();
  const samples: number[] = [];
  for (let run = 0; run < 8; run++) {
    const build = newBuild(`b${run}`, 'Bench', '2027-05-03T09:30:00Z');
    Object.assign(build.brief, { servings, serveAt: '2027-06-12T16:00' });
    const from = performance.now();
    for (const { first } of weighDesigns(build, pantry, { ...anyWish, mayKitchen: true }))
      if (first) {
        samples.push(performance.now() - from);
        break;
      }
  }
  return measure(`drafts-first-${servings}`, 'ms', samples, 300, 'median');
}

/** A cake of the demo with its look for another number. */
export function resized(): Measure {
  const pantry = startingPantry();
  const build = demo('jubilee');
  const samples = timed(8, 2, (run) => {
    const answer = resizeCake(build, 120 + run, pantry);
    if (!answer.ok) throw new Error(answer.problem);
    planBuild(answer.build, pantry);
  });
  return measure('resize', 'ms', samples, 300, 'median');
}

/** Cakes for so many guests, searched and planned whole, as New cake asks for them. */
export function drafts(servings: number): Measure {
  const pantry = startingPantry();
  const samples = timed(8, 2, (run) => {
    const build = newBuild(`b${run}`, 'Bench', '2027-05-03T09:30:00Z');
    Object.assign(build.brief, { servings, serveAt: '2027-06-12T16:00' });
    findDesigns(build, pantry, { ...anyWish, mayKitchen: true });
  });
  return measure(`drafts-${servings}`, 'ms', samples, 1500, 'median');
}
