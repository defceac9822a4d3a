/** Plays the days that the demo's probes read, from its drawings, and writes them down; `--check` only compares. */
import { writeFileSync } from 'node:fs';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { playedDays } from '@/catalogue/demo/played';
import { PLAYED_DAYS } from '@/catalogue/demo/playedDays';

const PATH = 'src/catalogue/demo/playedDays.ts';
const days = playedDays(demoDesigns(catalogue), catalogue);

const textOf = (table: typeof days): string => `import type { PlayedDays } from './played';

/** What the core plays of the drawings, as \`npm run demo-days\` wrote it down. */
export const PLAYED_DAYS: PlayedDays = ${JSON.stringify(table)};
`;

/** Where two such tables differ by more than another machine’s arithmetic would. */
function differs(a: unknown, b: unknown, at = ''): string | null {
  if (typeof a === 'number' && typeof b === 'number')
    return Math.abs(a - b) <= (Math.abs(b) < 1 ? 0.011 : 0.101) ? null : `${at}: ${a} is ${b} now`;
  if (typeof a !== 'object' || typeof b !== 'object' || !a || !b) return at;
  const [one, other] = [Object.entries(a), Object.entries(b)];
  if (one.length !== other.length) return at;
  for (const [i, [key, value]] of one.entries()) {
    const found = differs(value, other[i]?.[1], `${at}/${key}`);
    if (found !== null) return found;
  }
  return null;
}

if (process.argv.includes('--check')) {
  const found = differs(PLAYED_DAYS, days);
  if (found !== null) throw new Error(`${PATH}${found}. Play it anew: npm run demo-days`);
} else writeFileSync(PATH, textOf(days));
