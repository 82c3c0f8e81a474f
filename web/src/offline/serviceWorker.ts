/// <reference lib="webworker" />
import { cleanupOutdatedCaches, precacheAndRoute } from 'workbox-precaching';
import type { PrecacheEntry } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';

declare const self: ServiceWorkerGlobalScope & { readonly __WB_MANIFEST: (string | PrecacheEntry)[] };

/** A weak signal is given so long before the page is taken as it was last seen. */
const PATIENCE_SECONDS = 4;

// All that the screens are made of, fetched once and beforehand.
precacheAndRoute(self.__WB_MANIFEST);
cleanupOutdatedCaches();

/** The page is the same at every address, so it is kept once; with it its policy, whose nonce stands in it. */
const page = new NetworkFirst({
  cacheName: 'page',
  networkTimeoutSeconds: PATIENCE_SECONDS,
  plugins: [
    {
      cacheKeyWillBeUsed: () => Promise.resolve('/'),
      cacheWillUpdate: ({ response }) =>
        Promise.resolve(
          response.status === 200 && response.headers.get('content-type')?.startsWith('text/html')
            ? response
            : null,
        ),
    },
  ],
});
registerRoute(new NavigationRoute(page, { denylist: [/^\/api\//, /^\/trust/] }));

// A new version takes over at once; what an open page still lacks of the old one it is told to load anew.
self.addEventListener('install', () => void self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
