import { HOUR } from '../readings';
import { mass, message, number, percent, temperature, type Message, type Quantity } from '../units';
import { read, type Draft } from './evidence';
import { isParted, isSilent, type Facts } from './facts';
import type { Course } from './features';

/** Causes that lie with the probes: silent, stuck, or wrong by more each day. */
export function probeDrafts(facts: Facts): readonly Draft[] {
  const all = [...facts.temperatures, ...facts.humidities, ...facts.others];
  const silent = all.filter((it) => isSilent(it, facts));
  const heard = all.filter((it) => !silent.includes(it) && it.series.source !== null);
  const flat = all.filter((it) => it.flatSince !== null && !silent.includes(it));
  const apart = facts.parted.filter((it) => isParted(it, facts));
  const names = (list: readonly Course[]): string =>
    [...new Set(list.map((it) => it.series.name))].join(', ');
  return [
    {
      id: 'probe-silent',
      what:
        silent.length > 0 && heard.length === 0
          ? 'The hub or its power is off: nothing is heard'
          : 'A probe is not heard any more',
      prior: -1,
      evidence: [
        silent.length > 0
          ? read(
              `${names(silent)}: silent for ${Math.round((facts.now - Math.max(...silent.map((it) => it.last))) / HOUR)} h${heard.length > 0 ? ' while others are heard' : ''}`,
              6,
            )
          : read('Every probe is heard', -6),
      ],
      check: 'Battery, plug, and whether it is still where it was.',
      change: 'Change the battery. Until it is heard again, read by hand.',
    },
    {
      id: 'probe-stuck',
      what: 'A probe is stuck',
      prior: -1,
      evidence: [
        flat.length > 0
          ? read(
              message`${names(flat)} reads ${flat.flatMap((it, i): Message => (i > 0 ? [', ', fromText(it)] : [fromText(it)]))} without a change for hours`,
              5,
            )
          : read('Every probe moves', -6),
      ],
      check: 'Breathe on it, or hold it in the hand: it must move.',
      change:
        'Restart or replace it. What a thermostat does by a stuck probe is dangerous: unplug the heater until then.',
      caution: 'electric',
    },
    {
      id: 'probe-drift',
      what: 'A probe reads wrong, more so every day',
      prior: -1.2,
      evidence: [
        apart.length > 0
          ? read(
              `${names(apart.map((it) => it.course))} goes away from the others of its kind day by day`,
              4.5,
            )
          : read('Probes of a kind agree as they did', -5),
      ],
      check: 'Lay it beside another one for an hour, in the same place.',
      change: 'Calibrate or replace it.',
    },
  ];
}

const fromText = ({ now, series }: Course): Quantity => {
  const value = now?.high ?? 0;
  switch (series.quantity) {
    case 'humidity':
    case 'soilWater':
      return percent(value);
    case 'temperature':
      return temperature(value, 1);
    case 'mass':
      return mass(value);
    case 'uvIndex':
      return number(value, 1);
  }
};
