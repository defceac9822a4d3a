import type { Design } from '@/core/document';

type Order<T> = (a: T, b: T) => number;

/** Names as people count: Box 2 before Box 10. */
export const byName = (locale: string | undefined): Order<string> =>
  new Intl.Collator(locale, { numeric: true, sensitivity: 'base' }).compare;

/** The order one walks past enclosures: by room, shelf and name; those nobody told a room of come last. */
export function byPlace(locale: string | undefined): Order<Design> {
  const named = byName(locale);
  const told: Order<string> = (a, b) =>
    a === '' || b === '' ? Number(a === '') - Number(b === '') : named(a, b);
  return (a, b) => {
    const [from, to] = [a.brief.place, b.brief.place];
    return told(from.room, to.room) || told(from.shelf, to.shelf) || named(a.name, b.name);
  };
}
