import { catalogue } from '../src/catalogue';
import { demoDesigns } from '../src/catalogue/demo';
import { lightHours, readyOf, settled, simulate } from '../src/core/climate';
import { DAY } from '../src/core/physics/constants';

/** One line of a logger’s file: of the warm side, and of the room. */
export interface Logged {
  /** Date and time as the keeper’s clock shows it. */
  readonly at: string;
  readonly light: boolean;
  /** °C and per cent. */
  readonly temperature: number;
  readonly humidity: number;
  readonly room: number;
}

/**
 * What a logger on the warm side of a demo enclosure would write from 10 January 2026 on, half hour by half hour, if it
 * leaked otherwise than it is drawn.
 * @param leak times the air exchange of the drawing
 */
export function loggedOn(id: string, leak: number, days: number): readonly Logged[] {
  const design = demoDesigns(catalogue).find((it) => it.id === id);
  if (!design) throw new Error(`no demo enclosure ${id}`);
  const drawn = readyOf(design, catalogue, 9);
  const ready = { ...drawn, box: { ...drawn.box, factors: { exchange: leak, wetness: 1, gain: 1 } } };
  const weather = ready.weather(days + 1, null);
  const run = simulate({
    box: ready.box,
    weather,
    plan: ready.plan,
    days,
    every: 1800,
    start: settled(ready),
  });
  const light = lightHours(design.climate, 9);
  return Array.from(run.t, (t, i) => ({
    at: new Date(Date.UTC(2026, 0, 10) + t * 1000).toISOString().slice(0, 19),
    light: t % DAY >= light.from && t % DAY < light.to,
    temperature: (run.series.air0[i] ?? 0) + Math.sin(7 * i) * 0.1,
    humidity: 100 * (run.series.rh0[i] ?? 0) + Math.sin(5 * i),
    room: weather.temperature[Math.floor(t / 3600)] ?? 20,
  }));
}
