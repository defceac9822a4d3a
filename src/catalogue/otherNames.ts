/**
 * What else people call a species, in English and in German, and names it had before: it is found by all of them. Common
 * names of the trade and of field guides, from memory; they are not shown as its name.
 */
const TABLE = `
theloderma-corticale: mossy tree frog, Tonkin bug-eyed frog, Moosfrosch
dendrobates-tinctorius: tinc, dyeing dart frog, azureus, blue poison dart frog, Färberfrosch
goniurosaurus-hainanensis: Chinese cave gecko, Hainan-Höhlengecko
hemitheconyx-caudicinctus: fat-tail, AFT, Westafrikanischer Krallengecko
correlophus-ciliatus: crestie, eyelash gecko, Rhacodactylus ciliatus, Kronengecko
anolis-carolinensis: Carolina anole, American chameleon, Rotkehlanolis
pogona-vitticeps: beardie, inland bearded dragon, Streifenköpfige Bartagame
teratoscincus-scincus: frog-eyed gecko, Wundergecko
varanus-acanthurus: ackie, spiny-tailed monitor, Stachelschwanzwaran
eryx-colubrinus: East African sand boa, Gongylophis colubrinus, Ägyptische Sandboa
pantherophis-guttatus: red rat snake, Elaphe guttata, Kornnatter
cynops-orientalis: Chinese newt, Chinesischer Feuerbauchmolch
ranitomeya-imitator: imitator, mimic dart frog, Dendrobates imitator
agalychnis-callidryas: RETF, red-eye, Rotaugenlaubfrosch
ceratophrys-cranwelli: pacman frog, Chaco horned frog, Schmuckhornfrosch
bombina-orientalis: fire-belly toad, Chinesische Rotbauchunke
ambystoma-tigrinum: tiger salamander, Tigerquerzahnmolch
lepidodactylus-lugubris: mourner, Jungferngecko
phelsuma-grandis: Madagascar day gecko, Phelsuma madagascariensis grandis, Großer Madagaskar-Taggecko
eublepharis-macularius: leo, spotted fat-tailed gecko, Leopardgecko
chalcides-ocellatus: eyed skink, barrel skink, Walzenskink
lampropeltis-californiae: Cal king, Lampropeltis getula californiae, Kalifornische Kettennatter
thamnophis-sirtalis: garter, Strumpfbandnatter
furcifer-pardalis: panther, Pantherchamäleon
dendrobates-auratus: green and black dart frog, Goldbaumsteiger
phyllobates-terribilis: terribilis, golden dart frog, Schrecklicher Pfeilgiftfrosch
epipedobates-anthonyi: Anthony’s poison arrow frog, Epipedobates tricolor, Dreistreifen-Baumsteiger
ranoidea-caerulea: white’s tree frog, white tree frog, dumpy tree frog, Litoria caerulea, Pelodryas caerulea, Korallenfinger
dryophytes-cinereus: green treefrog, Hyla cinerea, Amerikanischer Laubfrosch
anaxyrus-americanus: Bufo americanus, Amerikanische Kröte
dyscophus-guineti: tomato frog, false tomato frog, Tomatenfrosch
mantella-aurantiaca: golden frog, Goldfröschchen
trachycephalus-resinifictrix: milk frog, Phrynohyas resinifictrix, mission golden-eyed tree frog, Baumhöhlen-Krötenlaubfrosch
pyxicephalus-adspersus: pixie frog, giant bullfrog, Afrikanischer Ochsenfrosch
dendrobates-leucomelas: leuc, bumblebee dart frog, Gelbgebänderter Baumsteiger
oophaga-pumilio: blue jeans frog, Dendrobates pumilio, Erdbeerfröschchen
ranitomeya-variabilis: splashback, Ranitomeya ventrimaculata, Variabler Baumsteiger
pelobatrachus-nasutus: long-nosed horned frog, Megophrys nasuta, Zipfelkrötenfrosch
kaloula-pulchra: chubby frog, bubble frog, Asian painted frog, Indischer Ochsenfrosch
phyllomedusa-sauvagii: painted-belly leaf frog, monkey tree frog, Makifrosch
ambystoma-opacum: banded salamander, Marmorquerzahnmolch
rhacodactylus-auriculatus: gargoyle, garg, Höckerkopfgecko
phelsuma-laticauda: broad-tailed day gecko, Goldstaub-Taggecko
hemidactylus-imbricatus: viper gecko, Teratolepis fasciata, Vipergecko
underwoodisaurus-milii: barking gecko, Dickschwanzgecko
nephrurus-levis: knob-tail, three-lined knob-tail, Knopfschwanzgecko
uroplatus-fimbriatus: common leaf-tailed gecko, Großer Plattschwanzgecko
tarentola-chazaliae: helmethead gecko, Helmkopfgecko
tiliqua-scincoides: bluey, blue tongue, blue-tongue lizard, Blauzungenskink
tiliqua-gigas: Indonesian blue tongue, Neuguinea-Blauzungenskink
lepidothyris-fernandi: Togo fire skink, Mochlus fernandi, Feuerskink
uromastyx-geyri: uro, dab lizard, Geyrs Dornschwanzagame
physignathus-cocincinus: green water dragon, Asian water dragon, Grüne Wasseragame
trioceros-jacksonii: three-horned chameleon, Chamaeleo jacksonii, Dreihornchamäleon
anolis-equestris: Cuban giant anole, Ritteranolis
takydromus-sexlineatus: Asian grass lizard, Langschwanzeidechse
broadleysaurus-major: great plated lizard, Gerrhosaurus major, Braune Schildechse
pogona-henrylawsoni: dumpy dragon, Lawson’s dragon, Zwergbartagame
abronia-graminea: arboreal alligator lizard, Grüne Baumschleiche
sceloporus-malachiticus: green spiny lizard, Malachit-Stachelleguan
lampropeltis-polyzona: milksnake, Lampropeltis triangulum, Milchschlange
boa-imperator: BCI, red-tailed boa, boa constrictor, Kaiserboa, Abgottschlange
antaresia-childreni: Children python, Childrens Python
lichanura-trivirgata: desert rosy boa, Lichanura orcutti, Rosenboa
epicrates-cenchria: Brazilian rainbow boa, BRB, Regenbogenboa
morelia-spilota: carpet snake, diamond python, Rautenpython, Teppichpython
gonyosoma-boulengeri: rhino rat snake, Rhynchophis boulengeri, Nashornnatter
boaedon-fuliginosus: African house snake, Lamprophis fuliginosus, Braune Hausschlange
testudo-horsfieldii: Russian tortoise, Horsfield’s tortoise, four-toed tortoise, Agrionemys horsfieldii, Vierzehenschildkröte
chelonoidis-carbonarius: redfoot, red-leg tortoise, Geochelone carbonaria, Köhlerschildkröte
geoemyda-spengleri: Vietnamese leaf turtle, Zacken-Erdschildkröte
phidippus-regius: jumping spider, jumper, Königsspringspinne
brachypelma-hamorii: red knee, Brachypelma smithi, Rotknie-Vogelspinne
caribena-versicolor: pinktoe, Avicularia versicolor, Martinique-Baumvogelspinne
gromphadorhina-portentosa: hisser, Madagascar hissing cockroach, Fauchschabe
coenobita-clypeatus: hermit crab, land hermit crab, purple pincher, Landeinsiedlerkrebs
geosesarma-dennerle: purple vampire crab, Vampirkrabbe
extatosoma-tiaratum: Macleay’s spectre, spiny leaf insect, Australische Gespenstschrecke
hierodula-membranacea: giant mantis, praying mantis, Gottesanbeterin
salamandra-salamandra: European fire salamander, Feuersalamander
tylototriton-verrucosus: emperor newt, Himalaya-Krokodilmolch
pleurodeles-waltl: sharp-ribbed newt, Spanish ribbed newt, Rippenmolch
plethodon-cinereus: redback salamander, Rotrücken-Waldsalamander
rhacodactylus-leachianus: leachie, Neukaledonischer Riesengecko
gekko-gecko: tokay, Tokeh
uroplatus-phantasticus: satanic gecko, Gespenst-Plattschwanzgecko
phelsuma-klemmeri: neon day gecko, Blauer Bambus-Taggecko
coleonyx-variegatus: banded gecko, Gebänderter Krallengecko
lygodactylus-williamsi: electric blue gecko, electric blue day gecko, Himmelblauer Zwergtaggecko
paroedura-picta: ocelot gecko, panther gecko, Pictus-Gecko, Paroedura pictus
stenodactylus-sthenodactylus: dune gecko, Dünnfingergecko
chamaeleo-calyptratus: Yemen chameleon, Jemenchamäleon
rieppeleon-brevicaudatus: bearded pygmy chameleon, Rhampholeon brevicaudatus, Stummelschwanzchamäleon
tribolonotus-gracilis: crocodile skink, Rotaugen-Helmskink
basiliscus-plumifrons: green basilisk, double-crested basilisk, Jesus lizard, Stirnlappenbasilisk
crotaphytus-collaris: collared lizard, Halsbandleguan
python-regius: ball python, Königspython
heterodon-nasicus: western hognose, hoggie, Westliche Hakennasennatter
opheodrys-aestivus: rough greensnake, Raue Grasnatter
morelia-viridis: GTP, chondro, Chondropython viridis, Grüner Baumpython
testudo-hermanni: Greek tortoise, Griechische Landschildkröte
cuora-flavomarginata: yellow-margined turtle, snake-eating turtle, Gelbrand-Scharnierschildkröte
terrapene-carolina: common box turtle, Carolina-Dosenschildkröte
tliltocatl-albopilosus: curly hair, Brachypelma albopilosum, Honduras curly hair, Kraushaar-Vogelspinne
pandinus-imperator: emperor, Kaiserskorpion
archispirostreptus-gigas: giant millipede, shongololo, Riesentausendfüßer
phyllium-philippinicum: leaf bug, walking leaf, Wandelndes Blatt
folsomia-candida: temperate springtail, white springtails, Springschwänze
sinella-curviseta: tropical white springtail
trichorhina-tomentosa: dwarf whites, Weiße Asseln
nagurus-cristatus: dwarf striped, dwarf purple
porcellionides-pruinosus: powder blue, powder orange, powder white, Mauerassel
porcellio-laevis: dairy cow, orange laevis, milkback
porcellio-scaber: common rough woodlouse, dalmatian, Kellerassel
oniscus-asellus: skirted isopod, woodlouse, Mauerassel
armadillidium-vulgare: pill bug, roly-poly, pillbug, Rollassel
armadillidium-maculatum: zebra isopod, zebra pill
armadillidium-nasatum: peach pill, nosy pill
cubaris-murina: papaya, little sea
porcellio-expansus: expansus, giant orange
tenebrio-molitor: mealworm, mealworms, Mehlwurm, Mehlkäfer
zophobas-atratus: superworm, superworms, king worm, morio worm, Zophobas morio, Schwarzkäfer
alphitobius-diaperinus: buffalo worm, buffalos, darkling beetle
dermestes-maculatus: dermestid, skin beetle, Speckkäfer
blaptica-dubia: dubia, dubia roach, Argentinische Waldschabe
oxidus-gracilis: flat-backed millipede, hothouse millipede
eisenia-fetida: tiger worm, red wiggler, manure worm, Kompostwurm
enchytraeus-buchholzi: grindal worm, Grindalwürmchen
epipremnum-aureum: pothos, devil’s ivy, money plant, Efeutute
tradescantia-zebrina: wandering Jew, wandering dude, silver inch plant, Zebrina pendula, Zebra-Ampelkraut
tradescantia-fluminensis: wandering Jew, wandering dude, river spiderwort
dracaena-trifasciata: snake plant, Sansevieria trifasciata, Bogenhanf
dracaena-angolensis: cylindrical snake plant, Sansevieria cylindrica
leptochilus-pteropus: Microsorum pteropus, Javafarn
goeppertia-roseopicta: Calathea roseopicta, Korbmarante
heptapleurum-arboricola: Schefflera arboricola, umbrella plant, Strahlenaralie
soleirolia-soleirolii: mind-your-own-business, Bubikopf
taxiphyllum-barbieri: Vesicularia dubyana, Javamoos
hedera-helix: English ivy, Efeu
ficus-pumila: climbing fig, Kletterfeige
nephrolepis-exaltata: sword fern, Schwertfarn
spathiphyllum-wallisii: spath, Einblatt
chlorophytum-comosum: airplane plant, Grünlilie
crassula-ovata: money tree, Geldbaum
philodendron-hederaceum-micans: Philodendron micans
streptocarpus-ionanthus: Saintpaulia ionantha, Usambaraveilchen
goeppertia-lietzei: Calathea lietzei
cenchrus-alopecuroides: Pennisetum alopecuroides, Lampenputzergras
pinguicula-moranensis: butterwort, Fettkraut
nepenthes-ventricosa: monkey cup, Kannenpflanze
ceratophyllum-demersum: coontail, Hornkraut
lemna-minor: Wasserlinse
rubus-fruticosus: blackberry, Brombeere
taraxacum-officinale: Löwenzahn
plantago-lanceolata: Spitzwegerich
trifolium-repens: Weißklee
opuntia-ficus-indica: nopal, Feigenkaktus
humata-tyermannii: Davallia tyermannii, white rabbit’s foot
phlebodium-aureum: golden polypody
stromanthe-thalia: Stromanthe sanguinea
`;

const byId = new Map(
  TABLE.trim()
    .split('\n')
    .map((line) => {
      const [id = '', names = ''] = line.split(': ');
      return [id, names.split(', ')] as const;
    }),
);

/** Ids that have other names. */
export const OTHERWISE_NAMED: readonly string[] = [...byId.keys()];

/** The other names of a row; none for one without any. */
export const otherNames = (id: string): readonly string[] => byId.get(id) ?? [];
