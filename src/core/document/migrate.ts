import { DESIGN_VERSION } from './schema';

/** One step from a version to the next. Works on plain JSON: the old types are gone by then. */
interface Migration {
  readonly from: number;
  readonly name: string;
  readonly up: (document: Record<string, unknown>) => Record<string, unknown>;
}

/** The members of a list; none where there is no list. */
const listOf = (of: unknown): readonly Record<string, unknown>[] =>
  Array.isArray(of) ? (of as Record<string, unknown>[]) : [];

/** In order; an old file runs through all that are newer than itself. Version 1 is the first. */
const MIGRATIONS: readonly Migration[] = [
  {
    from: 1,
    name: 'how fresh soil is moistened; enclosures archived',
    // Version 1 moistened all of the soil, to one fixed content between the two schools.
    up: (document) => ({
      ...document,
      brief: { ...(document.brief as Record<string, unknown> | undefined), putAway: false },
      ground: {
        squeeze: 'generous',
        moistShare: 1,
        ...(document.ground as Record<string, unknown> | undefined),
      },
    }),
  },
  {
    from: 2,
    name: 'regions, outlets, what panels stand on, how an enclosure is made',
    up: (document) => {
      const enclosure = document.enclosure as Record<string, unknown> | undefined;
      const { drainBore, ...ground } = (document.ground ?? {}) as Record<string, unknown>;
      const layers = Array.isArray(ground.layers)
        ? (ground.layers as Record<string, unknown>[])
        : ground.layers;
      return {
        ...document,
        enclosure: {
          build: 'box',
          screened: [],
          standRating: null,
          made: {
            doors: 'sliding',
            ventLow: 0.04,
            ventHigh: 0,
            bores: [],
            board: 'birch-plywood',
            seal: 'none',
          },
          ...enclosure,
        },
        ground: {
          // A drain of version 2 had no height: it was taken to lie on the floor.
          outlet:
            typeof drainBore === 'number' ? { kind: 'drain', bore: drainBore, height: 0 } : { kind: 'none' },
          panel: { spacing: 0.15, leg: 0.032, rating: null },
          regions: [],
          sunk: [],
          schools: { peat: 'keep', renewal: 'top-up', collected: 'bake', microbes: 'arrive' },
          ...ground,
          ...(Array.isArray(layers)
            ? { layers: layers.map((it) => (it?.kind === 'barrier' ? { holes: [], ...it } : it)) }
            : {}),
        },
      };
    },
  },
  {
    from: 3,
    name: 'what stands in the enclosure: background, wood, stone, water parts',
    up: (document) => ({
      scape: {
        warm: 'right',
        backgrounds: [],
        pieces: [],
        above: null,
        trial: { before: null, after: null },
      },
      ...document,
    }),
  },
  {
    from: 4,
    name: 'the room through the year; lamps, heat, mist, air',
    up: (document) => ({
      climate: {
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
        },
        day: { by: 'clock', on: 480, off: 1200, latitude: 20 },
        night: 'dark',
        devices: [],
        vents: [],
        topGauze: 'insect-mesh',
        mist: { by: 'hand', times: [], everyDays: 1, bottle: null },
        falls: { by: 'day' },
        fills: 540,
        meter: null,
        calibration: null,
      },
      ...document,
    }),
  },
  {
    from: 5,
    name: 'plants, crew, group and moving in',
    up: (document) => ({
      living: {
        region: null,
        plants: [],
        school: 'springtails-isopods',
        crew: [],
        litter: { kind: 'oak-leaves', depth: 0.015, everyMonths: 3 },
        supplement: 0,
        spotClean: 0.7,
        water: { filter: null, since: null, seeded: false, change: 0.25, everyDays: 7 },
        company: { males: 0, females: 0, ageMonths: null },
        moveIn: { quarantine: null, tested: null },
      },
      ...document,
    }),
  },
  {
    from: 6,
    name: 'what was done of the plan, and when',
    up: (document) => ({ plan: { start: null, marks: [] }, ...document }),
  },
  {
    from: 7,
    name: 'what was read at a step; what stood before a rebuild; how care was changed',
    up: (document) => {
      const plan = (document.plan ?? {}) as Record<string, unknown>;
      const marks = Array.isArray(plan.marks) ? (plan.marks as Record<string, unknown>[]) : [];
      return {
        care: { changes: [], own: [] },
        ...document,
        plan: { start: null, standing: null, ...plan, marks: marks.map((it) => ({ read: [], ...it })) },
      };
    },
  },
  {
    from: 8,
    name: 'settings by season',
    up: (document) => {
      const set = (of: unknown): unknown => ({ seasons: [], ...(of as Record<string, unknown> | undefined) });
      // What stood before a rebuild has a climate of its own.
      const plan = (document.plan ?? {}) as Record<string, unknown>;
      const standing = plan.standing as Record<string, unknown> | null | undefined;
      return {
        ...document,
        climate: set(document.climate),
        ...(standing ? { plan: { ...plan, standing: { ...standing, climate: set(standing.climate) } } } : {}),
      };
    },
  },
  {
    from: 9,
    name: 'what waits at a step, is left out, or was read as a number; since when care counts',
    up: (document) => {
      const plan = (document.plan ?? {}) as Record<string, unknown>;
      const care = (document.care ?? {}) as Record<string, unknown>;
      return {
        ...document,
        plan: {
          ...plan,
          marks: listOf(plan.marks).map((it) => ({
            begun: null,
            worked: null,
            skipped: null,
            ...it,
            read: listOf(it.read).map((own) => ({ number: null, ...own })),
          })),
        },
        care: {
          ...care,
          changes: listOf(care.changes).map((it) => ({ until: null, from: null, ...it })),
          own: listOf(care.own).map((it) => ({ from: null, ...it })),
        },
      };
    },
  },
  {
    from: 10,
    name: 'the day the youngest hatched',
    up: (document) => {
      const dated = (of: unknown): unknown => {
        const living = of as Record<string, unknown> | undefined;
        return living && { ...living, company: { hatched: null, ...(living.company as object | undefined) } };
      };
      const plan = (document.plan ?? {}) as Record<string, unknown>;
      const standing = plan.standing as Record<string, unknown> | null | undefined;
      return {
        ...document,
        living: dated(document.living),
        ...(standing ? { plan: { ...plan, standing: { ...standing, living: dated(standing.living) } } } : {}),
      };
    },
  },
  {
    from: 11,
    name: 'winter rest',
    up: (document) => {
      const rested = (living: unknown): unknown => living && { rest: null, ...(living as object) };
      const plan = (document.plan ?? {}) as Record<string, unknown>;
      const standing = plan.standing as Record<string, unknown> | null | undefined;
      return {
        ...document,
        living: rested(document.living),
        ...(standing
          ? { plan: { ...plan, standing: { ...standing, living: rested(standing.living) } } }
          : {}),
      };
    },
  },
  {
    from: 12,
    name: 'what is sown, and forms that bear less light',
    up: (document) => {
      const told = (of: unknown): unknown => {
        const living = of as Record<string, unknown> | undefined;
        return (
          living && {
            ...living,
            company: { lightSensitive: false, ...(living.company as object | undefined) },
            ...(living.plants ? { plants: listOf(living.plants).map((it) => ({ sown: false, ...it })) } : {}),
          }
        );
      };
      const plan = (document.plan ?? {}) as Record<string, unknown>;
      const standing = plan.standing as Record<string, unknown> | null | undefined;
      return {
        ...document,
        living: told(document.living),
        ...(standing ? { plan: { ...plan, standing: { ...standing, living: told(standing.living) } } } : {}),
      };
    },
  },
  {
    from: 13,
    name: 'what a calibration leaves open and was found for; how the room keeps its warmth',
    up: (document) => {
      const told = (of: unknown): unknown => {
        if (!of) return of;
        const given = of as Record<string, unknown>;
        const climate = { ...given, room: { keeps: null, ...(given.room as object | undefined) } };
        const old = given.calibration as Record<string, unknown> | null | undefined;
        if (!old) return climate;
        // Wetness meant the ground alone, and what it was found for was not written down: it is shown, and used no more.
        const wide = (factor: unknown): readonly [number, number] =>
          typeof factor === 'number' ? [factor / 4, factor * 4] : [0.25, 4];
        return {
          ...climate,
          calibration: {
            since: old.on,
            until: old.on,
            intervals: {
              exchange: wide(old.exchange),
              wetness: wide(old.wetness),
              gain: wide(old.gain),
            },
            marks: { shell: '', heat: '', ground: '' },
            ...old,
          },
        };
      };
      const plan = (document.plan ?? {}) as Record<string, unknown>;
      const standing = plan.standing as Record<string, unknown> | null | undefined;
      return {
        ...document,
        climate: told(document.climate),
        ...(standing
          ? { plan: { ...plan, standing: { ...standing, climate: told(standing.climate) } } }
          : {}),
      };
    },
  },
  {
    from: 14,
    name: 'how long a plan waits, and where its animal is',
    up: (document) => ({
      ...document,
      plan: {
        pace: 'usual',
        animal: { comes: 'new', day: null },
        ...((document.plan ?? {}) as Record<string, unknown>),
      },
    }),
  },
  {
    from: 15,
    name: 'water from the jug, the bottle a fogger stands in, and guards',
    up: (document) => {
      const told = (of: unknown): unknown => {
        if (!of) return of;
        const climate = of as Record<string, unknown>;
        return {
          watering: null,
          ...climate,
          ...(climate.devices
            ? { devices: listOf(climate.devices).map((it) => ({ tank: null, guarded: false, ...it })) }
            : {}),
        };
      };
      const plan = (document.plan ?? {}) as Record<string, unknown>;
      const standing = plan.standing as Record<string, unknown> | null | undefined;
      return {
        ...document,
        climate: told(document.climate),
        ...(standing
          ? { plan: { ...plan, standing: { ...standing, climate: told(standing.climate) } } }
          : {}),
      };
    },
  },
  {
    from: 16,
    name: 'walls of another make than their box, pieces that are filled, what stood before it was written down',
    up: (document) => {
      const told = (of: unknown): unknown => (of ? { panels: [], ...(of as Record<string, unknown>) } : of);
      const filled = (of: unknown): unknown => {
        const scape = of as Record<string, unknown> | undefined;
        return scape?.pieces
          ? { ...scape, pieces: listOf(scape.pieces).map((it) => ({ filled: false, ...it })) }
          : of;
      };
      const plan = (document.plan ?? {}) as Record<string, unknown>;
      const standing = plan.standing as Record<string, unknown> | null | undefined;
      return {
        ...document,
        brief: { described: true, ...(document.brief as Record<string, unknown> | undefined) },
        care: { settled: null, ...(document.care as Record<string, unknown> | undefined) },
        enclosure: told(document.enclosure),
        scape: filled(document.scape),
        ...(standing
          ? {
              plan: {
                ...plan,
                standing: {
                  ...standing,
                  enclosure: told(standing.enclosure),
                  scape: filled(standing.scape),
                },
              },
            }
          : {}),
      };
    },
  },
  {
    from: 17,
    name: 'the room and the shelf it stands on',
    up: (document) => ({
      ...document,
      brief: { place: { room: '', shelf: '' }, ...(document.brief as Record<string, unknown> | undefined) },
    }),
  },
];

export type Migrated =
  | { readonly ok: true; readonly document: Record<string, unknown> }
  | { readonly ok: false; readonly path: readonly (string | number)[]; readonly message: string };

/** Brings a document up to this version. A later version is refused by name rather than half understood. */
export function migrate(document: Record<string, unknown>): Migrated {
  const { version } = document;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return { ok: false, path: ['version'], message: 'a whole number from 1 up is expected' };
  }
  if (version > DESIGN_VERSION) {
    return {
      ok: false,
      path: ['version'],
      message: `this file is of version ${version}; this Rincon reads up to ${DESIGN_VERSION}. Update Rincon, then read it again`,
    };
  }
  let current = document;
  for (const step of MIGRATIONS) {
    if (step.from >= version) current = { ...step.up(current), version: step.from + 1 };
  }
  return { ok: true, document: current };
}
