import type { Animal, Legal, Life, RegionName } from '@/core/catalogue';
import { citedOr, estimated, practice } from './basis';
import { broodWork, incubationWork, regionWork, youngWork } from './cite';
import { LAYING } from './laying';
import { REST } from './rests';
import { readTable, within } from './table';

/**
 * How each species grows, breeds and is kept: cited where a work is recalled (see cite.ts), else practice or estimated. Columns: scientific name, length hatched (cm), months to adult,
 * years it may live, young, number of eggs or young, where it lays, incubation (°C, days), sexes that go together,
 * handling, diet, who fights or eats whom, law.
 */
const TABLE = `
Theloderma corticale         | 1.5 | 14  | 10  | spawn | 8-20       | on wood or bark just over the water             | 20-23 | 10-20   | any      | rarely | insects                 |                    |
Dendrobates tinctorius       | 1.3 | 12  | 15  | spawn | 4-10       | on a smooth leaf or dish under cover            | 22-25 | 12-16   | pair     | never  | tiny insects            | females            | permit
Goniurosaurus hainanensis    | 7   | 14  | 12  | eggs  | 2-2        | in a moist hide                                 | 25-28 | 55-75   | pair     | rarely | insects                 | males              | permit
Hemitheconyx caudicinctus    | 6   | 12  | 15  | eggs  | 2-2        | in a moist hide                                 | 28-31 | 50-70   | alone    | weekly | insects                 | males              |
Correlophus ciliatus         | 7   | 16  | 20  | eggs  | 2-2        | in a tub of moist moss or soil                  | 22-26 | 60-100  | alone    | weekly | insects and fruit       | males              |
Anolis carolinensis          | 5   | 9   | 5   | eggs  | 1-1        | in damp soil or moss, one at a time             | 25-29 | 30-45   | one male | rarely | insects                 | males              | invasive
Pogona vitticeps             | 9   | 16  | 10  | eggs  | 15-30      | in 20 to 30 cm of damp sand and soil            | 27-30 | 55-75   | alone    | often  | insects and plants      | males eats-small   |
Teratoscincus scincus        | 6   | 16  | 12  | eggs  | 2-2        | buried in damp sand                             | 28-31 | 70-95   | alone    | never  | insects                 | males              |
Varanus acanthurus           | 15  | 20  | 15  | eggs  | 6-16       | in a deep damp den                              | 28-30 | 85-130  | alone    | weekly | insects                 | males eats-small   | permit
Eryx colubrinus              | 18  | 30  | 20  | live  | 5-20       | a moist hide for the mother                     |       |         | alone    | weekly | vertebrates             | eats-small         | permit
Pantherophis guttatus        | 25  | 30  | 25  | eggs  | 8-25       | in a tub of damp moss                           | 26-29 | 55-70   | alone    | often  | vertebrates             | feeding            |
Cynops orientalis            | 4   | 24  | 12  | spawn | 60-100     | wrapped singly in water plants                  | 16-20 | 15-25   | any      | never  | worms and water animals | feeding            | permit injurious
Ranitomeya imitator          | 0.8 | 10  | 8   | spawn | 2-4        | in film cups or plant cups                      | 21-24 | 10-16   | pair     | never  | tiny insects            | females            | permit
Agalychnis callidryas        | 1.8 | 14  | 6   | spawn | 30-70      | under a leaf over water                         | 22-25 | 6-10    | any      | never  | insects                 |                    | permit
Ceratophrys cranwelli        | 2.5 | 18  | 10  | spawn | 500-2000   | in shallow water after a dry rest               | 24-27 | 2-4     | alone    | rarely | insects and vertebrates | eats-small         |
Bombina orientalis           | 1.3 | 12  | 20  | spawn | 40-200     | in shallow water among plants                   | 20-24 | 3-8     | any      | never  | insects                 | feeding            |
Ambystoma tigrinum           | 8   | 24  | 20  | spawn | 25-100     | in cold standing water                          | 10-15 | 20-50   | alone    | rarely | worms and water animals | eats-small         | permit
Lepidodactylus lugubris      | 3.5 | 9   | 8   | eggs  | 2-2        | glued in a crack or bamboo                      | 24-28 | 65-100  | females  | never  | insects and fruit       | eats-small         | invasive
Phelsuma grandis             | 6   | 14  | 12  | eggs  | 2-2        | in a bamboo tube                                | 27-29 | 48-60   | pair     | never  | insects and fruit       | males females      | permit invasive
Eublepharis macularius       | 8   | 12  | 25  | eggs  | 2-2        | in a moist hide                                 | 26-31 | 45-65   | alone    | often  | insects                 | males              |
Chalcides ocellatus          | 8   | 18  | 12  | live  | 4-12       | a cool moist corner for the mother              |       |         | alone    | rarely | insects                 | males eats-small   | permit
Lampropeltis californiae     | 25  | 30  | 18  | eggs  | 5-12       | in a tub of damp moss                           | 26-29 | 55-70   | alone    | weekly | vertebrates             | eats-small feeding | invasive
Thamnophis sirtalis          | 17  | 24  | 10  | live  | 10-30      | a warm hide for the mother                      |       |         | any      | weekly | fish and worms          | feeding            | permit
Furcifer pardalis            | 6   | 10  | 6   | eggs  | 15-40      | in 20 to 30 cm of damp soil, in a tunnel        | 24-28 | 160-280 | alone    | never  | insects                 | males females      | permit
Dendrobates auratus          | 1.2 | 12  | 10  | spawn | 4-9        | on a smooth leaf or dish under cover            | 22-25 | 12-16   | any      | never  | tiny insects            | females            | permit
Phyllobates terribilis       | 1.4 | 14  | 10  | spawn | 8-18       | on a smooth dish under cover                    | 22-25 | 12-16   | any      | never  | tiny insects            |                    | permit
Epipedobates anthonyi        | 1   | 9   | 7   | spawn | 10-30      | on a smooth leaf                                | 22-25 | 11-15   | any      | never  | tiny insects            | males              | permit
Ranoidea caerulea            | 2   | 20  | 16  | spawn | 200-1500   | in shallow still water                          | 24-28 | 1-3     | any      | rarely | insects                 | eats-small         |
Dryophytes cinereus          | 1.5 | 12  | 6   | spawn | 200-700    | in shallow planted water                        | 22-26 | 3-6     | any      | rarely | insects                 |                    |
Anaxyrus americanus          | 1   | 24  | 10  | spawn | 2000-10000 | in strings in shallow water                     | 15-20 | 3-12    | any      | rarely | insects                 | eats-small         | permit
Dyscophus guineti            | 1.5 | 20  | 8   | spawn | 500-1500   | in shallow warm water                           | 23-26 | 1-3     | any      | rarely | insects                 |                    | permit
Mantella aurantiaca          | 1   | 10  | 8   | spawn | 20-60      | in damp moss near water                         | 19-22 | 10-16   | any      | never  | tiny insects            |                    | permit
Trachycephalus resinifictrix | 1.8 | 15  | 20  | spawn | 200-1500   | in a water-filled tube                          | 23-26 | 1-3     | any      | rarely | insects                 |                    |
Pyxicephalus adspersus       | 2   | 24  | 25  | spawn | 1000-4000  | in warm shallow water after a dry rest          | 25-30 | 1-3     | alone    | rarely | insects and vertebrates | eats-small         |
Salamandra salamandra        | 5   | 36  | 30  | live  | 20-40      | larvae set down in clean cold water             |       |         | any      | never  | worms and water animals |                    | permit injurious
Tylototriton verrucosus      | 5   | 36  | 20  | spawn | 30-100     | in or at the edge of water                      | 17-21 | 12-25   | any      | never  | worms and water animals |                    | permit injurious
Pleurodeles waltl            | 7   | 18  | 20  | spawn | 200-800    | on water plants                                 | 16-20 | 10-18   | any      | never  | worms and water animals | feeding            | permit injurious
Plethodon cinereus           | 2   | 30  | 10  | eggs  | 4-10       | hung in damp wood, guarded                      | 13-17 | 42-65   | pair     | never  | tiny insects            | males              | permit injurious
Rhacodactylus leachianus     | 12  | 40  | 25  | eggs  | 2-2        | in a tub of moist soil                          | 23-27 | 70-100  | alone    | rarely | insects and fruit       | males females      |
Gekko gecko                  | 9   | 18  | 15  | eggs  | 2-2        | glued to a wall or bark                         | 26-30 | 90-180  | pair     | never  | insects                 | males eats-small   | permit invasive
Uroplatus phantasticus       | 3.5 | 18  | 9   | eggs  | 2-2        | under litter                                    | 20-23 | 60-120  | pair     | never  | insects                 |                    | permit
Phelsuma klemmeri            | 3   | 9   | 8   | eggs  | 2-2        | in bamboo                                       | 26-28 | 40-55   | pair     | never  | insects and fruit       | males              | permit
Coleonyx variegatus          | 5.5 | 10  | 14  | eggs  | 2-2        | in a moist hide                                 | 26-30 | 45-60   | one male | rarely | insects                 | males              |
Lygodactylus williamsi       | 2.5 | 8   | 6   | eggs  | 2-2        | glued in a crack or leaf axil                   | 26-28 | 60-90   | pair     | never  | insects and fruit       | males              | certificate
Paroedura picta              | 4.5 | 9   | 8   | eggs  | 2-2        | buried in damp sand                             | 26-29 | 55-70   | one male | rarely | insects                 | males              |
Stenodactylus sthenodactylus | 4   | 9   | 6   | eggs  | 2-2        | buried in damp sand                             | 27-30 | 55-75   | one male | never  | insects                 | males              |
Chamaeleo calyptratus        | 6.5 | 10  | 7   | eggs  | 30-70      | in 25 to 30 cm of damp soil, in a tunnel        | 26-29 | 160-220 | alone    | never  | insects and plants      | males females      | permit invasive
Rieppeleon brevicaudatus     | 2.5 | 8   | 3   | eggs  | 4-9        | under litter                                    | 20-23 | 50-70   | one male | never  | insects                 | males              | permit
Tribolonotus gracilis        | 7   | 36  | 12  | eggs  | 1-1        | in damp litter, guarded                         | 25-27 | 65-80   | pair     | never  | insects                 | males              |
Basiliscus plumifrons        | 12  | 18  | 10  | eggs  | 6-15       | in damp sand and soil                           | 27-30 | 55-75   | one male | never  | insects                 | males              |
Crotaphytus collaris         | 9   | 14  | 8   | eggs  | 4-10       | in damp sand under a stone                      | 28-31 | 50-70   | one male | rarely | insects                 | males eats-small   | permit
Python regius                | 42  | 36  | 40  | eggs  | 4-10       | in a warm moist hide, brooded                   | 31-32 | 55-60   | alone    | weekly | vertebrates             | feeding            | permit
Heterodon nasicus            | 17  | 30  | 15  | eggs  | 8-20       | in a tub of damp moss                           | 26-29 | 50-65   | alone    | weekly | vertebrates             |                    | venom
Opheodrys aestivus           | 18  | 20  | 7   | eggs  | 3-8        | in damp rotten wood                             | 25-28 | 35-50   | any      | never  | insects                 |                    |
Morelia viridis              | 28  | 36  | 18  | eggs  | 10-25      | in a hanging nest, brooded                      | 29-31 | 45-55   | alone    | rarely | vertebrates             | feeding            | permit
Testudo hermanni             | 3.5 | 120 | 60  | eggs  | 3-8        | in warm damp earth, 10 cm down                  | 30-33 | 55-75   | alone    | rarely | plants                  | males              | certificate
Cuora flavomarginata         | 4   | 84  | 50  | eggs  | 1-3        | in damp soil                                    | 27-29 | 70-90   | alone    | rarely | mixed                   | males              | permit
Terrapene carolina           | 3   | 84  | 50  | eggs  | 3-6        | in damp soil                                    | 26-29 | 60-90   | alone    | rarely | mixed                   | males              | permit
Tliltocatl albopilosus       | 0.4 | 48  | 18  | eggs  | 200-600    | in a silk sac, carried                          | 24-26 | 45-70   | alone    | rarely | insects, seldom         | eats-small         | permit
Pandinus imperator           | 3.5 | 48  | 8   | live  | 10-30      | a deep moist burrow                             |       |         | any      | rarely | insects, seldom         | eats-small         | permit
Archispirostreptus gigas     | 0.5 | 36  | 8   | eggs  | 100-500    | in damp soil and rotten wood                    | 24-27 | 60-100  | any      | rarely | litter                  |                    |
Phyllium philippinicum       | 1.6 | 7   | 1.5 | eggs  | 100-400    | dropped on the ground                           | 22-26 | 120-210 | females  | rarely | leaves                  |                    | permit
Dendrobates leucomelas       | 1.2 | 12  | 15  | spawn | 4-10       | on a smooth leaf or dish under cover            | 23-26 | 10-16   | any      | never  | tiny insects            | females            | permit
Oophaga pumilio              | 0.9 | 10  | 10  | spawn | 3-6        | on a leaf; she feeds the tadpoles in plant cups | 22-25 | 8-14    | pair     | never  | tiny insects            | males females      | permit
Ranitomeya variabilis        | 0.8 | 10  | 10  | spawn | 2-6        | in film cups or plant cups                      | 22-25 | 10-16   | any      | never  | tiny insects            |                    | permit
Pelobatrachus nasutus        | 1.5 | 24  | 10  | spawn | 500-2000   | under wood over flowing water                   | 21-24 | 6-12    | any      | rarely | insects                 | eats-small         |
Kaloula pulchra              | 1   | 12  | 10  | spawn | 500-3000   | floating in warm still water after rain         | 24-28 | 1-2     | any      | rarely | insects                 |                    |
Phyllomedusa sauvagii        | 2   | 18  | 10  | spawn | 200-600    | in a folded leaf over water                     | 24-28 | 6-9     | any      | rarely | insects                 |                    |
Ambystoma opacum             | 5   | 24  | 12  | spawn | 50-150     | on damp ground that floods later, guarded       | 10-18 | 15-60   | any      | rarely | insects                 | eats-small         |
Rhacodactylus auriculatus    | 6   | 18  | 18  | eggs  | 2-2        | in a tub of moist soil                          | 23-26 | 60-90   | alone    | weekly | insects and fruit       | males females      |
Phelsuma laticauda           | 3.5 | 10  | 8   | eggs  | 1-2        | in a crack or bamboo tube                       | 26-28 | 40-55   | pair     | never  | insects and fruit       | males females      | permit invasive
Hemidactylus imbricatus      | 3   | 10  | 8   | eggs  | 2-2        | in a moist hide                                 | 27-29 | 50-65   | one male | never  | insects                 | males              |
Underwoodisaurus milii       | 5   | 18  | 12  | eggs  | 2-2        | in a moist hide                                 | 26-28 | 60-80   | pair     | rarely | insects                 | males              | permit
Nephrurus levis              | 5   | 12  | 10  | eggs  | 2-2        | buried in damp sand                             | 28-30 | 55-75   | alone    | rarely | insects                 | males females      | permit
Uroplatus fimbriatus         | 7   | 24  | 12  | eggs  | 2-2        | in litter and soft soil                         | 21-24 | 80-120  | pair     | never  | insects                 | males              | permit
Tarentola chazaliae          | 3   | 14  | 15  | eggs  | 1-2        | buried in damp sand                             | 26-29 | 70-100  | one male | rarely | insects                 | males              |
Tiliqua scincoides           | 14  | 24  | 20  | live  | 5-15       | a warm hide for the mother                      |       |         | alone    | often  | mixed                   | males females      | permit
Tiliqua gigas                | 16  | 24  | 20  | live  | 5-14       | a warm hide for the mother                      |       |         | alone    | often  | mixed                   | males females      |
Lepidothyris fernandi        | 8   | 18  | 15  | eggs  | 4-9        | in damp litter                                  | 27-29 | 40-55   | alone    | rarely | insects                 | males              |
Uromastyx geyri              | 7   | 36  | 20  | eggs  | 6-20       | in a deep damp den                              | 31-34 | 60-90   | alone    | weekly | plants                  | males              | permit
Physignathus cocincinus      | 14  | 30  | 15  | eggs  | 6-15       | in 20 to 25 cm of damp sand and soil            | 28-30 | 60-75   | one male | rarely | insects                 | males              | permit
Trioceros jacksonii          | 5   | 12  | 7   | live  | 8-30       | leafy cover for the mother                      |       |         | alone    | never  | insects                 | males females      | permit invasive
Anolis equestris             | 9   | 18  | 12  | eggs  | 1-2        | in damp soil                                    | 26-29 | 45-65   | pair     | rarely | insects                 | males eats-small   | invasive
Takydromus sexlineatus       | 10  | 9   | 5   | eggs  | 2-4        | in damp moss                                    | 26-28 | 30-45   | one male | rarely | insects                 | males              |
Broadleysaurus major         | 14  | 30  | 20  | eggs  | 2-6        | in damp soil                                    | 28-30 | 80-120  | pair     | rarely | insects                 | males              |
Pogona henrylawsoni          | 7   | 14  | 9   | eggs  | 10-25      | in 20 cm of damp sand and soil                  | 27-30 | 50-70   | alone    | often  | insects and plants      | males eats-small   |
Abronia graminea             | 7   | 24  | 15  | live  | 3-12       | a cool leafy corner for the mother              |       |         | pair     | rarely | insects                 | males              | permit
Sceloporus malachiticus      | 6   | 10  | 6   | live  | 4-10       | a warm hide for the mother                      |       |         | one male | rarely | insects                 | males              |
Lampropeltis polyzona        | 28  | 30  | 18  | eggs  | 5-12       | in a tub of damp moss                           | 26-28 | 55-70   | alone    | weekly | vertebrates             | eats-small feeding |
Boa imperator                | 45  | 42  | 30  | live  | 10-30      | a warm hide for the mother                      |       |         | alone    | weekly | vertebrates             | feeding            | permit
Antaresia childreni          | 20  | 30  | 25  | eggs  | 5-15       | in a moist hide, brooded                        | 30-32 | 48-58   | alone    | often  | vertebrates             | feeding            | permit
Lichanura trivirgata         | 27  | 36  | 25  | live  | 3-8        | a warm hide for the mother                      |       |         | alone    | often  | vertebrates             |                    | permit
Epicrates cenchria           | 40  | 40  | 25  | live  | 8-25       | a warm moist hide for the mother                |       |         | alone    | weekly | vertebrates             | feeding            | permit
Morelia spilota              | 35  | 36  | 25  | eggs  | 12-30      | in a moist hide, brooded                        | 30-32 | 48-58   | alone    | weekly | vertebrates             | feeding            | permit
Gonyosoma boulengeri         | 30  | 30  | 15  | eggs  | 5-11       | in damp rotten wood                             | 24-27 | 55-70   | pair     | rarely | vertebrates             |                    |
Boaedon fuliginosus          | 20  | 18  | 15  | eggs  | 6-16       | in a tub of damp moss                           | 27-29 | 55-70   | alone    | weekly | vertebrates             | eats-small feeding |
Testudo horsfieldii          | 3.5 | 120 | 60  | eggs  | 2-5        | in warm damp earth, 10 cm down                  | 30-32 | 60-80   | alone    | rarely | plants                  | males              | permit
Chelonoidis carbonarius      | 4.5 | 96  | 50  | eggs  | 3-8        | in damp earth                                   | 28-30 | 120-180 | any      | rarely | mixed                   | males              | permit
Geoemyda spengleri           | 4   | 72  | 30  | eggs  | 1-2        | in damp litter                                  | 25-28 | 65-80   | alone    | never  | mixed                   | males females      | permit
Phidippus regius             | 0.2 | 8   | 2   | eggs  | 50-200     | in a silk sac, guarded                          | 24-27 | 20-35   | alone    | rarely | insects                 | eats-small         |
Brachypelma hamorii          | 0.4 | 72  | 25  | eggs  | 200-800    | in a silk sac, carried                          | 24-26 | 50-90   | alone    | rarely | insects, seldom         | eats-small         | permit
Caribena versicolor          | 0.4 | 30  | 12  | eggs  | 60-160     | in a silk sac, guarded                          | 25-27 | 40-60   | alone    | rarely | insects, seldom         | eats-small         |
Gromphadorhina portentosa    | 0.7 | 7   | 4   | live  | 15-40      | carried until they hatch                        |       |         | one male | often  | mixed                   | males              |
Coenobita clypeatus          | 0.3 | 36  | 20  | spawn | 800-1200   | in the sea: not bred at home                    | 26-29 | 30-45   | any      | rarely | mixed                   |                    |
Geosesarma dennerle          | 0.3 | 8   | 2.5 | live  | 20-60      | carried; young need no sea water                |       |         | one male | never  | mixed                   | males eats-small   |
Extatosoma tiaratum          | 1.7 | 6   | 1.5 | eggs  | 100-500    | flicked to the ground                           | 22-26 | 150-270 | any      | rarely | leaves                  |                    |
Hierodula membranacea        | 1   | 5   | 1   | eggs  | 100-200    | in a foam case on a twig                        | 24-28 | 35-60   | alone    | rarely | insects                 | eats-small         |
`;

const CAUTION = {
  males: 'males fight',
  females: 'females fight',
  feeding: 'fights over food',
  'eats-small': 'eats smaller ones',
} as const;
const LEGAL: Readonly<Record<string, Legal>> = {
  permit: 'protected',
  certificate: 'certificate',
  invasive: 'invasive',
  injurious: 'injurious',
  venom: 'venomous',
};

/** What hurts hands and eyes (common practice of keepers; how much differs by animal and by person). */
const DEFENCE: Readonly<Record<string, NonNullable<Life['defence']>['value']>> = {
  'Salamandra salamandra': 'skin poison',
  'Anaxyrus americanus': 'skin poison',
  'Bombina orientalis': 'skin poison',
  'Trachycephalus resinifictrix': 'skin poison',
  'Dyscophus guineti': 'skin poison',
  'Phyllobates terribilis': 'skin poison',
  'Cynops orientalis': 'skin poison',
  'Tylototriton verrucosus': 'skin poison',
  'Pleurodeles waltl': 'skin poison',
  'Archispirostreptus gigas': 'skin poison',
  'Tliltocatl albopilosus': 'hairs',
  'Pandinus imperator': 'sting',
  'Gekko gecko': 'bite',
  'Pyxicephalus adspersus': 'bite',
  'Ceratophrys cranwelli': 'bite',
  'Varanus acanthurus': 'bite',
  'Heterodon nasicus': 'bite',
  'Morelia viridis': 'bite',
  'Kaloula pulchra': 'skin poison',
  'Ambystoma opacum': 'skin poison',
  'Phyllomedusa sauvagii': 'skin poison',
  'Dendrobates leucomelas': 'skin poison',
  'Oophaga pumilio': 'skin poison',
  'Brachypelma hamorii': 'hairs',
  'Caribena versicolor': 'hairs',
  'Boa imperator': 'bite',
  'Morelia spilota': 'bite',
  'Anolis equestris': 'bite',
  'Tiliqua gigas': 'bite',
  'Coenobita clypeatus': 'bite',
};

const lives = new Map(
  readTable(TABLE, 14).map((cell) => [cell(0).toLowerCase().replace(' ', '-'), cell] as const),
);

/** The life of a species, with the region and kind its row names; nothing for one without a line here. */
export function livesOf(id: string, region: string, kind: string): Pick<Animal, 'growing'> {
  const cell = lives.get(id);
  if (!cell) return {};
  const legal = cell(13)
    .split(' ')
    .flatMap((it) => LEGAL[it] ?? []);
  const defence = DEFENCE[cell(0)];
  const rest = REST.get(cell(0));
  const laying = LAYING.get(cell(0));
  return {
    growing: {
      region: citedOr(region as RegionName, regionWork(id, kind), 'accounts'),
      hatched: estimated(Number(cell(1)) / 100, 'accounts'),
      monthsToAdult: practice(Number(cell(2))),
      years: practice(Number(cell(3))),
      young: citedOr(cell(4) as Life['young']['value'], youngWork(kind), 'accounts'),
      brood: citedOr(within(cell(5)), broodWork(id, kind), 'accounts'),
      lays: practice(cell(6)),
      ...(cell(7)
        ? {
            incubation: citedOr(
              { temperature: within(cell(7)), days: within(cell(8)) },
              incubationWork(kind),
              'accounts',
            ),
          }
        : {}),
      sexes: practice(cell(9) as Life['sexes']['value']),
      handling: practice(cell(10) as Life['handling']['value']),
      diet: practice(cell(11) as Life['diet']['value']),
      cautions: practice(
        cell(12)
          .split(' ')
          .filter((it): it is keyof typeof CAUTION => it in CAUTION)
          .map((it) => CAUTION[it]),
      ),
      ...(laying ? { laying } : {}),
      ...(rest ? { rest } : {}),
      ...(defence ? { defence: practice(defence) } : {}),
      ...(legal.length > 0 ? { legal } : {}),
    },
  };
}
