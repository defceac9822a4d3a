import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { assess } from '../assess';
import type { Design } from '../document';
import { fallAsks, fittedPump, workingPoint } from '../scape/pump';
import { applyEdit, type EditCall } from './edits';

const FROGS = firstDesign('epipedobates-anthonyi', 'middle', [], {
  size: { width: 0.9, depth: 0.45, height: 0.45 },
});
const edited = (design: Design, ...calls: EditCall[]): Design =>
  calls.reduce((it, call) => applyEdit(it, call, catalogue), design);
const codes = (design: Design): readonly string[] => assess(design, catalogue).findings.map((it) => it.code);
const fixed = (design: Design, code: string): Design =>
  edited(design, assess(design, catalogue).findings.find((it) => it.code === code)!.remedies[0]!.call!);
const LITRES = 3.6e6;

describe('a fall that is added', () => {
  it.each(['waterfall', 'drip-wall'])('%s: has the pump that brings its water up there', (kind) => {
    const design = edited(FROGS, { edit: 'addPiece', change: { kind } });
    const { placed, water } = assess(design, catalogue).scape.pieces.at(-1)!;
    expect(water!.working.flow).toBeGreaterThanOrEqual(fallAsks(placed.piece).flow);
    expect(placed.piece.pump!.hose.length).toBeGreaterThanOrEqual(water!.lift + 0.3 - 1e-9);
    expect(codes(design)).not.toContain('fall-dribbles');
  });

  it('asks 15 L an hour for each cm of lip, and 2 where a wall drips (from memory)', () => {
    const [fall, wall] = ['waterfall', 'drip-wall'].map((kind) =>
      edited(FROGS, { edit: 'addPiece', change: { kind } }).scape.pieces.at(-1)!,
    );
    expect(fallAsks(fall!)).toEqual({ wide: 0.18, flow: expect.closeTo(270 / LITRES, 9) as number });
    expect(fallAsks(wall!).flow * LITRES).toBeCloseTo(50, 6);
  });

  it('weak, is mended by one button: the weakest usual pump that does it', () => {
    const added = edited(FROGS, { edit: 'addPiece', change: { kind: 'waterfall' } });
    const { id, pump } = added.scape.pieces.at(-1)!;
    const weak = edited(added, {
      edit: 'setPiece',
      change: { piece: id, change: { pump: { ...pump!, maxFlow: 200 / LITRES } } },
    });
    expect(codes(weak)).toContain('fall-dribbles');
    const mended = fixed(weak, 'fall-dribbles');
    expect(codes(mended)).not.toContain('fall-dribbles');
    expect(mended.scape.pieces.at(-1)!.pump!.maxFlow * LITRES).toBeCloseTo(600, 6);
  });

  it('no usual pump lifts 250 L an hour five metres; up 20 cm the one of 600 L does', () => {
    expect(fittedPump(250 / LITRES, 5)).toBeUndefined();
    const pump = fittedPump(250 / LITRES, 0.2)!;
    expect(pump.maxFlow * LITRES).toBeCloseTo(600, 6);
    expect(workingPoint(pump, 0.2).flow * LITRES).toBeGreaterThan(250);
  });

  it('has water to stand in by one button, with the bed so deep that the soil stays out of it', () => {
    const dry = edited(FROGS, { edit: 'addPiece', change: { kind: 'waterfall' } });
    expect(codes(dry)).toContain('pump-dry');
    const kept = fixed(dry, 'pump-dry');
    expect(kept.ground.waterDepth).toBe(0.04);
    const bed = kept.ground.layers.find((it) => it.kind === 'drainage')!;
    expect(Math.min(...Object.values(bed.kind === 'drainage' ? bed.thickness : {}))).toBeGreaterThanOrEqual(
      0.055,
    );
    for (const code of ['pump-dry', 'barrier-in-water', 'freeboard-low'])
      expect(codes(kept)).not.toContain(code);
  });
});

describe('water in a pool', () => {
  it('too deep for a small frog, is filled with gravel to a centimetre, which is on the list', () => {
    const deep = edited(
      FROGS,
      { edit: 'addRegion', change: { kind: 'pool' } },
      { edit: 'keepWater', change: { depth: 0.04 } },
    );
    expect(codes(deep)).toContain('pool-too-deep');
    const filled = fixed(deep, 'pool-too-deep');
    expect(codes(filled)).not.toContain('pool-too-deep');
    const [gravel, water] = assess(filled, catalogue).layers.filter((it) => it.region !== null);
    expect(gravel!.layer.kind).toBe('thin');
    expect(gravel!.thickness.frontLeft).toBeCloseTo(0.03, 6);
    expect(water!.thickness.frontLeft).toBeCloseTo(0.01, 6);
    // Once more: what lies there is raised, not laid twice.
    const region = filled.ground.regions[0]!;
    const twice = edited(filled, { edit: 'shallowWater', change: { region: region.id, by: 0.005 } });
    expect(twice.ground.regions[0]!.layers).toHaveLength(region.layers.length);
    expect(
      assess(twice, catalogue).layers.find((it) => it.layer.id === gravel!.layer.id)!.thickness.frontLeft,
    ).toBeCloseTo(0.035, 6);
  });
});

describe('a pool dug where something stands', () => {
  const before = edited(FROGS, { edit: 'proposeLiving', change: {} });
  const pool = edited(before, { edit: 'addRegion', change: { kind: 'pool' } });
  const { x, y } = pool.ground.regions[0]!.outline.reduce(
    (sum, it, _, { length }) => ({ x: sum.x + it.x / length, y: sum.y + it.y / length }),
    { x: 0, y: 0 },
  );

  it('sends cork and plants to the nearest land; nothing is left in the water', () => {
    const moved = (a: Design, b: Design): number =>
      a.scape.pieces.filter((it, i) => it.at !== b.scape.pieces[i]!.at).length +
      a.living.plants.filter((it, i) => it.spot !== b.living.plants[i]!.spot).length;
    expect(moved(before, pool)).toBeGreaterThan(0);
    for (const code of ['piece-under-water', 'plant-under-water']) expect(codes(pool)).not.toContain(code);
  });

  it('what is put there after is told, and brought to land by its button', () => {
    const cork = edited(pool, { edit: 'addPiece', change: { kind: 'cork-half' } });
    const sunk = edited(cork, {
      edit: 'movePiece',
      change: { piece: cork.scape.pieces.at(-1)!.id, to: { x, y } },
    });
    expect(codes(sunk)).toContain('piece-under-water');
    expect(codes(fixed(sunk, 'piece-under-water'))).not.toContain('piece-under-water');
    const spot = { on: 'ground', at: { x, y }, pot: false } as const;
    const plant = edited(pool, { edit: 'addPlant', change: { kind: 'ficus-pumila', spot } });
    expect(codes(plant)).toContain('plant-under-water');
    expect(codes(fixed(plant, 'plant-under-water'))).not.toContain('plant-under-water');
  });
});

describe('a floor that is all water', () => {
  const half = firstDesign('pleurodeles-waltl', 'middle', [], {
    size: { width: 0.8, depth: 0.4, height: 0.45 },
  });
  const all = edited(
    half,
    { edit: 'removeRegion', change: { region: half.ground.regions[0]!.id } },
    { edit: 'setEnclosure', change: { front: 'fixed', watertightHeight: 0.43, wallThickness: 0.008 } },
    { edit: 'setWaterDepth', change: { depth: 0.28 } },
    { edit: 'proposeScape', change: {} },
    { edit: 'proposeLiving', change: {} },
  );

  it('has neither soil to dig in, nor litter, nor a crew, and is not told that it lacks them', () => {
    expect(half.living.crew.length).toBeGreaterThan(0);
    expect(all.living.crew).toEqual([]);
    for (const code of ['too-shallow-to-dig', 'litter-forgotten', 'no-crew', 'too-deep-for-the-box'])
      expect(codes(all)).not.toContain(code);
  });

  it('holds 80 × 40 × 28 cm of water less what lies in it, and hides that do not float', () => {
    const { standingWater } = assess(all, catalogue);
    expect(standingWater * 1000).toBeGreaterThan(78);
    expect(standingWater * 1000).toBeLessThan(89.6);
    const hides = all.scape.pieces.filter((it) => it.entrance !== null).map((it) => it.kind);
    expect(hides.filter((it) => it.startsWith('cork'))).toEqual([]);
    expect(hides.length).toBeGreaterThanOrEqual(2);
  });
});
