import type { BoxModel, Cell, Column, Probe } from './box';

/** Where each state of a box stands in the engine's vector. Temperatures °C, water kg, humidity kg/kg. */
export const AT = {
  airT: (cell: Cell) => cell,
  ratio: (cell: Cell) => 4 + cell,
  fog: (cell: Cell) => 8 + cell,
  paneT: (cell: Cell) => 12 + cell,
  paneFilm: (cell: Cell) => 16 + cell,
  leafT: (cell: Cell) => 20 + cell,
  leafFilm: (cell: Cell) => 24 + cell,
  hardT: (cell: Cell) => 28 + cell,
  hardFilm: (cell: Cell) => 32 + cell,
  soilT: (column: Column, node: number) => 36 + column * 4 + node,
  soilWater: (column: Column, node: number) => 44 + column * 4 + node,
  bedT: (column: Column) => 52 + column,
  poolT: (column: Column) => 54 + column,
  pool: (column: Column) => 56 + column,
  spotT: (column: Column) => 58 + column,
  reservoir: 60,
  /** Where the lagging probes of the controls begin: heaters, then wetters, then fans. */
  probes: 61,
} as const;

export const probeCount = (box: BoxModel): number =>
  box.heaters.length + box.wetters.length + box.fans.length;

/** States of each small chamber: temperature, humidity ratio and the water of its moss, behind the probes. */
export const chamberAt = (box: BoxModel, index: number) => {
  const first = AT.probes + probeCount(box) + 3 * index;
  return { t: first, ratio: first + 1, store: first + 2 };
};

/**
 * What is only counted, from the start of a run, behind all else: vapour let out, liquid let out or lost, kg; sun and
 * heat let out, J; then what each heater used, J, and what each wetter gave, kg.
 */
export const COUNTED = ['vapourOut', 'liquidOut', 'sun', 'heatOut'] as const;
export type Counted = (typeof COUNTED)[number];

export const firstCounted = (box: BoxModel): number => AT.probes + probeCount(box) + 3 * box.chambers.length;
export const counted = (box: BoxModel, what: Counted): number => firstCounted(box) + COUNTED.indexOf(what);
export const usedBy = (box: BoxModel, heater: number): number => firstCounted(box) + COUNTED.length + heater;
export const givenBy = (box: BoxModel, wetter: number): number => usedBy(box, box.heaters.length) + wetter;
export const sizeOf = (box: BoxModel): number => givenBy(box, box.wetters.length);

/** State that a probe follows, and whether it reads relative humidity. */
export function followed(probe: Probe): { readonly state: number; readonly cell: Cell | null } {
  switch (probe.at) {
    case 'air':
      return { state: AT.airT(probe.cell), cell: null };
    case 'humidity':
      return { state: AT.ratio(probe.cell), cell: probe.cell };
    case 'soil':
      return { state: AT.soilT(probe.column, 0), cell: null };
    case 'bed':
      return { state: AT.bedT(probe.column), cell: null };
    case 'spot':
      return { state: AT.spotT(probe.column), cell: null };
    case 'pool':
      return { state: AT.poolT(probe.column), cell: null };
  }
}
