import { z } from 'zod';
import { Region } from '../catalogue/livingTypes';
import { id, metres, Point, share } from '../fields';

/** Where a plant stands, is tied or floats. */
export const PlantSpot = z.discriminatedUnion('on', [
  /** In the soil, bare or in a pot that is sunk in it. */
  z.strictObject({ on: z.literal('ground'), at: Point, pot: z.boolean() }),
  /** On a wall or its background: along it from its left end as seen from inside the front, and above the floor. */
  z.strictObject({
    on: z.literal('wall'),
    wall: z.enum(['left', 'right', 'back']),
    across: metres,
    height: metres,
  }),
  z.strictObject({ on: z.literal('piece'), piece: id, at: Point }),
  z.strictObject({ on: z.literal('water'), at: Point }),
]);
export type PlantSpot = z.infer<typeof PlantSpot>;

export const Planted = z.strictObject({
  id,
  /** Row of the catalogue; null: not yet named. */
  kind: id.nullable(),
  name: z.string().min(1).max(80),
  spot: PlantSpot,
  /** How large it is when planted, as a share of what it grows to. */
  size: z.number().finite().min(0.02).max(1.5),
  /** Day it was planted, or sown; null: not yet. */
  planted: z.iso.date().nullable(),
  /** Sown or spread as spores, seed or pieces rather than planted. */
  sown: z.boolean(),
});
export type Planted = z.infer<typeof Planted>;

const count = z.number().int().min(0).max(500);

/** What lives in the box beside the animal, and how the animal is kept in company. */
export const Living = z.strictObject({
  /** Only plants of this part of the world; null: of any. */
  region: Region.nullable(),
  plants: z.array(Planted).max(200, 'an enclosure holds at most 200 plants'),
  /** Which school of crew is followed. */
  school: z.enum(['springtails-isopods', 'beetles', 'roaches-earwigs', 'none']),
  crew: z
    .array(
      z.strictObject({
        kind: id,
        /** Let in, adults. */
        count: z.number().int().min(1).max(100_000),
        on: z.iso.date().nullable(),
      }),
    )
    .max(12),
  /** Leaf litter refilled: kind, m of loose depth each time, and months between. */
  litter: z.strictObject({
    kind: id,
    depth: z.number().finite().min(0).max(0.2),
    everyMonths: z.number().int().min(1).max(36),
  }),
  /** kg a week of dry food put down for the crew. */
  supplement: z.number().finite().min(0).max(0.5),
  /** Share of the droppings that the keeper lifts out. */
  spotClean: share,
  water: z.strictObject({
    /** A row of the filters; null: none. */
    filter: id.nullable(),
    /** Day it began to run with something to eat; null: not yet. */
    since: z.iso.date().nullable(),
    /** Seeded with sponge or media of a ripe one. */
    seeded: z.boolean(),
    /** Share changed, every so many days. */
    change: share,
    everyDays: z.number().int().min(1).max(90),
  }),
  company: z.strictObject({
    males: count,
    females: count,
    /** Day the youngest hatched, about; null: not told. */
    hatched: z.iso.date().nullable(),
    /** Months of age where no day is told: it stays so old. null: grown. Where a day is told, that counts (`asOf`). */
    ageMonths: z.number().finite().min(0).max(1200).nullable(),
    /** Of a colour form whose eyes and skin bear less light. */
    lightSensitive: z.boolean(),
  }),
  /** Winter rest, every year: the month and day it is cooled from, weeks till it is warmed up, and where; null: none is planned. */
  rest: z
    .strictObject({
      from: z
        .string()
        .regex(/^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, 'a month and day are expected: MM-DD')
        .refine((it) => !/^(02-(29|30|31)|(04|06|09|11)-31)$/.test(it), 'a day of every year is expected'),
      weeks: z.number().int().min(2).max(26),
      place: z.enum(['here', 'apart']),
      /** Day it was planned: a turn that would have begun before it is none. null: it goes on already. */
      since: z.iso.date().nullable(),
    })
    .nullable(),
  moveIn: z.strictObject({
    /** Day quarantine began, and day a veterinarian found the tests clear. */
    quarantine: z.iso.date().nullable(),
    tested: z.iso.date().nullable(),
  }),
});
export type Living = z.infer<typeof Living>;

/** Nothing planted, no crew yet. */
export const BARE_LIVING: Living = {
  region: null,
  plants: [],
  school: 'springtails-isopods',
  crew: [],
  litter: { kind: 'oak-leaves', depth: 0.015, everyMonths: 3 },
  supplement: 0,
  spotClean: 0.7,
  water: { filter: null, since: null, seeded: false, change: 0.25, everyDays: 7 },
  company: { males: 0, females: 0, hatched: null, ageMonths: null, lightSensitive: false },
  rest: null,
  moveIn: { quarantine: null, tested: null },
};
