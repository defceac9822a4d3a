import type { Animal } from '@/core/catalogue';
import { estimated, practice } from './basis';
import { readTable, within } from './table';

/**
 * Sexes that differ. Columns: scientific name; length (cm), mass (g) and years of a female, and of a male. Between what
 * accounts of the species tell; years are given where one sex lives much longer.
 */
const SEXES = `
Anolis carolinensis    | 12-16   | 3-5        |    | 15-20   | 4-8       |
Anolis equestris       | 35-44   | 50-80      |    | 40-50   | 70-110    |
Furcifer pardalis      | 25-35   | 60-110     | 4  | 35-50   | 110-180   | 6
Chamaeleo calyptratus  | 30-42   | 90-140     | 5  | 40-60   | 120-200   | 7
Basiliscus plumifrons  | 50-65   | 150-220    |    | 60-75   | 200-300   |
Physignathus cocincinus | 60-78  | 250-400    |    | 70-95   | 350-600   |
Eryx colubrinus        | 60-80   | 250-700    |    | 40-55   | 80-150    |
Thamnophis sirtalis    | 60-100  | 120-250    |    | 50-70   | 80-130    |
Heterodon nasicus      | 55-90   | 180-350    |    | 40-60   | 80-160    |
Python regius          | 110-150 | 1500-2200  |    | 90-120  | 1200-1500 |
Boa imperator          | 170-250 | 4000-10000 |    | 140-190 | 2500-4500 |
Epicrates cenchria     | 140-200 | 2000-4500  |    | 120-165 | 1500-2500 |
Morelia spilota        | 180-250 | 3000-6000  |    | 150-200 | 2000-3500 |
Boaedon fuliginosus    | 80-110  | 200-500    |    | 60-80   | 100-200   |
Testudo hermanni       | 14-20   | 700-2000   |    | 12-16   | 400-900   |
Testudo horsfieldii    | 15-20   | 800-1800   |    | 13-16   | 500-900   |
Pyxicephalus adspersus | 10-14   | 150-400    |    | 16-23   | 600-1400  |
Ceratophrys cranwelli  | 10-13   | 250-500    |    | 8-10    | 150-250   |
Dyscophus guineti      | 8-9.5   | 100-200    |    | 6-7     | 40-70     |
Agalychnis callidryas  | 6-7.5   | 9-15       |    | 4.5-5.5 | 5-8       |
Pelobatrachus nasutus  | 10-14   | 80-150     |    | 7-10    | 30-60     |
Tliltocatl albopilosus | 5-7     | 12-25      | 18 | 5-6     | 10-15     | 5
Brachypelma hamorii    | 5.5-7.5 | 15-30      | 25 | 5-6.5   | 12-18     | 7
Caribena versicolor    | 4.5-6   | 8-15       | 12 | 4-5     | 6-9       | 3
Phidippus regius       | 1.2-2.2 | 0.5-1      | 2  | 0.8-1.6 | 0.2-0.5   | 1.2
Hierodula membranacea  | 8-9     | 5-8        | 1  | 7-8     | 3-4.5     | 0.7
Extatosoma tiaratum    | 11-15   | 15-25      | 1.5 | 8-11   | 3-5       | 0.8
Phyllium philippinicum | 6.5-8   | 5-8        | 1.5 | 5-6    | 3-4       | 0.6
`;

/** The greatest free height, cm, over the ground of those that a fall can kill (common practice). */
const FALLS: Readonly<Record<string, number>> = {
  'Brachypelma hamorii': 20,
  'Tliltocatl albopilosus': 20,
  'Pandinus imperator': 30,
  'Archispirostreptus gigas': 40,
  'Ceratophrys cranwelli': 40,
  'Pyxicephalus adspersus': 50,
};

/** Water that is lived in, °C and cm deep at the most: as keepers keep it (common practice). */
const POOLS = `
Theloderma corticale    | 18-25 | 5-15
Cynops orientalis       | 12-22 | 8-30
Bombina orientalis      | 16-25 | 5-15
Pleurodeles waltl       | 12-24 | 12-40
Geosesarma dennerle     | 22-28 | 3-10
`;

/** Colour forms whose eyes and skin bear less light, as breeders tell (common practice). */
const LIGHT_FORMS: Readonly<Record<string, string>> = {
  'Eublepharis macularius': 'albino and pale-eyed forms',
  'Hemitheconyx caudicinctus': 'albino (amelanistic) forms',
  'Pogona vitticeps': 'see-through (“trans”), scaleless and all-white forms',
  'Pantherophis guttatus': 'amelanistic forms',
  'Lampropeltis californiae': 'albino forms',
  'Heterodon nasicus': 'albino forms',
  'Thamnophis sirtalis': 'albino forms',
  'Python regius': 'albino and other pale forms with red eyes',
  'Boa imperator': 'albino forms',
  'Morelia spilota': 'albino forms',
  'Epicrates cenchria': 'albino forms',
  'Tiliqua scincoides': 'albino forms',
  'Dyscophus guineti': 'albino forms',
  'Ceratophrys cranwelli': 'albino forms',
  'Ranoidea caerulea': 'blue-eyed and albino forms',
  'Pleurodeles waltl': 'albino and leucistic forms',
  'Pyxicephalus adspersus': 'albino forms',
};

const sexes = new Map(readTable(SEXES, 7).map((cell) => [cell(0), cell] as const));
const pools = new Map(readTable(POOLS, 3).map((cell) => [cell(0), cell] as const));

/** What is told of a body beyond its row: sexes, falls, its water and forms that bear less light. */
export function bodyOf(scientific: string): Pick<Animal, 'sexes' | 'fall' | 'pool' | 'lightSensitive'> {
  const cell = sexes.get(scientific);
  const body = (from: number) => ({
    length: within(cell?.(from) ?? '', 0.01),
    mass: within(cell?.(from + 1) ?? '', 0.001),
    ...(cell?.(from + 2) ? { years: Number(cell(from + 2)) } : {}),
  });
  const fall = FALLS[scientific];
  const pool = pools.get(scientific);
  const forms = LIGHT_FORMS[scientific];
  return {
    ...(cell ? { sexes: estimated({ female: body(1), male: body(4) }, 'accounts') } : {}),
    ...(fall === undefined ? {} : { fall: practice(fall / 100) }),
    ...(pool ? { pool: practice({ temperature: within(pool(1)), depth: within(pool(2), 0.01) }) } : {}),
    ...(forms ? { lightSensitive: practice(forms) } : {}),
  };
}
