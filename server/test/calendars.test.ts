import { mkdtempSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { FastifyInstance } from 'fastify';
import { afterEach, describe, expect, it } from 'vitest';
import { buildServer } from '../src/server.ts';

const name = 'a'.repeat(22);
const key = 'k'.repeat(43);
const text = 'BEGIN:VCALENDAR\r\nVERSION:2.0\r\nEND:VCALENDAR\r\n';
const open: FastifyInstance[] = [];
const server = async (data: string | null = null): Promise<FastifyInstance> => {
  const app = await buildServer({ serveApp: false, data });
  open.push(app);
  return app;
};
afterEach(async () => {
  await Promise.all(open.splice(0).map((app) => app.close()));
});
interface Asked {
  method?: 'PUT' | 'DELETE';
  name?: string;
  key?: string;
  body?: string;
  origin?: string;
  type?: string;
}
const ask = (app: FastifyInstance, asked: Asked = {}) =>
  app.inject({
    method: asked.method ?? 'PUT',
    url: `/api/calendars/${asked.name ?? name}`,
    headers: {
      authorization: `Bearer ${asked.key ?? key}`,
      host: 'kitchen:4173',
      ...(asked.method === 'DELETE' ? {} : { 'content-type': asked.type ?? 'text/calendar' }),
      ...(asked.origin ? { origin: asked.origin } : {}),
    },
    ...(asked.method === 'DELETE' ? {} : { payload: asked.body ?? text }),
  });
const read = (app: FastifyInstance, which = name) => app.inject(`/api/calendars/${which}.ics`);

describe('a calendar to subscribe to', () => {
  it('is read by who knows its address, as it was laid last', async () => {
    const app = await server();
    expect((await read(app)).statusCode).toBe(404);
    expect((await ask(app, { origin: 'http://kitchen:4173' })).statusCode).toBe(204);
    const found = await read(app);
    expect(found.body).toBe(text);
    expect(found.headers['content-type']).toContain('text/calendar');
    const newer = text.replace('2.0', '2.1');
    await ask(app, { body: newer });
    expect((await read(app)).body).toBe(newer);
  });

  it('is changed and taken away with its key alone, and by pages of this server alone', async () => {
    const app = await server();
    await ask(app);
    for (const wrong of [
      { key: 'x'.repeat(43) },
      { key: 'short' },
      { origin: 'http://elsewhere.example' },
      { method: 'DELETE' as const, key: 'x'.repeat(43) },
      { method: 'DELETE' as const, origin: 'http://elsewhere.example' },
    ])
      expect((await ask(app, { body: text.replace('2.0', '6.6'), ...wrong })).statusCode).toBe(403);
    expect((await read(app)).body).toBe(text);
    expect((await ask(app, { method: 'DELETE' })).statusCode).toBe(204);
    expect((await read(app)).statusCode).toBe(404);
    // once more is no fault
    expect((await ask(app, { method: 'DELETE' })).statusCode).toBe(204);
  });

  it('is a calendar of a size, at an address that cannot be guessed or climb', async () => {
    const app = await server();
    expect((await ask(app, { body: '<html>' })).statusCode).toBe(400);
    expect((await ask(app, { type: 'application/json', body: '{}' })).statusCode).toBe(400);
    expect((await ask(app, { body: text + 'X'.repeat(600_000) })).statusCode).toBe(413);
    for (const bad of ['short', '..%2f..%2fmailbox-aaaaaaaaaaaaaaa', 'a'.repeat(65)])
      expect((await ask(app, { name: bad })).statusCode).toBe(403);
  });

  it('is one of a hundred at most; those that are there can still be changed', async () => {
    const app = await server();
    const called = (i: number): string => `${'b'.repeat(22)}${i}`;
    for (let i = 0; i < 100; i++)
      expect((await ask(app, { name: called(i) })).statusCode).toBe(204);
    expect((await ask(app, { name: called(100) })).statusCode).toBe(507);
    expect((await ask(app, { name: called(3) })).statusCode).toBe(204);
  });

  it('is there again after the server was stopped, readable by nobody else; half of one is none', async () => {
    const data = mkdtempSync(join(tmpdir(), 'pyrgotect-calendars-'));
    await ask(await server(data));
    const [file] = readdirSync(join(data, 'calendars'));
    expect(statSync(join(data, 'calendars', file!)).mode & 0o777).toBe(0o600);
    writeFileSync(join(data, 'calendars', `${'c'.repeat(22)}.json`), '{"keyHash":"x","te');
    const again = await server(data);
    expect((await read(again)).body).toBe(text);
    expect((await read(again, 'c'.repeat(22))).statusCode).toBe(404);
    expect((await ask(again, { key: 'x'.repeat(43) })).statusCode).toBe(403);
    expect((await ask(again, { method: 'DELETE' })).statusCode).toBe(204);
    expect(readdirSync(join(data, 'calendars'))).toEqual([`${'c'.repeat(22)}.json`]);
  });
});
