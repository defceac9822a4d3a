/**
 * Panes, leaves and hardscape: upright faces that meet the air of their cell.
 *
 *   C·dT/dt = α·S + 2·h_c·A·(T_air − T) + h_r·A·(T_around − T) − L·g            heat of a leaf (both its sides)
 *   g = h_c·A·wet·(w_s(T) − w)/(c_p·Le^⅔)                                      film that dries, or gathers
 *   g = ρ·A·has·(w_s(T) − w)/(1/stomata + film of air)                         leaves that drink from the soil
 *
 * What radiates sees the panes of its cell and, through gauze and an open lid, the room, by their areas. Heat that lamps
 * give (α·S) is in `sources`.
 */
import { AIR_DENSITY, LATENT_HEAT, WATER_DENSITY } from '../../physics/constants';
import type { SaturationCurve } from '../air';
import { NO_AREA, type BoxModel, type Cell, type Column, type Switches } from '../box';
import { VAPOUR_PER_CONVECTION } from '../properties';
import { AT, counted } from '../states';
import { CONVECTION, RADIATION } from '../walls';
import type { Assembly, Flow, Part } from './assembly';

/** J/m²K of one side of a leaf: 0.2 mm of water (from memory). */
export const LEAF_HEAT = 800;
/** W/m²K of convection at each side of a small leaf in a room’s air (from memory; Campbell & Norman 1998, ch. 7: 4 to 8). */
export const LEAF_CONVECTION = 5;
/** W/m²K for each m/s of air that a fan keeps moving (from memory; McAdams 1954: about 4 for plates in the open). */
export const CONVECTION_BY_WIND = 40;
/** kg/m² of film at which a face is wet all over to a share of 1 − 1/e, and over which water runs off (from memory). */
export const FILM = {
  pane: { wets: 0.05, holds: 0.08 },
  leaf: { wets: 0.1, holds: 0.2 },
  hard: { wets: 0.1, holds: 0.4 },
} as const;
/** m/s at which leaves let vapour out, for each leaf area, by day and by night (from memory). */
const STOMATA = { day: 1e-3, night: 2e-4 } as const;
/** m³/m³ over its residual at which soil gives roots half of what they would drink (from memory). */
const ROOTS_HALF = 0.02;
/** s in which what is too much runs off (from memory). */
const RUNS_OFF = 90;

export interface Landing {
  /** State in which water that runs off or settles ends up. */
  (column: Column): number;
}

/** A film that dries into the air over it, or gathers from it. */
class Film {
  private readonly flow: Flow;
  constructor(
    assembly: Assembly,
    private readonly at: { readonly t: number; readonly store: number; readonly ratio: number },
    /** kg/s for each kg/kg when wet all over; kg that wets 1 − 1/e of it. */
    private readonly conductance: number,
    private readonly full: number,
  ) {
    const { t, store, ratio } = at;
    this.flow = assembly.flow(
      [
        [t, -LATENT_HEAT],
        [store, -1],
        [ratio, 1],
      ],
      [t, store, ratio],
    );
  }

  /** @param more kg/s per kg/kg of moving water besides */
  evaluate(
    curve: SaturationCurve,
    more: number,
    y: Float64Array,
    dy: Float64Array,
    jac: Float64Array | null,
  ): void {
    const { t, store, ratio } = this.at;
    const { flow, full } = this;
    const conductance = this.conductance + more;
    const saturated = curve.at(y[t]!);
    const rise = curve.slope;
    const d = saturated - y[ratio]!;
    // Condensing needs no wetness; drying goes by the share that is wet.
    let wet = 1;
    let byStore = 0;
    if (d > 0) {
      // Just under nothing, as a step may leave it, it takes back as it would give.
      const part = y[store]! / full;
      const dryShare = part > 0 ? Math.exp(-part) : 1;
      wet = part > 0 ? 1 - dryShare : part > -1 ? part : -1;
      byStore = part > -1 ? (dryShare / full) * d : 0;
    }
    const g = conductance * wet;
    flow.by[0] = g * rise;
    flow.by[1] = conductance * byStore;
    flow.by[2] = -g;
    flow.book(g * d, dy, jac);
  }
}

interface SurfacesInput {
  readonly box: BoxModel;
  readonly assembly: Assembly;
  readonly curve: SaturationCurve;
  readonly switches: Switches;
  readonly landing: Landing;
  readonly spill: (from: number, to: number, limit: number, rate: number) => void;
}

/** Convection at upright faces of a box, W/m²K; a stirring fan adds to it. */
export const sideConvection = (box: BoxModel): number =>
  CONVECTION.sideways + CONVECTION_BY_WIND * box.exchange.stir;

/** Links a body by radiation to the panes of a cell and to the room, by their areas. */
export function radiates(
  { box, assembly }: Pick<SurfacesInput, 'box' | 'assembly'>,
  state: number,
  cell: Cell,
  area: number,
  roomShare: number | null = null,
): void {
  const { pane, open } = box.cells[cell];
  const around = pane.area + open;
  if (area <= NO_AREA || around <= NO_AREA) return;
  const share = pane.area > NO_AREA ? (roomShare ?? open / around) : 1;
  if (pane.area > NO_AREA) assembly.link(state, AT.paneT(cell), RADIATION * area * (1 - share));
  assembly.toRoom(state, RADIATION * area * share, counted(box, 'heatOut'));
}

/** Panes, leaves and hardscape of the four cells. */
export function surfaces(asked: SurfacesInput): Part {
  const { box, assembly, curve, switches, landing, spill } = asked;
  const heatOut = counted(box, 'heatOut');
  const side = sideConvection(box);
  const onLeaf = LEAF_CONVECTION + CONVECTION_BY_WIND * box.exchange.stir;
  const films: Film[] = [];
  const drinks: { readonly flow: Flow; readonly cell: Cell }[] = [];

  for (const cell of [0, 1, 2, 3] as const) {
    const column = (cell >> 1) as Column;
    const { pane, leaves, hard } = box.cells[cell];
    const air = AT.airT(cell);
    const ratio = AT.ratio(cell);
    const below = landing(column);
    const film = (t: number, store: number, convects: number, area: number, by: keyof typeof FILM): void => {
      films.push(
        new Film(
          assembly,
          { t, store, ratio },
          box.factors.wetness * convects * VAPOUR_PER_CONVECTION * area,
          FILM[by].wets * area,
        ),
      );
      spill(store, below, FILM[by].holds * area, 1 / RUNS_OFF);
    };
    if (pane.area > NO_AREA) {
      assembly.link(AT.paneT(cell), air, side * pane.area);
      assembly.toRoom(AT.paneT(cell), pane.toRoom, heatOut);
      film(AT.paneT(cell), AT.paneFilm(cell), side, pane.area, 'pane');
    }
    if (leaves > NO_AREA) {
      assembly.link(AT.leafT(cell), air, 2 * onLeaf * leaves);
      radiates(asked, AT.leafT(cell), cell, leaves);
      film(AT.leafT(cell), AT.leafFilm(cell), onLeaf, leaves, 'leaf');
      if (box.columns[column].area > 1e-4)
        drinks.push({
          cell,
          flow: assembly.flow(
            [
              [AT.leafT(cell), -LATENT_HEAT],
              [AT.soilWater(column, 1), -1],
              [ratio, 1],
            ],
            [AT.leafT(cell), AT.soilWater(column, 1), ratio],
          ),
        });
    }
    if (hard.area > NO_AREA) {
      assembly.link(AT.hardT(cell), air, side * hard.area);
      radiates(asked, AT.hardT(cell), cell, hard.area);
      film(AT.hardT(cell), AT.hardFilm(cell), side, hard.area, 'hard');
    }
  }

  return {
    evaluate(y, dy, jac) {
      for (let i = 0; i < films.length; i += 1) films[i]!.evaluate(curve, 0, y, dy, jac);
      const stomata = STOMATA.night + (STOMATA.day - STOMATA.night) * switches.day;
      const resist = 1 / stomata + AIR_DENSITY / (LEAF_CONVECTION * VAPOUR_PER_CONVECTION);
      for (let i = 0; i < drinks.length; i += 1) {
        const { flow, cell } = drinks[i]!;
        const column = (cell >> 1) as Column;
        const { soil, area } = box.columns[column];
        const store = AT.soilWater(column, 1);
        const per = 1 / (WATER_DENSITY * area * soil[1].thickness);
        const spare = y[store]! * per - soil[1].residual;
        const saturated = curve.at(y[AT.leafT(cell)]!);
        const rise = curve.slope;
        const d = saturated - y[AT.ratio(cell)]!;
        if (spare <= 0 || d <= 0) continue;
        const g = (AIR_DENSITY * box.cells[cell].leaves) / resist;
        const has = spare / (spare + ROOTS_HALF);
        flow.by[0] = g * has * rise;
        flow.by[1] = ((g * d * ROOTS_HALF) / ((spare + ROOTS_HALF) * (spare + ROOTS_HALF))) * per;
        flow.by[2] = -g * has;
        flow.book(g * has * d, dy, jac);
      }
    },
  };
}

/** Open water’s own film: see `pools`. */
export { Film };
