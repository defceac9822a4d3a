/**
 * Which work gives a value of which species: only where the figure is recalled from it and agrees with the row. All else is
 * estimated by a rule or common practice.
 */
const named = (text: string): ReadonlySet<string> =>
  new Set(text.split(',').map((it) => it.trim().toLowerCase().replaceAll(' ', '-')));

/** Works that give the length grown, by species. */
const LENGTHS: readonly (readonly [work: string, species: ReadonlySet<string>])[] = [
  [
    'powell-2016',
    named(
      'Anolis carolinensis, Ambystoma tigrinum, Ambystoma opacum, Plethodon cinereus, Anaxyrus americanus, Dryophytes cinereus, Terrapene carolina, Heterodon nasicus, Opheodrys aestivus, Crotaphytus collaris',
    ),
  ],
  ['stebbins-2018', named('Lampropeltis californiae, Coleonyx variegatus, Lichanura trivirgata')],
  [
    'glaw-vences-2007',
    named(
      'Phelsuma grandis, Phelsuma klemmeri, Phelsuma laticauda, Uroplatus phantasticus, Uroplatus fimbriatus, Furcifer pardalis, Mantella aurantiaca, Dyscophus guineti, Paroedura picta',
    ),
  ],
  [
    'cogger-2014',
    named(
      'Pogona vitticeps, Varanus acanthurus, Ranoidea caerulea, Underwoodisaurus milii, Nephrurus levis, Tiliqua scincoides, Antaresia childreni, Pogona henrylawsoni',
    ),
  ],
  [
    'spawls-2018',
    named('Eryx colubrinus, Lygodactylus williamsi, Rieppeleon brevicaudatus, Trioceros jacksonii'),
  ],
  [
    'speybroeck-2016',
    named('Salamandra salamandra, Pleurodeles waltl, Testudo hermanni, Chalcides ocellatus'),
  ],
  [
    'savage-2002',
    named(
      'Agalychnis callidryas, Dendrobates auratus, Oophaga pumilio, Basiliscus plumifrons, Sceloporus malachiticus',
    ),
  ],
  ['bauer-sadlier-2000', named('Correlophus ciliatus, Rhacodactylus leachianus, Rhacodactylus auriculatus')],
  ['du-preez-2017', named('Pyxicephalus adspersus')],
  [
    'loetters-2007',
    named(
      'Dendrobates tinctorius, Dendrobates leucomelas, Ranitomeya imitator, Ranitomeya variabilis, Phyllobates terribilis, Epipedobates anthonyi',
    ),
  ],
  [
    'das-2010',
    named('Gekko gecko, Physignathus cocincinus, Takydromus sexlineatus, Lepidodactylus lugubris'),
  ],
  ['sparreboom-2014', named('Cynops orientalis, Tylototriton verrucosus')],
  ['seufer-2005', named('Eublepharis macularius, Hemitheconyx caudicinctus, Goniurosaurus hainanensis')],
  [
    'ttwg-2021',
    named('Testudo horsfieldii, Chelonoidis carbonarius, Geoemyda spengleri, Cuora flavomarginata'),
  ],
];

/** Species whose zone is recalled from the appendix of Baines et al. 2016; poison frogs stand there as such. */
const ZONES = named(
  'Pogona vitticeps, Eublepharis macularius, Correlophus ciliatus, Furcifer pardalis, Chamaeleo calyptratus, Testudo hermanni, Python regius, Terrapene carolina, Dendrobates tinctorius, Dendrobates auratus, Dendrobates leucomelas, Phyllobates terribilis, Oophaga pumilio, Ranitomeya imitator, Ranitomeya variabilis, Epipedobates anthonyi',
);

/** Lizards that lay one or two eggs whatever their size: geckos and anoles, and few besides. */
const FIXED_CLUTCH = named('Anolis carolinensis, Anolis equestris, Tribolonotus gracilis');

export const lengthWork = (id: string): string | undefined =>
  LENGTHS.find(([, species]) => species.has(id))?.[0];
export const zoneWork = (id: string): string | undefined => (ZONES.has(id) ? 'baines-2016' : undefined);

const isAmphibian = (kind: string): boolean => kind === 'frog' || kind === 'newt';
const SPIDERS = named('Tliltocatl albopilosus, Phidippus regius, Brachypelma hamorii, Caribena versicolor');

/** Where a species lives: the checklists tell it of every one. */
export function regionWork(id: string, kind: string): string | undefined {
  if (isAmphibian(kind)) return 'frost';
  if (kind !== 'invertebrate') return 'uetz';
  return SPIDERS.has(id) ? 'world-spider-catalog' : undefined;
}

/** Eggs, spawn or live young. */
export function youngWork(kind: string): string | undefined {
  if (isAmphibian(kind)) return 'oliveira-2017';
  return kind === 'invertebrate' ? undefined : 'uetz';
}

/** Guides that tell the spawn of each frog. */
const TELLS_SPAWN: ReadonlySet<string> = new Set(['savage-2002', 'loetters-2007', 'glaw-vences-2007']);

/** How many at a time: told of those whose clutch does not vary, and in guides that tell of spawn. */
export function broodWork(id: string, kind: string): string | undefined {
  if (kind === 'gecko' || FIXED_CLUTCH.has(id)) return 'meiri-2018';
  const work = lengthWork(id);
  return kind === 'frog' && work !== undefined && TELLS_SPAWN.has(work) ? work : undefined;
}

/** Warmth and days of eggs. */
export const incubationWork = (kind: string): string | undefined =>
  isAmphibian(kind) || kind === 'invertebrate' ? undefined : 'koehler-2005';

/** Genera that stand in the list of toxic and harmless plants as the row has it. */
const HARM = new Set(
  'Nephrolepis Adiantum Asplenium Cyrtomium Fittonia Peperomia Spathiphyllum Anthurium Aglaonema Epipremnum Scindapsus Philodendron Monstera Syngonium Hoya Hedera Chlorophytum Maranta Goeppertia Aspidistra Chamaedorea Codiaeum Dracaena Alocasia Soleirolia Episcia Neoregelia Phalaenopsis Platycerium Haworthiopsis Haworthia Crassula Euphorbia Kalanchoe Echeveria Hibiscus Saxifraga Pilea Hypoestes Streptocarpus Sempervivum Aloe Ctenanthe Aeschynanthus Davallia Blechnum Polystichum Phlebodium Plectranthus Cryptanthus Ceropegia Heptapleurum Oxalis Masdevallia Ludisia Gasteria Sinningia Cyperus'.split(
    ' ',
  ),
);
export const harmWork = (scientific: string): string | undefined =>
  HARM.has(scientific.split(' ')[0] ?? '') ? 'aspca' : undefined;
