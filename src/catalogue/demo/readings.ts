import { DAY_MS } from '@/core/physics/constants';
import type { Design } from '@/core/document';
import { toSteps, trackOf, type Series, type Track } from '@/core/readings';
import type { PlayedDays } from './played';
import { PLAYED_DAYS } from './playedDays';
import { DEMO_POINTS, DRY_DAYS, MONTHS_APART, STEP, UNMISTED } from './points';

const EVERY = 600_000;
const DAYS = 150;

/** K and share of humidity that a probe wavers by: its own noise, and what every day has of its own. */
const WAVERS = { temperature: 0.3, humidity: 0.02 } as const;
/** Values of a played day. */
const PER_DAY = DAY_MS / (STEP * 1000);

/** A value of days that begin at midnight, on a straight line between two of its moments. */
function valueAt(values: readonly number[], day: number): number {
  const place = Math.min(values.length - 1, Math.max(0, day * PER_DAY));
  const low = Math.floor(place);
  const part = place - low;
  return (values[low] ?? 0) * (1 - part) + (values[low + 1] ?? values[low] ?? 0) * part;
}

/** What a probe reads at a moment by the clock, in mean weather: between the middles of two months that were played. */
function meanOf(months: PlayedDays[string], point: number, date: Date, dryFor: number | null): number {
  const hour = (date.getHours() + date.getMinutes() / 60) / 24;
  const place = (date.getMonth() + (date.getDate() - 15.5) / 30.5) / MONTHS_APART;
  const low = Math.floor(place);
  const part = place - low;
  const of = (month: number): number => {
    const own = months[(month + months.length) % months.length];
    const days = dryFor === null ? own?.usual[point] : own?.dry[point];
    return valueAt(days ?? [], dryFor === null ? hour : Math.min(DRY_DAYS - 1, dryFor) + hour);
  };
  return of(low) * (1 - part) + of(low + 1) * part;
}

const midnightOf = (at: number): number => new Date(at).setHours(0, 0, 0, 0);

/**
 * Five months of the made-up nature room’s probes, with a hole where nobody changed a battery: what the core plays of the
 * drawings, as `npm run demo-days` has written it down, and noise.
 */
export function demoReadings(
  designs: readonly Design[],
  now: number,
): readonly { readonly series: Series; readonly track: Track }[] {
  const last = Math.floor(now / EVERY) * EVERY;
  return designs.flatMap((design) =>
    (DEMO_POINTS[design.id] ?? []).map(({ key, name, quantity, place, at }, point) => {
      const months = PLAYED_DAYS[design.id] ?? [];
      const dryFrom = design.id === UNMISTED.design ? midnightOf(last) - UNMISTED.days * DAY_MS : Infinity;
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
        const dryFor = t >= dryFrom ? Math.round((midnightOf(t) - dryFrom) / DAY_MS) : null;
        const value = meanOf(months, point, new Date(t), dryFor) + WAVERS[quantity] * noise;
        times.push(t);
        // Such probes tell tenths and whole per cents.
        const grain = quantity === 'humidity' ? 0.01 : 0.1;
        const most = quantity === 'humidity' ? 0.99 : Infinity;
        steps.push(toSteps(Math.round(Math.min(most, value) / grain) * grain, quantity));
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
