import { Unzip, UnzipInflate, Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { z } from 'zod';
import { fromSteps, STEP, toSteps, trackOf, type ReadQuantity, type Track } from '@/core/readings';
import { csvOf } from './cell';
import { readEnvelope, type Envelope } from './envelope';
import type { Read } from './outcome';

/** A picture on its way into or out of a backup. */
export interface BackupPicture {
  readonly id: string;
  readonly design: string;
  readonly about: string;
  readonly at: number;
  readonly width: number;
  readonly height: number;
  readonly jpeg: Uint8Array;
}

export interface BackupTrack {
  readonly series: string;
  readonly quantity: ReadQuantity;
  readonly track: Track;
}

/** Everything Rincon keeps, as it goes into one ZIP. */
export interface Backup {
  /** Text of `rincon.json`, as `writeEnvelope` writes it. */
  readonly envelope: string;
  readonly settings: Readonly<Record<string, unknown>>;
  readonly tracks: AsyncIterable<BackupTrack> | Iterable<BackupTrack>;
  readonly pictures: AsyncIterable<BackupPicture> | Iterable<BackupPicture>;
  /** Tables for a spreadsheet, by file name; they are not read back. */
  readonly tables: Readonly<Record<string, string>>;
}

/** What a backup may unpack to at most, and any one file in it. A picture is shrunk before it is kept. */
export const MOST_UNPACKED = 1.5 * 1024 ** 3;
const MOST_OF: readonly (readonly [RegExp, number])[] = [
  [/^rincon\.json$/, 256 * 1024 ** 2],
  [/^readings\//, 256 * 1024 ** 2],
  [/^pictures\/.*\.jpg$/, 20 * 1024 ** 2],
  [/./, 64 * 1024 ** 2],
];
const MOST_FILES = 200_000;

const README = `Everything one Rincon keeps, in open formats.

rincon.json          enclosures, materials, shelf, log, animals, equipment, measuring points (docs/format.md of Rincon)
readings/*.csv       what each measuring point read: time (ISO 8601, UTC) and value (°C, share, index, kg)
pictures/*.jpg       pictures; pictures.json says of what
settings.json        units and the like
tables/*.csv         log, animals and equipment for a spreadsheet; they are not read back

Read it in by File, Read a file in.
`;

const DECIMALS = (quantity: ReadQuantity): number => Math.max(0, Math.ceil(-Math.log10(STEP[quantity])));

/** Readings of one point as CSV. */
export const trackCsv = ({ track, quantity }: BackupTrack): string =>
  csvOf([
    ['time', 'value'],
    ...Array.from(track.at, (at, i) => [
      new Date(at).toISOString(),
      fromSteps(track.steps[i] ?? 0, quantity).toFixed(DECIMALS(quantity)),
    ]),
  ]);

/** Writes a backup piece by piece; `put` takes each piece as it is ready. */
export async function writeBackup(backup: Backup, put: (piece: Uint8Array) => void): Promise<void> {
  let failed: Error | null = null;
  const zip = new Zip((error, piece) => {
    if (error) failed = error;
    else put(piece);
  });
  const text = new TextEncoder();
  const add = (name: string, bytes: Uint8Array, packed: boolean): void => {
    const file = packed ? new ZipDeflate(name, { level: 6 }) : new ZipPassThrough(name);
    zip.add(file);
    file.push(bytes, true);
    if (failed) throw failed;
  };
  add('README.txt', text.encode(README), true);
  add('rincon.json', text.encode(backup.envelope), true);
  add('settings.json', text.encode(JSON.stringify(backup.settings, null, 2)), true);
  for (const [name, table] of Object.entries(backup.tables)) add(`tables/${name}`, text.encode(table), true);
  for await (const it of backup.tracks)
    add(`readings/${encodeURIComponent(it.series)}.csv`, text.encode(trackCsv(it)), true);
  const said: Omit<BackupPicture, 'jpeg'>[] = [];
  for await (const { jpeg, ...rest } of backup.pictures) {
    // JPEG is packed already.
    add(`pictures/${encodeURIComponent(rest.id)}.jpg`, jpeg, false);
    said.push(rest);
  }
  add('pictures.json', text.encode(JSON.stringify(said, null, 1)), true);
  zip.end();
  if (failed) throw failed;
}

const Pictures = z.array(
  z.strictObject({
    id: z.string().min(1).max(120),
    design: z.string().max(120),
    about: z.string().max(200),
    at: z.number().int().min(0),
    width: z.number().int().min(1).max(20_000),
    height: z.number().int().min(1).max(20_000),
  }),
);

/** A backup as it was read: checked, and nothing of it written yet. */
export interface ReadBackup {
  readonly envelope: Envelope;
  readonly settings: Readonly<Record<string, unknown>>;
  readonly tracks: readonly BackupTrack[];
  readonly pictures: readonly BackupPicture[];
}

export const isZip = (begin: Uint8Array): boolean =>
  begin[0] === 0x50 && begin[1] === 0x4b && (begin[2] === 3 || begin[2] === 5);

/** Reads a backup whole and checks all of it. What it unpacks to is counted as it comes: what a ZIP says of itself is not trusted. */
export async function readBackup(
  file: Blob,
  onProgress: (share: number) => void = () => undefined,
): Promise<Read<ReadBackup>> {
  const fault = (place: string, message: string): Read<ReadBackup> => ({ ok: false, place, message });
  const files = new Map<string, Uint8Array[]>();
  const ended = new Set<string>();
  let total = 0;
  let wrong: { place: string; message: string } | null = null;
  const unzip = new Unzip((entry) => {
    if (wrong) return;
    if (entry.name.endsWith('/')) return;
    if (files.size >= MOST_FILES) {
      wrong = { place: entry.name, message: `it holds more than ${MOST_FILES} files, which no backup does` };
      return;
    }
    const most = MOST_OF.find(([pattern]) => pattern.test(entry.name))?.[1] ?? 0;
    // Tables are for spreadsheets: they are not unpacked at all.
    if (
      !/^(rincon\.json|settings\.json|pictures\.json|readings\/[^/]+\.csv|pictures\/[^/]+\.jpg)$/.test(
        entry.name,
      )
    )
      return;
    const pieces: Uint8Array[] = [];
    files.set(entry.name, pieces);
    let size = 0;
    entry.ondata = (error, piece, final) => {
      if (wrong) return;
      if (error) {
        wrong = { place: entry.name, message: 'it is damaged. Copy the backup again, or take another one' };
        return;
      }
      size += piece.length;
      total += piece.length;
      if (size > most || total > MOST_UNPACKED) {
        wrong = {
          place: entry.name,
          message:
            'it unpacks to more than any backup holds. It was not written by Rincon, or it was changed',
        };
        entry.terminate();
        return;
      }
      pieces.push(piece);
      if (final) ended.add(entry.name);
    };
    entry.start();
  });
  unzip.register(UnzipInflate);
  // Small bites: a bite of zeros may unpack to a thousand times its size before it can be stopped.
  const BITE = 64 * 1024;
  try {
    for (let at = 0; at < file.size; at += BITE) {
      const bite = new Uint8Array(await file.slice(at, at + BITE).arrayBuffer());
      unzip.push(bite, at + BITE >= file.size);
      if (wrong) break;
      if ((at / BITE) % 32 === 0) onProgress(at / file.size);
    }
  } catch {
    wrong ??= {
      place: 'the whole file',
      message: 'it is damaged. Copy the backup again, or take another one',
    };
  }
  if (wrong !== null) {
    const { place, message } = wrong as { place: string; message: string };
    return fault(place, message);
  }
  const cut = [...files.keys()].find((name) => !ended.has(name));
  if (cut !== undefined) return fault(cut, 'the backup was cut short. Copy it again, or take another one');
  const text = new TextDecoder();
  const bytesOf = (name: string): Uint8Array | null => {
    const pieces = files.get(name);
    if (!pieces) return null;
    const all = new Uint8Array(pieces.reduce((sum, it) => sum + it.length, 0));
    let at = 0;
    for (const it of pieces) {
      all.set(it, at);
      at += it.length;
    }
    files.delete(name);
    return all;
  };
  const json = bytesOf('rincon.json');
  if (!json) return fault('rincon.json', 'it is missing. This is no backup written by Rincon');
  const envelope = readEnvelope(text.decode(json), 256 * 1024 ** 2);
  if (!envelope.ok) return fault(`rincon.json, ${envelope.place}`, envelope.message);
  const points = new Map(envelope.value.points.map((it) => [it.id, it]));
  const tracks: BackupTrack[] = [];
  for (const name of [...files.keys()].filter((it) => it.startsWith('readings/'))) {
    const series = idIn(name);
    const point = series === null ? undefined : points.get(series);
    if (!point) return fault(name, 'no measuring point in rincon.json is called so');
    const read = readTrackCsv(text.decode(bytesOf(name) ?? new Uint8Array()), point.quantity);
    if (!read.ok) return fault(`${name}, ${read.place}`, read.message);
    tracks.push({ series: point.id, quantity: point.quantity, track: read.value });
  }
  const listed = Pictures.safeParse(parse(text.decode(bytesOf('pictures.json') ?? new Uint8Array([91, 93]))));
  if (!listed.success) return fault('pictures.json', 'it does not follow the format');
  const pictures: BackupPicture[] = [];
  for (const it of listed.data) {
    const name = `pictures/${encodeURIComponent(it.id)}.jpg`;
    const jpeg = bytesOf(name);
    if (!jpeg) return fault(name, 'the picture is missing. Take another copy of the backup');
    if (jpeg[0] !== 0xff || jpeg[1] !== 0xd8 || jpeg[2] !== 0xff)
      return fault(name, 'this is no JPEG picture. It was changed; take another copy of the backup');
    pictures.push({ ...it, jpeg });
  }
  const settings = z
    .record(z.string(), z.unknown())
    .catch({})
    .parse(parse(text.decode(bytesOf('settings.json') ?? new Uint8Array([123, 125]))));
  onProgress(1);
  return { ok: true, value: { envelope: envelope.value, settings, tracks, pictures } };
}

const parse = (text: string): unknown => {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return null;
  }
};

const idIn = (name: string): string | null => {
  try {
    return decodeURIComponent(name.replace(/^readings\//, '').replace(/\.csv$/, ''));
  } catch {
    return null;
  }
};

function readTrackCsv(text: string, quantity: ReadQuantity): Read<Track> {
  const lines = text.split('\r\n');
  const at = new Float64Array(Math.max(0, lines.length - 1));
  const steps = new Int32Array(at.length);
  let n = 0;
  for (let i = 1; i < lines.length; i += 1) {
    const line = lines[i] ?? '';
    if (line === '') continue;
    const comma = line.indexOf(',');
    const t = Date.parse(line.slice(0, comma));
    const value = Number(line.slice(comma + 1));
    if (comma < 0 || !Number.isFinite(t) || !Number.isFinite(value) || line.length === comma + 1)
      return { ok: false, place: `line ${i + 1}`, message: 'a time and a value are expected' };
    at[n] = t;
    steps[n] = toSteps(value, quantity);
    n += 1;
  }
  return { ok: true, value: trackOf(at.subarray(0, n), steps.subarray(0, n)) };
}
