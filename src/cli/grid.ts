import { catalogue } from '@/catalogue';
import { findAnimal } from '@/core/catalogue';
import { seededRandom } from '@/core/random';
import { applyEdit, type EditCall } from '@/core/edits';
import { proposeDesign } from '@/core/propose';
import { type Design } from '@/core/document';
import {
  burdenOf,
  climb,
  ease,
  lacking,
  missingIn,
  NO_LOCKS,
  perform,
  runSearch,
  weigh,
  type Locks,
  type Seen,
} from '@/core/search';
import { darkHeaters, withDevices } from '@/core/fitting/fittings';
import { GLANCE, judgeDesign } from '@/core/verdict';

const FIRST: readonly EditCall[] = [
  { edit: 'proposeScape', change: {} },
  { edit: 'proposeClimate', change: {} },
];
/** Cover and set points may change, nothing else: few enough ways to try them all. */
const LOCKS: Locks = { ...NO_LOCKS, vents: true, lights: true, mist: true, seasons: true, buying: true };
const STRICT = 0.5;
/** Looks after which the soil of what was found moves no more. */
const SETTLED = 4;

const made = (animal: string, kind: 'dry' | 'middle' | 'humid'): Design =>
  FIRST.reduce(
    (design, call) => applyEdit(design, call, catalogue),
    proposeDesign(
      { id: 'x', name: 'x', animal, count: 1, size: null, room: { kind, temperature: null, humidity: null } },
      catalogue,
    ),
  );

/** What the search itself asks of the weathers of a verdict. */
const missing = (design: Design): number => {
  const verdict = judgeDesign({ design, catalogue, alone: true });
  return verdict ? missingIn(verdict) : Infinity;
};

export interface GridCase {
  readonly seed: number;
  readonly animal: string;
  readonly found: number;
  /** Cheapest of the grid that is no worse in its weathers; null: none is cheaper. */
  readonly better: number | null;
  readonly what: string;
}

/**
 * The search against brute force: from a first design of a seeded kind and room, all of a grid of covers and set points
 * about what was found is tried. What is better on mean days counts where it is no worse in its weathers.
 */
export function gridCase(seed: number): GridCase {
  const kinds = catalogue.animals.filter((it) => darkHeaters(made(it.id, 'middle'), catalogue).length > 0);
  const next = seededRandom(seed + 1);
  const animal = kinds[Math.floor(next() * kinds.length)]?.id ?? '';
  const start = made(animal, (['dry', 'middle', 'humid'] as const)[Math.floor(next() * 3)] ?? 'dry');
  const costOf = (design: Design, seen: Seen): number =>
    lacking(seen) + weigh(burdenOf(design, start, seen, catalogue), 'balanced');
  const look = (design: Design, near: Seen['rest']): Seen | null => {
    const found = perform({ ask: 'look', design, playing: GLANCE, strict: STRICT, near }, catalogue);
    return found.of === 'look' ? found.seen : null;
  };
  const climbed = runSearch(climb({ design: start, catalogue, locks: LOCKS, start }), catalogue);
  const animalRow = findAnimal(catalogue, animal);
  if (!animalRow) throw new Error(`no animal ${animal}`);
  const found = runSearch(
    ease({
      design: climbed.design,
      catalogue,
      animal: animalRow,
      locks: LOCKS,
      start,
      near: climbed.seen.rest,
    }),
    catalogue,
  );
  // From where its own days leave it, as all of the grid are seen.
  let seen = found.seen;
  for (let again = 0; again < SETTLED; again += 1) seen = look(found.design, seen.rest) ?? seen;
  const own = costOf(found.design, seen);
  const heaters = darkHeaters(start, catalogue).map((it) => it.id);
  const night = darkHeaters(found.design, catalogue)[0]?.thermostat?.night ?? null;
  const cheaper: { readonly design: Design; readonly cost: number; readonly what: string }[] = [];
  for (let cover = 0; cover < 0.96; cover += 0.15)
    for (const by of [-3, -1.5, -0.5, 0, 0.5, 1.5, 3])
      for (const at of night === null ? [null] : [night - 1, night, night + 1]) {
        const topCover = Math.round(cover * 100) / 100;
        const design = withDevices(
          { ...found.design, enclosure: { ...found.design.enclosure, topCover } },
          heaters,
          (it) => ({
            ...it,
            thermostat: it.thermostat && {
              ...it.thermostat,
              day: it.thermostat.day === null ? null : it.thermostat.day + by,
              night: at,
            },
          }),
        );
        const tried = look(design, seen.rest);
        const cost = tried ? costOf(design, tried) : Infinity;
        if (cost < own)
          cheaper.push({ design, cost, what: `cover ${topCover}, by day ${by}, by night ${String(at)}` });
      }
  const least = missing(found.design);
  const first = cheaper
    .sort((a, b) => a.cost - b.cost)
    .slice(0, 12)
    .find((it) => missing(it.design) <= least + 1e-9);
  return { seed, animal, found: own, better: first?.cost ?? null, what: first?.what ?? '' };
}
