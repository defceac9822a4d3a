import { dayPlus, daysTill } from '../time';
import type { CultureAct, CultureRecord } from '../records';

export type CultureTask = 'feed' | 'split' | 'next' | 'end';

/** Something a culture is due for. */
export interface CultureDue {
  readonly culture: CultureRecord;
  readonly task: CultureTask;
  readonly day: string;
  /** Days it is late; negative when still to come. */
  readonly late: number;
  /** Day it was last done; null: not since the culture was started. */
  readonly last: string | null;
}

/** The acts that stand. */
export const actsOf = ({ acts }: CultureRecord): readonly CultureAct[] => acts.filter((it) => !it.gone);

const lastOf = (culture: CultureRecord, what: CultureAct['what']): string | null =>
  actsOf(culture)
    .filter((it) => it.what === what)
    .reduce<string | null>((last, { on }) => (last === null || on > last ? on : last), null);

/** It is kept, as far as is written down. */
export const isKept = ({ gone, ended }: Pick<CultureRecord, 'gone' | 'ended'>, today: string): boolean =>
  !gone && (ended === null || ended > today);

/** Feeders are fed as cultures: one line for each of them, instead of one for each enclosure. */
export const feedersApart = (cultures: readonly CultureRecord[], today: string): boolean =>
  cultures.some((it) => isKept(it, today) && it.gutLoaded && it.feedEvery !== null);

/** The days a culture gives: from the first that can be taken, to the day it is thrown out (null: open). Null: never. */
export function harvestOf(
  culture: CultureRecord,
): { readonly from: string; readonly to: string | null } | null {
  const { started, firstHarvest, givesFor } = culture;
  if (firstHarvest === null) return null;
  const from = dayPlus(started, firstHarvest);
  return { from, to: givesFor === null ? null : dayPlus(from, givesFor) };
}

/** Days on which cultures are to be fed within some days, each fed in time before and in between. */
export function culturesFed(
  cultures: readonly CultureRecord[],
  from: string,
  to: string,
): readonly { readonly culture: CultureRecord; readonly day: string }[] {
  return cultures.flatMap((culture) => {
    const { feedEvery } = culture;
    const due = culturesDue([culture], from).find((it) => it.task === 'feed');
    if (feedEvery === null || !due) return [];
    const spent = harvestOf(culture)?.to ?? null;
    const days: { culture: CultureRecord; day: string }[] = [];
    for (let day = due.day < from ? from : due.day; day <= to; day = dayPlus(day, feedEvery))
      if ((spent === null || day < spent) && isKept(culture, day)) days.push({ culture, day });
    return days;
  });
}

/**
 * What each culture is due for next: fed and split by its own rhythm, the next of its species started while this one gives,
 * and thrown out when it is spent. A culture that is split or just started has food enough for its first interval.
 * @param cultures all that are written down, ended ones too
 */
export function culturesDue(cultures: readonly CultureRecord[], today: string): readonly CultureDue[] {
  const kept = cultures.filter((it) => isKept(it, today));
  const dues = kept.flatMap((culture): CultureDue[] => {
    const { started, feedEvery, splitEvery, nextAfter } = culture;
    const all: CultureDue[] = [];
    const add = (task: CultureTask, day: string, last: string | null): void => {
      all.push({ culture, task, day, late: daysTill(day, today), last });
    };
    const split = lastOf(culture, 'split');
    const spent = harvestOf(culture)?.to ?? null;
    const isSpent = spent !== null && spent <= today;
    if (feedEvery !== null && !isSpent) {
      const fed = lastOf(culture, 'fed');
      const from = [fed, split, started].reduce<string>((a, b) => (b !== null && b > a ? b : a), started);
      add('feed', dayPlus(from, feedEvery), fed);
    }
    if (splitEvery !== null && !isSpent) add('split', dayPlus(split ?? started, splitEvery), split);
    // Only the youngest of a species asks for the next.
    const isYoungest = !kept.some(
      (it) =>
        it.kind === culture.kind &&
        it.id !== culture.id &&
        (it.started > started || (it.started === started && it.id > culture.id)),
    );
    if (nextAfter !== null && culture.kind !== null && isYoungest)
      add('next', dayPlus(started, nextAfter), null);
    if (spent !== null) add('end', spent, null);
    return all;
  });
  return dues.sort((a, b) => b.late - a.late || (a.culture.name < b.culture.name ? -1 : 1));
}
