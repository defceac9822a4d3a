import { findGauze, type Catalogue } from '../catalogue';
import type { Design } from '../document/schema';
import { gauzeRun } from '../enclosure/shell';
import { stackLaw, type Gauze, type Opening } from './vents';

/** Air the room's own draught moves through an opening, m/s: k of model section 7, in its middle (to be calibrated). */
const DRAUGHT = 0.0025;

/** Ways air takes between box and room: strips, vents, top, gauze walls, joints. */
export function exchangeOf(design: Design, catalogue: Catalogue, ground: number) {
  const { width, depth, height, top, topCover, made, front } = design.enclosure;
  const gauze = findGauze(catalogue, design.climate.topGauze);
  const cloth: Gauze | null = gauze ? { open: gauze.open.value, wire: gauze.wire.value } : null;
  const roof = width * depth;
  const open = top === 'solid' ? 0 : roof * (1 - topCover);
  const openings: Opening[] = [];
  // The strips under the doors and over the back are punched sheet in a frame that takes a third of them.
  const strip = findGauze(catalogue, 'punched-sheet');
  const sheet: Gauze | null = strip ? { open: strip.open.value, wire: strip.wire.value } : cloth;
  if (front === 'doors' && made.ventLow > 0)
    openings.push({
      area: width * made.ventLow * 0.65,
      height: Math.min(height, ground + made.ventLow / 2),
      gauze: sheet,
    });
  if (made.ventHigh > 0)
    openings.push({ area: width * made.ventHigh * 0.65, height: height - made.ventHigh / 2, gauze: sheet });
  for (const vent of design.climate.vents) {
    const own = findGauze(catalogue, vent.gauze);
    openings.push({
      area: vent.area,
      height: vent.height,
      gauze: own ? { open: own.open.value, wire: own.wire.value } : null,
    });
  }
  if (open > 1e-4) openings.push({ area: open, height, gauze: top === 'mesh' ? cloth : null });
  const split = (ground + height) / 2;
  const gather = (own: readonly Opening[]): Opening | null => {
    const area = own.reduce((sum, it) => sum + it.area, 0);
    if (area <= 0) return null;
    return {
      area,
      height: own.reduce((sum, it) => sum + it.area * it.height, 0) / area,
      gauze: own.find((it) => it.gauze)?.gauze ?? null,
    };
  };
  const low = gather(openings.filter((it) => it.height < split));
  const high = gather(openings.filter((it) => it.height >= split));
  const through = top === 'mesh' ? (gauze?.open.value ?? 0.5) * 0.6 : 1;
  const sides = gauzeRun(design.enclosure);
  const tall = Math.max(0.05, height - ground);
  const side = sides * tall * 0.5 * DRAUGHT * 1.2;
  const volume = roof * height;
  return {
    exchange: {
      stack: low && high ? stackLaw(low, high) : null,
      top: open * through,
      topDraught: DRAUGHT * open * through,
      sideDraught: [side, side] as [number, number],
      // Doors and joints: a quarter of its air in an hour, half of that where nothing opens (from memory).
      leak: (volume * (front === 'doors' ? 0.25 : 0.12)) / 3600,
    },
    openings: { low: low?.area ?? 0, high: high?.area ?? 0, top: open },
  };
}
