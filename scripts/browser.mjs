/** Debian's Chromium, and how it is started without a screen, as root, and with no calls of its own. */
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
