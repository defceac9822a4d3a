import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { DAY_MS, DAY } from '@/core/physics/constants';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { assess } from '@/core/assess';
import { awayDays, careNow, dueOf } from '@/core/care';
import type { Design } from '@/core/document';
import { planOf } from '@/core/plan';
import { METRIC } from '@/core/units';
import { careCalendar, planCalendar, roundCalendar } from './calendar';

describe('a plan as iCalendar, read back by another library', () => {
  it('holds every step on its day, every wait with its length, and moving in', () => {
    for (const design of demoDesigns(catalogue)) {
      const plan = planOf(design, assess(design, catalogue), catalogue, '2026-11-25');
      const text = planCalendar(plan, design, { prefs: METRIC, locale: 'en' });
      const events = new ICAL.Component(ICAL.parse(text) as unknown[])
        .getAllSubcomponents('vevent')
        .map((it) => new ICAL.Event(it));
      const of = (uid: string) => events.find((it) => it.uid === uid);
      for (const { step, from, to, done } of plan.steps) {
        const event = of(`${step.id}.${design.id}@rincon`)!;
        expect(event.summary).toBe(`${design.name}: ${step.title}`);
        expect(event.startDate.toString(), step.id).toBe(from);
        expect(event.startDate.isDate).toBe(true);
        expect(event.description).toContain(step.why);
        const wait = of(`${step.id}.wait.${design.id}@rincon`);
        if (step.wait && done === null && to > from) {
          expect(wait!.startDate.toString()).toBe(from);
          const days = Math.round((Date.parse(to) - Date.parse(from)) / DAY_MS);
          expect(wait!.duration.toSeconds() / DAY, step.id).toBe(Math.max(1, days));
        } else expect(wait).toBeUndefined();
      }
      expect(of(`window.${design.id}@rincon`)!.startDate.toString()).toBe(plan.moveIn);
      expect(new Set(events.map((it) => it.uid)).size).toBe(events.length);
      // Folded; the writer counts characters, the standard octets, of which a dash or degree takes more.
      for (const line of text.split('\r\n')) expect([...line].length).toBeLessThanOrEqual(75);
    }
  });
});

describe('care as iCalendar, read back by another library', () => {
  it('of any span is, day by day, what the sitter’s sheet says, if each is done on its day', () => {
    const [from, to] = ['2026-11-25', '2027-04-30'];
    for (const design of demoDesigns(catalogue)) {
      // One that is of some months only begins its days anew with each of them; the file cannot say that.
      const rules = careNow(design, catalogue).filter(
        ({ when }) => when.by === 'since' || !/INTERVAL.*BYMONTH/.test(when.rrule),
      );
      const due = dueOf(rules, new Map(), from, from);
      const text = careCalendar([{ id: design.id, name: design.name, due }], { prefs: METRIC, locale: 'en' });
      const inFile = new ICAL.Component(ICAL.parse(text) as unknown[])
        .getAllSubcomponents('vevent')
        .map((it) => new ICAL.Event(it))
        .flatMap((event) => {
          const days: string[] = [];
          const times = event.iterator();
          for (let at = times.next(); at && at.toString() <= to; at = times.next())
            days.push(`${at.toString()} ${event.uid.split('.')[1]}`);
          return days;
        });
      const onSheet = awayDays(
        rules.map((it) => ({ ...it, sitter: true })),
        new Map(),
        from,
        from,
        to,
      ).flatMap(({ day, rules: own }) => own.map((it) => `${day} ${it.id}`));
      expect(inFile.sort(), design.name).toEqual(onSheet.sort());
    }
  });
  it('what rests in winter ends where the rest begins, and its steps are there', () => {
    const rest = { from: '12-10', weeks: 8, place: 'here' as const, since: null };
    const hedge = demoDesigns(catalogue)[1]!;
    const design: Design = {
      ...hedge,
      brief: { ...hedge.brief, stage: 'inhabited' },
      living: { ...hedge.living, rest },
    };
    const due = dueOf(careNow(design, catalogue), new Map(), '2026-11-01', '2026-11-20');
    const text = careCalendar([{ ...design, due }], { prefs: METRIC, locale: 'en' });
    const daysOf = (rule: string): readonly string[] => {
      const event = new ICAL.Component(ICAL.parse(text) as unknown[])
        .getAllSubcomponents('vevent')
        .map((it) => new ICAL.Event(it))
        .find((it) => it.uid.startsWith(`care.${rule}.`))!;
      const [days, times] = [[] as string[], event.iterator()];
      for (let at = times.next(); at && at.toString() < '2029'; at = times.next()) days.push(at.toString());
      return days;
    };
    // Fed until two weeks before it is cooled, and not in the file after that: the next calendar has it.
    expect(daysOf('feed').at(-1)! <= '2026-11-25').toBe(true);
    expect(daysOf('feed').length).toBeGreaterThan(0);
    expect(daysOf('rest-cool')).toEqual(['2026-12-10', '2027-12-10', '2028-12-10']);
    expect(daysOf('rest-wake')).toEqual(['2027-02-04', '2028-02-04']);
    expect(daysOf('glass').at(-1)! > '2028-12').toBe(true);
  });
  it('comes again as its rule says, from the day it is next due', () => {
    const bog = demoDesigns(catalogue)[0]!;
    const rules = careNow(bog, catalogue);
    const due = dueOf(rules, new Map(), '2026-11-01', '2026-11-25');
    const text = careCalendar([{ id: bog.id, name: bog.name, due }], { prefs: METRIC, locale: 'en' });
    const events = new ICAL.Component(ICAL.parse(text) as unknown[])
      .getAllSubcomponents('vevent')
      .map((it) => new ICAL.Event(it));
    expect(events).toHaveLength(due.length);
    for (const { rule, day } of due) {
      const event = events.find((it) => it.uid === `care.${rule.id}.${bog.id}@rincon`)!;
      expect(event.startDate.toString()).toBe(day);
      expect(event.isRecurring()).toBe(true);
      const times = event.iterator();
      const [first, second] = [times.next()!, times.next()!];
      expect(first.toString()).toBe(day);
      if (rule.when.by === 'since') expect(second.subtractDate(first).toSeconds() / DAY).toBe(rule.when.days);
    }
  });
});

/** RFC 5545, 3.3.6: a duration is of weeks, or of days with a time that is not empty, or of such a time. */
const TIME = 'T(?:\\d+H(?:\\d+M(?:\\d+S)?)?|\\d+M(?:\\d+S)?|\\d+S)';
const DURATION = new RegExp(`^[+-]?P(?:\\d+W|\\d+D(?:${TIME})?|${TIME})$`);

describe('by the letter of RFC 5545', () => {
  it.each([
    ['P1DT', false],
    ['PT', false],
    ['P1D', true],
    ['-PT1M', true],
    ['P2W', true],
    ['PT1H5S', false],
    ['P1DT2H30M', true],
  ])('the grammar of durations knows %s: %s', (text, known) => expect(DURATION.test(text)).toBe(known));

  it('no calendar holds a duration the grammar does not know, and each names who wrote it', () => {
    const [bog, hedge] = demoDesigns(catalogue);
    const reader = { prefs: METRIC, locale: 'en' };
    const plan = planOf(hedge!, assess(hedge!, catalogue), catalogue, '2026-11-25');
    const due = dueOf(careNow(bog!, catalogue), new Map(), '2026-11-01', '2026-11-25');
    const round = [{ day: '2026-12-01', minutes: 25, tasks: [{ what: 'Mist', where: ['Box 1'] }] }];
    for (const text of [
      planCalendar(plan, hedge!, reader),
      careCalendar([{ ...bog!, due }], reader),
      roundCalendar(round, 480, 0),
    ]) {
      const told = [...text.matchAll(/^(?:DURATION|TRIGGER)[^:]*:(.*?)\r?$/gm)].map((it) => it[1]!);
      expect(told.filter((it) => !DURATION.test(it))).toEqual([]);
      expect(text).toContain('PRODID:-//Rincon//Rincon//EN');
    }
  });
});

describe('the daily round as iCalendar', () => {
  const days = [
    {
      day: '2026-12-01',
      minutes: 25,
      tasks: [
        { what: 'Mist', where: ['Box 1', 'Box 2'] },
        { what: 'Weigh', where: ['Box 7'] },
      ],
    },
    { day: '2026-12-02', minutes: 0, tasks: [] },
  ];
  const eventsOf = (text: string) =>
    new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent').map((it) => ({
      it: new ICAL.Event(it),
      status: it.getFirstPropertyValue('status'),
      alarms: it.getAllSubcomponents('valarm'),
    }));
  it('sounds once a day, when its keeper said, and says what is where', () => {
    const [first, second] = eventsOf(roundCalendar(days, 7 * 60 + 30, 0));
    expect(first!.it.summary).toBe('The round: 3 things');
    expect(first!.it.description).toBe('Mist: Box 1, Box 2\nWeigh: Box 7');
    expect(first!.it.startDate.toString()).toBe('2026-12-01T07:30:00');
    expect(first!.it.duration.toSeconds()).toBe(25 * 60);
    expect(first!.alarms).toHaveLength(1);
    // A day on which all was done before is taken off again, without a sound.
    expect(second!.status).toBe('CANCELLED');
    expect(second!.alarms).toHaveLength(0);
  });
  it('written again it is the same events, later ones: a calendar changes them and doubles none', () => {
    const [before, after] = [roundCalendar(days, 480, 0), roundCalendar(days, 480, 86_400_000)].map(eventsOf);
    expect(after!.map((it) => it.it.uid)).toEqual(before!.map((it) => it.it.uid));
    expect(new Set(after!.map((it) => it.it.uid)).size).toBe(2);
    after!.forEach((it, at) => expect(it.it.sequence).toBeGreaterThan(before![at]!.it.sequence));
  });
});
