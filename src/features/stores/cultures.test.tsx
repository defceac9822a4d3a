// @vitest-environment happy-dom
import 'fake-indexeddb/auto';
import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { RinconDatabase } from '@/store';
import { localDay } from '@/core/time';
import { eventually, open } from '../testing/open';
import { Cultures } from './cultures/Cultures';

const type = userEvent.setup();
const stored = async () => {
  const db = new RinconDatabase();
  await db.open();
  const all = await db.cultures.toArray();
  db.close();
  return all;
};
const enter = (field: HTMLElement, text: string): void => {
  fireEvent.focus(field);
  fireEvent.change(field, { target: { value: text } });
  fireEvent.keyDown(field, { key: 'Enter' });
  fireEvent.blur(field);
};
const pick = async (words: string): Promise<void> => {
  await type.type(await screen.findByRole('combobox', { name: 'Species' }), words);
  fireEvent.click((await screen.findAllByRole('option'))[0]!);
};
const startOne = async (words: string): Promise<void> => {
  await pick(words);
  fireEvent.click(screen.getByRole('button', { name: 'Start it today' }));
};

describe('cultures', () => {
  it('says before it is started when it gives, how much, and what dust it makes', async () => {
    await open(<Cultures />);
    await pick('house cricket');
    // 790 degree days over 17 °C: at 24 °C 113 days, nearly four months.
    expect(screen.getByText(/The first can be taken after 4.months, from/)).toBeDefined();
    // 25 a day at 33 °C; at 24 °C 25 · 7 / 16.
    expect(screen.getByText(/about 11 a day/)).toBeDefined();
    expect(screen.getByText(/bring on asthma/)).toBeDefined();
    enter(screen.getByRole('textbox', { name: 'Kept at' }), '20');
    expect(await screen.findByText(/It does not breed at 20.°C: it wants 24.°C to 33.°C/)).toBeDefined();
  });

  it('is started, fed, split, harvested and ended; each is written down and taken back', async () => {
    await open(<Cultures />);
    await startOne('mealworm');
    const today = localDay(Date.now());
    await eventually(async () =>
      expect(await stored()).toMatchObject([
        {
          name: 'Mealworm',
          kind: 'tenebrio-molitor',
          gutLoaded: true,
          started: today,
          feedEvery: 7,
          // 1260 degree days over 12 °C, at 24 °C.
          firstHarvest: 105,
          splitEvery: 120,
          acts: [],
        },
      ]),
    );
    fireEvent.click(await screen.findByRole('button', { name: 'Fed' }));
    await eventually(async () =>
      expect((await stored())[0]!.acts).toMatchObject([{ what: 'fed', on: today, gone: false }]),
    );
    const fed = (await screen.findByText('Fed: Mealworm.')).closest<HTMLElement>('[role=alert]')!;
    fireEvent.click(within(fed).getByRole('button', { name: 'Undo' }));
    await eventually(async () => expect((await stored())[0]!.acts).toMatchObject([{ gone: true }]));
    await eventually(() => expect(screen.queryByRole('table', { name: 'What was done' })).toBeNull());
    enter(screen.getByRole('textbox', { name: 'Taken' }), '30');
    fireEvent.click(screen.getByRole('button', { name: 'Harvested' }));
    const done = within(await screen.findByRole('table', { name: 'What was done' }));
    expect(await done.findByText('30')).toBeDefined();
    expect(done.queryByText('Fed')).toBeNull();
    // Cooler, it comes on more slowly: its rhythm follows.
    enter(screen.getByRole('textbox', { name: 'Kept at' }), '18');
    await eventually(async () => expect((await stored())[0]!.firstHarvest).toBe(210));
    enter(screen.getByRole('textbox', { name: 'Fed every' }), '3');
    await eventually(async () => expect((await stored())[0]!.feedEvery).toBe(3));
    enter(screen.getByRole('textbox', { name: 'Fed every' }), '0');
    expect(screen.getByText('Whole days from 1 to 730, or nothing.')).toBeDefined();
    expect((await stored())[0]!.feedEvery).toBe(3);
    fireEvent.click(screen.getByRole('button', { name: 'End it' }));
    await eventually(async () => expect((await stored())[0]!.ended).toBe(today));
    await eventually(() => expect(screen.queryByRole('button', { name: 'Fed' })).toBeNull());
  });
});
