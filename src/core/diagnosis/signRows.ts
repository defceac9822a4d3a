import { findAnimal } from '../catalogue';
import type { CautionStep } from '../catalogue';
import { DAY } from '../readings';
import type { Facts } from './facts';
import type { DiagnosisInput } from './diagnose';
import type { Evidence, SignId } from './types';
import { asMessage } from '../units';
import { uvEvidence } from './uvEvidence';

export type SignInput = DiagnosisInput & { readonly facts: Facts; readonly signs: ReadonlySet<SignId> };

/** What is worth knowing of a box for causes that no probe reads. */
export interface Known extends SignInput {
  /** Days since an entry of a kind, or of care by a rule, was last written; null: never. */
  readonly since: (what: string) => number | null;
  /** Days the box has stood in its stage; null: not written down. */
  readonly stageDays: number | null;
}

interface Row {
  readonly id: string;
  readonly signs: readonly SignId[];
  readonly what: string;
  readonly prior: number;
  readonly evidence: (known: Known) => readonly (Evidence | null | false)[];
  readonly check: string;
  readonly change: string;
  readonly vet?: string;
  readonly caution?: CautionStep;
}

const saw = (words: string, weight: number): Evidence => ({ words: asMessage(words), weight, from: 'log' });
const drawn = (words: string, weight: number): Evidence => ({
  words: asMessage(words),
  weight,
  from: 'design',
});
const read = (words: string, weight: number): Evidence => ({
  words: asMessage(words),
  weight,
  from: 'readings',
});

/** What was picked speaks for it by itself. */
const seen = (words: string, weight: number): Evidence => ({ words: asMessage(words), weight, from: 'sign' });

const isWet = ({ facts }: Known): boolean =>
  (facts.wetter ?? 0) > facts.usualWet || facts.humidities.some((it) => (it.now?.mean ?? 0) > 0.92);
const isCold = ({ facts }: Known): boolean => (facts.warmer ?? 0) < -facts.usualTemperature;
const isDry = ({ facts }: Known): boolean => (facts.wetter ?? 0) < -facts.usualWet;
const within = (days: number | null, most: number): boolean => days !== null && days <= most;
const leaf = ({ design }: Known): boolean => design.ground.layers.some((it) => it.kind === 'litter');
const drains = ({ design }: Known): boolean => design.ground.layers.some((it) => it.kind === 'drainage');
const young = ({ stageDays, design }: Known): boolean =>
  design.brief.stage === 'growing-in' || design.brief.stage === 'curing' || within(stageDays, 60);
const crewed = ({ design }: Known): boolean => design.living.crew.length > 0;

const VET = 'Call a veterinarian who knows such animals now. What is said here is of its surroundings only.';

/** What practitioners look for first when they see a thing (common practice; weights from memory). */
export const ROWS: readonly Row[] = [
  {
    id: 'vet',
    signs: ['unwell'],
    what: 'The animal needs a veterinarian',
    prior: 9,
    evidence: () => [],
    check: 'Keep it quiet, at the cool end of its temperature range, with water. Give nothing.',
    change: 'Call now, and take a fresh dropping and the record of its weight with you.',
    vet: VET,
    caution: 'hygiene',
  },
  {
    id: 'stale-air',
    signs: ['fogged', 'mould', 'wet'],
    what: 'Air hardly moves through it',
    prior: -1.6,
    evidence: (it) => [
      it.design.enclosure.top === 'solid' && drawn('The top is closed', 1),
      it.design.enclosure.topCover > 0.7 &&
        drawn(`${Math.round(100 * it.design.enclosure.topCover)} % of the top is covered`, 1),
      it.signs.has('fogged') && drawn('Glass fogs where air stands', 0.8),
      isWet(it) && read('It is wet', 0.6),
    ],
    check: 'Hold a strip of paper before each vent; look for litter, webs or a cloth on the gauze.',
    change: 'Uncover more of the top, or run a small fan half an hour in every ninety minutes.',
  },
  {
    id: 'glass-colder',
    signs: ['fogged'],
    what: 'The glass is colder than the air inside: the room cooled down',
    prior: -0.4,
    evidence: (it) => [
      it.facts.room.some((own) => (own.shift.day ?? 0) < -1) && read('The room is colder', 2),
      (it.facts.warmer ?? 0) < 0 && read('It is no warmer than before', 0.2),
    ],
    check: 'Does it clear within an hour or two after lights on? Then it is no trouble.',
    change: 'Nothing, if it clears by noon. Otherwise more air.',
  },
  {
    id: 'too-much-water',
    signs: ['sour', 'water-high', 'rotting', 'gnats', 'fogged', 'wet'],
    what: 'It gets more water than leaves it',
    prior: -0.6,
    evidence: (it) => [
      it.signs.has('water-high') && drawn('Water stands up to the barrier', 2.5),
      it.signs.has('sour') && drawn('Soil that stays full turns sour', 0.8),
      isWet(it) && read('The air is wet', 0.6),
      it.since('siphon') === null && drains(it) && saw('No siphoning is written down', 0.5),
      !drains(it) && drawn('No drainage layer', 0.6),
    ],
    check: 'Push a finger to the bottom of the soil, and look at the water in the drainage.',
    change: 'Siphon it; then mist less, or thicken the bed. Try fewer seconds in Climate first.',
    caution: 'pumps',
  },
  {
    id: 'no-air-below',
    signs: ['sour'],
    what: 'The soil has no air at its bottom: too fine, or packed',
    prior: -0.8,
    evidence: (it) => [
      !drains(it) && drawn('No drainage under it', 0.6),
      it.since('mix') === null && drawn('No coarse layer is known below', 0),
      (it.stageDays ?? 0) > 300 && drawn('It has stood for most of a year', 0.7),
    ],
    check: 'Dig to the bottom in one corner: black and smelling of eggs means no air.',
    change: 'Loosen it, take out what is black, mix bark or clay pebbles into the lower half.',
    caution: 'hygiene',
  },
  {
    id: 'rotting-food',
    signs: ['sour', 'mites', 'gnats'],
    what: 'Food or a dead feeder rots somewhere',
    prior: -0.7,
    evidence: (it) => [
      within(it.since('feed'), 5) && saw('It was fed in the last days', 0.4),
      (it.since('clean') ?? 99) > 7 && saw('No spot cleaning for a week', 0.8),
    ],
    check: 'Look under hides, in dishes and behind wood.',
    change: 'Take it out; feed from a dish, and take out what is left next morning.',
  },
  {
    id: 'settling',
    signs: ['sinking'],
    what: 'Soil and litter break down and settle, as they do',
    prior: 0.8,
    evidence: (it) => [
      (it.stageDays ?? 0) > 150 && saw('It has stood for months', 1),
      crewed(it) && drawn('The crew eats it', 0.5),
      it.since('top-up') === null && saw('No topping up is written down', 0.3),
    ],
    check: 'How far has it sunk since it was laid? A tenth in half a year is usual.',
    change: 'Top up 2 to 5 cm; Build makes the list.',
  },
  {
    id: 'barrier-leak',
    signs: ['sinking', 'water-high'],
    what: 'Soil washes through the barrier',
    prior: -1.4,
    evidence: (it) => [
      it.signs.has('sinking') && it.signs.has('water-high') && drawn('It sinks and water rises', 1.8),
      it.design.ground.layers.some((own) => own.kind === 'barrier' && own.edge === 'flat') &&
        drawn('Its edge lies flat', 0.5),
    ],
    check: 'Is the water in the drainage brown with crumbs in it?',
    change: 'Lift a corner, and turn the barrier’s edge up along the walls.',
  },
  {
    id: 'fresh-wood',
    signs: ['mould'],
    what: 'Fresh wood and litter mould once, and it passes',
    prior: 0.4,
    evidence: (it) => [
      young(it) && drawn('It is not two months old', 1.6),
      !young(it) && drawn('It is long past that', -1.4),
      it.design.scape.pieces.length > 0 && drawn('There is wood in it', 0.3),
    ],
    check: 'White and fluffy on wood: it passes in weeks. Black or slimy: not this.',
    change: 'Wait; more springtails shorten it.',
  },
  {
    id: 'few-springtails',
    signs: ['mould', 'crew-gone'],
    what: 'Too few springtails',
    prior: -0.5,
    evidence: (it) => [
      !crewed(it) && drawn('No crew is planned', 1.6),
      (it.since('crew') ?? 99) > 30 && crewed(it) && saw('No crew seen for a month', 0.8),
    ],
    check: 'Lay a slice of potato on the soil overnight, and count.',
    change: 'Put in another culture.',
  },
  {
    id: 'crew-hungry',
    signs: ['crew-gone'],
    what: 'The crew has nothing left to eat',
    prior: -0.3,
    evidence: (it) => [
      !leaf(it) && drawn('No leaf litter', 1.4),
      (it.since('litter') ?? 99) > 60 && saw('No litter added for two months', 0.8),
    ],
    check: 'Are there whole leaves left?',
    change: 'Add leaves, and a flake of dried vegetable a week.',
  },
  {
    id: 'crew-eaten',
    signs: ['crew-gone'],
    what: 'The animal eats it faster than it breeds',
    prior: -0.4,
    evidence: (it) => [
      it.design.brief.stage === 'inhabited' &&
        within(it.stageDays, 90) &&
        drawn('The animal moved in not long ago', 1),
      it.design.brief.stage !== 'inhabited' && drawn('No animal lives in it', -4),
    ],
    check: 'Look under wood that lies flat, where no animal gets.',
    change: 'A place that only the crew gets into: a box of litter with small holes.',
  },
  {
    id: 'crew-dry',
    signs: ['crew-gone'],
    what: 'The soil is too dry for it',
    prior: -0.8,
    evidence: (it) => [
      isDry(it) && read('It is drier than before', 1.5),
      it.signs.has('dry') && read('It is dry', 0.6),
    ],
    check: 'Is there a corner that stays moist?',
    change: 'Water one corner, and mist.',
  },
  {
    id: 'over-fed',
    signs: ['crew-many', 'mites', 'gnats'],
    what: 'More food lies about than the animal takes',
    prior: 0.2,
    evidence: (it) => [
      it.signs.has('crew-many') && drawn('A crew grows with its food', 0.8),
      within(it.since('feed'), 3) && saw('Fed in the last days', 0.3),
    ],
    check: 'What is left in the dish in the morning?',
    change: 'Feed less, lift droppings, cull or take some for another enclosure.',
  },
  {
    id: 'wet-surface',
    signs: ['gnats', 'mites'],
    what: 'The surface never dries: fungus gnats breed in it',
    prior: 0.1,
    evidence: (it) => [
      it.signs.has('gnats') && drawn('Small flies over soil', 0.6),
      isWet(it) && read('It is wet', 0.8),
      !leaf(it) && drawn('No litter covers the soil', 0.4),
    ],
    check: 'Push a yellow card in: gnats stick to it.',
    change:
      'Let the top dry for some days, cover it with litter; predatory mites help, poison does not belong here.',
  },
  {
    id: 'new-soil',
    signs: ['mites', 'gnats'],
    what: 'They came with soil, plants or feeders, and live on what rots',
    prior: -0.2,
    evidence: (it) => [
      young(it) && drawn('It is not two months old', 0.9),
      within(it.since('plant-new'), 60) && saw('A plant came not long ago', 0.9),
    ],
    check: 'Pale and on the soil: harmless. Dark, and on the animal: see a veterinarian.',
    change: 'Quarantine plants, wash them bare of soil; culture feeders clean.',
    vet: 'Mites that sit on the animal itself: call a veterinarian before anything is treated.',
  },
  {
    id: 'too-dark',
    signs: ['leggy', 'yellow'],
    what: 'Too little light for these plants',
    prior: 0.3,
    evidence: (it) => [
      it.signs.has('leggy') && drawn('They reach for light', 1.4),
      !it.design.climate.devices.some(
        (own) => own.kind.includes('led') || own.kind.includes('tube') || own.kind.includes('bar'),
      ) && drawn('No plant lamp is installed', 1),
    ],
    check: 'Climate draws plant light over the enclosure: what reaches the leaves?',
    change: 'A stronger lamp, or longer; or plants that ask for less.',
  },
  {
    id: 'roots-wet',
    signs: ['yellow', 'rotting'],
    what: 'Roots stand in wet soil',
    prior: 0.1,
    evidence: (it) => [
      isWet(it) && read('It is wet', 1),
      it.signs.has('water-high') && drawn('Water stands at the barrier', 1.2),
      it.signs.has('sour') && drawn('and it smells sour', 0.8),
      it.signs.has('rotting') && drawn('They rot', 0.6),
    ],
    check: 'Pull one gently: brown and soft roots?',
    change: 'Lift it, cut what is soft, plant higher or in a coarser pocket.',
  },
  {
    id: 'hungry-plants',
    signs: ['yellow'],
    what: 'They have used up what the soil held',
    prior: -0.6,
    evidence: (it) => [
      (it.stageDays ?? 0) > 300 && drawn('It has stood for most of a year', 1),
      !crewed(it) && drawn('No crew turns waste into food for them', 0.5),
    ],
    check: 'Old leaves first, veins still green?',
    change: 'A handful of worm castings; no mineral fertiliser.',
  },
  {
    id: 'moved-plants',
    signs: ['yellow', 'rotting'],
    what: 'A shock after planting: old leaves go, new ones come',
    prior: -0.3,
    evidence: (it) => [
      young(it) && drawn('Planted not long ago', 1.4),
      within(it.since('plant-new'), 45) && saw('A plant came not long ago', 1),
    ],
    check: 'Is the heart of it green and firm?',
    change: 'Leave it be for a month.',
  },
  {
    id: 'too-dry-to-shed',
    signs: ['stuck-shed'],
    what: 'It was too dry while it shed, or had no moist hide',
    prior: 1,
    evidence: (it) => [
      isDry(it) && read('It is drier than it was', 1.4),
      it.signs.has('dry') && read('It is dry', 0.6),
      findAnimal(it.catalogue, it.design.brief.animal)?.moistHide?.value === true &&
        drawn('Its species wants a moist hide', 0.6),
    ],
    check: 'Toes, tail tip and eyes: is skin left there?',
    change: 'A moist hide of damp moss, and mist in the evening. Never pull at skin.',
    vet: 'Skin left on eyes, or a toe or tail tip that swells or darkens: call a veterinarian at once.',
  },
  {
    id: 'rough-missing',
    signs: ['stuck-shed'],
    what: 'Nothing rough to rub against',
    prior: -1,
    evidence: (it) => [it.design.scape.pieces.length === 0 && drawn('Nothing stands in it', 2)],
    check: 'Are there wood and bark within its reach?',
    change: 'A piece of rough bark by the moist hide.',
  },
  {
    id: 'coming-shed',
    signs: ['off-food'],
    what: 'A shed is coming',
    prior: 0.2,
    evidence: (it) => {
      const sheds = it.log.filter((own) => own.kind === 'shed' && !own.gone).map((own) => own.at);
      const [last, before] = [sheds.at(-1), sheds.at(-2)];
      if (last === undefined) return [saw('No shed is written down', 0)];
      const days = (it.now - last) / DAY;
      const usual = before === undefined ? null : (last - before) / DAY;
      return [
        days < 5 && saw('It shed within the last days', -2),
        usual !== null &&
          days > 0.75 * usual &&
          days < 1.5 * usual &&
          saw(
            `Its last sheds lay ${Math.round(usual)} days apart, and ${Math.round(days)} have gone by`,
            1.6,
          ),
      ];
    },
    check: 'Dull skin, milky eyes?',
    change: 'Leave it be, keep the moist hide moist, offer food after the shed.',
  },
  {
    id: 'too-cold-to-eat',
    signs: ['off-food'],
    what: 'It is too cold to digest',
    prior: -0.2,
    evidence: (it) => [
      isCold(it) && read('It is colder than before', 2),
      it.signs.has('cold') && !isCold(it) && read('It is cold', 1),
      it.facts.temperatures.length > 0 &&
        !isCold(it) &&
        !it.signs.has('cold') &&
        read('It is as warm as before', -1.2),
    ],
    check: 'Measure the warm side and the basking spot, by day.',
    change: 'Bring the temperature back first; food after.',
  },
  {
    id: 'disturbed',
    signs: ['off-food'],
    what: 'It was moved, handled or is new here',
    prior: -0.2,
    evidence: (it) => [
      within(it.since('move'), 21) && saw('It was moved in the last weeks', 1.6),
      within(it.since('handling'), 5) && saw('It was handled in the last days', 1),
      it.design.brief.stage === 'inhabited' &&
        within(it.stageDays, 21) &&
        drawn('It has lived here for under three weeks', 1.4),
    ],
    check: 'Does it eat in the dark, with nobody in the room?',
    change: 'A week of quiet: no hands, a cloth over the front.',
  },
  {
    id: 'company',
    signs: ['off-food'],
    what: 'Another one holds it off its food',
    prior: -1,
    evidence: (it) => [
      it.design.brief.count > 1 && drawn(`${it.design.brief.count} live together`, 1),
      it.design.brief.count === 1 && drawn('It lives alone', -5),
    ],
    check: 'Watch a meal; weigh each of them every week.',
    change: 'Feed apart, or give it an enclosure of its own.',
  },
  {
    id: 'uv-old',
    signs: ['listless', 'off-food'],
    what: 'It gets too little UV',
    prior: -0.8,
    evidence: (it) => [
      it.signs.has('listless') && seen('Too little UV shows in months: dull, weak, soft in the jaw', 0.5),
      ...uvEvidence(it),
    ],
    check:
      'Measure the UV index where it basks, at the height of its back. Look at the day its lamp was fitted.',
    change:
      'Replace a lamp past its use, or fit one that reaches what it needs; write the day down, and measure again.',
    vet: 'Call a veterinarian before anything else: what months without UV did to its bones no lamp mends by itself.',
    caution: 'electric',
  },
  {
    id: 'ill',
    signs: ['off-food', 'listless'],
    what: 'It may be ill: no surroundings explain it',
    prior: -0.6,
    evidence: (it) => {
      const refused = it.log.filter(
        (own) => own.kind === 'feed' && own.values.refused === true && !own.gone,
      ).length;
      const weights = it.log.filter((own) => own.kind === 'weight' && own.values.mass !== null && !own.gone);
      const best = Math.max(...weights.map((own) => own.values.mass ?? 0));
      const last = weights.at(-1)?.values.mass ?? null;
      return [
        it.signs.has('listless') && seen('A listless animal is often an ill one', 0.6),
        refused >= 4 && saw(`${refused} meals refused`, 1.2),
        last !== null &&
          last < 0.9 * best &&
          saw(`It weighs ${Math.round(100 * (1 - last / best))} % less than at its best`, 2),
      ];
    },
    check: 'Weigh it. Look at droppings, eyes, mouth and skin.',
    change: 'Take a fresh dropping to a veterinarian.',
    vet: 'A tenth of its weight lost, or no food for longer than its species goes without: call a veterinarian.',
    caution: 'hygiene',
  },
];
