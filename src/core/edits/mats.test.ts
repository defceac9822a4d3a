import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { assess } from '../assess';
import type { Design } from '../document';
import type { EditCall } from './edits';

const made = (...calls: EditCall[]): Design =>
  firstDesign('lampropeltis-californiae', 'middle', calls, {
    size: { width: 1.3, depth: 0.6, height: 0.6 },
  });

describe('what is put in comes to lie where it works', () => {
  it('a mat lies under the shallow dry bay, as wide as the bay is, and no soil keeps its heat in', () => {
    const mat = { edit: 'addDevice', change: { kind: 'heat-mat' } } as const;
    const bayed = made({ edit: 'addRegion', change: { kind: 'bark-bay' } }, mat);
    const { outline } = bayed.ground.regions[0]!;
    const xs = outline.map((it) => it.x);
    const device = bayed.climate.devices.at(-1)!;
    expect(device.at.x).toBeCloseTo((Math.min(...xs) + Math.max(...xs)) / 2, 3);
    expect(device.at.z).toBe(0);
    expect(device.length).toBeLessThanOrEqual(Math.max(...xs) - Math.min(...xs) + 1e-9);
    const codes = (design: Design): string[] => assess(design, catalogue).findings.map((it) => it.code);
    expect(codes(bayed)).not.toContain('mat-under-soil');
    expect(codes(made(mat))).toContain('mat-under-soil');
  });

  it('a boulder on the floor is so tall that it is seen', () => {
    const design = made({ edit: 'addPiece', change: { kind: 'boulder' } });
    const { placed } = assess(design, catalogue).scape.pieces.at(-1)!;
    expect(placed.on).toBe('floor');
    expect(placed.solid.bounds.z1 - placed.ground).toBeGreaterThan(0.03);
    expect(assess(design, catalogue).findings.map((it) => it.code)).not.toContain('piece-buried');
  });
});
