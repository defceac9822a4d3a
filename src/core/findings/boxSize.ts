import { turnedSides, usuallyInFront } from '../enclosure/turning';
import { findAnimal, many, type Animal } from '../catalogue';
import { heightNeed, spaceNeed } from '../brief';
import type { Design } from '../document/schema';
import { formOf, isYoungAt, selfAt } from '../brief';
import { proposeSize } from '../propose/propose';
import { capital, length, message } from '../units';
import type { Finding, Rule } from '../finding/finding';

/** Sides of an enclosure, m. */
type Sides = Pick<Design['enclosure'], 'width' | 'depth' | 'height'>;

/** Whole height a species needs over the ground as it is laid: less than the usual one where that is thinner. */
const tallFor = (animal: Animal, highest: number): number =>
  Math.min(heightNeed(animal), animal.space.value.freeHeight + highest);

/** Whether so many animals have their room in it. @param highest m of ground at its highest */
function fits({ width, depth, height }: Sides, animal: Animal, count: number, highest: number): boolean {
  const need = spaceNeed(animal, count);
  return (
    Math.max(width, depth) >= need.width - 0.005 &&
    Math.min(width, depth) >= need.depth - 0.005 &&
    width * depth >= need.floor * 0.97 &&
    height >= tallFor(animal, highest) - 0.005
  );
}

/** Shares of the usual sides with which a floor that is large enough still serves (common practice). */
const NARROW = 0.75;
const SHORT = 0.8;
const LOW = 0.85;
/** The same for one that lives on the ground, and does not miss the height. */
const LOW_ON_GROUND = 0.6;

/** Whether all its floor is there and only the sides are others than the usual ones. */
function otherShape({ width, depth, height }: Sides, animal: Animal, count: number): boolean {
  const need = spaceNeed(animal, count);
  const life = animal.life.value;
  const low = life === 'ground' || life === 'burrowing' ? LOW_ON_GROUND : LOW;
  // Ground that is dug in is needed as deep as ever.
  const ground = heightNeed(animal) - animal.space.value.freeHeight;
  return (
    width * depth >= need.floor * 0.97 &&
    Math.min(width, depth) >= need.depth * NARROW &&
    Math.max(width, depth) >= need.width * SHORT &&
    height - ground >= animal.space.value.freeHeight * low - 0.005
  );
}

/** Too small for the animals as large as they are now, or standing the wrong way up. */
export const boxSize: Rule = ({ design, animal, catalogue, highest }) => {
  if (!animal) return [];
  const { count } = design.brief;
  const box = design.enclosure;
  if (fits(box, animal, count, highest))
    return outgrown(design, findAnimal(catalogue, design.brief.animal), highest);
  const need = spaceNeed(animal, count);
  const tall = tallFor(animal, highest);

  const place = { at: 'enclosure' } as const;
  const basis = animal.space.basis;
  if (fits(turnedSides(box, usuallyInFront(box)), animal, count, highest)) {
    const climbs = box.height < tall;
    return [
      {
        code: 'wrong-way-up',
        severity: 'severe',
        place,
        what: message`The enclosure stands the wrong way up.`,
        because: climbs
          ? message`${capital(many(animal.english))} live high: they want ${length(tall)} of height, and this enclosure gives ${length(box.height)}.`
          : message`${capital(many(animal.english))} live on the floor: they want ${length(need.width)} by ${length(need.depth)} of it.`,
        remedies: [{ label: message`Turn it on its side`, call: { edit: 'turnEnclosure', change: {} } }],
        basis,
      },
    ];
  }
  const wanted = proposeSize(animal, count);
  let fewer = count - 1;
  while (fewer > 0 && !fits(box, animal, fewer, highest)) fewer -= 1;
  const larger = {
    width: Math.max(box.width, wanted.width),
    depth: Math.max(box.depth, wanted.depth),
    height: Math.max(box.height, wanted.height),
  };
  const remedies: Finding['remedies'] = [
    {
      label: message`Take ${length(larger.width)} × ${length(larger.depth)} × ${length(larger.height)}`,
      call: { edit: 'setEnclosure', change: larger },
    },
    ...(fewer > 0
      ? [{ label: message`Keep ${fewer}`, call: { edit: 'setCount', change: { count: fewer } } as const }]
      : []),
  ];
  if (otherShape(box, animal, count)) {
    return [
      {
        code: 'box-other-shape',
        severity: 'look',
        place,
        what: message`The floor is large enough, the shape is not the usual one.`,
        because: message`${length(box.width)} × ${length(box.depth)} and ${length(box.height)} high, where ${length(need.width)} × ${length(need.depth)} and ${length(tall)} are usual for ${count === 1 ? `a ${animal.english}` : `${count} ${many(animal.english)}`}, ground included.`,
        remedies,
        basis,
      },
    ];
  }
  return [
    {
      code: 'box-too-small',
      severity: 'severe',
      place,
      what: message`Too small for ${count === 1 ? `a ${animal.english}` : `${count} ${many(animal.english)}`}.`,
      because: message`${count === 1 ? 'It wants' : 'They want'} ${length(wanted.width)} × ${length(wanted.depth)} of floor and ${length(tall)} of height, ground included.`,
      remedies,
      basis,
    },
  ];
};

/** Months before it is too small at which it is time to look for the next one. */
const TIME_TO_BUILD = 3;

/** From what age on an enclosure that does now is too small. @param species grown */
function outgrown(
  { brief, enclosure, living }: Design,
  species: Animal | undefined,
  highest: number,
): Finding[] {
  const { ageMonths } = living.company;
  const row = species && formOf(species, living.company);
  if (!row || ageMonths === null || !isYoungAt(row, ageMonths)) return [];
  let until = Math.floor(ageMonths);
  while (isYoungAt(row, until) && fits(enclosure, selfAt(row, until), brief.count, highest)) until += 1;
  if (fits(enclosure, selfAt(row, until), brief.count, highest)) return [];
  const wanted = proposeSize(row, brief.count);
  const left = Math.max(1, Math.round(until - ageMonths));
  return [
    {
      code: 'box-outgrown',
      severity: left <= TIME_TO_BUILD ? 'look' : 'note',
      place: { at: 'enclosure' },
      what: message`Large enough for about ${left} ${left === 1 ? 'month' : 'months'} more.`,
      because: message`At ${until} months it has outgrown this enclosure; grown, ${brief.count === 1 ? 'it wants' : 'they want'} ${length(wanted.width)} × ${length(wanted.depth)} of floor and ${length(heightNeed(row))} of height, ground included.`,
      remedies: [],
      basis: row.space.basis,
    },
  ];
}
