import { ALL_SEASONS, type Season } from '../climate/roomProfile';

/** Seasons as one says them. */
export function seasonsWord(seasons: readonly Season[]): string {
  const own = ALL_SEASONS.filter((it) => seasons.includes(it));
  if (own.length === ALL_SEASONS.length) return 'all year';
  if (own.length === 1) return `in ${own[0] ?? 'winter'}`;
  return `in ${own.slice(0, -1).join(', ')} and ${own.at(-1) ?? ''}`;
}
