/// <reference lib="webworker" />
import {
  cleanupOutdatedCaches,
  createHandlerBoundToURL,
  precacheAndRoute,
  type PrecacheEntry,
} from 'workbox-precaching';
import { cacheNames } from 'workbox-core';
import { NavigationRoute, registerRoute } from 'workbox-routing';

declare const self: ServiceWorkerGlobalScope & { __WB_MANIFEST: (PrecacheEntry | string)[] };

/** Parts of the version before: pages that were opened under it may still ask for one. */
const EARLIER = 'wanderung-earlier';
const here = (path: string) => new URL(path, self.location.href).pathname;
const isPart = (url: URL) => url.origin === self.location.origin && url.pathname.startsWith(here('_expo/'));

/** Keeps the parts of the version that is in use, before this one takes them out. */
async function keepEarlier(): Promise<void> {
  const now = await caches.open(cacheNames.precache);
  const parts = (await now.keys()).filter((r) => isPart(new URL(r.url)));
  if (parts.length === 0) return;
  await caches.delete(EARLIER);
  const earlier = await caches.open(EARLIER);
  for (const part of parts) {
    const response = await now.match(part);
    if (response) await earlier.put(part, response);
  }
}
// Before the precache's own listener: what it adds is not of the version before.
self.addEventListener('install', (e) => e.waitUntil(keepEarlier().catch(() => undefined)));

precacheAndRoute(self.__WB_MANIFEST);
cleanupOutdatedCaches();
registerRoute(
  ({ url }) => isPart(url),
  async ({ request }) => (await caches.match(request, { cacheName: EARLIER, ignoreSearch: true })) ?? fetch(request),
);
// Every page is the one exported index.html, whatever stands in its address; the API is no page.
registerRoute(
  new NavigationRoute(createHandlerBoundToURL(here('index.html')), { denylist: [new RegExp(`^${here('api/')}`)] }),
);

// A newer version waits until the user wants it (screens/shared/useVersion.ts); the first one has nothing to wait for.
self.addEventListener('message', (e) => e.data === 'use' && void self.skipWaiting());
self.addEventListener('activate', (e) => e.waitUntil(self.clients.claim()));
