import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import type { Climate, Design, Device } from '../document';
import { applyEdit } from '../edits';
import { buyingOf, wareKey } from '../buying';
import { assess } from '../assess';
import { METRIC, formatMessage } from '../units';
import { careRules } from './rules';

const frogs = applyEdit(
  firstDesign('dendrobates-auratus'),
  { edit: 'addDevice', change: { kind: 'fogger' } },
  catalogue,
);
const fogger = frogs.climate.devices.find((it) => it.kind === 'fogger')!;
const fogged = (change: Partial<Device>): Design =>
  applyEdit(frogs, { edit: 'setDevice', change: { device: fogger.id, change } }, catalogue);
const told = (design: Design, id: string) =>
  careRules(design, catalogue)
    .filter((it) => it.id.startsWith(id))
    .map((it) => ({
      when: it.when.by === 'since' ? it.when.days : it.when.by === 'calendar' ? it.when.rrule : '',
      amount: formatMessage(it.amount, { prefs: METRIC, locale: 'en-GB' }).replaceAll('\u00a0', ' '),
      sitter: it.sitter,
    }));
const fill = (change: Partial<Device>) => told(fogged(change), 'fogger-fill');

describe('filling a fogger', () => {
  it('day and night on a humidistat it may give 60 mg/s: 5.2 L a day, out of 2 L morning and evening', () => {
    expect(fill({ timer: { by: 'always' } })).toEqual([
      {
        when: 'FREQ=DAILY',
        amount:
          'with distilled or filtered water, morning and evening: it holds 2.0 L, and gives 5.2 L a day at the most',
        sitter: true,
      },
    ]);
  });

  it('out of 20 L every third day; turned down to a fifth by the week; by the clock as long as that runs', () => {
    expect(fill({ timer: { by: 'always' }, tank: 0.02 })[0]!.when).toBe(3);
    expect(fill({ timer: { by: 'always' }, tank: 0.02, dim: 0.2 })[0]!.when).toBe(7);
    // 60 mg/s · 2 h are 0.43 L.
    expect(fill({ timer: { by: 'clock', spans: [{ from: 480, to: 600 }] } })[0]).toMatchObject({
      when: 4,
      amount: 'with distilled or filtered water; it holds 2.0 L, and gives 0.43 L a day at the most',
    });
    // Ten minutes of every hour of it are a sixth of that.
    const turns = { timer: { by: 'always' as const }, duty: { on: 10, every: 60 } };
    expect(fill(turns)[0]!.when).toBe(2);
    expect(fill({ dim: 0 })).toEqual([]);
    // What stands in the pool has no bottle.
    expect(
      told(
        applyEdit(
          firstDesign('dendrobates-auratus'),
          { edit: 'addDevice', change: { kind: 'fogger-small' } },
          catalogue,
        ),
        'fogger-fill',
      ),
    ).toEqual([]);
  });

  it('a canister that is larger than its bottle is bought, once', () => {
    const bought = (design: Design): number =>
      buyingOf([{ design, assessment: assess(design, catalogue) }], catalogue).rows.find(
        (it) => it.key === wareKey('control', 'fogger-canister'),
      )?.needed ?? 0;
    expect([frogs, fogged({ tank: 0.001 }), fogged({ tank: 0.02 })].map(bought)).toEqual([0, 0, 1]);
  });
});

describe('watering the soil', () => {
  const gecko = firstDesign('hemitheconyx-caudicinctus');
  const watered = (watering: Climate['watering']): Design =>
    applyEdit(gecko, { edit: 'setClimate', change: { watering } }, catalogue);

  it('is asked for where the forecast keeps the soil, by the week; over drainage, and where there is none, it is not', () => {
    expect(told(watered(null), 'watering').map((it) => it.when)).toEqual([7]);
    expect(told(watered([]), 'watering')).toEqual([]);
    const dry = { ...gecko, ground: { ...gecko.ground, moistShare: 0 } };
    expect(told(dry, 'watering')).toEqual([]);
    expect(told(frogs, 'watering')).toEqual([]);
  });

  it('by measure, each line by its own rhythm and amount', () => {
    const lines = told(
      watered([
        { end: 'warm', into: 'foot', amount: 0.0004, everyDays: 14 },
        { end: 'cool', into: 'top', amount: 0.00025, everyDays: 1 },
      ]),
      'watering',
    );
    expect(lines).toEqual([
      { when: 14, amount: '0.40 L at the warm end, in a corner or down a tube', sitter: true },
      { when: 'FREQ=DAILY', amount: '0.25 L over the ground at the cool end', sitter: true },
    ]);
  });
});
