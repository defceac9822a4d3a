import { localDay } from '@/core/time';
import { useSyncExternalStore } from 'react';

/** ms between two looks at the clock: a machine that slept, or was carried to another zone, is noticed within. */
const LOOKS = 30_000;
/** What may have been missed meanwhile is looked for when the page is seen again. */
const SEEN = ['focus', 'pageshow', 'visibilitychange'] as const;

function subscribe(changed: () => void): () => void {
  const looks = setInterval(changed, LOOKS);
  for (const it of SEEN) window.addEventListener(it, changed, true);
  return () => {
    clearInterval(looks);
    for (const it of SEEN) window.removeEventListener(it, changed, true);
  };
}

const today = (): string => localDay(Date.now());

/** Today as the calendar has it here, ISO 8601; it turns with the day, however long the page stays open. */
export const useToday = (): string => useSyncExternalStore(subscribe, today, today);
