import { DAY_MS } from '@/core/physics/constants';
import type { Design } from '@/core/document';
import { toSteps, trackOf, type Series, type Track } from '@/core/readings';

const EVERY = 600_000;
const DAYS = 150;

interface Point {
  readonly key: string;
  readonly name: string;
  readonly quantity: Series['quantity'];
  readonly place: Series['place'];
  /** Share of width, depth and height of the box. */
  readonly at: readonly [number, number, number];
  /** By the days ago (0 is now) and the hour of the day. */
  readonly value: (ago: number, hour: number, noise: number) => number;
}

/** Up to one by day, none by night, with the lag of a box of soil. */
const sun = (hour: number): number => Math.max(0, Math.sin(((hour - 8.5) / 13) * Math.PI));
/** Misted at eight in the morning and the evening; dries off in hours. */
const mist = (hour: number): number =>
  Math.exp(-((((hour - 8) % 24) + 24) % 24) / 3.2) + Math.exp(-((((hour - 20) % 24) + 24) % 24) / 5);
const season = (ago: number): number => Math.cos((2 * Math.PI * ago) / 365);

const POINTS: Readonly<Record<string, readonly Point[]>> = {
  'demo-bog-shelf': [
    {
      key: 'warm',
      name: 'warm side',
      quantity: 'temperature',
      place: 'warm',
      at: [0.7, 0.5, 0.35],
      value: (ago, hour, noise) => 21.6 + 2.9 * sun(hour) - 0.5 * season(ago) + 0.15 * noise,
    },
    {
      key: 'cool',
      name: 'over the water',
      quantity: 'temperature',
      place: 'cool',
      at: [0.2, 0.5, 0.25],
      value: (ago, hour, noise) => 20.4 + 1.4 * sun(hour - 0.5) - 0.5 * season(ago) + 0.12 * noise,
    },
    {
      key: 'air',
      name: 'air among the cork',
      quantity: 'humidity',
      place: 'warm',
      at: [0.6, 0.6, 0.5],
      // Nothing has been misted for six days.
      value: (ago, hour, noise) =>
        Math.min(0.985, 0.76 + (ago < 6 ? -0.05 : 0.19 * mist(hour)) - 0.06 * sun(hour) + 0.012 * noise),
    },
  ],
  'demo-limestone': [
    {
      key: 'warm',
      name: 'warm side',
      quantity: 'temperature',
      place: 'warm',
      at: [0.75, 0.5, 0.4],
      value: (ago, hour, noise) => 23.4 + 3.1 * sun(hour) - 0.6 * season(ago) + 0.18 * noise,
    },
    {
      key: 'air',
      name: 'cool side air',
      quantity: 'humidity',
      place: 'cool',
      at: [0.25, 0.5, 0.4],
      value: (_, hour, noise) => 0.66 + 0.08 * mist(hour) - 0.05 * sun(hour) + 0.015 * noise,
    },
  ],
};

/** Five months of the made-up nature room’s probes, with a hole where nobody changed a battery. */
export function demoReadings(
  designs: readonly Design[],
  now: number,
): readonly { readonly series: Series; readonly track: Track }[] {
  const last = Math.floor(now / EVERY) * EVERY;
  return designs.flatMap((design) =>
    (POINTS[design.id] ?? []).map(({ key, name, quantity, place, at, value }) => {
      const { width, depth, height } = design.enclosure;
      const times: number[] = [];
      const steps: number[] = [];
      let noise = 0;
      let seed = key.length * 7919 + design.id.length;
      for (let t = last - DAYS * DAY_MS; t <= last; t += EVERY) {
        seed = (seed * 48_271) % 2_147_483_647;
        noise = 0.9 * noise + 0.9 * (seed / 2_147_483_647 - 0.5);
        const ago = (last - t) / DAY_MS;
        if (ago > 61 && ago < 66.4) continue;
        const date = new Date(t);
        const hour = date.getHours() + date.getMinutes() / 60;
        times.push(t);
        // Such probes tell tenths and whole per cents.
        const grain = quantity === 'humidity' ? 0.01 : 0.1;
        steps.push(toSteps(Math.round(value(ago, hour, noise) / grain) * grain, quantity));
      }
      return {
        series: {
          id: `${design.id} ${key}`,
          design: design.id,
          name,
          quantity,
          place,
          at: { x: at[0] * width, y: at[1] * depth, z: at[2] * height },
          instrument: 'school logger',
          source: null,
          alarm: null,
          changed: 0,
          gone: false,
        },
        track: trackOf(times, steps),
      };
    }),
  );
}
