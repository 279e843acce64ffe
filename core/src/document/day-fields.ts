import type { DaySettings, Hours, OwnTask } from '../day/types.ts';
import { coolPlaces } from '../pantry/types.ts';
import { limits } from './limits.ts';
import { name } from './common-fields.ts';
import { figure, id, list, oneOf, orNull, record, wholeFigure, words } from '../fields/field.ts';

/** When and by whom a cake is made. */
export const daySettings = record<DaySettings>({
  people: wholeFigure(limits.people),
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
  ),
  fridgeMm: figure(limits.fridgeMm),
  freezerMm: figure(limits.freezerMm),
  chillIn: oneOf(['fridge', 'freezer']),
  cooling: list(
    record<DaySettings['cooling'][number]>({ spreadId: id(), where: oneOf(coolPlaces) }),
    limits.coolings.max,
  ),
  spareMin: figure(limits.spareMin),
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
