import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { careNow, dueOf } from '@/core/care';
import { entryOf } from '@/core/log';
import { dayPlus } from '@/core/time';
import { REMINDED, roundDays } from './round';

const TODAY = '2026-11-25';
const BESIDE = { feedersApart: false };
const designs = demoDesigns(catalogue);
const days = roundDays(designs, [], TODAY, catalogue, BESIDE);

describe('the coming days of the round', () => {
  it('are six weeks, today with all that is due in any enclosure', () => {
    expect(days).toHaveLength(REMINDED);
    expect(days[0]!.day).toBe(TODAY);
    expect(days.at(-1)!.day).toBe(dayPlus(TODAY, 41));
    const due = designs.flatMap((design) =>
      dueOf(careNow(design, catalogue), new Map(), design.brief.since ?? TODAY, TODAY)
        .filter((it) => it.late >= 0)
        .map((it) => [it.rule, design.name] as const),
    );
    const told = days[0]!.tasks.flatMap((it) => it.where);
    expect(told.sort()).toEqual(due.map(([, name]) => name).sort());
    // What is the same work in several is one line of it.
    const titles = days[0]!.tasks.map((it) => it.what);
    expect(new Set(titles).size).toBe(titles.length);
    expect(days[0]!.minutes).toBe(due.reduce((sum, [rule]) => sum + rule.minutes, 0));
  });
  it('what was done today comes as often as its rule says', () => {
    const [bog] = designs;
    const glass = careNow(bog!, catalogue).find((it) => it.id === 'glass')!;
    const line = entryOf(
      { kind: 'care', values: {}, text: '', rule: 'glass' },
      { id: 'a', design: bog!.id, at: Date.parse(`${TODAY}T08:00:00Z`), changed: 0 },
    );
    const told = roundDays([bog!], [line], TODAY, catalogue, BESIDE)
      .filter((it) => it.tasks.some((own) => own.what === glass.what))
      .map((it) => it.day);
    // Weekly.
    expect(told).toEqual([7, 14, 21, 28, 35].map((it) => dayPlus(TODAY, it)));
  });
});
