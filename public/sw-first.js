/*
 * A worker of the build is told what to load in the part of its address behind the #. An answer out of a cache has an
 * address of its own, without that part: it is given anew, without one, so that the worker keeps the address it asked by.
 */
self.addEventListener('fetch', (event) => {
  const { pathname, origin } = new URL(event.request.url);
  if (origin !== location.origin || !/^\/_next\/static\/.*worker[^/]*\.js$/.test(pathname)) return;
  event.stopImmediatePropagation();
  event.respondWith(
    caches.match(event.request, { ignoreSearch: true }).then(async (kept) => {
      const found = kept ?? (await fetch(event.request));
      return new Response(await found.blob(), { headers: found.headers });
    }),
  );
});
