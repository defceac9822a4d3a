import { existsSync } from 'node:fs';
import { chromium } from '@playwright/test';

export const CHROMIUM = process.env.CHROMIUM ?? '/usr/bin/chromium';

export const CHROMIUM_ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

/** Debian's Chromium, headless. */
export function launch() {
  if (!existsSync(CHROMIUM)) throw new Error(`${CHROMIUM} is missing; npm test installs it`);
  return chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });
}
