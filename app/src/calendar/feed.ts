import { word } from '@pyrgotect/core';
import type { CakeLoad } from '@pyrgotect/core';
import { addMinutes, parseISO } from 'date-fns';
import ical from 'ical-generator';
import { servingMin } from './shown.ts';

/** A cake that is due, as its calendar says it. */
export interface DueCake {
  id: string;
  name: string;
  serveAt: string;
  occasion: string;
  customer: string;
  /** When it was changed last: the same cakes give the same text. */
  updatedAt: string;
}

/** What is due and when hands are on it, as one iCalendar: an event for each serving and each stretch of work. */
export function feedText(cakes: readonly DueCake[], loads: readonly CakeLoad[]): string {
  const calendar = ical({ name: word('Cakes'), prodId: '//Pyrgotect//Cakes//EN', ttl: 60 * 60 });
  const cakeOf = new Map(cakes.map((cake) => [cake.id, cake]));
  for (const { id, name, serveAt, occasion, customer, updatedAt } of cakes) {
    const start = parseISO(serveAt);
    const description = [occasion, customer && `For ${customer}`].filter(Boolean).join('. ');
    calendar.createEvent({
      id: `${id}/served`,
      stamp: parseISO(updatedAt),
      start,
      end: addMinutes(start, servingMin),
      summary: `${name} is served`,
      ...(description ? { description } : {}),
    });
  }
  for (const { cakeId, stretches } of loads) {
    const cake = cakeOf.get(cakeId);
    if (!cake) continue;
    (stretches ?? []).forEach(({ from, to, chapter }, i) =>
      calendar.createEvent({
        id: `${cakeId}/work/${i}`,
        stamp: parseISO(cake.updatedAt),
        start: new Date(from),
        end: new Date(to),
        summary: `${cake.name}: ${chapter}`,
      }),
    );
  }
  return calendar.toString();
}
