import { findDeviceKind, type Catalogue } from '../catalogue';
import type { Design, Device } from '../document/schema';
import { BEARS, TOLERANCE } from '../verdict/criteria';
import type { Measured } from '../verdict/year';
import type { Fault } from './change';
import type { Seen } from './look';

/** Share of hours a first look must find inside before a design is worth judging. */
const AIM = 0.94;
/** What a place that does harm weighs beside one that is merely not wanted, and what each of its hours does besides. */
const HARM = { place: 1, hours: 2 } as const;
/** What UV out of its zone weighs: as a place that is never inside. */
export const UV_OUT = 1;

/** How far a place is from holding: hours that are missing, and how far outside they are. */
export function lackOf(it: Measured): number {
  const harm = Math.max(0, BEARS - it.borne);
  const missing = Math.max(0, AIM - it.inside) + HARM.hours * harm + (harm > 0 ? HARM.place : 0);
  if (missing === 0) return 0;
  // Degree-hours a day, up to where more of them tell no more.
  const tolerance = TOLERANCE[it.criterion.measure];
  return missing + 0.04 * (Math.min(40, it.weight / tolerance) + Math.min(40, it.harm / tolerance));
}

export const uvIsOut = ({ uv }: Pick<Seen, 'uv'>): boolean => uv !== null && uv !== 'inside';

/** What its places lack, all told. */
export const lackingIn = (measured: readonly Measured[]): number =>
  measured.reduce((sum, it) => sum + lackOf(it), 0);

export const lacking = (seen: Seen): number => lackingIn(seen.measured) + (uvIsOut(seen) ? UV_OUT : 0);

/** Places outside their bands, the worst first. */
export const faultsOf = (measured: readonly Measured[]): readonly Fault[] =>
  measured
    .filter((it) => lackOf(it) > 0)
    .sort((a, b) => lackOf(b) - lackOf(a))
    .map((it): Fault => {
      const way = it.under >= it.over ? 'under' : 'over';
      const out = Math.max(0.02, way === 'under' ? it.under : it.over) * it.hours;
      return { it, way, by: (it.weight * (it.hours / 24)) / Math.max(0.5, out) };
    });

/** What a design asks of its keeper beside the animal's climate. */
export interface Burden {
  /** Price of devices and controls that do not hang there yet. */
  readonly price: number;
  /** Things that are new or of another kind, and settings that are changed. */
  readonly things: number;
  readonly changes: number;
  /** W in the mean, kg of water a day. */
  readonly watts: number;
  readonly water: number;
  /** Times a week a hand is needed: spraying, filling what fogs and mists. */
  readonly hands: number;
}

/** Typical price of what holds a device: thermostat, humidistat (see `buying`). */
const CONTROL = 45;

const isSame = (before: Device | undefined, device: Device): boolean =>
  before?.kind === device.kind && before.power === device.power;

/** Typical price of the devices and controls of a design that another does not have. */
export function priceOf(design: Design, start: Design, catalogue: Catalogue): number {
  const known = new Map(start.climate.devices.map((it) => [it.id, it]));
  return design.climate.devices.reduce((sum, device) => {
    const before = known.get(device.id);
    const control =
      (device.thermostat && !before?.thermostat) || (device.humidistat && !before?.humidistat) ? CONTROL : 0;
    const own = isSame(before, device) ? 0 : (findDeviceKind(catalogue, device.kind)?.price.value ?? 0);
    return sum + own + control;
  }, 0);
}

/** Whether all that is new in a design can be paid of a purse. */
export const canPay = (
  design: Design,
  start: Design,
  catalogue: Catalogue,
  purse: number | null | undefined,
): boolean => typeof purse !== 'number' || priceOf(design, start, catalogue) <= purse + 1e-9;

export function burdenOf(
  design: Design,
  start: Design,
  seen: Pick<Seen, 'watts' | 'water'>,
  catalogue: Catalogue,
): Burden {
  const known = new Map(start.climate.devices.map((it) => [it.id, it]));
  const price = priceOf(design, start, catalogue);
  let [things, changes] = [0, 0];
  for (const device of design.climate.devices) {
    const before = known.get(device.id);
    const same = isSame(before, device);
    if (!same) things += 1;
    if (before && same && settingsOf(before) !== settingsOf(device)) changes += 1;
    known.delete(device.id);
  }
  changes += known.size;
  const { enclosure: a, climate: x } = start;
  const { enclosure: b, climate: y } = design;
  if (a.topCover !== b.topCover) changes += 1;
  if (JSON.stringify(a.made) !== JSON.stringify(b.made)) changes += 1;
  // A hole is sawn once, and never quite undone.
  things += Math.max(0, y.vents.length - x.vents.length);
  if (JSON.stringify(x.vents) !== JSON.stringify(y.vents)) changes += 1;
  if (JSON.stringify(x.mist) !== JSON.stringify(y.mist)) changes += 1;
  if (JSON.stringify(x.day) !== JSON.stringify(y.day)) changes += 1;
  // What changes over is set anew twice a year, for as long as the box stands.
  if (JSON.stringify(x.seasons) !== JSON.stringify(y.seasons))
    for (const { topCover, mist, devices } of y.seasons)
      changes += 2 * (Number(topCover !== null) + Number(mist !== null) + devices.length);
  const byHand = y.mist.by === 'hand' ? (7 * y.mist.times.length) / y.mist.everyDays : 0;
  const fills = y.devices.filter((it) => findDeviceKind(catalogue, it.kind)?.form === 'fogger').length;
  return { price, things, changes, watts: seen.watts, water: seen.water, hands: byHand + 2 * fills };
}

/** All of a device that is set or hung, whatever it is called and since when. */
const settingsOf = (device: Device): string =>
  JSON.stringify({ ...device, id: '', name: '', since: null } satisfies Device);

/** What counts most in an answer. */
export const AIMS = ['balanced', 'fewest things', 'least work', 'least electricity'] as const;
export type Aim = (typeof AIMS)[number];

const WEIGHTS: Readonly<Record<Aim, Readonly<Record<keyof Burden, number>>>> = {
  balanced: { price: 1 / 2000, things: 0.01, changes: 0.004, watts: 1 / 1500, water: 0.03, hands: 0.002 },
  'fewest things': {
    price: 1 / 500,
    things: 0.06,
    changes: 0.001,
    watts: 1 / 10_000,
    water: 0.005,
    hands: 0.0005,
  },
  'least work': {
    price: 1 / 10_000,
    things: 0.002,
    changes: 0.001,
    watts: 1 / 10_000,
    water: 0.005,
    hands: 0.05,
  },
  'least electricity': {
    price: 1 / 10_000,
    things: 0.002,
    changes: 0.001,
    watts: 1 / 100,
    water: 0.005,
    hands: 0.001,
  },
};

/** One number, far smaller than what a place outside its band weighs. */
export const weigh = (burden: Burden, aim: Aim): number =>
  (Object.keys(WEIGHTS[aim]) as (keyof Burden)[]).reduce((sum, it) => sum + WEIGHTS[aim][it] * burden[it], 0);
