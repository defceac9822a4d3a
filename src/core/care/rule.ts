import type { CautionStep } from '../catalogue';
import type { PartOfYear } from '../brief';
import type { When } from '../document/schema';
import type { Message } from '../units';

export type { When };

/** The sorts of care, in the order of a morning round. */
export const CARE_GROUPS = [
  'look',
  'water',
  'food',
  'clean',
  'plants',
  'crew',
  'equipment',
  'animal',
  'records',
] as const;
export type CareGroup = (typeof CARE_GROUPS)[number];

/** Something that keeps a box going, as it follows from the design and the animal. */
export interface CareRule {
  readonly id: string;
  readonly group: CareGroup;
  readonly what: string;
  readonly why: string;
  readonly when: When;
  /** How much, how long; empty: it goes without saying. */
  readonly amount: Message;
  /** Of one time. */
  readonly minutes: number;
  readonly caution?: CautionStep;
  /** Day the thing it is about was fitted, ISO 8601: what was done before was done to another. Left out: not told. */
  readonly since?: string;
  /** It goes with an animal: there is none of it while the enclosure only grows in. */
  readonly needsAnimal: boolean;
  /** Only in a part of the year, or in all but one. */
  readonly season?: { readonly how: 'only' | 'not'; readonly part: PartOfYear };
  /** Days after which one that was missed is not asked for any more: the next one is. Left out: it is asked for till it is done. */
  readonly lapses?: number;
  /** It must not be left out while its keeper is away. */
  readonly sitter: boolean;
}

export const daily = (every = 1): When => ({
  by: 'calendar',
  rrule: every === 1 ? 'FREQ=DAILY' : `FREQ=DAILY;INTERVAL=${every}`,
});
export const weekly = (...days: readonly string[]): When => ({
  by: 'calendar',
  rrule: `FREQ=WEEKLY;BYDAY=${days.join(',')}`,
});
export const monthly = (every = 1): When => ({
  by: 'calendar',
  rrule: `FREQ=MONTHLY${every === 1 ? '' : `;INTERVAL=${every}`};BYMONTHDAY=1`,
});
/** On the first day of some months. */
export const yearly = (...months: readonly number[]): When => ({
  by: 'calendar',
  rrule: `FREQ=YEARLY;BYMONTH=${months.join(',')};BYMONTHDAY=1`,
});
/** On one day of every year, `MM-DD`. */
export const yearlyOn = (monthDay: string): When => {
  const [month, day] = monthDay.split('-').map(Number);
  return { by: 'calendar', rrule: `FREQ=YEARLY;BYMONTH=${month};BYMONTHDAY=${day}` };
};
/** Of a rule of days: only in some months. */
export const inMonths = (when: When, months: readonly number[]): When =>
  when.by === 'calendar' && months.length < 12
    ? { by: 'calendar', rrule: `${when.rrule};BYMONTH=${months.join(',')}` }
    : when;
export const after = (days: number): When => ({ by: 'since', days });

type Optional = 'amount' | 'sitter' | 'needsAnimal';
/** A rule as it is written down: what is usual is left out. */
export type Draft = Omit<CareRule, Optional> & Partial<Pick<CareRule, Optional>>;
