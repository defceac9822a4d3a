import type { Catalogue } from '../catalogue';
import { momentOf, playOut, readAt, readyOf, type TroubleKind } from '../climate';
import type { Design } from '../document';
import { toSteps, trackOf, type MeasuringPlace, type ReadQuantity } from '../readings';
import type { PointTrack } from './features';
import { DAY } from '../physics/constants';

/** A box with what is wrong in it, as its probes would have read it: for tests. */
export interface Case {
  readonly name: string;
  readonly design: Design;
  readonly points: readonly PointTrack[];
  /** Ids of the causes that are true; empty: nothing is wrong. */
  readonly truth: readonly string[];
  readonly now: number;
  readonly isDay: (at: number) => boolean;
}

/** What is done to the probes, not to the box. */
export type ProbeFault = 'probe-stuck' | 'probe-drift' | 'probe-silent';

export interface CaseInput {
  readonly design: Design;
  readonly catalogue: Catalogue;
  readonly troubles: readonly TroubleKind[];
  readonly probe: ProbeFault | null;
  readonly seed: number;
  /** Whether the room is read too. */
  readonly room: boolean;
}

/** The cause each trouble is to be found as. */
export const CAUSE_OF: Record<TroubleKind | ProbeFault, readonly string[]> = {
  'power-cut': ['power'],
  'mist-off': ['no-mist'],
  'mist-stuck': ['mist-stuck'],
  'heat-off': ['heat-off', 'lamps-off'],
  'heat-stuck': ['heat-stuck'],
  'fan-off': ['stale-air'],
  'vents-covered': ['stale-air'],
  'room-dry': ['room-dry'],
  'room-hot': ['room-hot'],
  'probe-stuck': ['probe-stuck'],
  'probe-drift': ['probe-drift'],
  'probe-silent': ['probe-silent'],
};

const DAYS = 11;
const EVERY = 600;
const START = Date.UTC(2026, 4, 4);

function random(seed: number): () => number {
  let state = (seed * 2_654_435_761) % 2_147_483_647 || 1;
  return () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647;
}

/** Eleven days of a box, what goes wrong beginning one and a half to three and a half days before the end; noise, holes, coarse probes. */
export function caseOf({ design, catalogue, troubles, probe, seed, room }: CaseInput): Case {
  const rng = random(seed + 17);
  const ready = readyOf(design, catalogue, 124 + (seed % 200));
  const began = (DAYS - 1.5 - 2 * rng()) * DAY;
  const covered = troubles.includes('vents-covered') || troubles.includes('heat-stuck');
  const play = (days: number, wrong: readonly TroubleKind[], start?: Float64Array) =>
    playOut({
      ready,
      days,
      every: EVERY,
      seed: seed + 1,
      troubles: wrong.map((kind) => ({ kind, from: start ? 0 : began, to: Infinity })),
      ...(start ? { start } : {}),
    });
  // Covered vents and a stuck thermostat hold for a whole run: the days before them are a sound one.
  const whole = Math.floor(began / DAY);
  const sound = play(covered ? whole : DAYS, covered ? [] : troubles);
  const later = covered ? play(DAYS - whole, troubles, sound.end) : null;
  const at = (index: number) => {
    const first = sound.t.length - 1;
    return later && index >= first
      ? { run: later, record: Math.min(later.t.length - 1, index - first) }
      : { run: sound, record: Math.min(first, index) };
  };
  const { width, depth, height } = design.enclosure;
  const { groundHeight, tierHeight } = ready.model;
  const warmX = design.scape.warm === 'right' ? 0.8 : 0.2;
  const low = Math.max(...groundHeight) + 0.3 * (tierHeight - Math.max(...groundHeight));
  const probes: readonly { place: MeasuringPlace; x: number; z: number }[] = [
    { place: 'warm', x: warmX * width, z: low },
    { place: 'cool', x: (1 - warmX) * width, z: low },
  ];
  const count = Math.floor((DAYS * DAY) / EVERY);
  const gapAt = rng() * 0.8 * count;
  const gapFor = 6 + rng() * 30;
  const victim = Math.floor(rng() * 4);
  const points: PointTrack[] = [];
  const track = (place: MeasuringPlace, quantity: ReadQuantity, value: (index: number) => number): void => {
    const own = points.length;
    const times: number[] = [];
    const steps: number[] = [];
    const offset = (rng() - 0.5) * (quantity === 'humidity' ? 0.03 : 0.6);
    const noise = quantity === 'humidity' ? 0.006 : 0.08;
    const grain = quantity === 'humidity' ? (seed % 2 === 0 ? 0.01 : 0.001) : 0.1;
    let stuckAt: number | null = null;
    for (let index = 0; index < count; index += 1) {
      if (index >= gapAt && index < gapAt + gapFor) continue;
      if (rng() < 0.01) continue;
      const late = index * EVERY - began;
      let v = value(index) + offset + noise * (rng() + rng() - 1);
      if (probe !== null && own === victim && late > 0) {
        if (probe === 'probe-silent') break;
        if (probe === 'probe-stuck') v = stuckAt ??= v;
        if (probe === 'probe-drift') v += (late / DAY) * (quantity === 'humidity' ? -0.14 : 2.4);
      }
      v = Math.round(v / grain) * grain;
      times.push(START + index * EVERY * 1000);
      steps.push(toSteps(quantity === 'humidity' ? Math.min(1, Math.max(0.02, v)) : v, quantity));
    }
    points.push({
      series: {
        id: `${place} ${quantity}`,
        design: design.id,
        name: `${place} ${quantity}`,
        quantity,
        place,
        at: null,
        instrument: '',
        source: `hub/${place}`,
        alarm: null,
        changed: 0,
        gone: false,
      },
      track: trackOf(times, steps),
    });
  };
  for (const { place, x, z } of probes) {
    const sense = (index: number) => {
      const { run, record } = at(index);
      return readAt(momentOf(ready, run, record, { width, height, warm: design.scape.warm }), {
        x,
        y: depth / 2,
        z,
      });
    };
    track(place, 'temperature', (index) => sense(index).temperature);
    track(place, 'humidity', (index) => sense(index).humidity);
  }
  if (room)
    track('room', 'temperature', (index) => {
      const { run, record } = at(index);
      return run.series.room[record] ?? 20;
    });
  const light = ready.plan(0).day[0] ?? { from: 0, to: 0 };
  return {
    name: `${design.name}: ${[...troubles, ...(probe ? [probe] : [])].join(' and ') || 'nothing'} (${seed})`,
    design,
    points,
    truth: [...troubles, ...(probe ? [probe] : [])].flatMap((it) => CAUSE_OF[it]),
    now: START + count * EVERY * 1000 - 60_000,
    isDay: (moment) => {
      const second = ((moment - START) / 1000) % DAY;
      return second >= light.from && second < light.to;
    },
  };
}
