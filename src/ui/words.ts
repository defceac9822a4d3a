import { many, materialOf, type Basis, type Catalogue } from '@/core/catalogue';
import type { Plant, RegionName } from '@/core/catalogue';
import type { Design, Layer, LayerKind, Stage } from '@/core/document';
import type { Finding, Severity } from '@/core/findings';
import type { SupplyNeed } from '@/core/scape';
import { bag, mass, area, tank } from '@/core/units';
import type { Reader } from './units';

/** What things are called on screen. */
export const BASIS_WORD: Record<Basis | 'computed', string> = {
  measured: 'measured',
  published: 'published',
  cited: 'cited, to check',
  practice: 'common practice',
  estimated: 'estimate',
  computed: 'computed',
};

/** After a number of values. */
export const BASIS_COUNTED: Record<Basis, string> = {
  measured: 'measured',
  published: 'published',
  cited: 'cited',
  practice: 'common practice',
  estimated: 'estimated',
};

export const SEVERITY_WORD: Record<Severity, string> = {
  severe: 'Fix this',
  look: 'Check this',
  note: 'Good to know',
  fine: 'Fine',
};

/** The place an enclosure opens in: what is lived in is kept, what is not is still made. */
export const opensIn = ({ brief }: Design): 'keep' | 'ground' =>
  brief.stage === 'inhabited' || !brief.described ? 'keep' : 'ground';

export const STAGE_WORD: Record<Stage, string> = {
  planned: 'planned',
  building: 'being built',
  curing: 'curing',
  'growing-in': 'growing in',
  inhabited: 'lived in',
};

export const KIND_WORD: Record<LayerKind, string> = {
  drainage: 'Drainage',
  barrier: 'Barrier',
  substrate: 'Soil',
  thin: 'Thin layer',
  moss: 'Moss',
  litter: 'Leaf litter',
  water: 'Open water',
};

/** A layer's name: a soil's own, otherwise its kind and material. */
export function layerName(layer: Layer, catalogue: Catalogue): string {
  switch (layer.kind) {
    case 'substrate':
      return layer.name;
    case 'water':
      return KIND_WORD.water;
    case 'drainage':
    case 'barrier':
      return `${KIND_WORD[layer.kind]} · ${lower(materialOf(catalogue, layer.material).name)}`;
    default:
      return materialOf(catalogue, layer.material).name;
  }
}

const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** One animal or several: “green anole”, “3 green anoles”. */
export const animalsWord = (count: number, english: string): string =>
  count === 1 ? english : `${count} ${many(english)}`;

/** The places outside an enclosure, in order. */
export const OUTER_PLACES = (current: string) =>
  [
    { href: '/', label: 'Rack' },
    { href: '/today', label: 'Today' },
    { href: '/lists', label: 'Lists' },
    { href: '/stores', label: 'Stores' },
    { href: '/almanac', label: 'Almanac' },
  ].map((place) => ({ ...place, current: place.href === current }));

/** The place inside an enclosure that shows a finding. */
export function findingPlace(
  finding: Finding | undefined,
): 'brief' | 'ground' | 'scape' | 'living' | 'climate' {
  if (finding?.place.at === 'scape') return 'scape';
  if (finding?.place.at === 'climate') return 'climate';
  if (finding?.place.at === 'living') return 'living';
  return finding?.place.at === 'brief' || finding?.place.at === 'enclosure' ? 'brief' : 'ground';
}

/** m³ up to which a volume is one that comes out of a tube or a tin: it is told as a liquid. */
export const TUBE = 0.0002;

/** An amount of a supply in the measure it is sold by. */
export function supplyWords(
  { supply, amount }: SupplyNeed,
  { write, num }: Pick<Reader, 'write' | 'num'>,
): string {
  if (supply.measure === 'volume') return write(amount < TUBE ? tank(amount) : bag(amount));
  if (supply.measure === 'mass') return write(mass(amount));
  return supply.measure === 'area' ? write(area(amount)) : num(Math.ceil(amount), 0);
}

export const REGION_WORD: Record<RegionName, string> = {
  'north-america': 'North America',
  'central-america': 'Central America',
  caribbean: 'Caribbean',
  'south-america': 'South America',
  europe: 'Europe',
  mediterranean: 'Mediterranean',
  africa: 'Africa',
  madagascar: 'Madagascar',
  'central-asia': 'Central Asia',
  'south-asia': 'South Asia',
  'east-asia': 'East Asia',
  'southeast-asia': 'Southeast Asia',
  australasia: 'Australia and islands',
};

export const FORM_WORD: Record<Plant['form'], string> = {
  ground: 'in soil',
  climber: 'climbs',
  mounted: 'mounted',
  moss: 'moss',
  marsh: 'marsh',
  floating: 'floats',
  submerged: 'under water',
  succulent: 'dry soil',
  grass: 'grass',
};
