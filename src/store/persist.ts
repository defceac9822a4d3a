import Dexie from 'dexie';
import { RefusedWrite } from './written';

/**
 * Asks the browser not to clear this site's storage when space runs short.
 * false: it may; undefined: it does not say.
 */
export async function askToPersist(): Promise<boolean | undefined> {
  if (typeof navigator === 'undefined' || !navigator.storage?.persist) return undefined;
  try {
    return (await navigator.storage.persisted()) || (await navigator.storage.persist());
  } catch {
    return undefined;
  }
}

/** Whether something that failed did so in the browser's storage. */
export const isStorageError = (error: unknown): boolean =>
  error instanceof RefusedWrite ||
  error instanceof Dexie.DexieError ||
  (error instanceof DOMException &&
    /Quota|InvalidState|TransactionInactive|Abort|Unknown|Version/.test(error.name));

/** What a failed write means, and what to do, in plain words. */
export function storageTrouble(error: unknown): string {
  if (error instanceof RefusedWrite) return error.message;
  const name = error instanceof Error ? `${error.name} ${error.message}` : String(error);
  if (/quota|full|no space/i.test(name)) {
    return 'the browser’s storage is full. Export what is here, then free some space and try again';
  }
  if (/InvalidState|closed|blocked|SecurityError/i.test(name)) {
    return 'the browser no longer lets this page store anything. Export what is here, then load the page again';
  }
  return `${error instanceof Error ? error.message : 'it could not be written'}. Export what is here to be safe`;
}
