/** `npm run -s basis`: how many values of each table are published, common practice, or from memory. */
import { catalogue } from '@/catalogue';
import { countBasis } from '@/core/catalogue';

const { living, scape, ...rest } = catalogue;
const tables = { ...rest, ...living, ...scape };
const rows = Object.entries(tables)
  .map(([name, table]) => ({ name, ...countBasis(table) }))
  .filter((it) => it.published + it.practice + it.memory > 0);
const all = { name: 'all', ...countBasis(catalogue) };

console.log(
  ['table', 'published', 'practice', 'memory', 'not from memory'].map((it) => it.padEnd(16)).join(''),
);
for (const { name, published, practice, memory } of [...rows, all]) {
  const share = (published + practice) / (published + practice + memory);
  console.log(
    [name, published, practice, memory, `${(100 * share).toFixed(0)} %`]
      .map((it) => String(it).padEnd(16))
      .join(''),
  );
}
