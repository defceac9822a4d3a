import { catalogue, demoDesigns } from '@/catalogue';
import { assess } from '@/core/assess';

/** `assess` of the demo design with the most layers, 1,000 runs after 200 to warm up. */
const largest = [...demoDesigns(catalogue)].sort(
  (a, b) => b.ground.layers.length - a.ground.layers.length,
)[0];
if (!largest) throw new Error('the demo holds no design');
for (let i = 0; i < 200; i += 1) assess(largest, catalogue);
const times = Array.from({ length: 1000 }, () => {
  const start = performance.now();
  assess(largest, catalogue);
  return (performance.now() - start) * 1000;
}).sort((a, b) => a - b);
const at = (share: number): string => (times[Math.floor(share * (times.length - 1))] ?? NaN).toFixed(1);
console.log(`assess “${largest.name}”, ${largest.ground.layers.length} layers, 1,000 runs, µs`);
console.log(`  median ${at(0.5)}   95th ${at(0.95)}   longest ${at(1)}`);
