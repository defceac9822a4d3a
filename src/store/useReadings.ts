'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { DAY, EMPTY_TRACK, fromSteps, gapOver, HOUR, type Series, type Track } from '@/core/readings';
import {
  addFromSource,
  addReadings,
  extent,
  listSeries,
  readSummary,
  readTrack,
  takeOutReadings,
} from './readings';
import { useStore } from './react';
import { changeRecord, type Change } from './records';

/** Points of an enclosure, or of all; undefined while they are read. */
export function useSeries(design: string | null): readonly Series[] | undefined {
  const { db } = useStore();
  return useLiveQuery(() => listSeries(db, design), [db, design]);
}

/** Readings of points since a time, ms since 1970; undefined while they are read. */
export function useTracks(
  series: readonly Series[] | undefined,
  since: number,
): ReadonlyMap<string, Track> | undefined {
  const { db } = useStore();
  const ids = series?.map((it) => it.id).join('\n');
  return useLiveQuery(async () => {
    if (ids === undefined) return undefined;
    const all = ids === '' ? [] : ids.split('\n');
    const tracks = await Promise.all(all.map((id) => readTrack(db, id, since, Infinity)));
    return new Map(
      all.map((id, i) => [id, tracks[i] ?? { at: new Float64Array(0), steps: new Int32Array(0) }]),
    );
  }, [db, ids, since]);
}

/** What points read in the last stretch of time in which they read at all, ms; undefined while it is read. */
export function useLatest(series: readonly Series[], span: number): ReadonlyMap<string, Track> | undefined {
  const { db } = useStore();
  const ids = series.map((it) => it.id).join('\n');
  return useLiveQuery(async () => {
    const all = ids === '' ? [] : ids.split('\n');
    const tracks = await Promise.all(
      all.map(async (id) => {
        const whole = await extent(db, id);
        return readTrack(db, id, (whole?.to ?? 0) - span, Infinity);
      }),
    );
    return new Map(all.map((id, i) => [id, tracks[i] ?? EMPTY_TRACK]));
  }, [db, ids, span]);
}

/** From when to when there are readings of any of these points; null: there are none. */
export function useExtent(series: readonly Series[] | undefined) {
  const { db } = useStore();
  const ids = series?.map((it) => it.id).join('\n');
  return useLiveQuery(async () => {
    if (ids === undefined) return undefined;
    const all = await Promise.all((ids === '' ? [] : ids.split('\n')).map((id) => extent(db, id)));
    const known = all.filter((it) => it !== null);
    return known.length === 0
      ? null
      : { from: Math.min(...known.map((it) => it.from)), to: Math.max(...known.map((it) => it.to)) };
  }, [db, ids]);
}

/** A curve as it is drawn: NaN where nothing was read. */
export interface Curve {
  readonly series: Series;
  readonly at: readonly number[];
  readonly mean: readonly number[];
  /** Lowest and highest of each stretch; none where every reading is drawn. */
  readonly low: readonly number[] | null;
  readonly high: readonly number[] | null;
}

/** Up to which width of the window every reading is drawn, and the hours of it. */
const RAW_UP_TO = 4 * DAY;
const HOURS_UP_TO = 130 * DAY;

/** What is drawn of points within a window, with as much again on either side to be moved to. */
export function useCurves(series: readonly Series[], from: number, to: number): readonly Curve[] | undefined {
  const { db } = useStore();
  const ids = series.map((it) => `${it.id} ${it.changed}`).join('\n');
  const held = useMemo(() => series, [ids]); // eslint-disable-line react-hooks/exhaustive-deps -- the same points by identity and version
  return useLiveQuery(async () => {
    const width = to - from;
    return Promise.all(
      held.map(async (it): Promise<Curve> => {
        if (width <= RAW_UP_TO) {
          const { at, steps } = await readTrack(db, it.id, from - width, to + width);
          const values = Array.from(steps, (step) => fromSteps(step, it.quantity));
          return { series: it, ...parted(at, [values], gapOver(at)) };
        }
        const hourly = width <= HOURS_UP_TO;
        const { at, low, mean, high } = await readSummary(
          db,
          it.id,
          hourly ? 'hour' : 'day',
          hourly ? from - width : -Infinity,
          hourly ? to + width : Infinity,
        );
        const si = (list: Int32Array): number[] => Array.from(list, (step) => fromSteps(step, it.quantity));
        const span = hourly ? HOUR : DAY;
        return {
          series: it,
          ...parted(at, [si(mean), si(low), si(high)], Math.max(2.5 * span, gapOver(at)), span / 2),
        };
      }),
    );
  }, [db, held, from, to]);
}

/** Puts a hole wherever nothing was read for longer than usual. */
function parted(
  at: Float64Array,
  columns: readonly (readonly number[])[],
  gap: number,
  shift = 0,
): Pick<Curve, 'at' | 'mean' | 'low' | 'high'> {
  const times: number[] = [];
  const out: number[][] = columns.map(() => []);
  at.forEach((t, i) => {
    const before = at[i - 1];
    if (before !== undefined && t - before > gap) {
      times.push(before + 1 + shift);
      out.forEach((column) => column.push(Number.NaN));
    }
    times.push(t + shift);
    out.forEach((column, k) => column.push(columns[k]?.[i] ?? Number.NaN));
  });
  const [mean = [], low = null, high = null] = out;
  return { at: times, mean, low, high };
}

/** Ways to write readings and points down. */
export function useReadingsBook() {
  const { db } = useStore();
  return useMemo(
    () => ({
      change: (id: string, part: Change<Series>) => changeRecord(db, 'series', id, part, Date.now()),
      add: (given: Parameters<typeof addReadings>[1]) => addReadings(db, given),
      addFromSource: (design: string, tracks: Parameters<typeof addFromSource>[2]) =>
        addFromSource(db, design, tracks, Date.now()),
      takeOut: (batch: Parameters<typeof takeOutReadings>[1]) => takeOutReadings(db, batch),
    }),
    [db],
  );
}
