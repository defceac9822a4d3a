import { describe, expect, it } from 'vitest';
import { pairedOf, type Kept } from '@/core/compare';
import { toSteps, trackOf } from '@/core/readings';
import { readFaulty, type FaultyBox } from './faultyBoxes';
import { BOXES } from './faultyCases';

const START = Date.UTC(2026, 2, 2);
const HOUR = 3_600_000;
const DAYS = 14;

/** What two probes in a box of the generator kept over two weeks: one weather for all, probes of their own. */
function kept(box: FaultyBox, weather: number, probes: number): Kept {
  const reads = readFaulty({
    box,
    fault: null,
    begins: 1e9,
    days: DAYS,
    everyMinutes: 10,
    seed: weather,
    inRoom: false,
    probes,
  });
  return {
    design: box.name,
    log: [],
    rules: [],
    band: () => null,
    isDay: (at) => {
      const clock = ((at - START) / HOUR) % 24;
      return clock >= box.on && clock < box.off;
    },
    points: reads.map(({ spot, quantity, at, value }) => ({
      series: {
        id: `${spot} ${quantity}`,
        design: box.name,
        name: `${spot} ${quantity}`,
        quantity,
        place: spot,
        at: null,
        instrument: '',
        source: null,
        alarm: null,
        changed: 0,
        gone: false,
      },
      track: trackOf(
        at.map((hours) => START + hours * HOUR),
        value.map((it) => toSteps(it, quantity)),
      ),
    })),
  };
}
const compare = (a: Kept, b: Kept) => pairedOf(a, b, START, START + DAYS * 24 * HOUR);

/** One known difference of each box from itself, large enough for probes of half a degree and three points. */
const CHANGES: readonly (readonly [string, (box: FaultyBox) => FaultyBox])[] = [
  ['half of its lamps', (box) => ({ ...box, lamps: 0.5 * box.lamps })],
  ['three times the leak', (box) => ({ ...box, leak: 3 * box.leak + 2 })],
  ['a room 3 K warmer', (box) => ({ ...box, room: [box.room[0] + 3, box.room[1] + 3] })],
];

describe.each(BOXES.map(({ box }, i) => [box.name, box, i] as const))(
  '%s, beside one like it',
  (_, box, i) => {
    it.each(CHANGES)('with %s: they are told apart', (_name, change) => {
      const found = compare(kept(box, 11 + i, 100 + i), kept(change(box), 11 + i, 200 + i));
      expect(found).toHaveLength(4);
      expect(found.some((it) => it.differs)).toBe(true);
      for (const it of found) expect(it.days).toBeGreaterThanOrEqual(DAYS - 1);
    });
    it.each([1, 2, 3])('alike in all but its probes, %i: nothing is told', (turn) => {
      const found = compare(kept(box, 21 + i, 300 * turn + i), kept(box, 21 + i, 500 * turn + i));
      expect(found.filter((it) => it.differs)).toEqual([]);
    });
  },
);

describe('what cannot be compared', () => {
  const [{ box } = { box: null }] = BOXES;
  const a = kept(box!, 5, 6);
  const b = kept(box!, 5, 7);
  const changed = (of: Kept, change: (at: number, value: number) => number | null): Kept => ({
    ...of,
    points: of.points.map(({ series, track }) => {
      const rows = Array.from(track.at, (at, k) => [at, change(at, track.steps[k] ?? 0)] as const).filter(
        (it): it is readonly [number, number] => it[1] !== null,
      );
      return {
        series,
        track: trackOf(
          rows.map((it) => it[0]),
          rows.map((it) => it[1]),
        ),
      };
    }),
  });
  it('a probe that is stuck is told, and no difference made of it', () => {
    const [warm] = compare(
      a,
      changed(b, () => toSteps(31, 'temperature')),
    );
    expect(warm).toMatchObject({ fault: { side: 1, why: 'stuck' }, differs: false });
  });
  it('one that was read only by day is told, and nights are not compared', () => {
    const [warm] = compare(
      a,
      changed(b, (at, value) => (b.isDay(at) ? value : null)),
    );
    expect(warm).toMatchObject({ fault: { side: 1, why: 'only by day' }, night: null });
    expect(Math.abs(warm!.day!)).toBeLessThan(1);
  });
  it('many readings of a few hours weigh no more than few of many', () => {
    // Every reading of the morning ten times over: the mean stays that of the hours.
    const often = changed(b, (_, value) => value);
    const dense: Kept = {
      ...often,
      points: often.points.map(({ series, track }) => {
        const extra = Array.from(track.at).flatMap((at, k) =>
          ((at - START) / HOUR) % 24 < 3
            ? Array.from({ length: 9 }, (_, n) => [at + (n + 1) * 30_000, track.steps[k] ?? 0] as const)
            : [],
        );
        const rows = [...Array.from(track.at, (at, k) => [at, track.steps[k] ?? 0] as const), ...extra].sort(
          (x, y) => x[0] - y[0],
        );
        return {
          series,
          track: trackOf(
            rows.map((it) => it[0]),
            rows.map((it) => it[1]),
          ),
        };
      }),
    };
    const [plain] = compare(a, b);
    const [weighted] = compare(a, dense);
    expect(weighted!.night).toBeCloseTo(plain!.night!, 1);
  });
});
