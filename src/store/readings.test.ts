import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { catalogue } from '@/catalogue';
import {
  demoAnimals,
  demoCultures,
  demoDesigns,
  demoEquipment,
  demoLog,
  demoReadings,
} from '@/catalogue/demo';
import { HOUR, trackOf, WEEK, type Series } from '@/core/readings';
import {
  addFromSource,
  addReadings,
  changed,
  changeRecord,
  extent,
  listSeries,
  readSummary,
  readTrack,
  RinconDatabase,
  saveSeries,
  takeInFile,
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

describe('a file that is read in', () => {
  const humidity: Series = { ...series, id: 'damp', quantity: 'humidity' };
  const add = async (...given: Parameters<typeof addReadings>[1]) => (await addReadings(db, given)).readUpTo;
  it('is the probes read up to its last reading, where it tells temperature and humidity of that day', async () => {
    expect(await add({ series, track: hours(0, 100) }, { series: humidity, track: hours(0, 90) })).toBe(
      START + 89 * HOUR,
    );
    // One of them alone, or the other of another day, is not the whole of it.
    expect(await add({ series, track: hours(0, 100) })).toBeNull();
    expect(await add({ series: humidity, track: hours(0, 100) })).toBeNull();
    expect(await add({ series, track: hours(0, 100) }, { series: humidity, track: hours(0, 77) })).toBe(
      START + 76 * HOUR,
    );
    expect(await add({ series, track: hours(0, 100) }, { series: humidity, track: hours(0, 76) })).toBeNull();
    expect(await add()).toBeNull();
  });
});

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
  it('of a point’s name go to it where it had no source, and to another quantity’s of that name never', async () => {
    await addReadings(db, [{ series, track: hours(0, 20) }]);
    const back = { source: 'bog/warm', name: series.name, place: 'warm' as const, track: hours(20, 20) };
    await addFromSource(db, series.design, [{ ...back, quantity: series.quantity }], START);
    expect(await listSeries(db, series.design)).toHaveLength(1);
    expect((await readTrack(db, series.id, -Infinity, Infinity)).at.length).toBe(40);
    await addFromSource(db, series.design, [{ ...back, quantity: 'humidity' }], START);
    expect(await listSeries(db, series.design)).toHaveLength(2);
  });
  it('of two tabs that write at once nothing is lost, and nothing is there twice', async () => {
    const other = new RinconDatabase(db.name);
    await other.open();
    await Promise.all([
      addReadings(db, [{ series, track: hours(0, 60) }]),
      addReadings(other, [{ series, track: hours(40, 60, 2000 + (40 % 7)) }]),
      addReadings(db, [{ series, track: hours(90, 30, 2000 + (90 % 7)) }]),
    ]);
    other.close();
    expect((await all()).at.length).toBe(120);
  });
  it('two changes of one point from two places, a moment apart: both stay', async () => {
    await saveSeries(db, [series]);
    await Promise.all([
      changeRecord(db, 'series', series.id, { at: { x: 0.1, y: 0.2, z: 0.3 } }, 9000),
      changeRecord(db, 'series', series.id, { alarm: { on: true, low: 0.4, high: null } }, 9000),
      changeRecord(db, 'series', series.id, (here) => ({ name: `${here.name} again` }), 9000),
    ]);
    const here = (await listSeries(db, 'bog'))[0]!;
    expect(here.at).toEqual({ x: 0.1, y: 0.2, z: 0.3 });
    expect(here.alarm).toEqual({ on: true, low: 0.4, high: null });
    expect(here.name).toBe(`${series.name} again`);
    expect(here.changed).toBe(9002);
    await changeRecord(db, 'series', 'not here', { name: 'none' }, 9000);
    expect(await db.series.count()).toBe(1);
  });
  it('a clock that was set back does not make a change the older one', async () => {
    await saveSeries(db, [changed({ ...series, name: 'first' }, 5000)]);
    const here = (await listSeries(db, 'bog'))[0]!;
    await saveSeries(db, [changed({ ...here, name: 'second' }, 100)]);
    expect((await listSeries(db, 'bog'))[0]!.name).toBe('second');
    // An older version from another device changes nothing.
    await saveSeries(db, [{ ...series, name: 'old', changed: 2 }]);
    expect((await listSeries(db, 'bog'))[0]!.name).toBe('second');
  });
});

describe('a file taken in with the storage full at every tenth write', () => {
  it('is taken in whole or not at all, wherever it stops', async () => {
    const now = Date.UTC(2026, 10, 25);
    const designs = demoDesigns(catalogue);
    const file = {
      designs,
      prices: { 'charcoal/bag-5l': 3 },
      log: demoLog(designs, catalogue, now),
      animals: demoAnimals(now),
      cultures: demoCultures(now),
      equipment: demoEquipment(now),
      points: demoReadings(designs, now).map((it) => it.series),
    };
    const count = async () =>
      Object.fromEntries(
        await Promise.all(db.tables.map(async (it) => [it.name, await it.count()] as const)),
      );
    const before = await count();
    const { put, add } = IDBObjectStore.prototype;
    for (const at of [1, 10, 20, 40]) {
      let writes = 0;
      const full = (): void => {
        writes += 1;
        if (writes % at === 0) throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
      };
      vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, ...args) {
        full();
        return put.apply(this, args);
      });
      vi.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(function (this: IDBObjectStore, ...args) {
        full();
        return add.apply(this, args);
      });
      await expect(takeInFile(db, file, () => 'new', now)).rejects.toThrow(/quota/i);
      vi.restoreAllMocks();
      expect(await count()).toEqual(before);
    }
    await takeInFile(db, file, () => 'new', now);
    expect(await count()).toMatchObject({ designs: 4, animals: 4, cultures: 3, equipment: 3, series: 5 });
  });
});
