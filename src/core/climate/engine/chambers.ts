/**
 * Small chambers: a box of moss, a cave with a reservoir, a half-buried tube; each a cell of its own.
 *
 *   air     m·dw/dt = g_moss + g_soil − ρ·Q·(w − w_out)
 *   way in  Q = (C_d/3)·A·√(g·H·(Δρ/ρ)⁺) + k·A         both ways through an upright opening (Brown & Solvason 1962) when the
 *           air inside is lighter; a way in lies over its floor, and cool damp air lies still behind the lip (common practice)
 *   moss    g = A·h_c·wet·(w_s(T) − w)/(c_p·Le^⅔)       wet from moss or a reservoir
 *   soil    g = ρ·A·(w_s(T_soil) − w)/(film + skin(θ))  a dry hide over bare soil
 *   heat    C·dT/dt = U·(T_out − T) + U_soil·(T_soil − T) + ρ·Q·c_p·(T_out − T) − L·g_moss
 */
import {
  AIR_DENSITY,
  GRAVITY,
  KELVIN,
  LATENT_HEAT,
  MOIST_AIR_HEAT,
  WATER_DENSITY,
} from '../../physics/constants';
import { virtual, type SaturationCurve } from '../air';
import type { BoxModel, Column } from '../box';
import { soilResistance, soilResistanceSlope, VAPOUR_PER_CONVECTION } from '../properties';
import { AT, chamberAt } from '../states';
import { DISCHARGE } from '../vents';
import { CONVECTION } from '../walls';
import type { Assembly, Part } from './assembly';

/** m/s through each m² of a way in by the drift of the box’s air alone (from memory). */
const DRIFT = 0.003;
/** Share of lightness, half a kelvin’s, under which exchange falls with its square: it has no corner at nothing (numerical). */
const EVEN = 2e-3;
/** kg/m² at which moss is wet to a share of 1 − 1/e: nearly dry (from memory). */
const MOSS_WETS = 0.3;
/** m³/m³ over its residual at which soil gives half of what its skin lets through (numerical). */
const TOP_HALF = 0.01;

export function chambers(box: BoxModel, assembly: Assembly, curve: SaturationCurve): Part {
  const film = AIR_DENSITY / (CONVECTION.sideways * VAPOUR_PER_CONVECTION);
  const all = box.chambers.map((it, index) => {
    const { t, ratio, store } = chamberAt(box, index);
    const column = (it.cell >> 1) as Column;
    const outT = AT.airT(it.cell);
    const outW = AT.ratio(it.cell);
    const ground = box.columns[column];
    const land = ground.area > 1e-4 && it.soil > 0;
    assembly.link(t, outT, it.toAir);
    if (land) assembly.link(t, AT.soilT(column, 0), it.toSoil);
    const air = [t, outT, ratio, outW];
    return {
      ...it,
      t,
      ratio,
      store,
      outT,
      outW,
      soilT: AT.soilT(column, 0),
      soilWater: AT.soilWater(column, 0),
      land,
      per: land ? 1 / (WATER_DENSITY * ground.area * ground.soil[0].thickness) : 0,
      residual: ground.soil[0].residual,
      conductance: CONVECTION.sideways * VAPOUR_PER_CONVECTION * it.wet,
      full: Math.max(1e-6, MOSS_WETS * it.wet),
      vapour: assembly.flow(
        [
          [ratio, -1],
          [outW, 1],
        ],
        air,
      ),
      warmth: assembly.flow(
        [
          [t, -1],
          [outT, 1],
        ],
        air,
      ),
      moss:
        it.wet > 0
          ? assembly.flow(
              [
                [t, -LATENT_HEAT],
                [store, -1],
                [ratio, 1],
              ],
              [t, store, ratio],
            )
          : null,
      ground:
        land && it.wet === 0
          ? assembly.flow(
              [
                [AT.soilT(column, 0), -LATENT_HEAT],
                [AT.soilWater(column, 0), -1],
                [ratio, 1],
              ],
              [AT.soilT(column, 0), AT.soilWater(column, 0), ratio],
            )
          : null,
    };
  });
  return {
    evaluate(y, dy, jac) {
      for (let i = 0; i < all.length; i += 1) {
        const it = all[i]!;
        const inside = virtual(y[it.t]!, y[it.ratio]!);
        const outside = virtual(y[it.outT]!, y[it.outW]!);
        const light = (inside - outside) / outside;
        // √light without its corner at nothing; what is cooler and heavier lies still behind its lip.
        const rises = light > 0 ? light : 0;
        const square = rises * rises;
        const even = square + EVEN * EVEN;
        const root = square * even ** -0.75;
        const most = AIR_DENSITY * (DISCHARGE / 3) * it.way.area * Math.sqrt(GRAVITY * it.way.height);
        const kg = most * root + AIR_DENSITY * DRIFT * it.way.area;
        const byLight = most * rises * (2 * even ** -0.75 - 1.5 * square * even ** -1.75);
        const byT = (byLight * (1 + 0.61 * y[it.ratio]!)) / outside;
        const byOutT = (-byLight * inside * (1 + 0.61 * y[it.outW]!)) / (outside * outside);
        const byW = (byLight * 0.61 * (y[it.t]! + KELVIN)) / outside;
        const byOutW = (-byLight * inside * 0.61 * (y[it.outT]! + KELVIN)) / (outside * outside);
        const dw = y[it.ratio]! - y[it.outW]!;
        const dt = y[it.t]! - y[it.outT]!;
        const { vapour, warmth } = it;
        vapour.by[0] = byT * dw;
        vapour.by[1] = byOutT * dw;
        vapour.by[2] = kg + byW * dw;
        vapour.by[3] = -kg + byOutW * dw;
        vapour.book(kg * dw, dy, jac);
        warmth.by[0] = MOIST_AIR_HEAT * (kg + byT * dt);
        warmth.by[1] = MOIST_AIR_HEAT * (-kg + byOutT * dt);
        warmth.by[2] = MOIST_AIR_HEAT * byW * dt;
        warmth.by[3] = MOIST_AIR_HEAT * byOutW * dt;
        warmth.book(MOIST_AIR_HEAT * kg * dt, dy, jac);
        if (it.moss) {
          const saturated = curve.at(y[it.t]!);
          const rise = curve.slope;
          const d = saturated - y[it.ratio]!;
          const part = y[it.store]! / it.full;
          const dryShare = part > 0 ? Math.exp(-part) : 1;
          const wet = d > 0 ? (part > 0 ? 1 - dryShare : Math.max(-1, part)) : 1;
          const g = it.conductance * wet;
          it.moss.by[0] = g * rise;
          it.moss.by[1] = d > 0 && part > -1 ? (it.conductance * dryShare * d) / it.full : 0;
          it.moss.by[2] = -g;
          it.moss.book(g * d, dy, jac);
        }
        if (it.ground) {
          const saturated = curve.at(y[it.soilT]!);
          const rise = curve.slope;
          const d = saturated - y[it.ratio]!;
          const spare = y[it.soilWater]! * it.per - it.residual;
          const skin = d > 0 ? soilResistance(spare) : 0;
          const resist = film + skin;
          const has = d > 0 ? (spare > 0 ? spare / (spare + TOP_HALF) : 0) : 1;
          const g = (AIR_DENSITY * it.soil * has) / resist;
          it.ground.by[0] = g * rise;
          it.ground.by[1] =
            d > 0 && spare > 0
              ? ((AIR_DENSITY * it.soil * d) / resist) *
                (TOP_HALF / ((spare + TOP_HALF) * (spare + TOP_HALF)) -
                  (has * soilResistanceSlope(spare, skin)) / resist) *
                it.per
              : 0;
          it.ground.by[2] = -g;
          it.ground.book(g * d, dy, jac);
        }
      }
    },
  };
}
