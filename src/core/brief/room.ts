import type { Room } from '../design/schema';

/** What each answer to “how is the room” stands for (common practice; a reading replaces it). */
const ROOMS: Record<
  NonNullable<Room['kind']>,
  { readonly temperature: number; readonly humidity: number }
> = {
  dry: { temperature: 21, humidity: 0.35 },
  middle: { temperature: 21, humidity: 0.5 },
  humid: { temperature: 24, humidity: 0.7 },
};

export interface RoomClimate {
  /** °C */
  readonly temperature: number;
  /** Relative humidity, 0 to 1. */
  readonly humidity: number;
  readonly kind: NonNullable<Room['kind']>;
  /** False when nothing was said and a middling room is taken. */
  readonly known: boolean;
}

/** The room as measured where it was, otherwise by its kind; unknown counts as middling. */
export function roomClimate(room: Room): RoomClimate {
  const byReading =
    room.humidity === null
      ? undefined
      : room.humidity < 0.42
        ? 'dry'
        : room.humidity > 0.6
          ? 'humid'
          : 'middle';
  const kind = byReading ?? room.kind ?? 'middle';
  return {
    kind,
    temperature: room.temperature ?? ROOMS[kind].temperature,
    humidity: room.humidity ?? ROOMS[kind].humidity,
    known: room.kind !== null || room.humidity !== null,
  };
}
