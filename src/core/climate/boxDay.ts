import { DAY_MS } from '../physics/constants';

import type { Climate } from '../document/schema';
import { lightHours } from './timetable';

/** Hours of light in a box on the day of a moment, ms since 1970, by the clock of this device. */
export function lightOf(climate: Climate, at: number): { readonly from: number; readonly to: number } {
  const date = new Date(at);
  const midnight = new Date(date.getFullYear(), date.getMonth(), date.getDate()).getTime();
  const dayOfYear = Math.round((midnight - new Date(date.getFullYear(), 0, 1).getTime()) / DAY_MS) + 1;
  const { from, to } = lightHours(climate, dayOfYear);
  return { from: midnight + from * 1000, to: midnight + to * 1000 };
}

/** Whether it is day in a box at a moment. */
export function isDayIn(climate: Climate): (at: number) => boolean {
  let known = { from: Infinity, to: -Infinity, midnight: -1 };
  return (at) => {
    const midnight = Math.floor(at / DAY_MS);
    if (midnight !== known.midnight) known = { ...lightOf(climate, at), midnight };
    // The light of the neighbouring day, where midnight here is not midnight there.
    const { from, to } = known;
    return (
      (at >= from && at < to) ||
      (at >= from + DAY_MS && at < to + DAY_MS) ||
      (at >= from - DAY_MS && at < to - DAY_MS)
    );
  };
}
