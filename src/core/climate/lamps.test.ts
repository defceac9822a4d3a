import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { findGauze } from '../catalogue';
import type { Design } from '../document';
import { agedUv, burned, lampsOf, overLid } from './lamps';

const start = firstDesign('furcifer-pardalis', 'middle');
/** One tube over the gauze, so much of the top covered. */
function covered(topCover: number): Design {
  const { width, depth, height } = start.enclosure;
  const tube = start.climate.devices.find((it) => it.kind.startsWith('uv-tube'))!;
  return {
    ...start,
    enclosure: { ...start.enclosure, build: 'box', top: 'mesh', topCover },
    climate: {
      ...start.climate,
      devices: [{ ...tube, length: 0.6, since: null, at: { x: width / 2, y: depth / 2, z: height + 0.03 } }],
      meter: null,
    },
  };
}

describe('UV of a lamp over the lid', () => {
  it('is what the gauze lets through, at both ends of its range', () => {
    const [bare] = lampsOf(covered(0), catalogue, null);
    const gauze = findGauze(catalogue, start.climate.topGauze)!.uv.value;
    const inside = covered(0);
    const [under] = lampsOf(
      {
        ...inside,
        climate: {
          ...inside.climate,
          devices: inside.climate.devices.map((it) => ({
            ...it,
            at: { ...it.at, z: start.enclosure.height - 0.05 },
          })),
        },
      },
      catalogue,
      null,
    );
    expect(overLid(bare!.device, inside)).toBe(true);
    const edge = (it: typeof bare, side: 'low' | 'high'): number => it!.lamp.uvIndex * it!.uv[side];
    expect(edge(bare, 'low') / edge(under, 'low')).toBeCloseTo(gauze.low, 9);
    expect(edge(bare, 'high') / edge(under, 'high')).toBeCloseTo(gauze.high, 9);
  });
  it('a cover that leaves half of its place open halves the lower figure, and the upper one too', () => {
    const { width, depth } = start.enclosure;
    // A tube of 60 cm under its reflector stands over 0.6 · 0.07 m².
    const foot = 0.6 * 0.07;
    const [bare] = lampsOf(covered(0), catalogue, null);
    const [half] = lampsOf(covered(1 - (0.5 * foot) / (width * depth)), catalogue, null);
    const edge = (it: typeof bare, side: 'low' | 'high'): number => it!.lamp.uvIndex * it!.uv[side];
    expect(edge(half, 'low') / edge(bare, 'low')).toBeCloseTo(0.5, 9);
    expect(edge(half, 'high') / edge(bare, 'high')).toBeCloseTo(0.5, 9);
  });
  it('halves with each half-life it has burned', () => {
    const [tube] = covered(0).climate.devices;
    expect(burned({ ...tube!, since: '2026-01-01' }, '2026-04-11', 12)).toBe(1200);
    expect(burned({ ...tube!, since: null }, '2026-04-11', 12)).toBe(0);
    expect(agedUv(0, 4000)).toBe(1);
    expect(agedUv(8000, 4000)).toBe(0.25);
  });
});
