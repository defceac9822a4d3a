import type {
  Animal,
  BackgroundKind,
  Catalogue,
  CrewKind,
  DeviceKind,
  GauzeKind,
  Material,
  PieceKind,
  Plant,
  Recipe,
  Role,
  Sourced,
  Supply,
} from './types';

interface Index {
  readonly materials: ReadonlyMap<string, Material>;
  readonly animals: ReadonlyMap<string, Animal>;
  readonly recipes: ReadonlyMap<string, Recipe>;
  readonly pieces: ReadonlyMap<string, PieceKind>;
  readonly backgrounds: ReadonlyMap<string, BackgroundKind>;
  readonly supplies: ReadonlyMap<string, Supply>;
  readonly devices: ReadonlyMap<string, DeviceKind>;
  readonly gauzes: ReadonlyMap<string, GauzeKind>;
  readonly plants: ReadonlyMap<string, Plant>;
  readonly crew: ReadonlyMap<string, CrewKind>;
}

const byId = <T extends { readonly id: string }>(rows: readonly T[]): ReadonlyMap<string, T> =>
  new Map(rows.map((row) => [row.id, row]));

const indexes = new WeakMap<Catalogue, Index>();

function indexOf(catalogue: Catalogue): Index {
  let index = indexes.get(catalogue);
  if (!index) {
    index = {
      materials: byId(catalogue.materials),
      animals: byId(catalogue.animals),
      recipes: byId(catalogue.recipes),
      pieces: byId(catalogue.scape.pieces),
      backgrounds: byId(catalogue.scape.backgrounds),
      supplies: byId(catalogue.scape.supplies),
      devices: byId(catalogue.climate.devices),
      gauzes: byId(catalogue.climate.gauzes),
      plants: byId(catalogue.living.plants),
      crew: byId(catalogue.living.crew),
    };
    indexes.set(catalogue, index);
  }
  return index;
}

const nothing = (value: number): Sourced<number> => ({ value, basis: 'estimated' });

/** The material with this id, or undefined when a design names one that this catalogue does not hold. */
export function findMaterial(catalogue: Catalogue, id: string): Material | undefined {
  return indexOf(catalogue).materials.get(id);
}

/** As `findMaterial`, with a weightless stand-in for an unknown id; a finding names every stand-in. */
export function materialOf(catalogue: Catalogue, id: string): Material {
  return (
    findMaterial(catalogue, id) ?? {
      id,
      name: `unknown material “${id}”`,
      roles: ['mix'],
      density: nothing(1),
      settling: nothing(0),
      waterReceived: nothing(0),
      waterMoist: nothing(0),
      peatFree: true,
      cautions: [],
      packs: [],
    }
  );
}

export function findAnimal(catalogue: Catalogue, id: string | null): Animal | undefined {
  return id === null ? undefined : indexOf(catalogue).animals.get(id);
}

export function findRecipe(catalogue: Catalogue, id: string | null): Recipe | undefined {
  return id === null ? undefined : indexOf(catalogue).recipes.get(id);
}

/** Materials that may lie in this place, in catalogue order; the first is the everyday one. */
export function materialsFor(catalogue: Catalogue, role: Role): readonly Material[] {
  return catalogue.materials.filter((row) => row.roles.includes(role));
}

/**
 * The everyday material for a place.
 * Throws when the catalogue has none: a catalogue without a barrier or a bead bed is a broken build.
 */
export function everydayMaterial(catalogue: Catalogue, role: Role): Material {
  const first = materialsFor(catalogue, role)[0];
  if (!first) throw new Error(`the catalogue has no material for ${role}`);
  return first;
}

/** The kind of a piece; undefined when a design names one that this catalogue does not hold. */
export const findPieceKind = (catalogue: Catalogue, id: string): PieceKind | undefined =>
  indexOf(catalogue).pieces.get(id);

export const findBackgroundKind = (catalogue: Catalogue, id: string): BackgroundKind | undefined =>
  indexOf(catalogue).backgrounds.get(id);

export const findSupply = (catalogue: Catalogue, id: string): Supply | undefined =>
  indexOf(catalogue).supplies.get(id);

export const findDeviceKind = (catalogue: Catalogue, id: string): DeviceKind | undefined =>
  indexOf(catalogue).devices.get(id);

export const findGauze = (catalogue: Catalogue, id: string | null): GauzeKind | undefined =>
  id === null ? undefined : indexOf(catalogue).gauzes.get(id);

export const findPlant = (catalogue: Catalogue, id: string | null): Plant | undefined =>
  id === null ? undefined : indexOf(catalogue).plants.get(id);

export const findCrew = (catalogue: Catalogue, id: string): CrewKind | undefined =>
  indexOf(catalogue).crew.get(id);
