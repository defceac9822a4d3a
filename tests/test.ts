import { test as base, type Browser, type BrowserContext } from '@playwright/test';
import { NOW } from './now';

export { expect, type Browser, type Page } from '@playwright/test';

/** Sets a context's clock to the moment the tests live in; it runs on from there. */
export const atNow = async (context: BrowserContext): Promise<BrowserContext> => {
  await context.addInitScript(
    ({ ahead }) => {
      const Real = Date;
      class Shifted extends Real {
        constructor(...told: unknown[]) {
          if (told.length === 0) super(Real.now() + ahead);
          else super(...(told as [number]));
        }
        static override now(): number {
          return Real.now() + ahead;
        }
        static override [Symbol.hasInstance](value: unknown): boolean {
          return value instanceof Real;
        }
      }
      window.Date = Shifted as DateConstructor;
    },
    { ahead: Date.parse(NOW) - Date.now() },
  );
  return context;
};

/** Every page of every test begins at the same moment, whatever day it is. */
export const test = base.extend<object, { browser: Browser }>({
  browser: [
    async ({ browser }, give) => {
      const open = browser.newContext.bind(browser);
      browser.newContext = async (options) => atNow(await open(options));
      await give(browser);
      browser.newContext = open;
    },
    { scope: 'worker' },
  ],
  context: async ({ context }, give) => {
    await atNow(context);
    await give(context);
  },
});
