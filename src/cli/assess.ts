import { readFileSync } from 'node:fs';
import { catalogue, withPrices } from '@/catalogue';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import { buyingOf } from '@/core/buying';
import { assess } from '@/core/assess';
import { bag, formatQuantity, length, mass, METRIC, tank, formatMessage } from '@/core/units';
import {
  allFindings,
  ANSWER_WORDS,
  judgeDesign,
  lineOf,
  wordOf,
  yearFindings,
  type VerdictState,
} from '@/core/verdict';
import { readEnvelope } from '@/files';

const MARK = { severe: '!!', look: '! ', note: '· ', fine: 'ok' } as const;

/** The verdict the screens show, calculated here and now. */
function verdictOf(design: Design, rows: Catalogue): VerdictState {
  try {
    const verdict = judgeDesign({ design, catalogue: rows });
    return verdict
      ? { at: 'known', verdict, findings: yearFindings(verdict, design, rows) }
      : { at: 'unasked' };
  } catch (error) {
    return { at: 'failed', message: error instanceof Error ? error.message : String(error) };
  }
}

/** `assess FILE [--json]`: the same numbers and findings the screens show. Exit 1: severe findings; 2: unreadable. */
function main(argv: readonly string[]): number {
  const json = argv.includes('--json');
  const [file, ...rest] = argv.filter((word) => word !== '--json');
  if (file === undefined || rest.length > 0 || file.startsWith('-')) {
    console.error('usage: npm run -s assess -- FILE [--json]');
    return 2;
  }
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch (error) {
    console.error(`${file}: ${error instanceof Error ? error.message : 'cannot be read'}`);
    return 2;
  }
  const read = readEnvelope(text);
  if (!read.ok) {
    console.error(`${file}: at ${read.place}: ${read.message}.`);
    return 2;
  }
  const priced = withPrices(catalogue, read.value.prices);
  const results = read.value.designs.map((design) => {
    const result = assess(design, priced);
    const verdict = verdictOf(design, priced);
    return { design, verdict, result: { ...result, findings: allFindings(result.findings, verdict) } };
  });

  if (json) {
    const out = results.map(({ design, verdict, result }) => ({
      id: design.id,
      name: design.name,
      answer: wordOf(verdict),
      ...result,
    }));
    console.log(JSON.stringify(out, null, 2));
  } else {
    // Numbers as the shell’s own locale writes them.
    const prefs = { prefs: METRIC };
    for (const { design, verdict, result } of results) {
      console.log(`\n${design.name}`);
      console.log(`  ${ANSWER_WORDS[wordOf(verdict)]}: ${formatMessage(lineOf(verdict), prefs)}`);
      for (const it of [...result.layers].reverse()) {
        const { layer } = it;
        const name =
          layer.kind === 'substrate'
            ? layer.name
            : layer.kind === 'water'
              ? 'open water'
              : `${layer.kind}: ${layer.material}`;
        console.log(
          `  ${name.padEnd(34)} ${formatQuantity(bag(it.placed), prefs).padStart(9)} ${formatQuantity(mass(it.wetMass), prefs).padStart(9)}`,
        );
      }
      console.log(
        `  substrate ${formatQuantity(bag(result.substrateVolume), prefs)}, water to mix in ${formatQuantity(tank(result.waterToMixIn), prefs)}, standing ${formatQuantity(mass(result.standingMass), prefs)}, ${formatQuantity(length(result.heightLeft), prefs)} left above, to buy ${buyingOf([{ design, assessment: result }], priced).price.toFixed(2)}`,
      );
      for (const it of result.findings) {
        console.log(
          `  ${MARK[it.severity]} ${formatMessage(it.what, prefs)} ${formatMessage(it.because, prefs)} [${it.basis}]`,
        );
      }
    }
  }
  return results.some(({ result }) => result.findings.some((it) => it.severity === 'severe')) ? 1 : 0;
}

process.exitCode = main(process.argv.slice(2));
