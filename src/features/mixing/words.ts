import type { Bounded, Family, Goal, Property, Standing, State } from '@/core/mixing';
import { density, percent, unitFor, UNITS } from '@/core/units';
import type { Reader } from '@/ui/units';

/** What stands for each mix, by colour, shape and letter. */
export const LETTERS = ['A', 'B', 'C'] as const;
export const SHAPES = ['circle', 'diamond', 'triangle'] as const;
export const COLOURS = ['moss', 'clay', 'water'] as const;

export const FAMILY_WORD: Record<Family, { readonly name: string; readonly why: string }> = {
  wet: { name: 'Wet ground', why: 'Misted daily, over standing water.' },
  damp: { name: 'Damp ground', why: 'Damp below, drier above.' },
  dry: { name: 'Dry ground', why: 'Moistened by hand, if at all.' },
  tunnels: { name: 'Dry, dug in', why: 'A tunnel must stand.' },
  swims: { name: 'Dry, swum through', why: 'Loose all through; no tunnel.' },
};

/** What a property is called, by the state the ground is judged in. */
export const propertyWord = (property: Property, state: State, { prefs }: Pick<Reader, 'prefs'>): string =>
  ({
    air: state === 'drained' ? 'Air, once drained' : 'Air, once moistened',
    capacity: state === 'drained' ? 'Water it keeps' : 'Water, once moistened',
    available: 'Water roots can use',
    porosity: 'Pores in all',
    density: `Density, dry, ${UNITS[unitFor('density', prefs)].symbol}`,
    ph: 'pH',
    salts: 'Salts, dS/m',
    hold: 'Tunnel stability, 0 to 1',
    decay: 'Rots in a year',
  })[property];

export const boundWord: Record<Bounded, string> = {
  air: 'air',
  capacity: 'water it keeps',
  porosity: 'pores',
  density: 'density',
  ph: 'pH',
  salts: 'salts',
  hold: 'tunnel stability',
  decay: 'rot in a year',
};

/** A property as a person reads it. */
export function propertyText(property: Property, value: number, { write, num }: Reader): string {
  switch (property) {
    case 'air':
    case 'capacity':
    case 'available':
    case 'porosity':
    case 'decay':
      return write(percent(value));
    case 'density':
      return write(density(value), { bare: true });
    case 'ph':
    case 'salts':
      return num(value, 1);
    case 'hold':
      return num(value, 2);
  }
}

export const STANDING_WORD: Record<Standing, string> = { below: 'low', within: 'within', above: 'high' };

export const GOAL_WORD: Record<Goal, { readonly name: string; readonly why: string }> = {
  cheapest: { name: 'Cheapest', why: 'Whole packs at the least money, within the tolerance.' },
  closest: { name: 'Closest', why: 'As near the recipe as can be, then cheapest.' },
  shelf: { name: 'Use up the shelf', why: 'As much of what is there as the tolerance allows.' },
  stretch: { name: 'Stretch a bag', why: 'All of a bag goes in; what is added behaves as it does.' },
};

/** Id of the soil that lies on the bench and in no box. */
export const THIS = 'this';
