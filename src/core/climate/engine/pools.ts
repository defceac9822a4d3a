/**
 * Open water, moving water, and the store below: pools and dishes dry into the air and stand in heat with bed and box;
 * what is over the brim runs on; water that lies in both halves levels out.
 *
 *   g = (A + A_falls·runs)·h_c·wet·(w_s(T) − w)/(c_p·Le^⅔)
 */
import { CONVECTION } from '../walls';
import type { SaturationCurve } from '../air';
import { NO_AREA, type BoxModel, type Cell, type Switches } from '../box';
import { VAPOUR_PER_CONVECTION } from '../properties';
import { AT, counted } from '../states';
import { COLUMNS, LAND } from '../stores';
import type { Assembly, Part } from './assembly';
import { Film, radiates } from './surfaces';

/** W/m²K of what lies under the lamp, to the air over it: warm and level (ISO 6946 annex C, up: 5) and stirred by itself (from memory). */
const SPOT_CONVECTION = 8;
/** Share of what a pool holds at which the last of it no longer covers its floor, and at least, kg (from memory). */
const SHALLOW = 0.02;
const SHALLOW_LEAST = 1e-3;
/** Share of its fill over which a pool spills; 1/s at which brims and drains pass on what is too much (from memory). */
const BRIM = 1.25;
const SPILLS = 1 / 600;
/** kg/m² that a bare floor holds before it runs on (from memory). */
const FLOOR_HOLDS = 2;
/** m/s at which one water levels out between two halves (numerical: within minutes). */
const LEVELS = 0.02;

interface PoolsInput {
  readonly box: BoxModel;
  readonly assembly: Assembly;
  readonly curve: SaturationCurve;
  readonly switches: Switches;
  readonly spill: (from: number, to: number, limit: number, rate: number) => void;
}

export function pools({ box, assembly, curve, switches, spill }: PoolsInput): Part {
  const heatOut = counted(box, 'heatOut');
  const liquidOut = counted(box, 'liquidOut');
  const wet = box.factors.wetness * CONVECTION.sideways * VAPOUR_PER_CONVECTION;
  const films: { readonly film: Film; readonly falls: number }[] = [];
  for (const column of COLUMNS) {
    const ground = (column * 2) as Cell;
    const { bed, pool, spot, falls, sky } = box.columns[column];
    assembly.toRoom(AT.bedT(column), bed.down, heatOut);
    if (pool.area > NO_AREA) {
      assembly.link(AT.poolT(column), AT.airT(ground), CONVECTION.sideways * pool.area);
      radiates({ box, assembly }, AT.poolT(column), ground, pool.area, sky);
      assembly.link(AT.poolT(column), AT.bedT(column), pool.toBed);
      films.push({
        film: new Film(
          assembly,
          { t: AT.poolT(column), store: AT.pool(column), ratio: AT.ratio(ground) },
          wet * pool.area,
          Math.max(SHALLOW_LEAST, SHALLOW * pool.full),
        ),
        falls: wet * falls,
      });
    }
    spill(AT.pool(column), AT.reservoir, Math.max(pool.full * BRIM, FLOOR_HOLDS * pool.area), SPILLS);
    if (spot.area > NO_AREA) {
      assembly.link(AT.spotT(column), AT.airT(ground), SPOT_CONVECTION * spot.area);
      radiates({ box, assembly }, AT.spotT(column), ground, spot.area, sky);
    }
  }
  const { drain, takes } = box.reservoir;
  if (drain !== null) spill(AT.reservoir, liquidOut, drain, SPILLS);
  const [a, b] = [box.columns[0].pool, box.columns[1].pool];
  if (takes === 'pool' && a.area > LAND && b.area > LAND) {
    const k = LEVELS * Math.min(a.area, b.area);
    assembly.moves(AT.pool(0), k / a.area, [[AT.pool(1), 1]]);
    assembly.moves(AT.pool(1), k / b.area, [[AT.pool(0), 1]]);
  }
  return {
    evaluate(y, dy, jac) {
      for (let i = 0; i < films.length; i += 1) {
        const { film, falls } = films[i]!;
        film.evaluate(curve, falls * switches.falls, y, dy, jac);
      }
    },
  };
}
