import { createHash } from 'node:crypto';
import { readFileSync, rmSync } from 'node:fs';
import { generateSW } from 'workbox-build';

/**
 * Writes the service worker of the build that stands: everything static is kept from the first visit on; pages are
 * fetched anew while the server answers and shown from the last visit while it does not. A new version waits until the
 * person lets it in, so that nothing that is being typed is lost.
 */
rmSync('public/sw.js', { force: true });
const { warnings } = await generateSW({
  globDirectory: '.next/static',
  globPatterns: ['**/*.{js,css,woff2,wasm}'],
  modifyURLPrefix: { '': '/_next/static/' },
  // The names of these files hold a hash of what is in them.
  dontCacheBustURLsMatching: /./,
  maximumFileSizeToCacheInBytes: 8 * 1024 * 1024,
  swDest: 'public/sw.js',
  sourcemap: false,
  mode: 'production',
  inlineWorkboxRuntime: true,
  // The recovery page: there on the day nothing else is.
  additionalManifestEntries: ['recover', 'recover.js', 'recover.css'].map((name) => ({
    url: `/${name}`,
    revision: createHash('sha256')
      .update(readFileSync(`public/${name === 'recover' ? 'recover.html' : name}`))
      .digest('hex')
      .slice(0, 16),
  })),
  cleanupOutdatedCaches: true,
  clientsClaim: true,
  importScripts: ['/sw-first.js'],
  skipWaiting: false,
  runtimeCaching: [
    {
      urlPattern: ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/solver/'),
      handler: 'StaleWhileRevalidate',
      options: { cacheName: 'rincon-solver' },
    },
    {
      urlPattern: ({ request, url, sameOrigin }) =>
        sameOrigin && request.mode === 'navigate' && !url.pathname.startsWith('/api/'),
      handler: 'NetworkFirst',
      options: {
        cacheName: 'rincon-pages',
        networkTimeoutSeconds: 4,
        matchOptions: { ignoreSearch: true, ignoreVary: true },
      },
    },
  ],
});
for (const it of warnings) console.warn(it);
