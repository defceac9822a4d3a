import { KELVIN, LATENT, virtual } from './air';
import type { BoxModel, Cell, Column, ControlModel, RoomNow, Switches, Target } from './box';
import {
  AIR_DENSITY,
  MOIST_AIR_HEAT,
  quickSaturation,
  soilResistance,
  VAPOUR_PER_CONVECTION,
} from './properties';
import type { System } from './rosenbrock';
import { AT, counted, firstCounted, followed, sizeOf } from './states';
import { airIn, allowedFor, CELLS, COLUMNS, inversesOf, LAND } from './stores';
import { landing, Terms } from './terms';
import { counterflow, flowBy, GRAVITY, slopeBy } from './vents';
import { CONVECTION, RADIATION } from './walls';

/** From memory: convection at a leaf, W/m²K, each side; film that wets it all, and that drips off, kg/m². */
const LEAF = { convects: 5, wets: 0.1, holds: 0.2 };
const PANE = { wets: 0.05, holds: 0.08 };
const HARD = { wets: 0.1, holds: 0.4 };
/** Leaves let vapour out, m/s per leaf area, by day and by night (from memory). */
const STOMATA = { day: 1e-3, night: 2e-4 };
/** s in which what is too much runs off. */
const RUNS = 90;
/** 1/s at which air too full turns to fog, and fog to vapour again; s in which fog settles (from memory). */
const FOGS = 0.1;
const CLEARS = 0.2;
const SETTLES = 150;
/** Draining and rising of water between layers of soil, m/s for each m³/m³ out of rest (from memory). */
const DRAINS = 4e-5;
const RISES = 1.5e-6;
/** 1/s at which a bed or pool passes on what it cannot hold. */
const SPILLS = 1 / 600;
const WATER = 998;

/** The box as a system of equations. `switches` and `room` may be changed between two steps, never during one. */
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
  const inverse = inversesOf(box);
  const terms = new Terms(size, inverse);
  const { factors, pressure, exchange } = box;
  const [vapourOut, liquidOut, heatOut, waterIn_, power_, sun_] = (
    ['vapourOut', 'liquidOut', 'heatOut', 'waterIn', 'power', 'sun'] as const
  ).map((what) => counted(box, what)) as [number, number, number, number, number, number];
  const stirred = 40 * exchange.stir;

  // — What never changes: convection at upright faces, radiation, walls, settling, lagging probes.
  /** Films that dry: temperature, store, air, kg/s per kg/kg when wet through, kg that wets it. */
  const films: { t: number; store: number; w: number; conductance: number; full: number; falls: number }[] =
    [];
  /** What runs off above a limit: kg, 1/s. */
  const spills: { from: number; to: number; limit: number; rate: number; a: number; b: number }[] = [];
  const spill = (from: number, to: number, limit: number, rate: number): void =>
    void spills.push({ from, to, limit, rate, a: terms.slot(from, from), b: terms.slot(to, from) });

  for (const cell of CELLS) {
    const column = (cell >> 1) as Column;
    const { pane, leaves, hard } = box.cells[cell];
    const [air, wall, leaf, wood, w] = [
      AT.airT(cell),
      AT.paneT(cell),
      AT.leafT(cell),
      AT.hardT(cell),
      AT.ratio(cell),
    ] as const;
    const side = CONVECTION.sideways + stirred;
    const onLeaf = LEAF.convects + stirred;
    terms.link(wall, air, side * pane.area);
    terms.toRoom(wall, pane.toRoom, heatOut);
    terms.link(leaf, air, 2 * onLeaf * leaves);
    terms.link(leaf, wall, RADIATION * leaves);
    terms.link(wood, air, side * hard.area);
    terms.link(wood, wall, RADIATION * hard.area);
    const film = (t: number, store: number, convects: number, area: number, wets: number): void =>
      void films.push({
        t,
        store,
        w,
        conductance: convects * VAPOUR_PER_CONVECTION * area,
        full: wets * Math.max(1e-6, area),
        falls: 0,
      });
    film(wall, AT.paneFilm(cell), side, pane.area, PANE.wets);
    film(leaf, AT.leafFilm(cell), onLeaf, leaves, LEAF.wets);
    film(wood, AT.hardFilm(cell), side, hard.area, HARD.wets);
    const below = landing(box, column);
    spill(AT.paneFilm(cell), below, PANE.holds * pane.area, 1 / RUNS);
    spill(AT.leafFilm(cell), below, LEAF.holds * leaves, 1 / RUNS);
    spill(AT.hardFilm(cell), below, HARD.holds * hard.area, 1 / RUNS);
    terms.moves(AT.fog(cell), 1 / SETTLES, [
      [(cell & 1) === 0 ? below : AT.leafFilm(cell), 0.6],
      [AT.paneFilm(cell), 0.2],
      [AT.hardFilm(cell), 0.2],
    ]);
  }
  for (const column of COLUMNS) {
    const it = box.columns[column];
    const ground = (column * 2) as Cell;
    const wall = AT.paneT(ground);
    terms.link(AT.soilT(column, 0), wall, RADIATION * it.area);
    for (let i = 1; i < 4; i += 1) terms.toRoom(AT.soilT(column, i), it.sides, heatOut);
    terms.link(AT.soilT(column, 3), AT.bedT(column), it.bed.toSoil);
    terms.toRoom(AT.bedT(column), it.bed.down, heatOut);
    const { pool, spot } = it;
    terms.link(AT.poolT(column), AT.airT(ground), CONVECTION.sideways * pool.area);
    terms.link(AT.poolT(column), wall, RADIATION * pool.area);
    terms.link(AT.poolT(column), AT.bedT(column), pool.toBed);
    const wet = factors.wetness * CONVECTION.sideways * VAPOUR_PER_CONVECTION;
    films.push({
      t: AT.poolT(column),
      store: AT.pool(column),
      w: AT.ratio(ground),
      conductance: wet * pool.area,
      full: Math.max(1e-3, 0.02 * pool.full),
      falls: wet * it.falls,
    });
    terms.link(AT.spotT(column), AT.airT(ground), 8 * spot.area);
    terms.link(AT.spotT(column), wall, RADIATION * spot.area);
    spill(AT.pool(column), AT.reservoir, pool.full * 1.25, SPILLS);
  }
  {
    // Over the brim the bed soaks the soil from below.
    const { full, drain, takes } = box.reservoir;
    const shares = COLUMNS.map((column) => box.columns[column].area);
    const total = shares.reduce((sum, it) => sum + it, 0);
    for (const column of COLUMNS)
      spill(
        AT.reservoir,
        AT.soilWater(column, 3),
        full,
        SPILLS * (total > 0 ? shares[column]! / total : 0.5),
      );
    if (drain !== null) spill(AT.reservoir, liquidOut, drain, SPILLS);
    const [a, b] = [box.columns[0].pool, box.columns[1].pool];
    if (takes === 'pool' && a.area > LAND && b.area > LAND) {
      // One water levels out.
      const k = 0.02 * Math.min(a.area, b.area);
      terms.moves(AT.pool(0), k / a.area, [[AT.pool(1), 1]]);
      terms.moves(AT.pool(1), k / b.area, [[AT.pool(0), 1]]);
    }
  }

  // — Controls, one list: heaters, wetters, fans. Each has a probe of its own.
  const devices = [...box.heaters, ...box.wetters, ...box.fans];
  const controls: (ControlModel | null)[] = devices.map((it) => it.control);
  const firstWetter = box.heaters.length;
  const firstFan = firstWetter + box.wetters.length;
  const damp: {
    probe: number;
    t: number;
    w: number;
    lag: number;
    slots: readonly [number, number, number];
  }[] = [];
  controls.forEach((control, index) => {
    if (!control) return;
    const probe = AT.probes + index;
    const { state, cell } = followed(control.probe);
    if (cell === null) {
      terms.add(probe, probe, -1 / control.lag);
      terms.add(probe, state, 1 / control.lag);
    } else {
      const t = AT.airT(cell);
      damp.push({
        probe,
        t,
        w: state,
        lag: control.lag,
        slots: [terms.slot(probe, probe), terms.slot(probe, state), terms.slot(probe, t)],
      });
    }
  });
  const switches: Switches = {
    heaters: new Float64Array(box.heaters.length),
    wetters: new Float64Array(box.wetters.length),
    fans: new Float64Array(box.fans.length),
    falls: 0,
    day: 1,
  };
  let slope = 0;
  /** Duty at a state; `slope` is how it changes with the probe. */
  function dutyOf(index: number, y: Float64Array): number {
    slope = 0;
    const control = controls[index] ?? null;
    if (!control) return 1;
    const set = switches.day >= 0.5 ? control.day : control.night;
    if (set === null) return 0;
    const raw = 0.5 + (control.acts * (set - y[AT.probes + index]!)) / control.band;
    if (raw <= 0) return 0;
    if (raw >= 1) return 1;
    slope = -control.acts / control.band;
    return raw;
  }
  /** What each device gives to which state, with the slot by its own probe. */
  const gives = [
    ...box.heaters.map((it) => ({
      most: it.power * factors.gain,
      to: [
        [power_, 1] as const,
        ...it.targets.map((target) => [heatState(target, heatOut), target.share] as const),
      ],
    })),
    ...box.wetters.map((it) => ({
      most: it.rate,
      to: [
        [waterIn_, 1] as const,
        ...it.targets.map((target) => [waterState(target, liquidOut), target.share] as const),
      ],
    })),
  ].map(({ most, to }, index) => ({
    most,
    to: to.map(([state, share]) => ({
      state,
      share: share * inverse[state]!,
      slot: controls[index] ? terms.slot(state, AT.probes + index) : -1,
    })),
  }));

  // — Places of what changes from moment to moment.
  const nFilm = films.length;
  const filmT = Int32Array.from(films, (it) => it.t);
  const filmStore = Int32Array.from(films, (it) => it.store);
  const filmAir = Int32Array.from(films, (it) => it.w);
  const filmFull = Float64Array.from(films, (it) => it.full);
  const filmSlots = Int32Array.from(films.flatMap((it) => terms.passing(it.t, it.store, it.w)));
  const drinkSlots = Int32Array.from(
    CELLS.flatMap((cell) =>
      terms.passing(AT.leafT(cell), AT.soilWater((cell >> 1) as Column, 1), AT.ratio(cell)),
    ),
  );
  const fogSlots = Int32Array.from(
    CELLS.flatMap((cell) => {
      const columns = [AT.ratio(cell), AT.airT(cell), AT.fog(cell)];
      return [AT.fog(cell), AT.ratio(cell), AT.airT(cell)].flatMap((row) =>
        columns.map((column) => terms.slot(row, column)),
      );
    }),
  );
  const linkSlots = (i: number, j: number): number[] => [
    terms.slot(i, i),
    terms.slot(i, j),
    terms.slot(j, i),
    terms.slot(j, j),
  ];
  const groundSlots = Int32Array.from(
    COLUMNS.flatMap((column) => [
      ...linkSlots(AT.soilT(column, 0), AT.airT((column * 2) as Cell)),
      ...terms.passing(AT.soilT(column, 0), AT.soilWater(column, 0), AT.ratio((column * 2) as Cell)),
    ]),
  );
  const depthSlots = Int32Array.from(
    COLUMNS.flatMap((column) =>
      [0, 1, 2].flatMap((i) => [
        ...linkSlots(AT.soilT(column, i), AT.soilT(column, i + 1)),
        ...linkSlots(AT.soilWater(column, i), AT.soilWater(column, i + 1)),
      ]),
    ),
  );
  const into = (column: Column): number =>
    box.reservoir.takes === 'pool' ? AT.pool(column) : box.reservoir.takes === 'bed' ? AT.reservoir : -1;
  const outSlots = Int32Array.from(
    COLUMNS.flatMap((column) =>
      into(column) < 0
        ? [0, 0]
        : [
            terms.slot(AT.soilWater(column, 3), AT.soilWater(column, 3)),
            terms.slot(into(column), AT.soilWater(column, 3)),
          ],
    ),
  );
  /** Ways air takes inside, from and to. */
  const ways: readonly (readonly [Cell, Cell])[] = [
    [0, 1],
    [1, 0],
    [2, 3],
    [3, 2],
    [0, 2],
    [2, 0],
    [1, 3],
    [3, 1],
  ];
  const waySlots = Int32Array.from(
    ways.flatMap(([a, b]) =>
      ([AT.airT, AT.ratio, AT.fog] as const).flatMap((of) => [
        terms.slot(of(a), of(a)),
        terms.slot(of(b), of(a)),
      ]),
    ),
  );
  const leaveSlots = Int32Array.from(
    CELLS.flatMap((cell) => [
      terms.slot(AT.airT(cell), AT.airT(cell)),
      terms.slot(heatOut, AT.airT(cell)),
      terms.slot(heatOut, AT.ratio(cell)),
      terms.slot(AT.ratio(cell), AT.ratio(cell)),
      terms.slot(AT.fog(cell), AT.fog(cell)),
      terms.slot(vapourOut, AT.ratio(cell)),
      terms.slot(vapourOut, AT.fog(cell)),
    ]),
  );
  const room: RoomNow = { temperature: 20, ratio: 0.007, sun: 0 };
  let readRoom: (t: number, into: RoomNow) => void = () => undefined;
  const airMass = Float64Array.from(CELLS, (cell) => airIn(box, cell));
  const volumes = Float64Array.from(CELLS, (cell) => box.cells[cell].air);
  const total = volumes.reduce((sum, it) => sum + it, 0);
  /** kg/s along each way, in from the room and out to it, by cell. */
  const along = new Float64Array(ways.length);
  const enters = new Float64Array(4);
  const leaves_ = new Float64Array(4);
  /** How the stack's and the top's exchange change with temperature (4) and humidity (4) of each cell, kg/s. */
  const byStack = new Float64Array(8);
  const byTop = new Float64Array(8);
  /** How mixing between the tiers of a column, and across in each tier, changes with their difference, kg/s K. */
  const byRise = new Float64Array(2);
  const byDrift = new Float64Array(2);
  let upwards = true;
  const airSlots = Int32Array.from(
    [0, 1, 2, 3, 4, 5, 6, 7].flatMap((row) =>
      [0, 1, 2, 3, 4, 5, 6, 7].map((column) => terms.slot(row, column)),
    ),
  );
  const airOut = Int32Array.from(
    [heatOut, vapourOut].flatMap((row) => [0, 1, 2, 3, 4, 5, 6, 7].map((column) => terms.slot(row, column))),
  );
  /** What one kg/s of a flow changes in each air state, in heat let out and in vapour let out. */
  const effect = new Float64Array(10);

  const { pattern } = terms;
  const base = new Float64Array(pattern.length);
  for (const { slot, value } of terms.linear) base[slot]! += value;
  // One product for all that is linear.
  const steady = pattern.flatMap(([row, column], slot) => (base[slot] === 0 ? [] : [{ row, column, slot }]));
  const linRow = Int32Array.from(steady, (it) => it.row);
  const linColumn = Int32Array.from(steady, (it) => it.column);
  const linValue = Float64Array.from(steady, (it) => base[it.slot]!);
  const outRow = Int32Array.from(terms.outside, (it) => it.row);
  const outValue = Float64Array.from(terms.outside, (it) => it.conductance * inverse[it.row]!);
  const spillFrom = Int32Array.from(spills, (it) => it.from);
  const spillTo = Int32Array.from(spills, (it) => it.to);
  const spillLimit = Float64Array.from(spills, (it) => it.limit);
  const spillRate = Float64Array.from(spills, (it) => it.rate);
  const spillA = Int32Array.from(spills, (it) => it.a);
  const spillB = Int32Array.from(spills, (it) => it.b);
  const filmBase = Float64Array.from(films, (it) => it.conductance);
  const filmFalls = Float64Array.from(films, (it) => it.falls);

  /** Air that the room and the box exchange, m³/s; fills `along`, `enters` and `leaves_`. */
  function flows(y: Float64Array): number {
    let light = 0;
    for (let c = 0; c < 4; c += 1) light += volumes[c]! * virtual(y[c]!, y[4 + c]!);
    const outside = virtual(room.temperature, room.ratio);
    const lighter = (light / total - outside) / outside;
    const stack = exchange.stack ? flowBy(exchange.stack, lighter) : 0;
    let fan = 0;
    for (let i = 0; i < box.fans.length; i += 1) {
      const on = switches.fans[i]!;
      if (on > 0) fan += on * box.fans[i]!.flow * dutyOf(firstFan + i, y);
    }
    const high = 0.5 * (virtual(y[1]!, y[5]!) + virtual(y[3]!, y[7]!));
    const rising = counterflow(exchange.top, (high - outside) / outside);
    const top = factors.exchange * (Math.max(0, rising - stack) + exchange.topDraught + exchange.leak) + 1e-9;
    const [low, upper] = exchange.sideDraught;
    const moved = factors.exchange * stack;
    upwards = lighter >= 0;
    const steep = exchange.stack ? slopeBy(exchange.stack, stack) * (upwards ? 1 : -1) * factors.exchange : 0;
    const freely = rising > stack;
    for (let c = 0; c < 4; c += 1) {
      const part = volumes[c]! / total / outside;
      const byT = part * (1 + 0.61 * y[4 + c]!);
      const byW = part * 0.61 * (y[c]! + KELVIN);
      byStack[c] = 0.5 * AIR_DENSITY * steep * byT;
      byStack[4 + c] = 0.5 * AIR_DENSITY * steep * byW;
      const crownRise =
        freely && (c & 1) === 1
          ? (0.5 * AIR_DENSITY * factors.exchange * rising) /
            (2 * Math.max(1e-4, (high - outside) / outside)) /
            (2 * outside)
          : 0;
      byTop[c] = freely ? crownRise * (1 + 0.61 * y[4 + c]!) - byStack[c]! : 0;
      byTop[4 + c] = freely ? crownRise * 0.61 * (y[c]! + KELVIN) - byStack[4 + c]! : 0;
    }
    for (let k = 0; k < 2; k += 1) {
      const g = 2 * k;
      // Through the box: up when its air is lighter, down when it is heavier; a fan always draws upwards.
      const up = AIR_DENSITY * 0.5 * (fan + (lighter >= 0 ? moved : 0));
      const down = AIR_DENSITY * 0.5 * (lighter >= 0 ? 0 : moved);
      const crown = 0.5 * AIR_DENSITY * (top + factors.exchange * upper);
      const foot = 0.5 * AIR_DENSITY * factors.exchange * low;
      enters[g] = up + foot;
      leaves_[g] = down + foot;
      enters[g + 1] = down + crown;
      leaves_[g + 1] = up + crown;
      // Between the tiers: freely when it is warmer below, hardly when it is warmer above.
      const { floor, height } = box.cells[g]!;
      const warmer = y[g]! - y[g + 1]!;
      const rises = warmer > 0 ? 0.1 * Math.sqrt((GRAVITY * warmer * height) / 293) * smooth(warmer) : 0;
      const mixed = AIR_DENSITY * floor * (0.002 + exchange.stir + rises);
      // d/dΔ of √Δ·Δ/(Δ + 0.2).
      byRise[k] =
        warmer > 0 ? AIR_DENSITY * floor * rises * (0.5 / warmer + 0.2 / (warmer * (warmer + 0.2))) : 0;
      along[g] = mixed + up;
      along[g + 1] = mixed + down;
    }
    for (let tier = 0; tier < 2; tier += 1) {
      const { floor, height } = box.cells[tier]!;
      const across = Math.sqrt(floor * 2) * height;
      const apart = y[tier]! - y[tier + 2]!;
      const drift = 0.06 * Math.sqrt((GRAVITY * Math.sqrt(apart * apart + 0.04) * height) / 293);
      const mixed = AIR_DENSITY * across * (0.002 + exchange.stir + drift);
      byDrift[tier] = (AIR_DENSITY * across * drift * 0.5 * apart) / (apart * apart + 0.04);
      along[4 + 2 * tier] = mixed;
      along[5 + 2 * tier] = mixed;
    }
    return moved + fan + top + factors.exchange * (low + upper);
  }

  /** Books an evaporation: kg/s, and how it changes with temperature, store and humidity of the air. */
  function pass(
    dy: Float64Array,
    jac: Float64Array | null,
    slots: Int32Array,
    at: number,
    t: number,
    store: number,
    w: number,
    rate: number,
    byT: number,
    byStore: number,
    byW: number,
  ): void {
    const heat = LATENT * inverse[t]!;
    const air = inverse[w]!;
    dy[t]! -= heat * rate;
    dy[store]! -= rate;
    dy[w]! += air * rate;
    if (!jac) return;
    jac[slots[at]!]! -= heat * byT;
    jac[slots[at + 1]!]! -= heat * byStore;
    jac[slots[at + 2]!]! -= heat * byW;
    jac[slots[at + 3]!]! -= byT;
    jac[slots[at + 4]!]! -= byStore;
    jac[slots[at + 5]!]! -= byW;
    jac[slots[at + 6]!]! += air * byT;
    jac[slots[at + 7]!]! += air * byStore;
    jac[slots[at + 8]!]! += air * byW;
  }

  function dries(y: Float64Array, dy: Float64Array, jac: Float64Array | null): void {
    for (let i = 0; i < nFilm; i += 1) {
      const t = filmT[i]!;
      const w = filmAir[i]!;
      const store = filmStore[i]!;
      const e = 610.94 * Math.exp((17.625 * y[t]!) / (y[t]! + 243.04));
      const drier = pressure - e;
      const ws = (0.621945 * e) / drier;
      const rise = ((ws * pressure) / drier) * (4283.58 / ((y[t]! + 243.04) * (y[t]! + 243.04)));
      const conductance = filmBase[i]! + filmFalls[i]! * switches.falls;
      const d = ws - y[w]!;
      // Condensing needs no wetness; drying goes by the share that is wet.
      let wet = 1;
      let more = 0;
      if (d > 0) {
        // Just under nothing, as a step may leave it, it takes back as it would give.
        const part = y[store]! / filmFull[i]!;
        const left = part > 0 ? Math.exp(-part) : 1;
        wet = part > 0 ? 1 - left : Math.max(part, -1);
        more = (left / filmFull[i]!) * d;
      }
      const g = conductance * wet;
      pass(dy, jac, filmSlots, 9 * i, t, store, w, g * d, g * rise, conductance * more, -g);
    }
  }

  /** Leaves drink from the soil under the dry top; air too full becomes fog, and fog clears. */
  function livesAndFogs(y: Float64Array, dy: Float64Array, jac: Float64Array | null): void {
    const stomata = STOMATA.night + (STOMATA.day - STOMATA.night) * switches.day;
    const resist = 1 / stomata + AIR_DENSITY / (LEAF.convects * VAPOUR_PER_CONVECTION);
    for (let c = 0; c < 4; c += 1) {
      const cell = c as Cell;
      const column = (c >> 1) as Column;
      const { soil, area } = box.columns[column];
      const { leaves } = box.cells[cell];
      if (area > LAND && leaves > 0) {
        const store = AT.soilWater(column, 1);
        const t = AT.leafT(cell);
        const w = AT.ratio(cell);
        const per = 1 / (WATER * area * soil[1].thickness);
        const spare = y[store]! * per - soil[1].residual;
        const ws = quickSaturation(y[t]!, pressure);
        const d = ws - y[w]!;
        if (spare > 0 && d > 0) {
          const g = (AIR_DENSITY * leaves) / resist;
          const has = spare / (spare + 0.02);
          const more = ((g * d * 0.02) / ((spare + 0.02) * (spare + 0.02))) * per;
          pass(dy, jac, drinkSlots, 9 * c, t, store, w, g * has * d, g * has * ws * 0.062, more, -g * has);
        }
      }
      const t = AT.airT(cell);
      const w = AT.ratio(cell);
      const f = AT.fog(cell);
      const ws = quickSaturation(y[t]!, pressure);
      const over = y[w]! - ws;
      const forms = over > 0 ? FOGS * airMass[c]! : 0;
      const clears = over < 0 ? (CLEARS * -over) / ws : 0;
      const rate = forms * over - clears * y[f]!;
      const heat = LATENT * inverse[t]!;
      const air = inverse[w]!;
      dy[f]! += rate;
      dy[w]! -= air * rate;
      dy[t]! += heat * rate;
      if (!jac) continue;
      const byW = forms + (over < 0 ? (CLEARS * y[f]!) / ws : 0);
      const byT = -byW * ws * 0.062;
      const at = 9 * c;
      jac[fogSlots[at]!]! += byW;
      jac[fogSlots[at + 1]!]! += byT;
      jac[fogSlots[at + 2]!]! -= clears;
      jac[fogSlots[at + 3]!]! -= air * byW;
      jac[fogSlots[at + 4]!]! -= air * byT;
      jac[fogSlots[at + 5]!]! += air * clears;
      jac[fogSlots[at + 6]!]! += heat * byW;
      jac[fogSlots[at + 7]!]! += heat * byT;
      jac[fogSlots[at + 8]!]! -= heat * clears;
    }
  }

  /** Adds how a flow of a given effect changes with every air state. */
  function feels(jac: Float64Array, by: Float64Array): void {
    for (let row = 0; row < 8; row += 1) {
      const e = effect[row]! * inverse[row]!;
      if (e === 0) continue;
      for (let column = 0; column < 8; column += 1) jac[airSlots[8 * row + column]!]! += e * by[column]!;
    }
    for (let column = 0; column < 8; column += 1) {
      jac[airOut[column]!]! += effect[8]! * by[column]!;
      jac[airOut[8 + column]!]! += effect[9]! * by[column]!;
    }
  }
  /** kg/s from one place to another: −1 is the room. Adds to `effect`. */
  function carries(y: Float64Array, from: number, to: number): void {
    const t = from < 0 ? room.temperature : y[from]!;
    const w = from < 0 ? room.ratio : y[4 + from]!;
    if (from >= 0) {
      effect[from]! -= MOIST_AIR_HEAT * t;
      effect[4 + from]! -= w;
    } else {
      effect[8]! -= MOIST_AIR_HEAT * t + LATENT * w;
      effect[9]! -= w;
    }
    if (to >= 0) {
      effect[to]! += MOIST_AIR_HEAT * t;
      effect[4 + to]! += w;
    } else {
      effect[8]! += MOIST_AIR_HEAT * t + LATENT * w;
      effect[9]! += w;
    }
  }
  /** Mixing of two cells that grows with how far their temperatures are apart. */
  function mixes(y: Float64Array, jac: Float64Array, a: number, b: number, by: number): void {
    if (by === 0) return;
    for (let q = 0; q < 2; q += 1) {
      const i = a + 4 * q;
      const j = b + 4 * q;
      const e = (q === 0 ? MOIST_AIR_HEAT : 1) * (y[j]! - y[i]!) * by;
      jac[airSlots[8 * i + a]!]! += e * inverse[i]!;
      jac[airSlots[8 * i + b]!]! -= e * inverse[i]!;
      jac[airSlots[8 * j + a]!]! -= e * inverse[j]!;
      jac[airSlots[8 * j + b]!]! += e * inverse[j]!;
    }
  }

  function airMoves(y: Float64Array, dy: Float64Array, jac: Float64Array | null): void {
    flows(y);
    for (let i = 0; i < ways.length; i += 1) {
      const [a, b] = ways[i]!;
      const mass = along[i]!;
      // Temperature, humidity and fog of where it comes from go with it.
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
    for (let c = 0; c < 4; c += 1) {
      const w = 4 + c;
      const f = 8 + c;
      const brings = enters[c]!;
      const warmth = brings * MOIST_AIR_HEAT * room.temperature;
      dy[c]! += warmth * inverse[c]!;
      dy[w]! += brings * room.ratio * inverse[w]!;
      const mass = leaves_[c]!;
      const heat = mass * MOIST_AIR_HEAT;
      const fog = mass / airMass[c]!;
      dy[c]! -= heat * inverse[c]! * y[c]!;
      dy[w]! -= mass * inverse[w]! * y[w]!;
      dy[f]! -= fog * y[f]!;
      dy[heatOut]! += heat * y[c]! - warmth + LATENT * (mass * y[w]! - brings * room.ratio);
      dy[vapourOut]! += mass * y[w]! + fog * y[f]! - brings * room.ratio;
      if (!jac) continue;
      const at = 7 * c;
      jac[leaveSlots[at]!]! -= heat * inverse[c]!;
      jac[leaveSlots[at + 1]!]! += heat;
      jac[leaveSlots[at + 2]!]! += LATENT * mass;
      jac[leaveSlots[at + 3]!]! -= mass * inverse[w]!;
      jac[leaveSlots[at + 4]!]! -= fog;
      jac[leaveSlots[at + 5]!]! += mass;
      jac[leaveSlots[at + 6]!]! += fog;
    }
    if (!jac) return;
    effect.fill(0);
    for (let g = 0; g < 4; g += 2) {
      const first = upwards ? g : g + 1;
      const last = upwards ? g + 1 : g;
      carries(y, -1, first);
      carries(y, first, last);
      carries(y, last, -1);
    }
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
  }

  /** A link whose conductance changes, W/K or kg/s per kg. */
  function exchanged(
    y: Float64Array,
    dy: Float64Array,
    jac: Float64Array | null,
    slots: Int32Array,
    at: number,
    i: number,
    j: number,
    conductance: number,
    /** What a further degree moves; the same, where conductance does not go by the difference. */
    more: number,
  ): void {
    const q = conductance * (y[i]! - y[j]!);
    const a = inverse[i]!;
    const b = inverse[j]!;
    dy[i]! -= a * q;
    dy[j]! += b * q;
    if (!jac) return;
    jac[slots[at]!]! -= a * more;
    jac[slots[at + 1]!]! += a * more;
    jac[slots[at + 2]!]! += b * more;
    jac[slots[at + 3]!]! -= b * more;
  }

  function soils(y: Float64Array, dy: Float64Array, jac: Float64Array | null): void {
    for (let k = 0; k < 2; k += 1) {
      const column = k as Column;
      const { area, soil, litter } = box.columns[column];
      if (area <= LAND) continue;
      const air = 2 * k;
      const top = AT.soilT(column, 0);
      // Warm ground stirs the air over it; cool ground lies under a still layer.
      const above = y[top]! - y[air]!;
      const wakes = 1 / (1 + Math.exp(-above / 0.7));
      const convects = CONVECTION.down + stirred + (CONVECTION.up - CONVECTION.down) * wakes;
      const stirs = ((CONVECTION.up - CONVECTION.down) * wakes * (1 - wakes) * above) / 0.7;
      exchanged(y, dy, jac, groundSlots, 13 * k, top, air, convects * area, (convects + stirs) * area);

      // Evaporation through the film of air, the dried skin and the litter.
      const store = AT.soilWater(column, 0);
      const [node] = soil;
      const per = 1 / (WATER * area * node.thickness);
      const spare = y[store]! * per - node.residual;
      const film = AIR_DENSITY / (convects * VAPOUR_PER_CONVECTION);
      const ws = quickSaturation(y[top]!, pressure);
      const w = 4 + air;
      const d = ws - y[w]!;
      let g: number;
      let more = 0;
      if (d > 0) {
        const skin = soilResistance(spare);
        const resist = film + skin + litter;
        const open = (factors.wetness * AIR_DENSITY * area) / resist;
        const has = spare > 0 ? spare / (spare + 0.01) : 0;
        g = open * has;
        if (spare > 0) {
          const softer = spare < 0.15 ? (35.63 * skin) / resist : 0;
          more = d * open * (0.01 / ((spare + 0.01) * (spare + 0.01)) + has * softer) * per;
        }
      } else g = (AIR_DENSITY * area) / (film + litter);
      pass(dy, jac, groundSlots, 13 * k + 4, top, store, w, g * d, g * ws * 0.062, more, -g);

      let here = conducts(y, column, 0);
      for (let i = 0; i < 3; i += 1) {
        const upper = soil[i]!;
        const lower = soil[i + 1]!;
        const next = conducts(y, column, i + 1);
        const at = 8 * (3 * k + i);
        const resist = upper.thickness / (2 * here) + lower.thickness / (2 * next);
        exchanged(
          y,
          dy,
          jac,
          depthSlots,
          at,
          AT.soilT(column, i),
          AT.soilT(column, i + 1),
          area / resist,
          area / resist,
        );
        here = next;
        // Water down and up, towards what each layer holds at rest.
        const a = AT.soilWater(column, i);
        const b = a + 1;
        const ka = 1 / (WATER * area * upper.thickness);
        const kb = 1 / (WATER * area * lower.thickness);
        const out = y[a]! * ka - upper.rest - (y[b]! * kb - lower.rest);
        const left = Math.max(0, y[b]! * kb - lower.residual);
        // Nothing rises out of soil that holds no more than it keeps.
        const rate = WATER * area * (out > 0 ? DRAINS : (RISES * left) / (left + 0.02));
        dy[a]! -= rate * out;
        dy[b]! += rate * out;
        if (!jac) continue;
        jac[depthSlots[at + 4]!]! -= rate * ka;
        jac[depthSlots[at + 5]!]! += rate * kb;
        jac[depthSlots[at + 6]!]! += rate * ka;
        jac[depthSlots[at + 7]!]! -= rate * kb;
      }
      const to = into(column);
      if (to < 0) continue;
      const bottom = AT.soilWater(column, 3);
      const per3 = 1 / (WATER * area * soil[3].thickness);
      const out = y[bottom]! * per3 - soil[3].rest;
      if (out <= 0) continue;
      const rate = DRAINS * WATER * area;
      dy[bottom]! -= rate * out;
      dy[to]! += rate * out;
      if (!jac) continue;
      jac[outSlots[2 * k]!]! -= rate * per3;
      jac[outSlots[2 * k + 1]!]! += rate * per3;
    }
  }
  function conducts(y: Float64Array, column: Column, node: number): number {
    const { soil, area } = box.columns[column];
    const { porosity, thickness, conducts: range } = soil[node]!;
    const full = y[AT.soilWater(column, node)]! / (WATER * area * thickness * porosity);
    return range[0] + (range[1] - range[0]) * Math.min(1, Math.max(0, full));
  }

  function runsOff(y: Float64Array, dy: Float64Array, jac: Float64Array | null): void {
    for (let i = 0; i < spillFrom.length; i += 1) {
      const over = y[spillFrom[i]!]! - spillLimit[i]!;
      if (over <= 0) continue;
      const rate = spillRate[i]!;
      dy[spillFrom[i]!]! -= rate * over;
      dy[spillTo[i]!]! += rate * over;
      if (!jac) continue;
      jac[spillA[i]!]! -= rate;
      jac[spillB[i]!]! += rate;
    }
  }

  function given(y: Float64Array, dy: Float64Array, jac: Float64Array | null): void {
    for (let i = 0; i < gives.length; i += 1) {
      const { most, to } = gives[i]!;
      const on = most * (i < firstWetter ? switches.heaters[i]! : switches.wetters[i - firstWetter]!);
      if (on === 0) continue;
      const amount = on * dutyOf(i, y);
      const by = on * slope;
      for (let j = 0; j < to.length; j += 1) {
        const { state, share, slot } = to[j]!;
        dy[state]! += share * amount;
        if (jac && slot >= 0) jac[slot]! += share * by;
      }
    }
    for (let i = 0; i < damp.length; i += 1) {
      const { probe, t, w, lag, slots } = damp[i]!;
      const ws = quickSaturation(y[t]!, pressure);
      const reads = y[w]! / ws;
      dy[probe]! += (reads - y[probe]!) / lag;
      if (!jac) continue;
      jac[slots[0]]! -= 1 / lag;
      jac[slots[1]]! += 1 / (ws * lag);
      jac[slots[2]]! -= (reads * 0.062) / lag;
    }
  }

  // Most of the sun falls on ground and wood; panes and air keep a tenth each.
  const sunlit = COLUMNS.flatMap((column): (readonly [number, number])[] => [
    [AT.soilT(column, 0), 0.2],
    [AT.hardT((column * 2) as Cell), 0.1],
    [AT.hardT((column * 2 + 1) as Cell), 0.1],
    [AT.paneT((column * 2 + 1) as Cell), 0.05],
    [AT.airT((column * 2 + 1) as Cell), 0.05],
  ]);

  return {
    size,
    counted: firstCounted(box),
    pattern,
    allowed: allowedFor(box),
    switches,
    setRoom: (read) => void (readRoom = read),
    exchange(state, t) {
      readRoom(t, room);
      return flows(state);
    },
    duty(state, kind, index) {
      const first = kind === 'heaters' ? 0 : kind === 'wetters' ? firstWetter : firstFan;
      return dutyOf(first + index, state);
    },
    evaluate(t, y, dy, jac) {
      readRoom(t, room);
      dy.fill(0);
      jac?.set(base);
      for (let i = 0; i < linRow.length; i += 1) dy[linRow[i]!]! += linValue[i]! * y[linColumn[i]!]!;
      for (let i = 0; i < outRow.length; i += 1) dy[outRow[i]!]! += outValue[i]! * room.temperature;
      airMoves(y, dy, jac);
      dries(y, dy, jac);
      livesAndFogs(y, dy, jac);
      soils(y, dy, jac);
      runsOff(y, dy, jac);
      given(y, dy, jac);
      if (room.sun > 0) {
        dy[sun_]! += room.sun;
        for (const [state, share] of sunlit) dy[state]! += share * room.sun * inverse[state]!;
      }
    },
  };
}

function heatState(target: Target, lost: number): number {
  switch (target.to) {
    case 'air':
      return AT.airT(target.cell);
    case 'pane':
      return AT.paneT(target.cell);
    case 'leaves':
      return AT.leafT(target.cell);
    case 'hard':
      return AT.hardT(target.cell);
    case 'soil':
      return AT.soilT(target.column, 0);
    case 'deep':
      return AT.soilT(target.column, 2);
    case 'bed':
      return AT.bedT(target.column);
    case 'pool':
      return AT.poolT(target.column);
    case 'spot':
      return AT.spotT(target.column);
    case 'lost':
      return lost;
  }
}

function waterState(target: Target, lost: number): number {
  switch (target.to) {
    case 'air':
      return AT.fog(target.cell);
    case 'pane':
      return AT.paneFilm(target.cell);
    case 'leaves':
      return AT.leafFilm(target.cell);
    case 'hard':
      return AT.hardFilm(target.cell);
    case 'soil':
    case 'spot':
      return AT.soilWater(target.column, 0);
    case 'deep':
      return AT.soilWater(target.column, 2);
    case 'bed':
      return AT.reservoir;
    case 'pool':
      return AT.pool(target.column);
    case 'lost':
      return lost;
  }
}

/** 0 to 1 over the first tenths of a degree, so that mixing sets in without a step. */
const smooth = (warmer: number): number => warmer / (warmer + 0.2);
