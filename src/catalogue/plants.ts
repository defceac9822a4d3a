import type { Legal, Plant } from '@/core/catalogue';
import { citedOr, estimated, practice } from './basis';
import { harmWork } from './cite';
import { readTable, within } from './table';

/**
 * Plants: how large they grow in a box, what air and water they do well in, how they are sold and divided is what growers
 * say; light goes by classes of a table of extension, region and harm are cited where a list is recalled. Columns: scientific and English name, form, height and width grown (cm), months to grow, light
 * (mol/m² a day), temperature (°C), humidity (%), water in its soil (% of the pores), animal it bears (g), roots (cm),
 * harm, region, sold as, plants that one can be divided into.
 */
const TABLE = `
Nephrolepis exaltata       | Boston fern                 | ground    | 40-70  | 40-80 | 14 | 2-8     | 16-28 | 50-90  | 35-75  | 300  | 8  |          | central-america | pot     | 3
Nephrolepis cordifolia     | lemon button fern           | ground    | 15-25  | 20-35 | 12 | 2-8     | 16-28 | 50-90  | 35-75  | 200  | 6  |          | australasia     | pot     | 3
Adiantum raddianum         | delta maidenhair fern       | ground    | 20-35  | 25-40 | 12 | 1.5-5   | 16-26 | 65-95  | 50-85  | 15   | 6  |          | south-america   | pot     | 2
Adiantum capillus-veneris  | true maidenhair fern        | ground    | 15-30  | 20-35 | 14 | 1.5-5   | 14-26 | 65-95  | 50-85  | 15   | 6  |          | mediterranean   | pot     | 2
Pteris cretica             | Cretan brake                | ground    | 25-45  | 25-40 | 14 | 1.5-6   | 14-26 | 55-90  | 45-80  | 60   | 7  |          | mediterranean   | pot     | 2
Asplenium nidus            | bird’s-nest fern            | ground    | 30-60  | 35-70 | 24 | 1.5-6   | 18-29 | 60-95  | 40-75  | 400  | 8  |          | southeast-asia  | pot     | 1
Asplenium antiquum         | Japanese bird’s-nest fern   | ground    | 25-45  | 30-50 | 24 | 1.5-6   | 14-27 | 60-95  | 40-75  | 300  | 8  |          | east-asia       | pot     | 1
Hemionitis arifolia        | heart fern                  | ground    | 12-20  | 15-22 | 16 | 1.5-5   | 18-28 | 65-95  | 45-75  | 15   | 5  |          | south-asia      | pot     | 1
Blechnum brasiliense       | Brazilian dwarf tree fern   | ground    | 40-70  | 40-70 | 24 | 2-7     | 16-26 | 60-95  | 50-80  | 150  | 10 |          | south-america   | pot     | 1
Cyrtomium falcatum         | Japanese holly fern         | ground    | 30-50  | 35-60 | 20 | 1.5-6   | 10-25 | 50-90  | 40-75  | 300  | 8  |          | east-asia       | pot     | 2
Polystichum tsussimense    | Korean rock fern            | ground    | 20-35  | 25-35 | 18 | 1.5-5   | 8-24  | 55-90  | 40-75  | 100  | 7  |          | east-asia       | pot     | 2
Selaginella kraussiana     | trailing spike-moss         | ground    | 3-8    | 25-45 | 8  | 1-4     | 14-26 | 70-100 | 55-90  | 60   | 3  |          | africa          | pot     | 4
Selaginella uncinata       | peacock spike-moss          | ground    | 5-12   | 25-40 | 9  | 0.8-3.5 | 18-28 | 75-100 | 55-90  | 40   | 3  |          | east-asia       | pot     | 4
Selaginella martensii      | Martens’ spike-moss         | ground    | 10-18  | 20-30 | 12 | 1-4     | 18-27 | 70-100 | 55-85  | 40   | 4  |          | central-america | pot     | 3
Fittonia albivenis         | nerve plant                 | ground    | 8-15   | 15-30 | 9  | 1.5-5   | 18-28 | 65-95  | 50-80  | 30   | 5  |          | south-america   | pot     | 4
Pilea involucrata          | friendship plant            | ground    | 10-20  | 15-25 | 9  | 2-6     | 18-28 | 60-95  | 40-75  | 20   | 5  |          | central-america | pot     | 3
Pilea depressa             | creeping clearweed          | ground    | 3-8    | 20-35 | 8  | 2-6     | 18-28 | 60-95  | 40-75  | 20   | 3  |          | caribbean       | pot     | 5
Pilea microphylla          | artillery plant             | ground    | 10-20  | 15-30 | 6  | 2-8     | 18-29 | 55-95  | 40-75  | 10   | 4  |          | central-america | pot     | 4
Peperomia obtusifolia      | blunt-leaved peperomia      | ground    | 15-30  | 15-30 | 14 | 2-8     | 18-28 | 45-85  | 25-60  | 150  | 6  |          | central-america | pot     | 3
Peperomia caperata         | ripple peperomia            | ground    | 10-20  | 12-22 | 12 | 2-7     | 18-27 | 50-90  | 30-65  | 30   | 5  |          | south-america   | pot     | 2
Peperomia rotundifolia     | trailing jade               | mounted   | 3-6    | 15-30 | 10 | 2-7     | 18-27 | 60-95  | 30-65  | 10   | 2  |          | caribbean       | pot     | 4
Begonia rex                | painted-leaf begonia        | ground    | 20-35  | 25-40 | 10 | 2-7     | 16-26 | 55-90  | 35-65  | 30   | 6  | irritant | south-asia      | pot     | 2
Begonia bowerae            | eyelash begonia             | ground    | 10-20  | 15-25 | 10 | 2-7     | 16-26 | 55-90  | 35-65  | 20   | 4  | irritant | central-america | pot     | 3
Begonia thelmae            | creeping begonia            | mounted   | 3-8    | 15-30 | 10 | 1.5-5   | 19-27 | 75-100 | 45-75  | 10   | 2  | irritant | south-america   | cutting | 4
Begonia foliosa            | fern-leaved begonia         | ground    | 25-45  | 25-40 | 12 | 2-7     | 17-26 | 60-95  | 40-70  | 30   | 6  | irritant | south-america   | pot     | 2
Spathiphyllum wallisii     | peace lily                  | ground    | 30-50  | 30-50 | 14 | 1.5-7   | 18-29 | 50-95  | 45-90  | 300  | 10 | toxic    | south-america   | pot     | 4
Anthurium scherzerianum    | flamingo flower             | ground    | 25-40  | 25-40 | 20 | 2-7     | 18-28 | 55-95  | 35-70  | 200  | 8  | toxic    | central-america | pot     | 2
Aglaonema commutatum       | Philippine evergreen        | ground    | 35-60  | 30-50 | 20 | 1-6     | 19-29 | 50-90  | 35-70  | 500  | 10 | toxic    | southeast-asia  | pot     | 3
Syngonium podophyllum      | arrowhead vine              | climber   | 40-90  | 25-50 | 10 | 1.5-7   | 18-29 | 50-95  | 35-75  | 150  | 8  | toxic    | central-america | pot     | 3
Epipremnum aureum          | golden pothos               | climber   | 60-180 | 30-50 | 9  | 1-8     | 17-31 | 40-95  | 25-75  | 400  | 8  | toxic    | australasia     | pot     | 5
Scindapsus pictus          | satin pothos                | climber   | 40-120 | 20-35 | 14 | 1-6     | 18-29 | 50-95  | 25-65  | 150  | 7  | toxic    | southeast-asia  | pot     | 4
Philodendron hederaceum    | heart-leaved philodendron   | climber   | 60-150 | 25-40 | 10 | 1-7     | 18-29 | 50-95  | 30-70  | 200  | 7  | toxic    | central-america | pot     | 4
Monstera adansonii         | five-holes plant            | climber   | 60-150 | 40-60 | 12 | 2-8     | 18-29 | 55-95  | 35-70  | 250  | 10 | toxic    | south-america   | pot     | 3
Rhaphidophora hayi         | shingle plant               | climber   | 40-100 | 12-20 | 18 | 1.5-5   | 20-29 | 70-100 | 40-70  | 80   | 5  | toxic    | australasia     | cutting | 2
Marcgravia umbellata       | West Indian shingle vine    | climber   | 40-100 | 12-25 | 16 | 1.5-5   | 20-28 | 75-100 | 45-75  | 40   | 4  |          | caribbean       | cutting | 2
Ficus pumila               | creeping fig                | climber   | 30-120 | 25-50 | 10 | 1.5-8   | 12-28 | 55-95  | 35-75  | 60   | 6  | irritant | east-asia       | pot     | 4
Ficus pumila quercifolia   | oak-leaved creeping fig     | climber   | 15-60  | 20-35 | 12 | 1.5-6   | 16-28 | 65-100 | 40-75  | 20   | 4  | irritant | east-asia       | pot     | 4
Ficus villosa              | shingling fig               | climber   | 30-90  | 15-25 | 18 | 1.5-5   | 20-28 | 75-100 | 45-75  | 30   | 5  | irritant | southeast-asia  | cutting | 2
Ficus benjamina            | weeping fig                 | ground    | 50-150 | 35-80 | 24 | 5-18    | 16-30 | 40-80  | 30-65  | 800  | 15 | irritant | southeast-asia  | pot     | 1
Hoya carnosa               | wax plant                   | climber   | 50-150 | 20-35 | 16 | 4-12    | 15-29 | 40-80  | 15-50  | 150  | 7  |          | east-asia       | pot     | 3
Hoya linearis              | needle-leaved hoya          | mounted   | 30-70  | 15-25 | 16 | 3-10    | 14-25 | 60-90  | 25-55  | 20   | 5  |          | south-asia      | pot     | 2
Dischidia nummularia       | button orchid vine          | mounted   | 10-40  | 15-25 | 14 | 3-10    | 19-30 | 55-90  | 15-45  | 10   | 3  |          | southeast-asia  | cutting | 3
Dischidia ruscifolia       | heart dischidia             | mounted   | 20-50  | 15-25 | 14 | 3-10    | 19-30 | 55-90  | 20-50  | 20   | 4  |          | southeast-asia  | pot     | 3
Cissus amazonica           | Amazon treebine             | climber   | 40-120 | 25-40 | 9  | 2-7     | 19-29 | 65-95  | 40-75  | 40   | 6  | irritant | south-america   | pot     | 2
Cissus alata               | grape ivy                   | climber   | 60-150 | 30-50 | 10 | 2-8     | 14-27 | 45-85  | 30-65  | 150  | 8  |          | south-america   | pot     | 3
Hedera helix               | common ivy                  | climber   | 50-150 | 25-40 | 12 | 1.5-8   | 5-23  | 45-85  | 30-65  | 250  | 8  | toxic    | europe          | pot     | 4
Tradescantia zebrina       | inch plant                  | ground    | 10-20  | 30-60 | 6  | 3-12    | 15-29 | 45-90  | 30-70  | 60   | 5  | irritant | central-america | pot     | 6
Tradescantia fluminensis   | small-leaved spiderwort     | ground    | 8-20   | 30-60 | 6  | 2-10    | 13-27 | 50-95  | 35-80  | 60   | 4  | irritant | south-america   | pot     | 6
Callisia repens            | creeping inch plant         | ground    | 4-10   | 20-40 | 6  | 3-12    | 16-29 | 45-90  | 25-65  | 40   | 3  | irritant | caribbean       | pot     | 6
Chlorophytum comosum       | spider plant                | ground    | 20-35  | 30-50 | 10 | 2-10    | 12-28 | 35-80  | 25-65  | 400  | 10 |          | africa          | pot     | 4
Maranta leuconeura         | prayer plant                | ground    | 15-30  | 25-40 | 12 | 1.5-6   | 18-28 | 60-95  | 40-75  | 80   | 6  |          | south-america   | pot     | 3
Goeppertia roseopicta      | rose-painted calathea       | ground    | 25-45  | 30-45 | 14 | 1.5-5   | 18-28 | 65-95  | 45-75  | 100  | 8  |          | south-america   | pot     | 2
Ctenanthe burle-marxii     | fishbone prayer plant       | ground    | 25-40  | 25-40 | 14 | 1.5-6   | 18-28 | 60-95  | 40-75  | 100  | 8  |          | south-america   | pot     | 2
Aspidistra elatior         | cast-iron plant             | ground    | 45-70  | 35-60 | 36 | 0.8-6   | 8-28  | 35-85  | 25-70  | 1500 | 12 |          | east-asia       | pot     | 3
Ophiopogon japonicus       | dwarf mondo grass           | ground    | 8-20   | 12-25 | 24 | 1.5-10  | 5-28  | 45-95  | 35-80  | 500  | 8  |          | east-asia       | pot     | 6
Dracaena sanderiana        | ribbon dracaena             | ground    | 40-90  | 20-35 | 24 | 1.5-8   | 18-29 | 40-90  | 35-85  | 500  | 10 | toxic    | africa          | pot     | 1
Dracaena surculosa         | spotted dracaena            | ground    | 40-70  | 30-45 | 24 | 1.5-7   | 18-29 | 45-85  | 30-65  | 400  | 10 | toxic    | africa          | pot     | 2
Chamaedorea elegans        | parlour palm                | ground    | 50-100 | 40-60 | 30 | 1.5-7   | 16-28 | 45-85  | 35-70  | 400  | 12 |          | central-america | pot     | 5
Heptapleurum arboricola    | dwarf umbrella tree         | ground    | 50-120 | 35-60 | 18 | 3-14    | 14-30 | 35-85  | 25-65  | 1200 | 14 | toxic    | east-asia       | pot     | 3
Codiaeum variegatum        | garden croton               | ground    | 40-80  | 30-50 | 20 | 6-18    | 18-31 | 50-90  | 35-65  | 600  | 12 | toxic    | australasia     | pot     | 1
Hibiscus rosa-sinensis     | China rose                  | ground    | 50-120 | 40-80 | 12 | 8-25    | 16-32 | 45-85  | 35-70  | 700  | 15 |          | southeast-asia  | pot     | 1
Coffea arabica             | Arabian coffee              | ground    | 50-120 | 40-70 | 24 | 3-12    | 16-27 | 50-90  | 40-75  | 400  | 14 | toxic    | africa          | pot     | 6
Murraya paniculata         | orange jasmine              | ground    | 50-100 | 40-60 | 24 | 6-18    | 17-31 | 50-85  | 35-65  | 700  | 14 |          | south-asia      | pot     | 1
Coleus scutellarioides     | painted nettle              | ground    | 30-60  | 25-45 | 5  | 5-18    | 16-29 | 45-90  | 40-75  | 60   | 8  | irritant | southeast-asia  | pot     | 4
Plectranthus verticillatus | Swedish ivy                 | ground    | 10-25  | 30-60 | 7  | 4-14    | 13-28 | 40-85  | 30-65  | 60   | 6  |          | africa          | pot     | 5
Soleirolia soleirolii      | baby’s tears                | ground    | 2-5    | 20-45 | 6  | 2-8     | 8-25  | 65-100 | 55-90  | 30   | 2  |          | mediterranean   | pot     | 6
Sinningia pusilla          | miniature sinningia         | ground    | 3-6    | 4-8   | 8  | 2-6     | 18-26 | 70-100 | 45-75  | 3    | 3  |          | south-america   | pot     | 2
Episcia cupreata           | flame violet                | ground    | 8-15   | 20-40 | 8  | 3-8     | 19-29 | 65-95  | 40-70  | 30   | 4  |          | south-america   | pot     | 4
Saxifraga stolonifera      | creeping saxifrage          | ground    | 8-15   | 20-35 | 10 | 2-8     | 6-24  | 50-90  | 40-75  | 50   | 4  |          | east-asia       | pot     | 5
Oxalis triangularis        | purple shamrock             | ground    | 12-20  | 15-25 | 7  | 3-10    | 14-26 | 45-85  | 35-65  | 10   | 6  | toxic    | south-america   | bulb    | 4
Geogenanthus ciliatus      | seersucker plant            | ground    | 10-20  | 15-25 | 18 | 1-4.5   | 19-28 | 70-100 | 45-75  | 50   | 6  |          | south-america   | pot     | 2
Alocasia reginula          | black velvet elephant’s ear | ground    | 20-35  | 20-35 | 18 | 2-7     | 20-29 | 65-95  | 35-65  | 80   | 8  | toxic    | southeast-asia  | pot     | 2
Macodes petola             | jewel orchid                | ground    | 6-15   | 10-18 | 24 | 0.8-3.5 | 19-28 | 75-100 | 40-70  | 8    | 4  |          | southeast-asia  | pot     | 2
Ludisia discolor           | black jewel orchid          | ground    | 12-25  | 15-30 | 20 | 1-5     | 18-28 | 65-95  | 35-70  | 30   | 5  |          | southeast-asia  | pot     | 3
Neoregelia ampullacea      | tubular tank bromeliad      | mounted   | 12-20  | 10-20 | 14 | 4-14    | 17-30 | 55-95  | 10-50  | 120  | 4  |          | south-america   | bare    | 3
Neoregelia lilliputiana    | Lilliput bromeliad          | mounted   | 12-18  | 15-22 | 14 | 4-15    | 16-30 | 50-95  | 10-50  | 120  | 4  |          | south-america   | bare    | 4
Neoregelia carolinae       | blushing bromeliad          | ground    | 20-30  | 35-55 | 18 | 4-14    | 16-30 | 50-90  | 20-55  | 300  | 7  |          | south-america   | pot     | 2
Guzmania lingulata         | scarlet star                | ground    | 25-40  | 30-50 | 20 | 3-9     | 18-29 | 60-95  | 25-60  | 150  | 7  |          | central-america | pot     | 2
Vriesea splendens          | flaming sword               | ground    | 30-50  | 30-45 | 20 | 3-9     | 18-29 | 60-95  | 25-60  | 150  | 7  |          | south-america   | pot     | 2
Cryptanthus bivittatus     | earth star                  | ground    | 6-10   | 12-22 | 16 | 4-12    | 17-30 | 50-90  | 25-60  | 100  | 5  |          | south-america   | pot     | 3
Billbergia nutans          | queen’s tears               | ground    | 25-40  | 20-40 | 14 | 4-14    | 10-28 | 40-85  | 20-60  | 400  | 8  | irritant | south-america   | pot     | 4
Aechmea recurvata          | stiff tank bromeliad        | mounted   | 15-25  | 15-25 | 18 | 6-20    | 8-30  | 40-85  | 10-45  | 400  | 6  | irritant | south-america   | bare    | 3
Tillandsia ionantha        | sky plant                   | mounted   | 5-9    | 5-10  | 24 | 5-18    | 12-31 | 45-80  | 0-30   | 10   | 0  |          | central-america | bare    | 2
Tillandsia usneoides       | Spanish moss                | mounted   | 30-90  | 10-20 | 18 | 3-15    | 10-31 | 55-90  | 0-30   | 5    | 0  |          | north-america   | bare    | 6
Tillandsia bulbosa         | bulbous air plant           | mounted   | 10-18  | 10-18 | 24 | 4-14    | 17-30 | 60-90  | 0-35   | 10   | 0  |          | central-america | bare    | 2
Tillandsia xerographica    | grey desert air plant       | mounted   | 20-35  | 25-45 | 48 | 8-22    | 14-33 | 35-70  | 0-20   | 60   | 0  |          | central-america | bare    | 1
Restrepia antennifera      | antennae orchid             | mounted   | 8-14   | 8-15  | 24 | 2.5-7   | 12-24 | 70-95  | 35-70  | 5    | 2  |          | south-america   | bare    | 2
Masdevallia veitchiana     | king-of-the-masdevallias    | mounted   | 12-22  | 10-18 | 24 | 3-8     | 9-22  | 70-95  | 40-75  | 8    | 3  |          | south-america   | pot     | 2
Pleurothallis grobyi       | bonnet orchid               | mounted   | 3-6    | 5-9   | 24 | 2.5-7   | 15-27 | 70-95  | 35-70  | 3    | 1  |          | central-america | bare    | 2
Bulbophyllum lasiochilum   | cherry bulbophyllum         | mounted   | 4-7    | 10-20 | 24 | 3-9     | 19-29 | 65-95  | 30-65  | 10   | 2  |          | southeast-asia  | bare    | 3
Dendrobium kingianum       | pink rock orchid            | mounted   | 12-25  | 15-25 | 24 | 6-16    | 7-28  | 45-85  | 15-50  | 60   | 4  |          | australasia     | pot     | 3
Phalaenopsis equestris     | lesser moth orchid          | mounted   | 12-20  | 15-25 | 24 | 3-9     | 19-30 | 55-90  | 25-60  | 30   | 3  |          | southeast-asia  | pot     | 1
Lemmaphyllum microphyllum  | bean fern                   | mounted   | 2-4    | 15-30 | 18 | 1.5-6   | 8-26  | 65-100 | 35-75  | 15   | 2  |          | east-asia       | mat     | 4
Microgramma heterophylla   | clambering vine fern        | mounted   | 3-8    | 20-40 | 16 | 2-7     | 16-29 | 65-100 | 35-75  | 15   | 2  |          | caribbean       | cutting | 4
Davallia fejeensis         | rabbit’s-foot fern          | mounted   | 25-40  | 30-50 | 18 | 2-8     | 16-28 | 55-90  | 30-65  | 80   | 4  |          | australasia     | pot     | 3
Platycerium bifurcatum     | common staghorn fern        | mounted   | 35-60  | 40-70 | 30 | 4-12    | 10-29 | 45-90  | 20-60  | 300  | 4  |          | australasia     | pot     | 1
Pyrrosia nummulariifolia   | creeping button fern        | mounted   | 2-4    | 15-30 | 18 | 1.5-6   | 17-29 | 65-95  | 30-65  | 15   | 1  |          | southeast-asia  | mat     | 4
Taxiphyllum barbieri       | Java moss                   | moss      | 1-4    | 20-60 | 6  | 0.8-5   | 12-28 | 85-100 | 75-100 | 60   | 0  |          | southeast-asia  | mat     | 8
Hypnum cupressiforme       | cypress-leaved plait-moss   | moss      | 1-3    | 15-40 | 12 | 0.8-5   | 4-24  | 70-100 | 50-90  | 60   | 0  |          | europe          | mat     | 6
Leucobryum glaucum         | cushion moss                | moss      | 3-7    | 8-20  | 24 | 0.8-4   | 4-24  | 65-95  | 45-85  | 20   | 0  |          | europe          | mat     | 3
Thuidium delicatulum       | delicate fern moss          | moss      | 2-4    | 20-50 | 14 | 0.8-4.5 | 4-26  | 70-100 | 50-90  | 40   | 0  |          | north-america   | mat     | 6
Sphagnum palustre          | blunt-leaved bog-moss       | moss      | 4-10   | 20-50 | 14 | 2-10    | 4-26  | 75-100 | 80-100 | 60   | 0  |          | europe          | mat     | 6
Vesicularia montagnei      | Christmas moss              | moss      | 1-3    | 15-40 | 8  | 0.8-5   | 16-28 | 85-100 | 75-100 | 50   | 0  |          | southeast-asia  | mat     | 6
Acorus gramineus           | grassy-leaved sweet flag    | marsh     | 15-30  | 12-25 | 18 | 2-12    | 5-27  | 50-100 | 65-100 | 250  | 8  | irritant | east-asia       | pot     | 5
Cyperus alternifolius      | umbrella sedge              | marsh     | 50-100 | 30-60 | 10 | 4-18    | 12-31 | 45-100 | 70-100 | 300  | 10 |          | africa          | pot     | 5
Hydrocotyle verticillata   | whorled pennywort           | marsh     | 6-12   | 25-50 | 7  | 3-14    | 10-29 | 60-100 | 70-100 | 30   | 4  |          | north-america   | pot     | 6
Bacopa monnieri            | water hyssop                | marsh     | 10-25  | 20-35 | 8  | 4-18    | 15-30 | 55-100 | 70-100 | 20   | 5  |          | south-asia      | pot     | 6
Lysimachia nummularia      | creeping jenny              | marsh     | 4-8    | 30-60 | 7  | 4-16    | 4-25  | 50-100 | 55-100 | 40   | 4  |          | europe          | pot     | 6
Anubias barteri            | dwarf anubias               | marsh     | 8-20   | 12-25 | 24 | 1-6     | 20-29 | 75-100 | 75-100 | 100  | 4  | toxic    | africa          | bare    | 2
Leptochilus pteropus       | Java fern                   | marsh     | 15-30  | 15-25 | 18 | 1-6     | 18-29 | 80-100 | 75-100 | 60   | 3  |          | southeast-asia  | bare    | 4
Cryptocoryne wendtii       | Wendt’s water trumpet       | marsh     | 10-20  | 12-20 | 14 | 1-6     | 20-29 | 80-100 | 80-100 | 40   | 7  | toxic    | south-asia      | pot     | 4
Juncus effusus             | soft rush                   | marsh     | 40-70  | 20-40 | 14 | 5-20    | 2-26  | 40-95  | 60-100 | 400  | 10 |          | europe          | pot     | 5
Pistia stratiotes          | water lettuce               | floating  | 5-12   | 8-20  | 4  | 5-22    | 17-32 | 55-95  | 95-100 | 20   | 0  | irritant | south-america   | bare    | 4
Salvinia natans            | floating watermoss          | floating  | 1-3    | 10-40 | 4  | 3-18    | 14-30 | 55-100 | 95-100 | 5    | 0  |          | europe          | bare    | 8
Phyllanthus fluitans       | red root floater            | floating  | 1-3    | 10-30 | 5  | 5-20    | 19-29 | 60-100 | 95-100 | 5    | 0  |          | south-america   | bare    | 8
Haworthiopsis fasciata     | zebra haworthia             | succulent | 8-15   | 8-15  | 30 | 5-18    | 10-33 | 20-60  | 2-30   | 250  | 7  |          | africa          | pot     | 4
Haworthia cooperi          | window haworthia            | succulent | 4-8    | 8-14  | 30 | 4-14    | 10-31 | 20-60  | 3-30   | 60   | 6  |          | africa          | pot     | 3
Gasteria bicolor           | ox-tongue gasteria          | succulent | 12-25  | 15-25 | 36 | 4-14    | 10-33 | 20-60  | 3-32   | 400  | 8  |          | africa          | pot     | 3
Aristaloe aristata         | lace aloe                   | succulent | 10-15  | 12-22 | 30 | 7-25    | 6-34  | 20-60  | 2-30   | 400  | 8  | irritant | africa          | pot     | 4
Dracaena trifasciata       | mother-in-law’s tongue      | succulent | 35-80  | 20-35 | 30 | 2-16    | 14-33 | 20-75  | 3-45   | 1500 | 10 | toxic    | africa          | pot     | 4
Dracaena angolensis        | cylindrical bowstring hemp  | succulent | 12-20  | 15-25 | 30 | 2-16    | 14-33 | 20-75  | 3-45   | 700  | 7  | toxic    | africa          | pot     | 3
Crassula ovata             | jade plant                  | succulent | 25-60  | 25-45 | 36 | 8-28    | 8-33  | 20-60  | 2-30   | 500  | 9  | toxic    | africa          | pot     | 3
Sedum pachyphyllum         | many-fingers stonecrop      | succulent | 6-12   | 12-25 | 18 | 9-30    | 6-34  | 20-55  | 2-28   | 30   | 5  | irritant | central-america | pot     | 6
Sedum acre                 | biting stonecrop            | succulent | 3-8    | 15-30 | 14 | 9-30    | 0-30  | 25-65  | 3-35   | 40   | 4  | irritant | mediterranean   | pot     | 6
Portulacaria afra          | elephant bush               | succulent | 30-80  | 30-60 | 24 | 9-30    | 8-36  | 20-60  | 2-32   | 700  | 10 |          | africa          | pot     | 4
Opuntia microdasys         | bunny-ears prickly pear     | succulent | 25-50  | 20-40 | 30 | 12-35   | 5-36  | 15-50  | 1-25   | 700  | 8  | glochids | central-america | pot     | 3
Euphorbia milii            | crown of thorns             | succulent | 30-60  | 25-45 | 24 | 10-30   | 10-35 | 20-60  | 3-32   | 700  | 10 | toxic    | madagascar      | pot     | 2
Kalanchoe tomentosa        | panda plant                 | succulent | 20-40  | 15-30 | 24 | 9-28    | 10-34 | 20-55  | 2-28   | 200  | 8  | toxic    | madagascar      | pot     | 3
Ceropegia woodii           | string of hearts            | succulent | 20-90  | 10-20 | 14 | 5-18    | 12-32 | 30-70  | 5-40   | 20   | 5  |          | africa          | pot     | 4
Rhipsalis baccifera        | mistletoe cactus            | mounted   | 30-80  | 20-40 | 18 | 3-12    | 14-29 | 50-90  | 15-50  | 60   | 5  |          | south-america   | pot     | 4
Isolatocereus dumortieri   | candle cactus               | succulent | 40-90  | 10-20 | 48 | 12-35   | 8-36  | 15-50  | 1-25   | 1500 | 10 | spines   | central-america | pot     | 1
Eleusine tristachya        | tussock goosegrass          | grass     | 15-30  | 20-35 | 5  | 10-35   | 12-35 | 25-65  | 8-45   | 400  | 8  |          | south-america   | pot     | 4
Festuca glauca             | blue fescue                 | grass     | 15-30  | 15-25 | 14 | 10-35   | -5-30 | 25-65  | 8-45   | 500  | 8  |          | mediterranean   | pot     | 5
Carex comans               | New Zealand hair sedge      | grass     | 20-35  | 25-40 | 14 | 6-25    | 2-27  | 35-85  | 30-70  | 500  | 10 |          | australasia     | pot     | 5
Monstera dubia             | shingle monstera            | climber   | 30-100 | 12-25 | 16 | 2-6     | 19-29 | 70-100 | 35-65  | 100  | 5  | toxic    | central-america | cutting | 2
Rhaphidophora cryptantha   | shingle plant, silver-veined | climber   | 30-100 | 12-20 | 18 | 1.5-5   | 19-29 | 70-100 | 35-65  | 80   | 5  | toxic    | australasia     | cutting | 2
Philodendron hederaceum micans | velvet-leaved philodendron  | climber   | 40-120 | 20-35 | 10 | 1.5-7   | 18-29 | 55-95  | 30-65  | 150  | 7  | toxic    | central-america | pot     | 4
Marcgravia rectiflora      | shingling marcgravia        | climber   | 30-90  | 10-20 | 18 | 1.5-5   | 19-28 | 75-100 | 45-75  | 30   | 4  |          | caribbean       | cutting | 2
Solanum evolvulifolium     | creeping nightshade vine    | climber   | 20-60  | 15-25 | 12 | 1.5-5   | 18-28 | 75-100 | 45-75  | 15   | 3  | toxic    | central-america | cutting | 4
Ficus thunbergii           | creeping fig, small-leaved  | climber   | 20-80  | 20-40 | 10 | 1.5-7   | 10-28 | 60-95  | 35-75  | 50   | 5  | irritant | east-asia       | pot     | 4
Ficus punctata             | Panama fig                  | climber   | 20-60  | 15-30 | 14 | 1.5-5   | 19-28 | 75-100 | 45-75  | 20   | 4  | irritant | southeast-asia  | cutting | 3
Vanilla planifolia         | vanilla orchid              | climber   | 80-200 | 15-25 | 24 | 4-12    | 18-31 | 60-95  | 25-60  | 200  | 5  | irritant | central-america | pot     | 3
Biophytum sensitivum       | little tree plant           | ground    | 10-18  | 10-15 | 10 | 2-7     | 20-29 | 65-95  | 40-70  | 5    | 5  |          | southeast-asia  | pot     | 1
Pellionia pulchra          | satin pellionia             | ground    | 6-12   | 20-40 | 9  | 1-4.5   | 18-28 | 65-100 | 45-75  | 25   | 4  |          | southeast-asia  | pot     | 4
Pilea cadierei             | aluminium plant             | ground    | 15-30  | 15-30 | 9  | 2-6     | 17-28 | 55-95  | 40-75  | 30   | 5  |          | southeast-asia  | pot     | 3
Pilea glauca               | grey baby tears             | ground    | 3-8    | 20-40 | 9  | 2-6     | 16-28 | 60-95  | 35-70  | 15   | 3  |          | south-america   | pot     | 5
Peperomia prostrata        | string of turtles           | ground    | 2-5    | 15-35 | 12 | 2-7     | 18-27 | 55-90  | 25-55  | 10   | 3  |          | south-america   | pot     | 4
Peperomia emarginella      | pinhead peperomia           | mounted   | 1-2    | 10-25 | 12 | 1.5-5   | 18-27 | 75-100 | 40-70  | 3    | 1  |          | caribbean       | cutting | 4
Hypoestes phyllostachya    | polka dot plant             | ground    | 20-40  | 20-35 | 6  | 4-12    | 16-28 | 50-90  | 40-75  | 30   | 6  |          | madagascar      | pot     | 2
Goeppertia lietzei         | peacock plant               | ground    | 20-40  | 25-40 | 14 | 1.5-6   | 18-28 | 60-95  | 40-75  | 80   | 8  |          | south-america   | pot     | 3
Stromanthe thalia          | stromanthe                  | ground    | 40-70  | 35-50 | 16 | 2-7     | 18-28 | 60-95  | 40-75  | 200  | 10 |          | south-america   | pot     | 3
Alsobia dianthiflora       | lace flower vine            | ground    | 4-8    | 20-40 | 8  | 3-8     | 17-28 | 60-95  | 35-65  | 15   | 3  |          | central-america | pot     | 4
Aeschynanthus radicans     | lipstick plant              | mounted   | 30-70  | 20-35 | 14 | 4-10    | 18-29 | 55-90  | 25-55  | 40   | 5  |          | southeast-asia  | pot     | 3
Columnea gloriosa          | goldfish plant              | mounted   | 30-60  | 20-30 | 12 | 4-10    | 17-27 | 55-90  | 30-60  | 30   | 5  |          | central-america | pot     | 3
Streptocarpus ionanthus    | African violet              | ground    | 8-15   | 15-25 | 8  | 4-8     | 18-27 | 50-85  | 35-60  | 15   | 5  |          | africa          | pot     | 1
Nepenthes ventricosa       | pitcher plant               | mounted   | 15-30  | 20-35 | 30 | 5-14    | 14-29 | 65-95  | 45-75  | 30   | 5  |          | southeast-asia  | pot     | 1
Drosera adelae             | lance-leaved sundew         | ground    | 8-15   | 10-20 | 12 | 3-8     | 14-28 | 65-100 | 65-95  | 5    | 4  |          | australasia     | pot     | 3
Pinguicula moranensis      | Mexican butterwort          | mounted   | 2-5    | 8-15  | 14 | 4-12    | 12-28 | 50-90  | 25-65  | 3    | 2  |          | central-america | pot     | 2
Utricularia sandersonii    | rabbit bladderwort          | ground    | 2-5    | 10-20 | 8  | 3-10    | 12-28 | 65-100 | 80-100 | 3    | 3  |          | africa          | pot     | 6
Bulbophyllum falcatum      | hatchet bulbophyllum        | mounted   | 6-12   | 10-18 | 24 | 3-9     | 19-29 | 65-95  | 30-65  | 10   | 2  |          | africa          | bare    | 3
Lepanthes telipogoniflora  | bird-faced babyboot orchid  | mounted   | 1-3    | 3-5   | 24 | 2-6     | 15-25 | 80-100 | 45-75  | 1    | 1  |          | south-america   | bare    | 2
Neoregelia schultesiana    | fireball bromeliad          | mounted   | 8-14   | 10-16 | 14 | 4-15    | 17-30 | 50-95  | 10-50  | 80   | 4  |          | south-america   | bare    | 4
Vriesea racinae            | spotted dwarf vriesea       | mounted   | 8-14   | 10-16 | 20 | 3-9     | 16-28 | 65-95  | 20-55  | 60   | 4  |          | south-america   | pot     | 2
Elaphoglossum peltatum     | mermaid fern                | mounted   | 3-8    | 15-30 | 18 | 1.5-5   | 16-27 | 75-100 | 45-80  | 10   | 1  |          | central-america | mat     | 3
Pecluma pectinata          | comb polypody               | mounted   | 20-40  | 15-30 | 18 | 2-6     | 17-28 | 65-95  | 40-75  | 40   | 3  |          | central-america | bare    | 2
Phlebodium aureum          | blue star fern              | ground    | 25-50  | 30-60 | 16 | 2-9     | 15-29 | 45-90  | 30-65  | 300  | 6  |          | central-america | pot     | 2
Humata tyermannii          | bear’s-foot fern            | mounted   | 15-25  | 25-50 | 18 | 2-8     | 14-28 | 55-90  | 30-65  | 80   | 3  |          | east-asia       | pot     | 3
Selaginella apoda          | meadow spike-moss           | ground    | 2-6    | 15-35 | 8  | 1-5     | 8-27  | 70-100 | 60-95  | 40   | 3  |          | north-america   | pot     | 5
Marchantia polymorpha      | common liverwort            | moss      | 0.5-2  | 10-25 | 6  | 1-6     | 5-25  | 75-100 | 60-100 | 10   | 1  |          | europe          | mat     | 4
Lunularia cruciata         | crescent-cup liverwort      | moss      | 0.5-1.5 | 8-20 | 7  | 1-6     | 6-25  | 75-100 | 60-100 | 10   | 1  |          | mediterranean   | mat     | 4
Riccia fluitans            | crystalwort                 | floating  | 1-2    | 10-40 | 4  | 3-14    | 12-29 | 60-100 | 95-100 | 5    | 0  |          | europe          | mat     | 8
Lemna minor                | common duckweed             | floating  | 0.2-0.5 | 10-60 | 1  | 3-25    | 6-31  | 40-100 | 95-100 | 3    | 0  |          | europe          | bare    | 8
Ceratophyllum demersum     | hornwort                    | submerged | 20-60  | 15-40 | 4  | 3-15    | 10-29 | 40-100 | 95-100 | 20   | 0  |          | europe          | bare    | 8
Rubus fruticosus           | bramble                     | ground    | 40-120 | 30-60 | 10 | 5-25    | 2-27  | 40-90  | 35-70  | 300  | 15 | spines   | europe          | pot     | 2
Psidium guajava            | guava                       | ground    | 50-150 | 40-80 | 18 | 8-25    | 16-33 | 45-85  | 30-65  | 800  | 18 |          | south-america   | pot     | 1
Taraxacum officinale       | dandelion                   | ground    | 8-25   | 15-30 | 4  | 8-30    | 4-26  | 35-80  | 35-70  | 300  | 18 |          | europe          | pot     | 2
Plantago lanceolata        | ribwort plantain            | ground    | 10-30  | 15-30 | 4  | 8-30    | 4-27  | 35-80  | 30-65  | 300  | 12 |          | europe          | pot     | 2
Trifolium repens           | white clover                | ground    | 5-15   | 20-40 | 4  | 8-30    | 4-26  | 40-85  | 35-70  | 300  | 10 |          | europe          | pot     | 4
Bouteloua gracilis         | blue grama                  | grass     | 15-35  | 15-30 | 12 | 12-40   | 5-35  | 20-60  | 10-45  | 500  | 12 |          | north-america   | pot     | 5
Cenchrus alopecuroides     | fountain grass              | grass     | 40-80  | 30-60 | 14 | 10-35   | 5-33  | 30-75  | 25-60  | 600  | 14 |          | east-asia       | pot     | 4
Echeveria elegans          | Mexican snowball            | succulent | 5-10   | 10-18 | 20 | 10-30   | 6-32  | 20-55  | 2-28   | 60   | 6  |          | central-america | pot     | 4
Sempervivum tectorum       | common houseleek            | succulent | 5-12   | 10-25 | 18 | 10-35   | -5-30 | 20-65  | 3-32   | 100  | 5  |          | europe          | pot     | 6
Aloe vera                  | true aloe                   | succulent | 30-60  | 30-50 | 30 | 8-28    | 10-34 | 20-60  | 2-30   | 800  | 12 | toxic    | africa          | pot     | 4
Agave parryi               | Parry’s agave               | succulent | 20-45  | 25-50 | 60 | 12-40   | 0-36  | 15-50  | 2-28   | 2000 | 14 | spines   | north-america   | pot     | 2
Opuntia ficus-indica       | Indian fig prickly pear     | succulent | 40-100 | 30-60 | 24 | 12-40   | 5-37  | 15-55  | 1-28   | 1500 | 12 | glochids | central-america | cutting | 4
Delosperma cooperi         | ice plant                   | succulent | 5-12   | 25-50 | 12 | 12-40   | -2-34 | 20-60  | 3-35   | 150  | 6  |          | africa          | pot     | 6
`;

/** Commonly protected in trade or in the wild (orchids, cacti, bog mosses), or known to run wild where let out. */
const LEGAL: Readonly<Record<string, Legal | Legal[]>> = {
  'Pistia stratiotes': 'invasive',
  'Tradescantia fluminensis': 'invasive',
  'Nephrolepis cordifolia': 'invasive',
  'Epipremnum aureum': 'invasive',
  'Lysimachia nummularia': 'invasive',
  'Hedera helix': 'invasive',
  'Salvinia natans': 'protected',
  'Sphagnum palustre': 'protected',
  'Leucobryum glaucum': 'protected',
  'Macodes petola': 'protected',
  'Ludisia discolor': 'protected',
  'Restrepia antennifera': 'protected',
  'Masdevallia veitchiana': 'protected',
  'Pleurothallis grobyi': 'protected',
  'Bulbophyllum lasiochilum': 'protected',
  'Dendrobium kingianum': 'protected',
  'Phalaenopsis equestris': 'protected',
  'Tillandsia xerographica': 'protected',
  'Opuntia microdasys': 'protected',
  'Isolatocereus dumortieri': 'protected',
  'Rhipsalis baccifera': 'protected',
  'Euphorbia milii': 'protected',
  'Aristaloe aristata': 'protected',
  'Selaginella kraussiana': 'invasive',
  'Syngonium podophyllum': 'invasive',
  'Dracaena trifasciata': 'invasive',
  'Murraya paniculata': 'invasive',
  'Tradescantia zebrina': 'invasive',
  'Phyllanthus fluitans': 'invasive',
  'Vanilla planifolia': 'protected',
  'Nepenthes ventricosa': 'protected',
  'Bulbophyllum falcatum': 'protected',
  'Lepanthes telipogoniflora': 'protected',
  'Opuntia ficus-indica': ['protected', 'invasive'],
  'Rubus fruticosus': 'invasive',
  'Psidium guajava': 'invasive',
};

/** Of rare ones, which cost several times what others of their sort do (order of magnitude, common practice). */
const DEAR: Readonly<Record<string, number>> = {
  'Tillandsia xerographica': 25,
  'Macodes petola': 18,
  'Alocasia reginula': 20,
  'Rhaphidophora hayi': 15,
  'Masdevallia veitchiana': 22,
  'Marcgravia umbellata': 15,
  'Platycerium bifurcatum': 14,
  'Hoya linearis': 15,
  'Monstera dubia': 18,
  'Rhaphidophora cryptantha': 18,
  'Marcgravia rectiflora': 14,
  'Vanilla planifolia': 12,
  'Nepenthes ventricosa': 16,
  'Bulbophyllum falcatum': 18,
  'Lepanthes telipogoniflora': 22,
  'Vriesea racinae': 15,
  'Elaphoglossum peltatum': 14,
  'Psidium guajava': 12,
};

/** They catch what is small, and starve in rich or limy soil. */
const CATCHES: ReadonlySet<string> = new Set([
  'Nepenthes ventricosa',
  'Drosera adelae',
  'Pinguicula moranensis',
  'Utricularia sandersonii',
]);

/** Whose food they are (common practice): tortoises and lizards that graze, and insects that live on leaves. */
const FEEDS: Readonly<Record<string, Plant['feeds']>> = {
  'Taraxacum officinale': ['grazers'],
  'Plantago lanceolata': ['grazers'],
  'Trifolium repens': ['grazers'],
  'Hibiscus rosa-sinensis': ['grazers'],
  'Opuntia ficus-indica': ['grazers'],
  'Sempervivum tectorum': ['grazers'],
  'Echeveria elegans': ['grazers'],
  'Portulacaria afra': ['grazers'],
  'Callisia repens': ['grazers'],
  'Bouteloua gracilis': ['grazers'],
  'Eleusine tristachya': ['grazers'],
  'Festuca glauca': ['grazers'],
  'Rubus fruticosus': ['leaf insects'],
  'Psidium guajava': ['leaf insects'],
};

/**
 * What is sown or spread: of what, and days until green is seen where it is warm and moist, as growers say (common
 * practice). Of moss, pieces are brushed on in a slurry.
 */
const SOWS = `
Taxiphyllum barbieri       | pieces | 20-60
Hypnum cupressiforme       | pieces | 30-90
Thuidium delicatulum       | pieces | 30-90
Sphagnum palustre          | pieces | 30-90
Vesicularia montagnei      | pieces | 20-60
Marchantia polymorpha      | pieces | 14-45
Lunularia cruciata         | pieces | 14-45
Selaginella kraussiana     | pieces | 14-40
Soleirolia soleirolii      | pieces | 7-21
Adiantum raddianum         | spores | 40-120
Adiantum capillus-veneris  | spores | 40-120
Pteris cretica             | spores | 30-90
Asplenium nidus            | spores | 40-120
Blechnum brasiliense       | spores | 40-120
Cyrtomium falcatum         | spores | 30-90
Polystichum tsussimense    | spores | 40-120
Phlebodium aureum          | spores | 40-120
Bouteloua gracilis         | seed   | 7-21
Festuca glauca             | seed   | 10-21
Eleusine tristachya        | seed   | 7-21
Carex comans               | seed   | 14-40
Taraxacum officinale       | seed   | 7-21
Plantago lanceolata        | seed   | 7-21
Trifolium repens           | seed   | 5-14
Coleus scutellarioides     | seed   | 7-21
Biophytum sensitivum       | seed   | 10-30
Sempervivum tectorum       | seed   | 14-40
`;
/** m² that a portion covers, and what it costs: spores of one frond, a packet of seed, a handful of moss in buttermilk or water. */
const PORTION = {
  pieces: { covers: 0.1, price: 7 },
  spores: { covers: 0.05, price: 5 },
  seed: { covers: 0.5, price: 3 },
} as const;

const sowing = new Map(
  readTable(SOWS, 3).map((cell) => {
    const by = cell(1) as keyof typeof PORTION;
    return [cell(0), practice({ by, days: within(cell(2)), ...PORTION[by] })] as const;
  }),
);

/** Typical prices by how it is sold. */
const PRICE: Record<Plant['sold']['value'], number> = { pot: 6, bare: 8, cutting: 5, mat: 7, bulb: 4 };

export const plants: Plant[] = readTable(TABLE, 16).map((cell): Plant => {
  const sold = cell(14) as Plant['sold']['value'];
  const legal = LEGAL[cell(0)];
  const feeds = FEEDS[cell(0)];
  const sows = sowing.get(cell(0));
  return {
    id: cell(0).toLowerCase().replaceAll(' ', '-'),
    english: cell(1),
    scientific: cell(0),
    form: cell(2) as Plant['form'],
    height: practice(within(cell(3), 0.01)),
    width: practice(within(cell(4), 0.01)),
    months: practice(Number(cell(5))),
    light: estimated(within(cell(6)), 'light-class'),
    temperature: practice(within(cell(7))),
    humidity: practice(within(cell(8), 0.01)),
    wetness: estimated(within(cell(9), 0.01), 'habitat'),
    bears: practice(Number(cell(10)) / 1000),
    roots: estimated(Number(cell(11)) / 100, 'roots-by-size'),
    harm: citedOr((cell(12) || 'none') as Plant['harm']['value'], harmWork(cell(0)), 'kin'),
    region: citedOr(
      cell(13) as Plant['region']['value'],
      // The list of plants holds no mosses and no liverworts.
      cell(2) === 'moss' || cell(0) === 'Riccia fluitans' ? undefined : 'powo',
      'accounts',
    ),
    sold: practice(sold),
    divides: practice(Number(cell(15))),
    ...(CATCHES.has(cell(0)) ? { catches: true } : {}),
    ...(feeds ? { feeds } : {}),
    ...(sows ? { sows } : {}),
    ...(legal ? { legal } : {}),
    price: practice(DEAR[cell(0)] ?? PRICE[sold]),
  };
});
