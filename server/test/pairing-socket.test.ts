import { mkdtempSync, readdirSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  newDeviceKeys,
  newKitchenKey,
  newSecret,
  packParcel,
  prove,
  publicKeys,
  readFromServer,
  sealForKitchen,
  tagOf,
  type Answer,
  type Ask,
  type Box,
  type DeviceKeys,
  type News,
} from '@pyrgotect/core/pairing';
import type { FastifyInstance } from 'fastify';
import { afterEach, describe, expect, it } from 'vitest';
import WebSocket from 'ws';
import { buildServer } from '../src/server.ts';

/* Real sockets, members and strangers. */

let app: FastifyInstance | null = null;
afterEach(async () => {
  await app?.close();
  app = null;
});
async function serve(data: string | null = null): Promise<string> {
  app = await buildServer({ serveApp: false, data });
  await app.listen({ port: 0, host: '127.0.0.1' });
  const at = app.server.address();
  if (at === null || typeof at === 'string') throw new Error('no port');
  return `ws://127.0.0.1:${at.port}/api/pairing`;
}

/** A socket that asks and hears, and writes down every word that goes over it. */
class Voice {
  readonly news: News[] = [];
  readonly wire: string[] = [];
  #next = 1;
  readonly #waiting = new Map<number, (answer: Answer) => void>();
  private constructor(readonly socket: WebSocket) {
    socket.on('message', (data: Buffer) => {
      this.wire.push(data.toString());
      const message = readFromServer(data.toString());
      if (!message) return;
      if ('answer' in message) this.#waiting.get(message.answer)?.(message.say);
      else this.news.push(message.say);
    });
  }
  static open(url: string): Promise<Voice> {
    return new Promise((resolve, reject) => {
      const socket = new WebSocket(url);
      const voice = new Voice(socket);
      socket.once('open', () => resolve(voice));
      socket.once('error', reject);
    });
  }
  ask(say: Ask): Promise<Answer> {
    const ask = this.#next++;
    const text = JSON.stringify({ ask, say });
    this.wire.push(text);
    return new Promise((resolve) => {
      this.#waiting.set(ask, resolve);
      this.socket.send(text);
    });
  }
  closed(): Promise<void> {
    return new Promise((resolve) => this.socket.once('close', () => resolve()));
  }
}

const mailbox = newSecret(15);
interface One {
  device: string;
  keys: DeviceKeys;
}
const one = (device: string): One => ({ device, keys: newDeviceKeys() });
async function enter(
  url: string,
  { device, keys }: One,
  others: { device: string; key: string }[] = [],
): Promise<{ voice: Voice; answer: Answer }> {
  const voice = await Voice.open(url);
  const hello = await voice.ask({ kind: 'hello', mailbox, device });
  if (hello.kind !== 'challenge') throw new Error(hello.kind);
  const signature = prove(keys, hello.challenge, mailbox, device);
  const answer = await voice.ask(
    hello.isKnown
      ? { kind: 'prove', signature }
      : { kind: 'found', key: publicKeys(keys).sign, signature, others },
  );
  return { voice, answer };
}
const key = newKitchenKey();
const tagKey = newSecret(32);
function boxOf(name: string): { tag: string; box: Box } {
  const tag = tagOf(tagKey, 'cake/plum');
  const parcel = {
    item: 'cake/plum',
    changes: { desk: 1 },
    version: 17,
    from: 'desk',
    at: '2027-05-03T09:30:00Z',
  };
  const plain = packParcel({ ...parcel, value: { name }, bytes: null });
  return { tag, box: sealForKitchen(key, plain, `${mailbox}|${tag}`) };
}

describe('the mailbox behind a socket', () => {
  it('is read and written by its members alone', async () => {
    const url = await serve();
    const desk = one('desk');
    const tablet = one('tablet');
    const { voice } = await enter(url, desk);
    const refused = await enter(url, tablet);
    expect(refused.answer).toEqual({ kind: 'refused', why: 'not a member' });
    await voice.ask({ kind: 'admit', device: 'tablet', key: publicKeys(tablet.keys).sign });
    const there = await enter(url, tablet);
    expect(there.answer).toEqual({ kind: 'done' });

    const { tag, box } = boxOf('Plum');
    const kept = await voice.ask({ kind: 'put', tag, after: null, box });
    expect(kept.kind).toBe('kept');
    await expect.poll(() => there.voice.news.map(({ kind }) => kind)).toEqual(['news']);
    expect(await there.voice.ask({ kind: 'get', tag })).toMatchObject({ kind: 'box', box });

    const members = await voice.ask({ kind: 'members' });
    expect(members).toMatchObject({
      kind: 'members',
      members: [{ isHere: true }, { isHere: true }],
    });
  });

  it('lets its devices in at once where one makes it anew', async () => {
    const url = await serve();
    const [desk, tablet] = [one('desk'), one('tablet')];
    const others = [{ device: 'tablet', key: publicKeys(tablet.keys).sign }];
    expect((await enter(url, desk, others)).answer).toEqual({ kind: 'done' });
    // not a moment between in which it would be a stranger
    expect((await enter(url, tablet)).answer).toEqual({ kind: 'done' });
  });

  it('tells a stranger nothing, whatever it asks', async () => {
    const url = await serve();
    const { voice } = await enter(url, one('desk'));
    const { tag, box } = boxOf('Plum');
    await voice.ask({ kind: 'put', tag, after: null, box });
    const stranger = await Voice.open(url);
    const asks: Ask[] = [
      { kind: 'heads', since: 0 },
      { kind: 'get', tag },
      { kind: 'put', tag, after: null, box },
      { kind: 'seen', of: 'x', at: 5 },
      { kind: 'members' },
      { kind: 'admit', device: 'stranger', key: publicKeys(newDeviceKeys()).sign },
      { kind: 'revoke', device: 'desk' },
      { kind: 'offer' },
    ];
    for (const ask of asks)
      expect(await stranger.ask(ask)).toEqual({ kind: 'refused', why: 'not a member' });
    expect(await stranger.ask({ kind: 'relay', body: 'x' })).toEqual({ kind: 'refused', why: 'no such room' }); // prettier-ignore
    // another mailbox of the same name is not made over it
    await stranger.ask({ kind: 'hello', mailbox, device: 'desk' });
    const keys = newDeviceKeys();
    const found: Ask = {
      kind: 'found',
      key: publicKeys(keys).sign,
      signature: 'abc',
      others: [],
    };
    expect(await stranger.ask(found)).toEqual({ kind: 'refused', why: 'taken' });
  });

  it('cannot be entered with what was heard on the way', async () => {
    const url = await serve();
    const desk = one('desk');
    const { voice } = await enter(url, desk);
    const said = voice.wire.find((text) => text.includes('signature'))!;
    const { say } = JSON.parse(said) as { say: { signature: string } };
    const listener = await Voice.open(url);
    await listener.ask({ kind: 'hello', mailbox, device: 'desk' });
    expect(await listener.ask({ kind: 'prove', signature: say.signature })).toEqual({ kind: 'refused', why: 'not a member' }); // prettier-ignore
    // and a challenge is good for one answer
    expect(await listener.ask({ kind: 'prove', signature: say.signature })).toEqual({ kind: 'refused', why: 'no such mailbox' }); // prettier-ignore
  });

  it('says nothing on the wire that a listener could read', async () => {
    const url = await serve();
    const { voice } = await enter(url, one('desk'));
    const { tag, box } = boxOf('Aunt Plum’s secret');
    await voice.ask({ kind: 'put', tag, after: null, box });
    await voice.ask({ kind: 'get', tag });
    const wire = voice.wire.join('\n');
    for (const word of ['secret', 'Plum', 'cake', 'plum', tagKey])
      expect(wire.includes(word)).toBe(false);
  });

  it('shuts a device out at once', async () => {
    const url = await serve();
    const [desk, tablet] = [one('desk'), one('tablet')];
    const { voice } = await enter(url, desk);
    await voice.ask({ kind: 'admit', device: 'tablet', key: publicKeys(tablet.keys).sign });
    const there = await enter(url, tablet);
    const closed = there.voice.closed();
    await voice.ask({ kind: 'revoke', device: 'tablet' });
    await closed;
    expect(there.voice.news).toContainEqual({ kind: 'shut out' });
    expect((await enter(url, tablet)).answer).toEqual({ kind: 'refused', why: 'not a member' });
  });

  it('ends while those who are cut off come back at once', async () => {
    const url = await serve();
    let isOver = false;
    const comeBack = (): void => {
      if (isOver) return;
      const socket = new WebSocket(url);
      socket.on('error', () => undefined);
      socket.on('close', () => setTimeout(comeBack, 1));
    };
    for (let i = 0; i < 8; i++) comeBack();
    await new Promise((resolve) => setTimeout(resolve, 200));
    const from = performance.now();
    await app!.close();
    app = null;
    isOver = true;
    expect(performance.now() - from).toBeLessThan(5000);
  });

  it('closes on what is no word of a device, and on too much', async () => {
    const url = await serve();
    for (const nonsense of [
      '{',
      '[]',
      '{"ask":1,"say":{"kind":"format"}}',
      'x'.repeat(3_000_000),
    ]) {
      const voice = await Voice.open(url);
      voice.socket.on('error', () => undefined);
      const closed = voice.closed();
      voice.socket.send(nonsense);
      await closed;
    }
    const voice = await Voice.open(url);
    const closed = voice.closed();
    for (let i = 0; i < 600; i++) voice.socket.send('{"ask":1,"say":{"kind":"members"}}');
    await closed;
  });

  it('lets a code be tried a few times in a minute, and a room be entered once', async () => {
    const url = await serve();
    const { voice } = await enter(url, one('desk'));
    const offer = await voice.ask({ kind: 'offer' });
    if (offer.kind !== 'room') throw new Error(offer.kind);
    expect(offer.addresses).toEqual([]);
    const guest = await Voice.open(url);
    expect(await guest.ask({ kind: 'meet', room: offer.room })).toEqual({ kind: 'done' });
    await guest.ask({ kind: 'relay', body: 'hello' });
    await expect
      .poll(() => voice.news)
      .toEqual([{ kind: 'guest' }, { kind: 'relay', body: 'hello' }]);
    const second = await Voice.open(url);
    expect(await second.ask({ kind: 'meet', room: offer.room })).toEqual({ kind: 'refused', why: 'no such room' }); // prettier-ignore
    guest.socket.close();
    await expect.poll(() => voice.news.at(-1)).toEqual({ kind: 'left' });
    const answers = [];
    for (let i = 0; i < 8; i++) answers.push(await second.ask({ kind: 'meet', room: '000' }));
    expect(answers.at(-1)).toEqual({ kind: 'refused', why: 'too much' });
  });

  it('is there again after the server was started anew, readable by its owner alone', async () => {
    const data = mkdtempSync(join(tmpdir(), 'pyrgotect-data-'));
    const desk = one('desk');
    const url = await serve(data);
    const { voice } = await enter(url, desk);
    const { tag, box } = boxOf('Plum');
    await voice.ask({ kind: 'put', tag, after: null, box });
    await app!.close();
    for (const name of readdirSync(join(data, mailbox)))
      expect(statSync(join(data, mailbox, name)).mode & 0o077).toBe(0);
    const again = await serve(data);
    const back = await enter(again, desk);
    expect(back.answer).toEqual({ kind: 'done' });
    expect(await back.voice.ask({ kind: 'get', tag })).toMatchObject({ box });
    // what all have seen is let go on the disk as well
    const heads = await back.voice.ask({ kind: 'heads', since: 0 });
    if (heads.kind !== 'heads') throw new Error(heads.kind);
    await back.voice.ask({ kind: 'seen', of: heads.of, at: heads.at });
    expect(readdirSync(join(data, mailbox)).filter((name) => name.endsWith('.box'))).toEqual([]);
  });
});
