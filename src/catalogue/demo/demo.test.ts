import { daysTill } from '@/core/time';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { careNow, dueOf } from '@/core/care';
import { Design } from '@/core/document';
import { assess } from '@/core/assess';
import { planOf } from '@/core/plan';
import { dependsOn } from '@/core/verdict';
import { demoDesigns, demoOn } from '.';

const told = demoDesigns(catalogue);
const on = (today: string) => demoOn(told, today);
const YEAR_ON = '2027-11-30';

describe('the demo, laid out on another day', () => {
  it('is of the same age: each stage has lasted as long, each step was done as many days ago', () => {
    const [then, now] = [on('2026-11-18'), on(YEAR_ON)];
    expect(then).toEqual(told);
    const ages = (designs: readonly Design[], today: string) =>
      designs.map(({ brief, plan, climate }) => ({
        stage: brief.since && daysTill(brief.since, today),
        steps: plan.marks.map((it) => it.done && daysTill(it.done, today)),
        lamps: climate.devices.map((it) => it.since && daysTill(it.since, today)),
      }));
    expect(ages(now, YEAR_ON)).toEqual(ages(then, '2026-11-18'));
    expect(now.find((it) => it.id === 'demo-hedge')!.brief).toMatchObject({
      stage: 'curing',
      since: '2027-11-26',
    });
    expect(now.every((it) => Design.safeParse(it).success)).toBe(true);
  });
  it('says the same of its plan, its care and its verdict', () => {
    for (const [index, design] of on(YEAR_ON).entries()) {
      const before = told[index]!;
      const planned = (of: Design, today: string) =>
        planOf(of, assess(of, catalogue), catalogue, today).steps.map((it) => [it.step.id, it.state]);
      expect(planned(design, YEAR_ON)).toEqual(planned(before, '2026-11-18'));
      // What comes after so many days; what is of a month or a weekday falls on other days.
      const due = (of: Design, today: string) =>
        dueOf(careNow(of, catalogue), new Map(), of.brief.since ?? today, today)
          .filter((it) => it.rule.when.by === 'since')
          .map((it) => [it.rule.id, it.late]);
      expect(due(design, YEAR_ON)).toEqual(due(before, '2026-11-18'));
      expect(dependsOn(design)).toBe(dependsOn(before));
    }
  });
});
