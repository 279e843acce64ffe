/* global self, caches */
// what another program shares with this one is laid aside, and the shelf opens to take it in
const laidAside = 'shared';
const isText = (part) => typeof part === 'string' && part !== '';

async function layAside(request) {
  const home = self.registration.scope;
  const data = await request.formData();
  await caches.delete(laidAside);
  const cache = await caches.open(laidAside);
  const words = ['title', 'text', 'url'].map((name) => data.get(name)).filter(isText);
  if (words.length > 0) await cache.put(`${home}shared/text`, new Response(words.join('\n')));
  const files = data.getAll('files').filter((part) => part instanceof File);
  for (const [i, file] of files.entries())
    await cache.put(
      `${home}shared/${i}`,
      new Response(file, { headers: { 'x-name': encodeURIComponent(file.name) } }),
    );
  return Response.redirect(`${home}?shared=1`, 303);
}

self.addEventListener('fetch', (event) => {
  const { method, url } = event.request;
  const isShared = new URL(url).pathname === new URL('shared', self.registration.scope).pathname;
  if (method === 'POST' && isShared) event.respondWith(layAside(event.request));
});
