import type { Build, DayTask, Placed } from '@pyrgotect/core';
import ical, { ICalAlarmType } from 'ical-generator';

interface Row {
  at: Placed;
  task: DayTask;
}

/** The days as an iCalendar file: an event for each task, an alarm when hands are wanted after a wait. */
export function calendarText(
  build: Build,
  rows: readonly Row[],
  dateOf: (minutes: number) => Date,
): string {
  const calendar = ical({ name: build.name, prodId: '//Pyrgotect//Days//EN' });
  for (const { at, task } of rows) {
    const event = calendar.createEvent({
      id: `${build.id}/${task.id}`,
      start: dateOf(at.startMin),
      // an event of no length is not shown by many calendars
      end: dateOf(Math.max(at.handsEndMin, at.startMin + 5)),
      summary: task.title,
      description: build.name,
    });
    event.createAlarm({ type: ICalAlarmType.display, trigger: 10 * 60, description: task.title });
    if (at.againMin !== null && task.again) {
      const out = calendar.createEvent({
        id: `${build.id}/${task.id}/again`,
        start: dateOf(at.againMin),
        end: dateOf(at.againMin + Math.max(5, task.again.handsMin)),
        summary: `Out of the oven: ${task.title}`,
        description: build.name,
      });
      out.createAlarm({ type: ICalAlarmType.display, trigger: 0, description: 'Out of the oven' });
    }
  }
  return calendar.toString();
}
