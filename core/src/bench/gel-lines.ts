import type { TintNote } from '../colour/tint-note.ts';
import { takenOf } from './recipe-steps.ts';
import type { ListItem, Step } from './steps.ts';

/**
 * The gels of some colours as lines of a step, and what the step takes of them.
 *
 * @param some each with the name of its colour; empty where the step has one colour alone
 */
export const gelsIn = (
  some: readonly { tint: string; note: TintNote }[],
): { list: ListItem[]; takes: Step['takes'] } => ({
  list: some.flatMap(({ tint, note }) =>
    note.gels.map(({ name, g }): ListItem => ({
      label: tint ? `${name}, ${tint}` : name,
      value: g,
      kind: 'fineMass',
      note: null,
    })),
  ),
  takes: some.flatMap(({ note }) => note.gels.flatMap((gel) => takenOf(gel, gel.g))),
});
