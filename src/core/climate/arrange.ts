import { burns } from './burns';
import { USUAL_NOZZLE } from './misting';
import { withinWalls } from './within';
import { roomClimate } from '../brief';
import { findDeviceKind, type Animal, type Catalogue } from '../catalogue';
import { BARE_CLIMATE, type Climate, type Design, type Device } from '../document/schema';
import { siteAt } from '../ground/bodies';
import { placePieces } from '../pieces/place';
import { baskingPoint, irradianceFor, warmPlace, wattsFor } from './basking';
import { clearOver, TOO_HIGH } from './clearance';

/** Times of the day, min. */
const MORNING = 8 * 60 + 10;
const NOON = 13 * 60;
/** An hour before lights out, so that leaves dry. */
const EVENING = 19 * 60;

/** Water a day for each m³ of a wet box, kg, by how dry the room is (common practice; the schedule solver betters it). */
const WATER_A_DAY = { dry: 1.6, middle: 1.1, humid: 0.6 } as const;
/** Lumens a litre of box: at the upper end of what keepers of plants are content with (common practice, 10 to 20). */
const LUMENS_A_LITRE = { wet: 20, dry: 12 } as const;

/** Seconds of nozzles, or pulls of a sprayer, by what lives there. */
function mistFor(
  world: Animal['ground']['value'],
  room: keyof typeof WATER_A_DAY,
  volume: number,
  nozzles: number,
): Climate['mist'] {
  const times = (seconds: number, ...at: number[]) => at.map((it) => ({ at: it, seconds }));
  const each = (share: number): number =>
    Math.min(90, Math.max(8, Math.round((WATER_A_DAY[room] * volume * share) / (nozzles * USUAL_NOZZLE))));
  switch (world) {
    case 'half-water':
      return { by: 'nozzles', times: times(each(0.25), MORNING, EVENING), everyDays: 1, bottle: 0.01 };
    case 'wet':
      return { by: 'nozzles', times: times(each(1 / 3), MORNING, NOON, EVENING), everyDays: 1, bottle: 0.01 };
    case 'damp':
      return { by: 'hand', times: times(40, MORNING), everyDays: room === 'dry' ? 1 : 2, bottle: null };
    case 'dry':
      return { by: 'hand', times: times(8, MORNING), everyDays: 7, bottle: null };
  }
}

/** m over the place it is for that a lamp on a wire hangs at (common practice: the height of a table lamp). */
const ON_A_WIRE = 0.45;

/** Where something hangs, seen from above, m. */
interface Spot {
  readonly x: number;
  readonly y: number;
}

/** Lamps, heat and mist for the animal's climate: a start that is sound, to be changed. */
export function arrangeClimate(design: Design, animal: Animal | undefined, catalogue: Catalogue): Climate {
  const { width, depth, height, top } = design.enclosure;
  const world = animal?.ground.value ?? 'wet';
  const room = roomClimate(design.brief.room);
  const right = design.scape.warm === 'right';
  const warmX = warmPlace(width, design.scape.warm);
  const site = siteAt(design);
  const over = top === 'solid' ? height - 0.05 : height + 0.04;
  /** Where a lamp for a place hangs: over the top, or on a wire where that is too far off. */
  const hungOver = (z: number): number => (over - z > TOO_HIGH ? z + ON_A_WIRE : over);
  const devices: Device[] = [];
  const placed = placePieces(design.scape.pieces, site);
  /** As high as keeps it clear of all that stands under it. */
  const roof = top === 'solid' ? over : Infinity;
  const clearOf = (at: Device['at'], clear: number): Device['at'] =>
    clear > 0 ? { ...at, z: Math.min(roof, Math.max(at.z, clearOver(placed, at, clear))) } : at;
  /** Under a closed top nothing hangs higher: the first place that is clear, else the one that is clearest. */
  const clearest = (first: Spot, clear: number): Spot => {
    if (top !== 'solid') return first;
    const spots = [first.x, width * (right ? 0.75 : 0.25), width * (right ? 0.62 : 0.38)].flatMap((x) =>
      [first.y, depth * 0.5, depth * 0.75].map((y) => ({ x, y })),
    );
    const needs = spots.map((it) => clearOver(placed, it, clear));
    const least = Math.min(...needs);
    return spots[needs.findIndex((it) => it <= Math.max(roof, least))] ?? first;
  };
  const add = (id: string, told: Partial<Device>): void => {
    const kind = findDeviceKind(catalogue, id);
    if (!kind) return;
    const at = clearOf(told.at ?? { x: width / 2, y: depth / 2, z: over }, kind.clearance?.value ?? 0);
    const device: Device = {
      id: `device-${devices.length + 1}`,
      name: kind.name,
      kind: id,
      length:
        kind.form === 'bulb' || kind.form === 'nozzle' || kind.form === 'fan'
          ? kind.length
          : Math.min(kind.length, width * 0.92),
      along: 'x',
      power: kind.powers[0] ?? 0,
      dim: 1,
      timer: { by: 'day' },
      thermostat: null,
      humidistat: null,
      duty: null,
      since: null,
      tank: null,
      guarded: false,
      ...told,
      at,
    };
    const within = withinWalls(design.enclosure, device, kind.form);
    devices.push({ ...within, guarded: burns(design.enclosure, within, kind) });
  };

  // By the litre, for plants; bars of up to 36 W, side by side where one is not enough.
  const lights = findDeviceKind(catalogue, 'led-bar');
  const lumens = LUMENS_A_LITRE[world === 'dry' ? 'dry' : 'wet'] * width * depth * height * 1000;
  const watts = lumens / (lights?.lumensPerWatt?.value ?? 110);
  const bars = Math.min(4, Math.max(1, Math.ceil(watts / 36)));
  for (let bar = 0; bar < bars; bar += 1) {
    add('led-bar', {
      at: { x: width / 2, y: depth * (bars === 1 ? 0.35 : 0.25 + (0.45 * bar) / (bars - 1)), z: over },
      length: Math.min(0.9, Math.max(0.25, width * 0.85)),
      power: Math.min(36, Math.max(5, Math.round(watts / bars))),
    });
  }
  const zone = animal?.climate.uvZone.value ?? 1;
  if (zone >= 2) {
    const id = zone === 2 ? 'uv-tube-low' : zone === 3 ? 'uv-tube-middle' : 'uv-tube-high';
    const length = Math.min(0.85, Math.max(0.25, width * 0.7));
    add(id, {
      at: { x: right ? width - length / 2 - 0.02 : length / 2 + 0.02, y: depth * 0.6, z: over },
      length,
      power: Math.round(length * 43),
    });
  }
  const warm = animal?.climate.warm.value;
  const night = animal?.climate.night.value;
  const basking = animal?.climate.basking?.value;
  const chosen = placed.find(({ piece }) => piece.basking);
  const spot = chosen
    ? baskingPoint(chosen, warmX, site.groundAt)
    : { x: warmX, y: depth * 0.5, z: site.groundAt(warmX, depth * 0.5) };
  if (basking && warm) {
    const target = (basking.low + basking.high) / 2;
    const at = { x: spot.x, y: spot.y };
    const distance = Math.max(0.12, hungOver(spot.z) - spot.z);
    const low = target - warm.high < 3;
    const kind = findDeviceKind(catalogue, low ? 'incandescent-bulb' : 'halogen-wide');
    const wanted = kind?.half
      ? wattsFor(
          irradianceFor(target, warm.low),
          { radiant: kind.radiant.value, half: kind.half.value },
          distance,
          top === 'mesh' && hungOver(spot.z) === over ? 0.58 : 1,
        )
      : 50;
    const power =
      [...(kind?.powers ?? [50])].sort((a, b) => a - b).find((it) => it >= wanted) ??
      Math.max(...(kind?.powers ?? [50]));
    add(kind?.id ?? 'halogen-flood', {
      at: { ...at, z: hungOver(spot.z) },
      power,
      thermostat: {
        kind: 'proportional',
        day: target,
        night: null,
        probe: spot,
      },
    });
  }
  // What the room does not give by day on the warm side, or by night at all, dark warmth does.
  const short = warm ? warm.low - room.temperature : 0;
  const cold = night ? night.low - room.temperature + 2 : 0;
  if (warm && night && (short > 1 || cold > 0)) {
    // Walls let out some 4 W/m²K (ISO 6946); of a lamp over gauze about a third warms the box (from memory).
    const walls = 2 * (width + depth) * height + width * depth;
    const lost = (4 + walls * 4 * 0.5 * Math.max(1, short)) / (over > height ? 0.22 : 0.6);
    const id = lost > 90 ? 'ceramic-emitter' : 'infrared-emitter';
    const kind = findDeviceKind(catalogue, id);
    const wanted = lost;
    const power =
      [...(kind?.powers ?? [50])].sort((a, b) => a - b).find((it) => it >= wanted) ??
      Math.max(...(kind?.powers ?? [50]));
    const at = clearest(
      { x: right ? width * 0.88 : width * 0.12, y: depth * 0.25 },
      kind?.clearance?.value ?? 0,
    );
    add(id, {
      at: { ...at, z: over },
      power,
      timer: { by: 'always' },
      thermostat: {
        kind: 'proportional',
        day: basking ? warm.low : (warm.low + warm.high) / 2 - 0.5,
        night: cold > -1 ? night.low + 0.5 : null,
        probe: { ...at, z: site.groundAt(at.x, at.y) + 0.06 },
      },
    });
  }
  const parts = width > 0.5 ? [0.25, 0.75] : [0.5];
  const mist = mistFor(world, room.kind, width * depth * height, parts.length);
  if (mist.by === 'nozzles') {
    for (const part of parts) {
      add('nozzle-fine', {
        at: { x: width * part, y: depth * 0.4, z: height - 0.02 },
        timer: { by: 'clock', spans: [] },
      });
    }
  }
  return {
    ...BARE_CLIMATE,
    room: design.climate.room,
    devices,
    mist,
    night: design.climate.night,
    day: design.climate.day,
    topGauze: design.climate.topGauze,
  };
}
