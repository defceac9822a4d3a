import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { atOnce } from '../climate';
import type { Design } from '../document';
import { applyEdit } from '../edits';
import { DAY, HOUR, toSteps, trackOf, type MeasuringPlace, type ReadQuantity } from '../readings';
import { formatMessage, METRIC } from '../units';
import type { PointTrack } from './features';
import type { Likeness } from './likeness';
import { decidingReading } from './next';
import { usualDays } from './observed';
import { outsideOf } from './outside';
import { afterRemedy, diagnose, lastRemedy, playingFaults, ruleOfCause } from '.';
import type { Cause } from './types';
import { entryOf } from '../log';

const designs = demoDesigns(catalogue).map((design): Design =>
  applyEdit(design, { edit: 'proposeClimate', change: {} }, catalogue),
);
const of = (id: string): Design => designs.find((it) => it.id === `demo-${id}`)!;
const say = (message: Parameters<typeof formatMessage>[0]): string =>
  formatMessage(message, { prefs: METRIC, locale: 'en-GB' }).replaceAll(/[\u00a0\u202f]/g, ' ');

const START = Date.UTC(2026, 2, 2);
const isDay = (at: number): boolean => (at / HOUR) % 24 >= 8 && (at / HOUR) % 24 < 20;
/** A probe that reads what it is told every ten minutes, with a little of its own. */
function probe(
  place: MeasuringPlace,
  quantity: ReadQuantity,
  days: number,
  value: (at: number) => number,
): PointTrack {
  const at = Array.from({ length: days * 144 }, (_, i) => START + i * (HOUR / 6));
  const own = (i: number): number => ((i * 7919) % 13) / 13 - 0.5;
  return {
    series: {
      id: `${place} ${quantity}`,
      design: 'x',
      name: `${place} ${quantity}`,
      quantity,
      place,
      at: null,
      instrument: '',
      source: 'hub',
      alarm: null,
      changed: 0,
      gone: false,
    },
    track: trackOf(
      at,
      at.map((it, i) => toSteps(value(it) + own(i) * (quantity === 'humidity' ? 0.01 : 0.2), quantity)),
    ),
  };
}

describe('a design played through with its faults', () => {
  const wash = of('dry-wash');
  const yardstick = atOnce(playingFaults(wash, catalogue, 61, ['warm', 'cool', 'room']));
  const change = (cause: string) => yardstick.faults.find((it) => it.cause === cause)!.change;
  it('a colder room is 4 K colder, and the side without a heater by nearly as much', () => {
    for (const value of change('room-cold').get('room')!.warmth) expect(value).toBeCloseTo(-4, 1);
    const cool = change('room-cold').get('cool')!.warmth;
    expect(cool[3]).toBeLessThan(-1.5);
    expect(cool[3]).toBeGreaterThan(-4.2);
  });
  it('a heater that fails is missed on its own side by twice as much as on the other, and not in the room', () => {
    const off = change('heat-off');
    expect(off.get('warm')!.warmth[0]!).toBeLessThan(-4);
    expect(off.get('warm')!.warmth[0]!).toBeLessThan(2 * off.get('cool')!.warmth[0]!);
    for (const value of off.get('room')!.warmth) expect(Math.abs(value)).toBeLessThan(0.01);
  });
  it('without power it loses what lamps and heater give together', () => {
    const [power, lamps, heat] = ['power', 'lamps-off', 'heat-off'].map(
      (it) => change(it).get('warm')!.warmth[1]!,
    );
    expect(power!).toBeLessThan(lamps!);
    expect(power!).toBeLessThan(heat!);
  });
  it('has no fault of what is not there', () => {
    const named = new Set(yardstick.faults.map((it) => it.cause));
    expect(named.has('fan-stuck')).toBe(false);
    expect(named.has('heat-stuck')).toBe(true);
  });
  it('an open lid dries the air of a moist box, and covered vents dampen it', () => {
    const bog = atOnce(playingFaults(of('bog-shelf'), catalogue, 61, ['warm']));
    const dew = (cause: string) => bog.faults.find((it) => it.cause === cause)!.change.get('warm')!.dew[2]!;
    expect(dew('lid-open')).toBeLessThan(-0.5);
    expect(dew('stale-air')).toBeGreaterThan(0.5);
  });
  it('is fitted to what was usual: where its days are twice as warm over its nights, more of its heat stays', () => {
    const rise = (own: typeof yardstick) => {
      const { warmth } = own.sound.get('cool')!;
      return (warmth[0]! + warmth[1]!) / 2 - (warmth[2]! + warmth[3]!) / 2;
    };
    const bog = atOnce(playingFaults(of('bog-shelf'), catalogue, 61, ['warm', 'cool']));
    const days = new Map(
      [...bog.sound].map(([place, { warmth, dew }]) => [
        place,
        { warmth: warmth.map((it, part) => it + (part < 2 ? 2 * rise(bog) : 0)), dew },
      ]),
    );
    const fitted = atOnce(playingFaults(of('bog-shelf'), catalogue, 61, ['warm', 'cool'], days));
    expect(rise(fitted)).toBeGreaterThan(1.5 * rise(bog));
  });
});

describe('the one reading that would decide', () => {
  const day = (warmth: number, dew: number) => ({
    warmth: [warmth, warmth, warmth, warmth],
    dew: [dew, dew, dew, dew],
  });
  const like = (cause: string, room: number): Likeness => ({
    cause,
    weight: 5,
    change: [],
    place: null,
    played: new Map([
      ['warm', day(-4, 0)],
      ['room', day(room, 0)],
    ]),
  });
  const cause = (id: string, what: string): Cause => ({
    id,
    what,
    evidence: [],
    score: 3,
    share: 0.5,
    since: null,
    check: '',
    change: '',
    edits: [],
    vet: null,
    caution: null,
    basis: 'practice',
  });
  const [heat, room] = [cause('heat-off', 'A heater is off'), cause('room-cold', 'The room is colder')];
  const alike = [like('heat-off', 0), like('room-cold', -4)];
  it('is one that is not read yet, and says what either would make it', () => {
    const found = decidingReading(heat, room, alike, (place) => place === 'warm')!;
    expect(say(found)).toBe(
      'Measure the temperature of the room by day. It differs from what is usual by 0.0 °C if a heater is off, by -4.0 °C if the room is colder.',
    );
  });
  it('is none where what decides is read already', () => {
    expect(decidingReading(heat, room, alike, () => true)).toBeNull();
  });
});

describe('a box that was never right', () => {
  const wash = { ...of('dry-wash') };
  const points = [
    probe('cool', 'temperature', 10, (at) => (isDay(at) ? 40 : 22)),
    probe('cool', 'humidity', 10, () => 0.35),
  ];
  const now = START + 10 * DAY;
  it('differs in nothing from what it was, and is told by what its animal needs', () => {
    const found = diagnose({
      design: wash,
      catalogue,
      points,
      log: [],
      seen: [],
      isDay,
      now,
      yardstick: null,
    });
    expect(found.verdict).toBe('nothing');
    const [hot] = found.outside.filter((it) => it.side === 'high');
    expect(say(hot!.words)).toMatch(
      /^cool temperature, by day: 13\.0 °C warmer on average than it is to be$/,
    );
    expect(hot!.harm).toBe(true);
  });
  it('is not told of where it is as it should be, nor of what has not been read for days', () => {
    const fine = [probe('cool', 'temperature', 10, (at) => (isDay(at) ? 26 : 22))];
    expect(outsideOf(wash, catalogue, fine, isDay, now)).toEqual([]);
    expect(outsideOf(wash, catalogue, points, isDay, now + 3 * DAY)).toEqual([]);
  });
});

describe('what became of a remedy', () => {
  const bog = of('bog-shelf');
  /** Three days 4 K too cold from day 12, mended at noon of day 15. */
  const mended = START + 15.5 * DAY;
  const course = (back: boolean, days: number) =>
    (['warm', 'cool'] as const).map((place) =>
      probe(place, 'temperature', days, (at) => {
        const broken = at >= START + 12 * DAY && (!back || at < mended);
        return (isDay(at) ? 25 : 21) - (broken ? 4 : 0);
      }),
    );
  const line = entryOf(
    { kind: 'repair', values: {}, text: '', rule: ruleOfCause('heat-off') },
    { id: 'r', design: bog.id, at: mended, changed: 0 },
  );
  const after = (back: boolean, hours: number) => {
    const points = course(back, 20).map((it) => ({
      ...it,
      track: trackOf(
        it.track.at.filter((at) => at < mended + hours * HOUR),
        it.track.steps,
        it.track.at.filter((at) => at < mended + hours * HOUR).length,
      ),
    }));
    return afterRemedy(bog, points, isDay, line, mended + hours * HOUR);
  };
  it('is the last that was written down, and no line of another kind', () => {
    const other = { ...line, id: 'x', rule: 'probes', at: mended + DAY };
    expect(lastRemedy([line, other], mended + 2 * DAY)?.id).toBe('r');
    expect(lastRemedy([{ ...line, gone: true }], mended + DAY)).toBeNull();
    expect(lastRemedy([line], mended + 30 * DAY)).toBeNull();
  });
  it('is not told before the box had time to come round, and says when it will be', () => {
    const found = after(true, 5);
    expect(found).toMatchObject({ cause: 'heat-off', verdict: 'too early' });
    expect(say(found.words)).toMatch(/when 8 more hours have been read/);
  });
  it('worked where it is again as it was, and did not where it is not', () => {
    expect(after(true, 30).verdict).toBe('worked');
    expect(after(false, 30).verdict).toBe('not yet');
  });
});

it('what is usual is told by the parts of the day, before anything changed', () => {
  const points = [
    probe('warm', 'temperature', 20, (at) => (at >= START + 16 * DAY ? 30 : isDay(at) ? 25 : 21)),
    probe('warm', 'humidity', 20, () => 0.7),
  ];
  const { warmth, dew } = usualDays(points, isDay, of('bog-shelf')).get('warm')!;
  warmth.forEach((it, part) => expect(it).toBeCloseTo([25, 25, 21, 21][part]!, 1));
  // Dew point at 70 %: 25 °C 19.1, 21 °C 15.3 (Magnus; agrees with printed psychrometric tables to a tenth).
  dew.forEach((it, part) => expect(it).toBeCloseTo([19.1, 19.1, 15.3, 15.3][part]!, 0));
});
