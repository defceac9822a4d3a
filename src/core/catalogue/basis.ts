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
/**
 * What the law commonly says of a kind; the local authority says what it says here. `certificate`: of the highest grade of
 * protection (CITES Appendix I, or Annex A in the EU), sold with a certificate of its own. `injurious`: not to be brought
 * into a country, or over its inner borders, for what it may carry.
 */
export const Legal = z.enum(['protected', 'certificate', 'invasive', 'injurious', 'venomous']);
export type Legal = z.infer<typeof Legal>;
/** Several at once; rows of one’s own from before hold one word. */
export const Laws = z.union([Legal, z.array(Legal).min(1).max(5)]);

/** What the law says of a row, the gravest first; empty: nothing that is known. */
export const lawsOf = ({
  legal,
}: { readonly legal?: z.infer<typeof Laws> | undefined } = {}): readonly Legal[] =>
  legal === undefined ? [] : typeof legal === 'string' ? [legal] : legal;

export const Range = z
  .strictObject({ low: z.number().finite(), high: z.number().finite() })
  .refine((range) => range.low <= range.high, { message: 'low must not be above high' });
export type Range = z.infer<typeof Range>;

export const price = sourced(z.number().min(0).finite());
