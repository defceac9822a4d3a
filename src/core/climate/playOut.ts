import { isPlugged } from './climateModel';
import { settling, type Ready } from './forecast';
import { temperatureAt, humidityAt, type Moment } from './picture';
import { simulating, type Run, type Timetable, type Window } from './simulate';
import { atOnce, type InSlices } from './slices';
import type { Point3 } from '../light/field';
import { DAY } from '../physics/constants';

/** Something that goes wrong in a box for a while. */
export const TROUBLES = [
  'power-cut',
  'mist-off',
  'mist-stuck',
  'heat-off',
  'heat-stuck',
  'fan-off',
  'vents-covered',
  'room-dry',
  'room-hot',
] as const;
export type TroubleKind = (typeof TROUBLES)[number];

export interface Trouble {
  readonly kind: TroubleKind;
  /** s from the start of the first day; `to` infinite: it lasts. */
  readonly from: number;
  readonly to: number;
}

/** Mist beside the timetable, s from the start of the first day. */
export interface ExtraMist {
  readonly at: number;
  readonly seconds: number;
}

export interface PlayOutInput {
  readonly ready: Ready;
  readonly days: number;
  /** s between two records. */
  readonly every: number;
  /** Of the room’s weather; null: calm. */
  readonly seed: number | null;
  readonly troubles: readonly Trouble[];
  readonly mists?: readonly ExtraMist[];
  /** Where it begins; left out: settled into its weather. */
  readonly start?: Float64Array;
}

/** Windows of one day without a stretch of it. */
function without(windows: readonly Window[], from: number, to: number): readonly Window[] {
  return windows.flatMap((it) => [
    ...(it.from < from ? [{ ...it, to: Math.min(it.to, from) }] : []),
    ...(it.to > to ? [{ ...it, from: Math.max(it.from, to) }] : []),
  ]);
}

/** A timetable of one day as troubles and a hand at the sprayer leave it. */
function troubled(ready: Ready, day: number, asked: PlayOutInput): Timetable {
  const table = ready.plan(day);
  const begins = day * DAY;
  const reach = ({ from, to }: Trouble): readonly [number, number] => [
    Math.max(0, from - begins),
    Math.min(DAY, to - begins),
  ];
  let { heaters, wetters, fans, falls } = table;
  for (const trouble of asked.troubles) {
    const [from, to] = reach(trouble);
    if (to <= from) continue;
    const cut = (it: readonly Window[]): readonly Window[] => without(it, from, to);
    switch (trouble.kind) {
      case 'power-cut':
        heaters = heaters.map(cut);
        wetters = wetters.map((it, i) => (isPlugged(ready.model, i) ? cut(it) : it));
        fans = fans.map(cut);
        falls = cut(falls);
        break;
      case 'mist-off':
        wetters = onlyOf(wetters, (i) => isMist(ready, i), cut).map((it, i) =>
          ready.box.wetters[i]?.jug ? (wetters[i] ?? []) : it,
        );
        break;
      case 'mist-stuck':
        wetters = wetters.map((it, i) =>
          i === 0 && !ready.box.wetters[i]?.jug
            ? [...cut(it), { from, to }].sort((a, b) => a.from - b.from)
            : it,
        );
        break;
      case 'heat-off':
        heaters = onlyOf(heaters, (i) => !isLamp(ready, i), cut);
        break;
      case 'heat-stuck':
        heaters = heaters.map((it) => [...cut(it), { from, to }].sort((a, b) => a.from - b.from));
        break;
      case 'fan-off':
        fans = fans.map(cut);
        break;
      default:
    }
  }
  const extra = (asked.mists ?? []).flatMap(({ at, seconds }) => {
    const from = at - begins;
    return from >= 0 && from < DAY - 1 ? [{ from, to: Math.min(DAY, from + seconds) }] : [];
  });
  if (extra.length > 0)
    wetters = wetters.map((it, i) =>
      i === 0 && !ready.box.wetters[i]?.jug
        ? [...extra.reduce((all, own) => without(all, own.from, own.to), it), ...extra].sort(
            (a, b) => a.from - b.from,
          )
        : it,
    );
  return { ...table, heaters, wetters, fans, falls };
}

type Windows = readonly Window[];

/** Cuts those that are meant; where there is none, all. */
function onlyOf(
  all: readonly Windows[],
  meant: (index: number) => boolean,
  cut: (it: Windows) => Windows,
): readonly Windows[] {
  const some = all.some((_, i) => meant(i));
  return all.map((it, i) => (!some || meant(i) ? cut(it) : it));
}

/** Lamps that light are not what keeps it warm by night; those that only warm are. */
const isLamp = (ready: Ready, index: number): boolean =>
  ready.model.lit.some(
    (it) => it.device.id === ready.model.heaterDevices[index]?.id && (!it.kind.heats || !it.kind.dark),
  );

/** What is sprayed, by nozzles or by hand: a fogger stands in a bottle of its own and has a switch of its own. */
const isMist = (ready: Ready, index: number): boolean =>
  ready.model.wetterDevices[index] === null || ready.box.wetters[index]?.bottle !== null;

/** Plays days of a box with what goes wrong in them. Openings that are covered, and thermostats that stick, hold for all of it. */
export const playOut = (asked: PlayOutInput): Run => atOnce(playingOut(asked));

/** The same in slices; of the same box one at a time. */
export function* playingOut(asked: PlayOutInput): InSlices<Run> {
  const { ready, days, every, seed, troubles } = asked;
  const has = (kind: TroubleKind): Trouble | undefined => troubles.find((it) => it.kind === kind);
  const box = {
    ...ready.box,
    ...(has('heat-stuck') ? { heaters: ready.box.heaters.map((it) => ({ ...it, control: null })) } : {}),
    // A towel over the gauze leaves about a tenth.
    ...(has('vents-covered')
      ? { factors: { ...ready.box.factors, exchange: 0.1 * ready.box.factors.exchange } }
      : {}),
  };
  const sound = ready.weather(days + 1, seed);
  const shifted = (hour: number, trouble: Trouble | undefined): boolean =>
    trouble !== undefined && hour * 3600 >= trouble.from && hour * 3600 < trouble.to;
  const weather = {
    ...sound,
    temperature: sound.temperature.map((it, hour) => (shifted(hour, has('room-hot')) ? it + 7 : it)),
    ratio: sound.ratio.map((it, hour) => (shifted(hour, has('room-dry')) ? it * 0.5 : it)),
  };
  const start = asked.start ?? (yield* settling(ready));
  return yield* simulating({ box, weather, plan: (day) => troubled(ready, day, asked), days, every, start });
}

/** A record of a run as a picture is made of it. */
export const momentOf = (
  ready: Ready,
  run: Run,
  at: number,
  box: { readonly width: number; readonly height: number; readonly warm: 'left' | 'right' },
): Moment => ({ run, at, model: ready.model, ...box });

/** What a probe at a place would read at a record: °C, relative humidity. */
export const readAt = (
  moment: Moment,
  place: Point3,
): { readonly temperature: number; readonly humidity: number } => ({
  temperature: temperatureAt(moment, place),
  humidity: humidityAt(moment, place),
});
