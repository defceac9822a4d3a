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
import { careCalendar, planCalendar } from './calendar';

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
