/**
 * Fits van Genuchten's curve to the points of data/retention-points.json, once and offline, and writes
 * src/catalogue/retention.ts. Run again when a point changes: npm run fit.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { heldAt } from '../src/core/ground/water';

interface Points {
  readonly suctions: number[];
  readonly materials: Record<string, { readonly porosity: number; readonly held: number[] }>;
}

const { suctions, materials } = JSON.parse(readFileSync('data/retention-points.json', 'utf8')) as Points;
const round = (value: number, digits: number): number => Number(value.toPrecision(digits));

/** Where the fit may go: residual water up to the driest point, ln α and ln(n − 1). */
const LEAST = [0, -5, -2.5] as const;
const MOST = [2.5, 1.6] as const;
/** Rows of which a value stands on its bound: the points do not tell where it would go. */
const bound: string[] = [];
const NEAR = 1e-3;

const rows = Object.entries(materials).map(([id, { porosity, held }]) => {
  const curve = ([residual = 0, logAlpha = 0, logN = 0]: number[]) => ({
    residual,
    saturated: porosity,
    alpha: Math.exp(logAlpha),
    n: 1 + Math.exp(logN),
  });
  // Several starts: the surface has a flat valley between steep and gentle curves.
  const fits = [0.05, 0.15, 0.3].flatMap((residual) =>
    [-2.5, -1.2, 0].map((logAlpha) =>
      levenbergMarquardt(
        { x: suctions, y: held },
        (parameters: number[]) => (suction: number) => heldAt(curve(parameters), suction),
        {
          initialValues: [residual, logAlpha, -0.3],
          minValues: [...LEAST],
          maxValues: [Math.min(...held), ...MOST],
          maxIterations: 400,
          damping: 0.05,
          gradientDifference: 1e-4,
        },
      ),
    ),
  );
  const best = fits.reduce((a, b) => (b.parameterError < a.parameterError ? b : a));
  const { residual, saturated, alpha, n } = curve(best.parameterValues);
  const most = [Math.min(...held), ...MOST];
  if (
    best.parameterValues.some(
      (value, i) => Math.abs(value - (LEAST[i] ?? 0)) < NEAR || Math.abs(value - (most[i] ?? 0)) < NEAR,
    )
  )
    bound.push(id);
  const worst = Math.max(
    ...suctions.map((suction, index) =>
      Math.abs(heldAt({ residual, saturated, alpha, n }, suction) - (held[index] ?? 0)),
    ),
  );
  console.log(`${id.padEnd(22)} worst ${worst.toFixed(3)}`);
  return `  '${id}': { residual: ${round(residual, 4)}, saturated: ${saturated}, alpha: ${round(alpha, 4)}, n: ${round(n, 4)} },`;
});

writeFileSync(
  'src/catalogue/retention.ts',
  `import type { RetentionCurve } from '@/core/catalogue';

/** Made by scripts/fit-retention.ts from data/retention-points.json; not to be edited by hand. α in 1/cm. */
export const FITTED: Record<string, RetentionCurve> = {
${rows.join('\n')}
};

/** Those of which a value stands on the bound of the fit: between the points they say little. */
export const ON_BOUND: ReadonlySet<string> = new Set(${JSON.stringify(bound)});
`,
);
