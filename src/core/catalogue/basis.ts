import { z } from 'zod';

/**
 * Every value carries where it comes from, and the interface shows it. `own`: written down by the builder.
 */
export const Basis = z.enum(['published', 'practice', 'memory', 'own']);
export type Basis = z.infer<typeof Basis>;

export const sourced = <T extends z.ZodType>(value: T) =>
  z
    .strictObject({
      value,
      basis: Basis,
      /** Key into `sources`; required when the basis is `published`. */
      source: z.string().optional(),
    })
    .refine((it) => (it.basis === 'published') === (it.source !== undefined), {
      message: 'a published value names its source, and only a published value does',
    });

/** A value and where it comes from. */
export interface Sourced<T> {
  readonly value: T;
  readonly basis: Basis;
  readonly source?: string | undefined;
}

export const positive = z.number().positive().finite();
export const Range = z
  .strictObject({ low: z.number().finite(), high: z.number().finite() })
  .refine((range) => range.low <= range.high, { message: 'low must not be above high' });
export type Range = z.infer<typeof Range>;

export const price = sourced(z.number().min(0).finite());
