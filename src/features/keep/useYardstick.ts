'use client';

import { useEffect, useState } from 'react';
import type { Catalogue } from '@/core/catalogue';
import { usualDays, type PointTrack, type Yardstick } from '@/core/diagnosis';
import type { Design } from '@/core/document';
import { isDayIn } from '@/core/climate';
import { startYardstick, type PlayedFaults } from '@/workers/climate';

export type YardstickState =
  | { readonly at: 'none' }
  | { readonly at: 'working' }
  | { readonly at: 'ready'; readonly yardstick: Yardstick }
  | { readonly at: 'failed'; readonly message: string };

/** What was played last: going to another tab and back asks for nothing anew. */
let kept: { readonly key: string; readonly yardstick: Yardstick } | null = null;

/** What a forecast of faults hangs on: the box, its places and the day, but not what it is called. */
function keyOf(
  { id, enclosure, ground, scape, climate, living, brief }: Design,
  asked: PlayedFaults,
): string {
  return JSON.stringify([
    id,
    enclosure,
    ground,
    scape,
    climate,
    living,
    brief.room,
    asked.places,
    asked.dayOfYear,
  ]);
}

/** A design played through with every fault it can have, in a worker, when there are readings to hold against it. */
export function useYardstick(
  design: Design,
  catalogue: Catalogue,
  points: readonly PointTrack[] | null,
  now: number,
): YardstickState {
  // What nobody has described cannot be played: rules alone say what they can.
  const asked = design.brief.described && points && points.length > 0 ? askedOf(design, points, now) : null;
  const key = asked ? keyOf(design, asked) : null;
  const [done, setDone] = useState<{ readonly key: string; readonly state: YardstickState } | null>(null);
  useEffect(() => {
    if (key === null || !asked || kept?.key === key) return;
    const working = startYardstick(design, catalogue, asked);
    working.done.then(
      (yardstick) => {
        kept = { key, yardstick };
        setDone({ key, state: { at: 'ready', yardstick } });
      },
      (error: unknown) =>
        setDone({
          key,
          state: { at: 'failed', message: error instanceof Error ? error.message : String(error) },
        }),
    );
    return working.stop;
    // The key says all that it hangs on; readings that come in meanwhile change nothing of what was usual.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  if (key === null) return { at: 'none' };
  if (kept?.key === key) return { at: 'ready', yardstick: kept.yardstick };
  return done?.key === key ? done.state : { at: 'working' };
}

/** Days of the year that are played alike: a room does not change in a week. */
const ALIKE = 7;

function askedOf(design: Design, points: readonly PointTrack[], now: number): PlayedFaults {
  const date = new Date(now);
  const day = Math.floor((now - new Date(date.getFullYear(), 0, 1).getTime()) / 86_400_000);
  return {
    dayOfYear: Math.floor(day / ALIKE) * ALIKE + 1,
    // A room, and what lies out of its reach, is always played: it may be what is to be measured next.
    places: [
      ...new Set([
        ...points
          .filter((it) => it.series.quantity === 'temperature')
          .map((it) => it.series.place)
          .filter((it) => it !== 'soil' && it !== 'scale'),
        'room' as const,
        'warm' as const,
        'cool' as const,
      ]),
    ].sort(),
    usual: usualDays(points, isDayIn(design.climate), design),
  };
}
