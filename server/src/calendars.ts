import { createHash, timingSafeEqual } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import { isOwn } from './own-origin.ts';
import { ownerOnly, writeWhole } from './write-whole.ts';

/* Calendars that other programs subscribe to: laid here by a browser that was asked to, at an address nobody guesses. */

export const calendarsPath = '/api/calendars';
/** So large and so many at most. */
const mostBytes = 512 * 1024;
const mostCalendars = 100;
/** At least 128 bits, in letters that an address may have. */
const nameForm = /^[\w-]{22,64}$/;

interface Calendar {
  /** Of the key that may change it. */
  keyHash: string;
  text: string;
}

/** Calendars, kept in a folder, or in memory alone where there is none. */
export class Calendars {
  readonly #known = new Map<string, Calendar>();

  constructor(private readonly folder: string | null) {
    if (folder === null || !existsSync(folder)) return;
    for (const file of readdirSync(folder)) {
      const name = file.replace(/\.json$/, '');
      if (name === file || !nameForm.test(name)) continue;
      try {
        this.#known.set(name, JSON.parse(readFileSync(join(folder, file), 'utf8')) as Calendar);
      } catch {
        // half of one is none: its browser lays it anew
      }
    }
  }

  text(name: string): string | null {
    return this.#known.get(name)?.text ?? null;
  }
  /** Lays a calendar, or a newer one in its place; who laid the first alone may. */
  put(name: string, key: string, text: string): 'kept' | 'not yours' | 'full' {
    const known = this.#known.get(name);
    if (known && !isKey(known, key)) return 'not yours';
    if (!known && this.#known.size >= mostCalendars) return 'full';
    const kept = { keyHash: hashOf(key), text };
    this.#known.set(name, kept);
    if (this.folder !== null) {
      mkdirSync(this.folder, { recursive: true, mode: ownerOnly.folder });
      writeWhole(join(this.folder, `${name}.json`), JSON.stringify(kept));
    }
    return 'kept';
  }
  drop(name: string, key: string): boolean {
    const known = this.#known.get(name);
    if (!known || !isKey(known, key)) return false;
    this.#known.delete(name);
    if (this.folder !== null) rmSync(join(this.folder, `${name}.json`), { force: true });
    return true;
  }
}

const hashOf = (key: string): string => createHash('sha256').update(key).digest('base64url');
const isKey = ({ keyHash }: Calendar, key: string): boolean =>
  timingSafeEqual(Buffer.from(keyHash), Buffer.from(hashOf(key)));

type Named = FastifyRequest<{ Params: { name: string } }>;

/** Serves calendars: read by who knows their address, changed by who has their key besides, from this server's page. */
export async function serveCalendars(app: FastifyInstance, calendars: Calendars): Promise<void> {
  await app.register((own, _options, done) => {
    own.addContentTypeParser(
      'text/calendar',
      { parseAs: 'string', bodyLimit: mostBytes },
      (_request, body, taken) => taken(null, body),
    );
    /** The key of a request that may change something; null where it was answered already. */
    const keyOf = (request: Named, reply: FastifyReply): string | null => {
      const key = /^Bearer ([\w-]{22,64})$/.exec(request.headers.authorization ?? '')?.[1];
      const { origin, host } = request.headers;
      if (isOwn(origin, host) && key && nameForm.test(request.params.name)) return key;
      void reply.code(403).send({ error: 'not allowed' });
      return null;
    };
    own.get(`${calendarsPath}/:name.ics`, (request: Named, reply) => {
      const text = calendars.text(request.params.name);
      if (text === null) return reply.code(404).send({ error: 'not found' });
      return reply
        .header('cache-control', 'no-cache')
        .header('x-robots-tag', 'noindex')
        .type('text/calendar; charset=utf-8')
        .send(text);
    });
    own.put(`${calendarsPath}/:name`, async (request: Named, reply) => {
      const key = keyOf(request, reply);
      if (key === null) return reply;
      const { body } = request;
      if (typeof body !== 'string' || !/^BEGIN:VCALENDAR\r?\n/.test(body))
        return reply.code(400).send({ error: 'no calendar' });
      const what = calendars.put(request.params.name, key, body);
      const code = { kept: 204, 'not yours': 403, full: 507 }[what];
      return code === 204 ? reply.code(204).send() : reply.code(code).send({ error: what });
    });
    own.delete(`${calendarsPath}/:name`, async (request: Named, reply) => {
      const key = keyOf(request, reply);
      if (key === null) return reply;
      // what is not there any more is gone as well
      const isGone =
        calendars.text(request.params.name) === null || calendars.drop(request.params.name, key);
      return isGone ? reply.code(204).send() : reply.code(403).send({ error: 'not yours' });
    });
    done();
  });
}
