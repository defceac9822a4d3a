'use client';

import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { canLookAhead } from '@/core/ahead/asked';
import type { Design } from '@/core/document';
import { DAY, type Series, type Track } from '@/core/readings';
import { readTrack, useCareLog, useSeries, useStore, useTracks } from '@/store';
import { useToday } from '@/ui/useToday';
import {
  onWeeks,
  wantWeek,
  weekKey,
  weekNews,
  weekNow,
  type WeekAsked,
  type WeekState,
} from '@/workers/weeks';

/** An enclosure whose next seven days are looked for. */
export interface Coming {
  readonly design: Design;
  readonly points: readonly Series[];
  readonly state: WeekState;
}

/** ms of readings by which it is seen whether a point is still read. */
const BACK = 2 * DAY;

/** The next seven days of these enclosures, each as it comes in; of those that are read no more nothing is said. */
export function useWeeks(designs: readonly Design[] | undefined): readonly Coming[] {
  const { db, catalogue } = useStore();
  const all = useSeries(null);
  const log = useCareLog(null);
  // Of whole days: what is read is looked for anew when the day turns.
  const today = useToday();
  const since = useMemo(() => Date.parse(`${today}T00:00:00Z`) - BACK, [today]);
  const points = useMemo(() => {
    const own = new Map(designs?.filter((it) => !it.brief.putAway).map((it) => [it.id, it]));
    return all?.filter((it) => {
      const design = own.get(it.design);
      return design !== undefined && canLookAhead(it, design);
    });
  }, [all, designs]);
  const tracks = useTracks(points, since);
  const asked = useMemo(() => {
    if (!designs || !points || !tracks || !log) return [];
    return designs.flatMap((design): WeekAsked[] => {
      const own = points.filter((it) => it.design === design.id && stillRead(tracks.get(it.id)));
      const last = Math.max(0, ...own.map((it) => tracks.get(it.id)?.at.at(-1) ?? 0));
      const filled = log.findLast(
        (it) => it.design === design.id && it.rule === 'bottle' && it.outcome === 'done',
      )?.at;
      return own.length === 0 ? [] : [{ design, catalogue, points: own, last, filled: filled ?? null }];
    });
  }, [designs, points, tracks, log, catalogue]);
  useEffect(() => {
    const wishes = asked.map((it) => wantWeek(it, (id, from) => readTrack(db, id, from, Infinity)));
    return () => wishes.forEach((takeBack) => takeBack());
  }, [asked, db]);
  const news = useSyncExternalStore(onWeeks, weekNews, weekNews);
  return useMemo(
    () => asked.map((it) => ({ design: it.design, points: it.points, state: weekNow(weekKey(it)) })),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what is known has changed with the news
    [asked, news],
  );
}

const stillRead = (track: Track | undefined): boolean => {
  const last = track?.at.at(-1);
  return last !== undefined && Date.now() - last <= DAY;
};
