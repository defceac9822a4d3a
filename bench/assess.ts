import { catalogue, demoDesigns } from '@/catalogue';
import { assess } from '@/core/assess';
import { applyEdit, REGION_KINDS } from '@/core/edits';

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
