import type { Animal, Basis, Range } from '../catalogue';

/** What an animal asks of the things in its box. */
export interface Wants {
  /** Thickness of its body, and its length, m. */
  readonly girth: number;
  readonly length: number;
  readonly shy: boolean;
  readonly moistHide: boolean;
  readonly perch: Range | undefined;
  readonly climbs: 'glass' | 'rough' | 'poorly';
  /** Share of the floor that should lie under something. */
  readonly cover: number;
  /** Basis of the habits; sizes and shares of cover are common practice. */
  readonly basis: Basis;
}

/** Girth as a share of the whole length, for a kind whose own is not written down (from memory). */
const GIRTH: Record<Animal['kind'], number> = {
  frog: 0.4,
  newt: 0.12,
  gecko: 0.13,
  lizard: 0.12,
  snake: 0.03,
  tortoise: 0.7,
  invertebrate: 0.3,
};

/** Floor under cover: half for kinds that hide, a quarter for all (common practice). */
const COVER = { shy: 0.4, bold: 0.2 } as const;

/** For no animal yet: a small ground lizard, so that the box is sound whoever comes. */
export function wantsOf(animal: Animal | undefined): Wants {
  const length = animal?.length.value.high ?? 0.12;
  const shy = animal?.shy?.value ?? true;
  return {
    girth: animal?.girth?.value ?? length * GIRTH[animal?.kind ?? 'gecko'],
    length,
    shy,
    moistHide: animal?.moistHide?.value ?? false,
    perch: animal?.perch?.value,
    climbs: animal?.climbs?.value ?? 'rough',
    cover: shy ? COVER.shy : COVER.bold,
    basis: animal?.shy?.basis ?? 'practice',
  };
}

/** How a way in suits a body: an animal feels safe where it touches walls, and must never be stuck (common practice). */
export const SNUG = { least: 1.15, most: 4 } as const;

/** A climbing kind, or one that perches. */
export const climbing = (animal: Animal | undefined): boolean =>
  animal?.life.value === 'climbing' || animal?.perch !== undefined;

/** What hunts or grazes where it sits, among twigs, is fed at no place of its own. */
export const feedsAnywhere = (animal: Animal | undefined): boolean =>
  animal?.kind === 'invertebrate' && animal.life.value === 'climbing';
