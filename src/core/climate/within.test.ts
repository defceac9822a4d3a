import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { firstDesign } from '@/catalogue/testing';
import { assess } from '../assess';
import { findDeviceKind } from '../catalogue';
import type { Design, Device } from '../document';
import { applyEdit } from '../edits';
import { fitted } from '../fitting/fittings';
import { reachesOut } from '.';

/** 90 × 45 × 45 cm. */
const box = firstDesign('eublepharis-macularius', 'middle', [], {
  size: { width: 0.9, depth: 0.45, height: 0.45 },
});
const panel = findDeviceKind(catalogue, 'radiant-panel')!;
const hung = applyEdit(
  box,
  { edit: 'addDevice', change: { kind: panel.id, at: { x: 0.85, y: 0.2, z: 0.42 } } },
  catalogue,
);
const own = (design: Design): Device => design.climate.devices.find((it) => it.kind === panel.id)!;
const codes = (design: Design) =>
  assess(design, catalogue)
    .findings.filter((it) => it.code === 'device-reaches-out')
    .map((it) => it.severity);

describe('what is long and hangs inside', () => {
  it('stays within the walls, wherever it is added, moved, turned or lengthened', () => {
    // 50 cm of panel cannot have their middle nearer than 25 cm to a wall.
    expect(own(hung)).toMatchObject({ at: { x: 0.65, y: 0.2 }, length: 0.5, along: 'x' });
    const { id } = own(hung);
    const moved = applyEdit(
      hung,
      { edit: 'moveDevice', change: { device: id, to: { x: 0.02, y: 0.2, z: 0.42 } } },
      catalogue,
    );
    expect(own(moved).at.x).toBe(0.25);
    const set = (change: Partial<Device>): Device =>
      own(applyEdit(hung, { edit: 'setDevice', change: { device: id, change } }, catalogue));
    // Across 45 cm it does not fit, and is turned back; longer than the box it is cut to it.
    expect(set({ along: 'y' })).toMatchObject({ along: 'x', length: 0.5 });
    expect(set({ length: 1.2 })).toMatchObject({ along: 'x', length: 0.9, at: { x: 0.45 } });
    expect(set({ length: 0.4, along: 'y' })).toMatchObject({ along: 'y', length: 0.4, at: { y: 0.2 } });
    expect(fitted(box, panel, { at: { x: 0.8, y: 0.2, z: 0.4 } }).at.x).toBe(0.65);
    // Over the lid it may reach beyond it.
    const over = applyEdit(
      hung,
      { edit: 'moveDevice', change: { device: id, to: { x: 0.85, y: 0.2, z: 0.49 } } },
      catalogue,
    );
    expect(own(over).at.x).toBe(0.85);
    expect(codes(over)).toEqual([]);
  });

  it('through a wall is told, and brought in by its fix', () => {
    const out: Design = {
      ...hung,
      climate: {
        ...hung.climate,
        devices: hung.climate.devices.map((it) =>
          it.kind === panel.id ? { ...it, at: { ...it.at, x: 0.765 } } : it,
        ),
      },
    };
    const found = assess(out, catalogue).findings.find((it) => it.code === 'device-reaches-out')!;
    expect(codes(out)).toEqual(['severe']);
    const mended = applyEdit(out, found.remedies[0]!.call!, catalogue);
    expect(own(mended).at.x).toBe(0.65);
    expect(codes(mended)).toEqual([]);
  });

  it('is so in every proposal, and in the demo', () => {
    const all = [...demoDesigns(catalogue), ...catalogue.animals.map((it) => firstDesign(it.id))];
    const out = all.flatMap((design) =>
      design.climate.devices.flatMap((it) =>
        reachesOut(design.enclosure, it, findDeviceKind(catalogue, it.kind)?.form ?? '') > 0
          ? [`${design.name}: ${it.name}`]
          : [],
      ),
    );
    expect(out).toEqual([]);
  });
});
