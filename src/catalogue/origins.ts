import type { Animal } from '@/core/catalogue';
import { estimated } from './basis';
import { readTable } from './table';

/**
 * Latitudes between which a species lives, degrees, north positive: by the lands its checklists name, roughly. How its days
 * lengthen and shorten is calculated from them.
 */
const TABLE = `
Theloderma corticale         | 20  | 23
Dendrobates tinctorius       | 0   | 6
Goniurosaurus hainanensis    | 18  | 20
Hemitheconyx caudicinctus    | 5   | 16
Correlophus ciliatus         | -23 | -22
Anolis carolinensis          | 25  | 37
Pogona vitticeps             | -36 | -23
Teratoscincus scincus        | 25  | 46
Varanus acanthurus           | -24 | -11
Eryx colubrinus              | -7  | 31
Pantherophis guttatus        | 25  | 40
Cynops orientalis            | 26  | 33
Ranitomeya imitator          | -8  | -5
Agalychnis callidryas        | 7   | 20
Ceratophrys cranwelli        | -33 | -17
Bombina orientalis           | 32  | 52
Ambystoma tigrinum           | 26  | 50
Lepidodactylus lugubris      | -25 | 28
Phelsuma grandis             | -16 | -12
Eublepharis macularius       | 22  | 36
Chalcides ocellatus          | 10  | 41
Lampropeltis californiae     | 23  | 44
Thamnophis sirtalis          | 26  | 60
Furcifer pardalis            | -19 | -12
Dendrobates auratus          | 4   | 13
Phyllobates terribilis       | 2   | 4
Epipedobates anthonyi        | -5  | -2
Ranoidea caerulea            | -34 | -10
Dryophytes cinereus          | 25  | 40
Anaxyrus americanus          | 30  | 56
Dyscophus guineti            | -22 | -15
Mantella aurantiaca          | -19 | -18
Trachycephalus resinifictrix | -13 | 6
Pyxicephalus adspersus       | -34 | -5
Salamandra salamandra        | 37  | 54
Tylototriton verrucosus      | 22  | 28
Pleurodeles waltl            | 31  | 42
Plethodon cinereus           | 35  | 50
Rhacodactylus leachianus     | -23 | -20
Gekko gecko                  | -10 | 30
Uroplatus phantasticus       | -22 | -15
Phelsuma klemmeri            | -15 | -13
Coleonyx variegatus          | 23  | 38
Lygodactylus williamsi       | -8  | -6
Paroedura picta              | -26 | -18
Stenodactylus sthenodactylus | 3   | 34
Chamaeleo calyptratus        | 13  | 21
Rieppeleon brevicaudatus     | -11 | -4
Tribolonotus gracilis        | -10 | 0
Basiliscus plumifrons        | 8   | 16
Crotaphytus collaris         | 24  | 40
Python regius                | 4   | 15
Heterodon nasicus            | 29  | 51
Opheodrys aestivus           | 22  | 41
Morelia viridis              | -14 | 0
Testudo hermanni             | 37  | 46
Cuora flavomarginata         | 23  | 33
Terrapene carolina           | 25  | 44
Tliltocatl albopilosus       | 9   | 16
Pandinus imperator           | 4   | 14
Archispirostreptus gigas     | -28 | 4
Phyllium philippinicum       | 6   | 18
Dendrobates leucomelas       | 1   | 9
Oophaga pumilio              | 8   | 14
Ranitomeya variabilis        | -8  | -5
Pelobatrachus nasutus        | -7  | 8
Kaloula pulchra              | -9  | 30
Phyllomedusa sauvagii        | -34 | -15
Ambystoma opacum             | 29  | 43
Rhacodactylus auriculatus    | -23 | -20
Phelsuma laticauda           | -18 | -12
Hemidactylus imbricatus      | 24  | 33
Underwoodisaurus milii       | -36 | -24
Nephrurus levis              | -33 | -18
Uroplatus fimbriatus         | -22 | -13
Tarentola chazaliae          | 14  | 29
Tiliqua scincoides           | -38 | -11
Tiliqua gigas                | -11 | 2
Lepidothyris fernandi        | -1  | 8
Uromastyx geyri              | 16  | 27
Physignathus cocincinus      | 9   | 25
Trioceros jacksonii          | -4  | 0
Anolis equestris             | 20  | 23
Takydromus sexlineatus       | -8  | 27
Broadleysaurus major         | -27 | 15
Pogona henrylawsoni          | -24 | -19
Abronia graminea             | 18  | 20
Sceloporus malachiticus      | 8   | 18
Lampropeltis polyzona        | 17  | 24
Boa imperator                | -4  | 28
Antaresia childreni          | -22 | -11
Lichanura trivirgata         | 23  | 36
Epicrates cenchria           | -20 | 10
Morelia spilota              | -38 | -8
Gonyosoma boulengeri         | 19  | 25
Boaedon fuliginosus          | -12 | 18
Testudo horsfieldii          | 25  | 50
Chelonoidis carbonarius      | -27 | 11
Geoemyda spengleri           | 15  | 26
Phidippus regius             | 20  | 36
Brachypelma hamorii          | 17  | 21
Caribena versicolor          | 14  | 15
Gromphadorhina portentosa    | -25 | -18
Coenobita clypeatus          | 10  | 27
Geosesarma dennerle          | -8  | -6
Extatosoma tiaratum          | -30 | -15
Hierodula membranacea        | 6   | 28
`;

const rows = new Map(
  readTable(TABLE, 3).map((cell) => [cell(0), { low: Number(cell(1)), high: Number(cell(2)) }] as const),
);

/** Where it lives between south and north; nothing of one without a line here. */
export function originOf(scientific: string): Pick<Animal, 'latitude'> {
  const latitude = rows.get(scientific);
  return latitude ? { latitude: estimated(latitude, 'lands') } : {};
}
