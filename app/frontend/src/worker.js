// Lets a tablet open the castings in hand where no server is in reach. Pages are kept as the server wrote them, say since when they
// stand when they are shown from here, and go at sign-out.
import { clientsClaim } from 'workbox-core';
import { registerRoute } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';

const PAGES = 'pages';
/** The bench, and the pages of a casting. */
const OF_CASTINGS = /^\/(parts\/[A-Z]{1,3}-\d{2,6}\/[a-z-]+)?$/;
/** A page younger than this is not asked for ahead, and the oldest of more than so many go. */
const FRESH_MS = 600_000;
const MOST = 300;

/** Goes up when somebody signs out: what was asked for before is not kept any more. */
let hand = 0;

const stood = (answer) => Date.parse(answer.headers.get('date'));

const asTheServerWroteIt = {
  cacheWillUpdate: async ({ response, state }) => {
    const page = response.status === 200 && !response.redirected && response.headers.get('content-type')?.startsWith('text/html');
    return page && state.hand === hand ? response : null;
  },
  handlerWillStart: async ({ state }) => (state.hand = hand),
  cachedResponseWillBeUsed: async ({ cachedResponse: kept }) =>
    kept && new Response((await kept.text()).replace('<html ', `<html data-stood="${stood(kept)}" `), { headers: kept.headers }),
  handlerDidError: async ({ request }) => notHere(new URL(request.url)),
};

const pages = new NetworkFirst({ cacheName: PAGES, networkTimeoutSeconds: 4, plugins: [asTheServerWroteIt] });
registerRoute(({ request, url }) => request.mode === 'navigate' && OF_CASTINGS.test(url.pathname), pages);
registerRoute(({ request, url }) => request.mode === 'navigate' && url.pathname === '/sign-in', async ({ request, url }) => fetch(request).catch(() => notHere(url)));
// The server's own first: after an upgrade no page is to run with the script of the version before.
registerRoute(({ url }) => url.pathname.startsWith('/assets/'), new NetworkFirst({ cacheName: 'assets', networkTimeoutSeconds: 4 }));

/** Asked for with other words behind it, the same page may be here; else what is here is told. */
async function notHere(url) {
  const cache = await caches.open(PAGES);
  const alike = await cache.match(url.pathname, { ignoreSearch: true });
  if (alike) return asTheServerWroteIt.cachedResponseWillBeUsed({ cachedResponse: alike });
  const kept = [...new Set((await cache.keys()).map((r) => new URL(r.url).pathname))].sort();
  const links = kept.map((path) => `<li><a href="${path}">${path === '/' ? 'Bench' : path.slice(7).replace('/', ', ')}</a></li>`).join('');
  const words = kept.length ? 'The server is not in reach, and this page is not on this device. These are:' : 'The server is not in reach, and nobody is signed in on this device: no page is kept here.';
  const html = `<!DOCTYPE html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Not in reach</title><link rel="stylesheet" href="/assets/app.css"><main class="p-6"><h1 class="text-2xl">Not in reach</h1><p>${words}</p><ul>${links}</ul><p><a class="button" href="/">Try again</a></p></main></html>`;
  return new Response(html, { status: 503, headers: { 'Content-Type': 'text/html; charset=utf-8' } });
}

/** Keeps pages before they are opened; the first that is not answered ends it: signed out, or no server. */
async function ahead(urls) {
  const cache = await caches.open(PAGES);
  const now = hand;
  for (const url of urls) {
    const kept = await cache.match(url);
    if (kept && Date.now() - stood(kept) < FRESH_MS) continue;
    if (now !== hand || (await fetchOne(cache, url, now)) === false) return;
  }
  const all = await cache.keys();
  await Promise.all(all.slice(0, Math.max(0, all.length - MOST)).map((r) => cache.delete(r)));
}

async function fetchOne(cache, url, now) {
  const answer = await fetch(url, { headers: { Accept: 'text/html' }, redirect: 'manual' }).catch(() => null);
  if (!answer || answer.type === 'opaqueredirect' || answer.status === 401 || answer.status >= 500) return false;
  if (answer.ok && now === hand) await cache.put(url, answer);
  return true;
}

self.addEventListener('message', (event) => {
  if (event.data.gone) hand += 1;
  if (event.data.ahead) event.waitUntil(ahead(event.data.ahead.filter((url) => OF_CASTINGS.test(url))));
});
self.addEventListener('install', () => self.skipWaiting());
clientsClaim();
