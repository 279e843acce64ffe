/** What another program shared with this one: files, and words. */
export interface Shared {
  files: File[];
  text: string;
}
/** The service worker lays it here (public/share-target.js). */
const laidAside = 'shared';

/** Takes what was laid aside, once; null where there is nothing. */
export async function takeShared(): Promise<Shared | null> {
  if (!('caches' in globalThis) || !(await caches.has(laidAside))) return null;
  const cache = await caches.open(laidAside);
  const shared: Shared = { files: [], text: '' };
  for (const request of await cache.keys()) {
    const answer = await cache.match(request);
    if (!answer) continue;
    const name = answer.headers.get('x-name');
    if (name === null) shared.text = await answer.text();
    else {
      const bytes = await answer.blob();
      shared.files.push(new File([bytes], decodeURIComponent(name), { type: bytes.type }));
    }
  }
  await caches.delete(laidAside);
  return shared.files.length > 0 || shared.text !== '' ? shared : null;
}
