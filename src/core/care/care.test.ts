import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { applyEdit, type EditCall } from '../edits';
import { type Design } from '../document';
import { firstDesign } from '@/catalogue/testing';
import { CARE_GROUPS, careRules, rrulestr } from '.';
import { isWeighed } from './food';
import { clock } from '../units';

const proposed = (animal: string | null, ...calls: readonly EditCall[]): Design =>
  firstDesign(animal, 'middle', calls);
const ids = (design: Design): string[] => careRules(design, catalogue).map((it) => it.id);

describe('what keeps an enclosure going', () => {
  it('for every animal there is a look, food and cleaning, and a weight where a scale does no harm; each says why, and when it is due', () => {
    const box = proposed('anolis-carolinensis');
    for (const animal of catalogue.animals) {
      const lived = applyEdit(box, { edit: 'setAnimal', change: { animal: animal.id } }, catalogue);
      const rules = careRules(lived, catalogue);
      const own = rules.map((it) => it.id);
      expect(new Set(own).size, animal.english).toBe(own.length);
      expect(own).toEqual(expect.arrayContaining(['look', 'feed', 'spot-clean', 'glass']));
      expect(own.includes('weigh'), animal.english).toBe(isWeighed(animal));
      for (const it of rules) {
        expect(it.why.length, it.id).toBeGreaterThan(10);
        expect(CARE_GROUPS).toContain(it.group);
        expect(it.minutes).toBeGreaterThan(0);
        if (it.when.by === 'since') expect(it.when.days).toBeGreaterThan(0);
        else {
          // Every rule of the calendar is one of RFC 5545 that comes again.
          const next = rrulestr(`DTSTART:20260101T000000Z\nRRULE:${it.when.rrule}`).all((_, i) => i < 3);
          expect(next, it.id).toHaveLength(3);
        }
      }
    }
  });

  it('follows the design: what is not there is not cared for', () => {
    const [bog, hedge, , wash] = demoDesigns(catalogue);
    expect(ids(bog!)).toEqual(expect.arrayContaining(['water-change', 'water-test']));
    expect(ids(wash!)).not.toContain('siphon');
    expect(ids(wash!)).not.toContain('water-change');
    expect(ids(hedge!)).toEqual(
      expect.arrayContaining(['siphon', 'bottle', 'nozzles', 'thermostat', 'uv-meter']),
    );
    expect(ids(hedge!).filter((it) => it.startsWith('uv-device')).length).toBe(
      hedge!.climate.devices.filter(
        (it) => catalogue.climate.devices.find((row) => row.id === it.kind)?.group === 'uv',
      ).length,
    );
    // 10 L last it five weeks; of 1 L its nozzle draws 0.29 L a day.
    const { mist } = hedge!.climate;
    const small = applyEdit(
      hedge!,
      { edit: 'setClimate', change: { mist: { ...mist, bottle: 0.001 } } },
      catalogue,
    );
    const filled = (it: Design) => careRules(it, catalogue).find(({ id }) => id === 'bottle')?.when;
    expect(filled(hedge!)).toEqual({ by: 'since', days: 7 });
    expect(filled(small)).toEqual({ by: 'since', days: 3 });
    const bare = applyEdit(hedge!, { edit: 'clearDevices', change: {} }, catalogue);
    for (const it of ['thermostat', 'uv-meter', 'probes']) expect(ids(bare)).not.toContain(it);
  });

  it('takes its numbers from the design: misting, water, litter, and the age of a tube by its hours', () => {
    const design = proposed('theloderma-corticale');
    const misted = applyEdit(
      design,
      {
        edit: 'setClimate',
        change: { mist: { by: 'hand', times: [{ at: 480, seconds: 12 }], everyDays: 2, bottle: null } },
      },
      catalogue,
    );
    const mist = careRules(misted, catalogue).find((it) => it.id === 'mist')!;
    expect(mist.when).toEqual({ by: 'calendar', rrule: 'FREQ=DAILY;INTERVAL=2' });
    expect(mist.amount).toEqual(['12 pulls at 08:00']);
    const litter = careRules(design, catalogue).find((it) => it.id === 'litter')!;
    expect(litter.when).toEqual({
      by: 'since',
      days: Math.round(design.living.litter.everyMonths * 30.4),
    });
    for (const it of careRules(proposed('anolis-carolinensis'), catalogue))
      if (it.id.startsWith('uv-device') && it.when.by === 'since') {
        expect(it.when.days).toBeLessThanOrEqual(365);
        expect(it.when.days).toBeGreaterThan(90);
      }
  });

  it('young ones are fed and weighed more often; snakes get new springtails, and are cleaned after daily', () => {
    const young = (animal: string, ageMonths: number | null): ReturnType<typeof careRules> =>
      careRules(
        applyEdit(
          proposed(animal),
          {
            edit: 'setLiving',
            change: { company: { males: 0, females: 0, hatched: null, ageMonths, lightSensitive: false } },
          },
          catalogue,
        ),
        catalogue,
      );
    const days = (rules: ReturnType<typeof careRules>, id: string): number => {
      const { when } = rules.find((it) => it.id === id)!;
      return when.by === 'since' ? when.days : 0;
    };
    expect(days(young('pantherophis-guttatus', 3), 'feed')).toBe(7);
    expect(days(young('pantherophis-guttatus', null), 'feed')).toBe(14);
    expect(days(young('pantherophis-guttatus', 3), 'weigh')).toBe(7);
    expect(young('pantherophis-guttatus', null).find((it) => it.id === 'spot-clean')!.when).toEqual({
      by: 'calendar',
      rrule: 'FREQ=DAILY',
    });
  });

  it('while its keeper is away, the sitter looks, waters, feeds and reads', () => {
    const left = careRules(proposed('anolis-carolinensis'), catalogue).filter((it) => it.sitter);
    expect(left.map((it) => it.id)).toEqual(expect.arrayContaining(['look', 'feed', 'probes']));
    expect(left.map((it) => it.id)).not.toContain('weigh');
  });

  it('writes a time of day', () => {
    expect([0, 485, 1439].map(clock)).toEqual(['00:00', '08:05', '23:59']);
  });
});

describe('how often', () => {
  // Common practice, day by day: a wrong figure here is a wrong year of keeping.
  it.each([
    ['filter', { by: 'since', days: 30 }],
    ['water-test', { by: 'since', days: 14 }],
    ['glass', { by: 'since', days: 7 }],
    ['crew-seen', { by: 'since', days: 30 }],
    ['prune', { by: 'since', days: 30 }],
    ['soil', { by: 'since', days: 365 }],
    ['siphon', { by: 'since', days: 14 }],
    ['nozzles', { by: 'since', days: 14 }],
    ['uv-meter', { by: 'since', days: 90 }],
    ['look', { by: 'calendar', rrule: 'FREQ=DAILY' }],
    ['thermostat', { by: 'calendar', rrule: 'FREQ=MONTHLY;BYMONTHDAY=1' }],
    ['residual-current', { by: 'calendar', rrule: 'FREQ=MONTHLY;INTERVAL=6;BYMONTHDAY=1' }],
  ] as const)('%s', (id, when) => {
    const rules = demoDesigns(catalogue).flatMap((it) => careRules(it, catalogue));
    const found = rules.filter((it) => it.id === id);
    expect(found.length).toBeGreaterThan(0);
    for (const it of found) expect(it.when).toEqual(when);
  });
});
