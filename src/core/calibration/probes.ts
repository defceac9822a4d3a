import type { Design } from '../document/schema';
import { DAY } from '../physics/constants';
import { tracesOf, type Series, type Track } from '../readings';
import type { CalibrationInput, Where } from './types';

/** Measuring points that hang together at one place of the air of a box. */
export interface KeptProbe {
  readonly name: string;
  readonly where: Where;
  readonly temperature: Series | null;
  readonly humidity: Series | null;
}

/** Where the air is read that a measuring point hangs in; null: it reads no air that the model follows. */
export function whereOf({ place, at }: Pick<Series, 'place' | 'at'>, { enclosure }: Design): Where | null {
  if (place !== 'warm' && place !== 'cool' && place !== 'canopy') return null;
  if (at) return at;
  const { width, depth, height } = enclosure;
  return place === 'canopy' ? { x: width / 2, y: depth / 2, z: 0.8 * height } : place;
}

/** The probes of a box, and of its room, among its measuring points: what hangs at one place is one probe. */
export function keptProbes(
  points: readonly Series[],
  design: Design,
): { readonly probes: readonly KeptProbe[]; readonly room: Pick<KeptProbe, 'temperature' | 'humidity'> } {
  const probes = new Map<string, KeptProbe>();
  for (const point of points) {
    const where = whereOf(point, design);
    if (where === null || (point.quantity !== 'temperature' && point.quantity !== 'humidity')) continue;
    const key = JSON.stringify([point.place, point.at]);
    const known = probes.get(key);
    // A second thermometer at one place is a probe of its own.
    if (known && known[point.quantity] === null) probes.set(key, { ...known, [point.quantity]: point });
    else
      probes.set(known ? `${key} ${point.id}` : key, {
        name: point.name,
        where,
        temperature: null,
        humidity: null,
        [point.quantity]: point,
      });
  }
  const inRoom = (quantity: Series['quantity']): Series | null =>
    points.find((it) => it.place === 'room' && it.quantity === quantity) ?? null;
  const all = [...probes.values()];
  return {
    // Two of one name are told apart, here and in what is made of them.
    probes: all.map((it, i) => {
      const before = all.slice(0, i).filter((own) => own.name === it.name).length;
      return before === 0 ? it : { ...it, name: `${it.name} (${before + 1})` };
    }),
    room: { temperature: inRoom('temperature'), humidity: inRoom('humidity') },
  };
}

/** Tracks of one probe, before they have one clock. */
export interface ProbeTracks {
  readonly name: string;
  readonly where: Where;
  readonly temperature: Track | null;
  readonly humidity: Track | null;
}

/**
 * Probes and room as calibration takes them, by the clock on the wall, with the date they begin and end on.
 * @param offset ms by which that clock is ahead of UTC at a moment
 * @returns null where nothing was read
 */
export function inputOf(
  design: Design,
  probes: readonly ProbeTracks[],
  room: Pick<ProbeTracks, 'temperature' | 'humidity'>,
  offset: (utc: number) => number,
): { readonly input: CalibrationInput; readonly since: string; readonly days: number } | null {
  const all = [...probes, room].flatMap((it) => [
    { track: it.temperature, quantity: 'temperature' as const },
    { track: it.humidity, quantity: 'humidity' as const },
  ]);
  const traced = tracesOf(all, offset);
  if (!traced) return null;
  const { traces, from, date } = traced;
  const at = (probe: number) => ({
    temperature: traces[2 * probe] ?? null,
    humidity: traces[2 * probe + 1] ?? null,
  });
  const last = Math.max(0, ...traces.map((it) => it?.t.at(-1) ?? 0));
  return {
    input: {
      design,
      from,
      probes: probes.map(({ name, where }, i) => ({ name, where, ...at(i) })),
      room: at(probes.length),
    },
    since: date,
    days: Math.floor(last / DAY),
  };
}
