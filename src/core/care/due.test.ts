import { dayPlus, daysTill } from '../time';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { applyEdit, type EditCall } from '../edits';
import { type Design } from '../document';
import { firstDesign } from '@/catalogue/testing';
import { When } from '../document/careSchema';
import { entryOf, type Entry } from '../log';
import { careNow, careOf, dueOf, lastDone, occurrences, type HeldRule } from '.';

const TODAY = '2026-11-25';
const [, hedge] = demoDesigns(catalogue);
const edit = (design: Design, ...calls: readonly EditCall[]): Design =>
  calls.reduce((it, call) => applyEdit(it, call, catalogue), design);
const rule = (when: HeldRule['when'], id = 'r'): HeldRule => ({
  id,
  group: 'look',
  what: 'x',
  why: 'x',
  amount: [],
  minutes: 1,
  needsAnimal: false,
  sitter: false,
  when,
  paused: false,
  until: null,
  reason: '',
  from: null,
  added: null,
  own: false,
});
const dayOf = (at: number): string => new Date(at).toISOString().slice(0, 10);
const done = (id: string, day: string, change: Partial<Entry> = {}): Entry => ({
  ...entryOf(
    { kind: 'care', values: {}, text: '', rule: id },
    { id: `${id} ${day}`, design: 'd', at: Date.parse(`${day}T08:00:00Z`), changed: 0 },
  ),
  ...change,
});
const due = (it: HeldRule, last: string | null, began = '2026-11-01', today = TODAY) =>
  dueOf([it], new Map(last === null ? [] : [[it.id, last]]), began, today)[0];

describe('rules of the calendar', () => {
  // RFC 5545, 3.8.5.3, the examples that begin on 2 September 1997 (a Tuesday) unless said otherwise.
  const cases: readonly (readonly [string, string, readonly string[]])[] = [
    ['FREQ=DAILY;COUNT=10', '1997-09-02', ['1997-09-02', '1997-09-03', '1997-09-11']],
    ['FREQ=DAILY;INTERVAL=2', '1997-09-02', ['1997-09-02', '1997-09-04', '1997-09-06']],
    [
      'FREQ=DAILY;INTERVAL=10;COUNT=5',
      '1997-09-02',
      ['1997-09-02', '1997-09-12', '1997-09-22', '1997-10-02', '1997-10-12'],
    ],
    ['FREQ=WEEKLY;COUNT=10', '1997-09-02', ['1997-09-02', '1997-09-09', '1997-11-04']],
    ['FREQ=WEEKLY;INTERVAL=2;WKST=SU', '1997-09-02', ['1997-09-02', '1997-09-16', '1997-09-30']],
    ['FREQ=WEEKLY;COUNT=10;WKST=SU;BYDAY=TU,TH', '1997-09-02', ['1997-09-02', '1997-09-04', '1997-10-02']],
    [
      'FREQ=WEEKLY;INTERVAL=2;COUNT=8;WKST=SU;BYDAY=TU,TH',
      '1997-09-02',
      ['1997-09-02', '1997-09-04', '1997-09-16', '1997-10-16'],
    ],
    ['FREQ=MONTHLY;COUNT=10;BYDAY=1FR', '1997-09-05', ['1997-09-05', '1997-10-03', '1998-06-05']],
    [
      'FREQ=MONTHLY;INTERVAL=2;COUNT=10;BYDAY=1SU,-1SU',
      '1997-09-07',
      ['1997-09-07', '1997-09-28', '1998-05-31'],
    ],
    ['FREQ=MONTHLY;BYMONTHDAY=-3', '1997-09-28', ['1997-09-28', '1997-10-29', '1997-11-28']],
    ['FREQ=MONTHLY;COUNT=10;BYMONTHDAY=2,15', '1997-09-02', ['1997-09-02', '1997-09-15', '1998-01-15']],
    [
      'FREQ=MONTHLY;INTERVAL=18;COUNT=10;BYMONTHDAY=10,11,12,13,14,15',
      '1997-09-10',
      ['1997-09-10', '1999-03-10', '1999-03-13'],
    ],
    ['FREQ=YEARLY;COUNT=10;BYMONTH=6,7', '1997-06-10', ['1997-06-10', '1997-07-10', '2001-07-10']],
    [
      'FREQ=YEARLY;INTERVAL=2;COUNT=10;BYMONTH=1,2,3',
      '1997-03-10',
      ['1997-03-10', '1999-01-10', '2003-03-10'],
    ],
  ];
  it.each(cases)('%s from %s, as RFC 5545 has it', (rrule, from, days) => {
    const all = occurrences({ by: 'calendar', rrule }, from, '2003-12-31');
    for (const day of days) expect(all).toContain(day);
    expect(all[0]).toBe(days[0]);
    const count = /COUNT=(\d+)/.exec(rrule)?.[1];
    if (count) {
      expect(all).toHaveLength(Number(count));
      expect(all.at(-1)).toBe(days.at(-1));
    } else expect(all.slice(0, days.length)).toEqual(days);
  });
});

describe('what is due', () => {
  it('by days since the last time; never done, it counts from the beginning', () => {
    const weekly = rule({ by: 'since', days: 7 });
    expect(due(weekly, '2026-11-20')).toMatchObject({ day: '2026-11-27', late: -2 });
    expect(due(weekly, '2026-11-18')).toMatchObject({ day: '2026-11-25', late: 0 });
    expect(due(weekly, '2026-11-10')).toMatchObject({ day: '2026-11-17', late: 8 });
    expect(due(weekly, null)).toMatchObject({ day: '2026-11-08', late: 17, last: null });
  });
  it('by the calendar: a day missed stays due, but nobody mists twice for yesterday', () => {
    const mondays = rule({ by: 'calendar', rrule: 'FREQ=WEEKLY;BYDAY=MO' });
    expect(due(mondays, '2026-11-16')).toMatchObject({ day: '2026-11-23', late: 2 });
    expect(due(mondays, '2026-11-23')).toMatchObject({ day: '2026-11-30', late: -5 });
    const daily = rule({ by: 'calendar', rrule: 'FREQ=DAILY' });
    expect(due(daily, '2026-11-20')).toMatchObject({ day: TODAY, late: 0 });
    expect(due(daily, TODAY)).toMatchObject({ day: '2026-11-26', late: -1 });
    const second = rule({ by: 'calendar', rrule: 'FREQ=DAILY;INTERVAL=2' });
    expect(due(second, '2026-11-23', '2026-11-01')).toMatchObject({ day: TODAY, late: 0 });
  });
  it('what comes every few days hangs on the last time: late or early, what follows shifts with it', () => {
    const third = rule({ by: 'calendar', rrule: 'FREQ=DAILY;INTERVAL=3' });
    // Never done, it is due on the day care began.
    expect(due(third, null, '2026-11-24')).toMatchObject({ day: '2026-11-24', late: 1 });
    expect(due(third, '2026-11-24', '2026-11-01')).toMatchObject({ day: '2026-11-27' });
    expect(due(third, '2026-11-25', '2026-11-01')).toMatchObject({ day: '2026-11-28' });
    expect(due(third, '2026-11-23', '2026-11-01')).toMatchObject({ day: '2026-11-26' });
    // In the months in which it does not come it waits for the next in which it does.
    const winter = rule({ by: 'calendar', rrule: 'FREQ=DAILY;INTERVAL=5;BYMONTH=11,12,1' });
    expect(due(winter, '2027-01-29', '2026-11-01', '2027-01-30')).toMatchObject({ day: '2027-11-01' });
    expect(due(winter, '2026-11-24', '2026-11-01')).toMatchObject({ day: '2026-11-29' });
  });
  it('what is of the calendar is settled by doing it shortly before its day, not by doing it late', () => {
    const mondays = rule({ by: 'calendar', rrule: 'FREQ=WEEKLY;BYDAY=MO' });
    // Sunday 22 November is for Monday, Thursday before is still for the last one.
    expect(due(mondays, '2026-11-22')).toMatchObject({ day: '2026-11-30' });
    expect(due(mondays, '2026-11-18')).toMatchObject({ day: '2026-11-23' });
    const twice = rule({ by: 'calendar', rrule: 'FREQ=WEEKLY;BYDAY=MO,TH' });
    expect(due(twice, '2026-11-24')).toMatchObject({ day: '2026-11-26' });
    expect(due(twice, '2026-11-22')).toMatchObject({ day: '2026-11-26' });
    const monthly = rule({ by: 'calendar', rrule: 'FREQ=MONTHLY;BYMONTHDAY=1' });
    expect(due(monthly, '2026-11-26', '2026-01-01', '2026-11-27')).toMatchObject({ day: '2027-01-01' });
    expect(due(monthly, '2026-11-20', '2026-01-01')).toMatchObject({ day: '2026-12-01' });
    const yearly = rule({ by: 'calendar', rrule: 'FREQ=YEARLY;BYMONTH=3,10;BYMONTHDAY=1' });
    expect(due(yearly, '2026-02-25', '2025-01-01', '2026-03-02')).toMatchObject({ day: '2026-10-01' });
    expect(due(yearly, '2026-07-20', '2025-01-01', '2026-09-02')).toMatchObject({ day: '2026-10-01' });
  });
  it('what was added counts from the day it was; what was changed or rested is not late for what it missed', () => {
    const monthly = rule({ by: 'since', days: 30 });
    const of = (change: Partial<HeldRule>, last: string | null = null, today = TODAY) =>
      due({ ...monthly, ...change }, last, '2025-10-20', today);
    expect(of({})).toMatchObject({ day: '2025-11-19', late: 371 });
    expect(of({ added: TODAY })).toMatchObject({ day: '2026-12-25', late: -30 });
    // What was done before it was added, and written down since, counts too.
    expect(of({ added: TODAY }, '2026-11-20')).toMatchObject({ day: '2026-12-20' });
    expect(of({ from: TODAY }, '2026-07-01')).toMatchObject({ day: TODAY, late: 0, silent: null });
    expect(of({ from: TODAY }, '2026-11-20')).toMatchObject({ day: '2026-12-20' });
    const rested = { paused: true, until: '2026-11-20' };
    expect(of(rested, '2026-07-01', '2026-11-19')).toBeUndefined();
    expect(of(rested, '2026-07-01', '2026-11-20')).toMatchObject({ day: '2026-11-20', late: 0 });
    expect(of(rested, '2026-07-01', TODAY)).toMatchObject({ day: '2026-11-20', late: 5 });
    expect(of({ paused: true }, '2026-07-01')).toBeUndefined();
  });
  it('what is daily is never late, but says for how long nobody did it', () => {
    const daily = rule({ by: 'calendar', rrule: 'FREQ=DAILY' });
    expect(due(daily, '2026-11-24')).toMatchObject({ late: 0, silent: null });
    expect(due(daily, '2026-11-23')).toMatchObject({ late: 0, silent: null });
    expect(due(daily, '2026-05-29')).toMatchObject({ late: 0, silent: 180 });
    expect(due(daily, null, '2026-11-01')).toMatchObject({ late: 0, silent: 24 });
  });
  it('over the end of a month and a leap day', () => {
    const monthly = rule({ by: 'calendar', rrule: 'FREQ=MONTHLY;BYMONTHDAY=1' });
    expect(due(monthly, '2026-11-01')).toMatchObject({ day: '2026-12-01' });
    expect(due(rule({ by: 'since', days: 1 }), '2028-02-28', '2028-01-01', '2028-03-01')).toMatchObject({
      day: '2028-02-29',
      late: 1,
    });
  });
  it('what was skipped is settled, what was struck out is not; the last of both counts', () => {
    const log = [
      done('a', '2026-11-20'),
      done('a', '2026-11-24', { outcome: 'skipped' }),
      done('b', '2026-11-24', { gone: true }),
      done('b', '2026-11-12'),
      entryOf({ kind: 'note', values: {}, text: 'x' }, { id: 'n', design: 'd', at: 0, changed: 0 }),
    ];
    expect(Object.fromEntries(lastDone(log, dayOf))).toEqual({ a: '2026-11-24', b: '2026-11-12' });
  });
  it('a lamp counts from the day it was lit, not from that of the box; what was done to the one before does not count', () => {
    const tube = hedge!.climate.devices.find((it) =>
      careOf(hedge!, catalogue).some((own) => own.id === `uv-${it.id}`),
    )!;
    const lit = (since: string | null): Design => ({
      ...hedge!,
      brief: { ...hedge!.brief, stage: 'inhabited', since: '2025-10-01' },
      climate: {
        ...hedge!.climate,
        devices: hedge!.climate.devices.map((it) => (it.id === tube.id ? { ...it, since } : it)),
      },
    });
    const late = (design: Design, done: Record<string, string> = {}) => {
      const all = dueOf(careNow(design, catalogue), new Map(Object.entries(done)), '2025-10-01', TODAY);
      return [`uv-${tube.id}`, 'uv-meter'].map((id) => all.find((it) => it.rule.id === id)!.late);
    };
    const months = careOf(hedge!, catalogue).find((it) => it.id === `uv-${tube.id}`)!.when;
    const lasts = months.by === 'since' ? months.days : NaN;
    // 420 days after the box began: late as long as nothing is said of the lamp.
    expect(late(lit(null))).toEqual([420 - lasts, 330]);
    expect(late(lit(TODAY))).toEqual([-lasts, -90]);
    expect(late(lit('2026-11-15'), { [`uv-${tube.id}`]: '2025-12-01', 'uv-meter': '2026-11-01' })).toEqual([
      10 - lasts,
      -80,
    ]);
    // What was done to this one counts.
    expect(late(lit('2026-11-15'), { 'uv-meter': '2026-11-20' })).toEqual([10 - lasts, -85]);
  });
  it('a line typed in a hurry settles the rule it is the doing of; one of a single animal or of a cleaning does not', () => {
    const line = (kind: Entry['kind'], animal: string | null = null, gone = false): Entry => ({
      ...entryOf(
        { kind, values: {}, text: '', animal },
        { id: kind, design: 'x', at: Date.parse('2026-11-24T12:00:00Z'), changed: 1 },
      ),
      gone,
    });
    const settled = (...log: Entry[]) =>
      Object.fromEntries(lastDone(log, (at) => new Date(at).toISOString().slice(0, 10)));
    expect(settled(line('feed'), line('mist'), line('water-test'), line('crew'), line('lamp'))).toEqual({
      feed: '2026-11-24',
      mist: '2026-11-24',
      'water-test': '2026-11-24',
      'crew-seen': '2026-11-24',
      'uv-meter': '2026-11-24',
    });
    expect(settled(line('feed', 'sedge'), line('weight'), line('clean'), line('mist', null, true))).toEqual(
      {},
    );
  });
  it('the same by years of a rhythm as by its last turn', () => {
    const rhythms = [
      'FREQ=DAILY',
      'FREQ=WEEKLY',
      'FREQ=WEEKLY;BYDAY=MO,TH',
      'FREQ=WEEKLY;INTERVAL=3;BYDAY=SU',
      'FREQ=MONTHLY;INTERVAL=2',
      'FREQ=YEARLY;BYMONTH=3,10;BYMONTHDAY=1',
      'FREQ=DAILY;INTERVAL=2;COUNT=40',
      'FREQ=DAILY;UNTIL=20251224T120000Z',
    ];
    fc.assert(
      fc.property(
        fc.constantFrom(...rhythms),
        fc.integer({ min: -30, max: 1500 }),
        fc.option(fc.integer({ min: -40, max: 1600 })),
        (rrule, days, after) => {
          const when = { by: 'calendar', rrule } as const;
          const began = dayPlus(TODAY, -days);
          const done = after === null ? null : dayPlus(began, after);
          const [due] = dueOf([rule(when)], new Map(done ? [['r', done]] : []), began, TODAY);
          // Every day it falls on, counted from the first.
          const all = occurrences(when, began, dayPlus(TODAY, 3000));
          const coming = all.filter((it) => done === null || it > done);
          const before = done === null ? undefined : all.filter((it) => it <= done).at(-1);
          const early = done === null ? 0 : daysTill(done, coming[0] ?? done);
          const isEarly =
            done !== null && before !== undefined && early <= 7 && early < daysTill(before, done);
          const next = coming[isEarly ? 1 : 0] ?? dayPlus(TODAY, 3650);
          const latest = all.filter((it) => it <= TODAY).at(-1) ?? '';
          const often = /DAILY|YEARLY/.test(rrule);
          expect(due!.day).toBe(often && latest > next ? latest : next);
        },
      ),
      { numRuns: 300, seed: 7 },
    );
  });
  it('one that never comes is due no more within a life, and is not looked for for ever', () => {
    const [due] = dueOf(
      [rule({ by: 'calendar', rrule: 'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30' })],
      new Map(),
      '2020-01-01',
      TODAY,
    );
    expect(due!.day).toBe(dayPlus(TODAY, 3650));
  });
  it.each([
    'FREQ=DAILY;FOO=BAR',
    'FREQ=DAILY;INTERVAL=0',
    'FREQ=WEEKLY;BYDAY=XX',
    'FREQ=HOURLY',
    'FREQ=DAILY;',
  ])('no rhythm is %s', (rrule) => expect(When.safeParse({ by: 'calendar', rrule }).success).toBe(false));
  it.each([
    'FREQ=DAILY',
    'FREQ=WEEKLY;BYDAY=MO,TH',
    'FREQ=MONTHLY;BYMONTHDAY=-1',
    'FREQ=MONTHLY;BYDAY=1MO',
    'FREQ=DAILY;INTERVAL=3;BYMONTH=11,12,1',
    'FREQ=DAILY;UNTIL=20251224T120000Z',
  ])('a rhythm is %s', (rrule) => expect(When.safeParse({ by: 'calendar', rrule }).success).toBe(true));
  it('the latest first, paused ones not at all', () => {
    const rules = [
      rule({ by: 'since', days: 5 }, 'five'),
      { ...rule({ by: 'since', days: 1 }, 'paused'), paused: true },
      rule({ by: 'since', days: 2 }, 'two'),
    ];
    expect(dueOf(rules, new Map(), '2026-11-01', TODAY).map((it) => it.rule.id)).toEqual(['two', 'five']);
  });
});

describe('care as its keeper changed it', () => {
  const of = (design: Design, id: string) => careOf(design, catalogue).find((it) => it.id === id);
  it('another rhythm, a pause with its reason, one of his own; taken away, it is as it follows', () => {
    const changed = edit(
      hedge!,
      {
        edit: 'changeCare',
        change: { rule: 'glass', change: { when: { by: 'since', days: 3 }, reason: 'hard water' } },
      },
      { edit: 'changeCare', change: { rule: 'prune', change: { paused: true } } },
      {
        edit: 'addCare',
        change: {
          what: ' Turn the enclosure ',
          why: 'even light',
          when: { by: 'since', days: 90 },
          sitter: false,
          from: TODAY,
        },
      },
    );
    expect(of(changed, 'glass')).toMatchObject({
      when: { by: 'since', days: 3 },
      reason: 'hard water',
      own: true,
    });
    expect(of(changed, 'prune')).toMatchObject({ paused: true, own: false });
    expect(of(changed, 'own-1')).toMatchObject({ what: 'Turn the enclosure', own: true, added: TODAY });
    const back = edit(
      changed,
      { edit: 'changeCare', change: { rule: 'glass', change: { when: null, reason: '' } } },
      { edit: 'changeCare', change: { rule: 'prune', change: { paused: false } } },
      { edit: 'removeCare', change: { rule: 'own-1' } },
    );
    expect(back.care).toEqual({ changes: [], own: [], settled: null });
    expect(
      edit(hedge!, {
        edit: 'addCare',
        change: { what: '  ', why: '', when: { by: 'since', days: 1 }, sitter: false, from: null },
      }),
    ).toBe(hedge);
  });
});

describe('while an enclosure only grows in', () => {
  it('all care is there but what goes with an animal', () => {
    const box = firstDesign('dendrobates-tinctorius', 'middle');
    const at = (stage: Design['brief']['stage']): string[] =>
      careNow(edit(box, { edit: 'setStage', change: { stage, since: null } }), catalogue).map((it) => it.id);
    const lived = at('inhabited');
    expect(lived).toEqual(
      expect.arrayContaining(['look', 'feed', 'dust', 'vitamins', 'spot-clean', 'weigh']),
    );
    const grows = at('growing-in');
    expect(lived.filter((it) => !grows.includes(it)).sort()).toEqual(
      ['dish', 'dust', 'feed', 'feeders', 'look', 'powders', 'spot-clean', 'vitamins', 'weigh'].filter((it) =>
        lived.includes(it),
      ),
    );
    expect(grows).toEqual(expect.arrayContaining(['glass', 'siphon', 'probes', 'crew-seen']));
    expect(at('planned')).toEqual([]);
  });
});
