import { dayOfSeason, type Season } from '../climate/roomProfile';
import {
  monthOfDay,
  monthsOf,
  MOST_SEASONS,
  OFF,
  seasonOn,
  settingsOn,
  withSeason,
  type Design,
  type SeasonSettings,
} from '../document';
import { darkHeaters, fanOf, foggerOf, withDevice } from '../fitting/fittings';
import type { Fault, Move, Setting } from './change';
import { movesFor } from './moves';

type Part = Pick<SeasonSettings, 'id' | 'name' | 'from' | 'until'>;

/** The months a room is warmer or cooler than its year, north of the equator (of the common room, `roomProfile`). */
const PARTS: Readonly<Partial<Record<Season, Part>>> = {
  summer: { id: 'summer', name: 'Summer', from: 6, until: 9 },
  winter: { id: 'winter', name: 'Winter', from: 11, until: 3 },
};

/**
 * The part of the year a season stands for: one that is told already, else its usual months, as many of them round its
 * middle as no other part holds; null where there is no place for another.
 */
export function partOf(design: Design, season: Season): Part | null {
  const { room, seasons } = design.climate;
  const day = dayOfSeason(season, room.latitude);
  const own = seasonOn(design, day);
  if (own) return own;
  const usual = PARTS[season];
  if (!usual || seasons.length >= MOST_SEASONS) return null;
  const over = (month: number): number => (room.latitude >= 0 ? month : ((month + 5) % 12) + 1);
  const months = monthsOf({ from: over(usual.from), until: over(usual.until) });
  const taken = new Set(seasons.flatMap(monthsOf));
  const middle = months.indexOf(monthOfDay(day));
  const before = months.slice(0, middle).findLastIndex((it) => taken.has(it));
  const after = months.findIndex((it, i) => i > middle && taken.has(it));
  const free = months.slice(before + 1, after < 0 ? undefined : after);
  const [from, until] = [free[0], free.at(-1)];
  return from === undefined || until === undefined
    ? null
    : { ...usual, id: freeName(usual.id, seasons), from, until };
}

const freeName = (id: string, seasons: readonly SeasonSettings[]): string => {
  const taken = new Set(seasons.map((it) => it.id));
  let own = id;
  for (let n = 2; taken.has(own); n += 1) own = `${id}-${n}`;
  return own;
};

/** Changes that could mend a fault, for the part of the year it is found in and no longer. */
export function seasonMoves(setting: Setting, fault: Fault): readonly Move[] {
  const { design, locks } = setting;
  const { season } = fault.it;
  const part = locks.seasons ? null : partOf(design, season);
  if (!part) return [];
  const as = settingsOn(design, dayOfSeason(season, design.climate.room.latitude));
  const there: Setting = { ...setting, design: as };
  return [...movesFor(there, fault), ...offs(there, fault)].flatMap((move): Move[] => {
    const own = move.size === undefined ? withSeason(design, part, move.design) : null;
    return own ? [{ id: `${part.id}: ${move.id}`, design: own }] : [];
  });
}

/** What is switched off for as long: fog where it is damp, fans where it is cold or dry, heat where it is warm. */
function offs({ design, catalogue, locks }: Setting, { it, way }: Fault): readonly Move[] {
  const damp = it.criterion.measure === 'humidity';
  const over = way === 'over';
  const devices = [
    ...(damp && over ? [foggerOf(design, catalogue)] : []),
    ...(over ? [] : [fanOf(design, catalogue)]),
    ...(!damp && over ? darkHeaters(design, catalogue) : []),
  ].flatMap((own) => own ?? []);
  return devices
    .filter((own) => !locks.devices.includes(own.id))
    .map((own) => ({
      id: `${own.id} off`,
      design: withDevice(design, own.id, (device) => ({ ...device, timer: OFF })),
    }));
}
