import { expect, test, type Page } from './test';
import { build, later, saved, sound } from './helpers';

/** Six builds in inches, from an empty rack until they were lived in for a year. */
interface Lived {
  readonly name: string;
  readonly animal: string;
  readonly sides: readonly [string, string, string];
  /** What its builder does by hand between the three questions and the plan. */
  readonly own: (page: Page) => Promise<void>;
  /** What is written down at each visit, as one says it. */
  readonly line: string;
  /** Care that the year must have asked for, by its key. */
  readonly asked: readonly string[];
  /** A fix it takes has to be forecast first. */
  readonly years?: true;
}

const tab = async (page: Page, room: string, name: string): Promise<void> => {
  await page.getByRole('link', { name: room }).first().click();
  await page.getByRole('tab', { name, exact: true }).click();
};

const fromTheJug = async (page: Page, how: string): Promise<void> => {
  await tab(page, 'Climate', 'Mist');
  await page.getByRole('combobox', { name: 'From the jug' }).click();
  await page.getByRole('option', { name: how }).click();
};

const LIVED: readonly Lived[] = [
  {
    name: 'Damp below',
    animal: 'fat-tailed',
    sides: ['36 in', '18 in', '18 in'],
    own: async (page) => {
      await fromTheJug(page, 'by measure');
      await page.getByRole('textbox', { name: 'Watering 1' }).fill('12 fl oz');
      await page.getByRole('textbox', { name: 'Watering 1' }).press('Enter');
      await expect(page.getByRole('textbox', { name: 'Watering 1' })).toHaveValue(/fl oz|qt|gal/);
    },
    line: 'fed 6 crickets; 84 F 60 %',
    asked: ['watering-1', 'feed', 'weigh'],
  },
  {
    name: 'Tall leaves',
    animal: 'crested',
    sides: ['18 in', '18 in', '24 in'],
    own: async (page) => {
      await page.getByRole('link', { name: 'Hardscape' }).first().click();
      await page.getByRole('button', { name: 'Span a branch from wall to wall' }).click();
      await expect(page.getByRole('row', { name: /^Branch.* wall, / }).first()).toBeVisible();
    },
    line: 'fed; mist 20 s; 74 F 75 %',
    asked: ['feed', 'glass', 'prune'],
  },
  {
    name: 'Stream',
    animal: 'phantasmal',
    sides: ['36 in', '18 in', '18 in'],
    own: async (page) => {
      await tab(page, 'Hardscape', 'Water');
      await page.getByRole('button', { name: 'Waterfall' }).click();
      const dry = page.locator('[data-finding=pump-dry]');
      await dry.getByRole('button', { name: /^Keep .* of water in the bed$/ }).click();
      await expect(dry).toHaveCount(0);
    },
    line: 'fed 40 fruit flies; 75 F 85 %',
    asked: ['feed', 'siphon', 'crew-seen'],
    years: true,
  },
  {
    name: 'Dry stone',
    animal: 'leopard gecko',
    sides: ['36 in', '18 in', '18 in'],
    own: async (page) => {
      await page.getByRole('link', { name: 'Ground' }).first().click();
      await expect(page.getByRole('heading', { name: 'Ground', level: 1 })).toBeVisible();
    },
    line: 'fed 5 roaches; 90 F 35 %',
    asked: ['feed', 'spot-clean', 'thermostat'],
  },
  {
    name: 'Sand',
    animal: 'sand boa',
    sides: [`3' 0"`, '1 ft 6', '18'],
    own: async (page) => {
      await fromTheJug(page, 'none');
    },
    line: 'fed 1 mouse; 90 F 40 %',
    asked: ['feed', 'dish', 'weigh'],
  },
  {
    name: 'Three above',
    animal: 'red-eyed',
    sides: ['24 in', '18 in', '36 in'],
    own: async (page) => {
      await page.getByRole('link', { name: 'Brief' }).first().click();
      await page.getByLabel('How many').fill('3');
      await page.getByLabel('How many').press('Enter');
    },
    line: 'fed 9 crickets; mist 30 s; 77 F 80 %',
    asked: ['feed', 'glass', 'crew-seen'],
  },
];

/** Lets the animal in past what is not done yet, which is said, and written down. */
async function movesIn(page: Page): Promise<void> {
  await tab(page, 'Build', 'Plan');
  await page.locator('[data-step=move-in]').click();
  await page.getByRole('button', { name: 'Move in…' }).click();
  const moving = page.getByRole('dialog');
  const why = moving.getByLabel('Why it moves in all the same');
  if (await why.isVisible()) await why.fill('it lived in a tub like this before');
  await moving.getByRole('button', { name: /^Move in/ }).click();
  await expect(page.getByText(/^Moved in on /).first()).toBeVisible();
}

for (const { name, animal, sides, own, line, asked, years } of LIVED)
  test(`${name}, in inches: from an empty rack, lived in for a year${years ? ' @years' : ''}`, async ({
    page,
  }) => {
    await page.goto('/');
    await page.getByRole('button', { name: /^Units/ }).click();
    await page.getByRole('menuitem', { name: /cubic feet/ }).click();
    await build(page, animal, sides, name);
    await own(page);
    await saved(page);
    await expect(page.locator('[data-finding][data-severity=severe]')).toHaveCount(0);
    await movesIn(page);

    const seen = new Set<string>();
    for (let quarter = 1; quarter <= 4; quarter += 1) {
      await later(page, 91);
      await page.goto('/today');
      const due = page.locator('[data-due]');
      await expect(due.first()).toBeVisible();
      for (const rule of await due.evaluateAll((all) => all.map((it) => it.getAttribute('data-due') ?? '')))
        seen.add(rule);
      await page.getByLabel('Write down').fill(line);
      await page.getByRole('button', { name: 'Write', exact: true }).click();
      await expect(page.getByText(/lines? written\.$/)).toBeVisible();
      for (let left = await due.count(); left > 0; left = await due.count()) {
        await due
          .first()
          .getByRole('button', { name: /^Done:/ })
          .press('Enter');
        await expect.poll(() => due.count()).toBeLessThan(left);
      }
      await expect(page.getByText(/All is done/)).toBeVisible();
    }
    for (const rule of asked) expect([...seen], rule).toContain(rule);

    await page.goto('/');
    await page
      .getByRole('link', { name: new RegExp(name) })
      .first()
      .click();
    await tab(page, 'Keep', 'Log');
    const entries = page.locator('[data-entry]');
    await expect(entries.first()).toBeVisible();
    expect(await entries.count()).toBeGreaterThan(15);
    await expect(page.locator('[data-entry=feed]').first()).toBeVisible();
    // Nothing on it is in a unit its keeper did not choose.
    const text = await page.locator('main').innerText();
    expect(text.match(/\d\s(cm|°C|mL|L|kg)\b/g) ?? []).toEqual([]);
    if (name === 'Damp below') await sound(page, 'a year of log, in inches');
  });
