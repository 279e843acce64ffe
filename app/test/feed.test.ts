import type { CakeLoad } from '@pyrgotect/core';
import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { feedText } from '../src/calendar/feed.ts';

const cake = {
  id: 'moon',
  name: 'Moon, half; "full"',
  serveAt: '2027-06-12T16:00',
  occasion: 'Open night',
  customer: 'The keeper',
  updatedAt: '2027-05-01T10:00:00.000Z',
};
const load: CakeLoad = {
  cakeId: 'moon',
  hours: [],
  people: 1,
  stretches: [
    {
      from: Date.parse('2027-06-11T08:00:00Z'),
      to: Date.parse('2027-06-11T09:30:00Z'),
      chapter: 'Bake',
    },
  ],
};
const eventsIn = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as never)
    .getAllSubcomponents('vevent')
    .map((each) => new ICAL.Event(each));

describe('the calendar for other calendars', () => {
  it('has each serving and each stretch of work, under names that other programs read back', () => {
    const events = eventsIn(feedText([cake], [load]));
    expect(events.map(({ summary }) => summary)).toEqual([
      'Moon, half; "full" is served',
      'Moon, half; "full": Bake',
    ]);
    expect(events[0]!.description).toBe('Open night. For The keeper');
    expect(events[0]!.startDate.toJSDate()).toEqual(new Date(2027, 5, 12, 16));
    expect(events[1]!.duration.toSeconds()).toBe(90 * 60);
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(2);
  });
  it('is the same for the same cakes, so that nothing is sent twice', () => {
    expect(feedText([cake], [load])).toBe(feedText([cake], [load]));
    expect(feedText([{ ...cake, updatedAt: '2027-05-02T10:00:00Z' }], [load])).not.toBe(
      feedText([cake], [load]),
    );
  });
  it('leaves out the hours of a cake that is none of them, and of one whose days do not fit', () => {
    const foreign = { ...load, cakeId: 'other' };
    expect(eventsIn(feedText([cake], [foreign, { ...load, stretches: null }]))).toHaveLength(1);
  });
});
