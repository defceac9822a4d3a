import type { Climate, Design, Pour } from '../document/schema';
import { message, tank, type Message } from '../units';
import { WATER_DENSITY } from '../physics/constants';
import { NO_AREA, type Column, type ColumnModel, type Target, type WetterModel } from './box';
import type { Window } from './simulate';

/** s that a jug is emptied over: slowly, so that it sinks in and does not run off (common practice). */
const POURED_OVER = 600;
/** s of the day at which it is poured. */
const POURED_AT = 9 * 3600;
/** Days of a rhythm that is played as it is; what is poured more rarely is given in daily shares. */
const PLAYED = 14;

/** Each pour as the engine takes it, in their order; where there is no land it reaches open water. */
export const jugsOf = (
  { watering }: Pick<Climate, 'watering'>,
  columns: readonly [ColumnModel, ColumnModel],
): readonly WetterModel[] =>
  (watering ?? []).map((pour, index) => ({
    id: `jug-${index + 1}`,
    rate: (pour.amount * WATER_DENSITY) / POURED_OVER,
    targets: targetsOf(pour, columns),
    control: null,
    bottle: null,
    jug: true,
  }));

function targetsOf({ end, into }: Pour, columns: readonly [ColumnModel, ColumnModel]): readonly Target[] {
  const to = into === 'top' ? 'soil' : 'foot';
  const ends: readonly Column[] = end === 'both' ? [0, 1] : [end === 'warm' ? 0 : 1];
  const land = ends.reduce<number>((sum, it) => sum + columns[it].area, 0);
  return ends.flatMap((column): Target[] => {
    const share = land > NO_AREA ? columns[column].area / land : 1 / ends.length;
    return share > 0 ? [{ to, column, share }] : [];
  });
}

/**
 * Days after which what is misted and poured repeats. One rhythm is played as it is: that of the mist, else that of what is
 * poured over the ground. What goes to the foot of the soil changes nothing above it for weeks, and is given in daily
 * shares, as is what has another rhythm.
 */
export function beatOf({ mist, watering }: Pick<Climate, 'mist' | 'watering'>): number {
  if (mist.times.length > 0 && mist.everyDays > 1) return mist.everyDays;
  return watering?.find((it) => it.into === 'top' && it.everyDays <= PLAYED)?.everyDays ?? 1;
}

/** When each pour runs, in their order; `count` is the number of the day from the start. */
export function poursOn(
  climate: Pick<Climate, 'mist' | 'watering'>,
  count: number,
): readonly (readonly Window[])[] {
  const beat = beatOf(climate);
  const whole = { from: POURED_AT, to: POURED_AT + POURED_OVER };
  return (climate.watering ?? []).map(({ into, everyDays }) => {
    if (everyDays === 1) return [whole];
    if (into === 'top' && everyDays === beat) return count % beat === 0 ? [whole] : [];
    return [{ ...whole, level: 1 / everyDays }];
  });
}

/** Whether the forecast keeps the soil as it was filled: nothing drains it, and no jug is told of. */
export const soilIsKept = ({ ground, climate }: Pick<Design, 'ground' | 'climate'>): boolean =>
  ground.method === 'none' && climate.watering === null;

const SAID: Readonly<Record<`${Pour['end']} ${Pour['into']}`, (much: Message[number]) => Message>> = {
  'warm foot': (much) => message`${much} at the warm end, in a corner or down a tube`,
  'cool foot': (much) => message`${much} at the cool end, in a corner or down a tube`,
  'both foot': (much) => message`${much} shared by both ends, in the corners or down tubes`,
  'warm top': (much) => message`${much} over the ground at the warm end`,
  'cool top': (much) => message`${much} over the ground at the cool end`,
  'both top': (much) => message`${much} over all of the ground`,
};

/** How much is poured and where. */
export const pourSaid = ({ amount, end, into }: Pour): Message => SAID[`${end} ${into}`](tank(amount));
