import type { Catalogue } from '@/core/catalogue';
import {
  marksOf,
  readyOf,
  settled,
  sharesOf,
  simulate,
  type Ready,
  type Run,
  type SeriesName,
} from '@/core/climate';
import type { Design } from '@/core/document';
import { DEMO_POINTS, DRY_DAYS, STEP, UNMISTED, type DemoPoint } from './points';

/** How the boxes were built other than they are drawn, as boxes are: what a calibration finds. */
const BUILT = { exchange: 1.1, wetness: 0.9, gain: 1.15 } as const;
/** Middles of the months that are played: every second. */
const MIDDLES = [15, 75, 136, 197, 258, 319] as const;

/** Of each box, each second month and each point, a mean day; and the days on which nothing is misted. */
export type PlayedDays = Readonly<
  Record<
    string,
    readonly {
      readonly usual: readonly (readonly number[])[];
      readonly dry: readonly (readonly number[])[];
    }[]
  >
>;

/** What the demo's probes read in a calm day of each month: the engine's days of its drawings, built a little other. */
export function playedDays(designs: readonly Design[], catalogue: Catalogue): PlayedDays {
  return Object.fromEntries(
    designs.flatMap((drawn) => {
      const points = DEMO_POINTS[drawn.id];
      if (!points) return [];
      const design = builtOther(drawn);
      return [
        [
          drawn.id,
          MIDDLES.map((day) => {
            const ready = readyOf(design, catalogue, day);
            const start = settled(ready, 4);
            const usual = read(design, ready, played(ready, start, 1, false), points);
            return {
              usual,
              dry:
                drawn.id === UNMISTED.design
                  ? read(design, ready, played(ready, start, DRY_DAYS, true), points)
                  : [],
            };
          }),
        ],
      ];
    }),
  );
}

function builtOther(design: Design): Design {
  const at = ([low, high]: readonly [number, number]): [number, number] => [low, high];
  return {
    ...design,
    climate: {
      ...design.climate,
      calibration: {
        ...BUILT,
        on: '2026-01-02',
        file: '',
        since: '2026-01-01',
        until: '2026-01-02',
        intervals: { exchange: at([1, 2]), wetness: at([0.5, 1]), gain: at([1, 2]) },
        left: { temperature: null, humidity: null },
        marks: { ...marksOf(design) },
      },
    },
  };
}

function played(ready: Ready, start: Float64Array, days: number, isDry: boolean): Run {
  const { box, plan } = ready;
  const weather = ready.weather(days + 1, null);
  const unmisted: Ready['plan'] = (day) => ({ ...plan(day), wetters: plan(day).wetters.map(() => []) });
  return simulate({ box, weather, plan: isDry ? unmisted : plan, days, every: STEP, start, looser: 4 });
}

/** Tenths of a kelvin and whole per cents: no probe of the demo tells more. */
const short = (value: number, quantity: DemoPoint['quantity']): number =>
  Number(value.toFixed(quantity === 'humidity' ? 2 : 1));

function read(
  design: Design,
  { model }: Ready,
  run: Run,
  points: readonly DemoPoint[],
): readonly (readonly number[])[] {
  const { width, depth, height } = design.enclosure;
  return points.map(({ at, quantity }) => {
    const place = { x: at[0] * width, y: at[1] * depth, z: at[2] * height };
    const shares = sharesOf({ model, warm: design.scape.warm, width, height }, place);
    const name = quantity === 'humidity' ? 'rh' : 'air';
    return Array.from(run.t, (_, i) =>
      short(
        shares.reduce(
          (sum, share, cell) => sum + share * (run.series[`${name}${cell}` as SeriesName][i] ?? 0),
          0,
        ),
        quantity,
      ),
    );
  });
}
