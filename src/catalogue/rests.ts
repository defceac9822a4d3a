import type { Life } from '@/core/catalogue';
import { practice } from './basis';
import { readTable, within } from './table';

/**
 * Winter rest, as keepers lead it. Columns: scientific name; whether it is needed, usual, or only led for breeding; weeks
 * from cooling to warming; °C while it rests; hours of light. All of it common practice: no source is claimed. How long and how cold
 * differs by where a line comes from, and young, thin or sick animals do not rest: a veterinarian looks at them before.
 */
const TABLE = `
Testudo hermanni           | needed   | 12-18 | 4-8   | 0
Testudo horsfieldii        | needed   | 12-18 | 4-8   | 0
Terrapene carolina         | needed   | 10-14 | 4-9   | 0
Anaxyrus americanus        | usual    | 8-12  | 4-8   | 0
Salamandra salamandra      | needed   | 8-14  | 4-10  | 8
Ambystoma tigrinum         | usual    | 8-12  | 4-10  | 8
Ambystoma opacum           | usual    | 8-12  | 4-10  | 8
Plethodon cinereus         | usual    | 8-12  | 4-10  | 8
Cynops orientalis          | usual    | 8-12  | 6-12  | 8
Tylototriton verrucosus    | usual    | 8-12  | 8-14  | 8
Pleurodeles waltl          | breeding | 6-10  | 8-14  | 8
Bombina orientalis         | usual    | 8-10  | 6-12  | 8
Dryophytes cinereus        | breeding | 6-8   | 8-14  | 8
Thamnophis sirtalis        | usual    | 8-12  | 6-12  | 0
Heterodon nasicus          | usual    | 8-14  | 6-13  | 0
Lampropeltis californiae   | breeding | 8-12  | 9-14  | 0
Lampropeltis polyzona      | breeding | 8-10  | 13-17 | 6
Pantherophis guttatus      | breeding | 8-12  | 9-14  | 0
Opheodrys aestivus         | breeding | 8-10  | 9-14  | 6
Lichanura trivirgata       | breeding | 8-12  | 9-15  | 0
Gonyosoma boulengeri       | usual    | 8-10  | 12-17 | 8
Crotaphytus collaris       | needed   | 8-12  | 8-15  | 6
Pogona vitticeps           | usual    | 6-12  | 15-20 | 6
Pogona henrylawsoni        | usual    | 6-10  | 15-20 | 6
Uromastyx geyri            | usual    | 6-8   | 15-20 | 8
Chalcides ocellatus        | usual    | 8-10  | 10-16 | 6
Tiliqua scincoides         | usual    | 6-10  | 13-19 | 8
Eublepharis macularius     | usual    | 6-10  | 14-19 | 8
Coleonyx variegatus        | usual    | 8-10  | 11-16 | 8
Teratoscincus scincus      | needed   | 8-12  | 7-13  | 6
Stenodactylus sthenodactylus | breeding | 6-8 | 14-18 | 8
Goniurosaurus hainanensis  | usual    | 6-10  | 14-18 | 8
Takydromus sexlineatus     | breeding | 6-8   | 12-17 | 8
Anolis carolinensis        | usual    | 6-10  | 10-17 | 8
Sceloporus malachiticus    | usual    | 6-8   | 12-17 | 8
Abronia graminea           | usual    | 6-10  | 8-15  | 8
Cuora flavomarginata       | usual    | 8-10  | 8-14  | 6
Geoemyda spengleri         | usual    | 6-10  | 12-16 | 8
`;

/** The winter rest of a species, by its scientific name; nothing of those that have none. */
export const REST: ReadonlyMap<string, NonNullable<Life['rest']>> = new Map(
  readTable(TABLE, 5).map((cell) => [
    cell(0),
    practice({
      need: cell(1) as NonNullable<Life['rest']>['value']['need'],
      weeks: within(cell(2)),
      temperature: within(cell(3)),
      light: Number(cell(4)),
    }),
  ]),
);

/**
 * °C of the air beyond which hours do harm, of species that keepers tell it of (common practice). What kills at once lies higher.
 */
const HEAT: Readonly<Record<string, number>> = {
  'Salamandra salamandra': 23,
  'Plethodon cinereus': 22,
  'Ambystoma tigrinum': 25,
  'Ambystoma opacum': 24,
  'Cynops orientalis': 25,
  'Tylototriton verrucosus': 26,
  'Pleurodeles waltl': 27,
  'Mantella aurantiaca': 27,
  'Theloderma corticale': 28,
  'Bombina orientalis': 28,
  'Dendrobates tinctorius': 30,
  'Dendrobates auratus': 30,
  'Dendrobates leucomelas': 31,
  'Phyllobates terribilis': 28,
  'Epipedobates anthonyi': 29,
  'Ranitomeya imitator': 29,
  'Ranitomeya variabilis': 29,
  'Oophaga pumilio': 30,
  'Correlophus ciliatus': 30,
  'Rhacodactylus leachianus': 30,
  'Rhacodactylus auriculatus': 31,
  'Uroplatus phantasticus': 27,
  'Uroplatus fimbriatus': 29,
  'Goniurosaurus hainanensis': 30,
  'Rieppeleon brevicaudatus': 28,
  'Trioceros jacksonii': 30,
  'Abronia graminea': 28,
};
export const heatOf = (scientific: string): number | undefined => HEAT[scientific];
