import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import { z } from 'zod';
import type { Fault } from './archive';

/** What a backup holds, so that it can be told whether all of it is there. */
interface Counts {
  readonly enclosures: number;
  readonly log: number;
  readonly animals: number;
  readonly equipment: number;
  readonly points: number;
  readonly readings: number;
  readonly pictures: number;
}

const count = z.number().int().min(0);
const Body = z.strictObject({
  format: z.literal('rincon-backup'),
  version: z.literal(1),
  written: z.iso.datetime(),
  counts: z.strictObject({
    enclosures: count,
    log: count,
    animals: count,
    equipment: count,
    points: count,
    readings: count,
    pictures: count,
  }),
  files: z.array(z.strictObject({ name: z.string().max(400), bytes: count, sha256: z.string().length(64) })),
});
const Manifest = Body.extend({
  /** SHA-256 of all that stands before it. */
  seal: z.string().length(64),
});
export type Manifest = z.infer<typeof Manifest>;

export const MANIFEST = 'manifest.json';

export const sumOf = (bytes: Uint8Array): string => bytesToHex(sha256(bytes));

const sealOf = (body: z.infer<typeof Body>): string => sumOf(utf8ToBytes(JSON.stringify(body)));

export function writeManifest(counts: Counts, files: Manifest['files'], written: Date): string {
  const body = {
    format: 'rincon-backup',
    version: 1,
    written: written.toISOString(),
    counts: { ...counts },
    files,
  } as const;
  return `${JSON.stringify({ ...body, seal: sealOf(body) }, null, 1)}\n`;
}

/** A manifest as it was written; null where it was changed. */
export function readManifest(bytes: Uint8Array): Manifest | null {
  try {
    const read = Manifest.safeParse(JSON.parse(new TextDecoder().decode(bytes)));
    if (!read.success) return null;
    const { seal, ...body } = read.data;
    return seal === sealOf(body) ? read.data : null;
  } catch {
    return null;
  }
}

/** What is not as the manifest has it, of the parts it names and `read` asks for. */
export function against(
  manifest: Manifest,
  parts: ReadonlyMap<string, Uint8Array>,
  damaged: ReadonlySet<string>,
  read: (name: string) => boolean,
): readonly Fault[] {
  const known = new Map(manifest.files.map((it) => [it.name, it]));
  const faults: Fault[] = [];
  for (const { name, sha256: sum } of manifest.files) {
    if (!read(name) || damaged.has(name)) continue;
    const bytes = parts.get(name);
    if (!bytes) faults.push({ place: name, message: 'it is missing. Take another copy of the backup' });
    else if (sumOf(bytes) !== sum)
      faults.push({ place: name, message: 'it was changed after the backup was written' });
  }
  for (const name of parts.keys())
    if (name !== MANIFEST && !known.has(name))
      faults.push({ place: name, message: 'it was added after the backup was written' });
  return faults;
}
