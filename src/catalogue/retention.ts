import type { RetentionCurve } from '@/core/catalogue';

/** Made by scripts/fit-retention.ts from data/retention-points.json; not to be edited by hand. α in 1/cm. */
export const FITTED: Record<string, RetentionCurve> = {
  coir: { residual: 0.2328, saturated: 0.94, alpha: 0.1565, n: 1.816 },
  'coir-chips': { residual: 0.186, saturated: 0.9, alpha: 1.113, n: 1.509 },
  peat: { residual: 0.2086, saturated: 0.92, alpha: 0.125, n: 1.702 },
  'tree-fern-fibre': { residual: 0.1323, saturated: 0.9, alpha: 1.122, n: 1.454 },
  'fine-orchid-bark': { residual: 0.1888, saturated: 0.8, alpha: 1.449, n: 1.521 },
  'medium-orchid-bark': { residual: 0.1817, saturated: 0.8, alpha: 3.922, n: 1.499 },
  'bark-fines': { residual: 0.1707, saturated: 0.8, alpha: 0.4018, n: 1.432 },
  charcoal: { residual: 0.1897, saturated: 0.75, alpha: 1.558, n: 1.628 },
  'long-fibre-sphagnum': { residual: 0.07475, saturated: 0.96, alpha: 0.2843, n: 1.624 },
  'worm-castings': { residual: 0.2602, saturated: 0.8, alpha: 0.1015, n: 1.427 },
  'leaf-mould': { residual: 0.2063, saturated: 0.86, alpha: 0.2198, n: 1.51 },
  perlite: { residual: 0.1257, saturated: 0.75, alpha: 1.278, n: 1.344 },
  'pumice-5-12': { residual: 0.0668, saturated: 0.72, alpha: 12.18, n: 1.156 },
  'fine-lava': { residual: 0.1675, saturated: 0.68, alpha: 2.175, n: 1.457 },
  vermiculite: { residual: 0.2484, saturated: 0.82, alpha: 0.2449, n: 1.518 },
  'calcined-clay': { residual: 0.3053, saturated: 0.74, alpha: 2.18, n: 1.456 },
  'decomposed-granite': { residual: 0.02992, saturated: 0.4, alpha: 0.384, n: 1.506 },
  'rotted-wood': { residual: 0.2389, saturated: 0.88, alpha: 0.2908, n: 1.518 },
  compost: { residual: 0.2532, saturated: 0.78, alpha: 0.1543, n: 1.468 },
};
