import { expose } from 'comlink';
import type { Catalogue } from '@/core/catalogue';
import {
  calibrate,
  drill,
  forecast,
  lampsOf,
  type CalibrateAsked,
  type DrillId,
  type ForecastAsked,
  type Season,
} from '@/core/climate';
import type { Design } from '@/core/design';
import { layGround } from '@/core/ground';
import { shadedField, type FieldName, type Plane } from '@/core/light';

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
};

export type ClimateApi = typeof api;
expose(api);
