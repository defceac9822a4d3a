import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { careNow } from '../care';
import { allDifferencesOf } from '../compare/leaves';
import { Design } from '../document';
import { anotherLike, numberedNames, variantOf } from './copies';

describe('a copy to be made otherwise and compared', () => {
  it.each(demoDesigns(catalogue).map((it) => [it.name, it] as const))(
    '%s: as it is built, and yet planned: nothing is due in it, and as a box it is alike',
    (_, design) => {
      const copy = variantOf(design, 'copy', 'A copy');
      expect(Design.safeParse(copy).success).toBe(true);
      expect(copy.brief).toMatchObject({ stage: 'planned', since: null, animal: design.brief.animal });
      expect(careNow(copy, catalogue)).toEqual([]);
      expect(copy.plan.marks).toEqual([]);
      expect(allDifferencesOf([design, copy], catalogue)).toEqual([]);
    },
  );

  it('two that are lived in since other days are told apart by that', () => {
    const [bog] = demoDesigns(catalogue);
    const later = { ...bog!, id: 'b', brief: { ...bog!.brief, since: '2020-01-01' } };
    expect(allDifferencesOf([bog!, later], catalogue).map((it) => it.what)).toEqual(['Since']);
  });
});

describe('another one like it', () => {
  const TODAY = '2026-11-30';
  it.each(demoDesigns(catalogue).map((it) => [it.name, it] as const))(
    '%s: the same box, with nothing of what happened in it',
    (_, design) => {
      const rest = { from: '12-10', weeks: 8, place: 'here' as const, since: '2024-01-01' };
      const kept: Design = {
        ...design,
        living: {
          ...design.living,
          rest,
          company: { ...design.living.company, hatched: '2025-01-01' },
          moveIn: { quarantine: '2025-02-02', tested: '2025-02-02' },
        },
        climate: { ...design.climate, meter: { at: { x: 0.1, y: 0.1, z: 0.1 }, index: 2, on: '2026-01-01' } },
        care: {
          changes: [
            {
              rule: 'glass',
              when: { by: 'since', days: 9 },
              paused: true,
              until: null,
              from: TODAY,
              reason: 'x',
            },
            { rule: 'look', when: null, paused: true, until: null, from: null, reason: '' },
          ],
          own: [],
          settled: TODAY,
        },
      };
      const copy = anotherLike(kept, 'copy', 'A copy', TODAY);
      expect(Design.safeParse(copy).success).toBe(true);
      expect(careNow(copy, catalogue)).toEqual([]);
      // No day of the other one is left in it, but that its rest is planned from today on.
      const days = [...JSON.stringify(copy).matchAll(/"(\d{4}-\d{2}-\d{2})"/g)].map((it) => it[1]);
      expect(days).toEqual([TODAY]);
      expect(copy.living.plants.map((it) => it.kind)).toEqual(design.living.plants.map((it) => it.kind));
      expect(copy.living.crew.map((it) => [it.kind, it.count])).toEqual(
        design.living.crew.map((it) => [it.kind, it.count]),
      );
      // How often its keeper wants it stays; that it rested there does not.
      expect(copy.care.changes).toEqual([
        {
          rule: 'glass',
          when: { by: 'since', days: 9 },
          paused: false,
          until: null,
          from: null,
          reason: 'x',
        },
      ]);
      expect(copy.ground).toEqual(design.ground);
      expect(copy.brief.place).toEqual({ room: design.brief.place.room, shelf: '' });
    },
  );

  it.each([
    ['Hedge', ['hedge 2'], 3, ['Hedge 3', 'Hedge 4', 'Hedge 5']],
    ['Box 9', ['Box 10'], 2, ['Box 11', 'Box 12']],
    ['12', [], 1, ['13']],
    ['x'.repeat(80), [], 1, [`${'x'.repeat(75)} 2`]],
  ])('of %s, beside %j, %i more are called %j', (name, taken, count, names) =>
    expect(numberedNames(name, taken, count)).toEqual(names),
  );
});
