import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Week } from '@/core/ahead';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { HOUR, type Series, type Track } from '@/core/readings';

const kept = new Map<string, unknown>();
const started: string[] = [];
let atOnce = 0;
let most = 0;
let fails = false;
const week: Week = { outlooks: [], crossings: [], tried: 3, since: null, dry: null };

vi.mock('@/store', () => ({
  keepDerived: (key: string, value: unknown) => Promise.resolve(void kept.set(key, value)),
  readDerivedMany: (keys: readonly string[]) => Promise.resolve(keys.map((it) => kept.get(it))),
}));
vi.mock('./climate', () => ({
  startWeek: (design: { readonly id: string }) => ({
    done: (async () => {
      started.push(design.id);
      atOnce += 1;
      most = Math.max(most, atOnce);
      await new Promise((done) => setTimeout(done, 5));
      atOnce -= 1;
      if (fails) throw new Error('no such air');
      return week;
    })(),
    stop: () => undefined,
  }),
}));
vi.stubGlobal('Worker', class {});

const { onWeeks, wantWeek, weekKey, weekNow } = await import('./weeks');
const designs = demoDesigns(catalogue);
const point = { id: 'p', quantity: 'temperature', place: 'warm', at: null, alarm: null } as unknown as Series;
const none: Track = { at: new Float64Array(0), steps: new Int32Array(0) };
const asked = (which: number, last = 0) => ({
  design: designs[which]!,
  catalogue,
  points: [point],
  last,
  filled: null,
});
const read = () => Promise.resolve(none);
const known = async (it: ReturnType<typeof asked>): Promise<string> => {
  await vi.waitFor(() => expect(weekNow(weekKey(it)).at).not.toBe('working'), { timeout: 20_000 });
  return weekNow(weekKey(it)).at;
};

beforeEach(() => {
  started.length = 0;
  most = 0;
  fails = false;
});

describe('weeks to come', () => {
  it('are calculated one at a time, told when they come in, and asked for once', async () => {
    let told = 0;
    const end = onWeeks(() => (told += 1));
    for (const which of [0, 1]) wantWeek(asked(which), read);
    wantWeek(asked(0), read);
    expect(weekNow(weekKey(asked(0)))).toEqual({ at: 'working' });
    expect(await known(asked(0))).toBe('ready');
    expect(await known(asked(1))).toBe('ready');
    expect(started).toEqual([designs[0]!.id, designs[1]!.id]);
    expect(most).toBe(1);
    expect(told).toBe(2);
    end();
    wantWeek(asked(0), read);
    expect(started).toHaveLength(2);
  });
  it('stand for six hours of readings, and one is kept of each enclosure', async () => {
    const [now, soon, later] = [7, 11, 13].map((hours) => asked(2, hours * HOUR));
    expect(weekKey(now!)).toBe(weekKey(soon!));
    expect(weekKey(now!)).not.toBe(weekKey(later!));
    for (const it of [now!, later!]) {
      wantWeek(it, read);
      await known(it);
    }
    expect(started).toHaveLength(2);
    expect([...kept.keys()].filter((it) => it.includes(designs[2]!.id))).toHaveLength(1);
    expect(kept.get(`week of ${designs[2]!.id}`)).toEqual({ key: weekKey(later!), week });
  });
  it('that nobody waits for are not begun; one that fails says why', async () => {
    wantWeek(asked(3), read)();
    fails = true;
    wantWeek(asked(3, 30 * HOUR), read);
    expect(await known(asked(3, 30 * HOUR))).toBe('failed');
    expect(weekNow(weekKey(asked(3, 30 * HOUR)))).toMatchObject({ message: 'no such air' });
    expect(started).toHaveLength(1);
  });
});
