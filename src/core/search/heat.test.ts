import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { findAnimal, findDeviceKind } from '../catalogue';
import type { Design } from '../document';
import { firstDesign } from '@/catalogue/testing';
import { siteAt } from '../ground/bodies';
import { NO_LOCKS, play, runSearch } from '.';
import { NOTHING } from './look';
import { coolHeater, heaterKind, heatersOn } from './heat';

describe('heaters', () => {
  const start = firstDesign('correlophus-ciliatus', 'middle');
  it('a heater over the middle warms the warm side, whichever that is', () => {
    const heater = start.climate.devices.find((it) => it.thermostat)!;
    for (const warm of ['left', 'right'] as const) {
      const at = (x: number): Design => ({
        ...start,
        scape: { ...start.scape, warm },
        climate: {
          ...start.climate,
          devices: start.climate.devices.map((it) =>
            it.id === heater.id ? { ...it, at: { ...it.at, x: x * start.enclosure.width } } : it,
          ),
        },
      });
      expect(heatersOn('warm', at(0.5), catalogue).map((it) => it.id)).toContain(heater.id);
      expect(heatersOn('cool', at(warm === 'left' ? 0.9 : 0.1), catalogue).map((it) => it.id)).toContain(
        heater.id,
      );
    }
  });
  it('for the cool side of a large enclosure: of powers as they are made, three abreast at the most, and some fit', () => {
    const design = firstDesign('basiliscus-plumifrons', 'middle');
    const animal = findAnimal(catalogue, 'basiliscus-plumifrons')!;
    const moves = coolHeater({ design, animal, catalogue, locks: NO_LOCKS });
    expect(moves.map((it) => it.id)).toEqual([
      'infrared-emitter over the cool side',
      'ceramic-emitter over the cool side',
      'radiant-panel over the cool side',
    ]);
    const { all } = runSearch(play(design, moves, NOTHING, 0.5, catalogue), catalogue);
    expect(all.length).toBeGreaterThanOrEqual(3);
    const known = new Set(design.climate.devices.map((it) => it.id));
    for (const { move } of all) {
      const added = move.design.climate.devices.filter((it) => !known.has(it.id));
      expect(added.length, move.id).toBeLessThanOrEqual(3);
      expect(new Set(added.map((it) => it.id)).size).toBe(added.length);
      for (const it of added) expect(findDeviceKind(catalogue, it.kind)!.powers).toContain(it.power);
    }
  });

  it('under a ceiling two metres off hang on a wire half a metre over the ground; under a near one they do not', () => {
    const animal = findAnimal(catalogue, 'testudo-hermanni')!;
    const high = (height: number): readonly (readonly [string, number])[] => {
      const design = firstDesign('testudo-hermanni', 'middle', [
        { edit: 'setEnclosure', change: { width: 2, depth: 1.2, height, build: 'walk-in' } },
      ]);
      const ground = siteAt(design).groundAt(1.7, 0.36);
      return heaterKind({ design, animal, catalogue, locks: NO_LOCKS }).map(({ id, design: next, size }) => [
        id,
        next.climate.devices.find((it) => it.id === size)!.at.z - ground,
      ]);
    };
    const tall = high(2.1);
    expect(tall.slice(0, 3).map(([id]) => id)).toEqual([
      'infrared-emitter on a wire',
      'ceramic-emitter on a wire',
      'radiant-panel on a wire',
    ]);
    for (const [id, above] of tall.slice(0, 3)) {
      expect(above, id).toBeGreaterThanOrEqual(0.499);
      expect(above, id).toBeLessThan(0.8);
    }
    expect(high(0.9).some(([id]) => id.endsWith('on a wire'))).toBe(false);
  });
});
