import { expose } from 'comlink';
import type { ZodType } from 'zod';
import { Entry } from '@/core/log';
import { Series } from '@/core/readings';
import { AnimalRecord, CultureRecord, EquipmentRecord } from '@/core/records';
import { ShelfMove } from '@/core/shelf';
import {
  animalsCsv,
  equipmentCsv,
  logCsv,
  isRaw,
  readBackup,
  readRaw,
  rowsUsedBy,
  writeBackup,
  type BackupPicture,
  type BackupTrack,
  type Fault,
} from '@/files';
import { belongingsOf } from '@/store/records';
import { RinconDatabase } from '@/store/database';
import { listDesigns } from '@/store/designs';
import { clashesWith, takeInFile, type Differing, type TakenIn, type Which } from '@/store/takeIn';
import { isThere } from '@/store/pictures';
import { addReadings, readTrack } from '@/store/readings';
import { KEPT_SETTINGS, loadSettings, ownRows, restoreSettings, unreadableIn } from '@/store/settings';
import { listMoves } from '@/store/shelf';

/** What was read in; which of two designs is to stand, asked before anything is written; or why nothing was. */
export type Restored =
  | {
      readonly state: 'done';
      readonly taken: TakenIn;
      readonly readings: number;
      readonly pictures: number;
      /** Whether the backup says itself what is in it. */
      readonly proven: boolean;
    }
  | {
      readonly state: 'ask';
      readonly clashes: readonly Differing[];
    }
  /** Not all of it is whole: whether the rest is wanted is asked before anything is written. */
  | { readonly state: 'partly'; readonly faults: readonly Fault[]; readonly holds: Holds }
  | { readonly state: 'refused'; readonly place: string; readonly message: string };

/** What could be read in. */
export interface Holds {
  readonly enclosures: number;
  readonly log: number;
  readonly readings: number;
  readonly pictures: number;
}

/** A backup that was written, and what of it did not come back as it was read again. */
export interface Written {
  readonly zip: Blob;
  /** Rows that cannot be read, held in it as they are. */
  readonly unreadable: number;
  readonly faults: readonly Fault[];
}

const api = {
  /** Everything that is kept, or all that belongs to one enclosure, as one ZIP, read back once it is written. */
  async write(only: string | null, onProgress: (share: number) => void): Promise<Written> {
    const db = new RinconDatabase();
    try {
      const now = new Date();
      const unreadable: unknown[] = [];
      const designs = (await listDesigns(db)).flatMap((it) => {
        if (it.state === 'broken') {
          if (only === null) unreadable.push({ table: 'designs', row: it.raw });
          return [];
        }
        return it.state === 'ready' && (only === null || it.row.id === only) ? [it.row.design] : [];
      });
      const settings = await loadSettings(db);
      if (only === null) {
        const stored = Object.fromEntries((await db.settings.toArray()).map((it) => [it.key, it.value]));
        for (const { table, key, row } of unreadableIn(stored))
          unreadable.push(table === 'prices' ? { table, key, row } : { table: `own ${table}`, row });
      }
      const all = await belongingsOf(db, only);
      /** Rows that will be read again; the others are held as they are. */
      const sound = <T>(table: string, rows: readonly T[], schema: ZodType): readonly T[] =>
        rows.filter((row) => {
          const reads = schema.safeParse(row).success;
          if (!reads) unreadable.push({ table, row });
          return reads;
        });
      const belongings = {
        log: sound('log', all.log, Entry),
        animals: sound('animals', all.animals, AnimalRecord),
        cultures: sound('cultures', all.cultures, CultureRecord),
        equipment: sound('equipment', all.equipment, EquipmentRecord),
        points: sound('series', all.points, Series),
        trails: all.trails,
      };
      const shelf = only === null ? sound('shelf', await listMoves(db), ShelfMove) : [];
      const pictures = await (
        only === null ? db.pictures.toCollection() : db.pictures.where({ design: only })
      ).primaryKeys();
      let done = 0;
      const count = Math.max(1, belongings.points.length + pictures.length);
      const step = (): void => onProgress((0.7 * (done += 1)) / count);
      const pieces: BlobPart[] = [];
      await writeBackup(
        {
          designs,
          stores: {
            prices: only === null ? settings.prices : {},
            shelf,
            own: only === null ? ownRows(settings) : rowsUsedBy(designs, ownRows(settings)),
            ...belongings,
          },
          written: now,
          settings: only === null ? Object.fromEntries(KEPT_SETTINGS.map((key) => [key, settings[key]])) : {},
          tables: {
            'log.csv': logCsv(belongings.log, designs, belongings.animals),
            'animals.csv': animalsCsv(belongings.animals, designs),
            'equipment.csv': equipmentCsv(belongings.equipment, designs),
          },
          unreadable,
          tracks: (async function* (): AsyncGenerator<BackupTrack> {
            for (const { id, quantity } of belongings.points) {
              yield { series: id, quantity, track: await readTrack(db, id, -Infinity, Infinity) };
              step();
            }
          })(),
          pictures: (async function* (): AsyncGenerator<BackupPicture> {
            for (const id of pictures) {
              const row = await db.pictures.get(id);
              if (!row || !isThere(row)) continue;
              const { id: own, design, about, at, width, height, blob } = row;
              const jpeg = new Uint8Array(await blob.arrayBuffer());
              yield { id: own, design, about, at, width, height, jpeg };
              step();
            }
          })(),
        },
        // A copy: the packer uses its memory again.
        (piece) => pieces.push(piece.slice()),
      );
      const zip = new Blob(pieces, { type: 'application/zip' });
      const read = await readBackup(zip, (share) => onProgress(0.7 + 0.3 * share));
      return {
        zip,
        unreadable: unreadable.length,
        faults: read.ok ? read.value.faults : [{ place: read.place, message: read.message }],
      };
    } finally {
      db.close();
    }
  },

  /** Reads a backup in beside what is here: all of it or nothing. What is here already stands. */
  async restore(
    file: Blob,
    which: Readonly<Record<string, Which>> | null,
    partly: boolean,
    onProgress: (share: number) => void,
  ): Promise<Restored> {
    const read = (await isRaw(file))
      ? await readRaw(file)
      : await readBackup(file, (share) => onProgress(0.5 * share));
    if (!read.ok) return { state: 'refused', place: read.place, message: read.message };
    const { envelope, tracks, pictures, settings, faults, proven } = read.value;
    if (faults.length > 0 && !partly) {
      const { designs, log } = envelope;
      const readings = tracks.reduce((sum, it) => sum + it.track.at.length, 0);
      return {
        state: 'partly',
        faults,
        holds: { enclosures: designs.length, log: log.length, readings, pictures: pictures.length },
      };
    }
    const db = new RinconDatabase();
    try {
      const clashes = await clashesWith(db, envelope.designs, envelope.trails);
      if (which === null && clashes.length > 0) return { state: 'ask', clashes };
      const points = new Map(envelope.points.map((it) => [it.id, it]));
      return await db.transaction('rw', db.tables, async (): Promise<Restored> => {
        const taken = await takeInFile(db, envelope, () => crypto.randomUUID(), Date.now(), which ?? {});
        await restoreSettings(db, settings);
        const batch = await addReadings(
          db,
          tracks.flatMap(({ series, track }) => {
            const point = points.get(series);
            return point ? [{ series: point, track }] : [];
          }),
        );
        const here = await db.pictures.bulkGet(pictures.map((it) => it.id));
        const fresh = pictures.filter((_, i) => here[i] === undefined);
        await db.pictures.bulkAdd(
          fresh.map(({ jpeg, ...it }) => ({
            ...it,
            blob: new Blob([jpeg as Uint8Array<ArrayBuffer>], { type: 'image/jpeg' }),
          })),
        );
        onProgress(1);
        return { state: 'done', taken, readings: batch.fresh, pictures: fresh.length, proven };
      });
    } finally {
      db.close();
    }
  },
};

export type BackupApi = typeof api;
expose(api);
