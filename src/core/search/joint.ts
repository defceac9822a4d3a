import { clamp, free, round, tidy, type Move, type Setting } from './change';
import { withDevices } from './fittings';
import { heatersOn } from './heat';

/** Covers of the top and shifts of the heater's set points, K, that are tried together. */
const COVERS = [0, 0.3, 0.6, 0.9] as const;
const SHIFTS = [-3, 0, 3] as const;

/**
 * Cover and warmth at once, far from where they are: a closed top wants less heat and an open one more, so that neither
 * alone leads from one good box to another.
 */
export function jointMoves({ design, catalogue, locks }: Setting): readonly Move[] {
  const { top, topCover } = design.enclosure;
  if (locks.cover || top === 'solid') return [];
  const ids = heatersOn('warm', design, catalogue)
    .filter((it) => it.thermostat && free(locks, it))
    .map((it) => it.id);
  const covers = COVERS.filter((it) => Math.abs(it - topCover) > 0.05);
  const shifts = ids.length > 0 ? SHIFTS : ([0] as const);
  const shifted = (set: number | null, by: number): number | null =>
    set === null ? null : clamp(round(set + by, 0.5), 5, 45);
  return covers.flatMap((cover) =>
    shifts.map((by): Move => ({
      id: `cover ${cover.toFixed(2)} and heater ${by < 0 ? '−' : '+'}${Math.abs(by)}`,
      design: withDevices(
        { ...design, enclosure: { ...design.enclosure, topCover: tidy(cover) } },
        ids,
        (it) => ({
          ...it,
          thermostat: it.thermostat && { ...it.thermostat, day: shifted(it.thermostat.day, by) },
        }),
      ),
    })),
  );
}

/** Cover, and the set points of the heater, one at a time and together: for a box that is eased. */
export function settings(setting: Setting): readonly Move[] {
  const { design, catalogue, locks } = setting;
  const { top, topCover } = design.enclosure;
  const covers: readonly Move[] =
    locks.cover || top === 'solid'
      ? []
      : [0, 0.15, 0.3, 0.45, 0.6, 0.75, 0.9]
          .filter((it) => Math.abs(it - topCover) > 0.01)
          .map((it) => ({
            id: `cover ${it.toFixed(2)}`,
            design: { ...design, enclosure: { ...design.enclosure, topCover: it } },
          }));
  const heaters = heatersOn('warm', design, catalogue).filter((it) => it.thermostat && free(locks, it));
  const ids = heaters.map((it) => it.id);
  const set = heaters[0]?.thermostat;
  const shifts = (when: 'day' | 'night', by: readonly number[]): readonly Move[] => {
    const now = set?.[when] ?? null;
    if (now === null) return [];
    return by.map((it) => {
      const to = clamp(round(now + it, 0.5), 5, 45);
      return {
        id: `heater ${when} ${to}`,
        design: withDevices(design, ids, (own) => ({
          ...own,
          thermostat: own.thermostat && { ...own.thermostat, [when]: to },
        })),
      };
    });
  };
  return [
    ...covers,
    ...shifts('day', [-3, -1.5, -0.5, 0.5, 1.5, 3]),
    ...shifts('night', [-1, 1]),
    ...jointMoves(setting),
  ];
}
