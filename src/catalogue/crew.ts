import type { CrewKind, LitterKind } from '@/core/catalogue';
import { citedOr, estimated, practice } from './basis';
import { readTable, within } from './table';

/**
 * Crew: where they live, in what air and how many is what breeders say; births and deaths are set so that a culture grows as
 * it is told to; few are measured (Folsomia: Fountain & Hopkin 2005). Columns: scientific and English
 * name, group, habit, size (mm), mass (mg), temperature low-best-high (°C), water in the soil (% of the pores), depth
 * (cm), days as egg, as young and as adult, eggs or young a day of one adult, share (%) of young and of adults that sees
 * the next day, food a day (% of its mass, dry), diet (litter/waste/mould, %), most adults on a dm², adults to begin
 * with on a dm², share (%) an animal can meet, habits, region, animals in a culture, its price.
 */
const TABLE = `
Folsomia candida          | white springtail        | springtail | soil    | 2   | 0.15 | 6-22-30  | 45-95 | 1 | 9  | 16  | 110  | 6    | 97.5 | 99   | 30  | 10/10/80 | 250 | 40   | 35 |                    | europe          | 500 | 8
Sinella curviseta         | tropical springtail     | springtail | litter  | 2.5 | 0.2  | 12-25-33 | 40-90 | 1 | 7  | 14  | 70   | 4    | 97   | 98.5 | 30  | 15/10/75 | 200 | 40   | 50 |                    | east-asia       | 400 | 9
Orchesella villosa        | hairy springtail        | springtail | litter  | 4   | 0.8  | 5-18-26  | 35-85 | 1 | 14 | 45  | 120  | 1.2  | 97.5 | 98.8 | 20  | 25/10/65 | 80  | 20   | 60 | climbs             | europe          | 100 | 10
Bilobella braunerae       | orange springtail       | springtail | litter  | 2.5 | 0.6  | 14-24-29 | 55-95 | 1 | 10 | 30  | 100  | 1.2  | 97   | 98.8 | 20  | 10/5/85  | 60  | 20   | 60 |                    | mediterranean   | 60  | 12
Seira dagamae             | silver springtail       | springtail | surface | 2.5 | 0.3  | 16-27-36 | 10-50 | 1 | 9  | 22  | 80   | 2    | 96.5 | 98.5 | 25  | 20/10/70 | 80  | 30   | 70 |                    | africa          | 100 | 12
Trichorhina tomentosa     | dwarf white isopod      | isopod     | soil    | 4   | 1.5  | 15-25-31 | 40-85 | 3 | 30 | 70  | 240  | 0.16 | 99.4   | 99.5 | 6   | 70/20/10 | 80  | 4    | 20 |                    | south-america   | 25  | 9
Nagurus cristatus         | dwarf striped isopod    | isopod     | soil    | 6   | 4    | 15-25-31 | 40-85 | 3 | 30 | 80  | 260  | 0.14 | 99.4   | 99.5 | 5   | 70/20/10 | 45  | 3    | 40 |                    | southeast-asia  | 20  | 11
Porcellionides pruinosus  | powdery isopod          | isopod     | litter  | 10  | 22   | 12-26-33 | 25-75 | 3 | 24 | 75  | 300  | 0.28 | 99.4 | 99.5 | 5   | 65/25/10 | 18  | 2    | 70 |                    | mediterranean   | 20  | 10
Porcellio laevis          | smooth isopod           | isopod     | litter  | 18  | 130  | 12-25-32 | 25-75 | 5 | 28 | 110 | 500  | 0.35 | 99.4 | 99.6 | 4.5 | 55/30/15 | 6   | 1    | 75 | protein air        | mediterranean   | 15  | 10
Porcellio scaber          | rough isopod            | isopod     | wood    | 15  | 90   | 5-21-29  | 30-75 | 4 | 35 | 150 | 600  | 0.16 | 99.4 | 99.7 | 4   | 70/20/10 | 8   | 1    | 55 | air protein        | europe          | 15  | 8
Oniscus asellus           | common shiny isopod     | isopod     | wood    | 16  | 95   | 4-19-26  | 45-90 | 4 | 35 | 170 | 600  | 0.13 | 99.4 | 99.7 | 4   | 75/15/10 | 7   | 1    | 50 |                    | europe          | 12  | 9
Armadillidium vulgare     | common pill isopod      | isopod     | litter  | 16  | 120  | 5-22-31  | 20-65 | 5 | 35 | 200 | 800  | 0.15 | 99.4 | 99.8 | 3.5 | 80/15/5  | 7   | 1    | 65 | air                | mediterranean   | 12  | 8
Armadillidium maculatum   | spotted pill isopod     | isopod     | litter  | 14  | 110  | 10-23-30 | 25-70 | 5 | 35 | 190 | 800  | 0.13 | 99.4 | 99.8 | 3.5 | 80/15/5  | 7   | 1    | 65 | air                | mediterranean   | 10  | 14
Armadillidium nasatum     | nosed pill isopod       | isopod     | litter  | 16  | 110  | 8-23-30  | 25-70 | 5 | 33 | 170 | 700  | 0.18 | 99.4 | 99.7 | 3.8 | 75/18/7  | 8   | 1    | 60 | air                | mediterranean   | 12  | 10
Cubaris murina            | little sea isopod       | isopod     | wood    | 12  | 60   | 17-26-32 | 35-80 | 5 | 32 | 130 | 600  | 0.16 | 99.4 | 99.7 | 4   | 75/15/10 | 10  | 1    | 45 |                    | south-asia      | 10  | 14
Porcellio expansus        | giant flat isopod       | isopod     | surface | 25  | 350  | 10-22-29 | 15-55 | 5 | 40 | 260 | 1200 | 0.14 | 99.4 | 99.8 | 3   | 65/25/10 | 2   | 0.4  | 85 | protein air        | mediterranean   | 6   | 35
Tenebrio molitor          | yellow mealworm beetle  | beetle     | surface | 16  | 140  | 10-26-34 | 2-35  | 4 | 9  | 130 | 75   | 2.5  | 97.8 | 98.5 | 4   | 25/45/30 | 10  | 0.6  | 75 | protein            | mediterranean   | 100 | 5
Zophobas atratus          | giant mealworm beetle   | beetle     | surface | 32  | 650  | 17-27-35 | 8-50  | 8 | 9  | 150 | 150  | 1.5  | 97.8 | 99   | 3.5 | 25/45/30 | 4   | 0.3  | 70 | protein            | central-america | 50  | 7
Alphitobius diaperinus    | lesser mealworm beetle  | beetle     | litter  | 6   | 12   | 14-29-38 | 5-55  | 3 | 5  | 45  | 250  | 2    | 97.8   | 99   | 5   | 20/50/30 | 40  | 2    | 45 | protein escapes    | africa          | 150 | 6
Dermestes maculatus       | hide beetle             | beetle     | surface | 8   | 25   | 16-28-38 | 0-25  | 3 | 4  | 45  | 90   | 2    | 97.8   | 98.5 | 5   | 0/90/10  | 20  | 1    | 40 | protein escapes unwanted | mediterranean   | 60  | 10
Alphitobius laevigatus    | black fungus beetle     | beetle     | litter  | 5   | 10   | 15-28-36 | 10-60 | 3 | 6  | 50  | 200  | 1.5  | 97.8   | 99   | 5   | 25/40/35 | 40  | 2    | 40 | protein            | africa          | 80  | 8
Pycnoscelus surinamensis  | Surinam burrowing roach | roach      | soil    | 22  | 350  | 18-28-34 | 25-75 | 5 | 0  | 150 | 300  | 0.4  | 99.2 | 99.5 | 4   | 55/35/10 | 4   | 0.4  | 40 | escapes            | southeast-asia  | 20  | 9
Parcoblatta divisa        | wood roach              | roach      | wood    | 16  | 160  | 8-23-31  | 20-65 | 4 | 35 | 180 | 110  | 0.5  | 99.2 | 99   | 4   | 55/35/10 | 4   | 0.5  | 60 | escapes climbs air | north-america   | 12  | 16
Blaptica dubia            | spotted wood roach      | roach      | surface | 42  | 1900 | 18-29-36 | 10-55 | 5 | 0  | 170 | 500  | 0.3  | 99.2   | 99.7 | 3.5 | 30/60/10 | 1.2 | 0.15 | 60 | protein            | south-america   | 20  | 9
Euborellia annulipes      | ring-legged earwig      | earwig     | litter  | 12  | 35   | 12-25-33 | 25-75 | 4 | 14 | 80  | 200  | 0.5  | 98.2 | 99.3 | 5   | 20/80/0  | 8   | 0.6  | 45 | protein hunts      | mediterranean   | 10  | 14
Oxidus gracilis           | greenhouse millipede    | millipede  | litter  | 20  | 70   | 8-23-30  | 45-90 | 4 | 18 | 140 | 180  | 0.9  | 99.2 | 99.2 | 4   | 85/10/5  | 10  | 0.8  | 50 | unwanted           | east-asia       | 20  | 9
Anadenobolus monilicornis | bumblebee millipede     | millipede  | litter  | 70  | 1300 | 16-25-31 | 40-80 | 8 | 25 | 300 | 900  | 0.25 | 99.2 | 99.8 | 3   | 85/10/5  | 1   | 0.15 | 50 | climbs             | caribbean       | 8   | 20
Eisenia fetida            | compost worm            | worm       | soil    | 70  | 400  | 4-22-30  | 55-90 | 8 | 23 | 50  | 700  | 0.35 | 98.5 | 99.7 | 5   | 40/50/10 | 3   | 0.5  | 15 |                    | europe          | 100 | 9
Enchytraeus buchholzi     | white pot worm          | worm       | soil    | 8   | 1    | 5-20-27  | 60-95 | 3 | 12 | 22  | 80   | 1.2  | 96.5 | 98.5 | 12  | 20/60/20 | 150 | 10   | 8  |                    | europe          | 300 | 8
Subulina octona           | miniature awl snail     | snail      | litter  | 16  | 80   | 15-25-32 | 45-95 | 3 | 10 | 50  | 300  | 0.6  | 98.4   | 99.5 | 4   | 40/30/30 | 10  | 0    | 30 | unwanted           | caribbean       | 1   | 0
Zonitoides arboreus       | quick gloss snail       | snail      | litter  | 5   | 12   | 5-21-30  | 45-95 | 2 | 14 | 70  | 300  | 0.4  | 98.4   | 99.5 | 4   | 40/20/40 | 25  | 0    | 30 | unwanted           | north-america   | 1   | 0
`;

/**
 * Beetles that pupate, as breeders tell (common practice): days of it, soil (cm), how damp (% of the pores), and whether a larva must lie
 * by itself: crowded ones of the giant mealworm stay larvae.
 */
const PUPATES = `
Tenebrio molitor       | 9  | 2 | 2-35  |
Zophobas atratus       | 14 | 5 | 8-50  | alone
Alphitobius diaperinus | 6  | 2 | 5-55  |
Dermestes maculatus    | 7  | 2 | 0-25  |
Alphitobius laevigatus | 7  | 2 | 10-60 |
`;
const pupates = new Map(
  readTable(PUPATES, 5).map((cell) => [
    cell(0),
    practice({
      days: Number(cell(1)),
      depth: Number(cell(2)) / 100,
      wetness: within(cell(3), 0.01),
      alone: cell(4) === 'alone',
    }),
  ]),
);

/** What may not be kept or sold in places, since it runs wild where it gets out (from memory; the local authority decides). */
const INVASIVE: ReadonlySet<string> = new Set(['Blaptica dubia']);

/** Checklists that tell where every species of a group lives. */
const CHECKLIST: Readonly<Record<string, string>> = {
  springtail: 'bellinger-collembola',
  isopod: 'boyko-isopods',
};

export const crew: CrewKind[] = readTable(TABLE, 24).map((cell): CrewKind => {
  const [low = 0, best = 20, high = 30] = cell(6).split('-').map(Number);
  const [litter = 0, waste = 0, mould = 0] = cell(16)
    .split('/')
    .map((it) => Number(it) / 100);
  const ways = cell(20).split(' ');
  const numeric = (at: number, scale = 1): number => Math.round(Number(cell(at)) * scale * 1e9) / 1e9;
  const number = (at: number, rule: string, scale = 1) => estimated(numeric(at, scale), rule);
  // Its eggs and life as an adult were watched at 24 °C.
  const pupa = pupates.get(cell(0));
  const watched = cell(0) === 'Folsomia candida' ? 'fountain-hopkin-2005' : undefined;
  return {
    id: cell(0).toLowerCase().replaceAll(' ', '-'),
    english: cell(1),
    scientific: cell(0),
    group: cell(2) as CrewKind['group'],
    wanted: !ways.includes('unwanted'),
    habit: practice(cell(3) as CrewKind['habit']['value']),
    size: number(4, 'accounts', 1e-3),
    mass: number(5, 'volume', 1e-6),
    temperature: practice({ low, best, high }),
    wetness: practice(within(cell(7), 0.01)),
    depth: practice(numeric(8, 0.01)),
    eggDays: citedOr(numeric(9), watched, 'kin'),
    youngDays: citedOr(numeric(10), watched, 'kin'),
    adultDays: citedOr(numeric(11), watched, 'kin'),
    bears: number(12, 'doubling'),
    youngKeep: number(13, 'doubling', 0.01),
    adultKeep: number(14, 'doubling', 0.01),
    eats: number(15, 'kin', 0.01),
    diet: practice({ litter, waste, mould }),
    crowd: practice(Number(cell(17)) * 100),
    start: practice(Number(cell(18)) * 100),
    exposed: practice(numeric(19, 0.01)),
    protein: ways.includes('protein'),
    ...(ways.includes('hunts') ? { hunts: true } : {}),
    climbs: ways.includes('climbs'),
    escapes: ways.includes('escapes'),
    air: ways.includes('air'),
    region: citedOr(cell(21) as CrewKind['region']['value'], CHECKLIST[cell(2)], 'accounts'),
    ...(pupa ? { pupates: pupa } : {}),
    culture: practice(Number(cell(22))),
    ...(INVASIVE.has(cell(0)) ? { legal: ['invasive' as const] } : {}),
    price: practice(Number(cell(23))),
  };
});

/**
 * Leaves and wood. k of Olson’s equation at 20 °C and moist, near what is told of temperate woods warmed up.
 * Columns: name, sort, k (1/year), mould, what to know.
 */
const LITTERS = `
oak leaves           | leaf | 0.9  | little | tough, lasts, the everyday litter
beech leaves         | leaf | 0.7  | little | thin but slow; lies flat and hides small crew
birch leaves         | leaf | 1.6  | some   | small, soon eaten; good first food for young isopods
alder leaves         | leaf | 2.4  | some   | rich, gone within a year; for hungry crews
maple leaves         | leaf | 1.8  | some   | large and soft; mats when wet
hazel leaves         | leaf | 2.0  | some   | soft, eaten first
sweet chestnut leaves| leaf | 1.0  | little | large, stiff, makes hollow layers to hide in
magnolia leaves      | leaf | 0.6  | little | leathery, holds its shape a year and more
sea almond leaves    | leaf | 1.5  | some   | tints water; used in pools and on soil
bamboo leaves        | leaf | 1.1  | some   | light and loose; for dry and half-dry enclosures
guava leaves         | leaf | 1.3  | little | stiff and scented; slow to mould
rotten white wood    | wood | 0.6  | some   | food for millipedes, beetles and isopods
hardwood branches    | wood | 0.15 | much   | fresh, they mould for weeks; it passes
cork bark            | wood | 0.03 | little | hardly decays; shelter, not food
`;

export const litters: LitterKind[] = readTable(LITTERS, 5).map((cell) => ({
  id: cell(0).replaceAll(' ', '-'),
  english: cell(0),
  sort: cell(1) as LitterKind['sort'],
  decay: estimated(Number(cell(2)), 'decay-warmed'),
  mould: practice(cell(3) as LitterKind['mould']['value']),
  note: cell(4),
}));
