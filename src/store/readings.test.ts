import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { HOUR, trackOf, WEEK, type Series } from '@/core/readings';
import {
  addFromSource,
  addReadings,
  extent,
  listSeries,
  readSummary,
  readTrack,
  RinconDatabase,
  takeOutReadings,
} from '.';

const START = Date.UTC(2026, 2, 1);
const series: Series = {
  id: 'warm',
  design: 'bog',
  name: 'warm side',
  quantity: 'temperature',
  place: 'warm',
  at: null,
  instrument: 'hand meter',
  source: null,
  alarm: null,
  changed: 1,
  gone: false,
};
const hours = (from: number, count: number, value = 2000) =>
  trackOf(
    Array.from({ length: count }, (_, i) => START + (from + i) * HOUR),
    Array.from({ length: count }, (_, i) => value + (i % 7)),
  );

let db: RinconDatabase;
beforeEach(async () => {
  db = new RinconDatabase(`readings ${Math.random()}`);
  await db.open();
});
afterEach(() => {
  vi.restoreAllMocks();
  db.close();
});
const all = () => readTrack(db, 'warm', -Infinity, Infinity);

describe('readings kept by the week', () => {
  it('come back in order, whole or in part, and by the hour and the day', async () => {
    const batch = await addReadings(db, [{ series, track: hours(0, 24 * 30) }]);
    expect(batch.fresh).toBe(720);
    expect((await all()).at.length).toBe(720);
    expect([...(await readTrack(db, 'warm', START + 5 * HOUR, START + 8 * HOUR)).steps]).toEqual([
      2005, 2006, 2000,
    ]);
    const days = await readSummary(db, 'warm', 'day', -Infinity, Infinity);
    expect(days.at.length).toBe(30);
    expect([...days.count].every((it) => it === 24)).toBe(true);
    expect(await extent(db, 'warm')).toEqual({ from: START, to: START + 719 * HOUR });
    expect(await extent(db, 'other')).toBeNull();
    // Few rows: three a week, however many readings.
    expect(await db.blocks.count()).toBeLessThanOrEqual(3 * 6);
  });
  it('read in twice, or overlapping, are there once', async () => {
    await addReadings(db, [{ series, track: hours(0, 300) }]);
    expect((await addReadings(db, [{ series, track: hours(0, 300) }])).fresh).toBe(0);
    expect((await addReadings(db, [{ series, track: hours(250, 100, 2000 + (250 % 7)) }])).fresh).toBe(50);
    expect((await all()).at.length).toBe(350);
  });
  it('a batch taken out leaves what stood before it', async () => {
    await addReadings(db, [{ series, track: hours(0, 100) }]);
    const before = await all();
    const batch = await addReadings(db, [
      { series, track: hours(50, 400) },
      { series: { ...series, id: 'cool' }, track: hours(0, 10) },
    ]);
    await takeOutReadings(db, batch);
    expect(await all()).toEqual(before);
    expect(await db.series.toCollection().primaryKeys()).toEqual(['warm']);
    expect(await db.blocks.where({ series: 'cool' }).count()).toBe(0);
  });
  it('with the storage full nothing of it is kept', async () => {
    await addReadings(db, [{ series, track: hours(0, 100) }]);
    const before = await db.blocks.toArray();
    const put = IDBObjectStore.prototype.put;
    let writes = 0;
    vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, ...args) {
      writes += 1;
      if (writes % 10 === 0) throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
      return put.apply(this, args);
    });
    await expect(addReadings(db, [{ series, track: hours(0, 24 * 90) }])).rejects.toThrow(/quota/i);
    vi.restoreAllMocks();
    expect(await db.blocks.toArray()).toEqual(before);
  });
  it('from a file go to the point they went to before; what is gone gets a new one', async () => {
    const source = {
      source: 'Temp',
      name: 'Temp',
      quantity: 'temperature' as const,
      place: 'warm' as const,
      track: hours(0, 20),
    };
    await addFromSource(db, 'bog', [source], START);
    await addFromSource(db, 'bog', [{ ...source, track: hours(20, 20) }], START);
    const [only, ...others] = await listSeries(db, 'bog');
    expect(others).toEqual([]);
    expect((await readTrack(db, only!.id, -Infinity, Infinity)).at.length).toBe(40);
    await db.series.update(only!.id, { gone: true });
    await addFromSource(db, 'bog', [source], START + WEEK);
    expect(await db.series.count()).toBe(2);
    expect(await listSeries(db, null)).toHaveLength(1);
  });
});
