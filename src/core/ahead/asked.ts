import { whereOf } from '../calibration/probes';
import type { Design } from '../document/schema';
import { tracesOf, type Series, type Track } from '../readings';
import type { AheadInput, AheadPoint } from './types';

/** Where a point hangs that can be looked ahead for; null: it reads nothing that is played. */
function aheadWhere({ place, quantity, at }: Series, design: Design): AheadPoint['where'] | null {
  if (quantity !== 'temperature' && quantity !== 'humidity') return null;
  if (place === 'room') return 'room';
  if (place === 'basking') return quantity === 'temperature' ? 'spot' : null;
  return whereOf({ place, at }, design);
}

/** Whether the next days of a point can be told: of air, of the spot under a lamp, and of the room. */
export const canLookAhead = (point: Series, design: Design): boolean =>
  design.brief.described && aheadWhere(point, design) !== null;

/**
 * What is asked of the days to come, from readings as they are kept.
 * @param filled ms since 1970 at which the log has the bottle filled last; null: it does not say
 * @param offset ms by which the clock on the wall is ahead of UTC at a moment
 * @param now ms since 1970
 * @returns null where nothing was read that can be looked ahead from; `begins`: ms since 1970 of the midnight the traces begin with
 */
export function aheadInputOf(
  design: Design,
  points: readonly { readonly series: Series; readonly track: Track }[],
  filled: number | null,
  offset: (utc: number) => number,
  now: number,
): { readonly input: AheadInput; readonly begins: number } | null {
  const own = points.flatMap(({ series, track }) => {
    const where = aheadWhere(series, design);
    return where === null || track.at.length === 0 ? [] : [{ series, track, where }];
  });
  const traced = tracesOf(
    own.map(({ series, track }) => ({ track, quantity: series.quantity })),
    offset,
  );
  if (!traced) return null;
  const { traces, begins, from } = traced;
  const told = own.flatMap(({ series, where }, i): AheadPoint[] => {
    const trace = traces[i];
    const quantity = series.quantity === 'humidity' ? 'humidity' : 'temperature';
    return trace ? [{ series: series.id, quantity, where, trace }] : [];
  });
  const inRoom = (quantity: AheadPoint['quantity']): AheadPoint['trace'] | null =>
    told.find((it) => it.where === 'room' && it.quantity === quantity)?.trace ?? null;
  return {
    begins,
    input: {
      design,
      from,
      now: (now - begins) / 1000,
      points: told,
      room: { temperature: inRoom('temperature'), humidity: inRoom('humidity') },
      filled: filled === null ? null : (filled - begins) / 1000,
    },
  };
}
