/**
 * Keeps the interface on the device, so that it opens from cold without a network. Houses, edits and photos that wait lie in the
 * device's database, which this worker never touches: an update cannot lose them. Nothing of the server's answers is kept but
 * photos that were looked at or taken along.
 */
const worker = self as unknown as ServiceWorkerGlobalScope;
/** Written in by the build: the name of this build, and every file of it. */
declare const BUILD: string;
declare const FILES: readonly string[];

const SHELL = `shell-${BUILD}`;
/** The page takes away from it what is forgotten: web/src/sync/device-store.ts. */
const PHOTOS = 'photos';
const PAGE = '/';
/** Photos that are kept at most; the oldest go first. */
const MOST_PHOTOS = 600;
const PHOTO = /^\/api\/houses\/[^/]+\/photos\/[^/]+$/;
/** How long the network may take for the page before the one on the device is shown. */
const PAGE_WITHIN_MS = 3_000;

worker.addEventListener('install', (event) => {
  // One file that is missing must not leave a half interface behind: all of it, or the worker of before stays.
  event.waitUntil(caches.open(SHELL).then((shell) => shell.addAll([PAGE, ...FILES])));
});

worker.addEventListener('activate', (event) => {
  const isOld = (name: string) => name.startsWith('shell-') && name !== SHELL;
  event.waitUntil(
    caches
      .keys()
      .then((names) => Promise.all(names.filter(isOld).map((name) => caches.delete(name))))
      .then(() => worker.clients.claim()),
  );
});

/** The page from the server, with its own nonce; the one that is kept where the server does not answer in time. */
async function page(request: Request): Promise<Response> {
  const kept = await caches.match(PAGE, { cacheName: SHELL });
  try {
    const answer = await fetch(request, kept ? { signal: AbortSignal.timeout(PAGE_WITHIN_MS) } : {});
    if (answer.ok || !kept) return answer;
    return kept;
  } catch (error) {
    if (kept) return kept;
    throw error;
  }
}

/** A photo from the server while there is one; what was seen before where there is none. */
async function photo(request: Request): Promise<Response> {
  const cache = await caches.open(PHOTOS);
  try {
    const answer = await fetch(request);
    if (answer.ok) {
      await cache.put(request, answer.clone());
      const keys = await cache.keys();
      await Promise.all(keys.slice(0, Math.max(0, keys.length - MOST_PHOTOS)).map((one) => cache.delete(one)));
    }
    return answer;
  } catch (error) {
    const kept = await cache.match(request);
    if (kept) return kept;
    throw error;
  }
}

worker.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== worker.location.origin) return;
  if (request.mode === 'navigate') {
    // The outbox of a developer is a page of the server's own.
    if (url.pathname !== '/outbox') event.respondWith(page(request));
  } else if (PHOTO.test(url.pathname)) event.respondWith(photo(request));
  else if (FILES.includes(url.pathname))
    event.respondWith(caches.match(request, { cacheName: SHELL }).then((kept) => kept ?? fetch(request)));
});
