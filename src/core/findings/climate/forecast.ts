import type { Animal } from '../../catalogue';
import type { Answers } from '../../climate/answers';
import type { Design } from '../../design/schema';
import { say, temperature } from '../../units';
import type { Finding } from '../finding';

const pct = (share: number): string => `${Math.round(share * 100)} %`;

/** What a forecast day or week says of the box: findings that only a reckoned climate can give. */
export function judgeClimate(
  design: Design,
  animal: Animal | undefined,
  answers: Answers,
  season: string,
  cups = false,
): readonly Finding[] {
  const found: Finding[] = [];
  const place = { at: 'climate' } as const;
  const add = (it: Omit<Finding, 'place' | 'basis' | 'remedies'> & Partial<Finding>): void =>
    void found.push({ place, basis: 'computed', remedies: [], ...it });
  const { warm, cool, basking, humidity } = answers;
  const climate = animal?.climate;
  const inSeason = `in ${season}`;

  if (climate) {
    const wanted = climate.warm.value.low - climate.cool.value.high;
    if (wanted > 0 && answers.gradient < Math.min(1.5, wanted)) {
      add({
        code: 'gradient-small',
        severity: 'look',
        what: say`One side is hardly warmer than the other ${inSeason}: ${answers.gradient.toFixed(1)} K.`,
        because: say`It wants ${temperature(climate.warm.value.low)} on the warm and up to ${temperature(climate.cool.value.high)} on the cool side. Move the heat to one end, or take a longer box.`,
      });
    }
    if (cool.day.over > 0.25) {
      add({
        code: 'no-cool-retreat',
        severity: cool.high > climate.warm.value.high + 1 ? 'severe' : 'look',
        what: say`There is no cool retreat ${inSeason}: the cool side is too warm for ${pct(cool.day.over)} of the day.`,
        because: say`It comes to ${temperature(cool.high)}; up to ${temperature(climate.cool.value.high)} is wanted. Less power, more air, or a cooler room.`,
      });
    }
    if (warm.day.under > 0.5) {
      add({
        code: 'warm-side-cold',
        severity: 'look',
        what: say`The warm side stays under ${temperature(climate.warm.value.low)} for ${pct(warm.day.under)} of the day ${inSeason}.`,
        because: say`It reaches ${temperature(warm.high)}. A stronger heater, less open top, or a thermostat set higher.`,
      });
    }
    if (warm.night.over > 0.4) {
      add({
        code: 'no-night-drop',
        severity: 'look',
        what: say`Nights are too warm ${inSeason}: ${pct(warm.night.over)} of their hours are over ${temperature(climate.night.value.high)}.`,
        because: say`The night is only ${answers.nightDrop.toFixed(1)} K cooler than the day. Let the heat go off, or cool the room.`,
      });
    }
    if (warm.night.under > 0.4) {
      add({
        code: 'nights-cold',
        severity: 'look',
        what: say`Nights are too cold ${inSeason}: ${pct(warm.night.under)} of their hours are under ${temperature(climate.night.value.low)}.`,
        because: say`They fall to ${temperature(warm.low)}. A dark emitter on a thermostat holds the night.`,
      });
    }
    if (basking && basking.day.over > 0.25) {
      add({
        code: 'basking-hot',
        severity: 'severe',
        what: say`The basking place is too hot for ${pct(basking.day.over)} of the day ${inSeason}.`,
        because: say`It comes to ${temperature(basking.high)}. Hang the lamp higher, take fewer watts, or put its probe there.`,
      });
    } else if (basking && basking.day.under > 0.5) {
      add({
        code: 'basking-cold',
        severity: 'look',
        what: say`The basking place is too cool for ${pct(basking.day.under)} of the day ${inSeason}.`,
        because: say`It reaches ${temperature(basking.high)}. Lower the lamp, take more watts, or raise what lies under it.`,
      });
    }
    const dry = humidity.day.under * humidity.day.hours + humidity.night.under * humidity.night.hours;
    const damp = humidity.day.over * humidity.day.hours + humidity.night.over * humidity.night.hours;
    const hours = humidity.day.hours + humidity.night.hours;
    if (dry / hours > 0.3) {
      add({
        code: 'air-dry',
        severity: dry / hours > 0.7 ? 'severe' : 'look',
        what: say`The air is too dry for ${pct(dry / hours)} of the hours ${inSeason}.`,
        because: say`It falls to ${pct(humidity.low)}, with ${answers.changes.toFixed(0)} changes of air an hour. Cover more of the top, mist more, or let a schedule be found.`,
        remedies:
          design.enclosure.top !== 'solid' && design.enclosure.topCover < 0.9
            ? [
                {
                  label: say`Cover most of the top`,
                  call: {
                    edit: 'setEnclosure',
                    change: { topCover: Math.min(0.95, design.enclosure.topCover + 0.2) },
                  },
                },
              ]
            : [],
      });
    }
    if (damp / hours > 0.3) {
      add({
        code: 'air-damp',
        severity: 'look',
        what: say`The air is too damp for ${pct(damp / hours)} of the hours ${inSeason}.`,
        because: say`It rises to ${pct(humidity.high)}. Uncover some of the top, mist less, or run a fan by the hour.`,
        remedies:
          design.enclosure.top !== 'solid' && design.enclosure.topCover > 0.1
            ? [
                {
                  label: say`Uncover some of the top`,
                  call: {
                    edit: 'setEnclosure',
                    change: { topCover: Math.max(0, design.enclosure.topCover - 0.2) },
                  },
                },
              ]
            : [],
      });
    }
    // A bromeliad’s cup holds water for days after a misting.
    if (answers.drinkDish < 0.5 && answers.drinkDrops < 0.04 && !cups) {
      add({
        code: 'nothing-to-drink',
        severity: climate && animal?.water.value === 'drops' ? 'severe' : 'look',
        what: say`There is hardly any water it could drink ${inSeason}.`,
        because: say`Dishes stand dry and drops last ${(answers.drinkDrops * 24).toFixed(1)} h a day.`,
      });
    }
  }
  if (answers.foggedPerDay > 12) {
    add({
      code: 'glass-fogged',
      severity: 'note',
      what: say`The glass is fogged for ${answers.foggedPerDay.toFixed(0)} h a day ${inSeason}.`,
      because: say`Its panes are colder than the dew point. A small fan for 30 minutes in every 90, or a little less cover, clears them.`,
    });
  }
  if (answers.bedDays !== null && answers.bedDays < 60) {
    add({
      code: 'bed-fills',
      severity: answers.bedDays < 14 ? 'look' : 'note',
      what: say`The drainage is full in ${Math.max(1, Math.round(answers.bedDays)).toFixed(0)} days.`,
      because: say`It gains ${(answers.bedGain * 1000).toFixed(0)} mL a day. Siphon before then, mist less, or build the bed deeper.`,
    });
  }
  if (answers.wetByNight > 7) {
    add({
      code: 'leaves-wet-all-night',
      severity: 'note',
      what: say`Leaves stay wet for ${answers.wetByNight.toFixed(0)} h of the night.`,
      because: say`Some plants rot so, and some frogs want it. Mist an hour before lights out, and they dry.`,
    });
  }
  const RANK = { severe: 0, look: 1, note: 2, fine: 3 } as const;
  return found.sort((a, b) => RANK[a.severity] - RANK[b.severity]);
}
