import type { Hydraulics } from '../ground/hydraulics';
import type { StackLaw } from './vents';

/** By how much a box differs from its drawing: air that is exchanged, how freely all that is wet dries, heat that stays. */
export interface Factors {
  readonly exchange: number;
  readonly wetness: number;
  readonly gain: number;
}

/**
 * A box as the engine sees it: two columns (0 warm, 1 cool) of two tiers of air (0 ground, 1 canopy), and the bodies
 * that give and take heat and water. All plain data, SI. Cells are numbered column · 2 + tier.
 */
export interface BoxModel {
  /** Pa */
  readonly pressure: number;
  readonly cells: readonly [CellModel, CellModel, CellModel, CellModel];
  readonly columns: readonly [ColumnModel, ColumnModel];
  readonly exchange: ExchangeModel;
  readonly reservoir: ReservoirModel;
  readonly heaters: readonly HeaterModel[];
  readonly wetters: readonly WetterModel[];
  readonly fans: readonly FanModel[];
  readonly chambers: readonly ChamberModel[];
  /** What calibration found. */
  readonly factors: Factors;
}

/** Less than a square millimetre is not there, m². */
export const NO_AREA = 1e-6;

export type Column = 0 | 1;
export type Cell = 0 | 1 | 2 | 3;

/** Air of one tier of one column and what stands around it. */
export interface CellModel {
  /** m³ */
  readonly air: number;
  /** Panes or boards towards the room: m², J/K, and W/K from their middle to the room; 0 m²: there are none. */
  readonly pane: { readonly area: number; readonly heat: number; readonly toRoom: number };
  /** Gauze walls and open lid, through which warm bodies see the room, m². */
  readonly open: number;
  /** One side of all leaves, m². */
  readonly leaves: number;
  /** Wood, stone and background: m² and J/K. */
  readonly hard: { readonly area: number; readonly heat: number };
  /** Floor that lies under the tier, m², and its height, m. */
  readonly floor: number;
  readonly height: number;
}

/** One layer of soil, from the top down: the first is the centimetre that dries. */
export interface SoilNode {
  /** m */
  readonly thickness: number;
  /** How it holds and passes water. */
  readonly soil: Hydraulics;
  /** What no root or air takes out, m³/m³. */
  readonly residual: number;
  /** J/K of all of it, moist. */
  readonly heat: number;
  /** W/m K dry and full. */
  readonly conducts: readonly [dry: number, full: number];
}

export interface ColumnModel {
  /** Land, m². */
  readonly area: number;
  readonly soil: readonly [SoilNode, SoilNode, SoilNode, SoilNode];
  /** Water in each at the start, m³/m³. */
  readonly start: readonly [number, number, number, number];
  /** s/m that leaf litter adds to evaporation. */
  readonly litter: number;
  /** W/K from the soil's sides to the room, each node. */
  readonly sides: number;
  /** Drainage bed or floor: J/K, W/K to the soil over it and down to what it stands on. */
  readonly bed: { readonly heat: number; readonly toSoil: number; readonly down: number };
  /** How the foot of the soil meets the water below; null: a bare floor that holds all that sinks. */
  readonly foot: FootModel | null;
  /** Share of what the ground sees overhead that is room, not box: an open lid. */
  readonly sky: number;
  /** Open water: m², kg when full, W/K to the bed. */
  readonly pool: { readonly area: number; readonly full: number; readonly toBed: number };
  /** Moving water's own surface while it runs, m². */
  readonly falls: number;
  /** What lies under the lamp: m² and J/K; nothing shades it. */
  readonly spot: { readonly area: number; readonly heat: number };
}

/** Where soil ends over a bed or in open water. Heights m above the floor of the box. */
export interface FootModel {
  /** Underside of the soil: the barrier. */
  readonly height: number;
  /** Share of it that reaches down into the water, or is joined to it by a wick: there water rises as it sinks. */
  readonly touches: number;
  /** Pores of what lies between water and barrier, as vapour finds them: 1 where nothing does. */
  readonly pores: number;
  /** kg of water for each m of level below the soil. */
  readonly perMetre: number;
}

/** A hide that keeps an air of its own: a box of moss, a cave with a reservoir, a half-buried tube. */
export interface ChamberModel {
  /** Piece it is. */
  readonly piece: string;
  readonly cell: Cell;
  /** m³ of its air. */
  readonly air: number;
  /** m² of wet moss or reservoir, kg it holds when freshly wetted; 0: a dry one. */
  readonly wet: number;
  readonly holds: number;
  /** m² of bare soil under it. */
  readonly soil: number;
  /** Way in: m², and its height, m. */
  readonly way: { readonly area: number; readonly height: number };
  /** J/K of what is in it and around it; W/K to the air outside and to the soil. */
  readonly heat: number;
  readonly toAir: number;
  readonly toSoil: number;
}

export interface ExchangeModel {
  readonly stack: StackLaw | null;
  /** Level opening above, m²; what of it gauze lets through is counted in. */
  readonly top: number;
  /** Exchange by the room's own draught, m³/s: through the top, and through open walls in each tier. */
  readonly topDraught: number;
  readonly sideDraught: readonly [ground: number, canopy: number];
  /** m³/s that nothing stops. */
  readonly leak: number;
  /** Air kept moving inside, m/s, by a fan that blows all the time. */
  readonly stir: number;
}

export interface ReservoirModel {
  /** Where water that drains out of the soil goes. */
  readonly takes: 'bed' | 'pool' | 'nowhere';
  /** kg at the start, up to the soil, and up to the drain (null: none). */
  readonly start: number;
  readonly full: number;
  readonly drain: number | null;
}

/** A state that a control looks at. */
export type Probe =
  | { readonly at: 'air' | 'humidity'; readonly cell: Cell }
  | { readonly at: 'soil' | 'bed' | 'spot' | 'pool'; readonly column: Column };

/** Holds a value by its duty between 0 and 1; on-off cycling follows from it and is not stepped through. */
export interface ControlModel {
  readonly probe: Probe;
  /** °C or fraction, by day and by night; null: off then. */
  readonly day: number | null;
  readonly night: number | null;
  /** From full to none, in the unit of the set point. */
  readonly band: number;
  /** s that the probe is late. */
  readonly lag: number;
  /** Works against the value: heats when it is cool, wets when it is dry (1), or airs when it is damp (−1). */
  readonly acts: 1 | -1;
}

/** Where a share of power or water goes. */
export type Target =
  | { readonly to: 'air' | 'pane' | 'leaves' | 'hard'; readonly cell: Cell; readonly share: number }
  | {
      readonly to: 'soil' | 'deep' | 'foot' | 'bed' | 'pool' | 'spot';
      readonly column: Column;
      readonly share: number;
    }
  | { readonly to: 'lost'; readonly share: number };

export interface HeaterModel {
  readonly id: string;
  /** W at full power. */
  readonly power: number;
  readonly targets: readonly Target[];
  readonly control: ControlModel | null;
}

export interface WetterModel {
  readonly id: string;
  /** kg/s while it runs; `air` is fog. */
  readonly rate: number;
  readonly targets: readonly Target[];
  readonly control: ControlModel | null;
  /** Store it draws on, by id; null: the tap or the keeper's hand. */
  readonly bottle: string | null;
  /** kg of a bottle of its own; without: none. */
  readonly tank?: number;
  /** Poured from the jug: neither mist nor fog, and by nothing with a plug. */
  readonly jug?: true;
}

export interface FanModel {
  readonly id: string;
  /** m³/s drawn from the room through the box. */
  readonly flow: number;
  readonly control: ControlModel | null;
}

/** What is switched between two events: 0 to 1 each, in the order of the model's lists. */
export interface Switches {
  readonly heaters: Float64Array;
  readonly wetters: Float64Array;
  readonly fans: Float64Array;
  /** 1 while moving water runs. */
  falls: number;
  /** 1 by day: what controls and leaves go by. */
  day: number;
}

/** The room at a moment. */
export interface RoomNow {
  /** °C */
  temperature: number;
  /** kg/kg */
  ratio: number;
  /** W of sun that comes in through the panes. */
  sun: number;
}
