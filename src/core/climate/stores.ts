import { AIR_DENSITY, LATENT_HEAT, MOIST_AIR_HEAT, WATER_DENSITY, WATER_HEAT } from '../physics/constants';
import { relativeAt } from './air';
import { NO_AREA, type BoxModel, type Cell, type Column } from './box';
import { LEAF_HEAT } from './engine/surfaces';
import { AT, chamberAt, sizeOf } from './states';

export const CELLS: readonly Cell[] = [0, 1, 2, 3];
export const COLUMNS: readonly Column[] = [0, 1];
/** Less land than this is none, m². */
export const LAND = 1e-4;

/** kg of air in a cell. */
export const airIn = (box: BoxModel, cell: Cell): number => AIR_DENSITY * Math.max(1e-4, box.cells[cell].air);

/** J/K of every body that holds heat, by its state; a body that is not there is left out. */
function heatStores(box: BoxModel): readonly (readonly [state: number, capacity: number])[] {
  const stores: [number, number][] = [];
  for (const cell of CELLS) {
    const { pane, leaves, hard } = box.cells[cell];
    stores.push([AT.airT(cell), airIn(box, cell) * MOIST_AIR_HEAT]);
    if (pane.area > NO_AREA) stores.push([AT.paneT(cell), pane.heat]);
    if (leaves > NO_AREA) stores.push([AT.leafT(cell), leaves * LEAF_HEAT]);
    if (hard.area > NO_AREA) stores.push([AT.hardT(cell), hard.heat]);
  }
  for (const column of COLUMNS) {
    const { area, soil, bed, pool, spot } = box.columns[column];
    if (area > LAND) soil.forEach((node, at) => stores.push([AT.soilT(column, at), node.heat]));
    stores.push([AT.bedT(column), bed.heat]);
    if (pool.area > NO_AREA) stores.push([AT.poolT(column), Math.max(pool.full, pool.area * 2) * WATER_HEAT]);
    if (spot.area > NO_AREA) stores.push([AT.spotT(column), spot.heat]);
  }
  box.chambers.forEach((it, index) => stores.push([chamberAt(box, index).t, it.heat]));
  return stores;
}

/** kg of air that holds vapour, by the state of its humidity ratio. */
function vapourStores(box: BoxModel): readonly (readonly [state: number, air: number])[] {
  return [
    ...CELLS.map((cell) => [AT.ratio(cell), airIn(box, cell)] as const),
    ...box.chambers.map((it, index) => [chamberAt(box, index).ratio, AIR_DENSITY * it.air] as const),
  ];
}

/** States that are kilograms of water as they stand. */
function waterStores(box: BoxModel): readonly number[] {
  return [
    AT.reservoir,
    ...CELLS.flatMap((cell) => [AT.fog(cell), AT.paneFilm(cell), AT.leafFilm(cell), AT.hardFilm(cell)]),
    ...COLUMNS.flatMap((column) => [
      ...[0, 1, 2, 3].map((node) => AT.soilWater(column, node)),
      AT.pool(column),
    ]),
    ...box.chambers.map((_, index) => chamberAt(box, index).store),
  ];
}

/** One over the heat capacity, J/K, or the air, kg, of each state: what its sum is divided by; 0: nothing is there. */
export function inversesOf(box: BoxModel): Float64Array {
  const inverse = new Float64Array(sizeOf(box)).fill(1);
  for (const cell of CELLS)
    for (const state of [AT.paneT(cell), AT.leafT(cell), AT.hardT(cell)]) inverse[state] = 0;
  for (const column of COLUMNS)
    for (const state of [0, 1, 2, 3]
      .map((node) => AT.soilT(column, node))
      .concat(AT.poolT(column), AT.spotT(column)))
      inverse[state] = 0;
  for (const [state, capacity] of [...heatStores(box), ...vapourStores(box)]) inverse[state] = 1 / capacity;
  return inverse;
}

/** How far off each state may be in a step, by what can be told apart; 0: not watched. */
export function allowedFor(box: BoxModel): Float64Array {
  const allowed = new Float64Array(sizeOf(box));
  const set = (state: number, value: number): void => void (allowed[state] = value);
  for (const [state] of heatStores(box)) set(state, 0.4);
  for (const cell of CELLS) {
    const { leaves, hard, pane } = box.cells[cell];
    set(AT.airT(cell), 0.25);
    set(AT.ratio(cell), 2.2e-4);
    // What has no surface steers nothing: one over hardly anything would swamp the error of all else.
    const film = (state: number, area: number, share: number): void =>
      set(state, area > NO_AREA ? share * area : 0);
    film(AT.paneFilm(cell), pane.area, 0.01);
    film(AT.leafFilm(cell), leaves, 0.01);
    film(AT.hardFilm(cell), hard.area, 0.03);
  }
  for (const column of COLUMNS) {
    const { area, soil, spot } = box.columns[column];
    set(AT.bedT(column), 0);
    set(AT.poolT(column), 0);
    if (spot.area > NO_AREA) set(AT.spotT(column), 0.5);
    if (area > LAND)
      for (let i = 0; i < 4; i += 1) set(AT.soilWater(column, i), area * soil[i]!.thickness * 10);
  }
  // Small chambers follow the box within minutes and give it next to nothing: they steer no step.
  box.chambers.forEach((_, index) => set(chamberAt(box, index).t, 0));
  return allowed;
}

/** A state at rest with the room: everything as warm and as damp as the room, soil and water as the model says. */
export function startOf(box: BoxModel, temperature: number, ratio: number): Float64Array {
  const y = new Float64Array(sizeOf(box));
  for (const cell of CELLS) {
    for (const state of [AT.airT(cell), AT.paneT(cell), AT.leafT(cell), AT.hardT(cell)])
      y[state] = temperature;
    y[AT.ratio(cell)] = ratio;
  }
  for (const column of COLUMNS) {
    const { area, soil, start, pool } = box.columns[column];
    for (let i = 0; i < 4; i += 1) {
      y[AT.soilT(column, i)] = temperature;
      if (area > LAND) y[AT.soilWater(column, i)] = WATER_DENSITY * area * soil[i]!.thickness * start[i]!;
    }
    for (const state of [AT.bedT(column), AT.poolT(column), AT.spotT(column)]) y[state] = temperature;
    y[AT.pool(column)] = pool.full;
  }
  y[AT.reservoir] = box.reservoir.start;
  box.chambers.forEach((it, index) => {
    const at = chamberAt(box, index);
    y[at.t] = temperature;
    y[at.ratio] = ratio;
    y[at.store] = it.holds;
  });
  [...box.heaters, ...box.wetters, ...box.fans].forEach(({ control }, index) => {
    if (control) {
      y[AT.probes + index] =
        control.probe.at === 'humidity' ? relativeAt(temperature, ratio, box.pressure) : temperature;
    }
  });
  return y;
}

/** All water in the box, kg. */
export const waterIn = (box: BoxModel, y: Float64Array): number =>
  waterStores(box).reduce((sum, state) => sum + (y[state] ?? 0), 0) +
  vapourStores(box).reduce((sum, [state, air]) => sum + air * (y[state] ?? 0), 0);

/** All heat in the box, J over 0 °C, vapour counted by what it took to raise it. */
export const heatIn = (box: BoxModel, y: Float64Array): number =>
  heatStores(box).reduce((sum, [state, capacity]) => sum + capacity * (y[state] ?? 0), 0) +
  vapourStores(box).reduce((sum, [state, air]) => sum + LATENT_HEAT * air * (y[state] ?? 0), 0);
