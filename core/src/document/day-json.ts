import { id, int, list, name, nullable, num, obj, oneOf, text } from './json-blocks.ts';
import { limits } from './limits.ts';

/** When and by whom a cake is made, as JSON Schema. */
export const day = obj({
  people: int(limits.people),
  hours: list(nullable(obj({ from: int(limits.clockMin), to: int(limits.clockMin) })), 7, 7),
  fridgeMm: num(limits.fridgeMm),
  freezerMm: num(limits.freezerMm),
  chillIn: oneOf(['fridge', 'freezer']),
  spareMin: num(limits.spareMin),
  own: list(
    obj({
      id,
      title: name,
      handsMin: num(limits.taskMin),
      waitMin: num(limits.taskMin),
      after: nullable(text(200)),
      before: nullable(text(200)),
    }),
    limits.ownTasks.max,
  ),
  minutes: list(obj({ taskId: text(200), handsMin: num(limits.taskMin) }), 200),
  pinned: list(obj({ taskId: text(200), startMin: num(limits.pinMin) }), 200),
  together: list(id, limits.together.max),
});
