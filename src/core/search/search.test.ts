import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { findAnimal } from '../catalogue';
import { applyEdit, Design as DesignSchema, proposeDesign, type Design, type EditCall } from '../design';
import { layGround } from '../ground';
import { GLANCE, HOLDS, judgeDesign, JUDGING, judgeUv, yearFindings } from '../verdict';
import { heatersOn } from './heat';
import { partOf, seasonMoves } from './seasons';
import {
  climb,
  fitUv,
  NO_LOCKS,
  perform,
  proposeWhatHolds,
  remediesFor,
  runSearch,
  weigh,
  type Burden,
  type Locks,
  type Task,
} from '.';

type RoomKind = 'dry' | 'middle' | 'humid';
const FIRST: readonly EditCall[] = [
  { edit: 'proposeScape', change: {} },
  { edit: 'proposeClimate', change: {} },
  { edit: 'proposeLiving', change: {} },
];
const made = (animal: string, kind: RoomKind): Design =>
  FIRST.reduce(
    (design, call) => applyEdit(design, call, catalogue),
    proposeDesign(
      {
        id: 'x',
        name: 'x',
        animal,
        count: 1,
        size: null,
        room: { kind, temperature: null, humidity: null },
      },
      catalogue,
    ),
  );

describe('what is proposed', () => {
  const first = made('dendrobates-auratus', 'dry');
  const { design, verdict } = proposeWhatHolds(first, catalogue);
  it('holds, for a frog in a dry room whose quick design did not', () => {
    expect(judgeDesign({ design: first, catalogue, alone: true })!.answer).toBe('fails');
    expect(verdict!.answer).toBe('holds');
    for (const it of verdict!.places)
      expect(it.inside, `${it.criterion} ${it.season}`).toBeGreaterThanOrEqual(HOLDS);
    expect(DesignSchema.safeParse(design).error?.issues ?? []).toEqual([]);
  });
  it('holds again at half the step under other weather: 85 of 100 hours everywhere', () => {
    const again = judgeDesign({
      design,
      catalogue,
      alone: true,
      playing: { ...JUDGING, seeds: [201, 202, 203], every: 900, looser: 1 },
    })!;
    for (const it of again.places)
      expect(it.inside, `${it.criterion} ${it.season}`).toBeGreaterThanOrEqual(0.85);
  });
  it('plants nothing that dies or pines, and a crew that lasts from one culture or two of each kind', () => {
    expect(design.living.plants.length).toBeGreaterThan(3);
    expect(verdict!.plants).toEqual([]);
    expect(design.living.crew.length).toBeGreaterThan(0);
    for (const { kind, count } of design.living.crew) {
      const culture = catalogue.living.crew.find((it) => it.id === kind)!.culture.value;
      expect([culture, 2 * culture]).toContain(count);
    }
    for (const it of verdict!.crew) expect(it.lasts).toBeGreaterThanOrEqual(0.9);
  });
  it('is the same for the same question, whichever task is done first', () => {
    // Tasks of a batch done last to first, as a second worker might.
    const search = climb({ design: first, catalogue, most: 30 });
    let step = search.next();
    while (!step.done) {
      const tasks: readonly Task[] = step.value;
      const results = [...tasks].reverse().map((it) => perform(it, catalogue));
      step = search.next(results.reverse());
    }
    const other = runSearch(climb({ design: first, catalogue, most: 30 }), catalogue);
    expect(step.value.design).toEqual(other.design);
    expect(step.value.steps).toEqual(other.steps);
  });
});

describe('what may not change', () => {
  const first = made('correlophus-ciliatus', 'dry');
  const under = (locks: Partial<Locks>): Design =>
    runSearch(climb({ design: first, catalogue, most: 40, locks: { ...NO_LOCKS, ...locks } }), catalogue)
      .design;
  it('cover, strips, lights, hours and mist stay as they are where they are kept', () => {
    const it = under({ cover: true, vents: true, lights: true, mist: true });
    expect(it.enclosure).toEqual(first.enclosure);
    expect(it.climate.mist).toEqual(first.climate.mist);
    expect(it.climate.day).toEqual(first.climate.day);
  });
  it('nothing is bought where nothing may be; a kept lamp is left as it hangs', () => {
    const bought = under({ buying: true });
    const known = new Set(first.climate.devices.map((it) => `${it.id} ${it.kind} ${it.power}`));
    for (const it of bought.climate.devices) expect(known).toContain(`${it.id} ${it.kind} ${it.power}`);
    const [lamp] = first.climate.devices;
    const kept = under({ devices: first.climate.devices.map((it) => it.id) });
    expect(kept.climate.devices.find((it) => it.id === lamp!.id)).toEqual(lamp);
    for (const it of first.climate.devices) expect(kept.climate.devices).toContainEqual(it);
  });
});

describe('UV that fits', () => {
  it('for every kind that needs it: its middle in the zone, shade left; no lamp where it is not wanted', () => {
    const kinds = catalogue.animals.filter((it) => it.climate.uvZone.value >= 2);
    expect(kinds).toHaveLength(20);
    for (const animal of kinds) {
      const design = made(animal.id, 'dry');
      const found = fitUv(design, animal, layGround(design, catalogue), catalogue);
      expect(found, animal.id).not.toBeNull();
      const uv = judgeUv(found!.design, animal, layGround(found!.design, catalogue), catalogue)!;
      expect(uv.answer, animal.id).toBe('inside');
      expect(uv.index[1]).toBeGreaterThanOrEqual(uv.wanted.low);
      expect(uv.index[1]).toBeLessThanOrEqual(uv.wanted.high);
      expect(uv.shade).toBeLessThan(0.25);
    }
    const shade = findAnimal(catalogue, 'eublepharis-macularius')!;
    const dark = made(shade.id, 'dry');
    expect(fitUv(dark, shade, layGround(dark, catalogue), catalogue)!.design).toBe(dark);
  });
  it('a lamp that is kept is not exchanged', () => {
    const animal = findAnimal(catalogue, 'pogona-vitticeps')!;
    const first = made(animal.id, 'middle');
    const [tube] = first.climate.devices.filter((it) => it.kind.startsWith('uv-'));
    // A lamp that gives half of what it should.
    const design = applyEdit(
      first,
      { edit: 'setDevice', change: { device: tube!.id, change: { dim: 0.3 } } },
      catalogue,
    );
    const ground = layGround(design, catalogue);
    expect(judgeUv(design, animal, ground, catalogue)!.answer).toBe('weak');
    expect(fitUv(design, animal, ground, catalogue, [tube!.id])).toBeNull();
    expect(fitUv(design, animal, ground, catalogue)!.uv!.answer).toBe('inside');
  });
});

describe('what counts', () => {
  const burden: Burden = { price: 100, things: 2, changes: 3, watts: 40, water: 1, hands: 4 };
  it('each aim minds its own most; none outweighs a place that is outside its band', () => {
    const more = (change: Partial<Burden>, aim: Parameters<typeof weigh>[1]): number =>
      weigh({ ...burden, ...change }, aim) - weigh(burden, aim);
    expect(more({ things: 3 }, 'fewest things')).toBeGreaterThan(more({ watts: 80 }, 'fewest things'));
    expect(more({ watts: 80 }, 'least electricity')).toBeGreaterThan(
      more({ things: 3, hands: 8 }, 'least electricity'),
    );
    expect(more({ hands: 8 }, 'least work')).toBeGreaterThan(more({ price: 200, watts: 80 }, 'least work'));
    expect(weigh(burden, 'balanced')).toBeLessThan(0.5);
  });
});

describe('remedies', () => {
  const held = proposeWhatHolds(made('dendrobates-auratus', 'dry'), catalogue).design;
  const fogger = held.climate.devices.find((it) => it.kind === 'fogger')!;
  const heater = held.climate.devices.find((it) => it.thermostat)!;
  it.each<[string, EditCall, RegExp]>([
    ['its fogger taken out', { edit: 'removeDevice', change: { device: fogger.id } }, /fogger/i],
    [
      'its heater set five kelvin lower',
      {
        edit: 'setDevice',
        change: {
          device: heater.id,
          change: { thermostat: { ...heater.thermostat!, day: (heater.thermostat!.day ?? 24) - 5 } },
        },
      },
      /°C|emitter|panel|\d/,
    ],
  ])(
    'with %s: what is offered mends its finding, says by how much, and breaks nothing',
    (_, broken, names) => {
      const design = applyEdit(held, broken, catalogue);
      const before = judgeDesign({ design, catalogue, alone: true })!;
      const told = yearFindings(before, design, catalogue).map((it) => it.code);
      const found = runSearch(remediesFor(design, before, catalogue), catalogue);
      const all = Object.entries(found).flatMap(([code, own]) => own.map((it) => ({ code, ...it })));
      expect(all.length).toBeGreaterThan(0);
      expect(all.some((it) => names.test(it.label.map(String).join('')))).toBe(true);
      for (const own of Object.values(found))
        expect(new Set(own.map((it) => JSON.stringify(it.label))).size).toBe(own.length);
      for (const { code, label, call } of all) {
        expect(told).toContain(code);
        const next = applyEdit(design, call!, catalogue);
        const after = judgeDesign({ design: next, catalogue, alone: true })!;
        const codes = yearFindings(after, next, catalogue)
          .filter((it) => it.severity === 'severe' || it.severity === 'look')
          .map((it) => it.code);
        expect(codes).not.toContain(code);
        expect(codes.filter((it) => !told.includes(it))).toEqual([]);
        // Its button says what it does: hours before and after, as the verdicts have them.
        const [, from, to] = /(\d+) → (\d+) % of hours$/.exec(label.map(String).join(''))!;
        expect(Number(from)).toBeLessThan(90);
        expect(Number(to)).toBeGreaterThanOrEqual(90);
      }
    },
  );
});

describe('settings for a part of the year', () => {
  const part = (from: number, until: number, id = `own-${from}`) => ({
    id,
    name: id,
    from,
    until,
    topCover: 0.5,
    mist: null,
    devices: [],
  });
  const start = made('correlophus-ciliatus', 'middle');
  const withParts = (...parts: readonly ReturnType<typeof part>[]): Design => ({
    ...start,
    climate: { ...start.climate, seasons: [...parts] },
  });
  const months = (design: Design, season: 'winter' | 'summer') => {
    const found = partOf(design, season);
    return found && [found.id, found.from, found.until];
  };
  it('usual months, half a year on in the south; one that is told already is that one', () => {
    expect(months(start, 'summer')).toEqual(['summer', 6, 9]);
    expect(months(start, 'winter')).toEqual(['winter', 11, 3]);
    const south = {
      ...start,
      climate: { ...start.climate, room: { ...start.climate.room, latitude: -30 } },
    };
    expect(months(south, 'summer')).toEqual(['summer', 12, 3]);
    expect(months(withParts(part(5, 8)), 'summer')).toEqual(['own-5', 5, 8]);
  });
  it('never holds a month another part holds, nor takes its id, nor is a fifth', () => {
    expect(months(withParts(part(4, 6)), 'summer')).toEqual(['summer', 7, 9]);
    expect(months(withParts(part(12, 12), part(2, 3)), 'winter')).toEqual(['winter', 1, 1]);
    expect(months(withParts(part(3, 4, 'summer')), 'summer')).toEqual(['summer-2', 6, 9]);
    expect(months(withParts(part(3, 3), part(4, 4), part(5, 5), part(10, 10)), 'summer')).toBeNull();
  });
  it('what is found with it is a whole document', () => {
    const design = withParts(part(4, 6));
    const animal = findAnimal(catalogue, 'correlophus-ciliatus')!;
    const look = perform({ ask: 'look', design, playing: GLANCE, strict: 0.5, near: {} }, catalogue);
    const measured = look.of === 'look' ? look.seen!.measured : [];
    const night = measured.find((it) => it.criterion.id === 'night' && it.season === 'summer')!;
    const moves = seasonMoves(
      { design, animal, catalogue, locks: NO_LOCKS },
      { it: night, way: 'over', by: 2 },
    );
    expect(moves.length).toBeGreaterThan(0);
    for (const move of moves)
      expect(DesignSchema.safeParse(move.design).error?.issues ?? [], move.id).toEqual([]);
    expect(
      seasonMoves(
        { design, animal, catalogue, locks: { ...NO_LOCKS, seasons: true } },
        { it: night, way: 'over', by: 2 },
      ),
    ).toEqual([]);
  });
  it('a heater over the middle warms the warm side, whichever that is', () => {
    const heater = start.climate.devices.find((it) => it.thermostat)!;
    for (const warm of ['left', 'right'] as const) {
      const at = (x: number): Design => ({
        ...start,
        scape: { ...start.scape, warm },
        climate: {
          ...start.climate,
          devices: start.climate.devices.map((it) =>
            it.id === heater.id ? { ...it, at: { ...it.at, x: x * start.enclosure.width } } : it,
          ),
        },
      });
      expect(heatersOn('warm', at(0.5), catalogue).map((it) => it.id)).toContain(heater.id);
      expect(heatersOn('cool', at(warm === 'left' ? 0.9 : 0.1), catalogue).map((it) => it.id)).toContain(
        heater.id,
      );
    }
  });
});
