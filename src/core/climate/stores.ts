import { LATENT } from './air';
import type { BoxModel, Cell, Column } from './box';
import { AIR_DENSITY, LEAF_HEAT, MOIST_AIR_HEAT, quickSaturation } from './properties';
import { AT, sizeOf } from './states';

const WATER = 998;
export const CELLS: readonly Cell[] = [0, 1, 2, 3];
export const COLUMNS: readonly Column[] = [0, 1];
/** J/K of what is not there: keeps empty bodies out of the sums without special cases. */
const NOMINAL = 1;
/** Less land than this is none, m². */
export const LAND = 1e-4;

/** Heat capacity, J/K, or air, kg, of each state: what its sum is divided by. */
export function inversesOf(box: BoxModel): Float64Array {
  const inverse = new Float64Array(sizeOf(box)).fill(1);
  const holds = (state: number, value: number): void => void (inverse[state] = 1 / Math.max(NOMINAL, value));
  for (const cell of CELLS) {
    const { pane, leaves, hard } = box.cells[cell];
    inverse[AT.airT(cell)] = 1 / (airIn(box, cell) * MOIST_AIR_HEAT);
    inverse[AT.ratio(cell)] = 1 / airIn(box, cell);
    holds(AT.paneT(cell), pane.heat);
    holds(AT.leafT(cell), leaves * LEAF_HEAT);
    holds(AT.hardT(cell), hard.heat);
  }
  for (const column of COLUMNS) {
    const it = box.columns[column];
    it.soil.forEach((node, at) => holds(AT.soilT(column, at), node.heat));
    holds(AT.bedT(column), it.bed.heat);
    holds(AT.poolT(column), Math.max(it.pool.full, it.pool.area * 2) * 4186);
    holds(AT.spotT(column), it.spot.heat);
  }
  return inverse;
}

/** kg of air in a cell. */
export const airIn = (box: BoxModel, cell: Cell): number => AIR_DENSITY * Math.max(1e-4, box.cells[cell].air);

/** How far off each state may be in a step, by what can be told apart. */
export function allowedFor(box: BoxModel): Float64Array {
  const allowed = new Float64Array(sizeOf(box));
  const set = (state: number, value: number): void => void (allowed[state] = value);
  for (const cell of CELLS) {
    const { leaves, hard, pane } = box.cells[cell];
    set(AT.airT(cell), 0.25);
    set(AT.ratio(cell), 2.2e-4);
    set(AT.paneT(cell), 0.4);
    set(AT.leafT(cell), leaves > 1e-3 ? 0.4 : 0);
    set(AT.hardT(cell), hard.area > 1e-3 ? 0.4 : 0);
    set(AT.paneFilm(cell), 0.01 * pane.area);
    set(AT.leafFilm(cell), 0.01 * leaves);
    set(AT.hardFilm(cell), 0.03 * hard.area);
  }
  for (const column of COLUMNS) {
    const { area, soil, spot } = box.columns[column];
    for (let i = 0; i < 4; i += 1) {
      set(AT.soilT(column, i), 0.4);
      set(AT.soilWater(column, i), area * soil[i]!.thickness * 10);
    }
    set(AT.spotT(column), spot.area > 0 ? 0.5 : 0);
  }
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
      y[AT.soilWater(column, i)] = WATER * area * soil[i]!.thickness * start[i]!;
    }
    for (const state of [AT.bedT(column), AT.poolT(column), AT.spotT(column)]) y[state] = temperature;
    y[AT.pool(column)] = pool.full;
  }
  y[AT.reservoir] = box.reservoir.start;
  [...box.heaters, ...box.wetters, ...box.fans].forEach(({ control }, index) => {
    if (control) {
      y[AT.probes + index] =
        control.probe.at === 'humidity' ? ratio / quickSaturation(temperature, box.pressure) : temperature;
    }
  });
  return y;
}

/** All water in the box, kg. */
export function waterIn(box: BoxModel, y: Float64Array): number {
  let sum = y[AT.reservoir]!;
  for (const cell of CELLS) {
    sum += y[AT.ratio(cell)]! * AIR_DENSITY * Math.max(1e-4, box.cells[cell].air);
    sum += y[AT.fog(cell)]! + y[AT.paneFilm(cell)]! + y[AT.leafFilm(cell)]! + y[AT.hardFilm(cell)]!;
  }
  for (const column of COLUMNS) {
    for (let i = 0; i < 4; i += 1) sum += y[AT.soilWater(column, i)]!;
    sum += y[AT.pool(column)]!;
  }
  return sum;
}

/** All heat in the box, J over 0 °C, vapour counted by what it took to raise it. */
export function heatIn(box: BoxModel, y: Float64Array): number {
  const held = (value: number): number => Math.max(NOMINAL, value);
  let sum = 0;
  for (const cell of CELLS) {
    const { air, pane, leaves, hard } = box.cells[cell];
    const mass = AIR_DENSITY * Math.max(1e-4, air);
    sum += mass * MOIST_AIR_HEAT * y[AT.airT(cell)]! + LATENT * mass * y[AT.ratio(cell)]!;
    sum += held(pane.heat) * y[AT.paneT(cell)]!;
    sum += held(leaves * LEAF_HEAT) * y[AT.leafT(cell)]! + held(hard.heat) * y[AT.hardT(cell)]!;
  }
  for (const column of COLUMNS) {
    const { soil, bed, pool, spot } = box.columns[column];
    for (let i = 0; i < 4; i += 1) sum += held(soil[i]!.heat) * y[AT.soilT(column, i)]!;
    sum += held(bed.heat) * y[AT.bedT(column)]! + held(spot.heat) * y[AT.spotT(column)]!;
    sum += held(Math.max(pool.full, pool.area * 2) * 4186) * y[AT.poolT(column)]!;
  }
  return sum;
}
