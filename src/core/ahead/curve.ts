import type { Trace } from '../readings';
import type { Offs } from './pattern';

/** Values at moments, s from the first midnight. */
export interface Curve {
  readonly t: Float64Array;
  readonly value: Float64Array;
}

/** Reads a curve at any moment, on a straight line between two of its own. */
export function reading({ t, value }: Curve): (at: number) => number {
  const [begins, step] = [t[0] ?? 0, (t[1] ?? 1) - (t[0] ?? 0)];
  return (at) => {
    const place = Math.min(t.length - 1, Math.max(0, (at - begins) / step));
    const low = Math.floor(place);
    const part = place - low;
    return (value[low] ?? 0) * (1 - part) + (value[Math.min(t.length - 1, low + 1)] ?? 0) * part;
  };
}

/** What a point was off by whenever it was read. */
export function offOf(trace: Trace, curve: Curve): Offs {
  const played = reading(curve);
  return { t: trace.t, off: trace.value.map((it, i) => it - played(trace.t[i] ?? 0)) };
}
