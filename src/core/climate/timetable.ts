import { findDeviceKind, type Catalogue } from '../catalogue';
import type { Climate, Design, Device, Timer } from '../document/schema';
import { dayLength } from '../light/dayLength';
import type { ClimateModel } from './climateModel';
import type { Timetable, Window } from './simulate';
import { poursOn } from './watering';
import { DAY } from '../physics/constants';

const minutes = (it: number): number => it * 60;

/** s of the day at which the day of the box begins and ends. */
export function lightHours({ day }: Climate, dayOfYear: number): Window {
  if (day.by === 'clock') {
    return day.on < day.off
      ? { from: minutes(day.on), to: minutes(day.off) }
      : { from: minutes(day.on), to: minutes(Math.min(1440, day.on + 1)) };
  }
  // Round the middle of the hours that are set, which keeps it convenient to the keeper.
  const long = Math.min(20, Math.max(4, dayLength(day.latitude, dayOfYear))) * 3600;
  const middle = minutes((day.on + day.off) / 2);
  const from = Math.max(0, middle - long / 2);
  return { from: Math.round(from / 60) * 60, to: Math.round(Math.min(DAY, from + long) / 60) * 60 };
}

/** When a timer is on in a day with such light. */
export function windowsOf(timer: Timer, light: Window): readonly Window[] {
  switch (timer.by) {
    case 'always':
      return [{ from: 0, to: DAY }];
    case 'day':
      return [light];
    case 'night':
      return [
        { from: 0, to: light.from },
        { from: light.to, to: DAY },
      ].filter((it) => it.to > it.from);
    case 'clock':
      return timer.spans.map(({ from, to }) => ({ from: minutes(from), to: minutes(to) }));
  }
}

/** Cuts windows into turns of so many minutes in every so many. */
function turns(windows: readonly Window[], duty: NonNullable<Device['duty']>): readonly Window[] {
  const every = minutes(Math.max(duty.every, duty.on));
  return windows.flatMap(({ from, to }) => {
    const cut: Window[] = [];
    for (let t = from; t < to; t += every) cut.push({ from: t, to: Math.min(to, t + minutes(duty.on)) });
    return cut;
  });
}

/** What is switched on a day of the year; `count` is the number of the day from the start, for mist every so many days. */
export function timetableOf(
  design: Design,
  model: Pick<ClimateModel, 'heaterDevices' | 'wetterDevices' | 'fanDevices'>,
  catalogue: Catalogue,
  dayOfYear: number,
  count: number,
): Timetable {
  const { climate } = design;
  const light = lightHours(climate, dayOfYear);
  const mists = count % climate.mist.everyDays === 0;
  const mist = mists
    ? climate.mist.times.map(({ at, seconds }) => ({
        from: Math.min(DAY - seconds - 1, minutes(at)),
        to: Math.min(DAY - 1, minutes(at) + seconds),
      }))
    : [];
  const of = (device: Device | null): readonly Window[] => {
    if (!device) return mist;
    const kind = findDeviceKind(catalogue, device.kind);
    if (kind?.form === 'nozzle' || kind?.id === 'hand-sprayer') return mist;
    const windows = windowsOf(device.timer, light);
    return device.duty ? turns(windows, device.duty) : windows;
  };
  return {
    day: [light],
    heaters: model.heaterDevices.map(of),
    wetters: [...model.wetterDevices.map(of), ...poursOn(climate, count)],
    fans: model.fanDevices.map(of),
    falls: windowsOf(climate.falls, light),
    fills: climate.fills === null ? null : minutes(climate.fills),
  };
}
