import { ownOf } from '@/core/fields/own';
import { z } from 'zod';
import { NO_OWN_ROWS, type OwnRows } from '@/catalogue';
import { Animal, CrewKind, Material, Plant, Recipe, withFiveMarks } from '@/core/catalogue';
import { allLayers, materialsIn, Design, migrate, pathText, refusalOf } from '@/core/document';
import { Entry } from '@/core/log';
import { Series } from '@/core/readings';
import { AnimalRecord, CultureRecord, EquipmentRecord } from '@/core/records';
import { bookFromAmounts, ShelfMove } from '@/core/shelf';
import type { Read } from './outcome';

/** What Rincon writes to disk: one enclosure or all of them. See docs/format.md. */
export const ENVELOPE_VERSION = 10;
/** Larger than a thousand full designs; anything over it is not ours. */
export const MAX_BYTES = 20 * 1024 * 1024;

export const Prices = z.record(z.string().max(160), z.number().finite().min(0).max(1e6));
export type Prices = z.infer<typeof Prices>;

export const Envelope = z.strictObject({
  format: z.literal('rincon'),
  version: z.literal(ENVELOPE_VERSION),
  /** When it was written, ISO 8601. */
  written: z.iso.datetime(),
  designs: z.array(Design).max(2000),
  /**
   * By the id of a design, marks of the states it has been in, the latest first: two devices that changed one enclosure
   * find by them what they have in common, and merge what each did.
   */
  trails: z.record(z.string().max(80), z.array(z.string().regex(/^[0-9a-f]{16}$/)).max(100)),
  /** The builder's own prices by `material/pack`. */
  prices: Prices,
  /** The book of the shelf: receipts, uses and counts, in the order of time. */
  shelf: z.array(ShelfMove).max(50_000),
  /** Rows of the catalogue that the builder wrote. */
  own: z.strictObject({
    materials: z.array(Material).max(1000),
    recipes: z.array(Recipe).max(1000),
    animals: z.array(Animal).max(1000),
    plants: z.array(Plant).max(1000),
    crew: z.array(CrewKind).max(1000),
  }),
  /** The log: lines told apart by their id; struck ones too, so that they stay struck where they are taken in. */
  log: z.array(Entry).max(100_000),
  /** Animals, equipment and measuring points, merged as the log is. What the points read is not in it: see the backup. */
  animals: z.array(AnimalRecord).max(20_000),
  /** Cultures of feeders and crew beside the enclosures. */
  cultures: z.array(CultureRecord).max(5000),
  equipment: z.array(EquipmentRecord).max(20_000),
  points: z.array(Series).max(20_000),
});
export type Envelope = z.infer<typeof Envelope>;

/** The JSON Schema (2020-12) of the file, made from the same schema the program reads with. */
export function envelopeJsonSchema(): unknown {
  return z.toJSONSchema(Envelope, { target: 'draft-2020-12', io: 'input' });
}

/** What goes with the designs into a file. */
export interface Stores {
  readonly prices: Prices;
  readonly shelf: readonly ShelfMove[];
  readonly own: OwnRows;
  readonly log: readonly Entry[];
  readonly animals: readonly AnimalRecord[];
  readonly cultures: readonly CultureRecord[];
  readonly equipment: readonly EquipmentRecord[];
  readonly points: readonly Series[];
  readonly trails: Readonly<Record<string, readonly string[]>>;
}

export const NO_STORES: Stores = {
  prices: {},
  shelf: [],
  own: NO_OWN_ROWS,
  log: [],
  animals: [],
  cultures: [],
  equipment: [],
  points: [],
  trails: {},
};

/** Own rows that these designs name, so that a single enclosure can be read elsewhere. */
export function rowsUsedBy(designs: readonly Design[], own: OwnRows): OwnRows {
  const grounds = designs.flatMap(({ ground, plan }) => [
    ground,
    ...(plan.standing ? [plan.standing.ground] : []),
  ]);
  const layers = grounds.flatMap(allLayers);
  const lives = designs.flatMap(({ living, plan }) => [
    living,
    ...(plan.standing ? [plan.standing.living] : []),
  ]);
  const materials = new Set(layers.flatMap(materialsIn));
  const recipes = new Set(layers.map((layer) => (layer.kind === 'substrate' ? layer.mix.recipe : null)));
  const animals = new Set(
    designs.flatMap(({ brief, plan }) => [brief.animal, plan.standing?.animal ?? null]),
  );
  const plants = new Set(lives.flatMap((living) => living.plants.map((it) => it.kind)));
  const crew = new Set(lives.flatMap((living) => living.crew.map((it) => it.kind)));
  return {
    materials: own.materials.filter((row) => materials.has(row.id)),
    recipes: own.recipes.filter((row) => recipes.has(row.id)),
    animals: own.animals.filter((row) => animals.has(row.id)),
    plants: own.plants.filter((row) => plants.has(row.id)),
    crew: own.crew.filter((row) => crew.has(row.id)),
  };
}

/** Text of a file holding these designs. */
export function writeEnvelope(designs: readonly Design[], stores: Stores, written: Date): string {
  const { materials, recipes, animals, plants, crew } = stores.own;
  const envelope = {
    format: 'rincon',
    version: ENVELOPE_VERSION,
    written: written.toISOString(),
    designs: [...designs],
    trails: Object.fromEntries(
      designs.flatMap(({ id }) => {
        const trail = ownOf(stores.trails, id);
        return trail ? [[id, [...trail]]] : [];
      }),
    ),
    prices: stores.prices,
    shelf: [...stores.shelf],
    own: {
      materials: [...materials],
      recipes: [...recipes],
      animals: [...animals],
      plants: [...plants],
      crew: [...crew],
    },
    log: stores.log.map(spoken),
    animals: [...stores.animals],
    cultures: [...stores.cultures],
    equipment: [...stores.equipment],
    points: [...stores.points],
  } satisfies z.input<typeof Envelope>;
  return `${JSON.stringify(envelope, null, 2)}\n`;
}

/** A line of the log with only what was said: a log of years stays small. */
const spoken = (entry: Entry): z.input<typeof Entry> => ({
  ...entry,
  values: Object.fromEntries(Object.entries(entry.values).filter(([, value]) => value !== null)),
});

/** What of all that is kept belongs to one enclosure. */
export type Belongings = Pick<Stores, 'log' | 'animals' | 'equipment' | 'points' | 'trails'>;

/** Text of a file holding one enclosure with all that belongs to it: whole wherever it is read. */
export const writeSingle = (
  design: Design,
  own: OwnRows,
  written: Date,
  belongings: Belongings = NO_STORES,
): string => writeSeveral([design], own, written, belongings);

/** Text of a file holding some enclosures with all that belongs to them, and nothing that does not. */
export function writeSeveral(
  designs: readonly Design[],
  own: OwnRows,
  written: Date,
  belongings: Belongings,
): string {
  const ids = new Set(designs.map((it) => it.id));
  return writeEnvelope(
    designs,
    {
      ...NO_STORES,
      own: rowsUsedBy(designs, own),
      log: belongings.log.filter((it) => ids.has(it.design)),
      animals: belongings.animals.filter((it) => it.homes.some((home) => ids.has(home.design))),
      equipment: belongings.equipment.filter((it) => ids.has(it.design)),
      points: belongings.points.filter((it) => ids.has(it.design)),
      trails: belongings.trails,
    },
    written,
  );
}

const fault = <T>(place: string, message: string): Read<T> => ({ ok: false, place, message });

/** Reads a file of any earlier version. Nothing is taken over unless all of it will do. */
export function readEnvelope(text: string, most = MAX_BYTES): Read<Envelope> {
  if (text.length > most) {
    return fault(
      'the whole file',
      `it is larger than ${Math.round(most / 1024 ** 2)} MB, which no file written by Rincon is`,
    );
  }
  let json: unknown;
  try {
    json = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return fault(
      lineAndColumn(text, error),
      'this is not JSON. The file may have been cut short or changed by another program; export it again',
    );
  }
  if (!isObject(json)) return fault('the whole file', 'an object is expected');
  if (json.format !== 'rincon') {
    return fault('format', '“rincon” is expected. This is a file of another program');
  }
  if (typeof json.version === 'number' && json.version > ENVELOPE_VERSION) {
    return fault(
      'version',
      `this file is of version ${json.version}; this Rincon reads up to ${ENVELOPE_VERSION}. Update Rincon, then read it again`,
    );
  }
  // Version 1 had neither shelf nor own rows.
  if (json.version === 1) {
    json = {
      ...json,
      version: 2,
      shelf: {},
      own: { materials: [], recipes: [], animals: [] },
    };
  }
  if (!isObject(json)) return fault('the whole file', 'an object is expected');
  // Version 2 had a table of amounts for a shelf.
  if (json.version === 2) {
    const amounts = json.shelf;
    const written = typeof json.written === 'string' ? Date.parse(json.written) : Number.NaN;
    const book = bookFromAmounts(amounts, Number.isFinite(written) ? Math.max(0, written) : 0);
    const wrong = Object.keys(isObject(amounts) ? amounts : {}).find(
      (material) => !book.some((move) => move.material === material),
    );
    if (wrong !== undefined) return fault(pathText(['shelf', wrong]), 'an amount of 0 or more is expected');
    json = { ...json, version: 3, shelf: book };
  }
  // Version 3 had no own plants and crew.
  if (isObject(json) && json.version === 3 && isObject(json.own)) {
    json = { ...json, version: 4, own: { plants: [], crew: [], ...json.own } };
  }
  // Version 4 had no log.
  if (isObject(json) && json.version === 4) json = { log: [], ...json, version: 5 };
  // Version 5 had neither animals nor equipment nor measuring points.
  if (isObject(json) && json.version === 5)
    json = { animals: [], equipment: [], points: [], ...json, version: 6 };
  // Version 6 did not tell the states a design has been in.
  if (isObject(json) && json.version === 6) json = { trails: {}, ...json, version: 7 };
  // Version 7 did not tell by which clock a line of the log was written.
  if (isObject(json) && json.version === 7) json = { ...json, version: 8 };
  // Version 8 had three marks for where a value comes from.
  if (isObject(json) && json.version === 8) json = { ...json, own: withFiveMarks(json.own), version: 9 };
  // Version 9 had no cultures.
  if (isObject(json) && json.version === 9) json = { cultures: [], ...json, version: ENVELOPE_VERSION };
  if (!isObject(json)) return fault('the whole file', 'an object is expected');
  if (Array.isArray(json.designs)) {
    const migrated: unknown[] = [];
    for (const [index, design] of json.designs.entries()) {
      if (!isObject(design)) return fault(`designs[${index}]`, 'an enclosure is expected');
      const result = migrate(design);
      if (!result.ok) return fault(pathText(['designs', index, ...result.path]), result.message);
      migrated.push(result.document);
    }
    json = { ...json, designs: migrated };
  }
  const parsed = Envelope.safeParse(json);
  if (parsed.success) return { ok: true, value: parsed.data };
  return { ok: false, ...refusalOf(parsed.error.issues[0]) };
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function lineAndColumn(text: string, error: unknown): string {
  const at = /position (\d+)/.exec(error instanceof Error ? error.message : '')?.[1];
  const upTo = text.slice(0, at === undefined ? text.length : Number(at));
  const lines = upTo.split('\n');
  return `line ${lines.length}, column ${(lines.at(-1)?.length ?? 0) + 1}`;
}

/** A file name any system takes: `bog-shelf.rincon.json`. */
export function fileName(name: string): string {
  const slug = name
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '');
  return `${slug || 'enclosure'}.rincon.json`;
}
