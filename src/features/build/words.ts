/** Minutes of work as one says them. */
export const hoursWord = (minutes: number): string =>
  minutes < 55
    ? `${Math.max(5, Math.round(minutes / 5) * 5)} min`
    : `${(Math.round(minutes / 30) / 2).toString()} h`;
