import { grownIn } from '../brief';
import { findDeviceKind, findPlant, type Animal, type Catalogue } from '../catalogue';
import type { Season } from '../climate/roomProfile';
import type { Design } from '../document/schema';
import { SEVERITY_RANK, type Finding, type Place as FindingPlace, type Severity } from '../finding/finding';
import { holdsWater } from '../living/prepare';
import { capital, counted, percent, message, temperature, type Message, number, tank } from '../units';
import { CREW_LASTS } from '../living/crew';
import type { CriterionId } from './criteria';
import { bottleFindings, soilFindings } from './provisionFindings';
import { seasonsWord } from './seasons';
import { borneIn, wantedIn, type EndHarm, type Place, type Verdict } from './answer';
import { nestMoisture } from './nest';

/** A place that is outside on one side of its band, over the seasons in which it is. */
export interface Outside {
  readonly criterion: CriterionId;
  readonly way: 'under' | 'over';
  readonly seasons: readonly Season[];
  /** The season in which it is worst. */
  readonly worst: Place;
  readonly harms: boolean;
}

/** Places outside what is wanted, each once for each way it is outside, the most harmful first. */
export function outsideOf({ places }: Pick<Verdict, 'places'>): readonly Outside[] {
  const found = new Map<string, Place[]>();
  for (const it of places) {
    if (wantedIn(it)) continue;
    const key = `${it.criterion} ${it.under >= it.over ? 'under' : 'over'}`;
    found.set(key, [...(found.get(key) ?? []), it]);
  }
  return [...found]
    .map(([key, own]): Outside => {
      const [criterion, way] = key.split(' ') as [CriterionId, 'under' | 'over'];
      const worst = own.reduce((a, b) => (b.inside < a.inside ? b : a));
      return {
        criterion,
        way,
        seasons: own.map((it) => it.season),
        worst,
        harms: own.some((it) => !borneIn(it)),
      };
    })
    .sort((a, b) => Number(b.harms) - Number(a.harms) || a.worst.inside - b.worst.inside);
}

interface Words {
  readonly code: string;
  readonly what: (when: string, share: Message[number]) => Message;
  readonly cure: string;
}

/** What is said of each way out, in whole sentences. */
const WORDS: Readonly<Record<string, Words>> = {
  'warm under': {
    code: 'warm-side-cold',
    what: (when, share) => message`The warm side is too cool ${when}: ${share} of its day.`,
    cure: 'A heater that is strong enough, or one set higher.',
  },
  'warm over': {
    code: 'warm-side-hot',
    what: (when, share) => message`The warm side is too hot ${when}: ${share} of its day.`,
    cure: 'Less power over it, more air, or heat that is held lower.',
  },
  'cool under': {
    code: 'cool-side-cold',
    what: (when, share) =>
      message`The cool side is colder by day than nights may be ${when}: ${share} of its day.`,
    cure: 'Heat that reaches further, or more cover.',
  },
  'cool over': {
    code: 'no-cool-retreat',
    what: (when, share) =>
      message`There is no cool retreat ${when}: the cool side is too warm for ${share} of the day.`,
    cure: 'Less heat, more air, or a cooler room.',
  },
  'water under': {
    code: 'water-cold',
    what: (when, share) => message`The water is too cold ${when}, for ${share} of the time.`,
    cure: 'Warmer air over it, or a heater behind a guard.',
  },
  'water over': {
    code: 'water-warm',
    what: (when, share) => message`The water is too warm ${when}, for ${share} of the time.`,
    cure: 'Less heat, more air over it, or a cooler room.',
  },
  'basking under': {
    code: 'basking-cold',
    what: (when, share) => message`The basking spot is too cool ${when}, for ${share} of the day.`,
    cure: 'More watts, a narrower beam, or what lies under it raised.',
  },
  'basking over': {
    code: 'basking-hot',
    what: (when, share) => message`The basking spot is too hot ${when}, for ${share} of the day.`,
    cure: 'Hang the lamp higher, take fewer watts, or hold it by a thermostat with its probe there.',
  },
  'night under': {
    code: 'nights-cold',
    what: (when, share) => message`Nights are too cold ${when}, for ${share} of their hours.`,
    cure: 'Dark heat on a thermostat holds the night.',
  },
  'night over': {
    code: 'no-night-drop',
    what: (when, share) => message`Nights are too warm ${when}, for ${share} of their hours.`,
    cure: 'Heat off by night, more air, fog or mist that cools as it dries, or a cooler room.',
  },
  'humidity-day under': {
    code: 'air-dry',
    what: (when, share) => message`The air is too dry by day ${when}, for ${share} of the hours.`,
    cure: 'More cover, more mist, or fog on a humidistat.',
  },
  'humidity-day over': {
    code: 'air-damp',
    what: (when, share) => message`The air is too damp by day ${when}, for ${share} of the hours.`,
    cure: 'Less cover, less mist, or a fan on a humidistat.',
  },
  'humidity-night under': {
    code: 'night-dry',
    what: (when, share) => message`The air is too dry by night ${when}, for ${share} of the hours.`,
    cure: 'Mist before lights off, more cover, or fog on a humidistat.',
  },
  'humidity-night over': {
    code: 'night-damp',
    what: (when, share) => message`The air is too damp by night ${when}, for ${share} of the hours.`,
    cure: 'No mist in the evening, more air, or a fan on a humidistat.',
  },
  'soil over': {
    code: 'soil-stands-wet',
    what: (when, share) => message`Water stands at the foot of the soil ${when}: ${share} of the time.`,
    cure: 'Less mist or fog, less from the jug, more air, or drainage under it: soil in standing water turns sour.',
  },
  'hide under': {
    code: 'hide-dry',
    what: (when, share) => message`The moist hide dries out ${when}, for ${share} of the time.`,
    cure: 'A smaller entrance, more moss, or wetting it more often.',
  },
};

/** Code of the finding of a place that is outside; null where none is told. */
export const placeCode = (criterion: CriterionId, way: 'under' | 'over'): string | null =>
  WORDS[`${criterion} ${way}`]?.code ?? null;

const value = (it: Place, si: number): Message[number] =>
  it.measure === 'temperature' ? temperature(si) : percent(si);

function placeFinding({ criterion, way, seasons, worst, harms }: Outside): Finding | null {
  const words = WORDS[`${criterion} ${way}`];
  if (!words) return null;
  const share = percent(way === 'under' ? worst.under : worst.over);
  const severity: Severity = harms ? 'severe' : 'look';
  const met = value(worst, way === 'under' ? worst.low : worst.high);
  const wanted = value(worst, way === 'under' ? worst.wanted.low : worst.wanted.high);
  const borne = value(worst, way === 'under' ? worst.bears.low : worst.bears.high);
  return {
    code: words.code,
    severity,
    place: { at: 'climate' },
    what: words.what(seasonsWord(seasons), share),
    because:
      criterion === 'soil'
        ? message`Its pores come to be ${met} full ${seasonsWord([worst.season])}, and nothing drains them; up to ${wanted} is wanted. ${words.cure}`
        : way === 'under'
          ? message`It falls to ${met} ${seasonsWord([worst.season])}; from ${wanted} is wanted, from ${borne} borne. ${words.cure}`
          : message`It comes to ${met} ${seasonsWord([worst.season])}; up to ${wanted} is wanted, up to ${borne} borne. ${words.cure}`,
    remedies: [],
    basis: 'computed',
  };
}

/** The sentence a place that is outside is told by. */
export const placeWords = (it: Outside): Message =>
  placeFinding(it)?.what ?? message`Another place comes out of its band.`;

/** What only the forecast year of a design can tell, as findings: its climate, the room, drink, plants and crew. */
export function yearFindings(verdict: Verdict, design: Design, catalogue: Catalogue): readonly Finding[] {
  const animal = grownIn(design, catalogue);
  if (!animal) return [];
  return [
    ...boundFinding(verdict, animal),
    ...outsideOf(verdict).flatMap((it) => placeFinding(it) ?? []),
    ...endFindings(verdict),
    ...heaterFindings(verdict, design),
    ...dayFindings(verdict, design, animal, catalogue),
    ...bottleFindings(verdict, design),
    ...soilFindings(verdict, design),
    ...lightFinding(verdict, design, catalogue),
    ...lifeFindings(verdict),
    ...nestMoisture(design, animal, verdict.survey),
  ].sort((a, b) => SEVERITY_RANK[a.severity] - SEVERITY_RANK[b.severity]);
}

function boundFinding({ bound }: Verdict, { english }: Animal): readonly Finding[] {
  if (!bound) return [];
  const when = seasonsWord([bound.season]);
  return [
    {
      code: bound.what === 'too warm' ? 'room-too-warm' : 'room-too-damp',
      severity: 'severe',
      place: { at: 'brief' },
      what:
        bound.what === 'too warm'
          ? message`The room itself is too warm for ${english} ${when}: ${temperature(bound.room)} where up to ${temperature(bound.borne)} is borne.`
          : message`The room itself is too damp for ${english} ${when}: ${percent(bound.room)}, and up to ${percent(bound.borne)} is borne in the enclosure.`,
      because:
        bound.what === 'too warm'
          ? message`With everything off and open an enclosure is as its room. Cool the room to ${temperature(bound.cure)} in those hours, find another room, or another species.`
          : message`Warmed as far as it bears, its air still holds too much water. Dry the room to ${percent(bound.cure)}, find another room, or another species.`,
      remedies: [],
      basis: 'computed',
    },
  ];
}

const END: Readonly<Record<EndHarm['end'], Message>> = {
  warm: message`Its readings do not settle whether it holds: at the warm, damp end of what they leave open it does harm.`,
  cool: message`Its readings do not settle whether it holds: at the cool, dry end of what they leave open it does harm.`,
};

/** What a calibration leaves open matters where it reaches into harm, and the middle does none. */
function endFindings({ ends, answer }: Verdict): readonly Finding[] {
  if (answer === 'fails' || answer === 'cannot') return [];
  return (ends ?? []).flatMap(({ end, places }): Finding[] => {
    const [worst] = outsideOf({ places });
    if (!worst) return [];
    return [
      {
        code: `calibration-open-${end}`,
        severity: 'look',
        place: { at: 'climate' },
        what: END[end],
        because: [
          ...placeWords(worst),
          ' ',
          ...message`Read it for longer, at two places and in the room, and calibrate it again: less is left open then.`,
        ],
        remedies: [],
        basis: 'computed',
      },
    ];
  });
}

/** A heater so much stronger than it need be that it cooks the box should its thermostat stick: times its need. */
const TOO_STRONG = 4;

function heaterFindings({ heaters, places }: Verdict, design: Design): readonly Finding[] {
  const cold = places.some((it) => !wantedIn(it) && it.under > it.over && it.measure === 'temperature');
  const held = heaters.flatMap((it) => {
    const own = design.climate.devices.find(({ id }) => id === it.device);
    return own?.thermostat && it.full >= 5 ? [{ ...it, own }] : [];
  });
  const weak = cold ? held.filter(({ needs, full }) => needs > 0.97 * full) : [];
  const [first] = weak;
  const strong = held.flatMap(({ own, needs, full }): Finding[] => {
    const place: FindingPlace = { at: 'climate', device: own.id };
    if (needs > 0.5 && full > 60 && full > TOO_STRONG * needs)
      return [
        {
          code: 'heater-strong',
          severity: 'note',
          place,
          what: message`${own.name} is much stronger than it need be.`,
          because: message`It needs ${number(needs, 0)} of its ${number(full, 0)} W in the coldest hours. Should its thermostat stick, the rest comes too: a weaker one is safer.`,
          remedies: [],
          basis: 'computed',
        },
      ];
    return [];
  });
  if (!first) return strong;
  const all = weak.reduce((sum, it) => sum + it.full, 0);
  return [
    {
      code: 'heater-weak',
      severity: 'look',
      place: { at: 'climate', device: first.own.id },
      what:
        weak.length === 1
          ? message`${first.own.name} is too weak: it runs at full power and does not get there.`
          : message`${weak.length} heaters are too weak together: they run at full power and do not get there.`,
      because:
        weak.length === 1
          ? message`It has ${number(all, 0)} W. A stronger one, one inside the enclosure, or less open top.`
          : message`They have ${number(all, 0)} W. Stronger ones, some inside the enclosure, or less open top.`,
      remedies: [],
      basis: 'computed',
    },
    ...strong,
  ];
}

function dayFindings(
  { days }: Verdict,
  design: Design,
  animal: Animal,
  catalogue: Catalogue,
): readonly Finding[] {
  const found: Finding[] = [];
  const add = (it: Pick<Finding, 'code' | 'severity' | 'what' | 'because'>): void =>
    void found.push({ place: { at: 'climate' }, remedies: [], basis: 'computed', ...it });
  const cups = design.living.plants.some(({ kind }) => {
    const plant = findPlant(catalogue, kind);
    return plant !== undefined && holdsWater(plant);
  });
  const thirsty = days.filter((it) => it.dish < 0.5 && it.drops < 0.04 && !cups);
  const [first] = thirsty;
  if (first)
    add({
      code: 'nothing-to-drink',
      severity: animal.water.value.startsWith('drops') ? 'severe' : 'look',
      what: message`There is hardly any water it could drink ${seasonsWord(thirsty.map((it) => it.season))}.`,
      because:
        first.drops * 24 < 0.05
          ? message`Dishes stand dry, and no drops last.`
          : message`Dishes stand dry, and drops last ${number(first.drops * 24, 1)} h a day.`,
    });
  const foggy = days.filter((it) => it.fogged > 12);
  if (foggy.length > 0)
    add({
      code: 'glass-fogged',
      severity: 'note',
      what: message`The glass is fogged for ${number(Math.max(...foggy.map((it) => it.fogged)), 0)} h a day ${seasonsWord(foggy.map((it) => it.season))}.`,
      because: message`Its panes are colder than the dew point. A small fan for 30 minutes in every 90, or a little less cover, clears them.`,
    });
  const fills = days.filter((it) => it.bedDays !== null && it.bedDays < 60);
  const soonest = fills.reduce<DayLike | null>(
    (a, b) => (a === null || (b.bedDays ?? Infinity) < (a.bedDays ?? Infinity) ? b : a),
    null,
  );
  if (soonest)
    add({
      code: 'bed-fills',
      severity: (soonest.bedDays ?? 60) < 14 ? 'look' : 'note',
      what: message`The drainage is full in ${counted(Math.max(1, soonest.bedDays ?? 0), 'day')} ${seasonsWord([soonest.season])}.`,
      because: message`It gains ${tank(soonest.bedGain / 1000)} a day. Siphon before then, mist less, or build the bed deeper.`,
    });
  const wet = days.filter((it) => it.wetByNight > 7);
  if (wet.length > 0)
    add({
      code: 'leaves-wet-all-night',
      severity: 'note',
      what: message`Leaves stay wet for ${number(Math.max(...wet.map((it) => it.wetByNight)), 0)} h of the night ${seasonsWord(wet.map((it) => it.season))}.`,
      because: message`Some plants rot so, and some frogs want it. Mist an hour before lights off, and they dry.`,
    });
  return found;
}
type DayLike = Verdict['days'][number];

/** Plants that lack light more than anything else. */
export const unlit = ({ plants }: Pick<Verdict, 'plants'>) => plants.filter((it) => it.by === 'light');

/** The light, where it is what plants lack: told once, beside what each of them comes to. */
function lightFinding(verdict: Verdict, design: Design, catalogue: Catalogue): readonly Finding[] {
  const dark = unlit(verdict);
  const [first] = dark;
  if (!first) return [];
  const lights = design.climate.devices.filter((it) => findDeviceKind(catalogue, it.kind)?.group === 'light');
  const device = lights[0];
  return [
    {
      code: 'plant-light-weak',
      severity: dark.some((it) => it.fit <= 0) ? 'look' : 'note',
      place: device ? { at: 'climate', device: device.id } : { at: 'climate' },
      what:
        dark.length === 1
          ? message`The light is too weak for the ${first.name}.`
          : message`The light is too weak for ${dark.length} of the plants.`,
      because:
        lights.length === 0
          ? message`No lamp for plants is installed.`
          : message`Where they stand they get less than they live on, leaves over them counted: a stronger lamp, one nearer or longer, or plants of the shade.`,
      remedies: [],
      basis: 'computed',
    },
  ];
}

function lifeFindings({ plants, crew }: Verdict): readonly Finding[] {
  return [
    ...plants.map((it): Finding => ({
      code: it.fit <= 0 ? 'plant-dies' : 'plant-pines',
      severity: it.fit <= 0 ? 'look' : 'note',
      place: { at: 'living', plant: it.id },
      what:
        it.fit <= 0
          ? message`${capital(it.name)} dies where it stands.`
          : message`${capital(it.name)} pines where it stands.`,
      because: message`What it lacks most: ${FACTOR_WORDS[it.by] ?? it.by}${it.season ? ` ${seasonsWord([it.season as Season])}` : ''}.`,
      remedies: [
        { label: message`Take ${it.name} out`, call: { edit: 'removePlant', change: { plant: it.id } } },
      ],
      basis: 'computed',
    })),
    ...crew
      .filter((it) => it.lasts < CREW_LASTS.share)
      .map((it): Finding => ({
        code: 'crew-fails',
        severity: 'look',
        place: { at: 'living', crew: it.kind },
        what: message`The ${it.name} does not last: gone within three years in ${Math.round((1 - it.lasts) * 10)} of 10 draws.`,
        because: message`What moisture, temperature, food and predators leave of it is too little. Choose a species this ground suits, or keep a culture beside it.`,
        remedies: [
          {
            label: message`Leave the ${it.name} out`,
            call: { edit: 'setCrew', change: { kind: it.kind, count: 0 } },
          },
        ],
        basis: 'computed',
      })),
  ];
}

/** The sentence of the first plant that dies or crew that fails after a change and did not before. */
export function lifeWords(before: Verdict, after: Verdict): Message {
  const known = new Set(
    lifeFindings(before)
      .filter((it) => it.severity === 'look')
      .map((it) => JSON.stringify(it.place)),
  );
  const fresh = lifeFindings(after).find(
    (it) => it.severity === 'look' && !known.has(JSON.stringify(it.place)),
  );
  return fresh?.what ?? message`More of what lives there dies.`;
}

/** What keeps a plant from living, as one says it. */
const FACTOR_WORDS: Readonly<Record<string, string>> = {
  light: 'light',
  'strong light': 'shade, for it is burnt',
  cold: 'warmth',
  heat: 'coolness',
  'dry air': 'moist air',
  'damp air': 'drier air',
  'dry soil': 'moist soil',
  'wet soil': 'drier soil',
  'root depth': 'depth for its roots',
  'rich soil': 'lean soil without lime',
  'shallow water': 'deeper water',
  height: 'height',
  hold: 'something to hold on to',
  weight: 'strength to bear what steps on it',
  digging: 'ground that is not dug over',
  eaten: 'peace from being eaten',
  spines: 'an animal its spines cannot hurt',
};
