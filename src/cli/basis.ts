/** `npm run -s basis`: on what the values of each table stand; `-- --sources`: what rests on each work and rule. */
import { catalogue } from '@/catalogue';
import { feeders } from '@/catalogue/feeders';
import { rules, works } from '@/catalogue/works';
import { BASES, countBasis, countSources, sourcedShare } from '@/core/catalogue';

const { living, scape, climate, ...rest } = catalogue;
const tables = { ...rest, ...living, ...scape, ...climate, feeders };
const whole = { ...catalogue, feeders };
const line = (cells: readonly (string | number)[]): void =>
  console.log(
    cells
      .map((it, at) => (at === 0 ? String(it).padEnd(14) : String(it).padStart(11)))
      .join('')
      .trimEnd(),
  );

line(['table', ...BASES, 'share']);
for (const [name, table] of [...Object.entries(tables), ['all', whole] as const]) {
  const count = countBasis(table);
  if (BASES.every((it) => count[it] === 0)) continue;
  line([name, ...BASES.map((it) => count[it]), `${(100 * sourcedShare(count)).toFixed(0)} %`]);
}
console.log(
  '\nshare: measured, published or cited, of all that is not common practice (judgements and prices are left out)',
);

if (process.argv.includes('--sources')) {
  const count = countSources(whole);
  for (const { id, citation, use } of [...works, ...rules])
    console.log(`\n${count.get(id) ?? 0} values${use ? `; ${use}` : ''}\n  ${citation}`);
}
