import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { assess } from '../assess';
import { findAnimal, type Animal } from '../catalogue';
import type { Design } from '../document';
import { applyEdit, type EditCall } from '../edits';
import { proposeDesign } from '../propose';
import { formatMessage, METRIC } from '../units';
import { animalIn, asOf, monthsBefore, monthsFrom, selfAt } from '../brief';
import { wasteOf, youngPlan } from '.';

const row = (id: string): Animal => findAnimal(catalogue, id)!;
const kept = (id: string, company: Partial<Design['living']['company']>, ...calls: EditCall[]): Design =>
  [
    {
      edit: 'setLiving',
      change: {
        company: { males: 0, females: 0, hatched: null, ageMonths: null, lightSensitive: false, ...company },
      },
    } as const,
    ...calls,
  ].reduce(
    (design: Design, call) => applyEdit(design, call, catalogue),
    proposeDesign(
      {
        id: 'x',
        name: 'x',
        animal: id,
        count: 1,
        size: null,
        room: { kind: null, temperature: null, humidity: null },
      },
      catalogue,
    ),
  );

describe('months of an age', () => {
  it.each([
    ['2026-03-14', '2026-03-14', 0],
    ['2026-03-14', '2026-04-13', 0],
    ['2026-03-14', '2026-04-14', 1],
    ['2026-01-31', '2026-02-27', 0],
    ['2026-01-31', '2026-02-28', 1],
    ['2028-01-31', '2028-02-28', 0],
    ['2028-01-31', '2028-02-29', 1],
    ['2025-12-31', '2026-01-31', 1],
    ['2024-02-29', '2025-02-28', 12],
    ['2020-06-01', '2026-11-29', 77],
    ['2026-11-30', '2026-11-29', 0],
  ])('from %s to %s are %i', (from, to, months) => {
    expect(monthsFrom(from, to)).toBe(months);
  });

  it.each([
    ['2026-03-31', 1, '2026-02-28'],
    ['2028-03-31', 1, '2028-02-29'],
    ['2026-01-15', 1, '2025-12-15'],
    ['2026-11-29', 26, '2024-09-29'],
    ['2026-05-31', 6, '2025-11-30'],
    ['2026-05-31', 0, '2026-05-31'],
  ])('%s less %i is %s, and so many months later it is as old', (day, months, before) => {
    expect(monthsBefore(day, months)).toBe(before);
    expect(monthsFrom(before, day)).toBe(months);
  });
});

describe('an animal that grows', () => {
  it('is a month older each month where it is told when it hatched, and stays as old where it is not', () => {
    const told = kept('pantherophis-guttatus', { hatched: '2026-03-14', ageMonths: 1 });
    const months = (day: string): number | null => asOf(told, day).living.company.ageMonths;
    expect(['2026-03-14', '2026-04-20', '2026-11-29', '2028-03-14'].map(months)).toEqual([0, 1, 8, 24]);
    expect(asOf(told, '2026-04-20')).toBe(told);
    expect(asOf(told, '2026-11-29')).toBe(asOf(told, '2026-11-29'));
    const undated = kept('pantherophis-guttatus', { ageMonths: 8 });
    expect(asOf(undated, '2030-01-01')).toBe(undated);
  });

  it('is as large as it is: body, room and soil in proportion, mass by the cube; grown it is its row', () => {
    const snake = row('pantherophis-guttatus');
    const self = selfAt(snake, 8);
    const by = self.length.value.high / snake.length.value.high;
    expect(by).toBeGreaterThan(0.3);
    expect(by).toBeLessThan(0.9);
    expect(self.girth!.value / snake.girth!.value).toBeCloseTo(by, 12);
    expect(self.mass.value.high / snake.mass.value.high).toBeCloseTo(by ** 3, 12);
    expect(self.digs.value / snake.digs.value).toBeCloseTo(by, 12);
    expect(self.space.value.width / snake.space.value.width).toBeCloseTo(Math.max(0.35, by), 12);
    expect(self.climate).toBe(snake.climate);
    expect(selfAt(snake, 8)).toBe(self);
    expect(selfAt(snake, snake.growing!.monthsToAdult.value)).toBe(snake);
    expect(selfAt(snake, null)).toBe(snake);
  });

  it('grows in every species, month by month, and never past its row', () => {
    for (const it of catalogue.animals.filter((own) => own.growing))
      for (let month = 0, last = 0; month <= it.growing!.monthsToAdult.value; month += 1) {
        const { high } = selfAt(it, month).length.value;
        expect(high, `${it.english} at ${month}`).toBeGreaterThanOrEqual(last);
        expect(high).toBeLessThanOrEqual(it.length.value.high);
        last = high;
      }
  });

  it('in each enclosure the plan names for its age it is not told that it is too small', () => {
    for (const it of catalogue.animals.filter((own) => own.growing && own.company.value === 'alone')) {
      const { boxes } = youngPlan(it, 0);
      for (const [index, box] of boxes.entries()) {
        const until = boxes[index + 1]?.from ?? it.growing!.monthsToAdult.value;
        for (const age of [box.from, until - 1].filter((own) => own >= box.from)) {
          const design = kept(
            it.id,
            { ageMonths: age },
            {
              edit: 'setEnclosure',
              // Its height holds ground and drainage besides, which the plan leaves to the build.
              change: { width: box.width, depth: box.depth, height: box.height + 0.4 },
            },
          );
          const codes = assess(design, catalogue).findings.map((own) => own.code);
          expect(codes, `${it.english}, ${age} months`).not.toContain('box-too-small');
        }
      }
    }
  });
});

describe('an enclosure for a young animal', () => {
  const size = { edit: 'setEnclosure', change: { width: 1, depth: 0.45, height: 0.6 } } as const;
  const told = (ageMonths: number | null) =>
    assess(kept('pantherophis-guttatus', { ageMonths }, size), catalogue).findings.filter((it) =>
      it.code.startsWith('box-'),
    );

  it('does for it, is said to be outgrown, and from what age; to a grown one it is too small', () => {
    expect(told(null).map((it) => [it.code, it.severity])).toEqual([['box-too-small', 'severe']]);
    const [young, ...more] = told(6);
    expect(more).toEqual([]);
    expect(young).toMatchObject({ code: 'box-outgrown', severity: 'note' });
    const until = Number(/^At (\d+) months/.exec(formatMessage(young!.because, { prefs: METRIC }))![1]);
    expect(until).toBeGreaterThan(6);
    // What is said comes true: the month before it fits, and then it does not.
    expect(told(until - 1).map((it) => it.code)).toEqual(['box-outgrown']);
    expect(told(until - 1)[0]!.severity).toBe('look');
    expect(told(until).map((it) => it.code)).toEqual(['box-other-shape']);
  });

  it('is laid out with a way in of its own size, and has less to eat', () => {
    const arranged = (company: Partial<Design['living']['company']>): Design =>
      kept('ranoidea-caerulea', company, { edit: 'proposeScape', change: {} });
    const [froglet, grown] = [arranged({ ageMonths: 1 }), arranged({})];
    const own = animalIn(froglet, catalogue)!;
    const by = own.length.value.high / row('ranoidea-caerulea').length.value.high;
    expect(by).toBeLessThan(0.6);
    const girth = (design: Design): number => assess(design, catalogue).scape.wants.girth;
    expect(girth(froglet) / girth(grown)).toBeCloseTo(by, 9);
    const eats = (design: Design): number => wasteOf(animalIn(design, catalogue)!).eats;
    // A rate that goes with mass to a power under one: less than by length, more than by the cube.
    expect(eats(froglet) / eats(grown)).toBeLessThan(by);
    expect(eats(froglet) / eats(grown)).toBeGreaterThan(by ** 3);
    // Nothing of the first layout is too wide or too narrow for who lives there now.
    const told = assess(froglet, catalogue).findings.filter(
      (it) => it.place.at === 'scape' && it.severity === 'severe',
    );
    expect(told.map((it) => it.code)).toEqual([]);
  });

  it('of too many the number that has room is offered', () => {
    const many = kept('dendrobates-tinctorius', {}, { edit: 'setCount', change: { count: 9 } }, {
      edit: 'setEnclosure',
      change: { width: 0.8, depth: 0.5, height: 0.6 },
    } as EditCall);
    const found = assess(many, catalogue).findings.find((it) => it.code === 'box-too-small')!;
    const keep = found.remedies.find((it) => it.call?.edit === 'setCount')!;
    const { count } = (keep.call as { change: { count: number } }).change;
    expect(count).toBeGreaterThan(1);
    const has = (number: number): boolean =>
      assess(
        applyEdit(many, { edit: 'setCount', change: { count: number } }, catalogue),
        catalogue,
      ).findings.some((it) => it.code === 'box-too-small');
    expect([has(count), has(count + 1)]).toEqual([false, true]);
  });
});
