import { z } from 'zod';
import { id } from '../fields';

const DAYS = '[+-]?\\d{0,2}(MO|TU|WE|TH|FR|SA|SU)';
const MONTH = '(1[0-2]|[1-9])';
const MONTH_DAY = '-?([12]\\d|3[01]|[1-9])';
const list = (of: string): string => `${of}(,${of})*`;

/** Those parts of RFC 5545, 3.3.10, that a rhythm of care may have. */
const RRULE = new RegExp(
  `^FREQ=(DAILY|WEEKLY|MONTHLY|YEARLY)(;(${[
    'INTERVAL=[1-9]\\d{0,2}',
    'COUNT=[1-9]\\d{0,3}',
    'UNTIL=\\d{8}(T\\d{6}Z?)?',
    `BYDAY=${list(DAYS)}`,
    `BYMONTH=${list(MONTH)}`,
    `BYMONTHDAY=${list(MONTH_DAY)}`,
    'BYSETPOS=-?[1-9]\\d{0,2}',
    'WKST=(MO|SU)',
  ].join('|')}))*$`,
);

/** When care is due: on days of the calendar, or so many days after it was last done. */
export const When = z.discriminatedUnion('by', [
  z.strictObject({
    by: z.literal('calendar'),
    /** Recurrence rule of RFC 5545 without its start, such as FREQ=WEEKLY;BYDAY=MO,TH. */
    rrule: z.string().max(200).regex(RRULE, 'not a rule such as FREQ=DAILY'),
  }),
  z.strictObject({ by: z.literal('since'), days: z.number().int().min(1).max(3650) }),
]);
export type When = z.infer<typeof When>;

/** What its keeper changed of the care that follows from design and animal, and what he added. */
export const Care = z.strictObject({
  changes: z
    .array(
      z.strictObject({
        /** Id of a rule. */
        rule: id,
        /** null: as it follows. */
        when: When.nullable(),
        paused: z.boolean(),
        /** Day on which its pause ends by itself; null: when its keeper says so. */
        until: z.iso.date().nullable(),
        /** Day from which it counts anew: it was changed, or taken up again; null: as if it had never been. */
        from: z.iso.date().nullable(),
        /** Why it was changed or paused. */
        reason: z.string().max(400),
      }),
    )
    .max(200),
  own: z
    .array(
      z.strictObject({
        id,
        what: z.string().min(1).max(120),
        why: z.string().max(400),
        when: When,
        sitter: z.boolean(),
        /** Day it was added, from which it counts; null: as long as the enclosure has been kept. */
        from: z.iso.date().nullable(),
      }),
    )
    .max(100),
  /** Day up to which all that comes round is settled, done or not; null: nothing but what the log says. */
  settled: z.iso.date().nullable(),
});
export type Care = z.infer<typeof Care>;

export const BARE_CARE: Care = { changes: [], own: [], settled: null };
