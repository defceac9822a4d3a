import { heatFrom, ppfdFrom, type Field, type Lamp, type Plane, type Point3 } from '../light/field';
import { dailyLight } from '../light/sources';
import { relativeAt, ratioAt } from './air';
import type { ClimateModel } from './climateModel';
import type { Run, SeriesName } from './simulate';

/** Air, and the warmth of lamps, of one moment, laid out over the box. */
export interface Moment {
  readonly run: Run;
  /** Number of the record. */
  readonly at: number;
  readonly model: Pick<ClimateModel, 'tierHeight' | 'groundHeight' | 'heaterDevices' | 'lit' | 'box'>;
  readonly warm: 'left' | 'right';
  readonly width: number;
  readonly height: number;
}

/** W/m²K by which a small body in still air gives off what lamps give it: convection and radiation. */
const GIVES_OFF = 10.7;
const ABSORBS = 0.85;

/** Shares of the four cells at a place, bilinear between their middles. */
function sharesAt(
  { model, warm, width, height }: Pick<Moment, 'model' | 'warm' | 'width' | 'height'>,
  x: number,
  z: number,
): readonly [number, number, number, number] {
  const across = Math.min(1, Math.max(0, (x - width / 4) / (width / 2)));
  const toWarm = warm === 'right' ? across : 1 - across;
  const ground = (model.groundHeight[0] + model.groundHeight[1]) / 2;
  const low = (ground + model.tierHeight) / 2;
  const high = (model.tierHeight + height) / 2;
  const up = Math.min(1, Math.max(0, (z - low) / Math.max(0.01, high - low)));
  return [toWarm * (1 - up), toWarm * up, (1 - toWarm) * (1 - up), (1 - toWarm) * up];
}

const CELL_AT = { warm: 0, 'warm high': 1, cool: 2, 'cool high': 3 } as const;

/** Shares of the four cells in what hangs at a named place, or at a point. */
export const sharesOf = (
  box: Pick<Moment, 'model' | 'warm' | 'width' | 'height'>,
  where: keyof typeof CELL_AT | Point3,
): readonly number[] =>
  typeof where === 'string'
    ? [0, 1, 2, 3].map((cell) => (cell === CELL_AT[where] ? 1 : 0))
    : sharesAt(box, where.x, where.z);

const mixed = ({ run, at }: Moment, name: 'air' | 'rh', shares: readonly number[]): number =>
  shares.reduce((sum, share, cell) => sum + share * (run.series[`${name}${cell}` as SeriesName][at] ?? 0), 0);

/** Lamps as bright as they are at that moment: share of their full power. */
export function litNow({
  run,
  at,
  model,
}: Moment): readonly { readonly lamp: Lamp; readonly share: number }[] {
  return model.lit.map(({ lamp, device }) => {
    const index = model.heaterDevices.findIndex((it) => it.id === device.id);
    const full = device.power * device.dim;
    const now = run.powers[index]?.[at] ?? 0;
    return { lamp, share: full > 0 ? now / full : 0 };
  });
}

/** What a small body would come to at a place, °C: the air, and what lamps add. */
export function temperatureAt(moment: Moment, { x, y, z }: Point3): number {
  const air = mixed(moment, 'air', sharesAt(moment, x, z));
  const shine = litNow(moment).reduce((sum, { lamp, share }) => sum + share * heatFrom(lamp, x, y, z), 0);
  return air + (ABSORBS * shine) / GIVES_OFF;
}

/** Relative humidity of the air at a place. */
export function humidityAt(moment: Moment, { x, z }: Point3): number {
  const shares = sharesAt(moment, x, z);
  const { pressure } = moment.model.box;
  const ratio = shares.reduce((sum, share, cell) => {
    const t = moment.run.series[`air${cell}` as SeriesName][moment.at] ?? 20;
    const rh = moment.run.series[`rh${cell}` as SeriesName][moment.at] ?? 0;
    return sum + share * ratioAt(t, rh, pressure);
  }, 0);
  return Math.min(1, relativeAt(mixed(moment, 'air', shares), ratio, pressure));
}

/** Warmth or humidity over a plane. */
export function momentField(
  name: 'warmth' | 'humidity',
  moment: Moment,
  plane: Plane,
  columns: number,
  rows: number,
): Field {
  const values = new Float32Array(columns * rows);
  const lamps = name === 'warmth' ? litNow(moment).filter((it) => it.share > 0 && it.lamp.radiant > 0) : [];
  for (let row = 0; row < rows; row += 1) {
    const z = ((row + 0.5) * plane.height) / rows;
    for (let column = 0; column < columns; column += 1) {
      const s = ((column + 0.5) * plane.width) / columns;
      const place = plane.view === 'front' ? { x: s, y: plane.cut, z } : { x: plane.cut, y: s, z };
      let value: number;
      if (name === 'humidity') value = humidityAt(moment, place);
      else {
        value = mixed(moment, 'air', sharesAt(moment, place.x, z));
        for (const { lamp, share } of lamps)
          value += (share * ABSORBS * heatFrom(lamp, place.x, place.y, place.z)) / GIVES_OFF;
      }
      values[row * columns + column] = value;
    }
  }
  return { columns, rows, values };
}

/** Plant light at a place, µmol/m²s with all lamps lit, and mol/m² a day by the hours each is on. */
export function plantLightAt(
  lit: ClimateModel['lit'],
  { x, y, z }: Point3,
  hours: (device: string) => number,
) {
  let ppfd = 0;
  let daily = 0;
  for (const { lamp, device } of lit) {
    const own = ppfdFrom(lamp, x, y, z);
    ppfd += own;
    daily += dailyLight(own, hours(device.id));
  }
  return { ppfd, daily };
}
