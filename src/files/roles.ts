import type { ReadQuantity, Track } from '@/core/readings';
import { readTable, type Match, type ReadUnit, type TableHead, type TableReport } from './table';

/** What a climate is read from: of the enclosure, and of its room. */
export const ROLES = ['temperature', 'humidity', 'roomTemperature', 'roomHumidity'] as const;
export type Role = (typeof ROLES)[number];

type Column = Match['columns'][number];
const QUANTITY: Readonly<Record<Role, ReadQuantity>> = {
  temperature: 'temperature',
  humidity: 'humidity',
  roomTemperature: 'temperature',
  roomHumidity: 'humidity',
};
const ofRoom = (role: Role): boolean => role.startsWith('room');
const roleOf = ({ quantity, place }: Column): Role | undefined =>
  ROLES.find((role) => QUANTITY[role] === quantity && ofRoom(role) === (place === 'room'));

/** The column of a role. */
export const columnOf = (match: Match, role: Role): Column | undefined =>
  match.columns.find((it) => roleOf(it) === role);

/** A match with one column for each role, the first that seems to be it, and no others. */
export function onlyRoles(match: Match): Match {
  const columns = ROLES.flatMap((role): Column[] => {
    const own = columnOf(match, role);
    return own ? [{ ...own, name: role }] : [];
  });
  return { ...match, columns };
}

/** Gives a role another column, or none; the column is taken from any other role. */
export function withRole(
  match: Match,
  role: Role,
  column: number | null,
  unit: ReadUnit = columnOf(match, role)?.unit ?? (QUANTITY[role] === 'temperature' ? '°C' : '%'),
): Match {
  const others = match.columns.filter((it) => roleOf(it) !== role && it.column !== column);
  if (column === null) return { ...match, columns: others };
  const own: Column = {
    column,
    quantity: QUANTITY[role],
    unit,
    name: role,
    place: ofRoom(role) ? 'room' : 'warm',
  };
  return { ...match, columns: [...others, own] };
}

/** Sensors that are named in the first rows of a table that holds several below each other. */
export const sensorsIn = ({ rows }: TableHead, { sensor }: Match): readonly string[] =>
  sensor === null
    ? []
    : [...new Set(rows.map((row) => (row[sensor] ?? '').trim()))].filter((it) => it !== '');

/**
 * Reads the columns of the roles out of a table.
 * @param sensor the one whose rows count, where the table holds several
 */
export function readRoles(
  text: string,
  head: TableHead,
  match: Match,
  sensor: string | null,
): { readonly tracks: Readonly<Partial<Record<Role, Track>>>; readonly report: TableReport } {
  const { tracks, report } = readTable(text, head, match);
  const named = (role: Role): string => (match.sensor === null || !sensor ? role : `${sensor} ${role}`);
  const entries = ROLES.flatMap((role) => {
    const own = tracks.find((it) => it.name === named(role));
    return own ? [[role, own.track] as const] : [];
  });
  return { tracks: Object.fromEntries(entries), report };
}
