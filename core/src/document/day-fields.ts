import type { DaySettings, Hours, OwnTask } from '../day/types.ts';
import { coolPlaces } from '../pantry/types.ts';
import { limits } from './limits.ts';
import { name } from './common-fields.ts';
import { figure, id, list, oneOf, orNull, record, wholeFigure, words } from '../fields/field.ts';

const evening: Hours = { from: 18 * 60, to: 22 * 60 };
const wholeDay: Hours = { from: 9 * 60, to: 20 * 60 };

/** When and by whom a cake is made: one person, evenings in the week and the days of the weekend. */
export const daySettings = record<DaySettings>({
  people: wholeFigure(limits.people).usually(1),
  hours: list(
    orNull(
      record<NonNullable<Hours>>({
        from: wholeFigure(limits.clockMin),
        to: wholeFigure(limits.clockMin),
      }),
    ),
    7,
    7,
    'needs seven days',
  ).usually([...Array<Hours>(5).fill(evening), ...Array<Hours>(2).fill(wholeDay)]),
  fridgeMm: figure(limits.fridgeMm).called('width in the fridge').usually(900),
  freezerMm: figure(limits.freezerMm).called('width in the freezer').usually(0),
  chillIn: oneOf(['fridge', 'freezer']).usually('fridge'),
  cooling: list(
    record<DaySettings['cooling'][number]>({ spreadId: id(), where: oneOf(coolPlaces) }),
    limits.coolings.max,
  ).since(10),
  spareMin: figure(limits.spareMin).usually(30),
  own: list(
    record<OwnTask>({
      id: id(),
      title: name(),
      handsMin: figure(limits.taskMin),
      waitMin: figure(limits.taskMin),
      after: orNull(words(200)),
      before: orNull(words(200)),
    }),
    limits.ownTasks.max,
  ),
  minutes: list(
    record<DaySettings['minutes'][number]>({
      taskId: words(200),
      handsMin: figure(limits.taskMin),
    }),
    200,
  ),
  pinned: list(
    record<DaySettings['pinned'][number]>({
      taskId: words(200),
      startMin: figure(limits.pinMin),
    }),
    200,
  ),
  together: list(id(), limits.together.max),
});
