import { writeTable, type DayTask, type Placed } from '@pyrgotect/core';
import { format } from 'date-fns';

/** The days as a table: local times, minutes of hands and of waiting. */
export const tableText = (
  rows: readonly { at: Placed; task: DayTask; isCritical: boolean }[],
  dateOf: (minutes: number) => Date,
): string =>
  writeTable(
    ['begin', 'hands off', 'done', 'task', 'hands min', 'wait min', 'sets the start'],
    rows.map(({ at, task, isCritical }) => [
      ...[at.startMin, at.handsEndMin, at.endMin].map((min) =>
        format(dateOf(min), 'yyyy-MM-dd HH:mm'),
      ),
      task.title,
      task.handsMin + (task.again?.handsMin ?? 0),
      task.waitMin + (task.again?.waitMin ?? 0),
      isCritical ? 'yes' : '',
    ]),
  );
