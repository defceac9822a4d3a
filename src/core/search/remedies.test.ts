import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { applyEdit, type EditCall } from '../edits';
import { firstDesign } from '@/catalogue/testing';
import { judgeDesign, yearFindings } from '../verdict';
import { proposeWhatHolds, remediesFor, runSearch } from '.';
import { formatMessage, METRIC, type Message } from '../units';
import { mendsIn } from './remedies';
import { plantLights, withDevices } from '../fitting/fittings';

const read = (label: Message): string => formatMessage(label, { prefs: METRIC, locale: 'en' });

describe('remedies', () => {
  const held = proposeWhatHolds(firstDesign('dendrobates-auratus', 'dry'), catalogue).design;
  const fogger = held.climate.devices.find((it) => it.kind === 'fogger')!;
  const heater = held.climate.devices.find((it) => it.thermostat)!;
  it.each<[string, EditCall, RegExp]>([
    ['its fogger taken out', { edit: 'removeDevice', change: { device: fogger.id } }, /fogger/i],
    [
      'its heater set five kelvin lower',
      {
        edit: 'setDevice',
        change: {
          device: heater.id,
          change: { thermostat: { ...heater.thermostat!, day: (heater.thermostat!.day ?? 24) - 5 } },
        },
      },
      /°C|emitter|panel|\d/,
    ],
  ])(
    'with %s: what is offered mends its finding, says by how much, and breaks nothing',
    (_, broken, names) => {
      const design = applyEdit(held, broken, catalogue);
      const before = judgeDesign({ design, catalogue, alone: true })!;
      const told = yearFindings(before, design, catalogue).map((it) => it.code);
      const found = runSearch(remediesFor(design, before, catalogue), catalogue);
      const all = Object.entries(found).flatMap(([code, own]) => own.map((it) => ({ code, ...it })));
      expect(all.length).toBeGreaterThan(0);
      expect(all.some((it) => names.test(read(it.label)))).toBe(true);
      for (const own of Object.values(found))
        expect(new Set(own.map((it) => JSON.stringify(it.label))).size).toBe(own.length);
      for (const { code, label, call } of all) {
        expect(told).toContain(code);
        const next = applyEdit(design, call!, catalogue);
        const after = judgeDesign({ design: next, catalogue, alone: true })!;
        const codes = yearFindings(after, next, catalogue)
          .filter((it) => it.severity === 'severe' || it.severity === 'look')
          .map((it) => it.code);
        expect(codes).not.toContain(code);
        expect(codes.filter((it) => !told.includes(it))).toEqual([]);
        // Its button says what it does: hours before and after, as the verdicts have them.
        const [, from, to] = /(\d+) → (\d+) % of hours$/.exec(read(label))!;
        expect(Number(from)).toBeLessThan(90);
        expect(Number(to)).toBeGreaterThanOrEqual(90);
      }
    },
  );

  it('with its lamps for plants dimmed: a brighter light is offered, and all plants live under it', () => {
    const ids = plantLights(held, catalogue).map((it) => it.id);
    const design = withDevices(held, ids, (it) => ({ ...it, dim: 0.15 }));
    const before = judgeDesign({ design, catalogue, alone: true })!;
    const weak = yearFindings(before, design, catalogue).find((it) => it.code === 'plant-light-weak');
    expect(weak).toMatchObject({
      severity: before.plants.some((it) => it.fit <= 0) ? 'look' : 'note',
      place: { at: 'climate', device: ids[0] },
    });
    const offered = runSearch(remediesFor(design, before, catalogue), catalogue)['plant-light-weak']!;
    expect(offered).toHaveLength(1);
    expect(read(offered[0]!.label)).toMatch(/\d+ → 0 plants in want of light$/);
    const next = applyEdit(design, offered[0]!.call!, catalogue);
    const after = judgeDesign({ design: next, catalogue, alone: true })!;
    expect(after.plants).toEqual([]);
    expect(yearFindings(after, next, catalogue).map((it) => it.code)).not.toContain('plant-light-weak');
  });

  it('that leave a plant in want of light, which it was not, are not offered', () => {
    const before = judgeDesign({ design: held, catalogue, alone: true })!;
    const orchid = { id: 'p', name: 'orchid', fit: 0.3, by: 'light', season: 'winter' } as const;
    expect(mendsIn(before, before, 'warm', 'over')).toBe(true);
    expect(mendsIn(before, { ...before, plants: [orchid] }, 'warm', 'over')).toBe(false);
    expect(mendsIn({ ...before, plants: [orchid] }, { ...before, plants: [orchid] }, 'warm', 'over')).toBe(
      true,
    );
  });
});
