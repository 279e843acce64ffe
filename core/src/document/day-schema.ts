import type { DaySettings, Hours, OwnTask } from '../day/types.ts';
import { limits } from './limits.ts';
import {
  figure,
  id,
  list,
  name,
  oneOf,
  orNull,
  record,
  wholeFigure,
  words,
} from './schema-blocks.ts';

/** Checks of when and by whom a cake is made. */
export const daySchema = record<DaySettings>({
  people: wholeFigure(limits.people),
  hours: list(
    orNull(
      record<NonNullable<Hours>>({
        from: wholeFigure(limits.clockMin),
        to: wholeFigure(limits.clockMin),
      }) as never,
    ) as never,
    7,
  ).test('seven', 'needs seven days', (days) => !Array.isArray(days) || days.length === 7),
  fridgeMm: figure(limits.fridgeMm),
  freezerMm: figure(limits.freezerMm),
  chillIn: oneOf(['fridge', 'freezer'] as const),
  spareMin: figure(limits.spareMin),
  own: list(
    record<OwnTask>({
      id: id(),
      title: name(),
      handsMin: figure(limits.taskMin),
      waitMin: figure(limits.taskMin),
      after: orNull(words(200) as never),
      before: orNull(words(200) as never),
    }) as never,
    limits.ownTasks.max,
  ),
  minutes: list(
    record<DaySettings['minutes'][number]>({
      taskId: words(200),
      handsMin: figure(limits.taskMin),
    }) as never,
    200,
  ),
  pinned: list(
    record<DaySettings['pinned'][number]>({
      taskId: words(200),
      startMin: figure(limits.pinMin),
    }) as never,
    200,
  ),
  together: list(id() as never, limits.together.max),
});
