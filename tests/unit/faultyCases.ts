import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { atOnce } from '@/core/climate';
import { diagnose, playingFaults, usualDays, type Diagnosis, type Yardstick } from '@/core/diagnosis';
import type { Design } from '@/core/document';
import { applyEdit } from '@/core/edits';
import { toSteps, trackOf, type Series } from '@/core/readings';
import { readFaulty, type Fault, type FaultyBox, type Read, type RecordInput } from './faultyBoxes';

/** The causes a fault may rightly be named as. */
export const TRUE_CAUSES: Readonly<Record<Fault, readonly string[]>> = {
  'heat-off': ['heat-off'],
  'heat-stuck': ['heat-stuck'],
  'lamps-off': ['lamps-off'],
  power: ['power'],
  'no-mist': ['no-mist'],
  'mist-stuck': ['mist-stuck'],
  'mist-weak': ['mist-weak', 'no-mist'],
  'bottle-empties': ['mist-weak', 'no-mist'],
  'vents-covered': ['stale-air'],
  'lid-open': ['lid-open'],
  'fan-dead': ['stale-air'],
  'fan-stuck': ['fan-stuck'],
  'room-hot': ['room-hot'],
  'room-cold': ['room-cold'],
  'room-dry': ['room-dry'],
  'probe-stuck': ['probe-stuck'],
  'probe-silent': ['probe-silent'],
  'probe-drift': ['probe-drift'],
  'probe-moved': ['probe-moved'],
  'timer-shifted': ['timer-shifted'],
  'thermostat-drifted': ['thermostat-drifted', 'heat-stuck'],
};

/** Boxes as first fitted by rule: what a design tells of them; how they are built is the generator’s own. */
const designs = new Map(
  demoDesigns(catalogue).map((design) => [
    design.id,
    applyEdit(design, { edit: 'proposeClimate', change: {} }, catalogue),
  ]),
);
const OFF = -99;
const fanned = (design: Design): Design => {
  const made = applyEdit(design, { edit: 'addDevice', change: { kind: 'fan-small' } }, catalogue);
  const devices = made.climate.devices.map((it) =>
    it.kind === 'fan-small' ? { ...it, duty: { on: 30, every: 90 } } : it,
  );
  return { ...made, climate: { ...made.climate, devices } };
};

/** Of what a heater draws three quarters stay: the design tells of the one that the box has. */
function heatedBy(stays: number, design: Design): Design {
  const devices = design.climate.devices.map((it) =>
    it.thermostat && it.timer.by === 'always' ? { ...it, power: Math.round(stays / 0.75) } : it,
  );
  return { ...design, climate: { ...design.climate, devices } };
}

type Built = Omit<FaultyBox, 'name' | 'mistings' | 'on' | 'off' | 'holds'>;
const BUILT: readonly (readonly [id: string, fan: boolean, built: Built])[] = [
  [
    'demo-bog-shelf',
    true,
    {
      air: 0.13,
      walls: 1.6,
      ground: 0.27,
      leak: 2,
      fan: 5,
      wetness: 0.2,
      lamps: 24,
      toWarm: 0.5,
      heater: 0,
      mist: 22,
      room: [22, 19.5],
      damp: 0.42,
    },
  ],
  [
    'demo-hedge',
    false,
    {
      air: 0.15,
      walls: 2,
      ground: 0.2,
      leak: 2.5,
      fan: 0,
      wetness: 0.12,
      lamps: 62,
      toWarm: 0.7,
      heater: 45,
      mist: 30,
      room: [21.5, 18.5],
      damp: 0.4,
    },
  ],
  [
    'demo-limestone',
    false,
    {
      air: 0.1,
      walls: 1.4,
      ground: 0.27,
      leak: 2,
      fan: 0,
      wetness: 0.14,
      lamps: 18,
      toWarm: 0.55,
      heater: 35,
      mist: 18,
      room: [20.5, 17.5],
      damp: 0.45,
    },
  ],
  [
    'demo-dry-wash',
    false,
    {
      air: 0.15,
      walls: 1.8,
      ground: 0.4,
      leak: 3,
      fan: 0,
      wetness: 0.015,
      lamps: 70,
      toWarm: 0.75,
      heater: 60,
      mist: 0,
      room: [21.5, 18],
      damp: 0.4,
    },
  ],
];

export interface TestBox {
  readonly design: Design;
  readonly box: FaultyBox;
}
export const BOXES: readonly TestBox[] = BUILT.map(([id, fan, built]) => {
  const plain = designs.get(id);
  if (!plain) throw new Error(id);
  const design = heatedBy(built.heater, fan ? fanned(plain) : plain);
  const { day, mist, devices } = design.climate;
  const held = devices.find((it) => it.thermostat && it.timer.by === 'always')?.thermostat;
  return {
    design,
    box: {
      name: design.name,
      ...built,
      mistings: mist.by === 'nozzles' ? mist.times.map((it) => it.at / 60) : [],
      on: day.on / 60,
      off: day.off / 60,
      // What is held at nothing by night is off then.
      holds: [held?.day ?? OFF, held?.night ?? OFF],
    },
  };
});

/** Faults that a box can have: without nozzles none of mist, without a heater none of heat. */
export function canHave({ box }: TestBox, fault: Fault): boolean {
  if (/mist|bottle/.test(fault)) return box.mist > 0;
  if (/heat-|thermostat/.test(fault)) return box.heater > 0;
  if (/fan/.test(fault)) return box.fan > 0;
  return true;
}

const START = Date.UTC(2026, 2, 2);
const DAY_OF_YEAR = 61;
const HOUR = 3_600_000;

const pointOf = ({ spot, quantity, at, value }: Read, design: Design) => {
  const series: Series = {
    id: `${spot} ${quantity}`,
    design: design.id,
    name: `${spot} ${quantity}`,
    quantity,
    place: spot,
    at: null,
    instrument: '',
    source: `logger/${spot}`,
    alarm: null,
    changed: 0,
    gone: false,
  };
  return {
    series,
    track: trackOf(
      at.map((it) => START + it * HOUR),
      value.map((it) => toSteps(it, quantity)),
    ),
  };
};

export interface Told {
  readonly fault: Fault | null;
  readonly name: string;
  readonly found: Diagnosis;
  /** Place of the true cause among those told, from 0; null: it is not among them. */
  readonly rank: number | null;
  readonly right: boolean;
  /** What the fault changes in the last day against the same box without it, in units of what is noticed: 0.8 K, 4 points. */
  readonly effect: number;
}

/** The record of a box with a fault that began so many hours before the end, as the program keeps it. */
export function casePoints(
  it: TestBox,
  fault: Fault | null,
  hoursAgo: number,
  seed: number,
  more: Partial<RecordInput> = {},
) {
  const days = 21 + (seed % 8);
  const input: RecordInput = {
    box: it.box,
    fault,
    begins: days * 24 - hoursAgo,
    days,
    everyMinutes: seed % 2 === 0 ? 10 : 15,
    seed,
    inRoom: seed % 4 === 1,
    ...more,
  };
  const reads = readFaulty(input);
  return {
    input,
    reads,
    points: reads.filter((own) => own.at.length > 0).map((own) => pointOf(own, it.design)),
    isDay: (at: number): boolean => {
      const clock = ((at - START) / HOUR) % 24;
      return clock >= it.box.on && clock < it.box.off;
    },
    now: START + days * 24 * HOUR,
  };
}

const yardsticks = new Map<string, Yardstick>();
/** A design played through with its faults, once: by what Rincon knows of it and what the first record says is usual. */
function yardstickOf(design: Design, usual: () => ReturnType<typeof usualDays>): Yardstick {
  const found =
    yardsticks.get(design.id) ??
    atOnce(playingFaults(design, catalogue, DAY_OF_YEAR, ['warm', 'cool', 'room'], usual()));
  yardsticks.set(design.id, found);
  return found;
}

/** What the first opinion says of it. */
export function tellOf(
  it: TestBox,
  fault: Fault | null,
  hoursAgo: number,
  seed: number,
  more: Partial<RecordInput> = {},
): Told {
  const { input, reads, points, isDay, now } = casePoints(it, fault, hoursAgo, seed, more);
  const found = diagnose({
    design: it.design,
    catalogue,
    points,
    log: [],
    seen: [],
    isDay,
    now,
    yardstick: yardstickOf(it.design, () => usualDays(points, isDay, it.design)),
  });
  const causes = fault ? TRUE_CAUSES[fault] : [];
  const rank = found.causes.findIndex((own) => causes.includes(own.id));
  return {
    fault,
    name: `${it.box.name}: ${fault ?? 'sound'}, ${hoursAgo} h, seed ${seed}`,
    found,
    rank: rank < 0 ? null : rank,
    right: rank === 0,
    effect: fault ? effectOf(reads, readFaulty({ ...input, fault: null }), input.days) : 0,
  };
}

/** How much two records of the same weather differ in their last day. */
function effectOf(a: readonly Read[], b: readonly Read[], days: number): number {
  return Math.max(
    ...a.map(({ at, value, quantity }, i) => {
      const sound = new Map((b[i]?.at ?? []).map((hours, k) => [hours, b[i]?.value[k] ?? 0]));
      const late = at.flatMap((hours, k) => {
        const own = sound.get(hours);
        return hours < (days - 1) * 24 || own === undefined ? [] : [Math.abs((value[k] ?? 0) - own)];
      });
      if (late.length < 12) return 9;
      return late.reduce((sum, own) => sum + own, 0) / late.length / (quantity === 'humidity' ? 0.04 : 0.8);
    }),
  );
}
