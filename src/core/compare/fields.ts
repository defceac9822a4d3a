import { ownOf } from '../fields/own';
import {
  findAnimal,
  findBackgroundKind,
  findCrew,
  findDeviceKind,
  findMaterial,
  findPieceKind,
  findPlant,
  findRecipe,
  type Catalogue,
} from '../catalogue';
import { valueAt, type Design, type FieldPath } from '../document';
import { area, clock, length, mass, number, percent, tank, temperature, type Message } from '../units';

const SECTIONS: Readonly<Record<string, string>> = {
  brief: 'Brief',
  enclosure: 'Enclosure',
  ground: 'Ground',
  scape: 'Hardscape',
  living: 'Living',
  climate: 'Climate',
  plan: 'Build',
  care: 'Care',
};

/** Keys whose words a keeper would not know them by. */
const KEY_WORDS: Readonly<Record<string, string>> = {
  at: 'place',
  count: 'how many',
  top: 'top',
  by: 'way',
  since: 'begun on',
  spot: 'place',
  rrule: 'rhythm',
  x: 'from the left',
  y: 'from the front',
  z: 'height',
  '#': 'order',
};

export const spelt = (key: string): string =>
  ownOf(KEY_WORDS, key) ?? key.replace(/[A-Z]/g, (it) => ` ${it.toLowerCase()}`).replaceAll('-', ' ');

/** What a row of the catalogue is called, whatever table it stands in. */
function rowName(catalogue: Catalogue, id: string): string | undefined {
  return (
    findMaterial(catalogue, id)?.name ??
    findPieceKind(catalogue, id)?.name ??
    findDeviceKind(catalogue, id)?.name ??
    findBackgroundKind(catalogue, id)?.name ??
    findAnimal(catalogue, id)?.english ??
    findPlant(catalogue, id)?.english ??
    findCrew(catalogue, id)?.english ??
    findRecipe(catalogue, id)?.name
  );
}

/** What a member of a list is called: by the name it was given, else by what it is. */
export function memberName(member: unknown, id: string, catalogue: Catalogue): string {
  const { name, material, kind } = (member ?? {}) as Readonly<Record<string, unknown>>;
  if (typeof name === 'string' && name !== '') return name;
  for (const it of [material, kind, id])
    if (typeof it === 'string') {
      const found = rowName(catalogue, it);
      if (found !== undefined) return found;
    }
  return spelt(id);
}

/**
 * What a field is called on the screens: “Ground: Oak leaf litter, thickness, front left”.
 * @param designs in which it is looked up what members of lists are called; the first that has it tells
 */
export function fieldWords(path: FieldPath, designs: readonly Design[], catalogue: Catalogue): string {
  const words = path.slice(1).flatMap((step, at): string[] => {
    const upTo = path.slice(0, at + 2);
    if (step === '#') return [spelt(step)];
    if (step.startsWith('#')) {
      const member = designs.map((it) => valueAt(it, upTo)).find((it) => it !== undefined);
      return [memberName(member, step.slice(1), catalogue)];
    }
    // The list goes without saying before the name of its member.
    return path[at + 2]?.startsWith('#') && path[at + 2] !== '#' ? [] : [spelt(step)];
  });
  const section = SECTIONS[path[0] ?? ''];
  if (section === undefined) return path[0] === 'name' ? 'Name' : spelt(path[0] ?? 'all of it');
  return words.length === 0 ? section : `${section}: ${words.join(', ')}`;
}

/** What several fields of one thing are called together: “…, front left and front right”. */
export function fieldsWords(
  paths: readonly FieldPath[],
  designs: readonly Design[],
  catalogue: Catalogue,
): string {
  const [first = [], ...more] = paths;
  return [
    fieldWords(first, designs, catalogue),
    ...more.map((path) => spelt(path.at(-1)?.replace(/^#/, '') ?? '')),
  ].join(' and ');
}

const LENGTHS =
  /^(width|depth|height|level|upturn|overlap|thickness|frontLeft|frontRight|backLeft|backRight|waterDepth|diameter|across|up|bottom|gap|clearance|above|wallThickness|watertightHeight|ventLow|ventHigh|spacing|leg|bore|length|x|y|z|entrance|altitude)$/;
const SHARES = /^(topCover|humidity|share|moistShare|packingLoss|dim|sunlit)$/;
const MASSES = /^(mass|emptyMass|standRating)$/;

/** Minutes since midnight, as lamps, mist and thermostats have them; `at` is a place everywhere else. */
const isTimeOfDay = (path: FieldPath): boolean =>
  path[0] === 'climate' &&
  (/^(from|to|on|off|fills)$/.test(path.at(-1) ?? '') || (path.at(-1) === 'at' && path.includes('times')));

/** What stands at a field, in words: a quantity in the reader’s units, a row by its name; undefined as “not there”. */
export function fieldValue(path: FieldPath, value: unknown, catalogue: Catalogue): Message {
  const key = path.at(-1) ?? '';
  if (value === undefined) return ['not there'];
  if (value === null) return ['not set'];
  if (typeof value === 'boolean') return [value ? 'yes' : 'no'];
  if (typeof value === 'number') {
    const isHeld = key === 'day' || key === 'night';
    if ((isHeld && path.includes('humidistat')) || SHARES.test(key)) return [percent(value)];
    if (key === 'temperature' || (isHeld && path.includes('thermostat'))) return [temperature(value)];
    if (isTimeOfDay(path)) return [clock(value)];
    if (key === 'power') return [`${Math.round(value)} W`];
    if (LENGTHS.test(key)) return [length(value)];
    if (MASSES.test(key)) return [mass(value)];
    if (key === 'area') return [area(value)];
    if (key === 'tank' || key === 'bottle' || (key === 'amount' && path.includes('watering')))
      return [tank(value)];
    return [number(value)];
  }
  if (typeof value === 'string') return [rowName(catalogue, value) ?? (value === '' ? 'empty' : value)];
  if (Array.isArray(value)) {
    const list: readonly unknown[] = value;
    if (key === '#')
      return [
        list.flatMap((it) => (typeof it === 'string' ? (rowName(catalogue, it) ?? []) : [])).join(', ') ||
          'another',
      ];
    return [list.length === 0 ? 'none' : `${list.length} of them`];
  }
  if (key.startsWith('#')) return ['there'];
  const { kind } = value as Readonly<Record<string, unknown>>;
  return [typeof kind === 'string' ? spelt(kind) : 'as it was set there'];
}
