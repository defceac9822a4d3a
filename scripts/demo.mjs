/** Installs what is missing, builds, and serves Rincon with its demo data; with --lan to the whole local network. */
import { randomBytes } from 'node:crypto';
import { networkInterfaces } from 'node:os';
import { ensureBuild, ensurePackages } from './ensure.mjs';
import { serve } from './serve.mjs';

ensurePackages();
if (!ensureBuild()) process.exit(1);
const port = Number(process.env.PORT ?? 3000);
const lan = process.argv.includes('--lan');
// 40 bits, in letters and figures that are not mistaken for one another.
const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';
const code = lan
  ? Array.from(randomBytes(8), (it) => LETTERS[it % 32])
      .join('')
      .replace(/^(.{4})/, '$1-')
  : null;
const { url, stop } = await serve(port, { demo: true, lan, code });
console.log(`\nRincon is at ${url} — the nature room is laid out on the first visit. Ctrl+C ends it.`);
if (lan) {
  const addresses = Object.values(networkInterfaces())
    .flat()
    .filter((it) => it && it.family === 'IPv4' && !it.internal)
    .map((it) => `http://${it.address}:${port}`);
  console.log(
    `It listens to the whole local network: ${addresses.join(', ') || 'no address found'}
Each device, this one too, types this code once: ${code}
Whoever has typed it can use the simulated or joined devices. Nothing of your data lies on the
server: it stays in each browser, and what is handed over is sealed. Without HTTPS, though, whoever controls the
network could change the pages on their way. Use it in a network you trust, and end it when you are done.`,
  );
}
for (const signal of ['SIGINT', 'SIGTERM']) {
  process.on(signal, () => {
    stop();
    process.exit(0);
  });
}
