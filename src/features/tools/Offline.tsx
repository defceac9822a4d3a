'use client';

import Button from '@mui/material/Button';
import { useSnackbar } from 'notistack';
import { useEffect, useRef } from 'react';
import { useDesigns } from '@/store';

/** Pages that open without a network though they were never visited: the round in the morning. */
const ALWAYS = ['/', '/today', '/receive', '/compare', '/stores', '/almanac', '/lists', '/new', '/sitter'];
const PLACES = ['keep', 'brief', 'ground', 'scape', 'living', 'climate', 'build', 'mixing', 'sheets'];
const PAGES = 'rincon-pages';

/** Registers the service worker, keeps pages for when the server is off, and offers a new version when there is one. */
export function Offline() {
  const designs = useDesigns();
  const { enqueueSnackbar, closeSnackbar } = useSnackbar();
  const offered = useRef(false);
  const asked = useRef(false);
  useEffect(() => {
    if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
    let reloading = false;
    const hadOne = navigator.serviceWorker.controller !== null;
    const onChange = (): void => {
      // The first one takes over quietly.
      if (!hadOne || reloading) return;
      if (asked.current) {
        reloading = true;
        location.reload();
        return;
      }
      // Asked for in another window: what is half typed in this one stays.
      enqueueSnackbar('A new version of Rincon was loaded in another window.', {
        persist: true,
        action: (
          <Button color="inherit" onClick={() => location.reload()}>
            Load this one too
          </Button>
        ),
      });
    };
    navigator.serviceWorker.addEventListener('controllerchange', onChange);
    const offer = (waiting: ServiceWorker): void => {
      if (offered.current) return;
      offered.current = true;
      enqueueSnackbar('A new version of Rincon is here. What is saved stays.', {
        persist: true,
        action: (key) => (
          <Button
            color="inherit"
            onClick={() => {
              closeSnackbar(key);
              asked.current = true;
              waiting.postMessage({ type: 'SKIP_WAITING' });
            }}
          >
            Load it
          </Button>
        ),
      });
    };
    navigator.serviceWorker
      .register('/sw.js')
      .then((registration) => {
        const watch = (): void => {
          const { waiting } = registration;
          if (waiting && navigator.serviceWorker.controller) offer(waiting);
        };
        watch();
        registration.addEventListener('updatefound', () => {
          registration.installing?.addEventListener('statechange', watch);
        });
      })
      .catch(() => undefined);
    return () => navigator.serviceWorker.removeEventListener('controllerchange', onChange);
  }, [enqueueSnackbar, closeSnackbar]);

  const ids = designs
    ?.map((it) => (it.state === 'ready' ? it.row.id : ''))
    .filter(Boolean)
    .join('\n');
  useEffect(() => {
    if (process.env.NODE_ENV !== 'production' || ids === undefined || !('caches' in globalThis)) return;
    let ended = false;
    const fetchAll = async (): Promise<void> => {
      await navigator.serviceWorker?.ready;
      const cache = await caches.open(PAGES);
      const places = PLACES.flatMap((place) =>
        ids
          .split('\n')
          .filter(Boolean)
          .map((id) => `/e/${id}/${place}`),
      );
      for (const path of [...ALWAYS, ...places]) {
        if (ended) return;
        if (!(await cache.match(path, { ignoreVary: true }))) await cache.add(path).catch(() => undefined);
      }
    };
    // After everything that is seen.
    const rest = setTimeout(() => void fetchAll().catch(() => undefined), 4000);
    return () => {
      ended = true;
      clearTimeout(rest);
    };
  }, [ids]);
  return null;
}
