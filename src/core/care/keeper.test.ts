import { describe, expect, it } from 'vitest';
import { entryOf, type Entry } from '../log';
import { seededRandom } from '../random';
import { dayPlus, daysTill } from '../time';
import { dueOf, lastDone, type HeldRule } from '.';
import type { When } from './rule';

/*
 * A simulated keeper: years of acts, on time, early, late, forgotten, away, paused, replaced and written in afterwards, in
 * seven zones. What is due is compared each day with a book kept by hand beside it, day by day, without recurrence rules.
 */

/** `npm run test:dates` and who doubts it live through more. */
const SEEDS = Number(process.env.RINCON_KEEPERS ?? 7);
const YEARS = 3;
const ZONES = [
  'Europe/Berlin',
  'America/Mexico_City',
  'America/St_Johns',
  'Asia/Kathmandu',
  'Pacific/Auckland',
  'Pacific/Kiritimati',
  'Pacific/Honolulu',
];

/** A thing that comes again as the book has it: every so many days, or on days that are told one by one. */
interface Rhythm {
  readonly when: When;
  /** Days after the last time; null: by the calendar. */
  readonly every: number | null;
  /** Never done, it is due so many days after the beginning. */
  readonly first: number;
  /** Whether a day is one of the calendar’s. */
  readonly falls: (day: string) => boolean;
  /** Of what comes this often only the last is asked for. */
  readonly onlyLast: boolean;
}
const weekday = (day: string): number => new Date(`${day}T12:00:00Z`).getUTCDay();
const since = (days: number): Rhythm => ({
  when: { by: 'since', days },
  every: days,
  first: days,
  falls: () => false,
  onlyLast: false,
});
const every = (days: number): Rhythm => ({
  when: { by: 'calendar', rrule: days === 1 ? 'FREQ=DAILY' : `FREQ=DAILY;INTERVAL=${days}` },
  every: days,
  first: 0,
  falls: () => false,
  onlyLast: days === 1,
});
const calendar = (rrule: string, falls: Rhythm['falls'], onlyLast = false): Rhythm => ({
  when: { by: 'calendar', rrule },
  every: null,
  first: 0,
  falls,
  onlyLast,
});
const RHYTHMS: readonly Rhythm[] = [
  every(1),
  every(3),
  since(7),
  since(30),
  calendar('FREQ=WEEKLY;BYDAY=MO,TH', (day) => [1, 4].includes(weekday(day))),
  calendar('FREQ=MONTHLY;BYMONTHDAY=1', (day) => day.endsWith('-01')),
  calendar('FREQ=YEARLY;BYMONTH=3,10;BYMONTHDAY=1', (day) => /-(03|10)-01$/.test(day), true),
];

/** What the book says of one rule. */
class Book {
  due: string;
  #last: string | null = null;
  #resumes: string | null = null;
  paused = false;
  until: string | null = null;
  constructor(
    readonly rhythm: Rhythm,
    public began: string,
  ) {
    this.due = this.#onOrAfter(dayPlus(began, rhythm.first));
  }
  #onOrAfter(day: string): string {
    if (this.rhythm.every !== null) return day;
    let it = day;
    while (!this.rhythm.falls(it)) it = dayPlus(it, 1);
    return it;
  }
  #before(day: string): string | null {
    for (let it = day; it >= this.began; it = dayPlus(it, -1)) if (this.rhythm.falls(it)) return it;
    return null;
  }
  done(day: string): void {
    // Written in afterwards of a day before the last, or before this one was fitted: it tells nothing new.
    if (day < this.began || (this.#last !== null && day < this.#last)) return;
    this.#last = day;
    const { every: days } = this.rhythm;
    if (days !== null) {
      this.due = dayPlus(day, days);
      return;
    }
    const next = this.#onOrAfter(dayPlus(day, 1));
    const before = this.#before(day);
    const early = daysTill(day, next);
    const isForNext = before !== null && early <= 7 && early < daysTill(before, day);
    this.due = isForNext ? this.#onOrAfter(dayPlus(next, 1)) : next;
  }
  replaced(day: string): void {
    this.began = day;
    if (this.#last !== null && this.#last < day) this.#last = null;
    if (this.#last === null) this.due = this.#onOrAfter(dayPlus(day, this.rhythm.first));
  }
  resume(day: string): void {
    this.paused = false;
    this.until = null;
    this.#resumes = day;
  }
  /** What is due on a day: null while it rests. */
  on(today: string): string | null {
    if (this.paused && this.until !== null && today >= this.until) this.resume(this.until);
    if (this.paused) return null;
    let { due } = this;
    if (this.rhythm.onlyLast && due < today)
      due = this.rhythm.every === 1 ? today : (this.#before(today) ?? due);
    if (due < this.due) ({ due } = this);
    return this.#resumes !== null && due < this.#resumes ? this.#resumes : due;
  }
}

const dayIn = (timeZone: string): ((at: number) => string) => {
  const shown = new Intl.DateTimeFormat('sv-SE', { timeZone, dateStyle: 'short' });
  const known = new Map<number, string>();
  return (at) => {
    const day = known.get(at) ?? shown.format(at);
    known.set(at, day);
    return day;
  };
};

/** Lives through the years of one enclosure; the days on which the two disagree. */
function lived(seed: number, zone: string): readonly string[] {
  const random = seededRandom(seed);
  const chance = (share: number): boolean => random() < share;
  const upTo = (most: number): number => Math.floor(random() * (most + 1));
  const dayOf = dayIn(zone);
  const began = dayPlus('2027-02-20', upTo(400));
  const books = RHYTHMS.map((it) => new Book(it, began));
  const rules = RHYTHMS.map(({ when }, index): HeldRule => ({
    id: `rule ${index}`,
    group: 'look',
    what: 'x',
    why: 'x',
    when,
    amount: [],
    minutes: 1,
    needsAnimal: false,
    sitter: true,
    paused: false,
    until: null,
    reason: '',
    from: null,
    added: null,
    own: false,
  }));
  const log: Entry[] = [];
  /** Some moment of a day as the zone has it: noon in UTC is that day or beside it. */
  const moment = (day: string): number => {
    for (let hour = -14 + upTo(4); ; hour += 1) {
      const at = Date.parse(`${day}T12:00:00Z`) + hour * 3_600_000;
      if (dayOf(at) === day) return at + upTo(3) * 1000;
    }
  };
  const write = (index: number, day: string, isSkipped: boolean): void => {
    const at = moment(day);
    log.push(
      entryOf(
        {
          kind: 'care',
          values: {},
          text: '',
          rule: `rule ${index}`,
          outcome: isSkipped ? 'skipped' : 'done',
        },
        { id: `${log.length}`, design: 'box', at, changed: at },
      ),
    );
    books[index]?.done(day);
  };
  const wrong: string[] = [];
  let away = 0;
  for (let n = 0; n < YEARS * 365; n += 1) {
    const today = dayPlus(began, n);
    const due = dueOf(rules, lastDone(log, dayOf), began, today);
    books.forEach((book, index) => {
      const told = due.find((it) => it.rule.id === `rule ${index}`)?.day ?? null;
      const kept = book.on(today);
      if (told !== kept) wrong.push(`${zone} ${seed}, ${today}, rule ${index}: ${told}, by the book ${kept}`);
    });
    if (wrong.length > 3) return wrong;
    away = away > 0 ? away - 1 : chance(0.01) ? 3 + upTo(25) : 0;
    if (away > 0) continue;
    books.forEach((book, index) => {
      const rule = rules[index];
      if (!rule) return;
      const kept = book.on(today);
      if (kept === null) {
        if (book.until === null && chance(0.03)) {
          rules[index] = { ...rule, paused: false, until: null, from: today };
          book.resume(today);
        }
        return;
      }
      // Late or on time; now and then before its day, or written in afterwards for a day before.
      if (kept <= today ? chance(0.6) : chance(0.03)) write(index, today, chance(0.1));
      else if (chance(0.004)) write(index, dayPlus(today, -upTo(Math.min(n, 5))), false);
      else if (chance(0.004)) {
        const until = chance(0.5) ? dayPlus(today, 1 + upTo(60)) : null;
        rules[index] = { ...rule, paused: true, until };
        book.paused = true;
        book.until = until;
      } else if (index === 3 && chance(0.004)) {
        rules[index] = { ...rule, since: today };
        book.replaced(today);
      }
    });
  }
  expect(log.length).toBeGreaterThan(400);
  return wrong;
}

describe('a simulated keeper', () => {
  it(`over ${SEEDS} lives of ${YEARS} years in seven zones: what is due each day is what a book kept by hand says`, () => {
    const wrong: string[] = [];
    for (let seed = 0; seed < SEEDS && wrong.length === 0; seed += 1)
      wrong.push(...lived(seed, ZONES[seed % ZONES.length] ?? 'Europe/Berlin'));
    expect(wrong).toEqual([]);
  }, 600_000);
});
