import type { ClimateRows, DeviceKind, GauzeKind, RoomKind } from '@/core/catalogue';
import { memory, practice, range } from './basis';

/**
 * Lamps, heaters, misters and fans by what they give, gauzes, and rooms. All figures from memory, to be confirmed by a
 * meter; they are those of usual wares, of no maker's. Angles in radians, water in kg/s, air in m³/s.
 */
interface Row {
  id: string;
  name: string;
  group: DeviceKind['group'];
  why: string;
  form: DeviceKind['form'];
  powers: number[];
  length: number;
  radiant: number;
  /** Degrees from the axis at which half is left. */
  half?: number;
  lumens?: number;
  light?: DeviceKind['light'];
  uv?: [number, number];
  uvHalf?: number;
  clearance?: number;
  heats?: boolean;
  dark?: boolean;
  water?: number;
  spray?: number;
  flow?: number;
  price: number;
}

const DEGREE = Math.PI / 180;

const rows: Row[] = [
  // UV
  { id: 'uv-tube-low', name: 'Linear UV tube, low output', group: 'uv', form: 'tube', why: 'A gentle strip for forest and shade kinds.', powers: [14, 8, 22, 24], length: 0.55, radiant: 0.45, lumens: 45, light: 'fluorescent', uv: [0.9, 1.5], uvHalf: 6000, price: 32 },
  { id: 'uv-tube-middle', name: 'Linear UV tube, middle output', group: 'uv', form: 'tube', why: 'For kinds that bask in dappled sun.', powers: [24, 14, 39], length: 0.55, radiant: 0.45, lumens: 45, light: 'fluorescent', uv: [2.2, 3.4], uvHalf: 6000, price: 38 },
  { id: 'uv-tube-high', name: 'Linear UV tube, high output', group: 'uv', form: 'tube', why: 'For desert kinds that bask in the open; too much for a small forest box.', powers: [24, 39, 54], length: 0.55, radiant: 0.45, lumens: 42, light: 'fluorescent', uv: [3.8, 5.6], uvHalf: 6000, price: 42 },
  { id: 'uv-compact-low', name: 'Compact UV lamp, low output', group: 'uv', form: 'bulb', why: 'Small boxes; its UV is gone within a few decimetres.', powers: [13, 26], length: 0.06, radiant: 0.45, half: 55, lumens: 40, light: 'fluorescent', uv: [0.5, 1.0], uvHalf: 4500, price: 20 },
  { id: 'uv-compact-high', name: 'Compact UV lamp, high output', group: 'uv', form: 'bulb', why: 'A stronger small lamp; measure before an animal sits under it.', powers: [26, 13], length: 0.06, radiant: 0.45, half: 55, lumens: 38, light: 'fluorescent', uv: [1.2, 2.2], uvHalf: 4500, price: 24 },
  // Light
  { id: 'led-bar', name: 'LED bar', group: 'light', form: 'tube', why: 'Even light for plants along the box, little warmth.', powers: [15, 8, 24, 36], length: 0.55, radiant: 0.4, lumens: 110, light: 'led', price: 35 },
  { id: 'led-panel', name: 'LED panel', group: 'light', form: 'panel', why: 'Much light from above for demanding plants.', powers: [40, 24, 75], length: 0.4, radiant: 0.4, lumens: 120, light: 'led', price: 70 },
  { id: 'led-spot', name: 'LED spot', group: 'light', form: 'bulb', why: 'A beam of light on one plant or a dark corner.', powers: [8, 5, 12], length: 0.06, radiant: 0.35, half: 20, lumens: 90, light: 'led', price: 15 },
  { id: 'tube-plant', name: 'Fluorescent plant tube', group: 'light', form: 'tube', why: 'What stands in older lids; serves as long as it lights.', powers: [24, 14, 39], length: 0.55, radiant: 0.45, lumens: 80, light: 'fluorescent', price: 12 },
  { id: 'moon-strip', name: 'Faint blue-white strip', group: 'light', form: 'tube', why: 'For the viewer at night, where that school is followed.', powers: [1], length: 0.3, radiant: 0.3, lumens: 20, light: 'led', price: 12 },
  { id: 'red-bulb', name: 'Red bulb', group: 'light', form: 'bulb', why: 'Seen warmth at night; many animals see it too.', powers: [40, 25, 60], length: 0.06, radiant: 0.8, half: 45, lumens: 1, light: 'incandescent', clearance: 0.15, heats: true, price: 9 },
  // Heat
  { id: 'halogen-flood', name: 'Halogen flood', group: 'heat', form: 'bulb', why: 'Warmth and light from one side by day, like the sun. Handle with a cloth.', powers: [50, 28, 35, 75, 100], length: 0.1, radiant: 0.85, half: 15, lumens: 13, light: 'incandescent', clearance: 0.2, heats: true, price: 8 },
  { id: 'halogen-wide', name: 'Halogen flood, wide', group: 'heat', form: 'bulb', why: 'A broader basking place under a low lid.', powers: [50, 75, 100], length: 0.12, radiant: 0.85, half: 25, lumens: 13, light: 'incandescent', clearance: 0.2, heats: true, price: 10 },
  { id: 'incandescent-bulb', name: 'Incandescent bulb', group: 'heat', form: 'bulb', why: 'A gentle basking lamp for small boxes.', powers: [40, 25, 60], length: 0.06, radiant: 0.8, half: 50, lumens: 11, light: 'incandescent', clearance: 0.15, heats: true, price: 4 },
  { id: 'infrared-emitter', name: 'Infrared emitter, non-luminous', group: 'heat', form: 'bulb', why: 'Deep warmth without light while nights are cold.', powers: [50, 80, 100], length: 0.1, radiant: 0.75, half: 40, clearance: 0.2, heats: true, dark: true, price: 40 },
  { id: 'ceramic-emitter', name: 'Ceramic emitter', group: 'heat', form: 'bulb', why: 'Warms air and surfaces without light, day or night.', powers: [60, 40, 100, 150], length: 0.09, radiant: 0.55, half: 55, clearance: 0.2, heats: true, dark: true, price: 22 },
  { id: 'radiant-panel', name: 'Radiant heat panel', group: 'heat', form: 'panel', why: 'Flat under the lid of a large box; nothing hot to climb on.', powers: [80, 40, 120], length: 0.5, radiant: 0.65, clearance: 0.05, heats: true, dark: true, price: 90 },
  { id: 'heat-mat', name: 'Heat mat', group: 'heat', form: 'mat', why: 'Under a shallow dry bay or on a side wall; deep moist soil over it stands too warm.', powers: [14, 7, 20, 28], length: 0.28, radiant: 0.1, clearance: 0.01, heats: true, dark: true, price: 18 },
  { id: 'heat-cable', name: 'Heat cable', group: 'heat', form: 'cable', why: 'Laid in loops under part of the floor or into the background.', powers: [25, 15, 50], length: 0.4, radiant: 0.05, clearance: 0.01, heats: true, dark: true, price: 22 },
  { id: 'room-heater', name: 'Space heater for a built-in room', group: 'heat', form: 'heater', why: 'Warms all of a walk-in; always with its own cut-out.', powers: [500, 300, 1000], length: 0.4, radiant: 0.2, clearance: 0.5, heats: true, dark: true, price: 60 },
  { id: 'water-heater', name: 'Water heater', group: 'heat', form: 'heater', why: 'For deep water behind a guard; off before the water goes down.', powers: [25, 50, 100], length: 0.2, radiant: 0, heats: true, dark: true, price: 20 },
  // Mist
  { id: 'nozzle-fine', name: 'Mist nozzle, fine', group: 'mist', form: 'nozzle', why: 'High pressure, drops that hang in the air.', powers: [8], length: 0.02, radiant: 0, water: 0.0011, spray: 35, dark: true, price: 12 },
  { id: 'nozzle-wide', name: 'Mist nozzle, wide', group: 'mist', form: 'nozzle', why: 'Wets more of the walls, with larger drops.', powers: [8], length: 0.02, radiant: 0, water: 0.0018, spray: 50, dark: true, price: 12 },
  { id: 'hand-sprayer', name: 'Hand sprayer', group: 'mist', form: 'sprayer', why: 'Nothing to break; needs somebody there.', powers: [0], length: 0.02, radiant: 0, water: 0.0012, spray: 40, dark: true, price: 6 },
  { id: 'drip-line', name: 'Drip line', group: 'mist', form: 'sprayer', why: 'Slow drops to drink for kinds that take no dish.', powers: [0], length: 0.02, radiant: 0, water: 0.00006, spray: 3, dark: true, price: 8 },
  { id: 'fogger', name: 'Ultrasonic fogger in a bottle', group: 'mist', form: 'fogger', why: 'Cold fog by a hose; damp air without wet leaves.', powers: [25], length: 0.1, radiant: 0, water: 0.00006, dark: true, price: 40 },
  { id: 'fogger-small', name: 'Ultrasonic disc in the water', group: 'mist', form: 'fogger', why: 'Fog over the pool; keep the disc where no animal sits on it.', powers: [18], length: 0.05, radiant: 0, water: 0.00008, dark: true, price: 18 },
  { id: 'humidifier', name: 'Room humidifier', group: 'mist', form: 'fogger', why: 'For large boxes and built-in rooms, on a humidistat.', powers: [30], length: 0.25, radiant: 0, water: 0.00007, dark: true, price: 60 },
  // Air
  { id: 'fan-small', name: 'Small fan, 40 mm', group: 'air', form: 'fan', why: 'Enough to clear glass in a small box.', powers: [1], length: 0.04, radiant: 0, flow: 0.001, dark: true, price: 8 },
  { id: 'fan-middle', name: 'Fan, 80 mm', group: 'air', form: 'fan', why: 'A steady change of air; behind gauze.', powers: [2], length: 0.08, radiant: 0, flow: 0.004, dark: true, price: 10 },
  { id: 'fan-stirring', name: 'Stirring fan inside', group: 'air', form: 'fan', why: 'Moves the air of a moist chamber without drying it.', powers: [1], length: 0.04, radiant: 0, flow: 0.0005, dark: true, price: 8 },
];

const devices: DeviceKind[] = rows.map(({ half, lumens, uv, uvHalf, clearance, heats, dark, water, spray, flow, price, radiant, ...row }) => ({
  ...row,
  radiant: memory(radiant),
  ...(half === undefined ? {} : { half: memory(half * DEGREE) }),
  ...(lumens === undefined ? {} : { lumensPerWatt: memory(lumens) }),
  ...(uv === undefined ? {} : { uvIndex: memory(range(...uv)) }),
  ...(uvHalf === undefined ? {} : { uvHalf: memory(uvHalf) }),
  ...(clearance === undefined ? {} : { clearance: practice(clearance) }),
  ...(water === undefined ? {} : { water: memory(water) }),
  ...(spray === undefined ? {} : { spray: memory(spray * DEGREE) }),
  ...(flow === undefined ? {} : { flow: memory(flow) }),
  heats: heats ?? false,
  dark: dark ?? false,
  price: memory(price),
}));

const gauze = (id: string, name: string, why: string, open: number, wire: number, hole: number, uv: [number, number]): GauzeKind => ({
  id,
  name,
  why,
  open: memory(open),
  wire: memory(wire / 1000),
  hole: memory(hole / 1000),
  uv: memory(range(...uv)),
});

const gauzes: GauzeKind[] = [
  gauze('insect-mesh', 'Insect mesh', 'Everyday gauze of lids and vents; newborn springtails pass it, flies do not.', 0.58, 0.28, 1.2, [0.55, 0.8]),
  gauze('fine-mesh', 'Fine mesh', 'Holds fruit flies and small crickets; costs much air.', 0.42, 0.18, 0.4, [0.45, 0.65]),
  gauze('wide-mesh', 'Wide mesh', 'Much air and light for large animals; small feeders walk out.', 0.76, 0.5, 4, [0.7, 0.9]),
  gauze('punched-sheet', 'Punched metal sheet', 'Stiff and chew-proof.', 0.35, 0.8, 2, [0.3, 0.45]),
];

const room = (
  id: RoomKind['id'],
  name: string,
  why: string,
  temperature: number[],
  humidity: number[],
  swing: number,
  scatter: [number, number],
  setback: RoomKind['setback'] = null,
): RoomKind => ({
  id,
  name,
  why,
  temperature: memory(temperature),
  humidity: memory(humidity.map((it) => it / 100)),
  swing: memory(swing),
  setback,
  scatter,
});

const rooms: RoomKind[] = [
  room('heated-flat', 'Heated flat', 'Dry while the heating runs, milder in summer.', [21, 21, 21, 21.5, 22, 23.5, 24.5, 24.5, 22.5, 21.5, 21, 21], [33, 33, 37, 42, 48, 54, 55, 55, 52, 46, 39, 35], 1.2, [0.8, 0.1]),
  room('dry-upland', 'Dry upland', 'Hot dry summers, cool dry winters.', [18, 19, 20, 22, 24, 27, 29, 28.5, 26, 23, 20, 18], [35, 33, 30, 28, 26, 22, 22, 24, 26, 30, 34, 36], 2.5, [1.2, 0.12]),
  room('humid-coast', 'Humid coast', 'Damp all year, warm in summer.', [20, 20, 21, 22, 23.5, 25.5, 27, 27, 26, 24, 22, 20.5], [66, 66, 67, 68, 70, 73, 75, 76, 75, 72, 69, 67], 1.2, [0.8, 0.06]),
  room('cellar', 'Cellar', 'Cool, even and damp.', [13, 12.5, 13, 14, 15.5, 17, 18.5, 19, 18, 16.5, 15, 14], [68, 67, 67, 68, 70, 73, 75, 75, 73, 71, 70, 69], 0.3, [0.3, 0.05]),
  room('classroom', 'Classroom', 'Heated on school days; cool nights, weekends and dry air in winter.', [21, 21, 21, 21.5, 22, 23.5, 25, 25, 22.5, 21.5, 21, 21], [34, 34, 38, 42, 48, 53, 54, 54, 51, 46, 40, 36], 1.5, [1, 0.12], { by: 4, from: 6, to: 17, weekends: true }),
];

export const climateRows: ClimateRows = { devices, gauzes, rooms };
