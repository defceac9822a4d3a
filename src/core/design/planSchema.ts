import { z } from 'zod';
import { id } from './fields';

/** What was planned and what really happened, step by step; steps themselves follow from the design. */
export const Plan = z.strictObject({
  /** Day work begins; null: today. */
  start: z.iso.date().nullable(),
  marks: z
    .array(
      z.strictObject({
        /** Id of a step. */
        step: id,
        /** Day it was done, its wait over. */
        done: z.iso.date().nullable(),
        /** Not begun before that day. */
        notBefore: z.iso.date().nullable(),
        note: z.string().max(2000),
      }),
    )
    .max(300),
});
export type Plan = z.infer<typeof Plan>;

export const BARE_PLAN: Plan = { start: null, marks: [] };
