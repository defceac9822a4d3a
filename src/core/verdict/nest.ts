import { isYoungAt } from '../brief';
import type { Animal } from '../catalogue';
import type { Design } from '../document/schema';
import type { Finding } from '../finding/finding';
import type { Survey } from '../living/survey';
import { message, percent } from '../units';

/**
 * Soil that is too dry or too wet to lay in, by the forecast of its root depth: only where neither half is right in any
 * season, for she lays in most of them, and a tub put in when she digs answers for one.
 */
export function nestMoisture(
  { living }: Design,
  animal: Animal,
  { guessed, seasons }: Survey,
): readonly Finding[] {
  const laying = animal.growing?.laying;
  const wanted = laying?.value.wetness;
  const { females, males, ageMonths } = living.company;
  if (!laying || !wanted || guessed || seasons.length === 0 || females === 0) return [];
  if (isYoungAt(animal, ageMonths) || (males === 0 && !laying.value.alone)) return [];
  const roots = seasons.flatMap(({ wetness: [warm, cool] }) => [warm[1], cool[1]]);
  const driest = Math.min(...roots);
  const wettest = Math.max(...roots);
  const of = { place: { at: 'ground' }, remedies: [], severity: 'look', basis: laying.basis } as const;
  const medium = laying.value.medium ?? 'soil';
  if (wettest < wanted.low)
    return [
      {
        ...of,
        code: 'nest-too-dry',
        what: message`The soil is too dry to lay in, all year.`,
        because: message`Where it is dampest it holds ${percent(wettest)} of what its pores could; eggs want ${percent(wanted.low)} to ${percent(wanted.high)}: damp ${medium} that keeps its form and gives no water. Water one corner, or put a tub of it in when she digs.`,
      },
    ];
  if (driest > wanted.high)
    return [
      {
        ...of,
        code: 'nest-too-wet',
        what: message`The soil is too wet to lay in, all year.`,
        because: message`Where it is driest it holds ${percent(driest)} of what its pores could; eggs want ${percent(wanted.low)} to ${percent(wanted.high)}, and drown in more. Put a tub of damp ${medium} in when she digs.`,
      },
    ];
  return [];
}
