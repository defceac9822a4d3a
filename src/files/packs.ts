import type { Read } from './outcome';
import { readingsIn, readSenml, type NamedReading } from './senml';

/** A format of readings that says itself what each of them is; whatever is none of them is read as a table. */
export interface PackFormat {
  readonly id: string;
  readonly name: string;
  /** With their dots, as a file dialog takes them. */
  readonly extensions: readonly string[];
  /** Bytes of the largest file that is read, and what to do with a larger one. */
  readonly most: number;
  readonly larger: string;
  /** Whether a file is one, by its beginning. */
  readonly isIn: (begin: string) => boolean;
  /**
   * @param now s since 1970, for times that are told from it
   */
  readonly read: (
    text: string,
    now: number,
  ) => Read<{
    readonly readings: readonly NamedReading[];
    /** Records in it, those that are no reading of an enclosure counted too. */
    readonly records: number;
  }>;
  /** Which readings of it are understood. */
  readonly understands: string;
}

const SENML: PackFormat = {
  id: 'senml',
  name: 'SenML',
  extensions: ['.json', '.senml'],
  most: 60 * 1024 ** 2,
  larger: 'Export a shorter stretch, or as CSV',
  isIn: (begin) => /^\s*\[/.test(begin),
  read: (text, now) => {
    const found = readSenml(text, now);
    return found.ok
      ? { ok: true, value: { readings: readingsIn(found.value), records: found.value.length } }
      : found;
  },
  understands: 'Units such as Cel, %RH and kg are understood',
};

/** Every such format: a new one is a row here. */
export const PACK_FORMATS: readonly PackFormat[] = [SENML];

/** The format of a file by its beginning; null: a table. */
export const packFormatOf = (begin: string): PackFormat | null =>
  PACK_FORMATS.find((it) => it.isIn(begin)) ?? null;

/** What a file dialog offers: tables, and every format there is. */
export const READING_FILES = ['.csv', '.txt', '.tsv', ...PACK_FORMATS.flatMap((it) => it.extensions)].join(
  ',',
);
