import type { RackRow } from './arranged';

/** What is to be done today, shortly; empty: nothing, or not worked out yet. */
export const dueWords = (due: RackRow['due']): string =>
  !due || due.now === 0
    ? ''
    : due.late === 0
      ? `${due.now} due`
      : due.late === due.now
        ? `${due.late} late`
        : `${due.now} due, ${due.late} late`;
