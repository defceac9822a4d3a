import Dexie from 'dexie';
import {
  byWeek,
  cut,
  DAY,
  EMPTY_TRACK,
  HOUR,
  mergeTracks,
  packSummary,
  packTrack,
  Series,
  summarise,
  unpackSummary,
  unpackTrack,
  weekOf,
  type MeasuringPlace,
  type ReadQuantity,
  type Summary,
  type Track,
} from '@/core/readings';
import { DAY_MS } from '@/core/physics/constants';
import type { BlockRow, RinconDatabase } from './database';
import { readable } from './readable';
import { putRecords } from './records';

/** Writes points down, or changes them: of two versions the later one stands. */
export const saveSeries = (db: RinconDatabase, series: readonly Series[]): Promise<void> =>
  putRecords(db, 'series', series);

export async function listSeries(db: RinconDatabase, design: string | null): Promise<readonly Series[]> {
  const all = design === null ? await db.series.toArray() : await db.series.where({ design }).toArray();
  return [...readable('series', all, Series).filter((it) => !it.gone)].sort((a, b) =>
    a.name.localeCompare(b.name),
  );
}

const LEVELS = ['raw', 'hour', 'day'] as const;

/** A week as its three rows. */
const blocksOf = (series: string, week: number, track: Track): readonly BlockRow[] => {
  const hours = summarise(track, HOUR);
  const days = summarise(track, DAY);
  return [
    { series, week, level: 'raw', count: track.at.length, bytes: packTrack(track) },
    { series, week, level: 'hour', count: hours.at.length, bytes: packSummary(hours) },
    { series, week, level: 'day', count: days.at.length, bytes: packSummary(days) },
  ];
};

/** Readings that were added, so that they can be taken out again. */
export interface ReadingsBatch {
  /** Readings that were not here before. */
  readonly fresh: number;
  /** Moment up to which it tells temperature and humidity both, as one who goes by reads them; null: not both of one day. */
  readonly readUpTo: number | null;
  /** Points that were not here before. */
  readonly created: readonly string[];
  /** Weeks as they stood, null where there was none. */
  readonly before: readonly {
    readonly key: readonly [string, BlockRow['level'], number];
    readonly row: BlockRow | null;
  }[];
}

/** Adds readings to what is there, all or none: they are merged week by week with those already kept. */
export async function addReadings(
  db: RinconDatabase,
  given: readonly { readonly series: Series; readonly track: Track }[],
): Promise<ReadingsBatch> {
  return db.transaction('rw', db.series, db.blocks, async () => {
    const known = await db.series.bulkGet(given.map((it) => it.series.id));
    await saveSeries(
      db,
      given.map((it) => it.series),
    );
    let fresh = 0;
    const before: ReadingsBatch['before'][number][] = [];
    for (const { series, track } of given)
      for (const [week, own] of byWeek(track)) {
        const rows = await db.blocks.bulkGet(
          LEVELS.map((level): [string, string, number] => [series.id, level, week]),
        );
        const here = rows[0];
        const merged = here ? mergeTracks(unpackTrack(here.bytes), own) : own;
        fresh += merged.at.length - (here?.count ?? 0);
        LEVELS.forEach((level, i) => before.push({ key: [series.id, level, week], row: rows[i] ?? null }));
        await db.blocks.bulkPut(blocksOf(series.id, week, merged));
      }
    return {
      fresh,
      readUpTo: readUpTo(given),
      created: given.flatMap(({ series }, i) => (known[i] ? [] : [series.id])),
      before,
    };
  });
}

function readUpTo(given: readonly { readonly series: Series; readonly track: Track }[]): number | null {
  const last = (quantity: ReadQuantity): number =>
    Math.max(
      ...given.filter((it) => it.series.quantity === quantity).map((it) => it.track.at.at(-1) ?? -Infinity),
    );
  const [temperature, humidity] = [last('temperature'), last('humidity')];
  return Math.abs(temperature - humidity) < DAY_MS ? Math.min(temperature, humidity) : null;
}

/** Takes a batch out again: weeks stand as before it. */
export async function takeOutReadings(db: RinconDatabase, batch: ReadingsBatch): Promise<void> {
  await db.transaction('rw', db.series, db.blocks, async () => {
    await db.blocks.bulkDelete(batch.before.flatMap(({ key, row }) => (row ? [] : [[...key]])));
    await db.blocks.bulkPut(batch.before.flatMap(({ row }) => (row ? [row] : [])));
    await db.series.bulkDelete([...batch.created]);
  });
}

/** What came from a file or off the wire, before it is known which point it belongs to. */
export interface SourceTrack {
  readonly source: string;
  readonly name: string;
  readonly quantity: ReadQuantity;
  readonly place: MeasuringPlace;
  readonly track: Track;
}

/**
 * Adds readings to the points of an enclosure they have gone to before, or that go by their name and had no source yet: what
 * was written out of here comes back to where it was. To new ones where there is none.
 */
export async function addFromSource(
  db: RinconDatabase,
  design: string,
  tracks: readonly SourceTrack[],
  now: number,
): Promise<ReadingsBatch> {
  return db.transaction('rw', db.series, db.blocks, async () => {
    const here = await listSeries(db, design);
    return addReadings(
      db,
      tracks
        .filter(({ track }) => track.at.length > 0)
        .map(({ source, name, quantity, place, track }) => ({
          track,
          series:
            here.find((it) => it.source === source && it.quantity === quantity) ??
            here.find((it) => it.source === null && it.quantity === quantity && it.name === name) ??
            Series.parse({
              id: crypto.randomUUID(),
              design,
              name: name.slice(0, 80) || 'point',
              quantity,
              place,
              at: null,
              instrument: '',
              source: source.slice(0, 200),
              alarm: null,
              changed: now,
              gone: false,
            } satisfies Series),
        })),
    );
  });
}

/** Lets go of what points read from a moment on: only for readings that are simulated anew. */
export async function forgetSince(
  db: RinconDatabase,
  series: readonly string[],
  from: number,
): Promise<void> {
  await db.transaction('rw', db.blocks, async () => {
    for (const id of series)
      for (const { week, bytes } of await between(db, id, 'raw', from, Infinity)) {
        const left = cut(unpackTrack(bytes), -Infinity, from);
        if (left.at.length > 0) await db.blocks.bulkPut(blocksOf(id, week, left));
        else await db.blocks.bulkDelete(LEVELS.map((level): [string, string, number] => [id, level, week]));
      }
  });
}

const between = (
  db: RinconDatabase,
  series: string,
  level: BlockRow['level'],
  from: number,
  to: number,
): Promise<BlockRow[]> =>
  db.blocks
    .where('[series+level+week]')
    .between(
      [series, level, Number.isFinite(from) ? weekOf(from) : Dexie.minKey],
      [series, level, Number.isFinite(to) ? weekOf(to) : Dexie.maxKey],
      true,
      true,
    )
    .toArray();

const joined = (parts: readonly Float64Array[]): Float64Array => {
  const all = new Float64Array(parts.reduce((sum, it) => sum + it.length, 0));
  let at = 0;
  for (const it of parts) {
    all.set(it, at);
    at += it.length;
  }
  return all;
};
const joinedSteps = (parts: readonly Int32Array[]): Int32Array => {
  const all = new Int32Array(parts.reduce((sum, it) => sum + it.length, 0));
  let at = 0;
  for (const it of parts) {
    all.set(it, at);
    at += it.length;
  }
  return all;
};

/** Every reading of a point from a moment on and before another, ms since 1970; infinite: all. */
export async function readTrack(
  db: RinconDatabase,
  series: string,
  from: number,
  to: number,
): Promise<Track> {
  const parts = (await between(db, series, 'raw', from, to)).map((it) => unpackTrack(it.bytes));
  if (parts.length === 0) return EMPTY_TRACK;
  return cut(
    { at: joined(parts.map((it) => it.at)), steps: joinedSteps(parts.map((it) => it.steps)) },
    from,
    to,
  );
}

/** What the readings of a point come to by the hour or by the day, of every week that lies in part between. */
export async function readSummary(
  db: RinconDatabase,
  series: string,
  level: 'hour' | 'day',
  from: number,
  to: number,
): Promise<Summary> {
  const parts = (await between(db, series, level, from, to)).map((it) => unpackSummary(it.bytes));
  const column = (name: 'low' | 'mean' | 'high' | 'count'): Int32Array =>
    joinedSteps(parts.map((it) => it[name]));
  return {
    at: joined(parts.map((it) => it.at)),
    low: column('low'),
    mean: column('mean'),
    high: column('high'),
    count: column('count'),
  };
}

/** First and last moment at which a point was read; null: never. */
export async function extent(
  db: RinconDatabase,
  series: string,
): Promise<{ readonly from: number; readonly to: number } | null> {
  const of = db.blocks
    .where('[series+level+week]')
    .between([series, 'raw', Dexie.minKey], [series, 'raw', Dexie.maxKey]);
  const [first, last] = [await of.first(), await of.last()];
  if (!first || !last) return null;
  return { from: unpackTrack(first.bytes).at[0] ?? 0, to: unpackTrack(last.bytes).at.at(-1) ?? 0 };
}

/** When a device of an enclosure was last heard, by how its names begin, ms since 1970; 0: never. */
export async function lastReading(db: RinconDatabase, design: string, begins: string): Promise<number> {
  const own = (await listSeries(db, design)).filter((it) => it.source?.startsWith(begins));
  const ends = await Promise.all(own.map((it) => extent(db, it.id)));
  // The one that fell behind most is caught up with; what the others have is merged away.
  return ends.length === 0 ? 0 : Math.min(...ends.map((it) => it?.to ?? 0));
}
