import { findDeviceKind, type Catalogue } from '../catalogue';
import { coverEdit, type EditCall } from '../edits';
import { type Design } from '../document';
import { HOUR, type MeasuringPlace } from '../readings';
import { isMisted, isParted, known, LAMPS_GONE, median, NO_MIST, type Facts } from './facts';
import type { Course } from './features';
import type { Cause, Evidence } from './types';
import {
  asMessage,
  difference,
  mass,
  message,
  number,
  percent,
  temperature,
  type Message,
  type Quantity,
} from '../units';

interface Draft extends Omit<Cause, 'score' | 'evidence' | 'edits' | 'vet' | 'caution' | 'basis'> {
  /** What it is worth before anything is looked at: natural logarithm of the odds. */
  readonly prior: number;
  readonly evidence: readonly (Evidence | null)[];
  readonly edits?: readonly EditCall[];
  readonly caution?: Cause['caution'];
}

const read = (words: string | Message, weight: number): Evidence => ({
  words: asMessage(words),
  weight,
  from: 'readings',
});
const drawn = (words: string, weight: number): Evidence => ({
  words: asMessage(words),
  weight,
  from: 'design',
});
/** Grows from none to full as a value goes from one bound to the other. */
const ramp = (value: number, from: number, to: number): number =>
  Math.min(1, Math.max(0, (value - from) / (to - from)));

/** Causes that readings speak for. Weights were set on simulated boxes, two thirds of those in the test. */
export function readingCauses(design: Design, catalogue: Catalogue, facts: Facts): readonly Cause[] {
  const { warmer, wetter, usualTemperature, usualWet, lampsMissing } = facts;
  const w = warmer ?? 0;
  const h = wetter ?? 0;
  const kinds = design.climate.devices.map((it) => findDeviceKind(catalogue, it.kind));
  const fitted = (group: string): boolean => kinds.some((it) => it?.group === group);
  const misted = isMisted(design, catalogue);
  const fan = kinds.some((it) => it?.form === 'fan');
  const heated = fitted('heat');
  const lit = fitted('light') || fitted('uv') || heated;
  const mists = misted ? facts.mists : null;
  const noMist = mists !== null && mists < NO_MIST;
  const mistsOn = mists !== null && mists > 0.6;
  const lampsGone = lampsMissing !== null && lampsMissing > LAMPS_GONE;
  const room = facts.room[0];
  const roomWarmer = room ? (room.shift.day ?? 0) : null;
  const full = median(known(facts.humidities.map((it) => it.now?.full))) ?? 0;
  const fullBefore = median(known(facts.humidities.map((it) => it.base?.full))) ?? 0;
  const isWetter = h > usualWet;
  const isDrier = h < -usualWet;
  // By how much more the warm side moved, of what both moved.
  const side = Math.abs(w) > 0.3 ? oneSided(facts) / w : 0;
  const heatLamp = kinds.some((it) => it?.group === 'heat' && it.form === 'bulb');
  const lampsSay = lampsGone
    ? read('The heat the lamps bring by day is missing', facts.dailyRise > 2.5 ? 2.2 : 1.2)
    : lampsMissing === null
      ? null
      : read('By day it grows warm as before', -3.5);
  const hotSays =
    w > usualTemperature
      ? read(
          message`It is ${difference(w, 1)} warmer than at these hours before`,
          1.2 + 1.8 * ramp(w, usualTemperature, 2.4 * usualTemperature),
        )
      : read('It is no warmer than before', -3);
  const coldSays =
    w < -usualTemperature
      ? read(
          message`It is ${difference(-w, 1)} colder than at these hours before`,
          0.8 + 1.8 * ramp(-w, 1.2 * usualTemperature, 2.4 * usualTemperature),
        )
      : read('It is no colder than before', -3);
  const alone = facts.parted.some((it) => isParted(it, facts))
    ? read('but one probe has parted from the others', -2)
    : null;
  const drafts: Draft[] = [
    ...probeDrafts(facts),
    {
      id: 'power',
      what: 'The power is off, or was',
      prior: -1.5,
      evidence: [
        lampsSay,
        noMist ? read('Nothing is misted either', 2) : mistsOn ? read('It is misted as before', -2.5) : null,
        noMist && w < -usualTemperature ? read('and all of it is colder', 1) : null,
        full > 0.5 ? read('but humidity stands at the top', -3) : null,
      ],
      check:
        'Look whether the lamps are lit; then at the plug, the timer, the strip and the residual-current switch.',
      change:
        'Bring the power back; have fixed wiring looked at by a licensed electrician. A battery or a second circuit carries a night.',
      caution: 'electric',
    },
    {
      id: 'lamps-off',
      what: 'The lamps do not come on',
      prior: lit ? -1.8 : -9,
      evidence: [
        lampsSay,
        mistsOn
          ? read('It is misted as before: there is power', 1.2)
          : noMist
            ? read('Nothing is misted either', -1.5)
            : null,
      ],
      check: 'Look whether they are lit by day, and at their timer.',
      change: 'Replace the lamp, or set the timer right.',
      caution: 'electric',
    },
    {
      id: 'no-mist',
      what: 'It is not misted as it should be',
      prior: misted ? -0.6 : -3,
      evidence: [
        noMist
          ? read('The sudden rises of humidity that misting makes are gone', 3)
          : mistsOn
            ? read('Humidity rises as often as before', -3)
            : mists === null
              ? null
              : read('Humidity rises less often than before', 1.4),
        isDrier
          ? read('It is drier than at these hours before', 1)
          : read('It is no drier than before', noMist ? -1 : -2),
        lampsGone ? read('The lamps’ heat is missing too', -1.5) : null,
      ],
      check: 'Watch a misting: bottle, pump, every nozzle, the timer. Lime closes nozzles one by one.',
      change: 'Fill the bottle, clean the nozzles, or mist by hand until it runs again.',
      caution: 'pumps',
    },
    {
      id: 'mist-stuck',
      what: 'The mist or fog does not stop',
      prior: misted ? -1.4 : -5,
      evidence: [
        full - fullBefore > 0.4
          ? read('Humidity stands at the top nearly all day', 2.8)
          : full - fullBefore > 0.2
            ? read('Humidity is more often at the top', 1)
            : read('Humidity comes down as before', -2),
        isWetter ? read('It is wetter than at these hours before', 0.8) : null,
        w < -0.3
          ? read('and cooler, as what is sprayed is', 1.5)
          : w > 0.3
            ? read('but it is warmer, and what is sprayed is not', -1.8)
            : null,
      ],
      check: 'Look at the nozzles between mistings, and at the water in the drainage.',
      change: 'Close the valve or pull the pump’s plug; siphon what stands in the drainage.',
      caution: 'pumps',
    },
    {
      id: 'stale-air',
      what: fan ? 'The fan stands, or vents are covered' : 'Vents are covered or clogged',
      prior: -1.6,
      evidence: [
        isWetter
          ? read('It is wetter than at these hours before', 1 + 2.2 * ramp(h, usualWet, 2.2 * usualWet))
          : read('It is no wetter than before', -2.5),
        w > 0.3
          ? read('and it is warmer, as shut in air is', 1.3)
          : w < -usualTemperature
            ? read('but it is colder, and colder air is nearer to full', -2)
            : w < -0.3
              ? read('but it is cooler', -1)
              : w > 0
                ? read('and no cooler', 0.5)
                : null,
        slower(facts) ? read('It dries off more slowly after a misting', 0.8) : null,
        fan ? drawn('A fan is installed', 0.2) : null,
        alone,
      ],
      check: 'Hold a strip of paper before each vent; look for litter, webs or a cloth on the gauze.',
      change: 'Free the vents and brush the gauze; uncover more of the top.',
      edits:
        design.enclosure.top === 'mesh' && design.enclosure.topCover > 0.2
          ? [coverEdit(design, facts.now, Math.max(0, design.enclosure.topCover - 0.3))]
          : [],
    },
    {
      id: 'heat-stuck',
      what: 'A heater does not switch off',
      prior: heated || lit ? -1.4 : -5,
      evidence: [
        hotSays,
        side > 0.12
          ? read('on the warm side more than on the cool one', 1.8)
          : w > usualTemperature
            ? read('but on the cool side as much', -1.8)
            : null,
        roomWarmer === null
          ? null
          : roomWarmer > 1.5
            ? read('but so is the room', -2.5)
            : read('though the room is not', 1.5),
        alone,
      ],
      check:
        'Measure at the warmest place with a second thermometer; look where the thermostat’s probe lies.',
      change: 'Unplug the heater now. Replace the thermostat; fix its probe where the animal is.',
      caution: 'electric',
    },
    {
      id: 'room-hot',
      what: 'The room is hotter than it was',
      prior: -1.5,
      evidence: [
        hotSays,
        side > 0.12
          ? read('on one side more than on the other', -1.8)
          : w > usualTemperature
            ? read('on both sides', 1)
            : null,
        roomWarmer === null
          ? null
          : roomWarmer > 1.5
            ? read('The room is warmer too', 3)
            : read('The room is not', -2),
        alone,
      ],
      check: 'Measure the room where the enclosure stands, out of the lamps’ heat. Does sun fall on it?',
      change:
        'Shade, air the room by night, lamps off at noon. A closed enclosure in the sun overheats in minutes.',
    },
    {
      id: 'heat-off',
      what: 'A heater is off or broken',
      prior: heated ? -1.2 : -4,
      evidence: [
        coldSays,
        noMist ? read('but nothing is misted either', -1) : null,
        lampsGone ? read('the lamps’ heat is missing as well', heatLamp ? 0.4 : -0.6) : null,
        side > 0.1
          ? read('on the warm side more than on the cool one', 1.2)
          : w < -usualTemperature
            ? read('but on the cool side as much', -1)
            : null,
        roomWarmer === null
          ? null
          : roomWarmer < -1.5
            ? read('but so is the room', -2)
            : read('though the room is not', 1),
      ],
      check: 'Feel the heater with the back of the hand held near it; look at its thermostat and plug.',
      change: 'Replace it; one of half the power twice is safer than one alone.',
      caution: 'electric',
    },
    {
      id: 'room-cold',
      what: 'The room is colder than it was',
      prior: -2,
      evidence: [
        coldSays,
        side > 0.1 ? read('but on the warm side more than on the cool one', -1) : null,
        lampsGone ? read('but the lamps’ heat is missing', -1.5) : null,
        noMist ? read('and nothing is misted', -1) : null,
        roomWarmer === null
          ? null
          : roomWarmer < -1.5
            ? read('The room is colder too', 3)
            : read('The room is not', -2),
      ],
      check: 'Measure the room where the enclosure stands, by night too.',
      change: 'Heat the room, or the enclosure by a thermostat.',
    },
    {
      id: 'room-dry',
      what: 'The air of the room is drier than it was',
      prior: -1.3,
      evidence: [
        isDrier
          ? read(
              'It is drier than at these hours before',
              0.6 + 2.2 * ramp(-h, 1.3 * usualWet, 2.4 * usualWet),
            )
          : read('It is no drier than before', -2.5),
        noMist
          ? read('but the rises that misting makes are gone', -2.5)
          : mistsOn
            ? read('though it is misted as before', 1.2)
            : null,
        w > usualTemperature ? read('but it is warmer, and warmer air is drier', -1.5) : null,
        lampsGone ? read('but the lamps’ heat is missing', -1) : null,
      ],
      check: 'Measure the room’s humidity. Heating in winter and a fan in summer dry it.',
      change: 'Cover more of the top, or mist longer in the evening: try both in Climate first.',
      edits:
        design.enclosure.top === 'mesh' && design.enclosure.topCover < 0.8
          ? [coverEdit(design, facts.now, Math.min(1, design.enclosure.topCover + 0.3))]
          : [],
    },
  ];
  return drafts.map(finish);
}

/** How many times longer than before humidity takes to fall after a misting. */
function slower({ humidities }: Facts): boolean {
  const ratio = median(
    known(
      humidities.map(({ base, now }) =>
        base?.falls && now?.falls !== null && now ? now.falls / base.falls : null,
      ),
    ),
  );
  return ratio !== null && ratio < 0.75;
}

/** K by which the warm side moved more than the cool one. */
function oneSided({ temperatures }: Facts): number {
  const of = (places: readonly MeasuringPlace[]) =>
    median(known(temperatures.filter((it) => places.includes(it.series.place)).map((it) => it.shift.day)));
  const [warm, cool] = [of(['warm', 'basking', 'canopy']), of(['cool'])];
  return warm === null || cool === null ? 0 : warm - cool;
}

function probeDrafts(facts: Facts): readonly Draft[] {
  const all = [...facts.temperatures, ...facts.humidities, ...facts.others];
  const silent = all.filter((it) => it.series.source !== null && facts.now - it.last > 3 * HOUR);
  const heard = all.filter((it) => facts.now - it.last <= 3 * HOUR);
  const flat = all.filter((it) => it.flatSince !== null && facts.now - it.last <= 3 * HOUR);
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
const finish = ({ prior, evidence, edits = [], caution = null, ...rest }: Draft): Cause => {
  const held = evidence.filter((it): it is Evidence => it !== null);
  return {
    ...rest,
    edits,
    caution,
    vet: null,
    evidence: held,
    score: prior + held.reduce((sum, it) => sum + it.weight, 0),
    basis: 'practice',
  };
};
