import { z } from 'zod';
import { positive, price, Range, sourced } from './basis';

const share = z.number().min(0).max(1);

export const DEVICE_GROUPS = ['uv', 'light', 'heat', 'mist', 'air'] as const;

/** A sort of lamp, heater, mister or fan, by what it gives; sizes and powers are starts. */
export const DeviceKind = z.strictObject({
  id: z.string(),
  name: z.string(),
  group: z.enum(DEVICE_GROUPS),
  /** Why someone chooses it, one line. */
  why: z.string(),
  form: z.enum(['tube', 'bulb', 'panel', 'mat', 'cable', 'heater', 'nozzle', 'sprayer', 'fogger', 'fan']),
  /** W it is sold with, the usual one first. */
  powers: z.array(z.number().min(0)).min(1),
  /** m; of a bulb its width. */
  length: positive,
  /** Share of its power that leaves as radiation; the rest warms the air around it. */
  radiant: sourced(share),
  /** Half-power angle, radians, of what has a beam. */
  half: sourced(positive).optional(),
  /** Seen light. */
  lumensPerWatt: sourced(z.number().min(0).max(250)).optional(),
  light: z.enum(['fluorescent', 'led', 'incandescent']).optional(),
  /** UV index straight under the middle of a new one at 30 cm in the open with its reflector: low and high. */
  uvIndex: sourced(Range).optional(),
  /** Hours after which half of its UV is left. */
  uvHalf: sourced(positive).optional(),
  /** Hot enough to burn skin or set fire: m it must keep from what burns or melts. */
  clearance: sourced(positive).optional(),
  /** Warms more than it lights: wants a thermostat. */
  heats: z.boolean(),
  /** It may run at night without being seen. */
  dark: z.boolean(),
  /** kg/s of water it gives. */
  water: sourced(positive).optional(),
  /** m³ of the bottle it stands in, where it has one of its own. */
  tank: sourced(positive).optional(),
  /** Radians: half of the cone its drops fly in. */
  spray: sourced(positive).optional(),
  /** m³/s of air in the open. */
  flow: sourced(positive).optional(),
  price,
});
export type DeviceKind = z.infer<typeof DeviceKind>;

/** A cloth that lets air through and keeps animals in. */
export const GauzeKind = z.strictObject({
  id: z.string(),
  name: z.string(),
  why: z.string(),
  /** Share of it that is open. */
  open: sourced(share),
  /** m */
  wire: sourced(positive),
  /** Width of a hole, m. */
  hole: sourced(positive),
  /** Share of UV it lets through: disputed, so low and high. */
  uv: sourced(Range),
});
export type GauzeKind = z.infer<typeof GauzeKind>;

/** A room through the year. */
export const RoomKind = z.strictObject({
  id: z.enum(['heated-flat', 'dry-upland', 'humid-coast', 'cellar', 'classroom']),
  name: z.string(),
  why: z.string(),
  /** °C and relative humidity by month, January first. */
  temperature: sourced(z.array(z.number()).length(12)),
  humidity: sourced(z.array(share).length(12)),
  /** Half of what it swings in a day, K. */
  swing: sourced(z.number().min(0)),
  /** K it is let cool when nobody is there: hours of use, and whether weekends are free. */
  setback: z
    .strictObject({ by: positive, from: z.number(), to: z.number(), weekends: z.boolean() })
    .nullable(),
  /** Scatter from day to day: K, and share of humidity. */
  scatter: z.tuple([z.number(), z.number()]),
});
export type RoomKind = z.infer<typeof RoomKind>;

export const ClimateRows = z.strictObject({
  devices: z.array(DeviceKind),
  gauzes: z.array(GauzeKind),
  rooms: z.array(RoomKind),
});
export type ClimateRows = z.infer<typeof ClimateRows>;
export const NO_CLIMATE_ROWS: ClimateRows = { devices: [], gauzes: [], rooms: [] };
