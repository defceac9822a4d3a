import type { Animal, Catalogue } from '../catalogue';
import type { Design, Device } from '../document/schema';
import type { Measured } from '../verdict/year';

/** A small change that may bring a place nearer to its band. */
export interface Move {
  /** The same change of the same design has the same name. */
  readonly id: string;
  readonly design: Design;
  /** A device whose power is still to be found: it is far stronger than it need be, held by its thermostat. */
  readonly size?: string;
}

/** W of a device that is still to be sized. */
export const AMPLE = 1500;

/** What must stay as it is. */
export interface Locks {
  readonly cover: boolean;
  readonly vents: boolean;
  readonly lights: boolean;
  readonly mist: boolean;
  /** One setting for the whole year. */
  readonly seasons: boolean;
  /** Nothing new is bought. */
  readonly buying: boolean;
  /** What new things may cost together at typical prices; null: no matter. */
  readonly purse: number | null;
  /** Devices by id that stay as they are, settings and all. */
  readonly devices: readonly string[];
}

export const NO_LOCKS: Locks = {
  cover: false,
  vents: false,
  lights: false,
  mist: false,
  seasons: false,
  buying: false,
  purse: null,
  devices: [],
};

/** A place outside its band: which way, and by how much. */
export interface Fault {
  readonly it: Measured;
  readonly way: 'under' | 'over';
  /** K or share of humidity by which it is outside, in the mean of the hours that are, tolerance included. */
  readonly by: number;
}

export interface Setting {
  readonly design: Design;
  readonly animal: Animal;
  readonly catalogue: Catalogue;
  readonly locks: Locks;
}

export type Maker = (setting: Setting, fault: Fault) => readonly (Move | null)[];

export const free = (locks: Locks, device: Device): boolean => !locks.devices.includes(device.id);

export const round = (value: number, to: number): number => Math.round(value / to) * to;

export const tidy = (value: number): number => Math.round(value * 1000) / 1000;
