import { z } from 'zod';
import {
  Animal,
  Basis,
  corrected,
  CORRECTED_TABLES,
  CrewKind,
  isGone,
  Material,
  Plant,
  valueAt,
  type Corrected,
  type CorrectedRows,
  type CorrectedTable,
  type Correction,
} from '@/core/catalogue';
import { pathText, refusalOf } from '@/core/document';
import type { Read } from './outcome';

/** Characters of the longest file that is read: some thousand corrections. */
const LONGEST = 2_000_000;

const Value = z.union([
  z.strictObject({ value: z.unknown(), basis: Basis, source: z.string().min(1).max(300).optional() }),
  z.string().max(400),
  z.number(),
  z.boolean(),
  z.null(),
  z.strictObject({ gone: z.literal(true) }),
]);
/** Values of the catalogue that a keeper confirmed, corrected or cited, for others to read. See docs/format.md. */
const CorrectionFile = z.strictObject({
  format: z.literal('rincon-corrections'),
  /** 1 told of no value that is gone. */
  version: z.union([z.literal(1), z.literal(2)]),
  written: z.iso.datetime(),
  corrections: z
    .array(
      z.strictObject({
        table: z.enum(CORRECTED_TABLES),
        row: z.string().min(1).max(120),
        name: z.string().max(120),
        field: z.string().min(1).max(120),
        value: Value,
      }),
    )
    .max(5000),
});

export const writeCorrections = (corrections: readonly Correction[], written: Date): string =>
  `${JSON.stringify({ format: 'rincon-corrections', version: 2, written: written.toISOString(), corrections }, null, 2)}\n`;

/** Reads a file of corrections; what of it fits the rows here is told by `reviewOf`. */
export function readCorrections(text: string): Read<readonly Correction[]> {
  if (text.length > LONGEST)
    return { ok: false, place: 'the whole file', message: 'it is larger than any file of corrections is' };
  let json: unknown;
  try {
    json = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return { ok: false, place: 'the whole file', message: 'this is not JSON; export it again' };
  }
  const read = CorrectionFile.safeParse(json);
  if (read.success) return { ok: true, value: read.data.corrections as readonly Correction[] };
  const format = (json as { readonly format?: unknown } | null)?.format;
  if (format !== 'rincon-corrections')
    return {
      ok: false,
      place: 'format',
      message: '“rincon-corrections” is expected. Enclosures are read in by the File menu',
    };
  return { ok: false, ...refusalOf(read.error.issues[0]) };
}

const SCHEMAS = { animals: Animal, plants: Plant, crew: CrewKind, materials: Material } as const;

/** A correction beside what stands here. */
export interface Reviewed {
  readonly correction: Correction;
  /** As it stands here; undefined: the row or the field is not here. */
  readonly here: Corrected | undefined;
  /** Why it cannot be taken; null: it can. */
  readonly refused: string | null;
}

const rowsOf = (rows: CorrectedRows, table: CorrectedTable): readonly { readonly id: string }[] =>
  rows[table];

/** Each correction beside the row it is about: those that say what stands here already are left out. */
export function reviewOf(corrections: readonly Correction[], rows: CorrectedRows): readonly Reviewed[] {
  return corrections.flatMap((correction): Reviewed[] => {
    const { table, row: id, field, value } = correction;
    const row = rowsOf(rows, table).find((it) => it.id === id);
    if (!row) return [{ correction, here: undefined, refused: 'it is not in this catalogue' }];
    const here = valueAt(row, field);
    if (isGone(value) ? here === undefined : JSON.stringify(here) === JSON.stringify(value)) return [];
    const next = corrected(row, field, value);
    if (next === row) return [{ correction, here, refused: 'it has no such value' }];
    const { error } = SCHEMAS[table].safeParse(next);
    if (error?.issues.some((it) => it.code === 'unrecognized_keys'))
      return [{ correction, here, refused: 'it has no such value' }];
    if (!error) return [{ correction, here, refused: null }];
    const [issue] = error.issues;
    const { message } = refusalOf(issue);
    return [{ correction, here, refused: `${pathText(issue?.path ?? [])}: ${message}` }];
  });
}
