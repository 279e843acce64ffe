import websocket from '@fastify/websocket';
import { readAsk, type DeviceAsk } from '@pyrgotect/core';
import type { FastifyInstance } from 'fastify';
import { StandInProbe } from './probe.ts';
import { StandInScale } from './scale.ts';

/** How often they speak, ms. */
const scaleEveryMs = 150;
const probeEveryMs = 1000;
/** A bench that nobody looks at any more is cleared away after this, ms. */
const keptMs = 10 * 60_000;
/** No more benches at a time: a page that asks for new ones for ever gets none. */
const mostBenches = 200;

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
export async function serveDevices(app: FastifyInstance): Promise<void> {
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
  await app.register(websocket, { options: { maxPayload: 1024 } });
  app.get<{ Querystring: { bench?: string } }>(
    '/api/devices',
    { websocket: true },
    (socket, request) => {
      // any page may open a socket to this machine; only the own one gets an answer
      const { origin, host } = request.headers;
      if (origin !== undefined && new URL(origin).host !== host) return socket.close(1008);
      const bench = benchOf(String(request.query.bench ?? '').slice(0, 40));
      if (!bench) return socket.close(1013);
      bench.open++;
      const tell = (message: object): void => {
        if (socket.readyState === socket.OPEN) socket.send(JSON.stringify(message));
      };
      const scaleClock = setInterval(
        () => tell({ device: 'scale', g: bench.scale.read(Date.now()) }),
        scaleEveryMs,
      );
      const probeClock = setInterval(() => {
        const tempC = bench.probe.read(Date.now());
        if (tempC !== null) tell({ device: 'probe', tempC });
      }, probeEveryMs);
      socket.on('message', (data: Buffer) => {
        const ask = readAsk(data.toString('utf8'));
        if (ask) obey(bench, ask);
      });
      socket.on('error', () => socket.close());
      socket.on('close', () => {
        clearInterval(scaleClock);
        clearInterval(probeClock);
        bench.open--;
        bench.lastMs = Date.now();
      });
    },
  );
}
