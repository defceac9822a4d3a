import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { firstDesign } from '@/catalogue/testing';
import { assess } from '../../assess';
import { buyingOf, wareKey } from '../../buying';
import type { Design } from '../../document';
import { applyEdit, type EditCall } from '../../edits';

const edited = (design: Design, ...calls: readonly EditCall[]): Design =>
  calls.reduce((it, call) => applyEdit(it, call, catalogue), design);
const told = (design: Design) =>
  assess(design, catalogue).findings.filter((it) => it.code === 'lamp-unguarded');
const guards = (design: Design): number =>
  buyingOf([{ design, assessment: assess(design, catalogue) }], catalogue).rows.find(
    (it) => it.key === wareKey('control', 'lamp-guard'),
  )?.needed ?? 0;
const box = firstDesign('eublepharis-macularius', 'middle', [], {
  size: { width: 0.9, depth: 0.45, height: 0.45 },
});
const hung = (z: number, kind = 'ceramic-emitter'): Design =>
  edited(
    box,
    { edit: 'clearDevices', change: {} },
    { edit: 'addDevice', change: { kind, at: { x: 0.7, y: 0.2, z } } },
  );

describe('what burns and hangs inside', () => {
  it('comes with its guard, which is on the list; over the lid it needs none', () => {
    const inside = hung(0.4);
    expect(inside.climate.devices[0]!.guarded).toBe(true);
    expect(told(inside)).toEqual([]);
    expect(guards(inside)).toBe(1);
    const over = hung(0.49);
    expect(over.climate.devices[0]!.guarded).toBe(false);
    expect(told(over)).toEqual([]);
    expect(guards(over)).toBe(0);
  });

  it('without one is severe, and its fix puts one around it', () => {
    const over = hung(0.49);
    const { id, at } = over.climate.devices[0]!;
    const moved = edited(over, { edit: 'moveDevice', change: { device: id, to: { ...at, z: 0.4 } } });
    expect(moved.climate.devices[0]!.guarded).toBe(true);
    const bare = edited(moved, { edit: 'setDevice', change: { device: id, change: { guarded: false } } });
    expect(told(bare).map((it) => it.severity)).toEqual(['severe']);
    const mended = edited(bare, told(bare)[0]!.remedies[0]!.call!);
    expect(told(mended)).toEqual([]);
    // A bar of light, or a panel, is warm to the hand and no more.
    expect(told(hung(0.4, 'led-bar'))).toEqual([]);
    expect(hung(0.4, 'radiant-panel').climate.devices[0]!.guarded).toBe(false);
  });

  it('over a closed top gives nothing and is severe; its fix hangs it inside, behind its guard', () => {
    const closed = edited(hung(0.49), { edit: 'setEnclosure', change: { top: 'solid' } });
    const found = (design: Design) =>
      assess(design, catalogue).findings.filter((it) => it.code === 'lamp-over-closed-top');
    expect(found(hung(0.49))).toEqual([]);
    expect(found(closed).map((it) => it.severity)).toEqual(['severe']);
    const mended = edited(closed, found(closed)[0]!.remedies[0]!.call!);
    expect(found(mended)).toEqual([]);
    expect(mended.climate.devices[0]).toMatchObject({ at: { z: 0.4 }, guarded: true });
  });

  it('is guarded in every proposal, walk-ins and timber boxes too, and in the demo', () => {
    const rooms = catalogue.animals
      .filter((it) => it.climate.basking !== undefined)
      .map((it) =>
        edited(
          firstDesign(it.id),
          { edit: 'setEnclosure', change: { material: 'timber', top: 'solid', front: 'doors' } },
          { edit: 'proposeClimate', change: {} },
        ),
      );
    expect(rooms.length).toBeGreaterThan(20);
    expect(rooms.every((design) => design.climate.devices.some((it) => it.guarded))).toBe(true);
    for (const design of rooms)
      expect(
        assess(design, catalogue).findings.filter((it) => it.code === 'lamp-over-closed-top'),
        design.name,
      ).toEqual([]);
    expect([...rooms, ...demoDesigns(catalogue)].flatMap((it) => told(it).map(() => it.name))).toEqual([]);
  });
});
