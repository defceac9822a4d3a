import { findDeviceKind, type Catalogue } from '../catalogue';
import { coverEdit } from '../edits';
import { type Design } from '../document';
import { difference, message, number } from '../units';
import { drawn, finish, read, type Draft } from './evidence';
import { isMisted, isParted, known, LAMPS_GONE, median, NO_MIST, type Facts } from './facts';
import { probeDrafts } from './probeCauses';
import { darkDrier, movedAlone, oneSided, slower } from './traits';
import type { Cause } from './types';

/** Grows from none to full as a value goes from one bound to the other. */
const ramp = (value: number, from: number, to: number): number =>
  Math.min(1, Math.max(0, (value - from) / (to - from)));

/** Causes that readings speak for. Weights were set on simulated boxes, two thirds of those in the test. */
export function readingCauses(design: Design, catalogue: Catalogue, facts: Facts): readonly Cause[] {
  const { warmer, wetter, usualTemperature, usualWet, lampsMissing } = facts;
  const w = warmer ?? 0;
  const h = wetter ?? 0;
  // What nobody knows of before is not told as unchanged.
  const ofWarmth = (words: string, weight: number) => (warmer === null ? null : read(words, weight));
  const ofWet = (words: string, weight: number) => (wetter === null ? null : read(words, weight));
  const kinds = design.climate.devices.map((it) => findDeviceKind(catalogue, it.kind));
  const fitted = (group: string): boolean => kinds.some((it) => it?.group === group);
  const misted = isMisted(design, catalogue);
  const fan = kinds.some((it) => it?.form === 'fan');
  const heated = fitted('heat');
  const lit = fitted('light') || fitted('uv') || heated;
  const mists = misted ? facts.mists : null;
  const noMist = mists !== null && mists < NO_MIST && h < usualWet;
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
    : lampsMissing === null || lampsMissing > 0.25
      ? null
      : read('By day it grows warm as before', -3.5);
  const hotSays =
    w > usualTemperature
      ? read(
          message`It is ${difference(w, 1)} warmer than at these hours before`,
          1.2 + 1.8 * ramp(w, usualTemperature, 2.4 * usualTemperature),
        )
      : ofWarmth('It is no warmer than before', -3);
  const coldSays =
    w < -usualTemperature
      ? read(
          message`It is ${difference(-w, 1)} colder than at these hours before`,
          0.8 + 1.8 * ramp(-w, 1.2 * usualTemperature, 2.4 * usualTemperature),
        )
      : ofWarmth('It is no colder than before', -3);
  const alone = facts.parted.some((it) => isParted(it, facts))
    ? read('but one probe has parted from the others', -3)
    : null;
  const warmsLess = lampsMissing !== null && lampsMissing > 0.12 && !lampsGone;
  const night = facts.nightWarmer;
  const nightCold = night !== null && night < -usualTemperature;
  const nightKept = night !== null && Math.abs(night) < 0.5 * usualTemperature;
  const late = facts.late;
  const onTime = late === null;
  const moved = movedAlone(facts);
  const shifted = read(
    message`The day in it comes ${number(Math.abs(late ?? 0), 1)} h ${(late ?? 0) > 0 ? 'later' : 'earlier'} than it is set`,
    5,
  );
  const drafts: Draft[] = [
    ...probeDrafts(facts),
    {
      id: 'timer-shifted',
      what: 'A timer is off by hours',
      prior: -2,
      evidence: [onTime ? read('Lamps and mistings come when they are due', -6) : shifted],
      check: 'Look at the clock of each timer: summer time, and the hour after a power cut.',
      change: 'Set it right; one that keeps its time through a power cut saves it.',
    },
    {
      id: 'probe-moved',
      what: 'A probe lies somewhere else',
      prior: -2,
      evidence: [
        moved
          ? read(`${moved}: temperature and humidity both left at once, and the others stayed`, 6)
          : read('Temperature and humidity at no place left alone', -5),
      ],
      check: 'Look where the probe lies, and whether it hangs out of a lid or lies under a lamp.',
      change: 'Put it back where it was, and fix it.',
    },
    {
      id: 'lid-open',
      what: 'A lid or door stands open',
      prior: -2,
      evidence: [
        isDrier
          ? read('It is drier than at these hours before', 1 + 1.5 * ramp(-h, usualWet, 3 * usualWet))
          : ofWet('It is no drier than before', -2.5),
        w < -usualTemperature
          ? read('and colder, as the room’s air is', 1.8)
          : isDrier && w < -0.3
            ? read('and a little cooler', 0.8)
            : read('but no cooler', -1.2),
        warmsLess && isDrier ? read('and it warms less by day than it did', 1.1) : null,
        -h > 0.13 ? read('and by more than the air of a room changes by', 1.6) : null,
        mistsOn
          ? read('though it is misted as before', 0.6)
          : noMist
            ? read('but it is not misted', -1.5)
            : null,
        lampsGone ? read('but the lamps’ heat is missing', -1) : null,
        alone,
      ],
      check: 'Look at doors, lid and every flap: shut, and shut all the way?',
      change: 'Shut it, count the animals, and look behind the enclosure.',
    },
    {
      id: 'fan-stuck',
      what: 'The fan does not stop',
      prior: fan ? -0.8 : -9,
      evidence: [
        isDrier
          ? read('It is drier than at these hours before', 1 + 1.5 * ramp(-h, usualWet, 3 * usualWet))
          : ofWet('It is no drier than before', -2.5),
        darkDrier(facts) ? read('by night more than by day', 1.8) : null,
        -h > 0.13 ? read('and by more than the air of a room changes by', 0.6) : null,
        mistsOn ? read('though it is misted as before', 0.6) : null,
      ],
      check: 'Listen to it outside its times; look at its timer and its speed.',
      change: 'Set its timer right, or turn it down.',
    },
    {
      id: 'power',
      what: 'The power is off, or was',
      prior: -1.5,
      evidence: [
        lampsSay,
        noMist ? read('Nothing is misted either', 2) : mistsOn ? read('It is misted as before', -2.5) : null,
        noMist && w < -usualTemperature ? read('and all of it is colder', 1) : null,
        noMist && lampsMissing !== null && lampsMissing > 0.25 && !lampsGone
          ? read('and by day it warms less', 1.8)
          : null,
        lampsGone && heated && nightCold
          ? read('and its nights are colder as well', heatLamp && misted ? 0.3 : 2)
          : null,
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
        lampsGone && nightKept ? read('Its nights are as warm as before', 1.2) : null,
        lampsGone && heated && nightCold ? read('but its nights are colder as well', -1.5) : null,
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
      what: 'It is not misted',
      prior: misted ? -0.6 : -3,
      evidence: [
        noMist && w < -usualTemperature ? read('but all of it is colder as well', -2) : null,
        noMist
          ? read('The sudden rises of humidity that misting makes are gone', 3)
          : mistsOn
            ? read('Humidity rises as often as before', -3)
            : mists === null
              ? null
              : read('Humidity rises less often than before', 1.4),
        isDrier
          ? read('It is drier than at these hours before', 1)
          : ofWet('It is no drier than before', noMist ? -1 : -2),
        !lampsGone && lampsMissing !== null && lampsMissing > 0.25
          ? read('Some of the lamps’ heat is missing too', -0.8)
          : null,
        lampsGone ? read('The lamps’ heat is missing too', -1.5) : null,
      ],
      check: 'Watch a misting: bottle, pump, every nozzle, the timer. Lime closes nozzles one by one.',
      change: 'Fill the bottle, clean the nozzles, or mist by hand until it runs again.',
      caution: 'pumps',
    },
    {
      id: 'mist-weak',
      what: 'It is misted less than it should be',
      prior: misted ? -1.4 : -4,
      evidence: [
        mists === null
          ? null
          : mists < 0.15
            ? read('The sudden rises of humidity that misting makes are gone altogether', -3)
            : mists < NO_MIST
              ? read('The sudden rises of humidity that misting makes are nearly gone', 0.4)
              : mists < 0.75
                ? read('Humidity rises less at mistings than before', 2)
                : read('Humidity rises at mistings as before', -2),
        isDrier
          ? read('It is drier than at these hours before', 0.8)
          : ofWet('It is no drier than before', -0.8),
      ],
      check: 'Watch a misting: does every nozzle spray, and does the bottle last till it is filled again?',
      change:
        'Clean the nozzles of lime, bleed the line, and fill the bottle more often or take a larger one.',
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
          : ofWet('It is no wetter than before', -2.5),
        w > 0.3
          ? read('and it is warmer, as shut in air is', 1.3)
          : w < -usualTemperature
            ? read('but it is colder, and colder air is nearer to full', -2)
            : w < -0.3
              ? read('but it is cooler', -1)
              : w > 0
                ? read('and no cooler', 0.5)
                : null,
        full - fullBefore > 0.4 ? read('but it stands at the top nearly all day', -1.2) : null,
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
      id: 'thermostat-drifted',
      what: 'A thermostat holds the wrong temperature',
      prior: heated ? -1.6 : -6,
      evidence: [
        w > usualTemperature
          ? read('It is warmer than at these hours before', 0.8)
          : w < -usualTemperature
            ? read('It is colder than at these hours before', 0.4)
            : ofWarmth('It is neither warmer nor colder than before', -1),
        side > 0.12 ? read('on the warm side more than on the cool one', 0.8) : null,
        roomWarmer === null || Math.abs(roomWarmer) <= 1.5
          ? null
          : read('but the room changed as well', -1.5),
        alone,
      ],
      check: 'Measure beside its probe with a second thermometer, and read what it is set to.',
      change: 'Set it anew by that thermometer; replace one that drifts on.',
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
        noMist ? read('but nothing is misted either', -2) : null,
        lampsGone ? read('the lamps’ heat is missing as well', heatLamp && misted ? 0.4 : -1.2) : null,
        nightKept ? read('but its nights are as warm as before', heatLamp ? -0.8 : -2) : null,
        moved ? read('but only one probe says so, of temperature and of humidity', -2) : null,
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
          : ofWet('It is no drier than before', -2.5),
        noMist
          ? read('but the rises that misting makes are gone', -2.5)
          : mistsOn
            ? read('though it is misted as before', 1.2)
            : null,
        w > usualTemperature ? read('but it is warmer, and warmer air is drier', -1.5) : null,
        w < -usualTemperature ? read('but it is colder too', -1.8) : null,
        warmsLess ? read('but it warms less by day as well', -0.6) : null,
        -h > 0.13 ? read('but by more than the air of a room changes by', -1.2) : null,
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
