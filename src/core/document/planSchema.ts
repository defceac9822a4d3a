import { z } from 'zod';
import { id } from '../fields';

/** How long is waited: until all stands, as is usual, or until a check says so. */
export const PACES = ['cautious', 'usual', 'quick'] as const;
export type Pace = (typeof PACES)[number];
/** Where the animal is: still to be found, sent on a day, or kept for long and only moving over. */
export const COMINGS = ['new', 'post', 'here'] as const;
export type Coming = (typeof COMINGS)[number];

/** What was planned and what really happened, step by step; steps themselves follow from the design. */
export const Plan = z.strictObject({
  pace: z.enum(PACES),
  animal: z.strictObject({
    comes: z.enum(COMINGS),
    /** Day it is sent or fetched; null: not known. */
    day: z.iso.date().nullable(),
  }),
  /** Day work begins; null: today. */
  start: z.iso.date().nullable(),
  marks: z
    .array(
      z.strictObject({
        /** Id of a step. */
        step: id,
        /** Day work on it began. */
        begun: z.iso.date().nullable(),
        /** Day its work was done, from which it waits. */
        worked: z.iso.date().nullable(),
        /** Day it was done, its wait over. */
        done: z.iso.date().nullable(),
        /** Why it is left out; null: it is not. */
        skipped: z.string().max(400).nullable(),
        /** Not begun before that day. */
        notBefore: z.iso.date().nullable(),
        note: z.string().max(2000),
        /** What was read at its points of measuring, as it was written down. */
        read: z
          .array(
            z.strictObject({
              what: z.string().max(200),
              value: z.string().max(80),
              /** The same as a number, SI, where a band judges it; null: in words alone. */
              number: z.number().finite().min(-1e6).max(1e6).nullable(),
            }),
          )
          .max(40),
      }),
    )
    .max(300),
});
export type PlanMark = z.infer<typeof Plan>['marks'][number];

export const BARE_PLAN = {
  pace: 'usual' as Pace,
  animal: { comes: 'new' as Coming, day: null as string | null },
  start: null,
  marks: [],
  standing: null,
};

/** What nothing is written down about yet. */
export const UNTOUCHED: Omit<PlanMark, 'step'> = {
  begun: null,
  worked: null,
  done: null,
  skipped: null,
  notBefore: null,
  note: '',
  read: [],
};
