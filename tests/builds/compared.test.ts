import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { buyingOf } from '@/core/buying';
import { forecast, type Forecast } from '@/core/climate';
import { differencesOf, planComparison, progressOf } from '@/core/compare';
import type { Design } from '@/core/document';
import { applyEdit, type EditCall } from '@/core/edits';
import { METRIC, formatMessage } from '@/core/units';
import { assessed } from './build';

const edited = (design: Design, ...calls: readonly EditCall[]): Design =>
  calls.reduce((it, call) => applyEdit(it, call, catalogue), design);
/** Two boxes for a crested gecko each, side by side: one under glass, one under open gauze and with more mist. */
const first = firstDesign('correlophus-ciliatus', 'middle', [], {
  size: { width: 0.45, depth: 0.45, height: 0.6 },
});
const [glass, gauze] = [
  edited(first, { edit: 'setEnclosure', change: { topCover: 0.9 } }),
  edited(
    first,
    { edit: 'setEnclosure', change: { topCover: 0.2 } },
    {
      edit: 'setClimate',
      change: {
        mist: {
          ...first.climate.mist,
          times: first.climate.mist.times.map((it) => ({ ...it, seconds: 2 * it.seconds })),
        },
      },
    },
  ),
].map((it, i) => ({ ...it, id: `box-${i}`, name: i === 0 ? 'Under glass' : 'Under gauze' })) as [
  Design,
  Design,
];
const told = (): readonly string[] =>
  differencesOf([glass, gauze], catalogue).map(
    ({ what, sides }) =>
      `${what}: ${sides.map((it) => formatMessage(it, { prefs: METRIC, locale: 'en-GB' }).replaceAll('\u00a0', ' ')).join(' | ')}`,
  );
const week = (design: Design): Forecast =>
  forecast(design, catalogue, { span: 'week', season: 'winter', seed: 11 });

describe('two boxes compared', () => {
  it('differ in what was set otherwise, and in nothing else', () => {
    expect(told().map((it) => it.split(':')[0])).toEqual(['Top', 'Mist']);
    expect(told()[0]).toContain('90 %');
    expect(told()[0]).toContain('20 %');
  });

  it('come to what one who keeps both expects (common practice)', () => {
    const [a, b] = [week(glass).answers, week(gauze).answers];
    // An open top costs 10 points or more; twice the mist makes up for it, and keeps leaves wet for longer.
    const dry = week(edited(glass, { edit: 'setEnclosure', change: { topCover: 0.2 } })).answers;
    expect(100 * (a.humidity.mean - dry.humidity.mean)).toBeGreaterThan(8);
    expect(100 * (a.humidity.mean - dry.humidity.mean)).toBeLessThan(25);
    expect(100 * Math.abs(a.humidity.mean - b.humidity.mean)).toBeLessThan(5);
    expect(b.wetPerDay).toBeGreaterThan(a.wetPerDay + 2);
    expect(b.waterPerDay / a.waterPerDay).toBeCloseTo(2, 1);
    expect(a.changes).toBeLessThan(0.6 * b.changes);
    expect(a.warm.mean).toBeGreaterThan(b.warm.mean - 0.5);
    expect(a.foggedPerDay).toBeGreaterThan(dry.foggedPerDay);
    // A bottle lasts under gauze half as long.
    expect(a.bottleDays === null || b.bottleDays === null ? 2 : a.bottleDays / b.bottleDays).toBeCloseTo(
      2,
      1,
    );
    const [own, other] = [glass, gauze].map(
      (design) => buyingOf([{ design, assessment: assessed(design) }], catalogue).price,
    );
    expect(own).toBe(other);
  });

  it('planned for four weeks, a change under way is named', () => {
    const plan = planComparison(
      { id: 'c', of: [glass.id, gauze.id], weeks: 4 },
      differencesOf([glass, gauze], catalogue),
      '2026-11-02',
    );
    const lamp = edited(gauze, {
      edit: 'setClimate',
      change: { day: { ...gauze.climate.day, off: gauze.climate.day.off - 60 } },
    });
    expect(progressOf(plan, differencesOf([glass, gauze], catalogue), '2026-11-09')).toMatchObject({
      day: 7,
      days: 28,
      isOver: false,
      changed: [],
    });
    expect(progressOf(plan, differencesOf([glass, lamp], catalogue), '2026-11-30')).toMatchObject({
      isOver: true,
      changed: ['Hours of light'],
    });
  });
});
