import { daysTill, localDay } from '@/core/time';
import {
  careNow,
  dueOf,
  lampDay,
  type Beside,
  lampOfRule,
  lastDone,
  meteredLamp,
  type Due,
} from '@/core/care';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import { standingOf } from '@/core/document/standing';
import type { Entry } from '@/core/log';
import { counted } from '@/core/units';
import { dayWords } from '@/ui/days';

/** What is due of one enclosure, from its part of the log. */
export function dueIn(
  design: Design,
  log: readonly Entry[],
  today: string,
  catalogue: Catalogue,
  beside?: Beside,
): readonly Due[] {
  const own = log.filter((it) => it.design === design.id);
  const due = dueOf(
    careNow(design, catalogue, beside),
    lastDone(own, localDay),
    design.brief.since ?? today,
    today,
    design.care.settled,
  );
  const metered = meteredLamp(standingOf(design) ?? design, own, catalogue, localDay);
  if (!metered) return due;
  // A meter knows better than the calendar when a tube is spent.
  return due.map((it) => {
    if (lampOfRule(it.rule.id) === null) return it;
    const day = lampDay(metered, it.day);
    const by = `By ${counted(metered.readings, 'reading')} of the meter: a UV index of ${metered.needed} is needed at its back.`;
    const why =
      day < metered.day
        ? `${by} They reach to ${dayWords(metered.upTo)}, no further: measure again before then.`
        : by;
    return { ...it, day, late: daysTill(day, today), rule: { ...it.rule, why } };
  });
}

export interface BoxDue {
  readonly design: Design;
  readonly due: readonly Due[];
}

type DuesOf = (
  designs: readonly Design[],
  log: readonly Entry[],
  today: string,
  catalogue: Catalogue,
  beside: Beside,
) => readonly BoxDue[];

const sameLines = (a: readonly Entry[], b: readonly Entry[]): boolean =>
  a.length === b.length && a.every((it, i) => it.id === b[i]?.id && it.changed === b[i].changed);

/** `dueIn` of many enclosures: where neither one nor its lines of the log changed, what was worked out before is given again. */
export function keepingDues(): DuesOf {
  let asked: readonly [today: string, catalogue: Catalogue, feedersApart: boolean] | undefined;
  let known = new Map<Design, { readonly lines: readonly Entry[]; readonly box: BoxDue }>();
  return (designs, log, today, catalogue, beside) => {
    const now = [today, catalogue, beside.feedersApart] as const;
    if (!asked || now.some((it, i) => it !== asked?.[i])) known = new Map();
    asked = now;
    const lines = new Map<string, Entry[]>();
    for (const it of log) {
      const own = lines.get(it.design);
      if (own) own.push(it);
      else lines.set(it.design, [it]);
    }
    const fresh: typeof known = new Map();
    for (const design of designs) {
      const own = lines.get(design.id) ?? [];
      const before = known.get(design);
      fresh.set(
        design,
        before && sameLines(before.lines, own)
          ? before
          : { lines: own, box: { design, due: dueIn(design, own, today, catalogue, beside) } },
      );
    }
    known = fresh;
    return designs.flatMap((it) => fresh.get(it)?.box ?? []);
  };
}
