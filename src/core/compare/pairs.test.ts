import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { applyEdit } from '../edits';
import type { Design } from '../document';
import { allDifferencesOf } from '.';

const [hedge] = demoDesigns(catalogue)
  .filter((it) => it.id === 'demo-hedge')
  .map((it) => applyEdit(it, { edit: 'proposeClimate', change: {} }, catalogue));
const design = hedge!;
const climate = (change: Partial<Design['climate']>): Design => ({
  ...design,
  climate: { ...design.climate, ...change },
});
const device = (form: RegExp, change: object): Design =>
  climate({
    devices: design.climate.devices.map((it) => (form.test(it.kind) ? { ...it, ...change } : it)),
  });
const { devices, mist, day } = design.climate;
const held = devices.find((it) => it.kind === 'ceramic-emitter')!;

/** One known difference each. */
const PAIRS: readonly (readonly [string, Design])[] = [
  ['a thermostat 7 K higher', device(/ceramic/, { thermostat: { ...held.thermostat!, day: 32 } })],
  ['its kind of control', device(/ceramic/, { thermostat: { ...held.thermostat!, kind: 'on-off' } })],
  [
    'where its probe lies',
    device(/ceramic/, { thermostat: { ...held.thermostat!, probe: { x: 0.1, y: 0.1, z: 0.1 } } }),
  ],
  [
    'a lamp on the other side',
    device(/bulb/, { at: { ...devices.find((it) => /bulb/.test(it.kind))!.at, x: 0.05 } }),
  ],
  ['when a lamp burns', device(/led/, { timer: { by: 'clock', spans: [{ from: 600, to: 900 }] } })],
  [
    'the warm side',
    { ...design, scape: { ...design.scape, warm: design.scape.warm === 'left' ? 'right' : 'left' } },
  ],
  ['hours of light', climate({ day: { ...day, off: day.off - 120 } })],
  [
    'when it is misted',
    climate({ mist: { ...mist, times: mist.times.map((it) => ({ ...it, at: it.at + 30 })) } }),
  ],
  ['the bottle', climate({ mist: { ...mist, bottle: 0.002 } })],
  ['gauze over the top', climate({ topGauze: 'fine-mesh' })],
  ['cover', { ...design, enclosure: { ...design.enclosure, topCover: 0.4 } }],
  ['water of the tap', climate({ room: { ...design.climate.room, water: 'soft' as never } })],
];

describe('twelve pairs with one known difference each', () => {
  it.each(PAIRS)('%s is told, and nothing else', (_, other) => {
    const found = allDifferencesOf([design, other], catalogue);
    expect(found.length).toBeGreaterThan(0);
    expect(found.length).toBeLessThanOrEqual(3);
    for (const it of found) expect(it.sides[0]).not.toEqual(it.sides[1]);
  });
  it('twelve alike have none, by whatever ids and names their parts go', () => {
    for (let i = 0; i < 12; i += 1) {
      const like: Design = {
        ...design,
        id: `like-${i}`,
        name: `Like ${i}`,
        climate: { ...design.climate, devices: devices.map((it) => ({ ...it, id: `${it.id}-${i}` })) },
        scape: { ...design.scape, pieces: design.scape.pieces.map((it) => ({ ...it, id: `${it.id}-${i}` })) },
      };
      expect(allDifferencesOf([design, like], catalogue)).toEqual([]);
    }
  });
});
