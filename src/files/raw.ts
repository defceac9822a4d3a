import type { ZodType } from 'zod';
import { NO_OWN_ROWS } from '@/catalogue';
import { Animal, CrewKind, Material, Plant, Recipe, withFiveMarks } from '@/core/catalogue';
import { Design, migrate, refusalOf } from '@/core/document';
import { Entry } from '@/core/log';
import { Series, trackOf, unpackTrack, type Track } from '@/core/readings';
import { AnimalRecord, CultureRecord, EquipmentRecord } from '@/core/records';
import { ShelfMove } from '@/core/shelf';
import type { Fault } from './archive';
import type { BackupPicture, BackupTrack, ReadBackup } from './backup';
import { ENVELOPE_VERSION, Prices } from './envelope';
import type { Read } from './outcome';

/** How the file that the recovery page saves begins. */
const BEGINS = '{"format":"rincon-raw"';
/** Larger than what a browser keeps for us by far. */
const MOST_RAW = 1.5 * 1024 ** 3;

type Row = Readonly<Record<string, unknown>>;

/** Whether a file is what the recovery page saves: rows as they were stored, one a line. */
export const isRaw = async (file: Blob): Promise<boolean> =>
  (await file.slice(0, BEGINS.length).text()) === BEGINS;

/** The lines of a file, however large. */
async function* linesOf(file: Blob): AsyncGenerator<string> {
  const reader = file.stream().pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    const lines = (rest + value).split('\n');
    rest = lines.pop() ?? '';
    yield* lines;
  }
  if (rest !== '') yield rest;
}

const bytesOf = (base64: string): Uint8Array => Uint8Array.from(atob(base64), (it) => it.charCodeAt(0));

/** What JSON cannot hold, as it was stored. */
function revived(_: string, value: unknown): unknown {
  if (typeof value !== 'object' || value === null) return value;
  const { $blob, $bytes, $date, $number } = value as Row;
  if (typeof $blob === 'string') return bytesOf($blob);
  if (typeof $bytes === 'string') return bytesOf($bytes);
  if (typeof $date === 'number') return $date;
  if (typeof $number === 'string') return Number($number);
  return value;
}

/** Rows by the table they were stored in; what is no row is told. */
async function rowsOf(file: Blob, tell: (fault: Fault) => void): Promise<ReadonlyMap<string, Row[]>> {
  const tables = new Map<string, Row[]>();
  let [number, count] = [0, 0];
  let told: number | null = null;
  for await (const line of linesOf(file)) {
    number += 1;
    if (number === 1 || line === '') continue;
    let read: unknown;
    try {
      read = JSON.parse(line, revived);
    } catch {
      tell({ place: `line ${number}`, message: 'it is damaged. Save the file again, if that can be' });
      continue;
    }
    const { table, row, end, rows: saved } = read as Row;
    if (end === true && typeof saved === 'number') told = saved;
    else if (typeof table !== 'string' || typeof row !== 'object' || row === null)
      tell({ place: `line ${number}`, message: 'it holds no row' });
    else {
      count += 1;
      const rows = tables.get(table);
      if (rows) rows.push(row as Row);
      else tables.set(table, [row as Row]);
    }
  }
  if (told === null)
    tell({ place: 'the end', message: 'the file was cut short. Save it again, if that can be' });
  else if (told !== count)
    tell({ place: 'the whole file', message: `${told} rows were saved, and ${count} are in it` });
  return tables;
}

/**
 * Reads what the recovery page saved: each row by its schema. What cannot be read is told in `faults` and left out, all
 * else can be taken in as a backup is.
 */
export async function readRaw(file: Blob): Promise<Read<ReadBackup>> {
  if (file.size > MOST_RAW)
    return { ok: false, place: 'the whole file', message: 'it is larger than anything Rincon writes' };
  const faults: Fault[] = [];
  const tell = (fault: Fault): void => void faults.push(fault);
  const tables = await rowsOf(file, tell);
  const rowsIn = (table: string): readonly Row[] => tables.get(table) ?? [];
  const nameOf = (row: Row): string => String(row.id ?? row.key ?? 'a row');
  const sound = <T>(table: string, schema: ZodType<T>, rows: readonly unknown[]): T[] =>
    rows.flatMap((row) => {
      const read = schema.safeParse(row);
      if (read.success) return [read.data];
      const { place, message } = refusalOf(read.error.issues[0]);
      tell({ place: `${table}, ${nameOf(row as Row)}`, message: `${place}: ${message}` });
      return [];
    });
  const designs = sound(
    'designs',
    Design,
    rowsIn('designs')
      .filter((it) => it.deleted === 0)
      .map((it) => {
        const { design } = it;
        if (typeof design !== 'object' || design === null) return { id: it.id };
        try {
          const migrated = migrate(design as Record<string, unknown>);
          return migrated.ok ? migrated.document : design;
        } catch {
          // Told by its schema, as any that cannot be read.
          return design;
        }
      }),
  );
  const settings = new Map(rowsIn('settings').map((it) => [it.key, it.value]));
  const listed = (key: string): readonly unknown[] => {
    const value = settings.get(key);
    // A storage that has not been opened since may hold marks of before.
    return Array.isArray(value) ? withFiveMarks<readonly unknown[]>(value) : [];
  };
  const points = sound('series', Series, rowsIn('series'));
  const others = [...settings].filter(([key]) => key !== 'prices' && !(String(key) in NO_OWN_ROWS));
  return {
    ok: true,
    value: {
      proven: true,
      faults,
      envelope: {
        format: 'rincon',
        version: ENVELOPE_VERSION,
        written: new Date(0).toISOString(),
        designs,
        trails: {},
        prices: pricesIn(settings.get('prices'), tell),
        shelf: sound('shelf', ShelfMove, rowsIn('shelf')),
        own: {
          materials: sound('materials', Material, listed('materials')),
          recipes: sound('recipes', Recipe, listed('recipes')),
          animals: sound('own animals', Animal, listed('animals')),
          plants: sound('plants', Plant, listed('plants')),
          crew: sound('crew', CrewKind, listed('crew')),
        },
        log: sound('log', Entry, rowsIn('log')),
        animals: sound('animals', AnimalRecord, rowsIn('animals')),
        cultures: sound('cultures', CultureRecord, rowsIn('cultures')),
        equipment: sound('equipment', EquipmentRecord, rowsIn('equipment')),
        points,
      },
      settings: Object.fromEntries(others),
      tracks: tracksOf(points, rowsIn('blocks'), tell),
      pictures: rowsIn('pictures')
        .filter((it) => it.gone === undefined)
        .flatMap((it) => pictureOf(it, tell)),
    },
  };
}

/** Prices, each by itself: one that cannot be read takes no other with it. */
function pricesIn(stored: unknown, tell: (fault: Fault) => void): Prices {
  if (typeof stored !== 'object' || stored === null) return {};
  return Object.fromEntries(
    Object.entries(stored).filter(([key, value]) => {
      const reads = Prices.safeParse({ [key]: value as unknown }).success;
      if (!reads) tell({ place: `prices, ${key}`, message: 'a price from 0 to 1,000,000 is expected' });
      return reads;
    }),
  ) as Prices;
}

/** Readings of the points, of the weeks that are stored whole; sums by hour and day follow from them. */
function tracksOf(
  points: readonly Series[],
  blocks: readonly Row[],
  tell: (fault: Fault) => void,
): readonly BackupTrack[] {
  return points.flatMap(({ id, quantity }) => {
    const at: number[] = [];
    const steps: number[] = [];
    const weeks = blocks
      .filter((it) => it.series === id && it.level === 'raw')
      .sort((a, b) => Number(a.week) - Number(b.week));
    for (const { week, bytes } of weeks) {
      let track: Track;
      try {
        track = unpackTrack(bytes as Uint8Array);
      } catch {
        tell({ place: `readings, ${id}, week ${String(week)}`, message: 'they cannot be read' });
        continue;
      }
      for (const it of track.at) at.push(it);
      for (const it of track.steps) steps.push(it);
    }
    return at.length === 0 ? [] : [{ series: id, quantity, track: trackOf(at, steps) }];
  });
}

function pictureOf(row: Row, tell: (fault: Fault) => void): readonly BackupPicture[] {
  const { id, design, about, at, width, height, blob } = row;
  if (
    typeof id === 'string' &&
    typeof design === 'string' &&
    typeof about === 'string' &&
    [at, width, height].every((it) => typeof it === 'number') &&
    blob instanceof Uint8Array &&
    blob[0] === 0xff &&
    blob[1] === 0xd8
  )
    return [
      { id, design, about, at: at as number, width: width as number, height: height as number, jpeg: blob },
    ];
  tell({ place: `pictures, ${String(id)}`, message: 'this is no picture' });
  return [];
}
