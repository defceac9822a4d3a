import type { Crossing } from '@/core/ahead';
import type { Series } from '@/core/readings';
import { counted } from '@/core/units';
import { readingWords } from '@/ui/readingWords';
import type { Reader } from '@/ui/units';

/** Chance from which a limit is as likely passed as not, and from which it likely is. */
export const EVEN = 0.5;
const LIKELY = 0.65;

const TITLE = {
  likely: {
    low: (name: string) => `${name} will likely be too low`,
    high: (name: string) => `${name} will likely be too high`,
  },
  possible: {
    low: (name: string) => `${name} may be too low`,
    high: (name: string) => `${name} may be too high`,
  },
} as const;

/** What may be passed, as a heading. */
export const crossingTitle = ({ chance, side }: Crossing, name: string): string =>
  TITLE[chance >= LIKELY ? 'likely' : 'possible'][side](name);

/** A moment of the days to come, to the hour: “Thursday 3, 14:00”. */
export const comingWords = (at: number): string =>
  new Date(Math.round(at / 3_600_000) * 3_600_000).toLocaleString(undefined, {
    weekday: 'long',
    day: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
  });

/** A chance to the ten per cent: so few courses tell no more. */
const chanceWords = (chance: number, { num }: Pick<Reader, 'num'>): string =>
  chance > 0.9 ? `chance over ${num(90, 0)} %` : `chance ${num(10 * Math.round(chance * 10), 0)} %`;

/** When, on how many days, how far and how surely. */
export function crossingWords(
  { from, days, worst, chance, harm }: Crossing,
  { quantity }: Series,
  reader: Reader,
): string {
  const value = readingWords(worst, quantity, reader);
  const begins = from - Date.now() < 3_600_000 ? 'From now on' : `From ${comingWords(from)}`;
  const told = `${begins}, on ${counted(days, 'day')} of seven, ${value} at worst; ${chanceWords(chance, reader)}.`;
  return harm ? `${told} That is more than it bears.` : told;
}

/** When the bottle of the misting system is empty. */
export const bottleWords = (dry: number): { readonly title: string; readonly more: string } =>
  dry < Date.now()
    ? {
        title: 'the bottle of the misting system should be empty',
        more: `Since about ${comingWords(dry)}, by what the design draws. Fill it, or write down when it was filled.`,
      }
    : {
        title: 'the bottle of the misting system runs dry',
        more: `About ${comingWords(dry)}, by what the design draws since it was filled last.`,
      };
