import { findDeviceKind } from '../catalogue';
import { type Fault, type Move, type Maker, free, round, tidy } from './change';
import {
  fitted,
  foggerOf,
  freeId,
  kindOf,
  without,
  withClimate,
  withDevice,
  withNew,
} from '../fitting/fittings';
import type { Design, Device } from '../document/schema';
import { probeInAir } from '../climate/controlled';
import { clamp } from '../physics/constants';

/** Whether a place is judged by night. */
const byNight = ({ criterion }: Fault['it']): boolean =>
  criterion.id === 'humidity-night' || criterion.id === 'night';

/** Humidity held by fog; where it is too warm, as much of it as is wanted in its air, for what that takes of its warmth. */
export function fog(more: boolean): Maker {
  return ({ design, animal, catalogue, locks }, { by, it }) => {
    const cools = it.criterion.measure === 'temperature';
    const when = byNight(it) ? 'night' : 'day';
    const most = (when === 'night' ? animal.climate.humidityNight : animal.climate.humidityDay).value.high;
    const cooling = tidy(Math.min(0.97, round(most - 0.04, 0.01)));
    const fogger = foggerOf(design, catalogue);
    if (it.criterion.id === 'soil') return fogger && free(locks, fogger) ? lessFog(design, fogger) : [];
    const { width, depth, height } = design.enclosure;
    const { humidityDay, humidityNight } = animal.climate;
    if (!fogger) {
      if (!more || locks.buying || locks.mist) return [];
      const id = width * depth * height > 0.8 ? 'humidifier' : 'fogger';
      const kind = findDeviceKind(catalogue, id);
      if (!kind) return [];
      const right = design.scape.warm === 'right';
      // At full output one made for a large box floods a small one, and its humidistat swings.
      const dim = id === 'fogger' ? clamp(round((width * depth * height) / FULL_OUTPUT, 0.05), 0.2, 1) : 1;
      const want = (band: { readonly low: number; readonly high: number }): number =>
        tidy(round(Math.min(band.low + 0.06, (band.low + band.high) / 2), 0.01));
      return [0, 0.04].map((extra) => ({
        id: `fog ${extra}${cools ? ' to cool' : ''}`,
        design: withNew(
          design,
          fitted(design, kind, {
            // Cold fog sinks: it comes in over the cool side.
            at: { x: width * (right ? 0.25 : 0.75), y: depth * 0.85, z: height * 0.8 },
            timer: { by: 'always' },
            dim: tidy(dim),
            humidistat: {
              day: Math.min(0.97, want(humidityDay.value) + extra),
              night: Math.min(0.97, want(humidityNight.value) + extra),
              ...(cools ? { [when]: tidy(cooling - extra) } : {}),
              probe: probeInAir(design, 0.5, 0.4),
            },
          }),
        ),
      }));
    }
    if (!fogger.humidistat || !free(locks, fogger)) return [];
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
    if (cools) return set !== null && set >= cooling ? [] : [at(cooling), at(tidy(cooling - 0.04))];
    const moves = steps.flatMap((step) => {
      const next = tidy(clamp((set ?? it.criterion.wanted.low) + sign * step, 0.1, 0.98));
      return next === set ? [] : [at(next)];
    });
    if (!more)
      return set === null ? [] : [...moves, at(null), { id: 'no fog', design: without(design, fogger.id) }];
    // One that never stops is too small.
    const up = tidy(clamp(round(1.6 * fogger.dim, 0.05), 0.2, 1));
    if (up > fogger.dim)
      moves.push({
        id: `fog output ${up}`,
        design: withDevice(design, fogger.id, (own) => ({ ...own, dim: up })),
      });
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

/** Fog that falls and is not drained: less of it by day and by night alike. */
const lessFog = (design: Design, fogger: Device): readonly Move[] =>
  [0.04, 0.1].flatMap((by): Move[] => {
    const less = (value: number | null): number | null => value && tidy(clamp(value - by, 0.1, 0.98));
    return fogger.humidistat
      ? [
          {
            id: `less fog ${by}`,
            design: withDevice(design, fogger.id, (own) => ({
              ...own,
              humidistat: own.humidistat && {
                ...own.humidistat,
                day: less(own.humidistat.day),
                night: less(own.humidistat.night),
              },
            })),
          },
        ]
      : [];
  });

/** m³ of a box that a fogger at full output is made for (common practice: the output knob is turned down in smaller ones). */
const FULL_OUTPUT = 0.2;

export const SECONDS = (value: number): number => Math.round(clamp(value, 2, 120));

/** Seconds, times and days of mist. */
export function mist(more: boolean): Maker {
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
      byNight(it)
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
