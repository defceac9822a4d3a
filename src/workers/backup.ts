import { proxy, wrap, type Remote } from 'comlink';
import type { Which } from '@/store';
import type { BackupApi, Restored, Written } from './backup.worker';

export type { Holds } from './backup.worker';

async function inWorker<T>(work: (api: Remote<BackupApi>) => Promise<T>): Promise<T> {
  const worker = new Worker(new URL('./backup.worker.ts', import.meta.url), { type: 'module' });
  const broken = new Promise<never>((_, refuse) => {
    worker.addEventListener('error', (event) =>
      refuse(new Error(event.message || 'the worker could not be loaded')),
    );
  });
  try {
    return await Promise.race([work(wrap<BackupApi>(worker)), broken]);
  } finally {
    worker.terminate();
  }
}

/** Everything that is kept, or all of one enclosure, as one ZIP made beside the page and read back. */
export const makeBackup = (only: string | null, onProgress: (share: number) => void): Promise<Written> =>
  inWorker((api) => api.write(only, proxy(onProgress)));

/**
 * Reads a backup in beside the page: all of it or nothing.
 * @param which of two designs of one enclosure is to stand; null: it is asked, before anything is written
 * @param partly of a backup that is not whole, what is whole is read in; else it is told, and nothing is written
 */
export const restoreBackup = (
  file: Blob,
  which: Readonly<Record<string, Which>> | null,
  partly: boolean,
  onProgress: (share: number) => void,
): Promise<Restored> =>
  inWorker(async (api): Promise<Restored> => api.restore(file, which, partly, proxy(onProgress)));
