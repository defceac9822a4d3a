/** A day as one says it. */
export const dayWord = (day: string): string =>
  new Date(`${day}T12:00:00Z`).toLocaleDateString(undefined, {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    timeZone: 'UTC',
  });

/** Minutes of work as one says them. */
export const hoursWord = (minutes: number): string =>
  minutes < 55
    ? `${Math.max(5, Math.round(minutes / 5) * 5)} min`
    : `${(Math.round(minutes / 30) / 2).toString()} h`;
