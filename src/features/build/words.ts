/** Minutes of work as one says them. */
export const hoursWord = (minutes: number): string =>
  minutes < 55
    ? `${Math.max(5, Math.round(minutes / 5) * 5)} min`
    : `${Math.floor(Math.round(minutes / 30) / 2) || ''}${Math.round(minutes / 30) % 2 === 1 ? '½' : ''} h`;
