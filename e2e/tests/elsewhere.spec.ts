import { readFileSync } from 'node:fs';
import { spawn } from 'node:child_process';
import { createServer, type Server } from 'node:http';
import { readFile } from 'node:fs/promises';
import { extname } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Browser, Page } from '@playwright/test';
import { buildServer } from '../../server/src/server.ts';
import { demoCount, expect, saved, test } from './support.ts';

/* The program where it is not alone: under a path of its own server, and on a host that only gives out files. */

async function fresh(browser: Browser, baseURL: string): Promise<Page> {
  const context = await browser.newContext({
    ...{ baseURL, storageState: { cookies: [], origins: [] } },
    serviceWorkers: 'allow',
  });
  return context.newPage();
}
const portOf = (server: Server): number => {
  const at = server.address();
  if (at === null || typeof at === 'string') throw new Error('no port');
  return at.port;
};

test('under a path of its server it opens, keeps its places, plans and pairs', async ({
  browser,
}) => {
  const app = await buildServer({
    ...{ demo: true, today: '2027-05-15T12:00:00', base: '/shop/cakes/' },
  });
  await app.listen({ port: 0, host: '127.0.0.1' });
  const home = `http://127.0.0.1:${portOf(app.server)}/shop/cakes/`;
  const page = await fresh(browser, home);
  await page.goto('./');
  await expect(page.getByRole('article')).toHaveCount(demoCount);
  await page.getByRole('link', { name: 'Jubilee' }).first().click();
  await expect(page).toHaveURL(/\/shop\/cakes\/build\//);
  await expect(page.getByTestId('sheet-title')).toBeVisible();
  await page.reload();
  await expect(page.getByTestId('sheet-title')).toBeVisible();
  await page.goto('./carve');
  await expect(page).toHaveURL(/\/shop\/cakes\/carve$/);
  await page.goto('./backup?turn=devices');
  await page.getByTestId('show-code').click();
  await expect(page.getByTestId('code')).toHaveText(/\d/);
  await page.context().close();
  await app.close();
});

const types: Record<string, string> = {
  '.html': 'text/html',
  '.js': 'text/javascript',
  '.css': 'text/css',
  '.svg': 'image/svg+xml',
  '.wasm': 'application/wasm',
  '.webmanifest': 'application/manifest+json',
};
const built = new URL('../../app/dist/', import.meta.url);
/** The headers that docs/running.md asks of a host. */
const documented = readFileSync(new URL('../../docs/running.md', import.meta.url), 'utf8');
const policy = /`content-security-policy: ([^`]+)`/.exec(documented)![1]!;
const policyFor = (path: string): string =>
  /\/assets\/carve\.worker-[^/]*\.js$/.test(path)
    ? policy.replace("script-src 'self'", "script-src 'self' 'wasm-unsafe-eval'")
    : policy;
/** What any host of files does: a file where there is one, the page where there is none. */
async function staticHost(path: string): Promise<Server> {
  const page = (await readFile(new URL('index.html', built), 'utf8')).replace(
    '<base href="/" />',
    `<base href="${path}" />`,
  );
  const server = createServer((request, response) => {
    const { pathname } = new URL(request.url ?? '/', 'http://host');
    const name = pathname.startsWith(path) ? pathname.slice(path.length) : '';
    const give = (type: string, body: string | Buffer): void =>
      void response
        .writeHead(200, { 'content-type': type, 'content-security-policy': policyFor(pathname) })
        .end(body);
    if (name === '' || name === 'index.html') return give('text/html', page);
    readFile(fileURLToPath(new URL(name, built))).then(
      (body) => give(types[extname(name)] ?? 'application/octet-stream', body),
      () => give('text/html', page),
    );
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  return server;
}

test('on a host that only gives out files a cake is made, carved and kept, also without the host', async ({
  browser,
}) => {
  const server = await staticHost('/files/');
  const page = await fresh(browser, `http://127.0.0.1:${portOf(server)}/files/`);
  await page.goto('./');
  await page.getByTestId('new').click();
  await page.getByTestId('new-empty').click();
  await expect(page.getByTestId('sheet-title')).toBeVisible();
  await saved(page);
  // the solids run where no header forbids it
  await page
    .getByRole('navigation', { name: 'Stages' })
    .getByRole('button', { name: /Carve/ })
    .click();
  await page.getByRole('combobox', { name: 'Add a cut' }).click({ force: true });
  await page.getByRole('option').first().click();
  await expect(page.getByTestId('tally-height')).toBeVisible();
  await expect(page.getByText(/cannot be worked out/)).toHaveCount(0);
  const address = page.url();
  // what takes a server says that there is none, though this host calls everything well
  await page.goto('./calendar');
  await page.getByTestId('feed-begin').click();
  await expect(page.getByRole('alert')).toContainText('no server of the program');
  await page.goto(address);
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.reload();
  await expect(page.getByTestId('sheet-title')).toBeVisible();
  server.closeAllConnections();
  await new Promise((done) => server.close(done));
  await page.goto(address);
  await expect(page.getByTestId('sheet-title')).toBeVisible();
  // sheets are made of letters that the program keeps
  await page.goto(address.replace(/[a-z]+(\?.*)?$/, 'brief'));
  const [sheet] = await Promise.all([
    page.waitForEvent('download'),
    page.getByTestId('sheets-cutting').getByRole('button', { name: 'PDF, A4' }).click(),
  ]);
  expect(
    readFileSync(await sheet.path())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
  await page.goto('./calendar');
  await page.getByTestId('feed-begin').click();
  await expect(page.getByRole('alert')).toContainText('cannot be reached');
  await page.context().close();
});

test('what npm began ends with npm, though npm tells only its shell', async ({ request }) => {
  const free = createServer();
  await new Promise<void>((done) => free.listen(0, '127.0.0.1', done));
  const port = portOf(free);
  await new Promise((done) => free.close(done));
  const npm = spawn('npm', ['run', '-s', 'start'], {
    cwd: fileURLToPath(new URL('../..', import.meta.url)),
    env: { ...process.env, PORT: String(port), HOST: '127.0.0.1' },
    stdio: 'ignore',
  });
  const isThere = (): Promise<boolean> =>
    request
      .get(`http://127.0.0.1:${port}/api/health`)
      .then((answer) => answer.ok())
      .catch(() => false);
  await expect.poll(isThere, { timeout: 60_000 }).toBe(true);
  npm.kill('SIGTERM');
  await expect.poll(isThere, { timeout: 20_000 }).toBe(false);
});
