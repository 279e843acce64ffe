import { anyWish, findDesigns, newBuild, startingPantry } from '../../core/src/index.ts';
import { measure, timed, type Measure } from './measure.ts';

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
