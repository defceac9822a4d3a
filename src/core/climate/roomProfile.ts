import { roomClimate } from '../brief';
import type { Catalogue } from '../catalogue';
import type { Design } from '../document/schema';
import { byMonth, type RoomProfile, type Standing } from './weather';
import { DAY_MS } from '../physics/constants';

/** A flat with nothing known of it: from 1 K under its mean in winter to 1.5 over it in summer (common practice). */
const SEASON_T = [-0.8, -0.8, -0.6, -0.2, 0.2, 1, 1.6, 1.6, 0.6, 0, -0.6, -0.8];
/** Drier while it is heated, damper in summer: share of its mean. */
const SEASON_RH = [-0.16, -0.16, -0.1, -0.02, 0.06, 0.14, 0.16, 0.16, 0.1, 0.02, -0.06, -0.12];

/** No month of a dwelling is told damper than it is designed for (ASHRAE 160, simplified method; from memory), unless its year is. */
const DAMPEST = 0.7;

/** The room through the year: a logger's record, a preset, or what the brief says of it. */
export function profileOf({ climate, brief }: Design, catalogue: Catalogue): RoomProfile {
  const { log, preset } = climate.room;
  if (log) {
    return {
      temperature: log.temperature,
      humidity: log.humidity,
      swing: log.swing,
      setback: null,
      scatter: [0.8, 0.08],
    };
  }
  const row = catalogue.climate.rooms.find((it) => it.id === preset);
  if (row) {
    return {
      temperature: row.temperature.value,
      humidity: row.humidity.value,
      swing: row.swing.value,
      setback: row.setback,
      scatter: row.scatter,
    };
  }
  const room = roomClimate(brief.room);
  return {
    temperature: SEASON_T.map((it) => room.temperature + it),
    humidity: SEASON_RH.map((it) => Math.min(Math.max(DAMPEST, room.humidity), room.humidity * (1 + it))),
    swing: 1.2,
    setback: null,
    scatter: [0.8, 0.1],
  };
}

export const standingOf = ({ climate }: Design): Standing => ({
  window: climate.room.window,
  sunlit: climate.room.sunlit,
  radiator: climate.room.radiator,
  outsideWall: climate.room.outsideWall,
  latitude: climate.room.latitude,
});

/** The seasons that are looked at: the middles of winter and summer, of the hemisphere the room stands in. */
export const SEASONS = { winter: 15, spring: 105, summer: 196, autumn: 288 } as const;
export type Season = keyof typeof SEASONS;
export const ALL_SEASONS: readonly Season[] = ['winter', 'spring', 'summer', 'autumn'];

export const dayOfSeason = (season: Season, latitude: number): number =>
  latitude >= 0 ? SEASONS[season] : ((SEASONS[season] + 182) % 365) + 1;

/** The season whose middle is nearest to a moment, by the clock of this device. */
export function seasonAt(at: number, latitude: number): Season {
  const date = new Date(at);
  const day = 1 + (Date.UTC(2025, date.getMonth(), date.getDate()) - Date.UTC(2025, 0, 1)) / DAY_MS;
  const away = (season: Season): number => {
    const apart = Math.abs(dayOfSeason(season, latitude) - day);
    return Math.min(apart, 365 - apart);
  };
  return (Object.keys(SEASONS) as Season[]).reduce((a, b) => (away(b) < away(a) ? b : a));
}

/** Mean of the room on a day of the year: °C and relative humidity. */
export const meanRoom = (profile: RoomProfile, day: number) => ({
  temperature: byMonth(profile.temperature, day),
  humidity: byMonth(profile.humidity, day),
});
