import { findCrew, findDeviceKind, type Animal, type Catalogue } from '../catalogue';
import { changeOvers, seasonsSaid } from '../climate/seasonWords';
import { allLayers, monthsOf, type Design } from '../document/schema';
import { grownIn, isYoungAt, restOf } from '../brief';
import { feedingOf, isWeighed } from './food';
import { clock, length, light, percent, message } from '../units';
import { bottleLasts } from './bottle';
import { after, daily, inMonths, monthly, weekly, yearly, type CareRule, type Draft } from './rule';
import { resting } from './resting';
import { sowing } from './sowing';
import { watered } from './watering';

/** The lamp a rule asks to be replaced; null: it asks for something else. */
export const lampOfRule = (rule: string): string | null => /^uv-(?!meter$)(.+)$/.exec(rule)?.[1] ?? null;

const ruleOfLamp = (device: string): string => `uv-${device}`;

/** A lamp that is replaced by its age, and the rule that asks for it. */
export interface AgingLamp {
  readonly device: string;
  readonly name: string;
  readonly rule: string;
}

/** The lamps of an enclosure whose UV is gone before their light is. */
export const agingLamps = ({ climate }: Design, catalogue: Catalogue): readonly AgingLamp[] =>
  climate.devices
    .filter((it) => findDeviceKind(catalogue, it.kind)?.group === 'uv')
    .map(({ id, name }) => ({ device: id, name, rule: ruleOfLamp(id) }));

/** Hours of UV a day that a tube is worn by. */
const LIT_HOURS = 12;
const allMonths = Array.from({ length: 12 }, (_, i) => i + 1);

/**
 * What keeps this box going, from its design and its animal: each with why, and how often. How often is common practice
 * unless the design says it (misting, water changes, litter).
 */
export function careRules(design: Design, catalogue: Catalogue): readonly CareRule[] {
  const { climate, living, scape, ground } = design;
  const animal = grownIn(design, catalogue);
  const rules: CareRule[] = [];
  const add = (draft: Draft): void => {
    rules.push({ amount: [], sitter: false, needsAnimal: false, ...draft });
  };
  const rest = restOf(design, animal);
  // What goes with an animal that is awake, or that is here.
  const awake = (part: 'fasts' | 'cooled'): Pick<CareRule, 'season'> =>
    rest ? { season: { how: 'not', part: rest[part] } } : {};
  const uses = new Set(
    scape.pieces.flatMap((it) => catalogue.scape.pieces.find((row) => row.id === it.kind)?.uses ?? []),
  );

  add({
    id: 'look',
    needsAnimal: true,
    group: 'look',
    what: animal ? `Look for the ${animal.english}: bright, whole, where it should be` : 'Look it over',
    why: 'What is seen early is small.',
    ...awake('cooled'),
    when: daily(),
    minutes: 1,
    sitter: true,
  });

  // Water.
  const { mist } = climate;
  const misted = climate.seasons.filter((it) => it.mist !== null);
  const plans = [
    {
      id: 'mist',
      plan: mist,
      months: allMonths.filter((month) => !misted.some((it) => monthsOf(it).includes(month))),
    },
    ...misted.flatMap((it) =>
      it.mist ? [{ id: `mist-${it.id}`, plan: it.mist, months: monthsOf(it) }] : [],
    ),
  ];
  if (mist.by === 'hand')
    for (const { id, plan, months } of plans)
      if (plan.times.length > 0 && months.length > 0)
        add({
          id,
          group: 'water',
          what: 'Mist by hand',
          why: 'Before lights off the leaves drink and dry; the animal licks drops.',
          when: inMonths(daily(plan.everyDays), months),
          amount: [plan.times.map((it) => `${it.seconds} pulls at ${clock(it.at)}`).join(', ')],
          minutes: 2 * plan.times.length,
          sitter: true,
        });
  if (climate.seasons.length > 0)
    add({
      id: 'seasons',
      group: 'equipment',
      what: 'Change over the settings of the season',
      why: 'What is set for a part of the year holds the enclosure only then, and forecast and verdict count on it.',
      when: yearly(...changeOvers(design)),
      amount: seasonsSaid(design),
      minutes: 5,
      sitter: true,
    });
  if (mist.by === 'nozzles' && mist.bottle !== null)
    add({
      id: 'bottle',
      group: 'water',
      what: 'Fill the bottle of the misting system',
      why: 'A dry pump is a broken pump, and the leaves are dry with it.',
      when: after(bottleLasts(design, catalogue)),
      minutes: 3,
      caution: 'mist',
      sitter: true,
    });
  if (mist.by === 'nozzles')
    add({
      id: 'nozzles',
      group: 'equipment',
      what: 'Watch a misting: every nozzle sprays, nothing drips',
      why: 'Lime closes nozzles one by one, and nobody sees it from the outside.',
      when: after(14),
      minutes: 3,
    });
  watered(design, catalogue, add);
  if (animal?.water.value.endsWith('dish') || uses.has('drink'))
    add({
      id: 'dish',
      needsAnimal: true,
      group: 'water',
      what: 'Fresh water in the dish',
      why: 'It is drunk, soaked in and fouled, all three.',
      when: daily(),
      minutes: 2,
      sitter: true,
    });
  const pool =
    ground.method === 'full-water' ||
    ground.regions.some((it) => it.layers.some((own) => own.kind === 'water'));
  if (pool) {
    add({
      id: 'top-up',
      group: 'water',
      what: 'Top the water up to its mark',
      why: 'What dries away leaves its salts behind, and pumps and heaters run dry.',
      when: after(7),
      amount: message`as warm as the rest and without chlorine`,
      minutes: 3,
      caution: 'pumps',
      sitter: true,
    });
    add({
      id: 'water-change',
      group: 'water',
      what: 'Change part of the water',
      why: 'What the filter leaves adds up; only a change takes it away.',
      when: after(living.water.everyDays),
      amount: message`${percent(living.water.change)} of it, as warm as the rest and without chlorine`,
      minutes: 15,
      caution: 'pumps',
    });
    add({
      id: 'water-test',
      group: 'water',
      what: 'Test the water: ammonia, nitrite, nitrate',
      why: 'It looks clear long before it is.',
      when: after(14),
      minutes: 8,
    });
  }
  if (living.water.filter !== null || uses.has('filter'))
    add({
      id: 'filter',
      group: 'equipment',
      what: 'Rinse the filter in old water',
      why: 'Tap water kills what lives in it and does the work.',
      when: after(30),
      ...(living.water.since === null ? {} : { since: living.water.since }),
      minutes: 10,
      caution: 'pumps',
    });
  if (ground.method !== 'none' && ground.method !== 'full-water')
    add({
      id: 'siphon',
      group: 'water',
      what: 'Look at the water under the barrier; siphon what is too much',
      why: 'Water that reaches the barrier sours the soil from below, and nobody sees it.',
      when: after(14),
      amount: message`keep about ${length(Math.max(0.005, ground.waterDepth))}`,
      minutes: 5,
    });

  if (animal) {
    feeding(animal, design, (draft) => add({ ...awake('fasts'), ...draft }));
    cleaning(animal, design, (draft) => add({ ...awake('cooled'), ...draft }));
    if (rest) resting(animal, rest, add);
  }
  add({
    id: 'glass',
    group: 'clean',
    what: 'Wipe the glass',
    why: 'With water and a cloth of its own: nothing that cleans may stay on it.',
    when: after(7),
    minutes: 5,
    caution: 'cleaning',
  });

  // Plants and crew.
  if (living.plants.length > 0) {
    add({
      id: 'prune',
      group: 'plants',
      what: 'Prune; take out dead leaves from water and cups',
      why: 'What grows into lamp or glass burns or rots.',
      when: after(30),
      minutes: 10,
      caution: 'release',
    });
  }
  sowing(design, catalogue, add);
  if (living.crew.length > 0) {
    add({
      id: 'crew-seen',
      group: 'crew',
      what: 'Lift a piece of bark: is the crew there, with young?',
      why: 'It goes quietly, and mould follows.',
      when: after(30),
      minutes: 3,
    });
    if (living.supplement > 0)
      add({
        id: 'crew-food',
        group: 'crew',
        what: 'Dry food for the crew',
        why: 'A tidy animal leaves too little for it.',
        when: after(7),
        amount: message`${light(living.supplement)} a week`,
        minutes: 2,
      });
    const springtails = living.crew.some((it) => findCrew(catalogue, it.kind)?.group === 'springtail');
    if (springtails && animal?.kind === 'snake')
      add({
        id: 'reseed',
        group: 'crew',
        what: 'Reseed springtails',
        why: 'A heavy snake presses them out of the ground.',
        when: after(60),
        minutes: 5,
      });
  }
  if (living.litter.depth > 0 && allLayers(ground).some((it) => it.kind === 'litter'))
    add({
      id: 'litter',
      group: 'crew',
      what: 'Refill the leaf litter',
      why: 'The crew has eaten it: that is what it is for.',
      when: after(Math.round(living.litter.everyMonths * 30.4)),
      amount: message`${length(living.litter.depth)}`,
      minutes: 5,
      caution: 'collecting',
    });
  if (ground.layers.some((it) => it.kind === 'substrate') || ground.regions.length > 0)
    add({
      id: 'soil',
      group: 'plants',
      what:
        ground.schools.renewal === 'replace'
          ? 'Judge the soil: replace it when it is broken down'
          : 'Judge the soil: top it up when it has sunk',
      why: 'It breaks down and settles; roots and diggers lose their depth.',
      ...(ground.schools.renewal === 'replace'
        ? {}
        : { amount: message`${length(0.02)} to ${length(0.05)} where it has sunk` }),
      when: after(365),
      minutes: 20,
    });

  equipment(design, catalogue, add);
  if (animal && isWeighed(animal)) {
    add({
      id: 'weigh',
      needsAnimal: true,
      group: 'animal',
      what: design.brief.count > 1 ? 'Weigh every animal' : 'Weigh it',
      why: 'Weight falls weeks before an animal looks thin.',
      ...awake('cooled'),
      when: after(isYoungAt(animal, living.company.ageMonths) ? 7 : 30),
      minutes: 3 * design.brief.count,
      caution: 'hygiene',
    });
  }
  return rules;
}

/** Days that powders keep once they are opened, in the refrigerator (common practice; the label decides). */
const POWDER_KEEPS = 240;

function feeding(animal: Animal, { living, brief }: Design, add: (draft: Draft) => void): void {
  const food = feedingOf(animal, isYoungAt(animal, living.company.ageMonths));
  add({
    id: 'feed',
    needsAnimal: true,
    group: 'food',
    what:
      brief.count > 1 && animal.growing?.cautions.value.includes('fights over food')
        ? 'Feed, each apart, and watch'
        : 'Feed',
    why:
      food.watch !== ''
        ? food.watch
        : 'What is left next morning is taken out: crickets bite, and food rots.',
    when: food.when,
    amount: [food.words],
    minutes: 5,
    sitter: true,
  });
  if (food.calcium !== null)
    add({
      id: 'dust',
      needsAnimal: true,
      group: 'food',
      what: 'Dust the food with calcium',
      why: food.feeders
        ? 'Feeder insects have hardly any of their own. How much: by its label, or your veterinarian.'
        : 'Shell and bones need more than its food holds. How much: by its label, or your veterinarian.',
      when: after(food.calcium),
      amount: ['a thin coat, shaken off'],
      minutes: 1,
      sitter: true,
    });
  if (food.vitamins !== null)
    add({
      id: 'vitamins',
      needsAnimal: true,
      group: 'food',
      what:
        animal.kind === 'frog'
          ? 'Dust the food with vitamins, with vitamin A'
          : 'Dust the food with vitamins',
      why: 'Too little and too much both harm: the rota keeps the count.',
      when: after(food.vitamins),
      minutes: 1,
    });
  if (food.calcium !== null || food.vitamins !== null)
    add({
      id: 'powders',
      needsAnimal: true,
      group: 'food',
      what: 'Open new powders, and write the day on them',
      why: 'Vitamins fade in an open tub: about eight months in the refrigerator, less where the label says so.',
      when: after(POWDER_KEEPS),
      minutes: 1,
    });
  if (food.feeders)
    add({
      id: 'feeders',
      needsAnimal: true,
      group: 'food',
      what: 'Feed and water the feeder insects',
      why: 'What they ate is what the animal eats.',
      when: after(2),
      minutes: 5,
      sitter: true,
    });
}

function cleaning(animal: Animal, { living }: Design, add: (draft: Draft) => void): void {
  const plain = living.crew.length === 0;
  add({
    id: 'spot-clean',
    needsAnimal: true,
    group: 'clean',
    what: 'Lift out droppings and food that is left',
    why: plain ? 'There is no crew to do it.' : 'The crew lessens the work, it does not end it.',
    when: plain || animal.kind === 'snake' || animal.kind === 'tortoise' ? daily() : after(3),
    minutes: 3,
    caution: 'hygiene',
    sitter: plain,
  });
  if (
    animal.kind === 'gecko' ||
    animal.kind === 'lizard' ||
    animal.kind === 'snake' ||
    animal.kind === 'tortoise'
  )
    add({
      id: 'urates',
      needsAnimal: true,
      group: 'clean',
      what: 'Lift out the white urate',
      why: 'No crew eats it: it stays until a hand takes it.',
      when: after(7),
      minutes: 2,
      caution: 'hygiene',
    });
}

function equipment({ climate, scape }: Design, catalogue: Catalogue, add: (draft: Draft) => void): void {
  if (climate.devices.some((it) => findDeviceKind(catalogue, it.kind)?.form === 'fogger'))
    add({
      id: 'fogger',
      group: 'equipment',
      what: 'Empty the fogger, rinse it and let it dry',
      why: 'What grows in warm standing water is breathed with the fog.',
      when: after(7),
      minutes: 5,
      caution: 'mist',
    });
  for (const device of climate.devices) {
    const kind = findDeviceKind(catalogue, device.kind);
    if (kind?.group !== 'uv') continue;
    const hours = kind.uvHalf?.value ?? 4380;
    add({
      id: ruleOfLamp(device.id),
      group: 'equipment',
      what: `Replace the ${device.name.toLowerCase()}`,
      why: 'It shines long after its UV is gone. A meter may say sooner or later.',
      when: after(Math.min(365, Math.round(hours / LIT_HOURS))),
      ...(device.since === null ? {} : { since: device.since }),
      minutes: 10,
      caution: 'electric',
    });
  }
  const tubes = climate.devices.filter((it) => findDeviceKind(catalogue, it.kind)?.group === 'uv');
  // The newest of them has never been measured, however often the others were.
  const lit = tubes.map((it) => it.since ?? '').reduce((last, it) => (it > last ? it : last), '');
  if (tubes.length > 0)
    add({
      id: 'uv-meter',
      group: 'equipment',
      what: 'Measure the UV index at the animal’s back',
      why: 'A tube ages by its hours, not by its date.',
      when: after(90),
      ...(lit === '' ? {} : { since: lit }),
      minutes: 5,
    });
  if (climate.devices.some((it) => it.thermostat !== null))
    add({
      id: 'thermostat',
      group: 'equipment',
      what: 'Check thermostats against a second thermometer',
      why: 'A probe that slipped heats the wrong place.',
      when: monthly(),
      minutes: 5,
      caution: 'electric',
    });
  if (climate.devices.length > 0 || scape.pieces.some((it) => it.pump !== null))
    add({
      id: 'residual-current',
      group: 'equipment',
      what: 'Press the test button of the residual-current protection; look along every cable',
      why: 'It is there for the day on which water gets where it must not.',
      when: monthly(6),
      minutes: 5,
      caution: 'electric',
    });
  if (climate.devices.length > 0)
    add({
      id: 'probes',
      group: 'equipment',
      what: 'Read the probes: warm, cool, humidity, by day and by night',
      why: 'One reading a week says nothing about the nights.',
      when: weekly('MO', 'WE', 'FR', 'SU'),
      minutes: 2,
      sitter: true,
    });
}
