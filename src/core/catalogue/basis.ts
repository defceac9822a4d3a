import { z } from 'zod';

/**
 * Every value carries where it comes from, and the interface shows it.
 * - `measured`: by the keeper, or read off what they bought and paid.
 * - `published`: read from a named work, or standing in a standard.
 * - `cited`: the work named gives it; the figure is recalled, to be checked there.
 * - `practice`: what keepers, growers and builders say; judgements and prices.
 * - `estimated`: by a rule, or from a likeness; `source` names the rule.
 */
export const Basis = z.enum(['measured', 'published', 'cited', 'practice', 'estimated']);
export type Basis = z.infer<typeof Basis>;
export const BASES = Basis.options;

/** A work of the list of works or one written out; of what is estimated, a rule of the list of rules. */
const SourceText = z.string().min(1).max(300);

export const sourced = <T extends z.ZodType>(value: T) =>
  z
    .strictObject({ value, basis: Basis, source: SourceText.optional() })
    .refine((it) => it.source !== undefined || (it.basis !== 'published' && it.basis !== 'cited'), {
      message: 'a published or cited value names the work it stands in',
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

/** The work each grade stands in, of the list of works. */
export const LAW_WORK: Readonly<Record<Legal, string>> = {
  protected: 'cites',
  certificate: 'cites',
  invasive: 'eu-1143-2014',
  injurious: 'cfr-50-16',
  venomous: 'local-acts',
};

export const Range = z
  .strictObject({ low: z.number().finite(), high: z.number().finite() })
  .refine((range) => range.low <= range.high, { message: 'low must not be above high' });
export type Range = z.infer<typeof Range>;

export const price = sourced(z.number().min(0).finite());
