import './insecure';
import Dexie, { type EntityTable, type Table } from 'dexie';
import type { Design } from '@/core/document';
import { withFiveMarks } from '@/core/catalogue';
import type { Entry } from '@/core/log';
import type { AnimalRecord, CultureRecord, EquipmentRecord } from '@/core/records';
import type { Series } from '@/core/readings';
import { bookFromAmounts, type ShelfMove } from '@/core/shelf';
import { markChange } from './derived';

export interface DesignRow {
  readonly id: string;
  readonly design: Design;
  /** Step the design stands at; undo goes down, redo up. */
  readonly cursor: number;
  /** Counts every write, so that a tab that fell behind cannot overwrite another's work. */
  readonly revision: number;
  /** ms since 1970 */
  readonly updated: number;
  /** 0 while it lives; the time it was deleted, otherwise. */
  readonly deleted: number;
  /** Marks of the states it has been in, the latest first: what two devices have in common is found by them. */
  readonly trail?: readonly string[];
}

export interface StepRow {
  readonly designId: string;
  readonly seq: number;
  /** What was done to get here. */
  readonly label: string;
  readonly design: Design;
  /** Edits of one drag share a gesture and count as one step. */
  readonly gesture: string | null;
  /** The window it was made in; undefined: before windows were told apart. */
  readonly by?: string;
  /** An undo or redo over what another window did since; undefined: an edit. */
  readonly kind?: 'undo' | 'redo';
}

export interface SettingRow {
  readonly key: string;
  readonly value: unknown;
}

/** A picture that was taken in, shrunk. */
export interface PictureRow {
  readonly id: string;
  /** The enclosure it belongs to. */
  readonly design: string;
  /** What it is of: `step:soil`, an entry of the log. */
  readonly about: string;
  /** ms since 1970 */
  readonly at: number;
  readonly width: number;
  readonly height: number;
  /** JPEG */
  readonly blob: Blob;
  /** When it was taken away, ms since 1970; undefined: it was not. It lies in the trash for a month. */
  readonly gone?: number;
}

/** A week of readings of one point: all of them, or what they come to by the hour or by the day. */
export interface BlockRow {
  readonly series: string;
  readonly level: 'raw' | 'hour' | 'day';
  readonly week: number;
  readonly count: number;
  /** As `packTrack` or `packSummary` writes them. */
  readonly bytes: Uint8Array;
}

/** Settings that are in no copy. */
const NOT_COPIED = new Set(['exported', 'demoLaid', 'joined']);

export class RinconDatabase extends Dexie {
  declare designs: EntityTable<DesignRow, 'id'>;
  declare steps: Table<StepRow, [string, number]>;
  declare settings: EntityTable<SettingRow, 'key'>;
  declare shelf: EntityTable<ShelfMove, 'id'>;
  declare pictures: EntityTable<PictureRow, 'id'>;
  declare log: EntityTable<Entry, 'id'>;
  declare series: EntityTable<Series, 'id'>;
  declare animals: EntityTable<AnimalRecord, 'id'>;
  declare equipment: EntityTable<EquipmentRecord, 'id'>;
  declare cultures: EntityTable<CultureRecord, 'id'>;
  declare blocks: Table<BlockRow, [string, string, number]>;

  constructor(name = 'rincon') {
    // A write counts as saved only once the disk has it: a power cut must lose nothing that was called saved.
    super(name, { chromeTransactionDurability: 'strict' });
    this.use({
      stack: 'dbcore',
      name: 'last change',
      create: (down) => ({
        ...down,
        table: (own) => {
          const table = down.table(own);
          if (own === 'steps') return table;
          return {
            ...table,
            mutate: async (request) => {
              const answer = await table.mutate(request);
              const isNothing = request.type === 'delete' && request.keys.length === 0;
              const isOfCopies =
                own === 'settings' &&
                'values' in request &&
                request.values.every((it: SettingRow) => NOT_COPIED.has(it.key));
              if (!isOfCopies && !isNothing) markChange();
              return answer;
            },
          };
        },
      }),
    });
    this.version(1).stores({
      designs: 'id, updated, deleted',
      steps: '[designId+seq], designId',
      settings: 'key',
    });
    // The shelf was a table of amounts among the settings; it is a book now, opened with a count of each.
    this.version(2)
      .stores({ shelf: 'id, at, batch, material' })
      .upgrade(async (all) => {
        const before: unknown = (await all.table('settings').get('shelf'))?.value;
        await all.table('shelf').bulkAdd(bookFromAmounts(before, Date.now()));
        await all.table('settings').delete('shelf');
      });
    this.version(3).stores({
      pictures: 'id, [design+about], design, at',
      log: 'id, [design+at], design, at',
    });
    this.version(4).stores({
      series: 'id, design',
      blocks: '[series+level+week], series',
      animals: 'id',
      equipment: 'id, design',
    });
    // Pictures in the trash are found by when they went: those that are there have no such moment.
    this.version(5).stores({ pictures: 'id, [design+about], design, at, gone' });
    // Values of one's own rows had three marks for where they come from; there are five now.
    this.version(6).upgrade((all) =>
      all
        .table<SettingRow>('settings')
        .where('key')
        .anyOf('materials', 'recipes', 'animals', 'plants', 'crew')
        .modify((row, kept) => {
          kept.value = { ...row, value: withFiveMarks(row.value) };
        }),
    );
    this.version(7).stores({ cultures: 'id' });
  }
}
