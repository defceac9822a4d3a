import type { CalibrationInput, Probe } from '@/core/calibration';
import type { Design } from '@/core/document';
import type { Trace } from '@/core/readings';
import { BOXES, type TestBox } from './faultyCases';
import { readFaulty, type FaultyBox } from './faultyBoxes';

/** Day of the year the records begin with. */
const FROM = 61;
/** Of what a lamp or heater above the gauze draws, how much comes in (common practice: a third to a half). */
const [OF_LAMPS, OF_HEATERS] = [0.33, 0.45];
/** W of a basking lamp that is simply on by day. */
const BASKING = 25;

/** Lamps that are on by day, and heaters that a plain thermostat switches by the air of the warm side. */
function simplified(design: Design): Design {
  const { width, depth } = design.enclosure;
  const warm = design.scape.warm === 'right' ? 0.75 : 0.25;
  const devices = design.climate.devices.map((it) =>
    !it.thermostat
      ? it
      : it.timer.by === 'day'
        ? { ...it, thermostat: null, power: BASKING }
        : {
            ...it,
            thermostat: {
              kind: 'on-off' as const,
              day: 24,
              night: 21,
              probe: { x: warm * width, y: depth / 2, z: 0.25 },
            },
          },
  );
  return { ...design, climate: { ...design.climate, devices } };
}

/**
 * A box as it would be built from its drawing, by the plain arithmetic of this generator: areas off the drawing, a third
 * of lamps and not half of heaters that hang above gauze, air that rises through the vents by the height between them.
 */
function builtFrom(design: Design, { box }: TestBox): FaultyBox {
  const { width, depth, height, topCover, made } = design.enclosure;
  const { mist, devices } = design.climate;
  const power = (of: (it: Design['climate']['devices'][number]) => boolean): number =>
    devices.filter(of).reduce((sum, it) => sum + it.power, 0);
  const low = (made.ventLow ?? 0) * width;
  const top = (1 - topCover) * width * depth * 0.6;
  const open = 1 / Math.sqrt(1 / low ** 2 + 1 / top ** 2);
  const air = 0.75 * width * depth * height;
  const held = devices.find((it) => it.thermostat)?.thermostat;
  const lights = power((it) => it.timer.by === 'day' && /bar|tube|bulb/.test(it.kind));
  const nozzles = devices.filter((it) => /nozzle/.test(it.kind)).length;
  return {
    ...box,
    air,
    walls: 2 * (width + depth) * height + width * depth,
    ground: width * depth,
    leak: 1.5,
    // Of a sharp opening 0.6, of gauze half of it.
    stack: (3600 * 0.3 * open * Math.sqrt((9.81 * height) / 293)) / air,
    lamps: OF_LAMPS * lights,
    toWarm: /bulb/.test(devices.map((it) => it.kind).join()) ? 0.65 : 0.5,
    heater: OF_HEATERS * power((it) => it.thermostat !== null),
    holds: [held?.day ?? -99, held?.night ?? -99],
    // 1.1 g a second.
    mist: mist.by === 'nozzles' ? 1.1 * nozzles * (mist.times[0]?.seconds ?? 0) : 0,
    room: [22, 19.5],
    damp: 0.36,
  };
}

export interface CalibrationCase {
  readonly name: string;
  /** Which of the boxes, and how it is built other than drawn. */
  readonly of: number;
  readonly change: (box: FaultyBox) => Partial<FaultyBox>;
  /** What was read of the room. */
  readonly room: 'none' | 'warmth' | 'both';
  readonly days: number;
}

const leaky =
  (by: number) =>
  (it: FaultyBox): Partial<FaultyBox> => ({
    leak: by * it.leak,
    stack: by * (it.stack ?? 0),
    fan: by * it.fan,
  });
const walled =
  (by: number) =>
  (it: FaultyBox): Partial<FaultyBox> => ({ walls: by * it.walls });
const heated =
  (by: number) =>
  (it: FaultyBox): Partial<FaultyBox> => ({ lamps: by * it.lamps, heater: by * it.heater });

export const CASES: readonly CalibrationCase[] = [
  { name: 'bog shelf, half the leak', of: 0, change: leaky(0.5), room: 'both', days: 14 },
  { name: 'bog shelf, twice the leak', of: 0, change: leaky(2), room: 'warmth', days: 14 },
  { name: 'hedge, half the leak', of: 1, change: leaky(0.5), room: 'both', days: 14 },
  { name: 'hedge, twice the leak', of: 1, change: leaky(2), room: 'none', days: 21 },
  { name: 'limestone, thick walls', of: 2, change: walled(0.7), room: 'both', days: 12 },
  { name: 'limestone, thin walls', of: 2, change: walled(1.4), room: 'warmth', days: 14 },
  { name: 'limestone, twice the leak', of: 2, change: leaky(2), room: 'both', days: 14 },
  { name: 'dry wash, less heat stays', of: 3, change: heated(0.75), room: 'both', days: 14 },
  { name: 'dry wash, thin walls', of: 3, change: walled(1.3), room: 'none', days: 14 },
  { name: 'hedge, more heat stays', of: 1, change: heated(1.3), room: 'warmth', days: 14 },
];

const traceOf = (reads: ReturnType<typeof readFaulty>, spot: string, quantity: string): Trace | null => {
  const own = reads.find((it) => it.spot === spot && it.quantity === quantity);
  return own ? { t: own.at.map((h) => h * 3600), value: own.value } : null;
};

/**
 * What is given to the calibration of a case.
 * @param rough how rough the weather of its room is; 1 as usual
 */
export function inputOf(
  { of, change, room, days }: CalibrationCase,
  seed: number,
  rough = 1,
): CalibrationInput {
  const own = BOXES[of];
  if (!own) throw new Error(`no box ${of}`);
  const design = simplified(own.design);
  const built = builtFrom(design, own);
  const reads = readFaulty({
    box: { ...built, ...change(built) },
    fault: null,
    begins: Infinity,
    days,
    everyMinutes: 15,
    seed,
    inRoom: room !== 'none',
    roomHumidity: room === 'both',
    rough,
  });
  const probe = (spot: 'warm' | 'cool'): Probe => ({
    name: spot,
    where: spot,
    temperature: traceOf(reads, spot, 'temperature'),
    humidity: traceOf(reads, spot, 'humidity'),
  });
  return {
    design,
    from: FROM,
    probes: [probe('warm'), probe('cool')],
    room: {
      temperature: traceOf(reads, 'room', 'temperature'),
      humidity: traceOf(reads, 'room', 'humidity'),
    },
  };
}
