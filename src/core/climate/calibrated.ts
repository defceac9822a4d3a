import type { Design } from '../document/schema';
import type { Factors } from './box';

/** What the factors of a calibration were found for: while it stays as it is they hold. */
export const CALIBRATED_PARTS = ['shell', 'heat', 'ground'] as const;
export type CalibratedPart = (typeof CALIBRATED_PARTS)[number];

const NONE: Factors = { exchange: 1, wetness: 1, gain: 1 };

/** A short mark of any value that JSON writes (Fowler, Noll & Vo’s hash, 1a, of 32 bits: from memory). */
function markOf(value: unknown): string {
  let hash = 0x811c9dc5;
  for (const letter of JSON.stringify(value))
    hash = Math.imul(hash ^ (letter.codePointAt(0) ?? 0), 0x01000193);
  return (hash >>> 0).toString(36);
}

/**
 * Marks of what is drawn of each part. What the engine follows by itself, such as power, set points, hours, mist and how far
 * the top is covered, is in none of them.
 */
export function marksOf({ enclosure, climate, ground }: Design): Readonly<Record<CalibratedPart, string>> {
  const { width, depth, height, material, wallThickness, screened, panels, top, front, made } = enclosure;
  return {
    shell: markOf([
      width,
      depth,
      height,
      material,
      wallThickness,
      screened,
      top,
      front,
      made,
      climate.vents,
      climate.topGauze,
      // Boxes of one make are marked as they ever were.
      ...(panels.length > 0 ? [panels] : []),
    ]),
    heat: markOf(climate.devices.map(({ kind, at }) => [kind, at])),
    ground: markOf([ground.method, ground.layers, ground.regions]),
  };
}

/** Parts that are no longer as they were when the enclosure was calibrated; none: the calibration holds, or there is none. */
export function changedParts(design: Design): readonly CalibratedPart[] {
  const { calibration } = design.climate;
  if (!calibration) return [];
  const marks = marksOf(design);
  return CALIBRATED_PARTS.filter((part) => marks[part] !== calibration.marks[part]);
}

/** What is known of a box beyond its drawing: all one where it was not calibrated, or was changed since. */
export function factorsOf(design: Design): Factors {
  const { calibration } = design.climate;
  if (!calibration || changedParts(design).length > 0) return NONE;
  const { exchange, wetness, gain } = calibration;
  return { exchange, wetness, gain };
}

/**
 * The ends of what a calibration leaves open: the box at its warmest and dampest, and at its coolest and driest; null where
 * it is not calibrated.
 */
export function endsOf(design: Design): readonly [warm: Factors, cool: Factors] | null {
  const { calibration } = design.climate;
  if (!calibration || changedParts(design).length > 0) return null;
  const { exchange, wetness, gain } = calibration.intervals;
  return [
    { exchange: exchange[0], wetness: wetness[1], gain: gain[1] },
    { exchange: exchange[1], wetness: wetness[0], gain: gain[0] },
  ];
}
