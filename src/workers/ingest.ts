import { proxy, wrap } from 'comlink';
import type { Encoding, Match, TableHead, TableReport } from '@/files';
import type { ReadingsBatch } from '@/store';
import type { IngestApi } from './ingest.worker';

/** Said by reading that was stopped. */
export class IngestStopped extends Error {
  constructor() {
    super('stopped');
  }
}

/** Reads a table of any size into an enclosure’s readings, beside the page. Stopped, nothing of it is kept. */
export function startIngest(
  file: Blob,
  {
    head: { headings, headed, delimiter },
    encoding,
  }: { readonly head: TableHead; readonly encoding: Encoding },
  match: Match,
  design: string,
  onProgress: (share: number) => void,
): {
  readonly done: Promise<{ readonly report: TableReport; readonly batch: ReadingsBatch }>;
  readonly stop: () => void;
} {
  const worker = new Worker(new URL('./ingest.worker.ts', import.meta.url), { type: 'module' });
  const api = wrap<IngestApi>(worker);
  let refuse: (reason: Error) => void = () => undefined;
  const stopped = new Promise<never>((_, reject) => {
    refuse = reject;
    worker.addEventListener('error', (event) =>
      reject(new Error(event.message || 'the worker could not be loaded')),
    );
  });
  return {
    done: Promise.race([
      api.ingest(file, { headings, headed, delimiter, encoding }, match, design, proxy(onProgress)),
      stopped,
    ]).finally(() => worker.terminate()),
    stop: () => {
      worker.terminate();
      refuse(new IngestStopped());
    },
  };
}
