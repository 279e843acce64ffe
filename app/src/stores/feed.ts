import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import { object, string } from 'yup';
import { atHome } from '../home.ts';
import { database } from '../storage/database.ts';

/** An address at the server from which other calendars read, and the key that changes what lies there. */
interface Feed {
  name: string;
  key: string;
}
/** What the server says where it took something. */
const taken = 204;
const refusals: Record<number, string> = {
  403: 'The server did not take it: what lies there was laid by another browser.',
  413: 'There is more in this calendar than the server takes.',
  507: 'The server keeps as many calendars as it can.',
};
const noServer =
  'This address has no server of the program behind it, so that nothing can be laid there.';
const feedKey = 'calendarFeed';
const schema = object({ name: string().required(), key: string().required() });

/** 192 bits that nobody guesses, in letters of an address. */
function secret(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(24));
  return btoa(String.fromCharCode(...bytes))
    .replaceAll('+', '-')
    .replaceAll('/', '_');
}

/** The calendar that others subscribe to: laid at the own server, on the wish of who works here alone. */
export const useFeed = defineStore('feed', () => {
  const feed = shallowRef<Feed | null>(null);
  const problem = ref('');
  /** What lies there, so that the same is not sent again. */
  let laid = '';

  async function load(): Promise<void> {
    const kept = (await database.settings.get(feedKey))?.value;
    feed.value = schema.isValidSync(kept, { strict: true }) ? kept : null;
  }
  const pathOf = ({ name }: Feed): string => atHome(`api/calendars/${name}`).href;
  async function ask(of: Feed, method: 'PUT' | 'DELETE', body?: string): Promise<boolean> {
    problem.value = '';
    try {
      const answer = await fetch(pathOf(of), {
        method,
        headers: {
          authorization: `Bearer ${of.key}`,
          ...(body === undefined ? {} : { 'content-type': 'text/calendar' }),
        },
        ...(body === undefined ? {} : { body }),
      });
      // a host that only gives out files may answer anything else, and call it well
      if (answer.status === taken) return true;
      problem.value = refusals[answer.status] ?? noServer;
    } catch {
      problem.value =
        'The server cannot be reached now; it is tried again when the calendar is opened.';
    }
    return false;
  }
  /** Lays a calendar at a new address. */
  async function begin(text: string): Promise<void> {
    const made = { name: secret(), key: secret() };
    if (!(await ask(made, 'PUT', text))) return;
    await database.settings.put({ key: feedKey, value: made });
    feed.value = made;
    laid = text;
  }
  /** Lays what changed since. */
  async function renew(text: string): Promise<void> {
    if (!feed.value || text === laid) return;
    if (await ask(feed.value, 'PUT', text)) laid = text;
  }
  /** Takes the calendar away; who read it finds nothing any more. */
  async function end(): Promise<void> {
    if (!feed.value || !(await ask(feed.value, 'DELETE'))) return;
    await database.settings.delete(feedKey);
    feed.value = null;
    laid = '';
  }
  const address = (): string => (feed.value ? `${pathOf(feed.value)}.ics` : '');
  return { feed, problem, load, begin, renew, end, address };
});
