import type { CareRule } from '../care';
import type { Entry } from '../log';
import {
  DAY,
  firstAt,
  fromSteps,
  WEEK,
  type Band,
  type MeasuringPlace,
  type ReadQuantity,
  type Series,
  type Track,
} from '../readings';

/** What was kept of one box. */
export interface Kept {
  readonly design: string;
  readonly log: readonly Entry[];
  readonly points: readonly { readonly series: Series; readonly track: Track }[];
  /** Care with its minutes. */
  readonly rules: readonly Pick<CareRule, 'id' | 'minutes'>[];
  readonly isDay: (at: number) => boolean;
  /** The animal’s band at a place, at a moment: at rest it wants other air. */
  readonly band: (place: MeasuringPlace, quantity: ReadQuantity, day: boolean, at: number) => Band | null;
}

export interface ReadSummary {
  readonly mean: number;
  readonly low: number;
  readonly high: number;
  /** Share of readings inside the band; null: nothing is asked. */
  readonly inside: number | null;
  readonly count: number;
}

/** What one box came to over the weeks that are compared. */
export interface Weeks {
  readonly readings: ReadonlyMap<string, ReadSummary>;
  readonly lost: { readonly plants: number; readonly animals: number };
  readonly seen: { readonly crew: number; readonly mould: number; readonly pests: number };
  readonly meals: { readonly given: number; readonly refused: number };
  /** Done, left out on purpose, and minutes by what each usually takes. */
  readonly work: { readonly done: number; readonly skipped: number; readonly minutes: number };
}

/** From when to when all boxes have something written down or read, ms since 1970; null: never together. */
export function sharedTime(all: readonly Kept[]): { readonly from: number; readonly to: number } | null {
  const spans = all.map(({ log, points }) => {
    const times = [
      ...log.filter((it) => !it.gone).map((it) => it.at),
      ...points.flatMap(({ track }) => [track.at[0] ?? [], track.at.at(-1) ?? []].flat()),
    ];
    return times.length === 0 ? null : { from: Math.min(...times), to: Math.max(...times) };
  });
  if (spans.some((it) => it === null)) return null;
  const known = spans.filter((it) => it !== null);
  const from = Math.max(...known.map((it) => it.from));
  const to = Math.min(...known.map((it) => it.to));
  return to - from < DAY ? null : { from, to };
}

/** What of a box falls into a stretch of time. */
export function weeksOf(kept: Kept, from: number, to: number): Weeks {
  const log = kept.log.filter((it) => !it.gone && it.at >= from && it.at <= to);
  const of = (kind: Entry['kind']): readonly Entry[] => log.filter((it) => it.kind === kind);
  const minutes = new Map(kept.rules.map((it) => [it.id, it.minutes]));
  const work = log.filter((it) => it.rule !== null);
  const readings = new Map<string, ReadSummary>();
  for (const { series, track } of kept.points) {
    const [i, j] = [firstAt(track.at, from), firstAt(track.at, to)];
    if (j - i < 3) continue;
    let [sum, low, high, inside, asked] = [0, Infinity, -Infinity, 0, 0];
    for (let k = i; k < j; k += 1) {
      const value = fromSteps(track.steps[k] ?? 0, series.quantity);
      sum += value;
      low = Math.min(low, value);
      high = Math.max(high, value);
      const at = track.at[k] ?? 0;
      const band = kept.band(series.place, series.quantity, kept.isDay(at), at);
      if (!band) continue;
      asked += 1;
      if ((band.low === null || value >= band.low) && (band.high === null || value <= band.high)) inside += 1;
    }
    const key = `${series.quantity} ${series.place}`;
    // Of several probes at one kind of place the one that read most speaks for it.
    if ((readings.get(key)?.count ?? 0) < j - i)
      readings.set(key, {
        mean: sum / (j - i),
        low,
        high,
        inside: asked > 0 ? inside / asked : null,
        count: j - i,
      });
  }
  return {
    readings,
    lost: {
      plants: of('plant-lost').length,
      animals: of('death').reduce((sum, it) => sum + (it.values.count ?? 1), 0),
    },
    seen: { crew: of('crew').length, mould: of('mould').length, pests: of('pests').length },
    meals: {
      given: of('feed').length,
      refused: of('feed').filter((it) => it.values.refused === true).length,
    },
    work: {
      done: work.filter((it) => it.outcome === 'done').length,
      skipped: work.filter((it) => it.outcome === 'skipped').length,
      minutes: work
        .filter((it) => it.outcome === 'done')
        .reduce((sum, it) => sum + (minutes.get(it.rule ?? '') ?? 5), 0),
    },
  };
}

/** What such a comparison can show, and what it cannot, in plain sentences. */
export function whatItShows(asked: {
  readonly boxes: number;
  readonly differences: number;
  readonly rooms: boolean;
  readonly starts: boolean;
  readonly shared: { readonly from: number; readonly to: number } | null;
  readonly read: boolean;
}): readonly string[] {
  const { boxes, differences, shared } = asked;
  const said: string[] = [];
  if (!shared)
    return [
      'They have no time in common in which something was written down of each. The designs can be compared, what came of them cannot.',
    ];
  const weeks = (shared.to - shared.from) / WEEK;
  if (differences === 0)
    said.push(
      'The designs are alike: whatever differs came from the enclosures, the room or the keeper, and shows how far chance goes.',
    );
  else if (differences === 1)
    said.push(
      'They differ in one thing. What came out differently may come from it; one enclosure of each kind cannot prove it.',
    );
  else
    said.push(
      `They differ in ${differences} things. What came out differently cannot be laid to any one of them.`,
    );
  if (boxes === 2)
    said.push(
      'One enclosure of each is one throw of the dice: plants and animals differ by themselves. Three of each would say more.',
    );
  if (weeks < 8)
    said.push(
      `${weeks < 1.5 ? 'About a week' : `${Math.round(weeks)} weeks`} in common: too short for plants, crew and moulds, long enough for temperature and humidity.`,
    );
  if (asked.starts) said.push('They did not start on the same day: they stand at different ages.');
  if (asked.rooms) said.push('Their rooms differ, and a room makes much of a climate.');
  if (!asked.read) said.push('Nothing was read by a sensor in all of them in those weeks.');
  else
    said.push(
      'Probes of a kind differ by half a degree and a few points of humidity: lay them side by side for an hour first.',
    );
  return said;
}
