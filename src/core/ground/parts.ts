import type { Mix } from '../document/schema';

export interface Share {
  readonly material: string;
  /** Parts as written. */
  readonly written: number;
  /** Share of the loose volume, 0 to 1; all shares sum to one. */
  readonly share: number;
}

/**
 * Parts by volume, scaled to sum to one. 70, 30 and 10 become 63.6, 27.3 and 9.1 %.
 * All-zero parts count as equal, so that a half-typed mix never divides by nothing.
 */
export function normalise(mix: Mix): readonly Share[] {
  const total = mix.parts.reduce((sum, part) => sum + part.parts, 0);
  return mix.parts.map((part) => ({
    material: part.material,
    written: part.parts,
    share: total > 0 ? part.parts / total : 1 / mix.parts.length,
  }));
}

/** True when the parts look like percentages (each 5 to 95, sum over 60) that miss one hundred. */
export function missesHundred(mix: Mix): boolean {
  const total = mix.parts.reduce((sum, part) => sum + part.parts, 0);
  const likePercent = mix.parts.length > 1 && mix.parts.some((part) => part.parts >= 20);
  return likePercent && total > 60 && Math.abs(total - 100) > 0.5;
}
