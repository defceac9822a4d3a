'use client';

import { useEffect, useRef, useState } from 'react';
import type { Catalogue } from '@/core/catalogue';
import type { Forecast, ForecastRequest } from '@/core/climate';
import type { Design } from '@/core/document';
import { ClimateStopped, startForecast } from '@/workers/climate';

export type ForecastState =
  | { readonly at: 'working'; readonly last: Forecast | null }
  | { readonly at: 'ready'; readonly last: Forecast }
  | { readonly at: 'failed'; readonly message: string; readonly last: Forecast | null };

/** ms of rest after an edit before the box is calculated anew. */
const REST = 220;

/** The forecast of a design, calculated in a worker after each edit; the last one stands until the next is there. */
export function useForecast(design: Design, catalogue: Catalogue, asked: ForecastRequest): ForecastState {
  const [state, setState] = useState<ForecastState>({ at: 'working', last: null });
  const { enclosure, ground, scape, climate, brief, living } = design;
  const { animal, room, stage } = brief;
  const newest = useRef(design);
  useEffect(() => {
    newest.current = design;
  });
  const { span, season, seed } = asked;
  useEffect(() => {
    let stop: () => void = () => undefined;
    const timer = setTimeout(() => {
      setState(({ last }) => ({ at: 'working', last }));
      const working = startForecast(newest.current, catalogue, { span, season, seed });
      stop = working.stop;
      working.done.then(
        (last) => setState({ at: 'ready', last }),
        (error: unknown) => {
          if (error instanceof ClimateStopped) return;
          setState(({ last }) => ({
            at: 'failed',
            message: error instanceof Error ? error.message : String(error),
            last,
          }));
        },
      );
    }, REST);
    return () => {
      clearTimeout(timer);
      stop();
    };
    // A name or a note changes nothing of the climate; leaves do.
  }, [enclosure, ground, scape, climate, living, animal, room, stage, catalogue, span, season, seed]);
  return state;
}
