import { type Feeder, FEEDER_SORTS } from '@/core/living';
import { cited, estimated, practice } from './basis';
import { readTable, within } from './table';

/**
 * Feeders: how they are kept is common practice. The pace of one is cited; of the others it is a straight line through the
 * times keepers give at two temperatures. Columns: scientific and English name, sort, size of those that are fed (mm),
 * breeds between (°C), stands still at (°C), degree days until the first can be fed, days it gives, days until the next
 * is started, days between splits, days between feedings, one tub gives a day, marks (a: allergen, e: escapes).
 */
const TABLE = `
Drosophila melanogaster    | small fruit fly, flightless  | fly     | 1.8-2.5 | 18-29 | 10.5 | 165  | 18 | 7  |     |    | 50  | e
Drosophila hydei           | large fruit fly, flightless  | fly     | 2.8-3.8 | 18-28 | 10   | 280  | 24 | 10 |     |    | 28  | e
Musca domestica            | house fly                    | fly     | 6-8     | 20-32 | 11   | 230  | 14 | 7  |     | 2  | 40  | e
Hermetia illucens          | black soldier fly            | fly     | 3-20    | 24-32 | 13   | 380  | 20 | 14 |     | 3  | 30  |
Acheta domesticus          | house cricket                | cricket | 2-25    | 24-33 | 17   | 790  | 30 | 21 |     | 2  | 25  | ae
Gryllodes sigillatus       | banded cricket               | cricket | 2-20    | 24-33 | 17   | 750  | 35 | 21 |     | 2  | 25  | ae
Gryllus bimaculatus        | two-spotted field cricket    | cricket | 2-30    | 24-33 | 16   | 770  | 30 | 21 |     | 2  | 25  | a
Locusta migratoria         | migratory locust             | cricket | 8-60    | 27-36 | 18   | 590  | 25 | 21 |     | 1  | 12  | a
Blaptica dubia             | orange-spotted roach         | roach   | 4-45    | 23-32 | 18   | 825  |    |    | 240 | 4  | 8   | a
Periplaneta lateralis      | red runner roach             | roach   | 3-30    | 22-32 | 17   | 720  |    |    | 180 | 4  | 15  | ae
Tenebrio molitor           | mealworm                     | beetle  | 5-28    | 18-30 | 12   | 1260 |    |    | 120 | 7  | 15  | a
Zophobas atratus           | superworm                    | beetle  | 15-55   | 22-32 | 14   | 1400 |    |    | 180 | 7  | 6   | a
Alphitobius diaperinus     | lesser mealworm              | beetle  | 3-11    | 22-33 | 15   | 520  |    |    | 90  | 5  | 30  | ae
Callosobruchus maculatus   | bean beetle                  | beetle  | 2.5-3.5 | 20-32 | 14   | 390  | 21 | 14 |     |    | 25  | e
Galleria mellonella        | greater wax moth             | moth    | 5-28    | 24-34 | 17   | 500  | 25 | 21 |     | 14 | 10  | a
Bombyx mori                | silkworm                     | moth    | 4-70    | 22-29 | 11   | 390  | 20 | 30 |     | 1  | 10  |
Enchytraeus buchholzi      | grindal worm                 | worm    | 4-10    | 17-27 | 8    | 300  |    |    | 60  | 3  | 100 |
Enchytraeus albidus        | white worm                   | worm    | 15-35   | 8-20  | 4    | 420  |    |    | 90  | 4  | 50  |
Eisenia fetida             | compost worm                 | worm    | 20-90   | 12-27 | 8    | 1080 |    |    | 180 | 7  | 4   |
Folsomia candida           | white springtail             | small   | 0.5-2.5 | 14-26 | 6    | 420  |    |    | 90  | 5  | 200 |
Trichorhina tomentosa      | dwarf white isopod           | small   | 1-4     | 20-29 | 12   | 720  |    |    | 150 | 7  | 8   |
Daphnia magna              | great water flea             | water   | 1-4     | 12-25 | 5    | 210  |    |    | 30  | 2  | 60  |
Artemia franciscana        | brine shrimp, freshly hatched | water  | 0.4-0.5 | 22-30 | 10   | 17   | 2  | 2  |     |    | 5000 |
`;

/** What each lives on, and in what. */
const FOOD: Readonly<Record<string, string>> = {
  'Drosophila melanogaster': 'mash of fruit, yeast and flakes, filled once, with wood wool over it',
  'Drosophila hydei': 'mash of fruit, yeast and flakes, filled once, with wood wool over it',
  'Musca domestica': 'maggots in moist bran with milk powder; flies on sugar and water',
  'Hermetia illucens': 'moist bran and vegetable scraps, in a shallow layer',
  'Acheta domesticus': 'bran, greens, a damp pad to drink; egg cartons to hide, moist sand to lay in',
  'Gryllodes sigillatus': 'bran, greens, a damp pad to drink; egg cartons to hide, moist sand to lay in',
  'Gryllus bimaculatus': 'bran, greens, a damp pad to drink; egg cartons to hide, moist sand to lay in',
  'Locusta migratoria': 'fresh grass and wheat, bran; a cup of moist sand to lay in, a lamp by day',
  'Blaptica dubia': 'dry food of grain, fruit and roots, water gel; egg cartons on end, warm and dark',
  'Periplaneta lateralis': 'dry food of grain, fruit and roots, water gel; egg cartons on end',
  'Tenebrio molitor': 'bran a few fingers deep, a slice of carrot to drink; beetles and pupae apart',
  'Zophobas atratus': 'bran with leaf litter, carrot; larvae one by one to pupate',
  'Alphitobius diaperinus': 'bran and a little fish food, carrot',
  'Callosobruchus maculatus': 'dry black-eyed beans, nothing else, no water',
  'Galleria mellonella': 'bran with honey, glycerol and wax, dark',
  'Bombyx mori': 'mulberry leaves or chow, daily, nothing wet',
  'Enchytraeus buchholzi': 'oat flakes or fish food on moist coir, under a pane',
  'Enchytraeus albidus': 'oat flakes or soaked bread on moist, cool soil',
  'Eisenia fetida': 'kitchen scraps and cardboard in moist bedding, no citrus',
  'Folsomia candida': 'yeast or rice grains on damp charcoal or plaster',
  'Trichorhina tomentosa': 'leaf litter, fish food, moist soil with lime',
  'Daphnia magna': 'green water or yeast, a little at a time, in aged water',
  'Artemia franciscana': 'eggs in salt water with air; hatched in a day, rinsed before feeding',
};

const NOTE: Readonly<Record<string, string>> = {
  'Acheta domesticus':
    'Adults gnaw at sleeping animals: none stays overnight. A virus empties whole stocks: breed from a second source.',
  'Gryllodes sigillatus': 'Climbs glass a little; adults gnaw at sleeping animals.',
  'Gryllus bimaculatus': 'Bites, and gnaws at sleeping animals.',
  'Locusta migratoria': 'Kicks with spined legs: pinch them off for small animals.',
  'Hermetia illucens': 'Rich in calcium by itself. Its last larvae are swallowed whole and leave whole.',
  'Tenebrio molitor': 'Little calcium, much chitin: one food of several.',
  'Zophobas atratus': 'Fat, and bites: freshly moulted, or the head pinched.',
  'Alphitobius diaperinus': 'Gnaws at foam and at animals at rest: none escapes.',
  'Galleria mellonella': 'Mostly fat: a treat, or to fatten what is thin. Larvae gnaw through plastic.',
  'Callosobruchus maculatus': 'No use to what needs moving prey in the air; cannot be fed before, so dusted.',
  'Trichorhina tomentosa': 'Its shell holds calcium.',
  'Artemia franciscana': 'For larvae of frogs and newts; gives for two days.',
};

/** The work that gives how fast it develops, recalled from there. */
const PACE: Readonly<Record<string, string>> = {
  'Drosophila melanogaster': 'ashburner-1989',
};

const daysOr = (text: string): number | null => (text === '' ? null : Number(text));

export const feeders: readonly Feeder[] = readTable(TABLE, 13).map((cell): Feeder => {
  const scientific = cell(0);
  const pace = { zero: Number(cell(5)), degreeDays: Number(cell(6)) };
  const work = PACE[scientific];
  const sort = FEEDER_SORTS.find((it) => it === cell(2));
  const food = FOOD[scientific];
  if (!sort || !food) throw new Error(`no sort or food for ${scientific}`);
  return {
    id: scientific.toLowerCase().replace(' ', '-'),
    english: cell(1),
    scientific,
    sort,
    size: practice(within(cell(3), 0.001)),
    food,
    temperature: practice(within(cell(4))),
    pace: work ? cited(pace, work) : estimated(pace, 'degree-days'),
    givesFor: practice(daysOr(cell(7))),
    nextAfter: practice(daysOr(cell(8))),
    splitEvery: practice(daysOr(cell(9))),
    feedEvery: practice(daysOr(cell(10))),
    givesADay: practice(Number(cell(11))),
    allergen: cell(12).includes('a'),
    escapes: cell(12).includes('e'),
    note: NOTE[scientific] ?? '',
  };
});
