import { dayOfDate, dayPlus, daysTill, noonOf } from '../time';
import { lastOver, partOn } from '../brief';
import type { Catalogue } from '../catalogue';
import type { Design } from '../document/schema';
import { standingOf } from '../document/standing';
import { dayOfLine, settledBy, type Entry } from '../log';
import { careRules } from './rules';
import { RRule, rrulestr } from './recurrence';
import type { CareRule, When } from './rule';

/** A rule as it holds for one enclosure: as it follows from the design, or as its keeper changed it. */
export interface HeldRule extends CareRule {
  readonly paused: boolean;
  /** Day on which its pause ends by itself; null: when its keeper says so. */
  readonly until: string | null;
  readonly reason: string;
  /** Not due before this day: it was changed, or taken up again. */
  readonly from: string | null;
  /** Day it was added, from which it counts; null: as long as the enclosure has been kept. */
  readonly added: string | null;
  /** It was changed, or is the keeper's own. */
  readonly own: boolean;
}

/** What is kept beside an enclosure, and takes work off it. */
export interface Beside {
  /** Feeder insects are fed as cultures of their own. */
  readonly feedersApart: boolean;
}
const NOTHING_BESIDE: Beside = { feedersApart: false };

/** All care of an enclosure: what follows from design and animal, with the keeper's changes, and his own. */
export function careOf(
  design: Design,
  catalogue: Catalogue,
  { feedersApart }: Beside = NOTHING_BESIDE,
): readonly HeldRule[] {
  const changes = new Map(design.care.changes.map((it) => [it.rule, it]));
  // While it is being rebuilt, what stands is cared for, not what is planned.
  const box = standingOf(design) ?? design;
  const held = (rule: CareRule, own: boolean, added: string | null = null): HeldRule => {
    const change = changes.get(rule.id);
    return {
      ...rule,
      when: change?.when ?? rule.when,
      paused: change?.paused ?? false,
      until: change?.until ?? null,
      reason: change?.reason ?? '',
      from: change?.from ?? null,
      added,
      own: own || (change !== undefined && change.when !== null),
    };
  };
  return [
    ...careRules(box, catalogue)
      .filter((it) => !(feedersApart && it.id === 'feeders'))
      .map((it) => held(it, false)),
    ...design.care.own.map(({ from, ...it }) =>
      held({ ...it, group: 'records', amount: [], minutes: 5, needsAnimal: false }, true, from),
    ),
  ];
}

/** Of all its care, what is to be done as the box now stands: nothing while it is planned or being built. */
export function careNow(design: Design, catalogue: Catalogue, beside?: Beside): readonly HeldRule[] {
  const { stage } = design.brief;
  if (design.brief.putAway || stage === 'planned' || stage === 'building') return [];
  const rules = careOf(design, catalogue, beside);
  if (stage === 'inhabited') return rules;
  return rules.filter((it) => !it.needsAnimal);
}

/** Days on which a calendar rule falls, from a first day on up to another, both included. */
export function occurrences(
  when: When & { readonly by: 'calendar' },
  from: string,
  to: string,
): readonly string[] {
  return rrulestr(`RRULE:${when.rrule}`, { dtstart: noonOf(from) })
    .between(noonOf(from), noonOf(to), true)
    .map(dayOfDate);
}

/** When a rule is next due. */
export interface Due {
  readonly rule: HeldRule;
  /** The day it is due: the oldest that is not done. */
  readonly day: string;
  /** Days it is late; 0 today, negative when still to come. */
  readonly late: number;
  readonly last: string | null;
  /** Days since it was last done where more than one of its times went by since then without a word; else null. */
  readonly silent: number | null;
  /**
   * Nobody has told when it was done last, in an enclosure that stood before it was written down or was settled by a word;
   * and it has not come round since.
   */
  readonly untold: boolean;
}

/** All days on which each rule was done or left out on purpose. */
export function rulesDone(
  log: readonly Entry[],
  dayOfEntry: (at: number) => string,
): ReadonlyMap<string, ReadonlySet<string>> {
  const days = new Map<string, Set<string>>();
  for (const entry of log) {
    const rule = settledBy(entry);
    if (rule === null || entry.gone) continue;
    const own = days.get(rule) ?? new Set();
    days.set(rule, own.add(dayOfLine(entry, dayOfEntry)));
  }
  return days;
}

/** The last day on which each rule was done or left out on purpose. */
export function lastDone(
  log: readonly Entry[],
  dayOfEntry: (at: number) => string,
): ReadonlyMap<string, string> {
  const last = new Map<string, string>();
  for (const entry of log) {
    const rule = settledBy(entry);
    if (rule === null || entry.gone) continue;
    const day = dayOfLine(entry, dayOfEntry);
    if (day > (last.get(rule) ?? '')) last.set(rule, day);
  }
  return last;
}

/** Whether a rule rests on a day: until its keeper takes it up again, or the day that was named. */
export const isPaused = ({ paused, until }: HeldRule, today: string): boolean =>
  paused && (until === null || today < until);

/** Whether a rule goes on at all on a day: some do in a part of the year only, or in all but one. */
export const isInSeason = ({ season }: Pick<CareRule, 'season'>, day: string): boolean =>
  season === undefined || (partOn(season.part, day) !== null) === (season.how === 'only');

/** The first day on which it does not go on any more, from a day on which it does; null: it goes on all year. */
export function seasonEnds({ season }: Pick<CareRule, 'season'>, day: string): string | null {
  if (season === undefined) return null;
  if (season.how === 'only') return partOn(season.part, day)?.until ?? day;
  const next = `${day.slice(0, 4)}-${season.part.from}`;
  return next > day ? next : `${String(Number(day.slice(0, 4)) + 1).padStart(4, '0')}-${season.part.from}`;
}

/** The first day of the time in which it goes on now; null: it goes on all year. */
const seasonBegan = ({ season }: HeldRule, today: string): string | null =>
  season === undefined
    ? null
    : season.how === 'only'
      ? (partOn(season.part, today)?.from ?? null)
      : lastOver(season.part, today);

/** A day to come on which it does not go on is put off till it does. */
const pastSeason = ({ season }: HeldRule, day: string): string =>
  season?.how === 'not' ? (partOn(season.part, day)?.until ?? day) : day;

const later = (a: string | null, b: string | null): string | null =>
  a === null ? b : b === null || b < a ? a : b;

/**
 * When each rule is next due. One never done counts from the day the enclosure's care began; a day that was skipped is
 * settled as one that was done is; what is about a thing counts from the day that was fitted, what the keeper added from the
 * day he did. Paused rules are not due, and one that is taken up again is not late for what it missed.
 * @param began day the care of it began, ISO 8601
 * @param settled day up to which all that comes round is settled, whatever the log says; null: nothing is
 */
export function dueOf(
  rules: readonly HeldRule[],
  last: ReadonlyMap<string, string>,
  began: string,
  today: string,
  settled: string | null = null,
): readonly Due[] {
  return rules
    .filter((it) => !isPaused(it, today) && isInSeason(it, today))
    .map((rule): Due => {
      const told = last.get(rule.id) ?? null;
      // What was done to the lamp before was not done to this one.
      const known = told !== null && rule.since !== undefined && told < rule.since ? null : told;
      // What nobody has told of is asked for, not called late; until it has come round once more without a word.
      const never = known === null && rule.since === undefined && rule.added === null && settled !== null;
      const untold = never && daysTill(settled, today) <= daysBetweenTimes(rule.when);
      const counted = settled !== null && (isSettled(rule) || (never && !untold));
      const done = counted && settled > (known ?? '') ? settled : known;
      const counts = rule.since ?? rule.added ?? began;
      const missed = nextDay(rule.when, done, counts, today);
      const lapsed = rule.lapses !== undefined && daysTill(missed, today) > rule.lapses;
      const next = lapsed ? nextDay(rule.when, null, today, today) : missed;
      const resumed = later(rule.paused ? rule.until : rule.from, seasonBegan(rule, today));
      const asked = pastSeason(rule, resumed !== null && next < resumed ? resumed : next);
      const day = untold && asked < today ? today : asked;
      const gone = daysTill(
        resumed !== null && resumed > (done ?? counts) ? resumed : (done ?? counts),
        today,
      );
      const silent = gone > 2 * daysBetweenTimes(rule.when) ? gone : null;
      return { rule, day, late: daysTill(day, today), last: known, silent, untold };
    })
    .sort((a, b) => b.late - a.late);
}

/** Days between two times up to which a keeper may say that all is settled: what comes more seldom is about a thing’s age. */
const OFTEN = 92;

/** Whether a rule is settled when its keeper says all is: not the age of a lamp, nor of anything that wears. */
const isSettled = ({ when, since }: HeldRule): boolean =>
  since === undefined && daysBetweenTimes(when) <= OFTEN;

/** Days after which a rule that does not come any more is said to be due. */
const NEVER = 3650;

/** Days by which something of the calendar may be done before its day and still be settled by it (common practice). */
const EARLY = 7;

function nextDay(when: When, done: string | null, began: string, today: string): string {
  if (when.by === 'since') return dayPlus(done ?? began, when.days);
  const options = RRule.parseString(when.rrule);
  // One that never comes, as on the 30th of February, is not looked for to the end of time.
  const far = noonOf(dayPlus(today, NEVER));
  const end = options.until && options.until < far ? options.until : far;
  if (isEveryFewDays(options)) {
    // So many days after it was last done, early or late; in a season in which it does not come, when that is over.
    const from = noonOf(done === null ? began : dayPlus(done, options.interval ?? 1));
    const next = new RRule({ ...options, interval: 1, dtstart: from, until: end }).after(from, true);
    return next ? dayOfDate(next) : dayPlus(today, NEVER);
  }
  const upTo = (day: string): InstanceType<typeof RRule> =>
    new RRule({ ...options, dtstart: noonOf(startNear(options, began, day)), until: end });
  const sinceDone = upTo(done ?? began);
  const after = (day: string): Date | null => sinceDone.after(noonOf(day), false);
  let next = done === null ? sinceDone.after(noonOf(began), true) : after(done);
  const before = done === null ? null : sinceDone.before(noonOf(done), true);
  if (done !== null && next && before) {
    // Done shortly before its day, and nearer to it than to the one before, it was done for that day.
    const early = daysTill(done, dayOfDate(next));
    if (early <= EARLY && early < daysTill(dayOfDate(before), done)) next = after(dayOfDate(next));
  }
  // A rule that has ended is due no more within a life.
  if (!next) return dayPlus(today, NEVER);
  // Of what comes daily only the last is asked for: nobody mists twice for yesterday, nor sets last year's summer.
  if (intervalOf(options) > 2 && options.freq !== RRule.YEARLY) return dayOfDate(next);
  // In a season in which it does not come, and after its end, it was longer ago.
  const latest = upTo(today).before(noonOf(today), true) ?? sinceDone.before(noonOf(today), true);
  return latest && latest > next ? dayOfDate(latest) : dayOfDate(next);
}

/** “Every n days”: it hangs on the last time, not on the calendar. */
const isEveryFewDays = ({ freq, interval, count, byweekday, bymonthday, bysetpos }: Rhythm): boolean =>
  freq === RRule.DAILY &&
  (interval ?? 1) > 1 &&
  [count, byweekday, bymonthday, bysetpos].every((it) => it === undefined || it === null);

/** Days between two times of a rule, roughly; of one of several days a week or a year, the longest it may be. */
function daysBetweenTimes(when: When): number {
  if (when.by === 'since') return when.days;
  const { freq, interval = 1 } = RRule.parseString(when.rrule);
  const turn = freq === RRule.DAILY ? 1 : freq === RRule.WEEKLY ? 7 : freq === RRule.MONTHLY ? 31 : 366;
  return turn * interval;
}

type Rhythm = ReturnType<typeof RRule.parseString>;

/**
 * The last day up to another on which a rule might have begun and fall on the same days from there on: its days are counted
 * from the first one, and of years of them only those about a day are wanted.
 */
function startNear({ freq, interval, count }: Rhythm, began: string, upTo: string): string {
  const turn = (interval ?? 1) * (freq === RRule.DAILY ? 1 : freq === RRule.WEEKLY ? 7 : 0);
  if (turn === 0 || typeof count === 'number') return began;
  // One turn further back, so that the time before that day is among them.
  return dayPlus(began, Math.max(0, Math.floor(daysTill(began, upTo) / turn) - 1) * turn);
}

/** Days between two occurrences, roughly. */
const intervalOf = ({ freq, interval }: Rhythm): number =>
  (interval ?? 1) * (freq === RRule.DAILY ? 1 : freq === RRule.WEEKLY ? 7 : 30);

/** What falls on a day. */
export interface SitterDay {
  readonly day: string;
  readonly rules: readonly HeldRule[];
}

/** Care that whoever looks in can do: no hands on an animal, no tools on a lamp. */
const BY_A_SITTER: ReadonlySet<HeldRule['group']> = new Set([
  'look',
  'water',
  'food',
  'clean',
  'plants',
  'crew',
]);

/**
 * What falls on each day while the keeper is away: what must not be left out, what the keeper added himself, and of the
 * rest what would come round twice in those days. What comes more seldom is left for his return.
 */
export function awayDays(
  rules: readonly HeldRule[],
  last: ReadonlyMap<string, string>,
  began: string,
  from: string,
  to: string,
  settled: string | null = null,
): readonly SitterDay[] {
  const span = daysTill(from, to) + 1;
  const asked = rules.filter(
    (it) =>
      it.sitter || it.added !== null || (BY_A_SITTER.has(it.group) && 2 * daysBetweenTimes(it.when) <= span),
  );
  return daysAhead(asked, last, began, from, to, settled);
}

/** What falls on each day from one to another, both included, if all of it is done on the day it is due. */
export function daysAhead(
  rules: readonly HeldRule[],
  last: ReadonlyMap<string, string>,
  began: string,
  from: string,
  to: string,
  settled: string | null = null,
): readonly SitterDay[] {
  const days: SitterDay[] = [];
  const done = new Map(last);
  for (let day = from; day <= to; day = dayPlus(day, 1)) {
    const due = dueOf(rules, done, began, day, settled).filter((it) => it.late >= 0);
    // As if it were done on each day it is due: the next time follows from it.
    for (const { rule } of due) done.set(rule.id, day);
    days.push({ day, rules: due.map((it) => it.rule) });
  }
  return days;
}
