import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { animalOn, FAST, lastOver, neededRest, partOn, restOf, restPhase, TURN, usualRest } from '.';

import { careOf, dueOf, type HeldRule } from '../care';
import { applyEdit } from '../edits';
import type { Design } from '../document';
import { alarmsOf, bandsThrough, type Series, type Track } from '../readings';
import { dayPlus, daysTill } from '../time';

const row = (id: string) => catalogue.animals.find((it) => it.id === id)!;
const withRest = (animal: string, rest: Design['living']['rest']): Design =>
  applyEdit(firstDesign(animal), { edit: 'setLiving', change: { rest } }, catalogue);
const LEOPARD = 'eublepharis-macularius';
/** Cooled from 10 December for eight weeks: over on 4 February, fed again from the 11th. */
const geckos = withRest(LEOPARD, { from: '12-10', weeks: 8, place: 'here', since: null });
const rest = restOf(geckos, row(LEOPARD))!;

describe('a part of every year', () => {
  it('runs over the turn of the year, and ends before its last day is over again', () => {
    const part = { from: '12-10', days: 60 };
    expect(partOn(part, '2026-12-09')).toBeNull();
    expect(partOn(part, '2026-12-10')).toEqual({ from: '2026-12-10', until: '2027-02-08' });
    expect(partOn(part, '2027-02-07')).toEqual({ from: '2026-12-10', until: '2027-02-08' });
    expect(partOn(part, '2027-02-08')).toBeNull();
    expect(lastOver(part, '2027-02-07')).toBe('2026-02-08');
    expect(lastOver(part, '2027-02-08')).toBe('2027-02-08');
  });
});

describe('a winter rest', () => {
  it('goes from fasting to cooling, resting and waking, each as long as it is told', () => {
    expect([FAST, TURN]).toEqual([14, 7]);
    const phases = new Map<string, number>();
    for (let day = '2026-07-01'; day < '2027-07-01'; day = dayPlus(day, 1)) {
      const phase = restPhase(rest, day)?.phase ?? 'awake';
      phases.set(phase, (phases.get(phase) ?? 0) + 1);
    }
    // Eight weeks from cooling to warming up, of which one is the cooling.
    expect(Object.fromEntries(phases)).toEqual({
      awake: 365 - 14 - 56 - 7,
      fasts: 14,
      cools: 7,
      rests: 49,
      wakes: 7,
    });
    expect(restPhase(rest, '2026-11-26')).toEqual({ phase: 'fasts', until: '2026-12-10' });
    expect(restPhase(rest, '2027-02-03')).toEqual({ phase: 'rests', until: '2027-02-04' });
    expect(restPhase(rest, '2027-02-10')).toEqual({ phase: 'wakes', until: '2027-02-11' });
    expect(restPhase(rest, '2027-02-11')).toBeNull();
  });

  it('is proposed to those that need one, in the winter of where they are, and not in a living room that cannot', () => {
    const tortoise = row('testudo-hermanni');
    expect(neededRest(tortoise, 52, 20)).toEqual({ from: '11-15', weeks: 15, place: 'apart', since: null });
    expect(neededRest(tortoise, -34, 20)?.from).toBe('05-15');
    expect(neededRest(row(LEOPARD), 52, 20)).toBeNull();
    expect(neededRest(row('dendrobates-tinctorius'), 52, 20)).toBeNull();
    // It rests at 14 to 19 °C: here in a room of 20.5, not in one of 20.6.
    expect(usualRest(row(LEOPARD), 52, 20.5)).toEqual({
      from: '11-15',
      weeks: 8,
      place: 'here',
      since: null,
    });
    expect(usualRest(row(LEOPARD), 52, 20.6).place).toBe('apart');
    expect(firstDesign('testudo-hermanni').living.rest).toEqual({
      from: '11-15',
      weeks: 15,
      place: 'apart',
      since: null,
    });
  });

  it('what it wants follows it: asleep what it rests at, on the way anything between, apart nothing', () => {
    const on = (design: Design, day: string) => animalOn(design, catalogue, day);
    const { warm, night, humidityDay } = row(LEOPARD).climate;
    expect(on(geckos, '2026-12-01')!.climate.warm.value).toEqual(warm.value);
    expect(on(geckos, '2026-12-12')!.climate.warm.value).toEqual({ low: 14, high: warm.value.high });
    const asleep = on(geckos, '2027-01-10')!.climate;
    expect([asleep.warm.value, asleep.cool.value, asleep.night.value]).toEqual(
      Array.from({ length: 3 }, () => ({ low: 14, high: 19 })),
    );
    expect(asleep.basking).toBeUndefined();
    expect(asleep.humidityDay).toEqual(humidityDay);
    expect(on(geckos, '2027-03-01')!.climate.night.value).toEqual(night.value);
    // The same animal each time it is asked for: what is kept of it stays kept.
    expect(on(geckos, '2027-01-11')).toBe(on(geckos, '2027-01-10'));
    const away = withRest(LEOPARD, { from: '12-10', weeks: 8, place: 'apart', since: null });
    expect(on(away, '2027-01-10')).toBeUndefined();
    expect(on(away, '2027-03-01')!.id).toBe(LEOPARD);
  });
});

describe('a rest that would have begun before', () => {
  const winter = { from: '12-10', weeks: 8, place: 'here' as const };
  const phaseOn = (design: Design, day: string) =>
    restPhase(restOf(design, row(LEOPARD)), day)?.phase ?? 'awake';
  it('it was planned is left out: nothing stops eating because of a date that is past', () => {
    const planned = withRest(LEOPARD, { ...winter, since: '2026-12-20' });
    expect(
      ['2026-12-24', '2027-01-20', '2027-12-01', '2028-01-20'].map((it) => phaseOn(planned, it)),
    ).toEqual(['awake', 'awake', 'fasts', 'rests']);
    // Planned on the very day it begins to fast, it counts.
    expect(phaseOn(withRest(LEOPARD, { ...winter, since: '2026-11-26' }), '2026-12-24')).toBe('rests');
    expect(phaseOn(withRest(LEOPARD, { ...winter, since: '2026-11-27' }), '2026-12-24')).toBe('awake');
  });
  it('it moved in is left out too, in care as in bands', () => {
    const bought = (since: string): Design => {
      const design = withRest(LEOPARD, { ...winter, since: null });
      return { ...design, brief: { ...design.brief, stage: 'inhabited', since } };
    };
    const late = bought('2026-12-18');
    expect(phaseOn(late, '2027-01-10')).toBe('awake');
    expect(phaseOn(bought('2026-10-01'), '2027-01-10')).toBe('rests');
    expect(animalOn(late, catalogue, '2027-01-10')!.climate.warm.value).toEqual(
      row(LEOPARD).climate.warm.value,
    );
    const due = (day: string) =>
      dueOf(careOf(late, catalogue), new Map(), '2026-12-18', day).map((it) => it.rule.id);
    expect(due('2027-01-10')).toEqual(expect.arrayContaining(['feed', 'dust', 'weigh']));
    expect(due('2027-01-10')).not.toContain('rest-look');
    expect(due('2028-01-10')).toContain('rest-look');
    expect(due('2028-01-10')).not.toContain('feed');
    // The turn that was none excuses nothing: what was left undone in it is as late as it is.
    const feed = careOf(late, catalogue).find((it) => it.id === 'feed')!;
    const weekly = { ...feed, when: { by: 'since' as const, days: 7 } };
    const last = new Map([['feed', '2027-01-20']]);
    expect(dueOf([weekly], last, '2026-12-18', '2027-02-20')[0]).toMatchObject({
      day: '2027-01-27',
      late: 24,
    });
  });
});

it('warming up is asked for when the rest is over, and never in the middle of the next one', () => {
  const lived: Design = { ...geckos, brief: { ...geckos.brief, stage: 'inhabited', since: '2024-06-01' } };
  const asks = (day: string) =>
    dueOf(careOf(lived, catalogue), new Map(), '2024-06-01', day).filter((it) => it.rule.id === 'rest-wake');
  expect(asks('2027-01-10')).toMatchObject([{ day: '2027-02-04', late: -25 }]);
  expect(asks('2027-02-04')).toMatchObject([{ day: '2027-02-04', late: 0 }]);
  expect(asks('2027-02-08')).toMatchObject([{ day: '2027-02-04', late: 4 }]);
  expect(asks('2027-03-10')).toMatchObject([{ day: '2028-02-04' }]);
});

describe('at rest', () => {
  const HOUR = 3_600_000;
  const series: Series = {
    id: 's',
    design: geckos.id,
    name: 'warm side',
    place: 'warm',
    quantity: 'temperature',
    at: null,
    offset: 0,
    alarm: null,
    device: null,
    note: '',
    changed: 0,
    changes: {},
    gone: null,
  } as unknown as Series;
  const steady = (from: string, hours: number, celsius: number): Track => ({
    at: Float64Array.from({ length: hours }, (_, i) => Date.parse(`${from}T00:00:00Z`) + i * HOUR),
    steps: Int32Array.from({ length: hours }, () => Math.round(celsius * 100)),
  });
  const alarms = (design: Design, from: string, celsius: number) => {
    const through = (at: number) => animalOn(design, catalogue, new Date(at).toISOString().slice(0, 10));
    return alarmsOf(series, steady(from, 48, celsius), through, () => true).map(
      (it) => `${it.side}${it.harm ? ', harm' : ''}`,
    );
  };

  it('16 °C alarms when it is awake, and not when it rests; 24 °C the other way round', () => {
    expect(alarms(geckos, '2026-10-10', 16)).toEqual(['low, harm']);
    expect(alarms(geckos, '2027-01-10', 16)).toEqual([]);
    expect(alarms(geckos, '2027-01-10', 24)).toEqual(['high, harm']);
    expect(alarms(withRest(LEOPARD, null), '2027-01-10', 16)).toEqual(['low, harm']);
    expect(
      alarms(withRest(LEOPARD, { from: '12-10', weeks: 8, place: 'apart', since: null }), '2027-01-10', 6),
    ).toEqual([]);
  });

  it('readings of two times of the year are held against what was wanted then', () => {
    const band = bandsThrough(geckos, catalogue);
    const at = (day: string): number => Date.parse(`${day}T12:00:00Z`);
    expect(band('cool', 'temperature', true, at('2027-01-10'))).toEqual({ low: 14, high: 19 });
    expect(band('cool', 'temperature', true, at('2027-06-10'))!.high).toBe(26);
  });
});

describe('care of one that rests', () => {
  const rules = careOf(geckos, catalogue);
  const dueOn = (day: string, last: ReadonlyMap<string, string>, all: readonly HeldRule[] = rules) =>
    new Map(dueOf(all, last, '2026-01-01', day).map((it) => [it.rule.id, it]));
  const done = (day: string) => new Map(rules.map((it) => [it.id, day]));

  it('is not fed from two weeks before it is cooled until it is warm again, nor late for that afterwards', () => {
    expect(dueOn('2026-11-25', done('2026-11-24')).has('feed')).toBe(true);
    for (const day of ['2026-11-26', '2026-12-25', '2027-02-10'])
      expect([...dueOn(day, done('2026-11-24')).keys()], day).not.toContain('feed');
    const again = dueOn('2027-02-11', done('2026-11-24')).get('feed')!;
    expect(again).toMatchObject({ day: '2027-02-11', late: 0, silent: null });
    // Powder and feeders go with food; glass and soil are of the enclosure.
    expect([...dueOn('2027-01-10', done('2026-11-24')).keys()]).toEqual(
      expect.arrayContaining(['glass', 'soil', 'rest-look']),
    );
    for (const id of ['dust', 'vitamins', 'spot-clean', 'weigh', 'look'])
      expect(dueOn('2027-01-10', done('2026-11-24')).has(id), id).toBe(false);
  });

  it('a meal that would be due within the rest is told for the day after it', () => {
    const weekly = rules.map((it) =>
      it.id === 'feed' ? { ...it, when: { by: 'since' as const, days: 7 } } : it,
    );
    expect(dueOn('2026-11-24', done('2026-11-22'), weekly).get('feed')!.day).toBe('2027-02-11');
  });

  it('each step has its day, and it is looked at every week in between', () => {
    const first = (id: string, from: string): string => {
      for (let day = from; day < '2027-12-31'; day = dayPlus(day, 1))
        if ((dueOn(day, new Map([[id, '2026-11-01']])).get(id)?.late ?? -1) >= 0) return day;
      return 'never';
    };
    expect(['rest-fast', 'rest-cool', 'rest-look', 'rest-wake'].map((id) => first(id, '2026-11-02'))).toEqual(
      ['2026-11-26', '2026-12-10', '2026-12-10', '2027-02-04'],
    );
    const looked = new Map([['rest-look', '2026-12-12']]);
    expect(dueOn('2026-12-20', looked).get('rest-look')!.day).toBe('2026-12-19');
    expect(dueOn('2027-02-04', looked).has('rest-look')).toBe(false);
  });

  it('is the same round after round: ten years have ten rests, and 288 days of food in each', () => {
    let fed = 0;
    for (let day = '2026-07-01'; day < '2036-07-01'; day = dayPlus(day, 1))
      if (dueOn(day, done(dayPlus(day, -400))).has('feed')) fed += 1;
    expect(fed).toBe(daysTill('2026-07-01', '2036-07-01') - 10 * (14 + 56 + 7));
  });
});
