import { rrulestr, type When } from '@/core/care';

/** When care is due, as one says it. */
export function whenWords(when: When): string {
  if (when.by === 'calendar') {
    const words = rrulestr(`RRULE:${when.rrule}`).toText();
    return words === 'every month on the 1st' ? 'on the first of the month' : words;
  }
  const { days } = when;
  if (days === 1) return 'every day';
  if (days >= 360) return 'a year after the last time';
  if (days >= 60) return `${Math.round(days / 30.4)} months after the last time`;
  return days === 7 ? 'a week after the last time' : `${days} days after the last time`;
}
