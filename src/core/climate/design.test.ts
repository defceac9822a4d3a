import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { finerRecord } from '../../../tests/unit/finerModel';
import { assess } from '../assess';
import { applyEdit, type EditCall } from '../edits';
import { proposeDesign } from '../propose';
import { type Design } from '../document';
import { layGround } from '../ground';
import { calibrate, forecast, climateModelOf, sprayOf } from '.';
import { playWhatIf } from '../whatIf';
import { siteAt } from '../ground';

const SIZE = { width: 0.6, depth: 0.45, height: 0.45 };
function made(
  animal: string,
  edits: readonly EditCall[] = [],
  size = SIZE,
  kind: 'dry' | 'middle' | 'humid' = 'dry',
): Design {
  const calls: readonly EditCall[] = [
    { edit: 'proposeScape', change: {} },
    { edit: 'proposeClimate', change: {} },
    ...edits,
  ];
  return calls.reduce(
    (design, call) => applyEdit(design, call, catalogue),
    proposeDesign(
      { id: 'x', name: 'x', animal, count: 1, size, room: { kind, temperature: null, humidity: null } },
      catalogue,
    ),
  );
}
const GECKO = 'goniurosaurus-hainanensis';

describe('a design as the engine takes it', () => {
  it('every proposal runs: shares sum to one, water and heat close, no severe finding of its fittings', () => {
    for (const animal of catalogue.animals) {
      const design = made(animal.id, [], { width: 0.9, depth: 0.5, height: 0.6 });
      const { box } = climateModelOf(design, layGround(design, catalogue), catalogue);
      for (const { targets } of [...box.heaters, ...box.wetters])
        expect(targets.reduce((sum, it) => sum + it.share, 0)).toBeCloseTo(1, 9);
      const severe = assess(design, catalogue).findings.filter(
        (it) => it.place.at === 'climate' && it.severity === 'severe',
      );
      expect(severe.map((it) => `${animal.id} ${it.code}`)).toEqual([]);
    }
  });

  it('spray: its shares sum to one; a slab in the cone keeps what is under it dry', () => {
    const design = made(GECKO);
    const spray = sprayOf(
      { x: 0.3, y: 0.2, z: 0.43 },
      0.6,
      design.enclosure,
      siteAt(design),
      layGround(design, catalogue).pieces,
    );
    expect(spray.drops).toHaveLength(96);
    for (const drop of spray.drops) {
      expect(drop.x).toBeGreaterThanOrEqual(0);
      expect(drop.x).toBeLessThanOrEqual(0.6);
    }
  });

  it('a day comes out the same each time, and closes', () => {
    const design = made(GECKO);
    const one = forecast(design, catalogue, { span: 'day', season: 'winter', seed: 1 });
    const two = forecast(design, catalogue, { span: 'day', season: 'winter', seed: 1 });
    expect(one.answers).toEqual(two.answers);
    expect(one.run.water.off).toBeLessThan(1e-9);
    expect(one.run.heat.off).toBeLessThan(1e-9);
    expect(one.answers.humidity.day.hours + one.answers.humidity.night.hours).toBeCloseTo(22, 6);
    expect(one.answers.warm.high).toBeGreaterThan(one.answers.cool.low);
  });

  it('more cover is damper, a dry winter drier than a humid coast', () => {
    const mean = (edits: readonly EditCall[]): number =>
      forecast(made(GECKO, edits), catalogue, { span: 'day', season: 'winter', seed: 1 }).answers.humidity
        .mean;
    const usual = mean([]);
    expect(mean([{ edit: 'setEnclosure', change: { topCover: 0.2 } }])).toBeLessThan(usual);
    expect(mean([{ edit: 'setClimateRoom', change: { preset: 'humid-coast' } }])).toBeGreaterThan(
      mean([{ edit: 'setClimateRoom', change: { preset: 'dry-upland' } }]),
    );
  });
});

describe('findings of what is installed', () => {
  const codes = (edits: readonly EditCall[], animal = GECKO): readonly string[] =>
    assess(made(animal, edits), catalogue).findings.map((it) => it.code);
  it.each<[string, readonly EditCall[]]>([
    [
      'heater-unheld',
      [
        { edit: 'addDevice', change: { kind: 'heat-mat' } },
        { edit: 'setDevice', change: { device: 'device-5', change: { thermostat: null } } },
      ],
    ],
    [
      'mat-under-soil',
      [
        { edit: 'addDevice', change: { kind: 'heat-mat' } },
        { edit: 'setSoilDepth', change: { deepest: 0.14 } },
      ],
    ],
    ['direct-sun', [{ edit: 'setClimateRoom', change: { window: 180, sunlit: 0.3 } }]],
    [
      'light-at-night',
      [
        { edit: 'addDevice', change: { kind: 'led-bar' } },
        { edit: 'setDevice', change: { device: 'device-5', change: { timer: { by: 'always' } } } },
      ],
    ],
    ['no-air', [{ edit: 'setEnclosure', change: { top: 'solid', front: 'fixed' } }]],
    [
      'vent-open',
      [
        { edit: 'addVent', change: { wall: 'back', where: 'low' } },
        { edit: 'setVent', change: { vent: 'vent-1', change: { gauze: null } } },
      ],
    ],
    [
      'lamp-too-near',
      [{ edit: 'addDevice', change: { kind: 'ceramic-emitter', at: { x: 0.45, y: 0.25, z: 0.12 } } }],
    ],
    ['no-climate', [{ edit: 'clearDevices', change: {} }]],
  ])('%s', (code, edits) => {
    const before = codes([]);
    const design = made(GECKO, edits);
    const last = design.climate.devices.at(-1);
    // Ids of what was added are read off the design, so that the proposal may change.
    const fixed = edits.map((call) =>
      call.edit === 'setDevice' && last ? { ...call, change: { ...call.change, device: last.id } } : call,
    );
    expect(before).not.toContain(code);
    expect(codes(fixed)).toContain(code);
  });
  it('UV too strong for its zone is severe, and hanging the lamp higher mends it', () => {
    const { height } = made('anolis-carolinensis').enclosure;
    const design = made('anolis-carolinensis', [
      { edit: 'clearDevices', change: {} },
      { edit: 'setEnclosure', change: { topCover: 0 } },
      { edit: 'addDevice', change: { kind: 'uv-tube-high', at: { x: 0.3, y: 0.2, z: height + 0.02 } } },
    ]);
    const found = assess(design, catalogue).findings.find((it) => it.code === 'uv-too-strong');
    expect(found?.severity).toBe('severe');
    // Played through before it is offered: its one button says by how much, and does it at once.
    const [remedy] = found!.remedies;
    const mended = applyEdit(design, remedy!.call!, catalogue);
    const codes = assess(mended, catalogue).findings.map((it) => it.code);
    expect(codes.filter((it) => it.startsWith('uv-') || it === 'no-uv')).toEqual([]);
  });
  it('a meter reading holds all UV to it, and narrows its range', () => {
    const design = made('anolis-carolinensis');
    const tube = design.climate.devices.find((it) => it.kind.startsWith('uv-tube'))!;
    const at = { ...tube.at, z: tube.at.z - 0.2 };
    const before = climateModelOf(design, layGround(design, catalogue), catalogue).lit.find(
      (it) => it.device.id === tube.id,
    )!;
    const held = applyEdit(
      design,
      { edit: 'setClimate', change: { meter: { at, index: 1.3, on: '2026-11-01' } } },
      catalogue,
    );
    const after = climateModelOf(held, layGround(held, catalogue), catalogue).lit.find(
      (it) => it.device.id === tube.id,
    )!;
    expect(before.uv.high / before.uv.low).toBeGreaterThan(1.5);
    expect(after.uv.high / after.uv.low).toBeLessThan(1.3);
    expect(after.lamp.uvIndex).not.toBeCloseTo(before.lamp.uvIndex, 3);
  });
});

describe('drills', () => {
  it('a heat wave passes the limit of an enclosure that is warm already; nobody for a week leaves the dish dry', () => {
    const design = made(GECKO);
    const wave = playWhatIf('heat-wave', design, catalogue, 'summer', 1);
    expect(wave.limits.find((it) => it.what === 'too hot')?.after).not.toBeNull();
    const stuck = playWhatIf('stuck-thermostat', design, catalogue, 'summer', 1);
    expect(Math.max(...stuck.run.series.air0)).toBeGreaterThan(
      Math.max(...wave.run.series.air0.slice(0, 20)),
    );
    const cut = playWhatIf('power-cut', design, catalogue, 'winter', 1);
    expect(cut.run.used.every((it, i) => it <= stuck.run.used[i]!)).toBe(true);
  });
});

describe('hides', () => {
  it('a box of wet moss stays near 99 %, drier the wider its entrance; the same number wherever it is asked', () => {
    const design = made(GECKO);
    const moist = design.scape.pieces.find((it) => it.moist && it.entrance !== null)!;
    const wide = (entrance: number): Design => ({
      ...design,
      scape: {
        ...design.scape,
        pieces: design.scape.pieces.map((it) => (it.id === moist.id ? { ...it, entrance } : it)),
      },
    });
    const asked = { span: 'day', season: 'winter', seed: 1 } as const;
    const [usual] = forecast(design, catalogue, asked).hides;
    expect(usual!.piece).toBe(moist.id);
    // Common practice: a gauge in such a chamber says 99.
    expect(usual!.humidity).toBeGreaterThan(0.96);
    // Wetted by the week, it lasts the week (common practice), in a dry box too.
    expect(usual!.days!).toBeGreaterThan(6);
    const dry = forecast(made('eublepharis-macularius'), catalogue, asked).hides[0]!;
    expect(dry.humidity).toBeGreaterThan(0.9);
    expect(dry.days!).toBeGreaterThan(6);
    expect(dry.days!).toBeLessThan(usual!.days!);
    expect(forecast(wide(0.15), catalogue, asked).hides[0]!.humidity).toBeLessThan(usual!.humidity);
    expect(forecast(wide(0.15), catalogue, asked).hides[0]!.days!).toBeLessThan(usual!.days!);
  });
});

describe('calibration', () => {
  it('on records of a finer, different model: under 5 % of humidity and 1 K on days that were not used', () => {
    const design = made(GECKO, [
      { edit: 'clearDevices', change: {} },
      { edit: 'addDevice', change: { kind: 'incandescent-bulb' } },
      { edit: 'setDevice', change: { device: 'device-1', change: { thermostat: null, power: 25 } } },
      {
        edit: 'setClimate',
        change: {
          mist: {
            by: 'hand',
            times: [
              { at: 490, seconds: 25 },
              { at: 1140, seconds: 25 },
            ],
            everyDays: 1,
            bottle: null,
          },
        },
      },
    ]);
    const readings = finerRecord(
      {
        width: 0.6,
        depth: 0.45,
        height: 0.45,
        soil: 0.12,
        leak: 1.2e-4,
        draws: 6e-5,
        wetness: 0.15,
        lamps: 9,
        mist: 30,
        mistings: [490 / 60, 1140 / 60],
      },
      6,
      7,
    );
    const fit = calibrate({ design, readings, from: 20, cell: 0 }, catalogue);
    expect(fit.heldDays).toBeGreaterThanOrEqual(2);
    expect(fit.left.humidity).toBeLessThan(0.05);
    expect(fit.left.temperature).toBeLessThan(1);
    expect(fit.after.humidity).toBeLessThan(fit.before.humidity);
  });
  it('a record of less than a day is refused', () => {
    const reading = (t: number) => ({ t, temperature: 22, humidity: 0.6 });
    expect(() =>
      calibrate({ design: made(GECKO), readings: [reading(0), reading(3600)], from: 1, cell: 0 }, catalogue),
    ).toThrow('whole day');
  });
});
