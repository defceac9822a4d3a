/**
 * The box as a system of equations, put together from its parts: each a file of `engine/` with its equations at the
 * head. Every flow is booked in what it leaves and what it reaches, and in the Jacobian likewise, so that water and heat
 * close to rounding.
 */
import { saturationCurve } from './air';
import { NO_AREA, type BoxModel, type RoomNow, type Switches } from './box';
import { airflow } from './engine/airflow';
import { Assembly, type Part } from './engine/assembly';
import { chambers } from './engine/chambers';
import { controlsOf } from './engine/controls';
import { pools } from './engine/pools';
import { soilOf } from './engine/soil';
import { sources } from './engine/sources';
import { surfaces } from './engine/surfaces';
import type { System } from './rosenbrock';
import { AT, firstCounted, sizeOf } from './states';
import { allowedFor, COLUMNS, inversesOf, LAND } from './stores';

/** `switches` and the room may be changed between two steps, never during one. */
export interface BoxSystem extends System {
  readonly switches: Switches;
  /** Sets how the room is read: writes the room at a moment. */
  setRoom(read: (t: number, into: RoomNow) => void): void;
  /** Air drawn from the room at a state, m³/s. */
  exchange(y: Float64Array, t: number): number;
  /** Duty, 0 to 1, of each heater, wetter, fan at a state. */
  duty(y: Float64Array, kind: 'heaters' | 'wetters' | 'fans', index: number): number;
}

export function equationsOf(box: BoxModel): BoxSystem {
  const size = sizeOf(box);
  const assembly = new Assembly(size, inversesOf(box));
  const curve = saturationCurve(box.pressure);
  const switches: Switches = {
    heaters: new Float64Array(box.heaters.length),
    wetters: new Float64Array(box.wetters.length),
    fans: new Float64Array(box.fans.length),
    falls: 0,
    day: 1,
  };
  const room: RoomNow = { temperature: 20, ratio: 0.007, sun: 0 };
  let readRoom: (t: number, into: RoomNow) => void = () => undefined;

  /** What runs off above a limit: kg, 1/s. */
  const spills: {
    readonly limit: number;
    readonly rate: number;
    readonly from: number;
    readonly flow: ReturnType<Assembly['flow']>;
  }[] = [];
  const spill = (from: number, to: number, limit: number, rate: number): void =>
    void spills.push({
      from,
      limit,
      rate,
      flow: assembly.flow(
        [
          [from, -1],
          [to, 1],
        ],
        [from],
      ),
    });
  const landing = (column: 0 | 1): number =>
    box.columns[column].area > LAND ? AT.soilWater(column, 0) : AT.pool(column);
  /** Where water that sinks out of the soil goes. */
  const below = (column: 0 | 1): number | null => {
    const { takes } = box.reservoir;
    if (takes === 'nowhere') return null;
    if (takes === 'bed') return AT.reservoir;
    const own = box.columns[column].pool.area > NO_AREA ? column : ((1 - column) as 0 | 1);
    return box.columns[own].pool.area > NO_AREA ? AT.pool(own) : null;
  };

  const controls = controlsOf(box, assembly, curve, switches);
  const air = airflow({ box, assembly, curve, controls, room, landing });
  const parts: Part[] = [
    air,
    controls,
    surfaces({ box, assembly, curve, switches, landing, spill }),
    ...COLUMNS.filter((column) => box.columns[column].area > LAND).map((column) =>
      soilOf({ box, column, assembly, curve, water: below(column) }),
    ),
    pools({ box, assembly, curve, switches, spill }),
    chambers(box, assembly, curve),
    sources({ box, assembly, controls, switches, room }),
  ];

  // All that is linear and never changes, as one product.
  const { pattern, inverse } = assembly;
  const base = new Float64Array(pattern.length);
  for (const { slot, value } of assembly.linear) base[slot]! += value;
  const steady = pattern.flatMap(([row, column], slot) => (base[slot] === 0 ? [] : [{ row, column, slot }]));
  const linRow = Int32Array.from(steady, (it) => it.row);
  const linColumn = Int32Array.from(steady, (it) => it.column);
  const linValue = Float64Array.from(steady, (it) => base[it.slot]!);
  const outRow = Int32Array.from(assembly.outside, (it) => it.row);
  const outValue = Float64Array.from(assembly.outside, (it) => it.conductance * inverse[it.row]!);

  return {
    size,
    counted: firstCounted(box),
    pattern,
    regime: air.saturated,
    bends: [AT.soilWater(0, 0), AT.soilWater(1, 3)],
    allowed: allowedFor(box),
    switches,
    setRoom: (read) => void (readRoom = read),
    exchange(state, t) {
      readRoom(t, room);
      return air.exchange(state);
    },
    duty: (state, kind, index) => controls.duty(kind, index, state),
    evaluate(t, y, dy, jac) {
      readRoom(t, room);
      dy.fill(0);
      jac?.set(base);
      for (let i = 0; i < linRow.length; i += 1) dy[linRow[i]!]! += linValue[i]! * y[linColumn[i]!]!;
      for (let i = 0; i < outRow.length; i += 1) dy[outRow[i]!]! += outValue[i]! * room.temperature;
      for (let i = 0; i < parts.length; i += 1) parts[i]!.evaluate(y, dy, jac);
      for (let i = 0; i < spills.length; i += 1) {
        const { from, limit, rate, flow } = spills[i]!;
        const over = y[from]! - limit;
        if (over <= 0) continue;
        flow.by[0] = rate;
        flow.book(rate * over, dy, jac);
      }
    },
  };
}
