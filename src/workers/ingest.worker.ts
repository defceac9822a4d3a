import { expose } from 'comlink';
import Papa from 'papaparse';
import {
  linesAbove,
  TableReader,
  type Encoding,
  type Match,
  type TableHead,
  type TableReport,
} from '@/files';
import { RinconDatabase } from '@/store/database';
import { addFromSource, type ReadingsBatch } from '@/store/readings';

/** Size of a bite of the file, bytes. */
const BITE = 2 * 1024 * 1024;

type Head = Pick<TableHead, 'headings' | 'headed' | 'delimiter'> & { readonly encoding: Encoding };

/** Reads a whole file by bites, so that one of any size never stands in memory at once. */
const readAll = (
  file: Blob,
  head: Head,
  match: Match,
  onProgress: (share: number) => void,
): Promise<ReturnType<TableReader['done']>> =>
  new Promise((done, refuse) => {
    let reader: TableReader | undefined;
    Papa.parse<string[]>(file as File, {
      delimiter: head.delimiter,
      encoding: head.encoding,
      skipEmptyLines: 'greedy',
      chunkSize: BITE,
      chunk: ({ data, meta }) => {
        let from = 0;
        if (!reader) {
          from = linesAbove(data, head);
          reader = new TableReader(match, from + 1);
        }
        for (let i = from; i < data.length; i += 1) reader.row(data[i] ?? []);
        onProgress(Math.min(1, meta.cursor / Math.max(1, file.size)));
      },
      complete: () => done((reader ?? new TableReader(match, 1)).done()),
      error: (error) => refuse(error),
    });
  });

const api = {
  /** Reads a file and keeps what is in it, all or nothing: packed and written here, so that the page goes on. */
  async ingest(
    file: Blob,
    head: Head,
    match: Match,
    design: string,
    onProgress: (share: number) => void,
  ): Promise<{ readonly report: TableReport; readonly batch: ReadingsBatch }> {
    const { tracks, report } = await readAll(file, head, match, (share) => onProgress(0.9 * share));
    const db = new RinconDatabase();
    try {
      const sources = tracks.map((it) => ({ ...it, source: it.name }));
      const batch = await addFromSource(db, design, sources, Date.now());
      onProgress(1);
      return { report, batch };
    } finally {
      db.close();
    }
  },
};

export type IngestApi = typeof api;
expose(api);
