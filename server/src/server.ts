import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import helmet from '@fastify/helmet';
import fastifyStatic from '@fastify/static';
import Fastify, { type FastifyInstance } from 'fastify';
import { join } from 'node:path';
import { Calendars, serveCalendars } from './calendars.ts';
import { devicesPath, serveDevices } from './devices/socket.ts';
import { pairingPath, servePairing } from './pairing/socket.ts';
import { calendarsFolder, Mailboxes } from './pairing/store.ts';
import { inBase, pageAt } from './base.ts';
import { serveSockets } from './sockets.ts';

export interface Options {
  /** Folder of the built application. */
  root?: string;
  /** True when the application fills an empty shelf with the demo builds. */
  demo?: boolean;
  /** The day that the demo's dates are counted from, "2027-05-15T12:00:00"; null for the day it is loaded. */
  today?: string | null;
  /** Folder in which sealed changes of paired devices are kept; null for memory alone. */
  data?: string | null;
  /** True where other machines reach the server. */
  isOpen?: boolean;
  /** Certificate and key, where it speaks TLS itself. */
  tls?: { cert: Buffer; key: Buffer } | null;
  /** True behind a proxy that says for whom it asks. */
  trustProxy?: boolean;
  /** Path under which all of it lies, "/cakes/"; "/" for the root. */
  base?: string;
  /** True where each request is written down. */
  log?: boolean;
  /** False in development, where another server gives out the application. */
  serveApp?: boolean;
}

/** Nothing but the own origin, and no inline script or style. */
export const contentPolicy: Record<string, string[]> = {
  defaultSrc: ["'self'"],
  scriptSrc: ["'self'"],
  styleSrc: ["'self'"],
  imgSrc: ["'self'", 'data:', 'blob:'],
  fontSrc: ["'self'"],
  connectSrc: ["'self'"],
  workerSrc: ["'self'"],
  objectSrc: ["'none'"],
  baseUri: ["'self'"],
  formAction: ["'self'"],
  frameAncestors: ["'none'"],
};

const workerPolicy: Record<string, string[]> = {
  ...contentPolicy,
  scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
};
const policyText = (policy: Record<string, string[]>): string =>
  Object.entries(policy)
    .map(([name, values]) =>
      [name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`), ...values].join(' '),
    )
    .join(';');

/** The server of the built application: static files, a health check, how it was started, and stand-in devices. */
export async function buildServer({
  root,
  demo = false,
  today = null,
  serveApp = true,
  data = null,
  isOpen = false,
  tls = null,
  trustProxy = false,
  log = false,
  base = '/',
}: Options = {}): Promise<FastifyInstance> {
  const folder = root ?? fileURLToPath(new URL('../../app/dist', import.meta.url));
  if (serveApp && !existsSync(folder))
    throw new Error('The application is not built yet. Run: npm run build');
  // who keeps a connection open does not keep the server from ending
  const app = Fastify({
    logger: log,
    forceCloseConnections: true,
    trustProxy,
    // whether a proxy takes the path off or leaves it on
    rewriteUrl: ({ url = '/' }) => inBase(url, base),
    ...(tls ? { https: tls } : {}),
  }) as unknown as FastifyInstance;
  await app.register(helmet, {
    contentSecurityPolicy: { useDefaults: false, directives: contentPolicy },
    strictTransportSecurity: false,
  });
  await serveSockets(app, [devicesPath, pairingPath], base);
  serveDevices(app);
  servePairing(app, new Mailboxes(data), { isOpen });
  await serveCalendars(app, new Calendars(data && join(data, calendarsFolder)));
  app.get('/api/health', () => ({ ok: true }));
  app.get('/api/start', () => ({ demo, ...(today === null ? {} : { today }) }));
  if (!serveApp) return app;
  await app.register(fastifyStatic, {
    root: folder,
    index: false,
    wildcard: true,
    cacheControl: false,
    // made by the build beside each file
    preCompressed: true,
    setHeaders(reply, path) {
      // built files carry their hash in their name; everything else may change
      reply.header(
        'cache-control',
        path.includes('/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache',
      );
      // the solids' worker runs WebAssembly; no page may
      if (/\/assets\/carve\.worker-[^/]*\.js(\.br|\.gz)?$/.test(path))
        reply.header('content-security-policy', policyText(workerPolicy));
    },
  });
  const sendPage = pageAt(base, folder);
  app.get('/', (_request, reply) => sendPage(reply));
  app.get('/index.html', (_request, reply) => sendPage(reply));
  app.setNotFoundHandler((request, reply) => {
    const page = request.method === 'GET' && request.headers.accept?.includes('text/html');
    if (page && !request.url.startsWith('/api/')) return sendPage(reply);
    return reply.code(404).send({ error: 'not found' });
  });
  return app;
}
