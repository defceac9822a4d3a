import { createEvents, type EventAttributes } from 'ics';
import { DAY_MS } from '@/core/physics/constants';
import { seasonEnds, type CareRule } from '@/core/care';
import { dayPlus } from '@/core/time';
import type { BuildPlan } from '@/core/plan';
import { asMessage, counted, formatMessage } from '@/core/units';
import type { FileWords } from './lists';

const dateOf = (day: string): [number, number, number] => {
  const [year = 1970, month = 1, date = 1] = day.split('-').map(Number);
  return [year, month, date];
};

/** Text of a calendar. Days end where the next begins: a duration of days alone is written in a way that the standard does not know. */
function written(events: EventAttributes[]): string {
  const { error, value } = createEvents(events, { productId: '-//Rincon//Rincon//EN' });
  if (error || !value) throw error ?? new Error('no calendar was written');
  return value;
}

/**
 * A plan as iCalendar (RFC 5545): an event of whole days for each step and one for each wait after it, and moving in.
 * Throws when the library refuses an event, which no plan should bring about.
 */
export function planCalendar(
  { steps, moveIn, early, late }: BuildPlan,
  design: { readonly id: string; readonly name: string },
  reader: FileWords,
): string {
  const events: EventAttributes[] = steps.flatMap(({ step, from, to, done, note }): EventAttributes[] => {
    const words = (it: Parameters<typeof asMessage>[0]): string => formatMessage(asMessage(it), reader);
    const own: EventAttributes = {
      uid: `${step.id}.${design.id}@rincon`,
      title: `${design.name}: ${step.title}`,
      start: dateOf(from),
      end: dateOf(dayPlus(from, 1)),
      status: done === null ? 'TENTATIVE' : 'CONFIRMED',
      description: [
        words(step.why),
        ...(step.tools.length > 0 ? [`Tools: ${step.tools.join(', ')}`] : []),
        ...step.amounts.map(words),
        ...step.measures.map((it) => `${it.what}: ${words(it.wanted)}`),
        ...(note ? [note] : []),
      ].join('\n'),
    };
    if (!step.wait || done !== null || to <= from) return [own];
    const days = Math.max(1, Math.round((Date.parse(to) - Date.parse(from)) / DAY_MS));
    return [
      own,
      {
        uid: `${step.id}.wait.${design.id}@rincon`,
        title: `${design.name}: waiting for ${step.waitFor ?? 'it'}`,
        start: dateOf(from),
        end: dateOf(dayPlus(from, days)),
        status: 'TENTATIVE',
        busyStatus: 'FREE',
      },
    ];
  });
  events.push({
    uid: `window.${design.id}@rincon`,
    title: `${design.name}: moving in, between ${early} and ${late}`,
    start: dateOf(moveIn),
    end: dateOf(dayPlus(moveIn, 1)),
    status: 'TENTATIVE',
  });
  return written(events);
}

/** Care that comes again, as iCalendar: an event of whole days with its rule (RFC 5545), from when it is next due. */
export function careCalendar(
  boxes: readonly {
    readonly id: string;
    readonly name: string;
    readonly due: readonly { readonly rule: CareEvent; readonly day: string }[];
  }[],
  reader: FileWords,
): string {
  const events = boxes.flatMap(({ id, name, due }) =>
    due.map(({ rule, day }): EventAttributes => ({
      uid: `care.${rule.id}.${id}@rincon`,
      title: `${name}: ${formatMessage(asMessage(rule.what), reader)}`,
      start: dateOf(day),
      end: dateOf(dayPlus(day, 1)),
      busyStatus: 'FREE',
      description: [rule.amount, rule.why]
        .map((it) => formatMessage(asMessage(it), reader))
        .filter(Boolean)
        .join('\n'),
      recurrenceRule: recurrenceOf(rule, day),
    })),
  );
  return written(events);
}

type CareEvent = Pick<CareRule, 'id' | 'what' | 'why' | 'when' | 'amount' | 'season'>;

/** Its rule from a day on; what does not go on all year ends where it rests: it is written anew with the next calendar. */
function recurrenceOf(rule: CareEvent, day: string): string {
  const rrule = rule.when.by === 'calendar' ? rule.when.rrule : `FREQ=DAILY;INTERVAL=${rule.when.days}`;
  const ends = seasonEnds(rule, day);
  return ends === null || /UNTIL|COUNT/.test(rrule)
    ? rrule
    : `${rrule};UNTIL=${dayPlus(ends, -1).replaceAll('-', '')}`;
}

/** What is to be done on a day, over all enclosures. */
export interface RoundDay {
  readonly day: string;
  readonly minutes: number;
  /** Each task with the enclosures it is for. */
  readonly tasks: readonly { readonly what: string; readonly where: readonly string[] }[];
}

/**
 * The daily round as iCalendar, with an alarm each day there is something to do. An event is known by its day: taken in
 * again, a day is changed and not doubled, and one on which nothing is left is cancelled.
 * @param at minutes of the day the alarm sounds at, by the clock of whoever reads it
 * @param now ms since 1970: later files take the place of earlier ones
 */
export function roundCalendar(days: readonly RoundDay[], at: number, now: number): string {
  const clock: [number, number] = [Math.floor(at / 60), at % 60];
  return written(
    days.map(({ day, minutes, tasks }): EventAttributes => {
      const many = tasks.reduce((sum, it) => sum + it.where.length, 0);
      const own: EventAttributes = {
        uid: `round.${day}@rincon`,
        sequence: Math.floor(now / 60_000) % 2 ** 31,
        title: many === 0 ? 'Nothing to do' : `The round: ${counted(many, 'thing')}`,
        start: [...dateOf(day), ...clock],
        startInputType: 'local',
        startOutputType: 'local',
        duration: { minutes: Math.max(5, Math.round(minutes)) },
        status: many === 0 ? 'CANCELLED' : 'CONFIRMED',
        busyStatus: 'FREE',
      };
      return many === 0
        ? own
        : {
            ...own,
            description: tasks.map(({ what, where }) => `${what}: ${where.join(', ')}`).join('\n'),
            alarms: [
              {
                action: 'display',
                description: `The round: ${counted(many, 'thing')}`,
                trigger: { minutes: 1, before: true },
              },
            ],
          };
    }),
  );
}
