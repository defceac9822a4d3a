import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { siteAt } from '../ground/bodies';
import { assess } from '../assess';
import { applyEdit } from './edits';

/** Some 25 cm of soil, deeper than where a probe would be fixed for its height over the floor alone. */
const DEEP = firstDesign('varanus-acanthurus', 'middle', [], {
  size: { width: 1.5, depth: 0.6, height: 0.6 },
});
const ground = siteAt(DEEP);

describe('what holds a device that is added', () => {
  it('stands in a box whose soil is deeper than a hand', () => {
    expect(ground.groundAt(0.75, 0.3)).toBeGreaterThan(0.12);
  });

  it.each(catalogue.climate.devices.map((it) => it.id))('%s: its probe is in the air', (kind) => {
    const added = applyEdit(DEEP, { edit: 'addDevice', change: { kind } }, catalogue);
    const device = added.climate.devices.at(-1)!;
    expect(device.kind).toBe(kind);
    const codes = assess(added, catalogue).findings.map((it) => it.code);
    expect(codes).not.toContain('probe-buried');
    expect(codes).not.toContain('probe-outside');
  });

  it('is 6 cm over the ground under a heater, at the middle of what the animal wants where it is warm', () => {
    const added = applyEdit(DEEP, { edit: 'addDevice', change: { kind: 'ceramic-emitter' } }, catalogue);
    const { at, thermostat } = added.climate.devices.at(-1)!;
    expect(thermostat!.probe.z - ground.groundAt(at.x, at.y)).toBeCloseTo(0.06, 6);
    const { warm } = catalogue.animals.find((it) => it.id === 'varanus-acanthurus')!.climate;
    expect(thermostat!.day).toBe((warm.value.low + warm.value.high) / 2);
  });

  it('is offered anew, in the same place, to a heater whose thermostat is taken out', () => {
    const added = applyEdit(DEEP, { edit: 'addDevice', change: { kind: 'ceramic-emitter' } }, catalogue);
    const device = added.climate.devices.at(-1)!;
    const loose = applyEdit(
      added,
      { edit: 'setDevice', change: { device: device.id, change: { thermostat: null } } },
      catalogue,
    );
    const told = assess(loose, catalogue).findings.find((it) => it.code === 'heater-unheld')!;
    const mended = applyEdit(loose, told.remedies[0]!.call!, catalogue);
    expect(mended.climate.devices.at(-1)!.thermostat).toEqual(device.thermostat);
  });
});
