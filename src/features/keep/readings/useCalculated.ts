'use client';

import { localDay } from '@/core/time';
import { useEffect, useMemo, useState } from 'react';
import {
  dayOfSeason,
  humidityAt,
  lampsOf,
  climateModelOf,
  seasonAt,
  temperatureAt,
  type Forecast,
  type Moment,
} from '@/core/climate';
import { settingsAt, settingsOn } from '@/core/document';
import { uvFrom } from '@/core/light';
import { DAY, fromSteps, type Series, type Track } from '@/core/readings';
import { useOpenDesign, useStore, useTracks } from '@/store';
import { useReader } from '@/ui/units';
import { ClimateStopped, startForecast } from '@/workers/climate';
import { readingWords } from '@/ui/readingWords';

/** What the forecast says for a point, beside what was read there in its last week, in one sentence. */
export function useCalculated(point: Series): string {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const reader = useReader();
  const list = useMemo(() => [point], [point.id]); // eslint-disable-line react-hooks/exhaustive-deps -- its readings hang on its id alone
  const tracks = useTracks(list, 0);
  const track = tracks?.get(point.id);
  const [forecast, setForecast] = useState<Forecast | 'failed' | null>(null);
  const ask = point.quantity === 'temperature' || point.quantity === 'humidity';
  const last = track?.at.at(-1);
  const season = seasonAt(last ?? 0, design.climate.room.latitude);
  useEffect(() => {
    if (!ask) return;
    const working = startForecast(design, catalogue, { span: 'day', season, seed: 1 });
    working.done.then(setForecast, (error: unknown) => {
      if (!(error instanceof ClimateStopped)) setForecast('failed');
    });
    return working.stop;
  }, [ask, design, catalogue, season]);
  // What is calculated is the middle of its season, as the box is set then.
  const { ground } = assessment;
  const set = settingsOn(design, dayOfSeason(season, design.climate.room.latitude));
  const model = climateModelOf(set, ground, catalogue);
  if (!track || last === undefined || !point.at) return '';
  const read = meanSince(track, last - 7 * DAY, point);
  if (point.quantity === 'uvIndex') {
    const { x, y, z } = point.at;
    const today = localDay(last);
    const sum = lampsOf(settingsAt(design, last), catalogue, today).reduce(
      (all, { lamp }) => all + uvFrom(lamp, x, y, z),
      0,
    );
    const at = fromSteps(track.steps.at(-1) ?? 0, 'uvIndex');
    return `Estimated here with the lamps as old as they then were: UV index ${reader.num(sum, 1)}. Read last: ${reader.num(at, 1)}. ${sum > 0.05 ? `The lamps give ${Math.round((100 * at) / sum)} % of what was estimated.` : ''}`.trim();
  }
  if (!ask) return '';
  if (forecast === 'failed') return 'This place could not be forecast.';
  if (!forecast) return 'Forecasting what it should be here…';
  const lit = lampsOf(set, catalogue, null);
  const values = Array.from(forecast.run.t, (_, at) => {
    const moment: Moment = {
      run: forecast.run,
      at,
      model: { ...model, lit },
      warm: design.scape.warm,
      width: design.enclosure.width,
      height: design.enclosure.height,
    };
    const spot = point.at ?? { x: 0, y: 0, z: 0 };
    return point.quantity === 'humidity' ? humidityAt(moment, spot) : temperatureAt(moment, spot);
  });
  const say = (it: number): string => readingWords(it, point.quantity, reader);
  const mean = values.reduce((sum, it) => sum + it, 0) / Math.max(1, values.length);
  return `Forecast for such a day here: ${say(Math.min(...values))} to ${say(Math.max(...values))}, ${say(mean)} on average. Read in its last week: ${say(read.low)} to ${say(read.high)}, ${say(read.mean)} on average.`;
}

function meanSince({ at, steps }: Track, since: number, { quantity }: Series) {
  let [sum, n, low, high] = [0, 0, Infinity, -Infinity];
  for (let i = at.length - 1; i >= 0 && (at[i] ?? 0) >= since; i -= 1) {
    const value = fromSteps(steps[i] ?? 0, quantity);
    sum += value;
    n += 1;
    low = Math.min(low, value);
    high = Math.max(high, value);
  }
  return { mean: sum / Math.max(1, n), low, high };
}
