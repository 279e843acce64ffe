import type { Socket } from 'node:net';
import websocket from '@fastify/websocket';
import { maxMessage } from '@pyrgotect/core/pairing';
import type { FastifyInstance } from 'fastify';
import { inBase } from './base.ts';

/** Sockets are asked to close, and after this closed, ms. */
const closesMs = 500;

/** Lets some paths be sockets, and nothing else; nobody who is connected keeps the server from ending. */
export async function serveSockets(
  app: FastifyInstance,
  paths: readonly string[],
  base: string,
): Promise<void> {
  const open = new Set<Socket>();
  app.server.on('connection', (socket: Socket) => {
    open.add(socket);
    socket.once('close', () => open.delete(socket));
  });
  await app.register(websocket, {
    options: {
      maxPayload: maxMessage,
      verifyClient: ({ req }: { req: { url?: string } }) =>
        paths.includes(inBase(req.url ?? '', base).split('?')[0]!),
    },
    preClose(done) {
      const { clients } = app.websocketServer;
      // a page that is cut off comes back at once: it would be waited for
      app.server.removeAllListeners('upgrade');
      app.server.on('upgrade', (_request, socket: Socket) => socket.destroy());
      for (const client of clients) client.close(1001);
      setTimeout(() => {
        for (const socket of open) socket.destroy();
        app.websocketServer.close(() => done());
      }, closesMs);
    },
  });
}
