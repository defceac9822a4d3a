import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { cellModel } from '../climate/cells';
import { lidFor, readyOf, settled, simulate } from '../climate';
import { applyEdit } from '../edits';
import type { Design, Enclosure } from '../document';
import { proposeDesign } from '../propose';
import { letsThrough, WALL_STUFF } from '../climate/walls';
import { changedParts, marksOf } from '../climate/calibrated';
import { differencesOf } from '../compare';
import { checkPanes, emptyMass, isGauze, lidOf, makingOf, outsideSize, sealingOf, sideOf } from '.';

const room = { kind: 'middle', temperature: null, humidity: null } as const;
const designed = (animal: string, size: readonly [number, number, number]): Design =>
  proposeDesign(
    {
      id: 'a',
      name: 'A',
      today: '2026-06-01',
      animal,
      count: 1,
      room,
      size: { width: size[0], depth: size[1], height: size[2] },
    } as never,
    catalogue,
  );
const timber = (change: Partial<Enclosure> = {}): Design =>
  applyEdit(
    designed('heterodon-nasicus', [1.2, 0.6, 0.6]),
    {
      edit: 'setEnclosure',
      change: { material: 'timber', wallThickness: 0.018, top: 'solid', topCover: 0, panels: [], ...change },
    },
    catalogue,
  );
const wall = (
  design: Design,
  of: Enclosure['panels'][number]['wall'],
  as: 'glass' | 'gauze' | 'box' | 'acrylic',
) => applyEdit(design, { edit: 'setWall', change: { wall: of, as } }, catalogue);

describe('walls of another make than their box', () => {
  const glazed = wall(timber(), 'front', 'glass').enclosure;

  it('a front of glass in a box of board: two panes, each over half of it, as thick as is usual', () => {
    expect(glazed.panels).toEqual([{ wall: 'front', material: 'glass', thickness: 0.005 }]);
    const { pieces, sealArea } = makingOf(glazed);
    expect(pieces.find((it) => it.of === 'door')).toMatchObject({
      name: 'Sliding panes',
      count: 2,
      material: 'glass',
      thickness: 0.005,
    });
    expect(new Set(pieces.filter((it) => it.of === 'wall').map((it) => it.material))).toEqual(
      new Set(['timber']),
    );
    // Panes are not varnished: the board is, by hand with its edges.
    const board = pieces.filter((it) => it.material === 'timber');
    expect(sealArea).toBeCloseTo(
      board.reduce((sum, it) => sum + it.width * it.height + 2 * (it.width + it.height) * 0.018, 0),
      9,
    );
    expect(sealingOf({ ...glazed, made: { ...glazed.made, seal: 'varnish' } }, sealArea)!.volume).toBeCloseTo(
      (sealArea * 3) / 10 / 1000,
      9,
    );
  });

  it('doors slide within the frame: the box is no thinner outside; a fixed pane is where it is', () => {
    expect(outsideSize(glazed).depth).toBeCloseTo(0.6 + 2 * 0.018, 9);
    expect(outsideSize({ ...glazed, front: 'fixed' }).depth).toBeCloseTo(0.6 + 0.018 + 0.005, 9);
  });

  it('by hand: its mass is that of each wall', () => {
    // Sides 2 × 0.36, back 0.72, floor and lid 2 × 0.72 m² of 18 mm board of 650; 0.72 m² of 5 mm glass of 2500 kg/m³.
    expect(emptyMass({ ...glazed, top: 'solid' }).kg).toBeCloseTo(
      (0.72 + 0.72 + 1.44) * 0.018 * 650 + 0.72 * 0.005 * 2500,
      6,
    );
  });

  it('a wall turns back to gauze, and to what the box is', () => {
    const gauze = wall({ ...timber(), enclosure: glazed }, 'front', 'gauze');
    expect(gauze.enclosure).toMatchObject({ screened: ['front'], panels: [] });
    expect(isGauze(gauze.enclosure, 'front')).toBe(true);
    const back = wall(gauze, 'front', 'box');
    expect(back.enclosure).toMatchObject({ screened: [], panels: [] });
    expect(sideOf(back.enclosure, 'front')).toEqual({ material: 'timber', thickness: 0.018 });
  });

  it('a cage of gauze with a back of board lets no air through there', () => {
    const cage = applyEdit(
      timber({ material: 'mesh', wallThickness: 0.001 }),
      { edit: 'setWall', change: { wall: 'back', as: 'timber' } },
      catalogue,
    ).enclosure;
    expect(isGauze(cage, 'back')).toBe(false);
    expect(isGauze(cage, 'left')).toBe(true);
    expect(sideOf(cage, 'back')).toEqual({ material: 'timber', thickness: 0.015 });
    expect(makingOf(cage).pieces.find((it) => it.name === 'Back')).toMatchObject({
      of: 'wall',
      material: 'timber',
    });
  });

  it('water asks the pane that is nearest its limit, whichever wall it is', () => {
    const tank = timber({ front: 'fixed', watertightHeight: 0.4 }).enclosure;
    expect(checkPanes(tank, 0.4)).toBeUndefined();
    const window: Enclosure = { ...tank, panels: [{ wall: 'left', material: 'glass', thickness: 0.006 }] };
    const check = checkPanes(window, 0.4)!;
    expect(check).toMatchObject({ side: 'left', own: true, thickness: 0.006 });
    // A pane 60 cm long under 40 cm of water, by hand: √(0.26 · 998.2 · 9.80665 · 0.064 / 5.0526e6) m.
    expect(check.neededKept * 1000).toBeCloseTo(Math.sqrt((0.26 * 998.2 * 9.80665 * 0.064) / 5.05263), 1);
  });

  it('turned on its end, the make of a wall goes where the wall goes; what comes to lie below is of the box', () => {
    const made: Enclosure['panels'] = [
      { wall: 'top', material: 'acrylic', thickness: 0.004 },
      { wall: 'right', material: 'glass', thickness: 0.005 },
    ];
    const turned = applyEdit(
      timber({ panels: made }),
      { edit: 'turnEnclosure', change: { front: 'lid' } },
      catalogue,
    );
    expect(turned.enclosure.panels).toEqual([{ wall: 'front', material: 'acrylic', thickness: 0.004 }]);
  });
});

describe('what a pane in a wall does to the climate', () => {
  const cell = (design: Design) =>
    cellModel({
      design,
      cell: 0,
      groundHeight: [0.1, 0.1],
      tierHeight: 0.3,
      pieces: [],
      columnAt: () => 0,
      leafy: 0,
      catalogue,
    });

  it('by hand: heat through its front is that of glass, through the others that of board (ISO 6946)', () => {
    const [board, glazed] = [cell(timber()), cell(wall(timber(), 'front', 'glass'))];
    const half = 0.6 * 0.2;
    const [asBoard, asGlass] = [half / (0.018 / 0.13 + 0.13), half / (0.005 / 1 + 0.13)];
    expect(glazed.pane.toRoom - board.pane.toRoom).toBeCloseTo(asGlass - asBoard, 9);
    expect(glazed.pane.area).toBeCloseTo(board.pane.area, 9);
    expect(glazed.pane.heat - board.pane.heat).toBeCloseTo(
      half * (0.005 * 2500 * 750 - 0.018 * 650 * 1600),
      6,
    );
    // The whole wall of both films, as the standard has it.
    expect(letsThrough([{ thickness: 0.005, conducts: WALL_STUFF.glass.conducts }])).toBeCloseTo(
      1 / 0.265,
      6,
    );
  });

  it('a closed top of acrylic lets the lamp over it shine in; one of board does not', () => {
    const bar = catalogue.climate.devices.find((it) => it.id === 'led-bar')!;
    const [board, window] = [timber(), wall(timber(), 'top', 'acrylic')];
    expect(lidFor(board, catalogue, 'visible', bar).passes).toBe(0);
    expect(lidFor(window, catalogue, 'visible', bar).passes).toBeGreaterThan(0.8);
    expect(lidOf(window.enclosure)).toEqual({ material: 'acrylic', thickness: 0.006 });
  });

  it('played through, the same box is cooler behind glass than behind board', () => {
    const warmth = (design: Design): number => {
      const ready = readyOf(
        applyEdit(design, { edit: 'proposeClimate', change: {} }, catalogue),
        catalogue,
        15,
      );
      const run = simulate({
        box: { ...ready.box, heaters: ready.box.heaters.map((it) => ({ ...it, control: null })) },
        weather: ready.weather(3, null),
        plan: ready.plan,
        days: 2,
        every: 3600,
        start: settled(ready),
      });
      const at = run.series.air0;
      return at.reduce((sum, it) => sum + it, 0) / at.length;
    };
    expect(warmth(timber()) - warmth(wall(timber(), 'front', 'glass'))).toBeGreaterThan(0.3);
  });

  it('a calibration lapses with a wall of another make; boxes of one make are marked as before', () => {
    const [board, glazed] = [timber(), wall(timber(), 'front', 'glass')];
    expect(marksOf(glazed).shell).not.toBe(marksOf(board).shell);
    expect(changedParts(board)).toEqual([]);
  });
});

describe('what is said of it', () => {
  it('two boxes that differ in a wall are told apart by it', () => {
    const [a, b] = [timber(), wall(timber(), 'back', 'glass')];
    const told = differencesOf([a, b], catalogue).filter((it) => it.where === 'enclosure');
    expect(told.map((it) => it.what)).toContain('Back wall');
  });

  it('a long box of foamed PVC is proposed with panes of glass for doors', () => {
    const { enclosure } = designed('pogona-vitticeps', [1.5, 0.6, 0.6]);
    expect(enclosure).toMatchObject({
      material: 'pvc',
      panels: [{ wall: 'front', material: 'glass', thickness: 0.005 }],
    });
  });
});
