import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { assess } from '../assess';
import { buyingOf, wareKey } from '../buying';
import type { Design } from '../document';
import { applyEdit, type EditCall } from '../edits';
import { mistBy } from './misting';

const edited = (design: Design, ...calls: EditCall[]): Design =>
  calls.reduce((it, call) => applyEdit(it, call, catalogue), design);
/** Misted by hand, 40 pulls in the morning; in summer 20. */
const HAND = edited(
  firstDesign('correlophus-ciliatus', 'middle', [], { size: { width: 0.45, depth: 0.45, height: 0.6 } }),
  { edit: 'clearDevices', change: {} },
  {
    edit: 'setClimate',
    change: {
      mist: { by: 'hand', times: [{ at: 420, seconds: 40 }], everyDays: 1, bottle: null },
      seasons: [
        {
          id: 'season-1',
          name: 'Summer',
          from: 6,
          until: 8,
          topCover: null,
          mist: { times: [{ at: 420, seconds: 20 }], everyDays: 1 },
          devices: [],
        },
      ],
    },
  },
);
const nozzle: EditCall = { edit: 'addDevice', change: { kind: 'nozzle-fine' } };
const bought = (design: Design, control: string): number =>
  buyingOf([{ design, assessment: assess(design, catalogue) }], catalogue).rows.find(
    (it) => it.key === wareKey('control', control),
  )?.needed ?? 0;

describe('a first nozzle', () => {
  const fitted = edited(HAND, nozzle);

  it('takes over the misting, with as much water: 40 pulls of 1.2 mL are 44 s at 1.1 mL/s', () => {
    expect(fitted.climate.mist).toEqual({
      by: 'nozzles',
      times: [{ at: 420, seconds: 44 }],
      everyDays: 1,
      bottle: 0.01,
    });
    expect(fitted.climate.seasons[0]!.mist!.times[0]!.seconds).toBe(22);
    expect(assess(fitted, catalogue).findings.map((it) => it.code)).not.toContain('nozzles-undriven');
  });

  it('brings pump, bottle, filter, a timer by the second and its hose to the list; by hand there is none', () => {
    const all = ['misting-pump', 'misting-bottle', 'misting-filter', 'misting-timer', 'misting-hose'];
    // 60 cm up twice and half a metre to spare.
    expect(all.map((it) => bought(fitted, it))).toEqual([1, 1, 1, 1, 2]);
    expect(all.map((it) => bought(HAND, it))).toEqual([0, 0, 0, 0, 0]);
    // On the mains nothing is filled.
    const mains = edited(fitted, {
      edit: 'setClimate',
      change: { mist: { ...fitted.climate.mist, bottle: null } },
    });
    expect(bought(mains, 'misting-bottle')).toBe(0);
    expect(bought(mains, 'misting-pump')).toBe(1);
  });

  it('gives it back to the hand when it is taken out', () => {
    const out = edited(fitted, {
      edit: 'removeDevice',
      change: { device: fitted.climate.devices.at(-1)!.id },
    });
    expect(out.climate.mist).toEqual(HAND.climate.mist);
    expect(out.climate.seasons).toEqual(HAND.climate.seasons);
  });

  it('leaves what runs by the clock as it is when a second one is added', () => {
    const two = edited(fitted, nozzle);
    expect(two.climate.mist).toEqual(fitted.climate.mist);
    expect(mistBy(two.climate, 'nozzles', 0.0022)).toEqual({
      mist: two.climate.mist,
      seasons: two.climate.seasons,
    });
  });

  it('where none is, the fix that mists by hand gives as much water: 44 s are 40 pulls again', () => {
    const bare = {
      ...fitted,
      climate: {
        ...fitted.climate,
        devices: fitted.climate.devices.filter((it) => it.kind !== 'nozzle-fine'),
      },
    };
    const found = assess(bare, catalogue).findings.find((it) => it.code === 'no-nozzles')!;
    const { mist } = edited(bare, found.remedies[0]!.call!).climate;
    expect(mist).toEqual({ ...HAND.climate.mist, times: [{ at: 420, seconds: 40 }] });
  });
});

describe('a dimmer', () => {
  const bar = (dim: number): Design => {
    const added = edited(HAND, { edit: 'addDevice', change: { kind: 'led-bar' } });
    return edited(added, {
      edit: 'setDevice',
      change: { device: added.climate.devices.at(-1)!.id, change: { dim } },
    });
  };

  it('is bought for a lamp that is dimmed, and for no other', () => {
    expect([bought(bar(1), 'dimmer'), bought(bar(0.6), 'dimmer')]).toEqual([0, 1]);
  });
});
