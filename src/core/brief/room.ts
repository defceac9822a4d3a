import type { Room } from '../document/schema';

/**
 * What each answer to “how is the room” stands for in the mean of the year; a reading replaces it. Dry and middling: common
 * practice. Humid: the warmest and dampest a dwelling is designed for, 23.9 °C and 70 % in summer (ASHRAE 160, indoor
 * design conditions by its simplified method; from memory), which is 1.6 K over the mean (see `profileOf`).
 */
const ROOMS: Record<
  NonNullable<Room['kind']>,
  { readonly temperature: number; readonly humidity: number }
> = {
  dry: { temperature: 21, humidity: 0.35 },
  middle: { temperature: 21, humidity: 0.5 },
  humid: { temperature: 22.3, humidity: 0.7 },
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
