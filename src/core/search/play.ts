import { findDeviceKind, type Catalogue } from '../catalogue';
import type { Design, Device } from '../document/schema';
import type { Season } from '../climate/roomProfile';
import { GLANCE, type Playing, type YearRun } from '../verdict/year';
import { lackingIn } from './cost';
import { type Result, type Seen, type Task } from './look';
import { lampsTooNear } from '../fitting/fittings';
import { type Move } from './change';

/** A search: asks for tasks, several at once, and is given their results in the same order. */
export type Searching<T> = Generator<readonly Task[], T, readonly Result[]>;

/** The season that lacks most first. */
export const seasonsBy = (seen: Seen): Playing['seasons'] => {
  const lack = (season: Season): number => lackingIn(seen.measured.filter((it) => it.season === season));
  return [...GLANCE.seasons].sort((a, b) => lack(b) - lack(a));
};

/**
 * First looks at designs, in their order; null where a climate cannot be.
 * @param worth what they may lack, and the season that is looked at first: those that lack more in it are not looked at further
 */
export function* lookAt(
  designs: readonly Design[],
  near: YearRun['rest'],
  strict: number,
  worth?: { readonly enough: number; readonly seasons: Playing['seasons'] },
): Searching<readonly (Seen | null)[]> {
  if (designs.length === 0) return [];
  const results = yield designs.map((it): Task => ({
    ask: 'look',
    design: it,
    playing: worth ? { ...GLANCE, seasons: worth.seasons } : GLANCE,
    strict,
    near,
    ...(worth ? { enough: worth.enough } : {}),
  }));
  return results.map((it) => (it.of === 'look' ? it.seen : null));
}

/**
 * Moves played, those with a device to be sized twice: once far too strong, to see what it needs.
 * @param enough what one of them may lack: what lacks more in the season that lacks most now is not looked at further
 */
export function* play(
  from: Design,
  moves: readonly Move[],
  now: Seen,
  strict: number,
  catalogue: Catalogue,
  may: (design: Design) => boolean = () => true,
  enough = Infinity,
): Searching<{
  readonly all: readonly { readonly move: Move; readonly seen: Seen }[];
  readonly looks: number;
}> {
  const near = now.rest;
  const open = moves.filter((it) => it.size !== undefined);
  const ample = yield* lookAt(
    open.map((it) => it.design),
    near,
    strict,
  );
  const made = moves.flatMap((move): Move[] => {
    if (move.size === undefined) return [move];
    const peak = ample[open.indexOf(move)]?.peaks[move.size];
    return peak === undefined ? [] : [...sizedTo(move, move.size, peak, catalogue)];
  });
  // What burns or melts beside a lamp is no way to hold a box, however well it would.
  const most = lampsTooNear(from, catalogue);
  const safe = made.filter((it) => lampsTooNear(it.design, catalogue) <= most && may(it.design));
  const seen = yield* lookAt(
    safe.map((it) => it.design),
    near,
    strict,
    { enough, seasons: seasonsBy(now) },
  );
  return {
    all: safe.flatMap((move, i) => {
      const own = seen[i];
      return own ? [{ move, seen: own }] : [];
    }),
    looks: open.length + safe.length,
  };
}

/** Side by side at the most. */
const ABREAST = 3;

/**
 * A device of the power it turned out to need, several side by side where one is not made so strong. Where not even those
 * are, the need was that of an hour of warming up: one and two of the strongest, to be looked at.
 */
function sizedTo(move: Move, id: string, peak: number, catalogue: Catalogue): readonly Move[] {
  const device = move.design.climate.devices.find((it) => it.id === id);
  if (!device) return [];
  const powers = [...(findDeviceKind(catalogue, device.kind)?.powers ?? [])].sort((a, b) => a - b);
  const most = powers.at(-1) ?? 0;
  if (most <= 0) return [];
  const count = Math.max(1, Math.ceil((1.1 * peak) / Math.max(1, most)));
  return count > ABREAST
    ? [abreast(move, device, 1, most), abreast(move, device, 2, most)]
    : [abreast(move, device, count, powers.find((it) => it * count >= 1.15 * peak) ?? most)];
}

/** So many of a device that was still to be sized, each so strong. */
function abreast(move: Move, device: Device, count: number, watts: number): Move {
  const { depth } = move.design.enclosure;
  const one = { ...device, power: watts };
  const taken = new Set(move.design.climate.devices.map((it) => it.id));
  const several = Array.from({ length: count }, (_, i): typeof one =>
    i === 0
      ? one
      : {
          ...one,
          id: idBeside(one.id, i + 1, taken),
          name: `${one.name} ${i + 1}`,
          at: { ...one.at, y: Math.round((one.at.y + (i * depth * 0.5) / (count - 1)) * 1000) / 1000 },
        },
  );
  return {
    id: `${move.id} ${count > 1 ? `${count} × ` : ''}${watts} W`,
    design: {
      ...move.design,
      climate: {
        ...move.design.climate,
        devices: move.design.climate.devices.flatMap((it) => (it.id === device.id ? several : [it])),
      },
    },
  };
}

/** Id of a copy that no other device has. */
function idBeside(id: string, n: number, taken: Set<string>): string {
  let own = `${id}-${n}`;
  while (taken.has(own)) own = `${own}b`;
  taken.add(own);
  return own;
}
