import { Inflate, Unzip, UnzipInflate } from 'fflate';
import type { Read } from './outcome';

/** Something that is missing, damaged or changed, by the part it is about. */
export interface Fault {
  readonly place: string;
  readonly message: string;
}

/** What is unpacked of an archive: anything else in it is left alone. */
export interface Wanted {
  readonly names: RegExp;
  /** Bytes a part may unpack to. */
  readonly most: (name: string) => number;
  readonly mostOfAll: number;
  readonly mostFiles: number;
}

export interface Unpacked {
  /** Parts that came through whole. */
  readonly parts: Map<string, Uint8Array>;
  readonly faults: readonly Fault[];
}

const DAMAGED = 'it is damaged. Copy the backup again, or take another one';
const CUT = 'the backup was cut short. Copy it again, or take another one';

/** Small bites: a bite of zeros may unpack to a thousand times its size before it can be stopped. */
const BITE = 64 * 1024;

/** It unpacks to more than it may. */
class TooMuch extends Error {}

/** Gathers what one part unpacks to, and counts it as it comes: what a ZIP says of itself is not trusted. */
class Pieces {
  readonly #pieces: Uint8Array[] = [];
  size = 0;
  constructor(
    readonly most: number,
    readonly count: (bytes: number) => void,
  ) {}
  add(piece: Uint8Array): void {
    this.size += piece.length;
    this.count(piece.length);
    if (this.size > this.most) throw new TooMuch();
    this.#pieces.push(piece);
  }
  joined(): Uint8Array {
    const all = new Uint8Array(this.size);
    let at = 0;
    for (const it of this.#pieces) {
      all.set(it, at);
      at += it.length;
    }
    return all;
  }
}

interface Entry {
  readonly name: string;
  readonly method: number;
  readonly crc: number;
  readonly packed: number;
  readonly size: number;
  readonly at: number;
}

const view = async (file: Blob, from: number, to: number): Promise<DataView> =>
  new DataView(await file.slice(from, to).arrayBuffer());

/** The directory at the end of a ZIP (APPNOTE 4.3.12 and 4.3.16); null where it is cut off or does not hang together. */
async function directoryOf(file: Blob): Promise<readonly Entry[] | null> {
  const from = Math.max(0, file.size - 22 - 65_535);
  const end = await view(file, from, file.size);
  let at = end.byteLength - 22;
  while (at >= 0 && end.getUint32(at, true) !== 0x06054b50) at -= 1;
  if (at < 0) return null;
  const count = end.getUint16(at + 10, true);
  const [size, start] = [end.getUint32(at + 12, true), end.getUint32(at + 16, true)];
  if (start + size > from + at) return null;
  const list = await view(file, start, start + size);
  const entries: Entry[] = [];
  let here = 0;
  for (let i = 0; i < count; i += 1) {
    if (here + 46 > list.byteLength || list.getUint32(here, true) !== 0x02014b50) return null;
    const length = list.getUint16(here + 28, true);
    const next = here + 46 + length + list.getUint16(here + 30, true) + list.getUint16(here + 32, true);
    if (next > list.byteLength) return null;
    entries.push({
      name: new TextDecoder().decode(new Uint8Array(list.buffer, here + 46, length)),
      method: list.getUint16(here + 10, true),
      crc: list.getUint32(here + 16, true),
      packed: list.getUint32(here + 20, true),
      size: list.getUint32(here + 24, true),
      at: list.getUint32(here + 42, true),
    });
    here = next;
  }
  return here === list.byteLength ? entries : null;
}

const TABLE = Uint32Array.from({ length: 256 }, (_, n) => {
  let c = n;
  for (let bit = 0; bit < 8; bit += 1) c = c & 1 ? (c >>> 1) ^ 0xedb88320 : c >>> 1;
  return c;
});

/** CRC-32 of ISO-HDLC, as ZIP has it. */
export function crc32(bytes: Uint8Array): number {
  let c = 0xffffffff;
  // By index: walking an iterator of bytes takes several times as long.
  for (let i = 0; i < bytes.length; i += 1) c = (TABLE[(c ^ (bytes[i] ?? 0)) & 255] ?? 0) ^ (c >>> 8);
  return (c ^ 0xffffffff) >>> 0;
}

/** Where a part begins, and what it is called there; null where nothing begins. */
async function headOf(
  file: Blob,
  { at }: Entry,
): Promise<{ readonly from: number; readonly name: string } | null> {
  const head = await view(file, at, at + 30);
  if (head.byteLength < 30 || head.getUint32(0, true) !== 0x04034b50) return null;
  const length = head.getUint16(26, true);
  const name = await file.slice(at + 30, at + 30 + length).text();
  return { name, from: at + 30 + length + head.getUint16(28, true) };
}

/** One part by the directory; null where it is not what the directory says. */
async function partOf(file: Blob, entry: Entry, from: number, pieces: Pieces): Promise<Uint8Array | null> {
  const to = from + entry.packed;
  const take = (piece: Uint8Array): void => pieces.add(piece);
  // A damaged length may lead for gigabytes past the end.
  if (to > file.size) return null;
  const inflate = entry.method === 8 ? new Inflate(take) : null;
  if (!inflate && entry.method !== 0) return null;
  try {
    for (let at = from; at < to; at += BITE) {
      const bite = new Uint8Array(await file.slice(at, Math.min(to, at + BITE)).arrayBuffer());
      if (inflate) inflate.push(bite, at + BITE >= to);
      else take(bite);
    }
  } catch (error) {
    if (error instanceof TooMuch) throw error;
    return null;
  }
  if (pieces.size !== entry.size) return null;
  const bytes = pieces.joined();
  return crc32(bytes) === entry.crc ? bytes : null;
}

/** What can still be had of an archive whose end is missing: parts that ended before it. */
async function salvage(file: Blob, wanted: Wanted, piecesOf: (name: string) => Pieces): Promise<Unpacked> {
  const parts = new Map<string, Uint8Array>();
  let tooMuch: string | null = null;
  const unzip = new Unzip((entry) => {
    if (!wanted.names.test(entry.name)) return;
    const pieces = piecesOf(entry.name);
    entry.ondata = (error, piece, final) => {
      if (error || tooMuch !== null) return;
      try {
        pieces.add(piece);
      } catch {
        tooMuch = entry.name;
        entry.terminate();
        return;
      }
      if (final) parts.set(entry.name, pieces.joined());
    };
    entry.start();
  });
  unzip.register(UnzipInflate);
  try {
    for (let at = 0; at < file.size && tooMuch === null; at += BITE)
      unzip.push(new Uint8Array(await file.slice(at, at + BITE).arrayBuffer()), at + BITE >= file.size);
  } catch {
    // It is known to be cut: what ended before stands.
  }
  if (tooMuch !== null) throw new TooMuch(tooMuch);
  return { parts, faults: [{ place: 'the whole file', message: CUT }] };
}

/**
 * Unpacks an archive part by part and checks each against its directory: size and CRC. A part that is damaged is told and
 * left out; of an archive that was cut short what came before the cut is given. More than is wanted of any archive is
 * refused while it unpacks.
 */
export async function unpack(
  file: Blob,
  wanted: Wanted,
  onProgress: (share: number) => void,
): Promise<Read<Unpacked>> {
  let total = 0;
  let name = 'the whole file';
  const piecesOf = (own: string): Pieces => {
    name = own;
    return new Pieces(wanted.most(own), (bytes) => {
      total += bytes;
      if (total > wanted.mostOfAll) throw new TooMuch();
    });
  };
  try {
    const directory = await directoryOf(file);
    if (!directory) return { ok: true, value: await salvage(file, wanted, piecesOf) };
    if (directory.length > wanted.mostFiles)
      return {
        ok: false,
        place: 'the whole file',
        message: `it holds more than ${wanted.mostFiles} files, which no backup does`,
      };
    const parts = new Map<string, Uint8Array>();
    const faults: Fault[] = [];
    for (const [index, entry] of directory.entries()) {
      const head = await headOf(file, entry);
      // A name stands twice: where one was damaged a part would be missing without a word.
      if (![entry.name, head?.name ?? ''].some((it) => wanted.names.test(it))) continue;
      const bytes =
        head?.name === entry.name ? await partOf(file, entry, head.from, piecesOf(entry.name)) : null;
      if (bytes) parts.set(entry.name, bytes);
      else faults.push({ place: entry.name, message: DAMAGED });
      if (index % 16 === 0) onProgress(index / directory.length);
    }
    return { ok: true, value: { parts, faults } };
  } catch (error) {
    if (!(error instanceof TooMuch)) throw error;
    return {
      ok: false,
      place: name,
      message: 'it unpacks to more than any backup holds. It was not written by Rincon, or it was changed',
    };
  }
}
