import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, test } from './test';
import { catalogue } from '@/catalogue';
import { demoDesigns, demoReadings } from '@/catalogue/demo';
import { entryOf } from '@/core/log';
import { seededRandom } from '@/core/random';
import { NO_STORES, writeBackup } from '@/files';
import { snapshot } from './helpers';
import { tries } from './effort';
import { browserOn, loads } from './killable';

/** `npm run torture` kills more often. */
const KILLS = Number(process.env.RINCON_KILLS ?? tries(8, 20));
const SEED = Number(process.env.RINCON_SEED ?? 20);

/** A backup of one enclosure with its log, readings and a picture, all of names of its own. */
async function backupOf(name: string, jpeg: Uint8Array): Promise<Buffer> {
  const design = { ...demoDesigns(catalogue)[0]!, id: name, name };
  const [first] = demoReadings(demoDesigns(catalogue), Date.now());
  const point = { ...first!.series, id: `${name} point`, design: name };
  const at = Date.now() - 3_600_000;
  const log = [1, 2, 3].map((n) =>
    entryOf(
      { kind: 'note', values: {}, text: `line ${n}` },
      { id: `${name} line ${n}`, design: name, at, changed: at },
    ),
  );
  const pieces: Uint8Array[] = [];
  await writeBackup(
    {
      designs: [design],
      stores: { ...NO_STORES, log, points: [point] },
      written: new Date(),
      settings: {},
      tables: {},
      unreadable: [],
      tracks: [{ series: point.id, quantity: point.quantity, track: first!.track }],
      pictures: [
        { id: `${name} picture`, design: name, about: `entry:${log[0]!.id}`, at, width: 2, height: 1, jpeg },
      ],
    },
    (piece) => pieces.push(piece.slice()),
  );
  return Buffer.concat(pieces);
}

/** What of a run must be there after a kill, as far as the page ever called it saved. */
interface Told {
  /** Depth of a layer, mm, raised by one each time. */
  depth: number;
  /** Seconds of lines that were written, each once. */
  readonly lines: Set<number>;
  readonly pictures: Set<string>;
  readonly restored: Set<string>;
  /** Names of points whose file of a sensor was read in. */
  readonly points: Set<string>;
}

/** Rows of a sensor's file, five minutes each: they lie in four weeks. */
const ROWS = 6000;
const sensorFile = (name: string): string => {
  const began = Date.now() - ROWS * 300_000;
  const rows = Array.from(
    { length: ROWS },
    (_, i) => `${new Date(began + i * 300_000).toISOString()};${(23 + Math.sin(i / 40)).toFixed(2)}`,
  );
  return `Time;${name} [°C]\r\n${rows.join('\r\n')}\r\n`;
};

/** What is in the storage of a page that runs none of the program. */
const found = (page: Page) =>
  page.evaluate(async () => {
    const open = indexedDB.open('rincon');
    const db = await new Promise<IDBDatabase>((done, refuse) => {
      open.onsuccess = () => done(open.result);
      open.onerror = () => refuse(open.error);
    });
    const rows = <T>(store: string): Promise<T[]> =>
      new Promise((done) => {
        const asked = db.transaction(store).objectStore(store).getAll();
        asked.onsuccess = () => done(asked.result as T[]);
      });
    interface Layer {
      readonly id: string;
      readonly kind: string;
      readonly name?: string;
      readonly thickness?: { readonly frontLeft: number };
    }
    interface Row {
      readonly id: string;
      readonly deleted: number;
      readonly design: { readonly ground: { readonly layers: readonly Layer[] } };
    }
    const designs = await rows<Row>('designs');
    const hedge = designs.find((it) => it.id === 'demo-hedge');
    const soil = hedge?.design.ground.layers.find((it) => it.name?.startsWith('Forest mix'));
    const log = await rows<{ id: string; design: string; text: string; values: { seconds: number | null } }>(
      'log',
    );
    const pictures = await rows<{ id: string; about: string; design: string }>('pictures');
    const blocks = await rows<{ series: string; level: string; count: number }>('blocks');
    const series = await rows<{ id: string; name: string }>('series');
    db.close();
    return {
      stores: [...db.objectStoreNames].length,
      depth: Math.round(1000 * (soil?.thickness?.frontLeft ?? -1)),
      designs: designs.map((it) => it.id),
      log: log.map((it) => ({ id: it.id, design: it.design, text: it.text, seconds: it.values.seconds })),
      pictures: pictures.map(({ id, about }) => ({ id, about })),
      blocks: [...new Set(blocks.map((it) => it.series))],
      points: series.map(({ id, name }) => ({
        name,
        count: blocks
          .filter((it) => it.series === id && it.level === 'raw')
          .reduce((sum, it) => sum + it.count, 0),
      })),
    };
  });

/** What a page says of itself, by the console. */
const hear = (page: Page, to: (told: string) => void): void => {
  page.on('console', (message) => {
    const told = /^told (.*)$/.exec(message.text())?.[1];
    if (told !== undefined) to(told);
  });
};

type Act = (page: Page, baseURL: string, told: Told, n: () => number, next: () => number) => Promise<void>;

const ACTS: readonly Act[] = [
  // Layers raised by a millimetre.
  async (page, baseURL, told, _, next) => {
    await page.goto(`${baseURL}/e/demo-hedge/ground`);
    const handle = page.getByRole('slider', { name: /Forest mix.*front/ });
    await handle.waitFor();
    hear(page, (it) => (told.depth = Math.max(told.depth, Number(it))));
    await handle.evaluate((it) => {
      setInterval(() => {
        const saved = document.querySelector('[data-save=saved]');
        if (saved) console.log(`told ${it.getAttribute('aria-valuenow')}`);
      }, 2);
    });
    await handle.focus();
    for (;;) {
      await page.keyboard.press('Shift+ArrowUp');
      await new Promise((done) => setTimeout(done, 50 * next()));
    }
  },
  // Lines of the log, one after another.
  async (page, baseURL, told, n) => {
    await page.goto(`${baseURL}/e/demo-hedge/keep?tab=log`);
    const field = page.getByLabel('Write down');
    await field.waitFor();
    hear(page, (it) => told.lines.add(Number(it)));
    await page.evaluate(() => {
      setInterval(() => {
        const own = window as unknown as { line?: number };
        const label = [...document.querySelectorAll('label')].find((it) => it.textContent === 'Write down');
        const input = label?.control as HTMLInputElement | null | undefined;
        if (own.line !== undefined && input?.value === '') {
          console.log(`told ${own.line}`);
          delete own.line;
        }
      }, 2);
    });
    for (;;) {
      const seconds = n();
      await field.fill(`mist ${seconds}s`);
      await page.evaluate((it) => void ((window as unknown as { line: number }).line = it), seconds);
      await field.press('Enter');
      await page.waitForFunction(() => !('line' in window), undefined, { timeout: 5000 });
    }
  },
  // A line with a picture.
  async (page, baseURL, told, n) => {
    await page.goto(`${baseURL}/e/demo-bog-shelf/keep?tab=log`);
    await page.getByRole('button', { name: 'Use a form' }).click();
    const picture = await snapshot(page);
    const text = `picture ${n()}`;
    await page.getByLabel('In words').fill(text);
    await page
      .getByLabel('Pictures of it')
      .setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: picture });
    await page.getByRole('button', { name: 'Write it down' }).click();
    await page.getByText('Written.').waitFor();
    told.pictures.add(text);
  },
  // A file of a sensor.
  async (page, baseURL, told, n) => {
    await page.goto(`${baseURL}/e/demo-dry-wash/keep?tab=readings`);
    const name = `sensor ${n()}`;
    await page
      .getByLabel('File of a sensor')
      .setInputFiles({ name: `${name}.csv`, mimeType: 'text/csv', buffer: Buffer.from(sensorFile(name)) });
    const matcher = page.getByRole('region', { name: 'What is in it' });
    await matcher.getByRole('textbox', { name: `Name of the point for ${name} [°C]` }).fill(name);
    await matcher.getByRole('button', { name: 'Read it in' }).click();
    await page.getByText(`${name}.csv: ${ROWS} rows, ${ROWS} readings.`).waitFor();
    told.points.add(name);
  },
  // A backup with all of that.
  async (page, baseURL, told, n) => {
    await page.goto(`${baseURL}/`);
    await page.getByRole('heading', { name: /enclosures$/ }).waitFor();
    const name = `restored ${n()}`;
    const buffer = await backupOf(name, Uint8Array.of(0xff, 0xd8, 0xff, 0xe0, 1, 2, 3));
    await page
      .getByLabel('Import a file')
      .setInputFiles({ name: 'a.zip', mimeType: 'application/zip', buffer });
    await page.getByText(/^1 read in/).waitFor();
    told.restored.add(name);
  },
];

test(`the browser killed at random moments of random work, ${KILLS} times: what was called saved is there, whole`, async ({
  baseURL: address,
}) => {
  test.setTimeout(KILLS * 20_000 + 120_000);
  const baseURL = address ?? '';
  const next = seededRandom(SEED);
  const profile = mkdtempSync(join(tmpdir(), 'rincon-torture-'));
  const told: Told = {
    depth: -1,
    lines: new Set(),
    pictures: new Set(),
    restored: new Set(),
    points: new Set(),
  };
  let [counter, kills, stuck] = [0, 0, 0];
  // ms until the first line is called saved, on this machine: the moments to kill at are counted by it.
  let pace = 0;
  const n = (): number => (counter += 1);
  try {
    while (kills <= KILLS) {
      const { page, kill } = await browserOn(profile);
      // A browser started on the profile of a killed one now and then never begins to load: it is started again.
      if (!(await loads(page, `${baseURL}/icon.svg`))) {
        await kill();
        expect((stuck += 1)).toBeLessThan(20);
        continue;
      }
      if (kills === 0) {
        await page.goto(`${baseURL}/`);
        await page.getByRole('button', { name: 'Lay out the demo nature room' }).click();
        await page.getByRole('heading', { name: 'Four enclosures' }).waitFor();
        const began = Date.now();
        const writing = ACTS[1]!(page, baseURL, told, n, next).catch(() => undefined);
        await expect.poll(() => told.lines.size, { intervals: [20] }).toBeGreaterThan(0);
        pace = Date.now() - began;
        await kill();
        await writing;
        kills += 1;
        continue;
      } else {
        const here = await found(page);
        const after = `after kill ${kills}, seed ${SEED}`;
        expect(here.stores, after).toBe(11);
        expect(here.depth, after).toBeGreaterThanOrEqual(told.depth);
        const seconds = new Set(here.log.map((it) => it.seconds));
        expect(
          [...told.lines].filter((it) => !seconds.has(it)),
          `lines ${after}`,
        ).toEqual([]);
        // A line with a picture is there with it, or not at all.
        for (const line of here.log.filter((it) => it.text.startsWith('picture ')))
          expect(
            here.pictures.filter((it) => it.about === `entry:${line.id}`),
            `${line.text} ${after}`,
          ).toHaveLength(1);
        const texts = new Set(here.log.map((it) => it.text));
        expect(
          [...told.pictures].filter((it) => !texts.has(it)),
          `pictures ${after}`,
        ).toEqual([]);
        // A sensor's file is there with every reading, or not at all.
        const points = here.points.filter((it) => it.name.startsWith('sensor '));
        expect(
          points.filter((it) => it.count !== ROWS),
          `sensors ${after}`,
        ).toEqual([]);
        expect(
          [...told.points].filter((name) => !points.some((it) => it.name === name)),
          `sensors ${after}`,
        ).toEqual([]);
        // What was restored is there whole, or not at all.
        for (const name of here.designs.filter((it) => it.startsWith('restored '))) {
          expect(
            here.log.filter((it) => it.design === name),
            `${name} ${after}`,
          ).toHaveLength(3);
          expect(here.blocks, `${name} ${after}`).toContain(`${name} point`);
          expect(
            here.pictures.map((it) => it.id),
            `${name} ${after}`,
          ).toContain(`${name} picture`);
        }
        const others = [
          ...here.log.map((it) => it.design),
          ...here.blocks.map((it) => it.replace(/ point$/, '')),
        ];
        expect(
          others.filter((it) => it.startsWith('restored ') && !here.designs.includes(it)),
          after,
        ).toEqual([]);
        expect(
          [...told.restored].filter((it) => !here.designs.includes(it)),
          `restored ${after}`,
        ).toEqual([]);
      }
      if (kills === KILLS) {
        // And the program opens on all of it.
        await page.goto(`${baseURL}/`);
        await page.getByRole('heading', { name: /enclosures$/ }).waitFor();
        await kill();
        break;
      }
      const act = ACTS[Math.floor(next() * ACTS.length)]!;
      const work = act(page, baseURL, told, n, next).catch(() => undefined);
      // From before the page has loaded to well into its work.
      await Promise.race([work, new Promise((done) => setTimeout(done, pace * (0.2 + 2.3 * next())))]);
      await kill();
      await work;
      kills += 1;
    }
    // Something of each kind was called saved, if it was tried often enough.
    if (KILLS >= 100)
      expect(
        Math.min(told.lines.size, told.pictures.size, told.restored.size, told.points.size),
      ).toBeGreaterThan(0);
    console.log(
      `${KILLS} kills at a pace of ${pace} ms: depth ${told.depth} mm, ${told.lines.size} lines, ${told.pictures.size} pictures, ${told.points.size} files of sensors, ${told.restored.size} backups called saved`,
    );
  } finally {
    rmSync(profile, { recursive: true, force: true });
  }
});
