import { expose } from 'comlink';
import type { Catalogue } from '@/core/catalogue';
import { weekAhead } from '@/core/ahead';
import { atOnce, forecast, lampsOf, type ForecastRequest, type Season } from '@/core/climate';
import { calibrate, type CalibrationInput } from '@/core/calibration';
import { playingFaults } from '@/core/diagnosis';
import { playWhatIf, type RoomKeeps, type WhatIfId } from '@/core/whatIf';
import type { Design } from '@/core/document';
import { layGround } from '@/core/ground';
import type { Series, Track } from '@/core/readings';
import type { PlayedFaults } from './climate';
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
  drill: (ids: readonly WhatIfId[], design: Design, catalogue: Catalogue, season: Season, room: RoomKeeps) =>
    playWhatIf(ids, design, catalogue, season, 1, room),
  faults: (design: Design, catalogue: Catalogue, { dayOfYear, places, usual }: PlayedFaults) =>
    atOnce(playingFaults(design, catalogue, dayOfYear, places, usual)),
  week: (
    design: Design,
    catalogue: Catalogue,
    points: readonly { readonly series: Series; readonly track: Track }[],
    filled: number | null,
    now: number,
  ) =>
    weekAhead(design, catalogue, points, filled, (utc) => -new Date(utc).getTimezoneOffset() * 60_000, now),
  calibrate: (asked: CalibrationInput, catalogue: Catalogue, onProgress: (share: number) => void) =>
    calibrate(asked, catalogue, onProgress),
};

export type ClimateApi = typeof api;
expose(api);
