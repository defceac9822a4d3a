import { findAnimal, type Animal, type Catalogue, type Range } from '../catalogue';
import type { Design } from '../document/schema';
import { dayPlus } from '../time';

/** Length at an age, by a curve that slows as it nears its full length (von Bertalanffy’s), 95 % at the adult age. */
export function lengthAt(animal: Animal, months: number): number {
  const life = animal.growing;
  const full = middle(animal.length.value);
  if (!life) return full;
  const hatched = Math.min(life.hatched.value, full * 0.95);
  const rate = Math.log((full - hatched) / (0.05 * full)) / life.monthsToAdult.value;
  return full - (full - hatched) * Math.exp(-rate * months);
}

/** Mass at a length, by its cube. */
export const massAt = (animal: Animal, length: number): number => {
  const full = middle(animal.length.value);
  const mass = middle(animal.mass.value);
  return mass * (length / full) ** 3;
};

/** Whole months from one day to a later one; 0 where it is not later. */
export function monthsFrom(from: string, to: string): number {
  const [year = 0, month = 0, day = 0] = from.split('-').map(Number);
  const [toYear = 0, toMonth = 0, toDay = 0] = to.split('-').map(Number);
  // Hatched on the 31st it is a month older on the last day of a shorter month too.
  const isLast = dayPlus(to, 1).slice(8) === '01';
  const begun = toDay >= day || isLast ? 0 : 1;
  return Math.max(0, (toYear - year) * 12 + toMonth - month - begun);
}

/** The day so many whole months before another; the last of its month where that is shorter. */
export function monthsBefore(day: string, months: number): string {
  const [year = 0, month = 0, own = 1] = day.split('-').map(Number);
  const at = year * 12 + month - 1 - months;
  const first = `${String(Math.floor(at / 12)).padStart(4, '0')}-${String((at % 12) + 1).padStart(2, '0')}-01`;
  const last = Number(dayPlus(dayPlus(first, 31).slice(0, 8) + '01', -1).slice(8));
  return dayPlus(first, Math.min(own, last) - 1);
}

const aged = new WeakMap<Design, { readonly day: string; readonly design: Design }>();

/**
 * A design with its animals as old as they are on a day, where it tells when they hatched. The same design where nothing
 * changes.
 */
export function asOf(design: Design, day: string): Design {
  const { company } = design.living;
  if (company.hatched === null) return design;
  const known = aged.get(design);
  if (known?.day === day) return known.design;
  const ageMonths = monthsFrom(company.hatched, day);
  const now =
    ageMonths === company.ageMonths
      ? design
      : { ...design, living: { ...design.living, company: { ...company, ageMonths } } };
  aged.set(design, { day, design: now });
  return now;
}

/** Whether it still grows at an age; null: it is grown. */
export const isYoungAt = (animal: Animal, months: number | null): boolean =>
  months !== null && months < (animal.growing?.monthsToAdult.value ?? 12);

/** Of the room of a grown one, that one of no age does with less of (common practice). */
export const LEAST_ROOM = 0.35;

/** How much of the room of a grown one it needs at an age, each way. */
const roomShare = (animal: Animal, months: number): number => {
  const full = middle(animal.length.value);
  return Math.max(LEAST_ROOM, Math.min(1, lengthAt(animal, months) / full));
};

const middle = ({ low, high }: Range): number => (low + high) / 2;
const times = ({ low, high }: Range, by: number): Range => ({ low: low * by, high: high * by });

const forms = new WeakMap<Animal, Map<string, Animal>>();

/**
 * A species as those of it that are kept: of one sex alone, where the sexes differ, its body; of a form that bears less
 * light, a UV zone lower (common practice). Its room stays that of the larger sex. The row itself where nothing differs.
 */
export function formOf(animal: Animal, company: Design['living']['company']): Animal {
  const { males, females, lightSensitive } = company;
  const sex = males > 0 && females === 0 ? 'male' : females > 0 && males === 0 ? 'female' : null;
  const one = sex && animal.sexes?.value[sex];
  const zone = Math.max(1, animal.climate.uvZone.value - (lightSensitive ? 1 : 0));
  if (!one && zone === animal.climate.uvZone.value) return animal;
  const known = forms.get(animal) ?? new Map<string, Animal>();
  forms.set(animal, known);
  const key = `${one ? sex : ''} ${zone}`;
  const found = known.get(key);
  if (found) return found;
  const by = one ? middle(one.length) / middle(animal.length.value) : 1;
  const { girth, growing } = animal;
  const form: Animal = {
    ...animal,
    ...(one && animal.sexes
      ? {
          length: { ...animal.sexes, value: one.length },
          mass: { ...animal.sexes, value: one.mass },
        }
      : {}),
    ...(girth ? { girth: { ...girth, value: girth.value * by } } : {}),
    ...(one?.years !== undefined && growing
      ? { growing: { ...growing, years: { ...growing.years, value: one.years } } }
      : {}),
    climate: { ...animal.climate, uvZone: { ...animal.climate.uvZone, value: zone } },
  };
  known.set(key, form);
  return form;
}

const selves = new WeakMap<Animal, Map<number, Animal>>();

/**
 * An animal as large as it is at an age: its body by the curve it grows along, room and soil in proportion, mass by the
 * cube. What it bears of a climate, eats and does stays that of its kind. Grown, or where nothing is known of how it
 * grows, it is the row itself. Not to be grown again: `lengthAt` and `youngPlan` want the row.
 */
export function selfAt(animal: Animal, months: number | null): Animal {
  if (months === null || !animal.growing || !isYoungAt(animal, months)) return animal;
  const known = selves.get(animal) ?? new Map<number, Animal>();
  selves.set(animal, known);
  const found = known.get(months);
  if (found) return found;
  const full = middle(animal.length.value);
  const by = Math.min(1, lengthAt(animal, months) / full);
  const room = roomShare(animal, months);
  const { space, perch, girth } = animal;
  const self: Animal = {
    ...animal,
    length: { ...animal.length, value: times(animal.length.value, by) },
    mass: { ...animal.mass, value: times(animal.mass.value, by ** 3) },
    digs: { ...animal.digs, value: animal.digs.value * by },
    space: {
      ...space,
      value: {
        width: space.value.width * room,
        depth: space.value.depth * room,
        freeHeight: space.value.freeHeight * room,
      },
    },
    ...(girth ? { girth: { ...girth, value: girth.value * by } } : {}),
    ...(perch ? { perch: { ...perch, value: times(perch.value, by) } } : {}),
  };
  known.set(months, self);
  return self;
}

/**
 * The animal of a design, as large as it is at the age the design tells; undefined where none is chosen. What grows on
 * with it for years, plants and their footing, is judged by the grown one: `grownIn`.
 */
export function animalIn(design: Design, catalogue: Catalogue): Animal | undefined {
  const row = findAnimal(catalogue, design.brief.animal);
  return row && selfOf(row, design.living.company);
}

/** A species as those of it that are kept, as large as they are. */
export const selfOf = (row: Animal, company: Design['living']['company']): Animal =>
  selfAt(formOf(row, company), company.ageMonths);

/** The animal of a design, grown: its species, or those of it that are kept; undefined where none is chosen. */
export function grownIn(
  { brief, living }: Pick<Design, 'brief' | 'living'>,
  catalogue: Catalogue,
): Animal | undefined {
  const row = findAnimal(catalogue, brief.animal);
  return row && formOf(row, living.company);
}
