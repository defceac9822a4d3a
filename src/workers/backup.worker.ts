import { expose } from 'comlink';
import type { Design } from '@/core/document';
import {
  animalsCsv,
  equipmentCsv,
  logCsv,
  readBackup,
  rowsUsedBy,
  writeBackup,
  writeEnvelope,
  type BackupPicture,
  type BackupTrack,
} from '@/files';
import { belongingsOf } from '@/store/records';
import { RinconDatabase } from '@/store/database';
import { clashesWith, listDesigns, takeInFile, type TakenIn, type Which } from '@/store/designs';
import { addReadings, readTrack } from '@/store/readings';
import { KEPT_SETTINGS, loadSettings, ownRows, restoreSettings } from '@/store/settings';
import { listMoves } from '@/store/shelf';

/** What was read in; which of two designs is to stand, asked before anything is written; or why nothing was. */
export type Restored =
  | {
      readonly state: 'done';
      readonly taken: TakenIn;
      readonly readings: number;
      readonly pictures: number;
    }
  | {
      readonly state: 'ask';
      readonly clashes: readonly { readonly here: Design; readonly file: Design }[];
    }
  | { readonly state: 'refused'; readonly place: string; readonly message: string };

const api = {
  /** Everything that is kept, or all that belongs to one enclosure, as one ZIP. */
  async write(only: string | null, onProgress: (share: number) => void): Promise<Blob> {
    const db = new RinconDatabase();
    try {
      const now = new Date();
      const designs = (await listDesigns(db)).flatMap((it) =>
        it.state === 'ready' && (only === null || it.row.id === only) ? [it.row.design] : [],
      );
      const settings = await loadSettings(db);
      const belongings = await belongingsOf(db, only);
      const shelf = only === null ? await listMoves(db) : [];
      const pictures = await (
        only === null ? db.pictures.toCollection() : db.pictures.where({ design: only })
      ).primaryKeys();
      let done = 0;
      const count = Math.max(1, belongings.points.length + pictures.length);
      const step = (): void => onProgress((done += 1) / count);
      const pieces: BlobPart[] = [];
      await writeBackup(
        {
          envelope: writeEnvelope(
            designs,
            {
              prices: only === null ? settings.prices : {},
              shelf,
              own: only === null ? ownRows(settings) : rowsUsedBy(designs, ownRows(settings)),
              ...belongings,
            },
            now,
          ),
          settings: only === null ? Object.fromEntries(KEPT_SETTINGS.map((key) => [key, settings[key]])) : {},
          tables: {
            'log.csv': logCsv(belongings.log, designs, belongings.animals),
            'animals.csv': animalsCsv(belongings.animals, designs),
            'equipment.csv': equipmentCsv(belongings.equipment, designs),
          },
          tracks: (async function* (): AsyncGenerator<BackupTrack> {
            for (const { id, quantity } of belongings.points) {
              yield { series: id, quantity, track: await readTrack(db, id, -Infinity, Infinity) };
              step();
            }
          })(),
          pictures: (async function* (): AsyncGenerator<BackupPicture> {
            for (const id of pictures) {
              const row = await db.pictures.get(id);
              if (!row) continue;
              const { blob, ...rest } = row;
              yield { ...rest, jpeg: new Uint8Array(await blob.arrayBuffer()) };
              step();
            }
          })(),
        },
        // A copy: the packer uses its memory again.
        (piece) => pieces.push(piece.slice()),
      );
      return new Blob(pieces, { type: 'application/zip' });
    } finally {
      db.close();
    }
  },

  /** Reads a backup in beside what is here: all of it or nothing. What is here already stands. */
  async restore(
    file: Blob,
    which: Readonly<Record<string, Which>> | null,
    onProgress: (share: number) => void,
  ): Promise<Restored> {
    const read = await readBackup(file, (share) => onProgress(0.5 * share));
    if (!read.ok) return { state: 'refused', place: read.place, message: read.message };
    const { envelope, tracks, pictures, settings } = read.value;
    const db = new RinconDatabase();
    try {
      const clashes = await clashesWith(db, envelope.designs);
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
        return { state: 'done', taken, readings: batch.fresh, pictures: fresh.length };
      });
    } finally {
      db.close();
    }
  },
};

export type BackupApi = typeof api;
expose(api);
