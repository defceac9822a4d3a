import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { assess } from '../assess';
import { applyEdit, type EditCall } from '../edits';
import { proposeDesign } from '../propose';
import { type Design } from '../document';
import { layGround } from '../ground';
import { changedParts, climateModelOf, endsOf, forecast, marksOf, sprayOf } from '.';
import { playWhatIf, whyNot } from '../whatIf';
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
    const wave = playWhatIf(['heat-wave'], design, catalogue, 'summer', 1);
    expect(wave.limits.find((it) => it.what === 'too hot')?.after).not.toBeNull();
    const stuck = playWhatIf(['stuck-thermostat'], design, catalogue, 'summer', 1);
    expect(Math.max(...stuck.run.series.air0)).toBeGreaterThan(
      Math.max(...wave.run.series.air0.slice(0, 20)),
    );
    const cut = playWhatIf(['power-cut'], design, catalogue, 'winter', 1);
    expect(cut.run.used.every((it, i) => it <= stuck.run.used[i]!)).toBe(true);
  });
});

describe('what can go wrong, and how far it goes', () => {
  const limit = (result: ReturnType<typeof playWhatIf>, what: string) =>
    result.limits.find((it) => it.what === what);
  it('a power cut cools the room: by what it loses in two days, not at all where its heating goes on', () => {
    const design = made(GECKO);
    const cold = (room: 'light' | 'solid' | 'heated') =>
      playWhatIf(['power-cut'], design, catalogue, 'winter', 1, room).run.series.room.at(-1)!;
    const [light, solid, heated] = [cold('light'), cold('solid'), cold('heated')];
    // After 68 h of 20 and of 60 h: a thirtieth and a third of what it was warmer than 1 °C out of doors.
    expect(light).toBeCloseTo(1 + (heated - 1) * Math.exp(-68 / 20), 0);
    expect(solid).toBeCloseTo(1 + (heated - 1) * Math.exp(-68 / 60), 0);
    expect(heated).toBeGreaterThan(15);
  });
  it('a stuck thermostat is told where it burns first: the warm side before the coolest place', () => {
    const stuck = playWhatIf(['stuck-thermostat'], made(GECKO), catalogue, 'summer', 1);
    const [warm, all] = [limit(stuck, 'warm side too hot')!, limit(stuck, 'too hot')!];
    expect(warm.worst).toBeGreaterThan(all.worst);
    const lizard = playWhatIf(['stuck-thermostat'], made('anolis-carolinensis'), catalogue, 'summer', 1);
    expect(limit(lizard, 'basking spot too hot')!.worst).toBeGreaterThan(30);
  });
  it('a fogger has a bottle of its own: away for a week it runs until that is empty; dry, a hand still mists', () => {
    const fogged = applyEdit(made(GECKO), { edit: 'addDevice', change: { kind: 'fogger' } }, catalogue);
    const device = fogged.climate.devices.at(-1)!.id;
    const always = applyEdit(
      fogged,
      {
        edit: 'setDevice',
        change: { device, change: { humidistat: null, duty: null, timer: { by: 'always' }, dim: 1 } },
      },
      catalogue,
    );
    const drawn = (ids: Parameters<typeof playWhatIf>[0], design = always): number =>
      Math.max(0, ...playWhatIf(ids, design, catalogue, 'winter', 1).run.drawn);
    // 2 L and no more, with what it gave in the four hours before it is left alone counted in.
    expect(drawn(['week-away'])).toBeGreaterThan(1.9);
    expect(drawn(['week-away'])).toBeLessThan(2.1);
    // From four in the morning on nothing: four hours of 0.06 g/s.
    expect(drawn(['dry-bottle'])).toBeCloseTo(4 * 3600 * 0.00006, 1);
    const hand = applyEdit(
      applyEdit(made(GECKO), { edit: 'clearDevices', change: {} }, catalogue),
      {
        edit: 'setClimate',
        change: { mist: { by: 'hand', times: [{ at: 480, seconds: 20 }], everyDays: 1, bottle: null } },
      },
      catalogue,
    );
    expect(drawn(['dry-bottle'], hand)).toBeGreaterThan(0.1);
  });
  it('two at once go further than each alone: away for a week, and the bottle dry from the first day', () => {
    const design = made(GECKO);
    const dry = (ids: Parameters<typeof playWhatIf>[0]): number =>
      limit(playWhatIf(ids, design, catalogue, 'winter', 1), 'too dry')!.worst;
    expect(dry(['week-away', 'dry-bottle'])).toBeLessThanOrEqual(dry(['week-away']) + 1e-6);
    // A heater that sticks gives nothing without power.
    const cold = playWhatIf(['stuck-thermostat', 'power-cut'], design, catalogue, 'winter', 1, 'light');
    expect(limit(cold, 'too cold')!.worst).toBeCloseTo(
      limit(playWhatIf(['power-cut'], design, catalogue, 'winter', 1, 'light'), 'too cold')!.worst,
      1,
    );
  });
  it('how it shows first: a stuck heater as a degree on the warm side within hours; nothing wrong shows nothing', () => {
    const stuck = playWhatIf(['stuck-thermostat'], made('anolis-carolinensis'), catalogue, 'winter', 1).sign!;
    expect(stuck).toMatchObject({ side: 'warm', quantity: 'temperature' });
    expect(stuck.by).toBeGreaterThanOrEqual(1);
    expect(stuck.after).toBeLessThan(4);
    const dry = playWhatIf(['dry-winter'], made(GECKO), catalogue, 'winter', 1).sign;
    expect(dry === null || dry.by < 0).toBe(true);
  });
  it('a thermostat that sticks at four holds till then', () => {
    const design = made('anolis-carolinensis');
    const at = (ids: Parameters<typeof playWhatIf>[0], hour: number): number => {
      const { t, series } = playWhatIf(ids, design, catalogue, 'winter', 1).run;
      return series.air0[t.findIndex((it) => it >= hour * 3600)]!;
    };
    expect(at(['stuck-thermostat'], 3.75)).toBeCloseTo(at(['dry-bottle'], 3.75), 0);
    expect(at(['stuck-thermostat'], 8)).toBeGreaterThan(at(['dry-bottle'], 8) + 1);
  });
  it('a calibration is played at both its ends: a heater that sticks burns sooner at the warm one', () => {
    const design = made('anolis-carolinensis');
    const calibration = {
      on: '2026-11-02',
      file: 'logger',
      since: '2026-10-20',
      until: '2026-11-01',
      exchange: 1,
      wetness: 1,
      gain: 1,
      intervals: {
        exchange: [0.7, 1.4] as [number, number],
        wetness: [0.8, 1.25] as [number, number],
        gain: [0.7, 1.4] as [number, number],
      },
      left: { humidity: 0.04, temperature: 0.6 },
      marks: marksOf(design),
    };
    const known = { ...design, climate: { ...design.climate, calibration } };
    const hot = limit(playWhatIf(['stuck-thermostat'], known, catalogue, 'summer', 1), 'warm side too hot')!;
    const [warm, cool] = hot.ends!;
    expect(warm.worst).toBeGreaterThan(hot.worst + 1);
    expect(cool.worst).toBeLessThan(hot.worst - 1);
    expect(
      limit(playWhatIf(['stuck-thermostat'], design, catalogue, 'summer', 1), 'too hot')!.ends,
    ).toBeNull();
    // Half the power is followed by the engine: what was found out of the box is as true as before.
    const [device] = known.climate.devices;
    const weaker = applyEdit(
      known,
      { edit: 'setDevice', change: { device: device!.id, change: { power: device!.power / 2 } } },
      catalogue,
    );
    expect(changedParts(weaker)).toEqual([]);
    // Changed since: its interval tells nothing any more.
    const other = applyEdit(known, { edit: 'setEnclosure', change: { material: 'mesh' } }, catalogue);
    expect(endsOf(other)).toBeNull();
    expect(changedParts(other)).toContain('shell');
  });
  it('what is built in beforehand is told by the edits that build it, and keeps what it promises', () => {
    const design = made(GECKO, [
      { edit: 'clearDevices', change: {} },
      { edit: 'addDevice', change: { kind: 'nozzle-fine' } },
      {
        edit: 'setClimate',
        change: {
          mist: { by: 'nozzles', times: [{ at: 490, seconds: 30 }], everyDays: 1, bottle: null },
        },
      },
    ]);
    const before = playWhatIf(['stuck-nozzle'], design, catalogue, 'winter', 1);
    const passed = Math.min(...before.limits.map((it) => it.after ?? Infinity));
    expect(passed).toBeLessThan(44);
    const built = before.buys.filter((it) => it.calls.length > 0);
    for (const { calls, hours } of built) {
      const other = calls.reduce((own, call) => applyEdit(own, call, catalogue), design);
      const after = playWhatIf(['stuck-nozzle'], other, catalogue, 'winter', 1);
      const late = Math.min(44, ...after.limits.map((it) => it.after ?? Infinity));
      expect(late - Math.min(44, passed)).toBeCloseTo(hours, 0);
    }
  });
  it('without a bed what is too much stands in the soil, and is told', () => {
    const bare = made('eublepharis-macularius', [
      { edit: 'addDevice', change: { kind: 'nozzle-fine' } },
      {
        edit: 'setClimate',
        change: {
          mist: { by: 'nozzles', times: [{ at: 490, seconds: 30 }], everyDays: 1, bottle: null },
        },
      },
    ]);
    expect(bare.ground.method).toBe('none');
    const stuck = playWhatIf(['stuck-nozzle'], bare, catalogue, 'winter', 1);
    expect(limit(stuck, 'water stands in the soil')!.after).toBeGreaterThan(0);
    expect(limit(stuck, 'water over the barrier')).toBeUndefined();
  });
  it('what is not there does not fail', () => {
    const bare = made(GECKO, [{ edit: 'clearDevices', change: {} }]);
    expect(whyNot('stuck-nozzle', bare, catalogue)).toBe('There is no nozzle in it.');
    expect(whyNot('stuck-thermostat', bare, catalogue)).toBe('Nothing in it is held by a thermostat.');
    expect(whyNot('heat-wave', bare, catalogue)).toBeNull();
    expect(whyNot('stuck-thermostat', made('anolis-carolinensis'), catalogue)).toBeNull();
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
