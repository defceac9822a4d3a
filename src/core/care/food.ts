import type { Animal } from '../catalogue';
import { after, daily, type When } from './rule';

/** What an animal is fed, how often, and with what on it. All of it is common practice of keepers; no source is claimed. */
export interface Feeding {
  readonly when: When;
  /** How much, and of what. */
  readonly words: string;
  /** What to watch for in this food; empty: what goes for all. */
  readonly watch: string;
  /** Days between two dustings with calcium, and with vitamins; null: none. */
  readonly calcium: number | null;
  readonly vitamins: number | null;
  /** It is fed live insects, which are fed themselves. */
  readonly feeders: boolean;
}

type Diet = NonNullable<Animal['growing']>['diet']['value'];
type Row = Omit<Feeding, 'when' | 'watch'> & {
  /** When grown, and while it grows. */
  readonly grown: When;
  readonly young: When;
  readonly watch?: string;
};

const GAP = 'no wider than the gap between the eyes';

const ROWS: Readonly<Record<Diet, Row>> = {
  'tiny insects': {
    grown: daily(),
    young: daily(),
    words: 'as many flies or springtails as are gone in a quarter of an hour',
    calcium: 2,
    vitamins: 14,
    feeders: true,
  },
  insects: {
    grown: daily(3),
    young: daily(),
    words: `insects ${GAP}`,
    calcium: 4,
    vitamins: 14,
    feeders: true,
  },
  'insects, seldom': {
    grown: after(10),
    young: after(4),
    words: 'one insect, no longer than its body',
    watch: 'It may refuse for weeks before a moult: then nothing living stays with it.',
    calcium: null,
    vitamins: null,
    feeders: true,
  },
  'insects and fruit': {
    grown: daily(2),
    young: daily(2),
    words: `prepared diet, one part to two of water; once a week insects ${GAP}`,
    watch: 'A prepared diet is taken out after a day and a half.',
    calcium: 7,
    // The prepared diet holds them.
    vitamins: null,
    feeders: true,
  },
  'insects and plants': {
    grown: daily(),
    young: daily(),
    words: `greens daily; every second day insects ${GAP}, for young ones daily`,
    calcium: 4,
    vitamins: 14,
    feeders: true,
  },
  'insects and vertebrates': {
    grown: after(7),
    young: after(3),
    words: 'earthworms, large insects, now and then a thawed mouse, no wider than its head',
    watch: 'Overfed it grows fat, and fat shortens its life.',
    calcium: 7,
    vitamins: 14,
    feeders: true,
  },
  'worms and water animals': {
    grown: daily(3),
    young: daily(),
    words: 'earthworms whole or in pieces, bloodworms, small crustaceans, as much as is gone in half an hour',
    watch: 'What is left in the water fouls it: it is taken out the same day.',
    // Powder washes off in water, and worms hold calcium of their own.
    calcium: null,
    vitamins: null,
    feeders: false,
  },
  'fish and worms': {
    grown: after(5),
    young: after(2),
    words: 'earthworms, thawed fish or mice, no thicker than its body at its widest',
    watch:
      'Goldfish, minnows and smelt destroy vitamin B1 (thiaminase): never as its daily food. What is frozen is thawed in the refrigerator.',
    calcium: null,
    vitamins: null,
    feeders: false,
  },
  vertebrates: {
    grown: after(14),
    young: after(7),
    words: 'one, no thicker than its body at its widest',
    watch:
      'Thawed in the refrigerator, warmed in a bag in warm water, given with tongs, and hands washed. It refuses before a shed.',
    calcium: null,
    vitamins: null,
    feeders: false,
  },
  plants: {
    grown: daily(),
    young: daily(),
    words: 'weeds and leaves, as much as its shell is large',
    watch: 'Meadow plants before vegetables, and hardly any fruit; nothing from roadsides or sprayed ground.',
    calcium: 3,
    vitamins: 30,
    feeders: false,
  },
  mixed: {
    grown: daily(2),
    young: daily(),
    words: 'varied: worms, insects, leaves, mushrooms, some fruit; what is gone in a night',
    calcium: 4,
    vitamins: 14,
    feeders: false,
  },
  litter: {
    grown: after(14),
    young: after(14),
    words: 'leaf litter and rotten wood, before the last of it is gone',
    watch: 'A piece of limestone or cuttlebone stays in its soil for its shell.',
    calcium: null,
    vitamins: null,
    feeders: false,
  },
  leaves: {
    grown: after(2),
    young: after(2),
    words: 'fresh twigs in a narrow vase, before the last of them is gone',
    watch:
      'Nothing sprayed, nothing from a roadside; the vase is closed around the stems, or young ones drown.',
    calcium: null,
    vitamins: null,
    feeders: false,
  },
};

/** What has no bones is fed otherwise, by the same name: nothing on its food, and none of it for days around a moult. */
const BONELESS: Partial<Readonly<Record<Diet, Partial<Row>>>> = {
  insects: {
    grown: after(4),
    young: after(2),
    words: 'one live insect, no longer than its body; flies for what waits on twigs or leaps',
    watch: 'It may refuse for days before a moult: then nothing living stays with it.',
    calcium: null,
    vitamins: null,
  },
  mixed: {
    words: 'fallen leaves, vegetables, some fruit, a little dry food with protein; fresh after a day',
    watch: 'For its shell a piece of cuttlebone stays with it.',
    calcium: null,
    vitamins: null,
  },
};

/** How an animal is fed, by what it eats, what it is, and whether it still grows. */
export function feedingOf(animal: Animal, young: boolean): Feeding {
  const diet = animal.growing?.diet.value ?? 'insects';
  const own = animal.kind === 'invertebrate' ? { ...ROWS[diet], ...BONELESS[diet] } : ROWS[diet];
  const { grown, young: growing, watch = '', ...row } = own;
  // Day-active lizards eat every other day when grown, geckos and frogs every third.
  const every = diet === 'insects' && animal.kind === 'lizard' ? daily(2) : grown;
  const words =
    diet === 'plants' && animal.kind !== 'tortoise'
      ? 'weeds and leaves, and some seeds, as much as its body is large'
      : row.words;
  return { ...row, words, watch, when: young ? growing : every };
}

/** Animals so small, and so ill to catch, that a scale does them more harm than it tells: kg. */
const TOO_SMALL = 0.005;

/** Whether an animal is weighed: not one that is never handled and weighs next to nothing (common practice). */
export const isWeighed = (animal: Animal): boolean =>
  animal.kind !== 'invertebrate' &&
  !(animal.growing?.handling.value === 'never' && animal.mass.value.high < TOO_SMALL);
