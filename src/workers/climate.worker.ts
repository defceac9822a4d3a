import { expose } from 'comlink';
import type { Catalogue } from '@/core/catalogue';
import {
  calibrate,
  forecast,
  lampsOf,
  type CalibrationInput,
  type ForecastRequest,
  type Season,
} from '@/core/climate';
import { playWhatIf, type WhatIfId } from '@/core/whatIf';
import type { Design } from '@/core/document';
import { layGround } from '@/core/ground';
import { shadedField, type FieldName, type Plane } from '@/core/light';

const api = {
  forecast: (design: Design, catalogue: Catalogue, asked: ForecastRequest) =>
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
  drill: (id: WhatIfId, design: Design, catalogue: Catalogue, season: Season) =>
    playWhatIf(id, design, catalogue, season, 1),
  calibrate: (asked: CalibrationInput, catalogue: Catalogue, onProgress: (share: number) => void) =>
    calibrate(asked, catalogue, onProgress),
};

export type ClimateApi = typeof api;
expose(api);
