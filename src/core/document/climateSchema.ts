import { z } from 'zod';
import { extent, id, metres, offset, share } from '../fields';

/** Minutes of the day. */
const minute = z.number().int().min(0).max(1440);
const degrees = z.number().finite().min(-10).max(80);

export const Span = z.strictObject({ from: minute, to: minute }).refine((it) => it.from < it.to, {
  message: 'ends before it begins; write what runs over midnight as two',
});
export type Span = z.infer<typeof Span>;

/** When something is switched on: with the day, with the night, always, or by the clock. */
export const Timer = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('day') }),
  z.strictObject({ by: z.literal('night') }),
  z.strictObject({ by: z.literal('always') }),
  z.strictObject({ by: z.literal('clock'), spans: z.array(Span).max(12) }),
]);
export type Timer = z.infer<typeof Timer>;

const place = z.strictObject({ x: metres, y: metres, z: offset });

/** Something that lights, warms, wets or moves the air. */
export const Device = z.strictObject({
  id,
  name: z.string().min(1).max(80),
  /** Row of the catalogue. */
  kind: id,
  /** Its middle; over the lid where z is above the height of the box. */
  at: place,
  /** m of a tube, panel, mat or cable; it runs along the width or the depth. */
  length: extent,
  along: z.enum(['x', 'y']),
  /** W */
  power: z.number().finite().min(0).max(5000),
  /** Of its power, by a dimmer. */
  dim: share,
  timer: Timer,
  thermostat: z
    .strictObject({
      kind: z.enum(['on-off', 'proportional']),
      /** Held by day and by night, °C; null: off then. */
      day: degrees.nullable(),
      night: degrees.nullable(),
      /** Where its probe is fixed. */
      probe: place,
    })
    .nullable(),
  /** Held humidity, 0 to 1, for what wets or airs. */
  humidistat: z.strictObject({ day: share.nullable(), night: share.nullable(), probe: place }).nullable(),
  /** Runs so many minutes of every so many, for fans and fog. */
  duty: z
    .strictObject({ on: z.number().int().min(1).max(720), every: z.number().int().min(2).max(1440) })
    .nullable(),
  /** Day it was first lit; null when not known. */
  since: z.iso.date().nullable(),
  /** What a fogger’s own bottle or canister holds, m³; null: as it comes, or it has none. */
  tank: z.number().finite().min(0.0001).max(0.2).nullable(),
  /** Behind a guard that no animal can put a foot through. */
  guarded: z.boolean(),
});
export type Device = z.infer<typeof Device>;

export const Vent = z.strictObject({
  id,
  wall: z.enum(['left', 'right', 'back', 'front']),
  /** Its middle above the floor, m. */
  height: metres,
  /** m² */
  area: z.number().finite().min(0).max(4),
  gauze: id.nullable(),
});
export type Vent = z.infer<typeof Vent>;

const twelve = (value: z.ZodNumber) => z.array(value).length(12);

const factor = z.number().finite().min(0.02).max(50);
const interval = z.tuple([z.number().finite().min(0.001), z.number().finite().max(1000)]);
const mark = z.string().max(16);

export const ClimateRoom = z.strictObject({
  /** How it keeps its warmth when its heating stops: light walls, solid ones, or heating that needs no power; null: not asked. */
  keeps: z.enum(['light', 'solid', 'heated']).nullable(),
  /** null: as the brief says. */
  preset: z.enum(['heated-flat', 'dry-upland', 'humid-coast', 'cellar', 'classroom']).nullable(),
  /** From a logger, in place of the preset. */
  log: z
    .strictObject({
      name: z.string().max(200),
      temperature: twelve(z.number().finite().min(-20).max(60)),
      humidity: twelve(share),
      swing: z.number().finite().min(0).max(15),
    })
    .nullable(),
  /** m above the sea. */
  altitude: z.number().finite().min(-430).max(5000),
  /** Of the room, degrees. */
  latitude: z.number().finite().min(-66).max(66),
  /** Bearing of the window whose sun reaches it, degrees; null: none. */
  window: z.number().finite().min(0).max(360).nullable(),
  sunlit: share,
  radiator: z.boolean(),
  outsideWall: z.boolean(),
  water: z.enum(['tap', 'well', 'filtered', 'dechlorinated']),
});
export type ClimateRoom = z.infer<typeof ClimateRoom>;

/** 1 to 12. */
const month = z.number().int().min(1).max(12);

const Mist = z.strictObject({
  by: z.enum(['hand', 'nozzles']),
  /** s of nozzles or pulls of a hand sprayer, each time. */
  times: z.array(z.strictObject({ at: minute, seconds: z.number().finite().min(1).max(3600) })).max(24),
  everyDays: z.number().int().min(1).max(30),
  /** What it draws on, m³; null: the mains. */
  bottle: z.number().finite().min(0.0001).max(2).nullable(),
});

/** Water from the jug: where it is poured, to which depth, how much each time and how often. */
export const Pour = z.strictObject({
  end: z.enum(['warm', 'cool', 'both']),
  /** Over the ground, or in a corner or down a tube to the foot of the soil. */
  into: z.enum(['top', 'foot']),
  /** m³ each time, in all. */
  amount: z.number().finite().min(0.00001).max(0.1),
  everyDays: z.number().int().min(1).max(90),
});
export type Pour = z.infer<typeof Pour>;

/** Pours of a box at the most: two ends, two depths. */
export const MOST_POURS = 4;

const held = <T extends z.ZodType>(value: T) => z.strictObject({ day: value, night: value });

/** A device as it is set for a part of the year. */
export const SeasonDevice = z.strictObject({
  device: id,
  /** When it is on, a clock without spans: off; null: as in the rest of the year, and so below. */
  timer: Timer.nullable(),
  /** Of its power. */
  dim: z.number().finite().min(0.05, 'at least 5 %; what is dark is off').max(1).nullable(),
  /** What its thermostat holds, °C; of its halves null is off then. */
  thermostat: held(degrees.nullable()).nullable(),
  humidistat: held(share.nullable()).nullable(),
});
export type SeasonDevice = z.infer<typeof SeasonDevice>;

/** Settings for a part of the year, in place of those of the rest: whole months, over New Year where it ends before it begins. */
export const SeasonSettings = z.strictObject({
  id,
  name: z.string().min(1).max(40),
  /** First and last month. */
  from: month,
  until: month,
  /** Share of the top that is covered; null: as in the rest of the year, and so below. */
  topCover: share.nullable(),
  mist: Mist.pick({ times: true, everyDays: true }).nullable(),
  devices: z.array(SeasonDevice).max(40),
});
export type SeasonSettings = z.infer<typeof SeasonSettings>;

/** Parts of the year at the most. */
export const MOST_SEASONS = 4;

/** The months of a part of the year, in order from its first. */
export const monthsOf = ({ from, until }: Pick<SeasonSettings, 'from' | 'until'>): readonly number[] =>
  Array.from({ length: ((until - from + 12) % 12) + 1 }, (_, i) => ((from - 1 + i) % 12) + 1);

/** What makes the climate of the box. */
export const Climate = z.strictObject({
  room: ClimateRoom,
  day: z.strictObject({
    /** Fixed hours, or those of a latitude through the year. */
    by: z.enum(['clock', 'latitude']),
    on: minute,
    off: minute,
    latitude: z.number().finite().min(-66).max(66),
  }),
  night: z.enum(['dark', 'faint', 'red']),
  devices: z.array(Device).max(40),
  vents: z.array(Vent).max(12),
  /** Gauze over the top. */
  topGauze: id,
  mist: Mist,
  /**
   * Water for the soil from the jug; empty: it gets none but mist and what rises. null: without drainage it is kept as damp
   * as it was filled, however much that takes; over a bed it is left to the bed.
   */
  watering: z.array(Pour).max(MOST_POURS).nullable(),
  /** When falls and drip walls run. */
  falls: Timer,
  /** When dishes and pools are filled again; null: nobody does. */
  fills: minute.nullable(),
  /** A UV index meter read at a place: what all UV is then scaled to. */
  meter: z
    .strictObject({ at: place, index: z.number().finite().min(0).max(30), on: z.iso.date() })
    .nullable(),
  /** What readings of this very enclosure showed it to be, beside what is drawn. */
  calibration: z
    .strictObject({
      on: z.iso.date(),
      /** Where the readings came from, and the days they are of. */
      file: z.string().max(200),
      since: z.iso.date(),
      until: z.iso.date(),
      exchange: factor,
      wetness: factor,
      gain: z.number().finite().min(0.05).max(5),
      /** Between which each lies, 19 times in 20. */
      intervals: z.strictObject({ exchange: interval, wetness: interval, gain: interval }),
      /** Root mean square error on days that were not used: share of humidity, K; null: none was read. */
      left: z.strictObject({
        humidity: z.number().finite().min(0).max(1).nullable(),
        temperature: z.number().finite().min(0).max(50).nullable(),
      }),
      /** Of what is drawn of each part: when one is changed, the factors no longer hold. */
      marks: z.strictObject({ shell: mark, heat: mark, ground: mark }),
    })
    .nullable(),
  /** Parts of the year that are set otherwise. */
  seasons: z
    .array(SeasonSettings)
    .max(MOST_SEASONS)
    .refine((all) => new Set(all.flatMap(monthsOf)).size === all.flatMap(monthsOf).length, {
      message: 'two of them hold the same month; let one end before the other begins',
    }),
});
export type Climate = z.infer<typeof Climate>;

/** Nothing fitted yet. */
export const BARE_CLIMATE: Climate = {
  room: {
    preset: null,
    log: null,
    altitude: 100,
    latitude: 50,
    window: null,
    sunlit: 0,
    radiator: false,
    outsideWall: false,
    water: 'tap',
    keeps: null,
  },
  day: { by: 'clock', on: 480, off: 1200, latitude: 20 },
  night: 'dark',
  devices: [],
  vents: [],
  topGauze: 'insect-mesh',
  mist: { by: 'hand', times: [], everyDays: 1, bottle: null },
  watering: null,
  falls: { by: 'day' },
  fills: 540,
  meter: null,
  calibration: null,
  seasons: [],
};
