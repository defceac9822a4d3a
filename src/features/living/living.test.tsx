// @vitest-environment happy-dom
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { catalogue } from '@/catalogue';
import type { EditCall } from '@/core/edits';
import { layGround } from '@/core/ground';
import { monthsBefore } from '@/core/brief';
import { guessSurvey, runCrew, sampleCrew, type CrewInput, type GrowthEvent } from '@/core/living';
import type { Design } from '@/core/document';
import { localDay } from '@/core/time';
import { eventually, made, open } from '../testing/open';
import { GroupTab } from './GroupTab';
import { CrewTab } from './CrewTab';
import { GrowthTab } from './GrowthTab';
import { Living } from './Living';
import { MoveInTab } from './MoveInTab';
import { WasteTab } from './WasteTab';
import { fitWord, monthsWord } from './words';
import { daysWord } from '@/ui/days';

// What a worker would answer, without one.
vi.mock('@/workers/living', () => ({
  askSurvey: (design: Parameters<typeof layGround>[0], rows: typeof catalogue) =>
    Promise.resolve({ ...guessSurvey(design, layGround(design, rows), rows), guessed: false }),
  askCrew: (asked: readonly CrewInput[]) =>
    Promise.resolve(asked.map((it) => ({ kind: it.kind.id, run: runCrew(it), risk: sampleCrew(it, 5) }))),
}));

const GECKO = 'goniurosaurus-hainanensis';
const LIT: readonly EditCall[] = [
  { edit: 'proposeScape', change: {} },
  { edit: 'proposeClimate', change: {} },
];
const enter = (field: HTMLElement, text: string): void => {
  fireEvent.focus(field);
  fireEvent.change(field, { target: { value: text } });
  fireEvent.keyDown(field, { key: 'Enter' });
  fireEvent.blur(field);
};
const box = (name: string | RegExp) => screen.getByRole('textbox', { name });
const press = (name: string | RegExp): void => void fireEvent.click(screen.getByRole('button', { name }));
const TODAY = new Date('2026-11-25T12:00:00Z');

beforeEach(() => {
  // A drawing needs a size to be drawn in.
  Object.defineProperty(HTMLElement.prototype, 'clientWidth', { configurable: true, value: 600 });
  Object.defineProperty(HTMLElement.prototype, 'clientHeight', { configurable: true, value: 500 });
});

describe('words', () => {
  it('spans and fits as one says them', () => {
    expect([3, 20, 200].map(daysWord)).toEqual(['3 days', '3 weeks', '7 months']);
    expect([0.2, 1, 7, 24, 30].map(monthsWord)).toEqual([
      'now',
      '1 month',
      '7 months',
      '2 years',
      '2½ years',
    ]);
    expect([0, 0.1, 0.3, 0.6, 1].map(fitWord)).toEqual(['dies', 'pines', 'lives', 'does well', 'thrives']);
  });
});

describe('Living', () => {
  it('plants a bare enclosure, shows each plant with how it does, parts and takes one out', async () => {
    const { stored } = await open(<Living />, made(GECKO, ...LIT));
    expect(screen.getByText(/Nothing is planted yet/)).toBeDefined();
    press('Plant it for me');
    await eventually(async () => expect((await stored()).living.plants.length).toBeGreaterThan(3));
    await eventually(async () => expect((await stored()).living.crew.length).toBeGreaterThan(0));
    const table = within(screen.getByRole('table', { name: 'Plants' }));
    expect(table.getAllByText(/thrives|does well|lives/).length).toBeGreaterThan(3);
    const count = (await stored()).living.plants.length;
    fireEvent.click(table.getAllByRole('button')[0]!);
    press('Divide');
    await eventually(async () => expect((await stored()).living.plants).toHaveLength(count + 1));
    enter(box('Size now, % of grown'), '50');
    await eventually(async () => expect((await stored()).living.plants[0]!.size).toBe(0.5));
    press('Take out');
    await eventually(async () => expect((await stored()).living.plants).toHaveLength(count));
    press('Not yet named');
    await eventually(async () => expect((await stored()).living.plants.at(-1)!.kind).toBeNull());
    expect(screen.getByText('not yet named')).toBeDefined();
    press('Take all out');
    await eventually(async () => expect((await stored()).living.plants).toEqual([]));
  });

  it('without light it says that nothing lives, and plants nothing', async () => {
    const { stored } = await open(<Living />, made(GECKO));
    press('Plant it for me');
    await screen.findByText(/Nothing was planted: no plant lives there/);
    expect((await stored()).living.plants).toEqual([]);
  });
});

describe('Growth', () => {
  it('lists what comes when, gathers cuts of a month, and leads to the month', async () => {
    const events: GrowthEvent[] = [
      { at: 5.2, plant: 'plant-1', what: 'outgrows its place' },
      { at: 8, plant: 'plant-1', what: 'shades', other: 'plant-2' },
      { at: 5.2, plant: 'plant-1', what: 'cut back' },
      { at: 5.4, plant: 'plant-2', what: 'cut back' },
    ];
    const months = vi.fn();
    await open(
      <GrowthTab events={events} today={TODAY} months={0} onMonths={months} onSelect={() => undefined} />,
      made(
        GECKO,
        { edit: 'addPlant', change: { kind: 'fittonia-albivenis' } },
        { edit: 'addPlant', change: { kind: 'pilea-depressa' } },
      ),
    );
    expect(screen.getByText('takes the light of the creeping clearweed')).toBeDefined();
    expect(screen.getByText('nerve plant, creeping clearweed')).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: '8 months' }));
    expect(months).toHaveBeenCalledWith(8);
  });
  it('says so when nothing grows, and when nothing comes of it', async () => {
    const props = { today: TODAY, months: 0, onMonths: () => undefined, onSelect: () => undefined };
    await open(<GrowthTab events={[]} {...props} />, made(GECKO));
    expect(screen.getByText(/Nothing grows yet/)).toBeDefined();
  });
});

describe('Crew, waste, group, moving in', () => {
  const design = made(GECKO, ...LIT, { edit: 'proposeLiving', change: {} });
  const survey = guessSurvey(design, layGround(design, catalogue), catalogue);

  it('numbers introduced are changed, a species is taken out, approach and litter are chosen', async () => {
    const { stored } = await open(<CrewTab survey={survey} />, design);
    const [first] = design.living.crew;
    const english = catalogue.living.crew.find((it) => it.id === first!.kind)!.english;
    await screen.findAllByText(/after \d+ |no: reseed/);
    enter(box(`Number of ${english} introduced`), '77');
    await eventually(async () => expect((await stored()).living.crew[0]!.count).toBe(77));
    press(`Take ${english} out`);
    await eventually(async () =>
      expect((await stored()).living.crew).toHaveLength(design.living.crew.length - 1),
    );
    enter(box('Refilled every so many months'), '6');
    await eventually(async () => expect((await stored()).living.litter.everyMonths).toBe(6));
    fireEvent.click(screen.getByRole('radio', { name: /^None/ }));
    await eventually(async () => expect((await stored()).living.school).toBe('none'));
    expect(screen.queryByRole('table', { name: 'Crew' })).toBeNull();
    expect((await stored()).living.crew).toEqual([]);
    fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
    await eventually(async () =>
      expect((await stored()).living.crew).toHaveLength(design.living.crew.length - 1),
    );
  });

  it('what is lifted out lessens the load', async () => {
    const { stored } = await open(<WasteTab survey={survey} />, design);
    const share = (): number =>
      Number(/(\d+) %/.exec(screen.getByRole('region', { name: 'On land' }).textContent)![1]);
    enter(box('Spot-cleaned, %'), '0');
    await eventually(async () => expect((await stored()).living.spotClean).toBe(0));
    const all = share();
    enter(box('Spot-cleaned, %'), '90');
    await eventually(() => expect(share()).toBeLessThan(all));
  });

  it('a young animal is told its enclosures to come; a grown one its food, young and law', async () => {
    const { stored } = await open(<GroupTab today={TODAY} />, design);
    expect(screen.getByText(/Commonly protected/)).toBeDefined();
    expect(screen.getByText(/2, in a moist hide/)).toBeDefined();
    enter(box('Age, months'), '1');
    await eventually(async () => expect((await stored()).living.company.ageMonths).toBe(1));
    expect(screen.getByText(/^At 1 months|^At 1 month/)).toBeDefined();
    expect((await stored()).living.company.hatched).toBe(monthsBefore(localDay(Date.now()), 1));
    press('It is grown');
    await eventually(async () =>
      expect((await stored()).living.company).toMatchObject({ ageMonths: null, hatched: null }),
    );
  });

  it('a young animal is as old as it is today; one whose age was told without a day, once it is counted', async () => {
    const aged = (hatched: string | null, ageMonths: number): Design => ({
      ...design,
      living: { ...design.living, company: { ...design.living.company, hatched, ageMonths } },
    });
    const today = localDay(Date.now());
    const { stored } = await open(<GroupTab today={TODAY} />, aged(monthsBefore(today, 7), 2));
    expect(screen.getByText(/^At 7 months/)).toBeDefined();
    expect((await stored()).living.company.ageMonths).toBe(2);
    cleanup();
    const second = await open(<GroupTab today={TODAY} />, { ...aged(null, 2), id: 'undated' });
    expect(screen.getByText(/told without a day/)).toBeDefined();
    press('Count its age from today');
    await eventually(async () =>
      expect((await second.stored()).living.company.hatched).toBe(monthsBefore(today, 2)),
    );
    expect(screen.queryByText(/told without a day/)).toBeNull();
  });

  it('quarantine is counted in days and waits for its tests', async () => {
    const { stored } = await open(<MoveInTab today={TODAY} />, design);
    const since = screen.getByLabelText('Quarantine since');
    fireEvent.change(since, { target: { value: '2026-11-20' } });
    await screen.findByText(/^Day 5 of at least 30/);
    fireEvent.change(since, { target: { value: '2026-08-20' } });
    await screen.findByText(/It waits for its tests/);
    fireEvent.change(screen.getByLabelText('Tests clear on'), { target: { value: '2026-10-01' } });
    await screen.findByText(/its tests were clear/);
    await eventually(async () =>
      expect((await stored()).living.moveIn).toEqual({ quarantine: '2026-08-20', tested: '2026-10-01' }),
    );
  });
});
