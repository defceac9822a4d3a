import { type ReadQuantity } from './series';
import { HOUR, type Track } from './track';

/** Something a sensor does that no box does. */
export interface Oddity {
  readonly kind: 'stuck' | 'jump' | 'silent';
  /** ms since 1970 */
  readonly from: number;
  readonly to: number;
}

/** Change between two readings, a minute, that air, soil and bodies do not make; per step as `STEP` (from memory). */
const JUMP: Record<ReadQuantity, number> = {
  temperature: 800,
  humidity: 4500,
  uvIndex: Infinity,
  soilWater: 400,
  mass: Infinity,
};
/** How long one and the same value is still likely, h. Humidity that stands at the top is a wet box, not a stuck probe. */
const STUCK: Record<ReadQuantity, number> = {
  temperature: 8,
  humidity: 12,
  uvIndex: Infinity,
  soilWater: 24 * 14,
  mass: Infinity,
};
/** Everything from here up says only “wet”: probes stop there. */
const FULL = 9850;
const SILENT = 2 * HOUR;

/** Where a probe stuck, leapt or fell silent. Needs at least a dozen readings to call one stuck. */
export function oddities({ at, steps }: Track, quantity: ReadQuantity, now: number): readonly Oddity[] {
  const found: Oddity[] = [];
  let since = 0;
  for (let i = 1; i <= at.length; i += 1) {
    const [t, before] = [at[i] ?? 0, at[i - 1] ?? 0];
    const value = steps[i - 1] ?? 0;
    const ends = i === at.length || steps[i] !== value || t - before > SILENT;
    if (ends) {
      const held = before - (at[since] ?? 0);
      const full = quantity === 'humidity' && value >= FULL;
      if (i - since >= 12 && held >= STUCK[quantity] * HOUR && !full)
        found.push({ kind: 'stuck', from: at[since] ?? 0, to: before });
      since = i;
    }
    if (i === at.length) break;
    const minutes = Math.max(1, (t - before) / 60_000);
    const change = Math.abs((steps[i] ?? 0) - value);
    if (minutes <= 15 && change > JUMP[quantity] * Math.sqrt(minutes))
      found.push({ kind: 'jump', from: before, to: t });
    if (t - before > SILENT) found.push({ kind: 'silent', from: before, to: t });
  }
  const last = at.at(-1);
  if (last !== undefined && now - last > SILENT) found.push({ kind: 'silent', from: last, to: now });
  return found;
}
