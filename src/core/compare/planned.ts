import { z } from 'zod';
import { dayPlus, daysTill } from '../time';
import type { Difference } from './differences';

const id = z.string().min(1).max(120);

/** A comparison of two enclosures that is planned ahead: what is meant to differ, and how long all else stays as it is. */
export const PlannedComparison = z.strictObject({
  id,
  of: z.tuple([id, id]),
  /** First and last day. */
  since: z.iso.date(),
  until: z.iso.date(),
  /** Every difference of the two designs on the first day: what it is, and a mark of both its values. */
  differs: z.record(z.string().max(300), z.string().max(2000)),
  closed: z.boolean(),
});
export type PlannedComparison = z.infer<typeof PlannedComparison>;

/** Weeks a comparison may be planned for. */
export const PLANNED_WEEKS = [1, 2, 4, 8] as const;

const keyOf = ({ where, what }: Difference): string => `${where} ${what}`;
/** How old an enclosure is grows by itself. */
const AGE = 'Since';
const marksOf = (differences: readonly Difference[]): Record<string, string> =>
  Object.fromEntries(
    differences
      .filter((it) => it.what !== AGE)
      .map((it) => [keyOf(it), JSON.stringify(it.sides).slice(0, 2000)]),
  );

/** A comparison that begins today. */
export const planComparison = (
  own: { readonly id: string; readonly of: readonly [string, string]; readonly weeks: number },
  differences: readonly Difference[],
  today: string,
): PlannedComparison => ({
  id: own.id,
  of: [...own.of],
  since: today,
  until: dayPlus(today, 7 * own.weeks),
  differs: marksOf(differences),
  closed: false,
});

/** How far a planned comparison has come. */
export interface ComparisonProgress {
  /** Whole days since it began, and of how many. */
  readonly day: number;
  readonly days: number;
  readonly isOver: boolean;
  /** What has become different, other than it was, or alike, since it began. */
  readonly changed: readonly string[];
}

export function progressOf(
  { since, until, differs }: PlannedComparison,
  differences: readonly Difference[],
  today: string,
): ComparisonProgress {
  const now = marksOf(differences);
  const named = new Map(differences.map((it) => [keyOf(it), it.what]));
  const changed = [...new Set([...Object.keys(differs), ...Object.keys(now)])]
    .filter((key) => differs[key] !== now[key])
    .map((key) => named.get(key) ?? key.slice(key.indexOf(' ') + 1));
  const days = daysTill(since, until);
  const day = Math.min(days, daysTill(since, today));
  return { day, days, isOver: today >= until, changed };
}
