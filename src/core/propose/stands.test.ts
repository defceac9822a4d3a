import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { assess } from '../assess';
import { careNow, dueOf, lastDone } from '../care';
import { Design } from '../document';
import { applyEdit } from '../edits';
import { entryOf } from '../log';
import { dayPlus, localDay } from '../time';
import { standsAlready, usualInside, type Standing } from '.';

const TODAY = '2026-11-18';
const TOLD: Standing = {
  id: 'a',
  name: 'Drip',
  animal: 'correlophus-ciliatus',
  count: 1,
  size: { width: 0.45, depth: 0.45, height: 0.6 },
  material: 'glass',
  since: '2024-03-02',
  note: 'soil, two plants',
};
const stands = (change: Partial<Standing> = {}): Design =>
  standsAlready({ ...TOLD, ...change }, TODAY, catalogue);
const due = (design: Design, on: string, done: readonly (readonly [string, string])[] = []) =>
  dueOf(
    careNow(design, catalogue),
    lastDone(
      done.map(([rule, day]) =>
        entryOf(
          { kind: 'care', values: {}, text: '', rule },
          { id: rule + day, design: 'a', at: Date.parse(`${day}T09:00:00Z`), changed: 0 },
        ),
      ),
      localDay,
    ),
    design.brief.since ?? on,
    on,
    design.care.settled,
  );

describe('an enclosure that stands already', () => {
  it.each(catalogue.animals.map((it) => it.id))(
    '%s: nothing is invented, and the document is whole',
    (animal) => {
      const design = stands({ animal, size: null });
      expect(Design.safeParse(design).success).toBe(true);
      expect(design.ground.layers.concat(design.ground.regions.flatMap((it) => it.layers))).toEqual([]);
      expect([design.scape.pieces, design.climate.devices, design.living.plants, design.living.crew]).toEqual(
        [[], [], [], []],
      );
      // In a box that suits nothing is said against it: what is not known is not judged.
      const { findings, lists } = assess(design, catalogue);
      expect(findings.filter((it) => it.severity === 'severe').map((it) => it.code)).toEqual([]);
      expect(
        findings.filter(
          (it) => it.place.at !== 'enclosure' && it.place.at !== 'brief' && it.place.at !== 'living',
        ),
      ).toEqual([]);
      expect(lists.buy).toEqual([]);
    },
  );

  it('a box too small for it is told all the same: that is known', () => {
    const { findings } = assess(
      stands({ animal: 'pogona-vitticeps', size: { width: 0.6, depth: 0.4, height: 0.4 } }),
      catalogue,
    );
    expect(findings.find((it) => it.severity === 'severe')?.place.at).toBe('enclosure');
  });

  it('on its first day nothing is late, however long it has been lived in; what is daily is due', () => {
    const first = due(stands(), TODAY);
    expect(first.filter((it) => it.late > 0)).toEqual([]);
    expect(first.find((it) => it.rule.id === 'look')).toMatchObject({
      day: TODAY,
      late: 0,
      last: null,
      untold: true,
    });
    // Weekly work comes a week after all was settled; so does none of it before.
    expect(first.find((it) => it.rule.id === 'glass')).toMatchObject({ day: '2026-11-24' });
  });

  it('without the day up to which all is settled the same box would be 991 days late', () => {
    const design = stands();
    const late = due({ ...design, care: { ...design.care, settled: null } }, TODAY);
    expect(Math.max(...late.map((it) => it.late))).toBe(991);
  });

  it('what is not told of while it comes round once more is late from then on', () => {
    const looks = (day: string) => due(stands(), day).find((it) => it.rule.id === 'look');
    expect(looks('2026-11-18')).toMatchObject({ day: '2026-11-18', late: 0, untold: true });
    expect(looks('2026-11-30')).toMatchObject({ late: 0, untold: false, silent: 13, last: null });
    const glass = (day: string) => due(stands(), day).find((it) => it.rule.id === 'glass');
    expect(glass('2026-11-24')).toMatchObject({ late: 0, untold: true });
    expect(glass('2026-11-27')).toMatchObject({ day: '2026-11-24', late: 3, untold: false });
    // Its powders are asked for from the first day on, and late once as long as they keep has gone by.
    const powders = (day: string) => due(stands(), day).find((it) => it.rule.id === 'powders');
    expect(powders('2026-12-20')).toMatchObject({ late: 0, untold: true });
    const kept = powders(TODAY)!.rule.when;
    if (kept.by !== 'since') throw new Error('powders are counted from when they were opened');
    expect(powders(dayPlus('2026-11-17', kept.days + 5))).toMatchObject({ late: 5, untold: false });
  });

  it('what the log tells later counts from there', () => {
    const told = due(stands(), '2026-11-20', [['glass', '2026-11-19']]).find((it) => it.rule.id === 'glass');
    expect(told).toMatchObject({ day: '2026-11-26', last: '2026-11-19', untold: false });
  });

  it('after three weeks away all of it is settled by one day in the document', () => {
    const back = dayPlus(TODAY, 21);
    const design = stands();
    const open = due(design, back).filter((it) => it.late >= 0);
    expect(open.length).toBeGreaterThan(4);
    const settled = applyEdit(design, { edit: 'settleCare', change: { settled: back } }, catalogue);
    // Only how old its powders are remains to be told.
    expect(
      due(settled, back)
        .filter((it) => it.late >= 0)
        .map((it) => [it.rule.id, it.untold]),
    ).toEqual([['powders', true]]);
    expect(due(settled, dayPlus(back, 1)).some((it) => it.late === 0)).toBe(true);
  });

  it('what wears is not settled by saying so: its age goes on', () => {
    const design = applyEdit(
      stands(),
      {
        edit: 'addCare',
        change: {
          what: 'Change the UV lamp',
          why: '',
          when: { by: 'since', days: 365 },
          sitter: false,
          from: '2025-01-01',
        },
      },
      catalogue,
    );
    const lamp = due(design, TODAY).find((it) => it.rule.what === 'Change the UV lamp');
    expect(lamp).toMatchObject({ day: '2026-01-01', untold: false });
  });

  it('a day to come is taken as today; a box of board opens by panes', () => {
    expect(stands({ since: '2027-01-01' }).brief.since).toBe(TODAY);
    expect(stands({ material: 'timber' }).enclosure.panels).toEqual([
      { wall: 'front', material: 'glass', thickness: 0.005 },
    ]);
  });

  it('described with what is usual, it is judged in full like any other, and its days stay', () => {
    const design = stands();
    const full = applyEdit(
      design,
      { edit: 'describe', change: { parts: usualInside(design, catalogue) } },
      catalogue,
    );
    expect(full.brief).toMatchObject({ described: true, since: '2024-03-02', stage: 'inhabited' });
    expect(full.ground.layers.length).toBeGreaterThan(2);
    expect(full.climate.devices.length).toBeGreaterThan(0);
    expect(full.care.settled).toBe('2026-11-17');
    expect(full.enclosure).toEqual(design.enclosure);
    const bare = applyEdit(design, { edit: 'describe', change: { parts: null } }, catalogue);
    expect(bare.ground.layers).toEqual([]);
    expect(assess(bare, catalogue).findings.length).toBeGreaterThan(
      assess(design, catalogue).findings.length,
    );
  });
});
