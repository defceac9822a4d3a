import { spawn, type ChildProcess } from 'node:child_process';
import { chromium, type Page } from '@playwright/test';
import { CHROMIUM, CHROMIUM_ARGS } from '../scripts/browser.mjs';
import { prepared } from './test';

/** A browser of its own process, so that it can be killed as a power cut would. */
export async function browserOn(profile: string): Promise<{ page: Page; kill: () => Promise<void> }> {
  const child: ChildProcess = spawn(
    CHROMIUM,
    [
      ...CHROMIUM_ARGS,
      '--headless',
      '--remote-debugging-port=0',
      `--user-data-dir=${profile}`,
      'about:blank',
    ],
    { stdio: ['ignore', 'ignore', 'pipe'], detached: true },
  );
  const endpoint = await new Promise<string>((resolve, reject) => {
    let said = '';
    child.stderr?.on('data', (chunk: Buffer) => {
      said += chunk.toString();
      const found = /DevTools listening on (ws:\S+)/.exec(said)?.[1];
      if (found) resolve(found);
    });
    child.on('exit', () => reject(new Error(`Chromium ended: ${said.slice(-400)}`)));
  });
  const browser = await chromium.connectOverCDP(endpoint);
  const page = browser.contexts()[0]?.pages()[0] ?? (await browser.newPage());
  await prepared(page.context());
  return {
    page,
    kill: async () => {
      const gone = new Promise((resolve) => child.on('exit', resolve));
      // The whole process group at once: no part of it may tidy up.
      process.kill(-(child.pid ?? 0), 'SIGKILL');
      await gone;
      await browser.close().catch(() => undefined);
    },
  };
}

/** True once the server's answer is in; what the page makes of it is not judged here. */
export async function loads(page: Page, address: string): Promise<boolean> {
  return page.goto(address, { timeout: 30_000, waitUntil: 'commit' }).then(
    () => true,
    () => false,
  );
}
