'use client';

import { useEffect, useMemo, useState } from 'react';
import { animalThrough } from '@/core/brief';
import type { Design } from '@/core/document';
import { alarmsOf, DAY, oddities, type Alarm, type Oddity, type Series } from '@/core/readings';
import { keepsMoist } from '@/core/verdict';
import { useSeries, useStore, useTracks } from '@/store';
import { isDayIn } from '@/core/climate';

/** A point that alarms now, or whose probe is not to be trusted. */
export interface Standing {
  readonly design: Design;
  readonly series: Series;
  readonly alarm: Alarm | null;
  readonly oddity: Oddity | null;
}

/** How far back alarms are looked for, and how old the last reading may be to still be of now. */
const BACK = 3 * DAY;

/** A clock that moves on by the minute. */
export function useNow(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 60_000);
    return () => clearInterval(timer);
  }, []);
  return now;
}

/** What stands outside its band or is not to be trusted, in these enclosures; undefined while it is read. */
export function useAlarms(designs: readonly Design[] | undefined): readonly Standing[] | undefined {
  const { catalogue } = useStore();
  const all = useSeries(null);
  const now = useNow();
  const [since] = useState(() => Date.now() - BACK);
  const tracks = useTracks(all, since);
  return useMemo(() => {
    if (!designs || !all || !tracks) return undefined;
    return designs
      .filter((it) => !it.brief.putAway)
      .flatMap((design) => {
        const isDay = isDayIn(design.climate);
        const animalAt = animalThrough(design, catalogue);
        const has = keepsMoist(design);
        return all
          .filter((it) => it.design === design.id)
          .flatMap((series): Standing[] => {
            const track = tracks.get(series.id);
            const last = track?.at.at(-1);
            // What has not been read for days is no alarm: nobody reads it any more.
            if (!track || last === undefined || now - last > DAY) return [];
            const alarm = alarmsOf(series, track, animalAt, isDay, has).find((it) => it.to === null) ?? null;
            const oddity = oddities(track, series.quantity, now).find((it) => it.to >= last) ?? null;
            // The harm is said first and the doubt second: a probe that may be stuck may as well be right.
            return alarm || oddity ? [{ design, series, alarm, oddity }] : [];
          });
      });
  }, [designs, all, tracks, catalogue, now]);
}
