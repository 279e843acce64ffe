import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import type { FastifyReply } from 'fastify';

/* The program under a path of its server: "/cakes/" beside other things. */

/**
 * Reads BASE_PATH: "cakes", "/cakes" and "/cakes/" are the same.
 *
 * @throws Error in plain words where it is no path
 */
export function baseFrom(text: string | undefined): string {
  const parts = (text ?? '').split('/').filter(Boolean);
  if (parts.some((part) => !/^[\w.~-]+$/.test(part) || /^\.+$/.test(part)))
    throw new Error(`BASE_PATH is “${text}”; it is a path such as /cakes/.`);
  return parts.length === 0 ? '/' : `/${parts.join('/')}/`;
}

/** An address as it would be at the root: a proxy may have taken the path off already. */
export const inBase = (url: string, base: string): string =>
  base !== '/' && `${url}/`.startsWith(base) ? `/${url.slice(base.length)}` : url;

/** What gives out the page, which says where it lies. */
export function pageAt(base: string, folder: string): (reply: FastifyReply) => FastifyReply {
  const page = readFileSync(join(folder, 'index.html'), 'utf8').replace(
    '<base href="/" />',
    `<base href="${base}" />`,
  );
  const ways = { br: brotliCompressSync(page), gzip: gzipSync(page) } as const;
  const etag = `"${createHash('sha256').update(page).digest('base64url')}"`;
  return (reply) => {
    const { headers } = reply.request;
    reply
      .type('text/html; charset=utf-8')
      .header('cache-control', 'no-cache')
      .header('vary', 'accept-encoding')
      .header('etag', etag);
    if (headers['if-none-match'] === etag) return reply.code(304).send();
    const accepted = headers['accept-encoding'] ?? '';
    const way = (['br', 'gzip'] as const).find((each) => accepted.includes(each));
    return way ? reply.header('content-encoding', way).send(ways[way]) : reply.send(page);
  };
}
