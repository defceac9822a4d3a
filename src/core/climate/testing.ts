import { hydraulicsOf } from '../ground/hydraulics';
import { heldAt, type Blend } from '../ground/water';
import { pressureAt } from './air';
import type { BoxModel, CellModel, ColumnModel, SoilNode } from './box';
import type { Timetable } from './simulate';
import { stackLaw, type Gauze } from './vents';
import type { RoomProfile, Standing } from './weather';

/** Boxes and rooms made up for tests: nothing of them is meant to be built. */
export const GAUZE: Gauze = { open: 0.6, wire: 0.00025 };

/** A fibrous soil: three quarters of it pores. */
export const FIBRE: Blend = {
  porosity: 0.75,
  held: (suction) => heldAt({ residual: 0.06, saturated: 0.75, alpha: 0.15, n: 1.7 }, suction),
};

const node = (thickness: number, area: number): SoilNode => ({
  thickness,
  soil: hydraulicsOf(FIBRE),
  residual: 0.065,
  heat: thickness * area * 2.2e6,
  conducts: [0.1, 0.6],
});

export interface Told {
  readonly width?: number;
  readonly depth?: number;
  readonly height?: number;
  readonly cover?: number;
  readonly leaves?: number;
  readonly poolArea?: number;
  readonly theta?: number;
  readonly draught?: number;
  readonly litter?: number;
  readonly altitude?: number;
}

/** A glass box with soil, a meshed top and a gauzed strip below. */
export function boxOf(told: Told = {}): BoxModel {
  const { width = 0.6, depth = 0.45, height = 0.6, cover = 0.5, leaves = 0.3, poolArea = 0.01 } = told;
  const half = (width / 2) * depth;
  const soilDepth = 0.1;
  const tier = (height - soilDepth) / 2;
  const cell = (ground: boolean): CellModel => {
    const area = (width + depth) * tier;
    return {
      air: half * tier,
      pane: { area, heat: area * 0.005 * 2500 * 750, toRoom: area / (0.005 + 0.13) },
      open: ground ? 0 : half * (1 - cover),
      leaves: leaves * (ground ? 0.3 : 0.7) * half * 2,
      hard: { area: 0.3 * half, heat: 0.3 * half * 0.02 * 600 * 1700 },
      floor: half,
      height: tier,
    };
  };
  const land = half - poolArea / 2;
  const rest = told.theta ?? 0.35;
  const column = (): ColumnModel => ({
    area: land,
    soil: [node(0.01, land), node(0.03, land), node(0.03, land), node(0.03, land)],
    start: [rest, rest, rest, rest],
    litter: told.litter ?? 500,
    sides: 0.1,
    bed: { heat: half * 0.05 * 1e6, toSoil: (half * 0.4) / 0.04, down: half * 3 },
    pool: { area: poolArea / 2, full: (poolArea / 2) * 30, toBed: poolArea * 5 },
    falls: 0,
    foot: { height: 0.05, touches: 0, pores: 0.4, perMetre: half * 2 * 360 },
    sky: 0.2 * (1 - cover),
    spot: { area: 0.02, heat: 0.02 * 0.02 * 1.6e6 },
  });
  const open = width * depth * (1 - cover);
  return {
    pressure: pressureAt(told.altitude ?? 0),
    cells: [cell(true), cell(false), cell(true), cell(false)],
    columns: [column(), column()],
    exchange: {
      stack: stackLaw(
        { area: width * 0.04, height: soilDepth + 0.02, gauze: GAUZE },
        { area: Math.max(1e-4, open), height, gauze: GAUZE },
      ),
      top: open * 0.6,
      topDraught: (told.draught ?? 0.002) * open,
      sideDraught: [0, 0],
      leak: 2e-6,
      stir: 0,
    },
    reservoir: { takes: 'bed', start: half * 2 * 10, full: half * 2 * 18, drain: null },
    heaters: [],
    wetters: [],
    fans: [],
    chambers: [],
    factors: { exchange: 1, wetness: 1, gain: 1 },
  };
}

/** A warm lamp by day over the warm side, held by a thermostat; 10 g of mist twice a day. */
export function fitted(told: Told = {}): BoxModel {
  // Leaves catch what they cover: e^(−LAI/2) passes them.
  const leafy = 0.2 * (1 - Math.exp(-(told.leaves ?? 0.3) / 2));
  return {
    ...boxOf(told),
    heaters: [
      {
        id: 'lamp',
        power: 50,
        targets: [
          { to: 'soil', column: 0, share: 0.3 - leafy },
          { to: 'spot', column: 0, share: 0.15 },
          { to: 'leaves', cell: 1, share: leafy },
          { to: 'hard', cell: 0, share: 0.1 },
          { to: 'air', cell: 1, share: 0.2 },
          { to: 'lost', share: 0.25 },
        ],
        control: { probe: { at: 'air', cell: 0 }, day: 26, night: null, band: 1, lag: 60, acts: 1 },
      },
    ],
    wetters: [
      {
        id: 'nozzles',
        rate: 0.001,
        targets: [
          { to: 'leaves', cell: 1, share: 0.2 },
          { to: 'leaves', cell: 3, share: 0.2 },
          { to: 'soil', column: 0, share: 0.15 },
          { to: 'soil', column: 1, share: 0.15 },
          { to: 'pane', cell: 1, share: 0.1 },
          { to: 'hard', cell: 2, share: 0.1 },
          { to: 'air', cell: 3, share: 0.05 },
          { to: 'lost', share: 0.05 },
        ],
        control: null,
        bottle: 'bottle',
      },
    ],
  };
}

const HOUR = 3600;
export const TWO_MISTS: Timetable = {
  day: [{ from: 8 * HOUR, to: 20 * HOUR }],
  heaters: [[{ from: 8 * HOUR, to: 20 * HOUR }]],
  wetters: [
    [
      { from: 8 * HOUR, to: 8 * HOUR + 30 },
      { from: 19 * HOUR, to: 19 * HOUR + 30 },
    ],
  ],
  fans: [],
  falls: [],
  fills: 9 * HOUR,
};

/** Nothing runs; days are twelve hours. */
export const STILL: Timetable = { ...TWO_MISTS, heaters: [], wetters: [], fills: null };

export const FLAT: RoomProfile = {
  temperature: Array.from({ length: 12 }, () => 21),
  humidity: Array.from({ length: 12 }, () => 0.5),
  swing: 1.5,
  setback: null,
  scatter: [1, 0.08],
};
/** Nothing changes all year. */
export const STEADY: RoomProfile = { ...FLAT, swing: 0, scatter: [0, 0] };
export const INDOORS: Standing = {
  window: null,
  sunlit: 0,
  radiator: false,
  outsideWall: false,
  latitude: 50,
};
