import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { newBuild, type DayTask, type Placed } from '@pyrgotect/core';
import { calendarText } from '../src/day/calendar.ts';
import { tableText } from '../src/day/table.ts';

const deadline = new Date(2027, 5, 19, 15, 30);
const dateOf = (minutes: number): Date => new Date(deadline.getTime() + minutes * 60_000);
const bake: DayTask = {
  id: 'tier-1/weigh',
  stepKeys: ['tier-1/bake'],
  title: 'Mix and bake; 2 tins, “cocoa”',
  chapter: 'Bake',
  tierId: 'tier-1',
  handsMin: 50,
  waitMin: 42,
  again: { handsMin: 4, waitMin: 165 },
  uses: [],
  after: [],
};
const at: Placed = {
  id: bake.id,
  startMin: -1500,
  handsEndMin: -1450,
  againMin: -1408,
  endMin: -1239,
};
const rows = [{ at, task: bake, isCritical: true }];

describe('the calendar file', () => {
  const text = calendarText(newBuild('b', 'Jubilee', '2027-05-03T09:30:00Z'), rows, dateOf);
  const calendar = new ICAL.Component(ICAL.parse(text) as never);
  const events = calendar.getAllSubcomponents('vevent').map((event) => new ICAL.Event(event));
  it('is read back by another reader, times and texts whole', () => {
    expect(events).toHaveLength(2);
    expect(events[0]!.summary).toBe(bake.title);
    expect(events[0]!.startDate.toJSDate()).toEqual(dateOf(-1500));
    expect(events[0]!.endDate.toJSDate()).toEqual(dateOf(-1450));
    expect(new Set(events.map((event) => event.uid)).size).toBe(2);
  });
  it('rings when the tin comes out of the oven', () => {
    expect(events[1]!.startDate.toJSDate()).toEqual(dateOf(-1408));
    expect(events[1]!.summary).toContain('Out of the oven');
    for (const event of calendar.getAllSubcomponents('vevent'))
      expect(event.getAllSubcomponents('valarm')).toHaveLength(1);
  });
});

describe('the table of the days', () => {
  it('has a line for each task, in local time', () => {
    const [header, line] = tableText(rows, dateOf).trim().split('\r\n');
    expect(header).toBe('begin,hands off,done,task,hands min,wait min,sets the start');
    expect(line).toContain('2027-06-18 14:30');
    expect(line).toContain('54,207,yes');
  });
});
