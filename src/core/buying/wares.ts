import {
  findCrew,
  findDeviceKind,
  findMaterial,
  findPieceKind,
  findPlant,
  findSupply,
  type Catalogue,
  type DeviceKind,
  type Material,
  type PieceKind,
  BED_IDS,
  bedOf,
} from '../catalogue';

/** Kinds of shop, in the order of a round: what is heavy last but what lives. */
export const SHOPS = ['building', 'garden', 'electrical', 'animal', 'nursery', 'breeder'] as const;
export type Shop = (typeof SHOPS)[number];

/** What a row of a buying list is a row of. Materials keep their bare id, all else is told apart by its group. */
export const WARE_GROUPS = ['supply', 'piece', 'device', 'control', 'plant', 'sowing', 'crew'] as const;
export type WareGroup = (typeof WARE_GROUPS)[number];

export const wareKey = (group: WareGroup, id: string): string => `${group}:${id}`;

/** Group and id of a key; undefined of a material's. */
export function wareOf(key: string): { readonly group: WareGroup; readonly id: string } | undefined {
  const [first = '', ...rest] = key.split(':');
  const group = WARE_GROUPS.find((it) => it === first);
  return group && rest.length > 0 ? { group, id: rest.join(':') } : undefined;
}

/** Under what a price of one's own is kept: a lamp of any power has one price. */
export const priceKey = (key: string, pack: string): string => `${key.replace(/@.*$/, '')}/${pack}`;

/** What holds and drives a climate, counted off the devices that are held and driven by it. */
export const CONTROL_NAMES = {
  'on-off': 'Thermostat, on and off',
  proportional: 'Thermostat, proportional',
  timer: 'Timer',
  humidistat: 'Humidistat',
  dimmer: 'Dimmer',
  'misting-timer': 'Timer by the second, for mist',
  'misting-pump': 'Pump for mist, high pressure',
  'misting-bottle': 'Bottle or canister for mist',
  'misting-filter': 'Filter in the misting line',
  'misting-hose': 'Hose for mist, with connectors',
  'fogger-canister': 'Canister for a fogger',
  'lamp-guard': 'Guard for a lamp',
} as const;
export type Control = keyof typeof CONTROL_NAMES;

/** Typical prices, from memory. */
export const CONTROL_PRICES: Readonly<Record<Control, number>> = {
  'on-off': 28,
  proportional: 65,
  timer: 8,
  humidistat: 32,
  dimmer: 25,
  'misting-timer': 22,
  'misting-pump': 85,
  'misting-bottle': 18,
  'misting-filter': 9,
  'fogger-canister': 12,
  'lamp-guard': 15,
  // A metre.
  'misting-hose': 2,
};

const SOWN_NAMES = { spores: 'spores', seed: 'seed', pieces: 'pieces to spread' } as const;

export const isControl = (id: string): id is Control => id in CONTROL_NAMES;

/** What a ware is called; its key where the catalogue does not hold it any more. */
export function wareName(catalogue: Catalogue, key: string): string {
  const ware = wareOf(key);
  if (!ware) return findMaterial(catalogue, key)?.name ?? key;
  const { group, id } = ware;
  const [kind = '', power] = id.split('@');
  switch (group) {
    case 'supply':
      return findSupply(catalogue, id)?.name ?? id;
    case 'piece':
      return findPieceKind(catalogue, id)?.name ?? id;
    case 'device': {
      const name = findDeviceKind(catalogue, kind)?.name ?? kind;
      return power === undefined ? name : `${name}, ${power} W`;
    }
    case 'control':
      return isControl(id) ? CONTROL_NAMES[id] : id;
    case 'plant':
      return findPlant(catalogue, id)?.english ?? id;
    case 'sowing': {
      const plant = findPlant(catalogue, id);
      return plant?.sows ? `${plant.english}, ${SOWN_NAMES[plant.sows.value.by]}` : id;
    }
    case 'crew':
      return findCrew(catalogue, id)?.english ?? id;
  }
}

/** Where each sort of thing is usually bought (common practice). */
export function shopOfMaterial({ roles, mixing }: Material): Shop {
  const inSheets = BED_IDS.filter((it) => !bedOf(it).poured);
  if (roles.some((it) => it === 'barrier' || it === 'support' || inSheets.some((bed) => bed === it)))
    return 'building';
  if (roles.includes('moss') || roles.includes('litter')) return 'animal';
  return mixing?.sort === 'sand' ? 'building' : 'garden';
}
export const shopOfPiece = ({ group }: PieceKind): Shop => (group === 'stone' ? 'garden' : 'animal');
export const shopOfControl = (it: Control): Shop => (it.startsWith('misting-') ? 'animal' : 'electrical');
export const shopOfDevice = ({ group, form }: DeviceKind): Shop =>
  group === 'light' || form === 'fan' ? 'electrical' : 'animal';
