import { z } from 'zod';
import { held, isLater, type Held } from './held';

const id = z.string().min(1).max(120);
const words = z.string().max(200);
const day = z.iso.date().nullable();

/** One animal, wherever it lives. */
export const AnimalRecord = z.strictObject({
  ...held,
  name: z.string().min(1).max(80),
  /** Kind, by the catalogue; null: not known. */
  kind: id.nullable(),
  sex: z.enum(['unknown', 'female', 'male']),
  sexKnown: z.enum(['guess', 'likely', 'sure']),
  hatched: day,
  source: words,
  /** Ids of animals, or names of those that are not written down. */
  parents: z.array(words).max(2),
  quarantine: z.strictObject({ from: z.iso.date(), to: day }).nullable(),
  /** Boxes it lived in, the oldest first; the last, open one is where it is. */
  homes: z.array(z.strictObject({ design: id, from: day, to: day })).max(100),
  /** Permits and the like. */
  papers: z.array(z.strictObject({ what: words, number: words, until: day })).max(20),
  /** Day it died or was given away. */
  left: day,
  note: z.string().max(4000),
});
export type AnimalRecord = z.infer<typeof AnimalRecord>;

/** An animal of which nothing is known but its name and where it lives, since a day or since ever. */
export const animalRecord = (
  id: string,
  design: string,
  from: string | null,
  rest: Partial<AnimalRecord> = {},
): AnimalRecord => ({
  id,
  changed: 0,
  gone: false,
  name: id,
  kind: null,
  sex: 'unknown',
  sexKnown: 'guess',
  hatched: null,
  source: '',
  parents: [],
  quarantine: null,
  homes: [{ design, from, to: null }],
  papers: [],
  left: null,
  note: '',
  ...rest,
});

/** A lamp, a pump, a probe: a thing that is bought, fails and is replaced. */
export const EquipmentRecord = z.strictObject({
  ...held,
  design: id,
  name: z.string().min(1).max(80),
  /** The device of the design it is; null: none that is drawn. */
  device: id.nullable(),
  installed: day,
  warranty: day,
  failed: day,
  /** It lies on the shelf for when another fails. */
  spare: z.boolean(),
  /** Months it is in use, 1 to 12, where it is swapped by season; empty: all year. */
  months: z.array(z.number().int().min(1).max(12)).max(12),
  note: z.string().max(1000),
});
export type EquipmentRecord = z.infer<typeof EquipmentRecord>;

/**
 * The records of two devices as one list: each once, the later version of it. Commutative, associative and idempotent.
 */
export function mergeRecords<T extends Held>(a: readonly T[], b: readonly T[]): readonly T[] {
  const all = new Map<string, T>();
  for (const it of [...a, ...b]) {
    const own = all.get(it.id);
    if (!own || isLater(it, own)) all.set(it.id, it);
  }
  return [...all.values()].sort((x, y) => (x.id < y.id ? -1 : 1));
}

/** Where an animal lives; null: nowhere that is written down. */
export const homeOf = ({ homes, left }: AnimalRecord): string | null =>
  left === null ? (homes.filter((it) => it.to === null).at(-1)?.design ?? null) : null;

/** An animal moved to another box on a day; null: to none. */
export function moveTo(animal: AnimalRecord, design: string | null, on: string): AnimalRecord {
  if (homeOf(animal) === design) return animal;
  return {
    ...animal,
    homes: [
      ...animal.homes.map((it) => (it.to === null ? { ...it, to: on } : it)),
      ...(design === null ? [] : [{ design, from: on, to: null }]),
    ],
  };
}

/** An animal died, or went to somebody else, on a day: it lives nowhere from then on. */
export const leave = (animal: AnimalRecord, on: string): AnimalRecord => ({
  ...moveTo(animal, null, on),
  left: on,
});

/** Whether an animal lived in a box on a day; on the day it moved it lived in both. */
export const livedIn = ({ homes, left }: AnimalRecord, design: string, day: string): boolean =>
  (left === null || day <= left) &&
  homes.some(
    ({ design: own, from, to }) =>
      own === design && (from === null || from <= day) && (to === null || day <= to),
  );

/** What a line of the log must tell to know whose it is. */
interface LineOf {
  readonly design: string;
  readonly animal: string | null;
  readonly at: number;
}

/**
 * The lines about one animal, wherever it lived: those that name it, and those of a whole box in the days it lived there.
 * @param dayOf the day of a line
 */
export const linesAbout = <T extends LineOf>(
  animal: AnimalRecord,
  log: readonly T[],
  dayOf: (line: T) => string,
): readonly T[] =>
  log.filter(
    (it) => it.animal === animal.id || (it.animal === null && livedIn(animal, it.design, dayOf(it))),
  );

/** Whether a piece of equipment is to be in use in a month, 1 to 12. */
export const inSeason = ({ months }: EquipmentRecord, month: number): boolean =>
  months.length === 0 || months.includes(month);
