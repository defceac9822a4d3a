import { readFile } from 'node:fs/promises';
import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** Waits until the last edit has reached storage. */
export async function saved(page: Page): Promise<void> {
  await expect(page.locator('[data-save=saved]')).toBeVisible();
}

/** Waits until nothing has changed in the page for an eighth of a second; two seconds at the most. */
export const settled = (page: Page): Promise<void> =>
  page.evaluate(
    () =>
      new Promise<void>((done) => {
        const ended = (): void => {
          watcher.disconnect();
          done();
        };
        let quiet = setTimeout(ended, 125);
        setTimeout(ended, 2000);
        const watcher = new MutationObserver(() => {
          clearTimeout(quiet);
          quiet = setTimeout(ended, 125);
        });
        watcher.observe(document.body, { subtree: true, childList: true, characterData: true });
      }),
  );

/** Chooses an entry of the File menu. */
export async function file(page: Page, entry: RegExp): Promise<void> {
  await page.getByRole('button', { name: 'File', exact: true }).click();
  await page.getByRole('menuitem', { name: entry }).click();
}

/** Exports by the File menu and gives back what was written. */
export async function exported(page: Page, entry: RegExp): Promise<string> {
  const waiting = page.waitForEvent('download');
  await file(page, entry);
  return readFile(await (await waiting).path(), 'utf8');
}

/** Reads a file in, given its text. */
export async function readIn(page: Page, text: string, name = 'test.rincon.json'): Promise<void> {
  await page
    .getByLabel('Import a file')
    .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
}

/** Lays the demo out on an empty rack. */
export async function demo(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'Lay out the demo nature room' }).click();
  await expect(page.getByRole('heading', { name: 'Four enclosures' })).toBeVisible();
}

/** Moves the clock of every page that is opened from now on so many days on. */
export const later = (page: Page, days: number): Promise<unknown> =>
  page.addInitScript((ahead) => {
    const Was = Date;
    class Later extends Was {
      constructor(...told: unknown[]) {
        if (told.length === 0) super(Was.now() + ahead);
        else super(...(told as [number]));
      }
      static override now(): number {
        return Was.now() + ahead;
      }
      static override [Symbol.hasInstance](value: unknown): boolean {
        return Was[Symbol.hasInstance](value);
      }
    }
    window.Date = Later as DateConstructor;
  }, days * 86_400_000);

/** Picks a kind by typing part of its name. What is typed before the page listens is typed again, as a person would. */
export async function chooseAnimal(page: Page, label: string, typed: string): Promise<void> {
  const field = page.getByRole('combobox', { name: label });
  const first = page.getByRole('option').first();
  await expect(async () => {
    await field.fill('');
    await field.fill(typed);
    await expect(first).toBeVisible({ timeout: 3000 });
  }).toPass({ timeout: 60_000 });
  await first.click();
}

/** Types into a field as a person does, and leaves it. */
export async function type(page: Page, label: string | RegExp, text: string): Promise<void> {
  const field = page.getByRole('textbox', { name: label });
  await field.fill(text);
  await field.press('Enter');
}

/** A new enclosure by the three questions, on the rack and open in Ground. */
export async function build(
  page: Page,
  animal: string,
  sides: readonly [string, string, string],
  name: string,
): Promise<void> {
  await page.goto('/new');
  await chooseAnimal(page, 'Animal', animal);
  await page.getByRole('radio', { name: 'I know its sides' }).click();
  for (const [index, label] of ['Width', 'Depth', 'Height'].entries()) await type(page, label, sides[index]!);
  await page.getByLabel('Its name').fill(name);
  await page.getByRole('button', { name: 'Save to the rack' }).click();
  await expect(page.getByRole('heading', { name: 'Ground', level: 1 })).toBeVisible();
}

/** Takes all out of the open enclosure that stands in it, and goes back to its ground: for sums worked by hand. */
export async function bare(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Hardscape' }).click();
  await page.getByRole('button', { name: 'Take all out' }).click();
  await expect(page.getByRole('button', { name: 'Lay out a first hardscape' }).first()).toBeVisible();
  await page.getByRole('link', { name: 'Ground' }).click();
  await expect(page.getByRole('heading', { name: 'Ground', level: 1 })).toBeVisible();
}

/** WCAG 2.2 A and AA; and what axe holds for good practice besides, where a page is held to that. */
const WCAG = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

/**
 * axe finds nothing in the light scheme, nor in the dark one: that is the same page in other colours, where only what
 * depends on them is looked at again.
 */
export async function sound(page: Page, what: string, practice = true): Promise<void> {
  for (const scheme of ['light', 'dark'] as const) {
    // Colours that fade over are met halfway otherwise.
    await page.emulateMedia({ colorScheme: scheme, reducedMotion: 'reduce' });
    await page.waitForTimeout(150);
    // One document and nothing in frames: no page of its own is needed to gather what was found.
    const axe = new AxeBuilder({ page })
      .options({ resultTypes: ['violations'], preload: false, iframes: false })
      .setLegacyMode(true);
    const { violations } = await (
      scheme === 'light'
        ? axe.withTags(practice ? [...WCAG, 'best-practice'] : WCAG)
        : axe.withRules(['color-contrast', 'link-in-text-block'])
    ).analyze();
    const told = violations.map(
      (it) => `${it.id}: ${it.nodes.map((node) => node.html.slice(0, 160)).join(' | ')}`,
    );
    expect(told, `${what}, ${scheme}`).toEqual([]);
  }
  await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'no-preference' });
}

/** What the browser's storage holds, row by row, in an order that does not change; history and settings left out. */
export async function stored(page: Page): Promise<Record<string, unknown[]>> {
  return page.evaluate(async () => {
    const db = await new Promise<IDBDatabase>((done, refuse) => {
      const asked = indexedDB.open('rincon');
      asked.onsuccess = () => done(asked.result);
      asked.onerror = () => refuse(asked.error);
    });
    const plain = async (value: unknown): Promise<unknown> => {
      if (value instanceof Blob) return [...new Uint8Array(await value.arrayBuffer())].join(' ');
      if (value instanceof Uint8Array) return [...value].join(' ');
      if (Array.isArray(value)) return Promise.all(value.map(plain));
      if (typeof value !== 'object' || value === null) return value;
      const entries = await Promise.all(
        Object.entries(value).map(async ([key, own]) => [key, await plain(own)] as const),
      );
      return Object.fromEntries(entries.sort(([x], [y]) => (x < y ? -1 : 1)));
    };
    /** A row as its name and a number that changes with whatever is in it. */
    const said = (row: unknown): string => {
      const text = JSON.stringify(row);
      let sum = 2_166_136_261;
      for (let i = 0; i < text.length; i += 1) sum = Math.imul(sum ^ text.charCodeAt(i), 16_777_619) >>> 0;
      const { id, series, level, week } = row as Record<string, unknown>;
      return `${String(id ?? `${String(series)} ${String(level)} ${String(week)}`)}: ${text.length} ${sum}`;
    };
    const all: Record<string, unknown[]> = {};
    for (const name of ['designs', 'log', 'animals', 'equipment', 'series', 'blocks', 'pictures', 'shelf']) {
      const rows = await new Promise<Record<string, unknown>[]>((done) => {
        const asked = db.transaction(name).objectStore(name).getAll();
        asked.onsuccess = () => done(asked.result as Record<string, unknown>[]);
      });
      const told: string[] = [];
      for (const row of rows) {
        // When and how often a row was written is not what it holds.
        const { updated, revision, cursor, trail, ...rest } = row;
        void [updated, revision, cursor, trail];
        told.push(said(await plain(rest)));
      }
      all[name] = told.sort();
    }
    db.close();
    return all;
  });
}

/** A picture as a camera would give it: a few hundred pixels of colour. */
export const snapshot = (page: Page): Promise<Buffer> =>
  page
    .evaluate(async () => {
      const canvas = new OffscreenCanvas(640, 480);
      const context = canvas.getContext('2d')!;
      for (let i = 0; i < 60; i += 1) {
        context.fillStyle = `hsl(${i * 37} 50% ${30 + (i % 40)}%)`;
        context.fillRect((i * 97) % 640, (i * 53) % 480, 80, 60);
      }
      const blob = await canvas.convertToBlob({ type: 'image/png' });
      return [...new Uint8Array(await blob.arrayBuffer())];
    })
    .then((bytes) => Buffer.from(bytes));
