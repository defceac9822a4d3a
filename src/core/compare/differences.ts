import { findAnimal, findCrew, findDeviceKind, findMaterial, findPlant, type Catalogue } from '../catalogue';
import { monthWords, seasonLines } from '../climate/seasonWords';
import { pourSaid } from '../climate/watering';
import type { Corners, Design, Layer } from '../document';
import { counted, length, percent, tank, temperature, type Message, number } from '../units';

/** Something two designs do not have alike. */
export interface Difference {
  readonly where: 'brief' | 'room' | 'enclosure' | 'ground' | 'scape' | 'living' | 'climate';
  readonly what: string;
  readonly sides: readonly Message[];
}

const WALL_NAMES = {
  left: 'Left wall',
  right: 'Right wall',
  back: 'Back wall',
  front: 'Front wall',
  top: 'Closed top',
} as const;

const mean = (it: Corners): number => (it.frontLeft + it.frontRight + it.backLeft + it.backRight) / 4;

/** What a design is, thing by thing, in words that can be set beside another’s. */
function linesOf(
  design: Design,
  catalogue: Catalogue,
): ReadonlyMap<string, { where: Difference['where']; said: Message }> {
  const lines = new Map<string, { where: Difference['where']; said: Message }>();
  const put = (where: Difference['where'], what: string, said: Message): void =>
    void lines.set(what, { where, said });
  const { brief, enclosure, ground, scape, living, climate } = design;
  put('brief', 'Animal', [findAnimal(catalogue, brief.animal)?.english ?? 'none yet']);
  put('brief', 'How many', [String(brief.count)]);
  put('brief', 'Since', [brief.since ?? 'not said']);
  put('room', 'Room', [
    brief.room.kind ?? 'not said',
    ...(brief.room.temperature === null ? [] : [', ', temperature(brief.room.temperature)]),
    ...(brief.room.humidity === null ? [] : [', ', percent(brief.room.humidity)]),
  ]);
  put('enclosure', 'Size', [
    length(enclosure.width),
    ' × ',
    length(enclosure.depth),
    ' × ',
    length(enclosure.height),
  ]);
  put('enclosure', 'Made of', [enclosure.material]);
  for (const { wall, material, thickness } of enclosure.panels)
    put('enclosure', WALL_NAMES[wall], [material, ', ', length(thickness)]);
  for (const side of enclosure.screened) put('enclosure', WALL_NAMES[side], ['gauze']);
  put('enclosure', 'Top', [
    enclosure.top,
    ...(enclosure.topCover > 0 ? [', ', percent(enclosure.topCover), ' covered'] : []),
  ]);
  put('ground', 'Method', [ground.method]);
  const lay = (layers: readonly Layer[], part: string): void => {
    const seen = new Map<string, number>();
    for (const layer of layers) {
      const name = nameOf(layer, catalogue);
      const n = (seen.get(name) ?? 0) + 1;
      seen.set(name, n);
      put('ground', `${part}${name}${n === 1 ? '' : `, ${n}`}`, [
        ...('thickness' in layer ? [length(mean(layer.thickness)), ' deep'] : ['there']),
        ...(layer.kind === 'substrate' ? [': ', mixWords(layer.mix.parts, catalogue)] : []),
      ]);
    }
  };
  lay(ground.layers, '');
  for (const region of ground.regions) lay(region.layers, `${region.name}: `);
  const pieces = new Map<string, number>();
  for (const it of scape.pieces) pieces.set(it.name, (pieces.get(it.name) ?? 0) + 1);
  for (const [name, count] of pieces) put('scape', name, [count === 1 ? 'there' : `${count} of them`]);
  put('scape', 'Backgrounds', [scape.backgrounds.map((it) => it.kind).join(', ') || 'none']);
  const plants = new Map<string, number>();
  for (const it of living.plants) {
    const name = findPlant(catalogue, it.kind)?.english ?? it.name;
    plants.set(name, (plants.get(name) ?? 0) + 1);
  }
  for (const [name, count] of plants) put('living', name, [String(count)]);
  for (const it of living.crew)
    put('living', findCrew(catalogue, it.kind)?.english ?? it.kind, [`${it.count} introduced`]);
  const devices = new Map<string, number>();
  for (const it of climate.devices) {
    const name = findDeviceKind(catalogue, it.kind)?.name ?? it.name;
    const n = (devices.get(name) ?? 0) + 1;
    devices.set(name, n);
    const held = (set: number | null): Message => (set === null ? ['off'] : [temperature(set)]);
    const damp = (set: number | null): Message => (set === null ? ['off'] : [percent(set)]);
    put('climate', n === 1 ? name : `${name}, ${n}`, [
      `${Math.round(it.power * it.dim)} W`,
      ...(it.humidistat && it.dim < 1 ? [', turned down to ', percent(it.dim)] : []),
      it.at.z > enclosure.height ? ', over the top' : ', inside',
      ...(it.at.z > enclosure.height ? [', ', length(it.at.z - enclosure.height), ' up'] : []),
      ...(it.thermostat
        ? [', held at ', ...held(it.thermostat.day), ' by day, ', ...held(it.thermostat.night), ' by night']
        : []),
      ...(it.guarded ? [', behind a guard'] : []),
      ...(it.tank === null ? [] : [', from a canister of ', tank(it.tank)]),
      ...(it.humidistat
        ? [', held at ', ...damp(it.humidistat.day), ' by day, ', ...damp(it.humidistat.night), ' by night']
        : []),
      ...(kindRuns(it) ? [`, ${kindRuns(it)}`] : []),
    ]);
  }
  put('climate', 'Air strip under the doors', [
    length(enclosure.front === 'doors' ? enclosure.made.ventLow : 0),
  ]);
  put('climate', 'Mist', [
    climate.mist.times.length === 0
      ? 'none'
      : `${counted(climate.mist.times.length, 'time')}, ${climate.mist.times.reduce((sum, it) => sum + it.seconds, 0)} s${climate.mist.everyDays > 1 ? ` every ${climate.mist.everyDays} days` : ' a day'}, by ${climate.mist.by}`,
  ]);
  put(
    'climate',
    'Water from the jug',
    climate.watering === null
      ? ['as it needs']
      : climate.watering.length === 0
        ? ['none']
        : climate.watering.flatMap((it, index): Message => [
            ...(index > 0 ? ['; '] : []),
            ...pourSaid(it),
            it.everyDays === 1 ? ' every day' : ` every ${it.everyDays} days`,
          ]),
  );
  for (const season of climate.seasons)
    for (const { what, then } of seasonLines(design, season))
      put(
        'climate',
        `${season.name} (${monthWords(season)}): ${what.charAt(0).toLowerCase()}${what.slice(1)}`,
        then,
      );
  put('climate', 'Hours of light', [
    number(Math.round((climate.day.off - climate.day.on) / 6) / 10),
    `, from ${String(Math.floor(climate.day.on / 60)).padStart(2, '0')}:${String(climate.day.on % 60).padStart(2, '0')}`,
  ]);
  put(
    'climate',
    'Vents',
    climate.vents.length === 0
      ? ['none']
      : climate.vents.flatMap((it, index): Message => [
          `${index > 0 ? ', ' : ''}${it.wall} `,
          ...(it.area > 0 ? [length(Math.sqrt(it.area)), ' square'] : ['closed']),
        ]),
  );
  return lines;
}

/** When a thing without a control of its own runs, where that is not simply by day. */
const kindRuns = ({ timer, thermostat, humidistat, duty }: Design['climate']['devices'][number]): string =>
  thermostat || humidistat
    ? ''
    : [
        ...(timer.by === 'always' ? ['day and night'] : timer.by === 'night' ? ['by night'] : []),
        ...(duty ? [`${duty.on} min of every ${duty.every}`] : []),
      ].join(', ');

const mixWords = (
  parts: readonly { readonly material: string; readonly parts: number }[],
  catalogue: Catalogue,
): string => {
  const sum = parts.reduce((all, it) => all + it.parts, 0);
  return [...parts]
    .sort((a, b) => b.parts - a.parts)
    .map(
      (it) =>
        `${Math.round((100 * it.parts) / Math.max(1e-9, sum))} % ${(findMaterial(catalogue, it.material)?.name ?? it.material).toLowerCase()}`,
    )
    .join(', ');
};

const nameOf = (layer: Layer, catalogue: Catalogue): string =>
  layer.kind === 'substrate'
    ? layer.name
    : layer.kind === 'water'
      ? 'Open water'
      : (findMaterial(catalogue, layer.material)?.name ?? layer.kind);

/** What several designs do not have alike; what all of them have alike is left out. */
export function differencesOf(designs: readonly Design[], catalogue: Catalogue): readonly Difference[] {
  const all = designs.map((it) => linesOf(it, catalogue));
  const whats = [...new Set(all.flatMap((it) => [...it.keys()]))];
  // What is only planned differs from what is lived in by that, and not as a box.
  const planned = designs.some((it) => it.brief.stage === 'planned');
  const found = whats.flatMap((what): Difference[] => {
    if (planned && what === 'Since') return [];
    const sides = all.map((it) => it.get(what)?.said ?? ['–']);
    if (new Set(sides.map((it) => JSON.stringify(it))).size === 1) return [];
    const where = all.find((it) => it.has(what))?.get(what)?.where ?? 'brief';
    return [{ where, what, sides }];
  });
  return found.sort((a, b) => ORDER_OF_WORK.indexOf(a.where) - ORDER_OF_WORK.indexOf(b.where));
}

/** In the order of work. */
export const ORDER_OF_WORK: readonly Difference['where'][] = [
  'brief',
  'room',
  'enclosure',
  'ground',
  'scape',
  'living',
  'climate',
];
