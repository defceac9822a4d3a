import { findDeviceKind, type Animal, type Catalogue } from '../catalogue';
import type { Design, Device } from '../design/schema';
import { criteriaOf } from '../verdict/criteria';
import type { Measured } from '../verdict/year';
import {
  baskingLamp,
  baskingSpot,
  clearHeight,
  darkHeaters,
  fanOf,
  fitted,
  foggerOf,
  freeId,
  judgedPlace,
  kindOf,
  overOf,
  plantLights,
  without,
  withClimate,
  withDevice,
  withDevices,
  withNew,
} from './fittings';

/** A small change that may bring a place nearer to its band. */
export interface Move {
  /** The same change of the same design has the same name. */
  readonly id: string;
  readonly design: Design;
  /** A device whose power is still to be found: it is far stronger than it need be, held by its thermostat. */
  readonly size?: string;
}

/** W of a device that is still to be sized. */
export const AMPLE = 1500;

/** What must stay as it is. */
export interface Locks {
  readonly cover: boolean;
  readonly vents: boolean;
  readonly lights: boolean;
  readonly mist: boolean;
  /** One setting for the whole year. */
  readonly seasons: boolean;
  /** Nothing new is bought. */
  readonly buying: boolean;
  /** Devices by id that stay as they are, settings and all. */
  readonly devices: readonly string[];
}
export const NO_LOCKS: Locks = {
  cover: false,
  vents: false,
  lights: false,
  mist: false,
  seasons: false,
  buying: false,
  devices: [],
};

/** A place outside its band: which way, and by how much. */
export interface Fault {
  readonly it: Measured;
  readonly way: 'under' | 'over';
  /** K or share of humidity by which it is outside, in the mean of the hours that are, tolerance included. */
  readonly by: number;
}

export interface Setting {
  readonly design: Design;
  readonly animal: Animal;
  readonly catalogue: Catalogue;
  readonly locks: Locks;
}

const round = (value: number, to: number): number => Math.round(value / to) * to;
const tidy = (value: number): number => Math.round(value * 1000) / 1000;
const clamp = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value));

type Maker = (setting: Setting, fault: Fault) => readonly (Move | null)[];

/** Every change that could mend a fault, in the order they are tried. */
export function movesFor(setting: Setting, fault: Fault): readonly Move[] {
  const key = `${fault.it.criterion.id} ${fault.way}` as const;
  const makers = MAKERS[key] ?? [];
  const seen = new Set<string>();
  return makers
    .flatMap((make) => make(setting, fault))
    .filter((it): it is Move => {
      if (!it || seen.has(it.id)) return false;
      seen.add(it.id);
      return true;
    });
}

const free = (locks: Locks, device: Device): boolean => !locks.devices.includes(device.id);

function cover(by: readonly number[]): Maker {
  return ({ design, locks }) => {
    const { top, topCover } = design.enclosure;
    if (locks.cover || top === 'solid') return [];
    return by.map((step): Move | null => {
      const next = clamp(round(topCover + step, 0.05), 0, 0.95);
      return Math.abs(next - topCover) < 0.01
        ? null
        : {
            id: `cover ${next.toFixed(2)}`,
            design: { ...design, enclosure: { ...design.enclosure, topCover: tidy(next) } },
          };
    });
  };
}
const coverMore = cover([0.1, 0.3]);
const coverLess = cover([-0.1, -0.3]);

/** The strip of air under the doors. */
function strip(by: number): Maker {
  return ({ design, locks }) => {
    const { front, made } = design.enclosure;
    if (locks.vents || front !== 'doors') return [];
    const next = clamp(made.ventLow + by, 0, 0.06);
    return Math.abs(next - made.ventLow) < 0.001
      ? []
      : [
          {
            id: `strip ${next.toFixed(3)}`,
            design: { ...design, enclosure: { ...design.enclosure, made: { ...made, ventLow: tidy(next) } } },
          },
        ];
  };
}
const stripMore = strip(0.02);
const stripLess = strip(-0.02);

/** Dark heaters of the warm side, as nearly all are, and those that hang over the cool one alone. */
const heatersOn = (side: 'warm' | 'cool', design: Design, catalogue: Catalogue): readonly Device[] =>
  darkHeaters(design, catalogue).filter(
    ({ at }) => (at.x < design.enclosure.width / 2 === (design.scape.warm === 'right')) === (side === 'cool'),
  );

/** °C that are borne without harm at the most. */
const warmestBorne = (animal: Animal, when: 'day' | 'night'): number =>
  criteriaOf(animal, { moistHide: false }).find((it) => it.id === (when === 'day' ? 'warm' : 'night'))?.borne
    .high ?? 30;

/** Set points of the dark heater, by as much as the place is off. */
function heaterSet(when: 'day' | 'night', sign: 1 | -1, side: 'warm' | 'cool' = 'warm'): Maker {
  return ({ design, animal, catalogue, locks }, { by, it: { criterion } }) => {
    const heaters = heatersOn(side, design, catalogue).filter((it) => it.thermostat && free(locks, it));
    const ids = heaters.map((it) => it.id);
    const thermostat = heaters[0]?.thermostat;
    if (!thermostat) return [];
    const { warm, cool, night } = animal.climate;
    const byDay = side === 'warm' ? warm.value : cool.value;
    const band = when === 'day' ? byDay : night.value;
    const set = thermostat[when];
    const at = (value: number | null): Move => ({
      id: `${side === 'warm' ? 'heater' : 'cool heater'} ${when} ${String(value)}`,
      design: withDevices(design, ids, (it) => ({
        ...it,
        thermostat: it.thermostat && { ...it.thermostat, [when]: value },
      })),
    });
    if (set === null) {
      if (sign < 0) return [];
      const dry = criterion.measure === 'humidity' ? [band.high, warmestBorne(animal, when) - 0.5] : [];
      return [band.low + 0.5, (band.low + band.high) / 2, ...dry].map(at);
    }
    // Into the band and not only to the edge of what is tolerated; or a little.
    const steps = [clamp(round(by + 0.8, 0.5), 1, 7), 0.5];
    const wanted = sign > 0 ? band.low + 0.5 : band.high - 0.5;
    // Warm air is drier: where it is far too damp, as warm as is borne.
    const dry =
      sign > 0 && criterion.measure === 'humidity'
        ? [0.5, 2.5].map((under) => warmestBorne(animal, when) - under)
        : [];
    const next = [
      ...steps.map((step) => clamp(round(set + sign * step, 0.5), 5, 45)),
      // Straight to where it is wanted, from far off.
      ...(sign * (wanted - set) > 0 ? [wanted] : []),
      ...dry.filter((it) => it > set),
    ];
    const moves = [...new Set(next)].map((it) => (it === set ? null : at(it)));
    return sign < 0 && (when === 'night' || animal.climate.basking)
      ? [...moves.flatMap((it) => it ?? []), at(null)]
      : moves.flatMap((it) => it ?? []);
  };
}

/** Its probe where the animal is judged. */
const heaterProbe: Maker = ({ design, animal, catalogue, locks }) => {
  const heaters = heatersOn('warm', design, catalogue).filter((it) => it.thermostat && free(locks, it));
  const now = heaters[0]?.thermostat?.probe;
  if (!now) return [];
  const probe = judgedPlace(design, animal, 'warm');
  if (Math.hypot(now.x - probe.x, now.y - probe.y, now.z - probe.z) < 0.05) return [];
  return [
    {
      id: 'heater probe',
      design: withDevices(
        design,
        heaters.map((it) => it.id),
        (it) => ({ ...it, thermostat: it.thermostat && { ...it.thermostat, probe } }),
      ),
    },
  ];
};

/** Next power up or down of a device. */
function power(which: (design: Design, catalogue: Catalogue) => Device | undefined, up: boolean): Maker {
  return ({ design, catalogue, locks }) => {
    const device = which(design, catalogue);
    if (!device || !free(locks, device) || locks.buying) return [];
    const powers = [...(kindOf(device, catalogue)?.powers ?? [])].sort((a, b) => a - b);
    const next = up
      ? powers.find((it) => it > device.power)
      : powers.filter((it) => it < device.power).at(-1);
    return next === undefined
      ? []
      : [
          {
            id: `${device.kind} ${next} W`,
            design: withDevice(design, device.id, (it) => ({ ...it, power: next })),
          },
        ];
  };
}

/** Another dark heater in its place, or a first one, as strong as it need be: over the lid, or under it with a guard. */
const heaterKind = ({ design, animal, catalogue, locks }: Setting, fault?: Fault): readonly Move[] => {
  const heaters = heatersOn('warm', design, catalogue);
  if (locks.buying || heaters.some((it) => !free(locks, it))) return [];
  const heater = heaters[0];
  const { width, depth, height } = design.enclosure;
  const right = design.scape.warm === 'right';
  const probe = judgedPlace(design, animal, 'warm');
  const { warm, cool, night } = animal.climate;
  const usual = heater?.thermostat ?? {
    kind: 'proportional' as const,
    // Where both sides want nearly the same, it must not warm on while it is warm enough.
    day: warm.value.low + (warm.value.low > cool.value.high + 1 ? 0.5 : -0.5),
    night: night.value.low + 0.5,
    probe,
  };
  // Where it is far too damp, as warm as is borne.
  const half = fault?.it.criterion.id === 'humidity-day' ? 'day' : 'night';
  const set =
    fault?.it.criterion.measure === 'humidity'
      ? { ...usual, [half]: Math.max(usual[half] ?? 0, warmestBorne(animal, half) - 2) }
      : usual;
  const bare = without(design, ...heaters.map((it) => it.id));
  const place = { x: tidy(width * (right ? 0.85 : 0.15)), y: tidy(depth * 0.3) };
  const large = design.enclosure.build === 'walk-in' || width * depth * height > 1;
  const ways: { readonly kind: string; readonly inside: boolean }[] = [
    { kind: 'infrared-emitter', inside: false },
    { kind: 'ceramic-emitter', inside: false },
    { kind: 'radiant-panel', inside: true },
    { kind: 'ceramic-emitter', inside: true },
    ...(large ? [{ kind: 'room-heater', inside: true }] : []),
  ];
  return ways.flatMap(({ kind: id, inside }): Move[] => {
    const kind = findDeviceKind(catalogue, id);
    if (!kind) return [];
    const clear = kind.clearance?.value ?? 0;
    const over =
      kind.form === 'heater' ? 0.1 : inside ? height - (kind.form === 'panel' ? 0.03 : 0.09) : overOf(design);
    const least =
      kind.form === 'heater' ? 0 : clearHeight(design, place, clear, inside ? over : height + 0.45);
    if (least === null || (kind.form === 'panel' && kind.length > width * 0.7)) return [];
    const device = fitted(bare, kind, {
      at: { ...place, z: Math.max(over, least) },
      power: AMPLE,
      timer: { by: 'always' },
      thermostat: { ...set, probe },
    });
    return [{ id: `${id} ${inside ? 'inside' : 'over'}`, design: withNew(bare, device), size: device.id }];
  });
};

/** A heater for the cool side alone, where all heat hangs over the warm one. */
const coolHeater = ({ design, animal, catalogue, locks }: Setting): readonly Move[] => {
  const { width, depth, height } = design.enclosure;
  const right = design.scape.warm === 'right';
  if (locks.buying || heatersOn('cool', design, catalogue).length > 0) return [];
  const probe = judgedPlace(design, animal, 'cool');
  const place = { x: tidy(width * (right ? 0.2 : 0.8)), y: tidy(depth * 0.3) };
  const { cool, night } = animal.climate;
  return ['infrared-emitter', 'ceramic-emitter', 'radiant-panel'].flatMap((id): Move[] => {
    const kind = findDeviceKind(catalogue, id);
    if (!kind) return [];
    const panel = kind.form === 'panel';
    const over = panel ? height - 0.03 : overOf(design);
    const least = clearHeight(design, place, kind.clearance?.value ?? 0, panel ? over : height + 0.45);
    if (least === null || (panel && kind.length > width * 0.4)) return [];
    const device = fitted(design, kind, {
      at: { ...place, z: Math.max(over, least) },
      power: AMPLE,
      timer: { by: 'always' },
      thermostat: {
        kind: 'proportional',
        day: Math.min(cool.value.low + 1, cool.value.high),
        night: night.value.low + 0.5,
        probe,
      },
    });
    return [{ id: `${id} over the cool side`, design: withNew(design, device), size: device.id }];
  });
};

/** What the basking lamp is held to. */
function baskSet(sign: 1 | -1): Maker {
  return ({ design, animal, catalogue, locks }, { by }) => {
    const lamp = baskingLamp(design, catalogue);
    const band = animal.climate.basking?.value;
    if (!lamp?.thermostat || !band || !free(locks, lamp)) return [];
    const { day } = lamp.thermostat;
    if (day === null) return [];
    const next = clamp(round(day + sign * clamp(by, 0.5, 3), 0.5), band.low, band.high);
    return next === day
      ? []
      : [
          {
            id: `basking ${next}`,
            design: withDevice(design, lamp.id, (it) => ({
              ...it,
              thermostat: it.thermostat && { ...it.thermostat, day: next },
            })),
          },
        ];
  };
}

/** The basking lamp nearer, further, with another beam, or a first one. */
function baskLamp(nearer: boolean): Maker {
  return ({ design, animal, catalogue, locks }) => {
    const band = animal.climate.basking?.value;
    if (!band) return [];
    const lamp = baskingLamp(design, catalogue);
    if (lamp && !free(locks, lamp)) return [];
    const spot = baskingSpot(design);
    const { height } = design.enclosure;
    const moves: Move[] = [];
    if (lamp) {
      const clear = kindOf(lamp, catalogue)?.clearance?.value ?? 0.2;
      const steps = nearer ? [-0.1, -0.2] : [0.1];
      for (const step of steps) {
        const z = tidy(lamp.at.z + step);
        if (z < spot.z + clear || z > height + 0.4) continue;
        // Between the lid and the room inside it there is no place for a lamp.
        if (z > height - 0.06 && z < height + 0.02) continue;
        moves.push({
          id: `basking lamp at ${z}`,
          design: withDevice(design, lamp.id, (it) => ({ ...it, at: { ...it.at, z } })),
        });
      }
    }
    if (locks.buying) return moves;
    const kinds = ['halogen-flood', 'halogen-wide', 'incandescent-bulb'];
    for (const id of kinds) {
      const kind = findDeviceKind(catalogue, id);
      if (!kind) continue;
      const bare = lamp ? without(design, lamp.id) : design;
      const device = fitted(bare, kind, {
        at: lamp?.at ?? { x: spot.x, y: spot.y, z: overOf(design) },
        power: AMPLE,
        thermostat: lamp?.thermostat ?? {
          kind: 'proportional',
          day: (band.low + band.high) / 2,
          night: null,
          probe: spot,
        },
      });
      moves.push({ id: `basking ${id}`, design: withNew(bare, device), size: device.id });
    }
    return moves;
  };
}

/** Humidity held by fog. */
function fog(more: boolean): Maker {
  return ({ design, animal, catalogue, locks }, { by, it }) => {
    const fogger = foggerOf(design, catalogue);
    const { width, depth, height } = design.enclosure;
    const { humidityDay, humidityNight } = animal.climate;
    if (!fogger) {
      if (!more || locks.buying || locks.mist) return [];
      const id = width * depth * height > 0.8 ? 'humidifier' : 'fogger';
      const kind = findDeviceKind(catalogue, id);
      if (!kind) return [];
      const right = design.scape.warm === 'right';
      const want = (band: { readonly low: number; readonly high: number }): number =>
        tidy(round(Math.min(band.low + 0.06, (band.low + band.high) / 2), 0.01));
      return [0, 0.04].map((extra) => ({
        id: `fog ${extra}`,
        design: withNew(
          design,
          fitted(design, kind, {
            // Cold fog sinks: it comes in over the cool side.
            at: { x: width * (right ? 0.25 : 0.75), y: depth * 0.85, z: height * 0.8 },
            timer: { by: 'always' },
            humidistat: {
              day: Math.min(0.97, want(humidityDay.value) + extra),
              night: Math.min(0.97, want(humidityNight.value) + extra),
              probe: { x: tidy(width / 2), y: tidy(depth * 0.4), z: tidy(height * 0.5) },
            },
          }),
        ),
      }));
    }
    if (!fogger.humidistat || !free(locks, fogger)) return [];
    const when = it.criterion.id === 'humidity-night' ? 'night' : 'day';
    const set = fogger.humidistat[when];
    const sign = more ? 1 : -1;
    const steps = [clamp(round(by, 0.02), 0.02, 0.15), 0.02];
    const at = (value: number | null): Move => ({
      id: `fog ${when} ${String(value)}`,
      design: withDevice(design, fogger.id, (own) => ({
        ...own,
        humidistat: own.humidistat && { ...own.humidistat, [when]: value },
      })),
    });
    const moves = steps.flatMap((step) => {
      const next = tidy(clamp((set ?? it.criterion.wanted.low) + sign * step, 0.1, 0.98));
      return next === set ? [] : [at(next)];
    });
    if (!more)
      return set === null ? [] : [...moves, at(null), { id: 'no fog', design: without(design, fogger.id) }];
    // One that never stops is too small.
    const foggers = design.climate.devices.filter((own) => kindOf(own, catalogue)?.form === 'fogger');
    return locks.buying || foggers.length > 1
      ? moves
      : [
          ...moves,
          {
            id: 'second fog',
            design: withNew(design, { ...fogger, id: freeId(design), name: `${fogger.name} 2` }),
          },
        ];
  };
}

const SECONDS = (value: number): number => Math.round(clamp(value, 2, 120));

/** Seconds, times and days of mist. */
function mist(more: boolean): Maker {
  return ({ design, animal, catalogue, locks }, { it }) => {
    if (locks.mist) return [];
    const { mist: own, day, devices } = design.climate;
    const nozzles = devices.some((device) => kindOf(device, catalogue)?.form === 'nozzle');
    if (own.by === 'nozzles' && !nozzles) return [];
    const to = (id: string, change: Partial<typeof own>): Move => ({
      id: `mist ${id}`,
      design: withClimate(design, { mist: { ...own, ...change } }),
    });
    const scaled = (by: number) =>
      own.times.map((time) => ({ ...time, seconds: SECONDS(time.seconds * by) }));
    if (!more) {
      if (own.times.length === 0) return [];
      const night = it.criterion.id === 'humidity-night';
      const last = own.times.reduce((a, b) => (b.at > a.at ? b : a));
      const fewer = own.times.filter((time) =>
        night ? time !== last : time.at === last.at || own.times.length < 2,
      );
      return [
        to('×0.6', { times: scaled(0.6) }),
        ...(own.times.length > 1
          ? [to('fewer', { times: night ? fewer : own.times.slice(0, -1) })]
          : animal.ground.value === 'dry'
            ? [to('none', { times: [] })]
            : []),
        ...(own.everyDays < 7
          ? [to('rarer', { everyDays: own.everyDays < 2 ? 2 : own.everyDays < 4 ? 4 : 7 })]
          : []),
      ];
    }
    const hour = (at: number): number => Math.round(clamp(at, 0, 1435));
    const evening = hour(day.off - 20);
    const early = hour(day.on - 180);
    const seconds = own.times[0]?.seconds ?? (own.by === 'nozzles' ? 12 : 20);
    const add = (at: number) =>
      own.times.some((time) => Math.abs(time.at - at) < 50) || own.times.length >= 8
        ? null
        : { times: [...own.times, { at, seconds }].sort((a, b) => a.at - b.at) };
    const adds = (
      it.criterion.id === 'humidity-night'
        ? ([
            ['evening', add(evening)],
            ['before light', add(early)],
            ['midnight', add(10)],
          ] as const)
        : ([
            ['noon', add(hour((day.on + day.off) / 2))],
            ['morning', add(hour(day.on + 15))],
            ['afternoon', add(hour(day.on * 0.25 + day.off * 0.75))],
          ] as const)
    ).flatMap(([id, change]) => (change ? [to(id, { ...change, everyDays: 1 })] : []));
    return [
      ...(own.times.length > 0 ? [to('×1.6', { times: scaled(1.6) })] : []),
      ...(own.everyDays > 1 ? [to('daily', { everyDays: 1 })] : []),
      ...(own.by === 'nozzles' ? adds : adds.slice(0, 1)),
    ];
  };
}

/** A fan that draws room air in: while it is too damp, while it is too warm, or by night. */
function fan(why: 'damp' | 'warm', more: boolean): Maker {
  return ({ design, animal, catalogue, locks }, { it }) => {
    const own = fanOf(design, catalogue);
    const { width, depth, height } = design.enclosure;
    if (!own) {
      if (!more || locks.buying) return [];
      const right = design.scape.warm === 'right';
      return (['fan-small', 'fan-middle'] as const).flatMap((id): Move[] => {
        const kind = findDeviceKind(catalogue, id);
        if (!kind) return [];
        const at = { x: width * (right ? 0.25 : 0.75), y: depth, z: height - 0.05 };
        const { humidityDay, humidityNight } = animal.climate;
        const damp = {
          day: tidy(humidityDay.value.high - 0.03),
          night: tidy(Math.min(0.97, humidityNight.value.high - 0.03)),
          probe: { x: tidy(width / 2), y: tidy(depth * 0.4), z: tidy(height * 0.5) },
        };
        const night = it.criterion.id === 'night';
        return [
          {
            id: `${id} ${why}`,
            design: withNew(
              design,
              fitted(design, kind, {
                at,
                timer: why === 'damp' ? { by: 'always' } : night ? { by: 'night' } : { by: 'day' },
                humidistat: why === 'damp' ? damp : null,
              }),
            ),
          },
        ];
      });
    }
    if (!free(locks, own)) return [];
    const moves: Move[] = [];
    if (own.humidistat) {
      const sign = more ? -0.04 : 0.04;
      for (const when of ['day', 'night'] as const) {
        const set = own.humidistat[when];
        if (set === null) continue;
        const next = tidy(clamp(set + sign, 0.2, 0.98));
        moves.push({
          id: `fan ${when} ${next}`,
          design: withDevice(design, own.id, (d) => ({
            ...d,
            humidistat: d.humidistat && { ...d.humidistat, [when]: next },
          })),
        });
      }
    }
    if (more && own.timer.by !== 'always')
      moves.push({
        id: 'fan always',
        design: withDevice(design, own.id, (d) => ({ ...d, timer: { by: 'always' } })),
      });
    if (more && own.kind === 'fan-small' && !locks.buying)
      moves.push({
        id: 'fan larger',
        design: withDevice(design, own.id, (d) => ({
          ...d,
          kind: 'fan-middle',
          name: findDeviceKind(catalogue, 'fan-middle')?.name ?? d.name,
          power: 2,
        })),
      });
    if (!more) {
      moves.push({ id: 'no fan', design: without(design, own.id) });
      if (own.timer.by === 'always' && !own.humidistat)
        moves.push({
          id: 'fan by night',
          design: withDevice(design, own.id, (d) => ({ ...d, timer: { by: 'night' } })),
        });
    }
    return moves;
  };
}

/** Plant lights dimmed: what they take from the mains stays in the box as warmth. */
const dimmer = ({ design, catalogue, locks }: Setting): readonly Move[] => {
  // What is planted already was chosen for its light.
  if (locks.lights || design.living.plants.some((it) => it.planted !== null)) return [];
  const lights = plantLights(design, catalogue).filter((it) => free(locks, it) && it.dim > 0.6);
  if (lights.length === 0) return [];
  const ids = new Set(lights.map((it) => it.id));
  return [0.7].map((by) => ({
    id: `lights ×${by}`,
    design: withClimate(design, {
      devices: design.climate.devices.map((it) =>
        ids.has(it.id) ? { ...it, dim: Math.round(it.dim * by * 20) / 20 } : it,
      ),
    }),
  }));
};

/** The day of the box earlier or later: its nights then fall into the coolest hours of the room. */
const shiftDay: Maker = ({ design, locks }) => {
  if (locks.lights) return [];
  const { day } = design.climate;
  return [60, 120, -60].flatMap((by): Move[] => {
    const on = day.on + by;
    const off = day.off + by;
    if (on < 300 || off > 1380) return [];
    return [
      {
        id: `day ${on}`,
        design: withClimate(design, {
          day: { ...day, on, off },
          mist: {
            ...design.climate.mist,
            times: design.climate.mist.times.map((it) => ({ ...it, at: clamp(it.at + by, 0, 1435) })),
          },
        }),
      },
    ];
  });
};

const MAKERS: Readonly<Record<string, readonly Maker[]>> = {
  'warm under': [heaterSet('day', 1), heaterKind, heaterProbe, coverMore, coverLess, baskSet(1)],
  'warm over': [
    heaterSet('day', -1),
    heaterProbe,
    coverLess,
    stripMore,
    dimmer,
    power(baskingLamp, false),
    baskSet(-1),
    fan('warm', true),
    baskLamp(false),
  ],
  'cool under': [heaterSet('day', 1), coverMore, coolHeater, heaterSet('day', 1, 'cool'), fan('warm', false)],
  'cool over': [
    heaterSet('day', -1),
    heaterSet('day', -1, 'cool'),
    coverLess,
    stripMore,
    dimmer,
    fan('warm', true),
    power(baskingLamp, false),
    baskSet(-1),
    heaterProbe,
    fog(true),
  ],
  'water over': [heaterSet('day', -1), coverLess, dimmer, fan('warm', true)],
  'water under': [heaterSet('day', 1), heaterSet('night', 1), coverMore],
  'basking under': [baskSet(1), baskLamp(true), heaterSet('day', 1), coverLess],
  'basking over': [
    baskSet(-1),
    power(baskingLamp, false),
    baskLamp(false),
    heaterKind,
    heaterSet('day', -1),
    heaterProbe,
  ],
  'night under': [heaterSet('night', 1), heaterKind, coverMore],
  'night over': [
    heaterSet('night', -1),
    heaterSet('night', -1, 'cool'),
    coverLess,
    stripMore,
    fan('warm', true),
    shiftDay,
    dimmer,
    fog(true),
  ],
  'humidity-day under': [
    fog(true),
    mist(true),
    coverMore,
    stripLess,
    fan('damp', false),
    heaterSet('day', -1),
  ],
  'humidity-night under': [fog(true), mist(true), coverMore, stripLess, fan('damp', false)],
  'humidity-day over': [
    coverLess,
    mist(false),
    fog(false),
    fan('damp', true),
    stripMore,
    heaterSet('day', 1),
    heaterKind,
  ],
  'humidity-night over': [
    coverLess,
    mist(false),
    fog(false),
    fan('damp', true),
    stripMore,
    heaterSet('night', 1),
    heaterKind,
  ],
  'hide under': [coverMore, fog(true)],
};

/** Changes that ask less of the keeper: each thing left out, the heater exchanged, less mist, lights that are softer. */
export function easements({ design, animal, catalogue, locks }: Setting): readonly Move[] {
  const moves: Move[] = [];
  const own = [
    ...darkHeaters(design, catalogue),
    ...[foggerOf(design, catalogue), fanOf(design, catalogue)].flatMap((it) => it ?? []),
  ].filter((it) => free(locks, it));
  for (const it of own) moves.push({ id: `without ${it.id}`, design: without(design, it.id) });
  const { mist } = design.climate;
  if (!locks.mist && mist.times.length > 0) {
    const to = (id: string, change: Partial<typeof mist>): Move => ({
      id: `mist ${id}`,
      design: withClimate(design, { mist: { ...mist, ...change } }),
    });
    if (mist.times.length > 1) moves.push(to('fewer', { times: mist.times.slice(0, -1) }));
    else if (animal.ground.value === 'dry') moves.push(to('none', { times: [] }));
    moves.push(
      to('less', { times: mist.times.map((it) => ({ ...it, seconds: SECONDS(it.seconds * 0.6) })) }),
    );
    if (mist.by === 'hand' && mist.everyDays < 7) moves.push(to('rarer', { everyDays: mist.everyDays * 2 }));
  }
  const setting = { design, animal, catalogue, locks };
  moves.push(...heaterKind(setting), ...dimmer(setting));
  return moves;
}
