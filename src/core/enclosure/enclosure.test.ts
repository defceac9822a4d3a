import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { applyEdit } from '../edits';
import { proposeDesign } from '../propose';
import { type Enclosure } from '../document';
import {
  bendingFactor,
  checkPanes,
  emptyMass,
  FLOOR_DESIGN,
  loadsOf,
  makingOf,
  outsideSize,
  paneNeeded,
  sealingOf,
  type Piece,
} from '.';

const box: Enclosure = {
  build: 'box',
  width: 0.6,
  depth: 0.45,
  height: 0.6,
  stands: 'upright',
  material: 'glass',
  wallThickness: 0.005,
  screened: [],
  panels: [],
  top: 'open',
  topCover: 0,
  front: 'fixed',
  watertightHeight: 0.2,
  emptyMass: null,
  standRating: null,
  made: { doors: 'sliding', ventLow: 0, ventHigh: 0, bores: [], board: 'birch-plywood', seal: 'none' },
};

describe('water against glass', () => {
  // β of a pane held at three edges, top free: Timoshenko's tables of plates, as the handbooks of tank builders give
  // them (from memory): 0.16, 0.26, 0.32, 0.37 for length over height 1, 1.5, 2, 3.
  it.each([
    [0.5, 0.16],
    [1, 0.16],
    [1.25, 0.21],
    [1.5, 0.26],
    [2, 0.32],
    [2.5, 0.345],
    [3, 0.37],
    [10, 0.37],
  ])('length over height %d bends by %d', (ratio, beta) => {
    expect(bendingFactor(ratio)).toBeCloseTo(beta, 9);
  });

  it('by hand: a metre of pane, half a metre of water', () => {
    // √(0.32 · 998 · 9.80665 · 0.125 / (19.2e6 / 3.8)) m = 8.802 mm
    expect(paneNeeded(1, 0.5) * 1000).toBeCloseTo(8.802, 2);
    // A third of a metre cube: √(0.16 · 9787 · 0.027 / 5.0526e6) = 2.893 mm
    expect(paneNeeded(0.3, 0.3) * 1000).toBeCloseTo(2.893, 2);
    expect(paneNeeded(1, 0)).toBe(0);
  });

  it('deeper water and longer panes never ask for thinner glass', () => {
    const side = fc.double({ min: 0.05, max: 2, noNaN: true });
    fc.assert(
      fc.property(side, side, side, (long, a, b) => {
        const [low, high] = [Math.min(a, b), Math.max(a, b)];
        return (
          paneNeeded(long, low) <= paneNeeded(long, high) + 1e-12 &&
          paneNeeded(low, long) <= paneNeeded(high, long) + 1e-12
        );
      }),
    );
  });

  it('is asked of glass with water behind it, and of nothing else', () => {
    expect(checkPanes(box, 0)).toBeUndefined();
    expect(checkPanes({ ...box, material: 'pvc' }, 0.1)).toBeUndefined();
    const check = checkPanes(box, 0.1)!;
    expect(check).toMatchObject({ kept: 0.1, flooded: 0.2 });
    expect(check.neededFlooded).toBeGreaterThan(check.neededKept);
    expect(checkPanes({ ...box, watertightHeight: 0.05 }, 0.1)!.flooded).toBe(0.1);
  });
});

describe('loads', () => {
  it('by hand: 100 kg on 61 × 46 cm', () => {
    const loads = loadsOf(box, 100);
    expect(loads.footprint).toBeCloseTo(0.61 * 0.46, 12);
    expect(loads.perArea).toBeCloseTo(356.38, 2);
    expect(loads.pressure / 1000).toBeCloseTo(3.495, 3);
  });
  it('floors of dwellings: 1.5 to 2.0 kN/m² (EN 1991-1-1, table 6.2, category A)', () => {
    expect(FLOOR_DESIGN).toEqual({ low: 1500, high: 2000 });
  });
});

describe('outside', () => {
  it('is the inside and its walls; a lid counts where it is solid, a floor where there is one', () => {
    expect(outsideSize(box)).toEqual({
      width: expect.closeTo(0.61, 12),
      depth: expect.closeTo(0.46, 12),
      height: expect.closeTo(0.605, 12),
    });
    expect(outsideSize({ ...box, top: 'solid' }).height).toBeCloseTo(0.61, 12);
    expect(outsideSize({ ...box, build: 'walk-in' }).height).toBeCloseTo(0.6, 12);
  });

  it('a gauze wall weighs less than the pane it stands for, a walk-in has no floor', () => {
    const kg = (change: Partial<Enclosure>): number => emptyMass({ ...box, ...change }).kg;
    expect(kg({ screened: ['left'] })).toBeLessThan(kg({}));
    expect(kg({})).toBeCloseTo(19.125, 9);
    expect(kg({}) - kg({ build: 'walk-in' })).toBeCloseTo(0.27 * 0.005 * 2500, 9);
  });
});

describe('an enclosure to be made', () => {
  const area = (pieces: readonly Piece[], of: Piece['of']): number =>
    pieces.filter((it) => it.of === of).reduce((sum, it) => sum + it.count * it.width * it.height, 0);
  const named = (pieces: readonly Piece[], name: string): Piece => {
    const found = pieces.find((it) => it.name === name);
    if (!found) throw new Error(`no ${name} among ${pieces.map((it) => it.name).join(', ')}`);
    return found;
  };

  it('fixed front: floor, back, front over the whole outside; sides between them', () => {
    const { pieces } = makingOf(box);
    expect(pieces.map((it) => [it.name, it.width, it.height])).toEqual([
      ['Floor', expect.closeTo(0.61, 12), expect.closeTo(0.46, 12)],
      ['Back', expect.closeTo(0.61, 12), 0.6],
      ['Left side', 0.45, 0.6],
      ['Right side', 0.45, 0.6],
      ['Front', expect.closeTo(0.61, 12), 0.6],
    ]);
    expect(pieces.every((it) => it.thickness === 0.005)).toBe(true);
  });

  it('its panes enclose the enclosure: their volume is outside less inside', () => {
    fc.assert(
      fc.property(
        fc.record({
          width: fc.double({ min: 0.2, max: 2, noNaN: true }),
          depth: fc.double({ min: 0.2, max: 2, noNaN: true }),
          height: fc.double({ min: 0.2, max: 2, noNaN: true }),
          wallThickness: fc.double({ min: 0.003, max: 0.02, noNaN: true }),
          top: fc.constantFrom('open' as const, 'solid' as const),
        }),
        (sides) => {
          const made = { ...box, ...sides };
          const outer = outsideSize(made);
          const walls = area(makingOf(made).pieces, 'wall') * made.wallThickness;
          const shell = outer.width * outer.depth * outer.height - made.width * made.depth * made.height;
          return Math.abs(walls - shell) < 1e-9;
        },
      ),
    );
  });

  it('sliding panes pass each other by 3 cm, hinged leaves leave play; both fill the opening', () => {
    const doors = { ...box, front: 'doors' as const, made: { ...box.made, ventLow: 0.04 } };
    const sliding = named(makingOf(doors).pieces, 'Sliding panes');
    expect(sliding).toMatchObject({ count: 2, width: expect.closeTo(0.315, 12) });
    // 60 less the sill of 20, the vent of 4 and the track of 0.8
    expect(sliding.height).toBeCloseTo(0.352, 12);
    const hinged = named(
      makingOf({ ...doors, made: { ...doors.made, doors: 'hinged' } }).pieces,
      'Hinged leaves',
    );
    expect(2 * hinged.width).toBeCloseTo(0.6 - 0.006, 12);
    expect(hinged.note).toMatch(/lock/);
    expect(named(makingOf(doors).pieces, 'Front, sill').height).toBeCloseTo(0.2, 12);
    expect(named(makingOf(doors).pieces, 'Vent strip under the doors')).toMatchObject({
      of: 'gauze',
      height: 0.04,
    });
  });

  it('a vent over the back takes its height from the back', () => {
    const { pieces } = makingOf({ ...box, made: { ...box.made, ventHigh: 0.1 } });
    expect(named(pieces, 'Back').height).toBeCloseTo(0.5, 12);
    expect(named(pieces, 'Vent strip over the back').height).toBeCloseTo(0.1, 12);
  });

  it('a screened wall stands on a sill as high as the enclosure holds water', () => {
    const { pieces } = makingOf({ ...box, screened: ['left'] });
    expect(named(pieces, 'Left side, sill').height).toBeCloseTo(0.2, 12);
    expect(named(pieces, 'Left side, gauze in a frame')).toMatchObject({
      of: 'gauze',
      height: expect.closeTo(0.4, 12),
    });
    const dry = makingOf({ ...box, screened: ['left'], watertightHeight: 0 }).pieces;
    expect(dry.map((it) => it.name)).not.toContain('Left side, sill');
  });

  it('a mesh enclosure is gauze all round', () => {
    const { pieces } = makingOf({ ...box, material: 'mesh', top: 'mesh', watertightHeight: 0 });
    expect(pieces.filter((it) => it.of === 'wall').map((it) => it.name)).toEqual(['Floor']);
    expect(pieces.filter((it) => it.of === 'gauze')).toHaveLength(5);
  });

  it('a walk-in has no floor, a door one walks through, and studs at most 60 cm apart', () => {
    const room = {
      ...box,
      build: 'walk-in' as const,
      material: 'timber' as const,
      width: 3,
      depth: 2,
      height: 2.2,
    };
    const { pieces } = makingOf(room);
    expect(pieces.map((it) => it.name)).not.toContain('Floor');
    expect(named(pieces, 'Door')).toMatchObject({ width: 0.7, height: 2 });
    // 6 along each long wall, and between the corners 3 along each short one
    expect(named(pieces, 'Studs').count).toBe(18);
  });

  it('wood is sealed over its inside and its edges: litres by coats and coverage, or a liner', () => {
    const timber = { ...box, material: 'timber' as const, wallThickness: 0.018 };
    const { sealArea } = makingOf(timber);
    expect(sealArea).toBeGreaterThan(0.27 + 2 * (0.6 + 0.45) * 0.6);
    expect(makingOf(box).sealArea).toBe(0);
    expect(sealingOf(timber, sealArea)).toBeUndefined();
    const sealed = (seal: Enclosure['made']['seal']) =>
      sealingOf({ ...timber, made: { ...timber.made, seal } }, sealArea)!;
    // Three coats at 10 m² a litre; two coats at 4 m².
    expect(sealed('varnish').volume * 1000).toBeCloseTo((3 * sealArea) / 10, 12);
    expect(sealed('epoxy').volume * 1000).toBeCloseTo((2 * sealArea) / 4, 12);
    expect(sealed('liner').liner).toBeCloseTo((0.6 + 0.4) * (0.45 + 0.4), 12);
  });
});

describe('an enclosure that changes size', () => {
  const start = proposeDesign(
    {
      id: 'x',
      name: 'x',
      animal: 'theloderma-corticale',
      count: 1,
      size: { width: 0.6, depth: 0.45, height: 0.6 },
      room: { kind: 'middle', temperature: null, humidity: null },
    },
    catalogue,
  );
  it('keeps regions, holes and tubes at their place in the floor', () => {
    const land = start.ground.regions[0]!;
    const barrier = land.layers.find((it) => it.kind === 'barrier')!;
    const pierced = applyEdit(
      applyEdit(
        start,
        { edit: 'setHoles', change: { layer: barrier.id, holes: [{ x: 0.3, y: 0.4, diameter: 0.02 }] } },
        catalogue,
      ),
      { edit: 'setOutlet', change: { outlet: { kind: 'siphon', diameter: 0.03, at: { x: 0.5, y: 0.4 } } } },
      catalogue,
    );
    const wide = applyEdit(pierced, { edit: 'setEnclosure', change: { width: 1.2 } }, catalogue);
    expect(wide.ground.regions[0]!.outline.map((it) => it.x)).toEqual(
      land.outline.map((it) => expect.closeTo(it.x * 2, 9)),
    );
    expect(wide.ground.regions[0]!.outline.map((it) => it.y)).toEqual(land.outline.map((it) => it.y));
    const moved = wide.ground.regions[0]!.layers.find((it) => it.kind === 'barrier');
    expect(moved).toMatchObject({ holes: [{ x: 0.6, y: 0.4, diameter: 0.02 }] });
    expect(wide.ground.outlet).toMatchObject({ at: { x: 1, y: 0.4 } });
    const back = applyEdit(wide, { edit: 'setEnclosure', change: { width: 0.6 } }, catalogue);
    expect(back).toEqual(pierced);
  });
});
