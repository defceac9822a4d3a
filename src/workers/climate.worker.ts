import { expose } from 'comlink';
import type { Catalogue } from '@/core/catalogue';
import {
  calibrate,
  drill,
  forecast,
  lampsOf,
  Trial,
  type CalibrateAsked,
  type DrillId,
  type ForecastAsked,
  type Score,
  type Season,
  type SolveAsked,
  type Task,
} from '@/core/climate';
import type { Design } from '@/core/design';
import { layGround } from '@/core/ground';
import { shadedField, type FieldName, type Plane } from '@/core/light';

let trial: Trial | undefined;

const api = {
  forecast: (design: Design, catalogue: Catalogue, asked: ForecastAsked) =>
    forecast(design, catalogue, asked),
  /** Light with the shadows of what stands in the box. */
  light(
    design: Design,
    catalogue: Catalogue,
    name: FieldName,
    plane: Plane,
    size: { readonly columns: number; readonly rows: number },
    today: string,
  ) {
    const shades = layGround(design, catalogue).pieces.map((it) => it.solid);
    const lamps = lampsOf(design, catalogue, today).map((it) => it.lamp);
    return shadedField(name, lamps, shades, plane, size.columns, size.rows);
  },
  drill: (id: DrillId, design: Design, catalogue: Catalogue, season: Season) =>
    drill(id, design, catalogue, season, 1),
  calibrate: (asked: CalibrateAsked, catalogue: Catalogue, onProgress: (share: number) => void) =>
    calibrate(asked, catalogue, onProgress),
  /** Lays a question out; its tasks follow one by one. */
  ask(asked: SolveAsked, catalogue: Catalogue): void {
    trial = new Trial(asked, catalogue);
  },
  score({ index, candidate, weeks, days, quick }: Task): Score {
    if (!trial) throw new Error('no question was laid out');
    return trial.score(index, candidate, weeks, days, quick);
  },
};

export type ClimateApi = typeof api;
expose(api);
