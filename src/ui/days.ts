/** Today as the calendar has it here, ISO 8601. */
export const localToday = (now: Date): string =>
  `${now.getFullYear()}-${String(now.getMonth() + 1).padStart(2, '0')}-${String(now.getDate()).padStart(2, '0')}`;

/** A day as one says it. */
export const dayWords = (day: string): string =>
  new Date(`${day}T12:00:00Z`).toLocaleDateString(undefined, {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    timeZone: 'UTC',
  });

/** When a line of a day is written: one of today at its hour, one of a day before at its noon; ms since 1970. */
export const momentOn = (day: string): number =>
  day === localToday(new Date()) ? Date.now() : new Date(`${day}T12:00:00`).getTime();

/** The day a moment falls on here, ISO 8601. */
export const localDay = (at: number): string => localToday(new Date(at));
