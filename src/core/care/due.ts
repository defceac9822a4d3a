import type { Catalogue } from '../catalogue';
import type { Design } from '../document/schema';
import type { Entry } from '../log';
import { careRules } from './rules';
import { RRule, rrulestr } from './recurrence';
import type { CareRule, When } from './rule';
import { DAY_MS } from '../physics/constants';

const noon = (day: string): Date => new Date(`${day}T12:00:00Z`);
const dayOf = (date: Date): string => date.toISOString().slice(0, 10);
export const dayPlus = (day: string, days: number): string =>
  dayOf(new Date(noon(day).getTime() + days * DAY_MS));
export const daysTill = (from: string, to: string): number =>
  Math.round((noon(to).getTime() - noon(from).getTime()) / DAY_MS);

/** A rule as it holds for one enclosure: as it follows from the design, or as its keeper changed it. */
export interface HeldRule extends CareRule {
  readonly paused: boolean;
  readonly reason: string;
  /** It was changed, or is the keeper's own. */
  readonly own: boolean;
}

/** All care of an enclosure: what follows from design and animal, with the keeper's changes, and his own. */
export function careOf(design: Design, catalogue: Catalogue): readonly HeldRule[] {
  const changes = new Map(design.care.changes.map((it) => [it.rule, it]));
  const held = (rule: CareRule, own: boolean): HeldRule => {
    const change = changes.get(rule.id);
    return {
      ...rule,
      when: change?.when ?? rule.when,
      paused: change?.paused ?? false,
      reason: change?.reason ?? '',
      own: own || (change !== undefined && change.when !== null),
    };
  };
  return [
    ...careRules(design, catalogue).map((it) => held(it, false)),
    ...design.care.own.map((it) =>
      held({ ...it, group: 'records', amount: [], minutes: 5, needsAnimal: false }, true),
    ),
  ];
}

/** Of all its care, what is to be done as the box now stands: nothing while it is planned or being built. */
export function careNow(design: Design, catalogue: Catalogue): readonly HeldRule[] {
  const { stage } = design.brief;
  if (design.brief.putAway || stage === 'planned' || stage === 'building') return [];
  const rules = careOf(design, catalogue);
  if (stage === 'inhabited') return rules;
  return rules.filter((it) => !it.needsAnimal);
}

/** Days on which a calendar rule falls, from a first day on up to another, both included. */
export function occurrences(
  when: When & { readonly by: 'calendar' },
  from: string,
  to: string,
): readonly string[] {
  return rrulestr(`RRULE:${when.rrule}`, { dtstart: noon(from) })
    .between(noon(from), noon(to), true)
    .map(dayOf);
}

/** When a rule is next due. */
export interface Due {
  readonly rule: HeldRule;
  /** The day it is due: the oldest that is not done. */
  readonly day: string;
  /** Days it is late; 0 today, negative when still to come. */
  readonly late: number;
  readonly last: string | null;
}

/**
 * Lines that are the doing of a rule itself, however they were written down: typed in a hurry or ticked. A weight is of one
 * animal, and a cleaning of one thing: those are not.
 */
const DOING: Partial<Record<Entry['kind'], string>> = {
  feed: 'feed',
  mist: 'mist',
  'water-test': 'water-test',
  crew: 'crew-seen',
};

/** The rule a line settles; of one that is of a single animal, only the one that it names. */
const ruleOf = ({ rule, kind, animal }: Pick<Entry, 'rule' | 'kind' | 'animal'>): string | null =>
  rule ?? (animal === null ? (DOING[kind] ?? null) : null);

/** The last day on which each rule was done or left out on purpose. */
export function lastDone(
  log: readonly Entry[],
  dayOfEntry: (at: number) => string,
): ReadonlyMap<string, string> {
  const last = new Map<string, string>();
  for (const entry of log) {
    const rule = ruleOf(entry);
    if (rule === null || entry.gone) continue;
    const day = dayOfEntry(entry.at);
    if (day > (last.get(rule) ?? '')) last.set(rule, day);
  }
  return last;
}

/**
 * When each rule is next due. One never done counts from the day the enclosure's care began; a day that was skipped is
 * settled as one that was done is; what is about a thing counts from the day that was fitted. Paused rules are not due.
 * @param began day the care of it began, ISO 8601
 */
export function dueOf(
  rules: readonly HeldRule[],
  last: ReadonlyMap<string, string>,
  began: string,
  today: string,
): readonly Due[] {
  return rules
    .filter((it) => !it.paused)
    .map((rule): Due => {
      const told = last.get(rule.id) ?? null;
      // What was done to the lamp before was not done to this one.
      const done = told !== null && rule.since !== undefined && told < rule.since ? null : told;
      const day = nextDay(rule.when, done, rule.since ?? began, today);
      return { rule, day, late: daysTill(day, today), last: done };
    })
    .sort((a, b) => b.late - a.late);
}

/** Days after which a rule that does not come any more is said to be due. */
const NEVER = 3650;

function nextDay(when: When, done: string | null, began: string, today: string): string {
  if (when.by === 'since') return dayPlus(done ?? began, when.days);
  const options = RRule.parseString(when.rrule);
  // One that never comes, as on the 30th of February, is not looked for to the end of time.
  const far = noon(dayPlus(today, NEVER));
  const end = options.until && options.until < far ? options.until : far;
  const upTo = (day: string): InstanceType<typeof RRule> =>
    new RRule({ ...options, dtstart: noon(startNear(options, began, day)), until: end });
  const sinceDone = upTo(done ?? began);
  const next = done === null ? sinceDone.after(noon(began), true) : sinceDone.after(noon(done), false);
  // A rule that has ended is due no more within a life.
  if (!next) return dayPlus(today, NEVER);
  // Of what comes daily only the last is asked for: nobody mists twice for yesterday, nor sets last year's summer.
  if (intervalOf(options) > 2 && options.freq !== RRule.YEARLY) return dayOf(next);
  // In a season in which it does not come, and after its end, it was longer ago.
  const latest = upTo(today).before(noon(today), true) ?? sinceDone.before(noon(today), true);
  return latest && latest > next ? dayOf(latest) : dayOf(next);
}

type Rhythm = ReturnType<typeof RRule.parseString>;

/**
 * The last day up to another on which a rule might have begun and fall on the same days from there on: its days are counted
 * from the first one, and of years of them only those about a day are wanted.
 */
function startNear({ freq, interval, count }: Rhythm, began: string, upTo: string): string {
  const turn = (interval ?? 1) * (freq === RRule.DAILY ? 1 : freq === RRule.WEEKLY ? 7 : 0);
  if (turn === 0 || typeof count === 'number') return began;
  return dayPlus(began, Math.max(0, Math.floor(daysTill(began, upTo) / turn)) * turn);
}

/** Days between two occurrences, roughly. */
const intervalOf = ({ freq, interval }: Rhythm): number =>
  (interval ?? 1) * (freq === RRule.DAILY ? 1 : freq === RRule.WEEKLY ? 7 : 30);

/** Something to be done on a day while its keeper is away. */
export interface SitterDay {
  readonly day: string;
  readonly rules: readonly HeldRule[];
}

/**
 * What falls on each day while the keeper is away: what must not be left out, and what comes seldom and falls into those
 * days is left for his return unless it must not wait.
 */
export function awayDays(
  rules: readonly HeldRule[],
  last: ReadonlyMap<string, string>,
  began: string,
  from: string,
  to: string,
): readonly SitterDay[] {
  const days: SitterDay[] = [];
  const done = new Map(last);
  const asked = rules.filter((it) => it.sitter && !it.paused);
  for (let day = from; day <= to; day = dayPlus(day, 1)) {
    const due = dueOf(asked, done, began, day).filter((it) => it.late >= 0);
    // As if it were done on each day it is due: the next time follows from it.
    for (const { rule } of due) done.set(rule.id, day);
    days.push({ day, rules: due.map((it) => it.rule) });
  }
  return days;
}
