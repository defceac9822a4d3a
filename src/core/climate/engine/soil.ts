/**
 * Ground of one half: four nodes from the top down, the first a centimetre; below them the bed or the floor.
 *
 *   heat     C·dT/dt = λ(θ)·∂T/∂z between nodes, h_c(T_s − T_air)·A at the top, h_r to what it sees, U·A at the sides
 *   liquid   q = K̄(h₁, h₂)·(1 + (h₂ − h₁)/Δz)                      suction h, see ground/hydraulics
 *   vapour   g = ρ·D·0.66·a·(H₁·w_s(T₁) − H₂·w_s(T₂))/Δz            a: air in the pores, H: humidity over the suction
 *   top      g = ρ·A·(w_s(T) − w)/(film + skin(θ) + litter)        drying skin of van de Griend & Owe
 *   foot     sinks into the bed when its foot is full (a seepage face); water that stands against it presses back;
 *            where soil or a wick touches water it rises from the level, h = 0, as it sinks; vapour always
 */
import { AIR_DENSITY, LATENT_HEAT, VAPOUR_DIFFUSION, WATER_DENSITY } from '../../physics/constants';
import { emptyWater, fluxBetween, readWater, type Flux, type WaterState } from '../../ground/hydraulics';
import type { SaturationCurve } from '../air';
import type { BoxModel, Cell, Column } from '../box';
import { soilResistance, soilResistanceSlope, VAPOUR_PER_CONVECTION } from '../properties';
import { AT, counted } from '../states';
import { CONVECTION } from '../walls';
import type { Assembly, Flow, Part } from './assembly';
import { CONVECTION_BY_WIND, radiates } from './surfaces';

/** K over which convection over ground goes from that of a cool face to that of a warm one (numerical). */
const WAKES = 0.7;
/** m³/m³ over its residual at which the top gives half of what its skin lets through (numerical: it ends at nothing). */
const TOP_HALF = 0.01;
/** Tortuosity of vapour in the pores of soil (Penman 1940, J. Agric. Sci. 30: 437). */
const TORTUOSITY = 0.66;
/** m of a bed’s water over which it counts as a wet face, and m of level over which standing water takes hold of soil (numerical). */
const WET_BED = 0.0005;
const TAKES_HOLD = 0.002;
/** m: the shortest way from a node’s middle to water that touches it. */
const SHORTEST = 0.005;

interface SoilInput {
  readonly box: BoxModel;
  readonly column: Column;
  readonly assembly: Assembly;
  readonly curve: SaturationCurve;
  /** State of the water below, kg; null: none, all that sinks stays. */
  readonly water: number | null;
}

export function soilOf({ box, column, assembly, curve, water }: SoilInput): Part {
  const { area, soil, litter, foot, sides, bed, sky } = box.columns[column];
  const { wetness } = box.factors;
  const stirred = CONVECTION_BY_WIND * box.exchange.stir;
  const ground = (column * 2) as Cell;
  const airT = AT.airT(ground);
  const ratio = AT.ratio(ground);
  const bedT = AT.bedT(column);
  const heatOut = counted(box, 'heatOut');
  const t = [0, 1, 2, 3].map((node) => AT.soilT(column, node));
  const store = [0, 1, 2, 3].map((node) => AT.soilWater(column, node));
  /** m³/m³ for each kg. */
  const per = soil.map((node) => 1 / (WATER_DENSITY * area * node.thickness));

  radiates({ box, assembly }, t[0]!, ground, area, sky);
  for (let node = 1; node < 4; node += 1) assembly.toRoom(t[node]!, sides, heatOut);
  assembly.link(t[3]!, bedT, bed.toSoil);

  const convection = assembly.flow(
    [
      [t[0]!, -1],
      [airT, 1],
    ],
    [t[0]!, airT],
  );
  const drying = assembly.flow(
    [
      [t[0]!, -LATENT_HEAT],
      [store[0]!, -1],
      [ratio, 1],
    ],
    [t[0]!, store[0]!, ratio, airT],
  );
  const conduction: Flow[] = [];
  const liquid: Flow[] = [];
  const vapour: Flow[] = [];
  for (let node = 0; node < 3; node += 1) {
    const ends = [t[node]!, t[node + 1]!, store[node]!, store[node + 1]!];
    conduction.push(
      assembly.flow(
        [
          [t[node]!, -1],
          [t[node + 1]!, 1],
        ],
        ends,
      ),
    );
    liquid.push(
      assembly.flow(
        [
          [store[node]!, -1],
          [store[node + 1]!, 1],
        ],
        [store[node]!, store[node + 1]!],
      ),
    );
    vapour.push(
      assembly.flow(
        [
          [store[node]!, -1],
          [store[node + 1]!, 1],
          [t[node]!, -LATENT_HEAT],
          [t[node + 1]!, LATENT_HEAT],
        ],
        ends,
      ),
    );
  }
  const meets = foot && water !== null ? { foot, water } : null;
  const sinking = meets
    ? assembly.flow(
        [
          [store[3]!, -1],
          [meets.water, 1],
        ],
        [store[3]!, meets.water],
      )
    : null;
  const steaming = meets
    ? assembly.flow(
        [
          [meets.water, -1],
          [store[3]!, 1],
          [bedT, -LATENT_HEAT],
          [t[3]!, LATENT_HEAT],
        ],
        [bedT, t[3]!, store[3]!, meets.water],
      )
    : null;

  const nodes = soil.map((node) => ({
    soil: node.soil,
    water: emptyWater(),
    half: node.thickness / 2,
    theta: 0,
    saturated: 0,
    rise: 0,
    conducts: 0,
    conductsMore: 0,
  }));
  const flux: Flux = { rate: 0, byUpper: 0, byLower: 0 };
  /** The water below as an end of a flux: full, at a pressure. */
  const full: WaterState = { ...emptyWater(), humidity: 1 };
  const below = { soil: soil[3].soil, water: full, half: 0 };

  function look(y: Float64Array): void {
    for (let i = 0; i < 4; i += 1) {
      const it = nodes[i]!;
      const { conducts: range } = soil[i]!;
      const { porosity } = it.soil;
      it.theta = y[store[i]!]! * per[i]!;
      readWater(it.soil, it.theta, it.water);
      it.saturated = curve.at(y[t[i]!]!);
      it.rise = curve.slope;
      const part = it.theta / porosity;
      const inside = part > 0 && part < 1;
      it.conducts = range[0] + (range[1] - range[0]) * (inside ? part : part > 0 ? 1 : 0);
      it.conductsMore = inside ? ((range[1] - range[0]) / porosity) * per[i]! : 0;
    }
  }

  function top(y: Float64Array, dy: Float64Array, jac: Float64Array | null): void {
    const { theta, saturated, rise } = nodes[0]!;
    // Warm ground stirs the air over it; cool ground lies under a still layer.
    const above = y[t[0]!]! - y[airT]!;
    const wakes = 1 / (1 + Math.exp(-above / WAKES));
    const convects = CONVECTION.down + stirred + (CONVECTION.up - CONVECTION.down) * wakes;
    const byAbove = ((CONVECTION.up - CONVECTION.down) * wakes * (1 - wakes)) / WAKES;
    convection.by[0] = (convects + byAbove * above) * area;
    convection.by[1] = -convection.by[0];
    convection.book(convects * area * above, dy, jac);

    const film = AIR_DENSITY / (convects * VAPOUR_PER_CONVECTION);
    const d = saturated - y[ratio]!;
    const spare = theta - soil[0].residual;
    const skin = d > 0 ? soilResistance(spare) : 0;
    const resist = film + skin + litter;
    const open = (AIR_DENSITY * area * (d > 0 ? wetness : 1)) / resist;
    const has = d > 0 ? (spare > 0 ? spare / (spare + TOP_HALF) : 0) : 1;
    const g = open * has;
    // dresist/dT through the film of air.
    const byT = (g * d * (film / convects) * byAbove) / resist;
    let byStore = 0;
    if (d > 0 && spare > 0)
      byStore =
        d *
        open *
        (TOP_HALF / ((spare + TOP_HALF) * (spare + TOP_HALF)) -
          (has * soilResistanceSlope(spare, skin)) / resist) *
        per[0]!;
    drying.by[0] = g * rise + byT;
    drying.by[1] = byStore;
    drying.by[2] = -g;
    drying.by[3] = -byT;
    drying.book(g * d, dy, jac);
  }

  function between(i: number, y: Float64Array, dy: Float64Array, jac: Float64Array | null): void {
    const a = nodes[i]!;
    const b = nodes[i + 1]!;
    const apart = y[t[i]!]! - y[t[i + 1]!]!;
    const conductance = area / (a.half / a.conducts + b.half / b.conducts);
    const heat = conduction[i]!;
    const squared = (conductance * conductance) / area;
    heat.by[0] = conductance;
    heat.by[1] = -conductance;
    heat.by[2] = ((apart * squared * a.half) / (a.conducts * a.conducts)) * a.conductsMore;
    heat.by[3] = ((apart * squared * b.half) / (b.conducts * b.conducts)) * b.conductsMore;
    heat.book(conductance * apart, dy, jac);

    fluxBetween(a, b, flux);
    const kg = WATER_DENSITY * area;
    const wet = liquid[i]!;
    wet.by[0] = kg * flux.byUpper * per[i]!;
    wet.by[1] = kg * flux.byLower * per[i + 1]!;
    wet.book(kg * flux.rate, dy, jac);

    const airA = Math.max(0, a.soil.porosity - a.theta);
    const airB = Math.max(0, b.soil.porosity - b.theta);
    const air = 0.5 * (airA + airB);
    if (air <= 0) return;
    const passes = (AIR_DENSITY * VAPOUR_DIFFUSION * TORTUOSITY * area) / (a.half + b.half);
    const drop = a.water.humidity * a.saturated - b.water.humidity * b.saturated;
    const damp = vapour[i]!;
    damp.by[0] = passes * air * a.water.humidity * a.rise;
    damp.by[1] = -passes * air * b.water.humidity * b.rise;
    damp.by[2] = passes * (air * a.water.byHumidity * a.saturated - (airA > 0 ? 0.5 * drop : 0)) * per[i]!;
    damp.by[3] =
      passes * (-air * b.water.byHumidity * b.saturated - (airB > 0 ? 0.5 * drop : 0)) * per[i + 1]!;
    damp.book(passes * air * drop, dy, jac);
  }

  /** What the foot of the soil gives to the water below, and takes from it. */
  function atFoot(y: Float64Array, dy: Float64Array, jac: Float64Array | null): void {
    if (!meets || !sinking || !steaming) return;
    const { height, touches, pores, perMetre } = meets.foot;
    const node = nodes[3]!;
    const level = y[meets.water]! / perMetre;
    const over = level - height;
    let rate = 0;
    let byTheta = 0;
    let byLevel = 0;
    if (touches < 1) {
      // Over air: drips when full, takes nothing; over water that stands against it: both ways.
      const pressure = over > 0 ? over : 0;
      full.suction = -pressure;
      full.conductivity = node.soil.saturated;
      full.potential = (node.soil.potential[node.soil.last] ?? 0) + node.soil.saturated * pressure;
      fluxBetween(node, below, flux);
      const hold = over > 0 ? Math.min(1, over / TAKES_HOLD) : 0;
      const part = flux.rate > 0 ? 1 : hold;
      rate += (1 - touches) * part * flux.rate;
      byTheta += (1 - touches) * part * flux.byUpper;
      if (over > 0) {
        // The mean conductivity and the drive both change with the pressure.
        const apart = -pressure - node.water.suction;
        const mean =
          Math.abs(apart) > 1e-4 ? (node.water.potential - full.potential) / apart : node.soil.saturated;
        const drive = 1 + apart / node.half;
        const meanByPressure = Math.abs(apart) > 1e-4 ? (mean - node.soil.saturated) / apart : 0;
        byLevel += (1 - touches) * part * (meanByPressure * drive - mean / node.half);
        if (flux.rate <= 0 && hold < 1) byLevel += ((1 - touches) * flux.rate) / TAKES_HOLD;
      }
    }
    if (touches > 0) {
      // Water stands free at its level: h = 0 there, and soil leads from it to the node.
      const way = Math.max(SHORTEST, node.half - over);
      const s = node.water.suction;
      const free = node.soil.potential[node.soil.last] ?? 0;
      const near = Math.abs(s) < 1e-6;
      const mean = near ? node.soil.saturated : (free - node.water.potential) / s;
      const meanByTheta = near ? 0 : (-node.water.byPotential - mean * node.water.bySuction) / s;
      const drive = 1 - s / way;
      rate += touches * mean * drive;
      byTheta += touches * (meanByTheta * drive - (mean * node.water.bySuction) / way);
      if (node.half - over > SHORTEST) byLevel += touches * ((-mean * s) / (way * way));
    }
    const kg = WATER_DENSITY * area;
    sinking.by[0] = kg * byTheta * per[3]!;
    sinking.by[1] = (kg * byLevel) / perMetre;
    sinking.book(kg * rate, dy, jac);

    // Vapour from the water through what lies over it, the barrier and half the lowest node.
    const air = Math.max(0, node.soil.porosity - node.theta);
    if (air <= 0 || y[meets.water]! <= 0) return;
    const saturated = curve.at(y[bedT]!);
    const rise = curve.slope;
    const dryShare = Math.exp(-level / WET_BED);
    const wet = 1 - dryShare;
    const gap = Math.max(0, -over) / (pores * TORTUOSITY);
    const own = node.half / (air * TORTUOSITY);
    const resist = (gap + own) / VAPOUR_DIFFUSION;
    const passes = (AIR_DENSITY * area) / resist;
    const drop = saturated - node.water.humidity * node.saturated;
    const g = passes * wet;
    steaming.by[0] = g * rise;
    steaming.by[1] = -g * node.water.humidity * node.rise;
    steaming.by[2] =
      (-g * node.water.byHumidity * node.saturated -
        ((g * drop) / resist) * (own / (air * VAPOUR_DIFFUSION))) *
      per[3]!;
    steaming.by[3] =
      ((passes * dryShare * drop) / WET_BED +
        (over < 0 ? ((g * drop) / resist) * (1 / (pores * TORTUOSITY * VAPOUR_DIFFUSION)) : 0)) /
      perMetre;
    steaming.book(g * drop, dy, jac);
  }

  return {
    evaluate(y, dy, jac) {
      look(y);
      top(y, dy, jac);
      for (let i = 0; i < 3; i += 1) between(i, y, dy, jac);
      atFoot(y, dy, jac);
    },
  };
}
