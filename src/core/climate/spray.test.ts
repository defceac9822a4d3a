import { describe, expect, it } from 'vitest';
import { sprayOf } from '.';

const box = { width: 0.6, depth: 0.45, height: 0.6 };
const bare = { height: 0.6, groundAt: () => 0, waterAt: () => undefined };

describe('where a nozzle sprays', () => {
  it('drops that leave over a side wet that side', () => {
    const { drops } = sprayOf({ x: 0.3, y: 0.2, z: 0.59 }, 1.3, box, bare, []);
    const on = (wall: string) => drops.filter((it) => it.on === wall);
    for (const wall of ['left', 'right', 'back', 'front', 'ground'])
      expect(on(wall).length, wall).toBeGreaterThan(0);
    expect(new Set(on('front').map((it) => it.y))).toEqual(new Set([0]));
    expect(new Set(on('back').map((it) => it.y))).toEqual(new Set([0.45]));
    expect(new Set(on('left').map((it) => it.x))).toEqual(new Set([0]));
    expect(new Set(on('right').map((it) => it.x))).toEqual(new Set([0.6]));
  });
  it('a nozzle near the front wets the front more than the back', () => {
    const { drops } = sprayOf({ x: 0.3, y: 0.06, z: 0.59 }, 0.9, box, bare, []);
    const on = (wall: string) => drops.filter((it) => it.on === wall).length;
    expect(on('front')).toBeGreaterThan(2 * on('back'));
  });
  it('a narrow cone falls on the floor within its radius: 0.5 m · tan 0.3', () => {
    const { drops } = sprayOf({ x: 0.3, y: 0.22, z: 0.5 }, 0.3, box, bare, []);
    expect(drops.every((it) => it.on === 'ground')).toBe(true);
    const far = Math.max(...drops.map((it) => Math.hypot(it.x - 0.3, it.y - 0.22)));
    expect(far).toBeLessThan(0.5 * Math.tan(0.3) + 0.005);
    // Its outermost ring lies at the middle of the last sixth of the solid angle.
    const cos = 1 - (5.5 / 6) * (1 - Math.cos(0.3));
    expect(far).toBeCloseTo(0.5 * Math.tan(Math.acos(cos)), 2);
  });
});
