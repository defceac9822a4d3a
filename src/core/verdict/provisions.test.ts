import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import type { Climate, Design } from '../document';
import { applyEdit } from '../edits';
import { METRIC, formatMessage } from '../units';
import {
  canisterFor,
  GLANCE,
  judgeDesign,
  poursFor,
  withCanisters,
  yearFindings,
  type DayTold,
  type Verdict,
} from '.';

const gecko = firstDesign('hemitheconyx-caudicinctus');
const half = (loses: number, change: Partial<DayTold['soil'][0]> = {}): DayTold['soil'][0] => ({
  loses,
  foot: 0.3,
  filled: 0.3,
  bound: 0.1,
  volume: 0.01,
  ...change,
});
/** A year of which each season loses so much at the warm and the cool end, kg a day. */
const year = (...seasons: readonly (readonly [warm: number, cool: number])[]): Pick<Verdict, 'days'> => ({
  days: seasons.map(
    ([warm, cool]) => ({ soil: [half(warm), half(cool)], bottles: [] }) as unknown as DayTold,
  ),
});
const judged = (design: Design): Verdict => judgeDesign({ design, catalogue, playing: GLANCE, alone: true })!;
const told = (design: Design, verdict: Verdict, code: string) =>
  yearFindings(verdict, design, catalogue).find((it) => it.code === code);
const words = (it: { readonly what: never } | undefined): string =>
  it ? formatMessage(it.what, { prefs: METRIC, locale: 'en-GB' }).replaceAll('\u00a0', ' ') : '';
const watered = (watering: Climate['watering']): Design => ({
  ...gecko,
  climate: { ...gecko.climate, watering },
});

describe('water for soil that nothing else waters', () => {
  it('is what its year loses in the mean, each end by itself, in the longest rhythm that dries it by 5 points', () => {
    // 60 and 20 g a day out of ten litres: a week of 420 mL is 4.2 points, a fortnight 8.4.
    expect(poursFor(year([0.08, 0.03], [0.04, 0.01]), gecko)).toEqual([
      { end: 'warm', into: 'foot', amount: 0.00042, everyDays: 7 },
      { end: 'cool', into: 'foot', amount: 0.00014, everyDays: 7 },
    ]);
    // Ends that lose alike are one line; 15 g a day can wait four weeks: 420 mL each.
    expect(poursFor(year([0.015, 0.015]), gecko)).toEqual([
      { end: 'both', into: 'foot', amount: 0.00085, everyDays: 28 },
    ]);
    // A deep heap that dries by 600 g a day: every day but one would be 12 points.
    expect(poursFor(year([0.6, 0]), gecko)).toEqual([
      { end: 'warm', into: 'foot', amount: 0.0006, everyDays: 1 },
    ]);
  });

  it('is none where it loses none or gains; and not asked of soil over drainage, or with a plan of its own', () => {
    expect(poursFor(year([0.001, -0.05]), gecko)).toEqual([]);
    expect(poursFor(year([0.06, 0.02]), watered([]))).toBeNull();
    expect(poursFor(year([0.06, 0.02]), firstDesign('dendrobates-auratus'))).toBeNull();
  });

  it('is told as a note with its weekly litres, and the plan it offers keeps the soil', () => {
    const before = judged(gecko);
    const note = told(gecko, before, 'soil-watering')!;
    expect(note.severity).toBe('note');
    expect(words(note as never)).toMatch(
      /^To stay as damp as it was filled, the soil takes 0\.[4-7]\d? L a week from the jug\.$/,
    );
    const planned = applyEdit(gecko, note.remedies[0]!.call!, catalogue);
    expect(planned.climate.watering).toEqual(poursFor(before, gecko));
    const after = judged(planned);
    expect(told(planned, after, 'soil-watering')).toBeUndefined();
    for (const { soil } of after.days)
      for (const it of soil) {
        expect(Math.abs(it.loses)).toBeLessThan(0.025);
        expect(it.foot - it.bound).toBeGreaterThan(0.4 * (it.filled - it.bound));
      }
    // Whoever pours nothing is told that it dries out, and how to keep it.
    const none = watered([]);
    const dry = told(none, judged(none), 'soil-dries-out')!;
    expect(words(dry as never)).toMatch(/^The soil dries out to its foot /);
    expect(applyEdit(none, dry.remedies[0]!.call!, catalogue).climate.watering).toBeNull();
  });

  it('is too much where water stands at its foot: then it does not simply hold', () => {
    const drowned = watered([{ end: 'both', into: 'foot', amount: 0.004, everyDays: 7 }]);
    const verdict = judged(drowned);
    const soil = verdict.places.filter((it) => it.criterion === 'soil');
    expect(soil.length).toBeGreaterThan(0);
    expect(Math.max(...soil.map((it) => it.over))).toBe(1);
    expect(verdict.answer).not.toBe('holds');
    expect(words(told(drowned, verdict, 'soil-stands-wet') as never)).toMatch(
      /^Water stands at the foot of the soil .*: 100.% of the time\.$/,
    );
    // Soil over drainage is not asked: what is too much stands in the bed, and is told there.
    const frogs = judged(firstDesign('dendrobates-auratus'));
    expect(frogs.places.filter((it) => it.criterion === 'soil')).toEqual([]);
  });
});

describe('the bottle of a fogger', () => {
  it('is a canister that lasts three days of its thirstiest season, of those that are sold', () => {
    expect([0.5, 1.5, 2, 5, 20].map(canisterFor)).toEqual([0.005, 0.005, 0.01, 0.02, 0.03]);
  });

  it('that is dry before the day is over keeps a design from holding; the canister it is given mends that', () => {
    const fogged = applyEdit(
      firstDesign('dendrobates-auratus'),
      { edit: 'addDevice', change: { kind: 'fogger' } },
      catalogue,
    );
    const thirsty = {
      ...fogged,
      climate: {
        ...fogged.climate,
        devices: fogged.climate.devices.map((it) =>
          it.kind === 'fogger'
            ? { ...it, humidistat: null, timer: { by: 'always' as const }, tank: 0.001 }
            : it,
        ),
      },
    };
    const verdict = judged(thirsty);
    const dry = told(thirsty, verdict, 'fogger-bottle-small')!;
    expect(verdict.answer).not.toBe('holds');
    expect(dry.severity).toBe('look');
    // 60 mg/s are 5.2 kg a day: a litre lasts 4.6 hours, 20 L are the first to last three days.
    expect(words(dry as never)).toMatch(/its bottle lasts 5.h /);
    const given = applyEdit(thirsty, dry.remedies[0]!.call!, catalogue);
    expect(given.climate.devices.find((it) => it.kind === 'fogger')!.tank).toBe(0.02);
    expect(withCanisters(thirsty, verdict)).toEqual(given);
    // One that is to stay as it is stays in its bottle.
    const { id } = given.climate.devices.find((it) => it.kind === 'fogger')!;
    expect(withCanisters(thirsty, verdict, [id])).toBe(thirsty);
    const after = judged(given);
    expect(told(given, after, 'fogger-bottle-small')).toBeUndefined();
    expect(withCanisters(given, after)).toBe(given);
    expect(after.places).toEqual(verdict.places);
  });
});

describe('heaters that do not get there', () => {
  const cold = firstDesign('pogona-vitticeps', 'dry');
  const heaters = cold.climate.devices.filter((it) => it.thermostat);
  const verdict = judged(cold);
  const weak = (needs: number) => {
    const own: Verdict = {
      ...verdict,
      places: verdict.places.map((it) =>
        it.criterion === 'warm' ? { ...it, inside: 0.2, under: 0.8, over: 0 } : it,
      ),
      heaters: heaters.map((it) => ({ device: it.id, full: 100, needs })),
    };
    return yearFindings(own, cold, catalogue)
      .filter((it) => it.code === 'heater-weak')
      .map((it) => words(it as never));
  };

  it('are told once, all together; with power to spare none is', () => {
    expect(heaters.length).toBe(2);
    expect(weak(99)).toEqual([
      '2 heaters are too weak together: they run at full power and do not get there.',
    ]);
    expect(weak(80)).toEqual([]);
  });
});
