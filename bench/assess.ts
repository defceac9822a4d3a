import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { assess } from '@/core/assess';
import type { Design } from '@/core/document';
import { applyEdit, REGION_KINDS, type EditCall } from '@/core/edits';
import { keeping, type Keep } from '@/core/finding/kept';

/** `assess` of the demo design with the most layers, and of one parted into regions; 1,000 runs after 200 to warm up. */
const demo = demoDesigns(catalogue);
const most = [...demo].sort((a, b) => b.ground.layers.length - a.ground.layers.length)[0];
const parted = demo[1];
if (!most || !parted) throw new Error('the demo holds no designs');
const regions = REGION_KINDS.filter((kind) => kind !== 'land').reduce(
  (design, kind) => applyEdit(design, { edit: 'addRegion', change: { kind } }, catalogue),
  parted,
);

for (const design of [most, regions]) {
  for (let i = 0; i < 200; i += 1) assess(design, catalogue);
  const times = Array.from({ length: 1000 }, () => {
    const start = performance.now();
    assess(design, catalogue);
    return (performance.now() - start) * 1000;
  }).sort((a, b) => a - b);
  const at = (share: number): string => (times[Math.floor(share * (times.length - 1))] ?? NaN).toFixed(0);
  const { layers, parts } = assess(design, catalogue).ground;
  console.log(`assess “${design.name}”, ${layers.length} layers in ${parts.length} parts, 1,000 runs, µs`);
  console.log(`  median ${at(0.5)}   95th ${at(0.95)}   longest ${at(1)}`);
}

/** After an edit: what it leaves alone is kept. The rival is a full calculation of the same designs, in the same run. */
const shelf = {};
const [device] = most.climate.devices;
const [piece] = most.scape.pieces;
const soil = most.ground.layers.find((it) => it.kind === 'substrate');
const edits: readonly (readonly [
  what: string,
  least: number,
  call: (step: number) => EditCall | undefined,
])[] = [
  ['a note', 3, (step) => ({ edit: 'setNote', change: { note: `note ${step}` } })],
  [
    'a lamp',
    3,
    (step) =>
      device && { edit: 'setDevice', change: { device: device.id, change: { dim: (step % 90) / 100 } } },
  ],
  [
    'a crew',
    3,
    (step) => ({ edit: 'setCrew', change: { kind: 'porcellio-laevis', count: 1 + (step % 40) } }),
  ],
  [
    'a piece',
    0,
    (step) =>
      piece && { edit: 'movePiece', change: { piece: piece.id, to: { x: 0.1 + (step % 50) / 500, y: 0.1 } } },
  ],
  [
    'a layer',
    0,
    (step) =>
      soil && {
        edit: 'setThickness',
        change: { layer: soil.id, corners: ['frontLeft'], thickness: 0.02 + (step % 50) / 2000 },
      },
  ],
];
const median = (all: readonly Design[], keep?: Keep): number => {
  const times = all.map((design) => {
    const start = performance.now();
    assess(design, catalogue, shelf, keep);
    return (performance.now() - start) * 1000;
  });
  return times.sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? NaN;
};
console.log(`assess “${most.name}” after an edit, median of 400, µs`);
for (const [what, least, call] of edits) {
  const after = Array.from({ length: 400 }, (_, step) => {
    const edit = call(step);
    return edit ? applyEdit(most, edit, catalogue) : most;
  });
  median(after);
  const full = median(after);
  const keep = keeping();
  median(after, keep);
  const kept = median(after, keep);
  console.log(
    `  ${what.padEnd(8)} ${kept.toFixed(0).padStart(6)}   in full ${full.toFixed(0).padStart(6)}   ${(full / kept).toFixed(1)} ×`,
  );
  // Pieces and layers move the ground, on which nearly all hangs: told, not judged.
  if (full / kept < least) {
    console.log(`  falls short: ${least} × at the least`);
    process.exitCode = 1;
  }
}
