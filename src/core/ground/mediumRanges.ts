import type { Range } from '../catalogue';
import type { Blend } from './water';
import { drainedMeans } from './water';

/**
 * Ranges for container media: Best Management Practices, Guide for Producing Nursery Crops (Yeager et al.). They hold for
 * a porometer about 7.6 cm tall, so a blend is judged at that height whatever its depth in the box. Density is dry, kg/m³.
 */
export const MEDIUM_RANGES: Readonly<Record<'air' | 'capacity' | 'porosity' | 'density', Range>> = {
  air: { low: 0.1, high: 0.3 },
  capacity: { low: 0.45, high: 0.65 },
  porosity: { low: 0.5, high: 0.85 },
  density: { low: 190, high: 700 },
};

/** Height of the porometer the ranges are for, m. */
export const POROMETER = 0.076;

/** What a blend comes to in such a porometer; all m³ per m³. */
export const inPorometer = (blend: Blend) => drainedMeans([{ blend, thickness: POROMETER }]);
