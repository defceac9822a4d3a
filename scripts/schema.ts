import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { catalogue } from '../src/catalogue';
import { demoDesigns } from '../src/catalogue/demo';
import { DESIGN_VERSION } from '../src/core/document';
import { envelopeJsonSchema, NO_STORES, writeEnvelope } from '../src/files';

/** Writes the published JSON Schema and an example of the file; with --check, fails when one in the repo has fallen behind. */
const example = demoDesigns(catalogue).slice(3);
const files = [
  [
    `public/schema/rincon-${DESIGN_VERSION}.schema.json`,
    `${JSON.stringify(envelopeJsonSchema(), null, 2)}\n`,
  ],
  ['docs/example.rincon.json', writeEnvelope(example, NO_STORES, new Date('2026-11-23T18:00:00Z'))],
] as const;
const read = (path: string): string => {
  try {
    return readFileSync(path, 'utf8');
  } catch {
    return '';
  }
};
if (process.argv.includes('--check')) {
  const behind = files.filter(([path, text]) => read(path) !== text).map(([path]) => path);
  if (behind.length > 0) {
    console.error(`${behind.join(' and ')}: behind the document; run npm run schema`);
    process.exit(1);
  }
} else {
  mkdirSync('public/schema', { recursive: true });
  for (const [path, text] of files) writeFileSync(path, text);
}
