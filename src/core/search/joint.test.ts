import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { findAnimal } from '../catalogue';
import { Design as DesignSchema, type Design } from '../document';
import { type EditCall } from '../edits';
import { firstDesign } from '@/catalogue/testing';
import { GLANCE, judgeDesign } from '../verdict';
import { climb, ease, missingIn, movesFor, NO_LOCKS, perform, runSearch, type Locks } from '.';
import { darkHeaters } from '../fitting/fittings';
import { jointMoves, settings } from './joint';

const gecko = findAnimal(catalogue, 'coleonyx-variegatus')!;
const design = firstDesign(gecko.id, 'dry');
const at = (locks: Partial<Locks> = {}) => ({
  design,
  animal: gecko,
  catalogue,
  locks: { ...NO_LOCKS, ...locks },
});
const read = (it: Design) => [
  it.enclosure.topCover,
  darkHeaters(it, catalogue)[0]!.thermostat!.day,
  darkHeaters(it, catalogue)[0]!.thermostat!.night,
];

describe('cover and heat together', () => {
  const [cover, day, night] = read(design);
  it('every cover with less, as much and more heat by day, never as it stands, each a whole document', () => {
    const moves = jointMoves(at());
    const covers = [0, 0.3, 0.6, 0.9];
    const wanted = covers
      .flatMap((own) => [-3, -1.5, 0, 1.5, 3].map((by) => [own, day! + by, night]))
      .filter(([own, to]) => own !== cover || to !== day);
    expect(moves.map((it) => read(it.design))).toEqual(wanted);
    for (const move of [...moves, ...settings(at())])
      expect(DesignSchema.safeParse(move.design).error?.issues ?? [], move.id).toEqual([]);
    expect(new Set(settings(at()).map((it) => it.id)).size).toBe(settings(at()).length);
  });
  it('a lid that stays as it is, and a heater that does', () => {
    for (const move of settings(at({ cover: true }))) expect(move.design.enclosure.topCover).toBe(cover);
    const devices = design.climate.devices.map((it) => it.id);
    for (const move of settings(at({ devices }))) expect(move.design.climate).toEqual(design.climate);
    expect(jointMoves(at({ cover: true, devices }))).toEqual([]);
  });
});

describe('easing', () => {
  it('never misses more hours in its weathers than it did, and costs no more', () => {
    const locks: Locks = { ...NO_LOCKS, vents: true, lights: true, mist: true, seasons: true, buying: true };
    const climbed = runSearch(climb({ design, catalogue, locks, most: 60 }), catalogue);
    const eased = runSearch(
      ease({
        design: climbed.design,
        catalogue,
        animal: gecko,
        locks,
        start: design,
        near: climbed.seen.rest,
      }),
      catalogue,
    );
    expect(missingIn(eased.verdict!)).toBeLessThanOrEqual(missingIn(climbed.verdict!) + 1e-9);
    for (const { before, after } of eased.steps) expect(after).toBeLessThan(0.99 * before);
    expect(eased.verdict!.places).toEqual(
      judgeDesign({ design: eased.design, catalogue, alone: true })!.places,
    );
  });
});

describe('vents', () => {
  const boxed = (material: 'timber' | 'glass', edits: readonly EditCall[] = []): Design =>
    firstDesign(gecko.id, 'humid', [{ edit: 'setEnclosure', change: { material } }, ...edits]);
  const vents = (own: Design, way: 'over' | 'under', locks: Partial<Locks> = {}): readonly string[] => {
    const looked = perform({ ask: 'look', design: own, playing: GLANCE, strict: 0.5, near: {} }, catalogue);
    const it = (looked.of === 'look' ? looked.seen!.measured : []).find(
      ({ criterion }) => criterion.id === 'humidity-day',
    )!;
    return movesFor({ ...at(locks), design: own }, { it, way, by: 0.1 })
      .filter((move) => move.id.startsWith('vents'))
      .map((move) => `${move.id} ${move.design.climate.vents.map((vent) => vent.area).join()}`);
  };
  it('are sawn low and high into timber, across from each other, then made wider; glass is left whole', () => {
    expect(vents(boxed('glass'), 'over')).toEqual([]);
    const timber = boxed('timber');
    const { width, depth } = timber.enclosure;
    const area = Math.round(Math.min(width, depth) * 0.03 * 1e4) / 1e4;
    expect(vents(timber, 'over')).toEqual([`vents low and high ${area},${area}`]);
    expect(vents(timber, 'under')).toEqual([]);
    for (const locks of [{ vents: true }, { buying: true }]) expect(vents(timber, 'over', locks)).toEqual([]);
  });
  it('that are there are closed where it is too dry', () => {
    const own = boxed('timber', [{ edit: 'addVent', change: { wall: 'left', where: 'low' } }]);
    const [vent] = own.climate.vents;
    const half = Math.round(0.5 * vent!.area * 1e4) / 1e4;
    expect(vents(own, 'under')).toEqual([`vents half ${half}`, 'vents closed 0']);
  });
});
