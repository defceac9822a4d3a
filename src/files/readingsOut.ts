import { fromSteps, type Series, type Track } from '@/core/readings';
import { csvOf } from './cell';
import { senmlName, type NamedReading } from './senml';
import { UNITS_OF } from './table';

interface Kept {
  readonly series: Series;
  readonly track: Track;
  /** Name of its enclosure. */
  readonly enclosure: string;
}

/** Readings as a CSV of one line each: safe in a spreadsheet, and read in again as it is. */
export function readingsCsv(kept: readonly Kept[]): string {
  const rows = kept.flatMap(({ series, track, enclosure }) =>
    Array.from(track.at, (at, i): string[] => {
      const value = fromSteps(track.steps[i] ?? 0, series.quantity);
      const unit = UNITS_OF[series.quantity][0];
      const told = unit === '%' ? value * 100 : unit === 'g' ? value * 1000 : value;
      return [
        new Date(at).toISOString(),
        enclosure,
        series.name,
        series.quantity,
        String(Number(told.toFixed(4))),
        unit,
      ];
    }),
  );
  return csvOf([['time', 'enclosure', 'point', 'quantity', 'value', 'unit'], ...rows]);
}

/** Readings under names that SenML allows. */
export const namedReadings = (kept: readonly Kept[]): readonly NamedReading[] =>
  kept.flatMap(({ series, track, enclosure }) => {
    // Where the unit does not say what was read the name must.
    const kind = series.quantity === 'uvIndex' ? '/uv' : series.quantity === 'soilWater' ? '/soil' : '';
    const name = `${senmlName(enclosure)}/${senmlName(series.name)}${kind}`;
    return Array.from(track.at, (at, i) => ({
      name,
      quantity: series.quantity,
      at,
      value: fromSteps(track.steps[i] ?? 0, series.quantity),
    }));
  });
