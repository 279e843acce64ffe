import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { AddressInfo } from 'node:net';
import { readMessage, type Reading } from '@pyrgotect/core';
import type { FastifyInstance } from 'fastify';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import WebSocket from 'ws';
import { StandInProbe } from '../src/devices/probe.ts';
import { StandInScale } from '../src/devices/scale.ts';
import { portFrom } from '../src/port.ts';
import { buildServer } from '../src/server.ts';

describe('the stand-in scale', () => {
  it('settles on what stands on it, within a gram or two', () => {
    const scale = new StandInScale(0);
    scale.put(250);
    const first = scale.read(100);
    expect(first).toBeGreaterThan(20);
    expect(first).toBeLessThan(200);
    for (let ms = 200; ms <= 4000; ms += 150) scale.read(ms);
    for (let ms = 4150; ms < 6000; ms += 150)
      expect(Math.abs(scale.read(ms) - 250)).toBeLessThan(3);
  });
  it('takes away what is tared, and shows less than nothing when that is lifted off', () => {
    const scale = new StandInScale(0);
    scale.put(300);
    for (let ms = 0; ms <= 4000; ms += 150) scale.read(ms);
    scale.tare();
    expect(Math.abs(scale.read(4100))).toBeLessThan(3);
    scale.put(120);
    for (let ms = 4200; ms <= 8000; ms += 150) scale.read(ms);
    expect(Math.abs(scale.read(8100) - 120)).toBeLessThan(3);
    scale.clear();
    for (let ms = 8200; ms <= 12_000; ms += 150) scale.read(ms);
    expect(Math.abs(scale.read(12_100) + 300)).toBeLessThan(3);
  });
  it('carries no less than nothing', () => {
    const scale = new StandInScale(0);
    scale.put(-500);
    for (let ms = 0; ms <= 4000; ms += 150) scale.read(ms);
    expect(Math.abs(scale.read(4100))).toBeLessThan(3);
  });
});

describe('the stand-in thermometer', () => {
  it('follows Newton’s law, and a larger bowl cools more slowly', () => {
    const small = new StandInProbe();
    const large = new StandInProbe();
    small.put(45, 21, 200, 0);
    large.put(45, 21, 2000, 0);
    expect(small.read(0)!).toBeCloseTo(45, 0);
    const at = 20 * 60_000;
    expect(small.read(at)!).toBeLessThan(large.read(at)!);
    expect(small.read(1000 * 60_000)!).toBeCloseTo(21, 0);
  });
  it('shows nothing where it hangs in no bowl', () => {
    const probe = new StandInProbe();
    expect(probe.read(0)).toBeNull();
    probe.put(45, 21, 200, 0);
    probe.clear();
    expect(probe.read(1000)).toBeNull();
  });
});

describe('devices over a socket', () => {
  let app: FastifyInstance;
  let host = '';
  beforeAll(async () => {
    const root = mkdtempSync(join(tmpdir(), 'pyrgotect-dist-'));
    writeFileSync(join(root, 'index.html'), '<!doctype html><title>app</title>');
    app = await buildServer({ root });
    await app.listen({ port: 0, host: '127.0.0.1' });
    host = `127.0.0.1:${(app.server.address() as AddressInfo).port}`;
  });
  afterAll(() => app.close());

  /** Opens a socket; gives what it says until something is asked for. */
  const open = (bench: string, origin?: string): Promise<WebSocket> =>
    new Promise((resolve, reject) => {
      const socket = new WebSocket(`ws://${host}/api/devices?bench=${bench}`, { origin });
      socket.once('open', () => resolve(socket));
      socket.once('error', reject);
    });
  const until = (socket: WebSocket, isIt: (reading: Reading) => boolean): Promise<Reading> =>
    new Promise((resolve, reject) => {
      const late = setTimeout(() => reject(new Error('nothing of the kind was said')), 15_000);
      socket.on('message', (data: Buffer) => {
        const read = readMessage(data.toString());
        if (!read.ok || !isIt(read.reading)) return;
        clearTimeout(late);
        resolve(read.reading);
      });
    });
  const isScale = (low: number, high: number) => (one: Reading) =>
    one.device === 'scale' && one.g >= low && one.g <= high;

  it('tell what is put on the scale and into the bowl', async () => {
    const socket = await open('one');
    socket.send('{"do":"put","g":180}');
    await until(socket, isScale(178, 183));
    socket.send('{"do":"bowl","tempC":45,"massG":400,"aroundC":21}');
    const warm = await until(socket, (one) => one.device === 'probe');
    expect(warm.device === 'probe' && warm.tempC).toBeCloseTo(45, 0);
    socket.close();
  });
  it('stay as they were over a reload, and each browser has its own', async () => {
    const again = await open('one');
    await until(again, isScale(178, 183));
    const other = await open('two');
    await until(other, isScale(-3, 3));
    again.close();
    other.close();
  });
  it('pay no heed to nonsense', async () => {
    const socket = await open('three');
    for (const text of ['', 'put 100', '{"do":"put","g":1e99}', '{"do":"explode"}'])
      socket.send(text);
    socket.send('{"do":"put","g":50}');
    await until(socket, isScale(48, 53));
    socket.close();
  });
  it('do not answer a page of another origin', async () => {
    const socket = await open('four', 'http://elsewhere.example');
    const code = await new Promise<number>((resolve) => socket.once('close', resolve));
    expect(code).toBe(1008);
    const own = await open('four', `http://${host}`);
    await until(own, (one) => one.device === 'scale');
    own.close();
  });
});

describe('a server under load', () => {
  let app: FastifyInstance;
  let host = '';
  const sockets: WebSocket[] = [];
  const start = async (): Promise<void> => {
    const root = mkdtempSync(join(tmpdir(), 'pyrgotect-dist-'));
    writeFileSync(join(root, 'index.html'), '<!doctype html><title>app</title>');
    app = await buildServer({ root });
    await app.listen({ port: 0, host: '127.0.0.1' });
    host = `127.0.0.1:${(app.server.address() as AddressInfo).port}`;
  };
  /** How a socket ends, or that it stays: with a code, unanswered, or open after a while. */
  const ends = (path: string, ms = 400): Promise<number | 'refused' | 'open'> =>
    new Promise((resolve) => {
      const socket = new WebSocket(`ws://${host}${path}`);
      sockets.push(socket);
      socket.on('error', () => resolve('refused'));
      socket.on('close', (code) => resolve(code));
      setTimeout(() => resolve('open'), ms);
    });
  afterEach(() => {
    for (const socket of sockets.splice(0)) socket.terminate();
  });

  it('gives eight windows of one bench a socket, and no more', async () => {
    await start();
    const all = await Promise.all(Array.from({ length: 12 }, () => ends('/api/devices?bench=one')));
    expect(all.filter((one) => one === 'open')).toHaveLength(8);
    expect(all.filter((one) => one === 1013)).toHaveLength(4);
    await app.close();
  });
  it('is a socket at one address alone', async () => {
    await start();
    expect(await ends('/api/health')).toBe('refused');
    expect(await ends('/')).toBe('refused');
    expect(await ends('/api/devices?bench=two')).toBe('open');
    await app.close();
  });
  it('hangs up on who talks without end, and goes on for the others', async () => {
    await start();
    const loud = new WebSocket(`ws://${host}/api/devices?bench=loud`);
    sockets.push(loud);
    const closed = new Promise<number>((resolve) => loud.on('close', resolve));
    loud.on('open', () => {
      for (let i = 0; i < 500; i++) loud.send('{"do":"tare"}');
    });
    expect(await closed).toBe(1008);
    expect(await ends('/api/devices?bench=quiet')).toBe('open');
    await app.close();
  });
  it('ends within two seconds while sockets are open and answer nothing', async () => {
    await start();
    await Promise.all([ends('/api/devices?bench=a', 100), ends('/api/devices?bench=b', 100)]);
    for (const socket of sockets) socket.pause();
    const began = Date.now();
    await app.close();
    expect(Date.now() - began).toBeLessThan(2000);
  });
  it('says what port is wanted where it is given none that is one', () => {
    expect(portFrom(undefined)).toBeNull();
    expect(portFrom(' ')).toBeNull();
    expect(portFrom('4310')).toBe(4310);
    for (const text of ['abc', '-1', '70000', '4.5', '4310x'])
      expect(() => portFrom(text)).toThrow(`PORT is “${text}”`);
  });
});
