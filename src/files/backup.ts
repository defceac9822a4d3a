import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { z } from 'zod';
import type { Design } from '@/core/document';
import { LAST_MOMENT } from '@/core/physics/constants';
import { fromSteps, POSSIBLE, STEP, toSteps, trackOf, type ReadQuantity, type Track } from '@/core/readings';
import { unpack, type Fault } from './archive';
import { readEnvelope, writeEnvelope, type Envelope, type Stores } from './envelope';
import { against, MANIFEST, readManifest, sumOf, writeManifest, type Manifest } from './manifest';
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
  readonly designs: readonly Design[];
  readonly stores: Stores;
  readonly written: Date;
  readonly settings: Readonly<Record<string, unknown>>;
  readonly tracks: AsyncIterable<BackupTrack> | Iterable<BackupTrack>;
  readonly pictures: AsyncIterable<BackupPicture> | Iterable<BackupPicture>;
  /** Tables for a spreadsheet, by file name; they are not read back. */
  readonly tables: Readonly<Record<string, string>>;
  /** Rows that cannot be read, as they are kept: they are not read back. */
  readonly unreadable: readonly unknown[];
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
unreadable.json      rows that could not be read, as they were kept, where there are any; not read back
manifest.json        what is in it, with the SHA-256 of every file; read first, to tell whether all of it is there
tables/*.csv         log, animals and equipment for a spreadsheet; they are not read back

Read it in by File, Read a file in.
`;

const DECIMALS = (quantity: ReadQuantity): number => Math.max(0, Math.ceil(-Math.log10(STEP[quantity])));

/** Readings of one point as CSV: line by line, since no cell of it is ever quoted, and there may be millions. */
export function trackCsv({ track, quantity }: BackupTrack): string {
  const decimals = DECIMALS(quantity);
  const lines = ['time,value'];
  track.at.forEach((at, i) => {
    lines.push(`${new Date(at).toISOString()},${fromSteps(track.steps[i] ?? 0, quantity).toFixed(decimals)}`);
  });
  lines.push('');
  return lines.join('\r\n');
}

/** Writes a backup piece by piece; `put` takes each piece as it is ready. */
export async function writeBackup(backup: Backup, put: (piece: Uint8Array) => void): Promise<void> {
  let failed: Error | null = null;
  const zip = new Zip((error, piece) => {
    if (error) failed = error;
    else put(piece);
  });
  const text = new TextEncoder();
  const files: Manifest['files'] = [];
  const add = (name: string, bytes: Uint8Array, packed: boolean): void => {
    files.push({ name, bytes: bytes.length, sha256: sumOf(bytes) });
    const file = packed ? new ZipDeflate(name, { level: 6 }) : new ZipPassThrough(name);
    zip.add(file);
    file.push(bytes, true);
    if (failed) throw failed;
  };
  add('README.txt', text.encode(README), true);
  const { designs, stores, written } = backup;
  add('rincon.json', text.encode(writeEnvelope(designs, stores, written)), true);
  add('settings.json', text.encode(JSON.stringify(backup.settings, null, 2)), true);
  for (const [name, table] of Object.entries(backup.tables)) add(`tables/${name}`, text.encode(table), true);
  if (backup.unreadable.length > 0)
    add('unreadable.json', text.encode(JSON.stringify(backup.unreadable, null, 1)), true);
  let readings = 0;
  for await (const it of backup.tracks) {
    readings += it.track.at.length;
    add(`readings/${encodeURIComponent(it.series)}.csv`, text.encode(trackCsv(it)), true);
  }
  const said: Omit<BackupPicture, 'jpeg'>[] = [];
  for await (const { jpeg, ...rest } of backup.pictures) {
    // JPEG is packed already.
    add(`pictures/${encodeURIComponent(rest.id)}.jpg`, jpeg, false);
    said.push(rest);
  }
  add('pictures.json', text.encode(JSON.stringify(said, null, 1)), true);
  // The last: what was cut short has none.
  const counts = {
    enclosures: designs.length,
    log: stores.log.length,
    animals: stores.animals.length,
    equipment: stores.equipment.length,
    points: stores.points.length,
    readings,
    pictures: said.length,
  };
  add(MANIFEST, text.encode(writeManifest(counts, [...files], written)), true);
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
  /** What is missing, damaged or changed; all else is whole. */
  readonly faults: readonly Fault[];
  /** Whether it says itself what is in it; an older one is checked by its checksums alone. */
  readonly proven: boolean;
  readonly envelope: Envelope;
  readonly settings: Readonly<Record<string, unknown>>;
  readonly tracks: readonly BackupTrack[];
  readonly pictures: readonly BackupPicture[];
}

export const isZip = (begin: Uint8Array): boolean =>
  begin[0] === 0x50 && begin[1] === 0x4b && (begin[2] === 3 || begin[2] === 5);

const READ =
  /^(manifest\.json|rincon\.json|settings\.json|pictures\.json|readings\/[^/]+\.csv|pictures\/[^/]+\.jpg)$/;

/**
 * Reads a backup and checks all of it, against its directory and its manifest. What is not whole is told in `faults` and
 * left out, but for what was changed by hand and can be read; it is refused where nothing could be had of it.
 */
export async function readBackup(
  file: Blob,
  onProgress: (share: number) => void = () => undefined,
): Promise<Read<ReadBackup>> {
  const fault = (place: string, message: string): Read<ReadBackup> => ({ ok: false, place, message });
  // Tables are for spreadsheets: they are not unpacked at all.
  const unpacked = await unpack(
    file,
    {
      names: READ,
      most: (name) => MOST_OF.find(([pattern]) => pattern.test(name))?.[1] ?? 0,
      mostOfAll: MOST_UNPACKED,
      mostFiles: MOST_FILES,
    },
    onProgress,
  );
  if (!unpacked.ok) return unpacked;
  const { parts } = unpacked.value;
  // One a place: the last says most.
  const faults = new Map(unpacked.value.faults.map((it) => [it.place, it.message]));
  const tell = (it: Fault): void => void faults.set(it.place, it.message);
  const text = new TextDecoder();
  const taken = (name: string): Uint8Array | null => {
    const bytes = parts.get(name) ?? null;
    parts.delete(name);
    return bytes;
  };
  const own = parts.get(MANIFEST);
  const manifest = own ? readManifest(own) : null;
  if (own && !manifest)
    tell({ place: MANIFEST, message: 'it was changed: nothing proves that all else is whole' });
  if (manifest) against(manifest, parts, new Set(faults.keys()), (name) => READ.test(name)).forEach(tell);
  parts.delete(MANIFEST);
  const json = taken('rincon.json');
  if (!json) {
    const why = faults.get('rincon.json') ?? faults.get('the whole file');
    return fault('rincon.json', why ?? 'it is missing. This is no backup written by Rincon');
  }
  const envelope = readEnvelope(text.decode(json), 256 * 1024 ** 2);
  if (!envelope.ok) return fault(`rincon.json, ${envelope.place}`, envelope.message);
  const points = new Map(envelope.value.points.map((it) => [it.id, it]));
  const tracks: BackupTrack[] = [];
  for (const name of [...parts.keys()].filter((it) => it.startsWith('readings/'))) {
    const series = idIn(name);
    const point = series === null ? undefined : points.get(series);
    if (!point) {
      tell({ place: name, message: 'no measuring point in rincon.json is called so' });
      continue;
    }
    const read = readTrackCsv(text.decode(taken(name) ?? new Uint8Array()), point.quantity);
    if (read.ok) tracks.push({ series: point.id, quantity: point.quantity, track: read.value });
    else tell({ place: `${name}, ${read.place}`, message: read.message });
  }
  const listed = Pictures.safeParse(parse(text.decode(taken('pictures.json') ?? new Uint8Array([91, 93]))));
  if (!listed.success) tell({ place: 'pictures.json', message: 'it does not follow the format' });
  const pictures: BackupPicture[] = [];
  for (const it of listed.data ?? []) {
    const name = `pictures/${encodeURIComponent(it.id)}.jpg`;
    const jpeg = taken(name);
    if (jpeg?.[0] === 0xff && jpeg[1] === 0xd8 && jpeg[2] === 0xff) pictures.push({ ...it, jpeg });
    else if (jpeg)
      tell({
        place: name,
        message: 'this is no JPEG picture. It was changed; take another copy of the backup',
      });
    else if (!faults.has(name))
      tell({ place: name, message: 'the picture is missing. Take another copy of the backup' });
  }
  const settings = z
    .record(z.string(), z.unknown())
    .catch({})
    .parse(parse(text.decode(taken('settings.json') ?? new Uint8Array([123, 125]))));
  onProgress(1);
  return {
    ok: true,
    value: {
      envelope: envelope.value,
      settings,
      tracks,
      pictures,
      faults: Array.from(faults, ([place, message]) => ({ place, message })),
      proven: manifest !== null,
    },
  };
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
  const lines = text.split(/\r?\n/);
  const at = new Float64Array(Math.max(0, lines.length - 1));
  const steps = new Int32Array(at.length);
  const [least, most] = POSSIBLE[quantity];
  const fault = (line: number, message: string): Read<Track> => ({
    ok: false,
    place: `line ${line}`,
    message,
  });
  if (lines[0] !== 'time,value') return fault(1, '“time,value” is expected');
  let n = 0;
  for (let i = 1; i < lines.length; i += 1) {
    const line = lines[i] ?? '';
    if (line === '') continue;
    const comma = line.indexOf(',');
    const t = Date.parse(line.slice(0, comma));
    const value = Number(line.slice(comma + 1));
    if (comma < 0 || !Number.isFinite(t) || !Number.isFinite(value) || line.length === comma + 1)
      return fault(i + 1, 'a time and a value are expected');
    if (t < 0 || t > LAST_MOMENT) return fault(i + 1, 'a time from 1970 to 2199 is expected');
    if (value < least || value > most) return fault(i + 1, `a value from ${least} to ${most} is expected`);
    at[n] = t;
    steps[n] = toSteps(value, quantity);
    n += 1;
  }
  return { ok: true, value: trackOf(at.subarray(0, n), steps.subarray(0, n)) };
}
