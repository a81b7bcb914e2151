/// <reference lib="webworker" />
import { ExpirationPlugin } from 'workbox-expiration';
import { matchPrecache, precacheAndRoute } from 'workbox-precaching';
import { registerRoute, setCatchHandler } from 'workbox-routing';
import { CacheFirst } from 'workbox-strategies';
import { isPicture, PAGES, PICTURES, picturesIn, stands } from './kept';

declare const self: ServiceWorkerGlobalScope & {
  /** every file of the build, written in when it is built */
  __ASSETS: { url: string; revision: string | null }[];
};

/** Pages kept at most, the last ones seen. */
const MOST_PAGES = 120;
const MOST_PICTURES = 1500;
const NOT_KEPT = '/not-kept.html';

precacheAndRoute(self.__ASSETS);

const pages = new ExpirationPlugin({ maxEntries: MOST_PAGES, purgeOnQuotaError: true });

/** Keeps a page as it came, under its path alone. */
async function keep(path: string, response: Response): Promise<void> {
  const cache = await caches.open(PAGES);
  await cache.put(path, response);
  await pages.cacheDidUpdate?.({
    cacheName: PAGES,
    request: new Request(new URL(path, self.location.origin)),
    newResponse: response,
    event: new ExtendableEvent('keep'),
  });
}

/** Whoever is signed out takes along what was kept for them. */
const forget = () => Promise.all([caches.delete(PAGES), caches.delete(PICTURES)]);

/** A page: from the server where it answers at all; as it was kept where it does not. */
registerRoute(
  // A file that is asked for like a page, a report or labels, is none to be kept.
  ({ request, url }) =>
    request.mode === 'navigate' && url.origin === self.location.origin && !url.pathname.startsWith('/api/'),
  async ({ request, url, event }) => {
    let response: Response;
    try {
      response = await fetch(request);
    } catch (error) {
      const kept = await stands(await caches.open(PAGES), url.pathname);
      if (kept) return kept;
      throw error;
    }
    if (url.pathname === '/sign-in' && response.ok) (event as ExtendableEvent).waitUntil(forget());
    else if (response.ok && !response.redirected)
      (event as ExtendableEvent).waitUntil(keep(url.pathname, response.clone()));
    return response;
  },
);

registerRoute(
  ({ url, request }) => request.method === 'GET' && url.origin === self.location.origin && isPicture(url),
  new CacheFirst({
    cacheName: PICTURES,
    // Its types lack the word undefined that exact optional properties ask for.
    plugins: [new ExpirationPlugin({ maxEntries: MOST_PICTURES, purgeOnQuotaError: true }) as never],
  }),
);

setCatchHandler(async ({ request }) =>
  request.mode === 'navigate' ? ((await matchPrecache(NOT_KEPT)) ?? Response.error()) : Response.error(),
);

/** Fetches a page and its pictures before anybody asks for them; what does not come is left. */
async function ahead(path: string): Promise<void> {
  const response = await fetch(path, { credentials: 'same-origin' });
  if (!response.ok || response.redirected) return;
  const text = await response.clone().text();
  await keep(path, response);
  const cache = await caches.open(PICTURES);
  for (const picture of picturesIn(text))
    if (!(await cache.match(picture))) await cache.add(picture).catch(() => {});
}

self.addEventListener('message', (event) => {
  const said = event.data as { keep?: string[]; takeOver?: boolean; forget?: boolean } | null;
  // A newer one waits until somebody asks for it: no page in hand is changed under anybody.
  if (said?.takeOver) void self.skipWaiting();
  if (said?.forget) event.waitUntil(forget());
  if (said?.keep)
    event.waitUntil(
      (async () => {
        for (const path of said.keep ?? []) await ahead(path).catch(() => {});
      })(),
    );
});
// The page that brought it here is served by it at once.
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
