import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { assess } from '../assess';
import { applyEdit, type EditCall } from '../edits';
import { proposeDesign } from '../propose';
import { type Design } from '../document';
import { METRIC, formatMessage, US, type UnitPrefs } from '../units';

const FROG = 'dendrobates-tinctorius';
const SMALL_FROG = 'ranitomeya-imitator';
const BOA = 'eryx-colubrinus';

const build = (animal: string | null, ...calls: EditCall[]): Design =>
  calls.reduce(
    (design, call) => applyEdit(design, call, catalogue),
    proposeDesign(
      {
        id: 'x',
        name: 'x',
        animal,
        count: 1,
        size: { width: 0.6, depth: 0.45, height: 0.6 },
        room: { kind: 'middle', temperature: null, humidity: null },
      },
      catalogue,
    ),
  );

/** What a finding says, in words; undefined where it is not raised. */
function said(design: Design, code: string, prefs: UnitPrefs = METRIC) {
  const found = assess(design, catalogue).findings.find((it) => it.code === code);
  const words = (it: Parameters<typeof formatMessage>[0]): string =>
    formatMessage(it, { prefs, locale: 'en' }).replaceAll('\u00a0', ' ');
  return found && { ...found, what: words(found.what), because: words(found.because) };
}
const outline = (x: number, y: number, width: number, depth: number): EditCall => ({
  edit: 'setOutline',
  change: {
    region: 'region-1',
    outline: [
      { x, y },
      { x: x + width, y },
      { x: x + width, y: y + depth },
      { x, y: y + depth },
    ],
  },
});
const add = (kind: 'pool' | 'bowl' | 'den'): EditCall => ({ edit: 'addRegion', change: { kind } });

describe('a pool', () => {
  it('in the middle has its whole edge to hold back, in a corner only two sides of it', () => {
    expect(said(build(FROG, add('pool'), outline(0.2, 0.1, 0.2, 0.1)), 'pool-edge')?.because).toMatch(
      /^Its edge runs 60 cm/,
    );
    expect(said(build(FROG, add('pool'), outline(0, 0, 0.2, 0.1)), 'pool-edge')?.because).toMatch(
      /^Its edge runs 30 cm/,
    );
  });

  it('from wall to wall of a flooded floor has none', () => {
    expect(said(build('theloderma-corticale'), 'pool-edge')).toBeUndefined();
  });

  it('is told too deep for a small frog, not for a large one, nor when it is a centimetre', () => {
    const pool = (animal: string, depth: number) =>
      said(build(animal, add('pool'), { edit: 'setWaterDepth', change: { depth } }), 'pool-too-deep');
    expect(pool(SMALL_FROG, 0.03)?.because).toMatch(/^It stands 3 cm deep;.*about 1 cm/);
    expect(pool(SMALL_FROG, 0.03)?.basis).toBe('practice');
    expect(pool(SMALL_FROG, 0.01)).toBeUndefined();
    expect(pool('ceratophrys-cranwelli', 0.03)).toBeUndefined();
  });

  it('with a level of its own wants a liner, and gets one; one with the bed does not, and a bowl has it', () => {
    const pool = build(FROG, add('pool'));
    const water = pool.ground.regions[0]!.layers[0]!;
    const own = applyEdit(
      pool,
      { edit: 'setWaterLevel', change: { layer: water.id, level: 0.05 } },
      catalogue,
    );
    expect(said(pool, 'pool-wants-a-bowl')).toBeUndefined();
    expect(said(own, 'pool-wants-a-bowl')?.because).toMatch(/Without a bowl they run into it/);
    const { remedies } = assess(own, catalogue).findings.find((it) => it.code === 'pool-wants-a-bowl')!;
    expect(remedies).toHaveLength(2);
    for (const { call } of remedies)
      expect(said(applyEdit(own, call!, catalogue), 'pool-wants-a-bowl')).toBeUndefined();
    const lined = applyEdit(own, remedies[0]!.call!, catalogue);
    expect(lined.ground.regions[0]!.layers.map((it) => it.kind)).toEqual(['barrier', 'water']);
    expect(assess(lined, catalogue).lists.buy.map((it) => it.material)).toContain('pond-liner');
    expect(said(build(FROG, add('bowl')), 'pool-wants-a-bowl')).toBeUndefined();
  });

  it('a liner under all of the soil holds its water up, and is changed for a cloth', () => {
    const frog = build(FROG);
    const cloth = frog.ground.layers.find((it) => it.kind === 'barrier')!;
    const lined = applyEdit(
      frog,
      { edit: 'setLayerMaterial', change: { layer: cloth.id, material: 'pond-liner' } },
      catalogue,
    );
    const found = assess(lined, catalogue).findings.filter((it) => it.code === 'barrier-tight');
    expect(found).toMatchObject([{ severity: 'severe', place: { at: 'layer', layer: cloth.id } }]);
    const mended = applyEdit(lined, found[0]!.remedies[0]!.call!, catalogue);
    expect(said(mended, 'barrier-tight')).toBeUndefined();
    expect(said(build(FROG, add('bowl')), 'barrier-tight')).toBeUndefined();
  });
});

describe('a panel', () => {
  const panel = (rating: number | null) =>
    build(
      FROG,
      { edit: 'setMethod', change: { method: 'raised-panel' } },
      { edit: 'setPanel', change: { rating, spacing: 0.15 } },
    );

  it('carries what lies above it, wet, and not itself or the water under it', () => {
    const design = panel(null);
    const result = assess(design, catalogue);
    const bed = result.layers.findIndex((it) => it.layer.kind === 'drainage');
    const above = result.layers.slice(bed + 1).reduce((sum, it) => sum + it.wetMass, 0);
    expect(said(design, 'panel-unrated')?.what).toBe(`The panel carries ${above.toFixed(1)} kg, wet.`);
    const perArea = above / 0.27;
    expect(said(design, 'panel-unrated')?.because).toContain(`${perArea.toFixed(1)} kg/m²`);
    expect(said(design, 'panel-unrated')?.because).toContain(
      `${(above / 20).toFixed(2)} kg on each of 20 legs`,
    );
  });

  it('is judged once its rating is known', () => {
    expect(said(panel(300), 'panel-carries')?.severity).toBe('fine');
    expect(said(panel(10), 'panel-overloaded')).toMatchObject({ severity: 'severe' });
    expect(said(panel(10), 'panel-carries')).toBeUndefined();
  });

  it('under two parts of the floor it carries both', () => {
    const design = applyEdit(panel(null), add('den'), catalogue);
    const { layers } = assess(design, catalogue);
    const bed = layers.find((it) => it.layer.kind === 'drainage')!;
    const above = layers.filter((it) => it !== bed).reduce((sum, it) => sum + it.wetMass, 0);
    expect(said(design, 'panel-unrated')?.what).toBe(`The panel carries ${above.toFixed(1)} kg, wet.`);
  });
});

describe('stand and floor', () => {
  it('a stand is judged by what it is rated for, and not at all where that is not known', () => {
    const on = (standRating: number | null) => build(FROG, { edit: 'setEnclosure', change: { standRating } });
    const kg = assess(on(null), catalogue).standingMass;
    expect(said(on(null), 'stand-carries')).toBeUndefined();
    expect(said(on(200), 'stand-carries')?.because).toBe(
      `${kg.toFixed(1)} kg of the 200 kg it is rated for.`,
    );
    expect(said(on(20), 'stand-overloaded')?.because).toMatch(/rated for 20.0 kg\. Wood, plants, lamps/);
  });

  it('the floor is told by the load it is designed for, cited until the standard is looked up again', () => {
    const soil = { edit: 'setSoilDepth', change: { deepest: 0.35 } } as const;
    // The same depth on a small foot is under 204 kg: it stands on any floor.
    const small = build(BOA, soil);
    expect(assess(small, catalogue).standingMass).toBeLessThan(204);
    expect(assess(small, catalogue).loads.pressure).toBeGreaterThan(2000);
    expect(said(small, 'floor-pressure')).toBeUndefined();
    const deep = build(BOA, { edit: 'setEnclosure', change: { width: 1.2 } }, soil);
    const found = said(deep, 'floor-pressure')!;
    const { pressure } = assess(deep, catalogue).loads;
    expect(found.what).toContain(`${(pressure / 1000).toFixed(1)} kN/m²`);
    expect(found).toMatchObject({ basis: 'cited', source: 'en-1991-1-1', severity: 'note' });
    expect(found.because).toContain('EN 1991-1-1');
    expect(found.because).toContain('structural engineer');
  });

  it('a room built where it stands is not lifted, and stands on no stand', () => {
    const room = build(FROG, {
      edit: 'setEnclosure',
      change: { build: 'walk-in', width: 2, depth: 1.5, height: 2.2, standRating: 5 },
    });
    for (const code of ['standing-too-heavy', 'empty-too-heavy', 'stand-overloaded'])
      expect(said(room, code)).toBeUndefined();
  });
});

describe('water against glass', () => {
  const tank = (wallThickness: number, watertightHeight: number) =>
    build('theloderma-corticale', { edit: 'setEnclosure', change: { wallThickness, watertightHeight } });

  it('always says that it is a check and that the maker decides', () => {
    for (const [design, code] of [
      [tank(0.0005, 0.12), 'panes-too-thin'],
      [tank(0.004, 0.5), 'panes-thin-when-flooded'],
      [tank(0.01, 0.2), 'panes-hold'],
    ] as const) {
      expect(said(design, code)?.because).toContain('maker’s rating decides');
      expect(said(design, code)).toMatchObject({ basis: 'cited', source: 'timoshenko-1959' });
      expect(assess(design, catalogue).cautions).toContain('panes');
    }
  });

  it('reads in the reader’s units', () => {
    expect(said(tank(0.01, 0.2), 'panes-hold', US)?.because).toMatch(/7\.87 in, it asks for 0\.\d+ in/);
  });

  it('is silent where there is no glass or no water to speak of', () => {
    const acrylic = applyEdit(
      tank(0.001, 0.2),
      { edit: 'setEnclosure', change: { material: 'acrylic' } },
      catalogue,
    );
    expect(said(acrylic, 'panes-too-thin')).toBeUndefined();
    expect(said(build(BOA), 'panes-hold')).toBeUndefined();
  });
});

describe('the way out for the water', () => {
  it('is asked for where a bed can fill unseen, and no longer once there is one', () => {
    const bare = build(FROG);
    const found = assess(bare, catalogue).findings.find((it) => it.code === 'no-way-out')!;
    expect(found.severity).toBe('note');
    const tube = applyEdit(bare, found.remedies[0]!.call!, catalogue);
    expect(tube.ground.outlet.kind).toBe('siphon');
    expect(said(tube, 'no-way-out')).toBeUndefined();
    expect(said(build(BOA), 'no-way-out')).toBeUndefined();
  });

  it('a drain lower than the water that is to be kept is told, on the floor it drains dry on purpose', () => {
    const drain = (height: number) =>
      build(FROG, { edit: 'setOutlet', change: { outlet: { kind: 'drain', bore: 0.006, height } } });
    expect(said(drain(0.005), 'drain-lower-than-water')?.because).toMatch(/the drain opens at 0\.5 cm/);
    expect(said(drain(0.02), 'drain-lower-than-water')).toBeUndefined();
    expect(said(drain(0), 'drain-lower-than-water')).toBeUndefined();
  });
});

describe('regions and what is shared under them', () => {
  it('a soil judged in the rest is not judged again over a litter pocket', () => {
    const codes = assess(
      build(FROG, { edit: 'addRegion', change: { kind: 'litter-pocket' } }),
      catalogue,
    ).findings.map((it) => it.code);
    expect(codes.filter((code) => code === 'soil-airy' || code === 'soil-airless')).toHaveLength(1);
  });

  it('a den of fine soil is judged by its own depth, under its own name', () => {
    const den = build(FROG, add('den'), {
      edit: 'useRecipe',
      change: { layer: 'layer-6', recipe: 'plain-base' },
    });
    const soil = den.ground.regions[0]!.layers[0]!;
    const muddy = applyEdit(
      den,
      { edit: 'useRecipe', change: { layer: soil.id, recipe: 'plain-base' } },
      catalogue,
    );
    const found = assess(muddy, catalogue).findings.find((it) => it.code === 'soil-airless')!;
    expect(formatMessage(found.what, { prefs: METRIC })).toMatch(/^Den: the lowest/);
    expect(found.place).toEqual({ at: 'layer', layer: soil.id });
    const mended = applyEdit(muddy, found.remedies[0]!.call!, catalogue);
    expect(assess(mended, catalogue).findings.some((it) => it.code === 'soil-airless')).toBe(false);
  });

  it('land without a barrier over its panel is told, and mended in the land', () => {
    const start = build('theloderma-corticale');
    const barrier = start.ground.regions[0]!.layers.find((it) => it.kind === 'barrier')!;
    const bare = applyEdit(start, { edit: 'removeLayer', change: { layer: barrier.id } }, catalogue);
    const found = assess(bare, catalogue).findings.find((it) => it.code === 'barrier-missing')!;
    const mended = applyEdit(bare, found.remedies[0]!.call!, catalogue);
    expect(mended.ground.regions[0]!.layers.map((it) => it.kind)).toContain('barrier');
    expect(mended.ground.layers.map((it) => it.kind)).toEqual(['water']);
  });

  it('forgotten litter goes on the land, where the rest is water', () => {
    const start = build('theloderma-corticale');
    const litter = start.ground.regions[0]!.layers.find((it) => it.kind === 'litter')!;
    const bare = applyEdit(start, { edit: 'removeLayer', change: { layer: litter.id } }, catalogue);
    const found = assess(bare, catalogue).findings.find((it) => it.code === 'litter-forgotten')!;
    const mended = applyEdit(bare, found.remedies[0]!.call!, catalogue);
    expect(mended.ground.regions[0]!.layers.at(-1)!.kind).toBe('litter');
  });

  it('what is plain knowledge of one enclosure is left out where many are looked over', () => {
    const large = build(FROG, { edit: 'setEnclosure', change: { width: 1.2, depth: 0.6 } });
    const routine = assess(large, catalogue).findings.filter((it) => it.routine);
    expect(routine.map((it) => it.code)).toEqual(
      expect.arrayContaining(['no-way-out', 'standing-too-heavy']),
    );
    expect(routine.every((it) => it.severity === 'note' || it.severity === 'fine')).toBe(true);
  });
});
