/**
 * Air: what the room and the box exchange, what moves inside, and fog.
 *
 *   stack    ½·ρ·Σ(ζ + ζ₀)·(Q/A)² = ρ·g·H·|Δρ|/ρ        through a low and a high opening, up or down (vents)
 *   top      Q = 0.055·√(g·D⁵·Δρ/ρ)                     up and down through one level opening, not added to the stack
 *   draught  Q = k·A                                    by the room’s own air, through open tops and gauze walls
 *   tiers    Q = A·(v₀ + v_stir + 0.1·√(g·ΔT·H/T)·s)    freely when it is warmer below, hardly when warmer above
 *   halves   Q = A·(v₀ + v_stir + 0.06·√(g·|ΔT|·H/T))   a gentle counterflow between a warm and a cool half
 *   fog      d/dt = F·m·(w − w_s)⁺ − C·fog·(1 − w/w_s)⁺  air too full turns to fog, and fog clears in drier air
 *
 * Lightness is by virtual temperature, (T + 273.15)·(1 + 0.61·w), and goes with its sign. Air leaves with the
 * temperature, humidity and fog of where it leaves.
 */
import { AIR_DENSITY, GRAVITY, KELVIN, LATENT_HEAT, MOIST_AIR_HEAT } from '../../physics/constants';
import { virtual, type SaturationCurve } from '../air';
import { NO_AREA, type BoxModel, type Cell, type Column, type RoomNow } from '../box';
import { AT, counted } from '../states';
import { airIn } from '../stores';
import { counterflow, flowBy, slopeBy } from '../vents';
import type { Assembly, Part } from './assembly';
import type { Controls } from './controls';

/** m/s of mixing between two cells that nothing drives (from memory). */
const SLOW = 0.002;
/** Of √(g·ΔT·H/T): air that rises between tiers, and that drifts between halves (from memory; discharge of a wide opening is 0.6 and of both ways a third of that). */
const RISES = 0.1;
const DRIFTS = 0.06;
/** K over which rising sets in, and below which drift is even: mixing has no step (numerical). */
const SETS_IN = 0.2;
/** K of room air for buoyancy between cells. */
const ROOM_KELVIN = 293;
/** Share of a kelvin that a kilogram of vapour in a kilogram of air is worth in lightness: 1/0.622 − 1. */
const VAPOUR_LIGHTNESS = 0.61;
/** 1/s at which air too full turns to fog, and fog clears in dry air; s in which fog settles (from memory). */
const FOGS = 25;
/** kg/kg over saturation within which fog sets in, so that there is no corner (numerical: under a hundredth). */
const SOFT = 1e-4;
const CLEARS = 0.2;
const SETTLES = 150;
/** Shares of fog that settle downwards, on panes and on hardscape (from memory). */
const SETTLES_ON = { down: 0.6, pane: 0.2, hard: 0.2 } as const;
/** m³/s that is always exchanged: no box is a vacuum flask (numerical). */
const NEVER_NONE = 1e-9;

/** Ways air takes inside, from and to. */
const WAYS: readonly (readonly [Cell, Cell])[] = [
  [0, 1],
  [1, 0],
  [2, 3],
  [3, 2],
  [0, 2],
  [2, 0],
  [1, 3],
  [3, 1],
];

interface AirflowInput {
  readonly box: BoxModel;
  readonly assembly: Assembly;
  readonly curve: SaturationCurve;
  readonly controls: Controls;
  readonly room: RoomNow;
  /** Where what settles lands in each half. */
  readonly landing: (column: Column) => number;
}

export interface Airflow extends Part {
  /** Air drawn from the room at a state, m³/s. */
  exchange(y: Float64Array): number;
  /** Which cells are over saturation at the state last evaluated, a bit each. */
  saturated(): number;
}

export function airflow({ box, assembly, curve, controls, room, landing }: AirflowInput): Airflow {
  const { inverse } = assembly;
  const { factors, exchange } = box;
  const heatOut = counted(box, 'heatOut');
  const vapourOut = counted(box, 'vapourOut');
  const airMass = Float64Array.from([0, 1, 2, 3] as const, (cell) => airIn(box, cell));
  const volumes = Float64Array.from(box.cells, (cell) => cell.air);
  const total = volumes.reduce((sum, it) => sum + it, 0);

  const waySlots = Int32Array.from(
    WAYS.flatMap(([a, b]) =>
      ([AT.airT, AT.ratio, AT.fog] as const).flatMap((of) => [
        assembly.slot(of(a), of(a)),
        assembly.slot(of(b), of(a)),
      ]),
    ),
  );
  const leaveSlots = Int32Array.from(
    ([0, 1, 2, 3] as const).flatMap((cell) => [
      assembly.slot(AT.airT(cell), AT.airT(cell)),
      assembly.slot(heatOut, AT.airT(cell)),
      assembly.slot(heatOut, AT.ratio(cell)),
      assembly.slot(AT.ratio(cell), AT.ratio(cell)),
      assembly.slot(AT.fog(cell), AT.fog(cell)),
      assembly.slot(vapourOut, AT.ratio(cell)),
      assembly.slot(vapourOut, AT.fog(cell)),
    ]),
  );
  /** Temperatures, humidities and fogs of the four cells: twelve states that flows carry; then heat and vapour let out. */
  const carried = 12;
  const airSlots = Int32Array.from(
    Array.from({ length: carried }, (_, row) => row).flatMap((row) =>
      Array.from({ length: 8 }, (_, column) => assembly.slot(row, column)),
    ),
  );
  const outSlots = Int32Array.from(
    [heatOut, vapourOut].flatMap((row) =>
      Array.from({ length: 8 }, (_, column) => assembly.slot(row, column)),
    ),
  );
  /** Fans held by a humidistat: the same flows by their probes. */
  const fanSlots = box.fans.map((_, index) => {
    const probe = controls.probeOf('fans', index);
    if (probe === null) return null;
    return Int32Array.from(
      [...Array.from({ length: carried }, (__, row) => row), heatOut, vapourOut].map((row) =>
        assembly.slot(row, probe),
      ),
    );
  });
  const settling = ([0, 1, 2, 3] as const).map((cell) => {
    const { pane, leaves, hard } = box.cells[cell];
    const below = landing((cell >> 1) as Column);
    const down = (cell & 1) === 0 || leaves <= NO_AREA ? below : AT.leafFilm(cell);
    return {
      cell,
      down,
      pane: pane.area > NO_AREA ? AT.paneFilm(cell) : below,
      hard: hard.area > NO_AREA ? AT.hardFilm(cell) : below,
    };
  });
  for (const { cell, down, pane, hard } of settling)
    assembly.moves(AT.fog(cell), 1 / SETTLES, [
      [down, SETTLES_ON.down],
      [pane, SETTLES_ON.pane],
      [hard, SETTLES_ON.hard],
    ]);
  const fogs = ([0, 1, 2, 3] as const).map((cell) =>
    assembly.flow(
      [
        [AT.fog(cell), 1],
        [AT.ratio(cell), -1],
        [AT.airT(cell), LATENT_HEAT],
      ],
      [AT.ratio(cell), AT.airT(cell), AT.fog(cell)],
    ),
  );

  /** kg/s along each way, in from the room and out to it, by cell. */
  const along = new Float64Array(WAYS.length);
  const enters = new Float64Array(4);
  const leaves = new Float64Array(4);
  /** How the stack’s and the top’s exchange change with temperature (4) and humidity (4) of each cell, kg/s. */
  const byStack = new Float64Array(8);
  const byTop = new Float64Array(8);
  /** How mixing between tiers and between halves changes with their difference in temperature, kg/s K. */
  const byRise = new Float64Array(2);
  const byDrift = new Float64Array(2);
  /** What one kg/s of a flow changes in each state that air carries, in heat let out and in vapour let out. */
  const effect = new Float64Array(carried + 2);
  let upwards = true;
  let saturatedCells = 0;

  /** Air that the room and the box exchange, m³/s; fills all of the above. */
  function flows(y: Float64Array): number {
    let light = 0;
    for (let c = 0; c < 4; c += 1) light += volumes[c]! * virtual(y[c]!, y[4 + c]!);
    const outside = virtual(room.temperature, room.ratio);
    const lighter = (light / total - outside) / outside;
    const stack = exchange.stack ? flowBy(exchange.stack, lighter) : 0;
    let fan = 0;
    for (let i = 0; i < box.fans.length; i += 1) fan += controls.fanFlow(i, y);
    const high = 0.5 * (virtual(y[1]!, y[5]!) + virtual(y[3]!, y[7]!));
    const rising = counterflow(exchange.top, (high - outside) / outside);
    const top =
      factors.exchange * (Math.max(0, rising - stack) + exchange.topDraught + exchange.leak) + NEVER_NONE;
    const [low, upper] = exchange.sideDraught;
    const moved = factors.exchange * stack;
    upwards = lighter >= 0;
    const steep = exchange.stack ? slopeBy(exchange.stack, stack) * (upwards ? 1 : -1) * factors.exchange : 0;
    const freely = rising > stack;
    for (let c = 0; c < 4; c += 1) {
      const part = volumes[c]! / total / outside;
      const byT = part * (1 + VAPOUR_LIGHTNESS * y[4 + c]!);
      const byW = part * VAPOUR_LIGHTNESS * (y[c]! + KELVIN);
      byStack[c] = 0.5 * AIR_DENSITY * steep * byT;
      byStack[4 + c] = 0.5 * AIR_DENSITY * steep * byW;
      const crownRise =
        freely && (c & 1) === 1
          ? (0.5 * AIR_DENSITY * factors.exchange * rising) /
            (2 * Math.max(1e-12, (high - outside) / outside)) /
            (2 * outside)
          : 0;
      byTop[c] = freely ? crownRise * (1 + VAPOUR_LIGHTNESS * y[4 + c]!) - byStack[c]! : 0;
      byTop[4 + c] = freely ? crownRise * VAPOUR_LIGHTNESS * (y[c]! + KELVIN) - byStack[4 + c]! : 0;
    }
    for (let k = 0; k < 2; k += 1) {
      const g = 2 * k;
      // Through the box: up when its air is lighter, down when it is heavier; a fan always draws upwards.
      const up = AIR_DENSITY * 0.5 * (fan + (upwards ? moved : 0));
      const down = AIR_DENSITY * 0.5 * (upwards ? 0 : moved);
      const crown = 0.5 * AIR_DENSITY * (top + factors.exchange * upper);
      const foot = 0.5 * AIR_DENSITY * factors.exchange * low;
      enters[g] = up + foot;
      leaves[g] = down + foot;
      enters[g + 1] = down + crown;
      leaves[g + 1] = up + crown;
      const { floor, height } = box.cells[g]!;
      const warmer = y[g]! - y[g + 1]!;
      const set = warmer > 0 ? warmer / (warmer + SETS_IN) : 0;
      const rises = warmer > 0 ? RISES * Math.sqrt((GRAVITY * warmer * height) / ROOM_KELVIN) * set : 0;
      const mixed = AIR_DENSITY * floor * (SLOW + exchange.stir + rises);
      // d/dΔ of √Δ·Δ/(Δ + 0.2).
      byRise[k] =
        warmer > 0
          ? AIR_DENSITY * floor * rises * (0.5 / warmer + SETS_IN / (warmer * (warmer + SETS_IN)))
          : 0;
      along[g] = mixed + up;
      along[g + 1] = mixed + down;
    }
    for (let tier = 0; tier < 2; tier += 1) {
      const { floor, height } = box.cells[tier]!;
      const across = Math.sqrt(floor * 2) * height;
      const apart = y[tier]! - y[tier + 2]!;
      const even = apart * apart + SETS_IN * SETS_IN;
      const drift = DRIFTS * Math.sqrt((GRAVITY * Math.sqrt(even) * height) / ROOM_KELVIN);
      byDrift[tier] = (AIR_DENSITY * across * drift * 0.5 * apart) / even;
      const mixed = AIR_DENSITY * across * (SLOW + exchange.stir + drift);
      along[4 + 2 * tier] = mixed;
      along[5 + 2 * tier] = mixed;
    }
    return moved + fan + top + factors.exchange * (low + upper);
  }

  /** Adds to `effect` what one kg/s from one place to another carries; −1 is the room. */
  function carries(y: Float64Array, from: number, to: number): void {
    const t = from < 0 ? room.temperature : y[from]!;
    const w = from < 0 ? room.ratio : y[4 + from]!;
    const fog = from < 0 ? 0 : y[8 + from]! / airMass[from]!;
    if (from >= 0) {
      effect[from]! -= MOIST_AIR_HEAT * t;
      effect[4 + from]! -= w;
      effect[8 + from]! -= fog;
    } else {
      effect[carried]! -= MOIST_AIR_HEAT * t + LATENT_HEAT * w;
      effect[carried + 1]! -= w;
    }
    if (to >= 0) {
      effect[to]! += MOIST_AIR_HEAT * t;
      effect[4 + to]! += w;
      effect[8 + to]! += fog;
    } else {
      effect[carried]! += MOIST_AIR_HEAT * t + LATENT_HEAT * w;
      effect[carried + 1]! += w + fog;
    }
  }

  /** Gathers what one kg/s through the box carries in each half, up or down. */
  function through(y: Float64Array, up: boolean): void {
    effect.fill(0);
    for (let g = 0; g < 4; g += 2) {
      const first = up ? g : g + 1;
      const last = up ? g + 1 : g;
      carries(y, -1, first);
      carries(y, first, last);
      carries(y, last, -1);
    }
  }

  /** Adds how a flow of the gathered effect changes with every temperature and humidity of the air. */
  function feels(jac: Float64Array, by: Float64Array): void {
    for (let row = 0; row < carried; row += 1) {
      const e = effect[row]! * inverse[row]!;
      if (e === 0) continue;
      for (let column = 0; column < 8; column += 1) jac[airSlots[8 * row + column]!]! += e * by[column]!;
    }
    for (let column = 0; column < 8; column += 1) {
      jac[outSlots[column]!]! += effect[carried]! * by[column]!;
      jac[outSlots[8 + column]!]! += effect[carried + 1]! * by[column]!;
    }
  }

  /** Adds how mixing of two cells changes with how far their temperatures are apart; kg/s K. */
  function mixes(y: Float64Array, jac: Float64Array, a: number, b: number, by: number): void {
    if (by === 0) return;
    for (let q = 0; q < 3; q += 1) {
      const i = a + 4 * q;
      const j = b + 4 * q;
      const apart =
        q === 0
          ? MOIST_AIR_HEAT * (y[j]! - y[i]!)
          : q === 1
            ? y[j]! - y[i]!
            : y[j]! / airMass[b]! - y[i]! / airMass[a]!;
      const e = apart * by;
      jac[airSlots[8 * i + a]!]! += e * inverse[i]!;
      jac[airSlots[8 * i + b]!]! -= e * inverse[i]!;
      jac[airSlots[8 * j + a]!]! -= e * inverse[j]!;
      jac[airSlots[8 * j + b]!]! += e * inverse[j]!;
    }
  }

  function inside(y: Float64Array, dy: Float64Array, jac: Float64Array | null): void {
    for (let i = 0; i < WAYS.length; i += 1) {
      const [a, b] = WAYS[i]!;
      const mass = along[i]!;
      const heat = mass * MOIST_AIR_HEAT;
      const wa = 4 + a;
      const wb = 4 + b;
      const fa = 8 + a;
      const fb = 8 + b;
      const part = mass / airMass[a]!;
      dy[a]! -= heat * inverse[a]! * y[a]!;
      dy[b]! += heat * inverse[b]! * y[a]!;
      dy[wa]! -= mass * inverse[wa]! * y[wa]!;
      dy[wb]! += mass * inverse[wb]! * y[wa]!;
      dy[fa]! -= part * y[fa]!;
      dy[fb]! += part * y[fa]!;
      if (!jac) continue;
      const at = 6 * i;
      jac[waySlots[at]!]! -= heat * inverse[a]!;
      jac[waySlots[at + 1]!]! += heat * inverse[b]!;
      jac[waySlots[at + 2]!]! -= mass * inverse[wa]!;
      jac[waySlots[at + 3]!]! += mass * inverse[wb]!;
      jac[waySlots[at + 4]!]! -= part;
      jac[waySlots[at + 5]!]! += part;
    }
  }

  function withRoom(y: Float64Array, dy: Float64Array, jac: Float64Array | null): void {
    for (let c = 0; c < 4; c += 1) {
      const w = 4 + c;
      const f = 8 + c;
      const brings = enters[c]!;
      const temperature = brings * MOIST_AIR_HEAT * room.temperature;
      const mass = leaves[c]!;
      const heat = mass * MOIST_AIR_HEAT;
      const fog = mass / airMass[c]!;
      dy[c]! += (temperature - heat * y[c]!) * inverse[c]!;
      dy[w]! += (brings * room.ratio - mass * y[w]!) * inverse[w]!;
      dy[f]! -= fog * y[f]!;
      dy[heatOut]! += heat * y[c]! - temperature + LATENT_HEAT * (mass * y[w]! - brings * room.ratio);
      dy[vapourOut]! += mass * y[w]! + fog * y[f]! - brings * room.ratio;
      if (!jac) continue;
      const at = 7 * c;
      jac[leaveSlots[at]!]! -= heat * inverse[c]!;
      jac[leaveSlots[at + 1]!]! += heat;
      jac[leaveSlots[at + 2]!]! += LATENT_HEAT * mass;
      jac[leaveSlots[at + 3]!]! -= mass * inverse[w]!;
      jac[leaveSlots[at + 4]!]! -= fog;
      jac[leaveSlots[at + 5]!]! += mass;
      jac[leaveSlots[at + 6]!]! += fog;
    }
  }

  function clears(y: Float64Array, dy: Float64Array, jac: Float64Array | null): void {
    saturatedCells = 0;
    for (let c = 0; c < 4; c += 1) {
      const flow = fogs[c]!;
      const saturated = curve.at(y[c]!);
      const rise = curve.slope;
      const ratio = y[4 + c]!;
      const fog = y[8 + c]!;
      const over = ratio - saturated;
      if (over > 0) {
        saturatedCells |= 1 << c;
        const forms = FOGS * airMass[c]!;
        const soft = over < SOFT;
        const slope = soft ? (forms * over) / SOFT : forms;
        flow.by[0] = slope;
        flow.by[1] = -slope * rise;
        flow.by[2] = 0;
        flow.book(soft ? 0.5 * slope * over : forms * (over - 0.5 * SOFT), dy, jac);
      } else {
        const rate = (CLEARS * -over) / saturated;
        flow.by[0] = (CLEARS * fog) / saturated;
        flow.by[1] = (-CLEARS * fog * ratio * rise) / (saturated * saturated);
        flow.by[2] = -rate;
        flow.book(-rate * fog, dy, jac);
      }
    }
  }

  return {
    exchange: flows,
    saturated: () => saturatedCells,
    evaluate(y, dy, jac) {
      flows(y);
      inside(y, dy, jac);
      withRoom(y, dy, jac);
      clears(y, dy, jac);
      if (!jac) return;
      through(y, upwards);
      feels(jac, byStack);
      effect.fill(0);
      for (const c of [1, 3]) {
        carries(y, -1, c);
        carries(y, c, -1);
      }
      feels(jac, byTop);
      for (let k = 0; k < 2; k += 1) {
        mixes(y, jac, 2 * k, 2 * k + 1, byRise[k]!);
        mixes(y, jac, k, k + 2, byDrift[k]!);
      }
      for (let i = 0; i < fanSlots.length; i += 1) {
        const slots = fanSlots[i];
        const slope = slots ? controls.fanSlope(i) : 0;
        if (!slots || slope === 0) continue;
        through(y, true);
        const by = 0.5 * AIR_DENSITY * slope;
        for (let row = 0; row < carried; row += 1) jac[slots[row]!]! += effect[row]! * inverse[row]! * by;
        jac[slots[carried]!]! += effect[carried]! * by;
        jac[slots[carried + 1]!]! += effect[carried + 1]! * by;
      }
    },
  };
}
