'use client';

import { useEffect, useRef } from 'react';
import { readingsIn, readSenml } from '@/files';
import {
  addFromSource,
  lastReading,
  loadDesign,
  ownRows,
  probesRead,
  useStore,
  type SourceTrack,
} from '@/store';
import { hubEvents, hubSince, isOutdated, isThere, placeBox, sourceTracks } from './client';

/** How long to wait before a device that fell silent is tried again, ms. */
const AGAIN = 15_000;

/** Listens to the devices of every joined enclosure while the application is open, and keeps what they read. */
export function LiveDevices() {
  const { settings } = useStore();
  return settings.joined.map((design) => <Listener key={design} design={design} />);
}

function Listener({ design }: { readonly design: string }) {
  const { db, settings } = useStore();
  const own = useRef(settings);
  useEffect(() => {
    own.current = settings;
  });
  useEffect(() => {
    let ended = false;
    let source: EventSource | undefined;
    let again: ReturnType<typeof setTimeout> | undefined;
    const keep = async (tracks: readonly SourceTrack[]): Promise<void> => {
      const now = Date.now();
      const { fresh, readUpTo } = await addFromSource(db, design, tracks, now);
      if (fresh > 0 && readUpTo !== null && readUpTo <= now) await probesRead(db, design, readUpTo, now);
    };
    const join = async (): Promise<void> => {
      const loaded = await loadDesign(db, design);
      if (loaded.state !== 'ready' || ended) return;
      // A server that was started anew has an empty bench.
      if (!(await isThere(design))) await placeBox(loaded.row.design, ownRows(own.current));
      const missed = await hubSince(design, await lastReading(db, design, 'hub/'));
      if (ended) return;
      await keep(sourceTracks(missed));
      source = hubEvents(design);
      source.onmessage = (event: MessageEvent<string>) => {
        const { data } = event;
        if (isOutdated(design, event)) return;
        const found = readSenml(data, Date.now() / 1000);
        if (found.ok && !ended) keep(sourceTracks(readingsIn(found.value))).catch(retry);
      };
      source.onerror = () => source?.readyState === EventSource.CLOSED && retry();
    };
    const retry = (): void => {
      source?.close();
      clearTimeout(again);
      if (!ended) again = setTimeout(() => void join().catch(retry), AGAIN);
    };
    void join().catch(retry);
    return () => {
      ended = true;
      clearTimeout(again);
      source?.close();
    };
  }, [db, design]);
  return null;
}
