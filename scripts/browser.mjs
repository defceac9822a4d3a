import { existsSync } from 'node:fs';

/** Debian's Chromium: the one without windows, a fifth less work for the same page; the whole one does as well. */
export const HEADLESS = '/usr/bin/chromium-headless-shell';
const WHOLE = '/usr/bin/chromium';
export const CHROMIUM = process.env.CHROMIUM ?? (existsSync(HEADLESS) ? HEADLESS : WHOLE);

/** How it is started without a screen, as root, and with no calls of its own. */
export const CHROMIUM_ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
