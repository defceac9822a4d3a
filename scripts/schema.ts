import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { envelopeJsonSchema } from '../src/files';

/** Writes the published JSON Schema; with --check, fails when the one in the repo has fallen behind. */
const PATH = 'public/schema/rincon-8.schema.json';
const text = `${JSON.stringify(envelopeJsonSchema(), null, 2)}\n`;
if (process.argv.includes('--check')) {
  if (readFileSync(PATH, 'utf8') !== text) {
    console.error(`${PATH} is behind the document; run npm run schema`);
    process.exit(1);
  }
} else {
  mkdirSync('public/schema', { recursive: true });
  writeFileSync(PATH, text);
}
