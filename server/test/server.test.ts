import { mkdtempSync, mkdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { FastifyInstance } from 'fastify';
import { brotliCompressSync, brotliDecompressSync, gunzipSync, gzipSync } from 'node:zlib';
import { baseFrom } from '../src/base.ts';
import { buildServer } from '../src/server.ts';

const pageOf = (name: string): string =>
  name.endsWith('html')
    ? '<!doctype html><base href="/" /><title>app</title>'
    : 'self.onmessage = null';
let app: FastifyInstance;
let root: string;
beforeAll(async () => {
  root = mkdtempSync(join(tmpdir(), 'pyrgotect-dist-'));
  mkdirSync(join(root, 'assets'));
  writeFileSync(join(root, 'assets', 'main-abc.js'), 'export {}');
  // as the build leaves them
  for (const name of ['index.html', 'assets/carve.worker-abc.js']) {
    writeFileSync(join(root, name), pageOf(name));
    writeFileSync(join(root, `${name}.br`), brotliCompressSync(pageOf(name)));
    writeFileSync(join(root, `${name}.gz`), gzipSync(pageOf(name)));
  }
  app = await buildServer({ root, demo: true });
});
afterAll(() => app.close());

const html = { accept: 'text/html' };

describe('the server', () => {
  it('sends a policy without inline script, inline style or another host', async () => {
    const { headers } = await app.inject({ url: '/', headers: html });
    const policy = String(headers['content-security-policy']);
    expect(policy).toContain("default-src 'self'");
    expect(policy).toContain("script-src 'self'");
    expect(policy).not.toContain('unsafe-inline');
    expect(policy).not.toContain('unsafe-eval');
    expect(policy).not.toContain('http');
    expect(policy).not.toContain('*');
  });
  it('gives the application for every page address', async () => {
    const answer = await app.inject({ url: '/build/meridian/stack', headers: html });
    expect(answer.statusCode).toBe(200);
    expect(answer.body).toContain('<title>app</title>');
  });
  it('keeps hashed files for ever and everything else not', async () => {
    const asset = await app.inject('/assets/main-abc.js');
    expect(asset.headers['cache-control']).toContain('immutable');
    const page = await app.inject({ url: '/', headers: html });
    expect(page.headers['cache-control']).toBe('no-cache');
  });
  it('sends what is compressed to who can read it, with the same headers', async () => {
    const unpack = { br: brotliDecompressSync, gzip: gunzipSync };
    for (const encoding of ['br', 'gzip'] as const)
      for (const url of ['/', '/build/meridian/stack']) {
        const answer = await app.inject({ url, headers: { ...html, 'accept-encoding': encoding } });
        expect(answer.headers['content-encoding']).toBe(encoding);
        expect(answer.headers['content-type']).toContain('text/html');
        expect(answer.headers.vary).toContain('accept-encoding');
        expect(answer.headers['cache-control']).toBe('no-cache');
        expect(unpack[encoding](answer.rawPayload).toString()).toContain('<title>app</title>');
      }
    const worker = await app.inject({
      url: '/assets/carve.worker-abc.js',
      headers: { 'accept-encoding': 'br' },
    });
    expect(worker.headers['content-type']).toContain('javascript');
    expect(worker.headers['cache-control']).toContain('immutable');
    expect(worker.headers['content-security-policy']).toContain('wasm-unsafe-eval');
    const plain = await app.inject({ url: '/', headers: html });
    expect(plain.headers['content-encoding']).toBeUndefined();
    // what the build did not compress is sent as it is
    const small = await app.inject({
      url: '/assets/main-abc.js',
      headers: { 'accept-encoding': 'br' },
    });
    expect(small.body).toBe('export {}');
  });
  it('says how it was started, and 404 for what it has not', async () => {
    expect((await app.inject('/api/start')).json()).toEqual({ demo: true });
    expect((await app.inject({ url: '/api/none', headers: html })).statusCode).toBe(404);
    expect((await app.inject('/assets/none.js')).statusCode).toBe(404);
  });
  it('gives nothing outside its folder', async () => {
    for (const url of ['/../package.json', '/..%2f..%2fetc/passwd', '/%2e%2e/%2e%2e/etc/passwd']) {
      const answer = await app.inject(url);
      expect(answer.body).not.toContain('root:');
      expect(answer.statusCode).toBeGreaterThanOrEqual(400);
    }
  });
  it('refuses to start without a built application', async () => {
    await expect(buildServer({ root: '/nowhere/at/all' })).rejects.toThrow('not built');
  });
});

describe('the server under a path', () => {
  it('serves all of it there, and where a proxy has taken the path off; the page says where it lies', async () => {
    const under = await buildServer({ root, demo: true, base: '/shop/cakes/' });
    for (const at of ['/shop/cakes', '/']) {
      const home = at.replace(/\/$/, '');
      const page = await under.inject({ url: at, headers: html });
      expect(page.body).toContain('<base href="/shop/cakes/" />');
      const deep = await under.inject({ url: `${home}/build/x/stack`, headers: html });
      expect(deep.body).toBe(page.body);
      expect((await under.inject(`${home}/api/health`)).json()).toEqual({ ok: true });
      const part = await under.inject(`${home}/assets/main-abc.js`);
      expect([part.statusCode, part.headers['cache-control']]).toEqual([
        200,
        expect.stringContaining('immutable'),
      ]);
      expect((await under.inject(`${home}/api/none`)).statusCode).toBe(404);
    }
    await under.close();
  });
  it('sends the page once where the browser has it already', async () => {
    const first = await app.inject({ url: '/', headers: html });
    const again = await app.inject({
      url: '/pantry',
      headers: { ...html, 'if-none-match': String(first.headers.etag) },
    });
    expect([again.statusCode, again.body]).toEqual([304, '']);
  });
  it('is told its path in any way that a path is written, and nothing else', () => {
    for (const text of ['cakes', '/cakes', '/cakes/']) expect(baseFrom(text)).toBe('/cakes/');
    for (const text of [undefined, '', '/']) expect(baseFrom(text)).toBe('/');
    for (const text of ['/../x', '/a b', '/"><script>', '/a/./b'])
      expect(() => baseFrom(text)).toThrow('BASE_PATH');
  });
});
