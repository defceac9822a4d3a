import type { Design } from '@/core/document';
import type { CrewLimit, Stratum } from '@/core/living';
import { counted } from '@/core/units';

export const STRATUM_WORD: Record<Stratum, string> = {
  carpet: 'Carpet',
  middle: 'Middle',
  tall: 'Tall',
  walls: 'Walls',
  mounted: 'On wood and stone',
  water: 'In water',
};

export const SCHOOL_WORD: Record<Design['living']['school'], string> = {
  'springtails-isopods': 'Springtails and isopods',
  beetles: 'With beetles',
  'roaches-earwigs': 'With roaches and earwigs',
  none: 'None',
};
export const SCHOOL_WHY: Record<Design['living']['school'], string> = {
  'springtails-isopods': 'The everyday pair: one for mould, one for leaves and droppings.',
  beetles:
    'They clear more and live drier, but swarm when there is much to eat, and want deep soil to pupate in.',
  'roaches-earwigs': 'Strong eaters for large animals; some get out, and few people love them.',
  none: 'A plain natural enclosure: you lift everything out by hand, and see all of it.',
};

export const LIMIT_WORD: Record<CrewLimit, string> = {
  room: 'room',
  food: 'food',
  others: 'the other crew',
  moisture: 'moisture',
  warmth: 'warmth',
  depth: 'depth',
  air: 'moving air',
};

export const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** How well something does, in a word. */
export const fitWord = (value: number): string =>
  value >= 0.85
    ? 'thrives'
    : value >= 0.55
      ? 'does well'
      : value >= 0.25
        ? 'lives'
        : value > 0
          ? 'pines'
          : 'dies';

/** So many months, as one says it. */
export function monthsWord(months: number): string {
  if (months < 0.75) return 'now';
  if (months < 18) return counted(months, 'month');
  const years = Math.round(months / 6) / 2;
  return Number.isInteger(years) ? counted(years, 'year') : `${Math.floor(years)}½ years`;
}

/** The day so many months from a day, as month and year. */
export function monthFrom(from: Date, months: number): string {
  const at = new Date(from);
  at.setDate(at.getDate() + Math.round(months * 30.44));
  return at.toLocaleDateString(undefined, { month: 'short', year: 'numeric' });
}
