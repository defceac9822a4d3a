import { findDeviceKind, type Animal, type Catalogue } from '../catalogue';
import type { Design, Device } from '../document/schema';
import { TOO_HIGH } from '../climate/clearance';
import { siteAt } from '../ground/bodies';
import { criteriaOf } from '../verdict/criteria';
import { type Move, AMPLE, type Fault, type Setting, type Maker, free, round, tidy } from './change';
import {
  baskingLamp,
  baskingSpot,
  clearHeight,
  darkHeaters,
  fitted,
  judgedPlace,
  mostOver,
  kindOf,
  overOf,
  without,
  withDevice,
  withDevices,
  withNew,
} from '../fitting/fittings';
import { clamp } from '../physics/constants';

/** Dark heaters of the warm side, as nearly all are, and those that hang over the cool one alone: the middle is no cool side. */
export const heatersOn = (side: 'warm' | 'cool', design: Design, catalogue: Catalogue): readonly Device[] =>
  darkHeaters(design, catalogue).filter(({ at }) => {
    const fromWarm = design.scape.warm === 'right' ? design.enclosure.width - at.x : at.x;
    return fromWarm > 0.6 * design.enclosure.width === (side === 'cool');
  });

/** °C that are borne without harm at the most. */
const warmestBorne = (animal: Animal, when: 'day' | 'night'): number =>
  criteriaOf(animal, { moistHide: false }).find((it) => it.id === (when === 'day' ? 'warm' : 'night'))?.borne
    .high ?? 30;

/** Set points of the dark heater, by as much as the place is off. */
export function heaterSet(when: 'day' | 'night', sign: 1 | -1, side: 'warm' | 'cool' = 'warm'): Maker {
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
export const heaterProbe: Maker = ({ design, animal, catalogue, locks }) => {
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
export function power(
  which: (design: Design, catalogue: Catalogue) => Device | undefined,
  up: boolean,
): Maker {
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

/** m over the ground that a heater on a wire hangs at (common practice). */
const HUNG = 0.5;

/** Another dark heater in its place, or a first one, as strong as it need be: over the lid, or under it with a guard. */
export const heaterKind = ({ design, animal, catalogue, locks }: Setting, fault?: Fault): readonly Move[] => {
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
  const ground = siteAt(design).groundAt(place.x, place.y);
  // Under a ceiling that is far off, warmth is hung over the animal on a wire or a chain, and does not go to the room.
  const far = height - ground > TOO_HIGH;
  const ways: { readonly kind: string; readonly inside: boolean; readonly hung?: number }[] = [
    ...(far
      ? ['infrared-emitter', 'ceramic-emitter', 'radiant-panel'].map((kind) => ({
          kind,
          inside: true,
          hung: ground + HUNG,
        }))
      : []),
    { kind: 'infrared-emitter', inside: false },
    { kind: 'ceramic-emitter', inside: false },
    { kind: 'radiant-panel', inside: true },
    { kind: 'ceramic-emitter', inside: true },
    ...(large ? [{ kind: 'room-heater', inside: true }] : []),
  ];
  return ways.flatMap(({ kind: id, inside, hung }): Move[] => {
    const kind = findDeviceKind(catalogue, id);
    if (!kind) return [];
    const clear = kind.clearance?.value ?? 0;
    const over =
      kind.form === 'heater'
        ? 0.1
        : (hung ?? (inside ? height - (kind.form === 'panel' ? 0.03 : 0.09) : overOf(design)));
    const least =
      kind.form === 'heater' ? 0 : clearHeight(design, place, clear, inside ? over : mostOver(design));
    if (least === null || (kind.form === 'panel' && kind.length > width * 0.7)) return [];
    const device = fitted(bare, kind, {
      at: { ...place, z: Math.max(over, least) },
      power: AMPLE,
      timer: { by: 'always' },
      thermostat: { ...set, probe },
    });
    const where = hung === undefined ? (inside ? 'inside' : 'over') : 'on a wire';
    return [{ id: `${id} ${where}`, design: withNew(bare, device), size: device.id }];
  });
};

/** A heater for the cool side alone, where all heat hangs over the warm one. */
export const coolHeater = ({ design, animal, catalogue, locks }: Setting): readonly Move[] => {
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
    const least = clearHeight(design, place, kind.clearance?.value ?? 0, panel ? over : mostOver(design));
    if (least === null || (panel && kind.length > width * 0.45)) return [];
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
export function baskSet(sign: 1 | -1): Maker {
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
export function baskLamp(nearer: boolean): Maker {
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
