import { readFileSync } from 'node:fs';
import readXlsx from 'read-excel-file/universal';
import { writeFile } from 'node:fs/promises';
import { expect, test } from './test';
import { ENVELOPE_VERSION } from '@/files';
import { chooseAnimal, demo, exported, file, readIn, saved, sound, type } from './helpers';

test('a new builder: three questions to the buying list', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'The rack is empty' })).toBeVisible();
  await page.getByRole('link', { name: 'New enclosure' }).click();
  await chooseAnimal(page, 'Animal', 'poison');
  await type(page, 'Width', '60');
  await type(page, 'Depth', '45 cm');
  await type(page, 'Height', '450 mm');
  await expect(page.getByText('122 L inside.')).toBeVisible();

  // A dry room asks for cover and a little more soil than a humid one.
  await page.getByRole('radio', { name: /^Humid/ }).click();
  await expect(page.getByText(/30 % of the top covered/)).toBeVisible();
  await page.getByRole('radio', { name: /^Dry/ }).click();
  await expect(page.getByText(/85 % of the top covered/)).toBeVisible();

  await page.getByLabel('Its name').fill('Moss corner');
  await page.getByRole('button', { name: 'Save to the rack' }).click();
  await expect(page.getByRole('heading', { name: 'Ground', level: 1 })).toBeVisible();
  await saved(page);

  // A changed depth moves table, ledger and drawing together.
  const ledger = page.getByLabel('Ledger');
  const before = await ledger.innerText();
  await type(page, /^Forest mix.*depth at the back/, '12');
  await expect(page.getByRole('slider', { name: /Forest mix.*back/ })).toHaveAttribute(
    'aria-valuetext',
    /^12\scm$/,
  );
  expect(await ledger.innerText()).not.toBe(before);

  await page.getByRole('link', { name: /Build/ }).click();
  await expect(page.getByRole('heading', { name: 'Build', level: 1 })).toBeVisible();
  const row = page.locator('tr[data-material=charcoal]');
  await expect(row).toContainText('bag');
  // The builder's own price stays, and the total follows it.
  const total = page.getByText(/^[\d.,]+ in \d shops?$/);
  const sum = async (): Promise<number> => parseFloat((await total.innerText()).replaceAll(',', ''));
  const was = await sum();
  const price = row.getByRole('textbox').first();
  const old = Number(await price.inputValue());
  await price.fill(String(old + 1));
  await price.press('Enter');
  await expect.poll(sum).toBeGreaterThan(was);
  await page.reload();
  await expect.poll(sum).toBeGreaterThan(was);

  const list = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a table' }).click();
  await page.getByRole('menuitem', { name: /XLSX/ }).click();
  const book = await list;
  expect(book.suggestedFilename()).toBe('moss-corner-lists.xlsx');
  // Another program finds the same sum, of numbers.
  const [buy] = await readXlsx(new Blob([new Uint8Array(readFileSync(await book.path()))]));
  const [head, ...rows] = buy!.data;
  const told = rows.map((it) => it[head!.indexOf('Price')]).filter((it) => typeof it === 'number');
  expect(told.reduce((all, it) => all + it, 0)).toBeCloseTo(await sum(), 1);
});

test('an expert in inches and gallons @years', async ({ page }) => {
  await page.goto('/new');
  await page.getByRole('button', { name: /^Units/ }).click();
  await page.getByRole('menuitem', { name: /cubic feet/ }).click();
  await chooseAnimal(page, 'Animal', 'sand boa');

  // Gallons only offer shapes; the sides are what counts.
  await page.getByRole('radio', { name: 'Only its volume' }).click();
  await type(page, 'Volume', '40 gal');
  const shapes = page.getByRole('group', { name: 'Shapes that hold it' }).getByRole('button');
  expect(await shapes.count()).toBeGreaterThan(4);
  await shapes.last().click();
  await expect(page.getByText(/^(39|40|41)[.\d]*\sgal inside\.$/)).toBeVisible();

  await page.getByRole('radio', { name: 'I know its sides' }).click();
  await type(page, 'Width', `3' 0"`);
  await type(page, 'Depth', '1 ft 6');
  await type(page, 'Height', '18');
  await expect(page.getByRole('textbox', { name: 'Depth' })).toHaveValue(/^18\sin$/);

  // Nonsense is told where it stands, and nothing is lost.
  await type(page, 'Height', '18 elbows');
  await expect(page.getByRole('alert').filter({ hasText: 'elbows' })).toContainText('at character 4');
  await type(page, 'Height', '18 in');

  await page.getByRole('button', { name: 'Save to the rack' }).click();
  await expect(page.getByText('front in')).toBeVisible();
  await type(page, /depth at the front/, '3 1/2');
  await expect(page.getByRole('textbox', { name: 'Front left' })).toHaveValue(/^3\.5\sin$/);

  // 70 + 30 + 10 is taken as 63.6 : 27.3 : 9.1, and can be written so.
  await type(page, 'Parts of Washed sand', '70');
  await type(page, 'Parts of Bark fines', '30');
  await page.getByRole('combobox', { name: 'Add an ingredient' }).fill('burrow');
  await page.getByRole('option').first().click();
  await type(page, 'Parts of Burrowing clay', '10');
  const notice = page.locator('[data-finding=mix-misses-hundred]');
  await expect(notice).toContainText('63.6 : 27.3 : 9.1');
  await notice.getByRole('button').click();
  await expect(notice).toHaveCount(0);
  await expect(page.getByRole('textbox', { name: 'Parts of Washed sand' })).toHaveValue('63.6');

  await page.getByRole('radio', { name: /^Clay-pebble layer/ }).click();
  await expect(page.locator('[data-finding=drainage-unwanted]')).toContainText('Others drain');
  await saved(page);
});

test('keyboard only: from an empty rack to a dragged layer and back', async ({ page }) => {
  const press = async (key: string, times = 1): Promise<void> => {
    for (let i = 0; i < times; i += 1) await page.keyboard.press(key);
  };
  /** Tabs on until the focus stands on what is wanted; fails when it never does. */
  const tabTo = async (role: string, name: RegExp): Promise<void> => {
    const wanted = page.getByRole(role as 'button', { name }).first();
    await wanted.waitFor();
    for (let i = 0; i < 80; i += 1) {
      if (await wanted.evaluate((it) => it === document.activeElement)) return;
      await page.keyboard.press('Tab');
    }
    throw new Error(`Tab never reaches ${role} ${name}`);
  };

  await page.goto('/');
  await tabTo('link', /New enclosure/);
  await press('Enter');
  await tabTo('combobox', /Animal/);
  await page.keyboard.type('crested');
  await press('ArrowDown');
  await press('Enter');
  await tabTo('textbox', /Width/);
  await page.keyboard.type('45');
  await tabTo('textbox', /Depth/);
  await page.keyboard.type('45');
  await tabTo('textbox', /Height/);
  await page.keyboard.type('75');
  await tabTo('radio', /Do not know yet Taken/);
  await press('ArrowRight');
  await expect(page.getByRole('radio', { name: /^Dry/ })).toBeChecked();
  await tabTo('button', /Save to the rack/);
  await press('Enter');
  await expect(page.getByRole('heading', { name: 'Ground', level: 1 })).toBeVisible();

  // A layer is picked in the drawing, its handle moved: 5 mm a step, 1 mm with Shift.
  await tabTo('button', /^Chunky epiphyte mix,/);
  await press('Enter');
  await tabTo('slider', /Top of Chunky epiphyte mix, front/);
  const slider = page.getByRole('slider', { name: /Top of Chunky epiphyte mix, front/ });
  const start = Number(await slider.getAttribute('aria-valuenow'));
  await press('ArrowUp', 2);
  await press('Shift+ArrowDown');
  await expect(slider).toHaveAttribute('aria-valuenow', String(start + 9));
  await saved(page);
  await press('Control+z', 3);
  await expect(slider).toHaveAttribute('aria-valuenow', String(start));
  await press('Control+Shift+z');
  await expect(slider).toHaveAttribute('aria-valuenow', String(start + 5));

  await press('3');
  await expect(page.getByRole('heading', { name: 'Hardscape', level: 1 })).toBeVisible();
  await press('6');
  await expect(page.getByRole('heading', { name: 'Build', level: 1 })).toBeVisible();
  await press('1');
  await expect(page.getByRole('heading', { name: 'Brief', level: 1 })).toBeVisible();
});

/** The same file with one enclosure piled ten thousand layers high. */
function tenThousandLayers(text: string): string {
  const file = JSON.parse(text) as { designs: { ground: { layers: unknown[] } }[] };
  const { ground } = file.designs[1]!;
  ground.layers = Array.from({ length: 10_000 }, () => ground.layers[0]);
  return JSON.stringify(file);
}

test('export, clear, import: equal; a file that will not do changes nothing', async ({ page }, testInfo) => {
  await demo(page);
  const all = await exported(page, /Export everything/);
  const before = JSON.parse(all);
  expect(before.designs).toHaveLength(4);

  for (const name of ['Bog shelf', 'Hedge', 'Limestone', 'Dry wash']) {
    await page.getByRole('button', { name: `More for ${name}` }).click();
    await page.getByRole('menuitem', { name: 'Delete' }).click();
    await expect(page.getByRole('link', { name, exact: true })).toHaveCount(0);
  }
  await expect(page.getByRole('heading', { name: 'The rack is empty' })).toBeVisible();

  const refusals: readonly (readonly [string, RegExp])[] = [
    [all.slice(0, all.length / 2), /line \d+, column \d+: this is not JSON/],
    [
      all.replace(`"version": ${ENVELOPE_VERSION}`, `"version": ${ENVELOPE_VERSION + 1}`),
      new RegExp(`version ${ENVELOPE_VERSION + 1}; this Rincon reads up to ${ENVELOPE_VERSION}`),
    ],
    [
      all.replace(/"frontLeft": [\d.]+/, '"frontLeft": -1'),
      /designs\[\d\]\.ground\.(regions\[0\]\.)?layers\[0\]\.thickness\.frontLeft/,
    ],
    [all.replace(/"waterDepth": [\d.]+/, '"waterDepth": NaN'), /line \d+, column \d+: this is not JSON/],
    [tenThousandLayers(all), /designs\[1\]\.ground\.layers: an enclosure holds at most 60 layers/],
    [
      '{"format":"rincon","version":1,"written":"2026-11-23T00:00:00.000Z","designs":[],"prices":{},"__proto__":{"x":1}}',
      /“__proto__” is not known/,
    ],
    ['{"hello":1}', /file of another program/],
  ];
  const nonsense = testInfo.outputPath('nonsense.json');
  await writeFile(nonsense, '[1, "x", '.repeat(6_000_000));
  for (const [text, message] of [...refusals, [null, /larger than 20 MB/] as const]) {
    if (text === null) await page.getByLabel('Import a file').setInputFiles(nonsense);
    else await readIn(page, text);
    const dialog = page.getByRole('dialog', { name: 'This file cannot be read' });
    await expect(dialog).toContainText(message);
    await expect(dialog).toContainText('Nothing was changed.');
    await dialog.getByRole('button', { name: 'Close' }).click();
    await expect(page.getByRole('heading', { name: 'The rack is empty' })).toBeVisible();
  }

  await readIn(page, all);
  await expect(page.getByRole('heading', { name: 'Four enclosures' })).toBeVisible();
  const after = JSON.parse(await exported(page, /Export everything/));
  expect(after.designs).toEqual(before.designs);

  // The same file again adds nothing.
  await readIn(page, all);
  await expect(page.getByText('4 already here.')).toBeVisible();
});

test('undo through a reload, duplicate, delete with undo @years', async ({ page }) => {
  await demo(page);
  await page.getByRole('heading', { name: 'Limestone' }).getByRole('link').click();
  const finding = page.locator('[data-finding=freeboard-low]');
  await expect(finding).toContainText('0.8 cm');
  await finding.getByRole('button', { name: /^Keep/ }).click();
  await expect(finding).toHaveCount(0);
  await saved(page);
  await page.reload();
  await expect(page.locator('[data-finding=freeboard-fine]')).toBeVisible();
  await page.getByRole('button', { name: 'Undo water depth' }).click();
  await expect(finding).toBeVisible();
  await page.getByRole('button', { name: 'Redo water depth' }).click();
  await expect(finding).toHaveCount(0);

  await page.getByRole('link', { name: 'Rincon, to the rack' }).click();
  await page.getByRole('button', { name: 'More for Limestone' }).click();
  await page.getByRole('menuitem', { name: 'Duplicate' }).click();
  await expect(page.getByRole('heading', { name: 'Five enclosures' })).toBeVisible();
  await page.getByRole('button', { name: 'More for Limestone copy' }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(page.getByRole('heading', { name: 'Four enclosures' })).toBeVisible();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByRole('heading', { name: 'Five enclosures' })).toBeVisible();
});

test('layers: dragged by mouse and by touch, added, moved, taken out, mended @years', async ({ browser }) => {
  const context = await browser.newContext({ hasTouch: true });
  const page = await context.newPage();
  await demo(page);
  await page.getByRole('heading', { name: 'Hedge' }).getByRole('link').click();
  const back = page.getByRole('slider', { name: /Forest mix.*back/ });
  const now = async (): Promise<number> => Number(await back.getAttribute('aria-valuenow'));
  const start = await now();

  const knob = async () => {
    const box = await back.locator('.knob').boundingBox();
    if (!box) throw new Error('no handle');
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  };
  let at = await knob();
  await page.mouse.move(at.x, at.y);
  await page.mouse.down();
  await page.mouse.move(at.x, at.y - 30, { steps: 6 });
  await page.mouse.up();
  const dragged = await now();
  expect(dragged).toBeGreaterThan(start + 20);
  await saved(page);
  // The whole drag is one step.
  await page.getByRole('button', { name: 'Undo layer depth' }).click();
  await expect(back).toHaveAttribute('aria-valuenow', String(start));

  at = await knob();
  const touch = await context.newCDPSession(page);
  const point = (y: number) => [{ x: at.x, y }];
  await touch.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: point(at.y) });
  for (const dy of [8, 16, 24]) {
    await touch.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: point(at.y - dy) });
  }
  await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
  await expect.poll(now).toBeGreaterThan(start + 15);

  await page.getByRole('button', { name: 'Add a layer' }).click();
  await page.getByRole('menuitem', { name: 'Thin layer' }).click();
  await expect(page.locator('tr[data-layer=thin]')).toHaveCount(1);
  await page.getByRole('button', { name: /More for Horticultural charcoal/ }).click();
  await page.getByRole('menuitem', { name: 'Move up' }).click();
  await page.getByRole('button', { name: /More for Barrier/ }).click();
  await page.getByRole('menuitem', { name: 'Take out' }).click();
  const missing = page.locator('[data-finding=barrier-missing]');
  await missing.getByRole('button', { name: 'Lay a barrier' }).click();
  await expect(missing).toHaveCount(0);

  // The raised panel stays flat, the list follows.
  await page.getByRole('radio', { name: /^Raised panel/ }).click();
  await page.getByRole('link', { name: /Build/ }).click();
  await expect(page.locator('tr[data-material=raised-panel]')).toContainText('sheet');
  await file(page, /^Export this/);
  await context.close();
});

test('two windows on one enclosure never overwrite each other silently', async ({ context, page }) => {
  await demo(page);
  await page.goto('/e/demo-hedge/ground');
  const other = await context.newPage();
  await other.goto('/e/demo-hedge/ground');
  await type(other, /^Oak leaf litter, depth at the front/, '2');
  await expect(page.getByRole('textbox', { name: /^Oak leaf litter, depth at the front/ })).toHaveValue(
    '2.0',
  );
  await type(page, /^Sheet moss.*depth at the front/, '3');
  await expect(other.getByRole('textbox', { name: /^Sheet moss.*depth at the front/ })).toHaveValue('3.0');
  await expect(other.getByRole('textbox', { name: /^Oak leaf litter, depth at the front/ })).toHaveValue(
    '2.0',
  );
});

test('of a field that two windows set at once both values are shown, and either can be had', async ({
  context,
  page,
}) => {
  await demo(page);
  await page.goto('/e/demo-hedge/brief');
  const other = await context.newPage();
  await other.goto('/e/demo-hedge/brief');
  const name = (at: typeof page) => at.getByRole('textbox', { name: 'Name' });
  await expect(name(page)).toHaveValue('Hedge');
  await expect(name(other)).toHaveValue('Hedge');
  // Both write before either can see the other's: while a lock on the table is held, edits wait.
  const held = await page.evaluateHandle(async () => {
    const open = indexedDB.open('rincon');
    const db = await new Promise<IDBDatabase>((done) => (open.onsuccess = () => done(open.result)));
    const all = db.transaction('designs', 'readwrite');
    let free = false;
    const spin = (): void => {
      if (!free) all.objectStore('designs').count().onsuccess = spin;
    };
    spin();
    return { let: () => void (free = true) };
  });
  await type(page, 'Name', 'Hazel bank');
  await type(other, 'Name', 'Fern bank');
  await type(other, 'How many', '4');
  await held.evaluate((it) => it.let());
  // Whoever wrote second is asked; all else that both did is kept.
  const both = [page, other];
  const asked = (at: typeof page) => at.getByRole('alert', { name: 'Another window changed the same' });
  const told = () => Promise.all(both.map((it) => asked(it).count()));
  await expect.poll(async () => (await told()).sort()).toEqual([0, 1]);
  const at = (await told())[0] === 1 ? page : other;
  const mine = at === page ? 'Hazel bank' : 'Fern bank';
  const alert = asked(at);
  await expect(alert).toContainText('Hazel bank');
  await expect(alert).toContainText('Fern bank');
  await sound(at, 'a field that two windows set');
  await alert.getByRole('button', { name: 'Use this window’s: Name' }).click();
  await expect(alert).toHaveCount(0);
  for (const it of both) {
    await expect(name(it)).toHaveValue(mine);
    await expect(it.getByRole('textbox', { name: 'How many' })).toHaveValue('4');
  }
});

test('three enclosures on one roll, one purchase for several', async ({ page }) => {
  await demo(page);
  await page.getByRole('link', { name: 'Buy for several' }).click();
  const total = page.getByText(/^[\d.,]+ in \d shops?$/);
  const sum = async (): Promise<number> => parseFloat((await total.innerText()).replaceAll(',', ''));
  const four = await sum();
  await expect(page.getByText(/^Bought one by one it would be/)).toBeVisible();
  const roll = page.getByRole('region', { name: /cut from one roll/ }).getByRole('img');
  await expect(roll).toHaveAttribute('aria-label', /^(Bog shelf|Hedge|Limestone): .*; .*; /);
  await page.getByRole('checkbox', { name: 'Dry wash' }).uncheck();
  await expect.poll(sum).toBeLessThan(four);
  await page.getByRole('checkbox', { name: 'Limestone' }).uncheck();
  await expect(roll).not.toHaveAttribute('aria-label', /Limestone/);
});
