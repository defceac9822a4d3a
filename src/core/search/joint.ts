import { free, round, tidy, type Move, type Setting } from './change';
import { withDevices } from '../fitting/fittings';
import { heatersOn } from './heat';
import { clamp } from '../physics/constants';

/** The top covered so far, and the set points of the heater moved by so much, K. */
interface Step {
  readonly cover?: number;
  readonly day?: number;
  readonly night?: number;
}

/** Each of these together with each of those. */
const together = (these: readonly Step[], those: readonly Step[]): readonly Step[] =>
  these.flatMap((a) => those.map((b) => ({ ...a, ...b })));

/** Steps from where a box stands, those that change something and may, each once. */
function movesBy({ design, catalogue, locks }: Setting, steps: readonly Step[]): readonly Move[] {
  const { top, topCover } = design.enclosure;
  const heaters = heatersOn('warm', design, catalogue).filter((it) => it.thermostat && free(locks, it));
  const ids = heaters.map((it) => it.id);
  const set = heaters[0]?.thermostat;
  const fixed = locks.cover || top === 'solid';
  const shifted = (now: number | null | undefined, by = 0): number | null =>
    now === null || now === undefined ? null : clamp(round(now + by, 0.5), 5, 45);
  const known = new Set<string>();
  return steps.flatMap((step): readonly Move[] => {
    const cover = fixed ? topCover : tidy(clamp(step.cover ?? topCover, 0, 0.95));
    const [day, night] = [
      step.day ? shifted(set?.day, step.day) : (set?.day ?? null),
      step.night ? shifted(set?.night, step.night) : (set?.night ?? null),
    ];
    const still = Math.abs(cover - topCover) < 0.01;
    const id = `cover ${cover.toFixed(2)}, heater ${String(day)} and ${String(night)}`;
    if ((still && day === (set?.day ?? null) && night === (set?.night ?? null)) || known.has(id)) return [];
    known.add(id);
    const heated = withDevices(design, ids, (it) => ({
      ...it,
      thermostat: it.thermostat && { ...it.thermostat, day, night },
    }));
    return [{ id, design: { ...heated, enclosure: { ...heated.enclosure, topCover: cover } } }];
  });
}

const covers = (...all: readonly number[]): readonly Step[] => all.map((cover) => ({ cover }));
const byDay = (...all: readonly number[]): readonly Step[] => all.map((day) => ({ day }));
const byNight = (...all: readonly number[]): readonly Step[] => all.map((night) => ({ night }));

const FAR = together(covers(0, 0.3, 0.6, 0.9), byDay(-3, -1.5, 0, 1.5, 3));

/**
 * Cover and warmth at once, far from where they are: a closed top wants less heat and an open one more, so that neither
 * alone leads from one good box to another.
 */
export const jointMoves = (setting: Setting): readonly Move[] => movesBy(setting, FAR);

/** Cover, and the set points of the heater by day and by night, one at a time and two together: for a box that is eased. */
export function settings(setting: Setting): readonly Move[] {
  const { topCover } = setting.design.enclosure;
  const [near, day, night] = [
    covers(topCover - 0.15, topCover + 0.15),
    byDay(-1.5, -0.5, 0.5, 1.5),
    byNight(-1, 1),
  ];
  return movesBy(setting, [
    ...covers(0, 0.15, 0.3, 0.45, 0.6, 0.75, 0.9),
    ...byDay(-3, 3),
    ...day,
    ...night,
    ...together(near, day),
    ...together(near, night),
    ...together(day, night),
    ...FAR,
  ]);
}
