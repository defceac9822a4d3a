import equal from 'fast-deep-equal';
import { z } from 'zod';
import { NO_OWN_ROWS, OWN_KINDS, type OwnRows } from '@/catalogue';
import { PlannedComparison } from '@/core/compare/planned';
import { Animal, CrewKind, Material, Plant, Recipe } from '@/core/catalogue';
import { Mix, refusalOf } from '@/core/document';
import { FAMILIES } from '@/core/mixing';
import type { Terms as QuoteTerms } from '@/core/buying';
import { METRIC, type UnitPrefs } from '@/core/units';
import type { RinconDatabase } from './database';
import { note, type Unreadable } from './readable';
import { RefusedWrite, written } from './written';

const Units = z.strictObject({
  length: z.enum(['mm', 'cm', 'in']),
  tank: z.enum(['L', 'gal']),
  bag: z.enum(['L', 'dryQuart', 'cuFt']),
  mass: z.enum(['kg', 'lb']),
  temperature: z.enum(['C', 'F']),
}) satisfies z.ZodType<UnitPrefs>;

/** Rows that can be read; one that cannot stays stored, is left out here, and noted where settings are loaded. */
const rows = <T extends z.ZodType>(row: T) =>
  z
    .array(z.unknown())
    .catch([])
    .transform((all) =>
      all.flatMap((it) => {
        const read = row.safeParse(it);
        return read.success ? [read.data] : [];
      }),
    );

/** What stands on the mixing bench. */
const Bench = z.object({
  /** The soil it is for: an enclosure's layer; null for a soil in no box. */
  soil: z.object({ design: z.string(), layer: z.string() }).nullable(),
  /** m³ placed, m deep, and the way of life it is judged by, for a soil in no box. */
  placed: z.number().min(0.0001).max(10),
  depth: z.number().min(0.005).max(2),
  family: z.enum(FAMILIES),
  mixes: z
    .array(z.object({ name: z.string().max(200), mix: Mix }))
    .min(1)
    .max(3),
});
export type Bench = z.infer<typeof Bench>;

type OwnKind = keyof OwnRows;
const OWN_SCHEMAS = { materials: Material, recipes: Recipe, animals: Animal, plants: Plant, crew: CrewKind };

/** As a file holds it. */
const Price = z.number().finite().min(0).max(1e6);
const LONGEST_PRICE_KEY = 160;

const Terms = z.object({
  rate: z.number().min(0).max(1e4),
  margin: z.number().min(0).max(10),
  tax: z.object({ name: z.string().max(40), share: z.number().min(0).max(1) }).nullable(),
  roundTo: z.number().min(0).max(1000),
}) satisfies z.ZodType<QuoteTerms>;
const USUAL_TERMS: z.infer<typeof Terms> = { rate: 0, margin: 0, tax: null, roundTo: 1 };

const Settings = z.object({
  units: Units.catch(METRIC),
  /** What prices are in, ISO 4217; null: they are bare numbers. */
  currency: z
    .string()
    .regex(/^[A-Z]{3}$/)
    .nullable()
    .catch(null),
  /** The builder's own prices by `material/pack`. */
  prices: z
    .record(z.string(), z.unknown())
    .catch({})
    .transform((all) => {
      const readable = Object.entries(all).flatMap(([key, value]) => {
        const read = Price.safeParse(value);
        return read.success && key.length <= LONGEST_PRICE_KEY ? [[key, read.data] as const] : [];
      });
      return Object.fromEntries<number>(readable);
    }),
  materials: rows(Material),
  recipes: rows(Recipe),
  animals: rows(Animal),
  plants: rows(Plant),
  crew: rows(CrewKind),
  bench: Bench.nullable().catch(null),
  /** The tub soil is mixed in, m³. */
  tub: z.number().min(0.001).max(2).catch(0.03),
  /** Share of what is measured out that is bought to spare. */
  spare: z.number().min(0).max(1).catch(0.1),
  /** Set once the demo has been laid out, so that clearing it away lasts. */
  demoLaid: z.boolean().catch(false),
  /** How files of sensors were matched, by their headings. */
  matches: z.record(z.string(), z.unknown()).catch({}),
  /** Hours of the day in which nothing sounds. */
  quiet: z
    .object({ from: z.number().min(0).max(24), to: z.number().min(0).max(24) })
    .nullable()
    .catch(null),
  /** When the keeper is away, and who looks in meanwhile; null: nothing is planned. */
  away: z
    .object({ from: z.iso.date(), to: z.iso.date(), who: z.string().max(80) })
    .nullable()
    .catch(null),
  /** Comparisons that were planned, ended ones too. */
  comparisons: rows(PlannedComparison),
  /** Enclosures whose devices are listened to. */
  joined: z.array(z.string()).catch([]),
  /** Minutes of the day a calendar of reminders sounds at. */
  remindAt: z.number().int().min(0).max(1439).catch(480),
  /** On what terms its keeper works for others. */
  terms: Terms.catch(USUAL_TERMS),
  /** Who makes it, as it stands on a quote: a name, and lines below it. */
  maker: z.object({ name: z.string().max(80), lines: z.string().max(400) }).catch({ name: '', lines: '' }),
  /** How the rack is looked at: sorted, grouped, as cards or a list; and its keeper's own order, by ids. */
  rack: z
    .object({
      sort: z.string().max(20),
      group: z.string().max(20),
      as: z.enum(['cards', 'list']),
      order: z.array(z.string().max(80)).max(2000),
    })
    .catch({ sort: 'name', group: 'none', as: 'cards', order: [] }),
  /** When everything was last exported, ms since 1970; null: never. */
  exported: z.number().nullable().catch(null),
});
export type Settings = z.infer<typeof Settings>;

export const DEFAULT_SETTINGS: Settings = {
  units: METRIC,
  currency: null,
  prices: {},
  materials: [],
  recipes: [],
  animals: [],
  plants: [],
  crew: [],
  bench: null,
  tub: 0.03,
  spare: 0.1,
  demoLaid: false,
  matches: {},
  quiet: null,
  away: null,
  comparisons: [],
  joined: [],
  remindAt: 480,
  terms: USUAL_TERMS,
  maker: { name: '', lines: '' },
  rack: { sort: 'name', group: 'none', as: 'cards', order: [] },
  exported: null,
};

export const ownRows = ({ materials, recipes, animals, plants, crew }: Settings): OwnRows => {
  const own = { materials, recipes, animals, plants, crew };
  return OWN_KINDS.every((kind) => own[kind].length === 0) ? NO_OWN_ROWS : own;
};

/** Settings as stored; whatever cannot be read falls back to its default, and rows and prices among it are noted. */
export async function loadSettings(db: RinconDatabase): Promise<Settings> {
  const rows = await db.settings.toArray();
  const stored = Object.fromEntries(rows.map((row) => [row.key, row.value]));
  note(unreadableIn(stored));
  return Settings.parse(stored);
}

/** One’s own rows and prices that cannot be read, as they are kept. */
export function unreadableIn(stored: Readonly<Record<string, unknown>>): readonly Unreadable[] {
  const wrong: Unreadable[] = [];
  const add = (setting: string, key: string, row: unknown, error: z.ZodError): void => {
    const { place, message } = refusalOf(error.issues[0]);
    wrong.push({ table: setting, setting, key, row, why: place ? `${place}: ${message}` : message });
  };
  for (const kind of OWN_KINDS) {
    const held = stored[kind];
    if (!Array.isArray(held)) continue;
    for (const row of held as readonly unknown[]) {
      const { error } = OWN_SCHEMAS[kind].safeParse(row);
      if (error) add(kind, JSON.stringify(row), row, error);
    }
  }
  const prices = stored.prices;
  if (typeof prices === 'object' && prices !== null)
    for (const [key, row] of Object.entries(prices)) {
      const { error } = Price.safeParse(row);
      if (error) add('prices', key, row, error);
    }
  return wrong;
}

/** Settings that go into a backup; prices and own rows go with the enclosures. */
export const KEPT_SETTINGS = [
  'units',
  'currency',
  'tub',
  'spare',
  'matches',
  'quiet',
  'away',
  'bench',
  'comparisons',
  'remindAt',
  'terms',
  'maker',
  'rack',
] as const;

/** Settings from a backup, where nothing is set here. */
export async function restoreSettings(
  db: RinconDatabase,
  given: Readonly<Record<string, unknown>>,
): Promise<void> {
  await db.transaction('rw', db.settings, async () => {
    for (const key of KEPT_SETTINGS)
      if (given[key] !== undefined && (await db.settings.get(key)) === undefined)
        await db.settings.put({ key, value: given[key] });
  });
}

export async function saveSetting<K extends keyof Settings>(
  db: RinconDatabase,
  key: K,
  value: Settings[K],
): Promise<void> {
  // What is read falls back to its default where it cannot be: it would be lost without a word.
  const read = Settings.shape[key].safeParse(value);
  if (!read.success || !equal(read.data, value))
    throw new RefusedWrite(`${key}: this value could not be read again`);
  await db.settings.put({ key, value });
}

/** Changes the planned comparisons as they are stored at that moment: two windows lose neither’s. */
export async function changeComparisons(
  db: RinconDatabase,
  change: (all: Settings['comparisons']) => Settings['comparisons'],
): Promise<void> {
  await db.transaction('rw', db.settings, async () => {
    const stored = (await db.settings.get('comparisons'))?.value;
    await saveSetting(db, 'comparisons', change(Settings.shape.comparisons.parse(stored)));
  });
}

/** Writes one own row, in place of the one with its id. Two windows writing different rows lose neither. */
export async function saveOwnRow<K extends OwnKind>(
  db: RinconDatabase,
  kind: K,
  row: OwnRows[K][number],
): Promise<void> {
  const sound = written<unknown>(OWN_SCHEMAS[kind], row) as OwnRows[K][number];
  await changeStored(db, kind, (rows) => [...rows.filter((it) => it?.id !== row.id), sound]);
}

/**
 * Changes one own row as it is stored at that moment; `base` where it is not stored yet. Two quick edits of one row lose
 * neither, whatever the screen still showed when the second was made.
 */
export async function changeOwnRow<K extends OwnKind>(
  db: RinconDatabase,
  kind: K,
  base: OwnRows[K][number],
  change: (row: OwnRows[K][number]) => OwnRows[K][number],
): Promise<void> {
  await db.transaction('rw', db.settings, async () => {
    const here = (await loadSettings(db))[kind].find((row) => row.id === base.id);
    await saveOwnRow(db, kind, change(here ?? base));
  });
}

/** One own row as it is to stand; null: as it ships, or not at all. */
export interface OwnRowPut {
  readonly kind: OwnKind;
  readonly id: string;
  readonly row: OwnRows[OwnKind][number] | null;
}

/** Writes several own rows, all or none. */
export const putOwnRows = (db: RinconDatabase, rows: readonly OwnRowPut[]): Promise<void> =>
  db.transaction('rw', db.settings, async () => {
    for (const { kind, id, row } of rows)
      await (row === null ? removeOwnRow(db, kind, id) : saveOwnRow(db, kind, row));
  });

export async function removeOwnRow(db: RinconDatabase, kind: OwnKind, id: string): Promise<void> {
  await changeStored(db, kind, (rows) => rows.filter((it) => it?.id !== id));
}

/** Works on what is stored, read or not, so that a row this version cannot read is kept. */
async function changeStored(
  db: RinconDatabase,
  kind: OwnKind,
  change: (rows: readonly ({ readonly id?: unknown } | null)[]) => readonly unknown[],
): Promise<void> {
  await db.transaction('rw', db.settings, async () => {
    const stored = (await db.settings.get(kind))?.value;
    await db.settings.put({ key: kind, value: change(Array.isArray(stored) ? stored : []) });
  });
}

/** Writes the builder's own price of a pack; null takes it out. */
export async function setPrice(db: RinconDatabase, key: string, value: number | null): Promise<void> {
  await db.transaction('rw', db.settings, async () => {
    const { prices } = await loadSettings(db);
    const others = Object.fromEntries(Object.entries(prices).filter(([it]) => it !== key));
    await saveSetting(db, 'prices', value === null ? others : { ...others, [key]: value });
  });
}
