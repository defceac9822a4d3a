/** Installs what is missing, builds, and serves Rincon with its demo data. */
import { ensureBuild, ensurePackages } from './ensure.mjs';
import { serve } from './serve.mjs';

ensurePackages();
if (!ensureBuild()) process.exit(1);
const port = Number(process.env.PORT ?? 3000);
const { url, stop } = await serve(port, { demo: true });
console.log(`\nRincon is at ${url} — the nature room is laid out on the first visit. Ctrl+C ends it.`);
for (const signal of ['SIGINT', 'SIGTERM']) {
  process.on(signal, () => {
    stop();
    process.exit(0);
  });
}
