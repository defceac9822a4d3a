import {
  monthsOf,
  type Design,
  type Device,
  type SeasonDevice,
  type SeasonSettings,
  type Timer,
} from './schema';

/** First day of each month in a year of 365 days, from 1. */
const FIRSTS = [1, 32, 60, 91, 121, 152, 182, 213, 244, 274, 305, 335] as const;

/** Month of a day of the year, both from 1. */
export const monthOfDay = (day: number): number => {
  const own = ((day - 1) % 365) + 1;
  return FIRSTS.findLastIndex((first) => first <= own) + 1;
};

/** The part of the year a day of the year falls into; undefined: the rest of the year. */
export const seasonOn = ({ climate }: Design, day: number): SeasonSettings | undefined => {
  const month = monthOfDay(day);
  return climate.seasons.find((it) => monthsOf(it).includes(month));
};

/**
 * A design as it is set on a day of the year. The same object for every day of the same settings is not promised; one
 * without settings by season is returned as it is. What is off stays in the list, so that states of the box keep their
 * places.
 */
export const settingsOn = (design: Design, day: number): Design => {
  const own = seasonOn(design, day);
  return own ? withSettings(design, own) : design;
};

/** A design as it is set on a date, `YYYY-MM-DD`, or at a moment by the clock of this device. */
export const settingsAt = (design: Design, when: string | number): Design => {
  const own = partAt(design, when);
  return own ? withSettings(design, own) : design;
};

/** The part of the year with settings of its own that a date or a moment falls into. */
export const partAt = ({ climate }: Design, when: string | number): SeasonSettings | undefined => {
  const month = typeof when === 'string' ? Number(when.slice(5, 7)) : new Date(when).getMonth() + 1;
  return climate.seasons.find((it) => monthsOf(it).includes(month));
};

/** A design with settings of a part of the year in place of its own. */
export function withSettings(design: Design, { topCover, mist, devices }: SeasonSettings): Design {
  const { climate, enclosure } = design;
  const set = new Map(devices.map((it) => [it.device, it]));
  return {
    ...design,
    enclosure: topCover === null ? enclosure : { ...enclosure, topCover },
    climate: {
      ...climate,
      mist: mist ? { ...climate.mist, ...mist } : climate.mist,
      devices: climate.devices.map((it) => {
        const own = set.get(it.id);
        return own ? setTo(it, own) : it;
      }),
    },
  };
}

const setTo = (device: Device, { timer, dim, thermostat, humidistat }: SeasonDevice): Device => ({
  ...device,
  dim: dim ?? device.dim,
  timer: timer ?? device.timer,
  thermostat: device.thermostat && thermostat ? { ...device.thermostat, ...thermostat } : device.thermostat,
  humidistat: device.humidistat && humidistat ? { ...device.humidistat, ...humidistat } : device.humidistat,
});

/** Of a device, what a part of the year may set otherwise. */
const fixed = (it: Device): string =>
  JSON.stringify({
    ...it,
    dim: 1,
    timer: null,
    thermostat: it.thermostat && { ...it.thermostat, day: null, night: null },
    humidistat: it.humidistat && { ...it.humidistat, day: null, night: null },
  } satisfies Omit<Device, 'timer'> & { timer: null });
/** Switched off for good, or for a part of the year. */
export const isOff = ({ timer }: Pick<SeasonDevice, 'timer'>): boolean =>
  timer?.by === 'clock' && timer.spans.length === 0;
/** The timer of what is off. */
export const OFF: Timer = { by: 'clock', spans: [] };
const held = (it: { readonly day: number | null; readonly night: number | null } | null) =>
  it && { day: it.day, night: it.night };
const alike = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * A design whose part of the year is set as `changed` is: a change that was found good for that part only.
 * @returns null where the two differ by more than a part of the year may set: things bought, hung or built otherwise
 */
export function withSeason(
  design: Design,
  part: Pick<SeasonSettings, 'id' | 'name' | 'from' | 'until'>,
  changed: Design,
): Design | null {
  const { enclosure: a, climate: x } = design;
  const { enclosure: b, climate: y } = changed;
  const built =
    alike({ ...a, topCover: 0 }, { ...b, topCover: 0 }) &&
    alike(x.day, y.day) &&
    alike(x.vents, y.vents) &&
    x.mist.by === y.mist.by &&
    x.mist.bottle === y.mist.bottle &&
    x.devices.length === y.devices.length;
  if (!built) return null;
  const devices: SeasonDevice[] = [];
  for (const [index, device] of x.devices.entries()) {
    const own = y.devices[index];
    if (!own || fixed(own) !== fixed(device)) return null;
    const it: SeasonDevice = {
      device: device.id,
      timer: alike(own.timer, device.timer) ? null : own.timer,
      dim: own.dim === device.dim ? null : own.dim,
      thermostat: alike(held(own.thermostat), held(device.thermostat)) ? null : held(own.thermostat),
      humidistat: alike(held(own.humidistat), held(device.humidistat)) ? null : held(own.humidistat),
    };
    if (it.timer || it.dim !== null || it.thermostat || it.humidistat) devices.push(it);
  }
  const { times, everyDays } = y.mist;
  const settings: SeasonSettings = {
    ...part,
    topCover: a.topCover === b.topCover ? null : b.topCover,
    mist: alike(x.mist, y.mist) ? null : { times, everyDays },
    devices,
  };
  const others = x.seasons.filter((it) => it.id !== part.id);
  const seasons = isEmpty(settings) ? others : [...others, settings];
  return { ...design, climate: { ...x, seasons } };
}

/** Nothing in it differs from the rest of the year. */
export const isEmpty = ({ topCover, mist, devices }: SeasonSettings): boolean =>
  topCover === null && mist === null && devices.length === 0;
