import { findDeviceKind, type Catalogue } from '../catalogue';
import type { Climate, Design, Device } from '../document/schema';

/** Water of one pull of a hand sprayer, kg (handled ones give 1 to 1.5 mL: common practice). */
export const A_PULL = 0.0012;
/** Water of one fine nozzle, kg/s, as the catalogue has it. */
export const USUAL_NOZZLE = 0.0011;
/** The bottle a pump is first given, m³: what most stand on. */
export const FIRST_BOTTLE = 0.01;
/** m of hose from the bottle, which stands under the box, to its lid: as far again as the box is high. */
const RISES = 2;

export const nozzlesOf = ({ climate }: Pick<Design, 'climate'>, catalogue: Catalogue): readonly Device[] =>
  climate.devices.filter((it) => findDeviceKind(catalogue, it.kind)?.form === 'nozzle');

/** Water of all nozzles together, kg/s. */
export const nozzleRate = (design: Pick<Design, 'climate'>, catalogue: Catalogue): number =>
  nozzlesOf(design, catalogue).reduce(
    (sum, { kind, dim }) => sum + dim * (findDeviceKind(catalogue, kind)?.water?.value ?? 0),
    0,
  );

/**
 * Mist of the whole year by nozzles instead of by hand, or by hand instead of by nozzles: at the same times, and as much
 * water each time. `rate` is that of all nozzles, kg/s.
 */
export function mistBy(
  { mist, seasons }: Climate,
  by: Climate['mist']['by'],
  rate: number,
): Pick<Climate, 'mist' | 'seasons'> {
  if (mist.by === by) return { mist, seasons };
  const each = by === 'nozzles' ? A_PULL / Math.max(1e-6, rate) : rate / A_PULL;
  const told = <T extends { readonly times: Climate['mist']['times'] }>(it: T): T => ({
    ...it,
    times: it.times.map((own) => ({
      ...own,
      seconds: Math.min(3600, Math.max(1, Math.round(own.seconds * each))),
    })),
  });
  return {
    mist: { ...told(mist), by, bottle: by === 'nozzles' ? (mist.bottle ?? FIRST_BOTTLE) : null },
    seasons: seasons.map((it) => ({ ...it, mist: it.mist && told(it.mist) })),
  };
}

/** m of hose from the bottle up to the lid, and along it past every nozzle; whole metres, as it is sold. */
export function mistingHose(design: Pick<Design, 'climate' | 'enclosure'>, catalogue: Catalogue): number {
  const nozzles = nozzlesOf(design, catalogue);
  if (nozzles.length === 0) return 0;
  const spread = (of: (it: Device) => number): number =>
    Math.max(...nozzles.map(of)) - Math.min(...nozzles.map(of));
  return Math.ceil(RISES * design.enclosure.height + spread((it) => it.at.x) + spread((it) => it.at.y) + 0.5);
}
