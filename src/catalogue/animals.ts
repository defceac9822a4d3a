import type { Animal } from '@/core/catalogue';
import { memory, practice } from './basis';
import { livesOf } from './lives';
import { readTable, within } from './table';

/**
 * Envelopes, sizes and needs of each species. Figures are from memory, to be confirmed against published accounts; what is a
 * keeper’s judgement (where and with whom it lives, how it drinks and climbs) is common practice. The interface marks both. Lengths in cm, masses in g, temperatures in °C, humidity and shares in %; a range is low-high, and wide
 * where accounts differ. Columns: scientific and English name, region, kind, ground, life, length, mass, basking, warm,
 * cool, night, humidity by day and by night, UV zone, soil it digs in, room of one (width × depth × free height), extra
 * floor for each further one, company, water, girth, habits, perches, what it climbs, recipe or lower+upper recipe.
 */
const TABLE = `
Theloderma corticale         | Vietnamese mossy frog         | southeast-asia  | frog         | half-water | half-water | 6-8     | 12-25     |       | 22-25 | 19-22 | 17-21 | 70-90 | 80-100 | 1 | 3  | 45×45×35   | 15  | groups | pool         | 3   | shy             | 2-8     | glass  | forest-five-coir
Dendrobates tinctorius       | dyeing poison frog            | south-america   | frog         | wet        | ground     | 3.5-6   | 3-9       |       | 23-27 | 21-24 | 19-22 | 70-90 | 80-100 | 1 | 3  | 45×45×25   | 35  | pairs  | dish         | 2   |                 |         | glass  | forest-five-coir
Goniurosaurus hainanensis    | Hainan cave gecko             | east-asia       | gecko        | wet        | ground     | 15-20   | 30-60     |       | 24-27 | 20-23 | 18-22 | 60-80 | 70-95  | 1 | 5  | 45×40×20   | 40  | pairs  | dish         | 2   | shy moist       |         | rough  | chunky-epiphyte+forest-five-coir
Hemitheconyx caudicinctus    | African fat-tailed gecko      | africa          | gecko        | damp       | ground     | 18-23   | 45-75     | 30-33 | 28-31 | 23-26 | 21-24 | 50-70 | 60-80  | 1 | 7  | 60×40×22   | 50  | alone  | dish         | 3.5 | shy moist       |         | poorly | coir-bark-leaf
Correlophus ciliatus         | crested gecko                 | australasia     | gecko        | wet        | climbing   | 18-23   | 35-55     |       | 24-27 | 21-24 | 18-22 | 50-70 | 65-90  | 1 | 5  | 45×45×42   | 50  | alone  | drops        | 2.5 | shy             | 1.5-4   | glass  | chunky-epiphyte+forest-five-coir
Anolis carolinensis          | green anole                   | north-america   | lizard       | wet        | climbing   | 12-20   | 3-8       | 30-33 | 27-30 | 23-26 | 18-22 | 50-70 | 65-90  | 2 | 5  | 40×40×42   | 15  | groups | drops        | 1.5 |                 | 0.8-2.5 | glass  | chunky-epiphyte+forest-five-coir
Pogona vitticeps             | central bearded dragon        | australasia     | lizard       | dry        | ground     | 40-55   | 300-500   | 40-45 | 30-35 | 22-26 | 18-22 | 25-45 | 30-50  | 3 | 10 | 120×60×42  | 80  | alone  | dish         | 9   |                 | 5-12    | rough  | soil-sand-clay
Teratoscincus scincus        | common wonder gecko           | central-asia    | gecko        | dry        | burrowing  | 15-20   | 25-45     | 35-40 | 32-36 | 20-25 | 16-21 | 20-40 | 30-60  | 1 | 12 | 75×40×22   | 50  | alone  | dish         | 3   | shy moist       |         | poorly | soil-sand-clay
Varanus acanthurus           | ridge-tailed monitor          | australasia     | lizard       | dry        | burrowing  | 50-70   | 150-400   | 48-60 | 32-38 | 24-28 | 20-25 | 30-50 | 40-70  | 3 | 25 | 120×60×40  | 80  | alone  | soaking dish | 4.5 | shy moist       |         | rough  | soil-sand-clay
Eryx colubrinus              | Kenyan sand boa               | africa          | snake        | dry        | burrowing  | 40-80   | 80-700    | 32-35 | 29-32 | 23-27 | 20-25 | 25-45 | 30-55  | 1 | 8  | 80×40×22   | 80  | alone  | dish         | 3   | shy moist swims |         | poorly | loose-sand-bark
Pantherophis guttatus        | corn snake                    | north-america   | snake        | damp       | ground     | 90-150  | 350-900   | 30-33 | 27-30 | 21-25 | 18-23 | 40-60 | 45-70  | 1 | 6  | 120×50×42  | 80  | alone  | soaking dish | 3.5 | shy moist       | 2-6     | rough  | coir-bark-leaf
Cynops orientalis            | Chinese fire-bellied newt     | east-asia       | newt         | half-water | half-water | 7-10    | 2-5       |       | 18-22 | 15-19 | 12-18 | 60-90 | 70-100 | 1 | 3  | 60×30×18   | 15  | groups | pool         | 1.5 |                 |         | glass  | forest-five-coir
Ranitomeya imitator          | mimic poison frog             | south-america   | frog         | wet        | climbing   | 1.6-2.2 | 0.5-1     |       | 23-26 | 21-24 | 18-22 | 75-95 | 85-100 | 1 | 3  | 30×30×30   | 30  | pairs  | drops        | 1   |                 | 0.6-2   | glass  | forest-five-coir
Agalychnis callidryas        | red-eyed tree frog            | central-america | frog         | wet        | climbing   | 4.5-7.5 | 5-15      |       | 25-28 | 22-25 | 20-24 | 60-80 | 75-100 | 2 | 3  | 45×45×45   | 20  | groups | soaking dish | 3   |                 | 1-3     | glass  | forest-five-coir
Ceratophrys cranwelli        | Cranwell's horned frog        | south-america   | frog         | damp       | burrowing  | 8-13    | 150-500   |       | 25-28 | 23-26 | 21-24 | 60-80 | 70-90  | 1 | 10 | 45×30×15   | 100 | alone  | soaking dish | 8   | shy             |         | poorly | forest-floor
Bombina orientalis           | oriental fire-bellied toad    | east-asia       | frog         | half-water | half-water | 3.5-5   | 5-12      |       | 22-25 | 18-22 | 16-20 | 60-80 | 70-95  | 2 | 3  | 50×35×20   | 15  | groups | pool         | 2.5 |                 |         | poorly | forest-five-coir
Ambystoma tigrinum           | eastern tiger salamander      | north-america   | newt         | damp       | burrowing  | 17-30   | 60-150    |       | 18-21 | 14-18 | 12-17 | 60-85 | 70-95  | 1 | 15 | 75×40×18   | 40  | alone  | soaking dish | 3.5 | shy moist       |         | poorly | forest-floor
Lepidodactylus lugubris      | mourning gecko                | australasia     | gecko        | wet        | climbing   | 7-10    | 1.5-3     |       | 25-28 | 22-25 | 20-23 | 55-75 | 65-90  | 1 | 3  | 30×30×30   | 12  | groups | drops        | 1   | shy             | 0.6-2   | glass  | forest-five-coir
Phelsuma grandis             | giant day gecko               | madagascar      | gecko        | wet        | climbing   | 22-30   | 40-70     | 32-36 | 28-31 | 24-27 | 21-24 | 50-70 | 65-90  | 3 | 4  | 45×45×60   | 50  | pairs  | drops        | 3   |                 | 2-5     | glass  | chunky-epiphyte+forest-five-coir
Eublepharis macularius       | leopard gecko                 | south-asia      | gecko        | dry        | ground     | 18-25   | 50-90     | 32-36 | 29-32 | 23-26 | 19-23 | 30-50 | 35-60  | 1 | 8  | 80×40×22   | 50  | alone  | dish         | 3.5 | shy moist       |         | poorly | soil-sand-clay
Chalcides ocellatus          | ocellated skink               | mediterranean   | lizard       | dry        | burrowing  | 15-30   | 20-50     | 35-40 | 30-34 | 22-26 | 17-22 | 30-50 | 35-60  | 3 | 10 | 75×40×22   | 50  | alone  | dish         | 2.5 | shy moist swims |         | poorly | loose-sand-bark
Lampropeltis californiae     | California kingsnake          | north-america   | snake        | dry        | ground     | 80-130  | 300-900   | 30-33 | 27-31 | 21-25 | 18-23 | 35-55 | 40-60  | 1 | 7  | 100×50×35  | 90  | alone  | soaking dish | 3   | shy moist       |         | rough  | granite-wash
Thamnophis sirtalis          | common garter snake           | north-america   | snake        | damp       | ground     | 50-100  | 80-250    | 29-32 | 25-29 | 19-23 | 15-20 | 45-65 | 50-75  | 2 | 6  | 80×40×30   | 40  | groups | soaking dish | 2.5 | shy             |         | rough  | forest-floor
Furcifer pardalis            | panther chameleon             | madagascar      | lizard       | wet        | climbing   | 25-50   | 60-180    | 30-33 | 26-29 | 22-25 | 17-21 | 50-70 | 70-100 | 3 | 10 | 60×60×80   | 100 | alone  | drops        | 6   | shy             | 0.8-3   | rough  | chunky-epiphyte+forest-five-coir
Dendrobates auratus          | green and black poison frog   | central-america | frog         | wet        | ground     | 2.5-5   | 2-6       |       | 23-27 | 21-24 | 19-22 | 70-90 | 80-100 | 1 | 3  | 45×45×25   | 30  | groups | dish         | 2   |                 |         | glass  | forest-five-coir
Phyllobates terribilis       | golden poison frog            | south-america   | frog         | wet        | ground     | 3.5-5   | 4-9       |       | 22-26 | 20-23 | 18-21 | 70-90 | 80-100 | 1 | 3  | 60×45×25   | 25  | groups | dish         | 2   |                 |         | glass  | forest-five-coir
Epipedobates anthonyi        | phantasmal poison frog        | south-america   | frog         | wet        | ground     | 1.8-2.6 | 1-2       |       | 22-26 | 20-23 | 18-22 | 65-90 | 75-100 | 1 | 3  | 45×30×25   | 25  | groups | dish         | 1.2 |                 |         | glass  | forest-five-coir
Ranoidea caerulea            | green tree frog of Australia  | australasia     | frog         | damp       | climbing   | 6-11    | 25-90     |       | 26-29 | 22-25 | 20-24 | 50-70 | 60-85  | 2 | 5  | 45×45×50   | 35  | groups | soaking dish | 5   |                 | 2-6     | glass  | forest-floor
Dryophytes cinereus          | American green tree frog      | north-america   | frog         | wet        | climbing   | 3.5-6.5 | 5-17      |       | 24-28 | 21-24 | 18-22 | 55-75 | 65-90  | 2 | 3  | 45×45×45   | 20  | groups | soaking dish | 2.5 |                 | 1-3     | glass  | forest-five-coir
Anaxyrus americanus          | American toad                 | north-america   | frog         | damp       | burrowing  | 5-9     | 25-70     |       | 20-24 | 17-21 | 14-19 | 50-70 | 60-85  | 1 | 8  | 60×40×18   | 30  | groups | soaking dish | 5   | shy             |         | poorly | forest-floor
Dyscophus guineti            | Sambava tomato frog           | madagascar      | frog         | damp       | burrowing  | 6-9.5   | 40-200    |       | 24-27 | 21-24 | 19-23 | 65-85 | 75-95  | 1 | 8  | 60×40×18   | 35  | groups | soaking dish | 6   | shy             |         | poorly | forest-floor
Mantella aurantiaca          | golden mantella               | madagascar      | frog         | wet        | ground     | 2-2.6   | 0.8-1.5   |       | 20-24 | 18-21 | 15-19 | 75-95 | 85-100 | 1 | 3  | 45×45×25   | 15  | groups | dish         | 1.1 |                 |         | glass  | forest-five-coir
Trachycephalus resinifictrix | Amazon milk frog              | south-america   | frog         | wet        | climbing   | 6-10    | 20-70     |       | 25-28 | 22-25 | 20-24 | 60-80 | 75-95  | 1 | 4  | 45×45×55   | 30  | groups | soaking dish | 4   | shy             | 2-6     | glass  | forest-five-coir
Pyxicephalus adspersus       | African bullfrog              | africa          | frog         | damp       | burrowing  | 10-23   | 150-1400  |       | 26-30 | 23-26 | 21-25 | 50-75 | 60-85  | 1 | 20 | 90×45×22   | 100 | alone  | soaking dish | 15  | shy             |         | poorly | forest-floor
Salamandra salamandra        | fire salamander               | europe          | newt         | damp       | ground     | 14-22   | 20-50     |       | 16-19 | 13-17 | 10-16 | 65-85 | 75-95  | 1 | 6  | 75×40×18   | 40  | groups | dish         | 2.5 | shy moist       |         | poorly | forest-floor
Tylototriton verrucosus      | Himalayan crocodile newt      | south-asia      | newt         | damp       | ground     | 12-20   | 10-35     |       | 18-22 | 15-19 | 13-18 | 65-85 | 75-95  | 1 | 6  | 75×40×18   | 40  | groups | soaking dish | 2.5 | shy moist       |         | poorly | forest-floor
Pleurodeles waltl            | Iberian ribbed newt           | mediterranean   | newt         | half-water | half-water | 15-25   | 20-50     |       | 18-22 | 15-19 | 13-18 | 60-85 | 70-95  | 1 | 3  | 80×35×18   | 25  | groups | pool         | 3   |                 |         | poorly | forest-floor
Plethodon cinereus           | eastern red-backed salamander | north-america   | newt         | damp       | ground     | 6-12    | 0.6-1.5   |       | 15-18 | 12-16 | 10-15 | 75-95 | 80-100 | 1 | 6  | 45×30×15   | 40  | pairs  | dish         | 0.8 | shy moist       |         | rough  | forest-floor
Rhacodactylus leachianus     | New Caledonian giant gecko    | australasia     | gecko        | wet        | climbing   | 30-42   | 180-400   |       | 24-27 | 21-24 | 18-22 | 55-75 | 65-90  | 1 | 6  | 60×60×75   | 80  | alone  | drops        | 6   | shy             | 4-10    | glass  | chunky-epiphyte+forest-five-coir
Gekko gecko                  | tokay gecko                   | southeast-asia  | gecko        | wet        | climbing   | 22-38   | 90-300    | 31-34 | 27-30 | 24-27 | 21-25 | 55-75 | 65-90  | 1 | 6  | 60×60×75   | 50  | pairs  | drops        | 5   | shy             | 3-8     | glass  | chunky-epiphyte+forest-five-coir
Uroplatus phantasticus       | satanic leaf-tailed gecko     | madagascar      | gecko        | wet        | climbing   | 7-10    | 5-12      |       | 21-24 | 18-21 | 16-19 | 70-90 | 80-100 | 1 | 4  | 45×45×55   | 30  | pairs  | drops        | 1.5 | shy             | 0.5-1.5 | glass  | forest-five-coir
Phelsuma klemmeri            | yellow-headed day gecko       | madagascar      | gecko        | wet        | climbing   | 7-10    | 2-4       | 30-33 | 26-29 | 23-26 | 20-23 | 50-70 | 65-90  | 2 | 4  | 30×30×40   | 25  | groups | drops        | 1.2 |                 | 1-3     | glass  | forest-five-coir
Coleonyx variegatus          | western banded gecko          | north-america   | gecko        | dry        | ground     | 10-15   | 4-8       | 31-34 | 28-32 | 22-26 | 18-23 | 25-45 | 30-55  | 1 | 6  | 60×30×18   | 30  | groups | dish         | 1.8 | shy moist       |         | poorly | soil-sand-clay
Lygodactylus williamsi       | turquoise dwarf gecko         | africa          | gecko        | wet        | climbing   | 5-8     | 1-2.5     | 30-33 | 26-29 | 23-26 | 20-23 | 50-70 | 65-90  | 3 | 4  | 30×30×40   | 30  | pairs  | drops        | 1   |                 | 1-3     | glass  | forest-five-coir
Paroedura picta              | Madagascar ground gecko       | madagascar      | gecko        | damp       | ground     | 11-15   | 10-20     | 29-32 | 27-30 | 23-26 | 20-24 | 40-60 | 50-75  | 1 | 7  | 60×35×20   | 35  | pairs  | dish         | 2   | shy moist       |         | poorly | coir-bark-leaf
Stenodactylus sthenodactylus | elegant sand gecko            | mediterranean   | gecko        | dry        | burrowing  | 8-11    | 3-6       | 32-36 | 29-33 | 22-26 | 17-22 | 20-40 | 30-55  | 1 | 8  | 60×35×18   | 25  | groups | dish         | 1.3 | shy moist       |         | poorly | soil-sand-clay
Chamaeleo calyptratus        | veiled chameleon              | africa          | lizard       | damp       | climbing   | 30-60   | 90-200    | 30-34 | 26-29 | 22-25 | 16-21 | 40-60 | 60-90  | 3 | 15 | 75×60×90   | 100 | alone  | drops        | 6   | shy             | 1-3.5   | rough  | coir-bark-leaf
Rieppeleon brevicaudatus     | bearded leaf chameleon        | africa          | lizard       | wet        | climbing   | 5-9     | 3-6       |       | 22-25 | 19-22 | 16-20 | 60-80 | 75-100 | 1 | 5  | 45×30×30   | 30  | groups | drops        | 1.6 | shy             | 0.3-1   | rough  | forest-five-coir
Tribolonotus gracilis        | red-eyed crocodile skink      | australasia     | lizard       | wet        | ground     | 15-22   | 30-50     | 28-30 | 25-28 | 22-25 | 20-23 | 70-90 | 80-100 | 1 | 8  | 75×45×20   | 40  | pairs  | soaking dish | 3.5 | shy moist       |         | poorly | forest-five-coir
Basiliscus plumifrons        | plumed basilisk               | central-america | lizard       | wet        | climbing   | 50-75   | 150-300   | 33-37 | 28-31 | 24-27 | 22-25 | 65-80 | 75-95  | 3 | 12 | 120×60×100 | 60  | groups | pool         | 5   | shy             | 3-8     | rough  | chunky-epiphyte+forest-five-coir
Crotaphytus collaris         | eastern collared lizard       | north-america   | lizard       | dry        | ground     | 20-35   | 30-60     | 40-46 | 32-36 | 24-28 | 18-23 | 25-40 | 30-50  | 3 | 12 | 100×50×35  | 60  | pairs  | dish         | 3.5 |                 |         | rough  | soil-sand-clay
Python regius                | royal python                  | africa          | snake        | damp       | ground     | 90-150  | 1200-2200 | 31-34 | 29-32 | 24-27 | 23-26 | 50-70 | 55-80  | 1 | 7  | 120×60×45  | 80  | alone  | soaking dish | 8   | shy moist       |         | rough  | coir-bark-leaf
Heterodon nasicus            | plains hog-nosed snake        | north-america   | snake        | dry        | burrowing  | 40-90   | 80-350    | 31-34 | 28-31 | 22-26 | 19-24 | 30-50 | 35-55  | 1 | 12 | 90×45×25   | 80  | alone  | dish         | 3.5 | shy moist       |         | poorly | soil-sand-clay
Opheodrys aestivus           | rough green snake             | north-america   | snake        | damp       | climbing   | 55-90   | 12-30     | 29-32 | 25-28 | 22-25 | 18-22 | 50-70 | 60-85  | 2 | 5  | 60×45×60   | 30  | groups | drops        | 1.2 | shy             | 0.5-2   | rough  | forest-floor
Morelia viridis              | green tree python             | australasia     | snake        | wet        | climbing   | 110-180 | 900-1800  | 30-32 | 27-30 | 24-26 | 22-25 | 50-75 | 60-90  | 1 | 5  | 90×60×70   | 100 | alone  | drops        | 5   | shy             | 2-5     | rough  | chunky-epiphyte+forest-five-coir
Testudo hermanni             | Hermann's tortoise            | mediterranean   | tortoise     | dry        | ground     | 12-20   | 400-2000  | 34-38 | 28-32 | 20-25 | 14-20 | 40-60 | 50-75  | 3 | 12 | 140×70×35  | 70  | alone  | soaking dish | 14  | shy             |         | poorly | soil-sand-clay
Cuora flavomarginata         | yellow-margined box turtle    | east-asia       | tortoise     | damp       | ground     | 14-18   | 500-900   | 29-32 | 25-28 | 21-24 | 18-23 | 65-85 | 70-95  | 2 | 12 | 120×60×30  | 80  | alone  | pool         | 12  | shy             |         | poorly | forest-floor
Terrapene carolina           | eastern box turtle            | north-america   | tortoise     | damp       | ground     | 11-16   | 350-700   | 29-32 | 24-28 | 20-24 | 16-21 | 60-80 | 70-90  | 2 | 12 | 120×60×30  | 80  | alone  | soaking dish | 12  | shy             |         | poorly | forest-floor
Tliltocatl albopilosus       | curly-haired tarantula        | central-america | invertebrate | damp       | burrowing  | 5-7     | 10-25     |       | 23-27 | 20-24 | 18-23 | 55-75 | 60-80  | 1 | 15 | 30×30×18   | 100 | alone  | dish         | 5   | shy             |         | rough  | coir-bark-leaf
Pandinus imperator           | emperor scorpion              | africa          | invertebrate | damp       | burrowing  | 12-20   | 15-35     |       | 26-29 | 23-26 | 21-25 | 65-85 | 70-90  | 1 | 15 | 60×40×20   | 40  | groups | dish         | 4   | shy             |         | poorly | forest-floor
Archispirostreptus gigas     | giant African millipede       | africa          | invertebrate | damp       | ground     | 18-30   | 25-70     |       | 24-27 | 21-25 | 20-24 | 65-85 | 70-90  | 1 | 12 | 60×40×20   | 20  | groups | dish         | 2.2 | shy             |         | rough  | forest-floor
Phyllium philippinicum       | Philippine leaf insect        | southeast-asia  | invertebrate | wet        | climbing   | 5-8     | 3-8       |       | 22-26 | 20-23 | 18-22 | 60-80 | 65-90  | 1 | 3  | 30×30×45   | 10  | groups | drops        | 3   |                 | 0.4-1.5 | glass  | forest-five-coir
`;

export const animals: Animal[] = readTable(TABLE, 25).map((cell): Animal => {
  const cm = (text: string): number => Number(text) / 100;
  const [width = 0, depth = 0, freeHeight = 0] = cell(16).split('×').map(cm);
  const [recipe = '', upperRecipe] = cell(24).split('+');
  const habits = cell(21).split(' ');
  const id = cell(0).toLowerCase().replace(' ', '-');
  return {
    id,
    english: cell(1),
    scientific: cell(0),
    kind: cell(3) as Animal['kind'],
    ground: practice(cell(4) as Animal['ground']['value']),
    life: practice(cell(5) as Animal['life']['value']),
    ...(habits.includes('swims') ? { swimsInSand: practice(true) } : {}),
    length: memory(within(cell(6), 0.01)),
    mass: memory(within(cell(7), 0.001)),
    climate: {
      ...(cell(8) ? { basking: memory(within(cell(8))) } : {}),
      warm: memory(within(cell(9))),
      cool: memory(within(cell(10))),
      night: memory(within(cell(11))),
      humidityDay: memory(within(cell(12), 0.01)),
      humidityNight: memory(within(cell(13), 0.01)),
      uvZone: memory(Number(cell(14))),
    },
    digs: memory(cm(cell(15))),
    space: memory({ width, depth, freeHeight }),
    extraFloor: practice(cm(cell(17))),
    company: practice(cell(18) as Animal['company']['value']),
    water: practice(cell(19) as Animal['water']['value']),
    girth: memory(cm(cell(20))),
    shy: practice(habits.includes('shy')),
    moistHide: practice(habits.includes('moist')),
    ...(cell(22) ? { perch: practice(within(cell(22), 0.01)) } : {}),
    climbs: practice(cell(23) as NonNullable<Animal['climbs']>['value']),
    ...livesOf(id, cell(2)),
    recipe,
    ...(upperRecipe ? { upperRecipe } : {}),
  };
});
