import { z } from 'zod';
import { held, isLater } from './held';

const id = z.string().min(1).max(120);
const days = z.number().int().min(1).max(730);

export const CULTURE_ACTS = ['fed', 'harvested', 'split'] as const;

/** One thing that was done with a culture. */
export const CultureAct = z.strictObject({
  id,
  on: z.iso.date(),
  what: z.enum(CULTURE_ACTS),
  /** How many were taken; null: not counted. */
  count: z.number().int().min(0).max(1_000_000).nullable(),
  /** Struck out: kept so that a merge does not bring it back. */
  gone: z.boolean(),
});
export type CultureAct = z.infer<typeof CultureAct>;

/** A tub of feeders or crew beside the enclosures, with its own rhythm: it follows from the species and can be changed. */
export const CultureRecord = z.strictObject({
  ...held,
  name: z.string().min(1).max(80),
  /** Feeder or crew, by the catalogue; null: not known. */
  kind: id.nullable(),
  /** It is fed well before it is fed off: no enclosure has to ask for that by itself. */
  gutLoaded: z.boolean(),
  tubs: z.number().int().min(1).max(200),
  /** °C it is kept at. */
  temperature: z.number().min(0).max(45),
  started: z.iso.date(),
  /** Day it was given up or thrown out. */
  ended: z.iso.date().nullable(),
  /** Days between two feedings; null: it lives on what it was started with. */
  feedEvery: days.nullable(),
  /** Days from its start until the first can be taken; null: not known, or it does not breed so cool. */
  firstHarvest: days.nullable(),
  /** Days it gives from then on, until it is thrown out; null: for as long as it is kept. */
  givesFor: days.nullable(),
  /** Days after which the next of its species is started, so that one always gives; null: it goes on by itself. */
  nextAfter: days.nullable(),
  /** Days between two splits; null: it is not split. */
  splitEvery: days.nullable(),
  acts: z.array(CultureAct).max(5000),
  note: z.string().max(1000),
});
export type CultureRecord = z.infer<typeof CultureRecord>;

/**
 * Two versions of a culture as one: fields as the later one has them, acts of both. An act that either has struck out is
 * struck out. Commutative, associative and idempotent.
 */
export function mergeCulture(a: CultureRecord, b: CultureRecord): CultureRecord {
  const acts = new Map<string, CultureAct>();
  for (const act of [...a.acts, ...b.acts]) {
    const before = acts.get(act.id);
    const isGone = act.gone || before?.gone === true;
    const later = before && JSON.stringify(before) > JSON.stringify(act) ? before : act;
    acts.set(act.id, { ...later, gone: isGone });
  }
  return {
    ...(isLater({ ...a, acts: [] }, { ...b, acts: [] }) ? a : b),
    acts: [...acts.values()].sort((x, y) => (x.on !== y.on ? (x.on < y.on ? -1 : 1) : x.id < y.id ? -1 : 1)),
  };
}
