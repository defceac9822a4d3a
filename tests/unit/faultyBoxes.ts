/**
 * Boxes with something wrong in them, by a model that is not the engine: two zones of air over two of ground, a film of
 * water that mistings leave, steps of a minute, walls and leaks by coefficients of its own, a room with
 * weather of its own, probes that lag, lie, round and drop out. Nothing of the engine is imported. For tests of
 * troubleshooting only; nothing of it is meant to be built.
 */
export const FAULTS = [
  'heat-off',
  'heat-stuck',
  'lamps-off',
  'power',
  'no-mist',
  'mist-stuck',
  'mist-weak',
  'bottle-empties',
  'vents-covered',
  'lid-open',
  'fan-dead',
  'fan-stuck',
  'room-hot',
  'room-cold',
  'room-dry',
  'probe-stuck',
  'probe-silent',
  'probe-drift',
  'probe-moved',
  'timer-shifted',
  'thermostat-drifted',
] as const;
export type Fault = (typeof FAULTS)[number];

export interface FaultyBox {
  readonly name: string;
  /** m³ of air; m² of walls and of moist ground. */
  readonly air: number;
  readonly walls: number;
  readonly ground: number;
  /** Changes of its air an hour, at rest and by its fan. */
  readonly leak: number;
  readonly fan: number;
  /** Changes an hour that rise for √K it is warmer than the room. */
  readonly stack?: number;
  /** How freely its ground dries: share of bare wet ground. */
  readonly wetness: number;
  /** W of lamps that stay in it by day, and how much of them on the warm side. */
  readonly lamps: number;
  readonly toWarm: number;
  /** W of a heater on the warm side, held there at °C by day and by night; 0: none. */
  readonly heater: number;
  readonly holds: readonly [day: number, night: number];
  /** g a misting, and the hours of the day of each. */
  readonly mist: number;
  readonly mistings: readonly number[];
  /** Lights, h. */
  readonly on: number;
  readonly off: number;
  /** Room: °C by day and by night, and humidity. */
  readonly room: readonly [day: number, night: number];
  readonly damp: number;
}

export type Quantity = 'temperature' | 'humidity';
export type Spot = 'warm' | 'cool' | 'room';

export interface Read {
  readonly spot: Spot;
  readonly quantity: Quantity;
  /** h from the start, and what was read: °C or 0 to 1. */
  readonly at: readonly number[];
  readonly value: readonly number[];
}

export interface RecordInput {
  readonly box: FaultyBox;
  readonly fault: Fault | null;
  /** h from the start at which it begins. */
  readonly begins: number;
  readonly days: number;
  readonly everyMinutes: number;
  readonly seed: number;
  /** Whether a probe lies in the room. */
  readonly inRoom: boolean;
  /** Whether it tells the room’s humidity too. */
  readonly roomHumidity?: boolean;
  /** How rough the weather is; 1 as usual. */
  readonly rough?: number;
  /** Of the probes alone: two boxes in one room have one weather and probes of their own. Left out: of the same seed. */
  readonly probes?: number;
}

const AIR_HEAT = 1210; // J/m³K
const STEP = 60; // s
/** s in which what stands on the ground soaks in to a third. */
const SOAKS = 3 * 3600;
/** Magnus' formula as in the guide of the WMO: g of vapour in a m³ of full air. */
const full = (t: number): number => (216.7 * 6.112 * Math.exp((17.62 * t) / (243.12 + t))) / (273.15 + t);

function dice(seed: number): () => number {
  let a = (seed * 0x9e3779b1) >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}
/** About normal, of spread 1. */
const bell = (next: () => number): number =>
  next() + next() + next() + next() + next() + next() - 3 + (next() - 0.5) * 1e-9;

/** Writes what the probes of a box would have read. */
export function readFaulty(asked: RecordInput): readonly Read[] {
  const { box, fault, begins, days, everyMinutes, seed, inRoom, rough = 1, probes: ownLuck } = asked;
  const next = dice(seed + 1);
  const luck = ownLuck === undefined ? next : dice(ownLuck);
  const steps = Math.round((days * 86_400) / STEP);
  const every = Math.round((everyMinutes * 60) / STEP);
  // Air, ground, vapour and film of the warm and the cool half.
  const air = [24, 22];
  const soil = [23, 22];
  const vapour = [0, 0].map((_, i) => 0.7 * full(air[i] ?? 22));
  const film = [0, 0];
  // What a misting leaves on the ground, which soaks in.
  const puddle = [0, 0];
  let [weather, wet] = [0, 0];
  let tank = 1000;
  const half = box.air / 2;
  const thermostats = { on: false };
  const lagged = new Map<string, number>();
  const of = (spot: Spot, quantity: Quantity) => ({
    spot,
    quantity,
    at: [] as number[],
    value: [] as number[],
  });
  const probes = [
    of('warm', 'temperature'),
    of('warm', 'humidity'),
    of('cool', 'temperature'),
    of('cool', 'humidity'),
    ...(inRoom ? [of('room', 'temperature')] : []),
    ...(asked.roomHumidity ? [of('room', 'humidity')] : []),
  ];
  const traits = probes.map(({ quantity }) => ({
    bias: (luck() - 0.5) * (quantity === 'humidity' ? 0.04 : 0.8),
    noise: quantity === 'humidity' ? 0.004 + 0.006 * luck() : 0.04 + 0.08 * luck(),
    grain: quantity === 'humidity' ? (luck() < 0.5 ? 0.01 : 0.001) : luck() < 0.5 ? 0.1 : 0.0625,
    lag: 60 * (3 + 12 * luck()),
  }));
  const victim = Math.floor(luck() * 4);
  let stuck: number | null = null;
  const holes = Array.from({ length: 2 }, () => [luck() * days * 24, 1 + luck() * 5] as const);
  for (let step = 0; step < steps; step += 1) {
    const hours = (step * STEP) / 3600;
    const late = hours - begins;
    const is = (it: Fault): boolean => fault === it && late >= 0;
    const dead = is('power');
    const clock = hours % 24;
    const shift = is('timer-shifted') ? 3 : 0;
    const ownClock = (((clock - shift) % 24) + 24) % 24;
    const isDay = ownClock >= box.on && ownClock < box.off;
    const [warmRoom, coolRoom] = box.room;
    if (step % 60 === 0) {
      weather = 0.975 * weather + 0.12 * rough * bell(next);
      wet = 0.97 * wet + 0.012 * rough * bell(next);
    }
    const swing = (1 - Math.cos((2 * Math.PI * (clock - 4)) / 24)) / 2;
    const grows = Math.min(1, Math.max(0, late) / 12);
    const room =
      coolRoom +
      (warmRoom - coolRoom) * swing +
      weather +
      (is('room-hot') ? 5 * grows : 0) -
      (is('room-cold') ? 5 * grows : 0);
    const share = Math.min(0.95, Math.max(0.1, box.damp + wet - (is('room-dry') ? 0.22 * grows : 0)));
    const outside = share * full(coolRoom + (warmRoom - coolRoom) * 0.5);

    // What is switched.
    const lamps = isDay && !dead && !is('lamps-off') ? box.lamps : 0;
    const off = is('thermostat-drifted') ? Math.min(5, late / 24) : 0;
    const wanted = (isDay ? box.holds[0] : box.holds[1]) + off;
    const warm = air[0] ?? 0;
    thermostats.on = warm < wanted - 0.4 ? true : warm > wanted + 0.4 ? false : thermostats.on;
    const heats = is('heat-stuck') || (thermostats.on && !is('heat-off'));
    const heater = box.heater > 0 && heats && !dead ? box.heater : 0;
    const fanRuns = is('fan-stuck') || (!is('fan-dead') && isDay && clock % 1.5 < 0.5);
    const rises = (box.stack ?? 0) * Math.sqrt(Math.max(0, ((air[0] ?? 0) + (air[1] ?? 0)) / 2 - room));
    let changes = box.leak + rises + (fanRuns && !dead ? box.fan : 0);
    if (is('vents-covered')) changes *= 0.25;
    if (is('lid-open')) changes = Math.max(changes * 5, changes + 6);
    for (const at of box.mistings) {
      // By whole minutes: hours in fractions meet a time of the day twice or never.
      if (step % 1440 === Math.round((at + shift) * 60) % 1440 && !dead) {
        let grams = box.mist;
        if (is('no-mist')) grams = 0;
        if (is('mist-weak')) grams *= 0.35;
        if (is('bottle-empties')) {
          // Filled on every third day, empty after the first.
          if (Math.floor(hours / 24) % 3 === 0 && at === box.mistings[0]) tank = 2.2 * box.mist;
          grams = Math.min(grams, tank);
          tank -= grams;
        }
        // A tenth of the fine spray is vapour before it lands.
        for (const i of [0, 1]) {
          film[i] = (film[i] ?? 0) + grams * 0.3;
          puddle[i] = (puddle[i] ?? 0) + grams * 0.15;
          vapour[i] = Math.min(full(air[i] ?? 0), (vapour[i] ?? 0) + (0.05 * grams) / half);
        }
      }
    }
    if (is('mist-stuck') && !dead) {
      const drip = (box.mist * STEP) / 5400;
      film[0] = Math.min(4 * box.mist, (film[0] ?? 0) + drip / 2);
      film[1] = Math.min(4 * box.mist, (film[1] ?? 0) + drip / 2);
    }

    // Heat and water of each half.
    const mixing = 0.9 * Math.sqrt(half) + 0.15;
    for (const i of [0, 1]) {
      const other = 1 - i;
      const t = air[i] ?? 0;
      const g = soil[i] ?? 0;
      const v = vapour[i] ?? 0;
      const held = film[i] ?? 0;
      // m³/s of air that is as damp as its water: off the ground and off what a misting left.
      const damp = puddle[i] ?? 0;
      const shines = Math.min(1, (damp / (50 * box.ground)) ** (2 / 3));
      const fromGround = (0.005 * box.ground * Math.min(1, box.wetness + shines * (1 - box.wetness))) / 2;
      // Drops that shrink keep of the face they wet as the power of two thirds of what they hold; 40 g/m² wet all of it.
      const fromFilm = 0.003 * (box.walls / 2) * Math.min(1, (held / (20 * box.walls)) ** (2 / 3));
      // Faces lie between the air and the room; what they gather stays on them until it is so much that it runs.
      const face = full(0.75 * t + 0.25 * room);
      const driesOff = Math.min(held / 300, fromFilm * Math.max(0, face - v));
      const gathers = 0.003 * (box.walls / 2) * Math.max(0, v - face);
      const dries = fromGround * Math.max(0, full(g) - v) + driesOff;
      const flow = (changes * box.air) / 3600 / 2;
      const own = i === 0 ? box.toWarm : 1 - box.toWarm;
      // Lamps warm the ground more than the air; the heater hangs over the warm side.
      const heatAir =
        0.45 * lamps * own +
        (i === 0 ? 0.6 * heater : 0.12 * heater) +
        (box.walls / 2) * 2.3 * (room - t) +
        (box.ground / 2) * 6 * (g - t) +
        flow * AIR_HEAT * (room - t) +
        mixing * ((air[other] ?? 0) - t) -
        0.3 * dries * 2450;
      air[i] = t + (STEP * heatAir) / (half * AIR_HEAT * 9);
      soil[i] =
        g +
        (STEP *
          (0.55 * lamps * own +
            (i === 0 ? 0.22 : 0.06) * heater +
            (box.ground / 2) * 6 * (t - g) +
            (box.ground / 2) * 1.1 * (room - g) -
            0.7 * dries * 2450)) /
          (box.ground * 0.5 * 95_000);
      puddle[i] = Math.max(
        0,
        damp * (1 - STEP / SOAKS) - fromGround * Math.max(0, full(g) - v) * shines * STEP,
      );
      film[i] = Math.min(30 * box.walls, Math.max(0, held + (gathers - driesOff) * STEP));
      // Implicit: a small box changes its air many times in a step.
      const mixes = 0.0012 * Math.sqrt(half);
      const wets = face > v ? driesOff / (face - v) : 0;
      const takes = v > face ? 0.003 * (box.walls / 2) : 0;
      const gains =
        flow * outside + mixes * (vapour[other] ?? 0) + fromGround * full(g) + (wets + takes) * face;
      const loses = flow + mixes + fromGround + wets + takes;
      vapour[i] = Math.min(full(air[i] ?? t), (v + (STEP / half) * gains) / (1 + (STEP / half) * loses));
    }

    for (const [index, { spot, quantity }] of probes.entries()) {
      const i = spot === 'cool' ? 1 : 0;
      const moved = is('probe-moved') && index < 2;
      const lies = moved ? 0.25 : 1;
      const t =
        spot === 'room' ? room : lies * (air[i] ?? 0) + (1 - lies) * (0.4 * (air[1] ?? 0) + 0.6 * room);
      const v =
        spot === 'room'
          ? outside
          : lies * (vapour[i] ?? 0) + (1 - lies) * (0.4 * (vapour[1] ?? 0) + 0.6 * outside);
      const truth = quantity === 'temperature' ? t : Math.min(1, v / full(t));
      const key = `${spot} ${quantity}`;
      const { lag, bias, noise, grain } = traits[index] ?? { lag: 300, bias: 0, noise: 0.1, grain: 0.1 };
      const before = lagged.get(key) ?? truth;
      const seen = before + (truth - before) * Math.min(1, STEP / lag);
      lagged.set(key, seen);
      if (step % every !== 0 || luck() < 0.012) continue;
      if (holes.some(([from, long]) => hours >= from && hours < from + long)) continue;
      const own = index === victim;
      if (own && is('probe-silent')) continue;
      let told = seen + bias + noise * bell(luck);
      if (own && is('probe-drift')) told += (late / 24) * (quantity === 'humidity' ? 0.035 : 0.45);
      if (own && is('probe-stuck')) told = stuck ??= told;
      told = Math.round(told / grain) * grain;
      const probe = probes[index];
      probe?.at.push(hours);
      probe?.value.push(quantity === 'humidity' ? Math.min(1, Math.max(0.05, told)) : told);
    }
  }
  return probes;
}
