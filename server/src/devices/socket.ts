import { readAsk, type DeviceAsk } from '@pyrgotect/core';
import type { FastifyInstance } from 'fastify';
import { isOwn } from '../own-origin.ts';
import { StandInProbe } from './probe.ts';
import { StandInScale } from './scale.ts';

/** How often they speak, ms. */
const scaleEveryMs = 150;
const probeEveryMs = 1000;
/** A bench that nobody looks at any more is cleared away after this, ms. */
const keptMs = 10 * 60_000;
/** No more benches at a time: a page that asks for new ones for ever gets none. */
const mostBenches = 200;
/** Windows that look at one bench, and sockets from one address: enough for a kitchen, too few to hold up others. */
const mostAtBench = 8;
const mostFromAddress = 64;
/** What a socket may say in a second; a hand on a tare key says less. */
const mostASecond = 50;
/** A reader that has not taken so much gets nothing more until it has, bytes. */
const mostWaiting = 64 * 1024;
/** Longest word that a hand says, bytes. */
const mostSaid = 1024;
export const devicesPath = '/api/devices';

interface StandIns {
  scale: StandInScale;
  probe: StandInProbe;
  open: number;
  lastMs: number;
}

function obey({ scale, probe }: StandIns, ask: DeviceAsk): void {
  switch (ask.do) {
    case 'put':
      return scale.put(ask.g);
    case 'clear':
      return scale.clear();
    case 'tare':
      return scale.tare();
    case 'bowl':
      return probe.put(ask.tempC, ask.aroundC, ask.massG, Date.now());
    case 'no bowl':
      return probe.clear();
  }
}

/**
 * The stand-ins for a scale and a thermometer, over a WebSocket. Each browser has its own bench,
 * which stays as it is over a reload.
 */
export function serveDevices(app: FastifyInstance): void {
  const benches = new Map<string, StandIns>();
  const benchOf = (name: string): StandIns | null => {
    const now = Date.now();
    for (const [key, one] of benches)
      if (one.open === 0 && now - one.lastMs > keptMs) benches.delete(key);
    const known = benches.get(name);
    if (known || benches.size >= mostBenches) return known ?? null;
    const made = { scale: new StandInScale(now), probe: new StandInProbe(), open: 0, lastMs: now };
    benches.set(name, made);
    return made;
  };
  const fromAddress = new Map<string, number>();
  app.get<{ Querystring: { bench?: string } }>(
    devicesPath,
    { websocket: true },
    (socket, request) => {
      // any page may open a socket to this machine; only the own one gets an answer
      const { origin, host } = request.headers;
      if (!isOwn(origin, host)) return socket.close(1008);
      const bench = benchOf(String(request.query.bench ?? '').slice(0, 40));
      const others = fromAddress.get(request.ip) ?? 0;
      if (!bench || bench.open >= mostAtBench || others >= mostFromAddress)
        return socket.close(1013);
      bench.open++;
      fromAddress.set(request.ip, others + 1);
      const tell = (message: object): void => {
        if (socket.readyState === socket.OPEN && socket.bufferedAmount < mostWaiting)
          socket.send(JSON.stringify(message));
      };
      let [second, said] = [0, 0];
      const scaleClock = setInterval(
        () => tell({ device: 'scale', g: bench.scale.read(Date.now()) }),
        scaleEveryMs,
      );
      const probeClock = setInterval(() => {
        const tempC = bench.probe.read(Date.now());
        if (tempC !== null) tell({ device: 'probe', tempC });
      }, probeEveryMs);
      socket.on('message', (data: Buffer) => {
        const now = Math.floor(Date.now() / 1000);
        [second, said] = now === second ? [second, said + 1] : [now, 1];
        if (said > mostASecond || data.length > mostSaid) return socket.close(1008);
        const ask = readAsk(data.toString('utf8'));
        if (ask) obey(bench, ask);
      });
      socket.on('error', () => socket.close());
      socket.on('close', () => {
        clearInterval(scaleClock);
        clearInterval(probeClock);
        bench.open--;
        bench.lastMs = Date.now();
        const left = (fromAddress.get(request.ip) ?? 1) - 1;
        if (left > 0) fromAddress.set(request.ip, left);
        else fromAddress.delete(request.ip);
      });
    },
  );
}
