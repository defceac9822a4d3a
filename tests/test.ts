import { test as base, type Browser, type BrowserContext } from '@playwright/test';
import { NOW } from './now';

export { expect, type Browser, type Page } from '@playwright/test';

/** Sets a context's clock to the moment the tests live in; it runs on from there. */
const atNow = async (context: BrowserContext): Promise<BrowserContext> => {
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

/**
 * Holds back the workers that play years: what nobody in a test looks at keeps no core busy. The page sees workers that
 * have not answered yet. Verdicts of the untouched demo come with it and are there all the same.
 */
const withoutYears = (context: BrowserContext): Promise<unknown> =>
  context.addInitScript(() => {
    window.Worker = new Proxy(window.Worker, {
      construct: (Real, [address, options]: [string | URL, WorkerOptions?]) =>
        options?.name === 'years'
          ? Object.assign(new EventTarget(), { postMessage: () => undefined, terminate: () => undefined })
          : new Real(address, options),
    });
  });

/** Whether the test at hand reads what a forecast of a year says: its answer, or a fix that waits for it. */
let years = false;

/** Prepares a context: its clock, and whether years are played behind it. */
export const prepared = async (context: BrowserContext): Promise<BrowserContext> => {
  await atNow(context);
  if (!years) await withoutYears(context);
  return context;
};

/**
 * Every page of every test begins at the same moment, whatever day it is. Years are played for tests that have `@years` in
 * their name.
 */
export const test = base.extend<{ readonly tagged: void }, { browser: Browser }>({
  tagged: [
    async ({}, give, { tags }) => {
      years = tags.includes('@years');
      await give();
    },
    { auto: true },
  ],
  // The context of a test’s own page comes from here too.
  browser: [
    async ({ browser }, give) => {
      const open = browser.newContext.bind(browser);
      browser.newContext = async (options) => prepared(await open(options));
      await give(browser);
      browser.newContext = open;
    },
    { scope: 'worker' },
  ],
});
