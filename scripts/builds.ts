/** `npx tsx scripts/builds.ts [PART OF A NAME]`: “Find what holds” on the builds of `tests/builds`, each as it was made by hand; minutes. */
import { catalogue } from '../src/catalogue';
import { propose, runSearch } from '../src/core/search';
import { yearFindings } from '../src/core/verdict';
import { finished } from '../tests/builds/build';
import { BUILDS } from '../tests/builds/builds';

const wanted = process.argv[2] ?? '';
for (const build of BUILDS.filter((it) => it.name.includes(wanted))) {
  const { design, verdict } = runSearch(
    propose(finished(build).design, catalogue, { plants: false }),
    catalogue,
  );
  const of = verdict
    ? yearFindings(verdict, design, catalogue).flatMap((it) => (it.severity === 'note' ? [] : [it.code]))
    : [];
  console.log([build.name, build.answer, verdict?.answer ?? '-', [...new Set(of)].join(' ')].join('\t'));
}
