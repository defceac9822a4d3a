import { dayAhead } from '@/core/time';
import { withOwn, catalogue as shipped, type OwnRows } from '@/catalogue';
import { findAnimal, type Catalogue } from '@/core/catalogue';
import {
  lampsOf,
  momentOf,
  playingOut,
  readAt,
  readyOf,
  settling,
  type ExtraMist,
  type InSlices,
  type Ready,
  type Run,
  type Trouble,
} from '@/core/climate';
import { settingsAt, type Design } from '@/core/document';
import { uvFrom, type Point3 } from '@/core/light';
import type { NamedReading } from '@/files';
import { inTurns } from './turns';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;
/** What the hub remembers for who was not listening. */
export const MEMORY = 2 * DAY;
/** Between two readings it remembers, ms. */
export const EVERY = 5 * MINUTE;

/** Days that are calculated in one go. */
const MOST_DAYS = 7;

/** What can be made to go wrong with the stand-ins. */
export const FAULTS = [
  'dropout',
  'stuck',
  'drift',
  'power-cut',
  'mist-off',
  'mist-stuck',
  'heat-stuck',
] as const;
export type FaultKind = (typeof FAULTS)[number];

export interface Fault {
  readonly kind: FaultKind;
  /** Which probe, of those that concern one: `warm`, `cool`, `canopy`. */
  readonly probe: string;
  /** ms since 1970 */
  readonly since: number;
}

/**
 * A box on the bench: the engine of Climate, read by simulated probes. All of it lives in memory. What it is asked is
 * calculated in turns with all else, one question after the other.
 */
export class SimulatedBox {
  private ready: Ready;
  private readonly catalogue: Catalogue;
  private told = 0;
  private faults: readonly Fault[] = [];
  private mists: readonly (ExtraMist & { readonly absolute: number })[] = [];
  private run: Run | null = null;
  private rest: Float64Array | null = null;
  private asked: Promise<unknown> = Promise.resolve();
  /** Midnight its forecast begins at, ms since 1970. */
  private began: number;
  private readonly places: ReadonlyMap<string, Point3>;

  /** @param zone ms by which the keeper’s clock is ahead of UTC: lights follow it */
  constructor(
    private readonly design: Design,
    own: OwnRows,
    now: number,
    private readonly zone: number,
  ) {
    this.catalogue = withOwn(shipped, own);
    this.began = this.midnight(now);
    this.ready = this.readyAt();
    const { width, depth, height } = design.enclosure;
    const { groundHeight, tierHeight } = this.ready.model;
    const warm = design.scape.warm === 'right' ? 0.8 : 0.2;
    const low = Math.max(...groundHeight) + 0.3 * (tierHeight - Math.max(...groundHeight));
    this.places = new Map([
      ['warm', { x: warm * width, y: depth / 2, z: low }],
      ['cool', { x: (1 - warm) * width, y: depth / 2, z: low }],
      ['canopy', { x: warm * width, y: depth / 2, z: (tierHeight + height) / 2 }],
    ]);
  }

  /** Midnight before all that is remembered at a moment. */
  private midnight(now: number): number {
    return Math.floor((now + this.zone - MEMORY) / DAY) * DAY - this.zone;
  }

  private readyAt(): Ready {
    const date = new Date(this.began + this.zone);
    const dayOfYear = Math.floor((date.getTime() - Date.UTC(date.getUTCFullYear(), 0, 1)) / DAY) + 1;
    return readyOf(this.design, this.catalogue, Math.min(365, dayOfYear));
  }

  get name(): string {
    return this.design.name;
  }

  setFaults(faults: readonly Fault[]): Promise<void> {
    return this.change(() => {
      this.faults = faults;
      this.told += 1;
    });
  }

  /** How often its past was told anew: what was read before the last time is of another box. */
  get history(): number {
    return this.told;
  }

  listFaults(): readonly Fault[] {
    return this.faults;
  }

  mist(seconds: number, now: number): Promise<void> {
    return this.change(() => {
      this.mists = [...this.mists.slice(-50), { at: (now - this.began) / 1000, seconds, absolute: now }];
    });
  }

  /** Whether the controller mists at a moment, and when it last did, ms since 1970; null: not within its memory. */
  lastMist(now: number): number | null {
    return this.mists.filter((it) => it.absolute <= now).at(-1)?.absolute ?? null;
  }

  /** What the hub’s probes read at a moment: °C and relative humidity of three places. */
  readings(at: number): Promise<readonly NamedReading[]> {
    return this.after(() => this.reading(at));
  }

  /** What was read since a moment, the oldest first, every five minutes and at most what the memory holds. */
  since(from: number, now: number): Promise<readonly NamedReading[]> {
    return this.after(() => this.readingSince(from, now));
  }

  /** One question after the other: they share a run. */
  private after<T>(work: () => InSlices<T>): Promise<T> {
    const answer = this.asked.then(() => inTurns(work()));
    this.asked = answer.catch(() => null);
    return answer;
  }

  /** A change waits for what was asked before it: no answer is half of one past and half of another. */
  private change(make: () => void): Promise<void> {
    const changed = this.asked.then(() => {
      make();
      this.run = null;
    });
    this.asked = changed;
    return changed;
  }

  private *readingSince(from: number, now: number): InSlices<readonly NamedReading[]> {
    const first = Math.ceil(Math.max(from + 1, now - MEMORY, this.began) / EVERY) * EVERY;
    const all: NamedReading[] = [];
    for (let at = first; at <= now; at += EVERY) {
      all.push(...(yield* this.reading(at)));
      yield;
    }
    return all;
  }

  private *reading(at: number): InSlices<readonly NamedReading[]> {
    const all: NamedReading[] = [];
    for (const probe of this.places.keys()) {
      const faults = this.faults.filter((it) => it.probe === probe && it.since <= at);
      // The hub runs on batteries: it hears its probes through a power cut too.
      if (faults.some((it) => it.kind === 'dropout')) continue;
      const stuck = faults.find((it) => it.kind === 'stuck');
      const drift = faults.find((it) => it.kind === 'drift');
      const from = stuck ? Math.floor(stuck.since / EVERY) * EVERY : at;
      const { temperature, humidity } = yield* this.sensing(probe, from);
      const hours = drift ? (at - drift.since) / HOUR : 0;
      all.push(
        {
          name: `hub/${probe}/air`,
          quantity: 'temperature',
          at,
          value: round(temperature + 0.35 * hours, 2),
        },
        {
          name: `hub/${probe}/humidity`,
          quantity: 'humidity',
          at,
          value: Math.min(1, Math.max(0, round(humidity - 0.012 * hours, 3))),
        },
      );
    }
    return all;
  }

  /** UV index a meter reads where the animal basks, or in the middle under the lamps. */
  uvIndex(now: number): NamedReading {
    const date = dayAhead(now, this.zone);
    const { basking } = this.ready.model;
    const { width, depth } = this.design.enclosure;
    const place = basking ?? { x: width / 2, y: depth / 2, z: this.ready.model.tierHeight };
    const sum = lampsOf(settingsAt(this.design, date), this.catalogue, date).reduce(
      (all, { lamp }) => all + uvFrom(lamp, place.x, place.y, place.z),
      0,
    );
    const power = this.faults.some((it) => it.kind === 'power-cut' && it.since <= now) ? 0 : 1;
    return {
      name: 'meter/uv-index',
      quantity: 'uvIndex',
      at: now,
      value: round(power * sum * (1 + 0.03 * noise(now, 'uv')), 1),
    };
  }

  /** One animal on the scale, kg: the middle of its kind, a little of it by what it last ate. */
  weigh(now: number): NamedReading | null {
    const animal = findAnimal(this.catalogue, this.design.brief.animal);
    if (!animal) return null;
    const { low, high } = animal.mass.value;
    return {
      name: 'scale/mass',
      quantity: 'mass',
      at: now,
      value: round(((low + high) / 2) * (1 + 0.02 * noise(now / HOUR, 'mass')), 4),
    };
  }

  private *sensing(
    probe: string,
    at: number,
  ): InSlices<{ readonly temperature: number; readonly humidity: number }> {
    const run = yield* this.playing(at);
    const place = this.places.get(probe) ?? { x: 0, y: 0, z: 0 };
    const record = Math.min(run.t.length - 1, Math.max(0, Math.round((at - this.began) / MINUTE)));
    const { enclosure, scape } = this.design;
    const moment = momentOf(this.ready, run, record, { ...enclosure, warm: scape.warm });
    const read = readAt(moment, place);
    return {
      temperature: read.temperature + 0.06 * noise(at, `${probe} t`),
      humidity: read.humidity + 0.006 * noise(at, `${probe} h`),
    };
  }

  /** Calculated to the end of the day that is asked for, and anew whenever something was changed. */
  private *playing(at: number): InSlices<Run> {
    let days = Math.floor((at - this.began) / DAY) + 1;
    if (days > MOST_DAYS) {
      // It stood there for long: its past is told anew from what is still remembered.
      this.began = this.midnight(at);
      this.ready = this.readyAt();
      this.rest = null;
      this.run = null;
      this.told += 1;
      days = Math.floor((at - this.began) / DAY) + 1;
    }
    if (this.run && this.run.days >= days) return this.run;
    const second = (ms: number): number => Math.max(0, (ms - this.began) / 1000);
    const troubles = this.faults.flatMap(({ kind, since }): Trouble[] =>
      kind === 'power-cut' || kind === 'mist-off' || kind === 'mist-stuck' || kind === 'heat-stuck'
        ? [{ kind, from: second(since), to: Infinity }]
        : [],
    );
    this.rest ??= yield* settling(this.ready);
    this.run = yield* playingOut({
      ready: this.ready,
      start: this.rest,
      days: Math.max(days, 3),
      every: 60,
      seed: 1,
      troubles,
      mists: this.mists,
    });
    return this.run;
  }
}

const round = (value: number, digits: number): number => Number(value.toFixed(digits));

/** Between −1 and 1, the same for the same moment and probe. */
function noise(at: number, what: string): number {
  let seed = Math.floor(at / 1000) % 2_147_483_647;
  for (const letter of what) seed = (seed * 31 + letter.charCodeAt(0)) % 2_147_483_647;
  for (let i = 0; i < 3; i += 1) seed = (seed * 48_271 + 11) % 2_147_483_647;
  return (2 * seed) / 2_147_483_647 - 1;
}
